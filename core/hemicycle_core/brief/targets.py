"""What the club in a slot should do, proposed from the brief and the neighbours, each with its reason."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

from scipy.special import ndtr

from ..bag import Carried, HeadType, Slot, SlotLayout
from ..bag.gaps import RULE_WORDS
from ..flight import Firmness
from ..said import NOTHING, Said, angle, far, high, say, some_way, spin, term, with_and
from ..units import metres, ninety
from .jobs import Job, JobKind, Miss

# Landing angle from which a shot holds a green of 25 yd, by how firm it is: in practice 45 degrees holds and 42 to 44
# is borderline on an ordinary green. A deeper green asks for less, a degree for 5 yd and two at most; and from the
# longest club of the bag, which nobody expects to stop like an iron, two less are accepted.
HOLDS_DEG = {Firmness.SOFT: 42.0, Firmness.MEDIUM: 45.0, Firmness.FIRM: 47.0}
USUAL_DEPTH_M, DEGREE_M, MOST_DEPTH_DEG = metres(25), metres(5), 2.0
LONGEST_DEG = 2.0
WEDGE_LANDS_DEG = 47.0  # a full wedge comes down so steep whatever is asked: less is no question of one
PEAK_ROOM = 0.12  # neighbours' peak heights agree within about this share in an even bag
SPIN_ROOM_RPM = 300.0
SPIN_SURE = say("brief-question-not-rule-explains")
REACH_M = metres(20)  # a job further than this from a slot's carry belongs to another club


@dataclass(frozen=True)
class Target:
    """One wish for one slot. quantity: a reading's key, or `side_m` for the width of the pattern.
    low, high in its canonical unit, None for open. why: one sentence; sure: another, of how well it is known.
    firm: False when it rests on figures that were typed or are missing."""

    quantity: str
    low: float | None
    high: float | None
    why: Said
    firm: bool = True
    sure: Said = NOTHING

    def chance(self, mean: float, sd: float) -> float:
        """Chance, 0 to 1, that what is known to be about a mean, with one standard deviation over 0, lies inside."""
        below = 0.0 if self.low is None else float(ndtr((self.low - mean) / sd))
        above = 0.0 if self.high is None else float(ndtr((mean - self.high) / sd))
        return max(0.0, 1.0 - below - above)


def holds_deg(job: Job, *, longest: bool = False) -> float:
    """The landing angle in degrees from which a green holds. longest: asked of the longest club beside the driver."""
    deeper = int((job.depth_m - USUAL_DEPTH_M) / DEGREE_M + math.copysign(1e-9, job.depth_m - USUAL_DEPTH_M))
    asked = HOLDS_DEG[job.firmness] - min(max(deeper, -MOST_DEPTH_DEG), MOST_DEPTH_DEG)
    return asked - (LONGEST_DEG if longest else 0.0)


def jobs_of_slot(jobs: Sequence[Job], slot: Slot) -> list[Job]:
    """The jobs this slot's club is for: those whose distance its carry or total comes near."""

    def miss(job: Job) -> float:
        reach = slot.target_m if job.kind is JobKind.GREEN else slot.target_m + slot.roll_m
        return abs(job.distance_m - reach)

    return [job for job in jobs if miss(job) <= REACH_M]


def propose(
    layout: SlotLayout, slot: Slot, lower: Carried, upper: Carried, jobs: Sequence[Job], *, miss: Miss = Miss.NONE
) -> list[Target]:
    """Targets for one slot: carry always; landing, peak, spin and side where the brief and bag allow."""
    mine = jobs_of_slot(jobs, slot)
    longest = upper.head_type is HeadType.DRIVER and slot.index == len(layout.slots) - 1
    wedges = lower.head_type is HeadType.WEDGE and upper.head_type is HeadType.WEDGE
    landing = _landing(mine, longest, wedge=wedges)
    proposed = [_carry(layout, slot, lower, upper), landing, _peak(lower, upper), _spin(lower, upper)]
    proposed.append(side_target(mine, miss))
    return [target for target in proposed if target is not None]


