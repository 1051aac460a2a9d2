"""The step between two clubs had they been swung alike: with few shots a step is as much swing as club."""

from __future__ import annotations

from dataclasses import dataclass

from ..said import NOTHING, Said, far, say, some_way
from ..units import whole_yards
from .pool import Centre

APART_YD = 2


@dataclass(frozen=True)
class AlikeStep:
    """step_m: between the carries at one delivery; half_width_m: of its 90% interval."""

    step_m: float
    half_width_m: float

    def beside(self, measured_m: float) -> Said:
        """What it says beside the step of the plain averages; empty where it says the same."""
        if abs(whole_yards(self.step_m) - whole_yards(measured_m)) < APART_YD:
            return NOTHING
        return say("samples-had-two-been-swung", step=far(self.step_m), give=some_way(self.half_width_m))


def step_at_one_swing(lower: Centre, upper: Centre) -> AlikeStep:
    """The step from one club to another, both read together and brought to the player's own delivery (`pool`).

    Both errors come from the player's one spread.
    """
    step = upper.carry.less(lower.carry, pooled=True)
    return AlikeStep(step.mean, step.half)
