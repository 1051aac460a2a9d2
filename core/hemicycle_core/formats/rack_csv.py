"""The rack as CSV: one row a head or a shaft, read with every row checked, written as it is read (docs/formats)."""

from __future__ import annotations

import csv
import io
import re
from collections.abc import Callable, Iterable, Mapping, Sequence
from dataclasses import dataclass
from enum import StrEnum
from typing import Any, Generic, TypeVar

from ..errors import BadInput
from ..heads import HeadType
from ..rack.eligible import Position
from ..rack.stock import Bend, HeadSpec, Made, MadeForHand, ShaftSpec, check_head, check_shaft_spec
from ..said import Form, listed, say
from ..said import number as figure
from .csv_out import harmless
from .shots import RowProblem
from .table import Table, TableRow, number, read_table

MOST_ROWS = 2_000
HEAD_COLUMNS = (
    "maker", "model", "label", "type", "loft_deg", "lie_deg", "length_in", "sleeve_deg", "positions", "tip_in", "hand",
    "sole", "bounce_deg", "head_g", "made", "stock", "price",
)  # fmt: skip
SHAFT_COLUMNS = (
    "name", "flex", "weight_g", "material", "tip_in", "fits", "bend", "balance", "length_in", "stock",
)  # fmt: skip
Spec = TypeVar("Spec", HeadSpec, ShaftSpec)
Word = TypeVar("Word", bound=StrEnum)


@dataclass(frozen=True)
class ReadRack(Generic[Spec]):
    """rows: what can go in, with its line in the file; problems: the rows that cannot, with what to do."""

    rows: tuple[tuple[int, Spec], ...]
    problems: tuple[RowProblem, ...]


def written_positions(positions: Sequence[Position]) -> str:
    """A sleeve's table in one cell: `A +1 0.5 -0.5; B 0 0 0`, each name, loft, lie and face."""
    return "; ".join(f"{each.name} {each.loft_deg:g} {each.lie_deg:g} {each.face_deg:g}" for each in positions)


def read_positions(cell: str, *, decimal_comma: bool = False) -> tuple[Position, ...]:
    """Raises BadInput for a table that is not one."""
    made = []
    cell = cell.removeprefix("'")  # what makes a first name such as +1 harmless to a spreadsheet
    for part in filter(None, (each.strip() for each in cell.split(";"))):
        words = say("file-no-position-give-name", part=part)
        name, *figures = part.rsplit(maxsplit=3)
        try:
            values = [number(each.removeprefix("+"), decimal_comma=decimal_comma) for each in figures]
        except BadInput as error:
            raise BadInput(words, field="positions") from error
        known = [value for value in values if value is not None]
        if len(known) < 3:
            raise BadInput(words, field="positions")
        made.append(Position(name, *known))
    return tuple(made)


class _Cells:
    """One row by column name; what is wrong with a cell names its column."""

    def __init__(self, table: Table, row: TableRow) -> None:
        self.table, self.by = table, dict(zip((each.lower() for each in table.headers), row.cells, strict=True))

    def text(self, name: str) -> str:
        return self.by.get(name, "").strip()

    def figure(self, name: str, otherwise: float | None = None) -> float | None:
        try:
            value = number(self.by.get(name, ""), decimal_comma=self.table.decimal_comma)
        except BadInput as error:
            raise BadInput(str(error), field=name) from error
        return otherwise if value is None else value

    def needed(self, name: str) -> float:
        value = self.figure(name)
        if value is None:
            raise BadInput(say("file-give", name=name), field=name)
        return value

    def whole(self, name: str, otherwise: int | None = None, *, needed: bool = False) -> int | None:
        value = self.needed(name) if needed else self.figure(name)
        if value is None:
            return otherwise
        if value != int(value):
            raise BadInput(say("file-whole-number-not", name=name, value=figure(value, form=Form.SHORT)), field=name)
        return int(value)

    def word(self, name: str, of: type[Word], otherwise: Word | None = None) -> Word:
        written = self.text(name).lower()
        if not written and otherwise is not None:
            return otherwise
        if written not in set(of):
            raise BadInput(say("file-not-one", text=self.text(name), known=listed(of)), field=name)
        return of(written)


