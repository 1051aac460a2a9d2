"""How a build's shots come down, and how far they run on the ground of a job."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from ..brief import Job
from ..flight import Air, Anchor, Launch, fly, run_out
from ..shots import LAUNCH, Shot, columns_of

Floats = NDArray[np.float64]

# A shot without a launch comes down about like this: long clubs of middling players, after `fly`.
USUAL_SPEED_MPS, USUAL_ANGLE_DEG, USUAL_SPIN_RPM = 24.5, 43.0, 3900.0
ANGLE_STEP_DEG = 2.0
# Before a shot is hit: no slope, held by this many square metres of carry; a spread, held by so many shots.
SLOPE_PRIOR_M2 = 60.0
RUN_SD_M, RUN_PRIOR_SHOTS = 2.0, 5.0
ANGLE_SD_DEG, ANGLE_PRIOR_SHOTS = 1.8, 5.0
MOST_OFF_M = 8.0  # a run further from the typical one than this counts as this far


@dataclass(frozen=True)
class Landings:
    """n shots coming down, arrays (n,)."""

    speed_mps: Floats
    angle_deg: Floats
    spin_rpm: Floats


def landings(
    groups: Sequence[Sequence[Shot]], *, airs: Sequence[Air] | None = None, anchored: Anchor | None = None
) -> list[Landings]:
    """Of the shots of several builds, flown in one batch. airs: one a build.

    From each shot's launch, with its own landing angle where it has one; usual values without a launch.
    """
    shots = [shot for group in groups for shot in group]
    seen = columns_of(shots, (*LAUNCH, "landing_deg"))
    n = len(shots)
    speed, angle, spin = (np.full(n, value) for value in (USUAL_SPEED_MPS, USUAL_ANGLE_DEG, USUAL_SPIN_RPM))
    flew = np.flatnonzero(np.all([np.isfinite(seen[key]) for key in LAUNCH], axis=0))
    if flew.size:
        each = [air for group, air in zip(groups, airs or [Air()] * len(groups), strict=True) for _ in group]
        scales = (anchored or Anchor()).scales
        flight = fly(Launch(*(seen[key][flew] for key in LAUNCH)), air=[each[i] for i in flew], scales=scales)
        speed[flew], angle[flew] = flight.landing_speed_mps, flight.landing_deg
        spin[flew] = flight.landing_spin_rpm
    angle = np.where(np.isfinite(seen["landing_deg"]), seen["landing_deg"], angle)
    ends = np.cumsum([len(group) for group in groups])[:-1]
    parts = zip(*(np.split(values, ends) for values in (speed, angle, spin)), strict=True)
    return [Landings(*part) for part in parts]


@dataclass(frozen=True)
class Run:
    """Roll-out of a build on one ground, metres: typical; its change for a degree steeper; its change for a metre
    more carry within the build, as short shots come in lower; the spread left from shot to shot; and the standard
    error of its landing angle in degrees."""

    typical_m: float
    per_degree_m: float
    per_metre: float
    sd_m: float
    angle_se_deg: float = 0.0


def runs_on(landed: Sequence[Landings], weights: Sequence[Floats], carries: Sequence[Floats], job: Job) -> list[Run]:
    """The runs of a player's builds on the green or fairway of a job. landed: of each build with at least one shot;
    weights: how much of a good shot each is; carries in metres. Slope and spread are shared by the builds."""
    sizes = np.cumsum([each.speed_mps.size for each in landed])[:-1]

    def joined(name: str) -> Floats:
        return np.concatenate([getattr(each, name) for each in landed])

    flat = np.split(run_out(joined("speed_mps"), joined("angle_deg"), joined("spin_rpm"), job.turf).run_m, sizes)
    # Typical is what the typical landing does: the average of the runs is drawn out by the few flat ones.
    typical = np.array(
        [
            [float(np.average(values, weights=weight)) for values in (each.speed_mps, each.angle_deg, each.spin_rpm)]
            for each, weight in zip(landed, weights, strict=True)
        ]
    ).T
    means = run_out(typical[0], typical[1], typical[2], job.turf).run_m
    steeper = run_out(typical[0], np.clip(typical[1] + ANGLE_STEP_DEG, 5, 85), typical[2], job.turf).run_m
    x = np.concatenate(
        [carry - np.average(carry, weights=weight) for carry, weight in zip(carries, weights, strict=True)]
    )
    y = np.concatenate([each - mean for each, mean in zip(flat, means, strict=True)])
    w = np.concatenate(weights)
    slope = float((w * x * y).sum() / ((w * x * x).sum() + SLOPE_PRIOR_M2))
    freedom = max(float(w.sum()) - len(landed), 0.0)
    left = float((w * np.clip(y - slope * x, -MOST_OFF_M, MOST_OFF_M) ** 2).sum())
    sd = float(np.sqrt((RUN_PRIOR_SHOTS * RUN_SD_M**2 + left) / (RUN_PRIOR_SHOTS + freedom)))
    off = np.concatenate([each.angle_deg - middle for each, middle in zip(landed, typical[1], strict=True)])
    angle_sd = float(
        np.sqrt((ANGLE_PRIOR_SHOTS * ANGLE_SD_DEG**2 + (w * off**2).sum()) / (ANGLE_PRIOR_SHOTS + freedom))
    )
    return [
        Run(float(mean), float(more - mean) / ANGLE_STEP_DEG, slope, sd, angle_sd / float(weight.sum()) ** 0.5)
        for mean, more, weight in zip(means, steeper, weights, strict=True)
    ]
