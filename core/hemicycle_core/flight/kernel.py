"""The flights of `integrate`, one shot after the other in machine code: fixed-step fourth-order Runge-Kutta on eq. 1 to
3 of `aero`. Compiled once and kept beside this file (or in NUMBA_CACHE_DIR); it lets other threads run meanwhile. The
same on arrays, which it is tested against: `core/tests/plain_flight.py`.
"""

from __future__ import annotations

import numpy as np
from numba import njit

# What is compiled is kept by this file alone: every number of another file is handed in.
LONGEST_S = 20.0
X, Y, Z, VX, VY, VZ, OMEGA = range(7)


@njit(cache=True, nogil=True, inline="always")
def _rates(state, ball, axis, curve, nature):  # type: ignore[no-untyped-def]
    """Time derivative of one state, position aside: of VX to OMEGA."""
    _, _, z, vx, vy, vz, omega = state
    drag_scale, lift_scale, reynolds_per_mps, along, across = ball
    drag_base, polar, crisis, crisis_at, per_width, lift_level, per_lift = curve
    radius, decay, gravity = nature
    ux, uy, uz = vx, vy, vz
    if along != 0.0 or across != 0.0:
        # The 1/7 power law, levelling off under a metre: its slope has no bound at the ground, which would cost the
        # integration its order.
        profile = ((z * z + 1.0) / 100.0) ** (1 / 14)
        ux, uy = ux - along * profile, uy - across * profile
    speed = np.sqrt(ux * ux + uy * uy + uz * uz)
    lift = lift_level * (1.0 - np.exp(-omega * radius / speed * per_lift))
    drag = drag_base + polar * lift * lift + crisis / (1.0 + np.exp((speed * reynolds_per_mps - crisis_at) * per_width))
    lift *= lift_scale * speed
    drag *= drag_scale * speed
    ax, ay, az = axis
    return (
        lift * (uy * az - uz * ay) - drag * ux,
        lift * (uz * ax - ux * az) - drag * uy,
        lift * (ux * ay - uy * ax) - drag * uz - gravity,
        -decay / radius * omega * speed,
    )


@njit(cache=True, nogil=True, inline="always")
def _ahead(state, h, rates, speed_from):  # type: ignore[no-untyped-def]
    """A state after h seconds at some rates, moved with the speed of another state."""
    x, y, z, vx, vy, vz, omega = state
    ux, uy, uz = speed_from[3], speed_from[4], speed_from[5]
    return (
        x + h * ux, y + h * uy, z + h * uz,
        vx + h * rates[0], vy + h * rates[1], vz + h * rates[2], omega + h * rates[3],
    )  # fmt: skip


@njit(cache=True, nogil=True)
def _step(state, h, ball, axis, curve, nature):  # type: ignore[no-untyped-def]
    """One Runge-Kutta step of h seconds."""
    k1 = _rates(state, ball, axis, curve, nature)
    second = _ahead(state, 0.5 * h, k1, state)
    k2 = _rates(second, ball, axis, curve, nature)
    third = _ahead(state, 0.5 * h, k2, second)
    k3 = _rates(third, ball, axis, curve, nature)
    fourth = _ahead(state, h, k3, third)
    k4 = _rates(fourth, ball, axis, curve, nature)
    x, y, z, vx, vy, vz, omega = state
    part = h / 6.0
    return (
        x + part * (vx + 2.0 * (second[3] + third[3]) + fourth[3]),
        y + part * (vy + 2.0 * (second[4] + third[4]) + fourth[4]),
        z + part * (vz + 2.0 * (second[5] + third[5]) + fourth[5]),
        vx + part * (k1[0] + 2.0 * (k2[0] + k3[0]) + k4[0]),
        vy + part * (k1[1] + 2.0 * (k2[1] + k3[1]) + k4[1]),
        vz + part * (k1[2] + 2.0 * (k2[2] + k3[2]) + k4[2]),
        omega + part * (k1[3] + 2.0 * (k2[3] + k3[3]) + k4[3]),
    )


