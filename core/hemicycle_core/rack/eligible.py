"""Which heads of the rack can be had by this player at all, and why the others cannot."""

from __future__ import annotations

from collections.abc import Collection
from dataclasses import dataclass

from ..errors import BadInput
from ..heads import HEAD_WORDS, HeadType
from ..said import AS_IS, NOTHING, Form, Said, angle, inches, listed, money, say
from .pulling import seats

SWUNG_FULL = (HeadType.FAIRWAY, HeadType.HYBRID, HeadType.UTILITY)  # read along the player's own clubs
SAME_LOFT_DEG = 0.05  # settings nearer than this are one
SAME_LENGTH_M = 0.003  # an eighth of an inch is seen on the ruler


@dataclass(frozen=True)
class Position:
    """One position of a sleeve by its name, against the stated head, degrees: more loft, more upright, face closed
    positive."""

    name: str
    loft_deg: float = 0.0
    lie_deg: float = 0.0
    face_deg: float = 0.0


@dataclass(frozen=True)
class RackHead:
    """A head as it stands on the rack. sleeve_deg: how far it turns either way, 0 for bonded; positions: the sleeve's
    own table, where the shop has it, in place of that. left_handed, right_handed: for whom it is made. tip_in: bore of
    the hosel, inches. price: None where it has none."""

    name: str
    head_type: HeadType
    loft_deg: float
    sleeve_deg: float = 0.0
    left_handed: bool = True
    stock: int = 1
    tip_in: float = 0.37
    price: float | None = None
    positions: tuple[Position, ...] = ()
    right_handed: bool = True

    @property
    def lofts_deg(self) -> list[float]:
        """The lofts its sleeve offers, each once, the stated one among them; none for a bonded head."""
        if self.positions:
            return sorted({round(self.loft_deg + each.loft_deg, 3) for each in self.positions} | {self.loft_deg})
        if not self.sleeve_deg:
            return []
        step = 1.0 if self.sleeve_deg % 1 == 0 else 0.5
        count = round(2 * self.sleeve_deg / step) + 1
        return [self.loft_deg - self.sleeve_deg + index * step for index in range(count)]

    @property
    def turns_deg(self) -> tuple[float, float]:
        """How far its sleeve turns down and up from the stated loft, both positive; nought for a bonded head."""
        lofts = self.lofts_deg or [self.loft_deg]
        return self.loft_deg - min(lofts), max(lofts) - self.loft_deg

    def position_of(self, loft_deg: float) -> Position | None:
        """The position that gives a loft, of several the one with the least face and lie; None without a table."""
        there = [each for each in self.positions if same_setting(self.loft_deg + each.loft_deg, loft_deg)]
        return min(there, key=lambda each: (abs(each.face_deg), abs(each.lie_deg), each.name), default=None)


def why_not(
    head: RackHead, *, left_handed: bool, vetoed: Collection[HeadType] = (), budget: float | None = None
) -> Said:
    """Why a head is left off the short list, in a few words; empty when it is not."""
    if left_handed and not head.left_handed:
        return say("rack-not-made-left-handed")
    if not left_handed and not head.right_handed:
        return say("rack-made-left-handed-only")
    if head.stock == 0:
        return say("rack-none-stock")
    if head.head_type in vetoed:
        return say("rack-vetoed-player")
    if budget is not None and head.price is not None and head.price > budget:
        return say("rack-over-budget", price=money(head.price))
    return NOTHING


def check_can_be_had(head: RackHead, *, left_handed: bool) -> None:
    """Raise BadInput for a head that this shop cannot hand this player."""
    if left_handed and not head.left_handed:
        raise BadInput(say("rack-one-not-left-handed", name=head.name), field="head")
    if not left_handed and not head.right_handed:
        raise BadInput(say("rack-one-left-handed-only", name=head.name), field="head")
    if head.stock == 0:
        raise BadInput(say("rack-cannot-had-now-there", name=head.name), field="head")


def goes_into(fits: Collection[str], tip_in: float, head: RackHead) -> bool:
    """Whether a shaft goes into a head. fits: the head types it is made for; tip_in: of the shaft, inches."""
    return head.head_type.value in fits and seats(tip_in, head.tip_in)


def check_shaft(name: str, fits: Collection[str], tip_in: float, head: RackHead) -> None:
    """Raise BadInput, with the reason, for a shaft that does not go into a head."""
    if head.head_type.value not in fits:
        raise BadInput(say("rack-does-not-go-into", name=name, kind=HEAD_WORDS[head.head_type]), field="shaft")
    if not seats(tip_in, head.tip_in):
        tips = {"tip": inches(tip_in, 3, AS_IS), "hosel": inches(head.tip_in, 3, AS_IS)}
        raise BadInput(say("rack-does-not-fit", shaft=name, head=head.name, **tips), field="shaft")


def check_setting(head: RackHead, loft_deg: float) -> None:
    """Raise BadInput for a loft that no turn of the sleeve gives."""
    if same_setting(loft_deg, head.loft_deg):
        return
    lofts = head.lofts_deg
    if not lofts:
        raise BadInput(say("rack-bonded-does-not-turn", name=head.name), field="set_loft_deg")
    inside = min(lofts) - 1e-6 <= loft_deg <= max(lofts) + 1e-6
    if head.positions and not any(same_setting(loft_deg, each) for each in lofts):
        offered = listed(say("of-loft", loft=angle(each, form=Form.SHORT)) for each in lofts)
        raise BadInput(
            say("rack-no-position-gives", name=head.name, loft=angle(loft_deg, form=Form.SHORT), offered=offered),
            field="set_loft_deg",
        )
    if not inside:
        raise BadInput(
            say("rack-turns-either-way", name=head.name, by=angle(head.sleeve_deg, form=Form.SHORT)),
            field="set_loft_deg",
        )


def same_length(length_m: float | None, other_m: float | None) -> bool:
    """Whether two clubs are built to one length; unknown ones are not."""
    return length_m is not None and other_m is not None and abs(length_m - other_m) < SAME_LENGTH_M


def same_setting(loft_deg: float | None, other_deg: float | None) -> bool:
    """Whether two lofts are one setting; unknown ones are not."""
    return loft_deg is not None and other_deg is not None and abs(loft_deg - other_deg) < SAME_LOFT_DEG
