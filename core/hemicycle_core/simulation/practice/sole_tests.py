"""Simulated blind sole tests: a player who likes some soles more than others by a known amount, what he says of them
one after the other, and what the test makes of it.

All in units of the noise of one judgement (1). A usual player calls level what lies within 0.4 of each other, favours
what came last by up to a few tenths either way, marks the very first down for being cold, and likes a sole by another
0.3 more or less from one lie to the next. The other answerers each do one thing otherwise.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, field

import numpy as np
from numpy.typing import NDArray

from ...protocols.sole.ask import LEAST_SOLES, MOST_SOLES, USUAL, Handing, SoleTest, standing
from ...protocols.sole.result import SoleResult, result

Floats = NDArray[np.float64]

FAVOUR_SD, COLD_SD = 0.2, 0.3
SIZES = tuple(range(LEAST_SOLES, MOST_SOLES + 1))
APART = (0.4, 1.6)  # of random soles: one standard deviation of how far they differ, even between these
CELLS = ("all equal", "one by 1.0", "one by 1.5", "random")


@dataclass(frozen=True)
class Answerer:
    """How a player answers. level: what lies within so much is level, None where he never says so; stands: what his
    first favourite has on top from then on; guesses: share of answers that are none; favours: what came last, on top;
    lies: one standard deviation of what a lie adds to a sole; tires: how much the noise has grown by the end."""

    level: float | None = 0.4
    stands: float = 0.0
    guesses: float = 0.0
    favours: float = 0.0
    lies: float = 0.3
    tires: float = 0.0


ANSWERERS = {
    "as usual": Answerer(),
    "stands by his first favourite": Answerer(stands=0.8),
    "never says level": Answerer(level=None),
    "guesses half": Answerer(guesses=0.5),
    "favours what came last": Answerer(favours=0.6),
    "says level often": Answerer(level=1.1),
    "likes another on every lie": Answerer(lies=0.8),
    "tires": Answerer(tires=1.0),
}
ABOUT = 24  # handings by which a player who tires has tired


@dataclass(frozen=True)
class SoleTruth:
    """What a simulated player truly thinks. liked (K,): of each sole; by_place: what the lies add, (places, K); favour,
    cold: of this player."""

    liked: Floats
    by_place: Floats
    favour: float
    cold: float


def draw_truth(
    chance: np.random.Generator, cell: str, count: int, places: int, who: Answerer = ANSWERERS["as usual"]
) -> SoleTruth:
    """A player and soles of one cell of `CELLS`."""
    liked = np.zeros(count)
    if cell == "random":
        liked = chance.normal(0, float(chance.uniform(*APART)), count)
    elif cell != CELLS[0]:
        liked[int(chance.integers(count))] = float(cell.rsplit(maxsplit=1)[-1])
    return SoleTruth(
        liked,
        chance.normal(0, who.lies, (places + 1, count)),
        float(chance.normal(who.favours, FAVOUR_SD)),
        abs(float(chance.normal(0, COLD_SD))),
    )


def play_test(
    test: SoleTest, truth: SoleTruth, chance: np.random.Generator, who: Answerer = ANSWERERS["as usual"]
) -> list[Handing]:
    """The whole test as the player answers it."""
    handed: list[Handing] = []
    favourite: int | None = None
    while (now := standing(test, handed).next) is not None:
        before = handed[-1] if handed else None
        said = None
        if before is not None and before.place == now.place and before.duel == now.duel:
            at = test.places.index(now.place) if not now.duel else len(test.places)
            mine, theirs = (
                truth.liked[test.shown(c)] + truth.by_place[at, test.shown(c)] for c in (now.code, before.code)
            )
            noise = float(chance.normal()) * (1 + who.tires * min(len(handed) / ABOUT, 1.0))
            apart = mine - theirs + truth.favour + (truth.cold if len(handed) == 1 else 0.0) + noise
            apart += who.stands * ((test.shown(now.code) == favourite) - (test.shown(before.code) == favourite))
            level = who.level or 0.0
            said = 1 if apart > level else -1 if apart < -level else 0
            if chance.random() < who.guesses:
                said = int(chance.integers(-1, 2))
            if favourite is None and said:
                favourite = test.shown(now.code if said > 0 else before.code)
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


def score_tests(
    seed: int,
    number: int,
    *,
    short: bool = False,
    who: str = "as usual",
    cells: Sequence[str] = CELLS,
    sizes: Sequence[int] = SIZES,
) -> SoleScore:
    """Test `number` of some cells and sizes with one of `ANSWERERS`; the same seed and number always make the same
    ones."""
    made = SoleScore()
    for cell in cells:
        for count in sizes:
            chance = np.random.default_rng([seed, number, CELLS.index(cell), count])
            test = SoleTest(count, USUAL, seed=int(chance.integers(2**31)), short=short)
            truth = draw_truth(chance, cell, count, len(USUAL), ANSWERERS[who])
            handed = play_test(test, truth, chance, ANSWERERS[who])
            found = result(test, handed, [str(code) for code in range(count)])
            _file(made, (cell, count), found, int(np.argmax(truth.liked)), len(handed))
    return made


@dataclass
class AnswerScore:
    """Sums over tests by answerer of `ANSWERERS`."""

    by: dict[str, SoleScore] = field(default_factory=lambda: {who: SoleScore() for who in ANSWERERS})

    def add(self, other: AnswerScore) -> None:
        for who, score in other.by.items():
            self.by[who].add(score)


ANSWERED = ((CELLS[0], CELLS[3]), (3, 5))  # cells and sizes that every answerer is given


def score_answerers(seed: int, number: int, *, short: bool = False) -> AnswerScore:
    """Test `number` of soles that are one and of random ones, by every answerer."""
    cells, sizes = ANSWERED
    return AnswerScore(
        {who: score_tests(seed, number, short=short, who=who, cells=cells, sizes=sizes) for who in ANSWERERS}
    )


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
