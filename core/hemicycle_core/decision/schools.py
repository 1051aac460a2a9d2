"""Both schools of how many wedges belong between the ends of the short end, as bags."""

from __future__ import annotations

import itertools
import math

from ..bag import Carried, HeadType
from ..bag.gaps import CROWDED_M
from ..units import metres
from .bags import Bag, Weigher
from .options import Option, Plan

CLOSED_HALF_M = metres(2)  # between the ends of the wedges, where every yard was cut


def school_plan(weigher: Weigher, ends: tuple[Carried, Carried], count: int, *, closed_first: bool) -> Bag:
    """The bag with `count` wedges between the two ends, out of those that are there: where each yardage is to have its
    wedge the least open one, which never has fewer than are carried, else the one that saves most; all else of the bag
    stays. With fewer there than asked for, all of them."""
    low, high = ends

    def inside(option: Option) -> bool:
        wedge = option.club.head_type is HeadType.WEDGE and not option.club.kept_for
        return wedge and low.carry_m + CROWDED_M <= option.club.carry_m <= high.carry_m - CROWDED_M

    there = [option for option in weigher.options if inside(option) and not (option.fixed or option.turned)]
    stay = frozenset(option.key for option in weigher.options if option.own and option not in there)
    if closed_first:
        count = max(count, sum(option.own for option in there))
    bags = [
        weigher.weigh(Plan(stay | {option.key for option in chosen}))
        for chosen in itertools.combinations(there, min(count, len(there)))
    ]

    def worth(bag: Bag) -> tuple[float, float, int, float]:
        gaps = (
            gap for gap in bag.covered.gaps if low.carry_m <= gap.lower.carry_m and gap.upper.carry_m <= high.carry_m
        )
        tidy = round(math.hypot(*(gap.open_m for gap in gaps)) / CLOSED_HALF_M) if closed_first else 0
        return tidy, -round(bag.worth.saves, 2), len(bag.added), bag.price

    return min(bags, key=worth)
