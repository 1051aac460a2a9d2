"""What differs between builds besides the head, as it may get the credit or the blame."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from itertools import combinations

from ..said import NOTHING, Form, Said, club_length, joined, say, weight
from ..units import METRES_PER_INCH

LEAST_IN = 0.25  # a quarter of an inch: what a build is cut to
INCH_EPSILON = 1e-6


@dataclass(frozen=True)
class Spec:
    """What a build is made of: length in metres, shaft weight in grams, its flex; None where unknown."""

    letter: str
    length_m: float | None = None
    shaft_g: int | None = None
    flex: str | None = None


def differences(specs: Sequence[Spec]) -> list[Said]:
    """One sentence for each pair that differs in length, shaft weight or flex."""
    said = []
    for a, b in combinations(specs, 2):
        parts = [words for words in (_length(a, b), _weight(a, b), _flex(a, b)) if words]
        if parts:
            said.append(say("sentence", said=joined(parts, "; ")))
    if any(_weight(a, b) or _flex(a, b) for a, b in combinations(specs, 2)):
        said.insert(0, say("rack-hit-them-with-one-shaft"))
    return said


def _length(a: Spec, b: Spec) -> Said:
    if a.length_m is None or b.length_m is None:
        return NOTHING
    apart = abs(a.length_m - b.length_m)
    if apart / METRES_PER_INCH < LEAST_IN - INCH_EPSILON:
        return NOTHING
    longer, shorter = (a, b) if a.length_m > b.length_m else (b, a)
    return say("rack-longer-than", longer=longer.letter, by=club_length(apart, form=Form.SHORT), shorter=shorter.letter)


def _weight(a: Spec, b: Spec) -> Said:
    if a.shaft_g is None or b.shaft_g is None or a.shaft_g == b.shaft_g:
        return NOTHING
    heavy, light = (a, b) if a.shaft_g > b.shaft_g else (b, a)
    return say("rack-heavier-shaft", heavier=heavy.letter, by=weight(abs(a.shaft_g - b.shaft_g)), lighter=light.letter)


def _flex(a: Spec, b: Spec) -> Said:
    if a.flex is None or b.flex is None or a.flex == b.flex:
        return NOTHING
    return say("rack-other-flex", one=a.letter, flex=a.flex, other=b.letter, other_flex=b.flex)
