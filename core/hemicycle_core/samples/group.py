"""One build's shots as the pool reads them."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, field

import numpy as np
from numpy.typing import NDArray

from ..heads import HeadType
from .drift import REFERENCE_LENGTH_M

Floats = NDArray[np.float64]

# The first shots with a strange club spread wider; the player who owns it will know it.
LEARNING_SHOTS, LEARNING_WIDE = 3, 1.15


@dataclass(frozen=True)
class Group:
    """One build's shots, arrays (n,): carry in metres; side, the angle offline over carry in degrees, NaN where
    unknown; called: set aside or called a miss; delivery: by cause, NaN where unknown: `speed`, the log of
    club speed brought to one length, `face_deg`, `path_deg`, `attack_deg`, `lean_deg`, the loft at impact less the
    club's, and `strike`, the log of smash less that of a middle strike at that spin loft; order: of each shot its place
    in the session, NaN where unknown; flown_m: what its launch flies, NaN where unknown; strange: not a club of the
    player's own. length_m: as the player's own set has it, and length_sd_m how well that is known. Misreads are left
    out before."""

    head_type: HeadType
    carry_m: Floats
    side_deg: Floats
    called: NDArray[np.bool_]
    delivery: Mapping[str, Floats] = field(default_factory=dict)
    order: Floats | None = None
    flown_m: Floats | None = None
    strange: bool = True
    length_m: float = REFERENCE_LENGTH_M
    length_sd_m: float = 0.0

    @property
    def learning(self) -> float:
        """How much wider the shots spread than they will once the club is known."""
        n = self.carry_m.size
        if not self.strange or n == 0:
            return 1.0
        first = min(n, LEARNING_SHOTS)
        return float(np.sqrt((first * LEARNING_WIDE**2 + n - first) / n))


def whole_of(group: Group, name: str) -> bool:
    return name in group.delivery and bool(np.isfinite(group.delivery[name]).all())
