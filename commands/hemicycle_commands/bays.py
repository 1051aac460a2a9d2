"""`./hemicycle speed --bays 8`: every bay of a shop at work, a shot every few seconds in each and two screens a bay,
and some in a real browser besides; how long until a shot is told, drawn and judged, and what it costs."""

from __future__ import annotations

import argparse
import json
import os
import shutil
import statistics
import sys
import time
from collections import defaultdict
from collections.abc import Callable, Iterator, Sequence
from contextlib import contextmanager
from pathlib import Path
from threading import Event, Lock, Thread
from typing import Any

from .line import Line, connected, send

EVERY_S = 4.0
SCREENS = 2  # a bay
TICKS = os.sysconf("SC_CLK_TCK")
# A page notes by the clock when its last carry is another.
WATCH = """() => { window.drawn = [];
    new MutationObserver(() => window.drawn.push(Date.now())).observe(
        document.querySelector("[data-testid=last-carry]"),
        { childList: true, characterData: true, subtree: true }) }"""


class Run:
    """What a run saw, seconds: from a shot sent until a screen was told of it and until it had what is judged of it."""

    def __init__(self) -> None:
        self.sent: dict[int, list[float]] = defaultdict(list)  # by session
        self.told: list[float] = []
        self.judged: list[float] = []
        self.wrong: list[str] = []  # why part of it ended before it was over
        self.over, self.lock = Event(), Lock()

    def go(self, work: Callable[..., None], *given: Any) -> None:
        """Beside the others, until it is over; one that ends before says why."""

        def guarded() -> None:
            try:
                work(*given)
            except BaseException as error:
                if not self.over.is_set():
                    self.wrong.append(f"{work.__name__}: {error!r}")

        Thread(target=guarded, daemon=True).start()

    def screen(self, line: Line, stream: Line, session: int) -> None:
        """One that is open: told of each shot by its stream, it reads the session anew, once for all that was told."""
        news: list[tuple[float, int]] = []  # when it was sent, and the revision it made
        there = Event()

        def listen() -> None:
            heard = stream.stream(f"/api/sessions/{session}/stream")
            while not self.over.is_set():
                text = heard.readline().decode()
                told: dict[str, Any] = json.loads(text.removeprefix("data:")) if text.startswith("data:") else {}
                if told.get("what") == "shot":
                    with self.lock:
                        began = self.sent[session][-1]
                        self.told.append(time.monotonic() - began)
                        news.append((began, told["revision"]))
                    there.set()

        self.go(listen)
        since = 0
        while not self.over.is_set():
            if not there.wait(0.2):
                continue
            there.clear()
            with self.lock:
                known, news[:] = list(news), []
            line.ask("GET", f"/api/sessions/{session}" + (f"?since={since}" if since else ""))
            since = max([since, *(revision for _, revision in known)])
            with self.lock:
                self.judged += [time.monotonic() - began for began, _ in known]

    def monitor(self, address: str, bay: dict[str, Any], wait_s: float) -> None:
        """A bay's: a shot every few seconds."""
        line, number = connected(address), 0
        self.over.wait(wait_s)
        while not self.over.is_set():
            number += 1
            spread = (number * 37 % 23 - 11) / 11
            readings = {"ball_speed_mps": 60 + 1.4 * spread, "launch_deg": 15 - spread, "spin_rpm": 4300 + 300 * spread}
            with self.lock:
                self.sent[bay["session"]].append(time.monotonic())
            taken = send(line, bay["key"], f"load {bay['bay']} {number}", readings)
            if taken != bay["session"]:
                raise SystemExit(f"a shot of bay {bay['bay']} went to {taken}")
            self.over.wait(EVERY_S)


@contextmanager
def browsers(address: str, password: str, sessions: Sequence[int]) -> Iterator[list[Any]]:
    """Pages at the Bay, each in a browser of its own; none where there is none."""
    try:
        from playwright.sync_api import sync_playwright  # noqa: PLC0415 (comes with what the tests need)
    except ImportError:
        yield []
        return
    with sync_playwright() as play:
        pages = []
        for session in sessions:
            page = play.chromium.launch(executable_path=shutil.which("chromium")).new_page()
            page.goto(address)
            page.get_by_label("Name").fill("fitter")
            page.get_by_label("Password").fill(password)
            page.keyboard.press("Enter")
            page.get_by_role("heading", name="Visits").wait_for()
            page.goto(f"{address}/sessions/{session}/bay")
            page.get_by_test_id("last-carry").wait_for()
            page.evaluate(WATCH)
            pages.append(page)
        yield pages


