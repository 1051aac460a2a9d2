"""A protocol as data: what it asks, what it needs read, and how its shots are read."""

from __future__ import annotations

from collections.abc import Callable, Mapping, Sequence
from dataclasses import dataclass, field

from ..said import Said
from ..shots import Intent, Shot
from .kept import Kept


@dataclass(frozen=True)
class Finding:
    """What came of one thing that was asked of the player with one build.

    protocol: its key. intent: the shot asked for. n: shots that say so. by: figures by name, in canonical units,
    right positive. as_asked: whether the ball did what was asked; None while that cannot be told. swing: how long it
    was, where that is what is compared; at: the figures themselves, where they stand side by side.
    """

    protocol: str
    intent: Intent
    n: int
    by: Mapping[str, float]
    as_asked: bool | None
    sentence: Said
    swing: str = ""
    at: Mapping[str, float] = field(default_factory=dict)


@dataclass(frozen=True)
class Protocol:
    """key: under which runs carry it. name: as it is offered. why: a sentence for whoever is about to hit. intents:
    the shots it may ask for. readings: that it is worth little without (`READINGS`). shots: usually asked of each
    build. read: what came of it from every shot of one build, and whether the player is left-handed. kept: how a trial
    of it is kept; None where nothing is but the shots."""

    key: str
    name: Said
    why: Said
    intents: tuple[Intent, ...]
    readings: tuple[str, ...]
    shots: int
    read: Callable[[Sequence[Shot], bool], list[Finding]]
    kept: Kept | None = None
