"""The averages that a verdict is made from, how well they are known, and the chance that they are what is wanted."""

from __future__ import annotations

import math
from collections.abc import Iterator
from dataclasses import dataclass, replace

from ..brief import Target
from ..brief.wishes import OUT_OF_PLAY_MORE
from ..estimate import UNREAD, Estimate, more_to_tell, more_until
from ..said import NOTHING, number, say
from ..samples.averages import Average, average, values_of
from ..samples.certainty import SETTLED_SHARE
from ..samples.pool import Centre
from ..thresholds import Thresholds
from ..units import metres, outside
from .candidate import Case
from .doubt import Doubt, doubt
from .weigh import Weighed, letter_of_own
from .whatif import Prediction

MOVED_M = metres(3)  # an average moved by single shots by less than this is nothing to ask about
LANDING_SPREAD_DEG, LANDING_SPREAD_SHOTS = 2.0, 4.0  # usual spread of landing angles within one build


@dataclass(frozen=True)
class DemandMet:
    """A reading that the wish asks for, as it is and how well that is known; known: None where it was not read."""

    target: Target
    known: Estimate | None

    def chance(self, gain: float = 0.0, gain_sd: float = 0.0) -> float:
        """That it is met, after a change by so much; as likely as not where nobody read it."""
        if self.known is None:
            return UNREAD
        known = replace(self.known, mean=self.known.mean + gain, floor=math.hypot(self.known.floor, gain_sd))
        return known.chance(self.target.low, self.target.high)

    @property
    def met(self) -> bool | None:
        """Whether the average is where it is asked for; None where it was not read."""
        low, high = self.target.low, self.target.high
        if self.known is None:
            return None
        return (low is None or self.known.mean >= low) and (high is None or self.known.mean <= high)

    def more(self, sure: float) -> int | None:
        """Shots that would tell whether it is met, as sure as that, were the average to stay; None when over what
        anyone hits, or where it is not read."""
        known = self.known
        if known is None:
            return None
        ends = [end for end in (self.target.low, self.target.high) if end is not None]
        return more_to_tell(known.after, *ends, sure=sure)


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
    demands: tuple[DemandMet, ...] = ()
    read_m: float = 0.0

    @property
    def half_width_m(self) -> float:
        """Of the 90% interval of the carry."""
        return self.centre.carry.half

    @property
    def narrow(self) -> bool:
        return self._narrow(0)

    @property
    def more(self) -> int | None:
        """Shots that would make the carry's interval narrow, 0 when it is, None when over what anyone hits."""
        return more_until(self._narrow)

    def _narrow(self, extra: int) -> bool:
        return self.centre.carry.after(extra).half <= SETTLED_SHARE * self.centre.carry_m

    @property
    def unread(self) -> tuple[str, ...]:
        """What is asked for and was not read, by reading."""
        asked = [each.target.quantity for each in self.demands if each.known is None]
        return (*asked, *(["landing_deg"] if self._line is not None and self.landing is None else []))

    @property
    def _line(self) -> float | None:
        """The landing angle that holds, where one is wanted."""
        return None if self.holds is None else self.holds.low

    @property
    def off_m(self) -> float:
        """How far the carry lies outside the window, negative for short, in whole yards as both are shown: what is
        shown on an edge is inside."""
        return metres(outside(self.carry.mean, self.window.low, self.window.high))

    def inside(self, thresholds: Thresholds) -> bool:
        """Whether the averages that were read lie where they are wanted, the landing as near to its line as can be
        told."""
        if self.off_m or any(each.met is False for each in self.demands):
            return False
        if self._line is None or self.landing is None:
            return True
        return self.landing.mean >= self._line - max(self.doubt.landing_deg, thresholds.same("landing_deg"))

    def more_for(self, sure: float) -> int | None:
        """Shots that would tell whether what is asked beside the carry is met, as sure as that, were the averages to
        stay; 0 when it is told, None when over what anyone hits or where it is not read."""
        wanted = [each.more(sure) for each in self.demands]
        return None if None in wanted else max((each for each in wanted if each is not None), default=0)

    @property
    def moved_m(self) -> float:
        """How far single shots move the average from where the build's shots gather; 0 where no more than chance."""
        moved = self.carry.mean - self.centre.carry_m / self.centre.speed_factor
        return moved if abs(moved) > max(MOVED_M, 2 * self.centre.carry_se_m) else 0.0

    def chance(self, turn: Prediction | None = None, *, head_share: float = 0.0) -> float:
        """Chance to fill the slot, now or after a change; head_share: how far another head of the kind may carry
        otherwise."""
        shift = turn.gain("carry_m") if turn else 0.0
        known = self.centre.carry
        floor = math.hypot(
            known.floor, self.doubt.carry_m, turn.error["carry_m"] if turn else 0.0, head_share * self.carry.mean
        )
        known = replace(known, mean=self.carry.mean + shift, error=max(known.error, self.read_m), floor=floor)
        asked = math.prod(each.chance(turn.gain(each.target.quantity) if turn else 0.0) for each in self.demands)
        held = self.chance_to_hold(turn.gain("landing_deg") if turn else 0.0)
        return known.chance(self.window.low, self.window.high) * asked * held

    def chance_to_hold(self, steeper_deg: float = 0.0) -> float:
        """Chance that the mean landing angle is at least the wanted one; 1 where none is wanted, as likely as not where
        it was not read."""
        if self._line is None:
            return 1.0
        if self.landing is None:
            return UNREAD
        known = Estimate(self.landing.mean + steeper_deg, self.landing_se, floor=self.doubt.landing_deg)
        return known.chance(low=self._line)


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
        window = Target("carry_m", None, None, NOTHING)
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


def _demanded(case: Case, off: Doubt) -> Iterator[DemandMet]:
    """What the wish asks for beside the carry, as far as it is known of this build."""
    for target in case.targets:
        mean = average(values_of(case.candidate.shots, target.quantity))
        if target.quantity not in case.wanted.demands or target.quantity == "in_play":
            continue
        if mean is None:
            yield DemandMet(target, None)
            continue
        usual = USUAL_SPREAD[target.quantity] * abs(mean.mean) / mean.n**0.5
        spread = usual if mean.se is None else math.sqrt(((mean.n - 1) * mean.se**2 + 3 * usual**2) / (mean.n + 2))
        # Shots that gather closer than the monitor can read are not known better than it reads.
        spread = max(spread, case.candidate.monitor.noise(target.quantity).shot / mean.n**0.5)
        # The day's part cancels beside an old club that the same monitor read today.
        day = 0.0 if case.wanted.old_hit else case.candidate.monitor.noise(target.quantity).day
        least = LEAST_ERROR[target.quantity]
        floor = math.hypot(off.of(target.quantity), day, least)
        yield DemandMet(target, Estimate(mean.mean, spread, mean.n + 2, floor, mean.n))


def _held(case: Case, weighed: Weighed) -> Iterator[DemandMet]:
    """How often a build is in play beside the old club, where that is asked."""
    mine = weighed.in_play.get(case.candidate.letter)
    old = weighed.in_play.get(letter_of_own(case.wanted.old))
    if "in_play" in case.wanted.demands and mine is not None and old is not None:
        why = say("old-in-play", name=case.wanted.old, n=number(100 * old.success))
        apart = float((mine.draws - old.draws).std())
        known = Estimate(mine.success, max(apart, 0.01), shots=weighed.centres[case.candidate.letter].n)
        yield DemandMet(Target("in_play", old.success - OUT_OF_PLAY_MORE, None, why), known)
