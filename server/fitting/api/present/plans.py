"""Bags side by side, as they are shown."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace

import numpy as np
from hemicycle_core.bag import Bag, Carried, HeadType, next_gap_words
from hemicycle_core.units import shown

from ...domain.bag import name_of
from ...domain.planning import Planning
from ...models import BagPlan, Build
from ..schemas.plans import BagJobOut, BagPlanOut, ClubLine, PlansOut
from .bag import present_gap


def present_plans(planning: Planning, kept: Sequence[BagPlan]) -> PlansOut:
    today = planning.weigh(planning.today())
    found = planning.best(swaps=len(planning.demand.shares) > 1)
    return PlansOut(
        revision=planning.judged.rows.session.revision,
        today=_plan(planning, today, today, name="Today", sentence=""),
        found=_plan(planning, found.bag, today, name="Best found", sentence=found.sentence),
        schools=[_plan(planning, bag, today, name=name, sentence="") for name, bag in planning.schools()],
        plans=[
            replace(_plan(planning, planning.weigh(planning.kept(row)), today, name=row.name, sentence=""), id=row.pk)
            for row in kept
        ],
        searched=found.searched,
        courses=[name for name, _ in planning.demand.rounds if name],
    )


def _plan(planning: Planning, bag: Bag, today: Bag, *, name: str, sentence: str) -> BagPlanOut:
    builds = planning.builds
    ids = {name_of(build): build.pk for build in builds.values()}
    gained = bag.rounds - today.rounds if bag.rounds.size else np.zeros(0)
    low, high = np.quantile(gained, [0.05, 0.95]) if gained.size else (None, None)
    swap = bag.plan.swap
    opened = [gap.open_m for gap in bag.covered.gaps]
    return BagPlanOut(
        id=None,
        name=name,
        builds=sorted(int(key) for key in bag.plan.keys),
        swap_home=int(swap.home) if swap else None,
        swap_away=int(swap.away) if swap else None,
        swap_course=swap.course if swap else "",
        clubs=[_line(builds, ids[club.name], club, bag) for club in bag.covered.clubs],
        gaps=[present_gap(gap, ids) for gap in bag.covered.gaps],
        open_m=bag.covered.open_m,
        widest_m=max(opened, default=0.0),
        crowded=[f"{lower} and {upper}" for lower, upper in bag.crowded],
        club_count=bag.count,
        over=bag.over,
        rounds=bag.mean_rounds if bag.rounds.size else None,
        gain=float(gained.mean()) if gained.size else None,
        gain_low=None if low is None else float(low),
        gain_high=None if high is None else float(high),
        price=f"{shown(float(bag.price))}",
        relearn=list(bag.relearn),
        added=list(bag.added),
        dropped=list(bag.dropped),
        expected=list(bag.expected),
        jobs=_jobs(planning, bag),
        sentence=sentence,
        next=next_gap_words(bag),
    )


def _line(builds: dict[str, Build], pk: int, club: Carried, bag: Bag) -> ClubLine:
    build = builds[str(pk)]
    return ClubLine(
        id=pk,
        letter=build.letter,
        name=build.name,
        head_type=HeadType(build.head_type),
        loft_deg=club.loft_deg,
        carry_m=club.carry_m,
        total_m=club.total_m,
        new=not build.is_own,
        expected=club.name in bag.expected,
    )


def _jobs(planning: Planning, bag: Bag) -> list[BagJobOut]:
    of = {option.key: option for option in planning.options}
    jobs = [job for job, _ in planning.judged.rows.played]
    return [
        BagJobOut(
            job=job.name,
            uses_per_round=job.uses_per_round,
            club=of[key].club.name if key else "",
            success=float(of[key].success[index].mean()) if key else 0.0,
        )
        for index, (job, key) in enumerate(zip(jobs, bag.by_job, strict=bool(bag.by_job)))
    ]
