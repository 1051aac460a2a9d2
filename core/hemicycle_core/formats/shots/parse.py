"""Rows of a shots file to shots in canonical units; what cannot be read is listed and the rest goes in."""

from __future__ import annotations

import re
from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field, replace
from enum import StrEnum
from typing import Any

from ...errors import BadInput
from ...protocols import PROTOCOLS
from ...runs import FULL, Ball, check_grip, check_wind, swing_length
from ...said import Said, joined, listed, say
from ...shots import READINGS, Intent, Source, Strike, check_readings
from ...units import Quantity
from ..table import Line
from .cells import Mark, figure, mark_of
from .columns import Column, check_mapping, file_mark
from .own import (
    ASIDE,
    LENGTH,
    MISREAD,
    OF_RUN,
    OLD_SWING,
    PROTOCOL,
    SESSION,
    SOURCES,
    STRIKE,
    VOID,
    WORDS_OF_SHOT,
)
from .sheet import Sheet
from .words import CLUB, NOBODY, PLAYER, plain

BLANK = say("file-cell-was-left-blank")
NEVER_NOUGHT = ("club_speed_mps", "ball_speed_mps", "spin_rpm", "landing_deg", "peak_m", "hang_s", "dynamic_loft_deg")
ALL_NOUGHT = 3  # rows: a column that is nought in all of so many was not read
YES = frozenset(("1", "yes", "y", "true", "x", "ja", "oui"))


@dataclass(frozen=True)
class RunSaid:
    """What a file says of how a shot was hit: see `models.Run` for the words."""

    intent: Intent = Intent.STOCK
    lie: str = ""
    swing_length: str = FULL
    struck_ball: Ball = Ball.OWN
    protocol: str = ""
    old_swing: bool = False
    wind_mps: float = 0.0
    wind_from_deg: float = 0.0
    tee_mm: float | None = None
    gripped_in: float = 0.0
    asked_carry_m: float | None = None


@dataclass(frozen=True)
class ParsedShot:
    """One row. club, whose: as written, whose the player or visit; values: canonical; sources: of its
    values, where the file says them."""

    line: int
    club: str
    values: Mapping[str, float]
    strike: Strike | None = None
    whose: str = ""
    aside: bool = False
    misread: bool = False
    void: tuple[str, ...] = ()
    sources: Mapping[str, Source] = field(default_factory=dict)
    run: RunSaid = field(default_factory=RunSaid)


@dataclass(frozen=True)
class RowProblem:
    """A row that did not go in, or a cell that was left out, with what to do."""

    line: int
    column: str
    sentence: Said


@dataclass(frozen=True)
class Parsed:
    """left: what was left out of the file on purpose, and why."""

    shots: tuple[ParsedShot, ...]
    problems: tuple[RowProblem, ...]
    left: tuple[RowProblem, ...] = ()

    @property
    def players(self) -> dict[str, int]:
        """How many shots there are of each player or visit that the file names."""
        counted: dict[str, int] = {}
        for shot in self.shots:
            counted[shot.whose] = counted.get(shot.whose, 0) + 1
        return counted

    def of(self, whose: str) -> tuple[ParsedShot, ...]:
        return tuple(shot for shot in self.shots if shot.whose == whose)


def parse_shots(sheet: Sheet, columns: Sequence[Column]) -> Parsed:
    """The shots of a sheet by its mapping."""
    check_mapping(columns)
    reader = _Reader(sheet, columns)
    shots: list[ParsedShot] = []
    for row in sheet.rows:
        before = len(reader.problems)
        try:
            shots.append(reader.shot(row))
        except BadInput as error:
            header = next((column.header for column in columns if column.key == error.field), "")
            why = reader.problems[before] if len(reader.problems) > before else RowProblem(row.line, header, error.said)
            # What could not be read of it is why it cannot go in.
            reader.problems[before:] = [replace(why, sentence=_left_out(why.sentence))]
    left = [RowProblem(each.line, "", each.why) for each in sheet.left]
    return Parsed(tuple(shots), tuple(sorted(reader.problems, key=lambda each: each.line)), (*left, *reader.left))


def _left_out(sentence: Said) -> Said:
    """The same, of a row that was left out."""
    return joined([say("file-row-was-left-out") if each == BLANK else each for each in sentence.parts])


