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
from collections.abc import Iterator
from pathlib import Path
from typing import Any

from . import install
from .common import PYTHON, ROOT, Step, Stop, run, say, server_env
from .postgres import Cluster, usable_home

PATIENCE_S = 30


def home() -> Path:
    """Where data is kept: HEMICYCLE_HOME, else `var` beside the launcher."""
    return Path(os.environ.get("HEMICYCLE_HOME", ROOT / "var")).resolve()


def keep_secrets(folder: Path) -> dict[str, str]:
    """Secrets made at first start, in a file only its owner can read."""
    path = folder / "secrets.json"
    if path.is_file():
        try:
            kept: dict[str, str] = json.loads(path.read_text())
            return {name: kept[name] for name in ("secret", "database", "demo")}
        except (ValueError, KeyError) as error:
            raise Stop(f"{path} cannot be read. Restore it from a backup: the database's password is in it.") from error
    made = {
        "secret": secrets.token_urlsafe(48),
        "database": secrets.token_urlsafe(24),
        "demo": secrets.token_urlsafe(9),
    }
    handle = os.open(path, os.O_WRONLY | os.O_CREAT | os.O_EXCL, 0o600)
    with os.fdopen(handle, "w") as file:
        json.dump(made, file)
    return made


def check_port(port: int) -> None:
    with socket.socket() as probe:
        probe.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
        try:
            probe.bind(("127.0.0.1", port))
        except OSError as error:
            raise Stop(f"Port {port} is in use. Choose another with --port, or stop what uses it.") from error


@contextlib.contextmanager
def only_one(folder: Path) -> Iterator[None]:
    """One running launcher a data folder."""
    folder.mkdir(parents=True, exist_ok=True)
    folder.chmod(0o711)  # the database's own user passes through it
    with (folder / "lock").open("a+") as lock:
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


@contextlib.contextmanager
def database(folder: Path, password: str) -> Iterator[str]:
    """The address of a database that answers: DATABASE_URL's, or the private cluster's."""
    given = os.environ.get("DATABASE_URL")
    if given:
        check_database(given)
        yield given
        return
    cluster = Cluster(usable_home(folder) / "postgres", password=password)
    with Step("Starting the database"):
        cluster.start()
    try:
        cluster.create_database(PYTHON)
        yield cluster.url()
    finally:
        cluster.stop()


def manage(env: dict[str, str], *words: str, why: str) -> None:
    run([str(PYTHON), str(ROOT / "server" / "manage.py"), *words], env=env, why=why)


def _wait_until_up(process: subprocess.Popen[bytes], address: str) -> None:
    deadline = time.monotonic() + PATIENCE_S
    while time.monotonic() < deadline:
        if process.poll() is not None:
            raise Stop("The server ended while starting. Its messages are above.")
        with contextlib.suppress(urllib.error.URLError, ConnectionError, TimeoutError):
            urllib.request.urlopen(f"{address}/api/me", timeout=2).close()
            return
        time.sleep(0.1)
    raise Stop(f"The server did not answer within {PATIENCE_S} s.")


@contextlib.contextmanager
def web_server(env: dict[str, str], port: int) -> Iterator[subprocess.Popen[bytes]]:
    """uvicorn in a group of its own, so that stand-in monitors it started end with it."""
    command = [
        str(PYTHON), "-m", "uvicorn", "config.asgi:application", "--app-dir", str(ROOT / "server"),
        "--host", "127.0.0.1", "--port", str(port), "--lifespan", "off",
        "--timeout-graceful-shutdown", "3", "--log-level", "warning", "--no-server-header",
    ]  # fmt: skip
    process = subprocess.Popen(command, env=env, start_new_session=True)
    try:
        yield process
    finally:
        with contextlib.suppress(ProcessLookupError):
            os.killpg(process.pid, signal.SIGTERM)
        try:
            process.wait(8)
        except subprocess.TimeoutExpired:
            os.killpg(process.pid, signal.SIGKILL)
            process.wait()


@contextlib.contextmanager
def running_notice(folder: Path, address: str, database_url: str) -> Iterator[None]:
    """Tell other commands of this machine's owner where the server and its database are."""
    path = folder / "run.json"
    path.touch(mode=0o600)
    path.write_text(json.dumps({"address": address, "database": database_url}))
    try:
        yield
    finally:
        path.unlink(missing_ok=True)


def django_env() -> dict[str, str]:
    """The environment of a Django command beside the running server."""
    path = home() / "run.json"
    if not path.is_file():
        raise Stop("No Hemicycle is running here. Start it first with ./hemicycle start.")
    return server_env(json.loads(path.read_text())["database"], keep_secrets(home())["secret"])


def running_address() -> str:
    path = home() / "run.json"
    if not path.is_file():
        raise Stop("No Hemicycle is running here. Start it first, or name one with --url and HEMICYCLE_FEED_KEY.")
    return str(json.loads(path.read_text())["address"])


class _Asked(Exception):
    """Ctrl-C or SIGTERM."""


def _on_signal(_number: int, _frame: Any) -> None:
    raise _Asked


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
    check_port(options.port)
    say("Hemicycle")
    install.ensure_packages()
    install.ensure_python()
    install.ensure_front_end()
    folder = home()
    with only_one(folder):
        kept = keep_secrets(folder)
        with database(folder, kept["database"]) as url:
            env = {**server_env(url, kept["secret"]), "HEMICYCLE_DEMO_PASSWORD": kept["demo"]}
            with Step("Bringing the database up to date, with the demo shop when it is empty"):
                fresh = ["--fresh"] if options.fresh else []
                manage(env, "demo", "--migrate", *fresh, why="Bringing the database up to date")
            address = f"http://127.0.0.1:{options.port}"
            with web_server(env, options.port) as process:
                with Step("Starting the server"):
                    _wait_until_up(process, address)
                say(f"\nReady in {time.monotonic() - began:.1f} s: {address}")
                say(f"Sign in as  fitter  with  {kept['demo']}\nCtrl-C stops it.")
                with running_notice(folder, address, url):
                    if process.wait():
                        raise Stop("The server ended by itself. Its messages are above.")
