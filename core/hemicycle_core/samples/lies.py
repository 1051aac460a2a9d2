"""What another lie did to a club beside its stock shots: measured, and never taken into the stock figures."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np

from ..impact import Lie
from ..shots import CLEAN_LIES, FULL_SWING, Intent, Shot
from ..units import feet, yards, yd_text
from .averages import average
from .trend import different_chance

LEAST_STOCK = 3
SURE = 0.90
SHOWN = ("carry_m", "peak_m", "spin_rpm", "launch_deg", "ball_speed_mps")


@dataclass(frozen=True)
class FromLie:
    """What shots from one lie did beside the stock ones, means in canonical units by reading. sure: that the carry
    differs at all, with so many shots."""

    lie: Lie
    n: int
    by: dict[str, float]
    sure: bool
    sentence: str


def _values(shots: Sequence[Shot], key: str) -> list[float]:
    return [value for shot in shots if (value := shot.get(key)) is not None]


def by_lie(shots: Sequence[Shot]) -> list[FromLie]:
    """Each lie that was hit from besides the clean ones, in the order of `Lie`; none without three stock shots."""
    full = [
        shot
        for shot in shots
        if not (shot.aside or shot.misread or shot.old_swing)
        and shot.protocol == FULL_SWING
        and shot.intent is Intent.STOCK
    ]
    stock = [shot for shot in full if shot.counts]
    if len(_values(stock, "carry_m")) < LEAST_STOCK:
        return []
    made = []
    for lie in Lie:
        mine = [shot for shot in full if shot.lie is lie]
        if lie in CLEAN_LIES or not mine:
            continue
        by = {}
        for key in SHOWN:
            ours, theirs = average(_values(mine, key)), average(_values(stock, key))
            if ours is not None and theirs is not None:
                by[key] = ours.mean - theirs.mean
        carries = [np.array(_values(each, "carry_m")) for each in (stock, mine)]
        sure = min(each.size for each in carries) >= 2 and different_chance(*carries) <= 2 * (1 - SURE)
        made.append(FromLie(lie, len(mine), by, sure, _sentence(lie, len(mine), by, sure)))
    return made


def _sentence(lie: Lie, n: int, by: dict[str, float], sure: bool) -> str:
    parts = []
    if "carry_m" in by:
        far = abs(by["carry_m"])
        way = "longer" if by["carry_m"] > 0 else "shorter"
        parts.append(f"{yd_text(far)} yd {way}" if yards(far) >= 1 else "as long")
    if abs(by.get("spin_rpm", 0.0)) >= 100:
        parts.append(f"{abs(by['spin_rpm']):.0f} rpm {'more' if by['spin_rpm'] > 0 else 'less'}")
    if "peak_m" in by and abs(feet(by["peak_m"])) >= 3:
        parts.append(f"{abs(feet(by['peak_m'])):.0f} ft {'higher' if by['peak_m'] > 0 else 'lower'}")
    words = f"From {lie.value.replace('_', ' ')}: {', '.join(parts) or 'nothing to compare'}."
    return words if sure else f"{words} With {n} {'shot' if n == 1 else 'shots'} that may be chance."
