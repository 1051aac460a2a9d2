"""Clubs of one player read along their lofts: each says something of the others.

A reading of n clubs is a usual curve over loft and length, plus what this player does otherwise: a level and a slope
of their own, a smooth departure, a part common to one type of head, a part of the head's own, and the noise of few
shots. All are normal, so the best guess, at these clubs or at others, is the usual regression of a Gaussian process
(C. E. Rasmussen and C. K. I. Williams, Gaussian Processes for Machine Learning, 2006, ch. 2).
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from ..heads import HeadType

Floats = NDArray[np.float64]

SMOOTH_DEG = 10.0  # of loft: departures this far apart are nearly strangers
MIDDLE_LOFT = 27.0
# Carries of touring players' irons in yards, published averages; their lofts are the usual ones. Under 21 degrees
# continued in line. As logs, so that a slower player's are the same curve lower down. Over 46 degrees nothing is
# published: what `impact` makes of the same player's delivery, full swings.
CURVE_LOFT = np.array([15.0, 21, 24, 27, 30.5, 34, 38, 42, 46, 50, 54, 58, 62])
CARRY_CURVE = np.log([229.0, 212, 203, 194, 183, 172, 160, 148, 136, 124, 111, 97, 82])
# Beside an iron of one loft. A specialist wedge is shorter and heavier, with its weight low: it flies clearly shorter.
TYPE_CARRY = {HeadType.FAIRWAY: 0.03, HeadType.HYBRID: 0.015, HeadType.WEDGE: -0.04}


@dataclass(frozen=True)
class LoftedHead:
    """A head in one setting: a key of its own, degrees, metres. model: whose heads are made alike, empty for none."""

    key: str
    head_type: HeadType
    loft_deg: float
    length_m: float
    model: str = ""


@dataclass(frozen=True)
class Scales:
    """One standard deviation of each part of a reading, in its unit; the slope's for a degree of loft. model: of what
    the heads of one model have in common, where a set is read as one thing."""

    level: float
    slope: float
    smooth: float
    own: float
    kind: float
    model: float = 0.0


# Of the log of carry. Wide level and slope: the shots decide.
CARRY_SCALES = Scales(level=0.5, slope=0.004, smooth=0.012, own=0.02, kind=0.02)


def along(loft: float, values: Floats) -> float:
    """A curve over `CURVE_LOFT`, continued in line beyond its ends."""
    if loft < CURVE_LOFT[0]:
        return float(values[0] + (loft - CURVE_LOFT[0]) * (values[1] - values[0]) / (CURVE_LOFT[1] - CURVE_LOFT[0]))
    if loft > CURVE_LOFT[-1]:
        slope = (values[-1] - values[-2]) / (CURVE_LOFT[-1] - CURVE_LOFT[-2])
        return float(values[-1] + (loft - CURVE_LOFT[-1]) * slope)
    return float(np.interp(loft, CURVE_LOFT, values))


def usual_log_carry(head: LoftedHead) -> float:
    """The log of the carry in yards that a touring player has with it; lengths are the usual ones."""
    return along(head.loft_deg, CARRY_CURVE) + TYPE_CARRY.get(head.head_type, 0.0)


def common(heads: Sequence[LoftedHead], scales: Scales) -> Floats:
    """How the readings of n heads move together: their covariance (n, n) before a shot is hit."""
    loft = np.array([head.loft_deg for head in heads])
    kinds = np.array([head.head_type.value for head in heads])
    keys = np.array([head.key for head in heads])
    models = np.array([head.model for head in heads])
    off, apart = loft - MIDDLE_LOFT, loft[:, None] - loft[None]
    alike = (kinds[:, None] == kinds[None]) & (kinds != HeadType.IRON.value)[:, None]
    table: Floats = (
        scales.level**2
        + scales.slope**2 * np.outer(off, off)
        + scales.smooth**2 * np.exp(-(apart**2) / (2 * SMOOTH_DEG**2))
        + scales.kind**2 * alike
        + scales.own**2 * (keys[:, None] == keys[None])
        + scales.model**2 * ((models[:, None] == models[None]) & (models != "")[:, None])
    )
    return table


def read_along(
    heads: Sequence[LoftedHead], usual: Floats, scales: Scales, seen: Floats, noise: Floats
) -> tuple[Floats, Floats]:
    """Mean and variance (n,) of a reading at n heads, the first m of which were seen.

    usual (n,): what is usual there. seen (m,): the averages of the first m; noise (m,): their variances.
    """
    m = len(seen)
    k = common(heads, scales)
    gain = np.linalg.solve(k[:m, :m] + np.diag(noise), k[:m]).T
    mean = usual + gain @ (seen - usual[:m])
    return mean, np.maximum(np.diag(k) - np.einsum("ij,ji->i", gain, k[:m]), 1e-9)
