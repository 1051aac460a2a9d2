"""What the Bay sends and is shown: builds and shots."""

from __future__ import annotations

from dataclasses import dataclass, field
from datetime import datetime
from typing import Any

from hemicycle_core.facts import RunAsked
from hemicycle_core.judge import ChangeKind
from hemicycle_core.judge.eased import PartSwing
from hemicycle_core.judge.held import Held
from hemicycle_core.said import Said

from .bag import SpanOut
from .words import CarryFrom, Complaint, DayKind, Finish, HeadType, Intent, Lie, Liking, Source, Strike, Wear


@dataclass
class FeelOut:
    """What the player said of a build, the last time it was more than skipped. marks: 1 to 5 by what was asked; words:
    as it is read out; numbers: some may have been seen before; times: how often it was said."""

    marks: dict[str, int]
    veto: bool
    word: str
    words: Said
    numbers: bool
    times: int


@dataclass(kw_only=True)
class Averaged:
    """What a build's own shots say, by themselves. averages: over kept shots, averages_all: over every shot, by
    reading. sources: of each average, the least trusted of its shots. longest_m, shortest_m: of the kept carries;
    smash: their ball speed over club speed; depth_m, width_m: how far the ellipse of four kept shots in five reaches.
    old_swing: shots from before the swing was changed."""

    kept: int
    set_aside: int
    old_swing: int
    miss_cost_m: float | None
    longest_m: float | None
    shortest_m: float | None
    smash: float | None
    depth_m: float | None
    width_m: float | None
    averages: dict[str, float]
    averages_all: dict[str, float]
    sources: dict[str, Source]


@dataclass(kw_only=True)
class BuildOut(Averaged):
    """What is known of a build; lengths in metres.

    head: of the rack, where it is from there. carry_from: what the carry is known by; known_from: when and in which
    air a typed figure was measured; carry_doubt_m: give or take of that figure, nine times in ten. settings_deg:
    the lofts its sleeve offers. wanted: what it is judged by, by reading, with the carry window of its own; empty
    for a club of the player's own. accepted: taken into the bag for the time being. roll_known: that window is by
    its own measured roll. out_of_favour: why the player plays it no more. work: what was done to the club it was
    made from, cautions: that go with it; assumed: fields that nobody stated. uses: of a wedge, times a round by
    kind of shot; kept_for: the short shot it is kept for; part_swings: those that were hit. held: balls on the job
    that they are counted on.
    """

    id: int
    letter: str
    name: str
    head: int | None
    head_type: HeadType
    detail: Said
    shaft: Said
    stated_loft_deg: float | None
    set_loft_deg: float | None
    measured_loft_deg: float | None
    own_shaft: str
    age_rounds: int | None
    wear: Wear | None
    length_m: float | None
    price: str | None
    fixed: bool
    accepted: bool
    liking: Liking
    turned_from: str
    settings_deg: list[float]
    carry_m: float | None
    total_m: float | None
    total_read: bool
    carry_from: CarryFrom
    known_from: str
    carry_doubt_m: float | None
    spread_m: float | None
    half_width_m: float | None
    settled: bool
    more: int | None
    wanted: dict[str, SpanOut]
    roll_known: bool
    out_of_favour: str
    stock_swing: str
    held: Held | None
    lie_deg: float | None
    bounce_deg: float | None
    sole: str
    finish: Finish | None
    grip: str
    stamping: str
    of_set: bool
    kept_out: bool
    on_order: bool
    kept_for: Said
    uses: dict[str, float]
    complaints: list[Complaint]
    part_swings: list[PartSwing]
    borrowed: bool
    assumed: list[str]
    work: list[Said]
    cautions: list[Said]
    feel: FeelOut | None


@dataclass
class ShotOut:
    """lie: where it was said; old_swing: from before the swing was changed. counts: its distance is one that the
    carry is made from. intent: what was meant, in the test that protocol names. misread: counts for nothing.
    distance, line: whether these count. sources: only those that are not the usual ones of the session.
    apart: why it is no stock
    shot otherwise, as its swing or ball; as_hit_m: its carry as measured, where wind was taken out of the readings.
    place: of a sole test, what was played. check_club: why it may have been hit with another club, instead: which;
    empty where that is sure. typed: read off a screen by somebody."""

    id: int
    number: int
    build: int
    run: int
    counts: bool
    aside: bool
    aside_reason: str
    strike: Strike | None
    protocol: str
    intent: Intent
    lie: Lie | None
    place: str
    apart: Said
    as_hit_m: float | None
    old_swing: bool
    misread: bool
    distance: bool
    line: bool
    readings: dict[str, float]
    sources: dict[str, Source]
    check_club: str
    instead: int | None
    typed: bool


