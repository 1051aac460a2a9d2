"""Carry windows for n clubs in the space between two neighbours.

Rule "roll-out meets carry". With the lower club's total L, the upper club's carry U and roll-outs
r_1..r_n, the holes left are c_1 - L, c_{i+1} - (c_i + r_i), U - (c_n + r_n). They sum to
U - L - sum(r), so the largest is smallest when all are equal: h = (U - L - sum r) / (n + 1) and
c_i = L + i h + r_1 + ... + r_{i-1}. A negative h is overlap to spare, shared evenly.

Rules "even carry steps" and "carry only" are the same with carries for totals and no roll-out; what is then uncovered
is the part of the step over the wanted one.

A window is c_i give or take a slack: SLACK_M, plus half of what overlap there is to spare. With one
club the largest hole then grows by at most SLACK_M; with more, two neighbours at the far edges of
their windows can add it twice, which `at_worst_m` states.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass, replace

from ..errors import BadInput
from ..said import Said, Sayable, far, joined, say
from ..units import metres
from .clubs import Carried
from .gaps import CLOSED_M, Gap, GapRule, GapRules, StepWish, coverage

SLACK_M = metres(3.5)  # what a fitter can set a club to: half a degree of loft is about 2 yd
KEPT_M = metres(4)  # a carry this near to the old club's is the same yardage to the player
MOST_CLUBS = 4
MOST_OFFERED = 3  # at once: a wider gap is closed in sequence, club after club, on what was measured


@dataclass(frozen=True)
class Slot:
    """A place for one club, metres: the carry wanted, the window low to high around it, the roll-out a club there
    likely has, and one standard deviation of the carry wanted, from how well the neighbours are known."""

    index: int
    target_m: float
    low_m: float
    high_m: float
    roll_m: float
    doubt_m: float = 0.0


@dataclass(frozen=True)
class SlotLayout:
    """The slots of n clubs. left_m: the largest hole left with every club on target (0: none).
    slack_m: half-width of the windows. at_worst_m: the largest hole with every club anywhere in its
    window. sentence: what one more club would do. closes: whether the rule calls what is left closed."""

    rule: GapRule
    count: int
    slots: tuple[Slot, ...]
    left_m: float
    slack_m: float
    at_worst_m: float
    sentence: Said
    closes: bool = True


def _doubt(share: float, lower: Carried, upper: Carried) -> float:
    """How far the place this share of the way up may be off, as both neighbours' figures may."""
    return math.hypot((1 - share) * lower.carry_sd_m, share * upper.carry_sd_m)


def _roll_at(carry_m: float, lower: Carried, upper: Carried) -> float:
    """Likely roll-out of a club between two neighbours, by their own: linear in carry, never negative."""
    span = upper.carry_m - lower.carry_m
    share = (carry_m - lower.carry_m) / span if span else 0.5
    return max(0.0, lower.roll_m + share * (upper.roll_m - lower.roll_m))


@dataclass(frozen=True)
class _Cut:
    carries: list[float]
    rolls: list[float]
    each_m: float  # h above; under even steps the part of the step over the wanted one
    closed: bool


def _cut(lower: Carried, upper: Carried, count: int, rule: GapRule, step: StepWish) -> _Cut:
    if rule is not GapRule.ROLL_OUT:
        each = (upper.carry_m - lower.carry_m) / (count + 1)
        carries = [lower.carry_m + i * each for i in range(1, count + 1)]
        rolls = [_roll_at(carry, lower, upper) for carry in carries]
        return _Cut(carries, rolls, each - step.most_m, step.closes(each))
    first_guess = [lower.carry_m + i * (upper.carry_m - lower.carry_m) / (count + 1) for i in range(1, count + 1)]
    rolls = [_roll_at(carry, lower, upper) for carry in first_guess]
    each = (upper.carry_m - lower.total_m - sum(rolls)) / (count + 1)
    carries = [lower.total_m + i * each + sum(rolls[: i - 1]) for i in range(1, count + 1)]
    return _Cut(carries, rolls, each, each < CLOSED_M)


