"""The space between the ends of the wedges, cut: which own wedge stands at each place, the bend that would bring it
there, and whose place a new one would take."""

from __future__ import annotations

from collections.abc import Callable, Sequence
from dataclasses import dataclass
from typing import Any

from ..bag import Carried, Slot, SlotLayout, nearest_slot
from ..bag.gaps import CROWDED_M
from ..said import Said, far, say, some_way
from ..wedges.short_end import set_wedge_of, wedges_of
from .changes import Change, ChangeKind
from .whatif import Prediction

BENDS_DEG = (1.0, -1.0, 2.0, -2.0)
WORTH_M = 0.5  # a bend that brings a wedge no nearer than this is none
INTERVAL_90 = 1.64


@dataclass(frozen=True)
class CutPlace:
    """A place of the cut: its slot, the name of the own wedge nearest to it, empty where none is within reach, how far
    that lies off in metres, long positive, and the bend that would bring it there, None without one."""

    slot: Slot
    club: str
    off_m: float
    bend: Prediction | None
    sentence: Said


def bends_left(stronger_deg: float, weaker_deg: float) -> list[Change]:
    """The bends that a wedge still bears, degrees it may go either way, smallest first."""
    return [Change(ChangeKind.BEND, by) for by in BENDS_DEG if -stronger_deg <= by <= weaker_deg]


def cut_places(
    layout: SlotLayout, low: Carried, wedges: Sequence[Carried], bends: Callable[[str], Sequence[Prediction]]
) -> list[CutPlace]:
    """What each place asks of the wedges between the ends, each at one place at most. low: the lower end; bends: what
    each bend that a wedge still bears would do, by its name, none without its shots."""
    free = {club.name: club for club in wedges}
    reach = (layout.slots[0].target_m - low.carry_m) / 2
    places = []
    for slot in layout.slots:
        away = {name: club.carry_m - slot.target_m for name, club in free.items()}
        name = min(away, key=lambda each: (abs(away[each]), each), default="")
        if not name or abs(away[name]) > reach:
            words = say("cut-nothing-near", carry=far(slot.target_m))
            places.append(CutPlace(slot, "", 0.0, None, words))
            continue
        del free[name]
        places.append(_place(slot, name, away[name], bends))
    return places


def _place(slot: Slot, name: str, off_m: float, bends: Callable[[str], Sequence[Prediction]]) -> CutPlace:
    says: dict[str, Any] = {"carry": far(slot.target_m), "name": name}
    if abs(off_m) <= (slot.high_m - slot.low_m) / 2:
        return CutPlace(slot, name, off_m, None, say("cut-is-there", **says))
    off = say("cut-is-off", off=some_way(abs(off_m)), long=off_m > 0, **says)
    known = [each for each in bends(name) if each.after]
    bend = _nearest(known, -off_m)
    if bend is None:
        return CutPlace(slot, name, off_m, None, say("cut-no-bend", said=off, known=bool(known)))
    give = some_way(INTERVAL_90 * bend.error["carry_m"])
    after = {"carry": far(bend.after["carry_m"]), "give": give}
    return CutPlace(slot, name, off_m, bend, say("cut-a-bend", said=off, bend=bend.change.words, **after))


def proposed_here(place: CutPlace, name: str, *, goes: bool) -> Said:
    """Of a place for which a new wedge is proposed. name: its; goes: the own wedge there leaves for it."""
    instead = bool(place.club and goes)
    return say("cut-proposed-here", carry=far(place.slot.target_m), name=name, instead=instead, old=place.club)


def _nearest(bends: Sequence[Prediction], by_m: float) -> Prediction | None:
    """The bend that brings a carry nearest to one by_m further; None where none brings it nearer."""

    def left(bend: Prediction) -> float:
        return abs(bend.gain("carry_m") - by_m)

    best = min(bends, key=left, default=None)
    return best if best is not None and left(best) < abs(by_m) - WORTH_M else None


def takes_place_of(carry_m: float, clubs: Sequence[Carried], places: Sequence[CutPlace]) -> str:
    """The own wedge whose place a new one of this carry would take: one that carries the same, else the one that stands
    in its place of the cut; empty where it is one more. The set wedge stays, as does one kept for one shot."""
    top = set_wedge_of(clubs)
    there = [club for club in wedges_of(clubs) if not club.kept_for and club is not top]
    off, name = min(((abs(club.carry_m - carry_m), club.name) for club in there), default=(CROWDED_M, ""))
    if off < CROWDED_M:
        return name
    if not places:
        return ""
    mine = nearest_slot([place.slot for place in places], carry_m)
    return next(place.club for place in places if place.slot.index == mine.index)
