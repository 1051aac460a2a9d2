"""A shots file as a grid of cells, made into one table: where its header is, what stands around it, and what of it is
no shot. Reports with a table a club are read as one table with the club of each."""

from __future__ import annotations

import re
from collections.abc import Sequence
from dataclasses import dataclass, field

from ...errors import BadInput
from ...said import Said, say
from ...units import UNITS, Quantity
from ..club_names import kind_of
from ..table import Line
from .cells import taken_apart
from .own import own_key
from .words import (
    BY_NAME,
    CLUB,
    OTHERS,
    PLAYER,
    SHOT_NUMBERS,
    is_summary,
    named,
    plain,
    reading_named,
    unit_in,
    unit_of,
)

HEADER_WITHIN = 60  # lines: a header further down is none
LEAST_WIDE = 3  # columns: then a line with one cell is no shot
LEAST_NAMED = 2  # cells that a header names, so that it is one beyond doubt
NUMBERED = 0.8  # of the rows: then a row without a number is no shot
CLUB_OF_BLOCK, PLAYER_OF_BLOCK = "Club (from the heading)", "Player (from the heading)"


@dataclass(frozen=True)
class Left:
    """A line that was left out, and why."""

    line: int
    why: Said


@dataclass(frozen=True)
class Sheet:
    """headers and units, the suffix said beside or under each header, empty for none; rows: data, as wide as the
    headers; left: what was left out; said: units that lines above the header name, by quantity."""

    headers: tuple[str, ...]
    units: tuple[str, ...]
    rows: tuple[Line, ...]
    left: tuple[Left, ...] = ()
    said: dict[Quantity, str] = field(default_factory=dict)

    def column(self, index: int) -> list[str]:
        return [row.cells[index] for row in self.rows]


def sheet_of(lines: Sequence[Line]) -> Sheet:
    """The table of a grid. Raises BadInput where there is none."""
    at = _header_at(lines)
    if at is None or at + 1 >= len(lines):
        raise BadInput(say("file-file-needs-header-line"), field="file")
    width = max((i + 1 for i, cell in enumerate(lines[at].cells) if cell), default=0)
    headers = tuple(lines[at].cells[:width])
    units = [unit_in(header) or "" for header in headers]
    below = list(lines[at + 1 :])
    if below and _is_units(below[0], width):
        beside = [unit_of(cell) or "" for cell in _padded(below.pop(0), width)]
        units = [under or own for under, own in zip(beside, units, strict=True)]
    left = [Left(line.line, say("file-stands-above-header", words=_words(line))) for line in lines[:at]]
    body = _Body(headers, left)
    for line in lines[:at]:
        body.heading(line)
    left = body.left = []
    for line in below:
        body.add(line, width)
    if not body.rows:
        raise BadInput(say("file-file-needs-header-line"), field="file")
    return body.made(units, _said(lines[:at]))


