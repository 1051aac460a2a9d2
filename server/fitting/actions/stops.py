"""The stop test: what is played to, balls that were seen, and those that are set aside."""

from __future__ import annotations

from common.problems import Refused
from hemicycle_core.errors import BadInput
from hemicycle_core.flight import Firmness
from hemicycle_core.heads import HeadType
from hemicycle_core.protocols.stop import MOST_PAST_M
from hemicycle_core.runs import Ball
from hemicycle_core.said import far, say
from shop.audit import action
from shop.models import User

from ..models import Build, FittingSession, StopSeen, StopTest
from .changes import announce, for_change, note


def _test(session: FittingSession) -> StopTest:
    usual = {"shop_id": session.shop_id, "firmness": session.brief.firmness}
    return StopTest.objects.get_or_create(session=session, defaults=usual)[0]


@action("fit")
def set_green(
    actor: User,
    session_id: int,
    *,
    target_m: float,
    firmness: Firmness,
    green_ft: float,
    slope_percent: float,
    wind_mps: float = 0.0,
    wind_from_deg: float = 0.0,
) -> FittingSession:
    """What the test is played to from now on; what was seen to another target stays with that."""
    session = for_change(actor, session_id)
    test = _test(session)
    test.target_m, test.firmness, test.green_ft, test.slope_percent = target_m, firmness.value, green_ft, slope_percent
    test.wind_mps, test.wind_from_deg = wind_mps, wind_from_deg
    _ = test.for_core  # refuses what no green is
    test.save()
    note(session, actor, "stop.green", f"session:{session.pk}", target_m=round(target_m, 1))
    announce(session, "stop")
    return session


@action("fit")
def see(
    actor: User,
    session_id: int,
    *,
    build_id: int,
    ball: Ball,
    landed_m: float,
    stopped_m: float,
    landed_side_m: float,
    stopped_side_m: float,
    balls: int,
    target_m: float | None = None,
) -> FittingSession:
    """A ball that was seen to land and to stop, or a group paced together."""
    session = for_change(actor, session_id)
    build = Build.objects.of(session.shop_id).filter(pk=build_id, session=session, archived=False).first()
    if build is None or build.head_type != HeadType.WEDGE:
        raise BadInput(say("act-choose-wedge-session"), field="build")
    for side_m in (landed_side_m, stopped_side_m):
        if abs(side_m) > MOST_PAST_M:
            raise BadInput(say("act-side-lies-off-at-most", most=far(MOST_PAST_M)), field="landed_side_m")
    seen = StopSeen(
        shop_id=session.shop_id, session=session, build=build, ball=ball.value,
        target_m=target_m or _test(session).target_m, landed_m=landed_m, stopped_m=stopped_m,
        landed_side_m=landed_side_m, stopped_side_m=stopped_side_m, balls=balls,
    )  # fmt: skip
    _ = seen.for_core  # refuses what cannot be
    seen.save()
    note(session, actor, "stop.seen", f"build:{build.pk}", name=build.name)
    announce(session, "stop")
    return session


@action("fit")
def set_aside(actor: User, seen_id: int, *, aside: bool) -> FittingSession:
    """A ball that does not count, as one that was thinned; or that it counts after all."""
    session = for_change(actor, StopSeen.objects.one(actor.shop_id or 0, seen_id).session_id)
    seen = StopSeen.objects.select_related("build").one(session.shop_id, seen_id)
    if seen.build.archived:
        raise Refused(say("act-wedge-no-more-part"), kind="archived")
    seen.aside = aside
    seen.save(update_fields=["aside"])
    note(session, actor, "stop.aside", f"build:{seen.build_id}", name=seen.build.name, aside=aside)
    announce(session, "stop")
    return session
