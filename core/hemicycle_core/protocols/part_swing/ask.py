"""Part swings for the distance card: three shots of each wedge with each swing, which of them come next, and how long
the rest of it takes.

What comes of it is read over all the wedges together (`read`), so that it has no finding of one build. A stock
swing that is hit for the card counts as any stock swing does.
"""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

from ...runs import BY_EFFORT, HALF, THREE_QUARTER, how_long, swing_words
from ...said import Said, say
from ...shots import PART_SWING, Intent
from ..protocol import Protocol

SHOTS = 3
SWINGS = (THREE_QUARTER, HALF, "7:30")
SECONDS_A_SHOT, SECONDS_A_CLUB = 25, 20  # short swings come quickly; another club in hand
SHORT_MINUTES = 20


@dataclass(frozen=True)
class Task:
    """One swing of one wedge. club: its key; done: kept shots; wanted: shots asked for."""

    club: int
    swing: str
    done: int
    wanted: int = SHOTS

    @property
    def left(self) -> int:
        return max(self.wanted - self.done, 0)


@dataclass(frozen=True)
class PartPlan:
    """tasks: by wedge as they were given, longest swing first. minutes: what the rest takes; short: the swings that fit
    into twenty minutes, as far as they do."""

    tasks: tuple[Task, ...]
    minutes: int
    short: tuple[str, ...]

    def next_after(self, club: int | None, swing: str) -> Task | None:
        """What is hit next: the rest of the swing that is being hit, else of the wedge in hand, else the first."""
        left = [task for task in self.tasks if task.left]
        for mine in ([t for t in left if (t.club, t.swing) == (club, swing)], [t for t in left if t.club == club]):
            if mine:
                return mine[0]
        return left[0] if left else None


def minutes_of(tasks: Sequence[Task]) -> int:
    """What the shots that are left take, whole minutes, at least one where any is left."""
    left = [task for task in tasks if task.left]
    seconds = SECONDS_A_SHOT * sum(task.left for task in left) + SECONDS_A_CLUB * len({task.club for task in left})
    return -(-seconds // 60)


def part_plan(clubs: Sequence[tuple[int, str, Mapping[str, int]]]) -> PartPlan:
    """What the card still wants. clubs: key, stock swing and kept shots by swing, the stock one among them."""
    hit = {swing for _, _, mine in clubs for swing, n in mine.items() if n and swing not in BY_EFFORT}
    stocks = {stock for _, stock, _ in clubs}
    swings = sorted({*SWINGS, *(hit - stocks)}, key=how_long, reverse=True)
    tasks = [
        Task(key, swing, mine.get(swing, 0))
        for key, stock, mine in clubs
        for swing in (stock, *(each for each in swings if how_long(each) < how_long(stock)))
    ]
    short: list[str] = []
    for swing in (*sorted(stocks, key=how_long, reverse=True), *SWINGS):
        chosen = [task for task in tasks if task.swing in {*short, swing}]
        if minutes_of([Task(task.club, task.swing, 0) for task in chosen]) <= SHORT_MINUTES:
            short.append(swing)
    return PartPlan(tuple(tasks), minutes_of(tasks), tuple(short))


def next_words(task: Task | None, name: str) -> Said:
    """What to hit next, in a sentence. name: of its club."""
    if task is None:
        return say("protocol-every-swing-card-hit")
    shots = say("test-shots-left", n=task.left, more=bool(task.done) or task.left == 1)
    return say("part-swing-next", name=name, swing=swing_words(task.swing), shots=shots)


PROTOCOL = Protocol(
    key=PART_SWING,
    name=say("protocol-part-swings"),
    why=say("protocol-each-wedge-full-three"),
    intents=(Intent.STOCK,),
    readings=("carry_m",),
    shots=SHOTS,
    read=lambda _shots, _left_handed: [],
)
