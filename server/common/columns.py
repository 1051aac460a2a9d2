"""Columns made from the frozen values of the core: a field is written once, there, and a row is read as the value and
changed by it."""

from __future__ import annotations

import types
from collections.abc import Callable, Mapping, Sequence
from dataclasses import MISSING, fields, is_dataclass
from decimal import Decimal
from enum import StrEnum
from functools import cache
from typing import Any, Literal, TypeVar, Union, get_args, get_origin, get_type_hints

from django.db import models
from hemicycle_core.facts.values import About, about

T = TypeVar("T")
Read = Callable[[Any], Any]


def columns_of(kind: type[Any]) -> dict[str, models.Field[Any, Any]]:
    """A column for every field of a kind of value, by its name."""
    hints = get_type_hints(kind)
    return {each.name: _column(hints[each.name], each.default, about(each)) for each in fields(kind)}


def keep_in_columns(model: type[models.Model], *kinds: type[Any]) -> None:
    """Give a table the columns of these kinds of values."""
    for kind in kinds:
        for name, column in columns_of(kind).items():
            model.add_to_class(name, column)


def value_of(kind: type[T], row: models.Model) -> T:
    """The value that a row holds in the columns of its kind."""
    known, readers = row.__dict__, _readers(_any(kind))
    return kind(**{name: read(known[column]) for name, column, read in readers})


def read_as(kind: type[T], held: Mapping[str, Any]) -> T:
    """A value from plain data that was written of one."""
    return kind(**{name: read(held[name]) for name, _, read in _readers(_any(kind)) if name in held})


def in_columns(kind: Any, values: Mapping[str, Any]) -> dict[str, Any]:
    """Fields of a kind of value as its columns hold them."""
    made = {}
    for name, column, _ in _readers(kind):
        if name in values:
            given = _written(values[name])
            made[column] = "" if given is None and (name in _words_or_nothing(kind)) else given
    return made


def put(row: models.Model, kind: Any, values: Mapping[str, Any]) -> list[str]:
    """Give fields of a value that a row holds others; what is to be saved of it."""
    made = in_columns(kind, values)
    for column, each in made.items():
        setattr(row, column, each)
    return list(made)


def _column(hint: Any, default: Any, said: About) -> models.Field[Any, Any]:
    words, nullable = _bare(hint)
    told: dict[str, Any] = {"help_text": said.help} if said.help else {}
    if said.link:
        return models.ForeignKey(said.link, on_delete=models.SET_NULL, null=True, related_name="+", **told)
    if isinstance(words, type) and issubclass(words, StrEnum):
        return _word([each.value for each in words], default, said, told, blank=nullable)
    if get_origin(words) is Literal:
        return _word([each for each in get_args(words) if each], default, said, told, blank=not default)
    if words is Decimal:
        return models.DecimalField(max_digits=said.longest or 8, decimal_places=2, null=nullable, **told)
    if get_origin(words) is not None:
        empty = dict if _is_mapping(words) else list
        return models.JSONField(default=empty, **told)
    if words is str and said.longest is not None and said.longest > 1000:
        return models.TextField(blank=True, **told)
    usual = {} if default is MISSING or default in ("", None) else {"default": default}
    if words is str:
        return models.CharField(max_length=said.longest, blank=default == "", **usual, **told)
    plain = {bool: models.BooleanField, int: models.PositiveSmallIntegerField, float: models.FloatField}[words]
    return plain(null=nullable, **usual, **told)


def _word(words: list[str], default: Any, said: About, told: dict[str, Any], *, blank: bool) -> models.Field[Any, Any]:
    more: dict[str, Any] = {**told, **({} if not default or default is MISSING else {"default": str(default)})}
    return models.CharField(max_length=said.longest, choices=[(each, each) for each in words], blank=blank, **more)


def _bare(hint: Any) -> tuple[Any, bool]:
    """A type without its None, and whether it had one."""
    if get_origin(hint) in (Union, types.UnionType):
        (bare,) = (each for each in get_args(hint) if each is not type(None))
        return bare, True
    return hint, False


@cache
def _words_or_nothing(kind: Any) -> frozenset[str]:
    """The fields that hold one of a list of words, or nothing: an empty column."""
    bare = {name: _bare(hint) for name, hint in get_type_hints(kind).items()}
    return frozenset(
        name
        for name, (words, nullable) in bare.items()
        if nullable and isinstance(words, type) and issubclass(words, StrEnum)
    )


def _any(kind: object) -> Any:
    """A class is as good a key as any."""
    return kind


def _is_mapping(hint: Any) -> bool:
    origin = get_origin(hint)
    return isinstance(origin, type) and issubclass(origin, Mapping)


@cache
def _readers(kind: Any) -> tuple[tuple[str, str, Read], ...]:
    """Of each field its name, the attribute of a row that holds it, and how it is read."""
    hints = get_type_hints(kind)
    return tuple(
        (each.name, f"{each.name}_id" if about(each).link else each.name, _reader(hints[each.name]))
        for each in fields(kind)
    )


def _reader(hint: Any) -> Read:
    words, nullable = _bare(hint)
    if isinstance(words, type) and issubclass(words, StrEnum):
        return _read_word(words, nullable=nullable)
    if is_dataclass(words) and isinstance(words, type):
        return lambda found: read_as(words, found)
    if _is_mapping(words):
        key, each = (_reader(part) for part in get_args(words))
        return lambda found: {key(name): each(held) for name, held in found.items()}
    if get_origin(words) is not None and get_origin(words) is not Literal:
        one = _reader(get_args(words)[0])
        return lambda found: tuple(one(each) for each in found)
    if words is Decimal:
        return lambda found: found if found is None or isinstance(found, Decimal) else Decimal(str(found))
    return lambda found: found


def _read_word(words: type[StrEnum], *, nullable: bool) -> Read:
    known: dict[str, Any] = {each.value: each for each in words}
    if nullable:
        known[""] = None
    return lambda found: known[found]


def _written(given: Any) -> Any:
    """As a column holds it: words without their list, plain lists and mappings, nothing said as empty."""
    if isinstance(given, StrEnum):
        return given.value
    if is_dataclass(given) and not isinstance(given, type):
        return {each.name: _written(getattr(given, each.name)) for each in fields(given)}
    if isinstance(given, Mapping):
        return {_written(name): _written(each) for name, each in given.items()}
    if isinstance(given, Sequence) and not isinstance(given, str):
        return [_written(each) for each in given]
    return given
