"""The flight a full wedge shot should have, by loft and ball speed, and what a high launch with little spin may be.

The window is a curve through what is published and what is reckoned: touring players' set wedges leave at 24 degrees
with 9,300 rpm at 102 mph (published averages), which is a shaft leant forward by 11 degrees at impact; beyond the set
wedge nothing is published by loft, and `impact` (1) to (3) takes the delivery to more loft. Full shots with 58 and 60
degrees leave at 30 to 33 in the hands of usual players: the more loft, the more of it is taken off, by judgement. How
far a player leans the shaft is his own: the session's other wedges move the middle of the window to it. Lower launch
with more spin is easier to control, so that only the high and the little-spinning side is asked about.

Bounce moves the flight either way, by lie and face, so that no direction is told for it.
"""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field

import numpy as np

from ..estimate import UPPER_80
from ..flight import Air, Anchor, Launch, fly
from ..flight.aero import BALL_RADIUS_M
from ..heads import HeadType
from ..impact import ATTACK_DEG, DRY_FRICTION, DRY_FRICTION_SD, GRIP_SHARE, Lie, least_of
from ..said import NOTHING, Form, Said, angle, joined, say, with_and
from .delivery import Delivery

# How far the hands take loft off at impact with a full wedge: touring players 11 degrees, most others 5 to 9.
LEAN_DEG, LEAN_SD_DEG = 9.0, 3.0
LEAN_AT_DEG, LEAN_MORE = 46.0, 0.3  # at that loft, and how much more for each further degree
ONE_CLUB_DEG = 1.5  # one standard deviation of one club's lean about the player's
LAUNCH_SD_DEG, SPIN_SHARE = 1.0, 0.07  # what `impact` leaves unexplained
LEAST_SHOTS = 3
OLD_ROUNDS = 75  # by judgement: a prompt to test, never a verdict
SOURCE = say("wedges-published-averages-up-set")


@dataclass(frozen=True)
class Window:
    """Between what four shots in five of such a club lie, in canonical units; middle: of it."""

    quantity: str
    low: float
    middle: float
    high: float


@dataclass(frozen=True)
class FullHit:
    """One wedge as it was hit full, means: degrees, m/s, degrees, rpm. attack_deg: None where not measured."""

    loft_deg: float
    ball_speed_mps: float
    launch_deg: float
    spin_rpm: float
    attack_deg: float | None = None

    @property
    def lean_deg(self) -> float:
        """How far loft was taken off, by what launch and spin say of the loft at impact."""
        along = self.spin_rpm * (2 * np.pi / 60) * BALL_RADIUS_M / 2.5
        share = float(np.clip(along / max(self.ball_speed_mps, 1e-9), 1e-4, 0.9))
        return self.loft_deg - self.launch_deg - float(np.degrees(np.arcsin(share)))


def usual_lean_deg(loft_deg: float) -> float:
    """How far usual players take loft off a full wedge of this loft, degrees."""
    return LEAN_DEG + LEAN_MORE * max(loft_deg - LEAN_AT_DEG, 0.0)


def lean_of(others: Sequence[FullHit], loft_deg: float) -> tuple[float, float]:
    """How far this player leans the shaft of a further wedge of this loft, and one standard deviation of it, degrees:
    as far from usual as his others."""
    precision, weight = 1 / LEAN_SD_DEG**2, 1 / ONE_CLUB_DEG**2
    known = precision + weight * len(others)
    further = sum(weight * (each.lean_deg - usual_lean_deg(each.loft_deg)) for each in others) / known
    return usual_lean_deg(loft_deg) + further, float(np.hypot(known**-0.5, ONE_CLUB_DEG))


def _leaves(loft: float, lean: float, attack: float, friction: float, speed: float) -> tuple[float, float]:
    """Launch in degrees and spin in rpm of a ball that leaves with `speed`: equations (2) and (3) of `impact`."""
    s = np.radians(np.clip(loft - lean - attack, 5, 75))
    ratio = float(least_of(np.array(GRIP_SHARE * np.tan(s)), np.array(friction)))
    away = float(np.arctan(ratio))
    spin = 2.5 * speed * float(np.sin(away)) / BALL_RADIUS_M * 60 / (2 * np.pi)
    return attack + float(np.degrees(s)) - float(np.degrees(away)), spin


