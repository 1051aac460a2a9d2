"""Which heads of the rack can be had by this player at all, and why the others cannot."""

from __future__ import annotations

from collections.abc import Collection
from dataclasses import dataclass

from ..errors import BadInput
from ..heads import HEAD_WORDS, HeadType
from .pulling import seats

SWUNG_FULL = (HeadType.FAIRWAY, HeadType.HYBRID, HeadType.UTILITY)  # read along the player's own clubs
SAME_LOFT_DEG = 0.05  # settings nearer than this are one


@dataclass(frozen=True)
class RackHead:
    """A head as it stands on the rack. sleeve_deg: how far it turns either way, 0 for bonded. tip_in: bore of the
    hosel, inches. price: None where it has none."""

    name: str
    head_type: HeadType
    loft_deg: float
    sleeve_deg: float = 0.0
    left_handed: bool = True
    stock: int = 1
    tip_in: float = 0.37
    price: float | None = None


def why_not(
    head: RackHead, *, left_handed: bool, vetoed: Collection[HeadType] = (), budget: float | None = None
) -> str:
    """Why a head is left off the short list, in a few words; empty when it is not."""
    if left_handed and not head.left_handed:
        return "not made left-handed"
    if head.stock == 0:
        return "none in stock"
    if head.head_type in vetoed:
        return "vetoed by the player"
    if budget is not None and head.price is not None and head.price > budget:
        return f"{head.price:.0f} is over the budget"
    return ""


def check_can_be_had(head: RackHead, *, left_handed: bool) -> None:
    """Raise BadInput for a head that this shop cannot hand this player."""
    if left_handed and not head.left_handed:
        raise BadInput(f"The {head.name} is not made left-handed.", field="head")
    if head.stock == 0:
        raise BadInput(f"The {head.name} cannot be had now: there is none in stock.", field="head")


def goes_into(fits: Collection[str], tip_in: float, head: RackHead) -> bool:
    """Whether a shaft goes into a head. fits: the head types it is made for; tip_in: of the shaft, inches."""
    return head.head_type.value in fits and seats(tip_in, head.tip_in)


def check_shaft(name: str, fits: Collection[str], tip_in: float, head: RackHead) -> None:
    """Raise BadInput, with the reason, for a shaft that does not go into a head."""
    if head.head_type.value not in fits:
        raise BadInput(f"{name} does not go into a {HEAD_WORDS[head.head_type]}.", field="shaft")
    if not seats(tip_in, head.tip_in):
        tips = f"its tip is {tip_in:.3f} in, the hosel {head.tip_in:.3f} in"
        raise BadInput(f"{name} does not fit the {head.name}: {tips}.", field="shaft")


def check_setting(head: RackHead, loft_deg: float) -> None:
    """Raise BadInput for a loft that no turn of the sleeve gives."""
    if abs(loft_deg - head.loft_deg) > head.sleeve_deg + 1e-6:
        can = f"turns {head.sleeve_deg:g}° either way" if head.sleeve_deg else "is bonded and does not turn"
        raise BadInput(f"The {head.name} {can}.", field="set_loft_deg")


def settings_of(head: RackHead) -> list[float]:
    """The lofts a sleeve offers, degrees, the stated one among them; none for a bonded head."""
    if not head.sleeve_deg:
        return []
    step = 1.0 if head.sleeve_deg % 1 == 0 else 0.5
    count = round(2 * head.sleeve_deg / step) + 1
    return [head.loft_deg - head.sleeve_deg + index * step for index in range(count)]


def same_setting(loft_deg: float | None, other_deg: float | None) -> bool:
    """Whether two lofts are one setting; unknown ones are not."""
    return loft_deg is not None and other_deg is not None and abs(loft_deg - other_deg) < SAME_LOFT_DEG
