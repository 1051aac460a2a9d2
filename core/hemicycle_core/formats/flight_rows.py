"""Launch conditions in rows of a table, with units in the column names, and their flights
(docs/formats/flight.md)."""

from __future__ import annotations

import math
from collections.abc import Iterable, Iterator, Mapping, Sequence
from dataclasses import dataclass, field
from itertools import islice

import numpy as np
from numpy.typing import NDArray

from ..errors import BadInput
from ..flight import FAIRWAY, GREEN, Air, Anchor, Firmness, Flight, Launch, anchor, anchored_error, fly, run_out
from ..judge.changes import Change, ChangeKind
from ..judge.whatif import Impacts
from ..said import joined, listed, say
from ..units import UNITS, Quantity, Unit
from .table import number

Floats = NDArray[np.float64]

BLOCK = 4096


@dataclass(frozen=True)
class Field:
    """One thing a column can hold. usual: what a blank means, in the canonical unit; None when needed."""

    quantity: Quantity
    usual: float | None = math.nan


FIELDS: dict[str, Field] = {
    "ball_speed": Field(Quantity.SPEED, None),
    "launch": Field(Quantity.ANGLE, None),
    "spin": Field(Quantity.SPIN, None),
    "direction": Field(Quantity.ANGLE, 0.0),
    "axis": Field(Quantity.ANGLE, 0.0),
    "attack": Field(Quantity.ANGLE),
    "dynamic_loft": Field(Quantity.ANGLE),
    "altitude": Field(Quantity.LENGTH, 0.0),
    "temperature": Field(Quantity.TEMPERATURE, 20.0),
    "wind": Field(Quantity.SPEED, 0.0),
    "wind_from": Field(Quantity.ANGLE, 0.0),
    "humidity": Field(Quantity.RATIO, 0.5),
    "pressure": Field(Quantity.PRESSURE),
    "carry": Field(Quantity.LENGTH),
    "peak": Field(Quantity.LENGTH),
}
NEEDED = tuple(name for name, known in FIELDS.items() if known.usual is None)
AIR = ("altitude", "temperature", "humidity", "pressure", "wind", "wind_from")
TURFS = {
    **{word.value: turf for word, turf in FAIRWAY.items()},
    **{f"{word.value} fairway": turf for word, turf in FAIRWAY.items()},
    **{f"{word.value} green": turf for word, turf in GREEN.items()},
}
METRIC = {"yd": "m", "ft": "m", "mph": "mps"}


@dataclass(frozen=True)
class FlightRow:
    """One row of a table: its line in the file and its cells by header, text or numbers."""

    line: int
    cells: Mapping[str, object]


@dataclass(frozen=True)
class FlownRow:
    """One row: its flight by column name, or the reason why it was skipped."""

    row: FlightRow
    added: Mapping[str, float] | None
    problem: str | None = None


@dataclass(frozen=True)
class Columns:
    """Which header holds which field in which unit; turf: the header of the turf column."""

    of: Mapping[str, tuple[str, Unit]]
    turf: str | None = None


def read_header(headers: Sequence[str]) -> Columns:
    """Find the fields by name and unit suffix; other columns are left alone. Raises BadInput when a needed
    column is missing, a field comes twice, or a field's column names no unit of its quantity."""
    found: dict[str, tuple[str, Unit]] = {}
    for header in headers:
        name, _, suffix = header.rpartition("_")
        if header in FIELDS:
            raise BadInput(say("file-column-names-no-unit", header=header, examples=_examples(header)), field=header)
        if name not in FIELDS:
            continue
        if suffix not in UNITS or UNITS[suffix].quantity is not FIELDS[name].quantity:
            if suffix in UNITS or name in NEEDED:
                raise BadInput(say("file-column-not-unit-kind", header=header, examples=_examples(name)), field=header)
            continue
        if name in found:
            raise BadInput(say("file-say-same-thing-leave", one=found[name][0], header=header), field=header)
        found[name] = (header, UNITS[suffix])
    missing = [name for name in NEEDED if name not in found]
    if missing:
        names = listed(f"{name}_{_usual_unit(name)}" for name in missing)
        raise BadInput(say("file-missing-column-needed-ball", names=names))
    return Columns(found, "turf" if "turf" in headers else None)


