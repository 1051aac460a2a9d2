"""How hard it is swung: what an eased or a hard swing gains or costs beside the stock one of the same build."""

from __future__ import annotations

from collections.abc import Sequence

import numpy as np

from ..samples.averages import average, values_of
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
    kept = [shot for shot in shots if not (shot.aside or shot.misread)]
    stock = [shot for shot in kept if shot.intent is Intent.STOCK and shot.counts]
    if len(values_of(stock, "carry_m")) < LEAST_STOCK:
        return []
    asked = {intent: [shot for shot in kept if shot.intent is intent and not shot.old_swing] for intent in ASKED}
    return [_compared(intent, mine, stock) for intent, mine in asked.items() if mine]


def _values(shots: Sequence[Shot], key: str) -> list[float]:
    return [value for shot in shots if (value := shot.get(key)) is not None]


def _compared(intent: Intent, mine: Sequence[Shot], stock: Sequence[Shot]) -> Finding:
    by = {}
    for key in ("carry_m", "spin_rpm", "ball_speed_mps"):
        ours, theirs = average(_values(mine, key)), average(_values(stock, key))
        if ours is not None and theirs is not None:
            by[key] = ours.mean - theirs.mean
    spreads = [average(_values(each, "carry_m")) for each in (mine, stock)]
    if all(each is not None and each.sd is not None and each.n >= LEAST_STOCK for each in spreads):
        own, other = (each.sd for each in spreads if each is not None)
        by["spread_m"] = (own or 0.0) - (other or 0.0)
    did, ours_, theirs_ = None, _values(mine, "ball_speed_mps"), _values(stock, "ball_speed_mps")
    if min(len(ours_), len(theirs_)) >= 2:
        chance = different_chance(np.array(theirs_), np.array(ours_)) / 2
        slower = by["ball_speed_mps"] < 0
        did = None if chance > 1 - SURE else slower == (intent is Intent.EASED)
    return Finding(KEY, intent, len(mine), by, did, _sentence(intent, len(mine), by, did))


def _sentence(intent: Intent, n: int, by: dict[str, float], did: bool | None) -> str:
    parts = []
    carry = by.get("carry_m")
    if carry is not None:
        far = abs(carry)
        way = "longer" if carry > 0 else "shorter"
        parts.append(f"{yd_text(far)} yd {way}" if yards(far) >= 1 else "as long")
    if "spread_m" in by and yards(abs(by["spread_m"])) >= 1:
        parts.append(f"spreads {yd_text(abs(by['spread_m']))} yd {'more' if by['spread_m'] > 0 else 'less'}")
    if abs(by.get("spin_rpm", 0.0)) >= 100:
        parts.append(f"{abs(by['spin_rpm']):.0f} rpm {'more' if by['spin_rpm'] > 0 else 'less'}")
    words = f"{intent.value.capitalize()}: {', '.join(parts) or 'nothing to compare'}."
    if intent is Intent.EASED and carry is not None and carry > -AS_FAR_M and n >= LEAST_STOCK:
        words += " It goes as far at less than full."
    if did is None:
        return f"{words} With {n} {'shot' if n == 1 else 'shots'} that may be chance."
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
