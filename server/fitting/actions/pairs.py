"""Two clubs blind, whatever is tested: both under codes, the player's guess which is the new one, and the reveal."""

from __future__ import annotations

from common.problems import NotAllowed, Refused
from hemicycle_core.answers.short_tests import TESTS, pairs_of
from hemicycle_core.errors import BadInput
from hemicycle_core.protocols import PROTOCOLS
from hemicycle_core.protocols.blind import BlindPair
from hemicycle_core.protocols.sole.result import check_confidence
from hemicycle_core.said import say
from hemicycle_core.shots import Intent
from shop.audit import action
from shop.models import User

from ..domain.pairs import PAIR_TESTS, CodedPair, coded_pair
from ..domain.session import load
from ..models import Build, FittingSession, Run, Shot, Trial
from .acts import alter
from .changes import announce, for_change, note
from .codes import DRAWN, announce_run, coded, free_words, test_over
from .hold import hold
from .trials import given_up, going_on, is_going_on, link_seen, told


def going_on_already(test: str) -> Refused:
    """Raised where the test is under codes just now."""
    return Refused(say("act-blind-test-going", test=PROTOCOLS[test].name), kind="trial_on")


@action("fit")
def begin(actor: User, session_id: int, *, test: str, old: int, fresh: int) -> FittingSession:
    """The pair under two codes; the first of them is in hand."""
    session = for_change(actor, session_id)
    if test not in PAIR_TESTS:
        raise BadInput(say("protocol-there-no-test-called", key=test), field="test")
    if is_going_on(session, test):
        raise going_on_already(test)
    facts = load(session).facts
    if (old, fresh) not in pairs_of(facts, test):
        raise BadInput(say("act-no-such-pair"), field="fresh")
    club = Build.objects.of(session.shop_id).get(pk=old)
    one, two = (coded(session, word, club.known.loft_deg or 54.0) for word in free_words(session, 2))
    trial = Trial(shop_id=session.shop_id, session=session, test=test, setter=actor)
    trial.set_as(BlindPair(old, fresh, one.pk, two.pk, one_is_old=bool(DRAWN.getrandbits(1))))
    trial.save()
    hold(session, one)
    (first, *_) = TESTS[test].stands(facts, None).tasks
    alter(session, length=first.length, lie="", protocol=test, intent=Intent.STOCK.value)
    note(session, actor, "pair.blind", f"session:{session.pk}")
    announce_run(session, "trial")
    return session


def _on(actor: User, test: str, trial_id: int) -> tuple[CodedPair, FittingSession]:
    trial, session = going_on(actor, test, trial_id, Refused(say("act-test-blind-no-more"), kind="trial_over"))
    return coded_pair(trial), session


@action("fit")
def guess(actor: User, trial_id: int, *, test: str, code: int, confidence: str) -> FittingSession:
    """Which code the player takes for the new one, and how sure he is."""
    pair, session = _on(actor, test, trial_id)
    if code not in pair.kept.codes:
        raise BadInput(say("act-code-not-part-test"), field="code")
    check_confidence(confidence)
    pair.test.put(guess=code, confidence=confidence)
    note(session, actor, "pair.guess", f"session:{session.pk}")
    announce(session, "trial")
    return session


@action("fit")
def reveal(actor: User, trial_id: int, *, test: str) -> FittingSession:
    """Which is which is told, and the shots are those of the clubs from now on."""
    pair, session = _on(actor, test, trial_id)
    runs = Run.objects.of(session.shop_id).filter(build__in=pair.kept.codes)
    if not Shot.objects.of(session.shop_id).filter(run__in=runs).exists():
        raise Refused(say("act-nothing-was-hit-yet"), kind="nothing_handed")
    for code in pair.kept.codes:
        Shot.objects.of(session.shop_id).filter(run__build=code).update(revision=session.revision)
        Run.objects.of(session.shop_id).filter(build=code).update(build=pair.club(code))
    told(pair.test)
    session.whole_from = session.revision
    session.save(update_fields=["whole_from"])
    test_over(session, test)
    note(session, actor, "pair.reveal", f"session:{session.pk}")
    announce_run(session, "trial")
    return session


@action("fit")
def give_up(actor: User, trial_id: int, *, test: str) -> FittingSession:
    """The test ends; what was hit stays under its codes, and is never told by club."""
    pair, session = _on(actor, test, trial_id)
    given_up(pair.test)
    test_over(session, test)
    note(session, actor, "pair.stop", f"session:{session.pk}")
    announce_run(session, "trial")
    return session


def link(actor: User, trial_id: int, *, test: str) -> CodedPair:
    """Which code is which club, for whoever set it up, and written down. Raises NotAllowed for anyone else."""
    trial = Trial.objects.filter(test=test).select_related("session").one(actor.shop_id or 0, trial_id)
    if trial.setter_id != actor.pk and trial.is_on:
        raise NotAllowed(say("act-only-whoever-set-test-2"))
    link_seen(actor, trial, f"session:{trial.session_id}")
    return coded_pair(trial)