def windows_at(
    loft_deg: float,
    ball_speed_mps: float,
    *,
    others: Sequence[FullHit] = (),
    attack_deg: float | None = None,
    air: Air | None = None,
    anchored: Anchor | None = None,
) -> dict[str, Window]:
    """Launch, spin, peak and landing windows of a full shot with a wedge, by quantity.

    loft_deg as bent; others: the player's other wedges, by which his lean is known; attack_deg: as measured, else the
    usual one of wedges. Raises nothing: any loft and speed has a window.
    """
    attack = ATTACK_DEG[HeadType.WEDGE] if attack_deg is None else attack_deg
    lean, sd = lean_of(others, loft_deg)
    launch, spin = _leaves(loft_deg, lean, attack, DRY_FRICTION, ball_speed_mps)
    by_lean = [a - b for a, b in zip(_leaves(loft_deg, lean + sd, attack, DRY_FRICTION, ball_speed_mps),
                                     (launch, spin), strict=True)]  # fmt: skip
    by_grip = [a - b for a, b in zip(_leaves(loft_deg, lean, attack, DRY_FRICTION - DRY_FRICTION_SD, ball_speed_mps),
                                     (launch, spin), strict=True)]  # fmt: skip
    launch_sd = float(np.hypot(np.hypot(by_lean[0], by_grip[0]), LAUNCH_SD_DEG))
    spin_sd = float(np.hypot(np.hypot(by_lean[1], by_grip[1]), SPIN_SHARE * spin))
    ups = np.array([launch, launch - UPPER_80 * launch_sd, launch + UPPER_80 * launch_sd, launch, launch])
    spins = np.array([spin, spin, spin, spin - UPPER_80 * spin_sd, spin + UPPER_80 * spin_sd])
    flown = fly(
        Launch(np.full(5, ball_speed_mps), ups, np.maximum(spins, 500.0)),
        air=air,
        scales=(anchored or Anchor()).scales,
    )

    def window(quantity: str, values: np.ndarray) -> Window:
        middle = float(values[0])
        half = float(np.hypot((values[2] - values[1]) / 2, (values[4] - values[3]) / 2))
        return Window(quantity, middle - half, middle, middle + half)

    return {
        "launch_deg": Window("launch_deg", launch - UPPER_80 * launch_sd, launch, launch + UPPER_80 * launch_sd),
        "spin_rpm": Window("spin_rpm", spin - UPPER_80 * spin_sd, spin, spin + UPPER_80 * spin_sd),
        "peak_m": window("peak_m", flown.peak_m),
        "landing_deg": window("landing_deg", flown.landing_deg),
    }


@dataclass(frozen=True)
class Looks:
    """What is known of the circumstances of a wedge's shots. high, called: shots struck high, and shots whose strike
    was called at all. wet: from wet turf or with a wet face. lies: what they were hit from. worn: as stated."""

    high: int = 0
    called: int = 0
    wet: bool = False
    lies: frozenset[Lie] = frozenset()
    firm: bool = False
    soft: bool = False
    worn: bool = False
    age_rounds: int | None = None
    bounce_deg: float | None = None
    delivery: Delivery | None = None


@dataclass(frozen=True)
class Cause:
    """What a high launch with little spin may come from. why: what speaks for it, empty where nothing does yet; test:
    what would tell."""

    what: Said
    why: Said
    test: Said


@dataclass(frozen=True)
class WedgeFlight:
    """One wedge's full flight beside its window. where: by quantity -1 under, 0 inside, 1 over. high_little: launched
    over its window with spin under it. causes: the likeliest first; empty where the flight is as it should be."""

    windows: Mapping[str, Window]
    means: Mapping[str, float]
    where: Mapping[str, int]
    high_little: bool
    sentence: Said
    causes: tuple[Cause, ...] = field(default=())


LOW_BOUNCE_DEG, HIGH_BOUNCE_DEG = 7.0, 11.0


