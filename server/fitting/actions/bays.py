"""Which session a bay serves: taking a build in hand moves the bay there; agreeing, or taking that build
away, sets it free."""

from __future__ import annotations

from functools import partial

from django.db import transaction
from django.db.models import F
from shop.models import Shop

from ..models import BayHold, FittingSession
from .changes import announce, next_revision


def take_bay(session: FittingSession) -> None:
    """Shots of the session's bay go to it from now on; every other open session of the bay is told."""
    before = BayHold.objects.of(session.shop_id).select_for_update().filter(bay=session.bay_id).first()
    if before is not None and before.session_id == session.pk:
        return
    BayHold.objects.update_or_create(bay_id=session.bay_id, defaults={"shop_id": session.shop_id, "session": session})
    _tell_others(session)


def leave_bay(session: FittingSession) -> None:
    """The bay serves this session no longer; what is hit in it then is kept in its tray."""
    gone, _ = BayHold.objects.of(session.shop_id).filter(session=session).delete()
    if gone:
        _tell_others(session)


def _tell_others(session: FittingSession) -> None:
    """Once it is so: two sessions that take one bay at once never wait for each other's lock."""
    transaction.on_commit(partial(_moved, session))


def _moved(session: FittingSession) -> None:
    Shop.objects.filter(pk=session.shop_id).update(revision=F("revision") + 1)
    others = FittingSession.objects.of(session.shop_id).filter(bay=session.bay_id, agreed_at=None)
    for other in others.exclude(pk=session.pk):
        announce(next_revision(other), "bay")
