"""How a build's shots come down, and how far they run on the ground of a job."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, field, replace

import numpy as np
from numpy.typing import NDArray

from ..brief import Job
from ..flight import FAIRWAY, Air, Anchor, Firmness, Launch, fly, run_out
from ..heads import HeadType
from ..shots import LAUNCH, Shot, columns_of

Floats = NDArray[np.float64]

# Shots without a launch come down about like this by their kind of head, m/s, degrees and rpm: clubs of middling
# players, after `fly`; and how far a player's own may be off it in angle, one standard deviation, by judgement.
USUAL_DOWN = {
    HeadType.DRIVER: (27.0, 37.0, 2400.0), HeadType.FAIRWAY: (25.5, 42.0, 3500.0),
    HeadType.HYBRID: (24.5, 43.0, 3900.0), HeadType.UTILITY: (24.5, 41.0, 3900.0),
    HeadType.IRON: (24.0, 46.0, 5300.0), HeadType.WEDGE: (22.5, 50.0, 7500.0),
}  # fmt: skip
UNREAD_ANGLE_SD_DEG = 4.0
ANGLE_STEP_DEG = 2.0
# Before a shot is hit: no slope, held by this many square metres of carry; a spread, held by so many shots.
SLOPE_PRIOR_M2 = 60.0
RUN_SD_M, RUN_PRIOR_SHOTS = 2.0, 5.0
ANGLE_SD_DEG, ANGLE_PRIOR_SHOTS = 1.8, 5.0
LONGER_PRIOR_SHOTS = 3.0
MOST_OFF_M = 8.0  # a run further from the typical one than this counts as this far


@dataclass(frozen=True)
class Landings:
    """n shots coming down, arrays (n,). read: some of them say how; else they are usual ones of their kind of head.
    flown_m: what each launch flies, NaN where it was not read."""

    speed_mps: Floats
    angle_deg: Floats
    spin_rpm: Floats
    read: bool = True
    flown_m: Floats = field(default_factory=lambda: np.zeros(0))


def landings(
    groups: Sequence[Sequence[Shot]],
    *,
    kinds: Sequence[HeadType] | None = None,
    airs: Sequence[Air] | None = None,
    anchored: Anchor | None = None,
) -> list[Landings]:
    """Of the shots of several builds, flown in one batch. kinds: of head, one a build, hybrids where None; airs: one a
    build.

    From each shot's launch, with its own landing angle where it has one. A shot that says nothing comes down as the
    others of its build do on average; where none says anything, as is usual of its kind.
    """
    shots = [shot for group in groups for shot in group]
    seen = columns_of(shots, (*LAUNCH, "landing_deg"))
    n = len(shots)
    speed, angle, spin, flown = (np.full(n, np.nan) for _ in range(4))
    flew = np.flatnonzero(np.all([np.isfinite(seen[key]) for key in LAUNCH], axis=0))
    if flew.size:
        each = [air for group, air in zip(groups, airs or [Air()] * len(groups), strict=True) for _ in group]
        scales = (anchored or Anchor()).scales
        flight = fly(Launch(*(seen[key][flew] for key in LAUNCH)), air=[each[i] for i in flew], scales=scales)
        speed[flew], angle[flew] = flight.landing_speed_mps, flight.landing_deg
        spin[flew], flown[flew] = flight.landing_spin_rpm, flight.carry_m
    angle = np.where(np.isfinite(seen["landing_deg"]), seen["landing_deg"], angle)
    ends = np.cumsum([len(group) for group in groups])[:-1]
    parts = zip(*(np.split(values, ends) for values in (speed, angle, spin)), strict=True)
    usual = kinds or [HeadType.HYBRID] * len(groups)
    made = [_filled(part, USUAL_DOWN.get(kind, OTHERWISE)) for part, kind in zip(parts, usual, strict=True)]
    return [replace(each, flown_m=carries) for each, carries in zip(made, np.split(flown, ends), strict=True)]


def usual_roll_m(kind: HeadType, turf: Firmness = Firmness.MEDIUM) -> float:
    """How far a head of a kind rolls on a fairway where nobody read it, metres, by how it usually comes down."""
    speed, angle, spin = (np.array([each]) for each in USUAL_DOWN.get(kind, OTHERWISE))
    return float(run_out(speed, angle, spin, FAIRWAY[turf]).run_m[0])


OTHERWISE = USUAL_DOWN[HeadType.HYBRID]


def _filled(part: tuple[Floats, Floats, Floats], usual: tuple[float, float, float]) -> Landings:
    """A build's speeds, angles and spins with what was not read filled in."""

    def filled(values: Floats, otherwise: float) -> Floats:
        there = np.isfinite(values)
        return np.where(there, values, values[there].mean() if there.any() else otherwise)

    speed, angle, spin = (filled(values, otherwise) for values, otherwise in zip(part, usual, strict=True))
    return Landings(speed, angle, spin, read=bool(np.isfinite(part[1]).any()))


