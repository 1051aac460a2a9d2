"""What the browser sends, as plain dataclasses, with their serializers."""

from __future__ import annotations

from dataclasses import dataclass, field
from datetime import date
from decimal import Decimal
from typing import Literal

from config.api import serializer_of
from hemicycle_core.formats.shots_csv import Column

from . import pictures as p
from .actions.imports import ImportRequest
from .pictures import JobPicture


@dataclass
class NewCustomer:
    name: str
    hand: Literal["right", "left"] = "right"
    birth_year: int | None = None
    email: str = ""
    notes: str = ""


@dataclass
class NewSession:
    customer: int
    bay: int
    held_on: date | None = None


@dataclass
class BriefInput:
    miss: Literal["none", "left", "right", "short", "long"]
    firmness: Literal["soft", "medium", "firm"]
    jobs: list[JobPicture]
    most_clubs: int = 14
    budget: Decimal | None = None
    pain: bool = False
    notes: str = ""
    shape: p.ShapeWord = "any"
    courses: list[p.CoursePicture] = field(default_factory=list)
    lies: list[str] = field(default_factory=list)
    likes: dict[str, p.LikingWord] = field(default_factory=dict)


@dataclass
class GapInput:
    """hole_above: the club below the space in work; like_for: the club whose like is wanted, empty for a hole."""

    rule: Literal["roll_out", "carry_only", "even_steps"]
    clubs_to_place: int
    hole_above: int | None = None
    like_for: int | None = None


@dataclass
class RulesInput:
    """Steps in metres: both ends of a step, or neither for the usual one. turf: that roll-out is reckoned on, empty
    for the monitor's own."""

    short_rule: Literal["carry_only", "even_steps"]
    turf: p.FirmnessWord | None = None
    long_least_m: float | None = None
    long_most_m: float | None = None
    short_least_m: float | None = None
    short_most_m: float | None = None


@dataclass
class UndoneInput:
    undone: bool


@dataclass
class PlanInput:
    """builds: own clubs and candidates that the bag holds. A swap pair: two of them, and the course it is for."""

    name: str
    builds: list[int]
    swap_home: int | None = None
    swap_away: int | None = None
    swap_course: str = ""


@dataclass
class TargetInput:
    """Both ends empty: the proposal is in force again."""

    slot: int
    quantity: str
    low: float | None = None
    high: float | None = None


@dataclass
class ClubInput:
    name: str
    head_type: str | None = None
    set_loft_deg: float | None = None
    typed_carry_m: float | None = None
    typed_total_m: float | None = None
    typed_doubt_m: float | None = None
    fixed: bool | None = None


@dataclass
class ClubChange:
    """Only what is sent changes."""

    typed_carry_m: float | None = None
    typed_total_m: float | None = None
    typed_doubt_m: float | None = None
    fixed: bool = False
    liking: p.LikingWord = "neutral"


@dataclass
class CandidateInput:
    head: int
    shaft: int
    set_loft_deg: float | None = None
    length_m: float | None = None


@dataclass
class CandidatesInput:
    candidates: list[CandidateInput]


@dataclass
class SettingInput:
    set_loft_deg: float


@dataclass
class InHandInput:
    build: int


@dataclass
class AsideInput:
    aside: bool
    reason: str = ""


@dataclass
class StrikeInput:
    strike: Literal["", "toe", "heel", "thin", "fat"]


@dataclass
class CountsInput:
    """What of a shot counts; nothing of a misread."""

    misread: bool = False
    distance: bool = True
    line: bool = True


@dataclass
class IntentInput:
    intent: p.IntentWord


@dataclass
class MoveInput:
    build: int


@dataclass
class MappedColumn:
    header: str
    key: str
    unit: str


@dataclass
class ImportInput:
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


NewCustomerIn = serializer_of(NewCustomer)
NewSessionIn = serializer_of(NewSession)
BriefIn = serializer_of(BriefInput)
GapIn = serializer_of(GapInput)
TargetIn = serializer_of(TargetInput)
ClubIn = serializer_of(ClubInput)
ClubChangeIn = serializer_of(ClubChange)
CandidatesIn = serializer_of(CandidatesInput)
RulesIn = serializer_of(RulesInput)
UndoneIn = serializer_of(UndoneInput)
PlanIn = serializer_of(PlanInput)
SettingIn = serializer_of(SettingInput)
InHandIn = serializer_of(InHandInput)
AsideIn = serializer_of(AsideInput)
StrikeIn = serializer_of(StrikeInput)
CountsIn = serializer_of(CountsInput)
IntentIn = serializer_of(IntentInput)
MoveIn = serializer_of(MoveInput)
ImportIn = serializer_of(ImportInput)
