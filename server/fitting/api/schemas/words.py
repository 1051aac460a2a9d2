"""The closed lists of words that travel; each is an enum of the core, so that a word it drops cannot be sent."""

from __future__ import annotations

from typing import Literal

from hemicycle_core.answers import CarryFrom
from hemicycle_core.bag import BagEnd, GapOrder, GapRule, HeadType
from hemicycle_core.brief import Fear, FlightWish, JobKind, Miss, ReplaceWay, Wish
from hemicycle_core.flight import Firmness
from hemicycle_core.impact import Lie
from hemicycle_core.judge import Kind, Liking, Metric
from hemicycle_core.judge.feel import PlayerMode
from hemicycle_core.rack.stock import Wear
from hemicycle_core.runs import Ball
from hemicycle_core.samples.day import DayKind
from hemicycle_core.shots import Intent, Source, Strike
from hemicycle_core.wedges import Complaint, Finish, School, WedgeUse, WedgeWish

Status = Literal["not_begun", "open", "agreed", "erased"]
ShapeWord = Literal["any", "straight", "draw", "fade"]
CourseWord = Literal["home", "trip", "season"]

__all__ = [
    "BagEnd", "Ball", "CarryFrom", "Complaint", "CourseWord", "DayKind", "Fear", "Finish", "Firmness", "FlightWish",
    "GapOrder", "GapRule", "HeadType", "Intent", "JobKind", "Kind", "Lie", "Liking", "Metric", "Miss", "PlayerMode",
    "ReplaceWay",
    "School", "ShapeWord", "Source", "Status", "Strike", "Wear", "WedgeUse", "WedgeWish", "Wish",
]  # fmt: skip
