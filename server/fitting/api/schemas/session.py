"""A session whole, and in a list."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import date

from customers.schemas import Person
from hemicycle_core.decision.advice import Goes
from hemicycle_core.facts import RunAsked, Visit
from hemicycle_core.said import NOTHING, Said

from .bag import BagOut
from .bay import BuildOut, ShotOut
from .bench import VerdictOut
from .brief import BriefOut
from .imports import ImportedFile
from .player import PlayerOut
from .soles import SoleTestOut
from .tests import StandingOut
from .words import GapRule, Source, Status


@dataclass
class PartnerOut:
    """The other of two sessions whose players hit in turn in one bay."""

    session: int
    customer: str


@dataclass
class PartnerIn:
    """session: an open one of this bay; null for nobody any more."""

    session: int | None = None


@dataclass(frozen=True, kw_only=True)
class SessionOut(RunAsked, Visit):
    """revision: goes up with every change and shot. shots: the newest, earlier: how many were hit before them.
    shots_since: the revision after which the shots here changed, 0 when they are all of them. usual_sources: of
    readings, where not measured. struck_clean: of missed shots, what they would have carried struck as the clean
    ones of the build, metres. questions: of shots that look unlike the others, by id. frozen: shown as it was when
    it was agreed. least_shots: before anything is said of a build. bay_is_here: shots of the bay come to this
    session; bay_serves: the customer they come to, empty for nobody; partner: whose player hits in turn with this
    one's. length, struck_ball, wind (from_deg: 0 against the shot, 90 from the right), tee_mm: of the next run.
    swing: goes up when the player is told to swing otherwise. day: as the fitter said, day_words: what is said of
    it. awaited: a contender that is not here yet, question: the one that remains for it. pinned: the shot to copy.
    monitor: what is to be said of the bay's monitor. columns: what the Bench reads out, in order; empty for the
    usual. player: the player's own screen, None where none was set up. soles: the blind tests of soles, in their
    order."""

    id: int
    revision: int
    shots_since: int
    earlier: int
    customer: Person
    fitter: str
    bay: int
    bay_name: str
    bay_is_here: bool
    bay_serves: str
    partner: PartnerOut | None
    held_on: date
    status: Status
    frozen: bool
    rule: GapRule
    clubs_to_place: int
    in_hand: int | None
    day_words: Said
    question: Said
    pinned: int | None
    monitor: Said
    columns: list[str]
    player: PlayerOut | None
    soles: list[SoleTestOut]
    tests: list[StandingOut]
    brief: BriefOut
    builds: list[BuildOut]
    usual_sources: dict[str, Source]
    shots: list[ShotOut]
    questions: dict[str, Said]
    struck_clean: dict[str, float]
    bag: BagOut
    imports: list[ImportedFile]
    versions: int
    verdicts: list[VerdictOut]
    next: Said
    least_shots: int
    steady: Said
    tired: bool


@dataclass
class EarlierShots:
    """A page of shots of a session; earlier: how many were hit before them."""

    earlier: int
    shots: list[ShotOut]


@dataclass
class SessionLine:
    """A session in a list. next: the place in which it goes on, None of one that is done."""

    id: int
    customer: Person
    held_on: date
    bay_name: str
    status: Status
    outcome: Said
    shots: int
    next_check: date | None
    next: Goes | None


@dataclass
class BayNow:
    """An open bay, with the session it serves, and what is next there: in which place, in words. None where it is
    free."""

    id: int
    name: str
    session: int | None = None
    customer: str = ""
    next: Goes | None = None
    act: Said = NOTHING


@dataclass
class NewSession:
    customer: int
    bay: int
    held_on: date | None = None


@dataclass
class AwaitedIn:
    name: str
