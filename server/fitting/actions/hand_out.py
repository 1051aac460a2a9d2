"""Pages of a sole test that open with a code and no sign-in: the assistant's, which tells which code is which club
where the fitter is blind too, and the player's, for notes of the course days later."""

from __future__ import annotations

import secrets
from dataclasses import replace
from datetime import date, timedelta

from common.problems import Refused
from django.db import transaction
from django.utils import timezone
from hemicycle_core.errors import BadInput
from hemicycle_core.protocols.sole.ask import KEY as SOLE
from hemicycle_core.protocols.sole.ask import PLACES
from hemicycle_core.protocols.sole.kept import COURSE, Blind, CourseKept
from hemicycle_core.said import say
from shop.audit import action
from shop.models import User

from ..models import FittingSession, Trial
from .changes import announce, locked, next_revision, note
from .player import Closed, give_code
from .soles import sole_of
from .trials import trial

SIGNS_OF_A_CODE = 8
COURSE_LASTS = timedelta(days=60)
MOST_WORD = 200
MOST_GROUND = 60
MOST_NOTES = 60
NO_PAGE = say("act-no-page-has-code")
OVER = say("act-code-opens-nothing-any")


@action("fit")
def open_hand_out(actor: User, test_id: int) -> str:
    """A new code for the assistant's page of a test that is blind to both sides; the one before opens nothing any more.
    The first device that opens it keeps it."""
    test, session = trial(actor, SOLE, test_id)
    if test.known.blind is not Blind.DOUBLE or not test.is_on:
        raise Refused(say("act-only-test-blind-both"), kind="not_double")
    rows = Trial.objects.filter(pk=test.pk)
    code = give_code(rows, "hand_out", SIGNS_OF_A_CODE, hand_out_device="", hand_out_opened_at=None)
    note(session, actor, "sole.hand_out", f"sole:{test.pk}")
    announce(session, "sole")
    return code


def _by(column: str, code: str) -> Trial:
    """The test that has a code. Raises Closed where none has."""
    wanted = code.strip().upper()
    test = Trial.objects.select_related("session").filter(**{column: wanted}).first() if wanted else None
    if test is None:
        raise Closed(NO_PAGE, kind="no_such_code", field="code")
    return test


def hand_out_by(code: str) -> Trial:
    """The test whose assistant's page a code opens. Raises Closed where it opens none."""
    test = _by("hand_out", code)
    if not test.is_on or test.session.agreed_at is not None:
        raise Closed(OVER, kind="code_ended", field="code")
    return test


def has_open(code: str, device: str) -> bool:
    """Whether a device has the page of this code open."""
    return bool(device) and Trial.objects.filter(hand_out=code.strip().upper(), hand_out_device=device).exists()


def claim(code: str, device: str) -> tuple[Trial, str]:
    """The test of a code for the one device that has its page open; the first is it. Raises Refused for another one."""
    with transaction.atomic():
        known = hand_out_by(code)
        if known.hand_out_device and secrets.compare_digest(known.hand_out_device, device):
            return known, device
        session = locked(known.shop_id, known.session_id)
        test = hand_out_by(code)  # as it is under the lock
        if not test.hand_out_device:
            test.hand_out_device = secrets.token_hex(16)
            test.hand_out_opened_at = timezone.now()
            test.save(update_fields=["hand_out_device", "hand_out_opened_at"])
            next_revision(session)
            note(session, None, "sole.opened", f"sole:{test.pk}")
            announce(session, "sole")
        elif not secrets.compare_digest(test.hand_out_device, device):
            raise Refused(
                say("act-another-device-has-page"),
                kind="open_elsewhere",
            )
        return test, test.hand_out_device


