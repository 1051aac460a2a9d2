"""The short list: which heads of this shop should land in the window for this player."""

from __future__ import annotations

from collections import defaultdict
from collections.abc import Mapping, Sequence

import numpy as np
from hemicycle_core.bag import HeadType, Slot
from hemicycle_core.judge import Liking
from hemicycle_core.rack import Expectation, HeadRecord, Offer, Ranked, shortlist
from hemicycle_core.rack.pulling import about_as_fast, rough_words, usual_shaft_g
from hemicycle_core.samples.lofts import Head as CoreHead
from hemicycle_core.units import ninety
from rack.models import Head, Shaft

from . import planning_pictures as pp
from .models import FittingSession, HeadSeen
from .read import Loaded

LONG_END = (HeadType.FAIRWAY, HeadType.HYBRID, HeadType.UTILITY)


def seen_of(session: FittingSession) -> list[HeadSeen]:
    """What the shop knows of its heads from other customers' sessions."""
    return list(HeadSeen.objects.of(session.shop_id).exclude(session__customer=session.customer_id))


def records_of(seen: Sequence[HeadSeen]) -> dict[str, HeadRecord]:
    """By the key under which `Loaded.head_of` has a head."""
    rows: dict[str, list[list[float]]] = defaultdict(list)
    for each in seen:
        rows[f"head {each.head_id}"].append(each.departure)
    return {key: HeadRecord(np.mean(departures, axis=0), len(departures)) for key, departures in rows.items()}


def shortlist_picture(loaded: Loaded) -> pp.ShortlistPicture:
    if loaded.plan is None:
        return pp.ShortlistPicture([], "No space is in work yet. The short list follows the window.", [])
    seen = seen_of(loaded.session)
    expectation = loaded.expectation(records_of(seen))
    if not expectation.known:
        why = "Hit or type two clubs of the bag at least, irons or woods: the rack is read along them."
        return pp.ShortlistPicture([], why, [])
    heads, left_out = _can_be_had(loaded)
    offers = [
        Offer(
            CoreHead(f"head {head.pk}", HeadType(head.head_type), head.loft_deg, head.length_m),
            f"{head.label} {head.maker}",
            head.sleeve_deg,
            float(head.price),
        )
        for head in heads.values()
    ]
    slots = [_slot(loaded, slot, offers, heads, seen, expectation) for slot in loaded.plan.slots]
    note = "" if expectation.by_flight else "No launches of the bag are known: this rests on carries alone."
    return pp.ShortlistPicture(slots, note, left_out)


def _slot(
    loaded: Loaded,
    slot: Slot,
    offers: Sequence[Offer],
    heads: Mapping[str, Head],
    seen: Sequence[HeadSeen],
    expectation: Expectation,
) -> list[pp.RankedPicture]:
    landing = next((target for target in loaded.targets(slot) if target.quantity == "landing_deg"), None)
    rows = shortlist(
        offers,
        expectation,
        windows={kind: _window(loaded, slot, kind) for kind in LONG_END},
        holds_deg=landing.low if landing else None,
        limits=loaded.limits,
    )
    shafts = list(Shaft.objects.of(loaded.session.shop_id))
    return [_row(loaded, row, heads[row.offer.head.key], shafts, seen) for row in rows]


def _window(loaded: Loaded, slot: Slot, kind: HeadType) -> tuple[float, float]:
    carry = next(target for target in loaded.targets_as(slot, kind) if target.quantity == "carry_m")
    return (slot.low_m if carry.low is None else carry.low, slot.high_m if carry.high is None else carry.high)


def _can_be_had(loaded: Loaded) -> tuple[dict[str, Head], list[str]]:
    """Heads for this hand that are there and that the player would play; and what was left out, with the reason."""
    session = loaded.session
    there, out = {}, []
    for head in Head.objects.of(session.shop_id).filter(head_type__in=LONG_END):
        name = f"{head.label} {head.maker}"
        if session.customer.hand == "left" and not head.left_handed:
            out.append(f"{name}: not made left-handed.")
        elif head.stock == 0:
            out.append(f"{name}: none in stock.")
        elif session.likes.get(head.head_type) == Liking.VETOED:
            out.append(f"{name}: vetoed by the player.")
        elif session.budget is not None and head.price > session.budget:
            out.append(f"{name}: {head.price:.0f} is over the budget.")
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
    loaded: Loaded, row: Ranked, head: Head, shafts: Sequence[Shaft], seen: Sequence[HeadSeen]
) -> pp.RankedPicture:
    shaft = shaft_for(head, shafts, loaded.driver_speed_mps)
    mine = [each for each in seen if each.head_id == head.pk]
    expected = row.expected
    won = sum(each.won for each in mine if about_as_fast(each.ball_speed_mps, expected.ball_speed_mps))
    set_loft = head.loft_deg + row.turn_deg
    same = (
        b.letter for b in loaded.candidates if b.head_id == head.pk and abs((b.set_loft_deg or 0) - set_loft) < 0.05
    )
    return pp.RankedPicture(
        head=head.pk,
        shaft=shaft.pk if shaft else None,
        name=f"{head.maker} {head.model}",
        label=head.label,
        maker=head.maker,
        head_type=head.head_type,
        loft_deg=head.loft_deg,
        set_loft_deg=set_loft,
        turn_deg=row.turn_deg,
        length_m=head.length_m,
        price=f"{head.price:.0f}",
        carry_m=expected.carry_m,
        carry_within_m=ninety(expected.carry_sd_m),
        peak_m=expected.peak_m,
        landing_deg=expected.landing_deg,
        landing_within_deg=None if expected.landing_sd_deg is None else ninety(expected.landing_sd_deg),
        total_m=None if expected.roll_m is None else expected.carry_m + expected.roll_m,
        chance=row.chance,
        supported=row.supported,
        sentence=row.sentence,
        rough=rough_words(HeadType(head.head_type), loaded.session.lies),
        players=len(mine),
        won=won,
        letter=next(same, ""),
    )
