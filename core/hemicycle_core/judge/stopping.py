"""When to stop hitting: not when one build leads, but when a few more shots would gain too little.

Two builds that do as many of the jobs need no more shots, however close they are; two that differ by much need few.
Shots go where they may yet turn the choice (H. Raiffa and R. Schlaifer, Applied Statistical Decision Theory, 1961,
ch. 5: the value of sample information).
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace

import numpy as np
from scipy.special import ndtr, ndtri

from ..estimate import Estimate
from ..said import Said, say
from ..thresholds import Thresholds
from .weigh import KEEP, Weighed, called, is_own

A_FEW = 6  # shots, shared by two builds: what a fitter asks for at once
# After so many shots a build's own doubt is as large as what no shot tells, as the judge draws it: the ground, the
# flight model, how its misses differ from those of the player's other builds.
KNOWN_AFTER = 2.5
LIKELY_ENOUGH = 0.5
FARTHEST = 12.0  # standard deviations: a loss is nought there
NEAR_ENOUGH = 1e-12  # standard deviations: a step that finds nothing new


@dataclass(frozen=True)
class Apart:
    """Two builds in successful shots a round: how far apart on average, how well that is known (one standard
    deviation), and the shots each was hit, those that count in part as parts; over zero."""

    mean: float
    sd: float
    shots: tuple[float, float]

    def left(self, more: tuple[int, int]) -> float:
        """The standard deviation after more shots with each."""
        return self.known(more).sd

    def known(self, more: tuple[int, int] = (0, 0)) -> Estimate:
        """What is known after more shots with each: a build's own doubt shrinks with their root, what no shot tells
        stays."""
        floor = self.sd / float(np.sqrt(sum(KNOWN_AFTER / n for n in self.shots) + 1))
        one, two = (
            Estimate(0.0, floor * float(np.sqrt(KNOWN_AFTER / n)), shots=n).after(extra)
            for n, extra in zip(self.shots, more, strict=True)
        )
        return replace(one.less(two), mean=self.mean, floor=floor)

    @property
    def worth(self) -> float:
        """What a few more shots would gain, in successful shots a round: how much better the choice would be on
        average, as they may turn it."""
        told = self.told((A_FEW // 2, A_FEW // 2))
        return told * loss(abs(self.mean) / told) if told > 0 else 0.0

    def told(self, more: tuple[int, int]) -> float:
        """How far the average is likely to move with more shots, one standard deviation."""
        return float(np.sqrt(max(self.sd**2 - self.left(more) ** 2, 0.0)))

    def chance_done(self, more: tuple[int, int], uses: float, thresholds: Thresholds) -> float:
        """The chance that the two need no more shots after these, either way: that the average is then clear of nought,
        or so far from it that a few more are worth no more than a shop's limit. uses: a round, over which the worth is
        shared."""
        then = Apart(0.0, self.left(more), (self.shots[0] + more[0], self.shots[1] + more[1]))
        few, limit = then.told((A_FEW // 2, A_FEW // 2)), thresholds.stop_gain * uses
        if then.worth <= limit:
            return 1.0
        far = few * where_loss_is(limit / few) if loss(FARTHEST) < limit / few else np.inf
        need = min(far, float(ndtri(thresholds.stop_at)) * then.sd)
        told = self.told(more)
        return float(ndtr((self.mean - need) / told) + ndtr((-self.mean - need) / told))


def loss(z: float) -> float:
    """What is missed on average under nought of a normal with mean z and deviation 1 (Raiffa and Schlaifer, ch. 5)."""
    return float(np.exp(-z * z / 2) / np.sqrt(2 * np.pi) - z * ndtr(-z))


def where_loss_is(missed: float) -> float:
    """The mean at which so much is missed, 0 < missed < loss(0): Newton's steps from 0, which never go too far, as the
    loss falls ever less steeply."""
    z, step = 0.0, 1.0
    while step > NEAR_ENOUGH:
        step = (loss(z) - missed) / float(ndtr(-z))
        z += step
    return z


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


@dataclass(frozen=True)
class More:
    """Shots that as likely as not settle a choice: with which builds and about how many each, the one that wants them
    most first. in_vain: not even so many are likely to, after which enough were hit."""

    shots: tuple[tuple[str, int], ...]
    in_vain: bool = False

    @property
    def letter(self) -> str:
        return self.shots[0][0]

    @property
    def count(self) -> int:
        """With the first; with each, where they are about as many."""
        return max(count for _, count in self.shots) if self._alike else self.shots[0][1]

    @property
    def words(self) -> Said:
        """With what, to be said after the count: `C`, `each of A and C`, `C and 3 with A`."""
        first, *rest = (called(letter) for letter, _ in self.shots)
        if not rest:
            return first
        return say("more-with", first=first, second=rest[0], alike=self._alike, n=self.shots[1][1])

    @property
    def _alike(self) -> bool:
        counts = [count for _, count in self.shots]
        return max(counts) - min(counts) <= 1


def _more(two: Apart, letters: tuple[str, str], uses: float, thresholds: Thresholds) -> More | None:
    """What settles which of two is ahead, each shot with the one that was hit less; None when enough were hit."""
    more, done = [0, 0], False
    while not done:
        hit = [had + extra for had, extra in zip(two.shots, more, strict=True)]
        less = min((0, 1), key=lambda each: (hit[each], letters[each]))
        if hit[less] >= thresholds.most_shots:
            break
        more[less] += 1
        done = two.chance_done((more[0], more[1]), uses, thresholds) >= LIKELY_ENOUGH
    order = sorted((0, 1), key=lambda each: (two.shots[each], letters[each]))
    wanted = tuple((letters[each], more[each]) for each in order if more[each])
    return More(wanted, in_vain=not done) if wanted else None


def more_shots(letter: str, rivals: Sequence[str], weighed: Weighed, thresholds: Thresholds) -> More | None:
    """What settles a build against the best of its rivals that were not hit enough. None without one."""
    still = _open(letter, rivals, weighed, thresholds)
    if not still:
        return None
    rival = max(still, key=lambda each: _value(each, weighed))
    return _more(apart(letter, rival, weighed), (letter, rival), _uses(letter, weighed), thresholds)


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


def more_to_keep(letter: str, weighed: Weighed, thresholds: Thresholds) -> More | None:
    """What says whether a build is worth buying, with it and with the club of the bag that it is held against; None
    when enough were hit."""
    two, uses = apart(letter, KEEP, weighed), _uses(letter, weighed)
    mine = max((each for each in weighed.rounds if is_own(each)), key=lambda each: _value(each, weighed), default=None)
    if mine is None:
        return _more(replace(two, shots=(two.shots[0], float(thresholds.most_shots))), (letter, KEEP), uses, thresholds)
    held = replace(two, shots=(two.shots[0], weighed.hit[mine]))
    return _more(held, (letter, mine), uses, thresholds)


def _value(letter: str, weighed: Weighed) -> tuple[float, str]:
    return float(weighed.rounds[letter].mean()), letter


def _uses(letter: str, weighed: Weighed) -> float:
    if weighed.uses is not None:
        return weighed.uses
    played = weighed.played.get(letter) or next(iter(weighed.played.values()))
    return sum(each.job.uses_per_round for each in played)
