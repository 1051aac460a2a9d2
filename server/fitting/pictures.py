"""What the browser is shown of a session, as plain dataclasses; the API document is made from them."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import date
from typing import Literal

Status = Literal["not_begun", "open", "agreed"]
JobWord = Literal["green", "tee", "layup"]
FirmnessWord = Literal["soft", "medium", "firm"]
IntentWord = Literal["stock", "low", "high", "draw", "fade"]
ShapeWord = Literal["any", "straight", "draw", "fade"]
CourseWord = Literal["home", "trip", "season"]
LikingWord = Literal["liked", "neutral", "disliked", "vetoed"]


@dataclass
class PersonPicture:
    id: int
    name: str
    hand: str


@dataclass
class JobPicture:
    name: str
    kind: JobWord
    distance_m: float
    carry_over_m: float | None
    width_m: float
    depth_m: float
    firmness: FirmnessWord
    uses_per_round: float
    course: str = ""
    lie: str = ""


@dataclass
class CoursePicture:
    """Where they play. kind: home, trip or season; share: of their rounds, in 100."""

    name: str
    kind: CourseWord
    firmness: FirmnessWord
    share: float


@dataclass
class BriefPicture:
    """common: jobs to start from, at distances this player meets."""

    miss: str
    shape: ShapeWord
    courses: list[CoursePicture]
    lies: list[str]
    likes: dict[str, LikingWord]
    firmness: str
    most_clubs: int
    budget: str | None
    pain: bool
    notes: str
    jobs: list[JobPicture]
    common: list[JobPicture]
    done: bool


@dataclass
class BuildPicture:
    """carry_from: hit, typed or none; carry_doubt_m: give or take of that figure, nine times in ten.
    averages: over kept shots, averages_all: over every shot, by reading.
    sources: of each average, the least trusted of its shots."""

    id: int
    letter: str
    name: str
    head_type: str
    detail: str
    shaft: str
    stated_loft_deg: float | None
    set_loft_deg: float | None
    length_m: float | None
    price: str | None
    fixed: bool
    liking: LikingWord
    turned_from: str
    sleeve_deg: float
    carry_m: float | None
    total_m: float | None
    carry_from: Literal["hit", "typed", "none"]
    carry_doubt_m: float | None
    spread_m: float | None
    kept: int
    set_aside: int
    half_width_m: float | None
    settled: bool
    more: int | None
    miss_cost_m: float | None
    averages: dict[str, float]
    averages_all: dict[str, float]
    sources: dict[str, str]


@dataclass
class ShotPicture:
    """intent: what was meant; only stock shots say what the club does. misread: counts for nothing. distance, line:
    whether these count."""

    id: int
    number: int
    build: int
    aside: bool
    aside_reason: str
    strike: str
    intent: IntentWord
    misread: bool
    distance: bool
    line: bool
    question: str
    readings: dict[str, float]
    sources: dict[str, str]


@dataclass
class BetweenPicture:
    """The space between two neighbours of the bag; see hemicycle_core.bag.Between."""

    lower: int
    upper: int
    rule: str
    step_m: float
    coverage_m: float
    hole_m: float
    hole_from_m: float
    hole_to_m: float
    overlap_m: float
    crowded: bool


@dataclass
class TargetPicture:
    quantity: str
    label: str
    low: float | None
    high: float | None
    proposed_low: float | None
    proposed_high: float | None
    overruled: bool
    why: str
    sure: str
    firm: bool
    out_of_reach: str


@dataclass
class TypeWindow:
    """The carry window of a slot for one kind of head, by its likely roll-out at this player's speed."""

    head_type: str
    roll_m: float
    low_m: float
    high_m: float


@dataclass
class SlotPicture:
    index: int
    target_m: float
    low_m: float
    high_m: float
    roll_m: float
    targets: list[TargetPicture]
    by_type: list[TypeWindow]


@dataclass
class PlanPicture:
    """The space in work and the slots that close it. lower, upper: builds; like: the one whose like is wanted.
    left_m: the largest hole left. proposed_count: how many clubs belong here by space, spread and uses."""

    lower: int
    upper: int
    rule: str
    open_m: float
    count: int
    left_m: float
    slack_m: float
    at_worst_m: float
    sentence: str
    like: int | None
    proposed_count: int | None
    slots: list[SlotPicture]


@dataclass
class RemarkPicture:
    """Something worth knowing of the bag; what: collapse, peak_m, landing_deg, spin_rpm, overlap or count."""

    build: int
    what: str
    sentence: str


@dataclass
class BagPicture:
    """step, short_step: wanted at each end, in yards; own_steps: the fitter set one. turf: that roll-out is reckoned
    on, empty for the monitor's own. stand: what differs between the candidates besides the head. moved: what each
    candidate does to its neighbours, by letter."""

    order: list[int]
    between: list[BetweenPicture]
    rule: str
    rule_words: str
    short_rule: str
    short_rule_words: str
    step: str
    short_step: str
    own_steps: bool
    turf: str
    stand: list[str]
    moved: dict[str, str]
    club_count: int
    headline: str
    plan: PlanPicture | None
    remarks: list[RemarkPicture]


@dataclass
class FactPicture:
    quantity: str
    label: str
    mean: float
    low: float | None
    high: float | None
    good: bool | None
    source: str


@dataclass
class PlayedPicture:
    """A job played out with one build: the share that succeeds with its 90% interval, and where the rest goes."""

    job: str
    uses_per_round: float
    success: float
    low: float
    high: float
    short: float
    long: float
    left: float
    right: float


@dataclass
class VerdictPicture:
    """at_first: the verdict by the first targets kept, where they were others; else empty. shape: where the ball bends
    otherwise than the brief wants; else empty."""

    build: int
    letter: str
    slot: int
    kind: str
    headline: str
    why: str
    chance: float | None
    settled: bool
    more: int | None
    against: str | None
    change: str | None
    turn_deg: float | None
    half_width_m: float | None
    rounds: float | None
    facts: list[FactPicture]
    played: list[PlayedPicture]
    at_first: str
    shape: str


@dataclass
class ImportedPicture:
    """A file that was taken in. undone: taken back; its shots stay on record and do not count."""

    id: int
    file_name: str
    shots: int
    undone: bool


@dataclass
class SessionPicture:
    id: int
    customer: PersonPicture
    fitter: str
    bay: int
    bay_name: str
    held_on: date
    ball: str
    surface: str
    indoor: bool
    altitude_m: float
    temperature_c: float
    status: Status
    rule: str
    clubs_to_place: int
    in_hand: int | None
    intent: IntentWord
    brief: BriefPicture
    builds: list[BuildPicture]
    shots: list[ShotPicture]
    bag: BagPicture
    imports: list[ImportedPicture]
    versions: int
    verdicts: list[VerdictPicture]
    next: str
    steady: str
    tired: bool
    stand_in: bool


@dataclass
class SessionLine:
    """A session in a list."""

    id: int
    customer: PersonPicture
    held_on: date
    bay_name: str
    status: Status
    outcome: str
    shots: int
    next_check: date | None
