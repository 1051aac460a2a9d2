"""Steps, holes and overlaps between neighbours, under the rule in use."""

from __future__ import annotations

import itertools
from collections.abc import Callable, Iterable
from dataclasses import dataclass, replace
from enum import StrEnum

from ..errors import BadInput
from ..heads import HeadType
from ..said import Said, far, say, term
from ..thresholds import DEFAULT
from ..units import metres, mph
from .clubs import Carried, in_order

CLOSED_M = metres(5)  # a hole under 5 yd is closed: smaller than what a stock swing varies by
HAIR_M = 1e-6
CROWDED_M = metres(6)  # two full carries closer than this do the same job
STEP_SPEED_MPH = 95.0  # driver speed up to which the shorter step suits


class GapRule(StrEnum):
    """What a right gap is; fitters disagree, so it is chosen and named."""

    ROLL_OUT = "roll_out"  # each total reaches the next carry: tee shots and lay-ups
    CARRY_ONLY = "carry_only"  # roll-out covers nothing: into greens and over hazards
    EVEN_STEPS = "even_steps"


RULE_WORDS = {rule: term("gap-rule", rule) for rule in GapRule}


@dataclass(frozen=True)
class StepWish:
    """The carry step wanted between neighbours, metres. stretch: the share over the most by which a step is closed
    still."""

    least_m: float
    most_m: float
    stretch: float = DEFAULT.stretch_long

    def closes(self, step_m: float) -> bool:
        """Whether a step this wide is closed: a hair is no hole."""
        return step_m <= self.most_m * (1 + self.stretch) + HAIR_M

    @property
    def text(self) -> Said:
        return say("bag-step", least=far(self.least_m), most=far(self.most_m))


def wanted_step(driver_speed_mps: float | None) -> StepWish:
    """The usual step at the long end: 10 to 15 yd up to 95 mph driver speed, 15 to 20 above."""
    fast = driver_speed_mps is not None and mph(driver_speed_mps) > STEP_SPEED_MPH
    return StepWish(metres(15), metres(20)) if fast else StepWish(metres(10), metres(15))


SHORT_STEP = StepWish(metres(10), metres(15))
LEAST_STEP_M, MOST_STEP_M = metres(3), metres(40)


def check_step(least_m: float | None, most_m: float | None, *, field: str) -> None:
    """Raise BadInput for a step that no bag is cut into; neither end given means the usual one."""
    if (least_m is None) != (most_m is None):
        raise BadInput(say("bag-give-both-ends-step"), field=field)
    if least_m is not None and most_m is not None and not LEAST_STEP_M <= least_m <= most_m <= MOST_STEP_M:
        raise BadInput(say("bag-step-runs-from-smaller", low=far(LEAST_STEP_M), high=far(MOST_STEP_M)), field=field)


def check_short_rule(rule: GapRule) -> None:
    """Raise BadInput for a rule that says nothing of irons and wedges."""
    if rule is GapRule.ROLL_OUT:
        raise BadInput(say("bag-irons-wedges-played-into"), field="short_rule")


@dataclass(frozen=True)
class GapRules:
    """The rule and the step for each end of the bag. long: pairs whose longer club is a driver, wood, hybrid or
    utility iron; short: pairs whose longer club is an iron or a wedge, played into greens, where roll-out covers
    nothing and the step is 10 to 15 yd whatever the speed."""

    long: GapRule
    long_step: StepWish
    short: GapRule = GapRule.EVEN_STEPS
    short_step: StepWish = SHORT_STEP
    long_stretch: float = DEFAULT.stretch_long
    short_stretch: float = DEFAULT.stretch_short

    @property
    def wedge_step(self) -> StepWish:
        """The step wanted between wedges, with its stretch."""
        return replace(self.short_step, stretch=self.short_stretch)

    def of(self, upper: Carried) -> tuple[GapRule, StepWish]:
        """The rule and the step for the space under a club. A step counts as closed up to its stretch over the wish."""
        if upper.is_long_end:
            return self.long, replace(self.long_step, stretch=self.long_stretch)
        return self.short, self.wedge_step


def usual_rules(rule: GapRule, driver_speed_mps: float | None = None) -> GapRules:
    """The usual steps for a rule of the long end. By carry only, the next carry must be within reach of a stock
    swing, 10 to 15 yd at any speed."""
    step = SHORT_STEP if rule is GapRule.CARRY_ONLY else wanted_step(driver_speed_mps)
    return GapRules(rule, step)


@dataclass(frozen=True)
class Gap:
    """The space between two neighbours, metres.

    step_m: difference of carries. coverage_m: upper carry less lower total, positive is uncovered.
    open_m: what the rule calls uncovered, 0 when under CLOSED_M by roll-out or within the stretch of the step by the
    others; it spans open_from_m to open_to_m.
    overlap_m: yardage both own by rolling into it. crowded: their full carries are nearly one, and not on purpose.
    step: wanted here.
    """

    lower: Carried
    upper: Carried
    rule: GapRule
    step: StepWish
    step_m: float
    coverage_m: float
    open_m: float
    open_from_m: float
    open_to_m: float
    overlap_m: float
    crowded: bool


