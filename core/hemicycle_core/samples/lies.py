"""What another lie did to a club beside its stock shots: measured, and never taken into the stock figures."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np

from ..impact import Lie
from ..said import NOTHING, Said, joined, listed, say, term
from ..shots import CLEAN_LIES, STOCK_IN, Intent, Shot
from .beside import beside, chance_words, far_words, height_words, read_of, spin_words
from .trend import different_chance

LEAST_STOCK = 3
SURE = 0.90
LEAST_FT = 3.0  # a smaller difference of height is not said
SHOWN = ("carry_m", "peak_m", "spin_rpm", "launch_deg", "ball_speed_mps")


@dataclass(frozen=True)
class BesideStock:
    """What shots from one lie did beside the stock ones, means in canonical units by reading. sure: that the carry
    differs at all, with so many shots."""

    lie: Lie
    n: int
    by: dict[str, float]
    sure: bool
    sentence: Said


def full_swings(shots: Sequence[Shot]) -> list[Shot]:
    """Those that were hit with a stock swing of now, whatever they were hit from."""
    return [
        shot
        for shot in shots
        if not (shot.aside or shot.misread or shot.old_swing or shot.apart)
        and shot.protocol in STOCK_IN
        and shot.intent is Intent.STOCK
    ]


def by_lie(shots: Sequence[Shot]) -> list[BesideStock]:
    """Each lie that was hit from besides the clean ones, in the order of `Lie`; none without three stock shots."""
    full = full_swings(shots)
    stock = [shot for shot in full if shot.counts]
    if len(read_of(stock, "carry_m")) < LEAST_STOCK:
        return []
    made = []
    for lie in Lie:
        mine = [shot for shot in full if shot.lie is lie]
        if lie in CLEAN_LIES or not mine:
            continue
        by = beside(mine, stock, SHOWN)
        carries = [np.array(read_of(each, "carry_m")) for each in (stock, mine)]
        sure = min(each.size for each in carries) >= 2 and different_chance(*carries) <= 2 * (1 - SURE)
        made.append(BesideStock(lie, len(mine), by, sure, _sentence(lie, len(mine), by, sure)))
    return made


def _sentence(lie: Lie, n: int, by: dict[str, float], sure: bool) -> Said:
    parts = [
        far_words(by["carry_m"]) if "carry_m" in by else NOTHING,
        spin_words(by.get("spin_rpm", 0.0)),
        height_words(by.get("peak_m", 0.0)),
    ]
    words = say("lie-beside-stock", lie=term("lie", lie), by=listed(parts) or say("lie-nothing-to-compare"))
    return words if sure else joined([words, chance_words(n)])
