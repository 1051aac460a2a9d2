"""One flight by SciPy's adaptive solver on the plain vector equations of `aero`: slow, simple, and written
apart from `integrate`, which it is there to check. It uses a right-handed frame with y to the left."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray
from scipy.integrate import solve_ivp

from .aero import BALL_AREA_M2, BALL_MASS_KG, BALL_RADIUS_M, GRAVITY, MODERN_BALL, SPIN_DECAY
from .air import Air

Floats = NDArray[np.float64]


@dataclass(frozen=True)
class SlowFlight:
    """Metres; offline right positive."""

    carry_m: float
    offline_m: float
    peak_m: float


def fly_slowly(
    ball_speed_mps: float,
    launch_deg: float,
    spin_rpm: float,
    axis_deg: float,
    air: Air,
    *,
    tolerance: float = 1e-9,
) -> SlowFlight:
    """Fly one shot that starts on the target line. tolerance: relative and absolute, of the solver."""
    up, tilt = np.radians(launch_deg), np.radians(axis_deg)
    forward, lift_up = np.array([np.cos(up), 0, np.sin(up)]), np.array([-np.sin(up), 0, np.cos(up)])
    spin_axis = np.array([0, -1.0, 0]) * np.cos(tilt) - lift_up * np.sin(tilt)
    wind = np.array([air.wind_along_mps, -air.wind_across_mps, 0])
    dynamic = 0.5 * air.density * BALL_AREA_M2 / BALL_MASS_KG
    viscosity = float(MODERN_BALL.viscosity(np.asarray(air.kinematic_viscosity)))

    def rates(_t: float, y: Floats) -> Floats:
        through = y[3:6] - wind * ((y[2] ** 2 + 1) / 100) ** (1 / 14)
        v = np.asarray(np.linalg.norm(through))
        lift, drag = MODERN_BALL.lift_and_drag(y[6] * BALL_RADIUS_M / v, v * 2 * BALL_RADIUS_M / viscosity)
        push = -dynamic * v * drag * through + dynamic * v * lift * np.cross(spin_axis, through)
        push[2] -= GRAVITY
        return np.array([*y[3:6], *push, -SPIN_DECAY * y[6] * v / BALL_RADIUS_M])

    def ground(t: float, y: Floats) -> float:
        return float(y[2]) if t > 0.05 else 1.0

    def top(_t: float, y: Floats) -> float:
        return float(y[5])

    ground.terminal, ground.direction = True, -1  # type: ignore[attr-defined]
    start = [0, 0, 0, *(ball_speed_mps * forward), spin_rpm * 2 * np.pi / 60]
    solved = solve_ivp(rates, (0, 20), start, events=[ground, top], rtol=tolerance, atol=tolerance)
    end = solved.y[:, -1]
    peak = float(solved.y_events[1][0][2]) if len(solved.y_events[1]) else 0.0
    return SlowFlight(float(end[0]), -float(end[1]), peak)
