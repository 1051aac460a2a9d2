"""`./hemicycle flight FILE.csv`: launch conditions in, flights out."""

from __future__ import annotations

import argparse
import csv
import sys
from collections.abc import Iterator, Mapping
from pathlib import Path
from typing import TextIO

from hemicycle_core.errors import BadInput
from hemicycle_core.formats.flight_csv import ADDED, check_header, fly_rows
from hemicycle_core.formats.table import decode, read_table


def _numbered(
    table_rows: Iterator[tuple[int, Mapping[str, str]]], kept: dict[int, Mapping[str, str]]
) -> Iterator[tuple[int, Mapping[str, str]]]:
    """Pass rows on, remembering each until its flight comes back."""
    for line, cells in table_rows:
        kept[line] = cells
        yield line, cells


def fly_file(text: str, output: TextIO, errors: TextIO) -> int:
    """Write the rows back with their flights; 1 when a row was skipped."""
    table = read_table(text)
    check_header(table.headers)
    columns = [*table.headers, *(name for name in ADDED if name not in table.headers)]
    writer = csv.DictWriter(output, fieldnames=columns, lineterminator="\n")
    writer.writeheader()
    rows = ((row.line, dict(zip(table.headers, row.cells, strict=True))) for row in table.rows)
    kept: dict[int, Mapping[str, str]] = {}
    bad = 0
    for flown in fly_rows(_numbered(rows, kept)):
        cells = kept.pop(flown.line)
        if flown.added is None:
            bad += 1
            print(f"Line {flown.line} skipped: {flown.problem}", file=errors)
        else:
            writer.writerow({**cells, **flown.added})
    return 1 if bad else 0


def main(words: list[str]) -> int:
    parser = argparse.ArgumentParser(prog="hemicycle flight", description=__doc__)
    parser.add_argument("file", type=Path, help="CSV with ball_speed_mph, launch_deg, spin_rpm and more")
    options = parser.parse_args(words)
    try:
        return fly_file(decode(options.file.read_bytes()), sys.stdout, sys.stderr)
    except OSError as error:
        print(f"{options.file} cannot be read: {error.strerror}.", file=sys.stderr)
    except BadInput as error:
        print(str(error), file=sys.stderr)
    return 2


if __name__ == "__main__":
    sys.exit(main(sys.argv[1:]))
