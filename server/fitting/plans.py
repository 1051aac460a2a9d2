"""The bag as it may become: the clubs of a session as pieces, plans weighed, the best one found."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace
from decimal import Decimal
from functools import cached_property

import numpy as np
from hemicycle_core.bag import (
    Bag,
    Carried,
    Demand,
    HeadType,
    Limits,
    Piece,
    Plan,
    SwapPair,
    best_plan,
    next_hole,
    weigh_plan,
)
from hemicycle_core.judge import Liking, Played
from hemicycle_core.judge.judgement import letter_of_own
from hemicycle_core.judge.play import DRAWS
from hemicycle_core.judge.unhit import play_expected
from hemicycle_core.rack import Expectation, Expected, HeadRecord
from hemicycle_core.rack.expected import SWUNG
from hemicycle_core.samples.lofts import Head as CoreHead

from . import planning_pictures as pp
from .models import BagPlan, Build
from .read import Loaded
from .show_bag import between_picture, name_of


class Planning:
    """The pieces of one session with what is asked of them."""

    def __init__(self, loaded: Loaded, records: dict[str, HeadRecord]) -> None:
        self.loaded = loaded
        self.records = records

    @cached_property
    def expectation(self) -> Expectation:
        return self.loaded.expectation(self.records)

    @cached_property
    def demand(self) -> Demand:
        jobs, shares = self.loaded.jobs, self.loaded.courses
        return Demand(
            uses=np.array([job.uses_per_round for job in jobs]),
            courses=tuple(job.course if job.course in shares else "" for job in jobs),
            shares=shares,
        )

    @cached_property
    def limits(self) -> Limits:
        session = self.loaded.session
        unseen = len(self.loaded.own) - len(self.loaded.bag)
        return Limits(session.most_clubs, None if session.budget is None else float(session.budget), unseen)

    @cached_property
    def builds(self) -> dict[str, Build]:
        """What may be in a plan, by key; what the player will not play is not."""
        there = [*self.loaded.own, *self.loaded.candidates]
        return {str(build.pk): build for build in there if self.loaded.liking_of(build) is not Liking.VETOED}

    @cached_property
    def pieces(self) -> list[Piece]:
        return [piece for build in self.builds.values() if (piece := self._piece(build)) is not None]

    def _piece(self, build: Build) -> Piece | None:
        kept = sum(shot.kept for shot in self.loaded.shots_of(build))
        hit = kept >= (1 if build.is_own else self.loaded.limits.least_shots)
        played = self._played(build) if hit else None
        club = self.loaded.carried(build) if hit or build.typed_carry_m is not None else None
        if club is None or played is None:
            expected = self._expected(build, club)
            if expected is None:
                return None
            club = club or _expected_club(build, expected)
            played = play_expected(
                name_of(build), expected, self.loaded.judgement.weighed.pooled, self.loaded.core_jobs
            )
        return Piece(
            key=str(build.pk),
            club=replace(club, name=name_of(build)),
            success=np.stack([each.draws for each in played]) if played else np.zeros((0, DRAWS)),
            own=build.is_own,
            fixed=build.fixed,
            hit=hit or build.is_own,
            price=float(build.price or 0),
        )

    def _played(self, build: Build) -> Sequence[Played] | None:
        letter = letter_of_own(build.name) if build.is_own else build.letter
        return self.loaded.judgement.weighed.played.get(letter)

    def _expected(self, build: Build, typed: Carried | None) -> Expected | None:
        """What a club that was not hit should do: where its carry was typed, with that carry."""
        head = self.loaded.head_of(build)
        made = self.expectation.of([head]) if head is not None and head.head_type in SWUNG else []
        if typed is None:
            return made[0] if made else None
        known = head or CoreHead(f"own {build.pk}", HeadType(build.head_type), build.set_loft_deg or 24.0, 1.0)
        flight = made[0] if made else Expected(known, typed.carry_m, typed.carry_sd_m)
        return replace(flight, carry_m=typed.carry_m, carry_sd_m=typed.carry_sd_m)

    def today(self) -> Plan:
        return Plan(frozenset(piece.key for piece in self.pieces if piece.own))

    def weigh(self, plan: Plan) -> Bag:
        return weigh_plan(plan, self.pieces, self.demand, self.loaded.rules, self.limits)


def _expected_club(build: Build, expected: Expected) -> Carried:
    return Carried(
        name=build.name,
        head_type=HeadType(build.head_type),
        carry_m=expected.carry_m,
        total_m=expected.carry_m + (expected.roll_m or 0.0),
        loft_deg=build.set_loft_deg,
        peak_m=expected.peak_m,
        landing_deg=expected.landing_deg,
        spin_rpm=expected.spin_rpm,
        carry_sd_m=expected.carry_sd_m,
    )


def plans_picture(loaded: Loaded, kept: Sequence[BagPlan], records: dict[str, HeadRecord]) -> pp.PlansPicture:
    planning = Planning(loaded, records)
    today = planning.weigh(planning.today())
    found = best_plan(
        planning.pieces,
        loaded.session.clubs_to_place,
        planning.demand,
        loaded.rules,
        planning.limits,
        swaps=len(planning.demand.shares) > 1,
    )
    best = _picture(planning, found.bag, today, name="Best found", sentence=found.sentence)
    return pp.PlansPicture(
        today=_picture(planning, today, today, name="Today", sentence=""),
        found=best,
        plans=[_kept(planning, row, today) for row in kept],
        searched=found.searched,
        courses=[name for name, _ in planning.demand.rounds if name],
    )


def _kept(planning: Planning, row: BagPlan, today: Bag) -> pp.BagPlanPicture:
    there = {piece.key for piece in planning.pieces}
    keys = frozenset(str(build.pk) for build in row.builds.all() if str(build.pk) in there)
    swap = None
    if row.swap_home_id and row.swap_away_id and {str(row.swap_home_id), str(row.swap_away_id)} <= keys:
        swap = SwapPair(str(row.swap_home_id), str(row.swap_away_id), row.swap_course)
    picture = _picture(planning, planning.weigh(Plan(keys, swap)), today, name=row.name, sentence="")
    return replace(picture, id=row.pk)


def _picture(planning: Planning, bag: Bag, today: Bag, *, name: str, sentence: str) -> pp.BagPlanPicture:
    builds = planning.builds
    ids = {name_of(build): build.pk for build in builds.values()}
    gained = bag.rounds - today.rounds if bag.rounds.size else np.zeros(0)
    low, high = np.quantile(gained, [0.05, 0.95]) if gained.size else (None, None)
    swap = bag.plan.swap
    holes = [gap.hole_m for gap in bag.covered.between]
    return pp.BagPlanPicture(
        id=None,
        name=name,
        builds=sorted(int(key) for key in bag.plan.keys),
        swap_home=int(swap.home) if swap else None,
        swap_away=int(swap.away) if swap else None,
        swap_course=swap.course if swap else "",
        clubs=[_line(builds, ids[club.name], club, bag) for club in bag.covered.clubs],
        between=[between_picture(gap, ids) for gap in bag.covered.between],
        holes_m=bag.covered.holes_m,
        widest_m=max(holes, default=0.0),
        crowded=[f"{lower} and {upper}" for lower, upper in bag.crowded],
        club_count=bag.count,
        over=bag.over,
        rounds=bag.mean_rounds if bag.rounds.size else None,
        gain=float(gained.mean()) if gained.size else None,
        gain_low=None if low is None else float(low),
        gain_high=None if high is None else float(high),
        price=f"{Decimal(bag.price):.0f}",
        relearn=list(bag.relearn),
        added=list(bag.added),
        dropped=list(bag.dropped),
        expected=list(bag.expected),
        jobs=_jobs(planning, bag),
        sentence=sentence,
        next=next_hole(bag),
    )


def _line(builds: dict[str, Build], pk: int, club: Carried, bag: Bag) -> pp.ClubLine:
    build = builds[str(pk)]
    return pp.ClubLine(
        id=pk,
        letter=build.letter,
        name=build.name,
        head_type=build.head_type,
        loft_deg=club.loft_deg,
        carry_m=club.carry_m,
        total_m=club.total_m,
        new=not build.is_own,
        expected=club.name in bag.expected,
    )


def _jobs(planning: Planning, bag: Bag) -> list[pp.BagJobPicture]:
    of = {piece.key: piece for piece in planning.pieces}
    return [
        pp.BagJobPicture(
            job=job.name,
            uses_per_round=job.uses_per_round,
            club=of[key].club.name if key else "",
            success=float(of[key].success[index].mean()) if key else 0.0,
        )
        for index, (job, key) in enumerate(zip(planning.loaded.jobs, bag.by_job, strict=bool(bag.by_job)))
    ]
