"""What a change of the club would do, shot by shot, from the player's own shots.

Each shot goes back through its own impact (spin loft, ball speed, launch, spin) and is flown again;
differences are taken between two computed flights, so that an error common to both drops out, and are
added to what was measured. There are no fixed yards for a degree: a low launcher may gain by loft.
"""

from __future__ import annotations

import math
from collections.abc import Mapping, Sequence
from dataclasses import dataclass, fields, replace

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
from ..kept import lazily
from ..said import Said, high, say, speed, warmth
from ..shots import LAUNCH, Shot, columns_of
from ..units import mps
from .changes import FACE_ARRIVES, Change, ChangeKind, Effect

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
OTHER_AIRS: tuple[tuple[Said, Mapping[str, float]], ...] = (
    (say("air-against", wind=speed(mps(10))), {"wind_mps": mps(10), "wind_from_deg": 0.0}),
    (say("air-behind", wind=speed(mps(10))), {"wind_mps": mps(10), "wind_from_deg": 180.0}),
    (say("air-cold-day", warmth=warmth(5.0)), {"temperature_c": 5.0}),
    (say("air-hot-day", warmth=warmth(35.0)), {"temperature_c": 35.0}),
    (say("air-up", height=high(1524.0)), {"altitude_m": 1524.0}),
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
class _Ways:
    """Ways in which a swing may come out after a change, arrays (V,): more dynamic loft, club speed and ball speed as
    shares; standard deviations of the slope of ball speed and of friction."""

    dynamic_loft_deg: Floats
    club_share: Floats
    smash_share: Floats
    slope_sds: Floats
    friction_sds: Floats


def _sizes(effect: Effect, amount: float) -> tuple[float, float, float]:
    sizes = (effect.dynamic_loft_deg, effect.club_speed_share, effect.smash_share)
    loft, club, ball = (size.value * amount for size in sizes)
    return loft, club, ball


def _one_up(change: Change) -> list[tuple[float, ...]]:
    """The ways of one change, as expected first."""
    effect, amount = change.effect, change.amount
    expected = _sizes(effect, amount)
    made: list[tuple[float, ...]] = [(*expected, 0.0, 0.0)]
    for number, size in enumerate((effect.dynamic_loft_deg, effect.club_speed_share, effect.smash_share)):
        if size.sd:
            sizes = list(expected)
            sizes[number] += abs(amount) * size.sd
            made.append((*sizes, 0.0, 0.0))
    if effect.dynamic_loft_deg.value:
        made += [(*expected, 1.0, 0.0), (*expected, 0.0, 1.0)]
    return made


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
        """The same swings after `amount` of a change. slope_sds, friction_sds: how many standard deviations the slope
        of ball speed and the friction of face and ball lie off."""
        return self._moved(_Ways(*(np.array([each]) for each in (*_sizes(effect, amount), slope_sds, friction_sds))))

    def _moved(self, ways: _Ways) -> Impacts:
        """The same swings in each of some ways, their shots one after another, by the slopes of `impact`: across the
        face goes with cos s, along it with tan s of that until the ball slides."""
        after = np.clip(self.spin_loft_deg + ways.dynamic_loft_deg[:, None], 2, 80)
        s, t = np.radians(self.spin_loft_deg), np.radians(after)
        slope, slope_sd = self._slope
        slope = slope + ways.slope_sds[:, None] * slope_sd
        speed = ((1 + ways.club_share) * (1 + ways.smash_share))[:, None]
        across = speed * (np.cos(t) / np.cos(s)) ** slope
        was = self._was
        now = self._along(was, t, DRY_FRICTION + ways.friction_sds[:, None] * DRY_FRICTION_SD)
        speeds = self.ball_speed_mps * across * np.hypot(1, now) / np.hypot(1, was)
        up = self.launch_deg + (after - self.spin_loft_deg) - np.degrees(np.arctan(now) - np.arctan(was))
        spins = np.clip(self.spin_rpm * across * now / np.maximum(was, 1e-9), 0, 20_000)
        return Impacts(speeds.ravel(), np.clip(up, -10, 80).ravel(), spins.ravel(), after.ravel())

    @lazily
    def _was(self) -> Floats:
        return _along_over_across(self.ball_speed_mps, self.spin_rpm)

    @lazily
    def _slope(self) -> tuple[Floats, Floats]:
        """By which ball speed goes with the cosine of the spin loft, and one standard deviation of it, (n,)."""
        at = self.spin_loft_deg
        return np.interp(at, SMASH_SLOPE_AT, SMASH_SLOPE), np.interp(at, SMASH_SLOPE_AT, SMASH_SLOPE_SD)

    def _along(self, was: Floats, after: Floats, dry: Floats) -> Floats:
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

    def each(self, change: Change) -> list[Impacts]:
        """After one change, as `variants`."""
        made, _ = self.variants([change])
        count = made.launch_deg.size // self.launch_deg.size
        parts = [np.split(getattr(made, name), count) for name in IMPACT]
        return [Impacts(*part) for part in zip(*parts, strict=True)]

    def variants(self, changes: Sequence[Change], *, doubted: bool = True) -> tuple[Impacts, list[slice]]:
        """After each change: as expected, then, where `doubted`, with each uncertain size one standard deviation up;
        all one after another, (V n,), and which of the V are whose."""
        ways: list[tuple[float, ...]] = []
        rows = []
        for change in changes:
            made = [] if change.effect.only_a_direction else _one_up(change)[: None if doubted else 1]
            rows.append(slice(len(ways), len(ways) + len(made)))
            ways += made
        if not ways:
            return Impacts(*(np.empty(0) for _ in range(4))), rows
        return self._moved(_Ways(*np.array(ways).T)), rows


IMPACT = tuple(each.name for each in fields(Impacts))


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


def fly_sets(hit: Impacts, others: Impacts, *, air: Air | None, anchored: Anchor) -> dict[str, Floats]:
    """Fly n impacts as they were hit and sets of n of them as they would be, in one batch: each figure as an array
    (1 + sets, n). The landing bias of those that were hit is that of all."""
    both = Impacts(*(np.concatenate([getattr(each, name) for each in (hit, others)]) for name in IMPACT))
    n = hit.launch_deg.size
    flight = fly(Launch(both.ball_speed_mps, both.launch_deg, both.spin_rpm), air=air, scales=anchored.scales)
    figures = {key: values.reshape(-1, n) for key, values in _figures(flight, both).items()}
    bias = np.reshape(flight.bias_deg, (-1, n))
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
    doubted: bool = True,
) -> list[Prediction]:
    """Predict each change from the kept shots that have ball speed, launch and spin; empty when none has.

    air: that the shots flew in. anchored: the player's own drag and lift. club: the club that was hit. doubted: whether
    the errors are wanted too, which take most of the time; else they are those of the flight alone. Raises BadInput for
    a change too large to be the same club.
    """
    usable = [shot for shot in shots if shot.kept and all(shot.get(key) is not None for key in LAUNCH)]
    if not usable:
        return []
    start, hit = anchored or Anchor(), club or HitClub()
    columns = columns_of(usable, (*FIGURES, "attack_deg", "dynamic_loft_deg"))
    speed, launch, spin = (columns[key] for key in LAUNCH)
    impacts = Impacts.of(speed, launch, spin, columns["attack_deg"], columns["dynamic_loft_deg"], hit.head_type)
    others, rows = impacts.variants(changes, doubted=doubted)
    flown = fly_sets(impacts, others, air=air, anchored=start)
    means = {key: table.mean(axis=1) for key, table in flown.items()}
    before = {key: float(np.where(np.isnan(columns[key]), flown[key][0], columns[key]).mean()) for key in FIGURES}
    return [
        _prediction(
            change,
            before,
            {key: (float(means[key][0]), means[key][1:][row]) for key in FIGURES},
            start,
            hit,
            len(usable),
        )
        for change, row in zip(changes, rows, strict=True)
    ]


