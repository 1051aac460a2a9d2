"""Steps, holes and overlaps between neighbours, under the rule in use."""

from __future__ import annotations

import itertools
from collections.abc import Iterable
from dataclasses import dataclass
from enum import StrEnum

from ..units import metres, mph, yards
from .clubs import Carried, in_order

CLOSED_M = metres(5)  # a hole under 5 yd is closed: smaller than what a stock swing varies by
CROWDED_M = metres(6)  # two full carries closer than this do the same job
STEP_SPEED_MPH = 95.0  # driver speed up to which the shorter step suits


class GapRule(StrEnum):
    """What a right gap is; fitters disagree, so it is chosen and named."""

    ROLL_OUT = "roll_out"  # each total reaches the next carry: tee shots and lay-ups
    CARRY_ONLY = "carry_only"  # roll-out covers nothing: into greens and over hazards
    EVEN_STEPS = "even_steps"


RULE_WORDS = {
    GapRule.ROLL_OUT: "roll-out meets carry",
    GapRule.CARRY_ONLY: "carry only",
    GapRule.EVEN_STEPS: "even carry steps",
}


@dataclass(frozen=True)
class StepWish:
    """The carry step wanted between neighbours, metres."""

    least_m: float
    most_m: float

    @property
    def text(self) -> str:
        return f"{round(yards(self.least_m))} to {round(yards(self.most_m))}"


def wanted_step(driver_speed_mps: float | None) -> StepWish:
    """The usual step at the long end: 10 to 15 yd up to 95 mph driver speed, 15 to 20 above."""
    fast = driver_speed_mps is not None and mph(driver_speed_mps) > STEP_SPEED_MPH
    return StepWish(metres(15), metres(20)) if fast else StepWish(metres(10), metres(15))


SHORT_STEP = StepWish(metres(10), metres(15))


@dataclass(frozen=True)
class Between:
    """The space between two neighbours, metres.

    step_m: difference of carries. coverage_m: upper carry less lower total, positive is uncovered.
    hole_m: what the rule calls uncovered, 0 when under CLOSED_M; it spans hole_from_m to hole_to_m.
    overlap_m: yardage both own by rolling into it. crowded: their full carries are nearly one.
    """

    lower: Carried
    upper: Carried
    rule: GapRule
    step_m: float
    coverage_m: float
    hole_m: float
    hole_from_m: float
    hole_to_m: float
    overlap_m: float
    crowded: bool


@dataclass(frozen=True)
class Coverage:
    """The bag in order with the space between each pair of neighbours, shortest first."""

    clubs: tuple[Carried, ...]
    between: tuple[Between, ...]
    rule: GapRule
    step: StepWish


def _between(lower: Carried, upper: Carried, rule: GapRule, step: StepWish) -> Between:
    start = lower.total_m if rule is GapRule.ROLL_OUT else lower.carry_m + step.most_m
    open_m = upper.carry_m - start
    hole = open_m if open_m >= CLOSED_M else 0.0
    gap = upper.carry_m - lower.carry_m
    return Between(
        lower=lower,
        upper=upper,
        rule=rule,
        step_m=gap,
        coverage_m=upper.carry_m - lower.total_m,
        hole_m=hole,
        hole_from_m=start if hole else upper.carry_m,
        hole_to_m=upper.carry_m,
        overlap_m=max(0.0, lower.total_m - upper.carry_m),
        crowded=gap < CROWDED_M,
    )


def coverage(clubs: Iterable[Carried], *, rule: GapRule, step: StepWish) -> Coverage:
    """Look at every pair of neighbours.

    rule and step hold for the long end; by carry only the next carry must be within reach of a stock swing, 10 to
    15 yd whatever the speed. A pair whose longer club is an iron or a wedge is always looked
    at by even carry steps of 10 to 15 yd: those are played into greens, where roll-out covers nothing.
    """
    ordered = in_order(club for club in clubs)
    step = SHORT_STEP if rule is GapRule.CARRY_ONLY else step
    pairs = tuple(
        _between(lower, upper, rule, step)
        if upper.is_long_end
        else _between(lower, upper, GapRule.EVEN_STEPS, SHORT_STEP)
        for lower, upper in itertools.pairwise(ordered)
    )
    return Coverage(clubs=ordered, between=pairs, rule=rule, step=step)


def widest_hole(covered: Coverage, *, skip_above: frozenset[str] = frozenset()) -> Between | None:
    """The widest hole; pairs whose upper club is named in skip_above are passed over."""
    holes = [gap for gap in covered.between if gap.hole_m > 0 and gap.upper.name not in skip_above]
    return max(holes, key=lambda gap: gap.hole_m, default=None)
