"""A verdict per build: one of a closed list, in plain words, with the facts that made it."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass, field
from enum import StrEnum

from ..bag import Carried, HeadType, Slot
from ..bag.gaps import CROWDED_M
from ..brief import Job, JobKind, Target
from ..flight import Air, Anchor
from ..samples.averages import Average, average, cost_of_a_miss, values_of
from ..samples.certainty import Certainty, certainty, chance_between
from ..shots import READINGS, Shot, Source
from ..units import metres, yards, yd_text
from .changes import Change, ChangeKind
from .doubt import Doubt, doubt, source_of
from .whatif import Prediction, predict

LEAST_SHOTS = 3  # fewer than this say nothing about a build
SURE = 0.80  # from this chance on the slot counts as filled
LIKELY = 0.50  # from this on it may fill it
TOO_FLAT_DEG = 4.0  # this far under the wanted landing angle no turn of a sleeve helps
TURNS_DEG = (1.0, -1.0, 2.0, -2.0)  # what common sleeves offer, the smallest first
LANDING_SPREAD_DEG = 2.0  # usual spread of landing angles within one build
LANDING_WANTED_DEG = 1.5
CHANCE_AFTER_TURN = 0.60
ONE_HEAD_M = metres(12)  # three to four degrees of loft, or half an inch and two degrees


class Kind(StrEnum):
    """The closed list of verdicts."""

    NEEDS_SHOTS = "needs_shots"
    FILLS = "fills"
    FILLS_NOT_SETTLED = "fills_not_settled"
    ONE_TURN = "one_turn"
    OTHER_JOB = "other_job"
    CROWDS = "crowds"
    ONE_HEAD = "one_head"


@dataclass(frozen=True)
class Candidate:
    """A build under judgement. can_turn: it has a sleeve or may be bent. air: that its shots flew in.
    anchored: the player's own drag and lift, for what-ifs and computed figures."""

    letter: str
    name: str
    head_type: HeadType
    shots: Sequence[Shot]
    can_turn: bool = False
    air: Air | None = None
    anchored: Anchor = field(default_factory=Anchor)


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
    text: str
    error: float = 0.0


@dataclass(frozen=True)
class Verdict:
    """What is said of one build. chance: 0 to 1 that its mean carry lies in the window and its mean
    landing is steep enough. more: further shots that would settle the carry, None when over 30."""

    letter: str
    kind: Kind
    headline: str
    why: str
    chance: float | None
    settled: bool
    more: int | None
    half_width_m: float | None
    facts: tuple[Fact, ...] = ()
    against: str | None = None
    change: str | None = None
    turn: Prediction | None = field(default=None)


@dataclass(frozen=True)
class _Evidence:
    """The averages a verdict is made from."""

    carry: Average
    known: Certainty
    landing: Average | None
    landing_known: Certainty | None
    doubt: Doubt
    window: Target
    holds: Target | None

    def chance(self, turn: Prediction | None = None) -> float:
        """Chance to fill the slot, now or after a turn."""
        shift = turn.gain("carry_m") if turn else 0.0
        low, high = self.window.low or -math.inf, self.window.high or math.inf
        carried = chance_between(self.carry, self.known, low - shift, high - shift, error=self.doubt.carry_m)
        return carried * self.chance_to_hold(turn.gain("landing_deg") if turn else 0.0)

    def chance_to_hold(self, steeper_deg: float = 0.0) -> float:
        """Chance that the mean landing angle is at least the wanted one; 1 where none is wanted."""
        if self.holds is None or self.holds.low is None or self.landing is None or self.landing_known is None:
            return 1.0
        scale = math.hypot(self.landing_known.spread / math.sqrt(self.landing.n), self.doubt.landing_deg)
        z = (self.landing.mean + steeper_deg - self.holds.low) / scale
        return 0.5 * (1 + math.erf(z / math.sqrt(2)))


def _evidence(candidate: Candidate, targets: Sequence[Target]) -> _Evidence | None:
    carry = average(values_of(candidate.shots, "carry_m"))
    window = next((target for target in targets if target.quantity == "carry_m"), None)
    if carry is None or window is None:
        return None
    landing = average(values_of(candidate.shots, "landing_deg"))
    return _Evidence(
        carry=carry,
        known=certainty(carry),
        landing=landing,
        landing_known=None
        if landing is None
        else certainty(landing, usual_spread=LANDING_SPREAD_DEG, wanted=LANDING_WANTED_DEG),
        doubt=doubt(candidate.shots, anchored=candidate.anchored, air=candidate.air),
        window=window,
        holds=next((target for target in targets if target.quantity == "landing_deg"), None),
    )


