"""The short end as it is shown."""

from __future__ import annotations

from collections.abc import Collection
from typing import Any

from hemicycle_core.answers.clubs import mean_of
from hemicycle_core.answers.short_tests import (
    card_of,
    groove_pairs,
    groove_tasks_of,
    grooves_of,
    on_the_card,
    part_plan_of,
)
from hemicycle_core.bag import nearest_slot
from hemicycle_core.facts import Club
from hemicycle_core.heads import HeadType
from hemicycle_core.judge.claims import Claimed
from hemicycle_core.judge.cut import CutPlace, proposed_here
from hemicycle_core.protocols.grooves.ask import LENGTH as GROOVE_LENGTH
from hemicycle_core.protocols.grooves.ask import GrooveTask, minutes_of
from hemicycle_core.protocols.grooves.ask import next_task as next_task_of_grooves
from hemicycle_core.protocols.grooves.read import told_blind
from hemicycle_core.protocols.part_swing.ask import Task
from hemicycle_core.rack.eligible import goes_into
from hemicycle_core.rack.sole_search import nearest_bent
from hemicycle_core.rack.stock import check_loft
from hemicycle_core.runs import swing_words
from hemicycle_core.said import NOTHING, Form, Said, angle, joined, say, term
from hemicycle_core.shots import CLEAN_LIES
from hemicycle_core.wedges import End, Step
from hemicycle_core.wedges.flight import SOURCE
from rack.models import Shaft

from ...domain.grooves import BlindPair
from ...domain.rows import SessionRows
from ...domain.session import JudgedSession
from ...domain.soles import wedge_head
from ..schemas.wedges import (
    BesideOut,
    BlindGroovesOut,
    CardOut,
    CardRowOut,
    CellOut,
    ClaimOut,
    EndOut,
    FromLieBesideOut,
    GrooveCode,
    GroovePair,
    GroovePlanOut,
    GroovesOut,
    GrooveTaskOut,
    PartPlanOut,
    PlaceOut,
    SchoolsOut,
    ShortEndOut,
    SoleOut,
    StepOut,
    TaskOut,
    WedgeFlightOut,
)
from .stops import present_stops


def present_short_end(judged: JudgedSession) -> ShortEndOut | None:
    found = judged.ends.short_end
    if found is None:
        return None
    ids = {club.called: club.key for club in judged.facts.in_bag}
    schools, coming = judged.decided.schools, _coming(judged)
    return ShortEndOut(
        low=_end(found.low, ids),
        high=_end(found.high, ids),
        steps=[_step(judged, step, ids) for step in found.steps],
        widest=judged.ends.widest_step,
        stages=list(found.stages),
        school=judged.facts.brief.school,
        why=found.why,
        sentence=found.sentence,
        unhit=list(found.unhit),
        schools=None if schools is None else SchoolsOut(schools.each, schools.part, schools.proposed, schools.sentence),
        places=[_place(place, ids, coming, judged.decision.bag.dropped) for place in judged.stand.places],
        recheck=judged.ends.recheck,
        part=_plan(judged),
        card=present_card(judged),
        grooves=_groove_plan(judged),
        stops=present_stops(judged),
    )


def _groove_plan(judged: JudgedSession) -> GroovePlanOut:
    asked = _groove_tasks(judged)
    task = next_groove_task(judged)
    return GroovePlanOut(
        [_groove_task(each) for each in asked],
        minutes_of(asked),
        None if task is None else _groove_task(task),
        GROOVE_LENGTH,
        [GroovePair(old.key, fresh.key) for old, fresh in groove_pairs(judged.facts)],
        _blind(judged.rows.groove_blind),
    )


def _blind(pair: BlindPair | None) -> BlindGroovesOut | None:
    if pair is None:
        return None
    codes = [GrooveCode(code.pk, code.name) for code in pair.codes]
    who, kept = pair.test.setter, pair.kept
    assert who is not None
    return BlindGroovesOut(pair.test.pk, who.username, who.get_full_name(), codes, kept.guess, kept.confidence)


