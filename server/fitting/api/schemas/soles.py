"""The sole test as it is sent and shown."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import date, datetime

from hemicycle_core.protocols.sole.kept import Blind, Control, LoftRole, TurfSaid
from hemicycle_core.said import Said


@dataclass
class ClubOfTestIn:
    """A head of the rack, bent before it is hit (weaker positive), or a club of the session."""

    head: int | None = None
    build: int | None = None
    bend_deg: float = 0.0


@dataclass
class SoleTestIn:
    """control, repeat: clubs by their place in the list; repeat is handed under two codes. wedge: the own one whose
    sole it is about. double: blind to the fitter too."""

    loft_deg: float
    clubs: list[ClubOfTestIn]
    places: list[str]
    shaft: int | None = None
    control: int | None = None
    control_is: Control | None = None
    repeat: int | None = None
    short: bool = False
    double: bool = False
    wedge: int | None = None


@dataclass
class SoleCheckOut:
    """What a test would take, and what else differs than the sole."""

    handings: int
    minutes: int
    warnings: list[Said]


@dataclass
class SoleChoiceOut:
    """A club that could be in a test. suits: that it stands for the control, as what; empty where it does not."""

    head: int | None
    build: int | None
    bend_deg: float
    name: Said
    sole: str
    bounce_deg: float | None
    loft_deg: float
    control: Control | None


@dataclass
class SolePlace:
    """told: what is asked of the player, for the hand that he plays with."""

    key: str
    name: Said
    told: Said
    sand: bool
    target_m: float
    open_face: bool


@dataclass
class SoleChoicesOut:
    """chosen, control: proposed, by their place among the clubs; places: by the wedge's own uses, of all lies; shaft:
    of the rack, for all heads of it."""

    loft_deg: float
    clubs: list[SoleChoiceOut]
    chosen: list[int]
    control: int | None
    places: list[str]
    lies: list[SolePlace]
    shaft: int | None
    shaft_name: str


@dataclass
class SaidIn:
    """said: better 1, level 0, worse -1 than the one before, null for the first at a lie; best: the same against the
    best so far; groove: where it struck, from the lowest; left_m: from the hole; opened: the face more 1, as much 0,
    less -1 than with the one before."""

    said: int | None = None
    turf: TurfSaid | None = None
    best: int | None = None
    groove: int | None = None
    sound: str = ""
    left_m: float | None = None
    opened: int | None = None


@dataclass(kw_only=True)
class HandingIn(SaidIn):
    """One code hit at one lie. visit: which return to it, 0 for the first time."""

    code: int
    place: str
    visit: int = 0
    duel: bool = False


@dataclass
class TakeCodeIn:
    code: int
    place: str


@dataclass
class PlaceIn:
    place: str


@dataclass
class GuessIn:
    """confidence: guess, fairly or certain."""

    code: int
    confidence: str


@dataclass
class RevealIn:
    early: bool = False


@dataclass
class ChooseIn:
    code: int


@dataclass
class CourseNoteIn:
    """ruled_out: for which course or ground the sole is ruled out, with the reason in `word`."""

    played_on: date
    code: int
    place: str = ""
    word: str = ""
    first: bool = False
    ruled_out: str = ""


@dataclass
class NextCode:
    code: int
    place: str
    duel: bool
    visit: int


@dataclass
class SoleClubOut:
    """What a code is, told at the reveal."""

    name: Said
    sole: str
    bounce_deg: float | None
    loft_deg: float
    shaft: str
    control: bool
    same_as: int | None
    loft_role: LoftRole | None


@dataclass
class SoleCellOut:
    """Means of one code at one lie; null where nothing was read."""

    place: str
    n: int
    launch_deg: float | None
    spin_rpm: float | None
    carry_m: float | None
    run_m: float | None
    left_m: float | None


@dataclass
class SoleCodeOut:
    """build: that its shots are filed under. dropped: after how many lies, null while it is in; bad: lies at which it
    met the ground badly; under: at which its spin is under the floor."""

    code: int
    word: str
    build: int
    dropped: int | None
    club: SoleClubOut | None
    cells: list[SoleCellOut]
    spread_m: float | None
    spread_low_m: float | None
    spread_high_m: float | None
    bad: list[str]
    under: list[str]


@dataclass
class HandingOut:
    id: int
    code: int
    place: str
    visit: int
    duel: bool
    said: int | None
    best: int | None
    turf: TurfSaid | None
    groove: int | None
    sound: str
    left_m: float | None
    opened: int | None


@dataclass
class SoleResultOut:
    """order: codes, best liked first; placed: their places, shared where they are not told apart; named: beyond doubt,
    null where none is; likely: that hold the best with eight chances in ten; sure: chance of the first. measured:
    sentences of distance and spin, beside the ranking."""

    order: list[int]
    placed: list[int]
    named: int | None
    likely: list[int]
    sure: float
    same: bool
    sentences: list[Said]
    deciding: Said
    repeats: Said
    measured: list[Said]
    at_odds: Said
    belief: Said
    blindness: Said
    loft_needed: Said


@dataclass
class CourseNoteOut:
    played_on: date
    code: int
    place: str
    word: str
    first: bool
    by_player: bool
    ruled_out: str


@dataclass
class SoleTestOut:
    """setter: by sign-in name. ahead: what can be handed without asking, in order, while there is no line. since: shots
    after this number are of the code that is handed now. complete: the finalists were on every lie; unplayed: those
    they were not on. hand_out_opened: since when the assistant's page is open. course: the code of the player's notes,
    empty where there is none."""

    id: int
    blind: Blind
    setter: str
    setter_name: str
    loft_deg: float
    wedge: int | None
    short: bool
    on: bool
    revealed: bool
    places: list[SolePlace]
    codes: list[SoleCodeOut]
    handings: list[HandingOut]
    next: NextCode | None
    ahead: list[NextCode]
    shots: int
    since: int
    done: int
    more: int
    minutes: int
    complete: bool
    unplayed: list[str]
    duels: int
    finalists: int
    result: SoleResultOut
    warnings: list[Said]
    guess: int | None
    confidence: str
    chosen: int | None
    hand_out_opened: datetime | None
    course: str
    notes: list[CourseNoteOut]


@dataclass
class LinkLine:
    code: int
    word: str
    club: Said
    detail: Said
    taped: bool


@dataclass
class LinkOut:
    """Which code is which club, for whoever may know."""

    lines: list[LinkLine]


@dataclass
class HandOutCode:
    """The code of the assistant's page, shown this once; drawn: its address to scan, an SVG."""

    code: str
    drawn: str


@dataclass
class HandOutView:
    """The assistant's page."""

    revision: int
    customer: str
    lines: list[LinkLine]
    next: NextCode | None
    place: SolePlace | None
    following: NextCode | None
    shots: int
    more: int


@dataclass
class TapedIn:
    code: int
    taped: bool


@dataclass
class CourseCode:
    code: int
    name: Said


@dataclass
class CourseView:
    """The player's page of the course: codes that may be noted, by word or, once told, by club."""

    codes: list[CourseCode]
    places: list[SolePlace]
    notes: list[CourseNoteOut]
    since: date
