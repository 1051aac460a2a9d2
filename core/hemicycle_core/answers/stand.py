"""The builds under judgement: each with the place it is tried for, and all that the decision is given."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace
from typing import Any

import numpy as np

from ..bag import Carried, Slot
from ..brief import Target
from ..decision import BagClub, Demand, Limits
from ..facts import Club, Facts
from ..facts.session import air_of, answered, liking_of, next_heads
from ..judge import Candidate, Case, Liking
from ..judge.cut import CutPlace
from ..kept import lazily
from ..said import NOTHING
from ..wedges import WedgeFlight
from .bag import BagNow
from .clubs import KnownClubs, as_expected, mean_of
from .ends import WedgeEnds
from .space import InWork, targets_in
from .wedges import OwnPlace, bend_room, flies_high, flights_of, own_place, places_of, replaces, sole_open


@dataclass(frozen=True, eq=False)
class OnTrial:
    """A build that is decided on. place: of its own, where it has one; slot: the one in work that it is nearest to;
    replaces: the own wedge whose place it would take, empty for none; wanted: the targets it is judged by."""

    club: Club
    place: OwnPlace | None
    slot: Slot | None
    replaces: str
    wanted: list[Target]


@dataclass(frozen=True, eq=False)
class OnStand:
    """What is judged and what it is judged for. places: of the cut, what each asks of the wedges that are there; tried:
    the builds that are not taken in, by number."""

    work: InWork
    places: list[CutPlace]
    tried: Mapping[int, OnTrial]

    @property
    def facts(self) -> Facts:
        return self.work.facts

    @property
    def known(self) -> KnownClubs:
        return self.work.known

    @property
    def bag(self) -> BagNow:
        return self.work.ends.bag

    @property
    def ends(self) -> WedgeEnds:
        return self.work.ends

    def wanted_of(self, club: Club) -> list[Target]:
        """What a club is judged by: nothing of an own one and of what was taken in."""
        found = self.tried.get(club.key)
        return [] if found is None else found.wanted

    def replaces(self, club: Club) -> str:
        found = self.tried.get(club.key)
        return replaces(self.work, club, self.places) if found is None else found.replaces

    @lazily
    def flights(self) -> dict[int, WedgeFlight]:
        """Of the wedges, by number."""
        return flights_of(self.work)

    @lazily
    def candidates(self) -> dict[int, Candidate]:
        """Every club as the judge sees it, by number."""
        facts = self.facts
        return {club.key: self._candidate(club) for club in (*facts.own, *facts.candidates)}

    @lazily
    def cases(self) -> list[Case]:
        """The builds that are decided on, each with the place it is tried for."""
        return [self._case(each) for each in self.tried.values()] if self.work.somewhere else []

    def _candidate(self, club: Club) -> Candidate:
        facts = self.facts
        down, up = club.head.rack.turns_deg if club.head else (0.0, 0.0)
        bend_down, bend_up = bend_room(club)
        return Candidate(
            letter=club.letter,
            name=club.name,
            head_type=club.head_type,
            shots=club.shots,
            up_deg=max(up - club.turned_deg, 0.0),
            down_deg=max(down + club.turned_deg, 0.0),
            loft_deg=club.loft_deg,
            next_heads=next_heads(facts, club),
            air=air_of(facts, club),
            anchored=self.known.anchored,
            length_m=club.length_in_a_set_m,
            length_stated="length_m" not in club.assumed,
            price=club.price,
            liking=liking_of(facts, club),
            answered=answered(club),
            own=club.is_own,
            out_of_favour=bool(club.out_of_favour),
            monitor=facts.monitor,
            bend_down_deg=bend_down,
            bend_up_deg=bend_up,
            flies_high=flies_high(self.flights, club) if club.is_wedge and not club.is_own else NOTHING,
            head=club.head_key if club.head else "",
        )

    def _case(self, tried: OnTrial) -> Case:
        own, slot = tried.place, tried.slot
        # A wedge that is tried elsewhere than in the space in work has a place of its own there.
        place = -1 - round(own.layout.slots[0].target_m) if own is not None else slot.index if slot is not None else 0
        return Case(
            self.candidates[tried.club.key],
            tried.wanted,
            *_beside(self.work, tried),
            self.work.wanted,
            sole_open=sole_open(self.work, tried.club),
            replaces=tried.replaces,
            slot=place,
            named=self.work.named is not None and own is None,
        )


def on_stand(work: InWork) -> OnStand:
    places = places_of(work)
    tried = {club.key: _tried(work, club, places) for club in work.facts.candidates if not club.accepted}
    return OnStand(work, places, tried)


def _tried(work: InWork, club: Club, places: Sequence[CutPlace]) -> OnTrial:
    instead, slot = replaces(work, club, places), work.slot_of(club)
    place = own_place(work, club, instead)
    return OnTrial(club, place, slot, instead, _wanted(work, club, place, slot))


def _wanted(work: InWork, club: Club, place: OwnPlace | None, slot: Slot | None) -> list[Target]:
    """What a candidate is judged by: its slot's targets, with the carry window of its own."""
    if work.wanted.windowless:
        return work.without_window
    if place is not None:
        return place.targets(work.facts.core_jobs, work.facts.brief.miss)
    return [] if slot is None else targets_in(work, slot, work.window_of(club, slot))


