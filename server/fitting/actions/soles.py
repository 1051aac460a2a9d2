"""The blind sole test while it goes on: what is said of each code, the guess, the reveal, and who may see the link."""

from __future__ import annotations

from dataclasses import replace

from common.problems import NotAllowed, Refused
from hemicycle_core.errors import BadInput
from hemicycle_core.protocols.sole.ask import KEY as SOLE
from hemicycle_core.protocols.sole.ask import PLACES, AfterShots, Next, SoleTest, is_asked
from hemicycle_core.protocols.sole.kept import HANDING, Blind, HandingKept
from hemicycle_core.protocols.sole.result import check_confidence
from hemicycle_core.said import listed, say
from hemicycle_core.shots import Intent
from shop.audit import action
from shop.models import User

from ..domain.soles import PlayedSole, named_by
from ..models import FittingSession, Trial
from .acts import Altered, alter
from .changes import announce, note
from .codes import announce_run, put_down, test_over
from .hold import hold
from .trials import event, given_up, going_on, link_seen, told


def sole_of(test: Trial) -> PlayedSole:
    """A test as it stands now."""
    rows = Trial.objects.select_related("session__customer").prefetch_related("events")
    row = rows.get(pk=test.pk)
    return PlayedSole(row, named_by(row))


def take_up(session: FittingSession, test: Trial) -> list[Altered]:
    """What comes next is in hand, from its lie; nothing is where all is played, while the player guesses."""
    found = sole_of(test)
    coming = found.standing.next
    return put_down(session) if coming is None else _hand(session, found, coming)


def _hand(session: FittingSession, found: PlayedSole, coming: Next) -> list[Altered]:
    place = PLACES[coming.place]
    rows = hold(session, found.codes[coming.code].build)
    return rows + alter(
        session,
        lie=place.lie.value,
        length=place.length,
        protocol=SOLE,
        intent=Intent.STOCK.value,
        place=place.key,
    )


def _going_on(actor: User, test_id: int) -> tuple[Trial, FittingSession]:
    return going_on(actor, SOLE, test_id, Refused(say("act-sole-test-over-was"), kind="sole_test_over"))


@action("fit")
def say_of(
    actor: User, test_id: int, *, code: int, place: str, said: AfterShots, visit: int = 0, duel: bool = False
) -> FittingSession:
    """What the player says of the code that was handed. The next one is in hand from now on."""
    test, session = _going_on(actor, test_id)
    found = sole_of(test)
    if place not in PLACES or place not in found.core.places:
        raise BadInput(say("act-lie-not-part-test"), field="place")
    if not 0 <= code < len(found.codes):
        raise BadInput(say("act-code-not-part-test"), field="code")
    said.check(PLACES[place].lie)
    _check_turn(found, code, place, visit, duel)
    before = found.handings[-1] if found.handings else None
    first = before is None or before.for_core.stage != (place, visit, duel)
    if not first and said.said is None:
        raise BadInput(say("act-say-whether-was-better"), field="said")
    values = {**vars(said), "sound": said.sound.strip(), **({"said": None} if first else {})}
    handing = test.add(HANDING, HandingKept(code, place, visit, duel, **values))
    rows: list[Altered] = [["event", handing.pk, "void", True, False], *take_up(session, test)]
    note(session, actor, "sole.said", f"sole:{test.pk}", code=found.word(code), rows=rows)
    announce_run(session)
    return session


def _check_turn(found: PlayedSole, code: int, place: str, visit: int, duel: bool) -> None:
    """What was said twice is refused; without a line codes come that nobody could say were dropped."""
    coming = found.standing.next
    if duel:
        # Without a line a tablet tells by itself who is liked best: any two that take turns are heard.
        again = bool(found.handed) and found.handed[-1].duel and found.handed[-1].code == code
        if coming is None or not found.standing.duels or again:
            raise Refused(say("act-duel-two-take-turns"), kind="said_already")
        return
    if not is_asked(found.core, place, visit):
        raise BadInput(say("act-nobody-said-go-back"), field="visit")
    if any((each.code, *each.stage) == (code, place, visit, False) for each in found.handed):
        raise Refused(say("act-was-said-already-lie", word=found.word(code)), kind="said_already")


