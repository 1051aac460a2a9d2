"""What some shots of a build did beside its stock ones: differences of means, and how they are said."""

from __future__ import annotations

from collections.abc import Iterable, Sequence

from ..shots import Shot
from ..units import shown, yards, yd_text
from .averages import average

LEAST_RPM = 100.0  # a smaller difference of spin is not said


def read_of(shots: Sequence[Shot], key: str) -> list[float]:
    """One reading of all these shots that have it, whatever was meant by them."""
    return [value for shot in shots if (value := shot.get(key)) is not None]


def beside(mine: Sequence[Shot], stock: Sequence[Shot], keys: Iterable[str]) -> dict[str, float]:
    """Mean of the first less mean of the second, by reading in its canonical unit, where both have it."""
    made = {}
    for key in keys:
        ours, theirs = average(read_of(mine, key)), average(read_of(stock, key))
        if ours is not None and theirs is not None:
            made[key] = ours.mean - theirs.mean
    return made


def way(value: float, text: str, more: str, less: str) -> str:
    return f"{text} {more if value > 0 else less}"


def far_words(by_m: float) -> str:
    """A difference of carry, in metres, in words."""
    return way(by_m, f"{yd_text(abs(by_m))} yd", "longer", "shorter") if yards(abs(by_m)) >= 1 else "as long"


def spin_words(by_rpm: float) -> str:
    """A difference of spin in words; empty where it is too small to be said."""
    return way(by_rpm, f"{shown(abs(by_rpm))} rpm", "more", "less") if abs(by_rpm) >= LEAST_RPM else ""


def chance_words(n: int) -> str:
    """What is added where so few shots may differ by chance."""
    return f" With {n} {'shot' if n == 1 else 'shots'} that may be chance."
