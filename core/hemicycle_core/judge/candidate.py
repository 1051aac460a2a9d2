"""A build under judgement, and the place it is judged for."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, field
from enum import StrEnum

from ..bag import Carried, HeadType
from ..brief import Target, Wanted
from ..flight import Air, Anchor
from ..monitor import Monitor
from ..said import NOTHING, Said
from ..shots import Shot
from ..thresholds import DEFAULT, Thresholds


class Liking(StrEnum):
    """What the player said of looks, sound and feel, before the numbers."""

    LIKED = "liked"
    NEUTRAL = "neutral"
    DISLIKED = "disliked"
    VETOED = "vetoed"  # will not be played, whatever it does


@dataclass(frozen=True)
class Candidate:
    """A build under judgement. up_deg, down_deg: how far its sleeve still turns up and down from where it is.
    loft_deg: as it was hit, None where unknown. next_heads: loft and length in metres of the heads of its kind that
    can be had for this player, None where the rack is not known. air: that its shots flew in. anchored: the
    player's own drag and lift, for what-ifs and computed figures. length_m: None where unknown; length_stated: it is no
    guess by its name or kind. liking: what the player said of it, answered: that he did; own: the player has
    it already; out_of_favour: and plays it no more. monitor: that read its shots. bend_up_deg, bend_down_deg: how far
    it may still be bent weaker and stronger; flies_high: of a wedge that leaves too high with too little spin, the test
    that would tell why, empty of others; head: what it is a setting of, empty where that is not known."""

    letter: str
    name: str
    head_type: HeadType
    shots: Sequence[Shot]
    up_deg: float = 0.0
    down_deg: float = 0.0
    loft_deg: float | None = None
    next_heads: tuple[tuple[float, float], ...] | None = None
    air: Air | None = None
    anchored: Anchor = field(default_factory=Anchor)
    length_m: float | None = None
    length_stated: bool = True
    price: float | None = None
    liking: Liking = Liking.NEUTRAL
    answered: bool = False
    own: bool = False
    out_of_favour: bool = False
    monitor: Monitor = field(default_factory=Monitor)
    bend_up_deg: float = 0.0
    bend_down_deg: float = 0.0
    flies_high: Said = NOTHING
    head: str = ""

    @property
    def side_read(self) -> bool:
        """Whether any of its shots says where it starts and curves."""
        return any(shot.counts and shot.get("offline_m") is not None for shot in self.shots)

    @property
    def key(self) -> str:
        """What it is, whatever letter it has: by it its chances are drawn, so that another letter changes nothing."""
        carries = sorted(round(shot.values["carry_m"], 3) for shot in self.shots if shot.counts and shot.get("carry_m"))
        return f"{self.head_type.value} {carries}"


@dataclass(frozen=True)
class Case:
    """A candidate with the targets in force where it is judged, the clubs on both sides, None at an end of the bag or
    without one, and the wish that leads. sole_open: it is to be the most lofted wedge, whose sole is not chosen yet.
    replaces: the name of the own club that it takes the place of, empty where it is one more; slot: which of the places
    in work it is tried for; named: a yardage that was asked for by its figure."""

    candidate: Candidate
    targets: Sequence[Target]
    lower: Carried | None = None
    upper: Carried | None = None
    wanted: Wanted = field(default_factory=Wanted)
    sole_open: bool = False
    replaces: str = ""
    slot: int = 0
    named: bool = False


def hit_enough(shots: Sequence[Shot], *, own: bool, thresholds: Thresholds = DEFAULT) -> bool:
    """Whether a club counts as hit: one of the player's own from its first kept shot, as it is known from the course
    too; a candidate from as many as the shop asks before anything is said."""
    return sum(shot.kept for shot in shots) >= (1 if own else thresholds.least_shots)
