"""How much of the player's speed was there at each swing of a session: cold to begin with, tired in the end.

Club speed brought to one length, in the order hit, is the player's own, a little of each build's, and what is missing
from it: a share that goes with the first swings and one that grows with the late ones. Fitted with what is usual before
a swing is seen (ridge regression, the posterior mean of a normal prior: Gelman et al., Bayesian Data Analysis, 3rd ed.,
ch. 14), so that a build that was hit last is not blamed for it and a few swings say little.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

Floats = NDArray[np.float64]

# Shares of speed, with one standard deviation over players, by judgement: missing from the first swing and gone with
# the next few; lost with each swing after the first two dozen.
COLD, COLD_SD, COLD_SWINGS = 0.010, 0.012, 5.0
TIRES, TIRES_SD, TIRES_AFTER = 0.0003, 0.0006, 24.0
SWING_SD = 0.012  # one swing's speed beside the next
BUILD_SD = 0.006  # how far a build is swung faster or slower for a reason of its own
LEAST_SWINGS = 8


@dataclass(frozen=True)
class Rested:
    """missing: log of the speed that was not there, of each swing by group; mean: of each group, (groups,); error: of
    each group's mean beside the session's, one standard deviation; whole, whole_error: of the session's."""

    missing: tuple[Floats, ...]
    mean: Floats
    error: Floats
    whole: float
    whole_error: float


def rested(
    speeds: Sequence[Floats], orders: Sequence[Floats], weights: Sequence[Floats], apart: Floats
) -> Rested | None:
    """What was missing of the speed. speeds: logs of club speed at one length, (n,) by group; orders: places in the
    session from nought on; weights: how far each swing counts; apart: how far each group's speed may lie off for its
    length, a share (groups,). A swing of which one or the other is not known (NaN) counts as the session's average.
    None where few are known."""
    speed, order, weight = (np.concatenate(each) for each in (speeds, orders, weights))
    known = np.isfinite(speed) & np.isfinite(order)
    if known.sum() < LEAST_SWINGS:
        return None
    weight, speed = np.where(known, weight, 0.0), np.where(known, speed, 0.0)
    order = order - order[known].min()
    group = np.repeat(np.arange(len(speeds)), [each.size for each in speeds])
    shape = np.stack([np.exp(-order / COLD_SWINGS), np.maximum(order - TIRES_AFTER, 0.0)])
    shape = np.where(known, shape, shape[:, known].mean(axis=1, keepdims=True))
    own = np.zeros((len(speeds), speed.size))
    own[group, np.arange(speed.size)] = 1.0
    columns = np.concatenate([np.ones((1, speed.size)), -shape, own])
    before = np.array([speed[known].mean(), COLD, TIRES, *np.zeros(len(speeds))])
    held = np.array([1e-6, COLD_SD**-2, TIRES_SD**-2, *(1 / (BUILD_SD**2 + apart**2))])
    precision = (columns * (weight / SWING_SD**2)) @ columns.T + np.diag(held)
    found = np.linalg.solve(precision, (columns * (weight / SWING_SD**2)) @ speed + held * before)
    unsure = np.linalg.inv(precision)[1:3, 1:3]
    lost = np.maximum(found[1:3], 0.0)
    missing = lost @ shape
    means = np.array([shape[:, group == each].mean(axis=1) for each in range(len(speeds))])
    middle = means.mean(axis=0)
    beside = means - middle
    return Rested(
        missing=tuple(missing[group == each] for each in range(len(speeds))),
        mean=means @ lost,
        error=np.sqrt(np.einsum("gi,ij,gj->g", beside, unsure, beside)),
        whole=float(middle @ lost),
        whole_error=float(np.sqrt(middle @ unsure @ middle)),
    )
