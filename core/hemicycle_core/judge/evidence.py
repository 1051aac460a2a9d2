"""The averages that a verdict is made from, how well they are known, and the chance that they are what is wanted."""

from __future__ import annotations

import math
from collections.abc import Iterator
from dataclasses import dataclass, replace

from scipy.special import ndtr, ndtri, stdtr, stdtrit

from ..brief import Target
from ..brief.wishes import OUT_OF_PLAY_MORE
from ..samples.averages import Average, average, values_of
from ..samples.certainty import MOST_MORE, SETTLED_SHARE
from ..samples.pool import Centre
from ..thresholds import Thresholds
from ..units import metres, yards
from .candidate import Case
from .doubt import Doubt, doubt
from .weigh import Weighed, letter_of_own
from .whatif import Prediction

MOVED_M = metres(3)  # an average moved by single shots by less than this is nothing to ask about
LANDING_SPREAD_DEG, LANDING_SPREAD_SHOTS = 2.0, 4.0  # usual spread of landing angles within one build


@dataclass(frozen=True)
class Demand:
    """A reading that the wish asks for, as it is and how well that is known."""

    target: Target
    mean: float
    error: float

    def chance(self, gain: float = 0.0) -> float:
        return self.target.chance(self.mean + gain, self.error)

    @property
    def met(self) -> bool:
        low, high = self.target.low, self.target.high
        return (low is None or self.mean >= low) and (high is None or self.mean <= high)


@dataclass(frozen=True)
class Evidence:
    """The averages a verdict is made from. read_m: how well the monitor reads an average carry of so many shots."""

    carry: Average
    centre: Centre
    landing: Average | None
    landing_se: float
    doubt: Doubt
    window: Target
    holds: Target | None
    demands: tuple[Demand, ...] = ()
    read_m: float = 0.0

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

    @property
    def off_m(self) -> float:
        """How far the carry lies outside the window, negative for short, in whole yards as both are shown: what is
        shown on an edge is inside."""
        mean, low, high = self.carry.mean, self.window.low, self.window.high
        edge = low if low is not None and mean < low else high if high is not None and mean > high else mean
        return metres(round(yards(mean)) - round(yards(edge)))

    def inside(self, thresholds: Thresholds) -> bool:
        """Whether the averages lie where they are wanted, the landing as near to its line as can be told."""
        if self.off_m or not all(each.met for each in self.demands):
            return False
        if self.holds is None or self.holds.low is None or self.landing is None:
            return True
        return self.landing.mean >= self.holds.low - max(self.doubt.landing_deg, thresholds.same("landing_deg"))

    def more_for(self, sure: float) -> int | None:
        """Shots that would tell whether what is asked beside the carry is met, as sure as that, were the averages to
        stay; 0 when it is told, None when over MOST_MORE."""
        most = 0
        for each in self.demands:
            if each.chance() >= sure or each.chance() <= 1 - sure:
                continue
            edges = [edge for edge in (each.target.low, each.target.high) if edge is not None]
            z = min(abs(each.mean - edge) for edge in edges) / each.error
            wanted = (float(ndtri(sure)) / z) ** 2 if z > 0 else math.inf
            extra = (wanted - 1) * self.centre.n
            if extra > MOST_MORE:
                return None
            most = max(most, math.ceil(extra), 1)
        return most

    @property
    def moved_m(self) -> float:
        """How far single shots move the average from where the build's shots gather; 0 where no more than chance."""
        moved = self.carry.mean - self.centre.carry_m / self.centre.speed_factor
        return moved if abs(moved) > max(MOVED_M, 2 * self.centre.carry_se_m) else 0.0

    def chance(self, turn: Prediction | None = None, *, head_share: float = 0.0) -> float:
        """Chance to fill the slot, now or after a change; head_share: how far another head of the kind may carry
        otherwise."""
        shift = turn.gain("carry_m") if turn else 0.0
        error = math.hypot(self.doubt.carry_m, turn.error["carry_m"] if turn else 0.0, head_share * self.carry.mean)
        scale = math.hypot(max(self.centre.carry_se_m, self.read_m), error)
        low, high = self.window.low or -math.inf, self.window.high or math.inf
        mean = self.carry.mean + shift
        upper, lower = stdtr(self.centre.df, [(high - mean) / scale, (low - mean) / scale])
        asked = math.prod(each.chance(turn.gain(each.target.quantity) if turn else 0.0) for each in self.demands)
        return float(upper - lower) * asked * self.chance_to_hold(turn.gain("landing_deg") if turn else 0.0)

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


