"""Telling open screens that a session changed: one listener a process hears PostgreSQL’s notices and fans them out.

A browser that listens holds no database connection; a process holds one, whatever the number of screens.
"""

from __future__ import annotations

import asyncio
import contextlib
import json
from collections import defaultdict
from collections.abc import AsyncIterator, Callable
from dataclasses import dataclass
from datetime import datetime
from time import monotonic
from typing import Protocol

import psycopg
import structlog
from asgiref.sync import sync_to_async
from common.notices import CHANNEL
from common.problems import Refused
from django.conf import settings
from django.db import connection
from django.utils import timezone
from fitting.models import FittingSession
from psycopg.conninfo import make_conninfo
from shop.sign_ins import still_signed_in

BEAT_S = 2.0  # a screen that hears nothing for a few of them says so
BEAT = b'event: beat\ndata: {"what": "beat"}\n\n'
LOOK_S = 60.0  # how often a stream looks whether its sign-in still holds; one that is ended is told at once
QUEUE = 64  # a screen that is this far behind reads everything anew
log = structlog.get_logger(__name__)


class Listener:
    """One LISTEN connection of this process, started with the first screen and ended with the last."""

    def __init__(self) -> None:
        self._queues: dict[int, set[asyncio.Queue[str]]] = defaultdict(set)
        self._task: asyncio.Task[None] | None = None
        self._ready = asyncio.Event()

    @contextlib.asynccontextmanager
    async def changes(self, session_id: int) -> AsyncIterator[asyncio.Queue[str]]:
        queue: asyncio.Queue[str] = asyncio.Queue(QUEUE)
        self._queues[session_id].add(queue)
        if self._task is None or self._task.done():
            self._ready.clear()
            self._task = asyncio.create_task(self._listen())
        with contextlib.suppress(TimeoutError):
            async with asyncio.timeout(5):
                await self._ready.wait()
        try:
            yield queue
        finally:
            self._queues[session_id].discard(queue)
            if not self._queues[session_id]:
                del self._queues[session_id]
            if not self._queues and self._task is not None:
                self._task.cancel()
                self._task = None

    async def _listen(self) -> None:
        """Listen for ever; after a lost connection every screen is told to read anew."""
        lost = False
        while True:
            try:
                async with await psycopg.AsyncConnection.connect(_address(), autocommit=True) as database:
                    await database.execute(f"LISTEN {CHANNEL}")
                    self._ready.set()
                    if lost:
                        self._tell_all(notice("reconnected", None))
                    async for heard in database.notifies():
                        told = json.loads(heard.payload)
                        if "sign_ins" in told:
                            self._tell_all(heard.payload)
                        else:
                            self._tell(told.pop("session"), json.dumps(told))
            except psycopg.OperationalError as error:
                log.warning("live.lost", error=str(error))
                lost = True
                await asyncio.sleep(1)

    def _tell(self, session_id: int, what: str) -> None:
        for queue in self._queues.get(session_id, ()):
            if queue.full():  # too far behind to be told one by one
                while not queue.empty():
                    queue.get_nowait()
                what = notice("behind", None)
            queue.put_nowait(what)

    def _tell_all(self, what: str) -> None:
        for session_id in list(self._queues):
            self._tell(session_id, what)


def _address() -> str:
    """Of the database that notices come from."""
    if settings.LISTEN_URL:
        return str(settings.LISTEN_URL)
    params = connection.get_connection_params()
    return make_conninfo(
        **{key: params[key] for key in ("dbname", "user", "password", "host", "port") if key in params}
    )


_listeners: dict[int, Listener] = {}


def listener() -> Listener:
    """The listener of the running event loop."""
    key = id(asyncio.get_running_loop())
    if key not in _listeners:
        _listeners[key] = Listener()
    return _listeners[key]


def notice(what: str, revision: int | None) -> str:
    """Word of something that no change told. revision: of the session; None where it is not known."""
    return json.dumps({"what": what, "revision": revision, "shot": None, "build": None, "now": None})


def let_go() -> None:
    """Give the database connection of this request back: a stream that waits for hours holds none."""
    if not connection.in_atomic_block:
        connection.close()


class Holder(Protocol):
    """By what right a stream is open."""

    def ended_by(self, told: str) -> bool:
        """Whether a notice, or the time, may have ended it."""

    def may_hear(self, told: str) -> str:
        """A notice as it may be passed on; empty where it may not be at all."""

    async def holds(self) -> bool: ...


@dataclass(frozen=True)
class StreamSignIn:
    """Whose stream it is, by which sign-in."""

    user: int
    key: str

    def ended_by(self, told: str) -> bool:
        return f'"sign_ins": {self.user}}}' in told

    def may_hear(self, told: str) -> str:
        return "" if '"sign_ins"' in told else told

    @sync_to_async
    def holds(self) -> bool:
        try:
            return still_signed_in(self.key, self.user)
        finally:
            let_go()


@sync_to_async
def revision_of(session_id: int) -> int | None:
    try:
        return FittingSession.objects.filter(pk=session_id).values_list("revision", flat=True).first()
    finally:
        let_go()


@dataclass(frozen=True)
class ByCode:
    """A stream of a page that a code opened: it is told that something changed, and nothing of what. find: raises
    Refused once the code opens nothing any more; ends: what was done when it may have ended; until: how long the code
    lasts at the most."""

    find: Callable[[], object]
    ends: str
    until: datetime | None = None

    def ended_by(self, told: str) -> bool:
        over = self.until is not None and self.until <= timezone.now()
        return over or any(f'"what": "{what}"' in told for what in (self.ends, "agreed", "erased"))

    def may_hear(self, told: str) -> str:
        heard = json.loads(told)
        return "" if "sign_ins" in heard else notice("changed", heard["revision"])

    @sync_to_async
    def holds(self) -> bool:
        try:
            self.find()
            return True
        except Refused:
            return False
        finally:
            let_go()


async def events(session_id: int, holder: Holder) -> AsyncIterator[bytes]:
    """A session's Server-Sent Events: `changed` with what changed, and a `beat` every other second, so that a
    screen knows that it would hear of it. It ends with the sign-in, or with the code that opened it.

    The first says which revision the session is at, read after the listening began, so that nothing falls between.
    """
    async with listener().changes(session_id) as queue:
        first = notice("connected", await revision_of(session_id))
        yield f"retry: 1000\n\nevent: changed\ndata: {first}\n\n".encode()
        looked = monotonic()
        while True:
            try:
                async with asyncio.timeout(BEAT_S):
                    what = await queue.get()
            except TimeoutError:
                what = ""
            if monotonic() - looked > LOOK_S or holder.ended_by(what):
                if not await holder.holds():
                    yield f"event: changed\ndata: {notice('signed_out', None)}\n\n".encode()
                    return
                looked = monotonic()
            if not what:
                yield BEAT
            elif heard := holder.may_hear(what):
                yield f"event: changed\ndata: {heard}\n\n".encode()
