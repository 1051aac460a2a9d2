"""How far a club's own shots rolled."""

from __future__ import annotations

import math
from collections.abc import Sequence

from ..shots import Shot

ROLL_KNOWN_FROM = 5  # kept shots: from then on a build's own window is by its own measured roll


def rolls_of(shots: Sequence[Shot]) -> list[float]:
    """How far each kept shot with a carry and a total rolled, metres, in their order."""
    return [
        total - carry
        for shot in shots
        if shot.kept and (carry := shot.get("carry_m")) is not None and (total := shot.get("total_m")) is not None
    ]


def measured_roll(shots: Sequence[Shot]) -> float | None:
    """How far the first five kept shots rolled on average, metres, in the order they were hit: later ones move no
    window. None before there are five with a carry and a total."""
    rolls = rolls_of(shots)
    return math.fsum(rolls[:ROLL_KNOWN_FROM]) / ROLL_KNOWN_FROM if len(rolls) >= ROLL_KNOWN_FROM else None
