"""What some shots of a build did beside its stock ones: differences of means, and how they are said."""

from __future__ import annotations

from collections.abc import Iterable, Sequence

from ..said import NOTHING, Said, far, high, say, spin
from ..shots import Shot
from ..units import feet, yards
from .averages import average

LEAST_RPM, LEAST_FT = 100.0, 3.0  # smaller differences of spin and of height are not said


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


def far_words(by_m: float) -> Said:
    """A difference of carry, in metres, in words."""
    if yards(abs(by_m)) < 1:
        return say("beside-as-long")
    return say("beside-carry", by=far(abs(by_m)), longer=by_m > 0)


def spin_words(by_rpm: float) -> Said:
    """A difference of spin in words; empty where it is too small to be said."""
    return say("beside-spin", by=spin(abs(by_rpm)), more=by_rpm > 0) if abs(by_rpm) >= LEAST_RPM else NOTHING


def height_words(by_m: float) -> Said:
    """A difference of height, in metres, in words; empty where it is too small to be said."""
    return say("beside-height", by=high(abs(by_m)), higher=by_m > 0) if abs(feet(by_m)) >= LEAST_FT else NOTHING


def chance_words(n: int) -> Said:
    """What is added where so few shots may differ by chance."""
    return say("beside-may-be-chance", n=n)
