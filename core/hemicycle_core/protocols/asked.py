"""What a test still asks for, in one form for every test: shots of a club from a lie with a swing, what is hit next."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from ..impact import Lie
from ..said import NOTHING, Said


@dataclass(frozen=True)
class Task:
    """Shots of one club. club: its key; length: of the swing; lie: None where it is a clean one; done: kept shots;
    wanted: shots asked for."""

    club: int
    length: str
    lie: Lie | None
    done: int
    wanted: int

    @property
    def left(self) -> int:
        return max(self.wanted - self.done, 0)


@dataclass(frozen=True)
class Column:
    """Tasks of one kind, as they stand below one another: their name, and which they are."""

    name: Said
    tasks: tuple[Task, ...]


@dataclass(frozen=True)
class Standing:
    """What a test asks of the clubs that are here. columns: its tasks, those of one kind together; next: what is hit
    next, None where all is hit; words: that, in a sentence, NOTHING where it has none of its own; minutes: what the
    rest takes; none: why nothing is asked; remarks: what is to be known while it is hit; warning: what is wrong."""

    columns: tuple[Column, ...]
    next: Task | None = None
    words: Said = NOTHING
    minutes: int = 0
    none: Said = NOTHING
    remarks: tuple[Said, ...] = ()
    warning: Said = NOTHING

    @property
    def tasks(self) -> list[Task]:
        return [task for column in self.columns for task in column.tasks]


def minutes_for(shots: int, seconds_a_shot: float, changes: int, seconds_a_change: float) -> int:
    """What so many shots and changes of club or lie take, whole minutes; nought for none."""
    return -(-int(seconds_a_shot * shots + seconds_a_change * changes) // 60)


def left_of(tasks: Sequence[Task]) -> list[Task]:
    """Those that want shots."""
    return [task for task in tasks if task.left]
