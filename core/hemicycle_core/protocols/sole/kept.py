"""What is kept of a sole test: how it was set up, what was said of each code, and what each did on the course."""

from __future__ import annotations

from dataclasses import dataclass
from enum import StrEnum

from ..kept import Kept


class TurfSaid(StrEnum):
    """How the sole met the ground; the last three in sand."""

    SLID = "slid"
    DUG = "dug"
    SKIPPED = "skipped"
    SAT_UP = "sat_up"
    GRABBED = "grabbed"
    EVEN = "even"
    DEEP = "deep"
    SHALLOW = "shallow"


class Blind(StrEnum):
    """Who knows which code is which club: whoever set it up, the assistant's page alone, or everybody."""

    SINGLE = "single"
    DOUBLE = "double"
    OPEN = "open"


class Control(StrEnum):
    """What stands for the sole that is played now."""

    FRESH = "fresh"
    NEAREST = "nearest"
    OWN = "own"


class LoftRole(StrEnum):
    """What a club is when the sole that was chosen is tried in other lofts on one shot."""

    AS_IS = "as_is"
    WEAKER = "weaker"
    LESS = "less"


@dataclass(frozen=True)
class CodeKept:
    """One code: the build that its shots are filed under, which says nothing, and the club it is: a head of the rack
    with a shaft and a bend (weaker positive), or a club of the session. role: where lofts are tried. taped: the code is
    on its shaft."""

    build: int
    head: int | None = None
    shaft: int | None = None
    bend_deg: float = 0.0
    club: int | None = None
    role: LoftRole | None = None
    taped: bool = False


@dataclass(frozen=True)
class SoleKept:
    """loft_deg: of all of them, as it is said. wedge: the own one whose sole it is about. places: lies, in the order
    they are played; returns: those gone back to. short: the 20-minute version. control, twice, guess, chosen: codes, by
    their number. Which club a code is, the control and the two of one club are kept from every answer until it is
    told."""

    loft_deg: float
    places: tuple[str, ...]
    codes: tuple[CodeKept, ...]
    seed: int
    blind: Blind = Blind.SINGLE
    wedge: int | None = None
    returns: tuple[str, ...] = ()
    short: bool = False
    control: int | None = None
    control_is: Control | None = None
    twice: tuple[int, ...] | None = None
    guess: int | None = None
    confidence: str = ""
    chosen: int | None = None


@dataclass(frozen=True)
class HandingKept:
    """One code handed and hit at one lie, and what was said of it: see `sole.AfterShots`."""

    code: int
    place: str
    visit: int = 0
    duel: bool = False
    said: int | None = None
    best: int | None = None
    turf: TurfSaid | None = None
    groove: int | None = None
    sound: str = ""
    left_m: float | None = None
    opened: int | None = None


@dataclass(frozen=True)
class CourseKept:
    """What a code did on the course, days later. played_on: an ISO date. place: the lie, empty for none. first: it was
    the one picked up first. ruled_out: for which course or ground the fitter rules it out, for the reason in `word`."""

    played_on: str
    code: int
    place: str = ""
    word: str = ""
    first: bool = False
    by_player: bool = False
    ruled_out: str = ""


HANDING, COURSE = "handing", "course"
KEPT = Kept(SoleKept, {HANDING: HandingKept, COURSE: CourseKept}, words=("sound", "word", "ruled_out"))
