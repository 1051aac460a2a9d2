"""What each kind of head can do at this player's speed: how it lands and rolls at a carry, and what no head can."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from ..bag import HeadType
from ..bag.clubs import usual_length_m
from ..heads import HEAD_WORDS
from ..said import NOTHING, Said, angle, far, joined, say
from .expected import Expectation
from .lofts import LoftedHead

Floats = NDArray[np.float64]

TYPES = (HeadType.FAIRWAY, HeadType.HYBRID, HeadType.UTILITY)
LOFTS = np.arange(14.0, 33.0, 1.0)
DOUBT_DEG = 1.0  # steeper by this much is no more than a turn of a sleeve finds


@dataclass(frozen=True)
class TypeLine:
    """One kind of head over its lofts, shortest carry first, arrays (n,): carry and roll-out in metres, landing in
    degrees."""

    carry_m: Floats
    landing_deg: Floats
    roll_m: Floats

    def landing_at(self, carry_m: float) -> float:
        return float(np.interp(carry_m, self.carry_m, self.landing_deg))

    def roll_at(self, carry_m: float) -> float:
        return float(np.interp(carry_m, self.carry_m, self.roll_m))


def type_lines(expectation: Expectation) -> dict[HeadType, TypeLine]:
    """Every usual head of the long end as this player should hit it; empty where flights are not known."""
    if not expectation.by_flight:
        return {}
    heads = [LoftedHead("", kind, float(loft), usual_length_m(kind, loft)) for kind in TYPES for loft in LOFTS]
    table = np.stack(expectation.middles(heads)).reshape(3, len(TYPES), len(LOFTS))
    order = [np.argsort(table[0, row]) for row in range(len(TYPES))]
    return {kind: TypeLine(*table[:, row, order[row]]) for row, kind in enumerate(TYPES)}


@dataclass(frozen=True)
class Reach:
    """steepest_deg: the landing angle of the steepest head that carries so far, and its type; None when none carries
    so far. longest_m: the longest carry at which some head lands as asked; None when none does. sentence: empty when
    it is within reach."""

    steepest_deg: float | None
    head_type: HeadType | None
    longest_m: float | None
    sentence: Said

    @property
    def within(self) -> bool:
        return not self.sentence


def reach(lines: Mapping[HeadType, TypeLine], *, carry_m: float, holds_deg: float) -> Reach | None:
    """Over every usual head: what lands steepest at this carry. None where flights are not known."""
    if not lines:
        return None
    there = {kind: line for kind, line in lines.items() if line.carry_m[-1] >= carry_m}
    holding = [line.carry_m[line.landing_deg >= holds_deg] for line in lines.values()]
    longest = max((float(each.max()) for each in holding if each.size), default=None)
    if not there:
        most = max(line.carry_m[-1] for line in lines.values())
        return Reach(None, None, longest, say("rack-no-club-carries", carry=far(carry_m), most=far(most)))
    kind = max(there, key=lambda each: there[each].landing_at(carry_m))
    lands = there[kind].landing_at(carry_m)
    if lands >= holds_deg - DOUBT_DEG:
        return Reach(lands, kind, longest, NOTHING)
    said = [say("rack-lands-at-the-most", carry=far(carry_m), lands=angle(lands), kind=HEAD_WORDS[kind])]
    if longest:
        said.append(say("rack-within-reach-up-to", holds=angle(holds_deg), longest=far(longest)))
    return Reach(lands, kind, longest, joined(said))
