"""What every change of a session begins and ends with: the lock, the new revision, and word of it."""

from __future__ import annotations

from typing import Any

from common.notices import tell
from common.problems import Refused
from django.db.models import F
from shop.models import User

from ..models import FittingSession


def for_change(actor: User, session_id: int) -> FittingSession:
    """A session of the actor's shop, locked for this transaction and one revision on; refused once it is agreed."""
    session = FittingSession.objects.select_for_update(of=("self",)).one(actor.shop_id or 0, session_id)
    if session.agreed_at is not None:
        raise Refused("This session is agreed and stays as it was. Start a new visit to go on.", kind="agreed")
    return next_revision(session)


def for_correction(actor: User, session_id: int) -> FittingSession:
    """An agreed session, locked for a new edition of what was agreed; refused while there is nothing to correct."""
    session = FittingSession.objects.select_for_update(of=("self",)).one(actor.shop_id or 0, session_id)
    if session.agreed_at is None:
        raise Refused("Nothing is agreed yet. Agree first; then it can be corrected.", kind="not_agreed")
    return next_revision(session)


def next_revision(session: FittingSession) -> FittingSession:
    """Count a change: in the database, so that no two changes are one revision."""
    mine = FittingSession.objects.filter(pk=session.pk)
    mine.update(revision=F("revision") + 1)
    session.revision = mine.values_list("revision", flat=True).get()
    return session


def announce(session: FittingSession, what: str, *, shot: dict[str, Any] | None = None) -> None:
    """Say what changed, with the revision that the session has now. shot: a new shot as screens draw it."""
    tell(session.pk, session.revision, what, shot=shot)
