"""The data folder: its secrets, its lock, its database, and what is written down of who runs over it."""

from __future__ import annotations

import contextlib
import fcntl
import json
import os
import secrets
import subprocess
from collections.abc import Iterator
from dataclasses import dataclass
from pathlib import Path

from .common import PYTHON, StartStep, Stop, home, server_env
from .postgres import APP_USER, Cluster, usable_home


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
    with StartStep("Starting the database"):
        cluster.start()
    try:
        cluster.create_database(PYTHON)
        yield Database(cluster.url(), cluster.app_url(), APP_USER, cluster)
    finally:
        cluster.stop()


def notice() -> Path:
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
    if not is_running() or not notice().is_file():
        raise Stop("No Hemicycle is running here. Start it first with ./hemicycle start.")
    told: dict[str, str] = json.loads(notice().read_text())
    return told


def django_env() -> dict[str, str]:
    """The environment of a Django command beside the running server."""
    return server_env(_running()["database"], keep_secrets(home())["secret"])


def running_address() -> str:
    return str(_running()["address"])