@dataclass(frozen=True)
class Coverage:
    """The bag in order with the space between each pair of neighbours, shortest first."""

    clubs: tuple[Carried, ...]
    gaps: tuple[Gap, ...]
    rules: GapRules

    @property
    def open_m(self) -> float:
        """Yardage in metres that the rules call uncovered, all holes together."""
        return sum(gap.open_m for gap in self.gaps)


def gap_between(lower: Carried, upper: Carried, rule: GapRule, step: StepWish) -> Gap:
    """The space between two neighbours by a rule and the step wanted there."""
    start = lower.total_m if rule is GapRule.ROLL_OUT else lower.carry_m + step.most_m
    open_m = upper.carry_m - start
    gap = upper.carry_m - lower.carry_m
    closed = open_m < CLOSED_M if rule is GapRule.ROLL_OUT else step.closes(gap)
    hole = 0.0 if closed else open_m
    return Gap(
        lower=lower,
        upper=upper,
        rule=rule,
        step=step,
        step_m=gap,
        coverage_m=upper.carry_m - lower.total_m,
        open_m=hole,
        open_from_m=start if hole else upper.carry_m,
        open_to_m=upper.carry_m,
        overlap_m=max(0.0, lower.total_m - upper.carry_m),
        crowded=gap < CROWDED_M and not (lower.kept_for or upper.kept_for),
    )


def coverage(clubs: Iterable[Carried], rules: GapRules) -> Coverage:
    """Look at every pair of neighbours by the rule of its end of the bag."""
    ordered = in_order(clubs)
    pairs = tuple(gap_between(lower, upper, *rules.of(upper)) for lower, upper in itertools.pairwise(ordered))
    return Coverage(clubs=ordered, gaps=pairs, rules=rules)


class BagEnd(StrEnum):
    """Which end of the bag is worked at."""

    LONG = "long"
    SHORT = "short"
    WHOLE = "whole"

    def holds(self, gap: Gap) -> bool:
        """Whether a space belongs to it: the short end reaches to the set wedge and to where the irons meet it."""
        if self is BagEnd.WHOLE:
            return True
        return (gap.lower.head_type is HeadType.WEDGE) is (self is BagEnd.SHORT)


class GapOrder(StrEnum):
    """From which end the holes are closed, one after another."""

    NEED = "need"  # the one that is missed most first: open yards times uses a round
    WIDTH = "width"
    TOP = "top"
    BOTTOM = "bottom"


def gap_at(carry_m: float, covered: Coverage) -> Gap | None:
    """The space a yardage lies in, the nearest one beyond the ends of the bag; None under two clubs."""

    def off(gap: Gap) -> float:
        return max(gap.lower.carry_m - carry_m, carry_m - gap.upper.carry_m, 0.0)

    return min((gap for gap in covered.gaps if gap.step_m > 0), key=off, default=None)


def open_gaps(covered: Coverage) -> list[Gap]:
    return [gap for gap in covered.gaps if gap.open_m > 0]


def widest_gap(covered: Coverage) -> Gap | None:
    """The widest hole, the lower one of two alike; None where nothing is open."""
    return max(open_gaps(covered), key=lambda gap: gap.open_m, default=None)


def gap_in_work(
    covered: Coverage,
    *,
    above: str | None = None,
    order: GapOrder = GapOrder.NEED,
    uses: Callable[[Gap], float | None] | None = None,
    reached: Callable[[Gap], bool] | None = None,
    end: BagEnd = BagEnd.WHOLE,
) -> Gap | None:
    """The gap to work on: the one above the club that the fitter chose, else the first in order among those that some
    head reaches at this speed; None where nothing is open.

    uses: how often a round a shot into a gap comes up, None where nobody said, which counts as once. A hole that no
    head reaches is worked when there is no other. end: of the bag that is worked at.
    """
    chosen = next((gap for gap in covered.gaps if gap.lower.name == above), None)
    if chosen is not None:
        return chosen
    holes = [gap for gap in open_gaps(covered) if end.holds(gap)]
    near = holes
    if reached is not None and len(holes) > 1:
        near = [gap for gap in holes if reached(gap)] or holes
    if order is GapOrder.TOP:
        return near[-1] if near else None
    if order is GapOrder.BOTTOM:
        return near[0] if near else None

    def need(gap: Gap) -> float:
        often = uses(gap) if uses is not None and order is GapOrder.NEED else None
        return gap.open_m * (1.0 if often is None else often)

    return max(near, key=need, default=None)
