"""Names without accents, as they are typed in a hurry: finding rows by some words of a name, in any order."""

from __future__ import annotations

import unicodedata
from typing import TypeVar

from django.db.models import CharField, Func, GeneratedField, Model, QuerySet, Value
from django.db.models.functions import Lower

Rows = TypeVar("Rows", bound=Model)
# Letters of Latin scripts with what is typed for them. What Unicode takes apart into a letter and its marks is made
# here, the rest is said.
SAID = {"ø": "o", "đ": "d", "ł": "l", "ı": "i", "ħ": "h", "æ": "a", "œ": "o", "ð": "d", "þ": "t", "ß": "s"}
_BASE = {chr(code): unicodedata.normalize("NFD", chr(code))[0] for code in range(0xE0, 0x250)}
PLAIN = {**{letter: base for letter, base in _BASE.items() if base.isascii() and base.islower()}, **SAID}
_TABLE = {ord(letter): base for letter, base in PLAIN.items()}


def plain(name: str) -> str:
    """A name in small letters without accents."""
    return name.lower().translate(_TABLE)


def plain_of(column: str) -> GeneratedField:
    """A column that the database makes of a name, as `plain` does: to make it of each name that is searched took
    fifteen times as long."""
    old, new = Value("".join(PLAIN)), Value("".join(PLAIN.values()))
    return GeneratedField(
        expression=Func(Lower(column), old, new, function="translate"),
        output_field=CharField(max_length=80),
        db_persist=True,
    )


def named(rows: QuerySet[Rows], search: str, path: str = "plain_name") -> QuerySet[Rows]:
    """Rows whose name has every word of what is searched, as a part of it. path: to the plain name."""
    for word in plain(search).split():
        rows = rows.filter(**{f"{path}__contains": word})
    return rows
