"""The player's screen: what it shows, the code that opens it, and what the player says of a build."""

from __future__ import annotations

import secrets
from datetime import timedelta
from typing import Any

from common.problems import Refused
from django.db import IntegrityError, models, transaction
from django.utils import timezone
from hemicycle_core.errors import BadInput
from hemicycle_core.judge.feel import NUMBERS, Felt, PlayerMode
from hemicycle_core.judge.feel import Feel as CoreFeel
from hemicycle_core.said import say
from shop.audit import action
from shop.models import User

from ..models import Build, Feel, FittingSession, PlayerScreen, Shot
from .changes import announce, for_change, locked, next_revision, note

# Nothing that is read as something else from three metres: 24 letters and figures, 24^6 codes.
SIGNS = "ACDEFHJKLMNPRTUVWXY34679"
LENGTH = 6


def give_code(rows: models.QuerySet[Any], column: str, length: int, **more: object) -> str:
    """Write a new code that opens a page into a row, with more of its columns; no other row has it."""
    for _ in range(8):
        code = "".join(secrets.choice(SIGNS) for _ in range(length))
        try:
            with transaction.atomic():
                rows.update(**{column: code}, **more)
            return code
        except IntegrityError:
            continue
    raise Refused(say("act-no-free-code-was"), kind="no_code")


LASTS = timedelta(hours=12)


def _screen(session: FittingSession) -> PlayerScreen:
    return PlayerScreen.objects.get_or_create(session=session, defaults={"shop_id": session.shop_id})[0]


@action("fit")
def set_up(actor: User, session_id: int, *, mode: PlayerMode | None, away: bool | None) -> FittingSession:
    """What the player's screen shows from now on, and whether the monitor's own screen is turned away."""
    session = for_change(actor, session_id)
    screen = _screen(session)
    if mode is not None:
        screen.mode = mode.value
    if away is not None:
        screen.away = away
    screen.save(update_fields=["mode", "away"])
    numbers_shown(session)
    note(session, actor, "player.mode", f"session:{session.pk}", mode=screen.mode, away=screen.away)
    announce(session, "player")
    return session


def numbers_shown(session: FittingSession) -> None:
    """Write down that the build in hand is one whose numbers are shown, where they are."""
    screen = PlayerScreen.objects.of(session.shop_id).filter(session=session).first()
    if screen is None or screen.mode not in NUMBERS or session.in_hand_id in (None, *screen.shown):
        return
    screen.shown = [*screen.shown, session.in_hand_id]
    screen.save(update_fields=["shown"])


@action("fit")
def open_screen(actor: User, session_id: int) -> FittingSession:
    """A new code for the player's screen; the one before opens nothing from now on."""
    session = for_change(actor, session_id)
    screen = _screen(session)
    rows = PlayerScreen.objects.filter(pk=screen.pk)
    give_code(rows, "code", LENGTH, expires_at=timezone.now() + LASTS, revoked_at=None)
    note(session, actor, "player.open", f"session:{session.pk}")
    announce(session, "player")
    return session


@action("fit")
def close_screen(actor: User, session_id: int) -> FittingSession:
    """The code opens nothing from now on, and a screen that is open goes blank."""
    session = for_change(actor, session_id)
    PlayerScreen.objects.of(session.shop_id).filter(session=session).update(revoked_at=timezone.now())
    note(session, actor, "player.close", f"session:{session.pk}")
    announce(session, "player")
    return session


class Closed(Refused):
    """A code that opens nothing."""

    status = 404


UNKNOWN = say("act-no-screen-has-code")
RUN_OUT = say("act-code-opens-nothing-any-2")


def screen_by(code: str) -> PlayerScreen:
    """The screen a code opens. Raises Closed, with what to do, where it opens none."""
    wanted = code.strip().upper()
    known = PlayerScreen.objects.select_related("session").filter(code=wanted).first() if wanted else None
    if known is None:
        raise Closed(UNKNOWN, kind="no_such_code", field="code")
    ended = known.expires_at is None or known.expires_at <= timezone.now()
    if ended or known.revoked_at is not None or known.session.agreed_at is not None:
        raise Closed(RUN_OUT, kind="code_ended", field="code")
    return known


def answer(code: str, build_id: int, said: CoreFeel) -> FittingSession:
    """What the player says of a build on their own screen. Said again before the next shot, it takes the place of what
    was said; nothing is doubled by a screen that sends it twice."""
    with transaction.atomic():
        screen = screen_by(code)
        session = locked(screen.shop_id, screen.session_id)
        screen = screen_by(code)  # as it is under the lock
        _say(next_revision(session), screen, build_id, said, None)
        return session


@action("fit")
def write_down(actor: User, session_id: int, build_id: int, said: CoreFeel) -> FittingSession:
    """What the player said aloud of a build, as the fitter writes it down."""
    session = for_change(actor, session_id)
    _say(session, _screen(session), build_id, said, actor)
    return session


def _say(session: FittingSession, screen: PlayerScreen, build_id: int, said: CoreFeel, actor: User | None) -> None:
    build = Build.objects.of(session.shop_id).filter(pk=build_id, session=session, archived=False).first()
    if build is None:
        raise BadInput(say("act-club-not-part-session"), field="build")
    hit = Shot.objects.of(session.shop_id).filter(run__build=build, run__imported=None).count()
    Feel.objects.update_or_create(
        build=build,
        shots=hit,
        defaults={
            "shop_id": session.shop_id,
            **{felt.value: said.marks.get(felt) for felt in Felt},
            "veto": said.veto,
            "word": said.word,
            "numbers": not screen.away or build.pk in screen.shown,
            "by_player": actor is None,
        },
    )
    note(
        session,
        actor,
        "player.felt",
        f"build:{build.pk}",
        **{felt.value: mark for felt, mark in said.marks.items()},
    )
    announce(session, "felt")
