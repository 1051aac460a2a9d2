"""Bags side by side, as they are shown."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace

from hemicycle_core.answers import Decided
from hemicycle_core.answers.decided import expected_plan, kept_plan, plan_clubs, school_plans
from hemicycle_core.bag import Carried, next_gap_words
from hemicycle_core.decision import Bag, SwapPair, Worth
from hemicycle_core.facts import Club
from hemicycle_core.said import NOTHING, Said, plain, say, with_and
from hemicycle_core.units import shown

from ...domain.session import JudgedSession
from ...models import BagPlan
from ..schemas.bag import GapOut
from ..schemas.plans import BagJobOut, BagPlanOut, ClubLine, PlansOut, WorthLine


def present_plans(judged: JudgedSession, kept: Sequence[BagPlan]) -> PlansOut:
    found, decision = judged.decided, judged.decision
    expected = expected_plan(found)
    return PlansOut(
        revision=judged.rows.session.revision,
        today=_plan(judged, decision.today, name=say("plan-today")),
        found=_plan(judged, decision.bag, name=say("plan-proposed"), sentence=decision.choice.sentence),
        expected=None if expected is None else _plan(judged, expected, name=say("plan-not-hit-yet")),
        schools=[_plan(judged, bag, name=name) for name, bag in school_plans(found)],
        plans=[replace(_plan(judged, _kept(found, row), name=plain(row.name)), id=row.pk) for row in kept],
        searched=decision.searched,
        courses=[name for name, _ in reversed(decision.weigher.table.demand.rounds) if name],
    )


def _kept(found: Decided, row: BagPlan) -> Bag:
    swap = None
    if row.swap_home_id and row.swap_away_id:
        swap = SwapPair(str(row.swap_home_id), str(row.swap_away_id), row.swap_course)
    return kept_plan(found, [build.pk for build in row.builds.all()], swap)


def _plan(judged: JudgedSession, bag: Bag, *, name: Said, sentence: Said = NOTHING) -> BagPlanOut:
    clubs = {club.called: club for club in plan_clubs(judged.decided).values()}
    ids = {called: club.key for called, club in clubs.items()}
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
        clubs=[_line(clubs[club.name], club, bag) for club in bag.covered.clubs],
        gaps=[GapOut.of(gap, ids) for gap in bag.covered.gaps],
        open_m=bag.covered.open_m,
        widest_m=max(opened, default=0.0),
        crowded=[with_and(two) for two in bag.crowded],
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
        jobs=_jobs(judged, bag),
        sentence=sentence,
        next=next_gap_words(bag.covered),
    )


def present_worth(worth: Worth) -> list[WorthLine]:
    """What a bag saves a round, line by line; a line that says nothing is left out."""
    return [WorthLine(line, saved) for line, saved in worth.lines]


def _line(club: Club, carried: Carried, bag: Bag) -> ClubLine:
    return ClubLine(
        id=club.key,
        letter=club.letter,
        name=club.name,
        head_type=club.head_type,
        loft_deg=carried.loft_deg,
        carry_m=carried.carry_m,
        total_m=carried.total_m,
        new=not club.is_own,
        expected=carried.name in bag.expected,
    )


def _jobs(judged: JudgedSession, bag: Bag) -> list[BagJobOut]:
    of = {option.key: option for option in judged.decision.weigher.options}
    jobs = [job for job, _ in judged.facts.played]
    return [
        BagJobOut(
            job=job.name,
            uses_per_round=job.uses_per_round,
            club=of[key].club.name if key else "",
            success=of[key].played[index].success if key else 0.0,
        )
        for index, (job, key) in enumerate(zip(jobs, bag.by_job, strict=bool(bag.by_job)))
    ]
