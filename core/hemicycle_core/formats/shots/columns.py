"""What each column of a shots file is taken to be, and what is asked where that is not sure."""

from __future__ import annotations

from collections.abc import Iterator, Sequence
from dataclasses import dataclass, replace

import numpy as np

from ...errors import BadInput
from ...flight import Air, Launch, fly
from ...said import NOTHING, Said, plain, say, term, with_and, with_or
from ...shots import LAUNCH, READINGS
from ...units import UNITS, Quantity
from ..club_names import kind_of
from .cells import Mark, figure, mark_of, unit_of_cell
from .own import ASIDE, BALL, INTENT, LENGTH, LIE, OWN, SESSION, STRIKE, own_key
from .sheet import CLUB_OF_BLOCK, PLAYER_OF_BLOCK, Sheet
from .words import CLUB, IGNORE, NOBODY, ONLY_UNIT, PLAYER, reading_named, readings_near

LABELS = {key: term("column", key) for key in (CLUB, PLAYER, SESSION, STRIKE, INTENT, LIE, LENGTH, BALL, ASIDE)}
CHOICES = {Quantity.LENGTH: ("yd", "m", "ft"), Quantity.SPEED: ("mph", "kmh", "mps")}
NEAR_FLIGHT, LEAST_FLOWN = 0.055, 3  # a unit is told by the flight where one fits so well and no other does
FEET_FROM = 0.34  # a peak of so much of the carry, in the carry's own unit, is in feet
LIKE_CLUBS = 0.5  # of the cells of a column of clubs name a kind of club


@dataclass(frozen=True)
class Column:
    """What one column of a file is taken to be. key: a reading, `club`, `player`, a word of a shot, or empty to leave
    it out. unit: suffix of the unit of its figures, where its cells name none. sure: the file says so beyond doubt, or
    somebody did; else ask is the question, and maybe what it may be."""

    header: str
    key: str
    unit: str = ""
    sure: bool = True
    ask: Said = NOTHING
    maybe: tuple[str, ...] = ()


def label_of(key: str) -> Said:
    return READINGS[key].label if key in READINGS else LABELS.get(key, plain(key.replace("_", " ")))


def _named(key: str) -> Said:
    return say("inside-a-sentence", said=label_of(key))


def guess_mapping(sheet: Sheet, *, air: Air | None = None) -> list[Column]:
    """A proposal for every column. What could be two things, or is not sure, is asked and not taken."""
    columns = [_first(sheet, index) for index in range(len(sheet.headers))]
    columns = _once_each(sheet, columns)
    columns = [_near(column, columns) for column in columns]
    return _with_units(sheet, columns, air)


def _first(sheet: Sheet, index: int) -> Column:
    """What a header says by itself."""
    header = sheet.headers[index]
    if header in (CLUB_OF_BLOCK, PLAYER_OF_BLOCK):
        return Column(header, CLUB if header == CLUB_OF_BLOCK else PLAYER)
    own = own_key(header)
    if LIE in (own and own[0], reading_named(header)) and _mostly_figures(sheet.column(index)):
        return Column(header, IGNORE)  # the lie angle of the club
    if own is not None:
        return Column(header, *own)
    key = reading_named(header)
    if key in READINGS:
        quantity = READINGS[key].quantity
        unit = sheet.units[index]
        if unit and UNITS[unit].quantity is not quantity:
            ask = say("file-named-unit-none-what", header=header, what=_named(key), quantity=term("quantity", quantity))
            return Column(header, IGNORE, sure=False, ask=ask, maybe=(key,))
        if not unit and not _any_figure(sheet.column(index)):
            return Column(header, IGNORE)  # an empty column
        return Column(header, key, unit or ONLY_UNIT.get(quantity, ""))
    return Column(header, key)


def _once_each(sheet: Sheet, columns: list[Column]) -> list[Column]:
    """No reading from two columns: where two name it, the one that has the values, else it is asked."""
    made = list(columns)
    for key in {column.key for column in columns if column.key}:
        where = [i for i, column in enumerate(columns) if column.key == key]
        if len(where) < 2:
            continue
        if key == CLUB:
            kept = _clubs_in(sheet, where)
        else:
            distinct = {tuple(sheet.column(i)) for i in where}
            kept = where[0] if len(distinct) == 1 else None
        for i in where:
            if kept is None:
                headers = with_and(say("quoted", name=columns[j].header) for j in where)
                ask = say("file-both-read-which-them", headers=headers, what=_named(key))
                made[i] = Column(columns[i].header, IGNORE, sure=False, ask=ask, maybe=(key,))
            elif i != kept:
                made[i] = Column(columns[i].header, IGNORE)
    return made