def _units_of(name: str) -> list[str]:
    return [suffix for suffix, unit in UNITS.items() if unit.quantity is FIELDS[name].quantity]


def _usual_unit(name: str) -> str:
    units = _units_of(name)
    return next((unit for unit in ("mph", "yd", "f") if unit in units), units[0])


def _examples(name: str) -> str:
    return " or ".join(f"{name}_{suffix}" for suffix in _units_of(name))


def _number(cell: object, *, decimal_comma: bool = False) -> float | None:
    if isinstance(cell, bool):
        raise BadInput(say("file-not-number", cell=str(cell)))
    if cell is None or isinstance(cell, (int, float)):
        value = math.nan if cell is None else float(cell)
    else:
        try:
            value = float(str(cell))
        except ValueError:
            return number(str(cell), decimal_comma=decimal_comma)
    return None if math.isnan(value) else value


@dataclass
class _Parsed:
    """The rows of a block that could be read: values by field (n,), airs and turfs, one each."""

    rows: list[FlightRow] = field(default_factory=list)
    values: list[list[float]] = field(default_factory=list)
    airs: list[Air] = field(default_factory=list)
    turfs: list[str] = field(default_factory=list)

    def column(self, name: str) -> Floats:
        at = list(FIELDS).index(name)
        return np.array([row[at] for row in self.values], dtype=float)

    def launch(self) -> Launch:
        return Launch(*(self.column(name) for name in ("ball_speed", "launch", "spin", "direction", "axis")))

    def keep(self, which: Iterable[int]) -> _Parsed:
        chosen = list(which)
        return _Parsed(
            rows=[self.rows[i] for i in chosen],
            values=[self.values[i] for i in chosen],
            airs=[self.airs[i] for i in chosen],
            turfs=[self.turfs[i] for i in chosen],
        )


