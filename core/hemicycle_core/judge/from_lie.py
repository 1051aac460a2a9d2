"""What a lie costs a build beside its stock shots: measured where it was hit from, else held beforehand by its kind.

No distribution of what grass and sand take from long clubs is published that we know of; the sizes beforehand are
judgement, each with its doubt, and a few shots from the lie outweigh them. Their order is what fitters see: from rough
the hybrid is best, the wood next and the thin long iron worst; from tight turf the iron loses more than the wood, which
slides; what slides between face and ball takes spin and lifts the launch (impact, equations 2 and 3).
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from ..flight import Air, Anchor, Launch, fly
from ..heads import HeadType
from ..impact import ATTACK_DEG, GRIP_SHARE, Lie, Moisture, friction, least_of
from ..said import Said, say, share, term
from ..samples.lies import full_swings
from ..shots import LAUNCH, Shot, columns_of
from ..units import whole
from .landings import Landings

Floats = NDArray[np.float64]


@dataclass(frozen=True)
class Beforehand:
    """Club speed that is left, as a share, with its standard deviation; and how much wider the shots are spread."""

    speed: float
    speed_sd: float
    wide: float


WIDE_SD = 0.15  # of the log of the spread's factor
_ANY = {
    Lie.SEMI_ROUGH: Beforehand(0.98, 0.010, 1.15),
    Lie.ROUGH: Beforehand(0.925, 0.025, 1.4),
    Lie.SAND: Beforehand(0.95, 0.020, 1.35),
    Lie.SOFT: Beforehand(0.98, 0.010, 1.15),
    Lie.WET: Beforehand(0.99, 0.010, 1.1),
    Lie.TIGHT: Beforehand(1.0, 0.005, 1.1),
    Lie.SLOPE: Beforehand(0.97, 0.020, 1.25),
}
# Where a kind of head is held to differ, all by judgement.
_KINDS = {
    (Lie.SEMI_ROUGH, HeadType.HYBRID): Beforehand(0.985, 0.010, 1.1),
    (Lie.SEMI_ROUGH, HeadType.FAIRWAY): Beforehand(0.975, 0.015, 1.2),
    (Lie.SEMI_ROUGH, HeadType.UTILITY): Beforehand(0.970, 0.015, 1.2),
    (Lie.SEMI_ROUGH, HeadType.IRON): Beforehand(0.965, 0.015, 1.25),
    (Lie.SEMI_ROUGH, HeadType.DRIVER): Beforehand(0.95, 0.025, 1.4),
    (Lie.ROUGH, HeadType.HYBRID): Beforehand(0.945, 0.025, 1.3),
    (Lie.ROUGH, HeadType.FAIRWAY): Beforehand(0.915, 0.035, 1.45),
    (Lie.ROUGH, HeadType.UTILITY): Beforehand(0.900, 0.035, 1.5),
    (Lie.ROUGH, HeadType.IRON): Beforehand(0.885, 0.035, 1.55),
    (Lie.ROUGH, HeadType.DRIVER): Beforehand(0.85, 0.05, 1.8),
    (Lie.SAND, HeadType.FAIRWAY): Beforehand(0.93, 0.03, 1.5),
    (Lie.SAND, HeadType.DRIVER): Beforehand(0.88, 0.05, 1.8),
    (Lie.SOFT, HeadType.FAIRWAY): Beforehand(0.985, 0.010, 1.15),
    (Lie.TIGHT, HeadType.FAIRWAY): Beforehand(0.995, 0.010, 1.1),
    (Lie.TIGHT, HeadType.UTILITY): Beforehand(0.985, 0.015, 1.2),
    (Lie.TIGHT, HeadType.IRON): Beforehand(0.980, 0.015, 1.25),
    (Lie.TIGHT, HeadType.DRIVER): Beforehand(0.97, 0.02, 1.5),
}
# d ln carry / d ln speed of long clubs; used where a build's launch is not known.
CARRY_BY_SPEED = 1.3
FLIGHT_SD = 0.01  # log of carry: launch and spin from the lie are not as judged, either
# Launch less attack is about this much of the spin loft while the ball grips: 1 - GRIP_SHARE.
LAUNCH_SHARE = 1 - GRIP_SHARE
LAUNCH_SHOTS = 3.0  # shots from the lie at which its launch and spin are half their own
STOCK_SPREAD = 0.04  # of carry, where too few shots say


SHORT_IRON_LAUNCH_DEG = 18.0
LONG_IRON_DEG = 28.0  # stronger irons are thin and long; the others meet grass like any club of their loft


def beforehand(lie: Lie, head_type: HeadType, loft_deg: float | None = None) -> Beforehand:
    """What is held of a kind of head. loft_deg: None where unknown, which at the long end means a long iron."""
    short = head_type is HeadType.IRON and loft_deg is not None and loft_deg >= LONG_IRON_DEG
    mine = None if short else _KINDS.get((lie, head_type))
    return mine or _ANY.get(lie) or Beforehand(1.0, 0.0, 1.0)


@dataclass(frozen=True)
class FromLie:
    """What one lie does to one build. n: shots hit from it; carry: the share of its stock carry that is left, with the
    standard deviation of its log; wide: how much wider its shots spread; speed, spin: shares of the stock ones that are
    left; launch_deg: added to the launch."""

    lie: Lie
    n: int
    carry: float
    carry_sd: float
    wide: float
    speed: float
    spin: float
    launch_deg: float

    @property
    def words(self) -> Said:
        """How it is known and what it takes."""
        by = share(abs(1 - self.carry))
        takes = {"by": by, "as_much": not whole(100 * by.value), "less": self.carry < 1}
        return say("lie-takes", lie=term("lie", self.lie), n=self.n, **takes)


def unhit_from(lie: Lie, head_type: HeadType, loft_deg: float | None = None) -> FromLie:
    """What a lie does to a club that nobody hit: what is held beforehand of its kind."""
    held = beforehand(lie, head_type, loft_deg)
    return FromLie(lie, 0, held.speed**CARRY_BY_SPEED, _doubt(held), held.wide, held.speed, 1.0, 0.0)


def _doubt(held: Beforehand) -> float:
    """Of the log of the carry that is left."""
    return float(np.hypot(CARRY_BY_SPEED * held.speed_sd / held.speed, FLIGHT_SD))


def _means(shots: Sequence[Shot], keys: Sequence[str]) -> dict[str, float]:
    columns = columns_of(shots, keys)
    return {key: float(np.nanmean(values)) for key, values in columns.items() if np.isfinite(values).any()}


def _slides(lie: Lie, launch_deg: float, head_type: HeadType, attack_deg: float | None) -> tuple[float, float]:
    """The share of the spin that is left, and the degrees that the launch gains, as the ball slides more."""
    attack = ATTACK_DEG.get(head_type, -3.0) if attack_deg is None else attack_deg
    tangent = np.tan(np.radians(np.clip((launch_deg - attack) / LAUNCH_SHARE, 5.0, 70.0)))
    grips = np.array(GRIP_SHARE * tangent)
    dry = float(least_of(grips, np.array(friction(Lie.FAIRWAY, Moisture.DRY))))
    here = float(least_of(grips, np.array(friction(lie, Moisture.DRY))))
    return here / dry, float(np.degrees(np.arctan(dry) - np.arctan(here)))


def from_lie(
    shots: Sequence[Shot],
    stock: Sequence[Shot],
    lie: Lie,
    head_type: HeadType,
    *,
    loft_deg: float | None = None,
    air: Air | None = None,
    anchored: Anchor | None = None,
) -> FromLie:
    """What a lie does to a build, from its shots and what is held beforehand of its kind of head.

    shots: of the build, whatever they were hit from; stock: those that say what it does from a clean lie, one or more
    with a carry.
    """
    mean = _means(stock, (*LAUNCH, "attack_deg"))
    if loft_deg is None and mean.get("launch_deg", 0.0) >= SHORT_IRON_LAUNCH_DEG:
        loft_deg = LONG_IRON_DEG  # nobody said it, and no long iron leaves so high
    held = beforehand(lie, head_type, loft_deg)
    known = all(key in mean for key in LAUNCH)
    spin, lifts = 1.0, 0.0
    if known:
        spin, lifts = _slides(lie, mean["launch_deg"], head_type, mean.get("attack_deg"))
    here = [shot for shot in full_swings(shots) if shot.lie is lie and (shot.get("carry_m") or 0) > 0]
    speed = held.speed
    if known and here:
        speed, spin, lifts = _measured(here, mean, (held.speed, spin, lifts))
    share = held.speed**CARRY_BY_SPEED
    if known:
        ball, launch, rate = (mean[key] for key in LAUNCH)
        flown = fly(
            Launch([ball, ball * held.speed], [launch, launch + lifts], [rate, rate * held.speed * spin]),
            air=air,
            scales=(anchored or Anchor()).scales,
        ).carry_m
        share = float(flown[1] / flown[0])
    carry, sd, wide = _carry(here, stock, share, held)
    return FromLie(lie, len(here), carry, sd, wide, speed, spin, lifts)


def _measured(
    here: Sequence[Shot], mean: dict[str, float], before: tuple[float, float, float]
) -> tuple[float, float, float]:
    """Shares of ball speed and spin and the lift of the launch, as the shots from a lie draw them to themselves."""
    speed, spin, lifts = before
    found = _means(here, LAUNCH)
    part = len(here) / (len(here) + LAUNCH_SHOTS)
    if "ball_speed_mps" in found:
        speed += part * (found["ball_speed_mps"] / mean["ball_speed_mps"] - speed)
    if "spin_rpm" in found and mean["spin_rpm"] > 0:
        spin += part * (found["spin_rpm"] / mean["spin_rpm"] / speed - spin)
    if "launch_deg" in found:
        lifts += part * (found["launch_deg"] - mean["launch_deg"] - lifts)
    return speed, spin, lifts


def _carry(here: Sequence[Shot], stock: Sequence[Shot], share: float, held: Beforehand) -> tuple[float, float, float]:
    """The share of carry left, the standard deviation of its log, and the factor of the spread: what is held before,
    and the shots from the lie, each by how well it is known."""
    before, sd = np.log(share), _doubt(held)
    if not here:
        return share, sd, held.wide
    ours, theirs = (np.log([shot.values["carry_m"] for shot in each]) for each in (here, stock))
    usual = float(theirs.std(ddof=1)) if theirs.size > 2 else STOCK_SPREAD
    wide = held.wide
    if ours.size > 2 and usual > 0:
        seen, known = np.log(max(float(ours.std(ddof=1)), 1e-3) / usual), 1 / (2 * (ours.size - 1))
        weight = WIDE_SD**2 / (WIDE_SD**2 + known)
        wide = float(np.exp((1 - weight) * np.log(held.wide) + weight * seen))
    noise = (usual * wide) ** 2 / ours.size + usual**2 / theirs.size
    weight = sd**2 / (sd**2 + noise)
    mean = (1 - weight) * before + weight * (ours.mean() - theirs.mean())
    return float(np.exp(mean)), float(np.sqrt((1 - weight) * sd**2)), wide


def landings_from(
    groups: Sequence[Sequence[Shot]],
    landed: Sequence[Landings],
    lies: Sequence[FromLie],
    *,
    airs: Sequence[Air],
    anchored: Anchor | None = None,
) -> list[Landings]:
    """How the stock shots of several builds would come down from a lie: what is known of their landing, changed as the
    flight model changes with their launch. landed: as they did; lies, airs: one a build."""
    made = []
    shots = [shot for group in groups for shot in group]
    seen = columns_of(shots, LAUNCH)
    which = np.repeat(np.arange(len(groups)), [len(group) for group in groups])
    flew = np.flatnonzero(np.all([np.isfinite(seen[key]) for key in LAUNCH], axis=0))
    by = {name: np.ones(len(shots)) for name in ("speed", "spin")}
    steeper = np.zeros(len(shots))
    if flew.size:
        speed, spin, lifts = (
            np.array([getattr(lies[i], name) for i in which[flew]]) for name in ("speed", "spin", "launch_deg")
        )
        ball, launch, rate = (seen[key][flew] for key in LAUNCH)
        both = fly(
            Launch(np.r_[ball, ball * speed], np.r_[launch, launch + lifts], np.r_[rate, rate * speed * spin]),
            air=[airs[i] for i in which[flew]] * 2,
            scales=(anchored or Anchor()).scales,
        )
        n = flew.size
        by["speed"][flew] = both.landing_speed_mps[n:] / both.landing_speed_mps[:n]
        by["spin"][flew] = both.landing_spin_rpm[n:] / np.maximum(both.landing_spin_rpm[:n], 1.0)
        steeper[flew] = both.landing_deg[n:] - both.landing_deg[:n]
    for index, was in enumerate(landed):
        mine = which == index
        made.append(
            Landings(
                was.speed_mps * by["speed"][mine],
                np.clip(was.angle_deg + steeper[mine], 5.0, 85.0),
                was.spin_rpm * by["spin"][mine],
                read=was.read,
            )
        )
    return made
