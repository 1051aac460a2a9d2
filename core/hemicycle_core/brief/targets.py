"""What the club in a slot should do, proposed from the brief and the neighbours, each with its reason."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

from scipy.special import ndtr

from ..bag import Carried, HeadType, Slot, SlotLayout
from ..bag.gaps import RULE_WORDS
from ..flight import Firmness
from ..units import feet, metres, ninety, shown, whole_yards, yd_text
from .jobs import Job, JobKind, Miss

# Landing angle from which a shot holds a green of 25 yd, by how firm it is: in practice 45 degrees holds and 42 to 44
# is borderline on an ordinary green. A deeper green asks for less, a degree for 5 yd and two at most; and from the
# longest club of the bag, which nobody expects to stop like an iron, two less are accepted.
HOLDS_DEG = {Firmness.SOFT: 42.0, Firmness.MEDIUM: 45.0, Firmness.FIRM: 47.0}
USUAL_DEPTH_M, DEGREE_M, MOST_DEPTH_DEG = metres(25), metres(5), 2.0
LONGEST_DEG = 2.0
PEAK_ROOM = 0.12  # neighbours' peak heights agree within about this share in an even bag
SPIN_ROOM_RPM = 300.0
SPIN_SURE = "A question, not a rule: it explains a flight, it does not judge it."
REACH_M = metres(20)  # a job further than this from a slot's carry belongs to another club


@dataclass(frozen=True)
class Target:
    """One wish for one slot. quantity: a reading's key, or `side_m` for the width of the pattern.
    low, high in its canonical unit, None for open. why: one sentence; sure: another, of how well it is known.
    firm: False when it rests on figures that were typed or are missing."""

    quantity: str
    low: float | None
    high: float | None
    why: str
    firm: bool = True
    sure: str = ""

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
    landing = _landing(mine, longest)
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
    proposed = [named, _landing(mine, longest)]
    if lower is not None and upper is not None:
        proposed += [_peak(lower, upper), _spin(lower, upper)]
    return [target for target in (*proposed, side_target(mine, miss)) if target is not None]


def _carry(layout: SlotLayout, slot: Slot, lower: Carried, upper: Carried) -> Target:
    if layout.rule.value == "roll_out":
        why = (
            f"{lower.name} {'rolls' if lower.total_read else 'is taken to roll'} out to {yd_text(lower.total_m)}"
            f"{'' if lower.total_read else ', as its kind does,'} and {upper.name} carries "
            f"{yd_text(upper.carry_m)}; by {RULE_WORDS[layout.rule]} this leaves the smallest holes."
        )
    else:
        why = (
            f"{lower.name} carries {yd_text(lower.carry_m)} and {upper.name} {yd_text(upper.carry_m)}; "
            f"this cuts the space into {RULE_WORDS[layout.rule]}."
        )
    return Target("carry_m", slot.low_m, slot.high_m, why, *_known(slot, [lower, upper]))


def _known(slot: Slot, clubs: Sequence[Carried]) -> tuple[bool, str]:
    """Whether a carry wanted rests on clubs that were hit, and how far it may be off in a sentence."""
    typed = [club.name for club in clubs if not club.hit]
    off = f"±{max(1, whole_yards(ninety(slot.doubt_m)))} yd"
    if typed:
        return False, f"Known to {off}: {' and '.join(typed)} {'were' if len(typed) > 1 else 'was'} typed, not hit."
    return True, f"Known to {off} from the shots hit."


def _landing(jobs: Sequence[Job], longest: bool) -> Target | None:
    greens = [job for job in jobs if job.kind is JobKind.GREEN]
    if not greens:
        return None
    hardest = max(greens, key=holds_deg)
    holds = holds_deg(hardest, longest=longest)
    why = (
        f"“{hardest.name}” is a {hardest.firmness.value} green {yd_text(hardest.depth_m)} yd deep: from about "
        f"{shown(holds)}° down the ball stays on{', as far as is asked of the longest club' if longest else ''}."
    )
    return Target("landing_deg", holds, None, why, sure="A guide, good to about 2°: the jobs played out decide.")


def _peak(lower: Carried, upper: Carried) -> Target | None:
    peaks = [club.peak_m for club in (lower, upper) if club.peak_m is not None]
    if not peaks:
        return None
    low = min(peaks) * (1 - PEAK_ROOM)
    heights = " and ".join(
        f"{club.name} {shown(feet(club.peak_m))} ft" for club in (lower, upper) if club.peak_m is not None
    )
    known = len(peaks) == 2
    sure = "Both neighbours’ heights are known." if known else "Only one neighbour’s height is known."
    why = f"Not under the neighbours: {heights}. Higher is no fault."
    return Target("peak_m", low, None, why, firm=known, sure=sure)


def _spin(lower: Carried, upper: Carried) -> Target | None:
    if lower.spin_rpm is None or upper.spin_rpm is None:
        return None
    low, high = sorted((lower.spin_rpm, upper.spin_rpm))
    ends = f"{upper.name} at {shown(upper.spin_rpm)} and {lower.name} at {shown(lower.spin_rpm)}"
    why = f"Between {ends}; read it with speed and launch."
    return Target("spin_rpm", low - SPIN_ROOM_RPM, high + SPIN_ROOM_RPM, why, firm=False, sure=SPIN_SURE)


def side_target(jobs: Sequence[Job], miss: Miss) -> Target | None:
    """How wide jobs let the pattern be; None without one."""
    if not jobs:
        return None
    tightest = min(jobs, key=lambda job: job.width_m)
    half = tightest.width_m / 2
    feared = {Miss.LEFT: " Left is the miss to avoid.", Miss.RIGHT: " Right is the miss to avoid."}.get(miss, "")
    why = f"“{tightest.name}” is {yd_text(tightest.width_m)} yd wide.{feared}"
    return Target("offline_m", -half, half, why, sure="As sure as the width that was given.")
