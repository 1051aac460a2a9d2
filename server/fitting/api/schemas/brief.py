"""What the interview is shown; what it sends is `actions.brief.Brief`."""

from __future__ import annotations

from dataclasses import dataclass, field
from decimal import Decimal

from ...actions.brief import Course, JobFields
from .words import Fear, Firmness, Liking, Miss, ShapeWord


@dataclass
class BriefFields:
    """Of `actions.brief.Brief`, some fields: those that are named."""

    miss: Miss = Miss.NONE
    firmness: Firmness = Firmness.MEDIUM
    jobs: list[JobFields] = field(default_factory=list)
    most_clubs: int = 14
    budget: Decimal | None = None
    pain: bool = False
    notes: str = ""
    shape: ShapeWord = "any"
    courses: list[Course] = field(default_factory=list)
    lies: list[str] = field(default_factory=list)
    likes: dict[str, Liking] = field(default_factory=dict)
    fear: Fear = Fear.HALF


@dataclass
class BriefChange:
    """now: the fields that changed. was: the same fields as they were read, to tell a clash by; without it what is
    sent stands."""

    now: BriefFields
    was: BriefFields | None = None


@dataclass
class BriefOut:
    """common: jobs to start from, at distances this player meets."""

    miss: Miss
    fear: Fear
    shape: ShapeWord
    courses: list[Course]
    lies: list[str]
    likes: dict[str, Liking]
    firmness: Firmness
    most_clubs: int
    budget: Decimal | None
    pain: bool
    notes: str
    jobs: list[JobFields]
    common: list[JobFields]
    done: bool
