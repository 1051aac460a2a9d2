"""The stop test: what is played to, balls that were seen, and those that are set aside."""

from __future__ import annotations

from common.problems import Refused
from hemicycle_core.errors import BadInput
from hemicycle_core.flight import Firmness
from hemicycle_core.heads import HeadType
from hemicycle_core.protocols.stop.ask import KEY as STOP
from hemicycle_core.protocols.stop.ask import SEEN, BallSeen, StopGreen
from hemicycle_core.runs import Ball
from hemicycle_core.said import say
from shop.audit import action
from shop.models import User

from ..models import Build, FittingSession, Trial
from .changes import announce, for_change, note
from .trials import event


def _test(session: FittingSession) -> Trial:
    """The stop test of a session, which is one for all that is seen in it."""
    found = Trial.objects.of(session.shop_id).filter(session=session, test=STOP).first()
    if found is None:
        found = Trial(shop_id=session.shop_id, session=session, test=STOP)
        found.set_as(StopGreen(firmness=session.brief.firmness))
        found.save()
    return found


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
    _test(session).put(
        target_m=target_m,
        firmness=firmness,
        green_ft=green_ft,
        slope_percent=slope_percent,
        wind_mps=wind_mps,
        wind_from_deg=wind_from_deg,
    )
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
    test = _test(session)
    seen = BallSeen(
        build.pk,
        target_m or test.known.target_m,
        landed_m,
        stopped_m,
        stopped_side_m=stopped_side_m,
        landed_side_m=landed_side_m,
        balls=balls,
        ball=ball,
    )
    test.add(SEEN, seen)
    note(session, actor, "stop.seen", f"build:{build.pk}", name=build.name)
    announce(session, "stop")
    return session


@action("fit")
def set_aside(actor: User, seen_id: int, *, aside: bool) -> FittingSession:
    """A ball that does not count, as one that was thinned; or that it counts after all."""
    seen, _, session = event(actor, STOP, SEEN, seen_id)
    build = Build.objects.of(session.shop_id).get(pk=seen.known.build)
    if build.archived:
        raise Refused(say("act-wedge-no-more-part"), kind="archived")
    seen.void = aside
    seen.save(update_fields=["void"])
    note(session, actor, "stop.aside", f"build:{build.pk}", name=build.name, aside=aside)
    announce(session, "stop")
    return session
