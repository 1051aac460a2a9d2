"""What the decision is given of a session's clubs: the player's own as far as they are known, the builds that were hit,
and those of the stand that were not."""

from __future__ import annotations

from collections import defaultdict
from collections.abc import Sequence
from dataclasses import replace
from typing import TYPE_CHECKING

import numpy as np
from hemicycle_core.bag import Carried, HeadType
from hemicycle_core.decision import BagClub, Demand, Limits
from hemicycle_core.judge import Liking
from hemicycle_core.judge.landings import usual_roll_m
from hemicycle_core.judge.weigh import usable
from hemicycle_core.rack import Expectation, Expected, HeadRecord
from hemicycle_core.rack.expected import READ

from ..models import Build, FittingSession, HeadSeen
from .bag import name_of

if TYPE_CHECKING:
    from .session import JudgedSession


def own_clubs(judged: JudgedSession) -> list[BagClub]:
    """The bag as it is played, what was taken in for now among it, without the clubs whose carry nobody knows."""
    known = {build: club for build in judged.rows.in_bag if (club := judged.bag.carried(build)) is not None}
    unhit = [build for build in known if not usable(judged.rows.shots_of(build))]
    expected = _expected(judged, unhit, judged.expectation()) if unhit else {}
    return [
        BagClub(replace(club, name=name_of(build)), str(build.pk), build.fixed, expected.get(build.pk))
        for build, club in known.items()
    ]


def tried_builds(judged: JudgedSession) -> dict[str, BagClub]:
    """The builds that were hit, by letter, as the bag sees them."""
    found = {}
    for build in judged.rows.candidates:
        club = judged.bag.carried(build) if build.accepted_at is None else None
        if club is not None:
            found[build.letter] = BagClub(replace(club, name=name_of(build)), str(build.pk))
    return found


def unhit_builds(judged: JudgedSession) -> list[BagClub]:
    """The builds of the stand that nobody hit, as they should do by what the player's clubs and the shop know."""
    rows = [
        build
        for build in judged.rows.candidates
        if build.accepted_at is None and not usable(judged.rows.shots_of(build))
        if judged.liking_of(build) is not Liking.VETOED
    ]
    if not rows:
        return []
    expected = _expected(judged, rows, judged.expectation(records_of(seen_of(judged.rows.session))))
    return [
        BagClub(
            _expected_club(build, expected[build.pk]),
            str(build.pk),
            expected=expected[build.pk],
            price=None if build.price is None else float(build.price),
        )
        for build in rows
        if build.pk in expected
    ]


def demand_of(judged: JudgedSession) -> Demand:
    """On which courses the jobs come up, and how often."""
    played, shares = judged.rows.played, judged.rows.courses
    return Demand(
        uses=np.array([job.uses_per_round for job, _ in played]),
        courses=tuple(job.course if job.course in shares else "" for job, _ in played),
        shares=shares,
    )


def limits_of(judged: JudgedSession) -> Limits:
    session = judged.rows.session
    unseen = len(judged.rows.in_bag) - len(judged.bag.clubs)
    budget = None if session.budget is None else float(session.budget)
    return Limits(session.most_clubs, session.clubs_to_place, budget, unseen)


def seen_of(session: FittingSession) -> list[HeadSeen]:
    """What the shop knows of its heads from other customers' sessions."""
    return list(HeadSeen.objects.of(session.shop_id).exclude(session__customer=session.customer_id))


def records_of(seen: Sequence[HeadSeen]) -> dict[str, HeadRecord]:
    """By the key under which `head_key` has a head."""
    rows: dict[str, list[list[float]]] = defaultdict(list)
    for each in seen:
        rows[f"head {each.head_id}"].append(each.departure)
    return {key: HeadRecord(np.mean(departures, axis=0), len(departures)) for key, departures in rows.items()}


def _expected(judged: JudgedSession, builds: Sequence[Build], expectation: Expectation) -> dict[int, Expected]:
    """What clubs that were not hit should do, by build, as far as that can be told; all flown at once."""
    heads = {build.pk: head for build in builds if (head := judged.head_of(build)) is not None}
    heads = {pk: head for pk, head in heads.items() if head.head_type in READ}
    made = expectation.of(list(heads.values()))
    return dict(zip(heads, made, strict=True)) if made else {}


def _expected_club(build: Build, expected: Expected) -> Carried:
    roll = expected.roll_m
    return Carried(
        name=name_of(build),
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
