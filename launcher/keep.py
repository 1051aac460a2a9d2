"""Backups: on demand, daily, and put back."""

from __future__ import annotations

import argparse
import contextlib
import os
import signal
import subprocess
import sys
import time
from collections.abc import Iterator
from pathlib import Path

from . import data, install
from .common import PYTHON, ROOT, StartStep, Stop, home, say, server_env
from .postgres import binaries
from .supervise import end_group

KEPT, EVERY_H = 14, 24
LOOK_AGAIN_S = 60.0


def folder_of(home: Path) -> Path:
    return home / "backups"


def every_h() -> float:
    return float(os.environ.get("HEMICYCLE_BACKUP_HOURS", EVERY_H))


def kept() -> int:
    return int(os.environ.get("HEMICYCLE_BACKUPS_KEPT", KEPT))


def with_tools(env: dict[str, str]) -> dict[str, str]:
    """Where PostgreSQL's own programs are."""
    with contextlib.suppress(Stop):
        return {**env, "HEMICYCLE_PG_BIN": str(binaries())}
    return env


FOREIGN, UNREADABLE = 3, 4  # how a restore ends of a file that another shop signed, a backup of a damaged database


class Failed(Stop):
    """A Django command failed. code: how it ended."""

    def __init__(self, said: str, code: int) -> None:
        super().__init__(said)
        self.code = code


def manage(env: dict[str, str], *words: str) -> str:
    """A Django command's output; Failed with its last line when it fails."""
    done = subprocess.run(
        [str(PYTHON), str(ROOT / "server" / "manage.py"), *words],
        env=with_tools(env), capture_output=True, text=True, check=False,
    )  # fmt: skip
    if done.returncode:
        said = (done.stderr.strip() or done.stdout.strip()).splitlines()
        last = said[-1].removeprefix("CommandError: ") if said else "It failed without a word."
        raise Failed(last, done.returncode)
    return done.stdout.strip()


@contextlib.contextmanager
def _database() -> Iterator[dict[str, str]]:
    """The environment of a Django command over the data: of the running Hemicycle, else with the database started for
    as long as it takes."""
    if data.is_running():
        yield data.django_env()
        return
    with data.only_one(home()):
        secrets = data.keep_secrets(home())
        with data.database(home(), secrets) as found:
            yield server_env(found.owner_url, secrets["secret"])


def backup(options: argparse.Namespace) -> int:
    install.ensure_python()
    with _database() as env:
        say(manage(env, "backup", str(options.file.resolve())))
    return 0


def restore(options: argparse.Namespace) -> int:
    """Refused while the shop is open. What is there is backed up first."""
    install.ensure_packages()
    install.ensure_python()
    if data.is_running():
        raise Stop("Hemicycle is running with this data. Stop it first, then restore.")
    with _database() as env:
        before = None if options.without_backup else keep_safe(env, home())
        try:
            say(_put_back(env, options))
        except Stop:
            if before:  # what was there is still there
                before.unlink()
            raise
        if before:
            say(f"What was there before is in {before}")
    return 0


def _put_back(env: dict[str, str], options: argparse.Namespace) -> str:
    words = ["restore", str(options.file.resolve())]
    try:
        return manage(env, *words, *(["--trust"] if options.trust else []))
    except Failed as failed:
        if failed.code != FOREIGN or not sys.stdin.isatty():
            raise
        say(str(failed).partition(" With --trust")[0])
        if input("Put it back all the same? (yes or no) ").strip().lower() not in {"y", "yes"}:
            raise Stop("Nothing was changed.") from failed
    return manage(env, *words, "--trust")


def keep_safe(env: dict[str, str], home: Path) -> Path | None:
    """A backup of what is about to be replaced; None where there is nothing yet. Stop where none can be made."""
    if (
        manage(
            env,
            "shell",
            "-v0",
            "-c",
            "from django.db import connection as c; print(len(c.introspection.table_names()))",
        )
        == "0"
    ):
        return None
    target = folder_of(home) / f"before-{time.strftime('%Y-%m-%d-%H%M%S')}.hemicycle"
    target.parent.mkdir(parents=True, exist_ok=True, mode=0o700)
    try:
        with StartStep("Backing up what is there"):
            manage(env, "backup", str(target))
    except Failed as failed:
        if failed.code != UNREADABLE:
            raise
        raise Stop(f"{failed} With --without-backup it is replaced all the same, and is gone then.") from failed
    return target


def password(options: argparse.Namespace) -> int:
    install.ensure_python()
    with _database() as env:
        say(manage(env, "password", options.name))
    return 0


class Daily:
    """A backup a day and the housekeeping after it, beside the running server."""

    def __init__(self, env: dict[str, str], home: Path) -> None:
        self.env, self.folder = with_tools(env), folder_of(home)
        self.looked = 0.0
        self.at_work: subprocess.Popen[str] | None = None
        self.left: list[list[str]] = []

    def due(self) -> bool:
        files = [path.stat().st_mtime for path in self.folder.glob("[0-9]*.hemicycle")]
        return every_h() > 0 and time.time() - max(files, default=0.0) > every_h() * 3600

    def look(self) -> None:
        """Called often; does nothing until something is due, and never waits."""
        if self.at_work is not None:
            self._finish()
        if self.at_work is None and self.left:
            words = [str(PYTHON), str(ROOT / "server" / "manage.py"), *self.left.pop(0)]
            self.at_work = subprocess.Popen(
                words,
                env=self.env,
                stdout=subprocess.DEVNULL,
                stderr=subprocess.PIPE,
                text=True,
                start_new_session=True,
            )
        elif time.monotonic() - self.looked > LOOK_AGAIN_S:
            self.looked = time.monotonic()
            if self.due():
                self.left = [["backup", str(self.folder), "--keep", str(kept())], ["housekeep"]]

    def _finish(self) -> None:
        assert self.at_work is not None
        if self.at_work.poll() is None:
            return
        _, said = self.at_work.communicate()
        if self.at_work.returncode:
            last = (said.strip().splitlines() or ["without a word"])[-1]
            say(f"The daily backup failed: {last.removeprefix('CommandError: ')} It is tried again in a minute.")
            self.left = []
        self.at_work = None

    def stop(self) -> None:
        """With whatever it has started: what is not finished is begun again another day."""
        if self.at_work is not None:
            end_group(self.at_work.pid, signal.SIGKILL)
            self.at_work.communicate()
