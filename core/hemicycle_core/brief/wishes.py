"""What the player came for. One wish leads, the others are limits; each has its own targets and its own success.

A gap is filled; an old club is replaced by its like, or by its yardage with another flight, or by what goes further and
stays in play; or builds are only compared, without a window.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace
from enum import StrEnum

from ..bag import Carried, Slot, SlotLayout
from ..bag.gaps import GapRule
from ..bag.slots import KEPT_M, SLACK_M
from ..errors import BadInput
from ..thresholds import DEFAULT, Thresholds
from ..units import feet, metres, shown, whole_yards, yd_text
from .jobs import Job, JobKind, Miss
from .targets import REACH_M, Target, jobs_of_slot, side_target

# Within these the new club does what the old one did: no yardage is relearned and nobody sees another flight.
KEPT_PEAK_M, KEPT_LANDING_DEG, KEPT_SPIN_RPM = metres(8 / 3), 1.5, 400.0
NAMED_LEAST_M, NAMED_MOST_M = metres(40), metres(330)


class Wish(StrEnum):
    """What leads: a space to fill, an old club's like, its yardage with another flight, as far as possible and in play,
    or nothing: builds side by side."""

    GAP = "gap"
    LIKE = "like"
    FLIGHT = "flight"
    FAR = "far"
    COMPARE = "compare"


class FlightWish(StrEnum):
    """What is to be other about the flight while the yardage stays."""

    HIGHER = "higher"
    LOWER = "lower"
    STEEPER = "steeper"
    LESS_SPIN = "less_spin"
    MORE_SPIN = "more_spin"


# The reading that is to move, which way, and how a club is said to do it.
ASKED: dict[FlightWish, tuple[str, int, str]] = {
    FlightWish.HIGHER: ("peak_m", 1, "flies higher"),
    FlightWish.LOWER: ("peak_m", -1, "flies lower"),
    FlightWish.STEEPER: ("landing_deg", 1, "lands steeper"),
    FlightWish.LESS_SPIN: ("spin_rpm", -1, "spins less"),
    FlightWish.MORE_SPIN: ("spin_rpm", 1, "spins more"),
}


@dataclass(frozen=True)
class Wanted:
    """The wish that leads and what it is held against. demands: quantities whose targets must be met, carry aside.
    does: what a build that meets them does, for sentences; old: the club it is held against, old_hit: today and by the
    same monitor. flight: what is to be other about it; fairway: to be held, where staying in play is part of it."""

    wish: Wish = Wish.GAP
    demands: tuple[str, ...] = ()
    does: str = ""
    old: str = ""
    old_hit: bool = True
    fairway: Job | None = None
    flight: FlightWish | None = None

    @property
    def windowless(self) -> bool:
        """Whether no carry is asked for."""
        return self.wish in (Wish.FAR, Wish.COMPARE)


FLIGHT = ("landing_deg", "peak_m", "spin_rpm")


def like_wanted(old: Carried) -> Wanted:
    """The same but newer: carry and every reading of the flight that is known of the old club."""
    known = tuple(quantity for quantity in FLIGHT if getattr(old, quantity) is not None)
    return Wanted(Wish.LIKE, known, f"does what the {old.name} does", old.name, old.hit)


def flight_wanted(old: Carried, asked: FlightWish) -> Wanted:
    quantity, _, does = ASKED[asked]
    words = f"keeps the yardage of the {old.name} and {does}"
    return Wanted(Wish.FLIGHT, (quantity,), words, old.name, old.hit, flight=asked)


# Of a hundred shots so many more may miss the fairway for the sake of length: about one more a round's tee shots in
# two rounds.
OUT_OF_PLAY_MORE = 0.05
USUAL_FAIRWAY = Job("a fairway of 32 yd", JobKind.TEE, 10.0, width_m=metres(32))


def fairway_of(jobs: Sequence[Job], old: Carried) -> Job:
    """The fairway that is to be held: the tightest of the tee shots near the old club's total, else of all, else one of
    usual width. Any total reaches it, so that it asks for the side alone."""
    tee = [job for job in jobs if job.kind is JobKind.TEE]
    near = [job for job in tee if abs(job.distance_m - old.total_m) <= REACH_M] or tee
    asked = min(near, key=lambda job: job.width_m, default=USUAL_FAIRWAY)
    return replace(asked, distance_m=USUAL_FAIRWAY.distance_m, carry_over_m=None)


def far_wanted(old: Carried, jobs: Sequence[Job]) -> Wanted:
    """As far as possible and in play: further than the old club of that kind, at most a few in a hundred more out of
    play. It is never held against the driver.

    Raises BadInput where the old club was not hit: how often it is in play is not known then.
    """
    if not old.hit:
        words = f"Hit the {old.name} first: how far it goes and how often it is in play is what a new one is held to."
        raise BadInput(words, field="like_for")
    does = f"goes further than the {old.name} and is in play as often"
    return Wanted(Wish.FAR, ("total_m", "in_play"), does, old.name, True, fairway_of(jobs, old))


def far_words(old: Carried, fairway: Job, thresholds: Thresholds = DEFAULT) -> str:
    """What is asked of a club that is to go as far as possible and be in play."""
    least = yd_text(old.total_m + thresholds.same_carry_m)
    where = fairway.name if fairway == USUAL_FAIRWAY else f"“{fairway.name}”"
    return (
        f"Wanted: {least} yd or more in all, and in play on {where} at most {100 * OUT_OF_PLAY_MORE:g} in 100 less "
        f"often than the {old.name}."
    )


def propose_far(old: Carried, thresholds: Thresholds = DEFAULT) -> list[Target]:
    """The total that counts as further than the old club's; how often it is in play is told by the jobs played out."""
    edge = old.total_m + thresholds.same_carry_m
    return [Target("total_m", edge, None, f"Further than the {old.name}, by more than a monitor reads.", *_sure(old))]


