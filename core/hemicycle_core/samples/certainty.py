"""How well a mean is known from few shots, and how many more would settle it."""

from __future__ import annotations

import math
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray
from scipy.special import stdtrit

from .averages import Average

Floats = NDArray[np.float64]
Ints = NDArray[np.int_]

LEVEL = 0.90  # the interval a fitter is shown: wrong once in ten
# Spread of kept carries within one build, as a share of carry: about 2.5% for steady players, 4% for
# most. It counts as much as PRIOR_SHOTS shots, so that three lucky shots do not look like certainty.
PRIOR_SPREAD_SHARE = 0.03
PRIOR_SHOTS = 4
SETTLED_SHARE = 0.016  # half-width of the interval as a share of carry: 2.8 yd at 175 yd
MOST_MORE = 30


@dataclass(frozen=True)
class Certainty:
    """half_width: of the 90% interval of the mean, in the unit of the mean. settled: it is narrow enough.
    more: further shots that would settle it, 0 when settled, None when over 30. spread: the standard
    deviation used, the player's own drawn towards the usual one. df: degrees of freedom."""

    half_width: float
    settled: bool
    more: int | None
    spread: float
    df: int


def _spread(sample: Average, usual: float) -> tuple[float, int]:
    own = 0.0 if sample.sd is None else (sample.n - 1) * sample.sd**2
    df = PRIOR_SHOTS + sample.n - 1
    return math.sqrt((own + PRIOR_SHOTS * usual**2) / df), df


def _half_width(spread: float, n: Ints, df: Ints) -> Floats:
    half: Floats = stdtrit(df, 0.5 + LEVEL / 2) * spread / np.sqrt(n)
    return half


def certainty(sample: Average, *, usual_spread: float | None = None, wanted: float | None = None) -> Certainty:
    """The certainty of a mean.

    sample: the average; for anything but carry give usual_spread (the spread expected before a shot
    is hit) and wanted (the half-width that counts as settled) in its unit. The spread is a weighted
    mean of variances, as in a normal model with a scaled-inverse-chi-squared prior (Gelman et al.,
    Bayesian Data Analysis, 3rd ed., sec. 3.3); the interval is Student's t on the pooled freedom.
    """
    usual = PRIOR_SPREAD_SHARE * abs(sample.mean) if usual_spread is None else usual_spread
    goal = SETTLED_SHARE * abs(sample.mean) if wanted is None else wanted
    spread, df = _spread(sample, usual)
    extra = np.arange(MOST_MORE + 1)
    half = _half_width(spread, sample.n + extra, df + extra)
    enough = half <= goal
    more = int(enough.argmax()) if enough.any() else None
    return Certainty(half_width=float(half[0]), settled=more == 0, more=more, spread=spread, df=df)