@dataclass
class FlightTable:
    """How a table is flown: its columns, the anchor, and changes to try together. metric: write metres and
    metres a second. taken: columns of the file. decimal_comma: numbers are written 12,5."""

    columns: Columns
    anchored: Anchor = field(default_factory=Anchor)
    changes: Sequence[Change] = ()
    metric: bool = False
    taken: frozenset[str] = frozenset()
    decimal_comma: bool = False
    _airs: dict[tuple[float, ...], Air] = field(default_factory=dict)

    def added(self) -> list[str]:
        """The names of the columns that are added, in order."""
        names = ["carry_yd", "total_yd", "peak_ft", "landing_deg", "offline_yd", "hang_s"]
        names += ["carry_error_yd", "peak_error_ft", "landing_error_deg"]
        if self.changes:
            names += [f"after_{name}" for name in AFTER]
        return [self._named(name) for name in names]

    def _named(self, name: str) -> str:
        """A column of the file is never written over: ours is then called computed_."""
        stem, _, unit = name.rpartition("_")
        mine = f"{stem}_{METRIC.get(unit, unit)}" if self.metric else name
        return f"computed_{mine}" if mine in self.taken else mine

    def fly(self, rows: Iterable[FlightRow]) -> Iterator[FlownRow]:
        """Fly rows in blocks; one that cannot be flown comes back with its reason, in its place."""
        left = iter(rows)
        while block := list(islice(left, BLOCK)):
            yield from self._fly_block(block)

    def _fly_block(self, block: Sequence[FlightRow]) -> list[FlownRow]:
        parsed, flown = self._parse(block)
        problems = parsed.launch().problems() if parsed.rows else {}
        for i, problem in problems.items():
            flown[parsed.rows[i].line] = FlownRow(parsed.rows[i], None, str(problem))
        good = parsed.keep(i for i in range(len(parsed.rows)) if i not in problems)
        if good.rows:
            added = self._fly(good)
            for i, row in enumerate(good.rows):
                flown[row.line] = FlownRow(row, {name: float(values[i]) for name, values in added.items()})
        return [flown[row.line] for row in block]

    def _parse(self, block: Sequence[FlightRow]) -> tuple[_Parsed, dict[int, FlownRow]]:
        parsed, bad = _Parsed(), {}
        for row in block:
            try:
                values = self._values(row.cells)
                air, turf = self._air(values), self._turf(row.cells)
            except BadInput as error:
                bad[row.line] = FlownRow(row, None, str(error))
                continue
            parsed.rows.append(row)
            parsed.values.append(values)
            parsed.airs.append(air)
            parsed.turfs.append(turf)
        return parsed, bad

    def _values(self, cells: Mapping[str, object]) -> list[float]:
        values = []
        for name, known in FIELDS.items():
            header, unit = self.columns.of.get(name, (None, None))
            value = None if header is None else _number(cells.get(header), decimal_comma=self.decimal_comma)
            if value is not None and unit is not None:
                values.append(unit.to_canonical(value))
            elif known.usual is None:
                raise BadInput(say("file-blank", header=header))
            else:
                values.append(known.usual)
        return values

    def _air(self, values: Sequence[float]) -> Air:
        known = dict(zip(FIELDS, values, strict=True))
        key = tuple(-1.0 if math.isnan(known[name]) else known[name] for name in AIR)
        if key not in self._airs:
            pressure = known["pressure"]
            self._airs[key] = Air(
                altitude_m=known["altitude"],
                temperature_c=known["temperature"],
                humidity=known["humidity"],
                pressure_pa=None if math.isnan(pressure) else pressure,
                wind_mps=known["wind"],
                wind_from_deg=known["wind_from"],
            )
        return self._airs[key]

    def _turf(self, cells: Mapping[str, object]) -> str:
        word = str(cells.get(self.columns.turf) or "").strip().lower() if self.columns.turf else ""
        if word and word not in TURFS:
            raise BadInput(say("file-no-turf-write-soft", word=word))
        return word or Firmness.MEDIUM.value

    def _fly(self, good: _Parsed) -> dict[str, Floats]:
        launch, airs = good.launch(), _one_or_all(good.airs)
        flight = fly(launch, air=airs, scales=self.anchored.scales)
        error = anchored_error(launch, self.anchored, flight, air=airs)
        made = {
            "carry_yd": flight.carry_m,
            "total_yd": flight.carry_m + _runs(flight, good.turfs),
            "peak_ft": flight.peak_m,
            "landing_deg": flight.landing_deg,
            "offline_yd": flight.offline_m,
            "hang_s": flight.hang_s,
            "carry_error_yd": error.carry_share * flight.carry_m,
            "peak_error_ft": error.peak_share * flight.peak_m,
            "landing_error_deg": error.landing_deg,
        }
        if self.changes:
            made |= _after(good, flight, self.changes, self.anchored, airs)
        return {self._named(name): self._in_unit(name, values) for name, values in made.items()}

    def _in_unit(self, name: str, values: Floats) -> Floats:
        suffix = name.rpartition("_")[2]
        unit = UNITS[METRIC.get(suffix, suffix) if self.metric else suffix]
        return (values - unit.offset) / unit.scale


AFTER = (
    "carry_yd", "peak_ft", "launch_deg", "spin_rpm", "ball_speed_mph", "landing_deg", "carry_change_error_yd",
)  # fmt: skip


def _one_or_all(airs: Sequence[Air]) -> Air | Sequence[Air]:
    return airs[0] if all(air is airs[0] for air in airs) else airs


