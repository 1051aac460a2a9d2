"""The space between the ends of the wedges, cut: which own wedge stands at each place, the bend that would bring it
there, and whose place a new one would take."""

from __future__ import annotations

import itertools
from collections import defaultdict
from collections.abc import Callable, Mapping, Sequence
from dataclasses import dataclass
from typing import Any

from ..bag import Carried, Slot, SlotLayout, nearest_slot
from ..bag.gaps import CROWDED_M, HAIR_M, StepWish
from ..said import Said, far, say, some_way
from ..wedges.short_end import set_wedge_of, wedges_of
from .changes import Change, ChangeKind
from .whatif import Prediction

BENDS_DEG = (1.0, -1.0, 2.0, -2.0)
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


@dataclass(frozen=True)
class Between:
    """An own wedge between the ends. bends: what each bend that it still bears would do, none without its shots, asked
    for where a step is outside the wish; parts: carries of the part swings that the player has shown to be numbers,
    metres."""

    club: Carried
    bends: Callable[[], Sequence[Prediction]] = tuple
    parts: Sequence[float] = ()


@dataclass(frozen=True)
class _Rung:
    """A carry of the ladder as it is, or as a bend makes it. parts: as of `Between`."""

    carry_m: float
    parts: Sequence[float] = ()


def cut_places(
    layout: SlotLayout, ends: tuple[Carried, Carried], wedges: Sequence[Between], wish: StepWish
) -> list[CutPlace]:
    """What each place asks of the wedges between the ends, each at one place at most.

    wish: the step wanted. A wedge a little off an even cut is in its place where its steps are inside the wish, or
    where a part swing fills what is left of them; a bend is proposed where it brings a step back inside, and no more
    bends than that takes. A place where nothing stands counts as filled by what will come there.
    """
    free = {each.club.name: each for each in wedges}
    reach = (layout.slots[0].target_m - ends[0].carry_m) / 2
    stands: list[tuple[Slot, Between | None]] = []
    for slot in layout.slots:
        away = {name: abs(each.club.carry_m - slot.target_m) for name, each in free.items()}
        name = min(away, key=lambda each: (away[each], each), default="")
        stands.append((slot, free.pop(name) if name and away[name] <= reach else None))
    empty = [_Rung(slot.target_m) for slot, there in stands if there is None]
    as_they_are = _rungs(ends, wedges, empty, [None] * len(wedges))
    wrong = any(_outside(*step, wish) for step in itertools.pairwise(as_they_are))
    # What stands at no place is not bent: nobody would be told.
    placed = {there.club.name for _, there in stands if there is not None}
    known = {
        each.club.name: [bend for bend in each.bends() if bend.after] if wrong and each.club.name in placed else []
        for each in wedges
    }
    bent = _fewest_bends(ends, wedges, empty, wish, known)
    return [
        _place(slot, there, bent.get(there.club.name) if there else None, as_they_are, wish, known)
        for slot, there in stands
    ]


def _rungs(
    ends: tuple[Carried, Carried], wedges: Sequence[Between], empty: Sequence[_Rung], bends: Sequence[Prediction | None]
) -> list[_Rung]:
    """The ladder, shortest first, with each wedge bent as is said."""
    mine = [
        _Rung(each.club.carry_m + (bend.gain("carry_m") if bend else 0.0), each.parts)
        for each, bend in zip(wedges, bends, strict=True)
    ]
    return sorted([*(_Rung(end.carry_m) for end in ends), *mine, *empty], key=lambda rung: rung.carry_m)


def _outside(lower: _Rung, upper: _Rung, wish: StepWish) -> float:
    """How far a step lies outside the wish, metres; nought inside it, and where a part swing of the longer wedge fills
    it."""
    step = upper.carry_m - lower.carry_m
    if step < wish.least_m - HAIR_M:
        return wish.least_m - step
    filled = any(
        lower.carry_m < part < upper.carry_m and wish.closes(part - lower.carry_m) and wish.closes(upper.carry_m - part)
        for part in upper.parts
    )
    return 0.0 if filled or wish.closes(step) else step - wish.most_m


def _fewest_bends(
    ends: tuple[Carried, Carried],
    wedges: Sequence[Between],
    empty: Sequence[_Rung],
    wish: StepWish,
    known: Mapping[str, Sequence[Prediction]],
) -> dict[str, Prediction]:
    """The bends that bring most steps back inside the wish, as few of them as do it, by the name of the wedge."""

    def wrong(bends: Sequence[Prediction | None]) -> tuple[int, float]:
        off = [_outside(*pair, wish) for pair in itertools.pairwise(_rungs(ends, wedges, empty, bends))]
        return sum(each > 0 for each in off), sum(off)

    ways = [[None, *known[each.club.name]] for each in wedges]
    best: tuple[Prediction | None, ...] = (None,) * len(wedges)
    least, _ = wrong(best)
    by_count: dict[int, list[tuple[Prediction | None, ...]]] = defaultdict(list)
    for made in itertools.product(*ways):
        by_count[sum(each is not None for each in made)].append(made)
    for count in sorted(by_count)[1:]:
        if not least:
            break
        made = min(by_count[count], key=lambda each: (*wrong(each), sum(abs(b.change.amount) for b in each if b)))
        if wrong(made)[0] < least:
            best, least = made, wrong(made)[0]
    return {each.club.name: bend for each, bend in zip(wedges, best, strict=True) if bend is not None}


def _place(
    slot: Slot,
    there: Between | None,
    bend: Prediction | None,
    ladder: Sequence[_Rung],
    wish: StepWish,
    known: Mapping[str, Sequence[Prediction]],
) -> CutPlace:
    if there is None:
        return CutPlace(slot, "", 0.0, None, say("cut-nothing-near", carry=far(slot.target_m)))
    name, off_m = there.club.name, there.club.carry_m - slot.target_m
    says: dict[str, Any] = {"carry": far(slot.target_m), "name": name}
    if abs(off_m) <= (slot.high_m - slot.low_m) / 2 and bend is None:
        return CutPlace(slot, name, off_m, None, say("cut-is-there", **says))
    off = say("cut-is-off", off=some_way(abs(off_m)), long=off_m > 0, **says)
    if bend is not None:
        give = some_way(INTERVAL_90 * bend.error["carry_m"])
        after = {"carry": far(bend.after["carry_m"]), "give": give}
        return CutPlace(slot, name, off_m, bend, say("cut-a-bend", said=off, bend=bend.change.words, **after))
    at = ladder.index(_Rung(there.club.carry_m, there.parts))
    steps = list(itertools.pairwise(ladder[at - 1 : at + 2]))
    if not any(_outside(*step, wish) for step in steps):
        filled = not all(wish.closes(upper.carry_m - lower.carry_m) for lower, upper in steps)
        return CutPlace(slot, name, off_m, None, say("cut-steps-inside", said=off, filled=filled, wanted=wish.text))
    return CutPlace(slot, name, off_m, None, say("cut-no-bend", said=off, known=bool(known[name])))


def proposed_here(place: CutPlace, name: str, *, goes: bool) -> Said:
    """Of a place for which a new wedge is proposed. name: its; goes: the own wedge there leaves for it."""
    instead = bool(place.club and goes)
    return say("cut-proposed-here", carry=far(place.slot.target_m), name=name, instead=instead, old=place.club)


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
