"""Quantities inside a message, and what a message may do with them."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Any

from babel import Locale
from fluent.runtime.types import FluentInt, FluentType, fluent_number

from .quantity import Quantity
from .reader import Units, figure, unit_words

ANYWHERE = Locale("en")


@dataclass(frozen=True)
class Spoken(FluentType):
    """A quantity as one reader reads it: `152 yd`."""

    quantity: Quantity
    units: Units

    def format(self, locale: Any) -> str:
        return figure(self.quantity, self.units) + unit_words(self.quantity.kind, self.units)


def count(value: int) -> FluentInt:
    """How many: written without a separator of thousands, and there to choose a plural by."""
    made = fluent_number(value, useGrouping=False)
    assert isinstance(made, FluentInt)
    return made


def bare(value: Any) -> Any:
    """BARE: the figure without its unit."""
    return figure(value.quantity, value.units) if isinstance(value, Spoken) else value


def unit(value: Any) -> Any:
    """UNIT: the unit alone, without a space."""
    return unit_words(value.quantity.kind, value.units).strip() if isinstance(value, Spoken) else ""


def hyphened(value: Any) -> Any:
    """HYPHENED: as it stands before a noun, `8-yd`."""
    return f"{bare(value)}-{unit(value)}" if isinstance(value, Spoken) else value


def capital(value: Any) -> Any:
    """CAPITAL: as a sentence begins."""
    text = value.format(ANYWHERE) if isinstance(value, FluentType) else str(value)
    return text[:1].upper() + text[1:]


def small(value: Any) -> Any:
    """SMALL: as it stands inside a sentence."""
    text = value.format(ANYWHERE) if isinstance(value, FluentType) else str(value)
    return text[:1].lower() + text[1:]


def sentence(value: Any) -> Any:
    """SENTENCE: several labels as one begins a sentence, `Spin and launch angle`."""
    text = str(value)
    return text[:1].upper() + text[1:].lower()


FUNCTIONS: dict[str, Any] = {
    "BARE": bare,
    "UNIT": unit,
    "HYPHENED": hyphened,
    "CAPITAL": capital,
    "SMALL": small,
    "SENTENCE": sentence,
}
