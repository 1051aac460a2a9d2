"""Headers every answer carries."""

from collections.abc import Awaitable, Callable

from asgiref.sync import iscoroutinefunction, markcoroutinefunction
from django.http import HttpRequest, HttpResponseBase

POLICY = "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data:; frame-ancestors 'none'"


class ContentSecurityPolicy:
    """Nothing is loaded from anywhere but this server. Inline style attributes are how SVG is placed."""

    sync_capable = True
    async_capable = True

    def __init__(self, get_response: Callable[[HttpRequest], HttpResponseBase | Awaitable[HttpResponseBase]]) -> None:
        self.get_response = get_response
        if iscoroutinefunction(get_response):
            markcoroutinefunction(self)

    def __call__(self, request: HttpRequest) -> HttpResponseBase | Awaitable[HttpResponseBase]:
        if iscoroutinefunction(self.get_response):
            return self._later(request)
        return self._marked(self.get_response(request))  # type: ignore[arg-type]

    async def _later(self, request: HttpRequest) -> HttpResponseBase:
        return self._marked(await self.get_response(request))  # type: ignore[misc]

    @staticmethod
    def _marked(response: HttpResponseBase) -> HttpResponseBase:
        response.headers["Content-Security-Policy"] = POLICY
        return response
