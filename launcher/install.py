"""What must be there before anything runs: Debian packages, the virtual environment, the built front end."""

from __future__ import annotations

import contextlib
import fcntl
import importlib.util
import os
import shutil
from collections.abc import Iterator
from pathlib import Path

from .common import DIST, PYTHON, ROOT, VENV, WEB, Step, Stop, digest, is_done, run

CREATE_CLUSTER = Path("/etc/postgresql-common/createcluster.conf")


def _has_postgres() -> bool:
    return any(Path("/usr/lib/postgresql").glob("*/bin/initdb"))


def missing_packages(*, tests: bool) -> list[str]:
    """Debian packages this machine lacks."""
    missing = []
    if not _has_postgres() and not os.environ.get("DATABASE_URL"):
        missing.append("postgresql")
    if importlib.util.find_spec("ensurepip") is None:
        missing.append("python3-venv")
    if tests and not shutil.which("chromium"):
        missing.append("chromium")
    if tests and not _has_postgres() and "postgresql" not in missing:
        missing.append("postgresql")
    return missing


def ensure_packages(*, tests: bool = False) -> None:
    """Install what is missing when root; otherwise name it and stop."""
    missing = missing_packages(tests=tests)
    if shutil.which("node") is None or shutil.which("npm") is None:
        raise Stop("Node.js 20 or newer with npm is needed to build the front end. Install it, then start again.")
    if not missing:
        return
    if os.geteuid() != 0:
        raise Stop(
            f"Missing Debian packages: {' '.join(missing)}.\nAsk an administrator to install them, then start again."
        )
    with Step(f"Installing Debian packages: {' '.join(missing)}"):
        if "postgresql" in missing and not CREATE_CLUSTER.exists():
            CREATE_CLUSTER.parent.mkdir(parents=True, exist_ok=True)
            CREATE_CLUSTER.write_text("create_main_cluster = false\n")
        env = {**os.environ, "DEBIAN_FRONTEND": "noninteractive"}
        run(["apt-get", "update", "-q"], why="Updating the list of packages")
        run(["apt-get", "install", "-y", "-q", "--no-install-recommends", *missing], env=env, why="Installing packages")


@contextlib.contextmanager
def one_at_a_time() -> Iterator[None]:
    """Two launchers that start together do not build over each other: the second waits, then finds it done."""
    with (ROOT / ".installing.lock").open("a") as lock:
        fcntl.flock(lock, fcntl.LOCK_EX)
        yield


@one_at_a_time()
def ensure_python(*, tests: bool = False) -> None:
    """The virtual environment from the locked requirements."""
    locks = ["requirements.txt", *(["requirements-dev.txt"] if tests else [])]
    for lock in locks:
        stamp = VENV / f".{lock}.done"
        wanted = digest([ROOT / lock])
        if is_done(stamp, wanted):
            continue
        with Step(f"Installing Python packages ({lock})"):
            if not PYTHON.exists():
                run(["python3", "-m", "venv", str(VENV)], why="Making the virtual environment")
            run(
                [str(PYTHON), "-m", "pip", "install", "-q", "--require-hashes", "-r", lock],
                why="Installing Python packages",
            )
            stamp.write_text(wanted)


@one_at_a_time()
def ensure_node_modules() -> None:
    _node_modules()


def _node_modules() -> None:
    stamp = WEB / "node_modules" / ".done"
    wanted = digest([WEB / "package-lock.json"])
    if is_done(stamp, wanted):
        return
    with Step("Installing front-end packages"):
        run(["npm", "ci", "--no-audit", "--no-fund"], cwd=WEB, why="Installing front-end packages")
        stamp.write_text(wanted)


def _front_end_sources() -> list[Path]:
    top = [WEB / name for name in ("package-lock.json", "index.html", "vite.config.ts", "tsconfig.json")]
    return [*top, *(path for path in (WEB / "src").rglob("*") if path.is_file())]


@one_at_a_time()
def ensure_front_end() -> None:
    """Build the front end when its sources changed."""
    stamp = VENV / ".front-end.done"  # not among what is served
    wanted = digest(_front_end_sources())
    if is_done(stamp, wanted) and (DIST / "index.html").is_file():
        return
    _node_modules()
    with Step("Building the front end"):
        run(["npm", "run", "build", "--silent"], cwd=WEB, why="Building the front end")
        run([str(PYTHON), "-m", "servestatic.compress", "-q", str(DIST)], why="Packing the front end")
        stamp.write_text(wanted)
