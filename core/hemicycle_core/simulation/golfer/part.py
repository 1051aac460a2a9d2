"""Swings that are not full: how much of the speed is left, and how much less evenly it comes.

By judgement (no measurements are published): three-quarter 0.85 to 0.90 of full speed, half 0.70 to 0.75, quarter 0.50
to 0.58; attack half a degree to one degree shallower. The spread of speed is 1.6 times that of the full swing at
three-quarter and 2.4 times at half, and goes on growing; one player eases off better than another.
"""

from __future__ import annotations

from dataclasses import replace

import numpy as np

from ...runs import COMFORTABLE, FULL, HALF, THREE_QUARTER
from .impact import ClubDelivery

SPEED = {FULL: 1.0, COMFORTABLE: 0.94, THREE_QUARTER: 0.875, HALF: 0.725}
# Where the left arm stops, hours of the clock, and the speed that is left.
CLOCK_H, CLOCK_SPEED = (6.0, 7.5, 9.0, 10.5, 11.5), (0.30, 0.54, 0.725, 0.875, 0.97)
# What comes on top of the full swing's spread of speed, in parts of it, by the speed that is left.
LEFT, MORE_SPREAD = (0.30, 0.54, 0.725, 0.875, 1.0), (3.3, 2.9, 2.15, 1.2, 0.0)
SHALLOWER_DEG = 1.5  # at no speed at all


def speed_left(length: str) -> float:
    """The share of a full swing's club speed, 0 to 1."""
    if length in SPEED:
        return SPEED[length]
    hour, minute = length.split(":")
    return float(np.interp(int(hour) + int(minute) / 60, CLOCK_H, CLOCK_SPEED))


def shortened(delivery: ClubDelivery, left: float, spread: float, chance: np.random.Generator) -> ClubDelivery:
    """n deliveries of full swings as they come when so much of the speed is left. spread: one standard deviation of the
    speed at which this player's full swing comes, as a share, by how well he eases off."""
    if left == 1.0:
        return delivery
    more = spread * float(np.interp(left, LEFT, MORE_SPREAD))
    return replace(
        delivery,
        club_speed_mps=np.asarray(delivery.club_speed_mps)
        * left
        * np.exp(more * chance.normal(size=np.size(delivery.club_speed_mps))),
        attack_deg=np.asarray(delivery.attack_deg) + SHALLOWER_DEG * (1 - left),
    )
