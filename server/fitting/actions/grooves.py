"""Old grooves against new, blind: the two wedges under codes, the player's guess, and the reveal."""

from __future__ import annotations

from common.problems import NotAllowed, Refused
from django.utils import timezone
from hemicycle_core.answers.short_tests import groove_pairs
from hemicycle_core.errors import BadInput
from hemicycle_core.protocols.grooves import KEY as GROOVES
from hemicycle_core.protocols.grooves import LENGTH
from hemicycle_core.protocols.sole_result import check_confidence
from hemicycle_core.said import say
from hemicycle_core.shots import Intent
from shop.audit import action, record
from shop.models import User

from ..domain.session import load
from ..models import BlindGrooves, Build, FittingSession, Run, Shot
from .acts import alter
from .changes import announce, for_change, note
from .codes import DRAWN, announce_run, coded, free_words, test_over
from .hold import hold


@action("fit")
def begin(actor: User, session_id: int, *, old: int, fresh: int) -> FittingSession:
    """The pair under two codes; the first of them is in hand."""
    session = for_change(actor, session_id)
    if BlindGrooves.objects.of(session.shop_id).filter(session=session, revealed_at=None, stopped_at=None).exists():
        raise Refused(say("act-blind-groove-test-going"), kind="grooves_on")
    pairs = {(one.key, other.key) for one, other in groove_pairs(load(session).facts)}
    if (old, fresh) not in pairs:
        raise BadInput(say("act-choose-old-wedge-fresh"), field="fresh")
    wedge = Build.objects.of(session.shop_id).get(pk=old)
    one, two = (coded(session, word, wedge.known.loft_deg or 54.0) for word in free_words(session, 2))
    BlindGrooves.objects.create(
        shop_id=session.shop_id,
        session=session,
        setter=actor,
        old=wedge,
        fresh_id=fresh,
        one=one,
        two=two,
        one_is_old=bool(DRAWN.getrandbits(1)),
    )
    hold(session, one)
    alter(session, length=LENGTH, lie="", protocol=GROOVES, intent=Intent.STOCK.value)
    note(session, actor, "grooves.blind", f"session:{session.pk}")
    announce_run(session, "grooves")
    return session


def _on(actor: User, blind_id: int) -> tuple[BlindGrooves, FittingSession]:
    session = for_change(actor, BlindGrooves.objects.one(actor.shop_id or 0, blind_id).session_id)
    test = BlindGrooves.objects.select_related("old", "fresh", "one", "two").one(session.shop_id, blind_id)
    if not test.is_on:
        raise Refused(say("act-groove-test-blind-no"), kind="grooves_over")
    return test, session


@action("fit")
def guess(actor: User, blind_id: int, *, code: int, confidence: str) -> FittingSession:
    """Which code the player takes for the new one, and how sure he is."""
    test, session = _on(actor, blind_id)
    if code not in (test.one_id, test.two_id):
        raise BadInput(say("act-code-not-part-test"), field="code")
    check_confidence(confidence)
    test.guess_id, test.confidence = code, confidence
    test.save(update_fields=["guess", "confidence"])
    note(session, actor, "grooves.guess", f"session:{session.pk}")
    announce(session, "grooves")
    return session


@action("fit")
def reveal(actor: User, blind_id: int) -> FittingSession:
    """Which is which is told, and the shots are those of the wedges from now on."""
    test, session = _on(actor, blind_id)
    runs = Run.objects.of(session.shop_id).filter(build__in=test.codes)
    if not Shot.objects.of(session.shop_id).filter(run__in=runs).exists():
        raise Refused(say("act-nothing-was-hit-yet"), kind="nothing_handed")
    for code in test.codes:
        Shot.objects.of(session.shop_id).filter(run__build=code).update(revision=session.revision)
        Run.objects.of(session.shop_id).filter(build=code).update(build=test.club(code))
    test.revealed_at = timezone.now()
    test.save(update_fields=["revealed_at"])
    session.whole_from = session.revision
    session.save(update_fields=["whole_from"])
    test_over(session, GROOVES)
    note(session, actor, "grooves.reveal", f"session:{session.pk}")
    announce_run(session, "grooves")
    return session


@action("fit")
def give_up(actor: User, blind_id: int) -> FittingSession:
    """The test ends; what was hit stays under its codes, and is never told by wedge."""
    test, session = _on(actor, blind_id)
    test.stopped_at = timezone.now()
    test.save(update_fields=["stopped_at"])
    test_over(session, GROOVES)
    note(session, actor, "grooves.stop", f"session:{session.pk}")
    announce_run(session, "grooves")
    return session


def link(actor: User, blind_id: int) -> BlindGrooves:
    """Which code is which wedge, for whoever set it up, and written down. Raises NotAllowed for anyone else."""
    rows = BlindGrooves.objects.select_related("old", "fresh", "one", "two", "session")
    test = rows.one(actor.shop_id or 0, blind_id)
    if test.setter_id != actor.pk and test.is_on:
        raise NotAllowed(say("act-only-whoever-set-test"))
    about = {"of_session": test.session_id, "of_customer": test.session.customer_id}
    record(test.shop_id, actor, "sole.link", f"session:{test.session_id}", **about)
    return test
