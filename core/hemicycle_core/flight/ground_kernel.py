"""The bounces and the roll of `landing`, one shot after the other in machine code, as `kernel` is for flights. The same
on arrays, which it is tested against: `core/tests/plain_flight.py`.
"""

from __future__ import annotations

import numpy as np
from numba import njit

# What is compiled is kept by this file alone: every number of another file is handed in.
RADIANS = np.pi / 180


@njit(cache=True, nogil=True, inline="always")
def _bounce(along, down, spin, ground, dent, radius):  # type: ignore[no-untyped-def]
    """One impact: speeds along and downward, backspin in rad/s; returns along, upward, backspin after. ground: dent,
    bounce, friction, drag, loss and spin loss, as `Turf` has them; dent: slope in degrees, at which speed, how steep
    it falls off."""
    slope_deg, at_mps, steep = dent
    speed, phi = np.hypot(along, down), np.arctan2(down, np.abs(along))
    slope = slope_deg * (speed / at_mps) * np.abs(np.sin(2 * phi)) ** steep
    tilt = slope * ground[0] * RADIANS * (-1.0 if along < 0.0 else 1.0)
    across, lengthwise = np.sin(tilt), np.cos(tilt)
    tangent = along * lengthwise - down * across
    normal = max(along * across + down * lengthwise, 0.0)
    # Penner eq. 8.
    e = 0.510 - 0.0375 * normal + 0.000903 * normal * normal if normal <= 20.0 else 0.120
    e = min(max(e * ground[1], 0.0), 0.85)
    slip = tangent + radius * spin
    # Penner eq. 12: friction needed to stop the slip within the impact.
    needed = 2.0 * np.abs(slip) / (7.0 * (1.0 + e) * max(normal, 1e-9))
    impulse = ground[2] * normal * (1.0 + e) * np.sign(slip)
    if needed <= ground[2]:
        tangent = tangent - 2.0 / 7.0 * slip
        spin = -tangent / radius
    else:
        tangent = tangent - impulse
        spin = spin - 2.5 * impulse / radius
    tangent, spin, up = tangent * (1.0 - ground[4]), spin * (1.0 - ground[5]), e * normal
    return tangent * lengthwise - up * across, max(tangent * across + up * lengthwise, 0.0), spin


@njit(
    "f8[:, ::1](f8[:, ::1], f8[:, ::1], UniTuple(f8, 3), UniTuple(f8, 2), UniTuple(f8, 2), i8)",
    cache=True,
    nogil=True,
    error_model="numpy",
)
def rolled(landings, grounds, dent, hops, nature, most):  # type: ignore[no-untyped-def]
    """n shots landing on level turf, to rest.

    landings (3, n): speeds along the ground and downward in m/s, backspin in rad/s. grounds (6, n): as `Turf` has them;
    (6, 1) where all land on one. dent: as `_bounce` takes it. hops: speeds downward at which a ball rolls and wholly
    bounces. nature: radius of the ball in metres, gravity. most: bounces. Returns run and first bounce, metres (2, n).
    """
    n, radius, gravity = landings.shape[1], nature[0], nature[1]
    made = np.zeros((2, n))
    for i in range(n):
        at = i if grounds.shape[1] > 1 else 0
        ground = (grounds[0, at], grounds[1, at], grounds[2, at], grounds[3, at], grounds[4, at], grounds[5, at])
        along, down, spin, run = landings[0, i], landings[1, i], landings[2, i], 0.0
        for bounce in range(most):
            if not down > hops[0]:
                break
            after, up, spun = _bounce(along, down, spin, ground, dent, radius)
            # One hop more or less near the end would be a step in the run: a ball that hardly falls hardly bounces.
            part = min(max((down - hops[0]) / (hops[1] - hops[0]), 0.0), 1.0)
            along, spin, down = along + part * (after - along), spin + part * (spun - spin), part * up
            run += 2.0 * along * down / gravity
            if bounce == 0:
                made[1, i] = run
        # Left-over slip turns into roll at once: a ball rolling with backspin keeps 5/7 of its speed.
        rolling = 5.0 / 7.0 * along - 2.0 / 7.0 * radius * spin
        made[0, i] = run + np.sign(rolling) * rolling * rolling / (2.0 * ground[3] * gravity)
    return made
