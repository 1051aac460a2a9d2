"""A club as the bag sees it: where it carries and where it stops."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass
from enum import StrEnum

from ..errors import BadInput


class HeadType(StrEnum):
    DRIVER = "driver"
    FAIRWAY = "fairway"
    HYBRID = "hybrid"
    UTILITY = "utility"
    IRON = "iron"
    WEDGE = "wedge"
    PUTTER = "putter"


HEAD_WORDS = {
    HeadType.DRIVER: "driver",
    HeadType.FAIRWAY: "fairway wood",
    HeadType.HYBRID: "hybrid",
    HeadType.UTILITY: "utility iron",
    HeadType.IRON: "iron",
    HeadType.WEDGE: "wedge",
    HeadType.PUTTER: "putter",
}


@dataclass(frozen=True)
class Carried:
    """A club in the bag, metres; spread_m is the standard deviation of its carry where shots are known,
    peak_m and spin_rpm its typical flight where known."""

    name: str
    head_type: HeadType
    carry_m: float
    total_m: float
    loft_deg: float | None = None
    spread_m: float | None = None
    peak_m: float | None = None
    landing_deg: float | None = None
    spin_rpm: float | None = None

    def __post_init__(self) -> None:
        if self.carry_m <= 0:
            raise BadInput(f"{self.name} needs a carry of more than 0.", field="carry")
        if self.total_m < self.carry_m - 20:
            raise BadInput(f"{self.name}: the total is far under the carry. Are the two swapped?", field="total")

    @property
    def roll_m(self) -> float:
        return self.total_m - self.carry_m

    @property
    def is_long_end(self) -> bool:
        """Whether the club belongs to the long end; irons and wedges do not."""
        return self.head_type not in (HeadType.IRON, HeadType.WEDGE)


def in_order(clubs: Iterable[Carried]) -> tuple[Carried, ...]:
    """Clubs from the shortest carry to the longest; equal carries by name, so the order never flickers."""
    return tuple(sorted(clubs, key=lambda club: (club.carry_m, club.name)))
