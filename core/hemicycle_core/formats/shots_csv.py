"""Shots from any CSV through a column mapping; our own header needs none (docs/formats/shots-csv.md)."""

from __future__ import annotations

import re
from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from enum import StrEnum
from typing import Any

from ..errors import BadInput
from ..impact import Lie
from ..runs import FULL, Ball, swing_length
from ..shots import READINGS, Intent, Strike, check_readings
from ..units import UNITS, Quantity
from .table import Row, Table, number

CLUB, STRIKE, IGNORE = "club", "strike", ""
INTENT, LIE, LENGTH, BALL = "intent", "lie", "swing_length", "struck_ball"
WORDS_OF_SHOT: dict[str, type[StrEnum]] = {STRIKE: Strike, INTENT: Intent, LIE: Lie, BALL: Ball}

# Words that say which reading a column holds, longest match first; plain English of the trade.
WORDS: dict[str, tuple[str, ...]] = {
    "club_speed_mps": ("club speed", "clubhead speed", "club head speed", "head speed"),
    "ball_speed_mps": ("ball speed", "ball velocity"),
    "launch_deg": ("launch angle", "launch vert", "vertical launch", "launch"),
    "direction_deg": ("launch direction", "start direction", "horizontal launch", "direction", "azimuth"),
    "spin_rpm": ("total spin", "spin rate", "spin"),
    "axis_deg": ("spin axis", "axis", "spin tilt"),
    "attack_deg": ("attack angle", "angle of attack", "attack"),
    "path_deg": ("club path", "path"),
    "face_deg": ("face angle", "face to target", "face"),
    "dynamic_loft_deg": ("dynamic loft", "delivered loft"),
    "carry_m": ("carry distance", "carry"),
    "total_m": ("total distance", "total"),
    "offline_m": ("offline", "side distance", "lateral", "side"),
    "peak_m": ("peak height", "apex", "max height", "height", "peak"),
    "landing_deg": ("landing angle", "descent angle", "land angle", "descent", "landing"),
    "hang_s": ("hang time", "flight time", "time of flight", "hang"),
    CLUB: ("club name", "club"),
    STRIKE: ("strike", "contact"),
    INTENT: ("intent", "shot type"),
    LIE: ("lie", "surface"),
}
LABELS = {
    CLUB: "the club",
    STRIKE: "the strike",
    INTENT: "the intent",
    LIE: "the lie",
    LENGTH: "the length of the swing",
    BALL: "the ball",
}
USUAL_UNIT = {
    Quantity.LENGTH: "yd",
    Quantity.SPEED: "mph",
    Quantity.ANGLE: "deg",
    Quantity.SPIN: "rpm",
    Quantity.TIME: "s",
}
UNIT_WORDS = {
    "yd": "yd", "yds": "yd", "yards": "yd", "m": "m", "metres": "m", "meters": "m", "ft": "ft", "feet": "ft",
    "mph": "mph", "km/h": "kmh", "kmh": "kmh", "kph": "kmh", "m/s": "mps", "mps": "mps",
    "deg": "deg", "degrees": "deg", "°": "deg", "rpm": "rpm", "s": "s", "sec": "s",
}  # fmt: skip
# Columns about something near a reading that must not be taken for it.
OTHER_WORDS = ("impact", "closure", "efficiency", "smash", "date", "time stamp", "deviation %", "landing speed")


@dataclass(frozen=True)
class Column:
    """What one column of a file is taken to be. key: a reading, `club`, `strike`, `intent`, `lie` or empty to leave it
    out. unit: suffix of the unit its numbers are in. sure: the header said so; otherwise it is a guess to check."""

    header: str
    key: str
    unit: str = ""
    sure: bool = True


@dataclass(frozen=True)
class ParsedShot:
    line: int
    club: str
    values: Mapping[str, float]
    strike: Strike | None = None
    intent: Intent = Intent.STOCK
    lie: Lie | None = None
    swing_length: str = FULL
    struck_ball: Ball = Ball.OWN


@dataclass(frozen=True)
class RowProblem:
    """A row that did not go in, or a cell that was left out, with what to do."""

    line: int
    column: str
    sentence: str


@dataclass(frozen=True)
class Parsed:
    shots: tuple[ParsedShot, ...]
    problems: tuple[RowProblem, ...]


def _own(header: str) -> Column | None:
    """Our own header: the reading's name with a unit for a suffix."""
    lowered = header.strip().lower()
    if lowered in (CLUB, LENGTH) or lowered in WORDS_OF_SHOT:
        return Column(header, lowered)
    stem, _, suffix = lowered.rpartition("_")
    for key, reading in READINGS.items():
        if key.rpartition("_")[0] == stem and suffix in UNITS and UNITS[suffix].quantity is reading.quantity:
            return Column(header, key, suffix)
    return None


