"""A sentence as data: which message of the catalogue, with which values."""

from __future__ import annotations

from collections.abc import Iterable, Iterator
from dataclasses import dataclass
from functools import partial
from typing import Any, TypeAlias

from .quantity import Quantity

TEXT, PARTS = "=", "+"  # names no message has: text as somebody typed it, and sentences one after another


@dataclass(frozen=True, eq=False, slots=True)
class Said:
    """What is said. id: a message of the catalogue; values: what stands in it, by name. It is no text: put in a text it
    would lose its quantities, so that formatting one is an error. Read as English in yards by `str`, and compared with
    text by that."""

    id: str
    values: tuple[tuple[str, Any], ...] = ()

    def __str__(self) -> str:
        return str(PRINTER[0](self))

    def __format__(self, how: str) -> str:
        raise TypeError(f"“{self!s}” is data: say it as a value of a message, do not put it in a text")

    def __repr__(self) -> str:
        return f"Said({str(self)!r})"

    def __bool__(self) -> bool:
        if self.id == TEXT:
            return bool(self.values[0][1])
        return self.id != PARTS or any(self.parts)

    def __eq__(self, other: object) -> bool:
        if isinstance(other, Said):
            return self.id == other.id and self.values == other.values
        return str(self) == other if isinstance(other, str) else NotImplemented

    def __hash__(self) -> int:
        return hash((self.id, self.values))

    def __contains__(self, text: str) -> bool:
        return str(text) in str(self)

    @property
    def parts(self) -> tuple[Sayable, ...]:
        """Of sentences one after another, each; else itself alone."""
        return self.values[0][1] if self.id == PARTS else (self,)

    def names(self) -> Iterator[str]:
        """The messages it is made of."""
        if self.id not in (TEXT, PARTS):
            yield self.id
        for each in self.parts if self.id == PARTS else [value for _, value in self.values]:
            if isinstance(each, Said):
                yield from each.names()


PRINTER: list[Any] = [repr]
Sayable: TypeAlias = Said | str


def say(message: str, /, **values: object) -> Said:
    """A message of the catalogue with its values: quantities, counts (whole numbers), names, other sentences, and words
    or yes and no (of a bool) to choose by. Raises TypeError for anything else, as a bare float, which has no kind."""
    return Said(message, tuple((name, _told(message, name, value)) for name, value in values.items()))


def _told(message: str, name: str, value: object) -> Said | Quantity | str | int:
    value = value.item() if hasattr(value, "item") else value  # as numpy counts and tells
    if isinstance(value, bool):
        return "yes" if value else "no"
    if value is None or isinstance(value, str):
        return str(value or "")
    if not isinstance(value, Said | Quantity | int):
        raise TypeError(f"{message}: {name} is a bare {type(value).__name__}; say what kind of quantity it is")
    return value


def plain(text: str) -> Said:
    """Text as somebody typed it: a name, a note."""
    return Said(TEXT, (("text", str(text)),))


NOTHING = plain("")


def joined(parts: Iterable[Sayable], glue: str = " ") -> Said:
    """Sentences one after another; those that say nothing are left out."""
    there = tuple(each for each in parts if each)
    if not there:
        return NOTHING
    if len(there) == 1:
        only = there[0]
        return only if isinstance(only, Said) else plain(only)
    return Said(PARTS, (("parts", there), ("glue", glue)))


listed = partial(joined, glue=", ")


def with_and(parts: Iterable[Sayable]) -> Said:
    """`A, B and C`."""
    return _ended(parts, "list-and")


def with_or(parts: Iterable[Sayable]) -> Said:
    """`A, B or C`."""
    return _ended(parts, "list-or")


def with_and_the(parts: Iterable[Sayable]) -> Said:
    """`A and the B and the C`, to stand behind a the."""
    first, *rest = [each for each in parts if each] or [NOTHING]
    said = first if isinstance(first, Said) else plain(first)
    for each in rest:
        said = say("list-and-the", first=said, last=each)
    return said


def _ended(parts: Iterable[Sayable], how: str) -> Said:
    there = [each for each in parts if each]
    return listed(there) if len(there) < 2 else say(how, first=listed(there[:-1]), last=there[-1])


def term(kind: str, value: str) -> Said:
    """One of a kind by its name: `term("lie", Lie.SEMI_ROUGH)` is the message `lie-semi-rough`."""
    return say(f"{kind}-{value}".lower().replace("_", "-"))
