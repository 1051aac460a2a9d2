"""What is looked at before an own club goes: whether anybody saw it hit, its loft, and the hole it would leave."""

from __future__ import annotations

from ..bag.gaps import CROWDED_M
from ..brief import Wish
from ..said import NOTHING, Said
from .options import Option, Plan
from .sentences import lofts_first
from .stand import Stand


def opens_a_hole(plan: Plan, stand: Stand) -> bool:
    """Whether another club in an old one's place surely costs as much as a change that nobody asked for must save: what
    the old one did is done by nobody then."""
    worth = stand.worth(plan)
    costs = float((worth.draws < 0).mean()) >= stand.thresholds.better
    return stand.asked.wanted.wish is Wish.REPLACE and costs and worth.saves <= -stand.thresholds.least_gain


def not_seen(plan: Plan, first: Option, stand: Stand) -> str | None:
    """The name of an own club that would leave for one that carries the same, and that nobody saw hit: what it does is
    measured before it goes. None where it was asked to go."""
    if stand.asked.of_old:
        return None
    gone = stand.weigher.today.keys - plan.keys
    return next(
        (
            option.club.name
            for option in stand.weigher.options
            if option.key in gone and not option.hit and option.club.name != first.replaces
            if abs(option.club.carry_m - first.club.carry_m) < CROWDED_M
        ),
        None,
    )


def measured_first(plan: Plan, stand: Stand) -> Said:
    """Where one of two neighbours that carry the same leaves: their lofts are measured before either is thrown out."""
    own = [option for option in stand.weigher.options if option.own]
    asked = {option.replaces for option in stand.new_in(plan)}
    for gone in (option for option in own if option.key not in plan.keys and option.club.name not in asked):
        twins = [
            other
            for other in own
            if other.key in plan.keys and abs(other.club.carry_m - gone.club.carry_m) < CROWDED_M
            if other.club.head_type is gone.club.head_type and not other.club.kept_for
        ]
        if twins:
            return lofts_first(twins[0].club.name, gone.club.name)
    return NOTHING
