"""What is shown of a file before and after it is taken in."""

from __future__ import annotations

from dataclasses import dataclass


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