def _head(cells: _Cells) -> HeadSpec:
    spec = HeadSpec(
        maker=cells.text("maker"),
        model=cells.text("model"),
        label=cells.text("label"),
        head_type=cells.word("type", HeadType),
        loft_deg=cells.needed("loft_deg"),
        length_in=cells.needed("length_in"),
        price=cells.needed("price"),
        lie_deg=cells.figure("lie_deg"),
        sleeve_deg=cells.figure("sleeve_deg", 0.0) or 0.0,
        positions=read_positions(cells.text("positions"), decimal_comma=cells.table.decimal_comma),
        tip_in=cells.figure("tip_in", 0.37) or 0.37,
        hand=cells.word("hand", MadeForHand, MadeForHand.BOTH),
        sole=cells.text("sole"),
        bounce_deg=cells.figure("bounce_deg"),
        head_g=cells.whole("head_g"),
        made=cells.word("made", Made, Made.UNKNOWN),
        stock=cells.whole("stock", 1) or 0,
    )
    check_head(spec)
    return spec


def _shaft(cells: _Cells) -> ShaftSpec:
    kinds = [each for each in re.split(r"[;,\s]+", cells.text("fits").lower()) if each]
    unknown = next((each for each in kinds if each not in set(HeadType)), None)
    if unknown is not None:
        raise BadInput(say("file-no-kind-head", unknown=unknown), field="fits")
    spec = ShaftSpec(
        name=cells.text("name"),
        flex=cells.text("flex"),
        weight_g=cells.whole("weight_g", needed=True) or 0,
        material=cells.text("material"),
        tip_in=cells.needed("tip_in"),
        fits=tuple(HeadType(each) for each in kinds),
        bend=cells.word("bend", Bend, Bend.UNKNOWN),
        balance=cells.figure("balance"),
        length_in=cells.figure("length_in"),
        stock=cells.whole("stock", 1) or 0,
    )
    check_shaft_spec(spec)
    return spec


def _read(text: str, columns: Sequence[str], needed: Sequence[str], make: Callable[[_Cells], Spec]) -> ReadRack[Spec]:
    table = read_table(text, most_rows=MOST_ROWS)
    there = {each.lower() for each in table.headers}
    missing = [each for each in needed if each not in there]
    if missing:
        raise BadInput(say("file-header-needs-may-have", missing=listed(missing), known=listed(columns)), field="file")
    rows, problems = [], []
    for row in table.rows:
        try:
            rows.append((row.line, make(_Cells(table, row))))
        except BadInput as error:
            problems.append(RowProblem(row.line, error.field or "", error.said))
    return ReadRack(tuple(rows), tuple(problems))


def read_heads(text: str) -> ReadRack[HeadSpec]:
    """Heads of a CSV by our header, in any order. Raises BadInput for a file that is not one."""
    return _read(text, HEAD_COLUMNS, ("label", "type", "loft_deg", "length_in", "price"), _head)


def read_shafts(text: str) -> ReadRack[ShaftSpec]:
    """Shafts of a CSV by our header, in any order. Raises BadInput for a file that is not one."""
    return _read(text, SHAFT_COLUMNS, ("name", "flex", "weight_g", "material", "tip_in", "fits"), _shaft)


def _written(columns: Sequence[str], rows: Iterable[Mapping[str, Any]]) -> str:
    out = io.StringIO()
    writer = csv.writer(out, lineterminator="\n")
    writer.writerow(columns)
    for row in rows:
        writer.writerow(["" if row[name] is None else harmless(row[name]) for name in columns])
    return out.getvalue()


def heads_csv(heads: Iterable[HeadSpec]) -> str:
    """Heads as CSV, as `read_heads` reads them."""
    return _written(
        HEAD_COLUMNS,
        ({**vars(each), "type": each.head_type, "positions": written_positions(each.positions)} for each in heads),
    )


def shafts_csv(shafts: Iterable[ShaftSpec]) -> str:
    """Shafts as CSV, as `read_shafts` reads them."""
    return _written(SHAFT_COLUMNS, ({**vars(each), "fits": " ".join(each.fits)} for each in shafts))
