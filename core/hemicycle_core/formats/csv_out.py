"""Writing CSV: shots in our own header, and cells that no spreadsheet takes for a formula."""

from __future__ import annotations

import csv
import io
from collections.abc import Iterable, Mapping, Sequence
from dataclasses import dataclass

from ..shots import READINGS
from .shots_csv import BALL, CLUB, INTENT, LENGTH, LIE, STRIKE
from .table import NUMBER

FORMULA = ("=", "+", "-", "@", "\t", "\r")


def harmless(cell: object) -> object:
    """A cell as it is safe to open: text that a spreadsheet would run gets an apostrophe before it; numbers stay."""
    if isinstance(cell, str) and cell.startswith(FORMULA) and not NUMBER.match(cell.strip()):
        return f"'{cell}"
    return cell


@dataclass(frozen=True)
class WrittenShot:
    """One shot as it is written. club: the build's letter or name; values: canonical units, by reading."""

    session: int
    number: int
    club: str
    strike: str
    intent: str
    lie: str
    swing_length: str
    struck_ball: str
    aside: bool
    values: Mapping[str, float]


def shots_csv(shots: Iterable[WrittenShot]) -> str:
    """Shots as CSV in our own header (docs/formats/shots-csv.md), canonical units, with the session and the number of
    each and whether it was set aside."""
    out = io.StringIO()
    writer = csv.writer(out, lineterminator="\n")
    writer.writerow(["session", "shot", CLUB, STRIKE, INTENT, LIE, LENGTH, BALL, "aside", *READINGS])
    for shot in shots:
        values: Sequence[object] = [shot.values.get(key, "") for key in READINGS]
        run = (shot.intent, shot.lie, shot.swing_length, shot.struck_ball)
        said = (harmless(shot.club), shot.strike, *run, int(shot.aside))
        writer.writerow([shot.session, shot.number, *said, *values])
    return out.getvalue()
