"""Swings that are not full: how much of the speed is left, and how much less evenly it comes.

By judgement (no measurements are published): three-quarter 0.85 to 0.90 of full speed, half 0.70 to 0.75, quarter 0.50
to 0.58; attack half a degree to one degree shallower; speed spreads twice as much at half, dynamic loft half as much
again.
"""

from __future__ import annotations

from dataclasses import replace

import numpy as np

from ...runs import FULL, HALF, THREE_QUARTER
from .impact import Delivery

SPEED = {FULL: 1.0, THREE_QUARTER: 0.875, HALF: 0.725}
# Where the left arm stops, hours of the clock, and the speed that is left.
CLOCK_H, CLOCK_SPEED = (6.0, 7.5, 9.0, 10.5, 11.5), (0.30, 0.54, 0.725, 0.875, 0.97)
MORE_SPEED_SPREAD, MORE_LOFT_SPREAD_DEG = 0.03, 0.8  # at half speed, on top of the full swing's
SHALLOWER_DEG = 1.5  # at no speed at all


def speed_left(length: str) -> float:
    """The share of a full swing's club speed, 0 to 1."""
    if length in SPEED:
        return SPEED[length]
    hour, minute = length.split(":")
    return float(np.interp(int(hour) + int(minute) / 60, CLOCK_H, CLOCK_SPEED))


def shortened(delivery: Delivery, length: str, chance: np.random.Generator) -> Delivery:
    """n deliveries of full swings as they come when the swing is no longer than that."""
    left = speed_left(length)
    if left == 1.0:
        return delivery
    n = np.size(delivery.club_speed_mps)
    wider = 2 * (1 - left)
    speed, loft = chance.normal(size=(2, n))
    return replace(
        delivery,
        club_speed_mps=np.asarray(delivery.club_speed_mps) * left * (1 + MORE_SPEED_SPREAD * wider * speed),
        attack_deg=np.asarray(delivery.attack_deg) + SHALLOWER_DEG * (1 - left),
        dynamic_loft_deg=np.maximum(4.0, np.asarray(delivery.dynamic_loft_deg) + MORE_LOFT_SPREAD_DEG * wider * loft),
    )
