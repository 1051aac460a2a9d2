"""Agreeing on a recommendation, once, with everything as it was shown; and correcting it in a new edition."""

from __future__ import annotations

import json
from dataclasses import asdict, replace
from typing import Any

from common.api import shown
from common.problems import Refused
from django.core.serializers.json import DjangoJSONEncoder
from django.db.models import F
from django.utils import timezone
from fitting.actions.bays import leave_bay
from fitting.actions.changes import announce, for_change, for_correction, not_meanwhile, note
from fitting.actions.pairs import going_on_already
from fitting.actions.plans import learn_heads
from fitting.domain.agreed import keep_as_agreed
from fitting.domain.session import JudgedSession, load
from fitting.models import Build, FittingSession
from hemicycle_core.answers.sets import HeadOfSet, SetAsked
from hemicycle_core.errors import BadInput
from hemicycle_core.said import NOTHING, Reader, Said, Units, in_words, plain, say
from shop.audit import action
from shop.models import Shop, User
from shop.own_units import OwnUnits

from .chosen import choice_of, leaving, side_of
from .models import Outcome, Recommendation
from .schemas import AgreeIn, LostBuild

# What changes nothing that is agreed on.
NO_MATTER = ("session.open", "session.ask", "build.in_hand", "plan.keep", "plan.drop")


@action("fit")
def agree(actor: User, session_id: int, wanted: AgreeIn) -> Recommendation:
    """Record the decision. The session and its shots do not change any more, and what is shown of it stays."""
    session = for_change(actor, session_id)
    not_meanwhile(session, None, but=NO_MATTER)
    judged = load(session)
    if any(each.test.is_on and not each.told for each in judged.soles):
        raise Refused(say("act-blind-sole-test-going"), kind="sole_test_on")
    for test in judged.rows.blind_now:
        raise going_on_already(test)
    if not judged.bag.clubs:
        raise Refused(say("act-there-no-bag-yet"), kind="no_bag")
    row = _edition(actor, judged, wanted)
    learn_heads(judged, wanted.builds)
    session.thresholds = session.shop.thresholds
    session.agreed_at = timezone.now()
    session.save(update_fields=["thresholds", "agreed_at"])
    leave_bay(session)
    Shop.objects.filter(pk=session.shop_id).update(revision=F("revision") + 1)  # what was learnt of its heads
    keep_as_agreed(
        FittingSession.objects.select_related("customer", "bay", "fitter", "shop").one(session.shop_id, session.pk)
    )
    note(session, actor, "handover.agree", f"session:{session.pk}", edition=row.edition)
    announce(session, "agreed")
    return row


@action("fit")
def correct(actor: User, session_id: int, wanted: AgreeIn) -> Recommendation:
    """A new edition of what was agreed, which names who, when and why. The one before it stays as it was."""
    session = for_correction(actor, session_id)
    not_meanwhile(session, ["handover.correct"])
    if not wanted.correction.strip():
        raise BadInput(say("act-say-why-corrected-edition"), field="correction")
    row = _edition(actor, load(session), wanted)
    note(session, actor, "handover.correct", f"session:{session.pk}", edition=row.edition, why=row.correction)
    announce(session, "agreed")
    return row


def _edition(actor: User, judged: JudgedSession, wanted: AgreeIn) -> Recommendation:
    session = judged.rows.session
    bought = _asked(wanted)
    chosen = choice_of(judged, wanted.builds, wanted.dropped, bought)
    if not wanted.reasons.strip():
        raise BadInput(say("act-say-why-sentence-nobody"), field="reasons")
    reasons, reader = wanted.reasons.strip(), reader_of(actor)
    proposed = {each.letter: each.why for each in chosen.lost}
    lost = [
        LostBuild(each.letter, each.name, as_left(each.why, proposed.get(each.letter, NOTHING), reader))
        for each in wanted.lost
    ]
    final = replace(chosen, reasons=as_left(reasons, chosen.reasons, reader), lost=lost)
    row = Recommendation.objects.create(
        shop_id=session.shop_id,
        session=session,
        edition=session.recommendations.count() + 1,
        correction=wanted.correction.strip(),
        decision=Outcome.BUY if wanted.builds else Outcome.DROP if wanted.dropped else Outcome.KEEP,
        runner_up=_runner_up(session, wanted),
        reasons=reasons,
        lost=_plain([shown(each) for each in lost]),
        next_check=wanted.next_check,
        agreed_by=actor,
        picture=_plain({"choice": shown(final), "before": shown(side_of(judged))}),
    )
    row.builds.set(wanted.builds)
    row.dropped.set(leaving(judged, wanted.dropped, bought))
    return row


def _asked(wanted: AgreeIn) -> SetAsked | None:
    """The set that is ordered with one of the builds."""
    given = wanted.set
    if given is None:
        return None
    heads = tuple(HeadOfSet(each.head, each.bend_deg) for each in given.heads)
    return SetAsked(given.build, heads, given.loft_deg, given.lie_deg)


def as_left(text: str, proposed: Said, reader: Reader) -> Said:
    """What a fitter left as it was proposed stays data, to be read in anybody's words and units; what was written
    otherwise is text."""
    return proposed if text.strip() == in_words(proposed, reader).strip() else plain(text)


def reader_of(actor: User) -> Reader:
    """As whoever signed in reads."""
    return Reader(Units(**asdict(OwnUnits(**actor.units)), currency=actor.shop.currency if actor.shop else ""))


def _runner_up(session: FittingSession, wanted: AgreeIn) -> Build | None:
    """The first of the builds that lost, as the fitter ordered them."""
    letters = [lost.letter for lost in wanted.lost]
    if not letters:
        return None
    return Build.objects.of(session.shop_id).filter(session=session, letter=letters[0]).first()


def _plain(data: Any) -> Any:
    """JSON as it will be read back."""
    return json.loads(json.dumps(data, cls=DjangoJSONEncoder))
