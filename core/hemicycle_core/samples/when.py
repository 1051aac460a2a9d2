"""When a shot was hit, by a monitor's own clock, and which club was in hand then."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace

from ..said import NOTHING, Said, number, say

NEAR_S = 2.0  # of a switch of clubs: either may have been in hand
LATE_S = 30.0  # on the way for so long, more than one thing may have gone wrong
JUMP_S, AGREE_S = LATE_S, 3.0  # a message this far off a clock is odd; such as agree to within this are a new one
LONGEST_S = 3600.0  # a clock that says more has been set anew: it tells nothing
ARRIVES_S = 4.0  # without a clock: a shot is heard of so long after it was hit, at most
LEAST_HEARD, MOST_HEARD = 3, 20  # messages from which the offset of a clock is known, and that it is told from


@dataclass(frozen=True)
class Clock:
    """How far a monitor's clock is behind ours, in seconds, by its messages: the least that lay between the time they
    said and the time they came, for what travels takes time and never less than none. by: of the last messages; odd: of
    those since one that does not go with them at all, as when a clock was set anew or a message was long on its way.
    Nothing is told by such a clock until it goes on as before, or three messages agree on another offset."""

    by: tuple[float, ...] = ()
    odd: tuple[float, ...] = ()

    @property
    def known(self) -> bool:
        return len(self.by) >= LEAST_HEARD and not self.odd

    @property
    def offset_s(self) -> float:
        return min(self.by, default=0.0)

    @property
    def jumped_s(self) -> float:
        """How far the last message is off what the clock said before; 0 where it is not."""
        return self.odd[-1] - self.offset_s if self.odd else 0.0

    def after(self, said_s: float, came_s: float) -> Clock:
        """With one more message. said_s: when it was hit by the monitor's clock, came_s: when it came by ours; both in
        seconds since one moment."""
        off = came_s - said_s
        if len(self.by) < LEAST_HEARD or abs(off - self.offset_s) <= JUMP_S:
            return Clock((*self.by, off)[-MOST_HEARD:])
        odd = (*self.odd, off)[-LEAST_HEARD:]
        agreed = len(odd) == LEAST_HEARD and max(odd) - min(odd) <= AGREE_S
        return Clock(odd) if agreed else Clock(self.by, odd)


@dataclass(frozen=True)
class Spell:
    """From when on a bay served a session; None for nobody. Seconds."""

    session: int | None
    since_s: float


@dataclass(frozen=True)
class HeldBy:
    """The session that a bay served when a shot was hit there; None where it served none or that is not sure. why: it
    is not sure, in a few words."""

    session: int | None
    why: Said = NOTHING


def held_by(spells: Sequence[Spell], came_s: float, hit_s: float | None) -> HeldBy:
    """Whose a shot is that came from a bay.

    spells: of the bay in the order of time, the last one now; one or more. came_s, hit_s: as for `hit_with`. Between
    two customers nothing is guessed: what was hit near the change, or came so soon after it that it may have been hit
    before, is nobody's until somebody says so.
    """
    now, before = spells[-1], spells[-2] if len(spells) > 1 else None
    if not _told(came_s, hit_s):
        late = came_s - now.since_s
        if before is not None and _another(before, now) and late < ARRIVES_S:
            return HeldBy(None, say("samples-came-s-after-bay", late=number(max(late, 0.0), 1)))
        return HeldBy(now.session)
    assert hit_s is not None
    at = max((i for i, each in enumerate(spells) if each.since_s <= hit_s), default=0)
    mine, ahead = spells[at], spells[at + 1] if at + 1 < len(spells) else None
    if ahead is not None and _another(mine, ahead) and ahead.since_s - hit_s < NEAR_S:
        return HeldBy(None, say("samples-hit-s-before-bay", since=number(ahead.since_s - hit_s, 1)))
    if at > 0 and _another(spells[at - 1], mine) and hit_s - mine.since_s < NEAR_S:
        return HeldBy(None, say("samples-hit-s-after-bay", hit=number(max(hit_s - mine.since_s, 0.0), 1)))
    return HeldBy(mine.session)


def _another(one: Spell, other: Spell) -> bool:
    """Whether a bay went from one customer to another; from or to nobody there is no doubt whose a shot is."""
    return None not in (one.session, other.session) and one.session != other.session


def _told(came_s: float, hit_s: float | None) -> bool:
    """Whether it is known when a shot was hit; an hour is more than any is on its way."""
    return hit_s is not None and 0 <= came_s - hit_s + NEAR_S <= LONGEST_S


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
    why: Said = NOTHING
    hit_s: float | None = None


def hit_with(taken: Sequence[Taken], came_s: float, hit_s: float | None, *, jumped_s: float = 0.0) -> HitWith:
    """Which build was in hand when a shot was hit.

    taken: in the order of time, the last one in hand now; one or more. came_s: when it came, hit_s: when it was hit by
    our clock, None where that is not known; an hour is more than any shot is on its way. jumped_s: how far the
    monitor's clock is off what it was, so that it tells nothing by now. A shot from before the first was taken counts
    as that one's.
    """
    if not _told(came_s, hit_s):
        found = _by_coming(taken, came_s)
        jumped = say("samples-monitors-clock-s-off", jumped=number(abs(jumped_s)))
        return replace(found, why=jumped) if jumped_s else found
    assert hit_s is not None
    before = [each for each in taken if each.at_s <= hit_s]
    mine = before[-1] if before else taken[0]
    there = list(taken)
    at = there.index(mine)
    since, until = hit_s - mine.at_s, (there[at + 1].at_s - hit_s) if at + 1 < len(there) else None
    if until is not None and until < NEAR_S and there[at + 1].build != mine.build:
        return HitWith(mine.build, there[at + 1].build, say("samples-hit-s-before-next", until=number(until, 1)), hit_s)
    if at > 0 and since < NEAR_S and there[at - 1].build != mine.build:
        return HitWith(
            mine.build, there[at - 1].build, say("samples-hit-s-after-was", since=number(max(since, 0.0), 1)), hit_s
        )
    if came_s - hit_s > LATE_S and there[-1].build != mine.build:
        return HitWith(mine.build, there[-1].build, say("samples-came-s-after-was", came=number(came_s - hit_s)), hit_s)
    return HitWith(mine.build, hit_s=hit_s)


def _by_coming(taken: Sequence[Taken], came_s: float) -> HitWith:
    """The one in hand when it came; the one before where that was taken only just now."""
    now = taken[-1]
    if len(taken) > 1 and came_s - now.at_s < ARRIVES_S and taken[-2].build != now.build:
        return HitWith(
            now.build, taken[-2].build, say("samples-came-s-after-was-2", came=number(max(came_s - now.at_s, 0.0), 1))
        )
    return HitWith(now.build)
