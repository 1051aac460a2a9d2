"""`./hemicycle latency`: how long a shot takes from sending to an open screen, beside a running server."""

from __future__ import annotations

import argparse
import http.client
import json
import os
import statistics
import sys
import time

from .line import Line, connected, send

READINGS = {"ball_speed_mps": 54.0, "launch_deg": 15.0, "spin_rpm": 4600.0}


def heard(stream: http.client.HTTPResponse, what: str) -> None:
    """Wait for a notice of this kind."""
    while True:
        line = stream.readline().decode()
        if line.startswith("data:") and json.loads(line.removeprefix("data:"))["what"] == what:
            return


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
    monitor = connected(options.url)
    session = send(monitor, key, f"{mark} first", READINGS)
    if session is None:
        raise SystemExit("The bay serves no session: open one and take a build in hand there first.")
    stream = Line(options.url, options.user, password).stream(f"/api/sessions/{session}/stream")
    heard(stream, "connected")
    took = []
    for number in range(options.shots):
        began = time.perf_counter()
        send(monitor, key, f"{mark} {number}", READINGS)
        heard(stream, "shot")
        took.append((time.perf_counter() - began) * 1000)
    most = statistics.quantiles(took, n=20)[-1] if len(took) > 1 else took[0]
    print(f"{len(took)} shots, sent to heard: median {statistics.median(took):.0f} ms, 19 in 20 within {most:.0f} ms")
    return 0


if __name__ == "__main__":
    sys.exit(main(sys.argv[1:]))
