"""Frozen values as plain data and back: what is kept of one is written by its fields, and read as the value again."""

from __future__ import annotations

import types
from collections.abc import Callable, Mapping, Sequence
from dataclasses import fields, is_dataclass
from decimal import Decimal
from enum import StrEnum
from functools import cache
from typing import Any, Literal, TypeVar, Union, get_args, get_origin, get_type_hints

T = TypeVar("T")
Read = Callable[[Any], Any]


def read_as(kind: type[T], held: Mapping[str, Any]) -> T:
    """A value from plain data that was written of one; a field that is not there has its default."""
    return kind(**{name: read(held[name]) for name, read in readers(_any(kind)) if name in held})


@cache
def readers(kind: Any) -> tuple[tuple[str, Read], ...]:
    """Of each field of a kind of value its name and how it is read."""
    hints = get_type_hints(kind)
    return tuple((each.name, _reader(hints[each.name])) for each in fields(kind))


def written(given: Any) -> Any:
    """As it is kept: words without their list, plain lists and mappings, values by their fields."""
    if isinstance(given, StrEnum):
        return given.value
    if is_dataclass(given) and not isinstance(given, type):
        return {each.name: written(getattr(given, each.name)) for each in fields(given)}
    if isinstance(given, Mapping):
        return {written(name): written(each) for name, each in given.items()}
    if isinstance(given, Sequence) and not isinstance(given, str):
        return [written(each) for each in given]
    return given


def bare(hint: Any) -> tuple[Any, bool]:
    """A type without its None, and whether it had one."""
    if get_origin(hint) in (Union, types.UnionType):
        (found,) = (each for each in get_args(hint) if each is not type(None))
        return found, True
    return hint, False


def is_mapping(hint: Any) -> bool:
    origin = get_origin(hint)
    return isinstance(origin, type) and issubclass(origin, Mapping)


def _any(kind: object) -> Any:
    """A class is as good a key as any."""
    return kind


def _reader(hint: Any) -> Read:
    words, nullable = bare(hint)
    if isinstance(words, type) and issubclass(words, StrEnum):
        return _read_word(words, nullable=nullable)
    if is_dataclass(words) and isinstance(words, type):
        return lambda found: read_as(words, found)
    if is_mapping(words):
        key, each = (_reader(part) for part in get_args(words))
        return lambda found: {key(name): each(held) for name, held in found.items()}
    if get_origin(words) is not None and get_origin(words) is not Literal:
        one = _reader(get_args(words)[0])
        return lambda found: None if found is None else tuple(one(each) for each in found)
    if words is float:  # kept as JSON, a whole one comes back without its point
        return lambda found: None if found is None else float(found)
    if words is Decimal:
        return lambda found: found if found is None or isinstance(found, Decimal) else Decimal(str(found))
    return lambda found: found


def _read_word(words: type[StrEnum], *, nullable: bool) -> Read:
    known: dict[str, Any] = {each.value: each for each in words}
    if nullable:
        known[""] = known[None] = None  # type: ignore[index]
    return lambda found: known[found]
