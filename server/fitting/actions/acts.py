"""What was done in a session can be taken back by whoever did it, and done again: the trail keeps, with each act, what
its rows were and became."""

from __future__ import annotations

from collections.abc import Callable, Iterable, Mapping, Sequence
from dataclasses import dataclass
from datetime import datetime
from decimal import Decimal
from typing import Any

from common.problems import Refused
from django.db import models
from django.utils import timezone
from hemicycle_core.said import Said, joined, say
from shop.audit import action
from shop.models import AuditEntry, User
from shop.trail import in_words, named

from ..models import Build, FittingSession, Run, Shot, TakenInHand, TrialEvent
from .bays import leave_bay, take_bay
from .changes import announce, for_change, note
from .player import numbers_shown
from .windows import keep_windows

# Kind of row, its number, its column, what was there and what is.
Altered = list[Any]
KINDS: dict[str, type[Any]] = {
    "session": FittingSession,
    "build": Build,
    "shot": Shot,
    "event": TrialEvent,
    "handing": TrialEvent,  # as what is said of a code was called in older trails
}
UNDO, REDO = "act.undo", "act.redo"


@dataclass(frozen=True)
class Whole:
    """What is kept as a whole and not by column: how it reads now, as plain data, and how another is put in its
    place. Both are given the session and which one of it is meant."""

    read: Callable[[FittingSession, str], Any]
    put: Callable[[FittingSession, User, str, Any], None]


_wholes: dict[str, Whole] = {}


def is_whole(kind: str, whole: Whole) -> None:
    """Say of a kind of thing how it is turned; the actions on it do when they start."""
    _wholes[kind] = whole


def put_whole(session: FittingSession, kind: str, which: object, before: Any) -> list[Altered]:
    """What becomes of a thing that is kept as a whole, for the trail; before: as it was read before it was changed."""
    after = _wholes[kind].read(session, str(which))
    return [] if before == after else [[kind, session.pk, str(which), before, after]]


def columns_of(row: Any, names: Iterable[str]) -> dict[str, Any]:
    """Columns as the trail keeps them."""
    attributes = (row._meta.get_field(name).attname for name in names)
    return {name: _plain(getattr(row, name)) for name in attributes}


def changed_since(session: FittingSession, before: Mapping[str, Any]) -> list[Altered]:
    """Columns of a session that are other than they were, for the trail."""
    now = {name: _plain(getattr(session, name)) for name in before}
    return [["session", session.pk, name, was, now[name]] for name, was in before.items() if was != now[name]]


def _plain(value: Any) -> Any:
    return value.isoformat() if isinstance(value, datetime) else str(value) if isinstance(value, Decimal) else value


def alter(row: Any, **values: Any) -> list[Altered]:
    """Give fields of a session, a build or a shot other values and save them. The answer goes into the trail with the
    act, so that it can be taken back."""
    kind = next(name for name, model in KINDS.items() if isinstance(row, model))
    made = []
    for name, value in values.items():
        column = row._meta.get_field(name).attname
        before = _plain(getattr(row, column))
        setattr(row, name, value)
        after = _plain(getattr(row, column))
        if before != after:
            made.append([kind, row.pk, column, before, after])
    row.save(update_fields=[*values, *(["revision"] if kind == "shot" else [])])
    return made


def in_hand_now(session: FittingSession) -> None:
    """Write down which build is in hand from now on."""
    if session.in_hand_id is not None:
        TakenInHand.objects.create(
            shop_id=session.shop_id, session=session, build_id=session.in_hand_id, at=timezone.now()
        )


def put_up(build: Build) -> list[Altered]:
    """A build that was just made: taken back, it is off the stand."""
    return [["build", build.pk, "archived", True, False]]


def stacks(session: FittingSession, actor: User) -> tuple[list[AuditEntry], list[AuditEntry]]:
    """What this person did in a session that can be taken back, the last one last; and what was and can be done
    again."""
    done: list[AuditEntry] = []
    undone: list[AuditEntry] = []
    mine = AuditEntry.objects.of(session.shop_id).filter(of_session=session.pk, actor=actor).order_by("id")
    for entry in mine:
        if entry.action == UNDO and done:
            undone.append(done.pop())
        elif entry.action == REDO and undone:
            done.append(undone.pop())
        elif entry.detail.get("rows"):
            done.append(entry)
            undone.clear()
    return done, undone


