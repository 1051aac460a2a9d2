"""Is the player still the same as an hour ago? Club speed over the session."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from scipy import stats

LEAST_SHOTS = 12
TIRED_SHARE = 0.02  # 2% of club speed is about 3 yd at 175 yd: more than a build should win by
SURE = 0.95
REFERENCE_LENGTH_M = 0.94
SPEED_SHARE_PER_M = 1.14  # a longer club swings faster: 2.9% an inch over published tour averages


@dataclass(frozen=True)
class Drift:
    """share: change of club speed from the first shot to the last, negative slower. tired, faster: more
    than 2% and unlikely to be chance."""

    share: float
    tired: bool
    faster: bool
    sentence: str


def speed_drift(swings: Sequence[tuple[float, float]]) -> Drift | None:
    """Trend of club speed over a session.

    swings: (length of the club in metres, club speed in m/s) in the order hit. Speeds are brought to one
    length first, so that going from a wood to an iron is no sign of tiring. None under twelve swings.
    Theil and Sen's median slope, which a few odd swings do not move; the chance is Kendall's.
    """
    if len(swings) < LEAST_SHOTS:
        return None
    lengths, speeds = np.asarray(swings, dtype=float).T
    level = speeds / (1 + SPEED_SHARE_PER_M * (lengths - REFERENCE_LENGTH_M))
    order = np.arange(level.size)
    slope = float(stats.theilslopes(level, order).slope)
    share = slope * (level.size - 1) / float(np.median(level))
    real = float(stats.kendalltau(order, level).pvalue) < 2 * (1 - SURE) and abs(share) >= TIRED_SHARE
    percent = f"{abs(share) * 100:.1f}%"
    if real and share < 0:
        sentence = f"Club speed is down {percent} since the first shots. Rest, then hit the first club again."
    elif real:
        sentence = f"Club speed is up {percent} since the first shots. The first clubs deserve another look."
    else:
        sentence = f"Club speed has held to within {percent}. No sign of tiring."
    return Drift(share=share, tired=real and share < 0, faster=real and share > 0, sentence=sentence)