@dataclass(frozen=True)
class RollOut:
    """Roll-out of a build on one ground, metres: typical; its change for a degree steeper; its change for a metre
    more carry within the build, as short shots come in lower; the spread left from shot to shot; and the standard
    error of its landing angle in degrees."""

    typical_m: float
    per_degree_m: float
    per_metre: float
    sd_m: float
    angle_se_deg: float = 0.0


def runs_expected(landed: Sequence[Landings], job: Job) -> list[RollOut]:
    """The runs of clubs that nobody hit, each known by the one landing that it should have, on the ground of a job."""
    if not landed:
        return []
    speed, angle, spin = (
        np.concatenate([getattr(each, name) for each in landed]) for name in ("speed_mps", "angle_deg", "spin_rpm")
    )
    both = np.concatenate([angle, np.clip(angle + ANGLE_STEP_DEG, 5, 85)])
    run, steeper = np.split(run_out(np.tile(speed, 2), both, np.tile(spin, 2), job.turf).run_m, 2)
    return [
        RollOut(
            float(at),
            float(more - at) / ANGLE_STEP_DEG,
            0.0,
            RUN_SD_M,
            ANGLE_SD_DEG if each.read else UNREAD_ANGLE_SD_DEG,
        )
        for each, at, more in zip(landed, run, steeper, strict=True)
    ]


def runs_on(
    landed: Sequence[Landings], weights: Sequence[Floats], carries: Sequence[Floats], job: Job
) -> list[RollOut]:
    """The runs of a player's builds on the green or fairway of a job. landed: of each build with at least one shot;
    weights: how much of a good shot each is; carries in metres. Slope and spread are shared by the builds."""
    sizes = np.cumsum([each.speed_mps.size for each in landed])[:-1]

    def joined(name: str) -> Floats:
        return np.concatenate([getattr(each, name) for each in landed])

    flat = np.split(run_out(joined("speed_mps"), joined("angle_deg"), joined("spin_rpm"), job.turf).run_m, sizes)
    typical = np.array(
        [
            [float(np.average(values, weights=weight)) for values in (each.speed_mps, each.angle_deg, each.spin_rpm)]
            for each, weight in zip(landed, weights, strict=True)
        ]
    ).T
    at = run_out(typical[0], typical[1], typical[2], job.turf).run_m
    steeper = run_out(typical[0], np.clip(typical[1] + ANGLE_STEP_DEG, 5, 85), typical[2], job.turf).run_m
    # The average of the runs is longer than the run of the average landing: flat ones draw it out. By how much is read
    # over all builds, as one flat shot in five would draw a build out by itself.
    w = np.concatenate(weights)
    longer = np.concatenate([np.clip(each - run, -MOST_OFF_M, MOST_OFF_M) for each, run in zip(flat, at, strict=True)])
    means = at + float((w * longer).sum()) / (float(w.sum()) + LONGER_PRIOR_SHOTS)
    x = np.concatenate(
        [carry - np.average(carry, weights=weight) for carry, weight in zip(carries, weights, strict=True)]
    )
    y = np.concatenate([each - mean for each, mean in zip(flat, means, strict=True)])
    slope = float((w * x * y).sum() / ((w * x * x).sum() + SLOPE_PRIOR_M2))
    freedom = max(float(w.sum()) - len(landed), 0.0)
    left = float((w * np.clip(y - slope * x, -MOST_OFF_M, MOST_OFF_M) ** 2).sum())
    sd = float(np.sqrt((RUN_PRIOR_SHOTS * RUN_SD_M**2 + left) / (RUN_PRIOR_SHOTS + freedom)))
    off = np.concatenate([each.angle_deg - middle for each, middle in zip(landed, typical[1], strict=True)])
    angle_sd = float(
        np.sqrt((ANGLE_PRIOR_SHOTS * ANGLE_SD_DEG**2 + (w * off**2).sum()) / (ANGLE_PRIOR_SHOTS + freedom))
    )
    return [
        RollOut(
            float(mean),
            float(more - run) / ANGLE_STEP_DEG,
            slope,
            sd,
            angle_sd / float(weight.sum()) ** 0.5 if each.read else UNREAD_ANGLE_SD_DEG,
        )
        for mean, run, more, weight, each in zip(means, at, steeper, weights, landed, strict=True)
    ]
