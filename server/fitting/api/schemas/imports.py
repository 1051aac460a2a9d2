"""What is sent and shown of a file before and after it is taken in."""

from __future__ import annotations

from dataclasses import dataclass, field

from hemicycle_core.formats.shots import Column
from hemicycle_core.heads import HeadType
from hemicycle_core.said import Said

from ...actions.imports import ImportRequest


@dataclass
class ColumnOut:
    """sure: the file says so beyond doubt, or somebody did; else ask is the question, and maybe what it may be."""

    header: str
    key: str
    unit: str
    sure: bool
    example: str
    ask: Said
    maybe: list[str]


@dataclass
class ImportClub:
    """A club named in the file and the build it would go to: an own club's short name, or empty to leave out. kind: of
    head, null where its name does not say; here: how many of its shots are on record already."""

    written: str
    name: str
    shots: int
    kind: HeadType | None
    here: int


@dataclass
class ImportPlayer:
    """A player, or a visit, that a file names."""

    name: str
    shots: int


@dataclass
class ImportQuestion:
    """Something to be answered before anything goes in. What does not go together is answered by its id in `answered`;
    a column by saying what it is, a player by choosing one, a club by its kind."""

    id: str
    sentence: Said


@dataclass
class ImportRow:
    """A shot of the file that looks unlike the others of its club."""

    line: int
    club: str
    carry_m: float
    why: Said


@dataclass
class ImportProblem:
    line: int
    column: str
    sentence: Said


@dataclass
class ImportPreview:
    """sheets: of a workbook. remembered: the mapping was accepted for such a file before. shots: that would go in;
    here: that are on record already, by what they read; left: lines left out on purpose, and why. players: where the
    file names several; whose: the one whose shots go in, empty until it is chosen."""

    file_name: str
    columns: list[ColumnOut]
    remembered: bool
    sheets: list[str]
    clubs: list[ImportClub]
    unlike: list[ImportRow]
    problems: list[ImportProblem]
    left: list[ImportProblem]
    shots: int
    here: int
    players: list[ImportPlayer]
    whose: str
    questions: list[ImportQuestion]


@dataclass
class ImportResult:
    shots: int
    clubs: int
    set_aside: int
    computed: int
    here: int
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
    """sure: false for a proposal that was not looked at."""

    header: str
    key: str
    unit: str
    sure: bool = True


@dataclass
class ImportIn:
    """text: of a delimited file; data: of any other, in base64, else empty; sheet: of a workbook, empty for its first.
    columns: the mapping as looked at, empty to have one proposed. clubs: name in the file to name in the bag, empty to
    leave out; kinds: of head, where the name does not say. aside: lines to set aside. whose: player or visit of a file
    with several. again: take in what is here already too. answered: questions that were looked at, by id."""

    file_name: str
    text: str = ""
    data: str = ""
    sheet: str = ""
    columns: list[MappedColumn] = field(default_factory=list)
    clubs: dict[str, str] = field(default_factory=dict)
    kinds: dict[str, HeadType] = field(default_factory=dict)
    aside: list[int] = field(default_factory=list)
    whose: str = ""
    again: bool = False
    answered: list[str] = field(default_factory=list)

    def request(self) -> ImportRequest:
        columns = [Column(each.header, each.key, each.unit, each.sure) for each in self.columns]
        return ImportRequest(
            self.file_name,
            self.text,
            self.data,
            self.sheet,
            columns or None,
            self.clubs,
            self.kinds,
            self.aside,
            self.whose or None,
            self.again,
            self.answered,
        )
