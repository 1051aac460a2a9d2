"""The flights of `flight.kernel` on arrays, many shots a step: written apart from it, to check it against."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace
from typing import Any

import numpy as np
from hemicycle_core.flight.aero import BALL_RADIUS_M, GRAVITY, SPIN_DECAY, Coefficients
from numpy.typing import NDArray

Floats = NDArray[np.float64]
LONGEST_S = 20.0
X, Y, Z, VX, VY, VZ, OMEGA = range(7)


@dataclass(frozen=True)
class Balls:
    """What stays the same over a flight: arrays (n,), the spin axis (3, n)."""

    axis: Floats
    drag: Floats  # 0.5 rho A / m times the drag scale
    lift: Floats
    reynolds_per_mps: Floats
    wind_along: Floats
    wind_across: Floats
    windy: bool
    ball: Coefficients

    def __getitem__(self, which: NDArray[np.intp] | slice) -> Balls:
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
class Landed:
    """What is known of n shots once they are down: the state (7, n), the time and the peak (n,)."""

    state: Floats
    hang: Floats
    peak: Floats
    samples: list[Floats]


def fly_plainly(start: Floats, axes: Floats, balls_of: Floats, ball: Coefficients, step: float) -> Landed:
    """As `flight.kernel.flown` takes them, with samples (3, n) after each step."""
    n = start.shape[1]
    drag, lift, reynolds, along, across = balls_of
    balls = Balls(axes, drag, lift, reynolds, along, across, bool(along.any() or across.any()), ball)
    state, out = start, Landed(np.zeros((7, n)), np.zeros(n), np.zeros(n), [start[:3].copy()])
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
            out.state[:, who[down]] = _parts_of_a_step(everyone, ends[-1:])[1]
            aloft = np.flatnonzero(~down)
            who, after, balls = who[aloft], after[:, aloft], balls[aloft]
        state, now = after, now + step
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


def _parts_of_a_step(balls: Balls, rows: Sequence[tuple[Any, ...]]) -> tuple[NDArray[np.intp], Floats]:
    """The shots of some rows, each (their index, state, seconds, ...), and their states after so many seconds."""
    index = np.concatenate([row[0] for row in rows])
    states = np.concatenate([row[1] for row in rows], axis=1)
    return index, balls[index].step(states, np.concatenate([row[2] for row in rows]))
