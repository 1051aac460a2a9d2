"""Is A really better than B? Two builds on one metric, as hit and at equal delivery."""

from __future__ import annotations

import math
from dataclasses import dataclass
from enum import StrEnum

from scipy.special import ndtri, stdtr

from ..samples.averages import average, values_of
from ..samples.pool import Centre
from ..thresholds import DEFAULT, Thresholds
from ..units import ninety, yards
from .candidate import Candidate
from .evidence import LANDING_SPREAD_SHOTS, landing_se
from .weigh import Weighed, weigh

SETTLED_CHANCE = 0.90
MOST_MORE = 30


class Metric(StrEnum):
    """What two builds are compared on."""

    CARRY = "carry_m"
    LANDING = "landing_deg"
    STRAIGHT = "side_spread"
    JOBS = "jobs"


@dataclass(frozen=True)
class Comparison:
    """better: the letter that carries further, lands steeper, flies straighter or does more of the jobs. by: how
    much, in metres, degrees or shots a round, as hit; by_equal: the same at the player's own club speed (carry
    only, else None). chance: 0 to 1 that it really is. more: further shots with each build that would settle it
    were the difference as it now looks; 0 when settled, None when over 30."""

    metric: Metric
    better: str
    worse: str
    by: float
    by_equal: float | None
    chance: float
    settled: bool
    more: int | None
    sentence: str


@dataclass(frozen=True)
class _Side:
    """One build on one metric: value, standard error and how many shots made it."""

    letter: str
    value: float
    error: float
    n: float
    df: float
    as_hit: float


def _carry(candidate: Candidate, centre: Centre) -> _Side:
    """As hit it is the average that is shown everywhere; what is compared is where the shots gather, at one speed."""
    as_hit = average(values_of(candidate.shots, "carry_m"))
    assert as_hit is not None
    return _Side(candidate.letter, centre.carry_m, centre.carry_se_m, centre.n, centre.df, as_hit.mean)


def _landing(candidate: Candidate) -> _Side | None:
    sample = average(values_of(candidate.shots, "landing_deg"))
    if sample is None:
        return None
    df = LANDING_SPREAD_SHOTS + sample.n - 1
    error = landing_se(sample)
    return _Side(candidate.letter, sample.mean, error, sample.n, df, sample.mean)


def _straight(candidate: Candidate, centre: Centre) -> _Side:
    """The log of the side spread, negated so that straighter is more; its error after a chi-squared."""
    value = -math.log(centre.side_spread_deg)
    return _Side(candidate.letter, value, math.sqrt(1 / (2 * centre.side_df)), centre.n, centre.side_df, value)


WORDS = {
    Metric.CARRY: ("carries {by} yd further than", "carry the same"),
    Metric.LANDING: ("lands {by}° steeper than", "land alike"),
    Metric.STRAIGHT: ("spreads {by}% less to the sides than", "are as straight as each other"),
    Metric.JOBS: ("does {by} more of the jobs a round than", "do the jobs alike"),
}


def _shown(metric: Metric, by: float) -> str:
    if metric is Metric.CARRY:
        return f"{round(yards(by))}"
    if metric is Metric.STRAIGHT:
        return f"{round((1 - math.exp(-by)) * 100)}"
    return f"{by:.1f}"


def _sides(
    metric: Metric, first: Candidate, second: Candidate, weighed: Weighed, least_shots: int
) -> list[_Side] | None:
    made = []
    for each in (first, second):
        centre = weighed.centres.get(each.letter)
        kept = len(values_of(each.shots, "carry_m"))
        if centre is None or kept < least_shots:
            return None
        if metric is Metric.LANDING:
            side = _landing(each)
        else:
            side = _carry(each, centre) if metric is Metric.CARRY else _straight(each, centre)
        if side is None:
            return None
        made.append(side)
    return made