def lay_out_slots(lower: Carried, upper: Carried, count: int, *, rule: GapRule, step: StepWish) -> SlotLayout:
    """Slots for `count` clubs (1 to 4) between two neighbours under a rule.

    Raises BadInput when the neighbours are not in order or the count is out of range.
    """
    if upper.carry_m <= lower.carry_m:
        raise BadInput(say("bag-does-not-carry-further", name=upper.name, name2=lower.name), field="upper")
    if not 1 <= count <= MOST_CLUBS:
        raise BadInput(say("bag-plan-clubs-one-hole", most_clubs=MOST_CLUBS), field="count")
    cut = _cut(lower, upper, count, rule, step)
    spare = max(0.0, -cut.each_m) / 2 if rule is GapRule.ROLL_OUT else 0.0
    slack = SLACK_M + spare
    slots = tuple(
        Slot(i, carry, carry - slack, carry + slack, roll, _doubt((i + 1) / (count + 1), lower, upper))
        for i, (carry, roll) in enumerate(zip(cut.carries, cut.rolls, strict=True))
    )
    movable_ends = 1 if count == 1 else 2
    return SlotLayout(
        rule=rule,
        count=count,
        slots=slots,
        left_m=0.0 if cut.closed and rule is not GapRule.ROLL_OUT else max(0.0, cut.each_m),
        closes=cut.closed,
        slack_m=slack,
        at_worst_m=max(0.0, cut.each_m + movable_ends * slack),
        sentence=_sentence(lower, upper, count, rule, step),
    )


def slot_with_roll(layout: SlotLayout, index: int, lower: Carried, upper: Carried, roll_m: float) -> Slot:
    """One slot of a layout for a club that rolls out `roll_m` metres, the others as they are: what rolls further may
    carry less. Under the other rules roll-out moves nothing."""
    slot = layout.slots[index]
    if layout.rule is not GapRule.ROLL_OUT:
        return replace(slot, roll_m=roll_m)
    rolls = [roll_m if each.index == index else each.roll_m for each in layout.slots]
    each_m = (upper.carry_m - lower.total_m - sum(rolls)) / (layout.count + 1)
    carry = lower.total_m + (index + 1) * each_m + sum(rolls[:index])
    half = (slot.high_m - slot.low_m) / 2
    return replace(slot, target_m=carry, low_m=carry - half, high_m=carry + half, roll_m=roll_m)


def nearest_slot(slots: Sequence[Slot], carry_m: float | None) -> Slot:
    """The slot that a club is judged for: the one its carry is nearest to, the first before it has one."""
    return slots[0] if carry_m is None else min(slots, key=lambda slot: abs(slot.target_m - carry_m))


def gap_around(old: Carried, clubs: Sequence[Carried], rules: GapRules) -> Gap | None:
    """The space that a club leaves when it goes, between its neighbours; None at an end of the bag."""
    without = coverage([club for club in clubs if club.name != old.name], rules)
    return next((gap for gap in without.gaps if gap.lower.carry_m <= old.carry_m <= gap.upper.carry_m), None)


def lay_out_like(old: Carried, does: Sayable | None = None) -> SlotLayout:
    """One slot that aims at a club's own carry: the same but newer, or its yardage with another flight."""
    slot = Slot(0, old.carry_m, old.carry_m - KEPT_M, old.carry_m + KEPT_M, old.roll_m, old.carry_sd_m)
    does = does or say("bag-like-for-like")
    said = say("bag-carry-of-the-old", does=does, name=old.name, carry=far(old.carry_m), kept=far(KEPT_M))
    return SlotLayout(GapRule.CARRY_ONLY, 1, (slot,), 0.0, KEPT_M, KEPT_M, said)


def lay_out_below(low: Carried, step: StepWish) -> SlotLayout:
    """One slot a step under the most lofted wedge: where a further one would serve."""
    middle = low.carry_m - (step.least_m + step.most_m) / 2
    slack = (step.most_m - step.least_m) / 2
    slot = Slot(0, middle, middle - slack, middle + slack, 0.0, low.carry_sd_m)
    said = say("bag-step-under", least=far(step.least_m), most=far(step.most_m), name=low.name)
    return SlotLayout(GapRule.EVEN_STEPS, 1, (slot,), 0.0, slack, slack, said)


def _sentence(lower: Carried, upper: Carried, count: int, rule: GapRule, step: StepWish) -> Said:
    """What this many clubs leave, and how many would close the hole."""
    here = _cut(lower, upper, count, rule, step)
    closing = next((n for n in range(1, MOST_CLUBS + 1) if _cut(lower, upper, n, rule, step).closed), None)
    if rule is not GapRule.ROLL_OUT:
        size = far((upper.carry_m - lower.carry_m) / (count + 1))
        first = say("bag-makes-steps", n=count, size=size, wanted=step.text)
    elif here.closed:
        first = say("bag-closes-it", n=count)
    else:
        first = say("bag-leaves", n=count, each=far(here.each_m))
    if closing is None or closing <= count or here.closed:
        return first
    if rule is not GapRule.ROLL_OUT:
        size = far((upper.carry_m - lower.carry_m) / (closing + 1))
        return joined([first, say("bag-more-make-steps", n=closing, size=size)])
    return joined([first, say("bag-more-close-it", n=closing)])
