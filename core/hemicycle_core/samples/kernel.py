"""The steps of `mixture` in machine code. Compiled once and kept beside this file (or in NUMBA_CACHE_DIR). The same on
arrays, which it is tested against: `core/tests/plain_mixture.py`.
"""

from __future__ import annotations

import math

import numpy as np
from numba import njit

# What is compiled is kept by this file alone: every number of another file is handed in.
ROOT_HALF, ROOT_TWO_PI = math.sqrt(0.5), math.sqrt(2 * math.pi)
FAR = -25.0  # further out the share under is told by its series: it is too small to be told itself


@njit(cache=True, nogil=True, inline="always")
def _log_under(z):  # type: ignore[no-untyped-def]
    """Log of the share of a normal distribution under z standard deviations, to 1e-12."""
    if z > FAR:
        return math.log1p(-0.5 * math.erfc(z * ROOT_HALF)) if z > -1.0 else math.log(0.5 * math.erfc(-z * ROOT_HALF))
    # Abramowitz and Stegun, 26.2.12.
    w = 1.0 / (z * z)
    series = 1.0 - w * (1.0 - 3.0 * w * (1.0 - 5.0 * w * (1.0 - 7.0 * w)))
    return -0.5 * z * z - math.log(-z * ROOT_TWO_PI) + math.log(series)


@njit(cache=True, nogil=True, inline="always")
def _density(x, mean, sd):  # type: ignore[no-untyped-def]
    z = (x - mean) / sd
    return math.exp(-0.5 * z * z) / sd


@njit(cache=True, nogil=True, inline="always")
def _short(lost, mean, sd):  # type: ignore[no-untyped-def]
    """Density of what a poor shot loses, shares of carry: exponential, on top of the spread of good ones."""
    exponent = sd * sd / (2.0 * mean * mean) - lost / mean + _log_under(lost / sd - sd / mean)
    return math.exp(min(exponent, 50.0)) / mean * ROOT_TWO_PI


@njit(
    "void(f8[::1], b1[::1], f8[::1], i8[::1], f8[:, ::1], f8[:, ::1], f8[::1], UniTuple(f8, 4), f8[:, ::1])",
    cache=True,
    nogil=True,
    error_model="numpy",
)
def tell(carry, called, wrong, ends, kinds, builds, shared, usual, told):  # type: ignore[no-untyped-def]
    """How likely each of N shots is a miss, and a flyer or no carry of the club at all: fills told (2, N). carry,
    called, wrong (N,): as `Group` has them, and the chance to be misread. ends (G,): one past the last shot of each
    group. kinds (3, G): what a miss of it costs; how wide it spreads; how much wider it was hit than it will be.
    builds (2, G): centres and spreads; shared (4,): spread, miss rate, loss, how often a miss is called. usual: share
    of flyers, their gain and spread, how often a good shot is called."""
    flyers, gain, flyer_sd, called_good = usual
    misses, calls = shared[1], shared[3]
    first = 0
    for group in range(ends.size):
        centre, spread, loss = builds[0, group], builds[1, group], shared[2] * kinds[0, group]
        flyer_spread = math.hypot(flyer_sd, spread)
        for shot in range(first, ends[group]):
            off = carry[shot] / centre - 1.0
            odds = misses / (1.0 - misses)
            odds *= calls / called_good if called[shot] else (1.0 - calls) / (1.0 - called_good)
            prior = odds / (1.0 + odds)
            good = (1.0 - prior - flyers) * _density(off, 0.0, spread)
            poor = prior * _short(-off, loss, spread)
            flyer = flyers * _density(off, gain, flyer_spread)
            total, right = good + poor + flyer, 1.0 - wrong[shot]
            told[0, shot], told[1, shot] = right * poor / total, wrong[shot] + right * flyer / total
        first = ends[group]


@njit(
    "void(f8[::1], b1[::1], i8[::1], f8[:, ::1], f8[:, ::1], f8[::1], f8[:, ::1], UniTuple(f8, 8))",
    cache=True,
    nogil=True,
    error_model="numpy",
)
def settle(carry, called, ends, kinds, builds, shared, told, prior):  # type: ignore[no-untyped-def]
    """Centres, spreads and what misses cost, once it is told which shots were misses and which flyers: changes builds
    and shared, as `tell` takes them. prior: the usual spread and its shots; how many shots the spread of all weighs in
    each build's own; the usual miss rate and its shots; the usual loss; how often a miss is called, and its misses."""
    usual_spread, spread_shots, own_shots, usual_misses, misses_shots, usual_loss, usual_calls, calls_shots = prior
    count = ends.size
    weights, sums = np.zeros(count), np.zeros(count)
    missed, lost, were_called, first = 0.0, 0.0, 0.0, 0
    for group in range(count):
        weight, carried = 0.0, 0.0
        for shot in range(first, ends[group]):
            good = 1.0 - told[0, shot] - told[1, shot]
            weight += good
            carried += good * carry[shot]
        if weight > 0.2:
            builds[0, group] = carried / max(weight, 1e-9)
        centre, squares = builds[0, group], 0.0
        for shot in range(first, ends[group]):
            poor = told[0, shot]
            off = carry[shot] / centre - 1.0
            squares += (1.0 - poor - told[1, shot]) * off * off
            lost += poor * min(max(-off, 0.0), 0.6) / kinds[0, group]
            missed += poor
            if called[shot]:
                were_called += poor
        weights[group], sums[group] = weight, squares / (kinds[1, group] * kinds[2, group]) ** 2
        first = ends[group]
    squares, freedom = 0.0, 0.0
    for group in range(count):
        squares += sums[group]
        freedom += max(weights[group] - 1.0, 0.0)
    spread = math.sqrt((spread_shots * usual_spread * usual_spread + squares) / (spread_shots + freedom))
    for group in range(count):
        builds[1, group] = kinds[1, group] * math.sqrt(
            (own_shots * spread * spread + sums[group]) / (own_shots + max(weights[group] - 1.0, 0.0))
        )
    shared[0] = spread
    shared[1] = (usual_misses * misses_shots + missed) / (misses_shots + carry.size)
    shared[2] = (usual_loss * 4.0 + lost) / (4.0 + missed)
    shared[3] = (usual_calls * calls_shots + were_called) / (calls_shots + missed)
