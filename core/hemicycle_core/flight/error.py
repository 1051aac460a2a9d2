"""How far a computed flight may be from the truth, by region; it travels with every computed figure.

Regions go by the spin ratio at launch, which runs from drivers to wedges whatever the speed; below the speeds of the
published tables, what sets of coefficients that fit them alike disagree by comes on top. The sizes are root mean square
over published averages, of fast players and of slow ones, with the region's own rows held out of the fit:
docs/decisions/0002-flight-coefficients.md.
"""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np
from numpy.typing import ArrayLike, NDArray

from .aero import BALL_RADIUS_M

Floats = NDArray[np.float64]

#                      driver, long end, irons, wedges
SPIN_RATIO = np.array([0.085, 0.150, 0.300, 0.450])
CARRY_SHARE = np.array([0.035, 0.025, 0.015, 0.018])
PEAK_SHARE = np.array([0.060, 0.080, 0.050, 0.050])
LANDING_DEG = np.array([1.5, 2.0, 1.8, 1.3])  # what is left once the bias below is out; its own fit gives 0.8

# Short and slow shots are in no table, and sets of coefficients that fit the tables alike (`aero.ALIKE`) carry them
# 6 to 13% apart by where they put the drag crisis: root mean square, over pitches and part swings of 20 to 40 degrees
# of launch. It fades where the slowest rows of the tables begin. Peak goes with 0.7 of it, landing with 20 degrees.
SHORT_MPS = np.array([0.0, 9.0, 13.4, 17.9, 22.4, 26.8, 31.3, 35.8, 40.0])
SHORT_SHARE = np.array([0.01, 0.015, 0.030, 0.050, 0.065, 0.058, 0.040, 0.020, 0.0])
SHORT_PEAK, SHORT_LANDING_DEG = 0.7, 20.0

# Landing angles come out too shallow for long clubs, by the same curve for fast players and slow: computed minus
# published over both tables, least squares on these knots, the slower 3-wood left out. It is taken out of every
# computed angle. Short, slow shots are in no table: there it fades away. So it does for high flights: no row whose
# peak is a fifth of its carry is too shallow, whatever its spin.
BIAS_AT = np.array([0.085, 0.150, 0.200, 0.300, 0.450, 0.800])
BIAS_DEG = np.array([0.5, -2.8, -3.4, -0.8, 0.7, 0.0])
BIAS_FADES_MPS = (25.0, 40.0)
HIGH_FADES = (0.165, 0.200)  # peak over carry

# Two clubs of one player under one flight model: most of its error is the same for both. What differs
# between neighbouring rows of the published averages, over root two.
BESIDE_NEIGHBOURS = 0.0125
# Shares of the error that no scale of drag and lift removes, left once they are anchored to the player's
# own measured flights: one published row anchored, its neighbours predicted.
CARRY_LEFT, PEAK_LEFT, LANDING_LEFT = 0.5, 0.65, 0.8


@dataclass(frozen=True)
class FlightError:
    """One standard deviation of a computed flight, arrays (n,): shares of carry and peak, degrees."""

    carry_share: Floats
    peak_share: Floats
    landing_deg: Floats

    def when_anchored(self) -> FlightError:
        return FlightError(self.carry_share * CARRY_LEFT, self.peak_share * PEAK_LEFT, self.landing_deg * LANDING_LEFT)


def _spin_ratio(ball_speed_mps: ArrayLike, spin_rpm: ArrayLike) -> tuple[Floats, Floats]:
    speed, spin = np.atleast_1d(np.asarray(ball_speed_mps, float)), np.atleast_1d(np.asarray(spin_rpm, float))
    return speed, spin * (2 * np.pi / 60) * BALL_RADIUS_M / speed


def landing_bias(ball_speed_mps: ArrayLike, spin_rpm: ArrayLike, peak_share: ArrayLike) -> Floats:
    """By how many degrees the equations land launches (n,) too steep; negative for too shallow. peak_share (n,): peak
    over carry of the computed flights."""
    speed, ratio = _spin_ratio(ball_speed_mps, spin_rpm)
    slow, fast = BIAS_FADES_MPS
    usual = np.interp(ratio, BIAS_AT, BIAS_DEG) * np.clip((speed - slow) / (fast - slow), 0, 1)
    low, high = HIGH_FADES
    flat = np.clip((high - np.asarray(peak_share, float)) / (high - low), 0, 1)
    bias: Floats = np.where(usual < 0, usual * flat, usual)
    return bias


def flight_error(ball_speed_mps: ArrayLike, spin_rpm: ArrayLike) -> FlightError:
    """The model's error for launches: ball speed more than 0 in m/s, spin in rpm, arrays (n,)."""
    speed, ratio = _spin_ratio(ball_speed_mps, spin_rpm)
    short = np.interp(speed, SHORT_MPS, SHORT_SHARE)
    return FlightError(
        carry_share=np.hypot(np.interp(ratio, SPIN_RATIO, CARRY_SHARE), short),
        peak_share=np.hypot(np.interp(ratio, SPIN_RATIO, PEAK_SHARE), SHORT_PEAK * short),
        landing_deg=np.hypot(np.interp(ratio, SPIN_RATIO, LANDING_DEG), SHORT_LANDING_DEG * short),
    )
