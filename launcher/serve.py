"""`./hemicycle start`: everything up, one address, everything down again."""

from __future__ import annotations

import argparse
import contextlib
import fcntl
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
from dataclasses import dataclass
from pathlib import Path
from typing import Any

from . import install, keep
from .common import PYTHON, ROOT, Step, Stop, home, say, server_env
from .postgres import APP_USER, Cluster, usable_home
from .supervise import Servers, Watch, end_group, end_orphans, listening, running_notice

PATIENCE_S = 30
Told = dict[str, Any]  # what the database holds, as the command that brings it up to date says
MOST_WORKERS = 8
MOST_PORT = 65_535
MOST_CONNECTIONS = 40  # of the 60 the private database takes; the rest is for listeners, commands and backups


def keep_secrets(folder: Path) -> dict[str, str]:
    """Secrets made at first start, in a file only its owner can read."""
    path = folder / "secrets.json"
    if path.is_file():
        try:
            kept: dict[str, str] = json.loads(path.read_text())
            found = {name: kept[name] for name in ("secret", "database", "demo")}
        except (ValueError, KeyError) as error:
            raise Stop(f"{path} cannot be read. Restore it from a backup: the database's password is in it.") from error
        if "app" in kept:
            return {**found, "app": kept["app"]}
    else:
        found = {
            "secret": secrets.token_urlsafe(48),
            "database": secrets.token_urlsafe(24),
            "demo": secrets.token_urlsafe(9),
        }
    made = {**found, "app": secrets.token_urlsafe(24)}
    new = path.with_suffix(".new")
    new.unlink(missing_ok=True)
    with os.fdopen(os.open(new, os.O_WRONLY | os.O_CREAT | os.O_EXCL, 0o600), "w") as file:
        json.dump(made, file)
    new.rename(path)
    return made


@contextlib.contextmanager
def only_one(folder: Path) -> Iterator[None]:
    """One running launcher a data folder."""
    try:
        folder.mkdir(parents=True, exist_ok=True)
        folder.chmod(0o711)  # the database's own user passes through it
        lock = (folder / "lock").open("a+")
    except OSError as error:
        raise Stop(
            f"The data folder {folder} cannot be written: {error.strerror}. HEMICYCLE_HOME names another."
        ) from error
    with lock:
        try:
            fcntl.flock(lock, fcntl.LOCK_EX | fcntl.LOCK_NB)
        except OSError as error:
            raise Stop(f"Hemicycle is already running with the data in {folder}.") from error
        yield


def check_database(url: str) -> None:
    """Stop with a sentence when the database of DATABASE_URL does not answer."""
    code = "import os, psycopg; psycopg.connect(os.environ['U'], connect_timeout=5).close()"
    env = {**os.environ, "U": url}
    done = subprocess.run([str(PYTHON), "-c", code], env=env, capture_output=True, text=True, check=False)
    if done.returncode:
        first = next((line for line in done.stderr.splitlines() if "Error: " in line), done.stderr)
        reason = first.partition("Error: ")[2]
        raise Stop(
            f"The database of DATABASE_URL does not answer: {reason}\n"
            + "Check the address, or unset it to use a private one."
        )


@dataclass
class Database:
    """A database that answers. owner_url: for migrations and backups; app_url: for the server, as a role that changes
    rows and nothing else, where there is one. cluster: the private one, which is watched."""

    owner_url: str
    app_url: str
    app_role: str = ""
    cluster: Cluster | None = None


@contextlib.contextmanager
def database(folder: Path, kept: dict[str, str]) -> Iterator[Database]:
    """DATABASE_URL's, or the private cluster's."""
    given = os.environ.get("DATABASE_URL")
    if given:
        check_database(given)
        yield Database(given, os.environ.get("HEMICYCLE_APP_DATABASE_URL") or given)
        return
    cluster = Cluster(usable_home(folder) / "postgres", password=kept["database"], app_password=kept["app"])
    with Step("Starting the database"):
        cluster.start()
    try:
        cluster.create_database(PYTHON)
        yield Database(cluster.url(), cluster.app_url(), APP_USER, cluster)
    finally:
        cluster.stop()


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


def _notice() -> Path:
    return home() / "run.json"


def is_running() -> bool:
    """Whether a launcher holds the folder now."""
    lock = home() / "lock"
    if not lock.is_file():
        return False
    with lock.open("a+") as file:
        try:
            fcntl.flock(file, fcntl.LOCK_EX | fcntl.LOCK_NB)
        except OSError:
            return True
    return False


def _running() -> dict[str, str]:
    if not is_running() or not _notice().is_file():
        raise Stop("No Hemicycle is running here. Start it first with ./hemicycle start.")
    told: dict[str, str] = json.loads(_notice().read_text())
    return told


def django_env() -> dict[str, str]:
    """The environment of a Django command beside the running server."""
    return server_env(_running()["database"], keep_secrets(home())["secret"])


def running_address() -> str:
    return str(_running()["address"])


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
    with only_one(folder):
        say("Hemicycle")
        end_orphans(_notice(), folder)
        with contextlib.closing(listening(options.port)) as held:
            install.ensure_packages()
            with install.front_end_beside() as front_end:
                install.ensure_python()
                kept = keep_secrets(folder)
                with database(folder, kept) as found:
                    _up(options, found, kept, held, front_end, began)


def _up(
    options: argparse.Namespace,
    found: Database,
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
            with Step("Bringing the database up to date"):
                told = brought()
            servers.open_gate()
            _serve(options, found, kept, servers, lambda: _ready(began, options.port, told, kept["demo"], code))


@contextlib.contextmanager
def _bringing_up_to_date(env: dict[str, str], options: argparse.Namespace) -> Iterator[Callable[[], Told]]:
    """Migrations, and the demo where it is to be there, by a process of their own; yields what waits for its word."""
    wanted = [f"--{name}" for name in ("fresh", "own", "demo") if getattr(options, name)]
    command = [str(PYTHON), str(ROOT / "server" / "manage.py"), "demo", "--migrate", *wanted]
    at_work = subprocess.Popen(
        command, env=env, stdout=subprocess.PIPE, stderr=subprocess.PIPE, text=True, start_new_session=True
    )

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
    options: argparse.Namespace, found: Database, kept: dict[str, str], held: socket.socket, code: str
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
    options: argparse.Namespace, found: Database, kept: dict[str, str], servers: Servers, ready: Callable[[], None]
) -> None:
    address = f"http://127.0.0.1:{options.port}"
    _only_note()
    daily = keep.Daily(server_env(found.owner_url, kept["secret"]), home())

    def told() -> dict[str, object]:
        return {"address": address, "database": found.owner_url, "servers": servers.pids()}

    try:
        with running_notice(_notice(), told) as tell:
            with Step("Starting the server"):
                _wait_until_up(servers, address)
            ready()
            Watch(found.cluster, servers, tell).run(daily.look, lambda: not _asked)
            raise _Asked
    finally:
        daily.stop()
