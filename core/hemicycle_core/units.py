"""Quantities and their conversion, in one place.

A unit has a suffix (`yd`, `mph`, ...), which is also how columns of files are named, and a linear
map to the canonical unit of its quantity: canonical = value * scale + offset.
Exact definitions: international yard and pound agreement of 1959; mph from the statute mile.
"""

from __future__ import annotations

import math
from dataclasses import dataclass
from enum import StrEnum

METRES_PER_YARD = 0.9144
METRES_PER_FOOT = 0.3048
METRES_PER_INCH = 0.0254
MPS_PER_MPH = 0.44704


class Quantity(StrEnum):
    """What a number is a number of; each has one canonical unit."""

    LENGTH = "length"  # m
    SPEED = "speed"  # m/s
    ANGLE = "angle"  # deg
    SPIN = "spin"  # rpm
    TEMPERATURE = "temperature"  # deg C
    TIME = "time"  # s
    RATIO = "ratio"
    PRESSURE = "pressure"  # Pa


@dataclass(frozen=True)
class Unit:
    """One way to write a quantity. `canonical = value * scale + offset`."""

    suffix: str
    quantity: Quantity
    scale: float = 1.0
    offset: float = 0.0

    def to_canonical(self, value: float) -> float:
        return value * self.scale + self.offset

    def from_canonical(self, value: float) -> float:
        return (value - self.offset) / self.scale


UNITS: dict[str, Unit] = {
    unit.suffix: unit
    for unit in (
        Unit("m", Quantity.LENGTH),
        Unit("yd", Quantity.LENGTH, METRES_PER_YARD),
        Unit("ft", Quantity.LENGTH, METRES_PER_FOOT),
        Unit("in", Quantity.LENGTH, METRES_PER_INCH),
        Unit("mps", Quantity.SPEED),
        Unit("kmh", Quantity.SPEED, 1 / 3.6),
        Unit("mph", Quantity.SPEED, MPS_PER_MPH),
        Unit("deg", Quantity.ANGLE),
        Unit("rpm", Quantity.SPIN),
        Unit("c", Quantity.TEMPERATURE),
        Unit("f", Quantity.TEMPERATURE, 5 / 9, -32 * 5 / 9),
        Unit("s", Quantity.TIME),
        Unit("ratio", Quantity.RATIO),
        Unit("pct", Quantity.RATIO, 0.01),
        Unit("pa", Quantity.PRESSURE),
        Unit("hpa", Quantity.PRESSURE, 100.0),
    )
}


def yards(metres: float) -> float:
    return metres / METRES_PER_YARD


def metres(yards_: float) -> float:
    return yards_ * METRES_PER_YARD


def feet(metres_: float) -> float:
    return metres_ / METRES_PER_FOOT


def mph(metres_per_second: float) -> float:
    return metres_per_second / MPS_PER_MPH


def mps(miles_per_hour: float) -> float:
    return miles_per_hour * MPS_PER_MPH


def ninety(sd: float) -> float:
    """Half the width of the 90% interval of a normal figure from its standard deviation, in the same unit."""
    return 1.6449 * sd


def whole(value: float, digits: int = 0) -> float:
    """Rounded to so many digits as everything that is shown is: halves go away from nought, as a fitter rounds and as
    the screens do. What is compared with what is shown is rounded by this first."""
    scale = 10.0**digits
    # A half that a conversion of units missed by the last bits of a float is still a half.
    made = math.floor(abs(value) * scale + 0.5 + HALF) / scale
    return -made if value < 0 and made else made


HALF = 1e-9


def shown(value: float, digits: int = 0) -> str:
    """A figure for a sentence with so many digits, or rounded to tens and hundreds for negative ones; with a true minus
    sign."""
    return f"{whole(value, digits):.{max(digits, 0)}f}".replace("-", "\u2212")


def signed(value: float, digits: int = 0) -> str:
    """A difference for a sentence: as `shown`, with its sign also where it is positive; nought has a plus."""
    return ("" if whole(value, digits) < 0 else "+") + shown(value, digits)


def degrees_side(value: float) -> str:
    """An angle beside the line, as `4° right` or `square`."""
    by = shown(abs(value))
    return "square" if by == "0" else f"{by}° {'right' if value > 0 else 'left'}"


def whole_yards(metres_: float) -> int:
    """A length as the whole yards it is shown in."""
    return int(whole(yards(metres_)))


def yd_text(metres_: float) -> str:
    """A length as whole yards for a sentence."""
    return shown(yards(metres_))


def yard_words(metres_: float) -> str:
    """A distance for a sentence: at least one yard, as what is nought is not said."""
    return f"{max(1, whole_yards(metres_))} yd"


def chance_text(chance: float | None) -> str:
    """A chance as it is read out: never quite sure, and never quite none; empty where there is none to tell."""
    if chance is None:
        return ""
    percent = whole(chance * 100)
    return "99%" if percent >= 99 else "under 1%" if percent < 1 else f"{shown(percent)}%"


def outside(mean_m: float, low_m: float | None, high_m: float | None) -> int:
    """How many yards a length lies outside a window as both are shown: negative for short of it, 0 inside and on an
    edge."""
    mean = whole_yards(mean_m)
    if low_m is not None and mean < whole_yards(low_m):
        return mean - whole_yards(low_m)
    return max(mean - whole_yards(high_m), 0) if high_m is not None else 0
