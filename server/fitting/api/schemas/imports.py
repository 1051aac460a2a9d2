"""What is sent and shown of a file before and after it is taken in."""

from __future__ import annotations

from dataclasses import dataclass, field

from hemicycle_core.formats.shots_csv import Column

from ...actions.imports import ImportRequest


@dataclass
class ColumnOut:
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
    columns: list[ColumnOut]
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


@dataclass
class ImportedFile:
    """A file that was taken in. undone: taken back; its shots stay on record and do not count."""

    id: int
    file_name: str
    shots: int
    undone: bool


@dataclass
class UndoneIn:
    undone: bool


@dataclass
class MappedColumn:
    header: str
    key: str
    unit: str


@dataclass
class ImportIn:
    """columns: the mapping as looked at, empty to have one proposed. clubs: name in the file to name in
    the bag, empty to leave out. aside: lines to set aside."""

    file_name: str
    text: str
    columns: list[MappedColumn] = field(default_factory=list)
    clubs: dict[str, str] = field(default_factory=dict)
    aside: list[int] = field(default_factory=list)

    def request(self) -> ImportRequest:
        columns = [Column(column.header, column.key, column.unit) for column in self.columns]
        return ImportRequest(self.file_name, self.text, columns or None, self.clubs, self.aside)