def _prediction(
    change: Change,
    before: Mapping[str, float],
    flown: Mapping[str, tuple[float, Floats]],
    anchored: Anchor,
    club: HitClub,
    n: int,
) -> Prediction:
    """flown: the average unchanged, and of each variant, (V,), the first as expected."""
    after, error = {}, {}
    doubt = anchored.change_error
    if not change.effect.only_a_direction:
        for key, (was, then) in flown.items():
            gain = float(then[0]) - was
            after[key] = before[key] + gain
            error[key] = math.hypot(*(then[1:] - then[0]), doubt * gain)
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


def delivered_lofts(shots: Sequence[Shot]) -> list[float]:
    """Dynamic loft of the shots that tell it, degrees: as it was read, else as launch and spin say; lofts so told of a
    ball that slid are those it left with."""
    found = []
    for shot in shots:
        read, left = shot.get("dynamic_loft_deg"), [shot.get(key) for key in LAUNCH]
        if read is not None:
            found.append(read)
        elif None not in left:
            speed, up, spin = (np.array([value], dtype=float) for value in left)
            found.append(float(up[0] + np.degrees(np.arctan(_along_over_across(speed, spin)))[0]))
    return found


def with_loft(shots: Sequence[Shot], by_deg: float, head_type: HeadType) -> list[Shot]:
    """Shots as they would have left with so much more loft, by impact, of their readings the launch and what swung it;
    those without a launch are left out. Raises BadInput for more than is still the same swing."""
    usable = [shot for shot in shots if all(shot.get(key) is not None for key in LAUNCH)]
    columns = columns_of(usable, (*LAUNCH, "attack_deg", "dynamic_loft_deg"))
    if not usable:
        return []
    speed, launch, spin = (columns[key] for key in LAUNCH)
    was = Impacts.of(speed, launch, spin, columns["attack_deg"], columns["dynamic_loft_deg"], head_type)
    change = Change(ChangeKind.LOFT, by_deg)
    now = was.changed(change.effect, change.amount)
    arrives = now.spin_loft_deg - was.spin_loft_deg
    made = []
    for n, shot in enumerate(usable):
        left = {"ball_speed_mps": now.ball_speed_mps[n], "launch_deg": now.launch_deg[n], "spin_rpm": now.spin_rpm[n]}
        swung = {key: value for key in ("club_speed_mps", "attack_deg") if (value := shot.get(key)) is not None}
        dynamic = shot.get("dynamic_loft_deg")
        if dynamic is not None:
            swung["dynamic_loft_deg"] = dynamic + float(arrives[n])
        made.append(replace(shot, values={**swung, **{key: float(value) for key, value in left.items()}}))
    return made


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
