"""Where things are, how progress is said, how programs are run."""

from __future__ import annotations

import hashlib
import os
import subprocess
import sys
import time
from collections.abc import Iterable, Mapping
from pathlib import Path

ROOT = Path(__file__).resolve().parent.parent
VENV = ROOT / ".venv"
PYTHON = VENV / "bin" / "python"
WEB = ROOT / "web"
DIST = WEB / "dist"


def home() -> Path:
    """Where data is kept: HEMICYCLE_HOME, else `var` beside the launcher."""
    return Path(os.environ.get("HEMICYCLE_HOME", ROOT / "var")).resolve()


class Stop(Exception):
    """Something the user has to put right; the message says what."""


def say(text: str) -> None:
    print(text, flush=True)


class StartStep:
    """`with Step("Building the front end"):` prints what is done and how long it took."""

    def __init__(self, what: str) -> None:
        self.what = what

    def __enter__(self) -> StartStep:
        self.began = time.monotonic()
        print(f"  {self.what} ...", end=" ", flush=True)
        return self

    def __exit__(self, kind: type[BaseException] | None, *_: object) -> None:
        print("failed" if kind else f"done ({time.monotonic() - self.began:.1f} s)", flush=True)


def run(command: list[str], *, cwd: Path = ROOT, env: Mapping[str, str] | None = None, why: str = "") -> None:
    """Run a program quietly; on failure stop with its last lines."""
    try:
        done = subprocess.run(
            command, cwd=cwd, env=dict(env) if env else None, capture_output=True, text=True, check=False
        )
    except FileNotFoundError as error:
        raise Stop(f"{command[0]} is not installed. {why}".strip()) from error
    if done.returncode:
        tail = "\n".join((done.stdout + done.stderr).strip().splitlines()[-25:])
        raise Stop(f"{why or ' '.join(command)} failed:\n{tail}")


def digest(paths: Iterable[Path]) -> str:
    """One digest over files, so that a step is done again only when its input changed."""
    made = hashlib.sha256()
    for path in sorted(paths):
        made.update(str(path.relative_to(ROOT)).encode())
        made.update(path.read_bytes())
    return made.hexdigest()


def is_done(stamp: Path, value: str) -> bool:
    return stamp.is_file() and stamp.read_text() == value


def server_env(database_url: str, secret: str) -> dict[str, str]:
    """The environment of every Django process."""
    paths = [str(ROOT / part) for part in ("core", "server", "commands")]
    return {
        **os.environ,
        "DATABASE_URL": database_url,
        "HEMICYCLE_SECRET": secret,
        "HEMICYCLE_ERASED": str(home() / "erased"),
        "DJANGO_SETTINGS_MODULE": "config.settings",
        "PYTHONPATH": os.pathsep.join(paths),
        "PYTHONUNBUFFERED": "1",
    }


def tools_env() -> dict[str, str]:
    """For programs of the core that need no database."""
    paths = [str(ROOT / part) for part in ("core", "commands")]
    return {**os.environ, "PYTHONPATH": os.pathsep.join(paths)}


def warn(text: str) -> None:
    print(text, file=sys.stderr, flush=True)
