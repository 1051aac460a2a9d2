"""A verdict per build: one of a closed list, in plain words, with the facts that made it."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass, field
from enum import StrEnum

from scipy.special import ndtr, stdtr, stdtrit

from ..bag import Carried
from ..bag.gaps import CROWDED_M
from ..brief import Job, JobKind, Target
from ..samples.averages import Average, average, cost_of_a_miss, values_of
from ..samples.certainty import MOST_MORE, SETTLED_SHARE
from ..samples.pool import Centre
from ..thresholds import DEFAULT, Thresholds
from ..units import mph, yards, yd_text
from .candidate import Candidate, Case, Liking
from .changes import Change, ChangeKind
from .doubt import Doubt, doubt
from .facts import Fact, against, facts_of, job_words
from .play import Played
from .weigh import KEEP, Weighed
from .whatif import HitClub, Prediction, predict

LANDING_SPREAD_DEG, LANDING_SPREAD_SHOTS = 2.0, 4.0  # usual spread of landing angles within one build


class Kind(StrEnum):
    """The closed list of verdicts."""

    NEEDS_SHOTS = "needs_shots"
    FILLS = "fills"
    FILLS_NOT_SETTLED = "fills_not_settled"
    ONE_TURN = "one_turn"
    OTHER_JOB = "other_job"
    CROWDS = "crowds"
    ONE_HEAD = "one_head"
    NOT_SUPPORTED = "not_supported"
    KEEP = "keep"
    VETOED = "vetoed"


@dataclass(frozen=True)
class Verdict:
    """What is said of one build. chance: 0 to 1 that its mean carry lies in the window and its mean
    landing is steep enough. more: further shots that would settle the carry, None when over 30. facts: in order
    of weight. played: its jobs; rounds: successful shots a round over them, None without jobs."""

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
    played: tuple[Played, ...] = ()
    rounds: float | None = None


@dataclass(frozen=True)
class _Evidence:
    """The averages a verdict is made from."""

    carry: Average
    centre: Centre
    landing: Average | None
    landing_se: float
    doubt: Doubt
    window: Target
    holds: Target | None

    @property
    def half_width_m(self) -> float:
        """Of the 90% interval of the carry, Student's t on the pooled freedom."""
        return float(stdtrit(self.centre.df, 0.95)) * self.centre.carry_se_m

    @property
    def narrow(self) -> bool:
        return self.half_width_m <= SETTLED_SHARE * self.centre.carry_m

    @property
    def more(self) -> int | None:
        """Shots that would make the carry's interval narrow, 0 when it is, None when over MOST_MORE."""
        wanted = (self.half_width_m / (SETTLED_SHARE * self.centre.carry_m)) ** 2
        extra = max(0, math.ceil((wanted - 1) * self.centre.n))
        return extra if extra <= MOST_MORE else None

    def chance(self, turn: Prediction | None = None) -> float:
        """Chance to fill the slot, now or after a turn."""
        shift = turn.gain("carry_m") if turn else 0.0
        error = math.hypot(self.doubt.carry_m, turn.error["carry_m"] if turn else 0.0)
        scale = math.hypot(self.centre.carry_se_m, error)
        low, high = self.window.low or -math.inf, self.window.high or math.inf
        mean = self.centre.carry_m + shift
        upper, lower = stdtr(self.centre.df, [(high - mean) / scale, (low - mean) / scale])
        return float(upper - lower) * self.chance_to_hold(turn.gain("landing_deg") if turn else 0.0)

    def chance_to_hold(self, steeper_deg: float = 0.0) -> float:
        """Chance that the mean landing angle is at least the wanted one; 1 where none is wanted."""
        if self.holds is None or self.holds.low is None or self.landing is None:
            return 1.0
        z = (self.landing.mean + steeper_deg - self.holds.low) / math.hypot(self.landing_se, self.doubt.landing_deg)
        return float(ndtr(z))


def landing_se(landing: Average) -> float:
    """Standard error of a mean landing angle in degrees, its spread drawn towards the usual one."""
    own = 0.0 if landing.sd is None else (landing.n - 1) * landing.sd**2
    variance = (own + LANDING_SPREAD_SHOTS * LANDING_SPREAD_DEG**2) / (LANDING_SPREAD_SHOTS + landing.n - 1)
    return math.sqrt(variance / landing.n)


