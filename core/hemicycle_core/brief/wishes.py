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
from ..said import NOTHING, Said, angle, english, far, high, joined, number, say, some_way, spin, term, with_and
from ..thresholds import DEFAULT, Thresholds
from ..units import metres, ninety
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
ASKED: dict[FlightWish, tuple[str, int, Said]] = {
    FlightWish.HIGHER: ("peak_m", 1, term("flight-wish", FlightWish.HIGHER)),
    FlightWish.LOWER: ("peak_m", -1, term("flight-wish", FlightWish.LOWER)),
    FlightWish.STEEPER: ("landing_deg", 1, term("flight-wish", FlightWish.STEEPER)),
    FlightWish.LESS_SPIN: ("spin_rpm", -1, term("flight-wish", FlightWish.LESS_SPIN)),
    FlightWish.MORE_SPIN: ("spin_rpm", 1, term("flight-wish", FlightWish.MORE_SPIN)),
}


class ReplaceWay(StrEnum):
    """What the club that takes an old one's place is to do beside it. Longer and shorter are never both asked."""

    LONGER = "longer"
    SHORTER = "shorter"
    SOFTER = "softer"


@dataclass(frozen=True)
class Wanted:
    """The wish that leads and what it is held against. demands: quantities whose targets must be met, carry aside.
    does: what a build that meets them does, for sentences; old: the club it is held against, old_hit: today and by the
    same monitor. moves: the readings of its flight that are to be other, each with the way, 1 for more; fairway: to be
    held, where staying in play is part of it; tee: that fairway at the old club's length, where strokes are counted;
    lower: of two wedges that are as good the one that leaves lower with more spin."""

    wish: Wish = Wish.GAP
    demands: tuple[str, ...] = ()
    does: Said = NOTHING
    old: str = ""
    old_hit: bool = True
    fairway: Job | None = None
    tee: Job | None = None
    moves: tuple[tuple[str, int], ...] = ()
    lower: bool = False

    @property
    def windowless(self) -> bool:
        """Whether no carry is asked for."""
        return self.wish in (Wish.FAR, Wish.COMPARE)


FLIGHT = ("landing_deg", "peak_m", "spin_rpm")


def like_wanted(old: Carried) -> Wanted:
    """The same but newer: carry and every reading of the flight that is known of the old club."""
    known = tuple(quantity for quantity in FLIGHT if getattr(old, quantity) is not None)
    return Wanted(Wish.LIKE, known, say("brief-does-what-does", name=old.name), old.name, old.hit)


def flight_wanted(old: Carried, asked: FlightWish) -> Wanted:
    quantity, way, does = ASKED[asked]
    words = say("brief-keeps-yardage", name=old.name, does=does)
    return Wanted(Wish.FLIGHT, (quantity,), words, old.name, old.hit, moves=((quantity, way),))


def replace_wanted(old: Carried, ways: Collection[ReplaceWay]) -> Wanted:
    """Another club in the place of an old one, which goes."""
    asked = [way for way in ReplaceWay if way in ways]
    softer = say("replace-way-softer") if len(asked) > 1 else say("replace-way-softer-than", name=old.name)
    further, less = say("replace-way-longer", name=old.name), say("replace-way-shorter", name=old.name)
    words = with_and(
        softer if way is ReplaceWay.SOFTER else further if way is ReplaceWay.LONGER else less for way in asked
    )
    moves = (("landing_deg", 1),) if ReplaceWay.SOFTER in asked else ()
    demands = tuple(quantity for quantity, _ in moves)
    return Wanted(Wish.REPLACE, demands, words, old.name, old.hit, moves=moves)


# Of a hundred shots so many more may miss the fairway for the sake of length: about one more a round's tee shots in
# two rounds.
OUT_OF_PLAY_MORE = 0.05
_FAIRWAY_M = metres(32)
FAIRWAY_WORDS = say("brief-usual-fairway", width=far(_FAIRWAY_M))
USUAL_FAIRWAY = Job(english(FAIRWAY_WORDS), JobKind.TEE, 10.0, width_m=_FAIRWAY_M)


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
        words = say("brief-hit-first-how-far", name=old.name)
        raise BadInput(words, field="like_for")
    does = say("brief-goes-further-than-play", name=old.name)
    fairway = fairway_of(jobs, old)
    tee = replace(fairway, distance_m=old.total_m)
    return Wanted(Wish.FAR, ("total_m", "in_play"), does, old.name, True, fairway, tee)


def far_words(old: Carried, fairway: Job, thresholds: Thresholds = DEFAULT) -> Said:
    """What is asked of a club that is to go as far as possible and be in play."""
    return say(
        "brief-wanted-far",
        least=far(old.total_m + thresholds.same_carry_m),
        where=FAIRWAY_WORDS if fairway == USUAL_FAIRWAY else say("quoted", name=fairway.name),
        more=number(100 * OUT_OF_PLAY_MORE),
        name=old.name,
    )