def _beside(work: InWork, tried: OnTrial) -> tuple[Carried | None, Carried | None]:
    """The clubs on both sides: of the space in work; of a wedge in the cut those of the bag it would lie between."""
    carry = mean_of(tried.club, "carry_m")
    if tried.place is not None:
        return tried.place.lower, tried.place.upper
    if work.cut is None or carry is None:
        return work.beside
    rest = [club for club in work.ends.bag.clubs if club.name != tried.replaces]
    lower = max((c for c in rest if c.carry_m <= carry.mean), key=lambda c: c.carry_m, default=None)
    upper = min((c for c in rest if c.carry_m > carry.mean), key=lambda c: c.carry_m, default=None)
    return lower, upper


# What the decision is given


def given(stand: OnStand) -> dict[str, Any]:
    """All that `decide_session` is given."""
    facts, work, bag = stand.facts, stand.work, stand.bag
    own = [
        replace(stand.candidates[club.key], name=club.called) for club in (*facts.own, *facts.accepted) if club.shots
    ]
    return {
        "cases": stand.cases,
        "jobs": facts.played_jobs,
        "own": own,
        "bag": own_clubs(stand),
        "builds": tried_builds(stand),
        "unhit": unhit_builds(stand),
        "replaced": None if work.like is None else work.like.name,
        "limits": limits_of(stand),
        "rules": bag.rules,
        "demand": demand_of(facts),
        "feared": facts.brief.feared,
        "swaps": len(facts.brief.shares) > 1,
        "thresholds": facts.thresholds,
        "nothing_open": not work.somewhere and len(bag.clubs) > 1,
    }


def own_clubs(stand: OnStand) -> list[BagClub]:
    """The bag as it is played, what was taken in for now among it, without the clubs whose carry nobody knows."""
    known = [club for club in stand.facts.in_bag if club.key in stand.known.carried]
    unhit = stand.known.unhit(known)
    expected = stand.known.expected(unhit, stand.known.expectation()) if unhit else {}
    return [BagClub(stand.known.carried[club.key], str(club.key), club.fixed, expected.get(club.key)) for club in known]


def tried_builds(stand: OnStand) -> dict[str, BagClub]:
    """The builds that were hit, by letter, as the bag sees them."""
    carried = stand.known.carried
    there = [each.club for each in stand.tried.values() if each.club.key in carried]
    return {club.letter: BagClub(carried[club.key], str(club.key)) for club in there}


def unhit_builds(stand: OnStand) -> list[BagClub]:
    """The builds of the stand that nobody hit, as they should do by what the player's clubs and the shop know."""
    facts, known = stand.facts, stand.known
    there = known.unhit([each.club for each in stand.tried.values()])
    there = [club for club in there if liking_of(facts, club) is not Liking.VETOED]
    expected = known.expected(there, known.expectation(facts.records)) if there else {}
    return [
        BagClub(as_expected(club, found), str(club.key), expected=found, price=club.price)
        for club in there
        if (found := expected.get(club.key)) is not None
    ]


def demand_of(facts: Facts) -> Demand:
    """On which courses the jobs come up, and how often."""
    shares = facts.brief.shares
    return Demand(
        uses=np.array([job.uses_per_round for job, _ in facts.played]),
        courses=tuple(job.course if job.course in shares else "" for job, _ in facts.played),
        shares=shares,
    )


def limits_of(stand: OnStand) -> Limits:
    facts = stand.facts
    unseen = len(facts.in_bag) - len(stand.bag.clubs)
    budget = None if facts.brief.budget is None else float(facts.brief.budget)
    return Limits(facts.brief.most_clubs, facts.space.clubs_to_place, budget, unseen)
