"""What the player came for. One wish leads, the others are limits; each has its own targets and its own success."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from enum import StrEnum

from ..bag import Carried, Slot, SlotLayout
from ..bag.gaps import GapRule
from ..bag.slots import KEPT_M, SLACK_M
from ..errors import BadInput
from ..thresholds import DEFAULT, Thresholds
from ..units import feet, metres, yards, yd_text
from .jobs import Job, Miss
from .targets import Target, jobs_of_slot, side_target

# Within these the new club does what the old one did: no yardage is relearned and nobody sees another flight.
KEPT_PEAK_M, KEPT_LANDING_DEG, KEPT_SPIN_RPM = metres(8 / 3), 1.5, 400.0
NAMED_LEAST_M, NAMED_MOST_M = metres(40), metres(330)


class Wish(StrEnum):
    """What leads: a space to fill, an old club's like, or its yardage with another flight."""

    GAP = "gap"
    LIKE = "like"
    FLIGHT = "flight"


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
    does: what a build that meets them does, for sentences; old: the club it is held against."""

    wish: Wish = Wish.GAP
    demands: tuple[str, ...] = ()
    does: str = ""
    old: str = ""


FLIGHT = ("landing_deg", "peak_m", "spin_rpm")


def like_wanted(old: Carried) -> Wanted:
    """The same but newer: carry and every reading of the flight that is known of the old club."""
    known = tuple(quantity for quantity in FLIGHT if getattr(old, quantity) is not None)
    return Wanted(Wish.LIKE, known, f"does what the {old.name} does", old.name)


def flight_wanted(old: Carried, asked: FlightWish) -> Wanted:
    quantity, _, does = ASKED[asked]
    return Wanted(Wish.FLIGHT, (quantity,), f"keeps the yardage of the {old.name} and {does}", old.name)


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
    shown = {
        "peak_m": f"{feet(value):.0f} ft", "landing_deg": f"{value:.0f}°", "spin_rpm": f"{value:.0f} rpm",
    }[quantity]  # fmt: skip
    return [
        Target("carry_m", old.carry_m - KEPT_M, old.carry_m + KEPT_M,
               f"The yardage of the {old.name} stays.", *_sure(old)),
        Target(quantity, edge if way > 0 else None, None if way > 0 else edge,
               f"The {old.name} has {shown}; a club that {does} beats that by more than a monitor reads.", *_sure(old)),
        *_side(jobs, slot, miss),
    ]  # fmt: skip


def _side(jobs: Sequence[Job], slot: Slot, miss: Miss) -> list[Target]:
    found = side_target(jobs_of_slot(jobs, slot), miss)
    return [found] if found else []


def _sure(old: Carried) -> tuple[bool, str]:
    off = f"±{max(1, round(yards(1.6449 * old.carry_sd_m)))} yd"
    hit = old.spread_m is not None
    return hit, f"Known to {off} from the shots hit." if hit else f"Known to {off}: {old.name} was typed, not hit."


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