def causes_of(looks: Looks) -> tuple[Cause, ...]:
    """What may launch a wedge high with little spin, those with something that speaks for them first."""
    often = looks.called >= LEAST_SHOTS and looks.high * 2 >= looks.called
    on_mat = looks.lies <= {Lie.MAT} and bool(looks.lies)
    digs = []
    if looks.delivery is Delivery.STEEP:
        digs.append(say("wedges-steep-delivery"))
    if looks.bounce_deg is not None and looks.bounce_deg <= LOW_BOUNCE_DEG:
        digs.append(say("wedges-of-bounce", bounce=angle(looks.bounce_deg, form=Form.SHORT)))
    if looks.soft:
        digs.append(say("wedges-soft-turf"))
    sits = []
    if looks.delivery is Delivery.SHALLOW:
        sits.append(say("wedges-shallow-delivery"))
    if looks.bounce_deg is not None and looks.bounce_deg >= HIGH_BOUNCE_DEG:
        sits.append(say("wedges-of-bounce", bounce=angle(looks.bounce_deg, form=Form.SHORT)))
    if looks.firm:
        sits.append(say("wedges-firm-turf"))
    aged = say("wedges-worn-was-stated") if looks.worn else NOTHING
    if not aged and looks.age_rounds is not None and looks.age_rounds >= OLD_ROUNDS:
        aged = say("wedges-rounds-old", age_rounds=looks.age_rounds)
    from_turf = say("wedges-hit-from-turf-off")
    found = [
        Cause(
            say("wedges-contact-high-face"),
            say("wedges-called-high", high=looks.high, called=looks.called) if often else NOTHING,
            say("wedges-powder-face-call-next"),
        ),
        Cause(
            say("wedges-grass-face-wet"),
            say("wedges-hit-from-wet-turf") if looks.wet else NOTHING,
            say("wedges-wipe-face-ball-hit"),
        ),
        Cause(say("wedges-grooves-worn"), aged, say("wedges-hit-fresh-one-loft")),
        Cause(
            say("wedges-sole-digs-so-ball"),
            with_and(digs) if len(digs) > 1 or (looks.soft and digs) else NOTHING,
            from_turf if on_mat else say("wedges-hit-wider-sole-more"),
        ),
        Cause(
            say("wedges-sole-sits-up-firm"),
            with_and(sits) if len(sits) > 1 or (looks.firm and sits) else NOTHING,
            from_turf if on_mat else say("wedges-hit-square-from-softer"),
        ),
    ]
    return tuple(sorted(found, key=lambda each: not each.why))


def flight_of(means: Mapping[str, float], windows: Mapping[str, Window], looks: Looks, shots: int) -> WedgeFlight:
    """A wedge's full shots beside the window of its loft and ball speed. means: by quantity, in canonical units."""
    where = {}
    for key, window in windows.items():
        value = means.get(key)
        if value is not None:
            where[key] = -1 if value < window.low else 1 if value > window.high else 0
    high_little = where.get("launch_deg") == 1 and where.get("spin_rpm") == -1
    causes = causes_of(looks) if high_little and shots >= LEAST_SHOTS else ()
    return WedgeFlight(dict(windows), dict(means), where, high_little, _sentence(where, shots), causes)


def _sentence(where: Mapping[str, int], shots: int) -> Said:
    """How it flies beside its window, in a few words."""
    if "launch_deg" not in where or "spin_rpm" not in where:
        return say("wedges-launch-spin-not-read")
    few = say("wedges-so-few-shots-may") if shots < LEAST_SHOTS else NOTHING
    up, spun = where["launch_deg"], where["spin_rpm"]
    if up == 1 and spun == -1:
        return joined([say("wedges-high-little-spin-hard"), few])
    if up == 1:
        return joined([say("wedges-higher-than-loft-speed"), few])
    if spun == -1:
        return joined([say("wedges-less-spin-than-loft"), few])
    if up == -1 or spun == 1:
        return say("wedges-lower-more-spin-easier")
    return say("wedges-loft-speed-make")
