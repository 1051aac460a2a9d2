"""Which session a bay serves: taking a build in hand moves the bay there; agreeing, or taking that build
away, sets it free."""

from __future__ import annotations

from functools import partial

from common.problems import Refused
from django.db import transaction
from django.db.models import F
from django.utils import timezone
from hemicycle_core.errors import BadInput
from hemicycle_core.said import say
from shop.audit import action
from shop.models import Shop, User

from ..models import BayHold, BayServed, FittingSession
from .changes import announce, for_change, next_revision, note


def take_bay(session: FittingSession) -> None:
    """Shots of the session's bay go to it from now on; every other open session of the bay is told. A partner of the
    one before stays that of both: two players who hit in turn."""
    before = BayHold.objects.of(session.shop_id).select_for_update().filter(bay=session.bay_id).first()
    if before is not None and before.session_id == session.pk:
        return
    in_turn = before is not None and before.partner_id == session.pk
    partner = before.session_id if before is not None and in_turn else None
    BayHold.objects.update_or_create(
        bay_id=session.bay_id,
        defaults={"shop_id": session.shop_id, "session": session, "partner_id": partner},
    )
    _served(session, session)
    _tell_others(session)


def leave_bay(session: FittingSession) -> None:
    """The bay serves this session no longer: it goes to the partner, where there is one; else what is hit in it is kept
    in its tray."""
    BayHold.objects.of(session.shop_id).filter(partner=session).update(partner=None)
    mine = BayHold.objects.of(session.shop_id).select_for_update().filter(session=session).first()
    if mine is None:
        return
    partner = mine.partner
    if partner is not None:
        mine.session, mine.partner = partner, None
        mine.save(update_fields=["session", "partner", "since"])
    else:
        mine.delete()
    _served(session, partner)
    _tell_others(session)


def _served(where: FittingSession, session: FittingSession | None) -> None:
    """Write down whom a session's bay serves from now on."""
    BayServed.objects.create(shop_id=where.shop_id, bay_id=where.bay_id, session=session, at=timezone.now())


@action("fit")
def share_bay(actor: User, session_id: int, *, partner_id: int | None) -> FittingSession:
    """Another open session of the same bay whose player hits in turn with this one's; None for nobody any more."""
    session = for_change(actor, session_id)
    hold = BayHold.objects.of(session.shop_id).select_for_update().filter(session=session).first()
    if hold is None:
        raise Refused(say("act-take-build-hit-hand"), kind="bay_elsewhere")
    partner = None
    if partner_id is not None:
        others = FittingSession.objects.of(session.shop_id).filter(bay=session.bay_id, agreed_at=None)
        partner = others.exclude(pk=session.pk).filter(pk=partner_id).first()
        if partner is None:
            raise BadInput(say("act-choose-open-session-bay"), field="partner")
    hold.partner = partner
    hold.save(update_fields=["partner"])
    note(session, actor, "bay.share", f"session:{session.pk}", partner=partner_id)
    _tell_others(session)
    announce(session, "bay")
    return session


@action("fit")
def next_up(actor: User, session_id: int) -> FittingSession:
    """The player of this session is up: the bay of the two who hit in turn goes to it, with the club that was in hand
    there. Said twice, by a second press or on two screens, it stays there."""
    up = for_change(actor, session_id)
    hold = BayHold.objects.of(up.shop_id).filter(bay=up.bay_id).first()
    if hold is None or hold.partner_id is None or up.pk not in (hold.session_id, hold.partner_id):
        raise Refused(say("act-nobody-hits-turn-here"), kind="nobody_in_turn")
    if hold.session_id == up.pk:
        return up
    if up.in_hand_id is None:
        raise Refused(say("act-has-no-club-hand", name=up.customer.name), kind="no_club")
    take_bay(up)
    note(up, actor, "bay.turn", f"session:{up.pk}")
    announce(up, "bay")
    return up


def _tell_others(session: FittingSession) -> None:
    """Once it is so: two sessions that take one bay at once never wait for each other's lock."""
    transaction.on_commit(partial(_moved, session))


def _moved(session: FittingSession) -> None:
    Shop.objects.filter(pk=session.shop_id).update(revision=F("revision") + 1)
    others = FittingSession.objects.of(session.shop_id).filter(bay=session.bay_id, agreed_at=None)
    for other in others.exclude(pk=session.pk):
        announce(next_revision(other), "bay")
