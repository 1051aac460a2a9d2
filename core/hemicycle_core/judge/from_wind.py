"""What the wind of a job does to a build: its flight computed in still air and in the wind, the shots as they are."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace
from functools import cache

import numpy as np
from numpy.typing import NDArray

from ..bag import HeadType
from ..brief import Job
from ..flight import Air, Anchor, Launch, fly, in_other_air
from ..said import Said, joined, say, share, speed
from ..shots import Shot
from ..units import whole
from .eased import mean_launch
from .landings import Landings
from .play import Played, Possible, normals_of

Floats = NDArray[np.float64]

# Where the side a wind comes from is not said: against, from behind and across, as often as each other.
ANY_SIDE = (0.0, 90.0, 180.0, 270.0)
# A player aims off for a wind from the side. What is left of its drift, and of how far it carries, is how gusts and his
# reading of them vary, by judgement: a quarter of what the wind does.
GUSTS = 0.25
CURVES_DEG = 6.0  # tilt of the spin axis of a shot that strays as much as most do, by judgement
# Launch and spin of a kind of head at its usual carry where nobody read them, by judgement.
USUAL_UP: dict[HeadType, tuple[float, float]] = {
    HeadType.DRIVER: (12.5, 2700.0), HeadType.FAIRWAY: (12.5, 3800.0), HeadType.HYBRID: (14.0, 4500.0),
    HeadType.UTILITY: (13.0, 4400.0), HeadType.IRON: (18.0, 6200.0), HeadType.WEDGE: (30.0, 9300.0),
}  # fmt: skip
SPEEDS_MPS = np.linspace(14.0, 82.0, 35)


@dataclass(frozen=True)
class Wind:
    """mps: at 10 m height; from_deg: 0 against the shot, 90 from the right, 180 from behind."""

    mps: float
    from_deg: float


@dataclass(frozen=True)
class InWind:
    """What one wind does to one build. carry: the share of its still carry that is left, carry_sd: of its log;
    gusts: how far that varies from shot to shot, as a share; wide: how much wider its shots stray; drift: what is
    not aimed off, as the tangent of an angle; speed, spin: shares of those at landing; steeper_deg: added to the
    angle there. read: its launch was, else a usual one of its kind was flown."""

    wind: Wind
    carry: float
    carry_sd: float
    gusts: float
    wide: float
    drift: float
    speed: float
    spin: float
    steeper_deg: float
    read: bool = True

    @property
    def words(self) -> Said:
        by = share(abs(1 - self.carry))
        return say("wind-takes", wind=wind_words(self.wind), by=by, as_much=not whole(100 * by.value),
                   less=self.carry < 1, read=self.read)  # fmt: skip


def wind_words(wind: Wind) -> Said:
    """As it is said: `15 mph against`."""
    return say("wind", by=speed(wind.mps), quarter=int((wind.from_deg % 360 + 45) // 90) % 4)


def met_in(winds: Sequence[InWind]) -> Said:
    """What the winds of a job do, in words; of wind from any side what it does against and behind."""
    if len(winds) < 2:
        return joined(each.words for each in winds)
    against, behind = (next(each for each in winds if each.wind.from_deg == side) for side in (0.0, 180.0))
    more, less = (share(abs(1 - each.carry)) for each in (behind, against))
    return say("wind-from-any-side", by=speed(against.wind.mps), less=less, more=more)


def winds_of(job: Job) -> tuple[Wind, ...]:
    """The winds a job is met in, each as often; none in still air."""
    if not job.wind_mps:
        return ()
    sides = ANY_SIDE if job.wind_from_deg is None else (job.wind_from_deg,)
    return tuple(Wind(job.wind_mps, side) for side in sides)


def all_winds(jobs: Sequence[Job]) -> list[Wind]:
    """The winds that any of some jobs is met in, each once."""
    return sorted({wind for job in jobs for wind in winds_of(job)}, key=lambda wind: (wind.mps, wind.from_deg))


@cache
def _carries(kind: HeadType) -> Floats:
    """Carries over `SPEEDS_MPS` with the usual launch of a kind."""
    up, spin = USUAL_UP.get(kind, USUAL_UP[HeadType.HYBRID])
    n = SPEEDS_MPS.size
    made: Floats = fly(Launch(SPEEDS_MPS, np.full(n, up), np.full(n, spin))).carry_m
    return made


def usual_launch(kind: HeadType, carry_m: float) -> tuple[float, float, float]:
    """Ball speed, launch and spin with which a kind of head usually carries so far."""
    up, spin = USUAL_UP.get(kind, USUAL_UP[HeadType.HYBRID])
    return float(np.interp(carry_m, _carries(kind), SPEEDS_MPS)), up, spin


def launch_of(kind: HeadType, carry_m: float, shots: Sequence[Shot]) -> tuple[float, float, float]:
    """That of its shots, where they have one."""
    return mean_launch([shot for shot in shots if not shot.aside]) or usual_launch(kind, carry_m)


def in_wind(
    launches: Sequence[tuple[float, float, float]],
    wind: Wind,
    *,
    airs: Sequence[Air],
    anchored: Anchor | None = None,
) -> list[InWind]:
    """What a wind does to builds of which each leaves with one launch: ball speed, angle, spin; airs: one a build,
    whose own wind is not this one's."""
    if not launches:
        return []
    speed, up, spin = (np.array(column) for column in zip(*launches, strict=True))
    still = [replace(air, wind_mps=0.0, wind_from_deg=0.0) for air in airs]
    blown = [replace(air, wind_mps=wind.mps, wind_from_deg=wind.from_deg) for air in airs]
    moved = in_other_air(Launch(speed, up, spin), was=still, now=blown, anchored=anchored)
    scales, n = (anchored or Anchor()).scales, speed.size
    # Straight and curving, still and blown: how the wind widens what strays.
    tilted = Launch(np.tile(speed, 4), np.tile(up, 4), np.tile(spin, 4),
                    axis_deg=np.repeat([0.0, CURVES_DEG, 0.0, CURVES_DEG], n))  # fmt: skip
    flown = fly(tilted, air=[*still, *still, *blown, *blown], scales=scales)
    carry, side = flown.carry_m.reshape(4, n), flown.offline_m.reshape(4, n)
    angle, fast, spun = (
        getattr(flown, name).reshape(4, n) for name in ("landing_deg", "landing_speed_mps", "landing_spin_rpm")
    )
    strays = np.abs((side[3] - side[2]) / carry[2]) / np.maximum(np.abs((side[1] - side[0]) / carry[0]), 1e-6)
    share = moved.carry_m / carry[0]
    return [
        InWind(
            wind=wind,
            carry=float(share[i]),
            carry_sd=float(moved.carry_error_m[i] / moved.carry_m[i]),
            gusts=float(GUSTS * abs(1 - share[i])),
            wide=float(np.clip(strays[i], 0.6, 2.5)),
            drift=float(GUSTS * abs(side[2, i]) / carry[2, i]),
            speed=float(fast[2, i] / fast[0, i]),
            spin=float(spun[2, i] / max(spun[0, i], 1.0)),
            steeper_deg=float(angle[2, i] - angle[0, i]),
        )
        for i in range(n)
    ]