@action("assist")
def undo(actor: User, session_id: int) -> FittingSession:
    """Take the last thing back that this person did here. Refused where something later rests on it."""
    session = for_change(actor, session_id)
    done, _ = stacks(session, actor)
    if not done:
        raise Refused(say("act-nothing-yours-left-undo"), kind="nothing_to_undo")
    return _turned(session, actor, done[-1], UNDO, lambda before, _after: before)


@action("assist")
def redo(actor: User, session_id: int) -> FittingSession:
    """Do again what this person took back last."""
    session = for_change(actor, session_id)
    _, undone = stacks(session, actor)
    if not undone:
        raise Refused(say("act-nothing-yours-left-do"), kind="nothing_to_redo")
    return _turned(session, actor, undone[-1], REDO, lambda _before, after: after)


def _turned(
    session: FittingSession, actor: User, entry: AuditEntry, what: str, to: Callable[[Any, Any], Any]
) -> FittingSession:
    rows: Sequence[Altered] = entry.detail["rows"]
    swings = []
    for kind, pk, column, before, after in reversed(rows) if what == UNDO else rows:
        if kind in _wholes:
            now = _wholes[kind].read(session, column)
            if now != (after if what == UNDO else before):
                raise Refused(_why(session, entry), kind="rests_on_it")
            _wholes[kind].put(session, actor, column, to(before, after))
            continue
        row: Any = session if kind == "session" else KINDS[kind].objects.of(session.shop_id).get(pk=pk)
        wanted = to(before, after)
        field = (
            row._meta.get_field(column.removesuffix("_id")) if column.endswith("_id") else row._meta.get_field(column)
        )
        if _plain(getattr(row, column)) != (after if wanted == before else before):
            raise Refused(_why(session, entry), kind="rests_on_it")
        if what == UNDO and kind == "build" and column == "archived" and wanted:
            _unhit(row)
        if KINDS[kind] is TrialEvent and not row.trial.is_on:
            raise Refused(say("act-sole-test-over-what"), kind="rests_on_it")
        if (kind, column) == ("session", "swing"):
            swings.append((row.swing, wanted))
        setattr(row, column, field.to_python(wanted) if isinstance(field, models.DateTimeField) else wanted)
        if kind == "shot":
            row.revision = session.revision
        row.save(update_fields=[field.name, *(["revision"] if kind == "shot" else [])])
    for was, now in swings:
        swing_turned(session, was, now)
    _follow(session, actor, {(kind, column) for kind, _, column, _, _ in rows})
    note(session, actor, what, entry.subject, of=entry.pk, did=entry.action, number=entry.detail.get("number"))
    announce(session, "undo")
    return session


def swing_turned(session: FittingSession, was: int, now: int) -> None:
    """Other shots speak for the clubs from now on; a word on the swing that is taken back was never said."""
    if now < was:
        since = Run.objects.of(session.shop_id).filter(build__session=session, swing=was)
        since.update(swing=now)
    session.whole_from = session.revision
    session.save(update_fields=["whole_from"])


def _unhit(build: Build) -> None:
    if Shot.objects.of(build.shop_id).filter(run__build=build).exists():
        raise Refused(
            say("act-was-hit-since-was", letter=build.letter or build.name),
            kind="rests_on_it",
        )


def _why(session: FittingSession, entry: AuditEntry) -> Said:
    """Why an act cannot be turned: what was done to the same rows later."""
    mine = {(kind, pk, column) for kind, pk, column, *_ in entry.detail["rows"]}
    later = (
        AuditEntry.objects.of(session.shop_id).filter(of_session=session.pk, id__gt=entry.pk).select_related("actor")
    )
    after = [each for each in later if mine & {(*row[:3],) for row in each.detail.get("rows", [])}]
    told = in_words(after[-1]) if after else ""
    return joined([say("act-cannot-taken-back-alone", act=named(entry)), told, say("act-undo-that-first")])


def _follow(session: FittingSession, actor: User, touched: set[tuple[str, str]]) -> None:
    """What goes with the rows: the bay with the build in hand, the windows with the bag."""
    if ("session", "in_hand_id") in touched:
        session.refresh_from_db(fields=["in_hand"])
        if session.in_hand_id is None:
            leave_bay(session)
        else:
            in_hand_now(session)
            take_bay(session)
            numbers_shown(session)
    keep_windows(session, actor)
