"""What is shown of plans for the bag and of the short list of the rack."""

from __future__ import annotations

from dataclasses import dataclass

from .pictures import BetweenPicture


@dataclass
class ClubLine:
    """One club of a bag as it may become. id: its build; expected: not hit, only expected."""

    id: int
    letter: str
    name: str
    head_type: str
    loft_deg: float | None
    carry_m: float
    total_m: float
    new: bool
    expected: bool = False


@dataclass
class BagJobPicture:
    """A job and the club of the bag that does it best, with the share that succeeds."""

    job: str
    uses_per_round: float
    club: str
    success: float


@dataclass
class BagPlanPicture:
    """A bag as it may become. id: of the plan kept, None for one that is proposed or today's. builds: the candidates
    and own clubs in it. rounds: successful shots a round, None without jobs, with its gain over today and the gain's
    90% interval. next: the widest hole left and the window that closes it."""

    id: int | None
    name: str
    builds: list[int]
    swap_home: int | None
    swap_away: int | None
    swap_course: str
    clubs: list[ClubLine]
    between: list[BetweenPicture]
    holes_m: float
    widest_m: float
    crowded: list[str]
    club_count: int
    over: int
    rounds: float | None
    gain: float | None
    gain_low: float | None
    gain_high: float | None
    price: str
    relearn: list[str]
    added: list[str]
    dropped: list[str]
    expected: list[str]
    jobs: list[BagJobPicture]
    sentence: str
    next: str


@dataclass
class PlansPicture:
    """Today's bag, the best found for the number of places, and the plans kept. searched: bags weighed. courses:
    names, where there is more than one."""

    today: BagPlanPicture
    found: BagPlanPicture
    plans: list[BagPlanPicture]
    searched: int
    courses: list[str]


@dataclass
class RankedPicture:
    """A head of the rack in its best setting and what it should do. within: give or take, nine times in
    ten. chance: to carry into the window and land as asked. players: of this shop, who hit the head;
    won: how often it was chosen by players of about this speed. letter: of the build, where it is on the stand."""

    head: int
    shaft: int | None
    name: str
    label: str
    maker: str
    head_type: str
    loft_deg: float
    set_loft_deg: float
    turn_deg: float
    length_m: float
    price: str
    carry_m: float
    carry_within_m: float
    peak_m: float | None
    landing_deg: float | None
    landing_within_deg: float | None
    total_m: float | None
    chance: float
    supported: bool
    sentence: str
    rough: str
    players: int
    won: int
    letter: str


@dataclass
class ShortlistPicture:
    """By slot. why: what is missing where nothing can be said. left_out: heads that cannot be had, with the reason."""

    slots: list[list[RankedPicture]]
    why: str
    left_out: list[str]
