"""Columns made from the frozen values of the core: a field is written once, there, and a row is read as the value and
changed by it."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import MISSING, fields
from decimal import Decimal
from enum import StrEnum
from functools import cache
from typing import Any, Literal, TypeVar, get_args, get_origin, get_type_hints

from django.db import models
from hemicycle_core.facts.values import About, about
from hemicycle_core.plain import Read, bare, is_mapping, readers, written

T = TypeVar("T")


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
    known = row.__dict__
    return kind(**{name: read(known[column]) for name, column, read in _columns_read(_any(kind))})


def in_columns(kind: Any, values: Mapping[str, Any]) -> dict[str, Any]:
    """Fields of a kind of value as its columns hold them."""
    made = {}
    for name, column, _ in _columns_read(kind):
        if name in values:
            given = written(values[name])
            made[column] = "" if given is None and (name in _words_or_nothing(kind)) else given
    return made


def put(row: models.Model, kind: Any, values: Mapping[str, Any]) -> list[str]:
    """Give fields of a value that a row holds others; what is to be saved of it."""
    made = in_columns(kind, values)
    for column, each in made.items():
        setattr(row, column, each)
    return list(made)


def _column(hint: Any, default: Any, said: About) -> models.Field[Any, Any]:
    words, nullable = bare(hint)
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
        empty = dict if is_mapping(words) else list
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


@cache
def _words_or_nothing(kind: Any) -> frozenset[str]:
    """The fields that hold one of a list of words, or nothing: an empty column."""
    found = {name: bare(hint) for name, hint in get_type_hints(kind).items()}
    return frozenset(
        name
        for name, (words, nullable) in found.items()
        if nullable and isinstance(words, type) and issubclass(words, StrEnum)
    )


def _any(kind: object) -> Any:
    """A class is as good a key as any."""
    return kind


@cache
def _columns_read(kind: Any) -> tuple[tuple[str, str, Read], ...]:
    """Of each field its name, the attribute of a row that holds it, and how it is read."""
    links = {each.name for each in fields(kind) if about(each).link}
    return tuple((name, f"{name}_id" if name in links else name, read) for name, read in readers(kind))