def _evidence(case: Case, weighed: Weighed) -> _Evidence | None:
    candidate = case.candidate
    carry = average(values_of(candidate.shots, "carry_m"))
    window = next((target for target in case.targets if target.quantity == "carry_m"), None)
    centre = weighed.centres.get(candidate.letter)
    if carry is None or window is None or centre is None:
        return None
    landing = average(values_of(candidate.shots, "landing_deg"))
    return _Evidence(
        carry=carry,
        centre=centre,
        landing=landing,
        landing_se=0.0 if landing is None else landing_se(landing),
        doubt=doubt(candidate.shots, anchored=candidate.anchored, air=candidate.air),
        window=window,
        holds=next((target for target in case.targets if target.quantity == "landing_deg"), None),
    )


@dataclass(frozen=True)
class Finding:
    """What was found of a build: its verdict's kind and headline, and the turn that would mend it."""

    kind: Kind
    headline: str
    turn: Prediction | None = None


def verdict_of(
    case: Case,
    weighed: Weighed,
    *,
    jobs: Sequence[Job] = (),
    bags: Weighed | None = None,
    thresholds: Thresholds = DEFAULT,
) -> Verdict:
    """The verdict of one build among those weighed together. bags: the same by what the whole bag makes of the
    jobs, where the player's own clubs are known."""
    candidate = case.candidate
    evidence = _evidence(case, weighed)
    if evidence is None or evidence.carry.n < thresholds.least_shots:
        return _needs_shots(candidate, evidence, thresholds)
    chance = evidence.chance()
    settled = evidence.narrow or chance >= 0.95 or chance <= 0.05
    found = _find(case, evidence, bags, settled, jobs, thresholds)
    facts = tuple(facts_of(candidate, case.targets, evidence.doubt))
    played = weighed.played[candidate.letter]
    return Verdict(
        letter=candidate.letter,
        kind=found.kind,
        headline=found.headline,
        why=_why(evidence, candidate, played),
        chance=chance,
        settled=settled,
        more=0 if settled else evidence.more,
        half_width_m=evidence.half_width_m,
        facts=facts,
        against=against(facts, candidate, played),
        change=_change(found, evidence, settled, candidate),
        turn=found.turn,
        played=played,
        rounds=float(weighed.rounds[candidate.letter].mean()) if played else None,
    )


def _needs_shots(candidate: Candidate, evidence: _Evidence | None, thresholds: Thresholds) -> Verdict:
    have = 0 if evidence is None else evidence.carry.n
    need = max(thresholds.least_shots - have, 1)
    said = f"{have} kept so far. Hit {need} more before anything can be said." if have else "Not hit yet."
    if not have and any(shot.counts for shot in candidate.shots):
        said = f"Every shot so far is set aside. Keep the ones that count, or hit {need} more."
    vetoed = candidate.liking is Liking.VETOED
    return Verdict(
        letter=candidate.letter,
        kind=Kind.VETOED if vetoed else Kind.NEEDS_SHOTS,
        headline="Vetoed by the player" if vetoed else "Needs shots",
        why=said,
        chance=None,
        settled=vetoed,
        more=0 if vetoed else need,
        half_width_m=None if evidence is None else evidence.half_width_m,
    )


def _find(
    case: Case,
    evidence: _Evidence,
    bags: Weighed | None,
    settled: bool,
    jobs: Sequence[Job],
    thresholds: Thresholds,
) -> Finding:
    candidate, chance = case.candidate, evidence.chance()
    if candidate.liking is Liking.VETOED:
        return Finding(Kind.VETOED, "Vetoed by the player")
    if chance >= thresholds.likely:
        if bags is not None and no_gain(bags, candidate.letter, thresholds):
            return Finding(Kind.KEEP, "Keep what you have: no real gain")
        sure = chance >= thresholds.sure and settled
        return (
            Finding(Kind.FILLS, "Fills the slot") if sure else Finding(Kind.FILLS_NOT_SETTLED, "Fills it, not settled")
        )
    if _not_held_up(candidate, evidence, thresholds):
        return Finding(Kind.NOT_SUPPORTED, "Not supported by this speed")
    holds = evidence.holds.low if evidence.holds is not None else None
    if holds is not None and evidence.landing is not None and evidence.landing.mean < holds - thresholds.too_flat_deg:
        return _too_flat(jobs)
    turn = _best_turn(candidate, evidence, chance, thresholds)
    if turn is not None:
        return Finding(Kind.ONE_TURN, f"One turn away: {turn.change.words}", turn)
    crowded = _crowded(evidence.carry.mean, case.lower, case.upper)
    if crowded is not None:
        return Finding(Kind.CROWDS, f"Crowds {crowded.name}")
    return Finding(Kind.ONE_HEAD, _head_away(evidence, thresholds))


