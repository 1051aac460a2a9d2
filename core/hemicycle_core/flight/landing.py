"""Bounce and roll on turf after A. R. Penner, "The run of a golf ball", Can. J. Phys. 80 (2002) 931.

Penner turns the impact frame by the slope of the dent the ball makes,
    theta_c = 15.4 deg (v / 18.6 m/s) (phi / 44.4 deg)                      (his eq. 6)
where phi is the impact angle above the ground, lets the ball slide or grip in it with friction mu,
and takes a coefficient of restitution that falls with the normal impact speed
    e = 0.510 - 0.0375 v_n + 0.000903 v_n^2   (v_n <= 20 m/s), 0.120 beyond   (his eq. 8).
The ball then bounces until it no longer leaves the ground and rolls with constant deceleration.
His figures are for a firm golf green; firmness scales the dent and the restitution, as turf lists do.
"""

from __future__ import annotations

from dataclasses import dataclass
from enum import StrEnum

import numpy as np
from numpy.typing import NDArray

from ..errors import BadInput
from .aero import BALL_RADIUS_M, GRAVITY

Floats = NDArray[np.float64]
RPM = 2 * np.pi / 60
MOST_BOUNCES = 12
FLAT_HOP_MPS = 0.35  # a hop that leaves the ground slower than this rises under 7 mm: the ball rolls


class Firmness(StrEnum):
    """How hard the ground is, in a fitter's three words."""

    SOFT = "soft"
    MEDIUM = "medium"
    FIRM = "firm"


@dataclass(frozen=True)
class Turf:
    """Ground under a landing ball.

    dent: scale of Penner's theta_c. bounce: scale of his restitution. friction: mu in the dent.
    drag_g: deceleration of rolling in units of g. Arrays that broadcast with the landings are many turfs.
    All but `friction` (Penner: 0.40) are set so that roll-outs span what players see; see
    docs/decisions/0003-landing.md.
    """

    dent: float | Floats
    bounce: float | Floats
    friction: float | Floats
    drag_g: float | Floats


FAIRWAY = {
    Firmness.SOFT: Turf(dent=1.15, bounce=0.75, friction=0.40, drag_g=0.70),
    Firmness.MEDIUM: Turf(dent=1.0, bounce=1.0, friction=0.40, drag_g=0.50),
    Firmness.FIRM: Turf(dent=0.80, bounce=1.15, friction=0.40, drag_g=0.30),
}
GREEN = {
    Firmness.SOFT: Turf(dent=1.45, bounce=0.60, friction=0.50, drag_g=0.095),
    Firmness.MEDIUM: Turf(dent=1.22, bounce=0.80, friction=0.45, drag_g=0.080),
    Firmness.FIRM: Turf(dent=1.02, bounce=1.0, friction=0.40, drag_g=0.065),
}


@dataclass(frozen=True)
class Roll:
    """Run-out of n shots, arrays (n,): along the landing direction in metres, negative for a ball that
    spins back; and the length of the first bounce."""

    run_m: Floats
    first_bounce_m: Floats


def _restitution(normal_mps: Floats, scale: float | Floats) -> Floats:
    e = np.where(normal_mps <= 20, 0.510 - 0.0375 * normal_mps + 0.000903 * normal_mps**2, 0.120)
    return np.clip(e * scale, 0.0, 0.85)


def _bounce(along: Floats, down: Floats, spin: Floats, turf: Turf) -> tuple[Floats, Floats, Floats]:
    """One impact: speeds along and downward, backspin in rad/s; returns along, upward, backspin after."""
    speed, phi = np.hypot(along, down), np.degrees(np.arctan2(down, np.abs(along)))
    dent = np.radians(15.4 * (speed / 18.6) * (phi / 44.4) * turf.dent) * np.where(along < 0, -1, 1)
    tangent = along * np.cos(dent) - down * np.sin(dent)
    normal = np.maximum(along * np.sin(dent) + down * np.cos(dent), 0)
    e = _restitution(normal, turf.bounce)
    slip = tangent + BALL_RADIUS_M * spin
    # Penner eq. 12: friction needed to stop the slip within the impact.
    needed = 2 * np.abs(slip) / (7 * (1 + e) * np.maximum(normal, 1e-9))
    gripped = needed <= turf.friction
    impulse = turf.friction * normal * (1 + e) * np.sign(slip)
    tangent_after = np.where(gripped, tangent - 2 / 7 * slip, tangent - impulse)
    spin_after = np.where(gripped, -tangent_after / BALL_RADIUS_M, spin - 2.5 * impulse / BALL_RADIUS_M)
    normal_after = e * normal
    back_along = tangent_after * np.cos(dent) - normal_after * np.sin(dent)
    up = tangent_after * np.sin(dent) + normal_after * np.cos(dent)
    return back_along, np.maximum(up, 0), spin_after


def run_out(landing_speed_mps: Floats, landing_deg: Floats, spin_rpm: Floats, turf: Turf) -> Roll:
    """How far n shots run after landing on level turf.

    landing_speed_mps, landing_deg (down from the horizontal, positive), spin_rpm (backspin):
    arrays (n,). Hops are ballistic: at these speeds drag over a hop is under 2%.
    """
    angle = np.radians(np.asarray(landing_deg, dtype=float))
    speed = np.asarray(landing_speed_mps, dtype=float)
    along, down = speed * np.cos(angle), speed * np.sin(angle)
    spin = np.asarray(spin_rpm, dtype=float) * RPM
    run, first = np.zeros_like(along), np.zeros_like(along)
    for number in range(MOST_BOUNCES):
        flying = down > FLAT_HOP_MPS
        if not flying.any():
            break
        after, up, spun = _bounce(along, down, spin, turf)
        along, spin = np.where(flying, after, along), np.where(flying, spun, spin)
        down = np.where(flying, up, down)
        hop = np.where(flying, 2 * along * up / GRAVITY, 0.0)
        run += hop
        if number == 0:
            first = hop
    # Left-over slip turns into roll at once: a ball rolling with backspin keeps 5/7 of its speed.
    rolling = 5 / 7 * along - 2 / 7 * BALL_RADIUS_M * spin
    run += np.sign(rolling) * rolling**2 / (2 * turf.drag_g * GRAVITY)
    return Roll(run_m=run, first_bounce_m=first)


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
        raise BadInput("A roll-out needs at least one landing.", field="shots")
    draws = np.exp(np.random.default_rng(0).normal(0, TURF_SPREAD, (4, DRAWS, 1)))
    scales = [turf.dent, turf.bounce, turf.friction, turf.drag_g]
    patch = Turf(*(scale * draw for scale, draw in zip(scales, draws, strict=True)))
    shape = (DRAWS, np.size(landing_speed_mps))
    speed, angle, spin = (np.broadcast_to(v, shape) for v in (landing_speed_mps, landing_deg, spin_rpm))
    low, typical, high = np.percentile(run_out(speed, angle, spin, patch).run_m, [10, 50, 90])
    return RollOut(float(typical), float(low), float(high))