@njit(cache=True, nogil=True)
def _share_to_ground(z0, z1, v0, v1):  # type: ignore[no-untyped-def]
    """Fraction of the step at which height crosses zero: Newton on the cubic Hermite of z; speeds times the step.

    A flight that is over within its first step leaves the ground at the step's beginning; it is the other crossing
    that is wanted: the cubic without that root is a square.
    """
    a, b = 2.0 * z0 - 2.0 * z1 + v0 + v1, -3.0 * z0 + 3.0 * z1 - 2.0 * v0 - v1
    if z0 == 0.0 and v0 > 0.0:
        back = 2.0 * v0 / max(np.sqrt(max(b * b - 4.0 * a * v0, 0.0)) - b, 1e-12)  # the smaller root above 0
        return min(max(back, 0.0), 1.0)
    t = z0 / (z0 - z1)
    for _ in range(3):
        slope = 3.0 * a * t * t + 2.0 * b * t + v0
        if slope == 0.0:
            slope = -1.0
        t = min(max(t - (a * t * t * t + b * t * t + v0 * t + z0) / slope, 0.0), 1.0)
    return t


@njit(
    "Tuple((f8[:, ::1], f8[::1], f8[::1], i8))("
    "f8[:, ::1], f8[:, ::1], f8[:, ::1], UniTuple(f8, 7), UniTuple(f8, 3), f8, f8[:, :, ::1])",
    cache=True,
    nogil=True,
)
def flown(start, axes, balls, curve, nature, step, samples):  # type: ignore[no-untyped-def]
    """Fly n shots to the ground.

    start (7, n): states. axes (3, n): unit spin axes. balls (5, n): drag and lift of a ball times its scales, Reynolds
    number a metre a second, wind along and across at 10 m. curve: drag_base, polar, crisis, crisis_at, one over
    crisis_width, lift, one over lift_scale. nature: radius of the ball in metres, spin decay (eq. 3), gravity. step:
    seconds. samples (k, n, 3): filled with where each shot is after each
    step, first its start; none are kept where k is 0. Returns the states once they are down (7, n), hang times and
    peaks (n,), and how many samples the longest flight took.
    """
    n = start.shape[1]
    landed, hang, peak, longest = np.zeros((7, n)), np.zeros(n), np.zeros(n), 1
    kept = samples.shape[0]
    for i in range(n):
        state = (start[0, i], start[1, i], start[2, i], start[3, i], start[4, i], start[5, i], start[6, i])
        axis = (axes[0, i], axes[1, i], axes[2, i])
        ball = (balls[0, i], balls[1, i], balls[2, i], balls[3, i], balls[4, i])
        now, took, down = 0.0, 1, False
        while now < LONGEST_S and not down:
            after = _step(state, step, ball, axis, curve, nature)
            if state[VZ] > 0.0 and after[VZ] <= 0.0:
                # At the top height does not change with time, so a linear guess of the time is enough.
                top = _step(state, state[VZ] / (state[VZ] - after[VZ]) * step, ball, axis, curve, nature)
                peak[i] = top[Z]
            if after[Z] <= 0.0:
                part = _share_to_ground(state[Z], after[Z], state[VZ] * step, after[VZ] * step) * step
                after, down = _step(state, part, ball, axis, curve, nature), True
                hang[i] = now + part
            if took - 1 < kept:
                samples[took - 1, i, 0], samples[took - 1, i, 1], samples[took - 1, i, 2] = state[X], state[Y], state[Z]
            state, now, took = after, now + step, took + 1
        if not down:
            hang[i] = now
        for at in range(took - 1, kept):
            samples[at, i, 0], samples[at, i, 1], samples[at, i, 2] = state[X], state[Y], state[Z]
        for k in range(7):
            landed[k, i] = state[k]
        longest = max(longest, took)
    return landed, hang, peak, longest
