"""The handover page: drafted while it is being decided, frozen once agreed."""

from __future__ import annotations

from dataclasses import dataclass, field
from datetime import date, datetime

from fitting.api.schemas.bag import GapOut
from fitting.api.schemas.plans import ClubLine
from fitting.api.schemas.wedges import ClaimOut
from fitting.api.schemas.words import HeadType
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
class SetHeadOut:
    """A head of the rack that a set may hold. number: what its sole says of it; most_bend_deg: either way, by how it is
    made."""

    id: int
    number: str
    label: str
    model: str
    loft_deg: float
    length_m: float
    most_bend_deg: float


@dataclass
class SetOfferOut:
    """What can be ordered with an iron that was hit. heads: its own model first; usual: those that the player owns
    now, by number; loft_deg, lie_deg: how it was bent when it was hit."""

    build: int
    head: int
    heads: list[SetHeadOut]
    usual: list[int]
    loft_deg: float
    lie_deg: float


@dataclass
class SetClubOut:
    """A club of a set that is ordered: degrees and metres, as it is made after its bends; own_bend_deg: what it alone
    is bent, the rest goes through the set; bent_deg: both together, as far as it bears them; doubt_m: half of the 90%
    interval of its carry; step_m: to the next shorter one; left_off: it does not bear all that goes through the set."""

    head: int
    number: str
    name: str
    model: str
    head_type: HeadType
    hit: bool
    loft_deg: float
    lie_deg: float | None
    bounce_deg: float | None
    length_m: float
    own_bend_deg: float
    bent_deg: float
    carry_m: float
    total_m: float
    doubt_m: float
    step_m: float | None
    left_off: bool


@dataclass
class SetOut:
    """A set ordered as one thing. build: the iron of it that was hit; loft_deg, lie_deg: bent through the set; first:
    what to hit first at delivery; replaces: the player's own of the same numbers, which leave."""

    build: int
    letter: str
    loft_deg: float
    lie_deg: float
    clubs: list[SetClubOut]
    first: Said
    remarks: list[Said]
    replaces: list[int]


@dataclass
class SetHeadIn:
    head: int
    bend_deg: float = 0.0


@dataclass
class SetIn:
    """A set as it is asked for: heads of the rack, that of the iron that was hit among them; degrees weaker and more
    upright through the set."""

    build: int
    heads: list[SetHeadIn]
    loft_deg: float = 0.0
    lie_deg: float = 0.0


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
    set: SetOut | None = None


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
    sets: list[SetOfferOut] = field(default_factory=list)


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
    set: SetIn | None = None


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
