"""The space in work: what leads, by which rule holes are drawn, what was named. Lengths in metres."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from ..bag import GapOrder, GapRule
from ..brief import FlightWish, ReplaceWay, Wish
from ..flight import Firmness
from .values import value


@dataclass(frozen=True)
class Space:
    """Which space is in work and what is wanted of it. like_for: the own club that a new one is held against;
    gap_above: the club under the space that was chosen, both by number, None for none."""

    rule: GapRule = value(GapRule.ROLL_OUT, longest=12)
    short_rule: GapRule = value(GapRule.EVEN_STEPS, longest=12)
    long_least_m: float | None = value(None, help="Step at the long end; null: by speed.")
    long_most_m: float | None = value(None)
    short_least_m: float | None = value(None, help="Step of irons and wedges; null: the usual one.")
    short_most_m: float | None = value(None)
    turf: Firmness | None = value(None, longest=8, help="Roll-out on this turf; empty: as the monitor has it.")
    wish: Wish = value(Wish.GAP, longest=8, help="What leads.")
    like_for: int | None = value(None, link="Build")
    flight_wish: FlightWish | None = value(None, longest=10, help="With like_for: its yardage, with this flight.")
    replace_ways: Sequence[ReplaceWay] = value((), help="With like_for: what takes its place is to do this.")
    named_low_m: float | None = value(None, help="A yardage or band that was named; one yardage twice.")
    named_high_m: float | None = value(None)
    named_total: bool = value(False, help="Where it stops, not where it lands.")
    clubs_to_place: int = value(1)
    gap_order: GapOrder = value(GapOrder.NEED, longest=8)
    gap_above: int | None = value(None, link="Build")
