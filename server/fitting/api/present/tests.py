"""What each test of the short game says is hit next, by its key."""

from __future__ import annotations

from collections.abc import Callable, Mapping

from hemicycle_core.answers.short_tests import groove_pairs
from hemicycle_core.protocols.grooves.ask import KEY as GROOVES
from hemicycle_core.protocols.grooves.ask import next_words as next_groove
from hemicycle_core.protocols.part_swing.ask import next_words as next_swing
from hemicycle_core.protocols.sole.ask import KEY as SOLE
from hemicycle_core.said import Said
from hemicycle_core.shots import PART_SWING

from ...domain.session import JudgedSession
from .wedges import next_groove_task, next_task

Next = Callable[[JudgedSession], Said | None]


def _part_swing(judged: JudgedSession) -> Said | None:
    if not judged.ends.worked_at:
        return None
    task = next_task(judged)
    return next_swing(task, judged.facts.by_key[task.club].called if task else "")


def _sole(judged: JudgedSession) -> Said | None:
    on = next((each for each in judged.soles if each.test.is_on), None)
    return None if on is None else on.next


def _grooves(judged: JudgedSession) -> Said | None:
    pairs = groove_pairs(judged.facts)
    if not pairs:
        return None
    task = next_groove_task(judged)
    names = {each.key: each.name for pair in pairs for each in pair}
    names |= {club.key: club.name for club in judged.facts.clubs if club.coded}
    return next_groove(task, names[task.club] if task else "")


NEXT: Mapping[str, Next] = {PART_SWING: _part_swing, SOLE: _sole, GROOVES: _grooves}


def next_of_test(judged: JudgedSession) -> Said | None:
    """What is hit next in the test that is asked for; None where it says nothing of it."""
    says = NEXT.get(judged.facts.asked.protocol)
    return None if says is None else says(judged)