def no_gain(bags: Weighed, letter: str, thresholds: Thresholds) -> bool:
    """Whether the bag makes no more of the jobs with this build in it, as far as can be told or is worth buying."""
    return bags.better(letter, KEEP) < thresholds.better or bags.gain(letter, KEEP) < thresholds.least_gain


def _not_held_up(candidate: Candidate, evidence: _Evidence, thresholds: Thresholds) -> bool:
    """Whether the head comes in too flat because the ball is too slow for its kind."""
    least = thresholds.support_mph(candidate.head_type)
    speed = average(values_of(candidate.shots, "ball_speed_mps"))
    if least is None or speed is None or evidence.landing is None:
        return False
    holds = evidence.holds.low if evidence.holds is not None else None
    flat = thresholds.flat_deg if holds is None else holds - thresholds.too_flat_deg / 2
    return mph(speed.mean) < least and evidence.landing.mean < flat


def _head_away(evidence: _Evidence, thresholds: Thresholds) -> str:
    """A head is worth about half a club; what is further off than a whole step is not one head away."""
    mean, low, high = evidence.carry.mean, evidence.window.low, evidence.window.high
    short = low - mean if low is not None else 0.0
    long = mean - high if high is not None else 0.0
    if max(short, long) <= thresholds.one_head_m:
        return "One head away"
    return f"{round(yards(max(short, long)))} yd too {'short' if short > long else 'long'} for this slot"


def _too_flat(jobs: Sequence[Job]) -> Finding:
    other = next((job for job in jobs if job.kind is not JobKind.GREEN), None)
    if other is not None:
        return Finding(Kind.OTHER_JOB, f"Does another job: {other.name}")
    return Finding(Kind.ONE_HEAD, "Lands too flat for this job")


def _best_turn(candidate: Candidate, evidence: _Evidence, chance: float, thresholds: Thresholds) -> Prediction | None:
    """The smallest turn predicted to fill the slot; None without a sleeve or without one that does."""
    if not candidate.can_turn:
        return None
    wanted = max(thresholds.after_turn, chance + 0.15)
    changes = [Change(ChangeKind.LOFT, degrees) for degrees in thresholds.turns_deg]
    hit = HitClub(head_type=candidate.head_type)
    turns = predict(candidate.shots, changes, air=candidate.air, anchored=candidate.anchored, club=hit)
    return next((turned for turned in turns if evidence.chance(turned) >= wanted), None)


def _crowded(carry_m: float, lower: Carried, upper: Carried) -> Carried | None:
    return next((club for club in (lower, upper) if abs(club.carry_m - carry_m) < CROWDED_M), None)


def _why(evidence: _Evidence, candidate: Candidate, played: Sequence[Played]) -> str:
    """The numbers behind the verdict, in at most four short sentences."""
    parts = [_carry_words(evidence)]
    if evidence.landing is not None:
        parts.append(_landing_words(evidence))
    if played:
        parts.append(job_words(played))
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


WOULD_CHANGE = {
    Kind.VETOED: "The player’s word stands. It changes only if the player says so.",
    Kind.KEEP: "A job it does that nothing in the bag does now.",
    Kind.NOT_SUPPORTED: "A head with its weight further back: a hybrid or a fairway wood of this carry.",
}


def _change(found: Finding, evidence: _Evidence, settled: bool, candidate: Candidate) -> str | None:
    """What would change the verdict."""
    if found.turn is not None:
        turn, lands = found.turn, found.turn.after["landing_deg"]
        return (
            f"Predicted at {abs(turn.change.amount):.0f}° {'more' if turn.change.amount > 0 else 'less'} loft: "
            f"{yd_text(evidence.carry.mean + turn.gain('carry_m'))} carry, "
            f"give or take {max(1, round(yards(turn.error['carry_m'])))}, {lands:.0f}° landing. "
            "Turn it and test it as a new build."
        )
    if found.kind in WOULD_CHANGE:
        return WOULD_CHANGE[found.kind]
    if not settled and evidence.more:
        return f"About {evidence.more} more with {candidate.letter} would settle the carry."
    if not settled and evidence.more is None:
        return "The carries spread too widely to settle: look at strike first."
    if found.kind is Kind.ONE_HEAD and evidence.window.low is not None and evidence.carry.mean < evidence.window.low:
        return "A stronger head of this kind, or one step longer."
    if found.kind is Kind.ONE_HEAD:
        return "A weaker head of this kind, or one with its weight further back."
    return None
