"""The short end as it is shown: its ends, steps, places of the cut, flights and claims."""

from __future__ import annotations

from dataclasses import dataclass

from hemicycle_core.judge.claims import Claim
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
class ShortEndOut:
    """widest: which of the steps between the ends is. minutes: what is left, and what to leave out; why: of the order
    of work. unhit: wedges never hit, by name. card: the distance card, None before a part swing was hit."""

    low: EndOut | None
    high: EndOut | None
    steps: list[StepOut]
    widest: int | None
    stages: list[Stage]
    minutes: Said
    school: School
    why: Said
    sentence: Said
    unhit: list[str]
    open_under: Said
    schools: SchoolsOut | None
    places: list[PlaceOut]
    recheck: Said
    card: CardOut | None
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
