"""`./hemicycle flight FILE`: launch conditions in, flights out."""

from __future__ import annotations

import argparse
import contextlib
import csv
import json
import sys
from collections.abc import Iterator, Mapping
from dataclasses import dataclass, field
from functools import cache
from pathlib import Path
from typing import TextIO

from hemicycle_core.errors import BadInput
from hemicycle_core.flight import Anchor
from hemicycle_core.formats.flight_rows import FlightRow, FlightTable, FlownRow, anchor_rows, read_change, read_header
from hemicycle_core.formats.json_text import read_json
from hemicycle_core.formats.table import MOST_COLUMNS, decode, read_table
from hemicycle_core.judge import Change

DECIMALS = {"s": 2, "rpm": 0}
MOST_ROWS = 200_000
MOST_BYTES = 100_000_000
MOST_SAID = 20  # reasons on standard error; the rest is counted


@dataclass(frozen=True)
class Input:
    """The rows of a file and its columns in order. json: one object a line."""

    headers: list[str]
    rows: list[FlightRow]
    json: bool
    bad: list[str]
    decimal_comma: bool = False


def read_input(text: str) -> Input:
    """CSV with a header, or JSON lines when the first line starts with a brace."""
    if not text.lstrip().startswith("{"):
        table = read_table(text, most_rows=MOST_ROWS)
        rows = [FlightRow(row.line, dict(zip(table.headers, row.cells, strict=True))) for row in table.rows]
        return Input(list(table.headers), rows, json=False, bad=[], decimal_comma=table.decimal_comma)
    headers: dict[str, None] = {}
    rows, bad = [], []
    for number, line in enumerate(text.splitlines(), start=1):
        if not line.strip():
            continue
        try:
            cells = read_json(line)
        except BadInput as error:
            bad.append(f"Line {number} skipped: {error}")
            continue
        if not isinstance(cells, dict):
            bad.append(f"Line {number} skipped: it is not one JSON object.")
            continue
        if len(rows) == MOST_ROWS:
            raise BadInput(f"The file has over {MOST_ROWS:,} rows. Fly it in parts.", field="file")
        headers.update(dict.fromkeys(cells))
        if len(headers) > MOST_COLUMNS:
            raise BadInput(f"The lines name over {MOST_COLUMNS} columns. Write shots, one in a line.", field="file")
        rows.append(FlightRow(number, cells))
    if not rows:
        raise BadInput("No line of the file is a JSON object.", field="file")
    return Input(list(headers), rows, json=True, bad=bad)


@dataclass(frozen=True)
class TableOptions:
    """What the command line asked for beside the file."""

    anchored: Anchor = field(default_factory=Anchor)
    changes: tuple[Change, ...] = ()
    metric: bool = False


class Progress:
    """A line on a terminal that says how far it is; silent elsewhere."""

    def __init__(self, errors: TextIO, total: int) -> None:
        self.errors, self.total, self.shown = errors, total, errors.isatty() and total > 5000

    def at(self, done: int) -> None:
        if self.shown and (done % 2000 == 0 or done == self.total):
            end = "\n" if done == self.total else ""
            self.errors.write(f"\r{done:,} of {self.total:,} flown{end}")
            self.errors.flush()


@cache
def _decimals(name: str) -> int:
    return DECIMALS.get(name.rpartition("_")[2], 1)


def _rounded(added: Mapping[str, float]) -> dict[str, float]:
    """Rounded as its unit is read; adding nought takes the sign off a rounded nought."""
    return {name: round(value, _decimals(name)) + 0.0 for name, value in added.items()}


def _write(flown: Iterator[FlownRow], given: Input, table: FlightTable, output: TextIO, errors: TextIO) -> int:
    """Write the rows that could be flown; returns how many could not."""
    progress, skipped = Progress(errors, len(given.rows)), 0
    writer = csv.writer(output, lineterminator="\n")
    names = table.added()
    if not given.json:
        writer.writerow([*given.headers, *names])
    for done, row in enumerate(flown, start=1):
        if row.added is None:
            skipped += 1
            if skipped <= MOST_SAID:
                print(f"Line {row.row.line} skipped: {row.problem}", file=errors)
        elif given.json:
            output.write(json.dumps({**row.row.cells, **_rounded(row.added)}, ensure_ascii=False) + "\n")
        else:
            cells = [row.row.cells.get(header, "") for header in given.headers]
            rounded = _rounded(row.added)
            writer.writerow([*cells, *(f"{rounded[name]:.{_decimals(name)}f}" for name in names)])
        progress.at(done)
    if skipped > MOST_SAID:
        print(f"{skipped - MOST_SAID} more lines skipped.", file=errors)
    return skipped


