"""The numbers of a build against its wishes, in order of weight, and the strongest argument against it."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from ..brief import Target
from ..said import NOTHING, Said, far, number, say
from ..samples.averages import average, cost_of_a_miss, values_of
from ..shots import READINGS, Source
from ..thresholds import DEFAULT, Thresholds
from ..units import shown, whole, yards
from .candidate import Candidate
from .doubt import Doubt, source_of
from .play import Played

FACTS = ("carry_m", "landing_deg", "peak_m", "spin_rpm", "offline_m", "ball_speed_mps", "launch_deg", "total_m")
OFTEN = 0.18  # a way to fail that takes this share of all shots is an argument
DEAR_MISS_YD = 12.0


@dataclass(frozen=True)
class Fact:
    """One number against its wish, in canonical units. error: one standard deviation of the flight model's
    part in it, 0 where it was measured. good is None where there is no wish, or the edge of the wish is
    within that error."""

    quantity: str
    mean: float
    low: float | None
    high: float | None
    good: bool | None
    source: Source
    text: Said
    error: float = 0.0


def _inside(mean: float, target: Target | None, error: float) -> bool | None:
    """Inside the wish, outside it, or None: no wish, or nearer to its edge than model and monitor are good for."""
    if target is None:
        return None
    edges = [edge for edge in (target.low, target.high) if edge is not None]
    if any(abs(mean - edge) < error for edge in edges):
        return None
    return (target.low is None or mean >= target.low) and (target.high is None or mean <= target.high)


def _text(label: Said, good: bool | None) -> Said:
    return say("fact", reading=label, good="none" if good is None else good)


def facts_of(
    candidate: Candidate, targets: Sequence[Target], doubted: Doubt, thresholds: Thresholds = DEFAULT
) -> list[Fact]:
    """Every average with its wish: what it misses first, then what it meets, then the rest; carry and landing lead
    each part."""
    facts = []
    for key in FACTS:
        sample = average(values_of(candidate.shots, key))
        if sample is None:
            continue
        target = next((wish for wish in targets if wish.quantity == key), None)
        source = source_of(candidate.shots, key)
        error = 0.0 if source is Source.MEASURED else doubted.of(key)
        good = _inside(sample.mean, target, max(error, thresholds.same(key)))
        facts.append(
            Fact(
                quantity=key,
                mean=sample.mean,
                low=target.low if target else None,
                high=target.high if target else None,
                good=good,
                source=source,
                text=_text(READINGS[key].label, good),
                error=error,
            )
        )
    return sorted(facts, key=lambda fact: {False: 0, True: 1, None: 2}[fact.good])


def in_ten(share: float) -> Said:
    """A share as a fitter says it."""
    tenths = 0 if share < 0.05 else 10 if share > 0.95 else min(max(int(whole(share * 10)), 1), 9)
    return say("in-ten", n=tenths)


def job_words(played: Sequence[Played]) -> Said:
    """The most used job that is this club's, played out, with its interval."""
    if not played:
        return NOTHING
    if all(each.never for each in played):
        return say("does-no-job", n=len(played))
    main = _main(played)
    low, high = (number(end * 10) for end in main.interval)
    span = shown(low.value) != shown(high.value)
    return say("does-the-job", job=main.job.name, often=in_ten(main.success), span=span, low=low, high=high)


def _main(played: Sequence[Played]) -> Played:
    """The most used of the jobs that it can do at all; of all of them where it can do none."""
    there = [each for each in played if not each.never] or played
    return max(there, key=lambda each: each.job.uses_per_round)


def against(facts: Sequence[Fact], candidate: Candidate, played: Sequence[Played]) -> Said | None:
    """The strongest argument against: the commonest way to fail its most used job, else a wish it does not meet,
    else what a miss costs."""
    if played:
        main = _main(played)
        way, share = max(main.fails.items(), key=lambda row: (row[1], row[0]))
        if share >= OFTEN:
            often = max(2, int(whole(share * 10)))
            return say("fails-the-job", nearly_all=share > 0.95, n=often, way=way, job=main.job.name)
    for fact in facts:
        if fact.good is False and fact.quantity not in ("carry_m", "landing_deg"):
            return fact.text
    cost = cost_of_a_miss(candidate.shots)
    return say("why-a-miss-costs", cost=far(cost)) if cost is not None and yards(cost) >= DEAR_MISS_YD else None
