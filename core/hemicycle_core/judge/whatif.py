"""What a change of the club would do, shot by shot, from the player's own shots.

Each shot goes back through its own impact (spin loft, ball speed, launch, spin) and is flown again;
differences are taken between two computed flights, so that an error common to both drops out, and are
added to what was measured. There are no fixed yards for a degree: a low launcher may gain by loft.
"""

from __future__ import annotations

import math
from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace
from functools import cached_property

import numpy as np
from numpy.typing import NDArray

from ..flight import Air, Anchor, Flight, Launch, fly, in_other_air
from ..flight.aero import BALL_RADIUS_M
from ..heads import HeadType
from ..impact import (
    ATTACK_DEG,
    ATTACK_UNKNOWN_DEG,
    DRY_FRICTION,
    DRY_FRICTION_SD,
    GRIP_SHARE,
    LIE_ARRIVES_SHARE,
    least_of,
    start_from_lie,
)
from ..shots import LAUNCH, Shot, columns_of
from ..units import mps
from .changes import FACE_ARRIVES, Change, ChangeKind, Effect, Size

Floats = NDArray[np.float64]

# Ball speed goes with a power of the cosine of spin loft: for wedges 0.96, as equation (1) of `impact` has it (1 for a
# rigid face); over the published averages of long clubs 1.5, which also differ in face. One standard deviation each.
SMASH_SLOPE_AT = (24.0, 36.0)  # degrees of spin loft
SMASH_SLOPE, SMASH_SLOPE_SD = (1.3, 0.96), (0.30, 0.15)
# A ball that left with less spin than this share of what gripping makes has slid; above the second it has gripped. Only
# where loft is enough: the long clubs spin less for other reasons.
SLID, GRIPPED = 0.80, 0.95
SLIDES_FROM = (24.0, 32.0)  # degrees of spin loft
USUAL_LIE_DEG = 58.0
# Where the same club may be played next: how it is called, and what is other about the air there.
OTHER_AIRS: tuple[tuple[str, Mapping[str, float]], ...] = (
    ("10 mph against", {"wind_mps": mps(10), "wind_from_deg": 0.0}),
    ("10 mph behind", {"wind_mps": mps(10), "wind_from_deg": 180.0}),
    ("A cold day, 41 °F", {"temperature_c": 5.0}),
    ("A hot day, 95 °F", {"temperature_c": 35.0}),
    ("Up at 5 000 ft", {"altitude_m": 1524.0}),
)
FIGURES = ("carry_m", "peak_m", "landing_deg", "launch_deg", "spin_rpm", "ball_speed_mps")


@dataclass(frozen=True)
class Prediction:
    """Averages before and after one change, by reading (`FIGURES`), in canonical units.

    before: the kept shots as they are. error: one standard deviation of each difference. before, after
    and error are empty where only directions are known. face_closed_deg: how far the face points
    closed of square when the club is soled as before; lie_deg: more upright; bounce_deg: more bounce;
    start_deg: how far the ball starts to the right of where it did, with one standard deviation, and start_m,
    how many metres that is where the ball lands; each 0 where the change has none.
    """

    change: Change
    before: Mapping[str, float]
    after: Mapping[str, float]
    error: Mapping[str, float]
    anchored: bool
    shots: int
    face_closed_deg: float = 0.0
    lie_deg: float = 0.0
    bounce_deg: float = 0.0
    start_deg: float = 0.0
    start_error_deg: float = 0.0
    start_m: float = 0.0

    def gain(self, key: str) -> float:
        return self.after[key] - self.before[key] if self.after else 0.0


