"""Grooves, old against new: short shots with two wedges of one loft and sole, dry and wet, with the player's own ball.

What comes of it is read of both wedges together (`read`). Nothing that is hit here is a carry of its club.
"""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

from ...impact import Lie
from ...runs import HALF, swing_words
from ...said import Said, say, term
from ...shots import Intent
from ..kept import Kept
from ..protocol import Protocol

KEY = "grooves"
SHOTS = 5
LENGTH = HALF  # a short swing: where grooves speak, and a player repeats
LIES: tuple[Lie | None, ...] = (None, Lie.WET)  # dry as the bay is, and wet
SECONDS_A_SHOT, SECONDS_A_CHANGE = 25, 20
PROMPT_ROUNDS = 75  # rounds since new from which on the test is worth its minutes, by judgement; never a verdict
DRY = "dry"


@dataclass(frozen=True)
class GroovesKept:
    """A blind groove test: an old wedge and a fresh one of its loft under two codes, all by the numbers of their
    builds. Which code is which is kept from every answer until it is told (`one_is_old`). guess: the code that is taken
    for the new one."""

    old: int
    fresh: int
    one: int
    two: int
    one_is_old: bool
    guess: int | None = None
    confidence: str = ""

    @property
    def codes(self) -> tuple[int, int]:
        return self.one, self.two

    def club(self, code: int) -> int:
        """The wedge that a code is."""
        return self.old if (code == self.one) == self.one_is_old else self.fresh


def lie_words(lie: Lie | None) -> Said:
    return term("lie", DRY if lie is None else lie)


@dataclass(frozen=True)
class GrooveTask:
    """Shots of one wedge from one lie. club: its key; lie: None for dry; done: kept shots."""

    club: int
    lie: Lie | None
    done: int
    wanted: int = SHOTS

    @property
    def left(self) -> int:
        return max(self.wanted - self.done, 0)


def tasks(clubs: Sequence[tuple[int, Mapping[Lie | None, int]]]) -> list[GrooveTask]:
    """What is asked of the wedges: key and kept shots by lie. Lies by turns, so that neither is hit warm."""
    lies = [*LIES, *sorted({lie for _, hit in clubs for lie in hit if lie not in LIES and lie is not None})]
    return [GrooveTask(key, lie, hit.get(lie, 0)) for lie in lies for key, hit in clubs]


def minutes_of(left: Sequence[GrooveTask]) -> int:
    """What the shots that are left take, whole minutes."""
    there = [task for task in left if task.left]
    return -(-(SECONDS_A_SHOT * sum(task.left for task in there) + SECONDS_A_CHANGE * len(there)) // 60)


def next_task(asked: Sequence[GrooveTask], club: int | None, lie: Lie | None) -> GrooveTask | None:
    """What is hit next: the rest of what is being hit, else the first that wants shots."""
    left = [task for task in asked if task.left]
    mine = [task for task in left if (task.club, task.lie) == (club, lie)]
    return next(iter([*mine, *left]), None)


def next_words(task: GrooveTask | None, name: str) -> Said:
    """What to hit next, in a sentence. name: of its club."""
    if task is None:
        return say("protocol-both-wedges-hit-dry")
    shots = say("test-shots-left", n=task.left, more=bool(task.done) or task.left == 1)
    return say("grooves-next", name=name, lie=lie_words(task.lie), swing=swing_words(LENGTH), shots=shots)


PROTOCOL = Protocol(
    key=KEY,
    name=say("protocol-grooves"),
    why=say("protocol-old-wedge-beside-fresh"),
    intents=(Intent.STOCK,),
    readings=("spin_rpm", "launch_deg", "ball_speed_mps"),
    shots=SHOTS,
    read=lambda _shots, _left_handed: [],
    kept=Kept(GroovesKept),
)
