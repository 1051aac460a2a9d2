"""`hemicycle flight`: launch conditions in, flights out, row by row (docs/formats/flight-csv.md)."""

from __future__ import annotations

from collections.abc import Iterator, Mapping, Sequence
from dataclasses import dataclass

from ..errors import BadInput
from ..flight import FAIRWAY, Air, Firmness, Launch, fly, run_out
from ..units import UNITS, feet, yards
from .table import number

NEEDED = ("ball_speed_mph", "launch_deg", "spin_rpm")
OPTIONAL = {"direction_deg": 0.0, "axis_deg": 0.0, "altitude_ft": 0.0, "temperature_f": 68.0}
ADDED = ("carry_yd", "total_yd", "peak_ft", "landing_deg", "offline_yd", "hang_s")


@dataclass(frozen=True)
class FlownRow:
    """One row: its flight as text cells by name, or the reason why it was skipped."""

    line: int
    added: Mapping[str, str] | None
    problem: str | None = None


def check_header(headers: Sequence[str]) -> None:
    """Raise BadInput when a needed column is missing."""
    missing = [name for name in NEEDED if name not in headers]
    if missing:
        raise BadInput(f"Missing column: {', '.join(missing)}. The header must name {', '.join(NEEDED)}.")


def _numbers(cells: Mapping[str, str]) -> dict[str, float]:
    values = {}
    for name in NEEDED:
        value = number(cells.get(name) or "")
        if value is None:
            raise BadInput(f"{name} is blank.")
        values[name] = value
    for name, usual in OPTIONAL.items():
        value = number(cells.get(name) or "")
        values[name] = usual if value is None else value
    return values


def _fly_row(cells: Mapping[str, str]) -> dict[str, str]:
    values = _numbers(cells)
    air = Air(
        altitude_m=UNITS["ft"].to_canonical(values["altitude_ft"]),
        temperature_c=UNITS["f"].to_canonical(values["temperature_f"]),
    )
    launch = Launch(
        UNITS["mph"].to_canonical(values["ball_speed_mph"]),
        values["launch_deg"],
        values["spin_rpm"],
        values["direction_deg"],
        values["axis_deg"],
    )
    flight = fly(launch, air=air)
    turf = FAIRWAY[Firmness.MEDIUM]
    run = run_out(flight.landing_speed_mps, flight.landing_deg, flight.landing_spin_rpm, turf).run_m
    carry = float(flight.carry_m[0])
    return {
        "carry_yd": f"{yards(carry):.1f}",
        "total_yd": f"{yards(carry + float(run[0])):.1f}",
        "peak_ft": f"{feet(float(flight.peak_m[0])):.1f}",
        "landing_deg": f"{float(flight.landing_deg[0]):.1f}",
        "offline_yd": f"{yards(float(flight.offline_m[0])):.1f}",
        "hang_s": f"{float(flight.hang_s[0]):.2f}",
    }


def fly_rows(rows: Iterator[tuple[int, Mapping[str, str]]]) -> Iterator[FlownRow]:
    """Fly numbered rows (cells by header); a row that cannot be flown comes back with its reason."""
    for line, cells in rows:
        try:
            yield FlownRow(line, _fly_row(cells))
        except BadInput as error:
            yield FlownRow(line, None, str(error))
