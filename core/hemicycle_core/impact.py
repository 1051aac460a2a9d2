"""Oblique impact of a club with the ball: what loft, speed and friction make of ball speed, launch and spin.

With V club speed, s spin loft (dynamic loft less attack angle), M head mass, m ball mass and mu friction:

    Vn = V cos s (1 + e) / (1 + m / M),  e = 0.86 - 0.0029 V cos s  (A. R. Penner, Am. J. Phys. 69, 2001)  (1)
    Vt = min(0.343 V sin s, mu Vn)                                                                         (2)
    ball speed = hypot(Vn, Vt), launch = attack + s - atan(Vt / Vn), omega = 2.5 Vt / R                    (3)

The first of (2) is a ball that grips: 2/7 of the speed along the face, times 1.2, as a ball that springs along the
face leaves with more spin than rolling (R. Cross, Am. J. Phys. 70, 2002, 1093). The second is a ball that slides.
With (1) a ball grips up to tan s of about mu / 0.22: spin peaks there, and more loft launches higher with less. Against
tour averages from 6-iron to pitching wedge: ball speed within 2.5%, spin within 7%. Woods and long irons spin less than
(2), as their faces are curved and their centres of gravity lie back; there only its slopes are used.

Frictions are by judgement (their order is published, their sizes are not), each good to 30%.
"""

from __future__ import annotations

from enum import StrEnum

import numpy as np
from numpy.typing import NDArray

from .heads import HeadType

Floats = NDArray[np.float64]

GRIP_SHARE = 0.224  # Vt / Vn over tan s while the ball grips, by (1) and (2) with a head of 0.285 kg at 35 m/s
SMOOTH_TOP = 12.0  # how sharply the spin turns over at its peak


class Lie(StrEnum):
    """What the ball lies on."""

    MAT = "mat"
    TEE = "tee"
    FAIRWAY = "fairway"
    TIGHT = "tight"
    SOFT = "soft"
    SEMI_ROUGH = "semi_rough"
    ROUGH = "rough"
    SAND = "sand"
    SLOPE = "slope"
    WET = "wet"  # turf that is mown and wet


class Moisture(StrEnum):
    DRY = "dry"
    DAMP = "damp"
    WET = "wet"


#                        new grooves, worn
FRICTION: dict[Moisture | Lie, tuple[float, float]] = {
    Moisture.DRY: (0.25, 0.23),
    Moisture.DAMP: (0.17, 0.12),
    Moisture.WET: (0.12, 0.07),
    Lie.SEMI_ROUGH: (0.16, 0.11),
    Lie.ROUGH: (0.10, 0.07),
}
FRICTION_SD = 0.10  # of its log from shot to shot, by judgement
DRY_FRICTION, DRY_FRICTION_SD = 0.25, 0.03  # 0.22 to 0.28
HARD_COVER = 0.85  # a hard-covered ball's friction beside a soft-covered one's
ROUGH_SPEED = {Lie.SEMI_ROUGH: 0.98, Lie.ROUGH: 0.925}  # club speed that grass leaves: heavy rough takes 5 to 10%

# Degrees a player usually comes down with, when the monitor has not measured it. A driver is teed up.
ATTACK_DEG = {
    HeadType.DRIVER: 0.0, HeadType.FAIRWAY: -2.5, HeadType.HYBRID: -3.0, HeadType.UTILITY: -3.0, HeadType.IRON: -3.5,
    HeadType.WEDGE: -4.5,
}  # fmt: skip
ATTACK_UNKNOWN_DEG = -3.0  # of a club nobody has named

# Turning a club about the line to the target by one degree, more upright, turns where its face looks by tan(loft)
# degrees to the player's own side. That much of it reaches the start of the ball, by judgement: 0.5 to 0.65 degrees
# for a 7-iron, 1.1 to 1.5 for a sand wedge. The second is one standard deviation, as a share.
LIE_ARRIVES, LIE_ARRIVES_SHARE = 0.85, 0.18


# Club speed with length, for one inch. Across a set the clubs differ in all else too: 90 mph at 37 in and 113 at 45.5
# over published tour averages. One head made longer, at one turning speed: 1.4% at most, and less with players, who
# give some of it back to the heavier feel (E. S. Wallace and others, J. Sports Sci. 25, 2007, 731).
SPEED_ACROSS_A_SET = 0.029
SPEED_OF_ONE_HEAD, SPEED_OF_ONE_HEAD_SD = 0.008, 0.005


def length_in_a_set(length_m: float, stock_m: float | None) -> float:
    """The length at which a set's own clubs would swing as fast as this head made length_m long, in metres. stock_m:
    the head's usual length; None: the club is one of a set as it is."""
    if stock_m is None:
        return length_m
    return stock_m + (length_m - stock_m) * SPEED_OF_ONE_HEAD / SPEED_ACROSS_A_SET


def friction(lie: Lie, moisture: Moisture, worn: float = 0.0, *, hard_cover: bool = False) -> float:
    """Friction between face and ball. worn: 0 new grooves to 1 worn out. Grass counts as much as water between them:
    the lower of the two holds."""
    found = []
    for key in (moisture, Moisture.WET if lie is Lie.WET else lie):
        if key in FRICTION:
            new, old = FRICTION[key]
            found.append(new + (old - new) * worn)
    return min(found) * (HARD_COVER if hard_cover else 1.0)


def least_of(a: Floats, b: Floats) -> Floats:
    """The lesser of two positive arrays, turning over without a corner: no shot of a player is all grip or all
    slide."""
    p = SMOOTH_TOP
    made: Floats = np.maximum(a, 1e-9) * (1 + (np.maximum(a, 1e-9) / np.maximum(b, 1e-9)) ** p) ** (-1 / p)
    return made


WEDGE_SHARE = 0.30 / (0.30 + 0.0459)  # M / (M + m): a wedge head of 0.30 kg and a ball


def smash_at(spin_loft_deg: Floats, club_speed_mps: float = 34.0) -> Floats:
    """Ball speed over club speed of a wedge struck in the middle that grips, by equations (1) to (3); arrays."""
    s = np.radians(spin_loft_deg)
    into = club_speed_mps * np.cos(s)
    across = np.cos(s) * (1.86 - 0.0029 * into) * WEDGE_SHARE
    along = np.minimum(0.343 * np.sin(s), DRY_FRICTION * across)
    made: Floats = np.hypot(across, along)
    return made


def start_from_lie(upright_deg: float, loft_deg: float) -> float:
    """Degrees by which a club that meets the ball more upright starts it to the player's own side (a right-hander's
    left)."""
    return LIE_ARRIVES * upright_deg * float(np.tan(np.radians(loft_deg)))
