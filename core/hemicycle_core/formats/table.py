"""Reading a delimited text file whose separator, encoding and decimal sign are not known."""

from __future__ import annotations

import csv
import io
import math
import re
from dataclasses import dataclass

from ..errors import BadInput
from ..said import say

NUMBER = re.compile(r"^[+\-\u2212]?\d+(?:\.\d+)?(?:[eE][+\-]?\d+)?$")
SEPARATORS = ",;\t|"
MOST_COLUMNS = 200
MOST_CELL = 2_000  # characters
MOST_DIGITS = 40


@dataclass(frozen=True)
class TableRow:
    """One data row with its line number in the file, first line 1."""

    line: int
    cells: tuple[str, ...]


@dataclass(frozen=True)
class Table:
    headers: tuple[str, ...]
    rows: tuple[TableRow, ...]
    decimal_comma: bool


def decode(data: bytes) -> str:
    """Text of a file by its byte order mark, else UTF-8, else Windows-1252, which takes what is left."""
    if not data.strip():
        raise BadInput(say("file-file-empty-export-shots"), field="file")
    if data[:2] in (b"\xff\xfe", b"\xfe\xff"):
        return data.decode("utf-16", errors="replace")
    if b"\x00" in data[:4096]:
        raise BadInput(say("file-not-text-file-export"), field="file")
    try:
        return data.decode("utf-8-sig")
    except UnicodeDecodeError:
        return data.decode("cp1252", errors="replace")


def _separator(header_line: str) -> str:
    counts = {mark: header_line.count(mark) for mark in SEPARATORS}
    best = max(counts, key=lambda mark: counts[mark])
    return best if counts[best] else ","


@dataclass(frozen=True)
class Line:
    """One line of a grid with its number in the file, first line 1."""

    line: int
    cells: tuple[str, ...]


def read_lines(text: str, *, most_rows: int) -> list[Line]:
    """Every line of a delimited text that holds anything, as wide as it is. Columns, rows and the length of a cell are
    bounded as it is read. Raises BadInput with what to do."""
    separator = _separator_of(text)
    reader = csv.reader(io.StringIO(text, newline=""), delimiter=separator)
    lines: list[Line] = []
    before = csv.field_size_limit(MOST_CELL)
    try:
        for cells in reader:
            if not any(cell.strip() for cell in cells):
                continue
            check_width(len(cells))
            if len(lines) > most_rows:
                raise BadInput(say("file-file-has-over-rows", most=most_rows), field="file")
            lines.append(Line(reader.line_num, tuple(cell.strip() for cell in cells)))
    except csv.Error as error:
        raise BadInput(
            say("file-line-cannot-read-csv", line=reader.line_num, error=str(error)), field="file"
        ) from error
    finally:
        csv.field_size_limit(before)
    return lines


def check_width(columns: int) -> None:
    if columns > MOST_COLUMNS:
        raise BadInput(say("file-file-has-over-columns", most=MOST_COLUMNS), field="file")


SEEN_LINES = 40  # of a file, by which its separator is told


def _separator_of(text: str) -> str:
    """The mark that parts most lines of the beginning into most columns, the same number again and again; lines above a
    table have none of it, and a decimal comma is in some lines more than in others."""
    lines = [line for line in text[: MOST_COLUMNS * MOST_CELL].splitlines() if line.strip()][:SEEN_LINES]
    if lines and re.fullmatch(r"sep=(.)", lines[0].strip()):
        return lines[0].strip()[-1]
    best, most = ",", 0.0
    for mark in SEPARATORS:
        counts = [len(next(csv.reader([line], delimiter=mark), [])) - 1 for line in lines]
        there = [count for count in counts if count]
        if not there:
            continue
        usual = max(set(there), key=lambda count: (there.count(count), count))
        score = there.count(usual) * usual**0.5 * (1.5 if mark != "," else 1.0)
        if score > most:
            best, most = mark, score
    return best


def _first_line(text: str) -> str:
    """The first line that holds anything; the rest of the text is left alone."""
    start = len(text) - len(text.lstrip())
    return re.split(r"[\r\n]", text[start : start + MOST_COLUMNS * MOST_CELL], maxsplit=1)[0]


def _header(cells: list[str]) -> tuple[str, ...]:
    if len(cells) > MOST_COLUMNS:
        raise BadInput(say("file-file-has-over-columns", most=MOST_COLUMNS), field="file")
    return tuple(cell.strip() for cell in cells)


def read_table(text: str, *, most_rows: int) -> Table:
    """Split text into a header and rows; blank lines are passed over, short rows padded. Columns, rows and the length
    of a cell are bounded as it is read, before anything grows. Raises BadInput with what to do."""
    separator = _separator(_first_line(text))
    reader = csv.reader(io.StringIO(text, newline=""), delimiter=separator)
    headers: tuple[str, ...] | None = None
    rows: list[TableRow] = []
    before = csv.field_size_limit(MOST_CELL)
    try:
        for cells in reader:
            if not any(cell.strip() for cell in cells):
                continue
            if headers is None:
                headers = _header(cells)
                continue
            if len(rows) == most_rows:
                raise BadInput(say("file-file-has-over-rows", most=most_rows), field="file")
            kept = [cell.strip() for cell in cells[: len(headers)]]
            rows.append(TableRow(line=reader.line_num, cells=(*kept, *[""] * (len(headers) - len(kept)))))
    except csv.Error as error:
        raise BadInput(
            say("file-line-cannot-read-csv", line=reader.line_num, error=str(error)), field="file"
        ) from error
    finally:
        csv.field_size_limit(before)
    if headers is None or not rows:
        raise BadInput(say("file-file-needs-header-line"), field="file")
    comma = separator != "," and any(re.fullmatch(r"-?\d+,\d+", cell) for row in rows[:50] for cell in row.cells)
    return Table(headers=headers, rows=tuple(rows), decimal_comma=comma)


def number(cell: str, *, decimal_comma: bool = False) -> float | None:
    """A cell as a number; None for blank or a dash. `12.3 R` and `L 4` are sides, right positive.

    Raises BadInput for anything else.
    """
    text = cell.strip().replace("\u2212", "-").replace("\u00a0", " ").rstrip("°").strip()
    if text in ("", "-", "--", "n/a", "N/A", "NaN", "nan"):
        return None
    sign = 1.0
    side = re.fullmatch(r"(?:([LR])\s*)?(.*?)(?:\s*([LR]))?", text)
    if side and (side.group(1) or side.group(3)):
        text, sign = side.group(2), -1.0 if "L" in (side.group(1), side.group(3)) else 1.0
    text = text.replace(" ", "")
    text = text.replace(".", "").replace(",", ".") if decimal_comma else re.sub(r",(?=\d{3}\b)", "", text)
    if len(text) > MOST_DIGITS or not NUMBER.match(text):
        raise BadInput(say("file-not-number", cell=cell[:MOST_DIGITS]))
    value = sign * float(text)
    if not math.isfinite(value):
        raise BadInput(say("file-more-than-any-figure", cell=cell[:MOST_DIGITS]))
    return value