def propose_far(old: Carried, thresholds: Thresholds = DEFAULT) -> list[Target]:
    """The total that counts as further than the old club's; how often it is in play is told by the jobs played out."""
    edge = old.total_m + thresholds.same_carry_m
    return [Target("total_m", edge, None, say("brief-further-than-more-than", name=old.name), *_sure(old))]


COMPARED = Wanted(Wish.COMPARE)


def propose_like(old: Carried, slot: Slot, jobs: Sequence[Job], *, miss: Miss = Miss.NONE) -> list[Target]:
    """Targets for the same club but newer: the old one's carry and flight, as near as nobody tells, and the side its
    jobs allow."""
    aim = say("brief-does-today", name=old.name)
    rooms = (("landing_deg", KEPT_LANDING_DEG), ("peak_m", KEPT_PEAK_M), ("spin_rpm", KEPT_SPIN_RPM))
    made = [Target("carry_m", old.carry_m - KEPT_M, old.carry_m + KEPT_M,
                   joined([aim, say('brief-like-for-like')]), *_sure(old))]  # fmt: skip
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
               say('brief-yardage-stays', name=old.name), *_sure(old)),
        _beaten(old, *ASKED[asked], thresholds),
        *_side(jobs, slot, miss),
    ]  # fmt: skip


# How far from the old club's carry its place in the bag may be taken, where no neighbour ends it before.
LONGEST_STEP_M, SAME_PLACE_M = metres(20), metres(8)
LEAST_ROOM_M = metres(5)


def check_ways(ways: Collection[ReplaceWay]) -> None:
    """Raise BadInput where nothing is asked of what takes an old club's place, or both ways at once."""
    if not ways:
        raise BadInput(say("brief-say-what-new-club"), field="ways")
    if ReplaceWay.LONGER in ways and ReplaceWay.SHORTER in ways:
        raise BadInput(say("brief-club-cannot-carry-further"), field="ways")


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
    said = say("brief-place-what", name=old.name, does=replace_wanted(old, ways).does)
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
        made.append(_beaten(old, "landing_deg", 1, say("replace-way-softer"), thresholds))
    return [*made, *_side(jobs, slot, miss)]


def _beaten(old: Carried, quantity: str, way: int, does: Said, thresholds: Thresholds) -> Target:
    """The target of a reading that is to be other than an old club's by more than what counts as the same."""
    value = getattr(old, quantity)
    if value is None:
        raise BadInput(say("brief-hit-first-flight-what", name=old.name), field="like_for")
    edge = value + way * thresholds.same(quantity)
    has = {"peak_m": high, "landing_deg": angle, "spin_rpm": spin}[quantity](value)
    why = say("brief-has-club-beats-more", name=old.name, has=has, does=does)
    return Target(quantity, edge if way > 0 else None, None if way > 0 else edge, why, *_sure(old))


def _side(jobs: Sequence[Job], slot: Slot, miss: Miss) -> list[Target]:
    found = side_target(jobs_of_slot(jobs, slot), miss)
    return [found] if found else []


def _sure(old: Carried) -> tuple[bool, Said]:
    off = some_way(ninety(old.carry_sd_m))
    return old.hit, say("brief-known-from-shots-hit", off=off) if old.hit else say(
        "brief-known-was-not-hit", off=off, name=old.name
    )


def check_named(low_m: float | None, high_m: float | None) -> None:
    """Raise BadInput for a yardage that nobody asks a club for."""
    if low_m is None and high_m is None:
        return
    if low_m is None or high_m is None or low_m > high_m:
        raise BadInput(say("brief-name-one-yardage-band"), field="named_low_m")
    if low_m < NAMED_LEAST_M or high_m > NAMED_MOST_M:
        raise BadInput(
            say("brief-yardage-lies-between", low=far(NAMED_LEAST_M), high=far(NAMED_MOST_M)), field="named_low_m"
        )


def lay_out_named(low_m: float, high_m: float, roll_m: float, *, total: bool) -> SlotLayout:
    """One slot for a yardage or band that was named, ahead of any even cut. One yardage means give or take 3.5 yd.
    total: where the ball is to stop, not where it is to land."""
    slack = max((high_m - low_m) / 2, SLACK_M)
    middle = (low_m + high_m) / 2 - (roll_m if total else 0.0)
    said = say("brief-was-asked-for", low=far(low_m), high=far(high_m), band=high_m - low_m >= metres(1), total=total)
    return SlotLayout(
        GapRule.CARRY_ONLY, 1, (Slot(0, middle, middle - slack, middle + slack, roll_m),), 0.0, slack, slack, said
    )


def named_target(layout: SlotLayout) -> Target:
    slot = layout.slots[0]
    return Target("carry_m", slot.low_m, slot.high_m, layout.sentence, sure=say("brief-what-was-asked-not"))
