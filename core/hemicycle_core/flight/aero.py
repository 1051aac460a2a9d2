"""Drag and lift of a spinning golf ball as functions of spin ratio and Reynolds number.

With S = spin ratio (surface speed over ball speed) and Re = Reynolds number on the diameter:

    C_L = lift (1 - exp(-S / lift_scale))                                                   (1)
    C_D = drag_base + polar C_L^2 + crisis / (1 + exp((Re - crisis_at) / crisis_width))     (2)
    d omega / dt = -2e-5 omega v / r                                                        (3)

(1) has the shape J. M. Davies measured in a wind tunnel, J. Appl. Phys. 20 (1949) 821: lift rises
steeply with little spin and levels off with much. (2) is the textbook drag polar, drag that grows with
the square of lift (S. F. Hoerner, Fluid-Dynamic Drag, 1965), and the drag crisis of a dimpled ball as
P. W. Bearman and J. K. Harvey, Aeronautical Quarterly 27 (1976) 112, measured it: drag falls steeply
up to Re of about 0.7e5 and is nearly level beyond. It matters near the top of a slow or high shot. (3) is from
A. J. Smits and D. R. Smith, Science and Golf II (1994). How the levels were chosen, what was held out
and how far they can be trusted: docs/decisions/0002-flight-coefficients.md.

Warm or thin air lowers Re, and so would move a slow shot into the crisis and shorten it. Where the crisis
lies is not known that well: sets with it at 0.45e5, 0.55e5, 0.60e5 and none fit the published averages about
alike and disagree on the sign. So only a part of the shift is taken (`air_share`), so that thinner or warmer
air never shortens a shot of the bag, and what the sets disagree by is the doubt (`other_air`).
"""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

Floats = NDArray[np.float64]

BALL_MASS_KG = 0.04593  # the heaviest the rules of golf allow
BALL_RADIUS_M = 0.021336  # the smallest the rules of golf allow, 1.680 in across
BALL_AREA_M2 = float(np.pi * BALL_RADIUS_M**2)
GRAVITY = 9.80665
SPIN_DECAY = 2e-5  # eq. 3
REFERENCE_VISCOSITY = 1.5125721e-5  # m2/s, 20 degrees C at sea level, 50% humidity: the air the levels were fitted in


@dataclass(frozen=True)
class Coefficients:
    """The dimensionless levels of eq. 1 and 2 for one kind of ball."""

    drag_base: float
    polar: float
    crisis: float
    crisis_at: float
    crisis_width: float
    lift: float
    lift_scale: float
    air_share: float = 1.0
    """Of the shift that an air's viscosity gives to Re, the part that is taken: 1 as in a wind tunnel, 0 none."""

    def viscosity(self, kinematic: Floats) -> Floats:
        """The kinematic viscosity that Re is reckoned with in an air of this one, m2/s."""
        taken: Floats = REFERENCE_VISCOSITY * (kinematic / REFERENCE_VISCOSITY) ** self.air_share
        return taken

    @property
    def curve(self) -> tuple[float, float, float, float, float, float, float]:
        """drag_base, polar, crisis, crisis_at, one over crisis_width, lift, one over lift_scale."""
        width, scale = 1 / self.crisis_width, 1 / self.lift_scale
        return self.drag_base, self.polar, self.crisis, self.crisis_at, width, self.lift, scale

    def lift_and_drag(self, spin_ratio: Floats, reynolds: Floats) -> tuple[Floats, Floats]:
        """C_L and C_D, eq. 1 and 2; arrays of one shape."""
        lift: Floats = self.lift * (1 - np.exp(spin_ratio * (-1 / self.lift_scale)))
        fall = self.crisis / (1 + np.exp((reynolds - self.crisis_at) * (1 / self.crisis_width)))
        drag: Floats = self.drag_base + self.polar * lift * lift + fall
        return lift, drag


MODERN_BALL = Coefficients(
    drag_base=0.214,
    polar=1.07,
    crisis=0.30,
    crisis_at=0.60e5,
    crisis_width=0.07e5,
    lift=0.346,
    lift_scale=0.143,
    air_share=1 / 3,  # by judgement, within what ALIKE say; docs/decisions/0002
)
# As good as ours on the published averages in carry (1.0% each), each with its own place of the crisis and with the
# whole shift of Re: what they disagree by is what is not known of other air.
ALIKE = tuple(
    Coefficients(base, polar, height, at, 0.07e5, lift, scale)
    for base, polar, height, at, lift, scale in (
        (0.210, 1.205, 0.30, 0.45e5, 0.379, 0.165),
        (0.214, 1.115, 0.30, 0.55e5, 0.359, 0.151),
        (0.214, 1.070, 0.30, 0.60e5, 0.346, 0.143),
        (0.206, 1.274, 0.00, 0.60e5, 0.390, 0.174),
    )
)
