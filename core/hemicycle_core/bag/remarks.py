"""What the bag says of the player: where the irons stop stepping, which flights are out of line, how many clubs a
space can hold, and which neighbours do each other's work."""

from __future__ import annotations

import itertools
import math
from collections.abc import Sequence
from dataclasses import dataclass
from statistics import median

from ..heads import HeadType
from ..samples.overlap import MUDDLED, overlap, smallest_useful_step
from ..units import feet, shown, yd_text
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
    sentence: str


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
            words = f"The irons stop stepping at the {upper.name}: {yd_text(step)} yd past the {lower.name}, where"
            return Remark(upper.name, "collapse", f"{words} {yd_text(usual)} is usual. The long end starts there.")
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
            said = f"{club.name} flies lower ({shown(feet(peaks[1]))} ft) than both its neighbours."  # type: ignore[arg-type]
            found.append(Remark(club.name, "peak_m", f"{said} It will not hold what they hold."))
    for shorter, longer in itertools.pairwise(ordered):
        if shorter.landing_deg and longer.landing_deg and longer.landing_deg > shorter.landing_deg + STEEPER_DEG:
            said = f"{longer.name} lands steeper than {shorter.name}: {shown(longer.landing_deg)}° against"
            found.append(Remark(longer.name, "landing_deg", f"{said} {shown(shorter.landing_deg)}°."))
        # Wedges spin most at about 50 degrees of spin loft: beyond it the ball slides, and more loft spins less.
        falls = shorter.head_type is HeadType.WEDGE
        spins = shorter.spin_rpm and longer.spin_rpm and longer.spin_rpm > shorter.spin_rpm + SPIN_STEP_RPM
        if spins and not falls:
            said = f"{longer.name} spins more than {shorter.name}"
            found.append(Remark(longer.name, "spin_rpm", f"{said}: read it with speed and launch."))
    return found


def muddled(covered: Coverage) -> list[Remark]:
    """Neighbours whose step is under the player's spread, so that each lands in the other's yardage."""
    found = []
    for gap in covered.gaps:
        chance = overlap(max(gap.step_m, 0.0), spread_of(gap.lower), spread_of(gap.upper))
        if chance > MUDDLED:
            often = f"{shown(chance * 10)} shots in 10"
            said = f"{gap.lower.name} and {gap.upper.name} are {yd_text(gap.step_m)} yd apart: {often} of one land in"
            one = " One fewer would do." if gap.crowded else ""
            found.append(Remark(gap.upper.name, "overlap", f"{said} the other’s yardage.{one}"))
    return found


def _times(count: float) -> str:
    return "once" if count == 1 else "twice" if count == 2 else f"{count:.2g} times"


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
    between = f"between {lower.name} and {upper.name}"
    belong = f"{_number(count)} {'belong' if count > 1 else 'belongs'}"
    if wanted == 0:
        words = f"No club is needed {between}."
    elif uses is not None and seldom <= min(room, wanted - 1):
        often = f"come up {_times(uses)} a round" if uses else "are in no job that is named, and are met now and then"
        words = f"{belong} {between}: the yardages there {often}. By space alone it would be {_number(wanted).lower()}."
    elif count < wanted:
        words = (
            f"{belong} {between}: {_number(wanted).lower()} would close the space, but in steps under "
            f"{yd_text(least)} yd, closer than this speed and spread can use."
        )
    else:
        words = f"{belong} {between}. The smallest useful step here is {yd_text(least)} yd."
    return count, Remark(upper.name, "count", words)


def loft_check(covered: Coverage) -> list[Remark]:
    """Neighbours whose lofts say one thing and whose carries another. A check, never a target: equal loft is not
    equal carry."""
    found = []
    for gap in covered.gaps:
        if gap.lower.loft_deg is None or gap.upper.loft_deg is None:
            continue
        apart = gap.lower.loft_deg - gap.upper.loft_deg
        lofts = f"{gap.lower.name} and {gap.upper.name} are {abs(apart):g}° apart in loft"
        if apart >= LOFT_STEP_DEG and gap.crowded:
            found.append(Remark(gap.upper.name, "loft", f"{lofts} and only {yd_text(gap.step_m)} yd in carry."))
        elif apart < LOFT_STEP_DEG / 2 and gap.step_m > gap.step.least_m:
            found.append(Remark(gap.upper.name, "loft", f"{lofts}, yet {yd_text(gap.step_m)} yd in carry."))
    return found


def _number(count: int) -> str:
    return ("No club", "One club", "Two clubs", "Three clubs", "Four clubs")[count]


def remarks(covered: Coverage) -> list[Remark]:
    """Everything worth saying of a bag, the collapse point first."""
    collapse = collapse_point(covered.clubs)
    close = muddled(covered)
    said = {remark.club for remark in (*close, *([collapse] if collapse else []))}
    lofts = [remark for remark in loft_check(covered) if remark.club not in said]
    return [*([collapse] if collapse else []), *close, *out_of_line(covered.clubs), *lofts]
