"""What must be there before anything runs: Debian packages, the virtual environment, the built front end."""

from __future__ import annotations

import contextlib
import fcntl
import importlib.util
import os
import shutil
import signal
import subprocess
import sys
import tempfile
import time
from collections.abc import Callable, Iterator
from pathlib import Path

from .common import DIST, PYTHON, ROOT, VENV, WEB, StartStep, Stop, digest, is_done, run

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
    with StartStep(f"Installing Debian packages: {' '.join(missing)}"):
        if "postgresql" in missing and not CREATE_CLUSTER.exists():
            CREATE_CLUSTER.parent.mkdir(parents=True, exist_ok=True)
            CREATE_CLUSTER.write_text("create_main_cluster = false\n")
        env = {**os.environ, "DEBIAN_FRONTEND": "noninteractive"}
        run(["apt-get", "update", "-q"], why="Updating the list of packages")
        run(["apt-get", "install", "-y", "-q", "--no-install-recommends", *missing], env=env, why="Installing packages")


KEEP_CACHED_S = 60 * 24 * 3600  # what was not used for so long goes


def cache() -> Path:
    """What any copy of Hemicycle of this user made and can be used again: known by what it was made from."""
    return Path(os.environ.get("XDG_CACHE_HOME") or Path.home() / ".cache") / "hemicycle"


@contextlib.contextmanager
def cached(kind: str, key: str) -> Iterator[Path]:
    """A folder of the cache to read or to fill; what is filled counts once it is named so (`settle`). An unwritable
    cache is none: the folder is then one that goes away."""
    here = cache() / kind / key[:32]
    try:
        here.parent.mkdir(parents=True, exist_ok=True, mode=0o700)
        _forget_unused(here.parent, but=here)
    except OSError:
        with tempfile.TemporaryDirectory(prefix="hemicycle-cache-") as none:
            yield Path(none) / key[:32]
        return
    if here.is_dir():
        with contextlib.suppress(OSError):
            os.utime(here)
    yield here


def _forget_unused(folder: Path, *, but: Path) -> None:
    for each in folder.iterdir():
        if each != but and time.time() - each.stat().st_mtime > KEEP_CACHED_S:
            shutil.rmtree(each, ignore_errors=True)


@contextlib.contextmanager
def settle(target: Path) -> Iterator[Path]:
    """A folder to fill that becomes `target` when it is whole; whoever was first has made it."""
    with tempfile.TemporaryDirectory(prefix=".part-", dir=target.parent if target.parent.is_dir() else None) as part:
        made = Path(part) / "made"
        made.mkdir()
        yield made
        with contextlib.suppress(OSError):
            made.rename(target)


@contextlib.contextmanager
def one_at_a_time(what: str) -> Iterator[None]:
    """Two launchers that start together do not build over each other: the second waits, then finds it done."""
    with (ROOT / f".installing.{what}.lock").open("a") as lock:
        fcntl.flock(lock, fcntl.LOCK_EX)
        yield


def _pip() -> list[str]:
    """This Python's pip at work on the virtual environment, which then needs none of its own: seconds saved."""
    try:
        held = subprocess.run(
            [sys.executable, "-m", "pip", "--python", str(PYTHON), "--version"], capture_output=True, check=False
        )
    except OSError:
        held = None
    if held is not None and held.returncode == 0:
        return [sys.executable, "-m", "pip", "--python", str(PYTHON)]
    run([str(PYTHON), "-m", "ensurepip"], why="Making the virtual environment")
    return [str(PYTHON), "-m", "pip"]


def _install(lock: str, key: str) -> None:
    """The packages of a lock, from wheels that are known by what is locked; fetched where they are not there yet."""
    pip = _pip()
    with cached("wheels", key) as wheels:
        if wheels.is_dir():
            try:
                _install_from(pip, wheels, lock)
            except Stop:  # damaged: by their hashes none of it was taken
                shutil.rmtree(wheels, ignore_errors=True)
            else:
                return
        with settle(wheels) as fresh:
            words = ["download", "-q", "--no-deps", "--require-hashes", "-d", str(fresh), "-r", lock]
            run([*pip, *words], why="Fetching Python packages")
            _install_from(pip, fresh, lock)


def _install_from(pip: list[str], wheels: Path, lock: str) -> None:
    words = ["install", "-q", "--no-deps", "--no-index", "--find-links", str(wheels), "--no-compile"]
    run([*pip, *words, "--require-hashes", "-r", lock], why="Installing Python packages")


_beside: list[subprocess.Popen[bytes]] = []


