"""Shares of a normal distribution for many thousand virtual shots: a table, where the exact one takes most of the time
a session is judged in."""

from __future__ import annotations

import numpy as np
from numpy.typing import NDArray
from scipy.special import ndtr

Floats = NDArray[np.float64]

FAR, A_UNIT = 4.5, 1000
# Of so many standard deviations from -FAR to FAR the share under them, within 0.0002; beyond them as at the ends.
SHARES = ndtr(np.arange(-FAR, FAR + 1 / A_UNIT, 1 / A_UNIT))
SHARES[[0, -1]] = 0.0, 1.0
BY = (A_UNIT, FAR * A_UNIT + 0.5)  # z is looked up at z * A_UNIT + the middle, rounded down


def both(a: Floats, b: Floats) -> Floats:
    """Two independent standard deviations together."""
    made: Floats = np.sqrt(a * a + b * b)
    return made