def _clubs_in(sheet: Sheet, where: Sequence[int]) -> int | None:
    """Of columns that name clubs, the only one whose cells are clubs."""
    like = [i for i in where if _share_of_clubs(sheet.column(i)) >= LIKE_CLUBS]
    return like[0] if len(like) == 1 else None


def _share_of_clubs(cells: Sequence[str]) -> float:
    there = [cell for cell in cells if cell]
    return sum(kind_of(cell) is not None for cell in there) / len(there) if there else 0.0


def _near(column: Column, columns: Sequence[Column]) -> Column:
    """A column that no name fits wholly, and a reading's name in part: asked, where nothing else gives that reading."""
    if column.key or not column.sure:
        return column
    given = {each.key for each in columns} | {key for each in columns for key in each.maybe}
    near = tuple(key for key in readings_near(column.header) if key in READINGS and key not in given)
    if not near:
        return column
    words = with_or(_named(key) for key in near)
    return replace(column, sure=False, ask=say("file-left-out", header=column.header, words=words), maybe=near)


# Units that no header, row or cell names


def _with_units(sheet: Sheet, columns: list[Column], air: Air | None) -> list[Column]:
    made = [_said_once(sheet, index, column) for index, column in enumerate(columns)]
    bare = [i for i, column in enumerate(made) if column.key in READINGS and not column.unit]
    if bare:
        told = _told_by_flight(sheet, made, air)
        made = [replace(c, unit=told.get(c.key, "")) if i in bare else c for i, c in enumerate(made)]
        made = _told_by_others(sheet, made)
    return [_asked(column) for column in made]


def _said_once(sheet: Sheet, index: int, column: Column) -> Column:
    """With the unit that its cells name, else the one named above the header for the whole file. A peak height may be
    in feet where the rest is in yards: nothing said of distances is said of it."""
    if column.key not in READINGS or column.unit:
        return column
    quantity = READINGS[column.key].quantity
    cells = [unit for cell in sheet.column(index) if (unit := unit_of_cell(cell))]
    if cells and all(UNITS[unit].quantity is quantity for unit in cells):
        return replace(column, unit=cells[0])
    said = sheet.said.get(quantity, "")
    return replace(column, unit="" if column.key == "peak_m" else said)


def _asked(column: Column) -> Column:
    """The question where no unit is known. The usual one stands in the proposal, and is not taken by itself."""
    if column.key not in READINGS or column.unit:
        return column
    choices = CHOICES[READINGS[column.key].quantity]
    words = with_or(term("unit", each) for each in choices)
    return replace(column, unit=choices[0], sure=False, ask=say("file-is-in", header=column.header, words=words))


def _values(sheet: Sheet, index: int, key: str, unit: str) -> np.ndarray[tuple[int], np.dtype[np.float64]]:
    """A column in canonical units, NaN where a cell says nothing."""
    cells, quantity = sheet.column(index), READINGS[key].quantity
    mark, otherwise = mark_of(cells), file_mark(sheet)
    made = []
    for cell in cells:
        try:
            value = figure(cell, mark=mark, otherwise=otherwise, unit=unit, quantity=quantity)
        except BadInput:
            value = None
        made.append(np.nan if value is None else value)
    return np.array(made, dtype=float)


def file_mark(sheet: Sheet) -> Mark | None:
    """The decimal mark of a file as a whole, by its columns."""
    marks = [mark for index in range(len(sheet.headers)) if (mark := mark_of(sheet.column(index)))]
    sure = {mark for mark in marks if mark is not Mark.MIXED}
    return sure.pop() if len(sure) == 1 else Mark.MIXED if sure else None


