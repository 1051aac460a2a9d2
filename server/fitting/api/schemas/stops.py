"""The stop test as it is sent and shown."""

from __future__ import annotations

from dataclasses import dataclass

from hemicycle_core.said import Said

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
class StopLineOut:
    """See hemicycle_core.protocols.stop.read.StopLine."""

    build: int
    ball: Ball
    n: int
    lands_m: float
    releases_m: float
    half_m: float | None
    left_m: float
    firmer_m: float | None
    modelled_m: float | None
    computed_m: float | None
    sentence: Said


@dataclass
class StopsOut:
    """The stop test: what it is played to, which wedges it asks for, the balls seen to this target, and what came of
    them, shortest release first. firmer: the ground that is told beside, empty on firm; wanted: balls of each wedge;
    minutes: what the rest of them takes."""

    green: StopGreenIn
    wedges: list[int]
    wanted: int
    minutes: int
    seen: list[StopSeenOut]
    lines: list[StopLineOut]
    sentences: list[Said]
    firmer: str
