"""The stop test: one target on a green, each wedge, loft or ball; where it lands and where it stops, as it was seen.

Landing and stop are tapped on a picture of the green, or paced once for a group of balls. What came of it is read of
all the wedges together (`read`). Nothing of it is a carry of its club.
"""

from __future__ import annotations

from collections import Counter
from collections.abc import Sequence
from dataclasses import dataclass, replace

from ...errors import BadInput
from ...flight import Air, Firmness
from ...flight.landing import EVERYDAY_FT, Turf, green, green_reading
from ...runs import Ball, check_wind
from ...said import NOTHING, far, say, share
from ...shots import Intent
from ...units import metres
from ..asked import Column, Standing, Task, left_of, minutes_for
from ..kept import Kept
from ..protocol import Protocol

KEY = "stop"
SHOTS = 3
NEAREST_M, FURTHEST_M = metres(10), metres(60)
USUAL_TARGET_M = metres(25)
MOST_SLOPE = 8.0  # percent: steeper holds no ball
MOST_BALLS = 20
MOST_PAST_M = metres(60)


@dataclass(frozen=True)
class StopGreen:
    """What is played to, entered once. target_m: to the hole; green_ft: reading of the standard meter; slope_percent:
    uphill positive, as the ball rolls; wind_from_deg: 0 against the shot, 90 from the right."""

    target_m: float = USUAL_TARGET_M
    firmness: Firmness = Firmness.MEDIUM
    green_ft: float = EVERYDAY_FT
    slope_percent: float = 0.0
    wind_mps: float = 0.0
    wind_from_deg: float = 0.0

    def __post_init__(self) -> None:
        if not NEAREST_M <= self.target_m <= FURTHEST_M:
            raise BadInput(say("stop-target-is-between", low=far(NEAREST_M), high=far(FURTHEST_M)), field="target_m")
        if not 4 <= self.green_ft <= 16:
            raise BadInput(say("green-reads-between", low=green_reading(4), high=green_reading(16)), field="green_ft")
        if abs(self.slope_percent) > MOST_SLOPE:
            raise BadInput(
                say("stop-slope-at-most", most=share(MOST_SLOPE / 100)),
                field="slope_percent",
            )
        check_wind(self.wind_mps, self.wind_from_deg)

    def air(self, still: Air | None) -> Air:
        """The air a wedge was hit in, with the wind of the test."""
        return replace(still or Air(), wind_mps=self.wind_mps, wind_from_deg=self.wind_from_deg)

    @property
    def turf(self) -> Turf:
        return green(self.firmness, self.green_ft)


@dataclass(frozen=True)
class Seen:
    """One ball, or a group that was paced together: n balls. club: its key; landed_m, stopped_m: from the player along
    the line to the hole; left_m: from the hole when it stopped. target_m: it was played to."""

    club: int
    ball: Ball
    landed_m: float
    stopped_m: float
    left_m: float
    n: int = 1
    target_m: float = USUAL_TARGET_M

    def __post_init__(self) -> None:
        if not 1 <= self.n <= MOST_BALLS:
            raise BadInput(say("protocol-pace-balls-together", most_balls=MOST_BALLS), field="n")
        if not 0 < self.landed_m <= self.target_m + MOST_PAST_M:
            raise BadInput(say("protocol-where-landed-lies-between"), field="landed_m")
        if not 0 < self.stopped_m <= self.target_m + MOST_PAST_M:
            raise BadInput(say("protocol-where-stopped-lies-between"), field="stopped_m")


@dataclass(frozen=True)
class BallSeen:
    """A ball that was seen, or a group paced together, as it is kept. build: that it was hit with; target_m: it was
    played to; along the line to the hole, sideways right positive."""

    build: int
    target_m: float
    landed_m: float
    stopped_m: float
    stopped_side_m: float = 0.0
    landed_side_m: float = 0.0
    balls: int = 1
    ball: Ball = Ball.OWN

    def __post_init__(self) -> None:
        for side_m in (self.landed_side_m, self.stopped_side_m):
            if abs(side_m) > MOST_PAST_M:
                raise BadInput(say("act-side-lies-off-at-most", most=far(MOST_PAST_M)), field="landed_side_m")
        _ = self.seen  # refuses what cannot be

    @property
    def left_m(self) -> float:
        """From the hole."""
        return float(((self.stopped_m - self.target_m) ** 2 + self.stopped_side_m**2) ** 0.5)

    @property
    def seen(self) -> Seen:
        return Seen(self.build, self.ball, self.landed_m, self.stopped_m, self.left_m, self.balls, self.target_m)


SEEN = "seen"
SAME_TARGET_M = 0.5


def to_its_target(target_m: float, played: StopGreen) -> bool:
    """Whether a ball was played to the target that is played to now."""
    return abs(target_m - played.target_m) < SAME_TARGET_M


SECONDS_A_BALL, SECONDS_A_CHANGE = 25, 20


def standing(wedges: Sequence[int], seen: Sequence[Seen], played: StopGreen) -> Standing:
    """What the test still wants. wedges: by key; seen: balls that count."""
    done = Counter[int]()
    for ball in seen:
        done[ball.club] += ball.n if to_its_target(ball.target_m, played) else 0
    asked = [Task(key, "", None, done[key], SHOTS) for key in wedges]
    left = left_of(asked)
    return Standing(
        (Column(say("protocol-stop-test"), tuple(asked)),) if asked else (),
        next(iter(left), None),
        minutes=minutes_for(sum(task.left for task in left), SECONDS_A_BALL, len(left), SECONDS_A_CHANGE),
        none=NOTHING if asked else say("wedges-none-in-the-bag"),
    )


PROTOCOL = Protocol(
    key=KEY,
    name=say("protocol-stop-test"),
    why=say("protocol-one-target-each-wedge"),
    intents=(Intent.STOCK,),
    readings=(),
    shots=SHOTS,
    read=lambda _shots, _left_handed: [],
    kept=Kept(StopGreen, {SEEN: BallSeen}),
)
