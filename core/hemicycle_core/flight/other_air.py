"""The same shot in other air: what a measured flight would have been on another day."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import ArrayLike, NDArray

from .aero import ALIKE, Coefficients
from .air import Air
from .anchor import Anchor
from .integrate import Launch, fly

Floats = NDArray[np.float64]

LEAST_DOUBT_M = 0.5  # half a metre: what other air does is never known better, set by judgement
# Players see 5 to 8 in 100 for 20 mph behind a middle iron; any set of coefficients that meets the tables gives a slow
# one little of it (docs/decisions/0002). What is missing from what they see is doubt, by this part of it.
SEEN_BEHIND = 0.0033 / 0.44704  # share of carry for each m/s
MISSING_SD = 0.6
REFERENCE_AIR = Air()  # 20 degrees C, sea level, no wind


@dataclass(frozen=True)
class Moved:
    """n flights brought to other air, arrays (n,), and one standard deviation of the carry's change: what sets of
    coefficients that fit alike disagree by, the share by which any computed change is off, what a following wind is
    seen to give beyond what is computed, and a floor."""

    carry_m: Floats
    offline_m: Floats
    peak_m: Floats
    landing_deg: Floats
    hang_s: Floats
    carry_error_m: Floats


def in_other_air(
    launch: Launch,
    *,
    was: Air | Sequence[Air],
    now: Air | Sequence[Air] = REFERENCE_AIR,
    anchored: Anchor | None = None,
    carry_m: ArrayLike | None = None,
    offline_m: ArrayLike | None = None,
    peak_m: ArrayLike | None = None,
    landing_deg: ArrayLike | None = None,
    hang_s: ArrayLike | None = None,
) -> Moved:
    """Bring n flights from the air they were hit in to other air.

    launch: n launches. was, now: one air or n. The readings (n,), as measured or NaN, are moved by what
    the model changes: carry, peak and hang time by its ratio, offline and landing angle by its
    difference, so that an error of the model that both airs share drops out and coming back to the
    first air returns the first figures. A reading that is None or NaN starts from the model's.
    """
    start = anchored or Anchor()
    before, after = fly(launch, air=was, scales=start.scales), fly(launch, air=now, scales=start.scales)

    def started(values: ArrayLike | None, model: Floats) -> Floats:
        if values is None:
            return model
        given = np.broadcast_to(np.asarray(values, dtype=float), model.shape)
        return np.where(np.isnan(given), model, given)

    def by_ratio(values: ArrayLike | None, of: str) -> Floats:
        model: Floats = getattr(before, of)
        ratio = getattr(after, of) / np.where(model > 0.1, model, np.inf)
        return started(values, model) * np.where(model > 0.1, ratio, 1.0)

    def by_difference(values: ArrayLike | None, of: str) -> Floats:
        moved: Floats = started(values, getattr(before, of)) + getattr(after, of) - getattr(before, of)
        return moved

    carried = by_ratio(carry_m, "carry_m")
    change = carried - started(carry_m, before.carry_m)
    size = started(carry_m, before.carry_m)
    apart = [size * (_share_gained(launch, was, now, start, ball) - 1) - change for ball in ALIKE]
    behind = size * SEEN_BEHIND * (_behind(now) - _behind(was))
    missing = np.maximum(np.abs(behind) - np.maximum(np.sign(behind) * change, 0.0), 0.0)
    squares = np.mean(np.square(apart), axis=0) + (start.change_error * change) ** 2 + (MISSING_SD * missing) ** 2
    doubt = np.sqrt(squares)
    return Moved(
        carry_m=carried,
        offline_m=by_difference(offline_m, "offline_m"),
        peak_m=by_ratio(peak_m, "peak_m"),
        landing_deg=started(landing_deg, before.landing_deg) + after.landing_beside(before) - before.landing_deg,
        hang_s=by_ratio(hang_s, "hang_s"),
        carry_error_m=np.where(np.abs(change) < 1e-9, doubt, np.maximum(doubt, LEAST_DOUBT_M)),
    )


def _behind(air: Air | Sequence[Air]) -> Floats:
    """The wind that follows the shot, m/s, nought in a head wind; of one air or of n."""
    winds = [air.wind_along_mps] if isinstance(air, Air) else [each.wind_along_mps for each in air]
    following: Floats = np.maximum(np.array(winds), 0.0)
    return following


def _share_gained(
    launch: Launch, was: Air | Sequence[Air], now: Air | Sequence[Air], start: Anchor, ball: Coefficients
) -> Floats:
    """Carry in one air over carry in another by other coefficients, (n,)."""
    before, after = (fly(launch, air=air, ball=ball, scales=start.scales).carry_m for air in (was, now))
    ratio: Floats = after / np.maximum(before, 0.1)
    return ratio
