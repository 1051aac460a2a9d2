"""When a shot was hit, by a monitor's own clock, and which club was in hand then."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from ..units import shown

NEAR_S = 2.0  # of a switch of clubs: either may have been in hand
LATE_S = 30.0  # on the way for so long, more than one thing may have gone wrong
LONGEST_S = 3600.0  # a clock that says more has been set anew: it tells nothing
ARRIVES_S = 4.0  # without a clock: a shot is heard of so long after it was hit, at most
LEAST_HEARD, MOST_HEARD = 3, 20  # messages from which the offset of a clock is known, and that it is told from


@dataclass(frozen=True)
class Clock:
    """How far a monitor's clock is behind ours, in seconds, by its messages: the least that lay between the time they
    said and the time they came, for what travels takes time and never less than none. by: of the last messages, so that
    a clock that was set anew is known again before long."""

    by: tuple[float, ...] = ()

    @property
    def known(self) -> bool:
        return len(self.by) >= LEAST_HEARD

    @property
    def offset_s(self) -> float:
        return min(self.by, default=0.0)

    def after(self, said_s: float, came_s: float) -> Clock:
        """With one more message. said_s: when it was hit by the monitor's clock, came_s: when it came by ours; both in
        seconds since one moment."""
        return Clock((*self.by, came_s - said_s)[-MOST_HEARD:])


@dataclass(frozen=True)
class Taken:
    """A build that was taken in hand, seconds."""

    build: int
    at_s: float


@dataclass(frozen=True)
class HitWith:
    """The build that a shot was hit with, and the one it may have been instead, where that is not sure. why: in a few
    words; empty where it is sure. hit_s: when, by our clock; None where that is not known."""

    build: int
    instead: int | None = None
    why: str = ""
    hit_s: float | None = None


def hit_with(taken: Sequence[Taken], came_s: float, hit_s: float | None) -> HitWith:
    """Which build was in hand when a shot was hit.

    taken: in the order of time, the last one in hand now; one or more. came_s: when it came, hit_s: when it was hit by
    our clock, None where that is not known; an hour is more than any shot is on its way. A shot from before the first
    was taken counts as that one's.
    """
    if hit_s is None or not 0 <= came_s - hit_s + NEAR_S <= LONGEST_S:
        return _by_coming(taken, came_s)
    before = [each for each in taken if each.at_s <= hit_s]
    mine = before[-1] if before else taken[0]
    there = list(taken)
    at = there.index(mine)
    since, until = hit_s - mine.at_s, (there[at + 1].at_s - hit_s) if at + 1 < len(there) else None
    if until is not None and until < NEAR_S and there[at + 1].build != mine.build:
        return HitWith(
            mine.build, there[at + 1].build, f"hit {shown(until, 1)} s before the next club was taken", hit_s
        )
    if at > 0 and since < NEAR_S and there[at - 1].build != mine.build:
        return HitWith(mine.build, there[at - 1].build, f"hit {shown(max(since, 0.0), 1)} s after it was taken", hit_s)
    if came_s - hit_s > LATE_S and there[-1].build != mine.build:
        return HitWith(mine.build, there[-1].build, f"came {shown(came_s - hit_s)} s after it was hit", hit_s)
    return HitWith(mine.build, hit_s=hit_s)


def _by_coming(taken: Sequence[Taken], came_s: float) -> HitWith:
    """The one in hand when it came; the one before where that was taken only just now."""
    now = taken[-1]
    if len(taken) > 1 and came_s - now.at_s < ARRIVES_S and taken[-2].build != now.build:
        return HitWith(now.build, taken[-2].build, f"came {shown(max(came_s - now.at_s, 0.0), 1)} s after it was taken")
    return HitWith(now.build)
