"""Keeping the targets as they were: a new version whenever they moved, from the first candidate on."""

from __future__ import annotations

from typing import Any

from hemicycle_core.answers import InWork
from hemicycle_core.answers.space import targets
from shop.models import User

from ..domain.session import load
from ..models import FittingSession, WindowVersion

MOVED_M = 0.3  # a third of a yard: less is how an average settles, not a change of aim


def _slots(work: InWork) -> list[list[dict[str, Any]]]:
    if work.layout is None:
        return []
    return [
        [{"quantity": t.quantity, "low": t.low, "high": t.high} for t in targets(work, slot)]
        for slot in work.layout.slots
    ]


def _moved(before: list[list[dict[str, Any]]], after: list[list[dict[str, Any]]]) -> bool:
    def ends(slots: list[list[dict[str, Any]]]) -> list[float | None]:
        return [target[end] for slot in slots for target in slot for end in ("low", "high")]

    old, new = ends(before), ends(after)
    if len(old) != len(new):
        return True
    return any(
        (a is None) != (b is None) or (a is not None and b is not None and abs(a - b) > MOVED_M)
        for a, b in zip(old, new, strict=True)
    )


def keep_windows(session: FittingSession, actor: User | None, *, first: bool = False) -> None:
    """Write down the targets in force when they differ from the last ones kept. first: a candidate was just put on
    the stand, so that there is something to keep them for."""
    last = WindowVersion.objects.of(session.shop_id).filter(session=session).order_by("-id").first()
    if last is None and not first:
        return
    slots = _slots(load(session).work)
    if slots and (last is None or _moved(last.slots, slots)):
        WindowVersion.objects.create(shop_id=session.shop_id, session=session, by=actor, slots=slots)
