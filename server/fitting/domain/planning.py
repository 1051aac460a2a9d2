"""The bag as it may become: the clubs of a session as options, plans weighed, the best one found."""

from __future__ import annotations

from collections import defaultdict
from collections.abc import Collection, Sequence
from dataclasses import replace
from functools import cached_property

import numpy as np
from hemicycle_core.bag import (
    Bag,
    BestPlan,
    Carried,
    ClubOption,
    Demand,
    HeadType,
    Limits,
    Plan,
    SwapPair,
    best_plan,
    exchanged,
    school_plan,
    weigh_plan,
)
from hemicycle_core.judge import Liking, Played, hit_enough
from hemicycle_core.judge.landings import usual_roll_m
from hemicycle_core.judge.play import DRAWS
from hemicycle_core.judge.unhit import play_expected
from hemicycle_core.judge.weigh import letter_of_own
from hemicycle_core.rack import Expectation, Expected, HeadRecord
from hemicycle_core.rack.expected import READ, expected_as_said
from numpy.typing import NDArray

from ..models import BagPlan, Build, FittingSession, HeadSeen
from .bag import name_of
from .session import JudgedSession

Floats = NDArray[np.float64]


class Planning:
    """The options of one session with what is asked of them."""

    def __init__(self, judged: JudgedSession, records: dict[str, HeadRecord]) -> None:
        self.judged = judged
        self.records = records

    @cached_property
    def expectation(self) -> Expectation:
        return self.judged.expectation(self.records)

    @cached_property
    def demand(self) -> Demand:
        jobs, shares = [job for job, _ in self.judged.rows.played], self.judged.rows.courses
        return Demand(
            uses=np.array([job.uses_per_round for job in jobs]),
            courses=tuple(job.course if job.course in shares else "" for job in jobs),
            shares=shares,
        )

    @cached_property
    def limits(self) -> Limits:
        session = self.judged.rows.session
        unseen = len(self.judged.rows.in_bag) - len(self.judged.bag.clubs)
        return Limits(session.most_clubs, None if session.budget is None else float(session.budget), unseen)

    @cached_property
    def builds(self) -> dict[str, Build]:
        """What may be in a plan, by key; what the player will not play is not."""
        # What was taken in for now stands on the stand too, and is there once.
        there = {build.pk: build for build in (*self.judged.rows.in_bag, *self.judged.rows.candidates)}.values()
        return {str(build.pk): build for build in there if self.judged.liking_of(build) is not Liking.VETOED}

    @cached_property
    def options(self) -> list[ClubOption]:
        return [option for build in self.builds.values() if (option := self._option(build)) is not None]

    def _option(self, build: Build) -> ClubOption | None:
        shots, thresholds = self.judged.rows.shots_of(build), self.judged.thresholds
        hit = hit_enough(shots, own=build.is_own, thresholds=thresholds)
        played = self._played(build) if hit else None
        known = hit or build.typed_carry_m is not None or build.is_own
        club = self.judged.bag.carried(build) if known else None
        if club is None or played is None:
            expected = self._expected(build, club)
            if expected is None:
                return None
            club = club or _expected_club(build, expected)
            weighed = self.judged.judgement.weighed
            played = play_expected(
                name_of(build), expected, weighed.pooled, self.judged.rows.played_jobs, eases=weighed.eases
            )
        return ClubOption(
            key=str(build.pk),
            club=replace(club, name=name_of(build)),
            success=self._worth(played),
            own=build in self.judged.rows.in_bag,
            fixed=build.fixed,
            hit=hit or build.is_own,
            price=float(build.price or 0),
        )

    def _worth(self, played: Sequence[Played]) -> Floats:
        feared = self.judged.rows.feared
        return np.stack([each.worth(feared) for each in played]) if played else np.zeros((0, DRAWS))

    def _played(self, build: Build) -> Sequence[Played] | None:
        letter = letter_of_own(name_of(build)) if build in self.judged.rows.in_bag else build.letter
        return self.judged.judgement.weighed.played.get(letter)

    def _expected(self, build: Build, typed: Carried | None) -> Expected | None:
        """What a club that was not hit should do: where its carry was typed, with that carry."""
        head = self.judged.head_of(build)
        made = self.expectation.of([head]) if head is not None and head.head_type in READ else []
        if typed is None:
            return made[0] if made else None
        kind = HeadType(build.head_type)
        flight = made[0] if made else expected_as_said(kind, typed.carry_m, typed.carry_sd_m)
        return replace(flight, carry_m=typed.carry_m, carry_sd_m=typed.carry_sd_m)

    def today(self) -> Plan:
        return Plan(frozenset(option.key for option in self.options if option.own))

    def weigh(self, plan: Plan) -> Bag:
        return weigh_plan(plan, self.options, self.demand, self.judged.bag.rules, self.limits)

    def best(self, options: Sequence[ClubOption] | None = None, *, swaps: bool = False) -> BestPlan:
        """The best bag for the places there are. options: out of these, not out of all."""
        places, rules = self.judged.rows.session.clubs_to_place, self.judged.bag.rules
        return best_plan(
            options or self.options,
            places,
            self.demand,
            rules,
            self.limits,
            swaps=swaps,
            thresholds=self.judged.thresholds,
        )

    def schools(self) -> list[tuple[str, Bag]]:
        """The bag by both schools of how many wedges belong between the ends, where that is asked and a wedge is being
        tried: those that are another bag than today's."""
        wedges = self.judged.wedges
        if wedges.ends is None or wedges.schools is None or not wedges.asked:
            return []
        found, ends, rules = wedges.schools, wedges.ends, self.judged.bag.rules
        there = {option.club.name for option in self.options if option.own}
        if not {ends[0].name, ends[1].name} <= there:
            return []
        made = [
            (name, school_plan(self.options, ends, n, self.demand, rules, self.limits, closed_first=closed))
            for name, n, closed in (("A wedge each", found.each, True), ("Part swings", found.part, False))
        ]
        return [(name, bag) for name, bag in made if bag.plan != self.today()]

    def kept(self, row: BagPlan) -> Plan:
        """A plan that was kept, as far as its clubs are still there to be weighed."""
        there = {option.key for option in self.options}
        keys = frozenset(str(build.pk) for build in row.builds.all()) & there
        swap = None
        if row.swap_home_id and row.swap_away_id and {str(row.swap_home_id), str(row.swap_away_id)} <= keys:
            swap = SwapPair(str(row.swap_home_id), str(row.swap_away_id), row.swap_course)
        return Plan(keys, swap)


