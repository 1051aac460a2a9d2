"""`./hemicycle start`: everything up, one address, everything down again."""

from __future__ import annotations

import argparse
import contextlib
import json
import os
import secrets
import signal
import socket
import subprocess
import time
import urllib.error
import urllib.request
from collections.abc import Callable, Iterator
from typing import Any

from . import data, install, keep
from .common import PYTHON, ROOT, StartStep, Stop, home, say, server_env
from .supervise import Servers, Watch, end_group, end_orphans, listening, running_notice

PATIENCE_S = 30
Told = dict[str, Any]  # what the database holds, as the command that brings it up to date says
MOST_WORKERS = 8
USUAL_WORKERS = min(2, os.cpu_count() or 1)
MOST_PORT = 65_535
MOST_CONNECTIONS = 40  # of the 60 the private database takes; the rest is for listeners, commands and backups


def _wait_until_up(servers: Servers, address: str) -> None:
    deadline = time.monotonic() + PATIENCE_S
    while time.monotonic() < deadline:
        if _asked:
            raise _Asked
        if all(process.poll() is not None for process in servers.running):
            raise Stop("The server ended while starting. Its messages are above.")
        with contextlib.suppress(urllib.error.URLError, ConnectionError, TimeoutError):
            urllib.request.urlopen(f"{address}/api/me", timeout=2).close()
            return
        time.sleep(0.1)
    raise Stop(f"The server did not answer within {PATIENCE_S} s.")


class _Asked(Exception):
    """Ctrl-C or SIGTERM."""


_asked: list[int] = []


def _on_signal(number: int, _frame: Any) -> None:
    """End what is being waited for, once. Written down too: an exception that comes while something is being collected
    as garbage goes nowhere."""
    _asked.append(number)
    if len(_asked) == 1:
        raise _Asked


def _only_note() -> None:
    """From here on a signal is written down and looked for. An exception out of nowhere, while a process is asked
    whether it still runs, would leave the lock of that process held, and whoever waits for its end would wait for
    ever."""
    for number in (signal.SIGTERM, signal.SIGINT):
        signal.signal(number, lambda number, _frame: _asked.append(number))


def start(options: argparse.Namespace) -> int:
    signal.signal(signal.SIGTERM, _on_signal)
    signal.signal(signal.SIGINT, _on_signal)
    try:
        _start(options)
    except _Asked:
        say("\nStopped. Everything is kept.")
    return 0


def _start(options: argparse.Namespace) -> None:
    began = time.monotonic()
    if not 1 <= options.workers <= MOST_WORKERS:
        raise Stop(f"1 to {MOST_WORKERS} server processes.")
    if not 1 <= options.port <= MOST_PORT:
        raise Stop(f"A port is 1 to {MOST_PORT}, not {options.port}.")
    folder = home()
    with data.only_one(folder):
        say("Hemicycle")
        end_orphans(data.notice(), folder)
        with contextlib.closing(listening(options.port)) as held:
            install.ensure_packages()
            with install.front_end_beside() as front_end:
                install.ensure_python()
                kept = data.keep_secrets(folder)
                with data.database(folder, kept) as found:
                    _up(options, found, kept, held, front_end, began)


def _up(
    options: argparse.Namespace,
    found: data.Database,
    kept: dict[str, str],
    held: socket.socket,
    front_end: Callable[[], None],
    began: float,
) -> None:
    """The database brought up to date while the server processes read their code; then they serve."""
    env = {
        **server_env(found.owner_url, kept["secret"]),
        "HEMICYCLE_DEMO_PASSWORD": kept["demo"],
        "HEMICYCLE_APP_ROLE": found.app_role,
    }
    if options.fresh and not options.without_backup and (before := keep.keep_safe(env, home())):
        say(f"  What was there is in {before}")
    with _bringing_up_to_date(env, options) as brought:
        front_end()
        code = secrets.token_urlsafe(9)
        with _serving(options, found, kept, held, code) as servers:
            with StartStep("Bringing the database up to date"):
                told = brought()
            if told.get("before"):
                say(f"  What was there before is in {told['before']}")
            servers.open_gate()
            _serve(options, found, kept, servers, lambda: _ready(began, options.port, told, kept["demo"], code))


