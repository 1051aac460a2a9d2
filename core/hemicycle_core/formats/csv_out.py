"""Writing CSV: shots in our own header, and cells that no spreadsheet takes for a formula."""

from __future__ import annotations

import csv
import io
from collections.abc import Iterable, Mapping, Sequence
from dataclasses import dataclass, field

from ..shots import READINGS, Source
from .shots.own import (
    ASIDE,
    BALL,
    INTENT,
    LENGTH,
    LIE,
    MISREAD,
    NUMBER,
    OF_RUN,
    OLD_SWING,
    PROTOCOL,
    SESSION,
    SOURCES,
    STRIKE,
    VOID,
    WRITTEN,
)
from .shots.parse import RunSaid
from .shots.words import CLUB
from .table import NUMBER as A_NUMBER

FORMULA = ("=", "+", "-", "@", "\t", "\r")


def harmless(cell: object) -> object:
    """A cell as it is safe to open: text that a spreadsheet would run gets an apostrophe before it; numbers stay."""
    if isinstance(cell, str) and cell.startswith(FORMULA) and not A_NUMBER.match(cell.strip()):
        return f"'{cell}"
    return cell


@dataclass(frozen=True)
class WrittenShot:
    """One shot as it is written. club: the build's letter or name; values: canonical units, by reading; sources: of
    those the monitor did not measure itself; run: what is said of how it was hit."""

    session: int
    number: int
    club: str
    values: Mapping[str, float]
    strike: str = ""
    aside: bool = False
    misread: bool = False
    void: Sequence[str] = ()
    sources: Mapping[str, str] = field(default_factory=dict)
    run: RunSaid = field(default_factory=RunSaid)


def shots_csv(shots: Iterable[WrittenShot]) -> str:
    """Shots as CSV in our own header (docs/formats/shots-csv.md), canonical units; it comes back as it went out."""
    out = io.StringIO()
    writer = csv.writer(out, lineterminator="\n")
    writer.writerow([*WRITTEN, *READINGS])
    for shot in shots:
        run = shot.run
        said: dict[str, object] = {
            SESSION: shot.session,
            NUMBER: shot.number,
            CLUB: harmless(shot.club),
            STRIKE: shot.strike,
            INTENT: run.intent.value,
            LIE: run.lie,
            LENGTH: run.swing_length,
            BALL: run.struck_ball.value,
            PROTOCOL: run.protocol,
            ASIDE: int(shot.aside),
            MISREAD: int(shot.misread),
            OLD_SWING: int(run.old_swing),
            VOID: " ".join(shot.void),
            SOURCES: " ".join(f"{key}:{source}" for key, source in shot.sources.items() if source != Source.MEASURED),
            **{name: "" if (value := getattr(run, name)) is None else value for name in OF_RUN},
        }
        writer.writerow([*(said[name] for name in WRITTEN), *(shot.values.get(key, "") for key in READINGS)])
    return out.getvalue()
