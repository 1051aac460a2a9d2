"""Steps, holes and overlaps between neighbours, under the rule in use."""

from __future__ import annotations

import itertools
from collections.abc import Iterable
from dataclasses import dataclass
from enum import StrEnum

from ..errors import BadInput
from ..heads import HeadType
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
LEAST_STEP_M, MOST_STEP_M = metres(3), metres(40)


def check_step(least_m: float | None, most_m: float | None, *, field: str) -> None:
    """Raise BadInput for a step that no bag is cut into; neither end given means the usual one."""
    if (least_m is None) != (most_m is None):
        raise BadInput("Give both ends of the step, or neither for the usual one.", field=field)
    if least_m is not None and most_m is not None and not LEAST_STEP_M <= least_m <= most_m <= MOST_STEP_M:
        raise BadInput("A step runs from its smaller to its larger end, 3 to 40 yd.", field=field)


def check_short_rule(rule: GapRule) -> None:
    """Raise BadInput for a rule that says nothing of irons and wedges."""
    if rule is GapRule.ROLL_OUT:
        raise BadInput("Irons and wedges are played into greens: roll-out covers nothing there.", field="short_rule")


@dataclass(frozen=True)
class GapRules:
    """The rule and the step for each end of the bag. long: pairs whose longer club is a driver, wood, hybrid or
    utility iron; short: pairs whose longer club is an iron or a wedge, played into greens, where roll-out covers
    nothing and the step is 10 to 15 yd whatever the speed."""

    long: GapRule
    long_step: StepWish
    short: GapRule = GapRule.EVEN_STEPS
    short_step: StepWish = SHORT_STEP

    def of(self, upper: Carried) -> tuple[GapRule, StepWish]:
        """The rule and the step for the space under a club."""
        return (self.long, self.long_step) if upper.is_long_end else (self.short, self.short_step)


def usual_rules(rule: GapRule, driver_speed_mps: float | None = None) -> GapRules:
    """The usual steps for a rule of the long end. By carry only, the next carry must be within reach of a stock
    swing, 10 to 15 yd at any speed."""
    step = SHORT_STEP if rule is GapRule.CARRY_ONLY else wanted_step(driver_speed_mps)
    return GapRules(rule, step)


@dataclass(frozen=True)
class Gap:
    """The space between two neighbours, metres.

    step_m: difference of carries. coverage_m: upper carry less lower total, positive is uncovered.
    open_m: what the rule calls uncovered, 0 when under CLOSED_M; it spans open_from_m to open_to_m.
    overlap_m: yardage both own by rolling into it. crowded: their full carries are nearly one. step: wanted here.
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


def _gap(lower: Carried, upper: Carried, rule: GapRule, step: StepWish) -> Gap:
    start = lower.total_m if rule is GapRule.ROLL_OUT else lower.carry_m + step.most_m
    open_m = upper.carry_m - start
    hole = open_m if open_m >= CLOSED_M else 0.0
    gap = upper.carry_m - lower.carry_m
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
        crowded=gap < CROWDED_M,
    )


def coverage(clubs: Iterable[Carried], rules: GapRules) -> Coverage:
    """Look at every pair of neighbours by the rule of its end of the bag."""
    ordered = in_order(clubs)
    pairs = tuple(_gap(lower, upper, *rules.of(upper)) for lower, upper in itertools.pairwise(ordered))
    return Coverage(clubs=ordered, gaps=pairs, rules=rules)


def widest_gap(covered: Coverage, *, skip_above: frozenset[str] = frozenset()) -> Gap | None:
    """The widest hole; pairs whose upper club is named in skip_above are passed over."""
    holes = [gap for gap in covered.gaps if gap.open_m > 0 and gap.upper.name not in skip_above]
    return max(holes, key=lambda gap: gap.open_m, default=None)


def gap_in_work(covered: Coverage, *, above: str | None = None) -> Gap | None:
    """The gap to work on: the one above the club that the fitter chose, else the widest that is open under the
    driver, else the widest there is; None where nothing is open."""
    chosen = next((gap for gap in covered.gaps if gap.lower.name == above), None)
    if chosen is not None:
        return chosen
    drivers = frozenset(club.name for club in covered.clubs if club.head_type is HeadType.DRIVER)
    return widest_gap(covered, skip_above=drivers) or widest_gap(covered)
