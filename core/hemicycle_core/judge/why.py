"""The numbers behind a verdict, in short sentences."""

from __future__ import annotations

from collections.abc import Callable, Sequence

from ..said import Quantity, Said, angle, english, far, joined, number, say, some_way, spin
from ..said import high as height
from ..samples.averages import cost_of_a_miss
from ..shots import READINGS
from ..units import yards
from .candidate import Candidate
from .evidence import DemandMet, Evidence
from .facts import job_words
from .play import Played
from .swing_words import by_the_swing, speed_needed, spin_words, strike_costs

SIDE_UNREAD = say("why-side-not-read")


def why_words(evidence: Evidence, candidate: Candidate, played: Sequence[Played]) -> Said:
    """The numbers behind the verdict, in a few short sentences."""
    parts = [_carry_words(evidence)]
    if evidence.moved_m:
        by = some_way(abs(evidence.moved_m))
        parts.append(say("why-single-shots-move-it", by=by, longer=evidence.moved_m > 0))
    low, high = evidence.window.low, evidence.window.high
    if evidence.off_m and low is not None and high is not None:
        needed = speed_needed(candidate, (low + high) / 2)
        parts += [needed] if needed else []
    parts += [_demand_words(each) for each in evidence.demands]
    if "landing_deg" in evidence.unread and not any(each.target.quantity == "landing_deg" for each in evidence.demands):
        parts.append(say("why-landing-not-read"))
    if evidence.landing is not None and not any(each.target.quantity == "landing_deg" for each in evidence.demands):
        parts.append(_landing_words(evidence))
    if played:
        parts.append(job_words(played))
        if not candidate.side_read:
            parts.append(SIDE_UNREAD)
    cost = cost_of_a_miss(candidate.shots)
    if cost is not None and yards(cost) >= 3:
        parts.append(say("why-a-miss-costs", cost=far(cost)))
    parts += strike_costs(candidate.shots)
    parts += [words for words in (spin_words(candidate.shots), by_the_swing(candidate.shots)) if words]
    return joined(parts)


def _carry_words(evidence: Evidence) -> Said:
    mean, low, high, off = evidence.carry.mean, evidence.window.low, evidence.window.high, evidence.off_m
    if low is None and high is None:
        return say("why-carries", carry=far(mean))
    window = {"low": far(low or 0), "high": far(high or 0)}
    if off:
        return say("why-carries-outside", carry=far(mean), off=far(abs(off)), short=off < 0, **window)
    return say("why-carries-inside", carry=far(mean), **window)


# By reading: a figure with so many digits more than usual.
FIGURES: dict[str, Callable[[float, int], Quantity]] = {
    "peak_m": height,
    "landing_deg": angle,
    "spin_rpm": lambda value, more: spin(value, more - 1),
    "total_m": far,
    "in_play": lambda value, more: number(100 * value, more),
}


def _demand_words(demand: DemandMet) -> Said:
    what, figure = demand.target.quantity, FIGURES[demand.target.quantity]
    if demand.known is None:
        return say("why-not-read", reading=READINGS[what].label)
    mean = demand.known.mean
    low, high = demand.target.low, demand.target.high
    edges = [edge for edge in (low, high) if edge is not None]

    def written(value: float) -> str:
        return english(say("figure", figure=figure(value, 0)))

    # A figure that only rounding puts on the edge is told to one digit more.
    more = int(not demand.met and written(mean) in [written(edge) for edge in edges])
    return say(
        "why-wanted",
        what=what,
        figure=figure(mean, more),
        ends="both" if low is not None and high is not None else "low" if low is not None else "high",
        low=figure(low or 0.0, more),
        high=figure(high or 0.0, more),
    )


def _landing_words(evidence: Evidence) -> Said:
    assert evidence.landing is not None
    lands = angle(evidence.landing.mean)
    if evidence.holds is None or evidence.holds.low is None:
        return say("why-lands", lands=lands)
    shy, holds = evidence.holds.low - evidence.landing.mean, angle(evidence.holds.low)
    if abs(shy) <= evidence.doubt.landing_deg:
        return say("why-lands-too-close-to-call", lands=lands, holds=holds)
    return say("why-lands-beside-what-holds", lands=lands, shy=shy > 0, holds=holds)
