"""A club as impact sees it: loft, length and what its kind of head does at one loft."""

from __future__ import annotations

from dataclasses import dataclass

from ..bag import HeadType
from ..errors import BadInput


@dataclass(frozen=True)
class HeadPhysics:
    """How a kind of head differs from others at the same loft.

    speed: scale of ball speed from the face. loft_deg: dynamic loft from the depth of its centre of
    gravity, which bows the shaft forward. spin: scale of the spin an oblique impact makes; deep centres
    of gravity turn it down by vertical gear effect. gear: turn of the spin axis in degrees for each
    millimetre towards the toe. loss: share of ball speed lost for each square millimetre off centre.
    turf: share of club speed lost to heavy contact. steady: scale of the player's face spread.
    Levels are set so that a tour player's row of published averages comes back (tests/test_golfer.py);
    the order between kinds is the one that fitters describe.
    """

    speed: float
    loft_deg: float
    spin: float
    gear: float
    loss: float
    turf: float
    steady: float


PHYSICS = {
    HeadType.DRIVER: HeadPhysics(1.005, 7.0, 0.85, 0.9, 1.6e-4, 0.02, 0.95),
    HeadType.FAIRWAY: HeadPhysics(1.010, 2.8, 0.95, 0.6, 2.0e-4, 0.06, 0.90),
    HeadType.HYBRID: HeadPhysics(1.003, 1.9, 1.06, 0.4, 2.7e-4, 0.06, 0.95),
    HeadType.UTILITY: HeadPhysics(0.998, 0.5, 1.12, 0.15, 5.0e-4, 0.10, 1.05),
    HeadType.IRON: HeadPhysics(0.995, 0.0, 1.20, 0.08, 5.2e-4, 0.10, 1.00),
    HeadType.WEDGE: HeadPhysics(0.990, 0.0, 1.20, 0.05, 5.2e-4, 0.12, 1.00),
}


@dataclass(frozen=True)
class Club:
    """head_type, set loft in degrees and length in metres."""

    head_type: HeadType
    loft_deg: float
    length_m: float

    def __post_init__(self) -> None:
        if self.head_type not in PHYSICS:
            raise BadInput("A putter is not swung in a fitting.", field="head_type")
        if not 5 <= self.loft_deg <= 66:
            raise BadInput("Loft must lie between 5 and 66°.", field="loft")
        if not 0.75 <= self.length_m <= 1.22:
            raise BadInput("Length must lie between 29.5 and 48 in.", field="length")

    @property
    def physics(self) -> HeadPhysics:
        return PHYSICS[self.head_type]
