"""What the shop could hand the player next: heads not yet hit, and what they should do for this player."""

from .expected import Expectation, Expected, HeadRecord, Owned, expect, owned
from .reach import Reach, TypeLine, reach, type_lines
from .shortlist import Offer, Ranked, shortlist

__all__ = [
    "Expectation",
    "Expected",
    "HeadRecord",
    "Offer",
    "Owned",
    "Ranked",
    "Reach",
    "TypeLine",
    "expect",
    "owned",
    "reach",
    "shortlist",
    "type_lines",
]  # fmt: skip
