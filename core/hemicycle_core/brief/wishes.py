"""What the player came for. One wish leads, the others are limits; each has its own targets and its own success.

A gap is filled; an old club is replaced by its like, by its yardage with another flight, by one that is longer, shorter
or lands softer, or by what goes further and stays in play; or builds are only compared, without a window.
"""

from __future__ import annotations

from collections.abc import Collection, Sequence
from dataclasses import dataclass, replace
from enum import StrEnum

from ..bag import Carried, Slot, SlotLayout
from ..bag.gaps import CROWDED_M, GapRule
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
    """What leads: a space to fill, an old club's like, its yardage with another flight, another club in its place, as
    far as possible and in play, or nothing: builds side by side."""

    GAP = "gap"
    LIKE = "like"
    FLIGHT = "flight"
    REPLACE = "replace"
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


class ReplaceWay(StrEnum):
    """What the club that takes an old one's place is to do beside it. Longer and shorter are never both asked."""

    LONGER = "longer"
    SHORTER = "shorter"
    SOFTER = "softer"


WAYS: dict[ReplaceWay, str] = {
    ReplaceWay.LONGER: "carries further than the {}",
    ReplaceWay.SHORTER: "carries less far than the {}",
    ReplaceWay.SOFTER: "lands softer",
}


@dataclass(frozen=True)
class Wanted:
    """The wish that leads and what it is held against. demands: quantities whose targets must be met, carry aside.
    does: what a build that meets them does, for sentences; old: the club it is held against, old_hit: today and by the
    same monitor. moves: the readings of its flight that are to be other, each with the way, 1 for more; fairway: to be
    held, where staying in play is part of it; tee: that fairway at the old club's length, where strokes are counted."""

    wish: Wish = Wish.GAP
    demands: tuple[str, ...] = ()
    does: str = ""
    old: str = ""
    old_hit: bool = True
    fairway: Job | None = None
    tee: Job | None = None
    moves: tuple[tuple[str, int], ...] = ()

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
    quantity, way, does = ASKED[asked]
    words = f"keeps the yardage of the {old.name} and {does}"
    return Wanted(Wish.FLIGHT, (quantity,), words, old.name, old.hit, moves=((quantity, way),))


def replace_wanted(old: Carried, ways: Collection[ReplaceWay]) -> Wanted:
    """Another club in the place of an old one, which goes."""
    asked = [way for way in ReplaceWay if way in ways]
    words = " and ".join(WAYS[way].format(old.name) for way in asked)
    if ReplaceWay.SOFTER in asked and len(asked) == 1:
        words += f" than the {old.name}"
    moves = (("landing_deg", 1),) if ReplaceWay.SOFTER in asked else ()
    demands = tuple(quantity for quantity, _ in moves)
    return Wanted(Wish.REPLACE, demands, words, old.name, old.hit, moves=moves)


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
    fairway = fairway_of(jobs, old)
    tee = replace(fairway, distance_m=old.total_m)
    return Wanted(Wish.FAR, ("total_m", "in_play"), does, old.name, True, fairway, tee)


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
    return [
        Target("carry_m", old.carry_m - KEPT_M, old.carry_m + KEPT_M,
               f"The yardage of the {old.name} stays.", *_sure(old)),
        _beaten(old, *ASKED[asked], thresholds),
        *_side(jobs, slot, miss),
    ]  # fmt: skip


# How far from the old club's carry its place in the bag may be taken, where no neighbour ends it before.
LONGEST_STEP_M, SAME_PLACE_M = metres(20), metres(8)
LEAST_ROOM_M = metres(5)


def check_ways(ways: Collection[ReplaceWay]) -> None:
    """Raise BadInput where nothing is asked of what takes an old club's place, or both ways at once."""
    if not ways:
        raise BadInput("Say what the new club is to do: carry further or less far, land softer.", field="ways")
    if ReplaceWay.LONGER in ways and ReplaceWay.SHORTER in ways:
        raise BadInput("A club cannot carry further and less far: choose one of the two.", field="ways")


def lay_out_replacing(
    old: Carried,
    ways: Collection[ReplaceWay],
    lower: Carried | None,
    upper: Carried | None,
    thresholds: Thresholds = DEFAULT,
) -> SlotLayout:
    """One slot for what takes an old club's place: past its carry by more than a monitor reads where it is to be longer
    or shorter, about it where neither is asked, and never onto the neighbours' yardages.

    Raises BadInput where nothing is asked, or both ways at once.
    """
    check_ways(ways)
    longer, shorter = ReplaceWay.LONGER in ways, ReplaceWay.SHORTER in ways
    edge = thresholds.same_carry_m
    low, high = old.carry_m - SAME_PLACE_M, old.carry_m + SAME_PLACE_M
    if longer:
        low, high = old.carry_m + edge, old.carry_m + LONGEST_STEP_M
    if shorter:
        low, high = old.carry_m - LONGEST_STEP_M, old.carry_m - edge
    if upper is not None:
        high = max(min(high, upper.carry_m - CROWDED_M), low + LEAST_ROOM_M)
    if lower is not None and not longer:
        low = min(max(low, lower.carry_m + CROWDED_M), high - LEAST_ROOM_M)
    middle, slack = (low + high) / 2, (high - low) / 2
    said = f"In place of the {old.name}: what {replace_wanted(old, ways).does}."
    slot = Slot(0, middle, low, high, old.roll_m, old.carry_sd_m)
    return SlotLayout(GapRule.CARRY_ONLY, 1, (slot,), 0.0, slack, slack, said)


def propose_replacing(
    old: Carried,
    ways: Collection[ReplaceWay],
    layout: SlotLayout,
    jobs: Sequence[Job],
    *,
    miss: Miss = Miss.NONE,
    thresholds: Thresholds = DEFAULT,
) -> list[Target]:
    """Targets for another club in an old one's place.

    Raises BadInput where it is to land softer and the old club's landing is not known.
    """
    slot = layout.slots[0]
    made = [Target("carry_m", slot.low_m, slot.high_m, layout.sentence, *_sure(old))]
    if ReplaceWay.SOFTER in ways:
        made.append(_beaten(old, "landing_deg", 1, "lands softer", thresholds))
    return [*made, *_side(jobs, slot, miss)]


def _beaten(old: Carried, quantity: str, way: int, does: str, thresholds: Thresholds) -> Target:
    """The target of a reading that is to be other than an old club's by more than what counts as the same."""
    value = getattr(old, quantity)
    if value is None:
        raise BadInput(f"Hit the {old.name} first: its flight is what the new one is held against.", field="like_for")
    edge = value + way * thresholds.same(quantity)
    has = {
        "peak_m": f"{shown(feet(value))} ft", "landing_deg": f"{shown(value)}°", "spin_rpm": f"{shown(value)} rpm",
    }[quantity]  # fmt: skip
    why = f"The {old.name} has {has}; a club that {does} beats that by more than a monitor reads."
    return Target(quantity, edge if way > 0 else None, None if way > 0 else edge, why, *_sure(old))


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
