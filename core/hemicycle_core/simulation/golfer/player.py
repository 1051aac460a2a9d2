"""A player: speed, delivery, consistency, miss habits; swings clubs with a seeded chance."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import asdict, dataclass, field, fields, replace
from typing import Any

import numpy as np
from numpy.typing import NDArray

from hemicycle_core.said import listed, say

from ...bag import HeadType
from ...errors import BadInput
from ...flight import FAIRWAY, Air, Flight, FlightScales, Launch, fly, run_out
from ...impact import SPEED_ACROSS_A_SET
from ...runs import FULL
from ...shots import Intent, Strike
from ...units import METRES_PER_INCH
from .club import SwungClub
from .ground import Ground, met
from .impact import ClubDelivery, Impact, strike_ball
from .part import shortened, speed_left

Floats = NDArray[np.float64]

REFERENCE_LENGTH_M = 37.0 * METRES_PER_INCH  # a 7-iron
WARM_AFTER = 9  # shots
TIRED_AFTER = 40
TIRED_AT_MOST = 0.10  # share of speed: nobody is ever wholly tired, whatever the shots; set by judgement
STRANGE_SHOTS, STRANGE_WIDE = 3, 1.25  # the first shots with a club are learning, and spread this much wider


@dataclass(frozen=True)
class Player:
    """The hidden truth of a simulated golfer.

    speed_mps: club speed with a 37 in iron. attack_deg: with that iron, growing flatter by 0.25
    degrees an inch. lean_deg: what the hands take off the loft of a 7-iron, less for stronger lofts.
    path_deg, face_deg: habits, right positive for a right-hander; spreads are standard deviations.
    misses: share of shots by kind.
    tiring: share of speed lost a shot after the 40th, levelling off at a tenth. warm_up: share of speed missing at
    the first shot, found again by the tenth. hand: "right" or "left". ball_drag, ball_lift: how this player's ball and
    day differ from the flight model's, which nobody but the simulation knows. low_point_sd_mm: how far along the ground
    the club meets the turf otherwise from swing to swing. eases_off: how much wider part swings spread than they do for
    most. eased_speed: share of the club speed that an eased swing gives up; eased_spread: how wide its strike and speed
    come beside the stock swing's, under 1 for who swings too hard.
    """

    speed_mps: float
    attack_deg: float = -3.5
    lean_deg: float = 6.0
    path_deg: float = 0.0
    face_deg: float = 0.0
    speed_spread: float = 0.010
    attack_spread_deg: float = 0.7
    path_spread_deg: float = 1.2
    face_spread_deg: float = 1.4
    loft_spread_deg: float = 0.6
    strike_spread_mm: float = 4.0
    misses: Mapping[str, float] = field(default_factory=lambda: {"thin": 0.06, "fat": 0.04, "toe": 0.03, "heel": 0.03})
    tiring: float = 0.0002
    warm_up: float = 0.01
    ball_drag: float = 1.0
    ball_lift: float = 1.0
    low_point_sd_mm: float = 12.0
    hand: str = "right"
    eases_off: float = 1.0
    eased_speed: float = 0.07
    eased_spread: float = 1.0

    def __post_init__(self) -> None:
        if not 15 <= self.speed_mps <= 55:
            raise BadInput(say("golfer-iron-speed-between-m"), field="speed_mps")
        unknown = set(self.misses) - {str(kind) for kind in Strike}
        if unknown or sum(self.misses.values()) > 0.8:
            raise BadInput(say("golfer-misses-toe-heel-thin"), field="misses")
        if not (0.8 <= self.ball_drag <= 1.25 and 0.8 <= self.ball_lift <= 1.25):
            raise BadInput(say("golfer-balls-drag-lift-differ"), field="ball_drag")
        if not (0.3 <= self.eases_off <= 4 and 0 <= self.eased_speed <= 0.3 and 0.3 <= self.eased_spread <= 2):
            raise BadInput(say("golfer-golfer-eases-off-within"), field="eases_off")
        if self.hand not in ("right", "left"):
            raise BadInput(say("golfer-player-right-left-handed"), field="hand")

    def to_dict(self) -> dict[str, Any]:
        return asdict(self)

    @classmethod
    def from_dict(cls, data: Mapping[str, Any]) -> Player:
        known = {item.name for item in fields(cls)}
        if set(data) - known:
            raise BadInput(say("golfer-unknown-golfer", join=listed(sorted(set(data) - known))))
        return cls(**data)


@dataclass(frozen=True)
class SwungShots:
    """n shots: readings as arrays (n,) in canonical units, their flights, and miss (n,), the index of the kind
    or -1."""

    readings: dict[str, Floats]
    flight: Flight
    miss: NDArray[np.int_]


# What a player changes to hit it low, high or bent, a right-hander's: degrees of dynamic loft, of path and of face, and
# the share of club speed. Round figures of instruction: the ball back and a shorter finish; the path across the face.
MEANT: dict[Intent, dict[str, float]] = {
    Intent.LOW: {"dynamic_loft_deg": -5.0, "speed_share": -0.04},
    Intent.HIGH: {"dynamic_loft_deg": 4.0, "speed_share": -0.01},
    Intent.DRAW: {"path_deg": 4.0, "face_deg": 1.5, "dynamic_loft_deg": -1.0},
    Intent.FADE: {"path_deg": -4.0, "face_deg": -1.5, "dynamic_loft_deg": 1.0},
    Intent.EASED: {"dynamic_loft_deg": 0.5},  # and the player's own share of speed
    Intent.HARD: {"speed_share": 0.025},
}


def _as_meant(delivery: ClubDelivery, meant: Intent, player: Player) -> ClubDelivery:
    change = MEANT.get(meant, {})
    if meant is Intent.EASED:
        change = {**change, "speed_share": -player.eased_speed}
        calmer = player.eased_spread
        speed = np.asarray(delivery.club_speed_mps)
        delivery = replace(
            delivery,
            club_speed_mps=speed.mean() + calmer * (speed - speed.mean()),
            toe_mm=np.asarray(delivery.toe_mm) * calmer,
            high_mm=np.asarray(delivery.high_mm) * calmer,
        )
    return replace(
        delivery,
        club_speed_mps=np.asarray(delivery.club_speed_mps) * (1 + change.get("speed_share", 0.0)),
        dynamic_loft_deg=np.maximum(4.0, np.asarray(delivery.dynamic_loft_deg) + change.get("dynamic_loft_deg", 0.0)),
        path_deg=np.asarray(delivery.path_deg) + change.get("path_deg", 0.0),
        face_deg=np.asarray(delivery.face_deg) + change.get("face_deg", 0.0),
    )


@dataclass
class Swinging:
    """A player hitting one shot after another; the seed makes the same shots come again."""

    player: Player
    seed: int
    air: Air = field(default_factory=Air)
    ground: Ground = field(default_factory=Ground)
    hit: int = 0

    def __post_init__(self) -> None:
        self._chance = np.random.default_rng(self.seed)
        self._ground_chance = np.random.default_rng([self.seed, 1])
        self._met: dict[SwungClub, int] = {}

    def shots(
        self,
        club: SwungClub,
        count: int,
        *,
        known: bool = False,
        meant: Intent = Intent.STOCK,
        length: str | float = FULL,
    ) -> list[dict[str, Any]]:
        """`count` shots as a good monitor outdoors would measure them: canonical units, and `strike`
        where the shot was a miss. known: the player's own club, with no learning. meant: low, high or shaped;
        length: of the swing."""
        if count < 1:
            return []
        swung = self.swing(club, count, known=known, meant=meant, length=length)
        strikes = [None if kind < 0 else self._kinds[kind] for kind in swung.miss]
        columns = {key: values.tolist() for key, values in swung.readings.items()}
        return [
            {**dict(zip(columns, row, strict=True)), "strike": strike}
            for row, strike in zip(zip(*columns.values(), strict=True), strikes, strict=True)
        ]

    def swing(
        self,
        club: SwungClub,
        count: int,
        *,
        known: bool = False,
        meant: Intent = Intent.STOCK,
        length: str | float = FULL,
    ) -> SwungShots:
        """The same as arrays. length: as it is called, or the share of the speed that is left.

        Each call draws its shots together: the same calls hit the same shots again, but 3 and then 2 are other shots
        than 5.
        """
        delivery, miss = self._deliver(club, count, known)
        left = speed_left(length) if isinstance(length, str) else length
        spread = self.player.speed_spread * self.player.eases_off
        delivery = shortened(_as_meant(delivery, meant, self.player), left, spread, self._ground_chance)
        delivery = met(delivery, club, self.ground, self.player.low_point_sd_mm, self._ground_chance)
        readings, flight = self._measure(delivery, strike_ball(delivery, club))
        return SwungShots(readings, flight, miss)

    @property
    def _kinds(self) -> list[Strike]:
        return [Strike(kind) for kind in self.player.misses]

    def _deliver(self, club: SwungClub, count: int, known: bool) -> tuple[ClubDelivery, NDArray[np.int_]]:
        player, met = self.player, self._met.get(club, 0)
        self._met[club] = met + count
        number = np.arange(self.hit + 1, self.hit + count + 1)
        self.hit += count
        strange = (np.arange(met, met + count) < STRANGE_SHOTS) & (not known)
        wide = np.where(strange, STRANGE_WIDE, 1.0)
        z = self._chance.normal(size=(count, 7)).T
        luck, size = self._chance.random((count, 2)).T
        inches = (club.length_in_a_set_m - REFERENCE_LENGTH_M) / METRES_PER_INCH
        tired = TIRED_AT_MOST * np.tanh(np.maximum(0, number - TIRED_AFTER) * player.tiring / TIRED_AT_MOST)
        cold = player.warm_up * np.maximum(0.0, 1 - (number - 1) / WARM_AFTER)
        speed = player.speed_mps * (1 + SPEED_ACROSS_A_SET * inches) * (1 - tired - cold)
        attack = player.attack_deg + 0.25 * max(inches, -1)
        longer = (1 + 0.03 * max((club.length_m - REFERENCE_LENGTH_M) / METRES_PER_INCH, 0)) * wide
        teed = 1.0 if club.head_type is HeadType.DRIVER else 0.0
        attack_now = attack + teed + z[0] * player.attack_spread_deg * wide
        lean = player.lean_deg * min(1.0, 0.45 + 0.55 * club.loft_deg / 33)
        loft = club.loft_deg - lean + club.physics.loft_deg + 0.6 * (attack_now - attack)
        delivery = ClubDelivery(
            club_speed_mps=speed * (1 + z[1] * player.speed_spread * wide),
            attack_deg=attack_now,
            path_deg=player.path_deg + z[2] * player.path_spread_deg * longer,
            face_deg=player.face_deg - club.closed_deg + z[3] * player.face_spread_deg * longer * club.physics.steady,
            dynamic_loft_deg=np.maximum(6.0, loft + z[4] * player.loft_spread_deg * wide),
            toe_mm=z[5] * player.strike_spread_mm * longer,
            high_mm=z[6] * 0.6 * player.strike_spread_mm * wide,
        )
        return self._missed(delivery, luck, 0.7 + 0.6 * size)

    def _missed(self, delivery: ClubDelivery, luck: Floats, size: Floats) -> tuple[ClubDelivery, NDArray[np.int_]]:
        """Misses by their shares; the index of the kind, -1 for none."""
        ends = np.cumsum(list(self.player.misses.values()))
        miss = np.full(luck.shape, -1)
        for index in reversed(range(len(ends))):
            miss[luck < ends[index]] = index

        def of(kind: Strike) -> Floats:
            """The size of the miss for the shots of this kind, 0 for the others."""
            return np.where(miss == self._kinds.index(kind), size, 0.0) if kind in self._kinds else np.zeros_like(size)

        thin, fat, aside = of(Strike.THIN), of(Strike.FAT), of(Strike.TOE) - of(Strike.HEEL)
        missed = replace(
            delivery,
            high_mm=np.where(thin > 0, -11 * thin, delivery.high_mm),
            dynamic_loft_deg=np.asarray(delivery.dynamic_loft_deg) - 3 * thin,
            turf=0.8 * fat,
            attack_deg=np.asarray(delivery.attack_deg) - 1.5 * fat,
            toe_mm=np.where(aside != 0, 15 * aside, delivery.toe_mm),
        )
        return missed, miss

    def _measure(self, delivery: ClubDelivery, impact: Impact) -> tuple[dict[str, Floats], Flight]:
        """Fly every shot in one batch; a left-hander's shots are the mirror of a right-hander's."""
        side = -1.0 if self.player.hand == "left" else 1.0
        direction, axis = side * impact.direction_deg, side * impact.axis_deg
        launch = Launch(impact.ball_speed_mps, np.clip(impact.launch_deg, -5, 75), impact.spin_rpm, direction, axis)
        flight = fly(launch, air=self.air, scales=FlightScales(self.player.ball_drag, self.player.ball_lift))
        run = run_out(
            flight.landing_speed_mps, flight.landing_deg, flight.landing_spin_rpm, FAIRWAY[self.ground.firmness]
        )
        readings = {
            "club_speed_mps": np.asarray(delivery.club_speed_mps, dtype=float),
            "attack_deg": np.asarray(delivery.attack_deg, dtype=float),
            "path_deg": side * np.asarray(delivery.path_deg, dtype=float),
            "face_deg": side * np.asarray(delivery.face_deg, dtype=float),
            "dynamic_loft_deg": np.asarray(delivery.dynamic_loft_deg, dtype=float),
            "ball_speed_mps": impact.ball_speed_mps,
            "launch_deg": impact.launch_deg,
            "direction_deg": direction,
            "spin_rpm": impact.spin_rpm,
            "axis_deg": axis,
            "carry_m": flight.carry_m,
            "total_m": flight.carry_m + run.run_m,
            "offline_m": flight.offline_m,
            "peak_m": flight.peak_m,
            "landing_deg": flight.landing_deg,
            "hang_s": flight.hang_s,
        }
        return readings, flight