def judge(
    candidate: Candidate,
    *,
    slot: Slot,
    targets: Sequence[Target],
    lower: Carried,
    upper: Carried,
    jobs: Sequence[Job] = (),
) -> Verdict:
    """Judge one build against one slot, from its kept shots."""
    evidence = _evidence(candidate, targets)
    if evidence is None or evidence.carry.n < LEAST_SHOTS:
        return _needs_shots(candidate, evidence)
    chance = evidence.chance()
    settled = evidence.known.settled or chance >= 0.95 or chance <= 0.05
    kind, headline, turn = _kind(candidate, evidence, chance, settled, lower, upper, jobs)
    facts = tuple(_facts(candidate, targets, evidence.doubt))
    return Verdict(
        letter=candidate.letter,
        kind=kind,
        headline=headline,
        why=_why(evidence, candidate),
        chance=chance,
        settled=settled,
        more=0 if settled else evidence.known.more,
        half_width_m=evidence.known.half_width,
        facts=facts,
        against=_against(facts, candidate),
        change=_change(kind, turn, evidence, settled, candidate),
        turn=turn,
    )


def _needs_shots(candidate: Candidate, evidence: _Evidence | None) -> Verdict:
    have = 0 if evidence is None else evidence.carry.n
    need = LEAST_SHOTS - have
    said = f"{have} kept so far. Hit {need} more before anything can be said." if have else "Not hit yet."
    return Verdict(
        letter=candidate.letter,
        kind=Kind.NEEDS_SHOTS,
        headline="Needs shots",
        why=said,
        chance=None,
        settled=False,
        more=max(need, 1),
        half_width_m=None if evidence is None else evidence.known.half_width,
    )


def _kind(
    candidate: Candidate,
    evidence: _Evidence,
    chance: float,
    settled: bool,
    lower: Carried,
    upper: Carried,
    jobs: Sequence[Job],
) -> tuple[Kind, str, Prediction | None]:
    if chance >= SURE and settled:
        return Kind.FILLS, "Fills the slot", None
    if chance >= LIKELY:
        return Kind.FILLS_NOT_SETTLED, "Fills it, not settled", None
    flat = evidence.holds is not None and evidence.landing is not None and evidence.holds.low is not None
    if flat and evidence.landing.mean < evidence.holds.low - TOO_FLAT_DEG:  # type: ignore[union-attr, operator]
        return _too_flat(jobs)
    turn = _best_turn(candidate, evidence, chance)
    if turn is not None:
        return Kind.ONE_TURN, f"One turn away: {turn.change.words}", turn
    crowded = _crowded(evidence.carry.mean, lower, upper)
    if crowded is not None:
        return Kind.CROWDS, f"Crowds {crowded.name}", None
    return Kind.ONE_HEAD, _head_away(evidence), None


def _head_away(evidence: _Evidence) -> str:
    """A head is worth about half a club; what is further off than a whole step is not one head away."""
    mean, low, high = evidence.carry.mean, evidence.window.low, evidence.window.high
    short = low - mean if low is not None else 0.0
    long = mean - high if high is not None else 0.0
    if max(short, long) <= ONE_HEAD_M:
        return "One head away"
    return f"{round(yards(max(short, long)))} yd too {'short' if short > long else 'long'} for this slot"


def _too_flat(jobs: Sequence[Job]) -> tuple[Kind, str, None]:
    other = next((job for job in jobs if job.kind is not JobKind.GREEN), None)
    if other is not None:
        return Kind.OTHER_JOB, f"Does another job: {other.name}", None
    return Kind.ONE_HEAD, "Lands too flat for this job", None


def _best_turn(candidate: Candidate, evidence: _Evidence, chance: float) -> Prediction | None:
    """The smallest turn predicted to fill the slot; None without a sleeve or without one that does."""
    if not candidate.can_turn:
        return None
    wanted = max(CHANCE_AFTER_TURN, chance + 0.15)
    changes = [Change(ChangeKind.LOFT, degrees) for degrees in TURNS_DEG]
    turns = predict(candidate.shots, changes, air=candidate.air, anchored=candidate.anchored)
    return next((turned for turned in turns if evidence.chance(turned) >= wanted), None)


def _crowded(carry_m: float, lower: Carried, upper: Carried) -> Carried | None:
    return next((club for club in (lower, upper) if abs(club.carry_m - carry_m) < CROWDED_M), None)


