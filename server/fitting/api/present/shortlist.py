"""The short list: which heads of this shop should land in the window for this player."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field

from django.db.models import Count
from hemicycle_core.answers.space import targets, targets_as
from hemicycle_core.bag import HeadType, Slot
from hemicycle_core.decision import Worth, offered
from hemicycle_core.decision.offers import as_club, in_order
from hemicycle_core.judge import Liking
from hemicycle_core.rack import Expectation, Offer, Ranked, shortlist
from hemicycle_core.rack.eligible import SWUNG_FULL, same_setting, why_not
from hemicycle_core.rack.lofts import LoftedHead as CoreHead
from hemicycle_core.rack.pulling import about_as_fast, rough_words, usual_shaft_g
from hemicycle_core.said import NOTHING, Said, say
from hemicycle_core.units import ninety, shown
from rack.models import Head, Shaft

from ...domain.rows import records_of, seen_of
from ...domain.session import JudgedSession
from ...models import FittingSession
from ..schemas.shortlist import RankedOut, ShortlistOut


@dataclass
class _Seen:
    """players: that hit a head; won_at_mps: the ball speeds of those for whom it was chosen."""

    players: int = 0
    won_at_mps: list[float] = field(default_factory=list)


def _seen(session: FittingSession, heads: Mapping[str, Head]) -> dict[int, _Seen]:
    """By head."""
    mine = seen_of(session).filter(head__in=[head.pk for head in heads.values()])
    players = mine.values("head").annotate(players=Count("pk")).values_list("head", "players")
    found = {head: _Seen(many) for head, many in players}
    for head, ball_speed_mps in mine.filter(won=True).values_list("head", "ball_speed_mps"):
        found.setdefault(head, _Seen()).won_at_mps.append(ball_speed_mps)
    return found


def present_shortlist(judged: JudgedSession) -> ShortlistOut:
    session, layout = judged.rows.session, judged.work.layout
    if layout is None and not judged.work.wanted.windowless:
        return ShortlistOut(session.revision, [], say("act-no-space-work-yet"), [])
    expectation = judged.known.expectation(records_of(session))
    if not expectation.known:
        why = say("act-hit-type-two-clubs")
        return ShortlistOut(session.revision, [], why, [])
    heads, left_out = _can_be_had(judged)
    seen = _seen(session, heads)
    offers = [
        Offer(
            CoreHead(f"head {head.pk}", HeadType(head.head_type), head.loft_deg, head.length_m),
            f"{head.label} {head.maker}".strip(),
            head.sleeve_deg,
            float(head.price),
        )
        for head in heads.values()
    ]
    places: Sequence[Slot | None] = layout.slots if layout else [None]
    slots = [_slot(judged, slot, offers, heads, seen, expectation) for slot in places]
    note = NOTHING if expectation.by_flight else say("act-no-launches-bag-known")
    return ShortlistOut(session.revision, slots, note, left_out)


def _slot(
    judged: JudgedSession,
    slot: Slot | None,
    offers: Sequence[Offer],
    heads: Mapping[str, Head],
    seen: Mapping[int, _Seen],
    expectation: Expectation,
) -> list[RankedOut]:
    """slot: None where no carry is asked."""
    asked = judged.work.without_window if slot is None else targets(judged.work, slot)
    demands = [target for target in asked if target.quantity in judged.work.wanted.demands]
    landing = next((each for each in asked if each.quantity == "landing_deg" and each not in demands), None)
    rows = shortlist(
        offers,
        expectation,
        windows=None if slot is None else {kind: _window(judged, slot, kind) for kind in SWUNG_FULL},
        holds_deg=landing.low if landing else None,
        demands=demands,
        thresholds=judged.thresholds,
    )
    there = Shaft.objects.of(judged.rows.session.shop_id).filter(retired_at=None).exclude(stock=0)
    shafts = list(there)
    worths = offered(judged.decision, [as_club(row) for row in rows], judged.facts.played_jobs)
    return [_row(judged, row, worth, heads[row.offer.head.key], shafts, seen) for row, worth in in_order(rows, worths)]


def _window(judged: JudgedSession, slot: Slot, kind: HeadType) -> tuple[float, float]:
    carry = next(target for target in targets_as(judged.work, slot, kind) if target.quantity == "carry_m")
    return (slot.low_m if carry.low is None else carry.low, slot.high_m if carry.high is None else carry.high)


def _can_be_had(judged: JudgedSession) -> tuple[dict[str, Head], list[Said]]:
    """Heads that this player can be handed, by key; and what was left out, with the reason."""
    session, brief = judged.rows.session, judged.facts.brief
    vetoed = [kind for kind, liking in brief.likes.items() if liking == Liking.VETOED]
    budget = None if brief.budget is None else float(brief.budget)
    there, out = {}, []
    for head in Head.objects.of(session.shop_id).filter(head_type__in=SWUNG_FULL, retired_at=None):
        why = why_not(head.for_core, left_handed=judged.facts.left_handed, vetoed=vetoed, budget=budget)
        if not why and brief.maker_likes.get(head.maker) == Liking.VETOED:
            why = say("shortlist-maker-vetoed", maker=head.maker)
        if why:
            out.append(say("shortlist-left-out", head=f"{head.label} {head.maker}", why=why))
        else:
            there[f"head {head.pk}"] = head
    return there, out


def shaft_for(head: Head, shafts: Sequence[Shaft], driver_speed_mps: float | None) -> Shaft | None:
    """The shaft that goes into a head and comes nearest to the weight usual at this speed, so that the builds of one
    short list differ little in it."""
    wanted = usual_shaft_g(driver_speed_mps)
    fitting = [shaft for shaft in shafts if shaft.goes_into(head)]
    return min(fitting, key=lambda shaft: (abs(shaft.weight_g - wanted), shaft.pk), default=None)


def _row(
    judged: JudgedSession,
    row: Ranked,
    worth: Worth | None,
    head: Head,
    shafts: Sequence[Shaft],
    seen: Mapping[int, _Seen],
) -> RankedOut:
    shaft = shaft_for(head, shafts, judged.known.driver_speed_mps)
    mine = seen.get(head.pk, _Seen())
    expected = row.expected
    won = sum(about_as_fast(each, expected.ball_speed_mps) for each in mine.won_at_mps)
    set_loft = head.loft_deg + row.turn_deg
    mine_here = (club for club in judged.facts.candidates if club.head is not None and club.head.key == head.pk)
    same = (club.letter for club in mine_here if same_setting(club.set_loft_deg, set_loft))
    return RankedOut(
        head=head.pk,
        shaft=shaft.pk if shaft else None,
        name=f"{head.maker} {head.model}".strip(),
        label=head.label,
        maker=head.maker,
        head_type=HeadType(head.head_type),
        loft_deg=head.loft_deg,
        set_loft_deg=set_loft,
        turn_deg=row.turn_deg,
        length_m=head.length_m,
        price=f"{shown(float(head.price))}",
        carry_m=expected.carry_m,
        carry_within_m=ninety(expected.carry_sd_m),
        peak_m=expected.peak_m,
        landing_deg=expected.landing_deg,
        landing_within_deg=None if expected.landing_sd_deg is None else ninety(expected.landing_sd_deg),
        total_m=None if expected.roll_m is None else expected.carry_m + expected.roll_m,
        chance=row.chance,
        saves=worth.saves if worth is not None and row.supported else None,
        supported=row.supported,
        sentence=row.sentence,
        rough=rough_words(HeadType(head.head_type), judged.facts.brief.lies),
        players=mine.players,
        won=won,
        letter=next(same, ""),
    )