def processor(pids: Sequence[int]) -> float:
    """Seconds that processes have had."""
    spent = [Path(f"/proc/{pid}/stat").read_text().rpartition(") ")[2].split()[11:13] for pid in pids]
    return sum(int(each) for times in spent for each in times) / TICKS


def children(pid: int) -> list[int]:
    return [
        int(each) for task in Path(f"/proc/{pid}/task").iterdir() for each in (task / "children").read_text().split()
    ]


def resident(pids: Sequence[int]) -> float:
    """Megabytes that processes hold."""
    return sum(int(Path(f"/proc/{pid}/statm").read_text().split()[1]) for pid in pids) * os.sysconf("SC_PAGESIZE") / 1e6


def line_of(name: str, took: Sequence[float]) -> str:
    if not took:
        return f"| {name} | – | – | 0 |"
    most = statistics.quantiles(took, n=20)[-1] if len(took) > 1 else took[0]
    return f"| {name} | {statistics.median(took) * 1000:.0f} | {most * 1000:.0f} | {len(took)} |"


def main(words: list[str]) -> int:
    parser = argparse.ArgumentParser(prog="hemicycle speed --bays", description=__doc__)
    parser.add_argument("--url", required=True)
    parser.add_argument("--seconds", type=float, default=120)
    parser.add_argument("--browsers", type=int, default=2)
    parser.add_argument("--servers", type=int, nargs="+", required=True, help="process ids of the server")
    parser.add_argument("--database", type=int, required=True, help="process id of PostgreSQL")
    options = parser.parse_args(words)
    bays, password = json.loads(os.environ["HEMICYCLE_BAYS"]), os.environ["HEMICYCLE_DEMO_PASSWORD"]
    run, seen = Run(), [each["session"] for each in bays][: options.browsers]
    with browsers(options.url, password, seen) as pages:
        for bay in bays:
            for _ in range(SCREENS):
                lines = [Line(options.url, "fitter", password) for _ in range(2)]
                run.go(run.screen, *lines, bay["session"])
        held = resident(options.servers)
        before = [processor(options.servers), processor([options.database, *children(options.database)])]
        for number, bay in enumerate(bays):
            wait_s = EVERY_S * number / len(bays)
            run.go(run.monitor, options.url, bay, wait_s)
        if pages:
            for page in pages:
                page.wait_for_timeout(options.seconds * 1000 / len(pages))
        else:
            time.sleep(options.seconds)
        run.over.set()
        after = [processor(options.servers), processor([options.database, *children(options.database)])]
        offset = time.time() - time.monotonic()
        drawn = []
        for page, session in zip(pages, seen, strict=False):
            at = [each / 1000 - offset for each in page.evaluate("window.drawn")]
            drawn += [
                min(later) - sent for sent in run.sent[session] if (later := [each for each in at if each > sent])
            ]
    if run.wrong:
        raise SystemExit(f"The run says nothing, as part of it ended: {run.wrong[0]}")
    shots = sum(len(each) for each in run.sent.values())
    print(f"{len(bays)} bays, a shot every {EVERY_S:.0f} s, {SCREENS} screens each, {len(options.servers)} processes\n")
    print("| from a shot sent | median, ms | 19 in 20, ms | times |\n|---|---|---|---|")
    print(line_of("until a screen is told", run.told))
    print(line_of("until a browser draws it", drawn))
    print(line_of("until a screen has what is judged of it", run.judged))
    servers, database = (now - then for now, then in zip(after, before, strict=True))
    print(
        f"\nA shot took {servers / max(shots, 1) * 1000:.0f} ms of the servers' processor and "
        f"{database / max(shots, 1) * 1000:.0f} of the database's; {servers / options.seconds:.2f} of a core in all. "
        f"The servers held {held:.0f} MB before and {resident(options.servers):.0f} after."
    )
    return 0


if __name__ == "__main__":
    sys.exit(main(sys.argv[1:]))
