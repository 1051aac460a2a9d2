"""Flights of many shots at once: what can be flown, through which air, and what comes of it. `kernel` flies them."""

from __future__ import annotations

from collections.abc import Callable, Sequence
from dataclasses import dataclass
from functools import lru_cache, partial

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
RPM = 2 * np.pi / 60
FEW, KEPT = 256, 512  # so many flights of so few shots are kept: one session asks for the same ones over and over
NATURE = (BALL_RADIUS_M, SPIN_DECAY, GRAVITY)
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


def _balls(n: int, air: Air | Sequence[Air], ball: Coefficients, scales: FlightScales) -> Floats:
    """What stays the same over a flight (5, n), as `kernel.flown` takes it."""
    airs = [air] if isinstance(air, Air) else list(air)
    if len(airs) not in (1, n):
        raise BadInput(say("flight-shots-need-one-air", n=n, airs=len(airs)), field="air")

    def scale(value: ArrayLike, name: str) -> Floats:
        scales = np.asarray(value, dtype=float)
        if not (np.isfinite(scales) & (scales > 0.3) & (scales < 3)).all():
            raise BadInput(say("flight-scale-must-lie-between", name=name), field=name)
        return scales

    distinct = {id(one): one for one in airs}
    through = np.array([_through(one, ball) for one in distinct.values()]).T
    if len(distinct) > 1:
        place = {key: i for i, key in enumerate(distinct)}
        through = through[:, [place[id(one)] for one in airs]]
    balls = np.empty((5, n))
    balls[0], balls[1] = through[0] * scale(scales.drag, "drag"), through[0] * scale(scales.lift, "lift")
    balls[2:] = through[1:]
    return balls


@lru_cache(KEPT)
def _through(air: Air, ball: Coefficients) -> tuple[float, float, float, float]:
    """0.5 rho A / m, Reynolds number a metre a second, and the wind along and across, of a ball through an air."""
    return (
        0.5 * BALL_AREA_M2 / BALL_MASS_KG * air.density,
        2 * BALL_RADIUS_M / float(ball.viscosity(np.asarray(air.kinematic_viscosity))),
        air.wind_along_mps,
        air.wind_across_mps,
    )


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
    from .kernel import LONGEST_S, flown  # noqa: PLC0415 (a second to load: only who flies waits for it)

    state, axis = _start(launch)
    step = DRAWN_S if path else STEP_S
    n = state.shape[1]
    samples = np.empty((int(LONGEST_S / step) + 2 if path else 0, n, 3))
    balls = _balls(n, air, ball, scales)
    landed, hang, peak, longest = flown(state, axis, balls, ball.curve, NATURE, step, samples)
    samples = samples[:longest]
    samples[:, :, 2] = np.maximum(samples[:, :, 2], 0)
    vx, vy, vz = landed[VX], landed[VY], landed[VZ]
    level = np.hypot(vx, vy)
    highest = np.maximum(peak, 0)
    speed, _, spin, _, _ = launch.arrays()
    bias = landing_bias(speed, spin, highest / np.maximum(landed[X], 1e-9))
    return Flight(
        carry_m=landed[X],
        offline_m=landed[Y],
        peak_m=highest,
        landing_deg=np.degrees(np.arctan2(-vz, level)) - bias,
        landing_speed_mps=np.sqrt(level**2 + vz**2),
        landing_direction_deg=np.degrees(np.arctan2(vy, vx)),
        landing_spin_rpm=landed[OMEGA] / RPM,
        hang_s=hang,
        path=samples if path else None,
        path_s=np.arange(longest, dtype=np.float64) * step if path else None,
        bias_deg=bias,
    )
