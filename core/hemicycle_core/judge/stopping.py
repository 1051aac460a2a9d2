"""When to stop hitting: not when one build leads, but when a few more shots would gain too little.

Two builds that do as many of the jobs need no more shots, however close they are; two that differ by much need few.
Shots go where they may yet turn the choice (H. Raiffa and R. Schlaifer, Applied Statistical Decision Theory, 1961,
ch. 5: the value of sample information).
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from scipy.special import ndtr

from ..thresholds import Thresholds
from .weigh import KEEP, Weighed, is_own

A_FEW = 6  # shots, shared by two builds: what a fitter asks for at once
# After so many shots a build's own doubt is as large as what no shot tells, as the judge draws it: the ground, the
# flight model, how its misses differ from those of the player's other builds.
KNOWN_AFTER = 2.5


@dataclass(frozen=True)
class Apart:
    """Two builds in successful shots a round: how far apart on average, how well that is known (one standard
    deviation), and the shots each was hit, those that count in part as parts; over zero."""

    mean: float
    sd: float
    shots: tuple[float, float]

    def left(self, more: tuple[int, int]) -> float:
        """The standard deviation after more shots with each: a build's own doubt shrinks with their root, what no
        shot tells stays."""
        now = sum(KNOWN_AFTER / n for n in self.shots) + 1
        then = sum(KNOWN_AFTER / (n + extra) for n, extra in zip(self.shots, more, strict=True)) + 1
        return float(self.sd * np.sqrt(then / now))

    def after(self, more: tuple[int, int]) -> Apart:
        """As it will be after more shots with each, should the average stay."""
        return Apart(self.mean, self.left(more), (self.shots[0] + more[0], self.shots[1] + more[1]))

    @property
    def worth(self) -> float:
        """What a few more shots would gain, in successful shots a round: how much better the choice would be on
        average, as they may turn it."""
        told = np.sqrt(max(self.sd**2 - self.left((A_FEW // 2, A_FEW // 2)) ** 2, 0.0))
        if told <= 0:
            return 0.0
        z = abs(self.mean) / told
        return float(told * (np.exp(-z * z / 2) / np.sqrt(2 * np.pi) - z * ndtr(-z)))

    def done(self, uses: float, thresholds: Thresholds) -> bool:
        """Whether the two need no more shots. uses: a round, over which the worth is shared."""
        clear = ndtr(abs(self.mean) / max(self.sd, 1e-9)) >= thresholds.stop_at
        return bool(clear) or self.worth <= thresholds.stop_gain * uses


def apart(first: str, second: str, weighed: Weighed) -> Apart:
    """How far the first build is ahead of the second."""
    by = weighed.rounds[first] - weighed.rounds[second]
    return Apart(float(by.mean()), float(by.std()), (weighed.hit[first], weighed.hit[second]))


def chance_best(letter: str, rivals: Sequence[str], weighed: Weighed) -> float:
    """The chance that no rival does more of the jobs."""
    mine = weighed.rounds[letter]
    top = np.max([weighed.rounds[each] for each in (letter, *rivals)], axis=0)
    return float((mine >= top - 1e-12).mean())


def settled_on(letter: str, best: float, rivals: Sequence[str], weighed: Weighed, thresholds: Thresholds) -> bool:
    """Whether this build is the one as far as it matters: most likely the best, or no few shots are worth hitting, or
    enough were hit with it and with every build that may be better."""
    still = _open(letter, rivals, weighed, thresholds)
    most = max((apart(letter, rival, weighed).worth for rival in still), default=0.0)
    return best >= thresholds.stop_at or most <= thresholds.stop_gain * _uses(letter, weighed)


def more_shots(letter: str, rivals: Sequence[str], weighed: Weighed, thresholds: Thresholds) -> tuple[str, int] | None:
    """The build that most wants shots, and about how many settle it against the best of its rivals that were not hit
    enough. None without one."""
    still = _open(letter, rivals, weighed, thresholds)
    if not still:
        return None
    rival = max(still, key=lambda each: (float(weighed.rounds[each].mean()), each))
    two, uses = apart(letter, rival, weighed), _uses(letter, weighed)
    first = (two.shots[0], letter) <= (two.shots[1], rival)
    most = max(1, round(thresholds.most_shots - min(two.shots)))
    hit = (two.after((extra, 0) if first else (0, extra)) for extra in range(1, most))
    extra = next((number for number, after in enumerate(hit, start=1) if after.done(uses, thresholds)), most)
    return (letter if first else rival), extra


def _open(letter: str, rivals: Sequence[str], weighed: Weighed, thresholds: Thresholds) -> list[str]:
    """The rivals against which one of the two may be hit more."""
    n = weighed.hit
    return [rival for rival in rivals if min(n[letter], n[rival]) < thresholds.most_shots]


def keep_settled(rivals: Sequence[str], weighed: Weighed, thresholds: Thresholds) -> bool:
    """Whether keeping what is there is settled: no build may well gain enough to be bought, or a few more shots are not
    worth hitting, or enough were hit. A build that gains enough on average, and is only not known to, is a reason to go
    on."""
    may = [each for each in rivals if weighed.by_at_least(each, KEEP, thresholds.least_gain) > 1 - thresholds.stop_at]
    still = [each for each in may if weighed.hit[each] < thresholds.most_shots]
    if any(weighed.gain(each, KEEP) >= thresholds.least_gain for each in still):
        return False
    return all(apart(each, KEEP, weighed).worth <= thresholds.stop_gain * _uses(each, weighed) for each in still)


def more_to_keep(letter: str, weighed: Weighed, thresholds: Thresholds) -> tuple[str, int] | None:
    """About how many more shots would say whether a build is worth buying, with it or with the club of the bag that it
    is held against, whichever was hit less; None when enough were hit."""
    mine = max((each for each in weighed.rounds if is_own(each)), key=lambda each: _value(each, weighed), default=None)
    less = mine is not None and weighed.hit[mine] <= weighed.hit[letter] - 1
    wanted = mine if mine is not None and less else letter
    most = round(thresholds.most_shots - weighed.hit[wanted])
    if most < 1:
        return None
    two, uses = apart(letter, KEEP, weighed), _uses(letter, weighed)
    hit = (two.after((0, extra) if less else (extra, 0)) for extra in range(1, most))
    return wanted, next((number for number, after in enumerate(hit, start=1) if after.done(uses, thresholds)), most)


def _value(letter: str, weighed: Weighed) -> tuple[float, str]:
    return float(weighed.rounds[letter].mean()), letter


def _uses(letter: str, weighed: Weighed) -> float:
    played = weighed.played.get(letter) or next(iter(weighed.played.values()))
    return sum(each.job.uses_per_round for each in played)
