"""What the interview sends and is shown."""

from __future__ import annotations

from dataclasses import dataclass, field
from decimal import Decimal

from ...actions.brief import Course, JobFields
from .words import Firmness, Liking, Miss, ShapeWord


@dataclass
class BriefOut:
    """common: jobs to start from, at distances this player meets."""

    miss: Miss
    shape: ShapeWord
    courses: list[Course]
    lies: list[str]
    likes: dict[str, Liking]
    firmness: Firmness
    most_clubs: int
    budget: str | None
    pain: bool
    notes: str
    jobs: list[JobFields]
    common: list[JobFields]
    done: bool


@dataclass
class BriefIn:
    miss: Miss
    firmness: Firmness
    jobs: list[JobFields]
    most_clubs: int = 14
    budget: Decimal | None = None
    pain: bool = False
    notes: str = ""
    shape: ShapeWord = "any"
    courses: list[Course] = field(default_factory=list)
    lies: list[str] = field(default_factory=list)
    likes: dict[str, Liking] = field(default_factory=dict)
