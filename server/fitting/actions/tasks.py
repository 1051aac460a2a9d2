"""What a test asks for next, taken up in one act: the club, how long a swing, from which lie."""

from __future__ import annotations

from hemicycle_core.errors import BadInput
from hemicycle_core.impact import Lie
from hemicycle_core.protocols import asked
from hemicycle_core.runs import swing_length
from hemicycle_core.said import say
from hemicycle_core.shots import Intent
from shop.audit import action
from shop.models import User

from ..models import Build, FittingSession
from .acts import alter
from .changes import announce, for_change, note
from .hold import hold


@action("fit")
def take_up(
    actor: User, session_id: int, *, build_id: int, protocol: str, length: str, lie: Lie | None
) -> FittingSession:
    """Shots from now on are of this club and this test. lie: None for what the surface of the bay says."""
    session = for_change(actor, session_id)
    build = Build.objects.one(session.shop_id, build_id)
    if build.session_id != session.pk or build.archived:
        raise BadInput(say("act-club-not-stand"), field="build")
    rows = hold(session, build)
    rows += alter(
        session,
        length=swing_length(length),
        lie="" if lie is None else lie.value,
        protocol=asked(protocol, Intent.STOCK).key,
        intent=Intent.STOCK.value,
    )
    note(session, actor, "session.task", f"session:{session.pk}", build=build.pk, rows=rows)
    announce(
        session,
        "ask",
        in_hand=session.in_hand_id,
        length=session.asked.length,
        lie=session.asked.lie,
        protocol=session.asked.protocol,
        intent=session.asked.intent,
    )
    return session