COMPARED = Wanted(Wish.COMPARE)


def propose_like(old: Carried, slot: Slot, jobs: Sequence[Job], *, miss: Miss = Miss.NONE) -> list[Target]:
    """Targets for the same club but newer: the old one's carry and flight, as near as nobody tells, and the side its
    jobs allow."""
    aim = f"As {old.name} does today."
    rooms = (("landing_deg", KEPT_LANDING_DEG), ("peak_m", KEPT_PEAK_M), ("spin_rpm", KEPT_SPIN_RPM))
    made = [Target("carry_m", old.carry_m - KEPT_M, old.carry_m + KEPT_M,
                   f"{aim} Like for like, so that no yardage is relearned.", *_sure(old))]  # fmt: skip
    for quantity, room in rooms:
        value = getattr(old, quantity)
        if value is not None:
            made.append(Target(quantity, value - room, value + room, aim, *_sure(old)))
    return [*made, *_side(jobs, slot, miss)]


def propose_flight(
    old: Carried,
    asked: FlightWish,
    slot: Slot,
    jobs: Sequence[Job],
    *,
    miss: Miss = Miss.NONE,
    thresholds: Thresholds = DEFAULT,
) -> list[Target]:
    """Targets for the old club's yardage with another flight: its carry, the reading that is to move by more than what
    counts as the same, and the side its jobs allow.

    Raises BadInput where that reading of the old club is not known.
    """
    quantity, way, does = ASKED[asked]
    value = getattr(old, quantity)
    if value is None:
        raise BadInput(f"Hit the {old.name} first: its flight is what the new one is held against.", field="like_for")
    edge = value + way * thresholds.same(quantity)
    has = {
        "peak_m": f"{shown(feet(value))} ft", "landing_deg": f"{shown(value)}°", "spin_rpm": f"{shown(value)} rpm",
    }[quantity]  # fmt: skip
    return [
        Target("carry_m", old.carry_m - KEPT_M, old.carry_m + KEPT_M,
               f"The yardage of the {old.name} stays.", *_sure(old)),
        Target(quantity, edge if way > 0 else None, None if way > 0 else edge,
               f"The {old.name} has {has}; a club that {does} beats that by more than a monitor reads.", *_sure(old)),
        *_side(jobs, slot, miss),
    ]  # fmt: skip


def _side(jobs: Sequence[Job], slot: Slot, miss: Miss) -> list[Target]:
    found = side_target(jobs_of_slot(jobs, slot), miss)
    return [found] if found else []


def _sure(old: Carried) -> tuple[bool, str]:
    off = f"±{max(1, whole_yards(1.6449 * old.carry_sd_m))} yd"
    return old.hit, f"Known to {off} from the shots hit." if old.hit else f"Known to {off}: {old.name} was not hit."


def check_named(low_m: float | None, high_m: float | None) -> None:
    """Raise BadInput for a yardage that nobody asks a club for."""
    if low_m is None and high_m is None:
        return
    if low_m is None or high_m is None or low_m > high_m:
        raise BadInput("Name one yardage, or a band from its lower to its upper end.", field="named_low_m")
    if low_m < NAMED_LEAST_M or high_m > NAMED_MOST_M:
        raise BadInput("A yardage to ask of a club lies between 40 and 330 yd.", field="named_low_m")


def lay_out_named(low_m: float, high_m: float, roll_m: float, *, total: bool) -> SlotLayout:
    """One slot for a yardage or band that was named, ahead of any even cut. One yardage means give or take 3.5 yd.
    total: where the ball is to stop, not where it is to land."""
    slack = max((high_m - low_m) / 2, SLACK_M)
    middle = (low_m + high_m) / 2 - (roll_m if total else 0.0)
    asked = yd_text(low_m) if high_m - low_m < metres(1) else f"{yd_text(low_m)} to {yd_text(high_m)}"
    said = f"{asked} yd was asked for{', roll and all' if total else ''}."
    return SlotLayout(
        GapRule.CARRY_ONLY, 1, (Slot(0, middle, middle - slack, middle + slack, roll_m),), 0.0, slack, slack, said
    )


def named_target(layout: SlotLayout) -> Target:
    slot = layout.slots[0]
    return Target("carry_m", slot.low_m, slot.high_m, layout.sentence, sure="What was asked for is not cut to fit.")
