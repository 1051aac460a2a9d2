"""A workbook as a grid of cells, one sheet of it, bounded before anything grows."""

from __future__ import annotations

import io
import warnings
import zipfile
from collections.abc import Iterator
from typing import Any

from openpyxl import load_workbook

from ..errors import BadInput
from ..said import say
from .table import MOST_CELL, Line, check_width

MOST_UNPACKED = 40_000_000  # bytes
MOST_PARTS = 2_000


def is_workbook(data: bytes) -> bool:
    return data[:4] == b"PK\x03\x04"


def read_workbook(data: bytes, sheet: str, *, most_rows: int) -> tuple[list[str], list[Line]]:
    """The names of a workbook's sheets and the lines of one of them, the first where none is named. Formulas stand as
    they were worked out last. Raises BadInput for what is no workbook, or a larger one."""
    _check_size(data)
    try:
        with warnings.catch_warnings():
            warnings.simplefilter("ignore")  # of styles and extensions that say nothing of the cells
            book = load_workbook(io.BytesIO(data), read_only=True, data_only=True)
    except Exception as error:  # whatever a broken archive makes of it, it is no workbook
        raise BadInput(say("file-workbook-cannot-opened-save"), field="file") from error
    try:
        names = [each.title for each in book.worksheets]
        if not names or (sheet and sheet not in names):
            raise BadInput(say("file-workbook-has-no-such"), field="sheet")
        return names, list(_lines(book[sheet or names[0]], most_rows))
    finally:
        book.close()


def _lines(sheet: Any, most_rows: int) -> Iterator[Line]:
    count = 0
    for number, row in enumerate(sheet.iter_rows(values_only=True), start=1):
        cells = tuple(_written(value) for value in row)
        while cells and not cells[-1]:
            cells = cells[:-1]
        if not cells:
            if number > 50 * most_rows:
                return
            continue
        check_width(len(cells))
        if count > most_rows:
            raise BadInput(say("file-sheet-has-over-rows", most=most_rows), field="file")
        count += 1
        yield Line(number, cells)


def _written(value: Any) -> str:
    """A cell as text; figures with a point and nothing between thousands."""
    if value is None:
        return ""
    if isinstance(value, float):
        return f"{value:.0f}" if value.is_integer() and abs(value) < 1e15 else repr(round(value, 10))
    return str(value).strip()[:MOST_CELL]


def _check_size(data: bytes) -> None:
    """A small archive may unpack into a very large one."""
    try:
        with zipfile.ZipFile(io.BytesIO(data)) as packed:
            parts = packed.infolist()
    except zipfile.BadZipFile as error:
        raise BadInput(say("file-workbook-cannot-opened-save"), field="file") from error
    if len(parts) > MOST_PARTS or sum(part.file_size for part in parts) > MOST_UNPACKED:
        raise BadInput(say("file-workbook-larger-than-session"), field="file")