def compare(
    first: Candidate,
    second: Candidate,
    *,
    metric: Metric = Metric.CARRY,
    weighed: Weighed | None = None,
    thresholds: Thresholds = DEFAULT,
) -> Comparison | None:
    """Compare two builds; None where one was not hit enough for anything to be said, or without the metric. weighed: of
    all the session's builds, whose shared spread makes few shots say more; the two alone when None."""
    together = weighed or weigh([first, second], [])
    if metric is Metric.JOBS:
        return _jobs(first, second, together)
    sides = _sides(metric, first, second, together, thresholds.least_shots)
    if sides is None:
        return None
    if metric is Metric.CARRY and (few := _too_few_clean(first, second)) is not None:
        return few
    a, b = sorted(sides, key=lambda side: (-side.value, side.letter))
    df = a.df + b.df

    def chance(extra: int) -> float:
        error = math.hypot(a.error * math.sqrt(a.n / (a.n + extra)), b.error * math.sqrt(b.n / (b.n + extra)))
        return float(stdtr(df, (a.value - b.value) / error))

    same = a.value - b.value < thresholds.same(metric.value)
    more = None if same else next((n for n in range(MOST_MORE + 1) if chance(n) >= SETTLED_CHANCE), None)
    by = a.as_hit - b.as_hit
    return Comparison(
        metric=metric,
        better=a.letter,
        worse=b.letter,
        by=by,
        by_equal=a.value - b.value if metric is Metric.CARRY else None,
        chance=chance(0),
        settled=more == 0,
        more=more,
        sentence=_sentence(
            metric, a.letter, b.letter, a.value - b.value, more, as_hit=by, error=math.hypot(a.error, b.error)
        ),
    )


LEAST_CLEAN = 3  # shots struck in the middle: fewer say nothing of equal strike


def _too_few_clean(first: Candidate, second: Candidate) -> Comparison | None:
    """That two builds cannot be compared at equal strike, where most of one's shots were called off the middle."""
    clean = {
        each.letter: sum(shot.speaks_for_carry and shot.strike is None for shot in each.shots)
        for each in (first, second)
    }
    letter = min(clean, key=lambda each: (clean[each], each))
    if clean[letter] >= LEAST_CLEAN:
        return None
    sides = [(each.letter, average(values_of(each.shots, "carry_m"))) for each in (first, second)]
    ranked = sorted(((mean.mean if mean else 0.0, name) for name, mean in sides), key=lambda row: (-row[0], row[1]))
    (far, better), (near, worse) = ranked
    need = LEAST_CLEAN - clean[letter]
    words = (
        f"{better} and {worse} are not comparable at equal strike: {need} more struck in the middle with {letter} "
        f"({_as_hit(better, worse, far - near)})."
    )
    return Comparison(Metric.CARRY, better, worse, far - near, None, 0.5, False, need, words)


def _jobs(first: Candidate, second: Candidate, weighed: Weighed) -> Comparison | None:
    if not (weighed.played.get(first.letter) and weighed.played.get(second.letter)):
        return None
    a, b = sorted((first.letter, second.letter), key=lambda letter: -float(weighed.rounds[letter].mean()))
    chance, by = weighed.better(a, b), weighed.gain(a, b)
    apart = weighed.rounds[a] - weighed.rounds[b]
    z = by / max(float(apart.std()), 1e-9)
    n = min(weighed.centres[a].n, weighed.centres[b].n)
    needed = n * ((float(ndtri(SETTLED_CHANCE)) / z) ** 2 - 1) if z > 0 else math.inf
    more = 0 if chance >= SETTLED_CHANCE else (max(1, math.ceil(needed)) if needed <= MOST_MORE else None)
    return Comparison(Metric.JOBS, a, b, by, None, chance, more == 0, more, _sentence(Metric.JOBS, a, b, by, more))


def _sentence(
    metric: Metric,
    better: str,
    worse: str,
    by: float,
    more: int | None,
    *,
    as_hit: float | None = None,
    error: float = 0.0,
) -> str:
    ahead, same = WORDS[metric]
    if more is None:
        return f"{better} and {worse} {same}, as far as anyone can tell. Choose on something else."
    words = f"{better} {ahead.format(by=_shown(metric, by))} {worse}"
    if metric is Metric.CARRY and as_hit is not None:
        doubt = f", give or take {max(1, round(yards(ninety(error))))}"
        alike = round(yards(as_hit)) == round(yards(by))
        words += doubt if alike else f" at equal club speed and strike{doubt} ({_as_hit(better, worse, as_hit)})"
    if more == 0:
        return f"{words}: settled."
    return f"{words} so far: not settled, about {more} more with each."


def _as_hit(better: str, worse: str, by: float) -> str:
    """The difference of the averages as hit, which may point the other way."""
    if round(yards(by)) == 0:
        return "as hit they carry the same"
    first, second = (better, worse) if by > 0 else (worse, better)
    return f"as hit {first} carries {round(yards(abs(by)))} yd further than {second}"
