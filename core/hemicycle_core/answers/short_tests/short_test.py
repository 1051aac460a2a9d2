"""A test as the answers have it."""

from __future__ import annotations

from collections.abc import Callable, Sequence
from dataclasses import dataclass

from ...facts import Facts
from ...protocols.asked import Standing
from ...protocols.blind import BlindPair
from ...protocols.found import Result
from ..bag import BagNow

Blind = BlindPair


def nothing_found(_bag: BagNow, _told: Sequence[Blind]) -> list[Result]:
    return []


@dataclass(frozen=True)
class ShortTest:
    """key: of its protocol. stands: what it still asks for, of the pair that is under codes, where one is. found: what
    came of it; given the pairs that were hit blind and are told. pairs: that it could be hit blind with."""

    key: str
    stands: Callable[[Facts, Blind | None], Standing]
    found: Callable[[BagNow, Sequence[Blind]], list[Result]] = nothing_found
    pairs: Callable[[Facts], list[tuple[int, int]]] | None = None
