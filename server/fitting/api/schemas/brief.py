"""What the interview is shown; what it sends is `actions.brief.Brief`."""

from __future__ import annotations

from dataclasses import dataclass
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
    budget: Decimal | None
    pain: bool
    notes: str
    jobs: list[JobFields]
    common: list[JobFields]
    done: bool
