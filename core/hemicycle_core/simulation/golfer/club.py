"""A club as impact sees it: loft, length, lie, sole and what its kind of head does at one loft."""

from __future__ import annotations

import math
from dataclasses import dataclass, replace

from hemicycle_core.said import say

from ...bag import HeadType
from ...errors import BadInput
from ...impact import length_in_a_set


@dataclass(frozen=True)
class HeadPhysics:
    """How a kind of head differs from others at the same loft.

    speed: scale of ball speed from the face. cg_back_mm: centre of gravity behind the face; a deep one
    makes gear effect. loft_deg: dynamic loft from it, which bows the shaft forward. spin: scale of the
    spin an oblique impact makes. loss: share of ball speed lost for each square millimetre off centre.
    turf: share of club speed lost to heavy contact. steady: scale of the player's face spread. bulge_m: radius of the
    face from heel to toe and from crown to sole; infinite for a flat one. twist_deg_per_mm: how far the head turns
    open during impact for each millimetre towards the toe.
    Levels are set so that a tour player's row of published averages comes back (tests/test_golfer.py);
    the order between kinds is the one that fitters describe.
    """

    speed: float
    cg_back_mm: float
    loft_deg: float
    spin: float
    loss: float
    turf: float
    steady: float
    bulge_m: float = math.inf
    twist_deg_per_mm: float = 0.06

    @property
    def curve_deg_per_mm(self) -> float:
        """Turn of a curved face for each millimetre from its middle: open towards the toe, up towards the crown."""
        return math.degrees(0.001 / self.bulge_m)

    @property
    def high_launch_deg_per_mm(self) -> float:
        """Of a flat face that tips back under a high strike; a curved one launches higher by its curve."""
        return 0.12 if math.isinf(self.bulge_m) else 0.0

    @property
    def axis_deg_per_mm(self) -> float:
        """Turn of the spin axis for each millimetre towards the toe, by horizontal gear effect."""
        return GEAR_DEG_PER_MM2 * self.cg_back_mm

    @property
    def spin_share_per_mm(self) -> float:
        """Change of spin for each millimetre high of the middle, by vertical gear effect."""
        return -(0.004 + GEAR_SPIN_PER_MM2 * self.cg_back_mm)


# Gear effect grows with the depth of the centre of gravity (Cochran and Stobbs, 1968, ch. 24): about
# 1.1 degrees of axis a millimetre for a driver whose centre lies 35 mm back, hardly any for a blade.
# These are gross: a curved face gives most of it back, so that a driver struck 10 mm to the toe ends near its line.
GEAR_DEG_PER_MM2 = 0.032
GEAR_SPIN_PER_MM2 = 0.0008
BOW_DEG_PER_MM = 0.11  # dynamic loft for a centre of gravity one millimetre further back

PHYSICS = {
    HeadType.DRIVER: HeadPhysics(1.005, 36.0, 7.0, 0.85, 1.6e-4, 0.02, 0.95, 0.33, 0.03),
    HeadType.FAIRWAY: HeadPhysics(1.010, 26.0, 2.8, 0.95, 2.0e-4, 0.06, 0.90, 0.36, 0.03),
    HeadType.HYBRID: HeadPhysics(1.003, 17.0, 1.9, 1.06, 2.7e-4, 0.06, 0.95, 0.45, 0.03),
    HeadType.UTILITY: HeadPhysics(0.998, 7.0, 0.5, 1.12, 5.0e-4, 0.10, 1.05),
    HeadType.IRON: HeadPhysics(0.995, 4.0, 0.0, 1.20, 5.2e-4, 0.10, 1.00),
    HeadType.WEDGE: HeadPhysics(0.990, 2.5, 0.0, 1.20, 5.2e-4, 0.12, 1.00),
}


@dataclass(frozen=True)
class SwungClub:
    """head_type, set loft in degrees and length in metres; for one model that differs from its kind:
    cg_further_back_mm than usual (negative: forward), face_speed, a scale of ball speed; and
    closed_deg, how far its face sits closed to the player; made_longer_m, how much of its length is not the head's
    own; upright_deg, how much more upright it meets the ball than suits; bounce_deg, None where the sole is not looked
    at; worn, 0 new grooves to 1 worn out."""

    head_type: HeadType
    loft_deg: float
    length_m: float
    cg_further_back_mm: float = 0.0
    face_speed: float = 1.0
    closed_deg: float = 0.0
    made_longer_m: float = 0.0
    upright_deg: float = 0.0
    bounce_deg: float | None = None
    worn: float = 0.0

    def __post_init__(self) -> None:
        if self.head_type not in PHYSICS:
            raise BadInput(say("golfer-putter-not-swung-fitting"), field="head_type")
        if not 5 <= self.loft_deg <= 66:
            raise BadInput(say("golfer-loft-must-lie-between"), field="loft")
        if not 0.75 <= self.length_m <= 1.22:
            raise BadInput(say("golfer-length-must-lie-between"), field="length")
        if not -15 <= self.cg_further_back_mm <= 15 or not 0.95 <= self.face_speed <= 1.03:
            raise BadInput(say("golfer-head-differs-from-kind"), field="head")
        if not 0 <= self.worn <= 1 or abs(self.upright_deg) > 8 or not 0 <= (self.bounce_deg or 0.0) <= 20:
            raise BadInput(say("golfer-wear-lies-between-bounce"))

    @property
    def length_in_a_set_m(self) -> float:
        return length_in_a_set(self.length_m, self.length_m - self.made_longer_m)

    @property
    def physics(self) -> HeadPhysics:
        usual = PHYSICS[self.head_type]
        return replace(
            usual,
            speed=usual.speed * self.face_speed,
            cg_back_mm=max(usual.cg_back_mm + self.cg_further_back_mm, 0.0),
            loft_deg=usual.loft_deg + BOW_DEG_PER_MM * self.cg_further_back_mm,
            loss=usual.loss * math.exp(-0.02 * self.cg_further_back_mm),
        )
