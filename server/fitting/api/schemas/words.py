"""The closed lists of words that travel; each is an enum of the core, so that a word it drops cannot be sent."""

from __future__ import annotations

from typing import Literal

from hemicycle_core.bag import GapOrder, GapRule, HeadType
from hemicycle_core.brief import Fear, FlightWish, JobKind, Miss
from hemicycle_core.flight import Firmness
from hemicycle_core.judge import Kind, Liking, Metric
from hemicycle_core.shots import Intent, Source, Strike

Status = Literal["not_begun", "open", "agreed"]
ShapeWord = Literal["any", "straight", "draw", "fade"]
CourseWord = Literal["home", "trip", "season"]
CarryFrom = Literal["hit", "typed", "none"]

__all__ = [
    "CarryFrom", "CourseWord", "Fear", "Firmness", "FlightWish", "GapOrder", "GapRule", "HeadType", "Intent", "JobKind",
    "Kind", "Liking", "Metric", "Miss", "ShapeWord", "Source", "Status", "Strike",
]  # fmt: skip
