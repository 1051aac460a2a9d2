"""From delivery and club to launch.

Oblique impact in the usual form (T. P. Jorgensen, The Physics of Golf, 1994, ch. 7; A. Cochran and
J. Stobbs, Search for the Perfect Swing, 1968): with spin loft s = dynamic loft - attack angle,
launch leans from the club's path towards the face by a share that falls with s, spin grows with
V sin s, and smash falls with s. Shares and levels are read off published tour averages.
"""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from ..flight.aero import BALL_RADIUS_M
from .club import Club

# Smash against spin loft, from the tour averages with launch inverted for spin loft.
SPIN_LOFT_DEG = np.array([8.0, 14.5, 16.4, 19.3, 26.0, 33.0, 40.0, 50.0, 62.0])
SMASH = np.array([1.505, 1.48, 1.455, 1.41, 1.33, 1.28, 1.23, 1.10, 0.92])
HIGH_LAUNCH_DEG_PER_MM = 0.12


@dataclass(frozen=True)
class Delivery:
    """The club at impact, right-handed: speed m/s, angles in degrees (attack up positive, path and face
    right positive), strike in mm from the middle (toe and high positive), turf 0 clean to 1 heavy."""

    club_speed_mps: float
    attack_deg: float
    path_deg: float
    face_deg: float
    dynamic_loft_deg: float
    toe_mm: float
    high_mm: float
    turf: float = 0.0


@dataclass(frozen=True)
class Impact:
    """Launch of one shot, right-handed; see flight.Launch for signs."""

    ball_speed_mps: float
    launch_deg: float
    direction_deg: float
    spin_rpm: float
    axis_deg: float


def strike_ball(delivery: Delivery, club: Club) -> Impact:
    """One impact. A heavy strike (turf) loses club speed first, and spin with it."""
    physics = club.physics
    speed = delivery.club_speed_mps * (1 - physics.turf * delivery.turf)
    spin_loft = float(np.clip(delivery.dynamic_loft_deg - delivery.attack_deg, 5, 70))
    to_face = 0.90 - 0.0042 * spin_loft
    off_centre = delivery.toe_mm**2 + (1.3 * delivery.high_mm) ** 2
    smash = float(np.interp(spin_loft, SPIN_LOFT_DEG, SMASH)) * physics.speed * max(0.55, 1 - physics.loss * off_centre)
    ideal = 5 / 7 * speed * np.sin(np.radians(spin_loft)) / BALL_RADIUS_M * 60 / (2 * np.pi)
    spin = (
        ideal * physics.spin * max(0.4, 1 + physics.spin_share_per_mm * delivery.high_mm) * (1 - 0.25 * delivery.turf)
    )
    face_to_path = delivery.face_deg - delivery.path_deg
    axis = np.degrees(np.arctan2(np.sin(np.radians(face_to_path)), np.sin(np.radians(spin_loft))))
    return Impact(
        ball_speed_mps=speed * smash,
        launch_deg=delivery.attack_deg + to_face * spin_loft + HIGH_LAUNCH_DEG_PER_MM * delivery.high_mm,
        direction_deg=delivery.path_deg + to_face * face_to_path + 0.06 * delivery.toe_mm,
        spin_rpm=float(spin),
        axis_deg=float(np.clip(axis - physics.axis_deg_per_mm * delivery.toe_mm, -60, 60)),
    )
