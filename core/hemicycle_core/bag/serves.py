"""Any two clubs read as neighbours, and where else a build serves than in the space it is tried for."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from ..samples.overlap import overlap
from ..units import feet, metres, shown, whole, whole_yards, yd_text
from .clubs import Carried
from .gaps import CROWDED_M, Coverage, Gap
from .remarks import spread_of
from .slots import KEPT_M, lay_out_slots

OTHER_HEIGHT_M = metres(10 / 3)  # ten feet: what makes two clubs of one carry two clubs


@dataclass(frozen=True)
class Neighbours:
    """Two clubs side by side, metres. step_m: between their carries; coverage_m: upper carry less lower total, positive
    is uncovered; often: how many in ten shots of one land in the other's yardage."""

    lower: str
    upper: str
    step_m: float
    coverage_m: float
    often: int
    sentence: str


def as_neighbours(first: Carried, second: Carried) -> Neighbours:
    """Two clubs as if no other lay between them."""
    lower, upper = sorted((first, second), key=lambda club: (club.carry_m, club.name))
    step, left = upper.carry_m - lower.carry_m, upper.carry_m - lower.total_m
    shared = overlap(step, spread_of(lower), spread_of(upper))
    words = f"{lower.name} and {upper.name} carry the same"
    if whole_yards(step) > 0:
        words = f"{upper.name} carries {yd_text(step)} yd past {lower.name}"
    if whole_yards(left) > 0:
        words += f"; {yd_text(left)} yd between where {lower.name} stops and that carry"
    elif whole_yards(left) < 0:
        words += f"; {lower.name} rolls {yd_text(-left)} yd past that carry"
    often = int(whole(shared * 10))
    words += f"; {often} in 10 of one land in the other’s yardage." if often else "; they are told apart."
    return Neighbours(lower.name, upper.name, step, left, often, words)


def serves(club: Carried, covered: Coverage, work: Gap | None, stand: Sequence[Carried]) -> list[str]:
    """Where else a build is of use: in another hole of the bag, or as the swap partner of another build. covered: the
    bag without it; work: the space it is tried for; stand: the other builds."""
    said = []
    for gap in covered.gaps:
        if gap.open_m <= 0 or (work is not None and gap.lower.name == work.lower.name):
            continue
        (slot,) = lay_out_slots(gap.lower, gap.upper, 1, rule=gap.rule, step=gap.step).slots
        if slot.low_m <= club.carry_m <= slot.high_m:
            said.append(f"Serves between {gap.lower.name} and {gap.upper.name} too: {yd_text(gap.open_m)} yd are open.")
    for other in stand:
        if other.peak_m is None or club.peak_m is None or abs(other.carry_m - club.carry_m) > KEPT_M:
            continue
        higher = club.peak_m - other.peak_m
        if abs(higher) >= OTHER_HEIGHT_M:
            way = "higher" if higher > 0 else "lower"
            said.append(f"Swap partner of {other.name}: the same carry, {shown(abs(feet(higher)))} ft {way}.")
    near = [each for each in covered.clubs if abs(each.carry_m - club.carry_m) < CROWDED_M]
    for each in near:
        apart = abs(each.carry_m - club.carry_m)
        how = f"{yd_text(apart)} yd apart" if whole_yards(apart) > 0 else "the same carry"
        said.append(f"Could stand in for {each.name}: {how}.")
    return said
