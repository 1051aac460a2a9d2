"""The closed lists of words that columns hold, from the core that knows what they mean."""

from __future__ import annotations

from enum import StrEnum

from hemicycle_core.bag import GapRule
from hemicycle_core.flight import Firmness
from hemicycle_core.judge import Liking
from hemicycle_core.shots import Intent

LETTERS = "ABCDEFGH"


def words(of: type[StrEnum]) -> list[tuple[str, str]]:
    return [(each.value, each.value) for each in of]


FIRMNESSES, LIKINGS, INTENTS, RULES = words(Firmness), words(Liking), words(Intent), words(GapRule)
SHAPES = ("any", "straight", "draw", "fade")
