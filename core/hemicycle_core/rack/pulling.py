"""What goes with a head when it is pulled from the rack: the shaft, and a word on how it meets the grass."""

from __future__ import annotations

from collections.abc import Collection

import numpy as np

from ..bag import HeadType
from ..said import NOTHING, Said, term
from ..units import mph

TIP_ROOM_IN = 0.003  # a tip wider or narrower than its hosel by more does not seat
# Shaft weights by driver speed, where shops start: grams at mph.
SPEED_MPH, WEIGHT_G = (70.0, 85.0, 97.0, 108.0, 118.0), (52.0, 62.0, 72.0, 84.0, 95.0)
USUAL_WEIGHT_G = 65.0
ALIKE = 0.06  # a ball speed this share from another is about the same speed: one club either way
# How the grass meets the face, as fitters say it; said, not computed.
ROUGH = frozenset({"rough", "semi-rough"})
FROM_ROUGH = {kind: term("from-rough", kind) for kind in (HeadType.FAIRWAY, HeadType.HYBRID, HeadType.UTILITY)}


def seats(tip_in: float, hosel_in: float) -> bool:
    """Whether a shaft's tip fits a hosel or sleeve, both in inches."""
    return abs(tip_in - hosel_in) <= TIP_ROOM_IN


def usual_shaft_g(driver_speed_mps: float | None) -> float:
    """The shaft weight in grams to start from at a driver speed, None where it is unknown."""
    return USUAL_WEIGHT_G if driver_speed_mps is None else float(np.interp(mph(driver_speed_mps), SPEED_MPH, WEIGHT_G))


def about_as_fast(ball_speed_mps: float, other_mps: float | None) -> bool:
    """Whether two players hit a head about as hard; False where one is unknown."""
    return other_mps is not None and abs(ball_speed_mps / other_mps - 1) < ALIKE


def rough_words(head_type: HeadType, lies: Collection[str]) -> Said:
    """How a kind of head comes out of rough, for those who play from it; empty for others."""
    return FROM_ROUGH.get(head_type, NOTHING) if ROUGH & set(lies) else NOTHING
