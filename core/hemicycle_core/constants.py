"""The numbers the judge rests on: where each comes from, and what the choice loses without it.

A number stands once, in the module that uses it, with what it means beside it. `constants.toml` has a line for each,
with its source; a test holds the two together, so that none is put in without saying whose it is.
"""

from __future__ import annotations

import importlib
import sys
import tomllib
from collections.abc import Iterator, Sequence
from dataclasses import dataclass
from enum import StrEnum
from functools import cache
from importlib.resources import files
from typing import Any

PACKAGE = __package__ or "hemicycle_core"


class Ground(StrEnum):
    """What a number rests on."""

    JUDGEMENT = "judgement"  # nobody measured it
    PUBLISHED = "published"  # the words beside it name what
    PRACTICE = "practice"  # simulated fittings
    LIMIT = "limit"  # of what is taken in, asked or shown
    GRID = "grid"  # how finely something is worked out
    DERIVED = "made of others"


@dataclass(frozen=True)
class Gain:
    """In a world of practice what is lost without a number, with one standard error: by the ranking, as a share of the
    regret of choosing by hand, and by the choice of a bag, strokes a round, None where no bag was chosen."""

    world: str
    ranking: tuple[float, float]
    strokes: tuple[float, float] | None = None


@dataclass(frozen=True)
class Constant:
    """name: module and name, `judge.play.GROUND_SD`. out: the value that leaves it out, None where nothing does. gain:
    what is lost without it; empty where it was not measured."""

    name: str
    source: Ground
    out: float | None = None
    gain: tuple[Gain, ...] = ()

    @property
    def value(self) -> Any:
        module, name = self.name.rsplit(".", 1)
        return getattr(importlib.import_module(f"{PACKAGE}.{module}"), name)


@cache
def registry() -> dict[str, Constant]:
    """By name. Raises ValueError for a source that there is not."""
    text = (files(__package__) / "constants.toml").read_text("utf-8")
    return {
        f"{module}.{name}": Constant(
            f"{module}.{name}",
            Ground(line["source"]),
            line.get("out"),
            tuple(
                Gain(world, tuple(lost["ranking"]), tuple(lost["strokes"]) if "strokes" in lost else None)
                for world, lost in line.get("gain", {}).items()
            ),
        )
        for module, lines in tomllib.loads(text).items()
        for name, line in lines.items()
    }


def without(names: Sequence[str]) -> list[str]:
    """What leaves constants out, as `put` takes it. Raises KeyError for one that there is not and ValueError for one
    that nothing stands for."""
    return [f"{each.name}={each.out:g}" for each in _left_out(names)]


def _left_out(names: Sequence[str]) -> Iterator[Constant]:
    for name in names:
        found = registry()[name]
        if found.out is None:
            raise ValueError(name)
        yield found


def put(words: str) -> None:
    """Set a constant, `judge.play.GROUND_SD=0.01`, for the rest of this process, wherever it was imported to by now.
    What was made of it before stays. Raises AttributeError for a constant that is none."""
    name, value = words.split("=")
    module, constant = name.rsplit(".", 1)
    before: float = getattr(importlib.import_module(f"{PACKAGE}.{module}"), constant)
    for path, each in list(sys.modules.items()):
        here = path.removeprefix(f"{PACKAGE}.")
        own = f"{here}.{constant}" in registry() and here != module  # another number of the same name
        if path != here and not own and vars(each).get(constant) is before:
            setattr(each, constant, type(before)(float(value)))
