"""Bounce and roll on turf after A. R. Penner, "The run of a golf ball", Can. J. Phys. 80 (2002) 931.

Penner turns the impact frame by the slope of the dent the ball makes, lets the ball slide or grip in it with
friction mu, and takes a coefficient of restitution that falls with the normal impact speed
    e = 0.510 - 0.0375 v_n + 0.000903 v_n^2   (v_n <= 20 m/s), 0.120 beyond   (his eq. 8).
His slope, 15.4 deg (v / 18.6 m/s) (phi / 44.4 deg) with phi the impact angle above the ground (his eq. 6), was
measured for shallow impacts. A ball that comes straight down makes a dent that slopes to no side, so here it is
    theta_c = 15.4 deg (v / 18.6 m/s) (sin 2 phi)^STEEP
which is his at his angle and none at 90 degrees; his own would have a lob spin back 30 yards. A bounce also costs
a share of the speed along the ground and another of the spin (ours). The ball then bounces until it no longer leaves
the ground and rolls with constant deceleration.

What a firm word changes: on soft ground the dent is steep, so that the first bounce is short, and little of the spin is
spent in it, so that it brings the ball back; on firm ground the first bounce goes forward and spends it.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace
from enum import StrEnum

import numpy as np
from numpy.typing import ArrayLike, NDArray

from ..errors import BadInput
from ..said import Form, Quantity, number, say
from .aero import BALL_RADIUS_M, GRAVITY

Floats = NDArray[np.float64]
RPM = 2 * np.pi / 60
MOST_BOUNCES = 12
DENT_DEG, AT_MPS = 15.4, 18.6  # his slope, at his speed
STEEP = 1.72  # how fast the dent's slope falls off from 45 degrees: fitted with the turfs
FLAT_HOP_MPS = 0.35  # a hop that leaves the ground slower than this rises under 7 mm: the ball rolls
WHOLE_MPS = 1.0  # a ball that comes down this fast bounces wholly; between the two it part bounces and part rolls


class Firmness(StrEnum):
    """How hard the ground is, in a fitter's three words."""

    SOFT = "soft"
    MEDIUM = "medium"
    FIRM = "firm"


@dataclass(frozen=True)
class Turf:
    """Ground under a landing ball.

    dent: scale of the slope theta_c. bounce: scale of the restitution. friction: mu in the dent (Penner: 0.40).
    drag_g: deceleration of rolling in units of g. loss, spin_loss: shares of the speed along and of the spin that a
    bounce costs.
    Arrays that broadcast with the landings are many turfs. Set so that run-outs are what players see, by
    judgement: docs/decisions/0003-landing.md.
    """

    dent: float | Floats
    bounce: float | Floats
    friction: float | Floats
    drag_g: float | Floats
    loss: float | Floats = 0.0
    spin_loss: float | Floats = 0.0

    def patched(self, draws: Floats) -> Turf:
        """Patches of this turf: dent, bounce, friction and rolling drag scaled by draws (4, ...)."""
        dent, bounce, friction, drag = draws
        return replace(
            self,
            dent=self.dent * dent,
            bounce=self.bounce * bounce,
            friction=self.friction * friction,
            drag_g=self.drag_g * drag,
        )


FAIRWAY = {
    Firmness.SOFT: Turf(dent=1.103, bounce=0.707, friction=0.470, drag_g=0.30, loss=0.079, spin_loss=0.141),
    Firmness.MEDIUM: Turf(dent=0.908, bounce=0.947, friction=0.388, drag_g=0.22, loss=0.093),
    Firmness.FIRM: Turf(dent=0.691, bounce=1.077, friction=0.456, drag_g=0.18, loss=0.060),
}
EVERYDAY_FT = 10.0  # meter reading of a green on an ordinary day; tournaments 11 to 12
SLOWEST_FT, FASTEST_FT = 4.0, 16.0
METER_G_FT = 0.56  # the meter lets a ball go at 1.83 m/s: deceleration in g times feet rolled
FIRMNESS_OF_GREEN = {
    Firmness.SOFT: Turf(dent=1.230, bounce=0.391, friction=0.238, drag_g=0.0, loss=0.356, spin_loss=0.078),
    Firmness.MEDIUM: Turf(dent=1.021, bounce=0.601, friction=0.406, drag_g=0.0, loss=0.265, spin_loss=0.034),
    Firmness.FIRM: Turf(dent=0.825, bounce=0.800, friction=0.250, drag_g=0.0, loss=0.162, spin_loss=0.150),
}


