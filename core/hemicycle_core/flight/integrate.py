"""The path of many shots at once, by fixed-step fourth-order Runge-Kutta on arrays."""

from __future__ import annotations

from collections.abc import Callable, Sequence
from dataclasses import dataclass, replace
from functools import lru_cache, partial
from typing import Any

import numpy as np
from numpy.typing import ArrayLike, NDArray

from ..errors import BadInput
from ..said import Form, Quantity, angle, say, speed, spin, term
from ..units import mps
from .aero import BALL_AREA_M2, BALL_MASS_KG, BALL_RADIUS_M, GRAVITY, MODERN_BALL, SPIN_DECAY, Coefficients
from .air import Air
from .error import landing_bias

Floats = NDArray[np.float64]

STEP_S = 0.4  # carry within two centimetres of a tight solver; docs/decisions/0002-flight-coefficients.md
DRAWN_S = 0.1  # between the samples of a path
LONGEST_S = 20.0
RPM = 2 * np.pi / 60
CHUNK = 4096  # shots flown together: more would leave the processor's cache, fewer waste calls
FEW, KEPT = 256, 512  # so many flights of so few shots are kept: one session asks for the same ones over and over
X, Y, Z, VX, VY, VZ, OMEGA = range(7)


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
        """The five fields as arrays of one shape (n,), not yet checked."""
        given = (self.ball_speed_mps, self.launch_deg, self.spin_rpm, self.direction_deg, self.axis_deg)
        fields = [np.atleast_1d(np.asarray(field, dtype=float)) for field in given]
        return tuple(field.copy() for field in np.broadcast_arrays(*fields))

    def problems(self) -> dict[int, BadInput]:
        """What cannot be flown: for each such shot, by its place in the arrays, the first reason."""
        found: dict[int, BadInput] = {}
        for limit, values in zip(LIMITS, self.arrays(), strict=True):
            shown = values
            bad = ~(np.isfinite(shown) & (shown >= limit.low) & (shown <= limit.high))
            for i in np.flatnonzero(bad):
                found.setdefault(int(i), limit.problem(float(shown[i])))
        return found

    def checked(self) -> tuple[Floats, ...]:
        """The five arrays. Raises BadInput for the first shot that cannot fly."""
        problems = self.problems()
        if problems:
            raise problems[min(problems)]
        return self.arrays()


@dataclass(frozen=True)
class _Limit:
    """What can be flown of one field, in the unit a fitter thinks in."""

    name: str
    low: float
    high: float
    said: Callable[[float], Quantity]

    def problem(self, value: float) -> BadInput:
        low, high = (self.said(each) for each in (self.low, self.high))
        name = term("flight-of", self.name)
        if not np.isfinite(value):
            return BadInput(say("flight-is-no-number", name=name, low=low, high=high), field=self.name)
        return BadInput(
            say("flight-cannot-be-flown", name=name, value=self.said(value), low=low, high=high), field=self.name
        )


LIMITS = (
    _Limit("ball_speed", mps(5), mps(245), partial(speed, form=Form.SHORT)),
    _Limit("launch_angle", -10, 80, partial(angle, form=Form.SHORT)),
    _Limit("spin", 0, 20_000, partial(spin, form=Form.SHORT)),
    _Limit("launch_direction", -60, 60, partial(angle, form=Form.SHORT)),
    _Limit("spin_axis", -90, 90, partial(angle, form=Form.SHORT)),
)


@dataclass(frozen=True)
class FlightScales:
    """Scales of drag and of lift, each one number or an array (n,); 1 leaves the model as it is.

    Found by `anchor` from measured flights, or drawn at random to see what the model's error does.
    """

    drag: ArrayLike = 1.0
    lift: ArrayLike = 1.0


