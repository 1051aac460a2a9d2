"""What is read out of each club side by side, and in which order; a shop chooses of these."""

from __future__ import annotations

from collections.abc import Sequence
from enum import StrEnum

from .errors import BadInput
from .said import say


class BenchColumn(StrEnum):
    """A reading's key where it is the average of one; the rest are made of several shots or readings."""

    CARRY = "carry_m"
    TOTAL = "total_m"
    LANDING = "landing_deg"
    PEAK = "peak_m"
    LAUNCH = "launch_deg"
    SPIN = "spin_rpm"
    BALL_SPEED = "ball_speed_mps"
    CLUB_SPEED = "club_speed_mps"
    SMASH = "smash"
    OFFLINE = "offline_m"
    LONGEST = "longest"
    SHORTEST = "shortest"
    CARRIES = "carries"
    DEPTH = "depth"
    WIDTH = "width"
    HELD = "held"
    MISS = "miss_cost"
    ATTACK = "attack_deg"
    PATH = "path_deg"
    FACE = "face_deg"
    DIRECTION = "direction_deg"
    AXIS = "axis_deg"
    DYNAMIC_LOFT = "dynamic_loft_deg"
    HANG = "hang_s"


USUAL = tuple(BenchColumn)[:20]  # what no monitor measured is left out by itself


def check_columns(keys: Sequence[str]) -> list[str]:
    """The columns as they are kept: each once, in the order given. Raises BadInput for one that there is not."""
    known = set(BenchColumn)
    for key in keys:
        if key not in known:
            raise BadInput(say("readout-no-such", key=key), field="columns")
    kept = list(dict.fromkeys(keys))
    if not kept:
        raise BadInput(say("readout-leave-one"), field="columns")
    return [] if kept == [each.value for each in USUAL] else kept
