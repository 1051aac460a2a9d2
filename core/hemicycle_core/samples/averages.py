"""Mean, standard deviation and standard error; kept shots and every shot; the cost of a miss."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np

from ..shots import Shot


@dataclass(frozen=True)
class Average:
    """mean and sd in the unit of the values; sd (n - 1 in the divisor) and se are None under two values."""

    n: int
    mean: float
    sd: float | None
    se: float | None


def average(values: Sequence[float]) -> Average | None:
    """The average of some values, None for none."""
    if not values:
        return None
    n = len(values)
    mean = math.fsum(values) / n
    if n == 1:
        return Average(n=1, mean=mean, sd=None, se=None)
    sd = math.sqrt(math.fsum((value - mean) ** 2 for value in values) / (n - 1))
    return Average(n=n, mean=mean, sd=sd, se=sd / math.sqrt(n))


def values_of(shots: Sequence[Shot], key: str, *, kept_only: bool = True) -> list[float]:
    """The values of one reading over the shots that have it, in the shots' order."""
    chosen = [shot for shot in shots if shot.kept] if kept_only else [shot for shot in shots if shot.counts]
    return [value for shot in chosen if (value := shot.get(key)) is not None]


def readings_of(shots: Sequence[Shot], *, kept_only: bool = True) -> dict[str, list[float]]:
    """The values of every reading, as `values_of` has those of one."""
    found: dict[str, list[float]] = {}
    for shot in shots:
        if shot.kept if kept_only else shot.counts:
            for key, value in shot.values.items():
                if key not in shot.void:
                    found.setdefault(key, []).append(value)
    return found


def smash(shots: Sequence[Shot]) -> float | None:
    """Ball speed over club speed, the average over the kept shots that have both; None without one."""
    both = [
        ball / club
        for shot in shots
        if shot.kept and (ball := shot.get("ball_speed_mps")) and (club := shot.get("club_speed_mps"))
    ]
    return math.fsum(both) / len(both) if both else None


BEST_OF = 5


def best_five(shots: Sequence[Shot], key: str) -> list[float]:
    """The values of one reading over the five kept shots nearest the middle of the carries: one school's way."""
    kept = [shot for shot in shots if shot.kept and shot.get("carry_m") is not None]
    middle = float(np.median([shot.values["carry_m"] for shot in kept])) if kept else 0.0
    chosen = sorted(kept, key=lambda shot: (abs(shot.values["carry_m"] - middle), shot.values["carry_m"]))[:BEST_OF]
    return [value for shot in chosen if (value := shot.get(key)) is not None]


def cost_of_a_miss(shots: Sequence[Shot]) -> float | None:
    """Typical carry less the carry of the poor shots, metres.

    The poor shots are those set aside; with none set aside, the 10th percentile of the kept carries
    (at least five of them). None when neither is there.
    """
    kept = values_of(shots, "carry_m")
    aside = [value for shot in shots if shot.counts and shot.aside and (value := shot.get("carry_m")) is not None]
    if not kept:
        return None
    if aside:
        return float(np.mean(kept) - np.mean(aside))
    if len(kept) >= 5:
        return float(np.mean(kept) - np.percentile(kept, 10))
    return None
