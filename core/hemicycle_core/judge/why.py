"""The numbers behind a verdict, in short sentences."""

from __future__ import annotations

from collections.abc import Callable, Sequence

from ..samples.averages import cost_of_a_miss
from ..shots import READINGS
from ..units import feet, shown, yard_words, yards, yd_text
from .candidate import Candidate
from .evidence import DemandMet, Evidence
from .facts import job_words
from .play import Played
from .swing_words import by_the_swing, speed_needed, spin_words, strike_costs

SIDE_UNREAD = "Direction not read: to the sides it counts as usual players spread."


def why_words(evidence: Evidence, candidate: Candidate, played: Sequence[Played]) -> str:
    """The numbers behind the verdict, in a few short sentences."""
    parts = [_carry_words(evidence)]
    if evidence.moved_m:
        way = "longer" if evidence.moved_m > 0 else "shorter"
        parts.append(
            f"Single shots make that {yard_words(abs(evidence.moved_m))} {way} than where they gather: look at them."
        )
    low, high = evidence.window.low, evidence.window.high
    if evidence.off_m and low is not None and high is not None:
        needed = speed_needed(candidate, (low + high) / 2)
        parts += [needed] if needed else []
    parts += [_demand_words(each) for each in evidence.demands]
    if "landing_deg" in evidence.unread and not any(each.target.quantity == "landing_deg" for each in evidence.demands):
        parts.append("Landing angle not read: whether it holds is not told.")
    if evidence.landing is not None and not any(each.target.quantity == "landing_deg" for each in evidence.demands):
        parts.append(_landing_words(evidence))
    if played:
        parts.append(job_words(played))
        if not candidate.side_read:
            parts.append(SIDE_UNREAD)
    cost = cost_of_a_miss(candidate.shots)
    if cost is not None and yards(cost) >= 3:
        parts.append(f"A miss costs {yd_text(cost)} yd.")
    parts += strike_costs(candidate.shots)
    parts += [words for words in (spin_words(candidate.shots), by_the_swing(candidate.shots)) if words]
    return " ".join(parts)


def _carry_words(evidence: Evidence) -> str:
    mean, low, high, off = evidence.carry.mean, evidence.window.low, evidence.window.high, evidence.off_m
    if low is None and high is None:
        return f"Carries {yd_text(mean)}."
    window = f"{yd_text(low or 0)} to {yd_text(high or 0)}"
    if off:
        return f"Carries {yd_text(mean)}, {yd_text(abs(off))} {'short' if off < 0 else 'long'} of {window}."
    return f"Carries {yd_text(mean)}, inside {window}."


# By reading: what a build does, and a figure in words with so many digits more than usual.
SHOWN: dict[str, tuple[str, Callable[[float, int], str]]] = {
    "peak_m": ("Peaks at", lambda value, more: f"{shown(feet(value), more)} ft"),
    "landing_deg": ("Lands at", lambda value, more: f"{shown(value, more)}°"),
    "spin_rpm": ("Spins", lambda value, more: f"{shown(value, more - 1)} rpm"),
    "total_m": ("Stops at", lambda value, more: shown(yards(value), more)),
    "in_play": ("In play", lambda value, more: f"{shown(100 * value, more)} in 100"),
}


def _demand_words(demand: DemandMet) -> str:
    says, written = SHOWN[demand.target.quantity]
    if demand.known is None:
        return f"{READINGS[demand.target.quantity].label} not read: whether it is as asked is not told."
    mean = demand.known.mean
    low, high = demand.target.low, demand.target.high
    edges = [edge for edge in (low, high) if edge is not None]
    # A figure that only rounding puts on the edge is told to one digit more.
    more = int(not demand.met and written(mean, 0) in [written(edge, 0) for edge in edges])

    def shown(value: float) -> str:
        return written(value, more)

    if low is not None and high is not None:
        wanted = f"{shown(low)} to {shown(high)}"
    else:
        wanted = f"{shown(low)} or more" if low is not None else f"{shown(high or 0.0)} or less"
    return f"{says} {shown(mean)}; wanted: {wanted}."


def _landing_words(evidence: Evidence) -> str:
    assert evidence.landing is not None
    lands = f"Lands at {shown(evidence.landing.mean)}°"
    if evidence.holds is None or evidence.holds.low is None:
        return f"{lands}."
    shy = evidence.holds.low - evidence.landing.mean
    if abs(shy) <= evidence.doubt.landing_deg:
        return f"{lands}, too close to {shown(evidence.holds.low)}° to call."
    return f"{lands}, {'shy of' if shy > 0 else 'steeper than'} the {shown(evidence.holds.low)}° that holds."