def _told_by_flight(sheet: Sheet, columns: Sequence[Column], air: Air | None) -> dict[str, str]:
    """Units that the flight model tells: with launch and spin, of all units that ball speed and carry may be in, the
    one pair that flies as far as it says. Nothing where two pairs would. Beside mph a carry in metres is not told: in
    yards, a range ball or a cold one is as much shorter as a metre is longer than a yard."""
    where = {column.key: i for i, column in enumerate(columns) if column.key in READINGS}
    if not {*LAUNCH, "carry_m"} <= where.keys():
        return {}
    by = {key: columns[where[key]].unit for key in ("ball_speed_mps", "carry_m")}
    launch, spin = (_values(sheet, where[key], key, columns[where[key]].unit) for key in LAUNCH[1:])
    fitting = []
    for speed_unit in [by["ball_speed_mps"]] if by["ball_speed_mps"] else CHOICES[Quantity.SPEED]:
        ball = _values(sheet, where["ball_speed_mps"], "ball_speed_mps", speed_unit)
        whole = np.isfinite(ball) & np.isfinite(launch) & np.isfinite(spin) & (ball > 10) & (ball < 95)
        if whole.sum() < LEAST_FLOWN:
            continue
        flown = fly(Launch(ball[whole], launch[whole], spin[whole]), air=air).carry_m
        for carry_unit in [by["carry_m"]] if by["carry_m"] else CHOICES[Quantity.LENGTH]:
            carry = _values(sheet, where["carry_m"], "carry_m", carry_unit)[whole]
            if abs(float(np.nanmedian(carry / flown)) - 1) <= NEAR_FLIGHT:
                fitting.append((speed_unit, carry_unit))
    if len(fitting) != 1:
        return {}
    speed_unit, carry_unit = fitting[0]
    if (speed_unit, carry_unit) == ("mph", "m"):
        return {"ball_speed_mps": speed_unit}
    return {"ball_speed_mps": speed_unit, "carry_m": carry_unit}


def _told_by_others(sheet: Sheet, columns: list[Column]) -> list[Column]:
    """Other lengths are in the unit of the carry, other speeds in that of the ball; a peak that would be too high for
    that is in feet."""
    units = {column.key: column.unit for column in columns if column.key in READINGS and column.unit}
    made = []
    for index, column in enumerate(columns):
        if column.key not in READINGS or column.unit:
            made.append(column)
            continue
        leads = "carry_m" if READINGS[column.key].quantity is Quantity.LENGTH else "ball_speed_mps"
        unit = units.get(leads) or (units.get("total_m", "") if leads == "carry_m" else units.get("club_speed_mps", ""))
        if column.key == "peak_m" and unit:
            unit = _peak_unit(sheet, index, columns, unit)
        made.append(replace(column, unit=unit))
    return made


def _peak_unit(sheet: Sheet, index: int, columns: Sequence[Column], unit: str) -> str:
    """Of a peak beside a carry in this unit; empty where it could be either."""
    carry_at = next((i for i, column in enumerate(columns) if column.key == "carry_m"), None)
    if carry_at is None or unit == "ft":
        return unit if unit == "ft" else ""
    one = _values(sheet, index, "peak_m", unit), _values(sheet, carry_at, "carry_m", unit)
    share = one[0] / one[1]
    share = share[np.isfinite(share)]
    if share.size == 0:
        return ""
    return "ft" if float(np.median(share)) >= FEET_FROM else unit


def _any_figure(cells: Sequence[str]) -> bool:
    return any(cell.strip().lower() not in NOBODY for cell in cells)


def _mostly_figures(cells: Sequence[str]) -> bool:
    there = [cell for cell in cells if cell.strip().lower() not in NOBODY]
    return bool(there) and sum(cell[:1].isdigit() or cell[:1] in "+-−" for cell in there) > len(there) / 2


def check_mapping(columns: Sequence[Column]) -> None:
    """Raise BadInput when the mapping cannot make shots."""
    keys = [column.key for column in columns if column.key]
    twice = {key for key in keys if keys.count(key) > 1}
    if twice:
        raise BadInput(say("file-two-columns-both-leave", what=label_of(min(twice))), field="columns")
    for column in columns:
        if column.key in READINGS:
            quantity = READINGS[column.key].quantity
            if column.unit not in UNITS or UNITS[column.unit].quantity is not quantity:
                raise BadInput(
                    say("file-needs-unit", header=column.header, quantity=term("quantity", quantity)), field="columns"
                )
        elif column.key not in (PLAYER, IGNORE) and column.key not in OWN:
            raise BadInput(say("file-not-something-column-can", key=column.key), field="columns")
    if "carry_m" not in keys and not set(LAUNCH) <= set(keys):
        raise BadInput(say("file-say-which-column-carry"), field="columns")


def questions(columns: Sequence[Column]) -> Iterator[Said]:
    """What is asked of the columns, each question once."""
    yield from dict.fromkeys(column.ask for column in columns if not column.sure)
