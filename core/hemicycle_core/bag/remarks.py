"""What the bag says of the player: where the irons stop stepping, which flights are out of line, how many clubs a
space can hold, and which neighbours do each other's work."""

from __future__ import annotations

import itertools
import math
from collections.abc import Sequence
from dataclasses import dataclass
from statistics import median
from typing import Any

from ..heads import HeadType
from ..said import Form, Said, angle, far, number, say
from ..said import high as peak
from ..samples.overlap import MUDDLED, overlap, smallest_useful_step
from .clubs import Carried, in_order
from .gaps import Coverage, GapRule, StepWish, gap_between
from .slots import MOST_CLUBS, lay_out_slots

LEAST_USES = 0.5  # times a round: less, and another club takes the shot on the few days it comes
USUAL_SPREAD_SHARE = 0.03  # of carry, where a club was typed and not hit
STOPS_STEPPING = 0.55  # of the usual iron step: under this the loft no longer gives carry
LOW_SHARE = 0.12  # a peak this much under both neighbours will not hold what they hold
STEEPER_DEG = 2.0  # a longer club that comes in this much steeper than the shorter one
LOFT_STEP_DEG = 3.0  # lofts step by 4 to 6 degrees; less than this is a small step
SPIN_STEP_RPM = 350.0  # a longer club that spins this much more than the shorter one


@dataclass(frozen=True)
class Remark:
    """club: whose; what: `collapse`, `peak_m`, `landing_deg`, `spin_rpm`, `overlap` or `count`."""

    club: str
    what: str
    sentence: Said


def spread_of(club: Carried) -> float:
    """The standard deviation of a club's carry in metres: its own where it was hit or told, the usual one otherwise."""
    return club.spread_m or club.told_spread_m or USUAL_SPREAD_SHARE * club.carry_m