def fly_file(text: str, output: TextIO, errors: TextIO, options: TableOptions | None = None) -> int:
    """Write the rows back with their flights; 1 when a row was skipped."""
    given = read_input(text)
    options = options or TableOptions()
    table = FlightTable(
        columns=read_header(given.headers),
        anchored=options.anchored,
        changes=options.changes,
        metric=options.metric,
        taken=frozenset(given.headers),
        decimal_comma=given.decimal_comma,
    )
    renamed = [name for name in table.added() if name.startswith("computed_")]
    if renamed:
        print(f"The file has such columns already, so ours are {', '.join(renamed)}.", file=errors)
    for reason in given.bad:
        print(reason, file=errors)
    skipped = _write(table.fly(given.rows), given, table, output, errors)
    return 1 if skipped or given.bad else 0


def read_anchor(text: str, errors: TextIO, *, measured: bool) -> Anchor:
    """The anchor of a measured file, said on standard error."""
    given = read_input(text)
    anchored, left_out = anchor_rows(given.rows, given.headers, measured=measured, decimal_comma=given.decimal_comma)
    for row in left_out[:MOST_SAID]:
        print(f"Anchor line {row.row.line} left out: {row.problem}", file=errors)
    print(anchored.sentence, file=errors)
    if anchored.trusted or anchored.shots >= 3:
        drag, lift = float(anchored.scales.drag), float(anchored.scales.lift)  # type: ignore[arg-type]
        print(
            f"Drag × {drag:.3f} ± {drag * anchored.drag_sd:.3f}, lift × {lift:.3f} ± {lift * anchored.lift_sd:.3f}; "
            f"carry {anchored.carry_before * 100:+.1f}% off before, {anchored.carry_after * 100:+.1f}% after.",
            file=errors,
        )
    return anchored


def _text(path: Path) -> str:
    with contextlib.nullcontext(sys.stdin.buffer) if str(path) == "-" else path.open("rb") as file:
        data = file.read(MOST_BYTES + 1)
    if len(data) > MOST_BYTES:
        raise BadInput(f"The file is over {MOST_BYTES // 1_000_000} MB. Fly it in parts.", field="file")
    return decode(data)


def main(words: list[str]) -> int:
    parser = argparse.ArgumentParser(prog="hemicycle flight", description=__doc__)
    parser.add_argument(
        "file", type=Path, help="CSV or JSON lines with ball_speed_mph, launch_deg, spin_rpm; - reads standard input"
    )
    parser.add_argument(
        "--anchor", type=Path, metavar="MEASURED", help="shots with measured carry_yd (and peak_ft) to start from"
    )
    parser.add_argument(
        "--monitor-models-flight", action="store_true", help="the carries of --anchor are a monitor's own model"
    )
    parser.add_argument(
        "--whatif",
        action="append",
        default=[],
        metavar="loft=+1",
        help="also fly each shot after this change; may be repeated, all together",
    )
    parser.add_argument("--metric", action="store_true", help="write metres and metres a second")
    options = parser.parse_args(words)
    path = options.file
    try:
        changes = tuple(read_change(change) for change in options.whatif)
        anchored = Anchor()
        if options.anchor:
            path = options.anchor
            anchored = read_anchor(_text(path), sys.stderr, measured=not options.monitor_models_flight)
        path = options.file
        return fly_file(_text(path), sys.stdout, sys.stderr, TableOptions(anchored, changes, options.metric))
    except BrokenPipeError:
        sys.stderr.close()  # whoever read our output has seen enough
    except OSError as error:
        print(f"{path} cannot be read: {error.strerror}.", file=sys.stderr)
    except BadInput as error:
        print(str(error), file=sys.stderr)
    return 2


if __name__ == "__main__":
    sys.exit(main(sys.argv[1:]))