@dataclass(frozen=True)
class Flight:
    """Where n shots went, arrays of shape (n,). Offline right positive; angles in degrees.

    bias_deg: what was taken out of the landing angles (`error.landing_bias`). A change from one flight to another is
    taken by `landing_beside`, as the bias is known from club to club and not from one setting of a club to the next.
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
    bias_deg: Floats | float = 0.0

    def landing_beside(self, other: Flight) -> Floats:
        """Landing angles (n,) of these flights where they are the same shots as `other`'s, changed: with the bias of
        those."""
        angles: Floats = self.landing_deg + self.bias_deg - other.bias_deg
        return angles


@dataclass(frozen=True)
class _Balls:
    """What stays the same over a flight: arrays (n,), the spin axis (3, n)."""

    axis: Floats
    drag: Floats  # 0.5 rho A / m times the drag scale
    lift: Floats
    reynolds_per_mps: Floats
    wind_along: Floats
    wind_across: Floats
    windy: bool
    ball: Coefficients

    def __getitem__(self, which: NDArray[np.intp] | slice) -> _Balls:
        return replace(
            self,
            axis=self.axis[:, which],
            drag=self.drag[which],
            lift=self.lift[which],
            reynolds_per_mps=self.reynolds_per_mps[which],
            wind_along=self.wind_along[which],
            wind_across=self.wind_across[which],
        )

    def rates(self, state: Floats) -> Floats:
        """Time derivative of the state (7, n): eq. 1 to 3 of `aero` with lift along v x axis."""
        ux, uy, uz = state[VX], state[VY], state[VZ]
        if self.windy:
            profile = _wind_profile(state[Z])
            ux, uy = ux - self.wind_along * profile, uy - self.wind_across * profile
        speed = np.sqrt(ux * ux + uy * uy + uz * uz)
        spin_ratio = state[OMEGA] * BALL_RADIUS_M / speed
        lift, drag = self.ball.lift_and_drag(spin_ratio, speed * self.reynolds_per_mps)
        lift *= self.lift * speed
        drag *= self.drag * speed
        ax, ay, az = self.axis
        rates = np.empty_like(state)
        rates[:VX] = state[VX:OMEGA]
        rates[VX] = lift * (uy * az - uz * ay) - drag * ux
        rates[VY] = lift * (uz * ax - ux * az) - drag * uy
        rates[VZ] = lift * (ux * ay - uy * ax) - drag * uz - GRAVITY
        rates[OMEGA] = -SPIN_DECAY / BALL_RADIUS_M * state[OMEGA] * speed
        return rates

    def step(self, state: Floats, h: float | Floats) -> Floats:
        """One Runge-Kutta step; h in seconds, one number or one a shot."""
        k1 = self.rates(state)
        k2 = self.rates(state + 0.5 * h * k1)
        k3 = self.rates(state + 0.5 * h * k2)
        k4 = self.rates(state + h * k3)
        result: Floats = state + h / 6 * (k1 + 2 * (k2 + k3) + k4)
        return result


def _wind_profile(height_m: Floats) -> Floats:
    """Wind at a height as a share of that at 10 m: the 1/7 power law, levelling off under a metre.

    The law's slope has no bound at the ground, which would cost the integration its order.
    """
    profile: Floats = ((height_m**2 + 1.0) / 100.0) ** (1 / 14)
    return profile


def _start(launch: Launch) -> tuple[Floats, Floats]:
    """State (7, n) with y to the right, and the unit spin axis (3, n)."""
    speed, up, spin, direction, tilt = launch.checked()
    up, direction, tilt = np.radians(up), np.radians(direction), np.radians(tilt)
    forward = np.stack([np.cos(up) * np.cos(direction), np.cos(up) * np.sin(direction), np.sin(up)])
    # x downrange, y right, z up is a left-handed frame, so lift points along v x axis, not axis x v.
    level = np.stack([-np.sin(direction), np.cos(direction), np.zeros_like(up)])
    lift_up = np.stack([-np.sin(up) * np.cos(direction), -np.sin(up) * np.sin(direction), np.cos(up)])
    axis = level * np.cos(tilt) - lift_up * np.sin(tilt)
    state = np.zeros((7, speed.size))
    state[VX:OMEGA] = forward * speed
    state[OMEGA] = spin * RPM
    return state, axis


def _balls(axis: Floats, air: Air | Sequence[Air], ball: Coefficients, scales: FlightScales) -> _Balls:
    n = axis.shape[1]
    airs = [air] if isinstance(air, Air) else list(air)
    if len(airs) not in (1, n):
        raise BadInput(say("flight-shots-need-one-air", n=n, airs=len(airs)), field="air")

    distinct = {id(one): one for one in airs}
    place = {key: i for i, key in enumerate(distinct)}
    index = np.array([place[id(one)] for one in airs])

    def each(of: Callable[[Air], float]) -> Floats:
        return np.broadcast_to(np.array([of(one) for one in distinct.values()], dtype=float)[index], n)

    def scale(value: ArrayLike, name: str) -> Floats:
        scales = np.broadcast_to(np.asarray(value, dtype=float), n)
        if not (np.isfinite(scales) & (scales > 0.3) & (scales < 3)).all():
            raise BadInput(say("flight-scale-must-lie-between", name=name), field=name)
        return scales

    dynamic = 0.5 * BALL_AREA_M2 / BALL_MASS_KG * each(lambda one: one.density)
    along, across = each(lambda one: one.wind_along_mps), each(lambda one: one.wind_across_mps)
    return _Balls(
        axis=axis,
        drag=dynamic * scale(scales.drag, "drag"),
        lift=dynamic * scale(scales.lift, "lift"),
        reynolds_per_mps=2 * BALL_RADIUS_M / ball.viscosity(each(lambda one: one.kinematic_viscosity)),
        wind_along=along,
        wind_across=across,
        windy=bool(along.any() or across.any()),
        ball=ball,
    )


def _fraction_to_ground(before: Floats, after: Floats, h: float) -> Floats:
    """Fraction of the step at which height crosses zero: Newton on the cubic Hermite of z, shape (k,).

    A flight that is over within its first step leaves the ground at the step's beginning; it is the other crossing
    that is wanted: the cubic without that root is a square.
    """
    z0, z1, v0, v1 = before[Z], after[Z], before[VZ] * h, after[VZ] * h
    a, b = 2 * z0 - 2 * z1 + v0 + v1, -3 * z0 + 3 * z1 - 2 * v0 - v1
    leaves = (z0 == 0) & (v0 > 0)
    inside = np.sqrt(np.maximum(b * b - 4 * a * v0, 0))
    back = 2 * v0 / np.where(leaves, np.maximum(inside - b, 1e-12), 1.0)  # the smaller root above 0
    t = np.where(leaves, 0.0, z0 / (z0 - z1))
    for _ in range(3):
        slope = 3 * a * t**2 + 2 * b * t + v0
        t = np.clip(t - (a * t**3 + b * t**2 + v0 * t + z0) / np.where(slope == 0, -1.0, slope), 0, 1)
    fraction: Floats = np.where(leaves, np.clip(back, 0, 1), t)
    return fraction


@dataclass
class _Landed:
    """What is known of n shots once they are down: the state (7, n), the time and the peak (n,)."""

    state: Floats
    hang: Floats
    peak: Floats
    samples: list[Floats]


def _fly_chunk(state: Floats, balls: _Balls, step: float, path: bool) -> _Landed:
    n = state.shape[1]
    out = _Landed(np.zeros((7, n)), np.zeros(n), np.zeros(n), [state[:3].copy()] if path else [])
    everyone, who, now = balls, np.arange(n), 0.0
    # Where within its step a shot is highest and where it lands is found for all of them at the end, in one batch each.
    tops: list[tuple[NDArray[np.intp], Floats, Floats]] = []
    ends: list[tuple[NDArray[np.intp], Floats, Floats, float]] = []
    while who.size and now < LONGEST_S:
        after = balls.step(state, step)
        top = (state[VZ] > 0) & (after[VZ] <= 0)
        if top.any():
            # At the top height does not change with time, so a linear guess of the time is enough.
            tops.append((who[top], state[:, top], state[VZ, top] / (state[VZ, top] - after[VZ, top]) * step))
        down = after[Z] <= 0
        if down.any():
            share = _fraction_to_ground(state[:, down], after[:, down], step)
            ends.append((who[down], state[:, down], share * step, now))
            if path:
                out.state[:, who[down]] = _parts_of_a_step(everyone, ends[-1:])[1]
            aloft = np.flatnonzero(~down)
            who, after, balls = who[aloft], after[:, aloft], balls[aloft]
        state, now = after, now + step
        if path:
            here = out.state[:3].copy()
            here[:, who] = state[:3]
            out.samples.append(here)
    if tops:
        index, at_top = _parts_of_a_step(everyone, tops)
        out.peak[index] = at_top[Z]
    if ends:
        index, landed = _parts_of_a_step(everyone, ends)
        out.state[:, index] = landed
        out.hang[index] = np.concatenate([began + part for _, _, part, began in ends])
    out.state[:, who], out.hang[who] = state, now
    return out


def _parts_of_a_step(balls: _Balls, rows: Sequence[tuple[Any, ...]]) -> tuple[NDArray[np.intp], Floats]:
    """The shots of some rows, each (their index, state, seconds, ...), and their states after so many seconds."""
    index = np.concatenate([row[0] for row in rows])
    states = np.concatenate([row[1] for row in rows], axis=1)
    return index, balls[index].step(states, np.concatenate([row[2] for row in rows]))


def fly(
    launch: Launch,
    *,
    air: Air | Sequence[Air] | None = None,
    ball: Coefficients = MODERN_BALL,
    scales: FlightScales | None = None,
    path: bool = False,
) -> Flight:
    """Fly n shots over level ground until they land.

    launch: n shots. air: one for all of them or one each, 20 degrees C at sea level when None.
    scales: scales of drag and lift. path: also return sampled paths for drawing, every DRAWN_S.
    Raises BadInput for launches that cannot be flown. Source of the forces: `aero`; the known bias of the landing angle
    (`error.landing_bias`) is out of it. The first step always moves off the ground, so a topped shot with a launch
    below the horizon lands within it. Flights of up to `FEW` shots without their paths are kept, and read-only.
    """
    air, scales = air or Air(), scales or FlightScales()
    fields = launch.arrays()
    n = fields[0].size
    if path or n > FEW:
        return _flown(launch, air, ball, scales, path)
    both = np.stack([np.broadcast_to(np.asarray(each, dtype=float), n) for each in (scales.drag, scales.lift)])
    return _few(np.stack(fields).tobytes(), air if isinstance(air, Air) else tuple(air), ball, both.tobytes())


@lru_cache(KEPT)
def _few(fields: bytes, air: Air | tuple[Air, ...], ball: Coefficients, scales: bytes) -> Flight:
    launch = Launch(*np.frombuffer(fields).reshape(5, -1))
    flight = _flown(launch, air, ball, FlightScales(*np.frombuffer(scales).reshape(2, -1)), path=False)
    for each in vars(flight).values():
        if isinstance(each, np.ndarray):
            each.setflags(write=False)  # whoever asks for the same flight has this one
    return flight


def _flown(launch: Launch, air: Air | Sequence[Air], ball: Coefficients, scales: FlightScales, path: bool) -> Flight:
    state, axis = _start(launch)
    balls = _balls(axis, air, ball, scales)
    step = DRAWN_S if path else STEP_S
    size = state.shape[1] if path else CHUNK
    parts = [
        _fly_chunk(state[:, first : first + size], balls[slice(first, first + size)], step, path)
        for first in range(0, state.shape[1], size)
    ]
    flight = _result(parts, step)
    speed, _, spin, _, _ = launch.arrays()
    bias = landing_bias(speed, spin, flight.peak_m / np.maximum(flight.carry_m, 1e-9))
    return replace(flight, landing_deg=flight.landing_deg - bias, bias_deg=bias)


def _result(parts: list[_Landed], step: float) -> Flight:
    landed = np.concatenate([part.state for part in parts], axis=1)
    samples = parts[0].samples
    paths = np.stack(samples).transpose(0, 2, 1) if samples else None
    if paths is not None:
        paths[:, :, 2] = np.maximum(paths[:, :, 2], 0)
    vx, vy, vz = landed[VX], landed[VY], landed[VZ]
    level = np.hypot(vx, vy)
    return Flight(
        carry_m=landed[X],
        offline_m=landed[Y],
        peak_m=np.maximum(np.concatenate([part.peak for part in parts]), 0),
        landing_deg=np.degrees(np.arctan2(-vz, level)),
        landing_speed_mps=np.sqrt(level**2 + vz**2),
        landing_direction_deg=np.degrees(np.arctan2(vy, vx)),
        landing_spin_rpm=landed[OMEGA] / RPM,
        hang_s=np.concatenate([part.hang for part in parts]),
        path=paths,
        path_s=np.arange(len(samples), dtype=np.float64) * step if samples else None,
    )
