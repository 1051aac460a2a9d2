"""Old grooves against new, blind: the two wedges under codes, the player's guess, and the reveal."""

from __future__ import annotations

from common.problems import NotAllowed, Refused
from hemicycle_core.answers.short_tests import groove_pairs
from hemicycle_core.errors import BadInput
from hemicycle_core.protocols.grooves.ask import KEY as GROOVES
from hemicycle_core.protocols.grooves.ask import LENGTH, GroovesKept
from hemicycle_core.protocols.sole.result import check_confidence
from hemicycle_core.said import say
from hemicycle_core.shots import Intent
from shop.audit import action
from shop.models import User

from ..domain.grooves import BlindPair, blind_pair
from ..domain.session import load
from ..models import Build, FittingSession, Run, Shot, Trial
from .acts import alter
from .changes import announce, for_change, note
from .codes import DRAWN, announce_run, coded, free_words, test_over
from .hold import hold
from .trials import given_up, going_on, is_going_on, link_seen, told


@action("fit")
def begin(actor: User, session_id: int, *, old: int, fresh: int) -> FittingSession:
    """The pair under two codes; the first of them is in hand."""
    session = for_change(actor, session_id)
    if is_going_on(session, GROOVES):
        raise Refused(say("act-blind-groove-test-going"), kind="grooves_on")
    pairs = {(one.key, other.key) for one, other in groove_pairs(load(session).facts)}
    if (old, fresh) not in pairs:
        raise BadInput(say("act-choose-old-wedge-fresh"), field="fresh")
    wedge = Build.objects.of(session.shop_id).get(pk=old)
    one, two = (coded(session, word, wedge.known.loft_deg or 54.0) for word in free_words(session, 2))
    test = Trial(shop_id=session.shop_id, session=session, test=GROOVES, setter=actor)
    test.set_as(GroovesKept(old, fresh, one.pk, two.pk, one_is_old=bool(DRAWN.getrandbits(1))))
    test.save()
    hold(session, one)
    alter(session, length=LENGTH, lie="", protocol=GROOVES, intent=Intent.STOCK.value)
    note(session, actor, "grooves.blind", f"session:{session.pk}")
    announce_run(session, "grooves")
    return session


def _on(actor: User, blind_id: int) -> tuple[BlindPair, FittingSession]:
    over = Refused(say("act-groove-test-blind-no"), kind="grooves_over")
    test, session = going_on(actor, GROOVES, blind_id, over)
    return blind_pair(test), session


@action("fit")
def guess(actor: User, blind_id: int, *, code: int, confidence: str) -> FittingSession:
    """Which code the player takes for the new one, and how sure he is."""
    pair, session = _on(actor, blind_id)
    if code not in pair.kept.codes:
        raise BadInput(say("act-code-not-part-test"), field="code")
    check_confidence(confidence)
    pair.test.put(guess=code, confidence=confidence)
    note(session, actor, "grooves.guess", f"session:{session.pk}")
    announce(session, "grooves")
    return session


@action("fit")
def reveal(actor: User, blind_id: int) -> FittingSession:
    """Which is which is told, and the shots are those of the wedges from now on."""
    pair, session = _on(actor, blind_id)
    runs = Run.objects.of(session.shop_id).filter(build__in=pair.kept.codes)
    if not Shot.objects.of(session.shop_id).filter(run__in=runs).exists():
        raise Refused(say("act-nothing-was-hit-yet"), kind="nothing_handed")
    for code in pair.kept.codes:
        Shot.objects.of(session.shop_id).filter(run__build=code).update(revision=session.revision)
        Run.objects.of(session.shop_id).filter(build=code).update(build=pair.club(code))
    told(pair.test)
    session.whole_from = session.revision
    session.save(update_fields=["whole_from"])
    test_over(session, GROOVES)
    note(session, actor, "grooves.reveal", f"session:{session.pk}")
    announce_run(session, "grooves")
    return session


@action("fit")
def give_up(actor: User, blind_id: int) -> FittingSession:
    """The test ends; what was hit stays under its codes, and is never told by wedge."""
    pair, session = _on(actor, blind_id)
    given_up(pair.test)
    test_over(session, GROOVES)
    note(session, actor, "grooves.stop", f"session:{session.pk}")
    announce_run(session, "grooves")
    return session


def link(actor: User, blind_id: int) -> BlindPair:
    """Which code is which wedge, for whoever set it up, and written down. Raises NotAllowed for anyone else."""
    test = Trial.objects.filter(test=GROOVES).select_related("session").one(actor.shop_id or 0, blind_id)
    if test.setter_id != actor.pk and test.is_on:
        raise NotAllowed(say("act-only-whoever-set-test"))
    link_seen(actor, test, f"session:{test.session_id}")
    return blind_pair(test)