def evidence_of(case: Case, weighed: Weighed) -> Evidence | None:
    candidate = case.candidate
    carry = average(values_of(candidate.shots, "carry_m"))
    window = next((target for target in case.targets if target.quantity == "carry_m"), None)
    if window is None and case.wanted.windowless:
        window = Target("carry_m", None, None, "")
    centre = weighed.centres.get(candidate.letter)
    if carry is None or window is None or centre is None:
        return None
    landing = average(values_of(candidate.shots, "landing_deg"))
    off = doubt(candidate.shots, anchored=candidate.anchored, air=candidate.air, monitor=candidate.monitor)
    held = [club for club in (case.lower, case.upper) if club is not None]
    if not (case.wanted.old_hit and all(club.hit for club in held)):
        # What a monitor reads wrong all day cancels beside clubs it read too, not beside a carry that was typed.
        off = replace(off, carry_m=math.hypot(off.carry_m, candidate.monitor.noise("carry_m").day))
    return Evidence(
        carry=carry,
        centre=centre,
        landing=landing,
        landing_se=0.0
        if landing is None
        else max(landing_se(landing), candidate.monitor.noise("landing_deg").shot / landing.n**0.5),
        doubt=off,
        window=window,
        holds=None
        if case.wanted.demands
        else next((target for target in case.targets if target.quantity == "landing_deg"), None),
        demands=(*_demanded(case, off), *_held(case, weighed)),
        read_m=candidate.monitor.noise("carry_m").shot / carry.n**0.5,
    )


LEAST_ERROR = {"peak_m": 0.5, "landing_deg": 0.3, "spin_rpm": 50.0, "total_m": 0.5}  # of any average
USUAL_SPREAD = {"peak_m": 0.06, "landing_deg": 0.04, "spin_rpm": 0.07, "total_m": 0.05}  # of single shots, as a share


def _demanded(case: Case, off: Doubt) -> Iterator[Demand]:
    """What the wish asks for beside the carry, as far as it is known of this build."""
    for target in case.targets:
        mean = average(values_of(case.candidate.shots, target.quantity))
        if target.quantity not in case.wanted.demands or mean is None:
            continue
        usual = USUAL_SPREAD[target.quantity] * abs(mean.mean) / mean.n**0.5
        spread = usual if mean.se is None else math.sqrt(((mean.n - 1) * mean.se**2 + 3 * usual**2) / (mean.n + 2))
        # Shots that gather closer than the monitor can read are not known better than it reads.
        spread = max(spread, case.candidate.monitor.noise(target.quantity).shot / mean.n**0.5)
        # The day's part cancels beside an old club that the same monitor read today.
        day = 0.0 if case.wanted.old_hit else case.candidate.monitor.noise(target.quantity).day
        least = LEAST_ERROR[target.quantity]
        yield Demand(target, mean.mean, math.hypot(spread, off.of(target.quantity), day, least))


def _held(case: Case, weighed: Weighed) -> Iterator[Demand]:
    """How often a build is in play beside the old club, where that is asked."""
    mine = weighed.in_play.get(case.candidate.letter)
    old = weighed.in_play.get(letter_of_own(case.wanted.old))
    if "in_play" in case.wanted.demands and mine is not None and old is not None:
        why = f"The {case.wanted.old} is in play {100 * old.success:.0f} times in 100."
        apart = float((mine.draws - old.draws).std())
        yield Demand(Target("in_play", old.success - OUT_OF_PLAY_MORE, None, why), mine.success, max(apart, 0.01))