@dataclass(frozen=True)
class Impacts:
    """What impact is undone from: arrays (n,) of launch conditions and spin loft in degrees."""

    ball_speed_mps: Floats
    launch_deg: Floats
    spin_rpm: Floats
    spin_loft_deg: Floats

    @classmethod
    def of(
        cls,
        speed: Floats,
        launch: Floats,
        spin: Floats,
        attack: Floats,
        dynamic_loft: Floats,
        head_type: HeadType | None = None,
    ) -> Impacts:
        """NaN in attack or dynamic_loft where it was not measured: then attack is the usual one of the head, and spin
        loft comes from launch and spin, as spin tells how far the ball left from the line across the face."""
        usual = ATTACK_UNKNOWN_DEG if head_type is None else ATTACK_DEG.get(head_type, ATTACK_UNKNOWN_DEG)
        came_in = np.where(np.isnan(attack), usual, attack)
        away = np.degrees(np.arctan(_along_over_across(speed, spin)))
        dynamic = np.where(np.isnan(dynamic_loft), launch + away, dynamic_loft)
        return cls(speed, launch, spin, np.clip(dynamic - came_in, 4, 75))

    def changed(self, effect: Effect, amount: float, *, slope_sds: float = 0.0, friction_sds: float = 0.0) -> Impacts:
        """The same swings after `amount` of a change, by the slopes of `impact`: across the face goes with cos s, along
        it with tan s of that until the ball slides. slope_sds, friction_sds: how many standard deviations the slope of
        ball speed and the friction of face and ball lie off."""
        more = effect.dynamic_loft_deg.value * amount
        after = np.clip(self.spin_loft_deg + more, 2, 80)
        s, t = np.radians(self.spin_loft_deg), np.radians(after)
        club = 1 + effect.club_speed_share.value * amount
        slope, slope_sd = self._slope
        slope = slope + slope_sds * slope_sd
        across = club * (np.cos(t) / np.cos(s)) ** slope * (1 + effect.smash_share.value * amount)
        was = self._was
        now = self._along(was, t, DRY_FRICTION + friction_sds * DRY_FRICTION_SD)
        return Impacts(
            ball_speed_mps=self.ball_speed_mps * across * np.hypot(1, now) / np.hypot(1, was),
            launch_deg=np.clip(
                self.launch_deg + (after - self.spin_loft_deg) - np.degrees(np.arctan(now) - np.arctan(was)), -10, 80
            ),
            spin_rpm=np.clip(self.spin_rpm * across * now / np.maximum(was, 1e-9), 0, 20_000),
            spin_loft_deg=after,
        )

    @cached_property
    def _was(self) -> Floats:
        return _along_over_across(self.ball_speed_mps, self.spin_rpm)

    @cached_property
    def _slope(self) -> tuple[Floats, Floats]:
        """By which ball speed goes with the cosine of the spin loft, and one standard deviation of it, (n,)."""
        at = self.spin_loft_deg
        return np.interp(at, SMASH_SLOPE_AT, SMASH_SLOPE), np.interp(at, SMASH_SLOPE_AT, SMASH_SLOPE_SD)

    def _along(self, was: Floats, after: Floats, dry: float) -> Floats:
        """Speed along the face over speed across it at a spin loft `after` (radians), for shots that had `was`. A shot
        that gripped goes on gripping, up to the friction of a dry face; one that slid goes on sliding."""
        before = np.radians(self.spin_loft_deg)
        full, fuller = GRIP_SHARE * np.tan(before), GRIP_SHARE * np.tan(after)
        reached = was / np.maximum(full, 1e-9)
        gripped = np.clip((reached - SLID) / (GRIPPED - SLID), 0, 1)
        slid = (1 - gripped) * np.clip((self.spin_loft_deg - SLIDES_FROM[0]) / (SLIDES_FROM[1] - SLIDES_FROM[0]), 0, 1)
        # The level of each shot is its own: only what changes with loft is taken from the curve.
        limit = np.maximum(dry, was)
        gripping = was * least_of(fuller * reached, limit) / np.maximum(least_of(full * reached, limit), 1e-9)
        sliding = np.minimum(was, fuller)
        along: Floats = (1 - slid) * gripping + slid * sliding * was / np.maximum(np.minimum(was, full), 1e-9)
        return along

    def variants(self, change: Change) -> list[Impacts]:
        """After the change: as expected, then with each uncertain size one standard deviation up."""
        effect, amount = change.effect, change.amount
        way = 1 if amount > 0 else -1

        def up(size: Size) -> Size:
            return Size(size.value + way * size.sd)

        bumped = [
            replace(effect, dynamic_loft_deg=up(effect.dynamic_loft_deg)),
            replace(effect, club_speed_share=up(effect.club_speed_share)),
            replace(effect, smash_share=up(effect.smash_share)),
        ]
        made = [self.changed(each, amount) for each in (effect, *(one for one in bumped if one != effect))]
        if effect.dynamic_loft_deg.value:
            made += [self.changed(effect, amount, slope_sds=1), self.changed(effect, amount, friction_sds=1)]
        return made


