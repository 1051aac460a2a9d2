"""What the interview is shown; what it sends is `actions.brief.Brief`."""

from __future__ import annotations

from dataclasses import dataclass, field
from decimal import Decimal

from hemicycle_core.wedges import Delivered

from ...actions.brief import Course, DeliveryWord, JobFields
from .words import BagEnd, Fear, Firmness, HeadType, JobKind, Liking, Miss, School, ShapeWord, WedgeWish


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
    end: BagEnd = BagEnd.WHOLE
    school: School = School.SHORTEST
    delivery: DeliveryWord = ""
    wedge_wishes: list[WedgeWish] = field(default_factory=list)
    sole: str = ""
    stroke_price: Decimal | None = None
    round_shots: list[float] = field(default_factory=list)
    fear_with: list[HeadType] = field(default_factory=list)
    maker_likes: dict[str, Liking] = field(default_factory=dict)


@dataclass
class BriefChange:
    """now: the fields that changed. was: the same fields as they were read, to tell a clash by; without it what is
    sent stands."""

    now: BriefFields
    was: BriefFields | None = None


@dataclass
class LongestOut:
    """The club that reaches furthest on a kind of job, and where it stops."""

    kind: JobKind
    club: str
    total_m: float


@dataclass
class BriefOut:
    """common: jobs to start from, at distances this player meets. longest: what reaches furthest of each kind of
    job, as far as the bag is known. wish_leads: what each wish of the wedges leads to; delivered: how the player
    comes down, with its source. makers: of the heads of the rack and the stand. shop_stroke_price,
    shop_round_shots: what stands where the brief says nothing."""

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
    end: BagEnd
    school: School
    delivery: DeliveryWord
    wedge_wishes: list[WedgeWish]
    sole: str
    stroke_price: Decimal | None
    round_shots: list[float]
    fear_with: list[HeadType]
    maker_likes: dict[str, Liking]
    makers: list[str]
    shop_stroke_price: float
    shop_round_shots: list[float]
    wish_leads: dict[str, str]
    delivered: Delivered
    done: bool
    longest: list[LongestOut]