def exchange(judged: JudgedSession, keys: Collection[str]) -> tuple[list[Build], list[Build]]:
    """What a set of clubs means for the bag of today: the candidates that come in, the own clubs that leave."""
    rows = judged.rows
    builds = {str(build.pk): build for build in (*rows.own, *rows.candidates)}
    own = {str(build.pk): build.fixed for build in rows.in_favour if judged.bag.carried(build) is not None}
    come, leave = exchanged(keys, own=own, new=[str(build.pk) for build in rows.candidates])
    return [builds[key] for key in come], [builds[key] for key in leave]


def seen_of(session: FittingSession) -> list[HeadSeen]:
    """What the shop knows of its heads from other customers' sessions."""
    return list(HeadSeen.objects.of(session.shop_id).exclude(session__customer=session.customer_id))


def records_of(seen: Sequence[HeadSeen]) -> dict[str, HeadRecord]:
    """By the key under which `head_key` has a head."""
    rows: dict[str, list[list[float]]] = defaultdict(list)
    for each in seen:
        rows[f"head {each.head_id}"].append(each.departure)
    return {key: HeadRecord(np.mean(departures, axis=0), len(departures)) for key, departures in rows.items()}


def planning_of(judged: JudgedSession) -> Planning:
    """A session's planning, with what the shop knows of its heads."""
    return Planning(judged, records_of(seen_of(judged.rows.session)))


def _expected_club(build: Build, expected: Expected) -> Carried:
    roll = expected.roll_m
    return Carried(
        name=build.name,
        head_type=HeadType(build.head_type),
        carry_m=expected.carry_m,
        total_m=expected.carry_m + (usual_roll_m(HeadType(build.head_type)) if roll is None else roll),
        total_read=roll is not None,
        loft_deg=build.loft_deg,
        peak_m=expected.peak_m,
        landing_deg=expected.landing_deg,
        spin_rpm=expected.spin_rpm,
        carry_sd_m=expected.carry_sd_m,
    )
