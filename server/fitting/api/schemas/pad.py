"""What stands on the pad beside the bay: the clubs to hand, and the shots of the one in hand. Whoever assists sees this
of a session and nothing else: no price, and of the customer a name."""

from __future__ import annotations

from dataclasses import dataclass

from .words import Status, Strike


@dataclass
class PadClub:
    """carry_m, kept: as the Bay has them."""

    id: int
    letter: str
    name: str
    detail: str
    carry_m: float | None
    kept: int
    set_aside: int


@dataclass
class PadShot:
    id: int
    number: int
    readings: dict[str, float]
    strike: Strike | None
    aside: bool
    typed: bool


@dataclass
class PadOut:
    """shots: of the club in hand."""

    id: int
    revision: int
    customer: str
    bay_name: str
    status: Status
    in_hand: int | None
    clubs: list[PadClub]
    shots: list[PadShot]


@dataclass
class ShotOnPad:
    """Whether it is set aside; where that is not said, how it was struck."""

    aside: bool | None = None
    strike: Strike | None = None
