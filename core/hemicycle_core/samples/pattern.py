"""The landing pattern of a build: covariance of carry and offline and its ellipses."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np

from ..shots import Shot


@dataclass(frozen=True)
class Pattern:
    """An ellipse on the ground, metres.

    carry_m, offline_m: centre (offline right positive: the bias). depth_m, width_m: full extent along
    and across the target line. major_m, minor_m: half-axes; tilt_deg: of the major axis from the target
    line, turning right positive. share: of shots inside, were the pattern normal.
    """

    carry_m: float
    offline_m: float
    depth_m: float
    width_m: float
    major_m: float
    minor_m: float
    tilt_deg: float
    share: float


def pattern(shots: Sequence[Shot], *, share: float = 0.8) -> Pattern | None:
    """Ellipse of the kept shots; None under three shots with carry and offline.

    The scale is the chi-squared quantile with two degrees of freedom, -2 ln(1 - share).
    """
    landed = [(shot.get("carry_m"), shot.get("offline_m")) for shot in shots if shot.kept]
    pairs = [(carry, offline) for carry, offline in landed if carry is not None and offline is not None]
    if len(pairs) < 3:
        return None
    points = np.asarray(pairs)
    covariance = np.cov(points, rowvar=False)
    lengths, axes = np.linalg.eigh(covariance)
    scale = float(np.sqrt(-2 * np.log(1 - share)))
    minor, major = scale * np.sqrt(np.maximum(lengths, 0))
    along, across = axes[:, 1]
    tilt = float(np.degrees(np.arctan2(across, along)))
    centre = points.mean(axis=0)
    return Pattern(
        carry_m=float(centre[0]),
        offline_m=float(centre[1]),
        depth_m=2 * scale * float(np.sqrt(covariance[0, 0])),
        width_m=2 * scale * float(np.sqrt(covariance[1, 1])),
        major_m=float(major),
        minor_m=float(minor),
        tilt_deg=(tilt + 90) % 180 - 90,
        share=share,
    )
