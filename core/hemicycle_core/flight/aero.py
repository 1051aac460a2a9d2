"""Drag and lift of a spinning golf ball as functions of spin ratio and Reynolds number.

With S = spin ratio (surface speed over ball speed) and Re = Reynolds number on the diameter:

    C_D = drag_base + drag_spin S + crisis / (1 + exp((Re - crisis_at) / crisis_width))     (1)
    C_L = lift S^0.4                                                                        (2)
    d omega / dt = -2e-5 omega v / r                                                        (3)

(2), (3) and the slope drag_spin = 0.18 are the published shape of A. J. Smits and D. R. Smith,
"A new aerodynamic model of a golf ball in flight", Science and Golf II (1994), tested for
0.08 < S < 1.3 and 0.7e5 < Re < 2.1e5. The last term of (1) is the drag crisis of a dimpled ball as
P. W. Bearman and J. K. Harvey, Aeronautical Quarterly 27 (1976) 112, measured it: drag falls steeply
up to Re of about 0.7e5 and is nearly level beyond. It matters near the top of a slow shot. The levels
drag_base and lift are set for today's ball: docs/decisions/0002-flight-coefficients.md.
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


@dataclass(frozen=True)
class Coefficients:
    """The dimensionless levels of eq. 1 and 2 for one kind of ball."""

    drag_base: float
    drag_spin: float
    crisis: float
    crisis_at: float
    crisis_width: float
    lift: float
    lift_exponent: float

    def drag(self, spin_ratio: Floats, reynolds: Floats) -> Floats:
        """C_D, eq. 1; arrays of one shape."""
        fall = 1 / (1 + np.exp((reynolds - self.crisis_at) / self.crisis_width))
        drag: Floats = self.drag_base + self.drag_spin * spin_ratio + self.crisis * fall
        return drag

    def lift_of(self, spin_ratio: Floats) -> Floats:
        """C_L, eq. 2; arrays of one shape."""
        lift: Floats = self.lift * np.power(np.maximum(spin_ratio, 0.0), self.lift_exponent)
        return lift


MODERN_BALL = Coefficients(
    drag_base=0.228,
    drag_spin=0.18,
    crisis=0.25,
    crisis_at=0.7e5,
    crisis_width=0.15e5,
    lift=0.469,
    lift_exponent=0.4,
)

# Root mean square error of a flight from one launch, against published averages. A verdict adds it to
# every computed carry and landing angle. Source: docs/decisions/0002-flight-coefficients.md.
CARRY_ERROR_SHARE = 0.025
LANDING_ERROR_DEG = 3.0
