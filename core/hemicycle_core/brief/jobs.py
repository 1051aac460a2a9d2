"""A job: a shot the player really plays, made exact enough to be played out."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from enum import StrEnum

from ..bag import Gap, HeadType
from ..errors import BadInput
from ..flight import FAIRWAY, Firmness, Turf, green
from ..flight.landing import EVERYDAY_FT, FASTEST_FT, SLOWEST_FT, green_reading
from ..impact import Lie
from ..said import far, say, speed
from ..shots import CLEAN_LIES
from ..units import metres, mps

NEAREST_M = metres(8) - 1e-6
FURTHEST_M = 350.0
SHORT_M = metres(130)
SHORT_SAND_M = metres(50)
WINDIEST_MPS = mps(45) + 1e-6


class JobKind(StrEnum):
    GREEN = "green"  # into a green: must land and stay
    TEE = "tee"  # off the tee into a fairway
    LAYUP = "layup"  # along the fairway, short of something


class Miss(StrEnum):
    """The side or flight the player fears."""

    NONE = "none"
    LEFT = "left"
    RIGHT = "right"
    SHORT = "short"
    LONG = "long"


class Fear(StrEnum):
    """What a shot on the feared side costs beside one that misses otherwise."""

    SAME = "same"
    HALF = "half"
    WHOLE = "whole"

    @property
    def shots(self) -> float:
        """In shots, on top of the one that is missed."""
        return {Fear.SAME: 0.0, Fear.HALF: 0.5, Fear.WHOLE: 1.0}[self]


@dataclass(frozen=True)
class Feared:
    """The side or way the player fears to miss, and what such a shot costs on top, in shots. kinds: of heads with which
    it is feared, empty for all."""

    miss: Miss = Miss.NONE
    fear: Fear = Fear.SAME
    kinds: tuple[HeadType, ...] = ()

    @property
    def shots(self) -> float:
        return 0.0 if self.miss is Miss.NONE else self.fear.shots

    def of(self, kind: HeadType) -> Feared:
        """What is feared with one kind of head."""
        return self if not self.kinds or kind in self.kinds else NOTHING_FEARED


NOTHING_FEARED = Feared()


@dataclass(frozen=True)
class Job:
    """distance_m: to the middle of the green, or the total wanted off the tee. carry_over_m: what must be
    flown, None for nothing. width_m, depth_m: of the green, or width of the fairway. green_ft: how fast the green is,
    the reading of the standard meter in feet. uses_per_round: how often it comes up. lie: what it is met from, None for
    any that a full shot is hit from. wind_mps: it is met in, 0 for none; wind_from_deg: 0 against the shot, 90 from the
    right, None from any side."""

    name: str
    kind: JobKind
    distance_m: float
    firmness: Firmness = Firmness.MEDIUM
    carry_over_m: float | None = None
    width_m: float = 25.0
    depth_m: float = 25.0
    uses_per_round: float = 1.0
    green_ft: float = EVERYDAY_FT
    lie: Lie | None = None
    wind_mps: float = 0.0
    wind_from_deg: float | None = None

    def __post_init__(self) -> None:
        if not NEAREST_M <= self.distance_m <= FURTHEST_M:
            raise BadInput(
                say("job-distance-between", name=self.name, least=far(NEAREST_M), most=far(FURTHEST_M)),
                field="distance",
            )
        if self.carry_over_m is not None and self.carry_over_m > self.distance_m + self.depth_m:
            raise BadInput(say("brief-what-must-carried-lies", name=self.name), field="carry_over")
        if self.width_m <= 0 or self.depth_m <= 0:
            raise BadInput(say("brief-width-depth-must-more", name=self.name), field="width")
        if not 0 < self.uses_per_round <= 18:
            raise BadInput(say("brief-between-uses-round", name=self.name), field="uses_per_round")
        if not 0 <= self.wind_mps <= WINDIEST_MPS:
            raise BadInput(say("job-wind-up-to", name=self.name, most=speed(WINDIEST_MPS)), field="wind")
        if self.wind_from_deg is not None and not 0 <= self.wind_from_deg < 360:
            raise BadInput(say("brief-wind-comes-from-degrees", name=self.name), field="wind_from_deg")
        if not SLOWEST_FT <= self.green_ft <= FASTEST_FT:
            raise BadInput(
                say(
                    "job-green-reads-between",
                    name=self.name,
                    low=green_reading(SLOWEST_FT),
                    high=green_reading(FASTEST_FT),
                ),
                field="green_ft",
            )

    @property
    def off(self) -> Lie | None:
        """The lie that changes what a club does there; None for a clean one."""
        return None if self.lie in CLEAN_LIES else self.lie

    @property
    def played_out(self) -> bool:
        """Whether shots can be put on it by their flight. What comes out of a greenside bunker is moved by sand."""
        return not (self.lie is Lie.SAND and self.distance_m < SHORT_SAND_M)

    @property
    def short(self) -> bool:
        """Whether it is one of the short end: under what a full set wedge carries for most."""
        return self.kind is JobKind.GREEN and self.distance_m < SHORT_M

    @property
    def turf(self) -> Turf:
        """The ground it comes down on."""
        return green(self.firmness, self.green_ft) if self.kind is JobKind.GREEN else FAIRWAY[self.firmness]


def uses_in(gap: Gap, jobs: Sequence[Job]) -> float | None:
    """How often a round a shot comes up that neither neighbour of a gap owns; None where no job lies there.

    A green asks for a carry, all else for a total.
    """
    lower = {True: gap.lower.carry_m, False: gap.lower.total_m}
    upper = {True: gap.upper.carry_m, False: gap.upper.total_m}
    mine = [
        job.uses_per_round
        for job in jobs
        for carried in (job.kind is JobKind.GREEN,)
        if lower[carried] < job.distance_m < upper[carried]
    ]
    return sum(mine) if mine else None


def uses_between(low_m: float, high_m: float, jobs: Sequence[Job]) -> float:
    """How often a round a shot into a green comes up at a carry between two."""
    return sum(job.uses_per_round for job in jobs if job.kind is JobKind.GREEN and low_m < job.distance_m < high_m)
