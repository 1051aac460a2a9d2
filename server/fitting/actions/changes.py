"""What every change of a session begins and ends with: the lock, the new revision, and word of it."""

from __future__ import annotations

from collections.abc import Callable, Collection
from typing import Any

from common.asked import asked
from common.notices import tell
from common.problems import Refused
from customers.models import Customer
from django.db.models import F
from hemicycle_core.said import joined, say
from shop.audit import record
from shop.models import AuditEntry, User
from shop.trail import in_words

from ..models import FittingSession, Shot


def locked(shop_id: int, session_id: int) -> FittingSession:
    """A session of a shop, locked for this transaction; refused once its customer is erased."""
    session = FittingSession.objects.select_for_update(of=("self",)).one(shop_id, session_id)
    # Read under the lock, not with it: whoever erases holds the session too.
    if Customer.objects.filter(pk=session.customer_id).exclude(erased_at=None).exists():
        raise Refused(say("act-customer-erased-visit-stays"), kind="erased")
    return session


def for_change(actor: User, session_id: int) -> FittingSession:
    """A session of the actor's shop, locked for this transaction and one revision on; refused once it is agreed."""
    session = locked(actor.shop_id or 0, session_id)
    if session.agreed_at is not None:
        raise Refused(say("act-session-agreed-stays-was"), kind="agreed")
    return next_revision(session)


def for_correction(actor: User, session_id: int) -> FittingSession:
    """An agreed session, locked for a new edition of what was agreed; refused while there is nothing to correct."""
    session = locked(actor.shop_id or 0, session_id)
    if session.agreed_at is None:
        raise Refused(say("act-nothing-agreed-yet-agree"), kind="not_agreed")
    return next_revision(session)


def next_revision(session: FittingSession) -> FittingSession:
    """Count a change: in the database, so that no two changes are one revision."""
    mine = FittingSession.objects.filter(pk=session.pk)
    mine.update(revision=F("revision") + 1)
    session.revision = mine.values_list("revision", flat=True).get()
    return session


# How a shot and its build are drawn, as the presenters know, which stand on the actions and say so when they start.
_drawn: list[Callable[[FittingSession, Shot], dict[str, Any]]] = []


def shots_are_drawn_by(draw: Callable[[FittingSession, Shot], dict[str, Any]]) -> None:
    _drawn[:] = [draw]


def announce(session: FittingSession, what: str, *, shot: Shot | None = None, **now: Any) -> None:
    """Say what changed, with the revision that the session has now. shot: that is new or changed; now: plain fields of
    the session as they are shown: both are seen before anything is read anew, by whoever made the change too."""
    drawn = _drawn[0](session, shot) if shot is not None and _drawn else {"shot": None, "build": None}
    seen = {**drawn, "now": now or None}
    asked().told = {"id": session.pk, "revision": session.revision, "what": what, **seen}
    tell(session.pk, session.revision, what, **seen)


def note(session: FittingSession, actor: User | None, name: str, subject: str, /, **detail: Any) -> None:
    """Write down a change of a session, with the revision that it made."""
    record(
        session.shop_id,
        actor,
        name,
        subject,
        of_session=session.pk,
        of_customer=session.customer_id,
        revision=session.revision,
        **detail,
    )


def not_meanwhile(
    session: FittingSession,
    names: Collection[str] | None,
    *,
    touches: Callable[[AuditEntry], bool] = lambda _entry: True,
    but: Collection[str] = (),
) -> None:
    """Refuse a change that rests on an old picture: what it is about was changed, elsewhere, after the revision that
    its screen had. names: of the acts that would, None for any of the session but those of `but`."""
    seen = asked()
    if seen.since is None or seen.since >= session.revision - 1:
        return
    later = AuditEntry.objects.of(session.shop_id).filter(of_session=session.pk, revision__gt=seen.since)
    later = later.exclude(action__in=but) if names is None else later.filter(action__in=names)
    if seen.tab:
        later = later.exclude(change__startswith=f"{seen.tab}.")
    changes = [entry for entry in later.select_related("actor") if touches(entry)]
    if changes:
        raise Stale(changes)


class Stale(Refused):
    """The picture that a change rests on is old."""

    def __init__(self, changes: list[AuditEntry]) -> None:
        told = joined(in_words(entry) for entry in changes[-3:])
        super().__init__(say("act-meanwhile-changed-look-now", told=told), kind="stale")
