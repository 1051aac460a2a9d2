"""The short end as it is shown."""

from __future__ import annotations

from collections.abc import Collection

from hemicycle_core.answers.clubs import mean_of
from hemicycle_core.answers.day import planned
from hemicycle_core.answers.short_tests import standings
from hemicycle_core.answers.short_tests.part_swing import card_of, on_the_card
from hemicycle_core.bag import nearest_slot
from hemicycle_core.facts import Club
from hemicycle_core.heads import HeadType
from hemicycle_core.judge.claims import Claimed
from hemicycle_core.judge.cut import CutPlace, proposed_here
from hemicycle_core.rack.eligible import goes_into
from hemicycle_core.rack.sole_search import nearest_bent
from hemicycle_core.rack.stock import check_loft
from hemicycle_core.runs import swing_words
from hemicycle_core.said import NOTHING, Form, Said, angle, joined, say, term
from hemicycle_core.wedges import End, Step
from hemicycle_core.wedges.flight import SOURCE
from rack.models import Shaft

from ...domain.rows import SessionRows
from ...domain.session import JudgedSession
from ...domain.soles import wedge_head
from ..schemas.wedges import (
    CardOut,
    CardRowOut,
    CellOut,
    ClaimOut,
    EndOut,
    PlaceOut,
    SchoolsOut,
    ShortEndOut,
    SoleOut,
    StepOut,
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
        minutes=_minutes(judged),
        school=judged.facts.brief.school,
        why=found.why,
        sentence=found.sentence,
        unhit=list(found.unhit),
        open_under=found.open_under,
        schools=None if schools is None else SchoolsOut(schools.each, schools.part, schools.proposed, schools.sentence),
        places=[_place(place, ids, coming, judged.decision.bag.dropped) for place in judged.stand.places],
        recheck=judged.ends.recheck,
        card=present_card(judged),
        stops=present_stops(judged),
    )


def _minutes(judged: JudgedSession) -> Said:
    """What the visit still takes."""
    running = [each.standing.minutes for each in judged.soles if not each.told]
    blind = {key: pair.kept for key, pair in judged.rows.blind_now.items()}
    return planned(judged.ends, standings(judged.facts, blind), sole_left=sum(running) if running else None).sentence


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
