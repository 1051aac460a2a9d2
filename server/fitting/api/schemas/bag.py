"""What the Bag sends and is shown: clubs, coverage, the gap in work, targets, rules."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, field
from typing import Self

from hemicycle_core.bag import Gap
from hemicycle_core.said import Said

from ...actions.targets import Named
from .wedges import ShortEndOut
from .words import (
    BagEnd,
    Complaint,
    Finish,
    Firmness,
    FlightWish,
    GapOrder,
    GapRule,
    HeadType,
    Liking,
    ReplaceWay,
    Wear,
    Wish,
)


@dataclass
class SpanOut:
    """From low to high in canonical units; None is open."""

    low: float | None
    high: float | None


@dataclass
class GapOut:
    """The space between two neighbours of the bag; see hemicycle_core.bag.Gap."""

    lower: int
    upper: int
    rule: GapRule
    step_m: float
    coverage_m: float
    open_m: float
    open_from_m: float
    open_to_m: float
    overlap_m: float
    crowded: bool

    @classmethod
    def of(cls, gap: Gap, ids: Mapping[str, int]) -> Self:
        """ids: of the builds by the club's name in the bag."""
        return cls(
            lower=ids[gap.lower.name],
            upper=ids[gap.upper.name],
            rule=gap.rule,
            step_m=gap.step_m,
            coverage_m=gap.coverage_m,
            open_m=gap.open_m,
            open_from_m=gap.open_from_m,
            open_to_m=gap.open_to_m,
            overlap_m=gap.overlap_m,
            crowded=gap.crowded,
        )


@dataclass
class TargetOut:
    quantity: str
    low: float | None
    high: float | None
    proposed_low: float | None
    proposed_high: float | None
    overruled: bool
    why: Said
    sure: Said
    firm: bool
    out_of_reach: Said


@dataclass
class TypeWindow:
    """The carry window of a slot for one kind of head, by its likely roll-out at this player's speed."""

    head_type: HeadType
    roll_m: float
    low_m: float
    high_m: float


@dataclass
class SlotOut:
    index: int
    target_m: float
    low_m: float
    high_m: float
    roll_m: float
    targets: list[TargetOut]
    by_type: list[TypeWindow]


@dataclass
class GapInWork:
    """The slots in work. lower, upper: builds on both sides, None at an end of the bag or without one. left_m: the
    largest hole left. proposed_count: how many clubs belong here by space, spread and uses."""

    lower: int | None
    upper: int | None
    rule: GapRule
    open_m: float
    count: int
    left_m: float
    slack_m: float
    at_worst_m: float
    sentence: Said
    proposed_count: int | None
    slots: list[SlotOut]


@dataclass
class RemarkOut:
    """Something worth knowing of the bag; what: collapse, peak_m, landing_deg, spin_rpm, overlap or count."""

    build: int
    what: str
    sentence: Said


@dataclass
class WishOut:
    """What leads. like: the build that a new one is held against; named: a yardage or band, with a gap to fill."""

    wish: Wish
    like: int | None
    flight: FlightWish | None
    named: Named | None
    ways: list[ReplaceWay]


@dataclass
class BagOut:
    """long_step, short_step: wanted at each end, metres; step_is_own: the fitter set one. turf: that roll-out is
    reckoned on, None for the monitor's own. end: that is worked at; short: the short end, None where it is not
    looked at. stand: what differs between the candidates besides the head. moved: what
    each candidate does to its neighbours, by letter. widest: the widest hole, where another is in work; beside: the own
    clubs that a build is held against."""

    order: list[int]
    gaps: list[GapOut]
    rule: GapRule
    rule_words: Said
    gap_order: GapOrder
    short_rule: GapRule
    short_rule_words: Said
    long_step: SpanOut
    short_step: SpanOut
    step_is_own: bool
    turf: Firmness | None
    stand: list[Said]
    moved: dict[str, Said]
    club_count: int
    headline: Said
    widest: GapOut | None
    beside: list[int]
    wanted: WishOut
    in_work: GapInWork | None
    end: BagEnd
    short: ShortEndOut | None
    remarks: list[RemarkOut]


@dataclass
class GapIn:
    """gap_above: the club below the gap in work; like_for: the club a new one is held against, with a wish that has
    one."""

    rule: GapRule
    clubs_to_place: int
    wish: Wish = Wish.GAP
    gap_above: int | None = None
    order: GapOrder = GapOrder.NEED
    flight: FlightWish | None = None
    ways: list[ReplaceWay] = field(default_factory=list)
    named: Named = field(default_factory=Named)
    like_for: int | None = None


@dataclass
class RulesIn:
    """Steps in metres: both ends of a step, or neither for the usual one. turf: that roll-out is reckoned on, empty
    for the monitor's own."""

    short_rule: GapRule
    turf: Firmness | None = None
    long_least_m: float | None = None
    long_most_m: float | None = None
    short_least_m: float | None = None
    short_most_m: float | None = None


@dataclass
class TargetIn:
    """Both ends empty: the proposal is in force again."""

    slot: int
    quantity: str
    low: float | None = None
    high: float | None = None


@dataclass
class ClubIn:
    name: str
    head_type: HeadType | None = None
    set_loft_deg: float | None = None
    typed_carry_m: float | None = None
    typed_total_m: float | None = None
    typed_doubt_m: float | None = None
    fixed: bool | None = None


@dataclass
class AverageIn:
    """A club's balls as a screen sums them up. within_m: of the average, all of them; null where that was not read."""

    name: str
    carry_m: float
    balls: int
    within_m: float | None = None
    total_m: float | None = None


@dataclass
class AveragesIn:
    clubs: list[AverageIn]


@dataclass
class ClubChange:
    """Only what is sent changes."""

    typed_carry_m: float | None = None
    typed_total_m: float | None = None
    typed_doubt_m: float | None = None
    fixed: bool = False
    liking: Liking = Liking.NEUTRAL
    out_of_favour: str = ""


@dataclass
class Stated:
    """What is stated or measured of a club; only what is sent changes. Lofts, lie and bounce in degrees."""

    head_type: HeadType | None = None
    stated_loft_deg: float | None = None
    set_loft_deg: float | None = None
    measured_loft_deg: float | None = None
    lie_deg: float | None = None
    bounce_deg: float | None = None
    length_m: float | None = None
    own_shaft: str | None = None
    age_rounds: int | None = None
    wear: Wear | None = None
    stock_swing: str | None = None
    sole: str | None = None
    finish: Finish | None = None
    grip: str | None = None
    stamping: str | None = None
    of_set: bool | None = None
    kept_out: bool | None = None
    on_order: bool | None = None
    uses: dict[str, float] | None = None
    complaints: list[Complaint] | None = None
