"""The handover page: drafted while it is being decided, frozen once agreed."""

from __future__ import annotations

from dataclasses import dataclass, field
from datetime import date, datetime

from fitting.api.schemas.bag import GapOut
from fitting.api.schemas.plans import ClubLine
from fitting.api.schemas.wedges import ClaimOut
from hemicycle_core.said import Said
from shop.own_units import OwnUnits

from .models import Outcome


@dataclass
class BagSide:
    clubs: list[ClubLine]
    gaps: list[GapOut]
    headline: Said
    club_count: int


@dataclass
class SheetLine:
    label: Said
    value: Said


@dataclass
class LostBuild:
    letter: str
    name: str
    why: Said


@dataclass
class LostIn:
    """A reason as the fitter left it."""

    letter: str
    name: str
    why: str


@dataclass
class Tested:
    """A build that was hit often enough to be recommended. prediction: what is not sure of it yet."""

    build: int
    letter: str
    name: str
    headline: Said
    why: Said
    sheet: list[SheetLine]
    price: str | None
    prediction: Said


@dataclass
class SwapOut:
    """Two clubs owned together, one of them carried: one place of the bag. away: for one course, home: elsewhere."""

    home: str
    away: str
    course: str


@dataclass
class ChosenOut:
    """What could be recommended: the builds that come in, none to keep what is there; the names of the player's clubs
    that leave; why, and why the others lost; the bag it makes, how many clubs that is too many, and what it costs.
    swap: the pair that is one place, where a plan that was kept has one."""

    name: Said
    clubs: list[Tested]
    dropped: list[str]
    reasons: Said
    lost: list[LostBuild]
    after: BagSide
    over: int
    price: str | None
    swap: SwapOut | None = None


@dataclass
class PlanLine:
    """A plan that was kept, as a choice: what of it was hit, and the letters that were not hit enough."""

    name: str
    builds: list[int]
    dropped: list[int]
    unhit: list[str]


@dataclass
class AgreedOut:
    """What was agreed, as it was then. edition: from 1; correction: why this one was made, empty for the first."""

    edition: int
    correction: str
    decision: Outcome
    agreed_at: datetime
    agreed_by: str
    reasons: Said
    next_check: date | None
    runner_up: str
    choice: ChosenOut
    before: BagSide


@dataclass
class HandoverOut:
    session: int
    revision: int
    customer: str
    units: OwnUnits | None
    try_out: bool
    shop: str
    held_on: date
    rule_words: Said
    before: BagSide
    tested: list[Tested]
    plans: list[PlanLine]
    suggested: list[int]
    suggested_drop: list[int]
    suggestion: Said
    draft: ChosenOut
    agreed: AgreedOut | None
    earlier: list[AgreedOut]
    claims: list[ClaimOut]
    cautions: list[Said]
    next_check: date


@dataclass
class AgreeIn:
    """builds: that come in; dropped: the player's clubs that leave; none of either to keep what is there. lost: the
    reasons as the fitter left them. correction: why a recommendation that was agreed is corrected, empty for the
    first."""

    builds: list[int]
    reasons: str
    lost: list[LostIn]
    dropped: list[int] = field(default_factory=list)
    next_check: date | None = None
    correction: str = ""


@dataclass
class CheckDue:
    """A customer to look at again. session: the one in which it was agreed."""

    session: int
    customer: str
    next_check: date


@dataclass
class ChecksDue:
    """within_days: how far ahead was looked."""

    within_days: int
    checks: list[CheckDue]
