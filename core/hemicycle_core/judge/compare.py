"""Is A really longer than B? Two builds by their kept carries."""

from __future__ import annotations

import math
from dataclasses import dataclass

from scipy import stats

from ..samples.averages import average, values_of
from ..samples.certainty import certainty
from ..units import yards
from .verdict import LEAST_SHOTS, Candidate

SETTLED_CHANCE = 0.90
MOST_MORE = 30


@dataclass(frozen=True)
class Comparison:
    """chance: 0 to 1 that `longer` really carries further. more: further shots with each build that
    would settle it were the difference as it now looks; 0 when settled, None when over 30."""

    longer: str
    shorter: str
    by_m: float
    chance: float
    settled: bool
    more: int | None
    sentence: str


def compare(first: Candidate, second: Candidate) -> Comparison | None:
    """Compare mean carries (Welch's t on spreads drawn towards the usual one); None under three each."""
    samples = [(c, average(values_of(c.shots, "carry_m"))) for c in (first, second)]
    known = [(c, sample, certainty(sample)) for c, sample in samples if sample and sample.n >= LEAST_SHOTS]
    if len(known) < 2:
        return None
    (long_, a, ka), (short, b, kb) = sorted(known, key=lambda row: -row[1].mean)
    gap, df = a.mean - b.mean, ka.df + kb.df

    def chance(extra: int) -> float:
        error = math.sqrt(ka.spread**2 / (a.n + extra) + kb.spread**2 / (b.n + extra))
        return float(stats.t.cdf(gap / error, df + 2 * extra))

    more = next((extra for extra in range(MOST_MORE + 1) if chance(extra) >= SETTLED_CHANCE), None)
    words = f"{long_.letter} carries {round(yards(gap))} yd further than {short.letter}"
    if more == 0:
        sentence = f"{words}: settled."
    elif more is None:
        sentence = (
            f"{long_.letter} and {short.letter} carry the same, as far as anyone can tell. Choose on something else."
        )
    else:
        sentence = f"{words} so far: not settled, about {more} more with each."
    return Comparison(
        longer=long_.letter,
        shorter=short.letter,
        by_m=gap,
        chance=chance(0),
        settled=more == 0,
        more=more,
        sentence=sentence,
    )
