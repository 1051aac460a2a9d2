"""Plans kept side by side, and what an agreed session teaches the shop of its heads."""

from __future__ import annotations

from collections.abc import Collection, Sequence
from dataclasses import dataclass
from typing import Any

import numpy as np
from common.problems import Refused
from hemicycle_core.decision.options import MOST_KEPT_PLANS
from hemicycle_core.errors import BadInput
from hemicycle_core.rack import owned
from hemicycle_core.rack.expected import SWUNG
from hemicycle_core.said import say
from shop.audit import action
from shop.models import User

from ..domain.session import JudgedSession
from ..models import BagPlan, Build, FittingSession, HeadSeen
from .acts import Whole, is_whole, put_whole
from .changes import announce, for_change, not_meanwhile, note


@dataclass
class PlanChoice:
    """The clubs of a plan by build. swap_away takes the place of swap_home on swap_course, where there is a pair."""

    name: str
    builds: Sequence[int]
    swap_home: int | None = None
    swap_away: int | None = None
    swap_course: str = ""


def _checked(session: FittingSession, wanted: PlanChoice) -> list[Build]:
    builds = list(Build.objects.of(session.shop_id).filter(session=session, archived=False, pk__in=list(wanted.builds)))
    if len(builds) != len(set(wanted.builds)) or not builds:
        raise BadInput(say("act-plan-holds-clubs-session"), field="builds")
    pair = [each for each in (wanted.swap_home, wanted.swap_away) if each is not None]
    if pair and (len(set(pair)) != 2 or not set(pair) <= set(wanted.builds)):
        raise BadInput(say("act-swap-pair-two-clubs"), field="swap_home")
    names = {course.name for course in session.brief.courses}
    if pair and wanted.swap_course not in names:
        raise BadInput(say("act-say-which-course-brief"), field="swap_course")
    return builds


@action("fit")
def keep_plan(actor: User, session_id: int, wanted: PlanChoice, *, plan_id: int | None = None) -> BagPlan:
    """Keep a plan to compare, or change one that is kept."""
    session = for_change(actor, session_id)
    builds = _checked(session, wanted)
    mine = BagPlan.objects.of(session.shop_id).filter(session=session)
    if plan_id is None and mine.count() >= MOST_KEPT_PLANS:
        raise Refused(say("act-three-plans-stand-side"), kind="plans_full")
    row = BagPlan(shop_id=session.shop_id, session=session) if plan_id is None else mine.one(session.shop_id, plan_id)
    if plan_id is not None:
        not_meanwhile(session, ["plan.keep"], touches=lambda entry: entry.detail.get("id") == plan_id)
    stood = None if plan_id is None else _kept(session, str(plan_id))
    row.name = wanted.name.strip()[:40] or "Plan"
    row.swap_home_id, row.swap_away_id, row.swap_course = wanted.swap_home, wanted.swap_away, wanted.swap_course
    row.save()  # made here, or locked with its session
    row.builds.set(builds)
    rows = put_whole(session, "plan", row.pk, stood)
    note(session, actor, "plan.keep", f"session:{session.pk}", id=row.pk, plan=row.name, rows=rows)
    announce(session, "plan")
    return row


@action("fit")
def drop_plan(actor: User, plan_id: int) -> FittingSession:
    row = BagPlan.objects.one(actor.shop_id or 0, plan_id)
    session = for_change(actor, row.session_id)
    stood = _kept(session, str(plan_id))
    name = row.name
    row.delete()
    rows = put_whole(session, "plan", plan_id, stood)
    note(session, actor, "plan.drop", f"session:{session.pk}", plan=name, rows=rows)
    announce(session, "plan")
    return session


def _kept(session: FittingSession, which: str) -> dict[str, Any] | None:
    """A plan that is kept, as plain data; None where it is not."""
    row = BagPlan.objects.of(session.shop_id).filter(session=session, pk=int(which)).first()
    if row is None:
        return None
    columns = {name: getattr(row, name) for name in ("name", "swap_home_id", "swap_away_id", "swap_course")}
    return {**columns, "builds": sorted(row.builds.values_list("pk", flat=True))}


def _keep(session: FittingSession, _actor: User, which: str, plan: dict[str, Any] | None) -> None:
    mine = BagPlan.objects.of(session.shop_id).filter(session=session)
    mine.filter(pk=int(which)).delete()
    if plan is None:
        return
    if mine.count() >= MOST_KEPT_PLANS:
        raise Refused(say("act-three-plans-stand-side"), kind="plans_full")
    columns = {name: value for name, value in plan.items() if name != "builds"}
    row = BagPlan(pk=int(which), shop_id=session.shop_id, session=session, **columns)
    row.save(force_insert=True)
    row.builds.set(plan["builds"])


is_whole("plan", Whole(_kept, _keep))


def learn_heads(judged: JudgedSession, won: Collection[int]) -> None:
    """Keep how each head that was hit departed from what the player's own clubs let expect. won: the builds chosen."""
    session, expectation = judged.rows.session, judged.known.by_own
    if not expectation.by_flight or session.customer.try_out:
        return
    rows: dict[int, HeadSeen] = {}
    for club in judged.facts.candidates:
        head = club.rack_head
        hit = owned(head, club.shots, typed_sd_m=0.0) if head else None
        if head is None or hit is None or hit.means is None or hit.n < judged.thresholds.least_shots:
            continue
        if club.head is None or club.head_type not in SWUNG:
            continue
        mean, _ = expectation.launches([head])
        known = rows.get(club.head.key)
        rows[club.head.key] = HeadSeen(
            shop_id=session.shop_id,
            head_id=club.head.key,
            session=session,
            departure=[float(each) for each in hit.means - mean[0]],
            ball_speed_mps=float(np.exp(hit.means[0])),
            won=club.key in won or bool(known and known.won),
        )
    HeadSeen.objects.bulk_create(rows.values(), ignore_conflicts=True)