def _along_over_across(ball_speed_mps: Floats, spin_rpm: Floats) -> Floats:
    """Speed along the face over speed across it that a ball left with, by its spin: equation (3) of `impact`."""
    along = spin_rpm * (2 * np.pi / 60) * BALL_RADIUS_M / 2.5
    share: Floats = np.clip(along / np.maximum(ball_speed_mps, 1e-9), 1e-4, 0.9)
    return share / np.sqrt(1 - share**2)


def _figures(flight: Flight, impacts: Impacts) -> dict[str, Floats]:
    return {
        "carry_m": flight.carry_m,
        "peak_m": flight.peak_m,
        "landing_deg": flight.landing_deg,
        "launch_deg": impacts.launch_deg,
        "spin_rpm": impacts.spin_rpm,
        "ball_speed_mps": impacts.ball_speed_mps,
    }


def _stacked(sets: Sequence[Impacts]) -> Impacts:
    def all_of(name: str) -> Floats:
        return np.concatenate([getattr(each, name) for each in sets])

    return Impacts(all_of("ball_speed_mps"), all_of("launch_deg"), all_of("spin_rpm"), all_of("spin_loft_deg"))


def fly_sets(sets: Sequence[Impacts], *, air: Air | Sequence[Air] | None, anchored: Anchor) -> dict[str, Floats]:
    """Fly several sets of n impacts in one batch: each figure as an array (sets, n). The first set is as it was hit,
    and its landing bias is that of all."""
    stacked = _stacked(sets)
    airs = air if air is None or isinstance(air, Air) else [*air] * len(sets)
    launch = Launch(stacked.ball_speed_mps, stacked.launch_deg, stacked.spin_rpm)
    flight = fly(launch, air=airs, scales=anchored.scales)
    figures = {key: values.reshape(len(sets), -1) for key, values in _figures(flight, stacked).items()}
    bias = np.reshape(flight.bias_deg, (len(sets), -1))
    return {**figures, "landing_deg": figures["landing_deg"] + bias - bias[0]}


@dataclass(frozen=True)
class HitClub:
    """What of a club the shots do not tell: lie_deg for the face of a sleeve, loft_deg for what lie does to the start
    (None: nothing is said of it), the type for the attack angle nobody measured."""

    lie_deg: float = USUAL_LIE_DEG
    loft_deg: float | None = None
    head_type: HeadType | None = None
    left_handed: bool = False


def predict(
    shots: Sequence[Shot],
    changes: Sequence[Change],
    *,
    air: Air | None = None,
    anchored: Anchor | None = None,
    club: HitClub | None = None,
) -> list[Prediction]:
    """Predict each change from the kept shots that have ball speed, launch and spin; empty when none has.

    air: that the shots flew in. anchored: the player's own drag and lift. club: the club that was hit. Raises BadInput
    for a change too large to be the same club.
    """
    usable = [shot for shot in shots if shot.kept and all(shot.get(key) is not None for key in LAUNCH)]
    if not usable:
        return []
    start, hit = anchored or Anchor(), club or HitClub()
    columns = columns_of(usable, (*FIGURES, "attack_deg", "dynamic_loft_deg"))
    speed, launch, spin = (columns[key] for key in LAUNCH)
    impacts = Impacts.of(speed, launch, spin, columns["attack_deg"], columns["dynamic_loft_deg"], hit.head_type)
    sets = [impacts]
    rows: list[slice] = []
    for change in changes:
        made = [] if change.effect.only_a_direction else impacts.variants(change)
        rows.append(slice(len(sets), len(sets) + len(made)))
        sets.extend(made)
    flown = fly_sets(sets, air=air, anchored=start)
    before = {key: float(np.where(np.isnan(columns[key]), flown[key][0], columns[key]).mean()) for key in FIGURES}
    return [
        _prediction(
            change,
            before,
            {key: flown[key][[0, *range(row.start, row.stop)]] for key in FIGURES},
            start,
            hit,
            len(usable),
        )
        for change, row in zip(changes, rows, strict=True)
    ]


