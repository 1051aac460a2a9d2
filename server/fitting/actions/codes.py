"""What goes by a code while a test is blind: the build its shots are filed under, its word, and what is in hand."""

from __future__ import annotations

from random import Random, SystemRandom

from common.problems import Refused
from hemicycle_core.bag.clubs import usual_length_m
from hemicycle_core.heads import HeadType
from hemicycle_core.protocols.sole.ask import WORDS
from hemicycle_core.runs import FULL
from hemicycle_core.said import say
from hemicycle_core.shots import FULL_SWING

from ..models import Build, FittingSession
from .acts import Altered, alter
from .bays import leave_bay
from .changes import announce

DRAWN = SystemRandom()


def coded(session: FittingSession, word: str, loft_deg: float) -> Build:
    """What the shots of a code are filed under: it says nothing of its club but the loft that all have."""
    return Build.objects.create(
        shop_id=session.shop_id,
        session=session,
        name=word,
        head_type=HeadType.WEDGE.value,
        stated_loft_deg=loft_deg,
        set_loft_deg=loft_deg,
        length_m=usual_length_m(HeadType.WEDGE, loft_deg),
        coded=True,
    )


def free_words(session: FittingSession, count: int, chance: Random = DRAWN) -> list[str]:
    """Words that no code of this session had, in no order."""
    used = set(Build.objects.of(session.shop_id).filter(session=session, coded=True).values_list("name", flat=True))
    free = [word for word in WORDS if word not in used]
    if len(free) < count:
        raise Refused(say("act-all-words-codes-used"), kind="no_words")
    return chance.sample(free, count)


def put_down(session: FittingSession) -> list[Altered]:
    """No code is in hand any more."""
    held = session.in_hand is not None and session.in_hand.coded
    rows = alter(session, place="", lie="", length=FULL, **({"in_hand": None} if held else {}))
    if held:
        leave_bay(session)
    return rows


def test_over(session: FittingSession, protocol: str) -> None:
    """A test is not asked for any more."""
    if session.asked.protocol == protocol:
        put_down(session)
        alter(session, protocol=FULL_SWING)


def announce_run(session: FittingSession, what: str = "sole") -> None:
    """With what is in hand and asked for by now."""
    announce(
        session,
        what,
        in_hand=session.in_hand_id,
        length=session.asked.length,
        lie=session.asked.lie,
        protocol=session.asked.protocol,
        intent=session.asked.intent,
    )
