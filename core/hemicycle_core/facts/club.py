"""A club of a session as it is known: the player's own, or a build of the stand in one setting, with its shots."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from typing import Any

from ..flight import Air
from ..heads import HeadType
from ..impact import length_in_a_set
from ..judge import ChangeKind, Liking
from ..judge.changes import EFFECTS, Change
from ..judge.feel import Feel
from ..rack.eligible import RackHead
from ..rack.lofts import LoftedHead
from ..rack.made import MadeClub
from ..rack.specification import Specification
from ..rack.stock import Made, Wear
from ..runs import FULL
from ..said import NOTHING, Said
from ..shots import Shot
from ..wedges import Complaint, Finish, kept_for

OWN_SET = "own"  # irons of the player's own without a model are of one


@dataclass(frozen=True)
class DoneWork:
    """A piece of work that was done to a club, as it was said then."""

    kind: str
    amount: float
    words: Said

    @property
    def change(self) -> Change | None:
        """As a change that shots can be flown with; None of work that no flight tells."""
        return Change(ChangeKind(self.kind), self.amount) if self.kind in set(ChangeKind) else None


@dataclass(frozen=True)
class HeadKnown:
    """A head of the rack that a club is made of. key: its number; rack: as the rules of the rack see it."""

    key: int
    rack: RackHead
    maker: str
    called: str
    in_full: str
    model: str
    label: str
    length_m: float
    lie_deg: float | None
    bounce_deg: float | None
    sole: str
    made: Made

    @property
    def loft_deg(self) -> float:
        return self.rack.loft_deg

    @property
    def set_of(self) -> str:
        """The model whose heads are made alike; empty of a head without one."""
        return f"{self.maker} {self.model}".strip()


@dataclass(frozen=True)
class ShaftKnown:
    key: int
    name: str
    flex: str
    weight_g: int
    material: str


@dataclass(frozen=True, eq=False)
class Club:
    """key: its number. letter: of a build of the stand, empty of an own club. Lengths in metres, angles in degrees,
    None where nobody said. assumed: what nobody stated and its name made us assume. shots: in order, airs: what each
    flew in. turned_from: the number of the club it was made of, `turned_from_words` how that is called. accepted: taken
    into the bag for the time being, `taken` why. kept_out: a wedge that is no step, by the fitter's word."""

    key: int
    name: str
    head_type: HeadType
    letter: str = ""
    head: HeadKnown | None = None
    shaft: ShaftKnown | None = None
    stated_loft_deg: float | None = None
    set_loft_deg: float | None = None
    measured_loft_deg: float | None = None
    own_shaft: str = ""
    age_rounds: int | None = None
    wear: Wear | None = None
    length_m: float | None = None
    fixed: bool = False
    typed_carry_m: float | None = None
    typed_total_m: float | None = None
    typed_doubt_m: float | None = None
    typed_spread_m: float | None = None
    known_from: str = ""
    known_flight: Mapping[str, Any] | None = None
    price: float | None = None
    price_words: str | None = None
    turned_from: int | None = None
    turned_from_words: str = ""
    liking: Liking = Liking.NEUTRAL
    stock_swing: str = FULL
    stated_lie_deg: float | None = None
    stated_bounce_deg: float | None = None
    stated_sole: str = ""
    finish: Finish | None = None
    grip: str = ""
    stamping: str = ""
    of_set: bool | None = None
    kept_out: bool = False
    on_order: bool = False
    uses: Mapping[str, float] | None = None
    complaints: Sequence[Complaint] = ()
    stated_made: Made = Made.UNKNOWN
    work: Sequence[DoneWork] = ()
    borrowed: bool = False
    assumed: Sequence[str] = ()
    out_of_favour: str = ""
    archived: bool = False
    coded: bool = False
    accepted: bool = False
    taken: Mapping[str, Any] | None = None
    shots: Sequence[Shot] = ()
    airs: Sequence[Air] = ()
    felt: Sequence[Feel] = ()

    @property
    def is_own(self) -> bool:
        return not self.letter and not self.coded

    @property
    def is_wedge(self) -> bool:
        return self.head_type is HeadType.WEDGE

    @property
    def called(self) -> str:
        """A name that no other club of the session has: own clubs by theirs, candidates by their letter first."""
        return f"{self.letter} {self.name}".strip()

    @property
    def loft_deg(self) -> float | None:
        """What it is reckoned with: as measured on the gauge, else as set."""
        return self.set_loft_deg if self.measured_loft_deg is None else self.measured_loft_deg

    @property
    def made(self) -> MadeClub:
        """What work on a club can touch, with the work done so far."""
        head = self.head
        total = {
            kind: sum(each.amount for each in self.work if each.kind == kind) for kind in ("bend", "lie", "grip_down")
        }
        return MadeClub(
            name=self.name,
            head_type=self.head_type,
            loft_deg=self.loft_deg,
            lie_deg=head.lie_deg if self.stated_lie_deg is None and head else self.stated_lie_deg,
            bounce_deg=self.bounce_deg,
            length_m=self.length_m,
            bent_deg=total["bend"],
            lie_bent_deg=total["lie"],
            gripped_in=total["grip_down"],
            made=head.made if head else self.stated_made,
            head=head.rack if head else None,
        )

    @property
    def bounce_deg(self) -> float | None:
        return self.head.bounce_deg if self.stated_bounce_deg is None and self.head else self.stated_bounce_deg

    @property
    def is_of_set(self) -> bool:
        """Whether a wedge belongs to the irons: as it was stated, else by its name."""
        if self.of_set is not None or not self.is_wedge:
            return bool(self.of_set)
        return self.name == "PW"

    @property
    def sole(self) -> str:
        """Its sole as it was stated, else the head's; empty where nobody knows."""
        return self.stated_sole or (self.head.sole if self.head else "")

    @property
    def kept_for(self) -> Said:
        """The shot it is kept for, where the fitter keeps it out of the steps; empty of any other."""
        return kept_for(self.uses or {}) if self.kept_out else NOTHING

    @property
    def length_in_a_set_m(self) -> float | None:
        """The length that tells how fast it is swung: a head made longer gains less than the next club of a set."""
        if self.length_m is None:
            return None
        return length_in_a_set(self.length_m, self.head.length_m if self.head else None)

    @property
    def head_key(self) -> str:
        """The name under which the rack's predictions know its head."""
        return f"head {self.head.key}" if self.head else f"own {self.key}"

    @property
    def rack_head(self) -> LoftedHead | None:
        """The club as the rack's predictions see it; None where its loft or length is unknown."""
        if self.loft_deg is None or self.length_in_a_set_m is None:
            return None
        # A wedge of the set is the next iron of it; a specialist one of its loft is another head.
        kind = HeadType.IRON if self.is_of_set else self.head_type
        alike = self.head.set_of if self.head else OWN_SET if kind is HeadType.IRON and self.is_own else ""
        return LoftedHead(self.head_key, kind, self.loft_deg, self.length_in_a_set_m, alike)

    @property
    def turned_deg(self) -> float:
        """How far its sleeve is turned from the loft of its head."""
        return self.set_loft_deg - self.head.loft_deg if self.head and self.set_loft_deg is not None else 0.0

    @property
    def specification(self) -> Specification:
        """As it is built, for who builds it."""
        head, shaft, made = self.head, self.shaft, self.made
        return Specification(
            name=self.name,
            head=head.in_full if head else None,
            stated_loft_deg=self.stated_loft_deg,
            set_loft_deg=self.set_loft_deg,
            measured_loft_deg=self.measured_loft_deg,
            stock_swing=self.stock_swing,
            own_shaft=self.own_shaft,
            lie_deg=made.lie_deg,
            bounce_deg=made.bounce_deg,
            sole=self.sole,
            finish=self.finish or "",
            grip=self.grip,
            stamping=self.stamping,
            work=tuple(each.words for each in self.work),
            bent=any(each.kind == ChangeKind.BEND for each in self.work),
            length_m=self.length_m,
            shaft=shaft.name if shaft else None,
            shaft_g=shaft.weight_g if shaft else None,
            flex=shaft.flex if shaft else None,
            material=shaft.material if shaft else None,
            sleeve_deg=head.rack.sleeve_deg if head else None,
            price=self.price_words,
        )

    @property
    def cautions(self) -> list[Said]:
        """What to take care of in the work that it took, each said once."""
        said = [EFFECTS[change.kind].caution for each in self.work if (change := each.change) is not None]
        return list(dict.fromkeys(each for each in said if each))
