"""Which session a bay serves: taking a build in hand moves the bay there, agreeing sets it free."""

from __future__ import annotations

from functools import partial

from django.db import transaction
from django.db.models import F
from shop.models import Shop

from ..models import BayHold, FittingSession
from .changes import announce, next_revision


def take_bay(session: FittingSession) -> None:
    """Shots of the session's bay go to it from now on; the session that had the bay is told."""
    before = BayHold.objects.of(session.shop_id).select_for_update().filter(bay=session.bay_id).first()
    if before is not None and before.session_id == session.pk:
        return
    BayHold.objects.update_or_create(bay_id=session.bay_id, defaults={"shop_id": session.shop_id, "session": session})
    _tell(session.shop_id, None if before is None else before.session_id)


def leave_bay(session: FittingSession) -> None:
    """The bay serves this session no longer; what is hit in it then is kept in its tray."""
    gone, _ = BayHold.objects.of(session.shop_id).filter(session=session).delete()
    if gone:
        _tell(session.shop_id, None)


def _tell(shop_id: int, lost: int | None) -> None:
    """Once it is so: two sessions that take one bay at once never wait for each other's lock."""
    transaction.on_commit(partial(_moved, shop_id, lost))


def _moved(shop_id: int, lost: int | None) -> None:
    Shop.objects.filter(pk=shop_id).update(revision=F("revision") + 1)
    if lost is None:
        return
    session = FittingSession.objects.of(shop_id).filter(pk=lost, agreed_at=None).first()
    if session is not None:
        announce(next_revision(session), "bay")
