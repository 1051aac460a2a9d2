"""What is shown of the short list of the rack."""

from __future__ import annotations

from dataclasses import dataclass

from hemicycle_core.said import Said

from .words import HeadType


@dataclass
class RankedOut:
    """A head of the rack in its best setting and what it should do. within: give or take, nine times in ten.
    chance: to carry into the window and fly as asked, None where nothing is asked. saves: strokes a round that the
    bag with it would save beside that of today, None where that cannot be told. players: of this shop, who hit the
    head; won: how often it was chosen by players of about this speed. letter: of the build, where it is on the
    stand."""

    head: int
    shaft: int | None
    name: str
    label: str
    maker: str
    head_type: HeadType
    loft_deg: float
    set_loft_deg: float
    turn_deg: float
    length_m: float
    price: str
    carry_m: float
    carry_within_m: float
    peak_m: float | None
    landing_deg: float | None
    landing_within_deg: float | None
    total_m: float | None
    chance: float | None
    saves: float | None
    supported: bool
    sentence: Said
    rough: Said
    players: int
    won: int
    letter: str


@dataclass
class ShortlistOut:
    """By slot. why: what is missing where nothing can be said. left_out: heads that cannot be had, with the reason."""

    revision: int
    slots: list[list[RankedOut]]
    why: Said
    left_out: list[Said]
