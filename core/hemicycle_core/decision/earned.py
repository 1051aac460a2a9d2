"""Several new wedges in one bag: each that takes the place of an own one must earn it. One that fills a place that is
open, or brings the steps nearer to what is wanted, does; any other must itself save what a change that nobody asked for
must save."""

from __future__ import annotations

import itertools
from collections.abc import Sequence

from ..bag.gaps import StepWish
from ..brief import Wish
from ..heads import HeadType
from ..units import metres
from .options import Plan
from .stand import Stand

LESS_M = metres(1)  # of what steps lie outside their wish: less is no better cut


def each_earns(plans: Sequence[Plan], stand: Stand) -> list[Plan]:
    """The bags, in their order, without those in which a new wedge is one too many."""
    single = [plan for plan in plans if plan.swap is None]
    best: dict[frozenset[str], Plan] = {}
    for plan in single:
        best.setdefault(_new(plan, stand), plan)
    return [plan for plan in plans if plan.swap is not None or _all_earn(plan, best, stand)]


def _new(plan: Plan, stand: Stand) -> frozenset[str]:
    return frozenset(option.key for option in stand.may if option.key in plan.keys)


def _all_earn(plan: Plan, best: dict[frozenset[str], Plan], stand: Stand) -> bool:
    new = _new(plan, stand)
    if len(new) < 2:
        return True
    of = {option.key: option for option in stand.may}
    for key in new:
        without = best.get(new - {key})
        instead = of[key].replaces and of[key].club.head_type is HeadType.WEDGE
        if without is None or not instead or stand.asked.open.get(of[key].slot, False):
            continue
        more = stand.worth(plan).net - stand.worth(without).net
        if more <= stand.thresholds.least_gain and not _evens(plan, without, stand):
            return False
    return True


def _evens(plan: Plan, without: Plan, stand: Stand) -> bool:
    """Whether a bag has its wedges nearer to the steps that are wanted."""
    wish = stand.weigher.rules.wedge_step
    return outside(plan, stand, wish) < outside(without, stand, wish) - LESS_M


def floor_of(plan: Plan, stand: Stand) -> float:
    """What a bag must save beyond its price: nothing more where it brings steps of the wedges that lie outside what is
    wanted nearer to it, as that is what was asked for."""
    wedges = any(option.club.head_type is HeadType.WEDGE for option in stand.new_in(plan))
    evens = wedges and stand.asked.wanted.wish is Wish.GAP and _evens(plan, stand.weigher.today, stand)
    return min(stand.floor, 0.0) if evens else stand.floor


def outside(plan: Plan, stand: Stand, wish: StepWish) -> float:
    """How far the steps between the wedges of a bag lie outside their wish in all, metres."""
    carries = sorted(
        option.club.carry_m
        for option in stand.weigher.options
        if option.key in plan.keys and option.club.head_type is HeadType.WEDGE and not option.club.kept_for
    )
    steps = [upper - lower for lower, upper in itertools.pairwise(carries)]
    return sum(max(wish.least_m - step, 0.0) + (0.0 if wish.closes(step) else step - wish.most_m) for step in steps)
