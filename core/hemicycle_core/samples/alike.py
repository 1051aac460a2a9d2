"""The step between two clubs had they been swung alike: with few shots a step is as much swing as club."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np
from scipy.special import stdtrit

from .pool import Centre


@dataclass(frozen=True)
class AlikeStep:
    """step_m: between the carries at one delivery; half_width_m: of its 90% interval."""

    step_m: float
    half_width_m: float


def step_at_one_swing(lower: Centre, upper: Centre) -> AlikeStep:
    """The step from one club to another, both read together and brought to the player's own delivery (`pool`).

    Student's t on the lesser freedom.
    """
    error = float(np.hypot(lower.carry_se_m, upper.carry_se_m))
    half = float(stdtrit(min(lower.df, upper.df), 0.95)) * error
    return AlikeStep(upper.carry_m - lower.carry_m, half)
