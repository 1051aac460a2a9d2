"""Simulated blind sole tests: a player who likes some soles more than others by a known amount, what he says of them
one after the other, and what the test makes of it.

All in units of the noise of one judgement (1). A player calls level what lies within 0.4 of each other, favours what
came last by up to a few tenths either way, marks the very first down for being cold, and likes a sole by another 0.3
more or less from one lie to the next.
"""

from __future__ import annotations

from dataclasses import dataclass, field

import numpy as np
from numpy.typing import NDArray

from ...protocols.sole import LEAST_SOLES, MOST_SOLES, USUAL, Handing, SoleTest, standing
from ...protocols.sole_result import SoleResult, result

Floats = NDArray[np.float64]

LEVEL, FAVOUR_SD, COLD_SD, LIE_SD = 0.4, 0.2, 0.3, 0.3
SIZES = tuple(range(LEAST_SOLES, MOST_SOLES + 1))
APART = (0.4, 1.6)  # of random soles: one standard deviation of how far they differ, even between these
CELLS = ("all equal", "one by 1.0", "one by 1.5", "random")


@dataclass(frozen=True)
class SoleTruth:
    """What a simulated player truly thinks. liked (K,): of each sole; by_place: what the lies add, (places, K); favour,
    cold: of this player."""

    liked: Floats
    by_place: Floats
    favour: float
    cold: float


def draw_truth(chance: np.random.Generator, cell: str, count: int, places: int) -> SoleTruth:
    """A player and soles of one cell of `CELLS`."""
    liked = np.zeros(count)
    if cell == "random":
        liked = chance.normal(0, float(chance.uniform(*APART)), count)
    elif cell != CELLS[0]:
        liked[int(chance.integers(count))] = float(cell.rsplit(maxsplit=1)[-1])
    return SoleTruth(
        liked,
        chance.normal(0, LIE_SD, (places + 1, count)),
        float(chance.normal(0, FAVOUR_SD)),
        abs(float(chance.normal(0, COLD_SD))),
    )


def play_test(test: SoleTest, truth: SoleTruth, chance: np.random.Generator) -> list[Handing]:
    """The whole test as the player answers it."""
    handed: list[Handing] = []
    while (now := standing(test, handed).next) is not None:
        before = handed[-1] if handed else None
        said = None
        if before is not None and before.place == now.place and before.duel == now.duel:
            at = test.places.index(now.place) if not now.duel else len(test.places)
            mine, theirs = (
                truth.liked[test.shown(c)] + truth.by_place[at, test.shown(c)] for c in (now.code, before.code)
            )
            apart = mine - theirs + truth.favour + (truth.cold if len(handed) == 1 else 0.0) + float(chance.normal())
            said = 1 if apart > LEVEL else -1 if apart < -LEVEL else 0
        handed.append(Handing(now.code, now.place, said, duel=now.duel))
    return handed


@dataclass
class SoleScore:
    """Sums over tests by cell and number of soles: first: the best came first; named: whether one was, right: and it
    was the best; held: the 80% set held the best, sizes: of that set; stated: the certainty told of the first; same: no
    difference was told; handings: of the whole test."""

    first: dict[tuple[str, int], list[bool]] = field(default_factory=dict)
    named: dict[tuple[str, int], list[bool]] = field(default_factory=dict)
    right: dict[tuple[str, int], list[bool]] = field(default_factory=dict)
    held: dict[tuple[str, int], list[bool]] = field(default_factory=dict)
    sizes: dict[tuple[str, int], list[int]] = field(default_factory=dict)
    stated: dict[tuple[str, int], list[float]] = field(default_factory=dict)
    same: dict[tuple[str, int], list[bool]] = field(default_factory=dict)
    handings: dict[tuple[str, int], list[int]] = field(default_factory=dict)

    def add(self, other: SoleScore) -> None:
        for name in vars(self):
            mine, theirs = getattr(self, name), getattr(other, name)
            for key, values in theirs.items():
                mine.setdefault(key, []).extend(values)


def score_tests(seed: int, number: int, *, short: bool = False) -> SoleScore:
    """Test `number` of every cell and size; the same seed and number always make the same ones."""
    made = SoleScore()
    for cell in CELLS:
        for count in SIZES:
            chance = np.random.default_rng([seed, number, CELLS.index(cell), count])
            test = SoleTest(count, USUAL, seed=int(chance.integers(2**31)), short=short)
            truth = draw_truth(chance, cell, count, len(USUAL))
            handed = play_test(test, truth, chance)
            found = result(test, handed, [str(code) for code in range(count)])
            _file(made, (cell, count), found, int(np.argmax(truth.liked)), len(handed))
    return made


def _file(made: SoleScore, key: tuple[str, int], found: SoleResult, best: int, handings: int) -> None:
    first = found.order[0]
    made.first.setdefault(key, []).append(first == best)
    made.named.setdefault(key, []).append(found.named is not None)
    if found.named is not None:
        made.right.setdefault(key, []).append(found.named == best)
    made.held.setdefault(key, []).append(best in found.likely)
    made.sizes.setdefault(key, []).append(len(found.likely))
    made.stated.setdefault(key, []).append(found.sure)
    made.same.setdefault(key, []).append(found.same)
    made.handings.setdefault(key, []).append(handings)
