"""What a request says of itself beside its body: which change it is, and which revision its sender looked at."""

from __future__ import annotations

import re
from collections.abc import Awaitable, Callable
from contextvars import ContextVar
from dataclasses import dataclass
from typing import Any

from asgiref.sync import iscoroutinefunction, markcoroutinefunction
from django.http import HttpRequest, HttpResponseBase

NAMED = re.compile(r"[A-Za-z0-9-]{8,40}\.[0-9]{1,12}")


@dataclass
class RequestSaid:
    """change: `TAB.NUMBER`, the same in every retry, empty where the sender does not number its changes. since: the
    revision of the session that was on the screen, None where the sender does not say. briefly: it wants to be told
    what changed, and asks for the rest when it wants it (RFC 7240, `return=minimal`). told: what did, the last of it.
    """

    change: str = ""
    since: int | None = None
    briefly: bool = False
    taken: bool = False
    told: dict[str, Any] | None = None

    @property
    def tab(self) -> str:
        return self.change.partition(".")[0]

    def take_change(self) -> str:
        """The change's name for the one action that carries it out; empty for every other."""
        change, self.taken = "" if self.taken else self.change, True
        return change


_asked: ContextVar[RequestSaid | None] = ContextVar("asked", default=None)


def asked() -> RequestSaid:
    """Of the request in hand; of none outside one."""
    return _asked.get() or RequestSaid()


def _read(request: HttpRequest) -> RequestSaid:
    change, since = request.headers.get("Change", ""), request.headers.get("Since-Revision", "")
    known = since.isdecimal() and since.isascii() and len(since) <= 9 and int(since) > 0
    briefly = "return=minimal" in request.headers.get("Prefer", "")
    return RequestSaid(change if NAMED.fullmatch(change) else "", int(since) if known else None, briefly)


class AskedMiddleware:
    sync_capable = True
    async_capable = True

    def __init__(self, get_response: Callable[[HttpRequest], HttpResponseBase | Awaitable[HttpResponseBase]]) -> None:
        self.get_response = get_response
        if iscoroutinefunction(get_response):
            markcoroutinefunction(self)

    def __call__(self, request: HttpRequest) -> HttpResponseBase | Awaitable[HttpResponseBase]:
        if iscoroutinefunction(self.get_response):
            return self._later(request)
        token = _asked.set(_read(request))
        try:
            return self.get_response(request)
        finally:
            _asked.reset(token)

    async def _later(self, request: HttpRequest) -> HttpResponseBase:
        token = _asked.set(_read(request))
        try:
            return await self.get_response(request)  # type: ignore[misc,no-any-return]
        finally:
            _asked.reset(token)