def _runs(flight: Flight, turfs: Sequence[str]) -> Floats:
    run = np.zeros_like(flight.carry_m)
    words = np.array(turfs)
    for word in set(turfs):
        here = words == word
        landed = (flight.landing_speed_mps[here], flight.landing_deg[here], flight.landing_spin_rpm[here])
        run[here] = run_out(*landed, TURFS[word]).run_m
    return run


def _after(
    good: _Parsed, before: Flight, changes: Sequence[Change], anchored: Anchor, airs: Air | Sequence[Air]
) -> dict[str, Floats]:
    """The flights with all changes made together, and the standard deviation of the change of carry."""
    speed, launched, spin = (good.column(name) for name in ("ball_speed", "launch", "spin"))
    after = start = Impacts.of(speed, launched, spin, good.column("attack"), good.column("dynamic_loft"))
    for change in changes:
        after = after.changed(change.effect, change.amount)

    def flown(impacts: Impacts) -> Flight:
        launch = Launch(
            impacts.ball_speed_mps, impacts.launch_deg, impacts.spin_rpm, good.column("direction"), good.column("axis")
        )
        return fly(launch, air=airs, scales=anchored.scales)

    then = flown(after)
    variance = (anchored.change_error * (then.carry_m - before.carry_m)) ** 2
    for change in changes:
        expected, *bumped = (flown(each).carry_m for each in start.each(change))
        variance = variance + sum((carry_m - expected) ** 2 for carry_m in bumped)
    return {
        "after_carry_yd": then.carry_m,
        "after_peak_ft": then.peak_m,
        "after_launch_deg": after.launch_deg,
        "after_spin_rpm": after.spin_rpm,
        "after_ball_speed_mph": after.ball_speed_mps,
        "after_landing_deg": then.landing_beside(before),
        "after_carry_change_error_yd": np.sqrt(variance),
    }


def read_change(words: str) -> Change:
    """`loft=+1`, `bend=-2`, `length=0.5`: a kind of change and its amount in degrees, inches or grams."""
    name, _, amount = words.partition("=")
    known = {kind.value: kind for kind in ChangeKind}
    if name.strip() not in known:
        raise BadInput(say("file-no-change-write-one", words=words, known=listed(known)), field="whatif")
    try:
        change = Change(known[name.strip()], float(amount.replace("\u2212", "-")))
    except ValueError as error:
        said = error.said if isinstance(error, BadInput) else say("file-not-number-write-say", amount=amount, name=name)
        raise BadInput(said, field="whatif") from error
    if change.effect.only_a_direction:
        raise BadInput(
            say("file-only-directions-known", change=change.label, directions=joined(change.effect.directions))
        )
    return change


def anchor_rows(
    rows: Iterable[FlightRow], headers: Sequence[str], *, measured: bool, decimal_comma: bool = False
) -> tuple[Anchor, list[FlownRow]]:
    """An anchor from the rows of a table that have a carry (and a peak), and the rows that were left out.

    measured: False when the monitor models flight. Raises BadInput when there is no carry column or no
    row can be used.
    """
    table = FlightTable(read_header(headers), decimal_comma=decimal_comma)
    if "carry" not in table.columns.of:
        raise BadInput(say("file-file-anchor-has-no"), field="carry")
    every = list(rows)
    parsed, bad = table._parse(every)
    problems = parsed.launch().problems() if parsed.rows else {}
    carries = parsed.column("carry")
    for i, row in enumerate(parsed.rows):
        if i in problems or not carries[i] > 5:
            bad[row.line] = FlownRow(row, None, str(problems.get(i, "no carry.")))
    good = parsed.keep(i for i, row in enumerate(parsed.rows) if row.line not in bad)
    if not good.rows:
        raise BadInput(say("file-no-row-file-anchor"), field="carry")
    airs = _one_or_all(good.airs)
    made = anchor(good.launch(), good.column("carry"), good.column("peak"), air=airs, measured=measured)
    return made, list(bad.values())
