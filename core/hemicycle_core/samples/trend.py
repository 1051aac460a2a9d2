"""Two small tests of the same sample by time: does it move, and is its beginning unlike the rest?

Written out, because importing scipy.stats for them takes longer than all the rest of a start.
"""

from __future__ import annotations

from typing import Any

import numpy as np
from numpy.typing import NDArray
from scipy.special import ndtr, stdtr

Numbers = NDArray[Any]
MOST = 400  # every pair of them is looked at


def trend(order: Numbers, level: Numbers) -> tuple[float, float]:
    """The slope of level over order, and how likely such a trend is by chance alone (two-sided).

    order, level: (n,), order rising, n at least 3; of more than `MOST` so many are looked at, evenly. The slope is
    the median over all pairs (Sen 1968), in the unit of level for one step of order. The chance is Mann and Kendall's,
    by the normal with the correction for continuity and for equal levels (Kendall 1975).
    """
    if order.size > MOST:
        evenly = np.linspace(0, order.size - 1, MOST).astype(np.intp)
        order, level = order[evenly], level[evenly]
    earlier, later = np.triu_indices(order.size, 1)
    rises = level[later] - level[earlier]
    slope = float(np.median(rises / (order[later] - order[earlier])))
    score = abs(int(np.sign(rises).sum()))

    def scatter(n: NDArray[np.integer]) -> float:
        return float((n * (n - 1) * (2 * n + 5)).sum()) / 18

    _, equal = np.unique(level, return_counts=True)
    variance = scatter(np.array([order.size])) - scatter(equal)
    if score <= 1 or variance <= 0:
        return slope, 1.0
    return slope, float(2 * ndtr(-(score - 1) / np.sqrt(variance)))


def different_chance(first: Numbers, rest: Numbers) -> float:
    """How likely means so far apart are by chance alone: Student's two-sided test, one spread for both.

    first, rest: (n,), (m,), together at least three. Without any spread 1 when the means agree, else 0.
    """
    df = first.size + rest.size - 2
    apart = float(rest.mean() - first.mean())
    pooled = float(((first - first.mean()) ** 2).sum() + ((rest - rest.mean()) ** 2).sum()) / df
    error = np.sqrt(pooled * (1 / first.size + 1 / rest.size))
    if error == 0:
        return 1.0 if apart == 0 else 0.0
    return float(2 * stdtr(df, -abs(apart) / error))
