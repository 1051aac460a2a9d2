"""`./hemicycle latency`: how long a shot takes from sending to an open screen, beside a running server."""

from __future__ import annotations

import argparse
import http.client
import json
import os
import statistics
import sys
import time
from urllib.parse import urlsplit


class Screen:
    """A signed-in reader of one session's live stream."""

    def __init__(self, address: str, name: str, password: str, session: int) -> None:
        self.where = urlsplit(address)
        line = self._line()
        line.request("GET", "/api/me")
        token = cookie(line.getresponse(), "csrftoken")
        headers = {"Cookie": f"csrftoken={token}", "X-CSRFToken": token, "Content-Type": "application/json"}
        line = self._line()
        line.request("POST", "/api/sign-in", json.dumps({"username": name, "password": password}), headers)
        signed = line.getresponse()
        if signed.status != 200:
            raise SystemExit(f"Signing in was refused: {json.loads(signed.read())['title']}")
        line = self._line()
        line.request(
            "GET", f"/api/sessions/{session}/stream", headers={"Cookie": f"sessionid={cookie(signed, 'sessionid')}"}
        )
        self.stream = line.getresponse()
        if self.stream.status != 200:
            raise SystemExit(f"The stream of session {session} was refused with {self.stream.status}.")
        self.heard("connected")

    def _line(self) -> http.client.HTTPConnection:
        return http.client.HTTPConnection(self.where.hostname or "127.0.0.1", self.where.port, timeout=20)

    def heard(self, what: str) -> None:
        """Wait for a notice of this kind."""
        while True:
            line = self.stream.readline().decode()
            if line.startswith("data:") and json.loads(line.removeprefix("data:"))["what"] == what:
                return


def cookie(answer: http.client.HTTPResponse, name: str) -> str:
    found = [value for key, value in answer.getheaders() if key == "Set-Cookie" and value.startswith(f"{name}=")]
    return found[0].partition("=")[2].partition(";")[0] if found else ""


def send(where: str, key: str, shot: str) -> int:
    """One shot through the feed; the session it went to."""
    parts = urlsplit(where)
    line = http.client.HTTPConnection(parts.hostname or "127.0.0.1", parts.port, timeout=20)
    body = {"shots": [{"id": shot, "readings": {"ball_speed_mps": 54.0, "launch_deg": 15.0, "spin_rpm": 4600.0}}]}
    headers = {"Authorization": f"Bearer {key}", "Content-Type": "application/json"}
    line.request("POST", "/api/feed/shots", json.dumps(body), headers)
    answer = line.getresponse()
    told = json.loads(answer.read())
    if answer.status != 200:
        raise SystemExit(told["title"])
    if told["session"] is None:
        raise SystemExit("The bay serves no session: open one and take a build in hand there first.")
    return int(told["session"])


def main(words: list[str]) -> int:
    parser = argparse.ArgumentParser(prog="hemicycle latency", description=__doc__)
    parser.add_argument("--url", required=True)
    parser.add_argument("--user", default="fitter")
    parser.add_argument("--shots", type=int, default=20, help="how many are timed, 1 to 200")
    options = parser.parse_args(words)
    if not 1 <= options.shots <= 200:
        print("Time 1 to 200 shots.", file=sys.stderr)
        return 2
    key, password = os.environ["HEMICYCLE_FEED_KEY"], os.environ["HEMICYCLE_DEMO_PASSWORD"]
    mark = f"latency {time.time():.0f}"
    screen = Screen(options.url, options.user, password, send(options.url, key, f"{mark} first"))
    took = []
    for number in range(options.shots):
        began = time.perf_counter()
        send(options.url, key, f"{mark} {number}")
        screen.heard("shot")
        took.append((time.perf_counter() - began) * 1000)
    most = statistics.quantiles(took, n=20)[-1] if len(took) > 1 else took[0]
    print(f"{len(took)} shots, sent to heard: median {statistics.median(took):.0f} ms, 19 in 20 within {most:.0f} ms")
    return 0


if __name__ == "__main__":
    sys.exit(main(sys.argv[1:]))
