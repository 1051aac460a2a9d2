"""What the Bench is shown: verdicts, flights, patterns, comparisons, the choice, what-ifs."""

from __future__ import annotations

from dataclasses import dataclass

from hemicycle_core.judge import ChangeKind
from hemicycle_core.said import Said

from .plans import WorthLine
from .tests import ResultOut
from .wedges import ClaimOut, WedgeFlightOut
from .words import Intent, Kind, Metric, Source


@dataclass
class FactOut:
    quantity: str
    mean: float
    low: float | None
    high: float | None
    good: bool | None
    source: Source


@dataclass
class PlayedOut:
    """A job played out with one build: the share that succeeds with its 90% interval, and where the rest goes.
    lie: what the lie and the wind it is met in do to the build, and how that is known; empty for neither. eased_m: the
    carry of the part swing that does it best, None for the stock one; never: it is not the build's."""

    job: str
    uses_per_round: float
    success: float
    low: float
    high: float
    short: float
    long: float
    left: float
    right: float
    lie: Said
    eased_m: float | None
    never: bool


@dataclass
class VerdictOut:
    """at_first: the verdict by the first targets kept, where they were others; else empty. shape: where the ball bends
    otherwise than the brief wants; else empty."""

    build: int
    letter: str
    slot: int
    kind: Kind
    headline: Said
    why: Said
    chance: float | None
    chance_words: str
    settled: bool
    more: int | None
    against: Said | None
    change: Said | None
    turn_deg: float | None
    half_width_m: float | None
    rounds: float | None
    facts: list[FactOut]
    played: list[PlayedOut]
    at_first: Said
    shape: Said


@dataclass
class PatternOut:
    carry_m: float
    offline_m: float
    major_m: float
    minor_m: float
    tilt_deg: float
    depth_m: float
    width_m: float


@dataclass
class BoardLine:
    """One club on the flight board: its path as [downrange, height] metres, its landing pattern, its roll. offline_m:
    null where no line was read."""

    build: int
    letter: str
    name: str
    carry_m: float
    total_m: float
    offline_m: float | None
    path: list[list[float]]
    pattern: PatternOut | None


@dataclass
class ComparisonOut:
    """See hemicycle_core.judge.Comparison."""

    metric: Metric
    better: str
    worse: str
    by: float
    by_equal: float | None
    chance: float
    settled: bool
    more: int | None
    sentence: Said


@dataclass
class BuildWorth:
    """What the best bag with a build in it saves beside that of today, strokes a round with their 90% interval, and
    line by line, its price as strokes among them."""

    letter: str
    saves: float
    low: float
    high: float
    lines: list[WorthLine]


@dataclass
class ChoiceOut:
    """The decision: the build to propose, None to keep what is there, and what would settle it. letters: of all that
    come in; leaves: names of the own clubs that go for them; because: what decided. more_in_vain: not even so many
    shots. worths: what the bag with each build in it saves, in the order of the stand."""

    letter: str | None
    letters: list[str]
    leaves: list[str]
    because: str
    runner_up: str | None
    sentence: Said
    settled: bool
    chance_best: float | None
    more_with: Said | None
    more: int | None
    more_in_vain: bool
    worths: list[BuildWorth]


@dataclass
class FindingOut:
    """See hemicycle_core.protocols.Finding. letter: empty for a club of the player's own."""

    build: int
    letter: str
    protocol: str
    intent: Intent
    n: int
    by: dict[str, float]
    as_asked: bool | None
    sentence: Said
    swing: str
    at: dict[str, float]


@dataclass
class NeighboursOut:
    """Two columns read as neighbours; see hemicycle_core.bag.Neighbours. lower, upper: builds."""

    lower: int
    upper: int
    step_m: float
    coverage_m: float
    often: int
    sentence: Said


@dataclass
class BenchOut:
    """serves: where else each build is of use, by letter. side_by_side: every two columns as neighbours. spans: by
    letter, how far low and high shots lie apart. lies: by letter, what other lies did beside the stock shots. flights:
    of wedges beside the windows of their lofts; claims: what bothers the player, answered; results: what came of
    tests over their clubs together; eases: how well the player eases off, in a sentence."""

    revision: int
    lines: list[BoardLine]
    neighbours: list[BoardLine]
    comparisons: list[ComparisonOut]
    choice: ChoiceOut
    findings: list[FindingOut]
    serves: dict[str, list[Said]]
    side_by_side: list[NeighboursOut]
    spans: dict[str, Said]
    lies: dict[str, list[Said]]
    flights: list[WedgeFlightOut]
    claims: list[ClaimOut]
    results: list[ResultOut]
    eases: Said


@dataclass
class ChangeOut:
    """after, error: averages after the change and one standard deviation of its doubt, by reading; empty where
    only directions are known."""

    kind: ChangeKind
    label: Said
    words: Said
    amount: float
    after: dict[str, float]
    error: dict[str, float]
    face_closed_deg: float
    lie_deg: float
    bounce_deg: float
    start_deg: float
    start_error_deg: float
    start_m: float
    directions: list[Said]
    source: Said
    caution: Said


@dataclass
class AirOut:
    label: Said
    carry_m: float
    carry_error_m: float
    landing_deg: float


@dataclass
class WhatIfOut:
    """anchored: the flight model is tied to measured flights; anchor: the sentence that says how."""

    build: int
    letter: str
    shots: int
    anchored: bool
    anchor: Said
    before: dict[str, float]
    changes: list[ChangeOut]
    elsewhere: list[AirOut]
