"""Shares of a normal distribution for many thousand virtual shots: a table, where the exact one takes most of the time
a session is judged in."""

from __future__ import annotations

import numpy as np
from numpy.typing import NDArray
from scipy.special import ndtr

Floats = NDArray[np.float64]

FAR, A_UNIT = 4.5, 1000
_SHARES = ndtr(np.arange(-FAR, FAR + 1 / A_UNIT, 1 / A_UNIT))
_SHARES[[0, -1]] = 0.0, 1.0


def share_under(z: Floats) -> Floats:
    """Share under so many standard deviations, the shape of z, within 0.0002; z is finite."""
    made: Floats = _SHARES[np.clip(z * A_UNIT + (FAR * A_UNIT + 0.5), 0, _SHARES.size - 1).astype(np.intp)]
    return made


def both(a: Floats, b: Floats) -> Floats:
    """Two independent standard deviations together."""
    made: Floats = np.sqrt(a * a + b * b)
    return made
