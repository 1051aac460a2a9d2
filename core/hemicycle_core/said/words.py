"""What was said, as somebody reads it."""

from __future__ import annotations

from collections.abc import Callable, Mapping
from threading import Lock
from typing import Any

from cachetools import LRUCache, cached

from .catalogue import catalogue
from .quantity import Kind, Quantity
from .reader import ENGLISH, Reader
from .sentence import NOTHING, PARTS, PRINTER, TEXT, Said, Sayable, say, term
from .spoken import Spoken, count

MOST = 20_000


def in_words(said: Sayable, reader: Reader = ENGLISH) -> str:
    """A sentence in the reader's language and units. Raises KeyError for a message that there is not and ValueError for
    one whose values are not those it is said with."""
    return _read(said, reader) if isinstance(said, Said) else said


@cached(LRUCache(MOST), lock=Lock())
def _read(said: Said, reader: Reader) -> str:
    if said.id == TEXT:
        return str(said.values[0][1])
    if said.id == PARTS:
        return str(said.values[1][1]).join(in_words(each, reader) for each in said.parts)
    bundle = catalogue(reader.language)
    message = bundle.get_message(said.id)
    values = {name: _put(value, reader) for name, value in said.values}
    assert message.value is not None
    pattern = message.attributes.get("golfer", message.value) if reader.golfer else message.value
    text, errors = bundle.format_pattern(pattern, values)
    if errors:
        raise ValueError(f"{said.id}: {errors[0]}")
    return str(text)


def _put(value: Any, reader: Reader) -> Any:
    if isinstance(value, Said):
        return in_words(value, reader)
    if isinstance(value, Quantity):
        return Spoken(value, reader.units)
    return count(value) if isinstance(value, int) else value


def english(said: Sayable) -> str:
    """In English, in yards, for those who only read, and for the tests."""
    return in_words(said, ENGLISH)


PRINTER[0] = english


def said_of(kind: str, value: str, **values: object) -> Said:
    """One of a kind by its name, as `term`, with its values; nothing where the catalogue has none of that name."""
    name = term(kind, value).id
    return say(name, **values) if catalogue().has_message(name) else NOTHING


def chance(of_one: float | None) -> Said | Quantity:
    """A chance as it is read out: never quite sure, and never quite none; nothing where there is none to tell."""
    return NOTHING if of_one is None else Quantity(Kind.CHANCE, float(of_one))


def within(data: Any, put: Callable[[Said], Any]) -> Any:
    """Plain data with every sentence in it put as wished; `data` itself stays as it is."""
    if isinstance(data, Said):
        return put(data)
    if isinstance(data, Mapping):
        return {put(key) if isinstance(key, Said) else key: within(data[key], put) for key in data}
    return [within(each, put) for each in data] if isinstance(data, list | tuple) else data


def read_out(data: Any, reader: Reader = ENGLISH) -> Any:
    """Plain data with every sentence in it as the reader has it."""
    return within(data, lambda said: in_words(said, reader))
