"""A figure that was measured with doubt: how sure it is on which side of a line it lies, and how many more shots would
tell. The one place where a doubt becomes a chance, an interval or a number of shots.

The doubt has two parts. What chance put into it goes down with the root of the shots and follows Student's t; what no
shot tells (the day, the flight model, what a monitor reads wrong all day) stays as it is and is normal. Together they
follow t with the freedom of F. E. Satterthwaite (Biometrics Bull. 2, 1946, 110).
"""

from __future__ import annotations

import math
from collections.abc import Callable, Sequence
from dataclasses import dataclass, replace
from functools import cache

import numpy as np
from numpy.typing import NDArray
from scipy.special import ndtri, stdtr, stdtrit

LEVEL = 0.90  # the interval a fitter is shown: wrong once in ten
UNREAD = 0.5  # the chance that what nobody read is as it is asked for
UPPER_80 = 1.2816  # standard deviations: 80% of a normal figure lies within them, 90% below
MOST_MORE = 30  # shots: more are not hit to settle one thing


@dataclass(frozen=True)
class Estimate:
    """A mean in the unit of what was measured. error: its standard error by chance; freedom: degrees of freedom of
    that error; floor: one standard deviation of what more shots do not lower; shots: that the error rests on, over
    zero, those that count in part as parts; counted: the share of further shots that count."""

    mean: float
    error: float
    freedom: float = math.inf
    floor: float = 0.0
    shots: float = 1.0
    counted: float = 1.0

    @property
    def sd(self) -> float:
        return math.hypot(self.error, self.floor)

    @property
    def wholly(self) -> float:
        """Degrees of freedom of the doubt as a whole."""
        if self.error <= 0 or math.isinf(self.freedom):
            return math.inf
        return self.freedom * (self.sd / self.error) ** 4

    @property
    def half(self) -> float:
        """Half of the interval that holds the truth nine times in ten."""
        return self.quantile(0.5 + LEVEL / 2) * self.sd

    def quantile(self, share: float) -> float:
        """Of the doubt, in standard deviations."""
        freedom = self.wholly
        return float(ndtri(share) if math.isinf(freedom) else stdtrit(freedom, share))

    def chance(self, low: float | None = None, high: float | None = None) -> float:
        """The chance that the truth lies between two ends, None for an open one."""
        if self.sd == 0:
            return float((low is None or self.mean >= low) and (high is None or self.mean <= high))
        # stdtr takes an infinite freedom for the normal.
        below = 0.0 if low is None else float(stdtr(self.wholly, (low - self.mean) / self.sd))
        up_to = 1.0 if high is None else float(stdtr(self.wholly, (high - self.mean) / self.sd))
        return up_to - below

    def after(self, extra: float) -> Estimate:
        """As it is likely to be after so many more shots, its mean where it is."""
        more = extra * self.counted
        shots = self.shots + more
        return replace(self, error=self.error * math.sqrt(self.shots / shots), freedom=self.freedom + more, shots=shots)

    def less(self, other: Estimate, *, pooled: bool = False) -> Estimate:
        """By how much it is over another of the same unit. pooled: both errors come from one spread, whose freedom
        counts once; else they are of their own (Welch). The difference has the floor of both."""
        error, floor = math.hypot(self.error, other.error), math.hypot(self.floor, other.floor)
        freedom = min(self.freedom, other.freedom)
        if not pooled and error > 0:
            parts = sum(e.error**4 / e.freedom for e in (self, other) if not math.isinf(e.freedom))
            freedom = error**4 / parts if parts else math.inf
        return Estimate(self.mean - other.mean, error, freedom, floor, min(self.shots, other.shots))


def more_until(enough: Callable[[int], bool], *, most: int = MOST_MORE) -> int | None:
    """The fewest further shots after which it is enough, 0 when it is now; None when not even `most` are."""
    return next((extra for extra in range(most + 1) if enough(extra)), None)


def more_to_tell(after: Callable[[int], Estimate], *lines: float, sure: float) -> int | None:
    """The fewest further shots by which it is as likely as not told, as sure as that, on which side of each line the
    truth lies; 0 where it is told now, None where not even MOST_MORE make it likely.

    after: what is known after so many more, were the mean to stay. It does not: it moves by as much as the error
    shrinks, and it is told when it first comes clear of the lines, on whichever side. Some such ways are drawn.
    """
    now = after(0)
    if _clear(now, np.array([now.mean]), lines, sure).all():
        return 0
    means, told, before = np.full(WAYS, now.mean), np.zeros(WAYS, dtype=bool), now
    for extra, step in enumerate(_steps(), start=1):
        then = after(extra)
        means = means + math.sqrt(max(before.error**2 - then.error**2, 0.0)) * step
        told |= _clear(then, means, lines, sure)
        if told.mean() >= 0.5:
            return extra
        before = then
    return None


WAYS, SEED = 200, 20_262


@cache
def _steps() -> NDArray[np.float64]:
    """Standard normals (MOST_MORE, WAYS), mirrored so that neither side is favoured."""
    half = np.random.default_rng(SEED).normal(size=(MOST_MORE, WAYS // 2))
    return np.concatenate([half, -half], axis=1)


def _clear(known: Estimate, means: NDArray[np.float64], lines: Sequence[float], sure: float) -> NDArray[np.bool_]:
    """Whether each of some means, known as well as this, is clear of every line."""
    far = known.quantile(sure) * known.sd
    off = np.abs(means[:, None] - np.array(lines))
    clear: NDArray[np.bool_] = (off >= far).all(axis=1)
    return clear
