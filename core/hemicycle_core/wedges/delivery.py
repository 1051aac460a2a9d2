"""How steeply a player comes down with a wedge: measured, else called by the fitter from divots.

The lines between steep and shallow are by judgement: touring players come down at about 5 degrees with a full set wedge
(published averages), most others at 2 to 5.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from enum import StrEnum

from ..samples.averages import average
from ..units import shown

STEEP_DEG, SHALLOW_DEG = -6.0, -3.0
LEAST_SHOTS = 5


class Delivery(StrEnum):
    STEEP = "steep"
    MIDDLING = "middling"
    SHALLOW = "shallow"


DELIVERY_WORDS = {Delivery.STEEP: "steep", Delivery.MIDDLING: "neither steep nor shallow", Delivery.SHALLOW: "shallow"}
DIVOT_WORDS = {
    Delivery.STEEP: "deep divots",
    Delivery.MIDDLING: "divots of a usual depth",
    Delivery.SHALLOW: "hardly a divot",
}


@dataclass(frozen=True)
class Delivered:
    """kind: None while nothing is known. measured: by the monitor, else called. attack_deg: mean, down is negative,
    over `shots`; None where it was not measured. sentence: with its source."""

    kind: Delivery | None
    measured: bool
    attack_deg: float | None
    shots: int
    sentence: str


def _kind(attack_deg: float) -> Delivery:
    if attack_deg <= STEEP_DEG:
        return Delivery.STEEP
    return Delivery.SHALLOW if attack_deg >= SHALLOW_DEG else Delivery.MIDDLING


def delivered(attacks_deg: Sequence[float], called: Delivery | None = None) -> Delivered:
    """How the player comes down. attacks_deg: of the full swings with wedges, where the monitor read them; with fewer
    than five the call stands. Where the two disagree both are said."""
    mean = average(list(attacks_deg))
    by_eye = f" The divots said {DELIVERY_WORDS[called]}." if called is not None else ""
    if mean is None or mean.n < LEAST_SHOTS:
        have = 0 if mean is None else mean.n
        if called is None:
            return Delivered(None, False, None, have, "Not known: call it from the divots, or let the monitor read it.")
        words = f"{DELIVERY_WORDS[called].capitalize()}, as called from the divots."
        return Delivered(called, False, None if mean is None else mean.mean, have, words)
    kind = _kind(mean.mean)
    down = f"{shown(abs(mean.mean))}° {'down' if mean.mean < 0 else 'up'}"
    words = f"{DELIVERY_WORDS[kind].capitalize()}: {down} over {mean.n} wedge shots, measured."
    return Delivered(kind, True, mean.mean, mean.n, words + (by_eye if called not in (None, kind) else ""))
