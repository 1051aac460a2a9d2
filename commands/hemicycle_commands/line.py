"""Somebody signed in to a running server over one connection, as a browser holds it; and the feed of a monitor."""

from __future__ import annotations

import http.client
import json
from typing import Any
from urllib.parse import urlsplit

LONGEST_S = 60


def connected(address: str) -> http.client.HTTPConnection:
    where = urlsplit(address)
    return http.client.HTTPConnection(where.hostname or "127.0.0.1", where.port, timeout=LONGEST_S)


class Line:
    """Raises SystemExit with what the server said where it refuses."""

    def __init__(self, address: str, name: str, password: str) -> None:
        self.address, self.line = address, connected(address)
        self.headers = {"Content-Type": "application/json", "Accept-Encoding": "gzip"}
        cookies = self._cookies(self.ask("GET", "/api/me"))
        self.headers |= {"Cookie": f"csrftoken={cookies['csrftoken']}", "X-CSRFToken": cookies["csrftoken"]}
        cookies |= self._cookies(self.ask("POST", "/api/sign-in", {"username": name, "password": password}))
        self.headers["Cookie"] = "; ".join(f"{key}={value}" for key, value in cookies.items())

    def ask(self, method: str, path: str, body: Any = None) -> http.client.HTTPResponse:
        """An answer that was read. One that stood idle for too long is opened again."""
        try:
            answer = self._asked(method, path, body)
        except http.client.RemoteDisconnected:
            self.line = connected(self.address)
            answer = self._asked(method, path, body)
        answer.read()
        return answer

    def stream(self, path: str) -> http.client.HTTPResponse:
        """An answer that goes on; the line is good for nothing else then."""
        return self._asked("GET", path, None)

    def _asked(self, method: str, path: str, body: Any) -> http.client.HTTPResponse:
        self.line.request(method, path, None if body is None else json.dumps(body), self.headers)
        answer = self.line.getresponse()
        if answer.status >= 400:
            raise SystemExit(f"{method} {path} was refused with {answer.status}: {answer.read()[:300]!r}")
        return answer

    @staticmethod
    def _cookies(answer: http.client.HTTPResponse) -> dict[str, str]:
        set_ = [value.partition(";")[0].partition("=") for key, value in answer.getheaders() if key == "Set-Cookie"]
        return {name: value for name, _, value in set_}


def send(line: http.client.HTTPConnection, key: str, shot: str, readings: dict[str, float]) -> int | None:
    """One shot through the feed; the session it went to, None where it waits in the tray."""
    headers = {"Authorization": f"Bearer {key}", "Content-Type": "application/json"}
    line.request("POST", "/api/feed/shots", json.dumps({"shots": [{"id": shot, "readings": readings}]}), headers)
    answer = line.getresponse()
    told = json.loads(answer.read())
    if answer.status != 200:
        raise SystemExit(told["title"])
    found: int | None = told["session"]
    return found
