"""A club as impact sees it: loft, length and what its kind of head does at one loft."""

from __future__ import annotations

import math
from dataclasses import dataclass, replace

from ...bag import HeadType
from ...errors import BadInput


@dataclass(frozen=True)
class HeadPhysics:
    """How a kind of head differs from others at the same loft.

    speed: scale of ball speed from the face. cg_back_mm: centre of gravity behind the face; a deep one
    makes gear effect. loft_deg: dynamic loft from it, which bows the shaft forward. spin: scale of the
    spin an oblique impact makes. loss: share of ball speed lost for each square millimetre off centre.
    turf: share of club speed lost to heavy contact. steady: scale of the player's face spread.
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

    @property
    def axis_deg_per_mm(self) -> float:
        """Turn of the spin axis for each millimetre towards the toe, by horizontal gear effect."""
        return GEAR_DEG_PER_MM2 * self.cg_back_mm

    @property
    def spin_share_per_mm(self) -> float:
        """Change of spin for each millimetre high of the middle, by vertical gear effect."""
        return -(0.004 + GEAR_SPIN_PER_MM2 * self.cg_back_mm)


# Gear effect grows with the depth of the centre of gravity (Cochran and Stobbs, 1968, ch. 24): about
# 0.8 degrees of axis a millimetre for a driver whose centre lies 35 mm back, hardly any for a blade.
GEAR_DEG_PER_MM2 = 0.023
GEAR_SPIN_PER_MM2 = 0.00045
BOW_DEG_PER_MM = 0.11  # dynamic loft for a centre of gravity one millimetre further back

PHYSICS = {
    HeadType.DRIVER: HeadPhysics(1.005, 36.0, 7.0, 0.85, 1.6e-4, 0.02, 0.95),
    HeadType.FAIRWAY: HeadPhysics(1.010, 26.0, 2.8, 0.95, 2.0e-4, 0.06, 0.90),
    HeadType.HYBRID: HeadPhysics(1.003, 17.0, 1.9, 1.06, 2.7e-4, 0.06, 0.95),
    HeadType.UTILITY: HeadPhysics(0.998, 7.0, 0.5, 1.12, 5.0e-4, 0.10, 1.05),
    HeadType.IRON: HeadPhysics(0.995, 4.0, 0.0, 1.20, 5.2e-4, 0.10, 1.00),
    HeadType.WEDGE: HeadPhysics(0.990, 2.5, 0.0, 1.20, 5.2e-4, 0.12, 1.00),
}


@dataclass(frozen=True)
class Club:
    """head_type, set loft in degrees and length in metres; for one model that differs from its kind:
    cg_further_back_mm than usual (negative: forward), face_speed, a scale of ball speed; and
    closed_deg, how far its face sits closed to the player."""

    head_type: HeadType
    loft_deg: float
    length_m: float
    cg_further_back_mm: float = 0.0
    face_speed: float = 1.0
    closed_deg: float = 0.0

    def __post_init__(self) -> None:
        if self.head_type not in PHYSICS:
            raise BadInput("A putter is not swung in a fitting.", field="head_type")
        if not 5 <= self.loft_deg <= 66:
            raise BadInput("Loft must lie between 5 and 66°.", field="loft")
        if not 0.75 <= self.length_m <= 1.22:
            raise BadInput("Length must lie between 29.5 and 48 in.", field="length")
        if not -15 <= self.cg_further_back_mm <= 15 or not 0.95 <= self.face_speed <= 1.03:
            raise BadInput("A head differs from its kind by 15 mm and a few percent at most.", field="head")

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
