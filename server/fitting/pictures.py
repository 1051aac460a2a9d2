"""What the browser is shown of a session, as plain dataclasses; the API document is made from them."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import date
from typing import Literal

Status = Literal["not_begun", "open", "agreed"]
JobWord = Literal["green", "tee", "layup"]
FirmnessWord = Literal["soft", "medium", "firm"]
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


@dataclass
class BriefPicture:
    miss: str
    firmness: str
    most_clubs: int
    budget: str | None
    pain: bool
    notes: str
    jobs: list[JobPicture]
    done: bool


@dataclass
class BuildPicture:
    """carry_from: hit, typed or none. averages: over kept shots, averages_all: over every shot, by reading.
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
    id: int
    number: int
    build: int
    aside: bool
    aside_reason: str
    strike: str
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
    firm: bool


@dataclass
class SlotPicture:
    index: int
    target_m: float
    low_m: float
    high_m: float
    roll_m: float
    targets: list[TargetPicture]


@dataclass
class PlanPicture:
    """The space in work and the slots that close it. lower, upper: builds. left_m: the largest hole left."""

    lower: int
    upper: int
    rule: str
    open_m: float
    count: int
    left_m: float
    slack_m: float
    at_worst_m: float
    sentence: str
    slots: list[SlotPicture]


@dataclass
class RemarkPicture:
    """Something worth knowing of the bag; what: collapse, peak_m, landing_deg, spin_rpm, overlap or count."""

    build: int
    what: str
    sentence: str


@dataclass
class BagPicture:
    order: list[int]
    between: list[BetweenPicture]
    rule: str
    rule_words: str
    step: str
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
    brief: BriefPicture
    builds: list[BuildPicture]
    shots: list[ShotPicture]
    bag: BagPicture
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


@dataclass
class PatternPicture:
    carry_m: float
    offline_m: float
    major_m: float
    minor_m: float
    tilt_deg: float
    depth_m: float
    width_m: float


@dataclass
class BoardLine:
    """One club on the flight board: its path as [downrange, height] metres, its landing pattern, its roll."""

    build: int
    letter: str
    name: str
    carry_m: float
    total_m: float
    offline_m: float
    path: list[list[float]]
    pattern: PatternPicture | None


@dataclass
class ComparisonPicture:
    """See hemicycle_core.judge.Comparison."""

    metric: Literal["jobs", "carry_m", "landing_deg", "side_spread"]
    better: str
    worse: str
    by: float
    by_equal: float | None
    chance: float
    settled: bool
    more: int | None
    sentence: str


@dataclass
class ChoicePicture:
    """The build to propose, None to keep what is there, and what would settle it."""

    letter: str | None
    runner_up: str | None
    sentence: str
    settled: bool
    chance_best: float | None
    more_with: str | None
    more: int | None


@dataclass
class BenchPicture:
    lines: list[BoardLine]
    neighbours: list[BoardLine]
    comparisons: list[ComparisonPicture]
    differences: list[str]
    choice: ChoicePicture


@dataclass
class ChangePicture:
    """after, error: averages after the change and one standard deviation of its doubt, by reading; empty where
    only directions are known."""

    kind: str
    label: str
    words: str
    amount: float
    after: dict[str, float]
    error: dict[str, float]
    face_closed_deg: float
    lie_deg: float
    bounce_deg: float
    directions: list[str]
    source: str
    caution: str


@dataclass
class AirPicture:
    label: str
    carry_m: float
    carry_error_m: float
    landing_deg: float


@dataclass
class WhatIfPicture:
    """anchored: the flight model is tied to measured flights; anchor: the sentence that says how."""

    build: int
    letter: str
    shots: int
    anchored: bool
    anchor: str
    before: dict[str, float]
    changes: list[ChangePicture]
    elsewhere: list[AirPicture]


@dataclass
class ColumnPicture:
    header: str
    key: str
    unit: str
    sure: bool
    example: str


@dataclass
class ImportClub:
    """A club named in the file and the build it would go to: an own club's short name, or empty to leave out."""

    written: str
    name: str
    shots: int


@dataclass
class ImportRow:
    """A shot of the file that looks unlike the others of its club."""

    line: int
    club: str
    carry_m: float
    why: str


@dataclass
class ImportProblem:
    line: int
    column: str
    sentence: str


@dataclass
class ImportPreview:
    """remembered: the mapping was accepted for such a file before."""

    file_name: str
    columns: list[ColumnPicture]
    clubs: list[ImportClub]
    unlike: list[ImportRow]
    problems: list[ImportProblem]
    shots: int
    remembered: bool


@dataclass
class ImportResult:
    shots: int
    clubs: int
    set_aside: int
    computed: int
    problems: list[ImportProblem]