def propose_named(
    named: Target,
    slot: Slot,
    lower: Carried | None,
    upper: Carried | None,
    jobs: Sequence[Job],
    *,
    miss: Miss = Miss.NONE,
) -> list[Target]:
    """Targets for a yardage that was named, whatever is known of the clubs beside it. named: the carry it asks for."""
    mine = jobs_of_slot(jobs, slot)
    longest = upper is not None and upper.head_type is HeadType.DRIVER
    wedge = upper is not None and upper.head_type is HeadType.WEDGE
    proposed = [named, _landing(mine, longest, wedge=wedge)]
    if lower is not None and upper is not None:
        proposed += [_peak(lower, upper), _spin(lower, upper)]
    return [target for target in (*proposed, side_target(mine, miss)) if target is not None]


def _carry(layout: SlotLayout, slot: Slot, lower: Carried, upper: Carried) -> Target:
    if layout.rule.value == "roll_out":
        why = say(
            "brief-rolls-out-to",
            lower=lower.name,
            read=bool(lower.total_read),
            total=far(lower.total_m),
            upper=upper.name,
            carry=far(upper.carry_m),
            rule=RULE_WORDS[layout.rule],
        )
    else:
        why = say(
            "brief-carries-cut",
            lower=lower.name,
            low=far(lower.carry_m),
            upper=upper.name,
            high=far(upper.carry_m),
            rule=RULE_WORDS[layout.rule],
        )
    return Target("carry_m", slot.low_m, slot.high_m, why, *_known(slot, [lower, upper]))


def _known(slot: Slot, clubs: Sequence[Carried]) -> tuple[bool, Said]:
    """Whether a carry wanted rests on clubs that were hit, and how far it may be off in a sentence."""
    typed = [club.name for club in clubs if not club.hit]
    off = some_way(ninety(slot.doubt_m))
    if typed:
        return False, say("brief-known-typed", off=off, clubs=with_and(typed), n=len(typed))
    return True, say("brief-known-from-shots-hit", off=off)


def _landing(jobs: Sequence[Job], longest: bool, *, wedge: bool) -> Target | None:
    """wedge: asked of a wedge, which lands steeper than most greens ask anyway."""
    greens = [job for job in jobs if job.kind is JobKind.GREEN]
    if not greens:
        return None
    hardest = max(greens, key=holds_deg)
    holds = holds_deg(hardest, longest=longest)
    if wedge and holds < WEDGE_LANDS_DEG:
        return None
    why = say(
        "brief-green-so-deep",
        name=hardest.name,
        firmness=term("firmness", hardest.firmness),
        depth=far(hardest.depth_m),
        holds=angle(holds),
        longest=bool(longest),
    )
    return Target("landing_deg", holds, None, why, sure=say("brief-guide-good-about-jobs"))


def _peak(lower: Carried, upper: Carried) -> Target | None:
    peaks = [club.peak_m for club in (lower, upper) if club.peak_m is not None]
    if not peaks:
        return None
    low = min(peaks) * (1 - PEAK_ROOM)
    heights = with_and(
        say("brief-peak-of", name=club.name, peak=high(club.peak_m))
        for club in (lower, upper)
        if club.peak_m is not None
    )
    known = len(peaks) == 2
    sure = say("brief-both-neighbours-heights-known") if known else say("brief-only-one-neighbours-height")
    why = say("brief-not-under-neighbours-higher", heights=heights)
    return Target("peak_m", low, None, why, firm=known, sure=sure)


def _spin(lower: Carried, upper: Carried) -> Target | None:
    if lower.spin_rpm is None or upper.spin_rpm is None:
        return None
    low, high = sorted((lower.spin_rpm, upper.spin_rpm))
    names = {"upper": upper.name, "lower": lower.name}
    if upper.head_type is HeadType.WEDGE:
        least = upper if low == upper.spin_rpm else lower
        why = say("brief-spin-of-a-wedge", name=least.name, spin=spin(low))
        return Target("spin_rpm", low - SPIN_ROOM_RPM, None, why, firm=False, sure=SPIN_SURE)
    why = say("brief-spin-between", less=spin(upper.spin_rpm), more=spin(lower.spin_rpm), **names)
    return Target("spin_rpm", low - SPIN_ROOM_RPM, high + SPIN_ROOM_RPM, why, firm=False, sure=SPIN_SURE)


def side_target(jobs: Sequence[Job], miss: Miss) -> Target | None:
    """How wide jobs let the pattern be; None without one."""
    if not jobs:
        return None
    tightest = min(jobs, key=lambda job: job.width_m)
    half = tightest.width_m / 2
    why = say("brief-so-wide", name=tightest.name, width=far(tightest.width_m), miss=str(miss))
    return Target("offline_m", -half, half, why, sure=say("brief-sure-width-was-given"))
