"""How steeply a player comes down with a wedge: measured, else called by the fitter from divots.

The lines between steep and shallow are by judgement: touring players come down at about 5 degrees with a full set wedge
(published averages), most others at 2 to 5.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from enum import StrEnum

from ..said import Said, angle, joined, say, term
from ..samples.averages import average

STEEP_DEG, SHALLOW_DEG = -6.0, -3.0
LEAST_SHOTS = 5


class Delivery(StrEnum):
    STEEP = "steep"
    MIDDLING = "middling"
    SHALLOW = "shallow"


DELIVERY_WORDS = {kind: term("delivery", kind) for kind in Delivery}
DIVOT_WORDS = {kind: term("divots", kind) for kind in Delivery}


@dataclass(frozen=True)
class Delivered:
    """kind: None while nothing is known. measured: by the monitor, else called. attack_deg: mean, down is negative,
    over `shots`; None where it was not measured. sentence: with its source."""

    kind: Delivery | None
    measured: bool
    attack_deg: float | None
    shots: int
    sentence: Said


def _kind(attack_deg: float) -> Delivery:
    if attack_deg <= STEEP_DEG:
        return Delivery.STEEP
    return Delivery.SHALLOW if attack_deg >= SHALLOW_DEG else Delivery.MIDDLING


def delivered(attacks_deg: Sequence[float], called: Delivery | None = None) -> Delivered:
    """How the player comes down. attacks_deg: of the full swings with wedges, where the monitor read them; with fewer
    than five the call stands. Where the two disagree both are said."""
    mean = average(list(attacks_deg))
    if mean is None or mean.n < LEAST_SHOTS:
        have = 0 if mean is None else mean.n
        if called is None:
            return Delivered(None, False, None, have, say("wedges-not-known-call-from"))
        words = say("wedges-called-from-divots", kind=DELIVERY_WORDS[called])
        return Delivered(called, False, None if mean is None else mean.mean, have, words)
    kind = _kind(mean.mean)
    words = say(
        "wedges-delivery-measured", kind=DELIVERY_WORDS[kind], by=angle(abs(mean.mean)), down=mean.mean < 0, n=mean.n
    )
    if called is not None and called is not kind:
        words = joined([words, say("wedges-divots-said", kind=DELIVERY_WORDS[called])])
    return Delivered(kind, True, mean.mean, mean.n, words)
