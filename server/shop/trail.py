"""The trail of acts in words."""

from __future__ import annotations

from hemicycle_core.said import Said, plain, said_of, say

from .models import AuditEntry


def who(entry: AuditEntry) -> Said:
    """Whoever did it, as they are called; a monitor has no name of its own."""
    if entry.actor is not None:
        return plain(entry.actor.get_full_name() or entry.actor.username)
    if entry.action.startswith("player."):
        return say("act-by-the-player")
    assistants = entry.action == "sole.opened"
    return say("act-by-the-assistant" if assistants else "act-by-a-monitor")


def named(entry: AuditEntry) -> Said:
    """What was done, with what it was done to: `set shot 7 aside`. An act that no longer has words is its own name."""
    detail = entry.detail
    build, code, did = detail.get("letter") or detail.get("name"), detail.get("code"), detail.get("did", "")
    return _act(
        entry.action,
        shot=say("act-shot", number=str(detail["number"])) if detail.get("number") else say("act-any-shot"),
        build=plain(build) if build else say("act-any-build"),
        code=plain(code) if code else say("act-any-code"),
        did=say("act-quoted", act=_any(did)) if did else say("act-something"),
    )


def _act(action: str, **what: Said) -> Said:
    return said_of("trail", action.replace(".", "-"), **what) or plain(action)


def _any(action: str) -> Said:
    """An act of this kind, whatever it was done to."""
    return _act(action, shot=say("act-any-shot"), build=say("act-any-build"), code=say("act-any-code"))


def in_words(entry: AuditEntry) -> Said:
    """One entry as a sentence."""
    return say("trail-done", who=who(entry), act=named(entry))
