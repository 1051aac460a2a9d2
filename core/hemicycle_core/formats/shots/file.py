"""A shots file from its bytes or its text, whatever it was saved as."""

from __future__ import annotations

from dataclasses import dataclass

from ...errors import BadInput
from ...said import say
from ..table import decode, read_lines
from ..xlsx import is_workbook, read_workbook
from .sheet import Sheet, sheet_of

MOST_BYTES = 4_000_000
MOST_ROWS = 2_000


@dataclass(frozen=True)
class Opened:
    """sheets: the names of a workbook's, empty of a text."""

    sheet: Sheet
    sheets: tuple[str, ...] = ()


def open_text(text: str) -> Opened:
    """A delimited text."""
    _check(len(text))
    return Opened(sheet_of(read_lines(text, most_rows=MOST_ROWS)))


def open_bytes(data: bytes, sheet: str = "") -> Opened:
    """A file: a workbook, of which one sheet is read, the first where none is named, or a text in whatever letters."""
    _check(len(data))
    if not is_workbook(data):
        return open_text(decode(data))
    names, lines = read_workbook(data, sheet, most_rows=MOST_ROWS)
    if not lines:
        raise BadInput(say("file-sheet-empty-choose-another"), field="sheet")
    return Opened(sheet_of(lines), tuple(names))


def _check(size: int) -> None:
    if size > MOST_BYTES:
        raise BadInput(say("file-file-over-mb-more"), field="file")