@action("fit")
def change_said(actor: User, handing_id: int, said: AfterShots) -> FittingSession:
    """What was said of a code, put right."""
    row, test, session = event(actor, SOLE, HANDING, handing_id)
    if not test.is_on:
        raise Refused(say("act-sole-test-over-was"), kind="sole_test_over")
    before: HandingKept = row.known
    said.check(PLACES[before.place].lie)
    if (before.said is None) != (said.said is None):
        raise BadInput(say("act-first-lie-held-against"), field="said")
    row.set_as(replace(before, **{**vars(said), "sound": said.sound.strip()}))
    row.save(update_fields=["body", "words"])
    note(session, actor, "sole.changed", f"sole:{test.pk}", code=sole_of(test).word(before.code))
    announce(session, "sole")
    return session


@action("fit")
def take_code(actor: User, test_id: int, *, code: int, place: str) -> FittingSession:
    """Another code of the test in hand than the one that comes next, or another lie."""
    test, session = _going_on(actor, test_id)
    found = sole_of(test)
    if not 0 <= code < len(found.codes) or place not in found.core.places:
        raise BadInput(say("act-code-lie-not-part"), field="code")
    rows = _hand(session, found, Next(code, place))
    note(session, actor, "session.task", f"sole:{test.pk}", rows=rows)
    announce_run(session)
    return session


@action("fit")
def go_back(actor: User, test_id: int, *, place: str) -> FittingSession:
    """The finalists once more at a lie where they were."""
    test, session = _going_on(actor, test_id)
    if not sole_of(test).standing.complete:
        raise Refused(say("act-finalists-go-back-lie"), kind="not_complete")
    known = test.known
    back = replace(known, returns=(*known.returns, place))
    _ = SoleTest.of(back)  # refuses a lie that is none of it
    test.put(returns=back.returns)
    take_up(session, test)
    note(session, actor, "sole.return", f"sole:{test.pk}")
    announce_run(session)
    return session


@action("fit")
def guess(actor: User, test_id: int, *, code: int, confidence: str) -> FittingSession:
    """Which code the player takes for the sole he plays now, and how sure he is."""
    test, session = _going_on(actor, test_id)
    if not 0 <= code < len(test.known.codes):
        raise BadInput(say("act-code-not-part-test"), field="code")
    check_confidence(confidence)
    test.put(guess=code, confidence=confidence)
    note(session, actor, "sole.guess", f"sole:{test.pk}")
    announce(session, "sole")
    return session


@action("fit")
def reveal(actor: User, test_id: int, *, early: bool) -> FittingSession:
    """Everybody is told which code is which club. early: though the finalists were not on every lie."""
    test, session = _going_on(actor, test_id)
    found = sole_of(test)
    if not found.handings:
        raise Refused(say("act-nothing-was-handed-yet"), kind="nothing_handed")
    open_ = listed(say("sole-inside", place=PLACES[place].name) for place in found.standing.unplayed)
    if open_ and not early:
        raise Refused(say("sole-finalists-not-on", lies=open_), kind="not_complete")
    told(test)
    test_over(session, SOLE)
    note(session, actor, "sole.reveal", f"sole:{test.pk}")
    announce_run(session)
    return session


@action("fit")
def give_up(actor: User, test_id: int) -> FittingSession:
    """The test ends without a result; what was hit and said stays on record, and is never told by club."""
    test, session = _going_on(actor, test_id)
    given_up(test)
    test_over(session, SOLE)
    note(session, actor, "sole.stop", f"sole:{test.pk}")
    announce_run(session)
    return session


def link(actor: User, test_id: int) -> PlayedSole:
    """Which code is which club, for whoever set the test up, and written down. Raises NotAllowed for anyone else, and
    where the assistant's page alone tells it."""
    test = Trial.objects.filter(test=SOLE).select_related("session").one(actor.shop_id or 0, test_id)
    if test.known.blind is Blind.DOUBLE and test.revealed_at is None:
        raise NotAllowed(say("act-test-blind-both-sides"))
    if test.setter_id != actor.pk and test.revealed_at is None:
        raise NotAllowed(say("act-only-whoever-set-test-2"))
    link_seen(actor, test, f"sole:{test.pk}")
    return sole_of(test)
