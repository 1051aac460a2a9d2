"""An answer is worked out once, whichever process is asked: the first has its turn, the others wait and read what it
made. Its turn ends with its transaction, or with its process."""

from __future__ import annotations

import json
import threading
import zlib
from collections.abc import Callable, Iterable, Iterator, Mapping, Sequence
from contextlib import contextmanager
from dataclasses import dataclass
from typing import Any
from weakref import WeakValueDictionary

from common.scoped import ScopedQuerySet
from common.version import code_version
from django.db import OperationalError, connection, transaction
from django.utils import timezone
from hemicycle_core.kept import key_of
from psycopg.errors import LockNotAvailable
from rest_framework.utils.encoders import JSONEncoder

from ..domain.versions import Version
from ..models import FittingSession, JudgedAnswer

TURN = 0x48656D69  # of the locks of this database: those of sessions that are judged
LONGEST_S = 20  # whoever has the turn may have stopped; then it is worked out beside him
ALONG = 3  # an answer that was asked for so few times ago is made along with the one that is asked for
SMALLER = 1  # of 9: packing takes longer than working out what is packed, soon


@dataclass(frozen=True)
class Told:
    """An answer as plain data, not to be changed. shots_at: of its shots, in their order, the revision at which each
    changed last; whole_from: whoever has an older revision is told all of them."""

    data: Any
    shots_at: tuple[int, ...] = ()
    whole_from: int = 0

    def since(self, revision: int) -> Any:
        """The same for who has what was told of an earlier revision: the shots that changed since, where that is
        enough."""
        if not self.shots_at or not revision > 0 or not self.whole_from <= revision <= self.data["revision"]:
            return self.data
        shots = [shot for shot, at in zip(self.data["shots"], self.shots_at, strict=True) if at > revision]
        return {**self.data, "shots": shots, "shots_since": revision}


Make = Callable[[Iterable[str]], Mapping[str, Told]]


@dataclass(frozen=True)
class Versioned:
    """A session and the version of all that is answered of it; the row is no older than that."""

    row: FittingSession
    version: Version

    @property
    def key(self) -> str:
        return f"{key_of(self.version).hex()}.{code_version()}"


def kept_answer(session: Versioned, part: str) -> Told | None:
    """An answer that somebody had worked out of just these rows; None where nobody had. Nothing is worked out."""
    rows = JudgedAnswer.objects.of(session.row.shop_id).filter(session=session.row, part=part, key=session.key)
    packed = rows.values_list("answer", flat=True).first()
    return None if packed is None else _unpacked(packed)


def once(session: Versioned, part: str, along: Sequence[str], anew: Callable[[], tuple[Versioned, Make]]) -> Told:
    """One answer. along: those that are made along with any other, where somebody wants them; anew: the session as it
    is by now, and what makes answers of it."""
    rows = JudgedAnswer.objects.of(session.row.shop_id).filter(session=session.row)
    found = _found(session, rows.filter(part=part))
    if found is not None:
        return found
    with _turn_here(session.row.pk) as mine:
        if mine:
            try:
                with transaction.atomic():
                    return _in_turn(session.row.pk, part, rows.filter(part__in={part, *along}), anew)
            except OperationalError as error:
                if not isinstance(error.__cause__, LockNotAvailable):
                    raise
        _, make = anew()
        return make([part])[part]


Rows = ScopedQuerySet[JudgedAnswer]
_turns: WeakValueDictionary[int, threading.Lock] = WeakValueDictionary()
_guard = threading.Lock()


@contextmanager
def _turn_here(session_id: int) -> Iterator[bool]:
    """The turn among the requests of this process, and whether it came: whoever waits for it holds no connection
    meanwhile, so that one session at work leaves some for all others."""
    with _guard:
        lock = _turns.setdefault(session_id, threading.Lock())
    mine = lock.acquire(blocking=False)
    if not mine:
        if not connection.in_atomic_block:
            connection.close()
        mine = lock.acquire(timeout=LONGEST_S)
    try:
        yield mine
    finally:
        if mine:
            lock.release()


def _in_turn(session_id: int, part: str, rows: Rows, anew: Callable[[], tuple[Versioned, Make]]) -> Told:
    with connection.cursor() as cursor:
        turn = (f"{LONGEST_S}s", TURN, session_id % (1 << 31))
        cursor.execute("SELECT set_config('lock_timeout', %s, true), pg_advisory_xact_lock(%s, %s)", turn)
    # Whoever had it before may have made of it what is there by now.
    session, make = anew()
    found = _found(session, rows.filter(part=part))
    if found is not None:
        return found
    # What is there already is not made again.
    stale = rows.exclude(key=session.key).filter(unasked__lt=ALONG)
    unasked = {name: times + 1 for name, times in stale.values_list("part", "unasked")} | {part: 0}
    made = make(unasked)
    _keep(session, made, unasked)
    return made[part]


def _found(session: Versioned, rows: Rows) -> Told | None:
    row = rows.filter(key=session.key).values_list("answer", "unasked").first()
    if row is None:
        return None
    packed, unasked = row
    if unasked:
        rows.update(unasked=0)
    return _unpacked(packed)


def _unpacked(packed: bytes | memoryview) -> Told:
    kept = json.loads(zlib.decompress(packed))
    return Told(kept["data"], tuple(kept["shots_at"]), kept["whole_from"])


def _keep(session: Versioned, made: Mapping[str, Told], unasked: Mapping[str, int]) -> None:
    """For the others, where nothing of the session was changed meanwhile or is being changed: so nobody who is erased
    meanwhile is kept, and whoever changes it is not waited for."""
    rows = FittingSession.objects.of(session.row.shop_id).filter(pk=session.row.pk, revision=session.row.revision)
    if rows.select_for_update(of=("self",), no_key=True, skip_locked=True).values_list("pk").first() is None:
        return
    now = timezone.now()
    about = {"shop_id": session.row.shop_id, "session": session.row, "key": session.key, "at": now}
    JudgedAnswer.objects.bulk_create(
        [JudgedAnswer(part=name, answer=_packed(told), unasked=unasked[name], **about) for name, told in made.items()],
        update_conflicts=True,
        unique_fields=["session", "part"],
        update_fields=["key", "at", "answer", "unasked"],
    )


def _packed(told: Told) -> bytes:
    about = {"data": told.data, "shots_at": told.shots_at, "whole_from": told.whole_from}
    return zlib.compress(json.dumps(about, cls=JSONEncoder).encode(), SMALLER)
