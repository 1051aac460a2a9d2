"""What a file says held against itself before it goes in: carries against what ball speed, launch and spin fly, and
rows against shots that are on record."""

from __future__ import annotations

from collections.abc import Iterator, Mapping, Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from ...flight import Air, Launch, fly
from ...said import Said, far, number, say
from ...said import share as part
from ...samples.outliers import OFF_FLIGHT
from ...shots import LAUNCH, READINGS
from ...units import METRES_PER_YARD, Quantity
from .parse import ParsedShot

Floats = NDArray[np.float64]

LEAST = 3  # shots of a club with a launch
YARD_OFF, NEAR_YARD = 0.05, 0.035  # a metre is 1.094 yards: off by that, to within this
TURNED_FROM = 6  # shots whose sides run against their launch
LEAST_SIDE_M, TURNED = 3.0, -0.6
SMASH = (0.75, 1.60)
PEAK = (0.55, 1.8)


@dataclass(frozen=True)
class Question:
    """Something that does not go together, by what it is about, in a sentence that says what to do."""

    id: str
    sentence: Said


def _flown(shots: Sequence[ParsedShot], air: Air | None) -> tuple[Floats, Floats, Floats]:
    """Carry, side and peak (n,) of what each launch flies, metres; sides are NaN where the line was not read."""
    launch = Launch(*([shot.values[key] for shot in shots] for key in LAUNCH))
    line = [[shot.values.get(key, np.nan) for shot in shots] for key in ("direction_deg", "axis_deg")]
    straight = [np.nan_to_num(np.array(each, dtype=float)) for each in line]
    flight = fly(Launch(launch.ball_speed_mps, launch.launch_deg, launch.spin_rpm, *straight), air=air)
    known = np.isfinite(np.array(line, dtype=float)).all(axis=0)
    return flight.carry_m, np.where(known, flight.offline_m, np.nan), flight.peak_m


def against_flight(clubs: Mapping[str, Sequence[ParsedShot]], *, air: Air | None = None) -> Iterator[Question]:
    """What of a file's carries, heights and sides its own launches do not fly, club by club."""
    whole = {
        club: [shot for shot in shots if shot.values.keys() >= {*LAUNCH, "carry_m"} and shot.values["carry_m"] > 30]
        for club, shots in clubs.items()
    }
    told = [shot for shots in whole.values() for shot in shots]
    if len(told) < LEAST:
        return
    carry, side, peak = _flown(told, air)
    said = np.array([shot.values["carry_m"] for shot in told])
    ends = np.cumsum([len(shots) for shots in whole.values()])[:-1]
    by = float(np.median(said / carry))
    metric = next((name for name, off in YARDS_OFF.items() if abs(by / off - 1) < NEAR_YARD), None)
    if metric is not None:
        yield Question("carry", say("file-carries-off-the-flight", by=part(abs(by - 1)), under=by < 1, taken=metric))
    else:
        for club, mine, flies in zip(whole, np.split(said, ends), np.split(carry, ends), strict=True):
            off = float(np.median(mine / flies)) - 1 if mine.size >= LEAST else 0.0
            if abs(off) > OFF_FLIGHT:
                read, flew = (far(float(np.median(each))) for each in (mine, flies))
                words = say("file-carries-of-a-club", named=bool(club), club=club, read=read, flew=flew)
                yield Question(f"carry of {club}", words)
    yield from _heights(told, peak)
    yield from _sides(told, side)


YARDS_OFF = {"metres": METRES_PER_YARD, "yards": 1 / METRES_PER_YARD}  # what was taken for the other


def _heights(told: Sequence[ParsedShot], peak: Floats) -> Iterator[Question]:
    said = np.array([shot.values.get("peak_m", np.nan) for shot in told])
    share = said / peak
    if np.isfinite(share).sum() >= LEAST and not PEAK[0] <= (by := float(np.nanmedian(share))) <= PEAK[1]:
        times = number(by, 1) if by > 1 else number(by, 2)
        yield Question("peak", say("file-peaks-off-the-flight", by=times, times=by > 1))


def _sides(told: Sequence[ParsedShot], side: Floats) -> Iterator[Question]:
    said = np.array([shot.values.get("offline_m", np.nan) for shot in told])
    wide = np.isfinite(side) & np.isfinite(said) & (np.abs(side) > LEAST_SIDE_M)
    if wide.sum() < TURNED_FROM:
        return
    agree = float(np.mean(np.sign(side[wide]) * np.sign(said[wide])))
    if agree < TURNED:
        yield Question(
            "side",
            say("file-sides-turned"),
        )


def speeds_together(shots: Sequence[ParsedShot]) -> Iterator[Question]:
    """Ball speed over club speed, where that is more or less than any club can do."""
    both = [
        ball / club
        for shot in shots
        if (ball := shot.values.get("ball_speed_mps")) and (club := shot.values.get("club_speed_mps"))
    ]
    if len(both) >= LEAST and not SMASH[0] <= (smash := float(np.median(both))) <= SMASH[1]:
        yield Question("speeds", say("file-speeds-exchanged", by=number(smash, 2)))


# Rows that are on record

# Half of the last digit that files usually give, whatever their units, and a little.
ROUNDED = {
    Quantity.LENGTH: 0.051, Quantity.SPEED: 0.051, Quantity.ANGLE: 0.051, Quantity.SPIN: 0.51, Quantity.TIME: 0.051,
}  # fmt: skip
LEAST_ALIKE = 3  # readings: fewer are alike by chance


def _same(row: Mapping[str, float], known: Mapping[str, float]) -> bool:
    shared = row.keys() & known.keys()
    return all(abs(row[key] - known[key]) <= ROUNDED[READINGS[key].quantity] for key in shared)


def here_already(rows: Sequence[Mapping[str, float]], known: Sequence[Mapping[str, float]]) -> list[bool]:
    """Which rows of one club are shots of it that are on record, (n,): alike in every reading that both have, as far as
    files are rounded. Each shot on record stands for one row. Rows with under three readings are alike by chance: they
    are here where all of them are, and there is more than one."""
    left = list(known)
    found = []
    for row in rows:
        match = next((i for i, each in enumerate(left) if len(row.keys() & each.keys()) and _same(row, each)), None)
        found.append(match is not None)
        if match is not None:
            left.pop(match)
    few = [len(row) < LEAST_ALIKE for row in rows]
    if any(few) and not (all(found) and len(found) > 1):
        return [here and not little for here, little in zip(found, few, strict=True)]
    return found
