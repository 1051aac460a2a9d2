"""A player: speed, delivery, consistency, miss habits; swings clubs with a seeded chance."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import asdict, dataclass, field, fields
from typing import Any

import numpy as np

from ..bag import HeadType
from ..errors import BadInput
from ..flight import FAIRWAY, Air, Firmness, Launch, Trim, fly, run_out
from ..shots import Strike
from ..units import METRES_PER_INCH
from .club import Club
from .impact import Delivery, Impact, strike_ball

REFERENCE_LENGTH_M = 37.0 * METRES_PER_INCH  # a 7-iron
SPEED_SHARE_PER_INCH = 0.029  # tour averages: 90 mph at 37 in, 113 mph at 45.5 in
WARM_AFTER = 9  # shots
STRANGE_SHOTS = 3  # the first shots with a club are learning


@dataclass(frozen=True)
class Player:
    """The hidden truth of a simulated golfer.

    speed_mps: club speed with a 37 in iron. attack_deg: with that iron, growing flatter by 0.25
    degrees an inch. lean_deg: what the hands take off the loft of a 7-iron, less for stronger lofts.
    path_deg, face_deg: habits, right positive for a right-hander; spreads are standard deviations.
    misses: share of shots by kind.
    tiring: share of speed lost a shot after the 40th. warm_up: share of speed missing at the first shot,
    found again by the tenth. hand: "right" or "left". ball_drag, ball_lift: how this player's ball and
    day differ from the flight model's, which nobody but the simulation knows.
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
    hand: str = "right"

    def __post_init__(self) -> None:
        if not 15 <= self.speed_mps <= 55:
            raise BadInput("A 7-iron speed between 15 and 55 m/s is needed.", field="speed_mps")
        unknown = set(self.misses) - {str(kind) for kind in Strike}
        if unknown or sum(self.misses.values()) > 0.8:
            raise BadInput("Misses are toe, heel, thin and fat, and at most 80% in all.", field="misses")
        if not (0.8 <= self.ball_drag <= 1.25 and 0.8 <= self.ball_lift <= 1.25):
            raise BadInput("A ball’s drag and lift differ by a quarter at most.", field="ball_drag")
        if self.hand not in ("right", "left"):
            raise BadInput("A player is right- or left-handed.", field="hand")

    def to_dict(self) -> dict[str, Any]:
        return asdict(self)

    @classmethod
    def from_dict(cls, data: Mapping[str, Any]) -> Player:
        known = {item.name for item in fields(cls)}
        if set(data) - known:
            raise BadInput(f"Unknown in a golfer: {', '.join(sorted(set(data) - known))}.")
        return cls(**data)


