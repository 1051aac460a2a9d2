"""What a change of the club would do, shot by shot, from the player's own shots.

Each shot goes back through its own impact (spin loft, ball speed, launch, spin) and is flown again;
differences are taken between two computed flights, so that an error common to both drops out, and are
added to what was measured. There are no fixed yards for a degree: a low launcher may gain by loft.
"""

from __future__ import annotations

import math
from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace

import numpy as np
from numpy.typing import NDArray

from ..flight import Air, Anchor, Flight, Launch, fly, in_other_air
from ..shots import LAUNCH, Shot, columns_of
from ..units import mps
from .changes import Change, ChangeKind, Effect, Size

Floats = NDArray[np.float64]

# Launch as a share of dynamic loft. T. P. Jorgensen, The Physics of Golf (1994) ch. 7: 0.8 to 0.9 for woods.
DYNAMIC_TO_LAUNCH = 0.82
ATTACK_USUAL_DEG = -3.0  # long clubs off the turf, when the monitor has not measured it
# Ball speed goes with a power of the cosine of spin loft: 1 for a rigid face, 1.5 over the published averages
# of many clubs, which also differ in face.
SMASH_SLOPE = Size(1.3, 0.30)
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
    each 0 where the change has none.
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
    def of(cls, speed: Floats, launch: Floats, spin: Floats, attack: Floats, dynamic_loft: Floats) -> Impacts:
        """NaN in attack or dynamic_loft where it was not measured: then spin loft comes from the launch."""
        came_in = np.where(np.isnan(attack), ATTACK_USUAL_DEG, attack)
        dynamic = np.where(np.isnan(dynamic_loft), launch / DYNAMIC_TO_LAUNCH, dynamic_loft)
        return cls(speed, launch, spin, np.clip(dynamic - came_in, 4, 70))

    def changed(self, effect: Effect, amount: float, *, smash_slope: float = SMASH_SLOPE.value) -> Impacts:
        """The same swings after `amount` of a change.

        Oblique impact with spin loft s: ball speed goes with cos s and spin with club speed times sin s.
        """
        more = effect.dynamic_loft_deg.value * amount
        after = np.clip(self.spin_loft_deg + more, 2, 75)
        s, t = np.radians(self.spin_loft_deg), np.radians(after)
        club = 1 + effect.club_speed_share.value * amount
        smash = (np.cos(t) / np.cos(s)) ** smash_slope * (1 + effect.smash_share.value * amount)
        return Impacts(
            ball_speed_mps=self.ball_speed_mps * club * smash,
            launch_deg=np.clip(self.launch_deg + DYNAMIC_TO_LAUNCH * (after - self.spin_loft_deg), -10, 80),
            spin_rpm=np.clip(self.spin_rpm * club * np.sin(t) / np.sin(s), 0, 20_000),
            spin_loft_deg=after,
        )

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
            made.append(self.changed(effect, amount, smash_slope=SMASH_SLOPE.value + SMASH_SLOPE.sd))
        return made


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
    """Fly several sets of n impacts in one batch: each figure as an array (sets, n)."""
    stacked = _stacked(sets)
    airs = air if air is None or isinstance(air, Air) else [*air] * len(sets)
    launch = Launch(stacked.ball_speed_mps, stacked.launch_deg, stacked.spin_rpm)
    flight = fly(launch, air=airs, scales=anchored.scales)
    return {key: values.reshape(len(sets), -1) for key, values in _figures(flight, stacked).items()}


def predict(
    shots: Sequence[Shot],
    changes: Sequence[Change],
    *,
    air: Air | None = None,
    anchored: Anchor | None = None,
    lie_deg: float = USUAL_LIE_DEG,
) -> list[Prediction]:
    """Predict each change from the kept shots that have ball speed, launch and spin; empty when none has.

    air: that the shots flew in. anchored: the player's own drag and lift. lie_deg: of the club, for the
    face angle of a sleeve. Raises BadInput for a change too large to be the same club.
    """
    usable = [shot for shot in shots if shot.kept and all(shot.get(key) is not None for key in LAUNCH)]
    if not usable:
        return []
    start = anchored or Anchor()
    columns = columns_of(usable, (*FIGURES, "attack_deg", "dynamic_loft_deg"))
    impacts = Impacts.of(*(columns[key] for key in (*LAUNCH, "attack_deg", "dynamic_loft_deg")))
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
            lie_deg,
            len(usable),
        )
        for change, row in zip(changes, rows, strict=True)
    ]


def _prediction(
    change: Change, before: Mapping[str, float], flown: Mapping[str, Floats], anchored: Anchor, lie_deg: float, n: int
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
    return Prediction(
        change=change,
        before=before if after else {},
        after=after,
        error=error,
        anchored=anchored.trusted,
        shots=n,
        # Turning a head about its shaft by t moves loft by t cos(lie) and face by t sin(lie).
        face_closed_deg=turned * math.tan(math.radians(lie_deg)),
        lie_deg=change.effect.lie_deg.value * change.amount,
        bounce_deg=change.effect.bounce_deg * change.amount,
    )


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
