"""From delivery and club to launch.

Oblique impact as `hemicycle_core.impact` has it, and what a head does beyond it. With spin loft s = dynamic loft -
attack angle, launch leans from the club's path towards the face by a share that falls with s, spin grows with V sin s,
and smash falls with s: shares and levels are read off published tour averages. Where friction does not hold the ball it
slides: less spin, higher launch, a little less speed. A curved face turns with the strike, and the ball is spun back by
the head that turns under it (gear effect: A. Cochran and J. Stobbs, Search for the Perfect Swing, 1968, ch. 24).
"""

from __future__ import annotations

import math
from dataclasses import dataclass

import numpy as np
from numpy.typing import ArrayLike, NDArray

from ...flight.aero import BALL_RADIUS_M
from ...impact import DRY_FRICTION, least_of
from .club import SwungClub

# Smash of a ball that grips against spin loft: to 40 degrees from the tour averages with launch inverted for spin loft,
# beyond by equation (1) of `impact`.
SPIN_LOFT_DEG = np.array([8.0, 14.5, 16.4, 19.3, 26.0, 33.0, 40.0, 45.0, 50.0, 55.0, 62.0, 70.0, 76.0])
SMASH = np.array([1.505, 1.48, 1.455, 1.41, 1.33, 1.28, 1.23, 1.145, 1.055, 0.95, 0.79, 0.59, 0.43])

Floats = NDArray[np.float64]


@dataclass(frozen=True)
class ClubDelivery:
    """The club at n impacts, arrays (n,), right-handed: speed m/s, angles in degrees (attack up positive,
    path and face right positive), strike in mm from the middle (toe and high positive), turf 0 clean to 1
    heavy, spin_share of what impact makes that ground between leaves, friction of face and ball."""

    club_speed_mps: ArrayLike
    attack_deg: ArrayLike
    path_deg: ArrayLike
    face_deg: ArrayLike
    dynamic_loft_deg: ArrayLike
    toe_mm: ArrayLike
    high_mm: ArrayLike
    turf: ArrayLike = 0.0
    spin_share: ArrayLike = 1.0
    friction: ArrayLike = DRY_FRICTION


@dataclass(frozen=True)
class Impact:
    """Launches of n shots, arrays (n,), right-handed; see flight.Launch for signs."""

    ball_speed_mps: Floats
    launch_deg: Floats
    direction_deg: Floats
    spin_rpm: Floats
    axis_deg: Floats


def strike_ball(delivery: ClubDelivery, club: SwungClub) -> Impact:
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
    spin_loft = np.clip(loft + physics.curve_deg_per_mm * high - attack, 5, 75)
    across_line = face + physics.curve_deg_per_mm * toe - club.upright_deg * math.tan(math.radians(club.loft_deg))
    kept = np.maximum(0.55, 1 - physics.loss * (toe**2 + (1.3 * high) ** 2))
    ball_speed = speed * np.interp(spin_loft, SPIN_LOFT_DEG, SMASH) * physics.speed * kept
    ideal = 5 / 7 * speed * np.sin(np.radians(spin_loft)) / BALL_RADIUS_M
    gear = np.maximum(0.4, 1 + physics.spin_share_per_mm * high)
    spin = ideal * physics.spin * gear * (1 - 0.25 * turf) * delivery.spin_share
    # The same as speeds along the face and across it: what grips, and what friction allows.
    along = np.minimum(spin * BALL_RADIUS_M / 2.5, 0.7 * ball_speed)
    across = np.sqrt(ball_speed**2 - along**2)
    gripping = along / across
    left = least_of(gripping, np.broadcast_to(np.asarray(delivery.friction, dtype=float), gripping.shape))
    slid_deg = np.degrees(np.arctan(gripping) - np.arctan(left))
    to_face = 0.90 - 0.0042 * spin_loft + slid_deg / spin_loft
    axis = np.degrees(np.arctan2(np.sin(np.radians(across_line - path)), np.sin(np.radians(spin_loft))))
    return Impact(
        ball_speed_mps=across * np.hypot(1, left),
        launch_deg=attack + to_face * spin_loft + physics.high_launch_deg_per_mm * high,
        direction_deg=path + to_face * (across_line - path) + physics.twist_deg_per_mm * toe,
        spin_rpm=spin * left / gripping * 60 / (2 * np.pi),
        axis_deg=np.clip(axis - physics.axis_deg_per_mm * toe, -60, 60),
    )
