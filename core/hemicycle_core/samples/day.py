"""A day on which everything flies, or nothing does: the player's own clubs beside the last visit."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from enum import StrEnum

from scipy.special import ndtr

from ..monitor import Monitor
from ..said import NOTHING, Said, listed, say, share, with_and
from ..shots import Shot
from .averages import average, values_of

LEAST_SHARE = 0.02  # of club speed: less is what a player does from one week to the next
LEAST_CLUBS, SURE = 2, 0.80
USUAL_SPREAD = 0.02  # of club speed from shot to shot, where a visit has too few shots to say


class DayKind(StrEnum):
    USUAL = "usual"
    FAST = "fast"
    SLOW = "slow"


@dataclass(frozen=True)
class Then:
    """Club speed of an own club at the last visit: mean in m/s over n shots, and one standard deviation of a shot."""

    speed_mps: float
    sd_mps: float
    n: int


@dataclass(frozen=True)
class Day:
    """kind: as found or as the fitter said. clubs: names of those that say so; share: how much faster they are, on
    average, negative for slower; both empty where the fitter said it."""

    kind: DayKind
    clubs: tuple[str, ...] = ()
    share: float = 0.0


def speed_of(shots: Sequence[Shot]) -> Then | None:
    """Club speed of a club's kept shots; None where it was not measured."""
    mean = average(values_of(shots, "club_speed_mps"))
    if mean is None or mean.mean <= 0:
        return None
    return Then(mean.mean, mean.sd if mean.sd is not None else USUAL_SPREAD * mean.mean, mean.n)


def day_of(clubs: Sequence[tuple[str, Sequence[Shot], Then]], monitor: Monitor, said: DayKind = DayKind.USUAL) -> Day:
    """Whether today is fast or slow: at least two own clubs two in a hundred faster, or slower, than at the last visit,
    each with 80%. clubs: name, today's shots, and the last visit's. said: by the fitter, which stands."""
    if said is not DayKind.USUAL:
        return Day(said)
    faster, slower = [], []
    for name, shots, then in clubs:
        now = speed_of(shots)
        if now is None or min(now.n, then.n) < 2:
            continue
        share = now.speed_mps / then.speed_mps - 1
        day = monitor.noise("club_speed_mps").day / then.speed_mps
        spread = [max(each.sd_mps / each.speed_mps, USUAL_SPREAD / 2) / math.sqrt(each.n) for each in (now, then)]
        error = math.hypot(*spread, day, day)
        if ndtr((share - LEAST_SHARE) / error) >= SURE:
            faster.append((name, share))
        if ndtr((-share - LEAST_SHARE) / error) >= SURE:
            slower.append((name, share))
    for kind, found in ((DayKind.FAST, faster), (DayKind.SLOW, slower)):
        if len(found) >= LEAST_CLUBS:
            return Day(kind, tuple(name for name, _ in found), sum(share for _, share in found) / len(found))
    return Day(DayKind.USUAL)


def day_words(day: Day, finalists: Sequence[str]) -> Said:
    """What is said of the day, with the builds to hit again; empty on a usual one."""
    if day.kind is DayKind.USUAL:
        return NOTHING
    if day.clubs:
        clubs = say("list-and", first=listed(day.clubs[:-1]), last=day.clubs[-1])
        why = say("samples-swung-than-last-visit", clubs=clubs, share=share(abs(day.share)), faster=day.share > 0)
    else:
        why = say("samples-fitter-says-so")
    words = say("samples-day", kind=day.kind, why=why)
    if not finalists:
        return say("samples-carries-today-not-those", words=words)
    return say("samples-hit-again-another-day", words=words, finalists=with_and(finalists))