class _Body:
    """The lines under a header, one by one."""

    def __init__(self, headers: tuple[str, ...], left: list[Left]) -> None:
        self.headers, self.left = headers, left
        self.rows: list[Line] = []
        self.clubs: list[str] = []
        self.players: list[str] = []
        self.club = self.player = ""
        self.other = False
        names = [reading_named(header) for header in headers]
        self.club_at = names.index(CLUB) if CLUB in names else None
        self.numbers_at = next((i for i, header in enumerate(headers) if named(header) in SHOT_NUMBERS), None)
        # Where a row says that it is an average: at its beginning, or where the others have their number or club.
        bare = {i for i, header in enumerate(headers) if not header}
        self.labels_at = sorted({0, *bare, *(i for i in (self.club_at, self.numbers_at) if i is not None)})

    def heading(self, line: Line) -> bool:
        """Whether a line names the club or the player of what stands under it."""
        words = [cell for cell in line.cells if cell]
        alone = len(words) == 1 and len(self.headers) >= LEAST_WIDE
        if not words or len(words) > 2 or any(_is_figure(word) for word in words[0 if not alone else 1 :]):
            return False
        text = " ".join(words)
        label, _, rest = text.partition(":") if ":" in text else (words[0], "", " ".join(words[1:]))
        key = BY_NAME.get(plain(label), "")
        if key == CLUB and rest.strip():
            self.club = _bare(rest)
        elif key == PLAYER and rest.strip():
            self.player = rest.strip()
        elif len(words) == 1 and (kind_of(_bare(text)) is not None or (alone and self.club and self.rows)):
            self.club = _bare(text)  # what is no club by its name is asked: it is not the one before
        else:
            return False
        return True

    def add(self, line: Line, width: int) -> None:
        cells = _padded(line, width)
        if not any(cells):
            return
        if [plain(cell) for cell in cells] == [plain(header) for header in self.headers]:
            self.other = False
            return
        if _is_units(line, width):
            return
        if _names(line) > LEAST_NAMED and not any(map(_is_figure, cells)):
            self.other = True
            self.left.append(Left(line.line, say("file-other-columns-from-here")))
        elif self.heading(line):
            self.other = False
        elif self.other:
            self.left.append(Left(line.line, say("file-under-another-header")))
        elif (what := self._summary(cells)) is not None:
            self.left.append(Left(line.line, say("file-no-shot", what=what)))
        elif sum(map(bool, cells)) == 1 and not any(map(_is_figure, cells)):
            self.left.append(Left(line.line, say("file-has-no-figures", what=_words(line))))
        else:
            self.rows.append(Line(line.line, cells))
            self.clubs.append(self.club)
            self.players.append(self.player)

    def _summary(self, cells: Sequence[str]) -> str | None:
        for index in self.labels_at:
            cell = cells[index]
            if cell and not _is_figure(cell) and is_summary(cell, wholly=index == self.club_at):
                return cell
        return None

    def made(self, units: Sequence[str], said: dict[Quantity, str]) -> Sheet:
        rows, keep = self._numbered()
        headers, wide = list(self.headers), list(units)
        for values, header in ((self.clubs, CLUB_OF_BLOCK), (self.players, PLAYER_OF_BLOCK)):
            if any(values) and not (header == CLUB_OF_BLOCK and self.club_at is not None):
                headers.append(header)
                wide.append("")
                rows = [Line(row.line, (*row.cells, values[i])) for row, i in zip(rows, keep, strict=True)]
        return Sheet(
            tuple(headers), tuple(wide), tuple(rows), tuple(sorted(self.left, key=lambda each: each.line)), said
        )

    def _numbered(self) -> tuple[list[Line], list[int]]:
        """The rows, without those that have no number where nearly all have one."""
        keep, at = list(range(len(self.rows))), self.numbers_at
        if at is not None:
            numbered = [i for i in keep if self.rows[i].cells[at]]
            if NUMBERED * len(keep) <= len(numbered) < len(keep):
                bare = [self.rows[i] for i in keep if not self.rows[i].cells[at]]
                self.left += [Left(row.line, say("file-has-no-number-shots")) for row in bare]
                keep = numbered
        return [self.rows[i] for i in keep], keep


def _header_at(lines: Sequence[Line]) -> int | None:
    near = list(lines[:HEADER_WITHIN])
    scores = [_names(line) for line in near]
    if scores and max(scores) >= LEAST_NAMED:
        return scores.index(max(scores))
    return 0 if near else None


def _names(line: Line) -> int:
    """How many cells of a line are names of columns."""
    return sum(
        1
        for cell in line.cells
        if cell and not _is_figure(cell) and (reading_named(cell) or named(cell) in OTHERS or own_key(cell))
    )


def _is_units(line: Line, width: int) -> bool:
    cells = [cell for cell in _padded(line, width) if cell]
    return len(cells) >= 1 and all(unit_of(cell) is not None for cell in cells)


def _is_figure(cell: str) -> bool:
    try:
        return taken_apart(cell) is not None
    except BadInput:
        return False


def _padded(line: Line, width: int) -> tuple[str, ...]:
    kept = line.cells[:width]
    return (*kept, *[""] * (width - len(kept)))


def _words(line: Line) -> str:
    return ", ".join(cell for cell in line.cells if cell)[:60]


def _bare(heading: str) -> str:
    """The club of a heading, without how many shots it says stand under it."""
    return re.sub(r"(?i)[\s\-–(,:]*\d+\s*(shots?|schläge|coups)\)?$", "", heading).strip(" :-–")


def _said(lines: Sequence[Line]) -> dict[Quantity, str]:
    """Units named once for the whole file, as `Units: yards, mph`; a quantity with two says nothing."""
    found: dict[Quantity, set[str]] = {}
    for line in lines:
        text = " ".join(line.cells).lower()
        if not re.search(r"unit|einheit|unité|distance|speed|entfernung|geschwindigkeit", text):
            continue
        for word in re.findall(r"[^\s,;:()\[\]|]+", text):
            unit = unit_of(word)
            if unit is not None and UNITS[unit].quantity in (Quantity.LENGTH, Quantity.SPEED):
                found.setdefault(UNITS[unit].quantity, set()).add(unit)
    return {quantity: units.pop() for quantity, units in found.items() if len(units) == 1}
