"""A club's balls as a screen sums them up: so many, their average, and how far the farthest of them was from it."""

from __future__ import annotations

import math
from dataclasses import dataclass

import numpy as np
from scipy.special import stdtrit

from ..errors import BadInput
from ..said import Said, far, say
from .remarks import USUAL_SPREAD_SHARE

MOST_BALLS = 100
# How far the farthest of n normal values is from their mean, on average, in standard deviations: by 400,000 draws of
# each n, within 0.003 (two values are 0.564 from theirs by hand: 1/sqrt(pi)).
FARTHEST = {
    2: 0.564, 3: 0.977, 4: 1.198, 5: 1.353, 6: 1.471, 7: 1.565, 8: 1.642, 9: 1.708, 10: 1.765, 12: 1.862, 15: 1.972,
    20: 2.105, 30: 2.28, 100: 2.75,
}  # fmt: skip


@dataclass(frozen=True)
class TypedAverage:
    """What was read: the average carry of so many balls, metres, and within what of it all of them were, None where
    that was not read. Raises BadInput for what cannot be."""

    carry_m: float
    balls: int
    within_m: float | None = None

    def __post_init__(self) -> None:
        if not 1 <= self.balls <= MOST_BALLS:
            raise BadInput(say("bag-balls-not", most_balls=MOST_BALLS, balls=self.balls), field="balls")
        if self.within_m is None:
            return
        if self.balls == 1:
            raise BadInput(say("bag-one-ball-within-nothing"), field="within_m")
        if not 0 < self.within_m < self.carry_m / 2:
            raise BadInput(say("bag-spread-over-nought-under"), field="within_m")

    @property
    def spread_m(self) -> float:
        """One standard deviation of the balls: from the farthest of them, else as is usual of the carry."""
        if self.within_m is None:
            return USUAL_SPREAD_SHARE * self.carry_m
        return self.within_m / float(np.interp(self.balls, list(FARTHEST), list(FARTHEST.values())))

    @property
    def doubt_m(self) -> float:
        """Half of the 90% interval of the carry: by Student's t where the spread comes from so few balls itself."""
        freedom = math.inf if self.within_m is None else self.balls - 1.0
        wide = 1.6449 if math.isinf(freedom) else float(stdtrit(freedom, 0.95))
        return wide * self.spread_m / math.sqrt(self.balls)

    @property
    def words(self) -> Said:
        """As it stands beside the club: `5 balls, all within 6 yd, read off a screen`."""
        within = self.within_m
        return say("bag-read-off-screen", balls=self.balls, told=within is not None, within=far(within or 0.0))