@contextlib.contextmanager
def _bringing_up_to_date(env: dict[str, str], options: argparse.Namespace) -> Iterator[Callable[[], Told]]:
    """Migrations, and the demo where it is to be there, by a process of their own; yields what waits for its word."""
    wanted = [f"--{name}" for name in ("fresh", "own", "demo") if getattr(options, name)]
    manage = [str(PYTHON), str(ROOT / "server" / "manage.py")]
    before = [] if options.without_backup else ["--before", str(keep.folder_of(home()))]
    command = [*manage, "demo", "--migrate", *before, *wanted]
    env, piped = keep.with_tools(env), subprocess.PIPE
    at_work = subprocess.Popen(command, env=env, stdout=piped, stderr=piped, text=True, start_new_session=True)

    def word() -> Told:
        said, complaints = at_work.communicate()
        if at_work.returncode:
            last = (complaints.strip() or said.strip() or "It failed without a word.").splitlines()[-1]
            raise Stop(last.removeprefix("CommandError: "))
        told: Told = json.loads(said.strip().splitlines()[-1])
        return told

    try:
        yield word
    finally:
        if at_work.poll() is None:
            end_group(at_work.pid)
            at_work.communicate()


def _ready(began: float, port: int, told: Told, password: str, code: str) -> None:
    """Where it is, and how it is opened. told: whether a shop of one's own is open, and anybody known at all; who signs
    in to the demo with the password that is kept, empty where it was changed or there is no demo."""
    address = f"http://127.0.0.1:{port}"
    say(f"\nReady in {time.monotonic() - began:.1f} s: {address}")
    if told["demo"]:
        say(f"Sign in as  {told['demo']}  with  {password}   (the demo)")
    if told["own"] or (told["known"] and not told["demo"]):
        say("Sign in with your own password; ./hemicycle password NAME gives a new one.")
    if not told["own"]:
        say(f"Open your own shop:  {address}/open#{code}")
    say("Ctrl-C stops it.")


@contextlib.contextmanager
def _serving(
    options: argparse.Namespace, found: data.Database, kept: dict[str, str], held: socket.socket, code: str
) -> Iterator[Servers]:
    """The server processes, which serve once their gate is opened."""
    env = {
        **server_env(found.app_url, kept["secret"]),
        "HEMICYCLE_ADDRESS": f"http://127.0.0.1:{options.port}",
        "HEMICYCLE_BACKUPS": str(keep.folder_of(home())),
        "HEMICYCLE_BACKUP_HOURS": f"{keep.every_h():.0f}",
        "HEMICYCLE_CONNECTIONS": str(max(4, MOST_CONNECTIONS // options.workers)),
        "HEMICYCLE_OPENING": code,
    }
    servers = Servers(env, held, home(), options.workers)
    try:
        yield servers
    finally:
        servers.stop()


def _serve(
    options: argparse.Namespace, found: data.Database, kept: dict[str, str], servers: Servers, ready: Callable[[], None]
) -> None:
    address = f"http://127.0.0.1:{options.port}"
    _only_note()
    daily = keep.Daily(server_env(found.owner_url, kept["secret"]), home())

    def told() -> dict[str, object]:
        return {"address": address, "database": found.owner_url, "servers": servers.pids()}

    try:
        with running_notice(data.notice(), told) as tell:
            with StartStep("Starting the server"):
                _wait_until_up(servers, address)
            ready()
            servers.grow()
            tell()
            Watch(found.cluster, servers, tell).run(daily.look, lambda: not _asked, options.renewed)
            raise _Asked
    finally:
        daily.stop()
