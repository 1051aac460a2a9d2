"""What came of a test over all its clubs together, in one form for every test: a sentence, a table and remarks."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace
from enum import StrEnum

from ..said import NOTHING, Said, joined


class Outcome(StrEnum):
    """What is to be done, where the test says so: keep what is played, replace it, or nothing is told yet."""

    REPLACE = "replace"
    KEEP = "keep"
    OPEN = "open"


@dataclass(frozen=True)
class Tested:
    """What a test says of a club that is played beside a new one, by their keys. sentence: why; saves: strokes a round
    that the new one saves by what was told, 0 while nothing is; seen: by eyes on the ground, not computed from how
    balls left."""

    old: int
    fresh: int
    outcome: Outcome
    sentence: Said
    saves: float = 0.0
    seen: bool = False


def together(tests: Sequence[Tested]) -> Tested:
    """What several tests of one pair say: one that finds the club worth replacing is enough, and one that tells nothing
    yet leaves it open."""
    outcomes = {each.outcome for each in tests}
    outcome = next(each for each in (Outcome.REPLACE, Outcome.OPEN, Outcome.KEEP) if each in outcomes)
    say_so = [each for each in tests if each.outcome is outcome]
    why = joined([each.sentence for each in say_so], "; ")
    return replace(say_so[0], sentence=why, saves=max(each.saves for each in say_so))


@dataclass(frozen=True)
class Figure:
    """at: canonical, of each club of the result, or of the one of its row; None where it is not known. half: half of
    the 90% interval of what it is about, None while that is not known. told: whether it is more than chance."""

    at: tuple[float | None, ...]
    half: float | None = None
    told: bool = False


@dataclass(frozen=True)
class Row:
    """name: of what it is about; club: that it is of, None where it is of all of them; shots: of each."""

    name: Said
    club: int | None
    shots: tuple[int, ...]
    figures: Mapping[str, Figure]


@dataclass(frozen=True)
class Column:
    """key: under which a row has it; reading: in whose unit it is shown, and with so many digits where not said
    otherwise."""

    key: str
    name: Said
    reading: str
    digits: int | None = None


@dataclass(frozen=True)
class Result:
    """test: its key. title: as it is headed; clubs: that are held side by side in each row, by key; outcome and
    sentence: what came of it; remarks: what else is to be known."""

    test: str
    title: Said
    clubs: tuple[int, ...]
    columns: tuple[Column, ...]
    rows: tuple[Row, ...]
    outcome: Outcome | None = None
    sentence: Said = NOTHING
    remarks: tuple[Said, ...] = ()
