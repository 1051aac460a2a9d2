"""Tests as they are sent and shown, in one form for all of them: what each still asks for, and what came of it."""

from __future__ import annotations

from dataclasses import dataclass

from hemicycle_core.impact import Lie
from hemicycle_core.protocols.found import Outcome
from hemicycle_core.said import Said


@dataclass
class PairIn:
    """test: its key; old: the club that is played, by its build, fresh: the new one."""

    test: str
    old: int
    fresh: int


@dataclass
class TaskOut:
    """See hemicycle_core.protocols.asked.Task. column: which of the standing's it stands in."""

    build: int
    length: str
    lie: Lie | None
    done: int
    wanted: int
    column: int


@dataclass
class CodeOut:
    build: int
    word: str


@dataclass
class BlindPairOut:
    """The pair that is under codes just now. setter: by sign-in name; guess: the code taken for the new one."""

    id: int
    setter: str
    setter_name: str
    codes: list[CodeOut]
    guess: int | None
    confidence: str


@dataclass
class PairOut:
    old: int
    fresh: int


@dataclass
class StandingOut:
    """See hemicycle_core.protocols.asked.Standing. test: its key; columns: their names; pairs: that it could be hit
    blind with; blind: the one that is."""

    test: str
    columns: list[Said]
    tasks: list[TaskOut]
    next: TaskOut | None
    minutes: int
    none: Said
    remarks: list[Said]
    warning: Said
    pairs: list[PairOut]
    blind: BlindPairOut | None


@dataclass
class FigureOut:
    """Canonical; see hemicycle_core.protocols.found.Figure."""

    at: list[float | None]
    half: float | None
    told: bool


@dataclass
class ResultRow:
    """shots: of each club of the result, or of the row's own."""

    name: Said
    build: int | None
    shots: list[int]
    figures: dict[str, FigureOut]


@dataclass
class ResultColumn:
    """key: of its figures; reading: in whose unit they are shown; digits: None for that reading's own."""

    key: str
    name: Said
    reading: str
    digits: int | None


@dataclass
class ResultOut:
    """See hemicycle_core.protocols.found.Result. builds: held side by side in each row."""

    test: str
    title: Said
    builds: list[int]
    columns: list[ResultColumn]
    rows: list[ResultRow]
    outcome: Outcome | None
    sentence: Said
    remarks: list[Said]
