"""Two server processes behind one port: screens on both, shots to either, and one that is killed."""

from __future__ import annotations

import json
import os
import re
import signal
from collections.abc import Iterator
from contextlib import contextmanager
from pathlib import Path

import psycopg
from playwright.sync_api import Browser, Page, expect
from steps import be_signed_in, comes, running_servers, servers

ROOT = Path(__file__).resolve().parents[1]
TYPE = """async ([session, carry]) => {
    const token = document.cookie.match(/csrftoken=([^;]+)/)[1];
    const at = `/api/sessions/${session}`;
    const { in_hand } = await (await fetch(at)).json();
    const answer = await fetch(`${at}/shots`, {
        method: "POST",
        headers: { "Content-Type": "application/json", "X-CSRFToken": token },
        body: JSON.stringify({ build: in_hand, carry_m: carry }),
    });
    return answer.status;
}"""


@contextmanager
def stopped(pid: int) -> Iterator[None]:
    """While one of them stands still, the other takes what is new."""
    os.kill(pid, signal.SIGSTOP)
    try:
        yield
    finally:
        os.kill(pid, signal.SIGCONT)


def bay(browser: Browser, application) -> Page:
    page = browser.new_context(viewport={"width": 1280, "height": 800}, service_workers="block").new_page()
    be_signed_in(page, application)
    page.goto(f"{application.address}/sessions/1/bay")
    expect(page.get_by_text("Feed open")).to_be_visible()
    return page


def serving(application) -> dict[int, int]:
    """By process how many connections it has."""
    at = f":{application.port:04X} "
    lines = Path("/proc/net/tcp").read_text().splitlines()[1:]
    here = {line.split()[9] for line in lines if at in line and line.split()[3] == "01"}
    found = {}
    for pid in servers(application):
        held = [str(each.readlink()) for each in Path(f"/proc/{pid}/fd").iterdir() if each.is_symlink()]
        found[pid] = sum(name.removeprefix("socket:[").removesuffix("]") in here for name in held)
    return found


def carries(page: Page, yards: int) -> None:
    expect(page.get_by_test_id("last-carry")).to_have_text(str(yards))


def typed(page: Page, yards: int) -> None:
    assert page.evaluate(TYPE, [1, yards * 0.9144]) == 201


def shots(application) -> int:
    with psycopg.connect(json.loads((application.home / "run.json").read_text())["database"]) as database:
        found: int = database.execute("SELECT count(*) FROM fitting_shot WHERE session_id = 1").fetchone()[0]
        return found


def test_screens_of_two_processes_show_each_shot_and_outlive_one_of_them(browser, application) -> None:
    first, second = servers(application)
    with stopped(first):
        one = bay(browser, application)
    with stopped(second):
        two = bay(browser, application)
    there = serving(application)
    assert there[first] and there[second], there
    before = shots(application)
    # A shot to either is on both, with one answer about the build.
    for at, (page, yards) in enumerate([(one, 171), (two, 183), (one, 176)], start=1):
        typed(page, yards)
        for each in (one, two):
            carries(each, yards)
        assert shots(application) == before + at
    stand = [each.get_by_role("button", name=re.compile("^A ")).first.inner_text() for each in (one, two)]
    assert stand[0] == stand[1]
    # One is killed: its screen goes over to the other, and nothing is lost.
    os.kill(first, signal.SIGKILL)
    typed(two, 168)
    for each in (one, two):
        expect(each.get_by_text("Feed open")).to_be_visible()
        expect(each.get_by_test_id("last-carry")).to_have_text("168")
    typed(one, 179)
    for each in (one, two):
        expect(each.get_by_test_id("last-carry")).to_have_text("179")
    assert shots(application) == before + 5
    # Another has taken its place.
    assert comes(lambda: first not in servers(application))
    assert second in servers(application)
    for each in (one, two):
        each.context.close()


def test_a_shop_with_its_bays_at_work_is_measured_and_gone_afterwards(application) -> None:
    done = application.launch("speed", "--bays", "2", "--seconds", "9", "--browsers", "1")
    assert done.returncode == 0, done.stderr
    rows = [line.strip("| ").split(" | ") for line in done.stdout.splitlines() if line.startswith("| until")]
    assert [name for name, *_ in rows] == [
        "until a screen is told", "until a browser draws it", "until a screen has what is judged of it",
    ]  # fmt: skip
    told, drawn, judged = (int(times) for *_, times in rows)
    assert told >= 8 and drawn >= 2 and judged >= 6  # two bays with two screens each, two shots and more a bay
    assert "of the servers' processor" in done.stdout


def test_dev_starts_again_when_a_file_is_saved(application, another) -> None:
    dev = another()
    dev.database = application.database
    dev.run("dev")
    first = running_servers(dev)
    assert len(first) == 1
    (ROOT / "server" / "common" / "words.py").touch()
    assert comes(lambda: running_servers(dev) not in ([], first))
    assert len(running_servers(dev)) == 1
    dev.answers()
