"""Is A really better than B? Two builds on one metric, as hit and at equal delivery."""

from __future__ import annotations

import math
from dataclasses import dataclass
from enum import StrEnum

from ..estimate import Estimate, more_to_tell
from ..said import NOTHING, Quantity, Said, angle, far, joined, number, say, share, some_way
from ..samples.averages import average, values_of
from ..samples.pool import Centre
from ..thresholds import DEFAULT, Thresholds
from ..units import whole, whole_yards
from .candidate import Candidate
from .evidence import LANDING_SPREAD_SHOTS, landing_se
from .stopping import A_FEW, apart
from .swing_words import swung_words
from .two_wedges import two_wedges
from .weigh import Weighed, weigh

SETTLED_CHANCE = 0.90


class Metric(StrEnum):
    """What two builds are compared on."""

    CARRY = "carry_m"
    LANDING = "landing_deg"
    STRAIGHT = "side_spread"
    JOBS = "jobs"
    SAVES = "saves"


@dataclass(frozen=True)
class Comparison:
    """better: the letter that carries further, lands steeper, flies straighter, does more of the jobs or saves
    more. by: how much, in metres, degrees, shots or strokes a round, as hit; by_equal: the same at the player's own
    club speed (carry only, else None). chance: 0 to 1 that it really is. more: further shots with each build that
    would settle it were the difference as it now looks; 0 when settled, None when over 30."""

    metric: Metric
    better: str
    worse: str
    by: float
    by_equal: float | None
    chance: float
    settled: bool
    more: int | None
    sentence: Said


@dataclass(frozen=True)
class _Side:
    """One build on one metric: what is known, and the value as hit."""

    letter: str
    known: Estimate
    as_hit: float


def _carry(candidate: Candidate, centre: Centre) -> _Side:
    """As hit it is the average that is shown everywhere; what is compared is where the shots gather, at one speed."""
    as_hit = average(values_of(candidate.shots, "carry_m"))
    assert as_hit is not None
    return _Side(candidate.letter, centre.carry, as_hit.mean)


def _landing(candidate: Candidate) -> _Side | None:
    sample = average(values_of(candidate.shots, "landing_deg"))
    if sample is None:
        return None
    df = LANDING_SPREAD_SHOTS + sample.n - 1
    return _Side(candidate.letter, Estimate(sample.mean, landing_se(sample), df, shots=sample.n), sample.mean)


def _straight(candidate: Candidate, centre: Centre) -> _Side | None:
    """The log of the side spread, negated so that straighter is more; its error after a chi-squared."""
    if not centre.side_read:
        return None
    value = -math.log(centre.side_spread_deg)
    known = Estimate(value, math.sqrt(1 / (2 * centre.side_df)), centre.side_df, shots=centre.n)
    return _Side(candidate.letter, known, value)


def _shown(metric: Metric, by: float) -> Quantity:
    if metric is Metric.CARRY:
        return far(by)
    if metric is Metric.LANDING:
        return angle(by, 1)
    return share(1 - math.exp(-by)) if metric is Metric.STRAIGHT else number(by, 1)


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
    all the session's builds, whose shared spread makes few shots say more; the two alone when None. For what they save
    its rounds are strokes saved, as the decision has them."""
    together = weighed or weigh([first, second], [])
    if metric in (Metric.JOBS, Metric.SAVES):
        return _by_round(metric, first, second, together)
    sides = _sides(metric, first, second, together, thresholds.least_shots)
    if sides is None:
        return None
    if metric is Metric.CARRY and (few := _too_few_clean(first, second)) is not None:
        return few
    a, b = sorted(sides, key=lambda side: (-side.known.mean, side.letter))

    def apart(extra: int) -> Estimate:
        # Carries and sides of one player's builds have one spread between them.
        return a.known.after(extra).less(b.known.after(extra), pooled=metric is not Metric.LANDING)

    found = apart(0)
    same = found.mean < thresholds.same(metric.value)
    more = None if same else more_to_tell(apart, 0.0, sure=SETTLED_CHANCE)
    by = a.as_hit - b.as_hit
    return Comparison(
        metric=metric,
        better=a.letter,
        worse=b.letter,
        by=by,
        by_equal=found.mean if metric is Metric.CARRY else None,
        chance=found.chance(low=0.0),
        settled=more == 0,
        more=more,
        sentence=joined(
            [
                _sentence(metric, a.letter, b.letter, found.mean, more, as_hit=by, half=found.half),
                swung_words(*_ordered(first, second, by, a.letter)) if metric is Metric.CARRY else NOTHING,
                two_wedges(first, second) if metric is Metric.CARRY else NOTHING,
            ]
        ),
    )


def _ordered(first: Candidate, second: Candidate, by: float, better: str) -> tuple[Candidate, Candidate]:
    """The build that went further as hit, and the other."""
    further, shorter = (first, second) if first.letter == better else (second, first)
    return (further, shorter) if by >= 0 else (shorter, further)


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
    (most, better), (least, worse) = ranked
    need = LEAST_CLEAN - clean[letter]
    hit = _as_hit(better, worse, most - least)
    words = say("compare-not-at-equal-strike", better=better, worse=worse, n=need, letter=letter, as_hit=hit)
    return Comparison(Metric.CARRY, better, worse, most - least, None, 0.5, False, need, words)


def _by_round(metric: Metric, first: Candidate, second: Candidate, weighed: Weighed) -> Comparison | None:
    letters = {first.letter, second.letter}
    if metric is Metric.JOBS and not all(weighed.played.get(letter) for letter in letters):
        return None
    if not letters <= weighed.rounds.keys():
        return None
    a, b = sorted((first.letter, second.letter), key=lambda letter: -float(weighed.rounds[letter].mean()))
    chance, by = weighed.better(a, b), weighed.gain(a, b)
    two = apart(a, b, weighed)
    told = more_to_tell(lambda extra: two.known((extra, extra)), 0.0, sure=SETTLED_CHANCE)
    more = 0 if chance >= SETTLED_CHANCE else None if told is None else max(told, 1)
    if not whole(by, 1):
        more = None  # what is written as nothing is none, however sure
    return Comparison(metric, a, b, by, None, chance, more == 0, more, _sentence(metric, a, b, by, more))


def _sentence(
    metric: Metric,
    better: str,
    worse: str,
    by: float,
    more: int | None,
    *,
    as_hit: float | None = None,
    half: float = 0.0,
) -> Said:
    two = {"metric": metric, "better": better, "worse": worse}
    apart_as_hit = metric is Metric.CARRY and as_hit is not None and whole_yards(as_hit) != whole_yards(by)
    hit = _as_hit(better, worse, as_hit or 0.0)
    if more is None and apart_as_hit:
        return say("compare-same-at-equal-speed", better=better, worse=worse, as_hit=hit)
    if more is None:
        return say("compare-same", **two)
    words = say("compare-ahead", by=_shown(metric, by), **two)
    if metric is Metric.CARRY and as_hit is not None:
        words = say("compare-doubt", said=words, equal=apart_as_hit, give=some_way(half), as_hit=hit)
    if more == 0:
        return say("compare-settled", said=words)
    if more > A_FEW:
        return say("compare-not-worth-it", said=words)
    return say("compare-not-settled", said=words, n=more)


def _as_hit(better: str, worse: str, by: float) -> Said:
    """The difference of the averages as hit, which may point the other way."""
    if whole_yards(by) == 0:
        return say("compare-as-hit-the-same")
    first, second = (better, worse) if by > 0 else (worse, better)
    return say("compare-as-hit", first=first, by=far(abs(by)), second=second)