def green_reading(meter_ft: float) -> Quantity:
    """What the standard meter reads, for a sentence."""
    return number(meter_ft, form=Form.SHORT)


def green(firmness: Firmness, meter_ft: float = EVERYDAY_FT) -> Turf:
    """A green: how hard it is and how fast it is are two things. meter_ft: the reading of the standard meter.

    Raises BadInput for a reading that no green has.
    """
    if not SLOWEST_FT <= meter_ft <= FASTEST_FT:
        raise BadInput(
            say("green-reads-between", low=green_reading(SLOWEST_FT), high=green_reading(FASTEST_FT)),
            field="meter_ft",
        )
    return replace(FIRMNESS_OF_GREEN[firmness], drag_g=METER_G_FT / meter_ft)


GREEN = {firmness: green(firmness) for firmness in Firmness}


@dataclass(frozen=True)
class Roll:
    """Run-out of n shots, arrays (n,): along the landing direction in metres, negative for a ball that
    spins back; and the length of the first bounce."""

    run_m: Floats
    first_bounce_m: Floats


def run_out(landing_speed_mps: ArrayLike, landing_deg: ArrayLike, spin_rpm: ArrayLike, turf: Turf) -> Roll:
    """How far n shots run after landing on level turf.

    landing_speed_mps, landing_deg (down from the horizontal, positive), spin_rpm (backspin):
    arrays that broadcast, (n,) as a rule; `turf` too. Hops are ballistic: at these speeds drag over a hop is under 2%.
    """
    from .ground_kernel import rolled  # noqa: PLC0415 (a second to load: only who lets a ball land waits for it)

    angle = np.radians(np.asarray(landing_deg, dtype=float))
    speed = np.asarray(landing_speed_mps, dtype=float)
    down = np.broadcast_arrays(speed * np.cos(angle), speed * np.sin(angle), RPM * np.asarray(spin_rpm, dtype=float))
    ground = (turf.dent, turf.bounce, turf.friction, turf.drag_g, turf.loss, turf.spin_loss)
    one = all(np.ndim(each) == 0 for each in ground)
    shape = down[0].shape if one else np.broadcast_shapes(down[0].shape, *(np.shape(each) for each in ground))
    grounds = np.array(ground)[:, None] if one else _flat(ground, shape)
    run, first = rolled(
        _flat(down, shape),
        grounds,
        (DENT_DEG, AT_MPS, STEEP),
        (FLAT_HOP_MPS, WHOLE_MPS),
        (BALL_RADIUS_M, GRAVITY),
        MOST_BOUNCES,
    )
    return Roll(run_m=run.reshape(shape), first_bounce_m=first.reshape(shape))


def _flat(values: Sequence[float | Floats], shape: tuple[int, ...]) -> Floats:
    """Broadcast to one shape, a row each."""
    return np.stack([np.broadcast_to(each, shape).ravel() for each in values])


@dataclass(frozen=True)
class RollOut:
    """What a player's shots do on one turf, metres: the middle one, and the span of four in five of them."""

    typical_m: float
    low_m: float
    high_m: float


# How turf differs within one word: the same fairway is not one number from one yard to the next.
TURF_SPREAD = 0.15
DRAWS = 40


def roll_out(landing_speed_mps: Floats, landing_deg: Floats, spin_rpm: Floats, turf: Turf) -> RollOut:
    """The distribution of run-out over n shots, arrays (n,), each on DRAWS patches of the same turf.

    A patch's dent, bounce, friction and rolling drag vary by TURF_SPREAD each (log-normal, fixed seed,
    so the same shots give the same answer). Raises BadInput for no shots.
    """
    if np.size(landing_speed_mps) == 0:
        raise BadInput(say("flight-roll-out-needs-least"), field="shots")
    draws = np.exp(np.random.default_rng(0).normal(0, TURF_SPREAD, (4, DRAWS, 1)))
    patch = turf.patched(draws)
    shape = (DRAWS, np.size(landing_speed_mps))
    speed, angle, spin = (np.broadcast_to(v, shape) for v in (landing_speed_mps, landing_deg, spin_rpm))
    low, typical, high = np.percentile(run_out(speed, angle, spin, patch).run_m, [10, 50, 90])
    return RollOut(float(typical), float(low), float(high))