def _why(evidence: _Evidence, candidate: Candidate) -> str:
    """The numbers behind the verdict, in at most three short sentences."""
    parts = [_carry_words(evidence)]
    if evidence.landing is not None:
        parts.append(_landing_words(evidence))
    cost = cost_of_a_miss(candidate.shots)
    if cost is not None and yards(cost) >= 3:
        parts.append(f"A miss costs {yd_text(cost)} yd.")
    return " ".join(parts)


def _carry_words(evidence: _Evidence) -> str:
    mean, low, high = evidence.carry.mean, evidence.window.low, evidence.window.high
    window = f"{yd_text(low or 0)} to {yd_text(high or 0)}"
    if low is not None and mean < low:
        return f"Carries {yd_text(mean)}, {max(1, round(yards(low - mean)))} short of {window}."
    if high is not None and mean > high:
        return f"Carries {yd_text(mean)}, {max(1, round(yards(mean - high)))} long of {window}."
    return f"Carries {yd_text(mean)}, inside {window}."


def _landing_words(evidence: _Evidence) -> str:
    assert evidence.landing is not None
    lands = f"Lands at {evidence.landing.mean:.0f}°"
    if evidence.holds is None or evidence.holds.low is None:
        return f"{lands}."
    shy = evidence.holds.low - evidence.landing.mean
    if abs(shy) <= evidence.doubt.landing_deg:
        return f"{lands}, too close to {evidence.holds.low:.0f}° to call."
    return f"{lands}, {'shy of' if shy > 0 else 'steeper than'} the {evidence.holds.low:.0f}° that holds."


def _against(facts: Sequence[Fact], candidate: Candidate) -> str | None:
    """The strongest argument against: the first wish it does not meet, after the carry and landing."""
    for fact in facts:
        if fact.good is False and fact.quantity not in ("carry_m", "landing_deg"):
            return fact.text
    cost = cost_of_a_miss(candidate.shots)
    return f"A miss costs {yd_text(cost)} yd." if cost is not None and yards(cost) >= 12 else None


def _change(
    kind: Kind, turn: Prediction | None, evidence: _Evidence, settled: bool, candidate: Candidate
) -> str | None:
    if turn is not None:
        lands = turn.after["landing_deg"]
        return (
            f"Predicted at {abs(turn.change.amount):.0f}° {'more' if turn.change.amount > 0 else 'less'} loft: "
            f"{yd_text(evidence.carry.mean + turn.gain('carry_m'))} carry, "
            f"give or take {max(1, round(yards(turn.error['carry_m'])))}, {lands:.0f}° landing. "
            "Turn it and test it as a new build."
        )
    if not settled and evidence.known.more:
        return f"About {evidence.known.more} more with {candidate.letter} would settle the carry."
    if not settled and evidence.known.more is None:
        return "The carries spread too widely to settle: look at strike first."
    if kind is Kind.ONE_HEAD and evidence.window.low is not None and evidence.carry.mean < evidence.window.low:
        return "A stronger head of this kind, or one step longer."
    if kind is Kind.ONE_HEAD:
        return "A weaker head of this kind, or one with its weight further back."
    return None


def _inside(mean: float, target: Target | None, error: float) -> bool | None:
    """Inside the wish, outside it, or None: no wish, or nearer to its edge than the model is good for."""
    if target is None:
        return None
    edges = [edge for edge in (target.low, target.high) if edge is not None]
    if any(abs(mean - edge) < error for edge in edges):
        return None
    return (target.low is None or mean >= target.low) and (target.high is None or mean <= target.high)


FACTS = ("carry_m", "landing_deg", "peak_m", "spin_rpm", "offline_m", "ball_speed_mps", "launch_deg", "total_m")


def _facts(candidate: Candidate, targets: Sequence[Target], doubted: Doubt) -> list[Fact]:
    """Every average with its wish, carry first."""
    facts = []
    for key in FACTS:
        sample = average(values_of(candidate.shots, key))
        if sample is None:
            continue
        target = next((wish for wish in targets if wish.quantity == key), None)
        source = source_of(candidate.shots, key)
        error = 0.0 if source is Source.MEASURED else doubted.of(key)
        good = _inside(sample.mean, target, error)
        word = READINGS[key].label
        text = f"{word} is outside what the slot asks for." if good is False else f"{word} is as wanted."
        facts.append(
            Fact(
                quantity=key,
                mean=sample.mean,
                low=target.low if target else None,
                high=target.high if target else None,
                good=good,
                source=source,
                text=text,
                error=error,
            )
        )
    return facts
