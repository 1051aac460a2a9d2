"""From delivery and club to launch.

Oblique impact in the usual form (T. P. Jorgensen, The Physics of Golf, 1994, ch. 7; A. Cochran and
J. Stobbs, Search for the Perfect Swing, 1968): with spin loft s = dynamic loft - attack angle,
launch leans from the club's path towards the face by a share that falls with s, spin grows with
V sin s, and smash falls with s. Shares and levels are read off published tour averages.
"""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np
from numpy.typing import ArrayLike, NDArray

from ...flight.aero import BALL_RADIUS_M
from .club import Club

# Smash against spin loft, from the tour averages with launch inverted for spin loft.
SPIN_LOFT_DEG = np.array([8.0, 14.5, 16.4, 19.3, 26.0, 33.0, 40.0, 50.0, 62.0])
SMASH = np.array([1.505, 1.48, 1.455, 1.41, 1.33, 1.28, 1.23, 1.10, 0.92])
HIGH_LAUNCH_DEG_PER_MM = 0.12

Floats = NDArray[np.float64]


@dataclass(frozen=True)
class Delivery:
    """The club at n impacts, arrays (n,), right-handed: speed m/s, angles in degrees (attack up positive,
    path and face right positive), strike in mm from the middle (toe and high positive), turf 0 clean to 1
    heavy."""

    club_speed_mps: ArrayLike
    attack_deg: ArrayLike
    path_deg: ArrayLike
    face_deg: ArrayLike
    dynamic_loft_deg: ArrayLike
    toe_mm: ArrayLike
    high_mm: ArrayLike
    turf: ArrayLike = 0.0


@dataclass(frozen=True)
class Impact:
    """Launches of n shots, arrays (n,), right-handed; see flight.Launch for signs."""

    ball_speed_mps: Floats
    launch_deg: Floats
    direction_deg: Floats
    spin_rpm: Floats
    axis_deg: Floats


def strike_ball(delivery: Delivery, club: Club) -> Impact:
    """n impacts with one club. A heavy strike (turf) loses club speed first, and spin with it."""
    physics = club.physics
    attack, path, face, loft, toe, high, turf = (
        np.asarray(each, dtype=float)
        for each in (
            delivery.attack_deg,
            delivery.path_deg,
            delivery.face_deg,
            delivery.dynamic_loft_deg,
            delivery.toe_mm,
            delivery.high_mm,
            delivery.turf,
        )
    )
    speed = np.asarray(delivery.club_speed_mps, dtype=float) * (1 - physics.turf * turf)
    spin_loft = np.clip(loft - attack, 5, 70)
    to_face = 0.90 - 0.0042 * spin_loft
    kept = np.maximum(0.55, 1 - physics.loss * (toe**2 + (1.3 * high) ** 2))
    ideal = 5 / 7 * speed * np.sin(np.radians(spin_loft)) / BALL_RADIUS_M * 60 / (2 * np.pi)
    gear = np.maximum(0.4, 1 + physics.spin_share_per_mm * high)
    axis = np.degrees(np.arctan2(np.sin(np.radians(face - path)), np.sin(np.radians(spin_loft))))
    return Impact(
        ball_speed_mps=speed * np.interp(spin_loft, SPIN_LOFT_DEG, SMASH) * physics.speed * kept,
        launch_deg=attack + to_face * spin_loft + HIGH_LAUNCH_DEG_PER_MM * high,
        direction_deg=path + to_face * (face - path) + 0.06 * toe,
        spin_rpm=ideal * physics.spin * gear * (1 - 0.25 * turf),
        axis_deg=np.clip(axis - physics.axis_deg_per_mm * toe, -60, 60),
    )
