"""How hard it is swung: what an eased or a hard swing gains or costs beside the stock one of the same build."""

from __future__ import annotations

from collections.abc import Sequence

import numpy as np

from ..samples.averages import average, values_of
from ..samples.beside import beside, chance_words, far_words, read_of, spin_words
from ..samples.trend import different_chance
from ..shots import Intent, Shot
from ..units import metres, yards, yd_text
from .protocol import Finding, Protocol

KEY = "effort"
LEAST_STOCK = 3
ASKED = (Intent.EASED, Intent.HARD)
SURE = 0.90
AS_FAR_M = metres(3)  # an eased swing that loses no more goes as far to the player


def by_effort(shots: Sequence[Shot]) -> list[Finding]:
    """What each swing that was asked for did, eased first; kept shots only, none without three stock shots."""
    stock = [shot for shot in shots if shot.kept]
    if len(values_of(stock, "carry_m")) < LEAST_STOCK:
        return []
    asked = {intent: [shot for shot in shots if shot.shows(intent)] for intent in ASKED}
    return [_compared(intent, mine, stock) for intent, mine in asked.items() if mine]


def _compared(intent: Intent, mine: Sequence[Shot], stock: Sequence[Shot]) -> Finding:
    by = beside(mine, stock, ("carry_m", "spin_rpm", "ball_speed_mps"))
    spreads = [average(read_of(each, "carry_m")) for each in (mine, stock)]
    if all(each is not None and each.sd is not None and each.n >= LEAST_STOCK for each in spreads):
        own, other = (each.sd for each in spreads if each is not None)
        by["spread_m"] = (own or 0.0) - (other or 0.0)
    did, speeds = None, [np.array(read_of(each, "ball_speed_mps")) for each in (stock, mine)]
    if min(each.size for each in speeds) >= 2:
        chance = different_chance(*speeds) / 2
        slower = by["ball_speed_mps"] < 0
        did = None if chance > 1 - SURE else slower == (intent is Intent.EASED)
    return Finding(KEY, intent, len(mine), by, did, _sentence(intent, len(mine), by, did))


def _sentence(intent: Intent, n: int, by: dict[str, float], did: bool | None) -> str:
    carry = by.get("carry_m")
    parts = [] if carry is None else [far_words(carry)]
    if "spread_m" in by and yards(abs(by["spread_m"])) >= 1:
        parts.append(f"spreads {yd_text(abs(by['spread_m']))} yd {'more' if by['spread_m'] > 0 else 'less'}")
    parts.append(spin_words(by.get("spin_rpm", 0.0)))
    words = f"{intent.value.capitalize()}: {', '.join(filter(None, parts)) or 'nothing to compare'}."
    if intent is Intent.EASED and carry is not None and carry > -AS_FAR_M and n >= LEAST_STOCK:
        words += " It goes as far at less than full."
    if did is None:
        return words + chance_words(n)
    return words if did else f"{words} Not what was meant."


PROTOCOL = Protocol(
    key=KEY,
    name="Effort",
    why="Kept beside the stock swing: what easing off or hitting hard gains or costs.",
    intents=ASKED,
    readings=("carry_m", "ball_speed_mps"),
    shots=3,
    read=lambda shots, _left_handed: by_effort(shots),
)
