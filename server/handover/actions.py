"""Agreeing on a recommendation: once, whole, and with the page as it was."""

from __future__ import annotations

import json
from dataclasses import asdict, replace
from typing import Any

from config.problems import Refused
from django.core.serializers.json import DjangoJSONEncoder
from django.utils import timezone
from feed.live import announce
from fitting.actions.plans import learn_heads
from fitting.actions.sessions import for_change
from fitting.models import Build, FittingSession
from fitting.read import load
from hemicycle_core.errors import BadInput
from shop.audit import action, record
from shop.models import User

from .draft import bag_side, draft
from .models import Decision, Recommendation
from .pictures import AgreeInput


@action("fit")
def agree(actor: User, session_id: int, wanted: AgreeInput) -> Recommendation:
    """Record the decision. The session and its shots do not change any more."""
    session = for_change(actor, session_id)
    loaded = load(session)
    if not loaded.bag:
        raise Refused("There is no bag yet to recommend anything for.", kind="no_bag")
    chosen = draft(loaded, wanted.builds, wanted.dropped)
    if not wanted.reasons.strip():
        raise BadInput("Say why, in a sentence: nobody remembers it in a year.", field="reasons")
    final = replace(chosen, reasons=wanted.reasons.strip(), lost=wanted.lost)
    runner_up = _runner_up(session, wanted)
    row = Recommendation.objects.create(
        shop_id=session.shop_id,
        session=session,
        revision=session.recommendations.count() + 1,
        decision=Decision.BUY if wanted.builds else Decision.DROP if wanted.dropped else Decision.KEEP,
        runner_up=runner_up,
        reasons=final.reasons,
        lost=[asdict(lost) for lost in wanted.lost],
        next_check=wanted.next_check,
        agreed_by=actor,
        picture=_plain({"choice": asdict(final), "before": asdict(bag_side(loaded))}),
    )
    row.builds.set(wanted.builds)
    row.dropped.set(wanted.dropped)
    session.agreed_at = timezone.now()
    session.thresholds = session.shop.thresholds
    session.save()
    record(session.shop_id, actor, "handover.agree", f"session:{session.pk}", revision=row.revision)
    learn_heads(loaded, wanted.builds)
    announce(session, "agreed")
    return row


def _runner_up(session: FittingSession, wanted: AgreeInput) -> Build | None:
    """The first of the builds that lost, as the fitter ordered them."""
    letters = [lost.letter for lost in wanted.lost]
    if not letters:
        return None
    return Build.objects.of(session.shop_id).filter(session=session, letter=letters[0]).first()


def _plain(data: dict[str, Any]) -> Any:
    """JSON as it will be read back."""
    return json.loads(json.dumps(data, cls=DjangoJSONEncoder))
