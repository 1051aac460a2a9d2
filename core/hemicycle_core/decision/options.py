"""What a bag may hold, and what is asked of it: clubs, courses, places and money."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, field

import numpy as np
from numpy.typing import NDArray

from ..bag import Carried, HeadType
from ..judge import Liking, Played
from ..judge.weigh import Swing
from ..protocols.found import Outcome
from ..rack.expected import Expected
from ..said import Said

Floats = NDArray[np.float64]

EVERYWHERE = ""
SET_FROM_DEG = 28.0  # irons from here on belong to the set; longer ones come and go one by one
MOST_KEPT_PLANS = 3  # side by side: more cannot be compared at a glance


@dataclass(frozen=True)
class BagClub:
    """One of the player's own clubs as the decision is given it. fixed: it stays; expected: what it should do, of one
    that was not hit, where its flight is known otherwise."""

    club: Carried
    key: str = ""
    fixed: bool = False
    expected: Expected | None = None
    price: float | None = None


@dataclass(frozen=True)
class Option:
    """A club a bag may hold. swing: as this player swings it, played: on the named jobs; own: he has it; fixed: it
    stays; hit: False when its figures are expected; slot: the place it is tried for, likely: the chance that it does
    what was asked there; replaces: the own club that goes when it comes; head: what it is a setting of, as two
    settings of one head are never carried together; turned: the letter of the build that it is with a turn of the
    sleeve that is left, or bent, as predicted and not hit."""

    key: str
    club: Carried
    swing: Swing
    played: tuple[Played, ...]
    letter: str = ""
    own: bool = False
    fixed: bool = False
    hit: bool = True
    price: float | None = None
    liking: Liking = Liking.NEUTRAL
    answered: bool = False
    length_m: float | None = None
    slot: int = 0
    likely: float = 0.0
    replaces: str = ""
    head: str = ""
    turned: str = ""

    @property
    def loose(self) -> bool:
        """Whether it may leave at all: the driver never does unless it is freed by hand."""
        return self.own and not self.fixed and self.club.head_type is not HeadType.DRIVER

    @property
    def of_the_set(self) -> bool:
        """Whether it is one of the irons that are bought as a set."""
        return self.club.head_type is HeadType.IRON and (self.club.loft_deg or SET_FROM_DEG) >= SET_FROM_DEG


@dataclass(frozen=True)
class Demand:
    """On which courses the named jobs come up, or EVERYWHERE, in their order; shares: of the rounds, by course, summing
    to 1; empty for one course."""

    uses: Floats
    courses: tuple[str, ...]
    shares: Mapping[str, float] = field(default_factory=dict)

    def on(self, course: str) -> NDArray[np.bool_]:
        """Which jobs come up on a course."""
        return np.array([each in (EVERYWHERE, course) for each in self.courses], dtype=bool)

    @property
    def rounds(self) -> list[tuple[str, float]]:
        """The courses, the one played most last: a job met everywhere is shown with the club that does it there."""
        return sorted(self.shares.items(), key=lambda each: (each[1], each[0])) or [(EVERYWHERE, 1.0)]


@dataclass(frozen=True)
class SwapPair:
    """Two clubs owned together, one of them carried: `away` takes the place of `home` on one course."""

    home: str
    away: str
    course: str


@dataclass(frozen=True)
class Plan:
    """keys: of the clubs owned, pairs included. swap: None without one."""

    keys: frozenset[str]
    swap: SwapPair | None = None

    def carried_on(self, course: str) -> frozenset[str]:
        if self.swap is None:
            return self.keys
        out = self.swap.home if course == self.swap.course else self.swap.away
        return self.keys - {out}


@dataclass(frozen=True)
class Limits:
    """most: clubs carried. places: how many new ones at most; budget: for all that is bought, None for none named.
    without_carry: clubs in the bag that the map does not show: the putter, and any whose carry is unknown."""

    most: int = 14
    places: int = 1
    budget: float | None = None
    without_carry: int = 1


@dataclass(frozen=True)
class TestedClub:
    """What tests found of a club that is played beside a build. old: its name, key: its own; letter, name, fresh: of
    the build, and its key, no letter of one that is borrowed and not to be had; same_loft: both have one. why: as a
    part of a sentence; saves: strokes a round by what was told; liking: the player's word of the build, which a test
    does not overrule; price: of it."""

    old: str
    key: str
    letter: str
    name: str
    fresh: str
    outcome: Outcome
    why: Said
    saves: float = 0.0
    liking: Liking = Liking.NEUTRAL
    price: float | None = None
    same_loft: bool = True

    @property
    def replaces(self) -> bool:
        return self.outcome is Outcome.REPLACE and self.liking is not Liking.VETOED