def collapse_point(clubs: Sequence[Carried]) -> Remark | None:
    """The shortest iron from which longer irons stop stepping; None when all step. Needs three irons."""
    irons = [club for club in in_order(clubs) if club.head_type is HeadType.IRON]
    if len(irons) < 3:
        return None
    steps = [upper.carry_m - lower.carry_m for lower, upper in itertools.pairwise(irons)]
    usual = median(steps[: max(2, len(steps) // 2)])
    for (lower, upper), step in zip(itertools.pairwise(irons), steps, strict=True):
        if step < STOPS_STEPPING * usual and step < smallest_useful_step(spread_of(upper)):
            words = say("bag-irons-stop", upper=upper.name, step=far(step), lower=lower.name, usual=far(usual))
            return Remark(upper.name, "collapse", words)
    return None


def out_of_line(clubs: Sequence[Carried]) -> list[Remark]:
    """Flights unlike their neighbours': a peak well under both, a longer club that lands steeper or spins more.

    A question, not a rejection: spin is read together with speed and launch.
    """
    ordered = in_order(club for club in clubs if club.head_type is not HeadType.DRIVER)
    found = []
    for low, club, high in zip(ordered, ordered[1:], ordered[2:], strict=False):
        peaks = [each.peak_m for each in (low, club, high)]
        if all(peaks) and peaks[1] < (1 - LOW_SHARE) * min(peaks[0], peaks[2]):  # type: ignore[operator,type-var]
            said = say("bag-flies-lower-than-both", name=club.name, peak=peak(peaks[1]))  # type: ignore[arg-type]
            found.append(Remark(club.name, "peak_m", said))
    for shorter, longer in itertools.pairwise(ordered):
        if shorter.landing_deg and longer.landing_deg and longer.landing_deg > shorter.landing_deg + STEEPER_DEG:
            mine, theirs = angle(longer.landing_deg), angle(shorter.landing_deg)
            said = say("bag-lands-steeper", longer=longer.name, shorter=shorter.name, mine=mine, theirs=theirs)
            found.append(Remark(longer.name, "landing_deg", said))
        # Wedges spin most at about 50 degrees of spin loft: beyond it the ball slides, and more loft spins less.
        falls = shorter.head_type is HeadType.WEDGE
        spins = shorter.spin_rpm and longer.spin_rpm and longer.spin_rpm > shorter.spin_rpm + SPIN_STEP_RPM
        if spins and not falls:
            said = say("bag-spins-more", longer=longer.name, shorter=shorter.name)
            found.append(Remark(longer.name, "spin_rpm", said))
    return found


def muddled(covered: Coverage) -> list[Remark]:
    """Neighbours whose step is under the player's spread, so that each lands in the other's yardage."""
    found = []
    for gap in covered.gaps:
        chance = overlap(max(gap.step_m, 0.0), spread_of(gap.lower), spread_of(gap.upper))
        if chance > MUDDLED:
            said = say(
                "bag-muddled",
                lower=gap.lower.name,
                upper=gap.upper.name,
                step=far(gap.step_m),
                often=number(chance * 10),
                crowded=gap.crowded,
            )
            found.append(Remark(gap.upper.name, "overlap", said))
    return found


def _times(count: float) -> Said:
    if count in (1, 2):
        return say("times-whole", n=int(count))
    return say("times", count=number(float(f"{count:.2g}"), form=Form.SHORT))


def clubs_for(
    lower: Carried, upper: Carried, *, rule: GapRule, step: StepWish, uses: float | None = None
) -> tuple[int, Remark]:
    """How many clubs belong between two neighbours, 0 to 4, and why: as many as close the space, and no more than
    this player's speed and spread can use, nor more than come up. uses: times a round that a job lies in the space,
    None where no jobs are named; a second club that comes up less than once in two rounds is not worth a place.
    """
    space = upper.carry_m - lower.carry_m
    least = max(smallest_useful_step((spread_of(lower) + spread_of(upper)) / 2), step.least_m)
    room = max(0, min(MOST_CLUBS, math.floor(space / least) - 1))
    wanted = 0
    if gap_between(lower, upper, rule, step).open_m > 0:
        plans = (lay_out_slots(lower, upper, n, rule=rule, step=step) for n in range(1, MOST_CLUBS + 1))
        wanted = next((plan.count for plan in plans if plan.closes), MOST_CLUBS)
    # A hole is met now and then, whatever was named: with a place free one club belongs into it.
    seldom = wanted if uses is None else max(1, math.ceil(min(uses / LEAST_USES, MOST_CLUBS)))
    count = min(wanted, room, seldom)
    between = say("bag-between", lower=lower.name, upper=upper.name)
    belong = say("bag-clubs-belong", n=count, between=between)
    if wanted == 0:
        words = say("bag-no-club-needed", between=between)
    elif uses is not None and seldom <= min(room, wanted - 1):
        often = say("bag-come-up-round", times=_times(uses)) if uses else say("bag-no-job-named-met")
        words = say("bag-seldom-comes-up", belong=belong, often=often, n=wanted)
    elif count < wanted:
        words = say("bag-closer-than-can-be-used", belong=belong, n=wanted, least=far(least))
    else:
        words = say("bag-smallest-useful-step", belong=belong, least=far(least))
    return count, Remark(upper.name, "count", words)


def loft_check(covered: Coverage) -> list[Remark]:
    """Neighbours whose lofts say one thing and whose carries another. A check, never a target: equal loft is not
    equal carry."""
    found = []
    for gap in covered.gaps:
        if gap.lower.loft_deg is None or gap.upper.loft_deg is None:
            continue
        apart = gap.lower.loft_deg - gap.upper.loft_deg
        lofts: dict[str, Any] = {
            "lower": gap.lower.name,
            "upper": gap.upper.name,
            "apart": angle(abs(apart), form=Form.SHORT),
            "step": far(gap.step_m),
        }
        if apart >= LOFT_STEP_DEG and gap.crowded:
            found.append(Remark(gap.upper.name, "loft", say("bag-lofts-apart-carries-not", **lofts)))
        elif apart < LOFT_STEP_DEG / 2 and gap.step_m > gap.step.least_m:
            found.append(Remark(gap.upper.name, "loft", say("bag-lofts-alike-carries-not", **lofts)))
    return found


def remarks(covered: Coverage) -> list[Remark]:
    """Everything worth saying of a bag, the collapse point first."""
    collapse = collapse_point(covered.clubs)
    close = muddled(covered)
    said = {remark.club for remark in (*close, *([collapse] if collapse else []))}
    lofts = [remark for remark in loft_check(covered) if remark.club not in said]
    return [*([collapse] if collapse else []), *close, *out_of_line(covered.clubs), *lofts]
