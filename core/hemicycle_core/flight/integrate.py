"""The path of many shots at once, by fixed-step fourth-order Runge-Kutta on arrays."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np
from numpy.typing import ArrayLike, NDArray

from ..errors import BadInput
from .aero import BALL_AREA_M2, BALL_MASS_KG, BALL_RADIUS_M, GRAVITY, MODERN_BALL, SPIN_DECAY, Coefficients
from .air import Air

Floats = NDArray[np.float64]

STEP_S = 0.1  # carry within a millimetre of a step of 0.005 s; see core/tests/test_flight.py
LONGEST_S = 20.0
RPM = 2 * np.pi / 60


@dataclass(frozen=True)
class Launch:
    """Launch conditions of n shots, each field broadcast to shape (n,).

    ball_speed_mps: more than 0. launch_deg: above the horizon. spin_rpm: total spin, 0 or more.
    direction_deg: of the start line, right positive. axis_deg: tilt of the spin axis, positive
    curves right.
    """

    ball_speed_mps: ArrayLike
    launch_deg: ArrayLike
    spin_rpm: ArrayLike
    direction_deg: ArrayLike = 0.0
    axis_deg: ArrayLike = 0.0

    def arrays(self) -> tuple[Floats, ...]:
        """The five fields as checked arrays of one shape (n,). Raises BadInput for what cannot fly."""
        given = (self.ball_speed_mps, self.launch_deg, self.spin_rpm, self.direction_deg, self.axis_deg)
        fields = [np.atleast_1d(np.asarray(field, dtype=float)) for field in given]
        speed, launch, spin, direction, axis = (field.copy() for field in np.broadcast_arrays(*fields))
        limits = (
            ("ball speed", speed, 2.0, 110.0, "m/s"),
            ("launch angle", launch, -10.0, 80.0, "degrees"),
            ("spin", spin, 0.0, 20_000.0, "rpm"),
            ("launch direction", direction, -60.0, 60.0, "degrees"),
            ("spin axis", axis, -90.0, 90.0, "degrees"),
        )
        for name, values, low, high, unit in limits:
            bad = ~(np.isfinite(values) & (values >= low) & (values <= high))
            if bad.any():
                raise BadInput(
                    f"A {name} of {values[bad][0]:g} {unit} cannot be flown; it must lie between {low:g} and {high:g}.",
                    field=name.replace(" ", "_"),
                )
        return speed, launch, spin, direction, axis


@dataclass(frozen=True)
class Flight:
    """Where n shots went, arrays of shape (n,). Offline right positive; angles in degrees.

    path: (samples, n, 3) of downrange, right, up in metres on the times `path_s` (samples,), or None
    when it was not asked for; after landing a shot's samples repeat its landing point.
    """

    carry_m: Floats
    offline_m: Floats
    peak_m: Floats
    landing_deg: Floats
    landing_speed_mps: Floats
    landing_direction_deg: Floats
    landing_spin_rpm: Floats
    hang_s: Floats
    path: Floats | None = None
    path_s: Floats | None = None


def _start(launch: Launch) -> tuple[Floats, Floats]:
    """State (n, 7) of x, y, z, vx, vy, vz, omega with y to the right, and the unit spin axis (n, 3)."""
    speed, up, spin, direction, tilt = launch.arrays()
    up, direction, tilt = np.radians(up), np.radians(direction), np.radians(tilt)
    forward = np.stack([np.cos(up) * np.cos(direction), np.cos(up) * np.sin(direction), np.sin(up)], axis=1)
    # x downrange, y right, z up is a left-handed frame, so lift points along v x axis, not axis x v.
    level = np.stack([-np.sin(direction), np.cos(direction), np.zeros_like(up)], axis=1)
    lift_up = np.stack([-np.sin(up) * np.cos(direction), -np.sin(up) * np.sin(direction), np.cos(up)], axis=1)
    axis = level * np.cos(tilt)[:, None] - lift_up * np.sin(tilt)[:, None]
    state = np.zeros((speed.size, 7))
    state[:, 3:6] = forward * speed[:, None]
    state[:, 6] = spin * RPM
    return state, axis


def _rates(state: Floats, axis: Floats, air: Air, ball: Coefficients) -> Floats:
    height = np.maximum(state[:, 2], 0.1)
    profile = (height / 10.0) ** (1 / 7) if air.wind_mps else np.zeros_like(height)
    through = state[:, 3:6].copy()
    through[:, 0] -= air.wind_along_mps * profile
    through[:, 1] -= air.wind_across_mps * profile
    speed = np.sqrt((through**2).sum(axis=1))
    spin_ratio = state[:, 6] * BALL_RADIUS_M / speed
    reynolds = speed * 2 * BALL_RADIUS_M / air.kinematic_viscosity
    force = 0.5 * air.density * BALL_AREA_M2 / BALL_MASS_KG * speed
    rates = np.empty_like(state)
    rates[:, 0:3] = state[:, 3:6]
    drag, lift = force * ball.drag(spin_ratio, reynolds), force * ball.lift_of(spin_ratio)
    vx, vy, vz, ax, ay, az = *through.T, *axis.T
    rates[:, 3] = -drag * vx + lift * (vy * az - vz * ay)
    rates[:, 4] = -drag * vy + lift * (vz * ax - vx * az)
    rates[:, 5] = -drag * vz + lift * (vx * ay - vy * ax)
    rates[:, 5] -= GRAVITY
    rates[:, 6] = -SPIN_DECAY * state[:, 6] * speed / BALL_RADIUS_M
    return rates


def _step(state: Floats, axis: Floats, air: Air, ball: Coefficients, h: float) -> Floats:
    k1 = _rates(state, axis, air, ball)
    k2 = _rates(state + 0.5 * h * k1, axis, air, ball)
    k3 = _rates(state + 0.5 * h * k2, axis, air, ball)
    k4 = _rates(state + h * k3, axis, air, ball)
    return state + h / 6 * (k1 + 2 * k2 + 2 * k3 + k4)


def _fraction_to_ground(before: Floats, after: Floats, h: float) -> Floats:
    """Fraction of the step at which height crosses zero: Newton on the cubic Hermite of z, shape (k,)."""
    z0, z1, v0, v1 = before[:, 2], after[:, 2], before[:, 5] * h, after[:, 5] * h
    t = z0 / (z0 - z1)
    a, b = 2 * z0 - 2 * z1 + v0 + v1, -3 * z0 + 3 * z1 - 2 * v0 - v1
    for _ in range(3):
        slope = 3 * a * t**2 + 2 * b * t + v0
        t = np.clip(t - (a * t**3 + b * t**2 + v0 * t + z0) / np.where(slope == 0, -1.0, slope), 0, 1)
    return t


def fly(launch: Launch, *, air: Air | None = None, ball: Coefficients = MODERN_BALL, path: bool = False) -> Flight:
    """Fly n shots over level ground until they land.

    launch: n shots. air: one air for all of them, 20 degrees C at sea level when None.
    path: also return sampled paths for drawing. Raises BadInput for launches that cannot be flown.
    Source of the forces: `aero`. The first step always moves off the ground, so a topped shot
    with a launch below the horizon lands within its first step.
    """
    air = air or Air()
    state, axis = _start(launch)
    n = state.shape[0]
    landed, hang, peak = np.zeros((n, 7)), np.zeros(n), np.zeros(n)
    alive, now = np.arange(n), 0.0
    samples = [state[:, :3].copy()] if path else []
    while alive.size and now < LONGEST_S:
        before = state[alive]
        after = _step(before, axis[alive], air, ball, STEP_S)
        state[alive] = after
        crossing_up = (before[:, 5] > 0) & (after[:, 5] <= 0)
        rise = np.where(crossing_up, before[:, 5] ** 2 / (2 * np.maximum(before[:, 5] - after[:, 5], 1e-9)) * STEP_S, 0)
        peak[alive] = np.maximum(peak[alive], np.where(crossing_up, before[:, 2] + rise, after[:, 2]))
        down = after[:, 2] <= 0
        if down.any():
            t = _fraction_to_ground(before[down], after[down], STEP_S)
            who = alive[down]
            landed[who] = _step_partial(before[down], axis[who], air, ball, t * STEP_S)
            hang[who] = now + t * STEP_S
            state[who] = landed[who]
            alive = alive[~down]
        now += STEP_S
        if path:
            samples.append(state[:, :3].copy())
    landed[alive], hang[alive] = state[alive], now
    return _result(landed, hang, peak, samples)


def _step_partial(before: Floats, axis: Floats, air: Air, ball: Coefficients, h: Floats) -> Floats:
    """One Runge-Kutta step with a length of its own for each shot, h of shape (k,) in seconds."""
    return _step(before, axis, air, ball, h[:, None])  # type: ignore[arg-type]


def _result(landed: Floats, hang: Floats, peak: Floats, samples: list[Floats]) -> Flight:
    vx, vy, vz = landed[:, 3], landed[:, 4], landed[:, 5]
    level = np.hypot(vx, vy)
    paths = np.stack(samples) if samples else None
    if paths is not None:
        paths[:, :, 2] = np.maximum(paths[:, :, 2], 0)
    return Flight(
        carry_m=landed[:, 0],
        offline_m=landed[:, 1],
        peak_m=np.maximum(peak, 0),
        landing_deg=np.degrees(np.arctan2(-vz, level)),
        landing_speed_mps=np.sqrt(level**2 + vz**2),
        landing_direction_deg=np.degrees(np.arctan2(vy, vx)),
        landing_spin_rpm=landed[:, 6] / RPM,
        hang_s=hang,
        path=paths,
        path_s=np.arange(len(samples), dtype=np.float64) * STEP_S if samples else None,
    )
