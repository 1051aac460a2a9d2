"""Grooves, old against new: short shots with two wedges of one loft and sole, dry and wet, with the player's own ball.

What comes of it is read of both wedges together (`read`). Nothing that is hit here is a carry of its club.
"""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

from ...impact import Lie
from ...runs import HALF, Ball, swing_words
from ...said import NOTHING, Said, say, term
from ...shots import Intent
from ..asked import Column, Standing, Task, left_of, minutes_for
from ..blind import BlindPair
from ..kept import Kept
from ..protocol import Protocol

KEY = "grooves"
SHOTS = 4
LENGTH = HALF  # a short swing: where grooves speak, and a player repeats
LIES: tuple[Lie | None, ...] = (None, Lie.WET)  # dry as the bay is, and wet
SECONDS_A_SHOT, SECONDS_A_CHANGE = 25, 20
PROMPT_ROUNDS = 75  # rounds since new from which on the test is worth its minutes, by judgement; never a verdict
DRY = "dry"


def lie_words(lie: Lie | None) -> Said:
    return term("lie", DRY if lie is None else lie)


@dataclass(frozen=True)
class Asked:
    """One wedge of the test. key: of its club or code; name: in a sentence; hit: kept shots by lie, None for dry."""

    key: int
    name: str
    hit: Mapping[Lie | None, int]


def tasks(wedges: Sequence[Asked]) -> list[Task]:
    """What is asked of two wedges. Lies by turns, so that neither is hit warm."""
    lies = [*LIES, *sorted({lie for each in wedges for lie in each.hit if lie not in LIES and lie is not None})]
    return [Task(each.key, LENGTH, lie, each.hit.get(lie, 0), SHOTS) for lie in lies for each in wedges]


def next_task(asked: Sequence[Task], club: int | None, lie: Lie | None) -> Task | None:
    """What is hit next: the rest of what is being hit, else the first that wants shots."""
    left = left_of(asked)
    mine = [task for task in left if (task.club, task.lie) == (club, lie)]
    return next(iter([*mine, *left]), None)


def standing(pairs: Sequence[Sequence[Asked]], club: int | None, lie: Lie | None, balls: Sequence[Ball]) -> Standing:
    """What the test still wants, pair by pair. club, lie: in hand and hit from, None for dry; balls: it is hit with."""
    # One fresh wedge may stand beside two old ones, and is hit once for both.
    asked = list(dict.fromkeys(task for pair in pairs for task in tasks(pair)))
    coming, left = next_task(asked, club, lie), left_of(asked)
    names = {each.key: each.name for pair in pairs for each in pair}
    return Standing(
        tuple(
            Column(lie_words(each), tuple(task for task in asked if task.lie == each))
            for each in dict.fromkeys(task.lie for task in asked)
        ),
        coming,
        next_words(coming, names) if asked else NOTHING,
        minutes_for(sum(task.left for task in left), SECONDS_A_SHOT, len(left), SECONDS_A_CHANGE),
        none=NOTHING if asked else say("grooves-no-fresh-wedge-old-ones"),
        remarks=(say("grooves-half-swings-one-spot-players"),) if asked else (),
        warning=say("grooves-range-balls-say-little-grooves") if Ball.RANGE in balls else NOTHING,
    )


def next_words(task: Task | None, names: Mapping[int, str]) -> Said:
    """What to hit next, in a sentence. names: of the clubs, by key."""
    if task is None:
        return say("protocol-both-wedges-hit-dry")
    shots = say("test-shots-left", n=task.left, more=bool(task.done) or task.left == 1)
    return say("grooves-next", name=names[task.club], lie=lie_words(task.lie), swing=swing_words(LENGTH), shots=shots)


PROTOCOL = Protocol(
    key=KEY,
    name=say("protocol-grooves"),
    why=say("protocol-old-wedge-beside-fresh"),
    intents=(Intent.STOCK,),
    readings=("spin_rpm", "launch_deg", "ball_speed_mps"),
    shots=SHOTS,
    read=lambda _shots, _left_handed: [],
    kept=Kept(BlindPair),
)