def _told_blind(judged: JudgedSession, old: int, fresh: int) -> Said:
    """What the guess of the last blind test of a pair said."""
    over = [each.kept for each in reversed(judged.rows.blind_grooves) if each.test.revealed_at is not None]
    told = next((each for each in over if (each.old, each.fresh) == (old, fresh) and each.guess is not None), None)
    if told is None or told.guess is None:
        return NOTHING
    return told_blind(right=told.club(told.guess) == told.fresh, confidence=told.confidence)


def next_groove_task(judged: JudgedSession) -> GrooveTask | None:
    """What the groove test wants next, by what is in hand and hit from."""
    said = judged.facts.asked.lie
    lie = said if said is not None and said not in CLEAN_LIES else None
    return next_task_of_grooves(_groove_tasks(judged), judged.facts.in_hand, lie)


def _groove_tasks(judged: JudgedSession) -> list[GrooveTask]:
    """What the groove test still wants, of a blind one by its codes."""
    blind = judged.rows.groove_blind
    return groove_tasks_of(judged.facts, [] if blind is None else [code.pk for code in blind.codes])


def _groove_task(task: GrooveTask) -> GrooveTaskOut:
    return GrooveTaskOut(task.club, task.lie, task.done, task.wanted)


def present_grooves(judged: JudgedSession) -> list[GroovesOut]:
    """What came of old wedges beside fresh ones."""
    return [
        GroovesOut(
            blind=_told_blind(judged, found.old, found.fresh),
            old=found.old,
            fresh=found.fresh,
            lies=[
                FromLieBesideOut(
                    lie=each.lie,
                    n_old=each.n_old,
                    n_fresh=each.n_fresh,
                    figures={
                        key: BesideOut(figure.old, figure.fresh, figure.half, figure.told)
                        for key, figure in each.figures.items()
                    },
                    sentence=each.sentence,
                )
                for each in found.lies
            ],
            worth=found.worth,
            sentence=found.sentence,
            remarks=list(found.remarks),
        )
        for found in (grooves_of(judged.bag) if judged.ends.worked_at else [])
    ]


def _plan(judged: JudgedSession) -> PartPlanOut:
    plan = part_plan_of(judged.facts)
    task = next_task(judged)
    return PartPlanOut(
        tasks=[TaskOut(**_task(each)) for each in plan.tasks],
        minutes=plan.minutes,
        short=list(plan.short),
        next=None if task is None else TaskOut(**_task(task)),
    )


def next_task(judged: JudgedSession) -> Task | None:
    """What the distance card wants next, by what is in hand."""
    facts = judged.facts
    return part_plan_of(facts).next_after(facts.in_hand, facts.asked.length)


def _task(task: Task) -> dict[str, Any]:
    return {"build": task.club, "swing": task.swing, "done": task.done, "wanted": task.wanted}


def present_card(judged: JudgedSession) -> CardOut | None:
    """The distance card as it stands."""
    card = card_of(judged.bag)
    if card is None:
        return None
    ids = {build.called: build.key for build in on_the_card(judged.facts)}
    return CardOut(
        swings=list(card.swings),
        rows=[
            CardRowOut(ids[row.name], row.stock, [CellOut(**vars(cell)) for cell in row.cells], row.sentence)
            for row in card.rows
        ],
        open=[each.sentence for each in card.open],
        shared=[each.sentence for each in card.shared],
        eases=card.eases.sentence,
        run=say("card-run-on", firmness=term("firmness", card.firmness)),
    )


def _end(end: End | None, ids: dict[str, int]) -> EndOut | None:
    if end is None:
        return None
    swing = swing_words(end.club.swing) if end.club.swing else NOTHING
    return EndOut(ids[end.club.name], end.club.carry_m, end.club.shots, swing, end.missing)