class _Reader:
    """The cells of a sheet by what its columns are."""

    def __init__(self, sheet: Sheet, columns: Sequence[Column]) -> None:
        self.columns, self.problems, self.left = columns, list[RowProblem](), list[RowProblem]()
        self.marks: list[Mark | None] = [mark_of(sheet.column(i)) for i in range(len(sheet.headers))]
        self.otherwise = file_mark(sheet)
        self.unread = {i for i, column in enumerate(columns) if self._never_read(sheet, i, column)}

    def _never_read(self, sheet: Sheet, index: int, column: Column) -> bool:
        """A column that is nought in every row: the monitor writes so what it does not read."""
        if column.key not in READINGS:
            return False
        cells = [cell for cell in sheet.column(index) if cell.strip().lower() not in NOBODY]
        if len(cells) < ALL_NOUGHT or any(re.sub(r"[0.,+\-−°\s]|[^\W\d_]", "", cell) for cell in cells):
            return False
        label = READINGS[column.key].label
        self.left.append(RowProblem(sheet.rows[0].line, column.header, say("file-nought-in-every-row", reading=label)))
        return True

    def shot(self, row: Line) -> ParsedShot:
        values: dict[str, float] = {}
        words: dict[str, str] = {}
        said: dict[str, Any] = {}
        for index, (column, cell) in enumerate(zip(self.columns, row.cells, strict=True)):
            if column.key in READINGS and index not in self.unread:
                value = self._cell(row, index, column.unit, READINGS[column.key].quantity)
                if value is not None and not (value == 0 and column.key in NEVER_NOUGHT):
                    values[column.key] = value
            elif column.key in WORDS_OF_SHOT:
                said |= self._word(row, column, cell)
            elif column.key == LENGTH:
                said |= self._length(row, column, cell)
            elif column.key in OF_RUN:
                value = self._cell(row, index, "ratio", Quantity.RATIO)
                said |= {} if value is None else {column.key: value}
            elif column.key:
                words[column.key] = cell
        check_readings(values)
        return self._made(row, values, words, said)

    def _made(self, row: Line, values: dict[str, float], words: dict[str, str], said: dict[str, Any]) -> ParsedShot:
        check_wind(said.get("wind_mps", 0.0), said.get("wind_from_deg", 0.0))
        check_grip(said.get("gripped_in", 0.0))
        protocol = words.get(PROTOCOL, "")
        if protocol and protocol not in PROTOCOLS:
            raise BadInput(say("file-no-test-known-here", protocol=protocol), field=PROTOCOL)
        strike = said.pop(STRIKE, None)
        lie = said.pop("lie", None)
        run = RunSaid(
            lie=lie.value if lie else "",
            protocol=protocol,
            old_swing=_yes(words, OLD_SWING),
            **said,
        )
        void = tuple(key for key in READINGS if key in words.get(VOID, "").split())
        return ParsedShot(
            row.line,
            words.get(CLUB, "").removeprefix("'"),
            values,
            strike,
            words.get(PLAYER, "") or words.get(SESSION, ""),
            aside=_yes(words, ASIDE),
            misread=_yes(words, MISREAD),
            void=void,
            sources=_sources(words[SOURCES], values) if SOURCES in words else {},
            run=run,
        )

    def _cell(self, row: Line, index: int, unit: str, quantity: Quantity) -> float | None:
        column, cell = self.columns[index], row.cells[index]
        try:
            return figure(cell, mark=self.marks[index], otherwise=self.otherwise, unit=unit, quantity=quantity)
        except BadInput as error:
            self.problems.append(RowProblem(row.line, column.header, joined([error.said, BLANK])))
            return None

    def _length(self, row: Line, column: Column, cell: str) -> dict[str, Any]:
        try:
            return {LENGTH: swing_length(_joined(cell))} if cell else {}
        except BadInput as error:
            self.problems.append(RowProblem(row.line, column.header, joined([error.said, BLANK])))
            return {}

    def _word(self, row: Line, column: Column, cell: str) -> dict[str, Any]:
        """A word of a closed list as it may be written, with blanks or hyphens."""
        known: type[StrEnum] = WORDS_OF_SHOT[column.key]
        if _joined(cell) in set(known):
            return {column.key: known(_joined(cell))}
        if cell and column.key != STRIKE:
            words = listed(each.value.replace("_", " ") for each in known)
            sentence = say("file-not-one", text=cell, known=words)
            self.problems.append(RowProblem(row.line, column.header, joined([sentence, BLANK])))
        return {}


def _joined(cell: str) -> str:
    return re.sub(r"[\s\-]+", "_", cell.strip().lower())


def _yes(words: Mapping[str, str], key: str) -> bool:
    return plain(words.get(key, "")) in YES


def _sources(cell: str, values: Mapping[str, float]) -> dict[str, Source]:
    """`carry_m:modelled peak_m:computed`; what is not named was measured."""
    made = dict.fromkeys(values, Source.MEASURED)
    for part in cell.split():
        key, _, source = part.partition(":")
        if key in values and source in set(Source):
            made[key] = Source(source)
    return made
