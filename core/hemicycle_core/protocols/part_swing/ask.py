"""Part swings for the distance card: three shots of each wedge with each swing, which of them come next, and how long
the rest of it takes.

What comes of it is read over all the wedges together (`read`), so that it has no finding of one build. A stock
swing that is hit for the card counts as any stock swing does.
"""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace

from ...runs import BY_EFFORT, HALF, THREE_QUARTER, how_long, swing_words
from ...said import NOTHING, Said, say, with_and
from ...shots import PART_SWING, Intent
from ..asked import Column, Standing, Task, left_of, minutes_for
from ..protocol import Protocol

SHOTS = 3
SWINGS = (THREE_QUARTER, HALF, "7:30")
SECONDS_A_SHOT, SECONDS_A_CLUB = 25, 20  # short swings come quickly; another club in hand
SHORT_MINUTES = 20


@dataclass(frozen=True)
class Asked:
    """One wedge of the card. key: of its club; name: in a sentence; stock: its stock swing; hit: kept shots by swing,
    the stock one among them."""

    key: int
    name: str
    stock: str
    hit: Mapping[str, int]


def minutes_of(tasks: Sequence[Task]) -> int:
    """What the shots that are left take, whole minutes."""
    left = left_of(tasks)
    shots, clubs = sum(task.left for task in left), len({task.club for task in left})
    return minutes_for(shots, SECONDS_A_SHOT, clubs, SECONDS_A_CLUB)


def tasks(wedges: Sequence[Asked]) -> list[Task]:
    """What the card asks for: by wedge as they are given, its stock swing first, then the others, longest first."""
    hit = {swing for each in wedges for swing, n in each.hit.items() if n and swing not in BY_EFFORT}
    swings = sorted({*SWINGS, *(hit - {each.stock for each in wedges})}, key=how_long, reverse=True)
    return [
        Task(each.key, swing, None, each.hit.get(swing, 0), SHOTS)
        for each in wedges
        for swing in (each.stock, *(other for other in swings if how_long(other) < how_long(each.stock)))
    ]


def next_task(asked: Sequence[Task], club: int | None, swing: str) -> Task | None:
    """What is hit next: the rest of the swing that is being hit, else of the wedge in hand, else the first."""
    left = left_of(asked)
    same = [task for task in left if (task.club, task.length) == (club, swing)]
    mine = [task for task in left if task.club == club]
    return next(iter([*same, *mine, *left]), None)


def in_twenty_minutes(asked: Sequence[Task], stocks: Sequence[str]) -> list[str]:
    """The swings that fit into twenty minutes, as far as they do. stocks: the wedges' own."""
    short: list[str] = []
    for swing in (*sorted(set(stocks), key=how_long, reverse=True), *SWINGS):
        chosen = [replace(task, done=0) for task in asked if task.length in {*short, swing}]
        if minutes_of(chosen) <= SHORT_MINUTES:
            short.append(swing)
    return short


def standing(wedges: Sequence[Asked], club: int | None, swing: str) -> Standing:
    """What the card still wants. club, swing: in hand and asked for."""
    asked, stocks = tasks(wedges), [each.stock for each in wedges]
    coming, minutes = next_task(asked, club, swing), minutes_of(asked)
    stock = {(each.key, each.stock) for each in wedges}
    others = sorted({task.length for task in asked} - set(stocks), key=how_long, reverse=True)
    own = tuple(task for task in asked if (task.club, task.length) in stock)
    short = in_twenty_minutes(asked, stocks) if minutes > SHORT_MINUTES else []
    return Standing(
        (
            Column(say("part-swing-stock"), own),
            *(
                Column(swing_words(each), tuple(task for task in asked if task.length == each and task not in own))
                for each in others
            ),
        )
        if asked
        else (),
        coming,
        next_words(coming, {each.key: each.name for each in wedges}),
        minutes,
        none=NOTHING if asked else say("wedges-none-in-the-bag"),
        remarks=(say("part-swing-20-minutes", short=with_and(swing_words(each) for each in short)),) if short else (),
    )


def next_words(task: Task | None, names: Mapping[int, str]) -> Said:
    """What to hit next, in a sentence. names: of the clubs, by key."""
    if task is None:
        return say("protocol-every-swing-card-hit")
    shots = say("test-shots-left", n=task.left, more=bool(task.done) or task.left == 1)
    return say("part-swing-next", name=names[task.club], swing=swing_words(task.length), shots=shots)


PROTOCOL = Protocol(
    key=PART_SWING,
    name=say("protocol-part-swings"),
    why=say("protocol-each-wedge-full-three"),
    intents=(Intent.STOCK,),
    readings=("carry_m",),
    shots=SHOTS,
    read=lambda _shots, _left_handed: [],
)