@dataclass(kw_only=True)
class BuildSeenOut(Averaged):
    """carry_m: the mean of what its shots say, with their spread; null where none says anything of it."""

    id: int
    carry_m: float | None
    spread_m: float | None


@dataclass
class ChangeSeenOut:
    """What a change did, for who asked for no more (`Prefer: return=minimal`): what is judged anew is asked for after.
    revision: that it made. what: changed, in a word. shot: that is new or changed, build: that it is filed under. now:
    plain fields of the session as they are."""

    id: int
    revision: int
    what: str
    shot: ShotOut | None
    build: BuildSeenOut | None
    now: dict[str, Any] | None


@dataclass
class TypedIn:
    """A shot as it is read off a screen; null for what was not. offline_m: to the right positive."""

    build: int
    carry_m: float
    total_m: float | None = None
    offline_m: float | None = None
    peak_m: float | None = None
    ball_speed_mps: float | None = None
    launch_deg: float | None = None
    spin_rpm: float | None = None


@dataclass
class CandidateIn:
    head: int
    shaft: int
    set_loft_deg: float | None = None
    length_m: float | None = None
    bend_deg: float = 0.0


@dataclass
class CandidatesIn:
    """again: also what stands there as it is already."""

    candidates: list[CandidateIn]
    again: bool = False


@dataclass
class SettingIn:
    set_loft_deg: float


@dataclass
class WorkIn:
    kind: ChangeKind
    amount: float


@dataclass
class OtherwiseIn:
    """What is done to a club, one piece after the other; shaft: another one of the rack."""

    changes: list[WorkIn] = field(default_factory=list)
    shaft: int | None = None


@dataclass
class BorrowedIn:
    name: str
    head_type: HeadType
    loft_deg: float


@dataclass
class LevelIn:
    loft_deg: float


@dataclass
class LevelOut:
    """What turning to one loft does to a build. loft_deg: to which it comes, None where it is left out; why: what is
    left of the way, or the reason."""

    letter: str
    name: str
    loft_deg: float | None
    why: Said


@dataclass
class AcceptedIn:
    accepted: bool


@dataclass
class InHandIn:
    build: int


@dataclass
class AsideIn:
    aside: bool
    reason: str = ""


@dataclass
class StrikeIn:
    strike: Strike | None


@dataclass
class CountsIn:
    """What of a shot counts; nothing of a misread."""

    misread: bool = False
    distance: bool = True
    line: bool = True


@dataclass
class AskIn:
    """What the player is asked to hit from now on."""

    intent: Intent
    protocol: str


@dataclass
class TaskIn:
    """What a test asks for next; lie None: as the surface of the bay says."""

    build: int
    protocol: str
    length: str = "full"
    lie: Lie | None = None


@dataclass
class SwingIn:
    """changed: the player was told to swing otherwise; False takes the word back."""

    changed: bool


@dataclass
class LieIn:
    """Empty: as the surface of the bay says."""

    lie: Lie | None = None


@dataclass
class DayIn:
    kind: DayKind


@dataclass
class PinIn:
    pinned: bool


@dataclass
class MoveIn:
    build: int


@dataclass
class ShotsIn:
    """What is done to several shots; null leaves it as it is. no_strike: takes the call back."""

    shots: list[int]
    aside: bool | None = None
    reason: str = ""
    strike: Strike | None = None
    no_strike: bool = False
    build: int | None = None


@dataclass
class ActLine:
    at: datetime
    sentence: Said


@dataclass
class ActsOut:
    """undo, redo: what would be taken back or done again, in words; empty where there is nothing. trail: newest
    first."""

    undo: Said
    redo: Said
    trail: list[ActLine]


@dataclass(frozen=True)
class RunIn(RunAsked):
    """What the next shots are hit with: what is named is said anew. tee_mm, asked_carry_m: 0 or null for not said."""

    temperature_c: float | None = None