def blown(build: Possible, found: InWind) -> Possible:
    """What a build may be like in a wind. What is computed of the wind is as wrong for every build."""
    z = normals_of(f"wind {found.wind.mps} {found.wind.from_deg}", 1)[0]
    return replace(
        build,
        carry_m=build.carry_m * found.carry * np.exp(found.carry_sd * z),
        spread_share=np.hypot(build.spread_share, found.gusts),
        side_spread_deg=np.hypot(build.side_spread_deg * found.wide, np.degrees(found.drift)),
    )


def landing_in(landed: Sequence[Landings], found: Sequence[InWind]) -> list[Landings]:
    """How builds come down in a wind."""
    return [
        replace(
            was,
            speed_mps=was.speed_mps * wind.speed,
            angle_deg=np.clip(was.angle_deg + wind.steeper_deg, 5.0, 85.0),
            spin_rpm=was.spin_rpm * wind.spin,
        )
        for was, wind in zip(landed, found, strict=True)
    ]


def over_all(played: Sequence[Played]) -> Played:
    """A job met in several winds, as often in each."""
    if len(played) == 1:
        return played[0]
    share = 1 / len(played)
    return replace(
        played[0],
        draws=share * np.sum([each.draws for each in played], axis=0),
        strokes=share * np.sum([each.strokes for each in played], axis=0),
        lost={way: share * np.sum([each.lost[way] for each in played], axis=0) for way in played[0].lost},
    )
