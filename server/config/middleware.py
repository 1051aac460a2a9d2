"""Headers every answer carries."""

from collections.abc import Awaitable, Callable

from asgiref.sync import iscoroutinefunction, markcoroutinefunction
from common.problems import bad_request
from django.http import HttpRequest, HttpResponseBase

POLICY = "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data:; frame-ancestors 'none'"


def _private(request: HttpRequest) -> bool:
    """Whether the answer is somebody's own: what the API says is kept by no cache but, where it says so, theirs."""
    return request.path.startswith("/api/")


def _broken(request: HttpRequest) -> bool:
    """Whether the address holds a character that no text holds; the database would refuse it."""
    return "\x00" in request.path or any("\x00" in each for each in request.GET.values())


class SafeHeaders:
    """Nothing is loaded from anywhere but this server, and what the API answers stays with who asked. Inline style
    attributes are how SVG is placed."""

    sync_capable = True
    async_capable = True

    def __init__(self, get_response: Callable[[HttpRequest], HttpResponseBase | Awaitable[HttpResponseBase]]) -> None:
        self.get_response = get_response
        if iscoroutinefunction(get_response):
            markcoroutinefunction(self)

    def __call__(self, request: HttpRequest) -> HttpResponseBase | Awaitable[HttpResponseBase]:
        if iscoroutinefunction(self.get_response):
            return self._later(request)
        if _broken(request):
            return self._marked(bad_request(request), True)
        return self._marked(self.get_response(request), _private(request))  # type: ignore[arg-type]

    async def _later(self, request: HttpRequest) -> HttpResponseBase:
        if _broken(request):
            return self._marked(bad_request(request), True)
        return self._marked(await self.get_response(request), _private(request))  # type: ignore[misc]

    @staticmethod
    def _marked(response: HttpResponseBase, private: bool) -> HttpResponseBase:
        response.headers["Content-Security-Policy"] = POLICY
        if private and not response.has_header("Cache-Control"):
            response.headers["Cache-Control"] = "private, no-store"
        return response
