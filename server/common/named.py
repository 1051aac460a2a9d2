"""Finding rows by parts of a name, as it is typed in a hurry: some words of it, in any order, without its accents."""

from __future__ import annotations

import unicodedata
from typing import TypeVar

from django.db.models import CharField, Func, Model, QuerySet, Value
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


def named(rows: QuerySet[Rows], search: str, path: str = "name") -> QuerySet[Rows]:
    """Rows whose name has every word of what is searched, as a part of it. path: to the name."""
    words = plain(search).split()
    if not words:
        return rows
    old, new = Value("".join(PLAIN)), Value("".join(PLAIN.values()))
    said = Func(Lower(path), old, new, function="translate", output_field=CharField())
    found: QuerySet[Rows] = rows.annotate(plain_name=said)  # type: ignore[assignment]
    for word in words:
        found = found.filter(plain_name__contains=word)
    return found
