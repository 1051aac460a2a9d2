"""A field of a value that a session is made of, with all that is said of it: columns, forms and rules of what is kept
of a person are made from it."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import MISSING, Field, dataclass, field, fields
from decimal import Decimal
from functools import cache
from typing import Any

from ..errors import BadInput
from ..said import NOTHING, Form, Said, number, say


class Figure:
    """What a field is where a person is erased: a figure, which stays."""


FIGURE = Figure()


@dataclass(frozen=True)
class About:
    """label: as a form calls it. help: what the column says of it. longest: of words, in characters, None for any.
    least, most: what it may be, with `range_words` for who types another. lasting: true of the player and not of one
    visit, so that the next begins with it. erased: what stands there once the person is erased, `FIGURE` for a figure,
    which stays. link: the kind of row that its number is of. items: how many there may be."""

    label: Said = NOTHING
    help: str = ""
    longest: int | None = None
    least: float | None = None
    most: float | None = None
    range_words: Said = NOTHING
    lasting: bool = False
    erased: Any = FIGURE
    link: str = ""
    items: int | None = None


REQUIRED = MISSING


def value(default: Any, label: Said = NOTHING, **about: Any) -> Any:
    """A field of a frozen value; see `About`. default: `REQUIRED` for none, `dict` for an empty mapping."""
    said = {"about": About(label, **about)}
    if default is dict:
        return field(default_factory=dict, metadata=said)
    return field(default=default, metadata=said)


def about(each: Field[Any]) -> About:
    """What is said of a field."""
    found: About = each.metadata.get("about", About())
    return found


@cache
def fields_of(kind: Any) -> tuple[tuple[str, About], ...]:
    """Every field of a kind of value, with what is said of it."""
    return tuple((each.name, about(each)) for each in fields(kind))


def names_of(kind: Any, chosen: Callable[[About], bool] = lambda _about: True) -> list[str]:
    """The fields of a kind of value of which something is true."""
    return [name for name, said in fields_of(kind) if chosen(said)]


def check(made: Any) -> None:
    """Raise BadInput where a field of a value is not what it may be, and say which."""
    kind: Any = type(made)
    for name, said in fields_of(kind):
        _check_one(name, said, getattr(made, name))


def _check_one(name: str, said: About, given: Any) -> None:
    if isinstance(given, str) and said.longest is not None and len(given) > said.longest:
        raise BadInput(say("field-so-many-characters", field=said.label, most=said.longest), field=name)
    if said.items is not None and len(given) > said.items:
        raise BadInput(said.range_words or say("field-so-many", field=said.label, most=said.items), field=name)
    if isinstance(given, int | float | Decimal) and not isinstance(given, bool):
        under = said.least is not None and given < said.least
        if under or (said.most is not None and given > said.most):
            low, high = (number(end or 0.0, form=Form.SHORT) for end in (said.least, said.most))
            raise BadInput(said.range_words or say("field-between", field=said.label, low=low, high=high), field=name)
