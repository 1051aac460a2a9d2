"""What the Bench is shown: flights, patterns, comparisons, the choice, what-ifs."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

from .pictures import IntentWord


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
class MeantPicture:
    """See hemicycle_core.samples.meant.Meant."""

    letter: str
    intent: IntentWord
    n: int
    by: dict[str, float]
    did: bool | None
    sentence: str


@dataclass
class BenchPicture:
    lines: list[BoardLine]
    neighbours: list[BoardLine]
    comparisons: list[ComparisonPicture]
    choice: ChoicePicture
    meant: list[MeantPicture]


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
