"""Shaped shots, the range of use: what a deliberate low, high or curved shot cost or gained beside the stock shot of
the same build."""

from __future__ import annotations

from collections.abc import Sequence

import numpy as np
from numpy.typing import NDArray

from ..said import NOTHING, Said, far, high, joined, listed, say, term
from ..samples.averages import average
from ..samples.beside import chance_words, far_words
from ..samples.trend import different_chance
from ..shots import Intent, Shot, columns_of
from ..units import metres, ninety, yards
from .protocol import Finding, Protocol

Floats = NDArray[np.float64]

KEY = "shaped"
LEAST_STOCK = 3
SURE = 0.90  # one-sided: that the ball did what was meant, or the opposite
# What was meant, as a reading and its way; a curve to the right is positive, a draw of a right-hander curves left.
ASKED: dict[Intent, tuple[str, int]] = {
    Intent.LOW: ("peak_m", -1),
    Intent.HIGH: ("peak_m", 1),
    Intent.DRAW: ("curve_m", -1),
    Intent.FADE: ("curve_m", 1),
}
SHOWN = ("carry_m", "peak_m", "landing_deg", "offline_m")


def _readings(shots: Sequence[Shot]) -> dict[str, Floats]:
    seen = columns_of(shots, (*SHOWN, "direction_deg"))
    # How far it bent in the air: where it came down less where it set out for.
    seen["curve_m"] = seen["offline_m"] - seen["carry_m"] * np.tan(np.radians(seen.pop("direction_deg")))
    return {key: values[np.isfinite(values)] for key, values in seen.items()}


def range_of_use(shots: Sequence[Shot], *, left_handed: bool = False) -> list[Finding]:
    """What each kind of shot that was asked for did, in the order of `Intent`; kept shots only, none without three
    stock shots.

    Means are compared by Student's test with one spread; so few shots tell large changes only.
    """
    stock = _readings([shot for shot in shots if shot.kept])
    if stock["carry_m"].size < LEAST_STOCK:
        return []
    made = []
    for intent in ASKED:
        asked = [shot for shot in shots if shot.shows(intent)]
        if asked:
            made.append(_compared(intent, len(asked), _readings(asked), stock, left_handed=left_handed))
    return made


def span_words(found: Sequence[Finding]) -> Said:
    """How far low and high shots of one build lie apart, where both were asked for; else empty."""
    by = {each.intent: each.by for each in found if each.intent in (Intent.LOW, Intent.HIGH)}
    if len(by) < 2 or any("peak_m" not in each for each in by.values()):
        return NOTHING
    apart = {key: by[Intent.HIGH][key] - by[Intent.LOW][key] for key in by[Intent.HIGH].keys() & by[Intent.LOW].keys()}
    height, carry = high(abs(apart["peak_m"])), apart.get("carry_m")
    return say("shaped-span", height=height, carried=carry is not None, carry=far(abs(carry or 0.0)))


LEAST_BEND_M = metres(4)  # less is straight to the eye
WANTED = {"straight": 0, "draw": -1, "fade": 1}


def against_the_shape(shots: Sequence[Shot], wanted: str, *, left_handed: bool = False) -> Said:
    """A sentence where the ball as a rule bends otherwise than the player wants; empty where it does as wanted, or that
    cannot be told.

    wanted: `straight`, `draw` or `fade`, anything else asks for nothing. Kept stock shots, three at least.
    """
    if wanted not in WANTED:
        return NOTHING
    way = WANTED[wanted] * (-1 if left_handed else 1)
    bends = average([float(bend) for bend in _readings([shot for shot in shots if shot.kept])["curve_m"]])
    if bends is None or bends.se is None or bends.n < LEAST_STOCK:
        return NOTHING
    as_a_rule = abs(bends.mean) > LEAST_BEND_M and abs(bends.mean) > ninety(bends.se)
    if not as_a_rule or bends.mean * way > 0:
        return NOTHING
    return say("shaped-bends-otherwise", by=far(abs(bends.mean)), right=bends.mean > 0, wanted=wanted)


def _compared(
    intent: Intent, n: int, asked: dict[str, Floats], stock: dict[str, Floats], *, left_handed: bool
) -> Finding:
    by = {key: float(asked[key].mean() - stock[key].mean()) for key in asked if asked[key].size and stock[key].size}
    key, way = ASKED[intent]
    if key == "curve_m" and left_handed:
        way = -way
    did = None
    if key in by and stock[key].size >= LEAST_STOCK:
        chance = different_chance(stock[key], asked[key]) / 2
        did = None if chance > 1 - SURE else by[key] * way > 0
    return Finding(KEY, intent, n, by, did, _sentence(intent, n, by, did))


def _sentence(intent: Intent, n: int, by: dict[str, float], did: bool | None) -> Said:
    parts = []
    if intent in (Intent.LOW, Intent.HIGH) and "peak_m" in by:
        parts.append(say("beside-height", by=high(abs(by["peak_m"])), higher=by["peak_m"] > 0))
    if intent in (Intent.DRAW, Intent.FADE) and "curve_m" in by:
        parts.append(say("beside-bends", by=far(abs(by["curve_m"])), right=by["curve_m"] > 0))
    if "carry_m" in by:
        parts.append(far_words(by["carry_m"]))
    if intent in (Intent.LOW, Intent.HIGH) and yards(abs(by.get("offline_m", 0.0))) >= 2:
        parts.append(say("beside-line", by=far(abs(by["offline_m"])), right=by["offline_m"] > 0))
    words = say("beside-of", name=term("intent", intent), parts=listed(parts) or say("lie-nothing-to-compare"))
    if did is None:
        return joined([words, chance_words(n)])
    return words if did else joined([words, say("beside-not-what-was-meant")])


PROTOCOL = Protocol(
    key=KEY,
    name=say("protocol-shaped-shots"),
    why=say("protocol-others-kept-beside-them"),
    intents=tuple(ASKED),
    readings=("carry_m", "peak_m", "direction_deg", "offline_m"),
    shots=3,
    read=lambda shots, left_handed: range_of_use(shots, left_handed=left_handed),
)