def _prediction(
    change: Change, before: Mapping[str, float], flown: Mapping[str, Floats], anchored: Anchor, club: HitClub, n: int
) -> Prediction:
    """flown: (1 + variants, n), the first row unchanged and the second as expected."""
    after, error = {}, {}
    doubt = anchored.change_error
    if not change.effect.only_a_direction:
        for key, table in flown.items():
            means = table.mean(axis=1)
            gain = float(means[1] - means[0])
            after[key] = before[key] + gain
            error[key] = math.hypot(*(means[2:] - means[1]), doubt * gain)
    turned = change.amount if change.kind is ChangeKind.LOFT else 0.0
    # Turning a head about its shaft by t moves loft by t cos(lie) and face by t sin(lie).
    closed = turned * math.tan(math.radians(club.lie_deg))
    start, start_error = _start(change, closed, club)
    return Prediction(
        change=change,
        before=before if after else {},
        after=after,
        error=error,
        anchored=anchored.trusted,
        shots=n,
        face_closed_deg=closed,
        lie_deg=change.effect.lie_deg.value * change.amount,
        bounce_deg=change.effect.bounce_deg * change.amount,
        start_deg=start,
        start_error_deg=start_error,
        start_m=math.tan(math.radians(start)) * (after.get("carry_m") or before["carry_m"]),
    )


def _start(change: Change, closed_deg: float, club: HitClub) -> tuple[float, float]:
    """Degrees to the right by which the ball starts otherwise, and one standard deviation, from the face of a sleeve
    and the lie. A closed face and an upright lie start it to the player's own side."""
    lie = change.effect.lie_deg
    per_degree = 0.0 if club.loft_deg is None else start_from_lie(1.0, club.loft_deg)
    own_side = FACE_ARRIVES.value * closed_deg + per_degree * lie.value * change.amount
    error = math.hypot(
        FACE_ARRIVES.sd * closed_deg,
        LIE_ARRIVES_SHARE * per_degree * lie.value * change.amount,
        per_degree * lie.sd * change.amount,
    )
    return (own_side if club.left_handed else -own_side), error


@dataclass(frozen=True)
class Elsewhere:
    """A build's average carry and landing in other air, and one standard deviation of the carry's change."""

    carry_m: float
    landing_deg: float
    carry_error_m: float


def elsewhere(
    shots: Sequence[Shot], airs: Sequence[Air], *, was: Air | None = None, anchored: Anchor | None = None
) -> list[Elsewhere]:
    """The kept shots in each of `airs`; was: the air they were hit in. Empty when none has a launch."""
    usable = [shot for shot in shots if shot.kept and all(shot.get(key) is not None for key in LAUNCH)]
    if not usable:
        return []
    columns = columns_of(usable, (*LAUNCH, "carry_m", "landing_deg"))
    n, many = len(usable), len(airs)
    moved = in_other_air(
        Launch(*(np.tile(columns[key], many) for key in LAUNCH)),
        was=was or Air(),
        now=[air for air in airs for _ in range(n)],
        anchored=anchored,
        carry_m=np.tile(columns["carry_m"], many),
        landing_deg=np.tile(columns["landing_deg"], many),
    )

    def means(values: Floats) -> Floats:
        averages: Floats = values.reshape(many, n).mean(axis=1)
        return averages

    rows = zip(means(moved.carry_m), means(moved.landing_deg), means(moved.carry_error_m), strict=True)
    return [Elsewhere(float(carry), float(landing), float(error)) for carry, landing, error in rows]


def other_airs(air: Air) -> list[Air]:
    """The airs of `OTHER_AIRS` for a place whose own is given: what they do not name stays as it is there."""
    here = {"altitude_m": air.altitude_m, "temperature_c": air.temperature_c}
    return [Air(**{**here, **other}) for _, other in OTHER_AIRS]