def _unit_in(header: str, quantity: Quantity) -> str | None:
    for word in re.findall(r"[a-z/°]+", header.lower())[::-1]:
        suffix = UNIT_WORDS.get(word)
        if suffix and UNITS[suffix].quantity is quantity:
            return suffix
    return None


def _foreign(header: str) -> Column:
    plain = " ".join(re.findall(r"[a-z%]+", re.sub(r"[\[(].*?[\])]", " ", header).replace("_", " ").lower()))
    if any(word in plain for word in OTHER_WORDS):
        return Column(header, IGNORE)
    matches = [(len(word), key) for key, words in WORDS.items() for word in words if word in plain]
    if not matches:
        return Column(header, IGNORE)
    key = max(matches)[1]
    if key == CLUB or key in WORDS_OF_SHOT:
        return Column(header, key)
    quantity = READINGS[key].quantity
    unit = _unit_in(header, quantity)
    usual = "ft" if key == "peak_m" and unit is None else USUAL_UNIT[quantity]
    return Column(header, key, unit or usual, sure=unit is not None)


def guess_mapping(headers: Sequence[str]) -> list[Column]:
    """A proposal for every column, to be looked at before it is accepted; no reading is taken twice."""
    taken: set[str] = set()
    columns = []
    for header in headers:
        column = _own(header) or _foreign(header)
        if column.key and column.key in taken:
            column = Column(header, IGNORE)
        taken.add(column.key)
        columns.append(column)
    return columns


def check_mapping(columns: Sequence[Column]) -> None:
    """Raise BadInput when the mapping cannot make shots."""
    keys = [column.key for column in columns if column.key]
    twice = {key for key in keys if keys.count(key) > 1}
    if twice:
        key = min(twice)
        label = READINGS[key].label if key in READINGS else LABELS[key]
        raise BadInput(f"Two columns are both {label}. Leave one of them out.", field="mapping")
    for column in columns:
        if column.key in READINGS:
            quantity = READINGS[column.key].quantity
            if column.unit not in UNITS or UNITS[column.unit].quantity is not quantity:
                raise BadInput(f"“{column.header}” needs a unit of {quantity.value}.", field="mapping")
        elif column.key not in (CLUB, LENGTH, IGNORE, *WORDS_OF_SHOT):
            raise BadInput(f"“{column.key}” is not something a column can be.", field="mapping")
    if "carry_m" not in keys and not {"ball_speed_mps", "launch_deg", "spin_rpm"} <= set(keys):
        raise BadInput("Say which column is the carry, or ball speed, launch angle and spin.", field="mapping")


def parse_shots(table: Table, columns: Sequence[Column]) -> Parsed:
    """Rows to shots in canonical units; what cannot be read is listed and the rest goes in."""
    check_mapping(columns)
    shots: list[ParsedShot] = []
    problems: list[RowProblem] = []
    for row in table.rows:
        try:
            shots.append(_shot(row, columns, table.decimal_comma, problems))
        except BadInput as error:
            header = next((column.header for column in columns if column.key == error.field), "")
            problems.append(RowProblem(row.line, header, str(error)))
    return Parsed(tuple(shots), tuple(problems))


def _shot(row: Row, columns: Sequence[Column], decimal_comma: bool, problems: list[RowProblem]) -> ParsedShot:
    values: dict[str, float] = {}
    club = ""
    said: dict[str, Any] = {}
    for column, cell in zip(columns, row.cells, strict=True):
        if column.key == CLUB:
            club = cell
        elif column.key == LENGTH:
            try:
                said[LENGTH] = swing_length(_plain(cell)) if cell.strip() else FULL
            except BadInput as error:
                problems.append(RowProblem(row.line, column.header, f"{error} The cell was left blank."))
        elif column.key in WORDS_OF_SHOT:
            word = _word(column.key, cell)
            if word is not None:
                said[column.key] = word
            elif cell.strip() and column.key != STRIKE:
                problems.append(RowProblem(row.line, column.header, _unknown(column.key, cell)))
        elif column.key:
            try:
                value = number(cell, decimal_comma=decimal_comma)
            except BadInput as error:
                problems.append(RowProblem(row.line, column.header, f"{error} The cell was left blank."))
                continue
            if value is not None:
                values[column.key] = UNITS[column.unit].to_canonical(value)
    check_readings(values)
    return ParsedShot(line=row.line, club=club, values=values, **said)


def _plain(cell: str) -> str:
    return re.sub(r"[\s\-]+", "_", cell.strip().lower())


def _word(key: str, cell: str) -> StrEnum | None:
    """A word of a closed list as it may be written, with blanks or hyphens; None for another."""
    plain, known = _plain(cell), WORDS_OF_SHOT[key]
    return known(plain) if plain in set(known) else None


def _unknown(key: str, cell: str) -> str:
    words = ", ".join(each.value.replace("_", " ") for each in WORDS_OF_SHOT[key])
    return f"“{cell.strip()}” is not one of {words}. The cell was left blank."
