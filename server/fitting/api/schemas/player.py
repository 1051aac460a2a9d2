"""The player's screen: what the fitter sets, and what is shown there."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import datetime

from .bag import SpanOut
from .words import PlayerMode


@dataclass
class PlayerOut:
    """As the fitter sees it. code: that opens it, empty where none does; expires_at: when it ends by itself. away: the
    monitor's own screen was said to be turned away. asks: the build whose feel is asked now."""

    mode: PlayerMode
    away: bool
    code: str
    expires_at: datetime | None
    asks: int | None


@dataclass
class PlayerIn:
    mode: PlayerMode | None = None
    away: bool | None = None


@dataclass
class FeltIn:
    """Marks of 1 to 5, None where skipped. veto: will not be played."""

    build: int
    looks: int | None = None
    sound: int | None = None
    feel: int | None = None
    trust: int | None = None
    tee: int | None = None
    veto: bool = False
    word: str = ""


@dataclass
class ToAsk:
    build: int
    letter: str


@dataclass
class Landed:
    """offline_m: null where the line was not read."""

    carry_m: float
    offline_m: float | None
    aside: bool


@dataclass
class PlayerFlight:
    """The last shot with the build in hand. path: distance and height in metres; empty where its launch is not known.
    landed: every shot of the build, the last one last; window: that its carry is wanted in."""

    carry_m: float | None
    aside: bool
    path: list[list[float]]
    landed: list[Landed]
    window: SpanOut | None


@dataclass
class PlayerBuild:
    letter: str
    kept: int
    averages: dict[str, float]


@dataclass
class PlayerView:
    """What the player may see by now, and nothing else. club: the letter in hand, the word of a code, `own` for one
    of the bag, empty for none. flight: in the simple and the full mode. readings of the last shot, builds by their
    averages: in the full."""

    mode: PlayerMode
    revision: int
    club: str
    shots: int
    asks: ToAsk | None
    flight: PlayerFlight | None
    readings: dict[str, float]
    builds: list[PlayerBuild]