def tape(code: str, device: str, *, number: int, taped: bool) -> Trial:
    """That a code is on the shaft of its club, and its marks are covered."""
    with transaction.atomic():
        known, _ = claim(code, device)
        locked(known.shop_id, known.session_id)
        test = hand_out_by(code)  # as it is under the lock
        codes = test.known.codes
        if not 0 <= number < len(codes):
            raise BadInput(say("act-code-not-part-test"), field="code")
        now = replace(codes[number], taped=taped)
        test.put(codes=(*codes[:number], now, *codes[number + 1 :]))
    return test


# The course


@action("fit")
def open_course(actor: User, test_id: int) -> FittingSession:
    """A code with which the player writes down, days later, what each did on the course."""
    test, session = trial(actor, SOLE, test_id)
    if test.stopped_at is not None:
        raise Refused(say("act-sole-test-was-given"), kind="sole_test_over")
    rows = Trial.objects.filter(pk=test.pk)
    give_code(rows, "course", SIGNS_OF_A_CODE, course_until=timezone.now() + COURSE_LASTS)
    note(session, actor, "sole.course", f"sole:{test.pk}")
    announce(session, "sole")
    return session


def course_by(code: str) -> Trial:
    """The test that a code of the course opens. Raises Closed where it opens none."""
    test = _by("course", code)
    ended = test.course_until is None or test.course_until <= timezone.now()
    if ended or test.stopped_at is not None or test.session.agreed_at is not None:
        raise Closed(say("act-decided-too-long-ago"), kind="code_ended", field="code")
    return test


def note_by_code(code: str, played_on: date, number: int, place: str, word: str, *, first: bool) -> Trial:
    """What the player writes of a code, on their own page. Sent twice it is kept once."""
    with transaction.atomic():
        known = course_by(code)
        session = locked(known.shop_id, known.session_id)
        test = course_by(code)
        _write(next_revision(session), test, None, played_on, number, place, word, first=first)
        return test


@action("fit")
def note_of_course(
    actor: User, test_id: int, *, played_on: date, code: int, place: str, word: str, first: bool, ruled_out: str = ""
) -> FittingSession:
    """What the player told of the course, as the fitter writes it down; or that a sole is ruled out for a course, and
    why."""
    test, session = trial(actor, SOLE, test_id)
    if ruled_out.strip() and not word.strip():
        raise BadInput(say("act-say-why-ruled-out"), field="word")
    if len(ruled_out.strip()) > MOST_GROUND:
        raise BadInput(say("act-note-has-characters-most", most_word=MOST_GROUND), field="ruled_out")
    _write(session, test, actor, played_on, code, place, word, first=first, ruled_out=ruled_out.strip())
    return session


def _write(
    session: FittingSession,
    test: Trial,
    actor: User | None,
    played_on: date,
    number: int,
    place: str,
    word: str,
    *,
    first: bool,
    ruled_out: str = "",
) -> None:
    found = sole_of(test)
    if not 0 <= number < len(found.codes):
        raise BadInput(say("act-code-not-part-test"), field="code")
    if place and place not in PLACES:
        raise BadInput(say("act-choose-among-lies-sole"), field="place")
    if not word.strip() and not first:
        raise BadInput(say("act-say-what-did-was"), field="word")
    if len(word.strip()) > MOST_WORD:
        raise BadInput(say("act-note-has-characters-most", most_word=MOST_WORD), field="word")
    if not timezone.localdate(test.at) <= played_on <= timezone.localdate():
        raise BadInput(say("act-day-lies-between-test"), field="played_on")
    by_player = actor is None
    noted = CourseKept(
        played_on.isoformat(), number, place, word.strip(), first, by_player=by_player, ruled_out=ruled_out
    )
    if any(replace(each, by_player=noted.by_player) == noted for each in found.notes):
        return
    if len(found.notes) >= MOST_NOTES:
        raise Refused(say("act-so-many-notes-enough"), kind="enough")
    test.add(COURSE, noted)
    note(session, actor, "player.course" if actor is None else "sole.note", f"sole:{test.pk}")
    announce(session, "sole")
