"""Taking a club in hand: what is hit from now on is its, with its own swing."""

from __future__ import annotations

from typing import Any

from django.utils import timezone
from hemicycle_core.answers.short_tests import TESTS
from hemicycle_core.bag import HeadType
from hemicycle_core.protocols import protocol_of
from hemicycle_core.protocols.sole.ask import KEY as SOLE
from hemicycle_core.runs import as_stock
from hemicycle_core.shots import PART_SWING, SHORT_TESTS

from ..domain.session import load
from ..models import Build, FittingSession
from .acts import Altered, alter, in_hand_now
from .bays import take_bay
from .player import numbers_shown


def hold(session: FittingSession, build: Build) -> list[Altered]:
    """Shots of this bay go to this build of this session from now on. Another club comes back to its own stock swing
    and to stock shots; place, lie and ball stay. A test goes on with clubs of its own, and is over with another."""
    other = session.in_hand_id != build.pk
    rows = alter(session, in_hand=build)
    if other:
        rows += alter(session, **_own_swing(session, build))
    session.in_hand_at = timezone.now()
    session.save(update_fields=["in_hand_at"])
    in_hand_now(session)
    numbers_shown(session)
    take_bay(session)
    return rows


def _own_swing(session: FittingSession, build: Build) -> dict[str, Any]:
    """What a club that is taken up is hit with, where it is not what the one before was hit with."""
    if session.asked.protocol in SHORT_TESTS and _of_the_test(session, build):
        return {}
    intent, length = as_stock(build.stock_swing)
    on_card = session.asked.protocol == PART_SWING and build.head_type == HeadType.WEDGE
    of_sole = {"place": "", "lie": ""} if session.asked.protocol == SOLE else {}
    return {
        "length": length,
        "intent": intent.value,
        "protocol": PART_SWING if on_card else protocol_of(intent).key,
        "asked_carry_m": None,
        "gripped_in": 0,
        **of_sole,
    }


def _of_the_test(session: FittingSession, build: Build) -> bool:
    """Whether a short test is of this club too: codes are of theirs alone, else what it asks shots of."""
    if session.asked.protocol == SOLE or build.coded:
        return build.coded
    asks = TESTS[session.asked.protocol].stands(load(session).facts, None)
    return build.pk in {task.club for task in asks.tasks}
