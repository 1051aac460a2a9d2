"""The stop test as it is sent and shown."""

from __future__ import annotations

from dataclasses import dataclass

from .words import Ball, Firmness


@dataclass
class StopGreenIn:
    """What is played to. slope_percent: uphill positive; wind_from_deg: 0 against the shot, 90 from the right."""

    target_m: float
    firmness: Firmness
    green_ft: float
    slope_percent: float
    wind_mps: float = 0.0
    wind_from_deg: float = 0.0


@dataclass
class StopSeenIn:
    """A ball seen, or `balls` paced together; along the line to the hole, sideways right positive, metres. target_m:
    the hole it was played to, None for the one that is set now: a ball may arrive late."""

    build: int
    landed_m: float
    stopped_m: float
    ball: Ball = Ball.OWN
    landed_side_m: float = 0.0
    stopped_side_m: float = 0.0
    balls: int = 1
    target_m: float | None = None


@dataclass
class StopAsideIn:
    aside: bool


@dataclass
class StopSeenOut:
    id: int
    build: int
    ball: Ball
    landed_m: float
    stopped_m: float
    landed_side_m: float
    stopped_side_m: float
    left_m: float
    balls: int
    aside: bool


@dataclass
class StopsOut:
    """The stop test: what it is played to, and the balls seen to this target."""

    green: StopGreenIn
    seen: list[StopSeenOut]
