"""Paired comparisons with ties: which of a few things is liked best, and how sure that is.

Each judgement says that a thing is better than, level with or worse than the one before it. Bradley and Terry's model
with ties, after P. V. Rao and L. L. Kupper (J. Am. Stat. Assoc. 62, 1967, 194): with d the difference of the two in
units of one judgement's noise, better has the chance L(d - t), worse L(-d - t); L is the logistic curve nearest to the
normal one (slope 1.702) and t how near two must be to be called level. Some judges favour what came last, a thing tried
cold suffers for it, some stand by what they liked first, and some answers are no more than a guess: all are let be,
within what is usual, and what a judge's answers show of it counts.

So few judgements do not stand alone. What is possible is drawn beforehand (how far things differ at all, nothing among
it; level and favour), and each draw weighs as much as it makes the judgements likely: nothing has to be approximated
where one thing won every time.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from functools import cache, lru_cache

import numpy as np
from numpy.typing import NDArray
from scipy.special import expit

Floats = NDArray[np.float64]

DRAWS, SEED = 12_000, 20_261
LOGISTIC = 1.702  # slope of the logistic curve nearest to the standard normal one
# How far things differ, one standard deviation in units of one judgement's noise, before anything was tried: nothing at
# all for this share of players, else half-normal. By judgement, as are the rest.
ALIKE, APART = 0.1, 1.1
LEVEL, LEVEL_SD = 0.45, 0.35  # log-normal
FAVOUR_SD = 0.3  # for what came last; either way
COLD, COLD_SD = 0.3, 0.3  # what the very first suffers
STANDS, STANDS_SD = 0.4, 0.9  # share of judges who stand by their first favourite; what it has on top, half-normal
GUESSES, GUESSES_MOST = 0.5, 0.7  # share of judges who guess now and then; how often, evenly up to so much
TELLABLE = 0.25  # less than this between best and second is no difference that this judge can tell
SAME, SAME_MORE = 0.35, 0.12  # nor this between the best of two and the last, and so much more for each further one


@dataclass(frozen=True)
class Judged:
    """Of two things by their index: the one tried later, what was said of it (1 better, 0 level, -1 worse), and the one
    before it. cold: that the one before was the first of all. weight: of a judgement that counts for more or less than
    the others."""

    later: int
    before: int
    said: int
    cold: bool = False
    weight: float = 1.0


@dataclass(frozen=True)
class RankedByPairs:
    """What the judgements say of K things. score (K,): mean difference from their middle, in units of one judgement's
    noise; error (K,): one standard deviation of it. first (K,): chance to be the best, by however little, best (K,): by
    as much as can be told; alike: chance that best and second are no further apart than can be told, same: that none
    are. order: best first, by score; n: judgements. stands: chance that the judge stands by what he liked first by
    more than can be told; guesses: about the share of his answers that are guesses."""

    score: Floats
    error: Floats
    first: Floats
    best: Floats
    alike: float
    same: float
    order: tuple[int, ...]
    n: int
    stands: float = 0.0
    guesses: float = 0.0

    def likely(self, share: float = 0.8) -> tuple[int, ...]:
        """The fewest things that hold the best with so much certainty, the likeliest first."""
        order = np.argsort(-self.first, kind="stable")
        count = int(np.searchsorted(np.cumsum(self.first[order]), share - 1e-9)) + 1
        return tuple(int(each) for each in order[:count])


@dataclass(frozen=True)
class _Drawn:
    """Possible judges and things: unit (N, most), apart, level, favour, cold, stands, guesses (N,) each."""

    unit: Floats
    apart: Floats
    level: Floats
    favour: Floats
    cold: Floats
    stands: Floats
    guesses: Floats


@cache
def _drawn(count: int) -> _Drawn:
    chance = np.random.default_rng([SEED, count])
    half = DRAWS // 2
    unit = chance.normal(size=(half, count))
    apart = np.abs(chance.normal(0, APART, half)) * (chance.random(half) >= ALIKE)
    level = LEVEL * np.exp(chance.normal(0, LEVEL_SD, half))
    favour, cold = chance.normal(0, FAVOUR_SD, half), chance.normal(COLD, COLD_SD, half)
    stands = np.abs(chance.normal(0, STANDS_SD, half)) * (chance.random(half) < STANDS)
    guesses = chance.uniform(0, GUESSES_MOST, half) * (chance.random(half) < GUESSES)
    # Mirrored, so that nothing is favoured before it was tried.
    return _Drawn(
        np.concatenate([unit, -unit]), *(np.tile(each, 2) for each in (apart, level, favour, cold, stands, guesses))
    )


def rank(count: int, judged: Sequence[Judged]) -> RankedByPairs:
    """What is known of `count` things after some judgements, in the order they were made."""
    return _ranked(count, tuple(judged))


@lru_cache(maxsize=128)
def _ranked(count: int, judged: tuple[Judged, ...]) -> RankedByPairs:
    drawn = _drawn(count)
    values = drawn.unit * drawn.apart[:, None]
    values = values - values.mean(axis=1, keepdims=True)
    logs = np.zeros(DRAWS)
    favourite: int | None = None
    for each in judged:
        apart = values[:, each.later] - values[:, each.before] + drawn.favour + (drawn.cold if each.cold else 0.0)
        apart += drawn.stands * (int(each.later == favourite) - int(each.before == favourite))
        better, worse = expit(LOGISTIC * (apart - drawn.level)), expit(LOGISTIC * (-apart - drawn.level))
        made = better if each.said > 0 else worse if each.said < 0 else 1 - better - worse
        logs += each.weight * np.log((1 - drawn.guesses) * np.maximum(made, 1e-12) + drawn.guesses / 3)
        if favourite is None and each.said:
            favourite = each.later if each.said > 0 else each.before
    weights = np.exp(logs - logs.max())
    weights /= weights.sum()
    score: Floats = weights @ values
    error: Floats = np.sqrt(np.maximum(weights @ values**2 - score**2, 0.0))
    top = np.sort(values, axis=1)
    told = top[:, -1] - top[:, -2] > TELLABLE
    same = top[:, -1] - top[:, 0] <= SAME + SAME_MORE * (count - 2)
    differ = drawn.apart > 0
    leads = values.argmax(axis=1)

    def share(which: NDArray[np.bool_]) -> Floats:
        shares: Floats = np.bincount(leads[which], weights=weights[which], minlength=count).astype(float)
        return shares

    # Where nothing differs each is as likely the first as any.
    first = share(differ) + float(weights[~differ].sum()) / count
    order = tuple(int(each) for each in np.argsort(-score, kind="stable"))
    alike = float(weights[~told].sum())
    return RankedByPairs(
        score,
        error,
        first,
        share(told),
        alike,
        float(weights[same].sum()),
        order,
        len(judged),
        stands=float(weights[drawn.stands > SAME].sum()),
        guesses=float(weights @ drawn.guesses),
    )
