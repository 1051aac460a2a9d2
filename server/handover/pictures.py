"""The handover page: drafted while it is being decided, frozen once agreed."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import date, datetime
from typing import Literal

from fitting.pictures import BetweenPicture
from fitting.planning_pictures import ClubLine


@dataclass
class BagSide:
    clubs: list[ClubLine]
    between: list[BetweenPicture]
    headline: str
    club_count: int


@dataclass
class SheetLine:
    label: str
    value: str


@dataclass
class LostBuild:
    letter: str
    name: str
    why: str


@dataclass
class Choice:
    """One thing that could be recommended. build None: keep what is there."""

    build: int | None
    letter: str
    name: str
    headline: str
    why: str
    reasons: str
    lost: list[LostBuild]
    after: BagSide
    sheet: list[SheetLine]
    price: str | None
    prediction: str


@dataclass
class AgreedPicture:
    """What was agreed, as it was then."""

    revision: int
    decision: Literal["buy", "keep"]
    agreed_at: datetime
    agreed_by: str
    reasons: str
    next_check: date | None
    runner_up: str
    choice: Choice
    before: BagSide


@dataclass
class HandoverPicture:
    session: int
    customer: str
    shop: str
    held_on: date
    rule_words: str
    before: BagSide
    choices: list[Choice]
    suggested: int | None
    suggestion: str
    agreed: AgreedPicture | None
    earlier: list[AgreedPicture]
    cautions: list[str]


@dataclass
class AgreeInput:
    """build None: keep what is there. lost: the reasons as the fitter left them."""

    build: int | None
    reasons: str
    lost: list[LostBuild]
    next_check: date | None = None
