"""How hard and how long it is swung: eased, part, stock and hard swings of one club side by side."""

from __future__ import annotations

from collections.abc import Mapping, Sequence

import numpy as np

from ..runs import how_long, swing_words
from ..said import NOTHING, Said, far, joined, listed, say, term
from ..samples.averages import average, values_of
from ..samples.beside import beside, chance_words, far_words, read_of, spin_words
from ..samples.trend import different_chance
from ..shots import Intent, Shot
from ..units import metres, yards
from .protocol import Finding, Protocol

KEY = "effort"
LEAST_STOCK = 3
ASKED = (Intent.EASED, Intent.HARD)
SURE = 0.90
AS_FAR_M = metres(3)  # a swing that loses no more goes as far to the player
LONG_ENOUGH = ("three_quarter", "comfortable")  # a shorter one that goes as far is another swing, or another strike


def figures_of(shots: Sequence[Shot]) -> dict[str, float]:
    """Carry, its spread, spin and ball speed of some shots, means in canonical units; what is not read is left out."""
    found = {}
    for key in ("carry_m", "spin_rpm", "ball_speed_mps"):
        mean = average(read_of(shots, key))
        if mean is not None:
            found[key] = mean.mean
    carry = average(read_of(shots, "carry_m"))
    if carry is not None and carry.sd is not None and carry.n >= LEAST_STOCK:
        found["spread_m"] = carry.sd
    return found


def by_effort(shots: Sequence[Shot]) -> list[Finding]:
    """The stock swing, and what each other one did beside it: eased, hard, then part swings, longest first. Kept shots
    only; none without three stock shots, and none where nothing but the stock swing was hit."""
    stock = [shot for shot in shots if shot.kept]
    if len(values_of(stock, "carry_m")) < LEAST_STOCK:
        return []
    asked: list[tuple[Intent, str, list[Shot]]] = [
        (intent, "", [shot for shot in shots if shot.shows(intent)]) for intent in ASKED
    ]
    part = [shot for shot in shots if shot.of_part_swing and shot.intent is Intent.STOCK]
    for swing in sorted({shot.swing for shot in part}, key=how_long, reverse=True):
        asked.append((Intent.STOCK, swing, [shot for shot in part if shot.swing == swing]))
    found = [_compared(intent, swing, mine, stock) for intent, swing, mine in asked if mine]
    if not found:
        return []
    mine = Finding(KEY, Intent.STOCK, len(stock), {}, None, NOTHING, at=figures_of(stock))
    return [mine, *found]


def _compared(intent: Intent, swing: str, mine: Sequence[Shot], stock: Sequence[Shot]) -> Finding:
    by = beside(mine, stock, ("carry_m", "spin_rpm", "ball_speed_mps"))
    at, of_stock = figures_of(mine), figures_of(stock)
    if "spread_m" in at and "spread_m" in of_stock:
        by["spread_m"] = at["spread_m"] - of_stock["spread_m"]
    did, speeds = None, [np.array(read_of(each, "ball_speed_mps")) for each in (stock, mine)]
    if min(each.size for each in speeds) >= 2:
        chance = different_chance(*speeds) / 2
        slower = by["ball_speed_mps"] < 0
        did = None if chance > 1 - SURE else slower == (intent is not Intent.HARD)
    return Finding(KEY, intent, len(mine), by, did, _sentence(intent, swing, len(mine), by, did), swing, at)


def _sentence(intent: Intent, swing: str, n: int, by: Mapping[str, float], did: bool | None) -> Said:
    carry = by.get("carry_m")
    parts = [] if carry is None else [far_words(carry)]
    if "spread_m" in by and yards(abs(by["spread_m"])) >= 1:
        parts.append(say("beside-spread", by=far(abs(by["spread_m"])), more=by["spread_m"] > 0))
    parts.append(spin_words(by.get("spin_rpm", 0.0)))
    name = swing_words(swing) if swing else term("intent", intent)
    words = [say("beside-of", name=name, parts=listed(parts) or say("lie-nothing-to-compare"))]
    less = intent is Intent.EASED or swing in LONG_ENOUGH
    if less and carry is not None and carry > -AS_FAR_M and n >= LEAST_STOCK:
        words.append(say("effort-goes-as-far", swing=swing_words(swing) if swing else say("effort-less-than-full")))
        if by.get("spread_m", 0.0) < 0:
            words.append(say("effort-repeats-better"))
    if did is None if not swing else n < LEAST_STOCK:
        words.append(chance_words(n))
    elif did is False and not swing:
        words.append(say("beside-not-what-was-meant"))
    return joined(words)


PROTOCOL = Protocol(
    key=KEY,
    name=say("protocol-effort"),
    why=say("protocol-effort-why"),
    intents=ASKED,
    readings=("carry_m", "ball_speed_mps"),
    shots=3,
    read=lambda shots, _left_handed: by_effort(shots),
)
