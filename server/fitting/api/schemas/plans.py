"""What is sent and shown of plans for the bag."""

from __future__ import annotations

from dataclasses import dataclass

from hemicycle_core.said import Said

from .bag import GapOut
from .words import HeadType


@dataclass
class ClubLine:
    """One club of a bag as it may become. id: its build; expected: not hit, only expected."""

    id: int
    letter: str
    name: str
    head_type: HeadType
    loft_deg: float | None
    carry_m: float
    total_m: float
    new: bool
    expected: bool = False


@dataclass
class BagJobOut:
    """A job and the club of the bag that does it best, with the share that succeeds."""

    job: str
    uses_per_round: float
    club: str
    success: float


@dataclass
class WorthLine:
    """A part of what a bag saves, strokes a round."""

    line: str
    strokes: float


@dataclass
class BagPlanOut:
    """A bag as it may become. id: of the plan kept, None for one that is proposed or today's. builds: the candidates
    and own clubs in it. rounds: successful shots a round on the named jobs, None without any. saves: strokes a round
    beside today's bag with their 90% interval, `worth` line by line; None of one agreed before strokes were reckoned.
    next: the widest hole left and the window that closes it."""

    id: int | None
    name: Said
    builds: list[int]
    swap_home: int | None
    swap_away: int | None
    swap_course: str
    clubs: list[ClubLine]
    gaps: list[GapOut]
    open_m: float
    widest_m: float
    crowded: list[Said]
    club_count: int
    over: int
    rounds: float | None
    saves: float | None
    saves_low: float | None
    saves_high: float | None
    worth: list[WorthLine]
    price: str
    relearn: list[str]
    added: list[str]
    dropped: list[str]
    expected: list[str]
    jobs: list[BagJobOut]
    sentence: Said
    next: Said


@dataclass
class PlansOut:
    """Today's bag, the one that is proposed, the best with a build that nobody hit yet where it should save more, the
    bag by both schools of how many wedges belong, and the plans kept. searched: bags weighed. courses:
    names, where there is more than one."""

    revision: int
    today: BagPlanOut
    found: BagPlanOut
    expected: BagPlanOut | None
    schools: list[BagPlanOut]
    plans: list[BagPlanOut]
    searched: int
    courses: list[str]


@dataclass
class PlanIn:
    """builds: own clubs and candidates that the bag holds. A swap pair: two of them, and the course it is for."""

    name: str
    builds: list[int]
    swap_home: int | None = None
    swap_away: int | None = None
    swap_course: str = ""
