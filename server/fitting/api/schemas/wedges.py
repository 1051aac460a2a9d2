"""The short end as it is shown: its ends, steps, places of the cut, flights and claims."""

from __future__ import annotations

from dataclasses import dataclass

from hemicycle_core.impact import Lie
from hemicycle_core.judge.claims import Claim
from hemicycle_core.protocols.grooves.read import GroovesWorth
from hemicycle_core.said import Said
from hemicycle_core.wedges import Complaint, School, Stage
from hemicycle_core.wedges.flight import Cause, Window

from .stops import StopsOut


@dataclass
class EndOut:
    """One end: the build, its carry in metres, over how many kept shots, by which swing where it is not the full one,
    and what is still to be hit for it; empty where it stands."""

    build: int
    carry_m: float
    shots: int
    swing: Said
    missing: Said


@dataclass
class StepOut:
    """See hemicycle_core.wedges.Step. alike_m: the step had they been swung alike, with alike_half_m, half of its 90%
    interval; None where either was not hit."""

    lower: int
    upper: int
    step_m: float
    ball_step_mps: float | None
    over_m: float
    few: bool
    sentence: Said
    alike_m: float | None
    alike_half_m: float | None


@dataclass
class PlaceOut:
    """A place of the cut. build: the own wedge nearest to it; off_m: how far that lies off; bend_deg, with the carry
    and bounce that are predicted: what would bring it there."""

    target_m: float
    low_m: float
    high_m: float
    build: int | None
    off_m: float
    bend_deg: float | None
    bend_carry_m: float | None
    bend_error_m: float | None
    bounce_deg: float | None
    caution: Said
    sentence: Said


@dataclass
class SchoolsOut:
    """How many wedges belong between the ends: for a wedge for each yardage, with part swings, and as proposed."""

    each: int
    part: int
    proposed: int | None
    sentence: Said


@dataclass
class CellOut:
    """See hemicycle_core.protocols.part_swing.read.Cell."""

    swing: str
    carry_m: float
    doubt_m: float
    spread_m: float
    run_m: float
    n: int
    usable: bool
    why_not: str


@dataclass
class CardRowOut:
    build: int
    stock: str
    cells: list[CellOut]
    sentence: Said


@dataclass
class CardOut:
    """The distance card: its swings, longest first, without the stock ones; what no swing covers and what two wedges
    share, in sentences; eases: how well the player eases off; run: what the roll is reckoned on."""

    swings: list[str]
    rows: list[CardRowOut]
    open: list[Said]
    shared: list[Said]
    eases: Said
    run: Said


@dataclass
class TaskOut:
    """Shots of one wedge with one swing that the card asks for: done of wanted."""

    build: int
    swing: str
    done: int
    wanted: int


@dataclass
class PartPlanOut:
    """What the card still wants. minutes: what that takes; short: the swings that fit into twenty minutes; next: which
    task comes next, None when all is hit."""

    tasks: list[TaskOut]
    minutes: int
    short: list[str]
    next: TaskOut | None


@dataclass
class GrooveTaskOut:
    """Shots of one wedge from one lie, None for dry, that the groove test asks for."""

    build: int
    lie: Lie | None
    done: int
    wanted: int


@dataclass
class GrooveCode:
    build: int
    word: str


@dataclass
class BlindGroovesOut:
    """The groove test that is blind just now. setter: by sign-in name; guess: the code taken for the new one."""

    id: int
    setter: str
    setter_name: str
    codes: list[GrooveCode]
    guess: int | None
    confidence: str


@dataclass
class GroovePair:
    old: int
    fresh: int


@dataclass
class GroovePlanOut:
    """What the groove test still wants, empty where no fresh wedge of an old one's loft is there; minutes: that takes;
    length: of the swing it asks for. pairs: that could be hit blind; blind: the one that is."""

    tasks: list[GrooveTaskOut]
    minutes: int
    next: GrooveTaskOut | None
    length: str
    pairs: list[GroovePair]
    blind: BlindGroovesOut | None


@dataclass
class BesideOut:
    """One figure of both wedges, canonical; half: of the 90% interval of fresh less old, None while it is not
    known."""

    old: float
    fresh: float
    half: float | None
    told: bool


@dataclass
class FromLieBesideOut:
    lie: Lie | None
    n_old: int
    n_fresh: int
    figures: dict[str, BesideOut]
    sentence: Said


@dataclass
class GroovesOut:
    """An old wedge beside a fresh one of its loft. blind: what the player's guess said, where it was hit blind."""

    blind: Said
    old: int
    fresh: int
    lies: list[FromLieBesideOut]
    worth: GroovesWorth
    sentence: Said
    remarks: list[Said]


@dataclass
class ShortEndOut:
    """widest: which of the steps between the ends is. why: of the order of work. unhit: wedges never hit, by name.
    part: what the distance card still wants; card: as it stands, None before a part swing was hit."""

    low: EndOut | None
    high: EndOut | None
    steps: list[StepOut]
    widest: int | None
    stages: list[Stage]
    school: School
    why: Said
    sentence: Said
    unhit: list[str]
    schools: SchoolsOut | None
    places: list[PlaceOut]
    recheck: Said
    part: PartPlanOut
    card: CardOut | None
    grooves: GroovePlanOut
    stops: StopsOut


@dataclass
class WedgeFlightOut:
    """A wedge's full shots beside the window of its loft and ball speed. where: by quantity -1 under, 0 inside, 1
    over."""

    build: int
    windows: list[Window]
    means: dict[str, float]
    where: dict[str, int]
    high_little: bool
    sentence: Said
    causes: list[Cause]
    source: Said


@dataclass
class ClaimOut:
    club: str
    complaint: Complaint
    claim: Claim
    sentence: Said


@dataclass
class SoleOut:
    """The head of the rack that gives a sole in a loft; None where none does. shaft: one that goes into it; bend_deg:
    weaker positive, 0 as it is made."""

    head: int | None
    shaft: int | None
    bend_deg: float
    sentence: Said
