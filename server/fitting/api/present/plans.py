"""Bags side by side, as they are shown."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace

from hemicycle_core.bag import Carried, HeadType, next_gap_words
from hemicycle_core.decision import Bag, Worth
from hemicycle_core.units import shown

from ...domain.bag import name_of
from ...domain.planning import Planning
from ...models import BagPlan, Build
from ..schemas.plans import BagJobOut, BagPlanOut, ClubLine, PlansOut, WorthLine
from .bag import present_gap


def present_plans(planning: Planning, kept: Sequence[BagPlan]) -> PlansOut:
    decision, expected = planning.decision, planning.expected()
    return PlansOut(
        revision=planning.judged.rows.session.revision,
        today=_plan(planning, decision.today, name="Today"),
        found=_plan(planning, decision.bag, name="Proposed", sentence=decision.choice.sentence),
        expected=None if expected is None else _plan(planning, expected, name="Not hit yet"),
        schools=[_plan(planning, bag, name=name) for name, bag in planning.schools()],
        plans=[replace(_plan(planning, planning.kept(row), name=row.name), id=row.pk) for row in kept],
        searched=decision.searched,
        courses=[name for name, _ in reversed(decision.weigher.table.demand.rounds) if name],
    )


def _plan(planning: Planning, bag: Bag, *, name: str, sentence: str = "") -> BagPlanOut:
    builds = planning.builds
    ids = {name_of(build): build.pk for build in builds.values()}
    low, high = bag.worth.interval
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
        rounds=bag.shots,
        saves=bag.worth.saves,
        saves_low=low,
        saves_high=high,
        worth=present_worth(bag.worth),
        price=f"{shown(float(bag.price))}",
        relearn=list(bag.relearn),
        added=list(bag.added),
        dropped=list(bag.dropped),
        expected=list(bag.expected),
        jobs=_jobs(planning, bag),
        sentence=sentence,
        next=next_gap_words(bag.covered),
    )


def present_worth(worth: Worth) -> list[WorthLine]:
    """What a bag saves a round, line by line; a line that says nothing is left out."""
    return [WorthLine(line, saved) for line, saved in worth.lines]


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
    of = {option.key: option for option in planning.decision.weigher.options}
    jobs = [job for job, _ in planning.judged.rows.played]
    return [
        BagJobOut(
            job=job.name,
            uses_per_round=job.uses_per_round,
            club=of[key].club.name if key else "",
            success=of[key].played[index].success if key else 0.0,
        )
        for index, (job, key) in enumerate(zip(jobs, bag.by_job, strict=bool(bag.by_job)))
    ]