@dataclass
class Swinging:
    """A player hitting one shot after another; the seed makes the same shots come again."""

    player: Player
    seed: int
    air: Air = field(default_factory=Air)
    turf: Firmness = Firmness.MEDIUM
    hit: int = 0

    def __post_init__(self) -> None:
        self._chance = np.random.default_rng(self.seed)
        self._met: dict[Club, int] = {}

    def shots(self, club: Club, count: int, *, known: bool = False) -> list[dict[str, Any]]:
        """`count` shots as a good monitor outdoors would measure them: canonical units, and `strike`
        where the shot was a miss. known: the player's own club, with no learning."""
        struck = [self._swing(club, known) for _ in range(count)]
        return self._measure(struck) if struck else []

    def _swing(self, club: Club, known: bool) -> tuple[Delivery, Impact, Strike | None]:
        met = self._met.get(club, 0)
        strange = not known and met < STRANGE_SHOTS
        self._met[club] = met + 1
        self.hit += 1
        delivery, strike = self._deliver(club, 1.35 if strange else 1.0)
        return delivery, strike_ball(delivery, club), strike

    def _deliver(self, club: Club, wide: float) -> tuple[Delivery, Strike | None]:
        player, draw = self.player, self._chance.normal
        inches = (club.length_m - REFERENCE_LENGTH_M) / METRES_PER_INCH
        tired = max(0, self.hit - 40) * player.tiring
        cold = player.warm_up * max(0.0, 1 - (self.hit - 1) / WARM_AFTER)
        speed = player.speed_mps * (1 + SPEED_SHARE_PER_INCH * inches) * (1 - tired - cold)
        attack = player.attack_deg + 0.25 * max(inches, -1)
        longer = (1 + 0.03 * max(inches, 0)) * wide
        teed = 1.0 if club.head_type is HeadType.DRIVER else 0.0
        attack_now = attack + teed + draw(0, player.attack_spread_deg * wide)
        lean = player.lean_deg * min(1.0, 0.45 + 0.55 * club.loft_deg / 33)
        loft = club.loft_deg - lean + club.physics.loft_deg + 0.6 * (attack_now - attack)
        delivery = Delivery(
            club_speed_mps=speed * (1 + draw(0, player.speed_spread * wide)),
            attack_deg=attack_now,
            path_deg=player.path_deg + draw(0, player.path_spread_deg * longer),
            face_deg=player.face_deg + draw(0, player.face_spread_deg * longer * club.physics.steady),
            dynamic_loft_deg=max(6.0, loft + draw(0, player.loft_spread_deg * wide)),
            toe_mm=draw(0, player.strike_spread_mm * longer),
            high_mm=draw(0, 0.6 * player.strike_spread_mm * wide),
        )
        return self._missed(delivery)

    def _missed(self, delivery: Delivery) -> tuple[Delivery, Strike | None]:
        kinds = [Strike(kind) for kind in self.player.misses]
        shares = list(self.player.misses.values())
        pick = self._chance.choice(len(kinds) + 1, p=[*shares, 1 - sum(shares)])
        if pick == len(kinds):
            return delivery, None
        size = self._chance.uniform(0.7, 1.3)
        changed: dict[Strike, dict[str, float]] = {
            Strike.THIN: {"high_mm": -11 * size, "dynamic_loft_deg": delivery.dynamic_loft_deg - 3 * size},
            Strike.FAT: {"turf": 0.8 * size, "attack_deg": delivery.attack_deg - 1.5 * size},
            Strike.TOE: {"toe_mm": 15 * size},
            Strike.HEEL: {"toe_mm": -15 * size},
        }
        return Delivery(**{**asdict(delivery), **changed[kinds[pick]]}), kinds[pick]

    def _measure(self, struck: list[tuple[Delivery, Impact, Strike | None]]) -> list[dict[str, Any]]:
        """Fly every shot in one batch; a left-hander's shots are the mirror of a right-hander's."""
        side = -1.0 if self.player.hand == "left" else 1.0
        impacts = [impact for _, impact, _ in struck]
        launch = Launch(
            [impact.ball_speed_mps for impact in impacts],
            [float(np.clip(impact.launch_deg, -5, 75)) for impact in impacts],
            [impact.spin_rpm for impact in impacts],
            [side * impact.direction_deg for impact in impacts],
            [side * impact.axis_deg for impact in impacts],
        )
        flight = fly(launch, air=self.air, trim=Trim(self.player.ball_drag, self.player.ball_lift))
        run = run_out(flight.landing_speed_mps, flight.landing_deg, flight.landing_spin_rpm, FAIRWAY[self.turf])
        return [
            {
                "club_speed_mps": delivery.club_speed_mps,
                "attack_deg": delivery.attack_deg,
                "path_deg": side * delivery.path_deg,
                "face_deg": side * delivery.face_deg,
                "dynamic_loft_deg": delivery.dynamic_loft_deg,
                "ball_speed_mps": impact.ball_speed_mps,
                "launch_deg": impact.launch_deg,
                "direction_deg": side * impact.direction_deg,
                "spin_rpm": impact.spin_rpm,
                "axis_deg": side * impact.axis_deg,
                "carry_m": float(flight.carry_m[i]),
                "total_m": float(flight.carry_m[i] + run.run_m[i]),
                "offline_m": float(flight.offline_m[i]),
                "peak_m": float(flight.peak_m[i]),
                "landing_deg": float(flight.landing_deg[i]),
                "hang_s": float(flight.hang_s[i]),
                "strike": strike.value if strike else None,
            }
            for i, (delivery, impact, strike) in enumerate(struck)
        ]
