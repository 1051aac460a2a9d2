"""Shots that look unlike the others of their build. Proposed with a reason, never removed."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np

from ..units import yards

LEAST_SHOTS = 4
USUAL_SPREAD_SHARE = 0.03  # spread of a build's carries before its own shots say otherwise
UNLIKE = 3.0  # this many robust spreads from the median of the others


@dataclass(frozen=True)
class Unlike:
    """index: in the shots given. sentence: why it is questioned."""

    index: int
    sentence: str


def unlike_the_others(carries_m: Sequence[float]) -> list[Unlike]:
    """Carries far from the median of the other shots, short or long; none under four shots.

    The spread is the median absolute deviation of the others scaled to a normal one (x 1.4826), and no
    less than 3% of carry, so that a tight group does not make an ordinary shot look odd.
    """
    if len(carries_m) < LEAST_SHOTS:
        return []
    carries = np.asarray(carries_m, dtype=float)
    found = []
    for index, carry in enumerate(carries):
        others = np.delete(carries, index)
        middle = float(np.median(others))
        spread = max(1.4826 * float(np.median(np.abs(others - middle))), USUAL_SPREAD_SHARE * middle)
        if abs(carry - middle) > UNLIKE * spread:
            side = "short of" if carry < middle else "past"
            found.append(Unlike(index, f"{round(yards(abs(carry - middle)))} yd {side} the others."))
    return found
