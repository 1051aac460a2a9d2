"""Any two clubs read as neighbours, and where else a build serves than in the space it is tried for."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from ..said import Said, far, high, joined, say
from ..samples.overlap import overlap
from ..units import metres, whole, whole_yards
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
    sentence: Said


def as_neighbours(first: Carried, second: Carried) -> Neighbours:
    """Two clubs as if no other lay between them."""
    lower, upper = sorted((first, second), key=lambda club: (club.carry_m, club.name))
    step, left = upper.carry_m - lower.carry_m, upper.carry_m - lower.total_m
    shared = overlap(step, spread_of(lower), spread_of(upper))
    often, names = int(whole(shared * 10)), {"lower": lower.name, "upper": upper.name}
    words = [
        say("bag-carries-past", step=far(step), **names) if whole_yards(step) > 0 else say("bag-carry-same", **names)
    ]
    if whole_yards(left) > 0:
        words.append(say("bag-left-between", left=far(left), lower=lower.name))
    elif whole_yards(left) < 0:
        words.append(say("bag-rolls-past", lower=lower.name, left=far(-left)))
    words.append(say("bag-land-in-the-others", n=often) if often else say("bag-told-apart"))
    return Neighbours(lower.name, upper.name, step, left, often, say("sentence", said=joined(words, "; ")))


def serves(club: Carried, covered: Coverage, work: Gap | None, stand: Sequence[Carried]) -> list[Said]:
    """Where else a build is of use: in another hole of the bag, or as the swap partner of another build. covered: the
    bag without it; work: the space it is tried for; stand: the other builds."""
    said = []
    for gap in covered.gaps:
        if gap.open_m <= 0 or (work is not None and gap.lower.name == work.lower.name):
            continue
        (slot,) = lay_out_slots(gap.lower, gap.upper, 1, rule=gap.rule, step=gap.step).slots
        if slot.low_m <= club.carry_m <= slot.high_m:
            ends = {"lower": gap.lower.name, "upper": gap.upper.name}
            said.append(say("bag-serves-elsewhere", open=far(gap.open_m), **ends))
    for other in stand:
        if other.peak_m is None or club.peak_m is None or abs(other.carry_m - club.carry_m) > KEPT_M:
            continue
        higher = club.peak_m - other.peak_m
        if abs(higher) >= OTHER_HEIGHT_M:
            by = high(abs(higher))
            said.append(say("bag-swap-partner", name=other.name, by=by, higher=higher > 0))
    near = [each for each in covered.clubs if abs(each.carry_m - club.carry_m) < CROWDED_M]
    for each in near:
        apart = abs(each.carry_m - club.carry_m)
        said.append(say("bag-stands-in", name=each.name, differ=whole_yards(apart) > 0, apart=far(apart)))
    return said
