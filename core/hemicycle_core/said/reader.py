"""Who reads: in which language and which units. The one place that turns a quantity into figures."""

from __future__ import annotations

from dataclasses import dataclass, field
from enum import StrEnum

from ..units import UNITS, Unit, chance_text, shown, signed, whole
from ..units import Quantity as Length
from .quantity import Form, Kind, Quantity


class Far(StrEnum):
    YARDS = "yd"
    METRES = "m"


class High(StrEnum):
    FEET = "ft"
    METRES = "m"


class Speed(StrEnum):
    MPH = "mph"
    KMH = "kmh"
    MPS = "mps"


class Warmth(StrEnum):
    FAHRENHEIT = "f"
    CELSIUS = "c"


class ClubLength(StrEnum):
    INCHES = "in"
    MILLIMETRES = "mm"


@dataclass(frozen=True)
class Units:
    """A person's choice. currency: what an amount is said in, as the shop writes it; empty where none is written."""

    far: Far = Far.YARDS
    high: High = High.FEET
    speed: Speed = Speed.MPH
    warmth: Warmth = Warmth.CELSIUS
    club_length: ClubLength = ClubLength.INCHES
    currency: str = ""


@dataclass(frozen=True)
class Reader:
    """language: of the catalogue. golfer: in the words for whoever plays, where the catalogue has such: `.golfer`."""

    units: Units = field(default_factory=Units)
    language: str = "en"
    golfer: bool = False


ENGLISH = Reader()
GOLFER = Reader(golfer=True)

# How each unit is written behind a figure; those without a space follow it at once.
WRITTEN = {
    "yd": " yd", "m": " m", "ft": " ft", "mph": " mph", "kmh": " km/h", "mps": " m/s", "f": " °F", "c": " °C",
    "in": " in", "mm": " mm",
}  # fmt: skip
READ_IN = {**UNITS, "mm": Unit("mm", Length.LENGTH, 0.001)}  # no file has a column in millimetres
FIXED = {
    Kind.MONEY: "",
    Kind.ANGLE: "°",
    Kind.SPIN: " rpm",
    Kind.TIME: " s",
    Kind.WEIGHT: " g",
    Kind.SHARE: "%",
    Kind.CHANCE: "",
    Kind.NUMBER: "",
}
# Digits more than in the usual unit, where a unit is so much larger or smaller.
FINER = {("speed", "mps"): 1, ("near", "m"): 1, ("club_length", "mm"): -9}
# What stands before an amount, as English has it; before those of other currencies their three letters.
SIGNS = {"GBP": "£", "EUR": "€", "USD": "US$", "AUD": "A$", "CAD": "CA$", "NZD": "NZ$", "JPY": "JP¥"}


def unit_of(kind: Kind, units: Units) -> str:
    """The suffix of the unit a kind is read in; empty where there is no choice of it."""
    chosen = {
        Kind.FAR: units.far, Kind.HIGH: units.high, Kind.NEAR: units.high, Kind.SPEED: units.speed,
        Kind.WARMTH: units.warmth, Kind.CLUB_LENGTH: units.club_length,
    }  # fmt: skip
    return str(chosen.get(kind, ""))


def figure(quantity: Quantity, units: Units) -> str:
    """The figure alone, in the reader's unit, rounded as everything that is shown is."""
    kind, unit = quantity.kind, unit_of(quantity.kind, units)
    if kind is Kind.CHANCE:
        return chance_text(quantity.value)
    value = quantity.value * 100 if kind is Kind.SHARE else quantity.value
    if unit:
        known = READ_IN[unit]
        value = value / known.scale if quantity.difference else known.from_canonical(value)
    digits = quantity.digits + FINER.get((str(kind), unit), 0)
    digits = max(digits, 0) if quantity.digits >= 0 else digits
    if kind is Kind.MONEY and units.currency:
        sign = SIGNS.get(units.currency, f"{units.currency}\u00a0")
        minus = "\u2212" if value < 0 else ""
        return f"{minus}{sign}{abs(whole(value, digits)):,.{max(digits, 0)}f}"
    if quantity.form is Form.LEAST_ONE:
        return shown(max(1.0, whole(value)))
    if quantity.form is Form.SHORT:
        value = whole(value) if unit == ClubLength.MILLIMETRES else value  # nobody measures a club finer
        return f"{value:.6g}".replace("-", "\u2212")
    if quantity.form is Form.SIZE:
        return shown(abs(value), digits)
    return signed(value, digits) if quantity.form is Form.SIGNED else shown(value, digits)


def unit_words(kind: Kind, units: Units) -> str:
    """What is written behind the figure, with its space."""
    unit = unit_of(kind, units)
    return WRITTEN[unit] if unit else FIXED[kind]
