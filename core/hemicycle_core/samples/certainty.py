"""How well a mean is known from few shots, and how many more would settle it."""

from __future__ import annotations

import math
from dataclasses import dataclass

from ..estimate import Estimate, more_until
from .averages import Average

# Spread of kept carries within one build, as a share of carry: about 2.5% for steady players, 4% for
# most. It counts as much as PRIOR_SHOTS shots, so that three lucky shots do not look like certainty.
PRIOR_SPREAD_SHARE = 0.03
PRIOR_SHOTS = 4
SETTLED_SHARE = 0.016  # half-width of the interval as a share of carry: 2.8 yd at 175 yd


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
    known = Estimate(sample.mean, spread / math.sqrt(sample.n), df, shots=sample.n)
    more = more_until(lambda extra: known.after(extra).half <= goal)
    return Certainty(half_width=known.half, settled=more == 0, more=more, spread=spread, df=df)
