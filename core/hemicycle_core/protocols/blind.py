"""Two clubs under codes, one as it is played now and a new one: which one is the new one? An answer that is no belief.

A test that is kept so (`Protocol.kept`) is set up, guessed, told and given up by the same rules and addresses.
"""

from __future__ import annotations

from dataclasses import dataclass

from ..said import NOTHING, Said, say, term


@dataclass(frozen=True)
class BlindPair:
    """The club that is played (`old`) and the new one (`fresh`) under two codes, all by the numbers of their builds.
    Which code is which is kept from every answer until it is told (`one_is_old`). guess: the code that is taken for the
    new one; confidence: how sure the player was of it."""

    old: int
    fresh: int
    one: int
    two: int
    one_is_old: bool
    guess: int | None = None
    confidence: str = ""

    @property
    def codes(self) -> tuple[int, int]:
        return self.one, self.two

    def club(self, code: int) -> int:
        """The club that a code is."""
        return self.old if (code == self.one) == self.one_is_old else self.fresh


def told_blind(pair: BlindPair) -> Said:
    """What the player's guess says, once it is told which is which: a sentence; NOTHING where he made none."""
    if pair.guess is None:
        return NOTHING
    if pair.club(pair.guess) != pair.fresh:
        return say("blind-guessed-wrong")
    if pair.confidence == "certain":
        return say("blind-guessed-certain")
    return say("blind-guessed-right", sure=term("confidence", pair.confidence))