def _step(judged: JudgedSession, step: Step, ids: dict[str, int]) -> StepOut:
    alike = judged.decided.alike(step.lower.name, step.upper.name)
    words = joined([step.sentence, NOTHING if alike is None else alike.beside(step.step_m)])
    return StepOut(
        lower=ids[step.lower.name],
        upper=ids[step.upper.name],
        step_m=step.step_m,
        ball_step_mps=step.ball_step_mps,
        over_m=step.over_m,
        few=step.few,
        sentence=words,
        alike_m=None if alike is None else alike.step_m,
        alike_half_m=None if alike is None else alike.half_width_m,
    )


def _coming(judged: JudgedSession) -> dict[int, Club]:
    """The wedges that are proposed, by the place of the cut that each is nearest to: no bend is proposed there beside
    them."""
    layout = judged.work.cut
    found: dict[int, Club] = {}
    for build in judged.facts.candidates if layout is not None else ():
        carry = mean_of(build, "carry_m")
        wedge = build.is_wedge and build.letter in judged.decision.choice.letters
        if wedge and carry is not None and layout is not None:
            found[nearest_slot(layout.slots, carry.mean).index] = build
    return found


def _place(place: CutPlace, ids: dict[str, int], coming: dict[int, Club], leaves: Collection[str]) -> PlaceOut:
    new = coming.get(place.slot.index)
    bend = place.bend if new is None else None
    return PlaceOut(
        target_m=place.slot.target_m,
        low_m=place.slot.low_m,
        high_m=place.slot.high_m,
        build=ids.get(place.club),
        off_m=place.off_m,
        bend_deg=bend.change.amount if bend else None,
        bend_carry_m=bend.after["carry_m"] if bend else None,
        bend_error_m=bend.error["carry_m"] if bend else None,
        bounce_deg=bend.bounce_deg if bend else None,
        caution=(bend.change.effect.caution or NOTHING) if bend else NOTHING,
        sentence=place.sentence
        if new is None
        else proposed_here(place, f"{new.letter} {new.name}", goes=place.club in leaves),
    )


def present_flights(judged: JudgedSession) -> list[WedgeFlightOut]:
    """Each wedge that was hit full and whose loft is known, the player's own first."""
    made = []
    for build in judged.facts.wedges if judged.ends.worked_at else []:
        found = judged.stand.flights.get(build.key)
        if found is None:
            continue
        made.append(
            WedgeFlightOut(
                build=build.key,
                windows=list(found.windows.values()),
                means=dict(found.means),
                where=dict(found.where),
                high_little=found.high_little,
                sentence=found.sentence,
                causes=list(found.causes),
                source=SOURCE,
            )
        )
    return made


def present_claims(claims: list[Claimed]) -> list[ClaimOut]:
    return [ClaimOut(each.club, each.complaint, each.claim, each.sentence) for each in claims]


def present_sole(rows: SessionRows, sole: str, loft_deg: float) -> SoleOut:
    """rows: of the session whose player is to have it."""
    check_loft(HeadType.WEDGE, loft_deg)
    heads = [wedge_head(head, left_handed=rows.left_handed) for head in rows.heads if head.head_type == HeadType.WEDGE]
    found = nearest_bent(heads, sole, loft_deg)
    if found is None:
        loft = angle(loft_deg, form=Form.SHORT)
        words = say("wedges-no-such-sole", sole=sole, left_handed=rows.left_handed, loft=loft)
        return SoleOut(None, None, 0.0, words)
    chosen = next(head for head in rows.heads if head.pk == found.head.key)
    shafts = Shaft.objects.of(rows.session.shop_id).filter(retired_at=None)
    fits = next((each for each in shafts if goes_into(each.fits, each.tip_in, chosen.for_core)), None)
    return SoleOut(found.head.key, None if fits is None else fits.pk, found.bend_deg, found.sentence)
