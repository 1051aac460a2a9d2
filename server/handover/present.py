"""The handover as it is shown: what may be chosen, the bag it makes, why the others lost; once agreed, as it was."""

from __future__ import annotations

from collections.abc import Iterable
from datetime import date

from common.api import as_
from customers.schemas import units_of
from fitting.api.present.wedges import present_claims
from fitting.api.schemas.wedges import ClaimOut
from fitting.domain.session import JudgedSession
from fitting.models import AgreedAnswers, BagPlan, FittingSession
from hemicycle_core.answers.claims import claims_of
from hemicycle_core.answers.decided import exchange
from hemicycle_core.answers.sets import made_of, number_on, offers
from hemicycle_core.bag import BagEnd
from hemicycle_core.bag.gaps import RULE_WORDS
from hemicycle_core.followup import CHECK_AFTER_MONTHS
from hemicycle_core.rack.made import bears_deg
from hemicycle_core.said import NOTHING, say

from .chosen import choice_of, side_of, suggestion, tested_of, verdicts_of
from .models import Outcome, Recommendation
from .schemas import AgreedOut, BagSide, ChosenOut, HandoverOut, PlanLine, SetHeadOut, SetOfferOut

CAUTIONS = [
    say("act-fourteen-clubs-most-play"),
    say("act-after-any-change-setting"),
    say("act-makers-instructions-local-rules"),
]


def present_plan_choices(judged: JudgedSession, kept: Iterable[BagPlan]) -> list[PlanLine]:
    """The plans that were kept, as choices. Of a pair that is swapped by course both come in."""
    verdicts, made = verdicts_of(judged), []
    for plan in kept:
        come, leave = exchange(judged.decided, {str(build.pk) for build in plan.builds.all()})
        hit = [build.key for build in come if build.letter in verdicts]
        unhit = [build.letter for build in come if build.letter not in verdicts]
        made.append(PlanLine(plan.name, hit, [build.key for build in leave], unhit))
    return made


def present_agreed(row: Recommendation) -> AgreedOut:
    choice = as_(ChosenOut, row.picture["choice"])
    return AgreedOut(
        edition=row.edition,
        correction=row.correction,
        decision=Outcome(row.decision),
        agreed_at=row.agreed_at,
        agreed_by=row.agreed_by.get_full_name() or row.agreed_by.username,
        reasons=choice.reasons,
        next_check=row.next_check,
        runner_up=f"{row.runner_up.letter} {row.runner_up.name}" if row.runner_up else "",
        choice=choice,
        before=as_(BagSide, row.picture["before"]),
    )


def next_check(held_on: date) -> date:
    """When to look again if nothing else is said; the 29th of February becomes the 28th."""
    years, month = divmod(held_on.month - 1 + CHECK_AFTER_MONTHS, 12)
    leap = held_on.month == 2 and held_on.day == 29
    return held_on.replace(year=held_on.year + years, month=month + 1, day=28 if leap else held_on.day)


def _claims(judged: JudgedSession) -> list[ClaimOut]:
    """What bothers the player, answered; of an agreed session as it was answered then."""
    session = judged.rows.session
    kept = AgreedAnswers.objects.of(session.shop_id).filter(session=session).first() if session.agreed_at else None
    if kept is None:
        return present_claims(claims_of(judged.stand))
    return [as_(ClaimOut, each) for each in kept.answers.get("bench", {}).get("claims", [])]


def _sets(judged: JudgedSession) -> list[SetOfferOut]:
    """The sets that can be ordered with an iron that may be recommended."""
    told, made = verdicts_of(judged), []
    for offer in offers(judged.facts):
        if offer.build.letter not in told or offer.build.head is None:
            continue
        heads = [head for heads in offer.models for head in heads]
        made.append(
            SetOfferOut(
                build=offer.build.key,
                head=offer.build.head.key,
                heads=[
                    SetHeadOut(
                        each.key,
                        number_on(each),
                        each.label,
                        each.set_of,
                        each.loft_deg,
                        each.length_m,
                        bears_deg(made_of(each)),
                    )
                    for each in heads
                ],
                usual=offer.usual,
                loft_deg=offer.build.made.bent_deg,
                lie_deg=offer.build.made.lie_bent_deg,
            )
        )
    return made


def present_handover(judged: JudgedSession) -> HandoverOut:
    session: FittingSession = judged.rows.session
    agreed = session.recommendations.select_related("agreed_by", "runner_up")
    rows = [present_agreed(row) for row in agreed]
    builds, leave, why = ([], [], NOTHING) if rows else suggestion(judged)
    kept = session.plans.prefetch_related("builds")
    return HandoverOut(
        session=session.pk,
        revision=session.revision,
        customer=session.customer.name,
        units=units_of(session.customer),
        try_out=session.customer.try_out,
        shop=session.shop.name,
        held_on=session.held_on,
        rule_words=RULE_WORDS[
            judged.bag.rules.short if judged.facts.brief.end is BagEnd.SHORT else judged.bag.rules.long
        ],
        before=rows[0].before if rows else side_of(judged),
        tested=tested_of(judged),
        plans=[] if rows else present_plan_choices(judged, kept),
        suggested=builds,
        suggested_drop=leave,
        suggestion=why,
        draft=rows[0].choice if rows else choice_of(judged, builds, leave),
        agreed=rows[0] if rows else None,
        earlier=rows[1:],
        claims=_claims(judged),
        cautions=CAUTIONS,
        next_check=next_check(session.held_on),
        sets=_sets(judged),
    )
