"""A test as the answers have it."""

from __future__ import annotations

from collections.abc import Callable, Sequence
from dataclasses import dataclass

from ...facts import Facts
from ...protocols.asked import Standing
from ...protocols.blind import BlindPair
from ...protocols.found import Result, Tested
from ..bag import BagNow

Blind = BlindPair


def nothing_found(_bag: BagNow, _told: Sequence[Blind]) -> list[Result]:
    return []


def nothing_told(_bag: BagNow) -> list[Tested]:
    return []


@dataclass(frozen=True)
class ShortTest:
    """key: of its protocol. stands: what it still asks for, of the pair that is under codes, where one is. found: what
    came of it; given the pairs that were hit blind and are told. pairs: that it could be hit blind with. tells: what it
    says of clubs that are played beside new ones, for the decision."""

    key: str
    stands: Callable[[Facts, Blind | None], Standing]
    found: Callable[[BagNow, Sequence[Blind]], list[Result]] = nothing_found
    pairs: Callable[[Facts], list[tuple[int, int]]] | None = None
    tells: Callable[[BagNow], list[Tested]] = nothing_told
