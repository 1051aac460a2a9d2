"""A step smaller than the player's spread is no step: how often two clubs do each other's work."""

from __future__ import annotations

from scipy.special import ndtr, ndtri

from ..errors import BadInput
from ..said import say

MUDDLED = 0.20  # from this chance on two neighbours are not told apart in play: one shot in five


def overlap(step_m: float, spread_m: float, other_spread_m: float) -> float:
    """Chance that a shot of one of two clubs lands in the other's yardage, 0 to 0.5.

    step_m: between their carries, 0 or more. Spreads are standard deviations, more than 0. Each club owns
    its side of the point that is as many spreads from the one as from the other.
    """
    if step_m < 0 or spread_m <= 0 or other_spread_m <= 0:
        raise BadInput(say("samples-step-more-spreads-more"), field="spread")
    return float(ndtr(-step_m / (spread_m + other_spread_m)))


def smallest_useful_step(spread_m: float, *, muddled: float = MUDDLED) -> float:
    """The step in metres from which two clubs of this spread land in each other's yardage less often than `muddled`."""
    if spread_m <= 0 or not 0 < muddled < 0.5:
        raise BadInput(say("samples-spread-more-than-chance"), field="spread")
    return float(-2 * spread_m * ndtri(muddled))