def _compile_beside() -> None:
    """Byte code of what was installed, while other things go on: whoever needs it sooner makes it for themselves."""
    where = VENV / "lib"
    command = ["nice", str(PYTHON), "-m", "compileall", "-q", "-j", "1", str(where)]
    _beside.append(subprocess.Popen(command, stdout=subprocess.DEVNULL, stderr=subprocess.DEVNULL))


CORE = ROOT / "core" / "hemicycle_core"


def _compile_kernels_beside() -> None:
    """Machine code of what is compiled, kept beside its source while other things go on: whoever needs it sooner makes
    it for themselves."""
    stamp = VENV / ".kernels.done"
    wanted = digest([ROOT / "requirements.txt", *sorted(CORE.rglob("*kernel.py"))])
    if is_done(stamp, wanted):
        return
    command = [str(PYTHON), "-c", "from hemicycle_core import kernels; kernels.load()"]
    env = {**os.environ, "PYTHONPATH": str(ROOT / "core")}
    _beside.append(subprocess.Popen(command, env=env, stdout=subprocess.DEVNULL, stderr=subprocess.DEVNULL))
    stamp.write_text(wanted)


@one_at_a_time("python")
def ensure_python(*, tests: bool = False) -> None:
    """The virtual environment from the locked requirements."""
    locks = ["requirements.txt", *(["requirements-dev.txt"] if tests else [])]
    for lock in locks:
        stamp = VENV / f".{lock}.done"
        wanted = digest([ROOT / lock])
        if is_done(stamp, wanted):
            continue
        with StartStep(f"Installing Python packages ({lock})"):
            if not PYTHON.exists():
                run([sys.executable, "-m", "venv", "--without-pip", str(VENV)], why="Making the virtual environment")
            _install(lock, f"{sys.version_info[0]}{sys.version_info[1]}-{wanted}")
            stamp.write_text(wanted)
            _compile_beside()
    _compile_kernels_beside()


@one_at_a_time("node")
def ensure_node_modules() -> None:
    stamp = WEB / "node_modules" / ".done"
    wanted = digest([WEB / "package-lock.json"])
    if is_done(stamp, wanted):
        return
    with StartStep("Installing front-end packages"):
        run(["npm", "ci", "--no-audit", "--no-fund"], cwd=WEB, why="Installing front-end packages")
        stamp.write_text(wanted)


def _front_end_sources() -> list[Path]:
    top = [WEB / name for name in ("package-lock.json", "index.html", "vite.config.ts", "tsconfig.json")]
    return [*top, *(path for folder in (WEB / "src", CATALOGUE) for path in folder.rglob("*") if path.is_file())]


CATALOGUE = ROOT / "core" / "hemicycle_core" / "said" / "en"
BUILT = WEB / ".built"  # beside what is served, not among it


def front_end_is_built() -> bool:
    return is_done(BUILT, digest(_front_end_sources())) and (DIST / "index.html").is_file()


@one_at_a_time("front-end")
def build(_options: object = None) -> int:
    """Build the front end where its sources changed, or take it from the cache that another copy of them filled."""
    wanted = digest(_front_end_sources())
    if front_end_is_built():
        return 0
    with cached("front-end", wanted) as kept:
        if not kept.is_dir():
            ensure_node_modules()
            run(["npm", "run", "build", "--silent"], cwd=WEB, why="Building the front end")
            ensure_python()
            run([str(PYTHON), "-m", "servestatic.compress", "-q", str(DIST)], why="Packing the front end")
            with settle(kept) as fresh:
                shutil.copytree(DIST, fresh, dirs_exist_ok=True)
        else:
            shutil.rmtree(DIST, ignore_errors=True)
            shutil.copytree(kept, DIST)
    BUILT.write_text(wanted)
    return 0


@contextlib.contextmanager
def front_end_beside() -> Iterator[Callable[[], None]]:
    """Build the front end while something else goes on; yields what waits for it, and says how long that took."""
    if front_end_is_built():
        yield lambda: None
        return
    command = [sys.executable, str(ROOT / "hemicycle"), "build"]
    building = subprocess.Popen(
        command, stdout=subprocess.PIPE, stderr=subprocess.STDOUT, text=True, start_new_session=True
    )

    def wait() -> None:
        with StartStep("Waiting for the front end, built meanwhile"):
            said, _ = building.communicate()
            if building.returncode:
                raise Stop(said.strip() or "The front end could not be built.")

    try:
        yield wait
    finally:
        if building.poll() is None:
            with contextlib.suppress(ProcessLookupError):
                os.killpg(building.pid, signal.SIGTERM)
            building.communicate()


def ensure_front_end() -> None:
    """Build the front end when its sources changed."""
    with front_end_beside() as wait:
        wait()
