"""The real thing: `./hemicycle start` on a fresh data folder, driven in Debian's Chromium."""

from __future__ import annotations

import fcntl
import json
import os
import re
import shutil
import signal
import socket
import subprocess
import sys
import tempfile
import time
import urllib.request
import uuid
from collections.abc import Callable, Iterator
from contextlib import contextmanager, suppress
from dataclasses import dataclass, field
from pathlib import Path
from typing import Any

import psycopg
import pytest
from playwright.sync_api import Browser, BrowserContext, Page, expect
from steps import PATIENCE_S, comes

from launcher.common import server_env
from launcher.postgres import temporary

expect.set_options(timeout=PATIENCE_S * 1000)
ROOT = Path(__file__).resolve().parents[1]


@pytest.fixture(scope="session")
def browser_type_launch_args():
    quiet = ["gpu", "quic", "background-networking", "component-update", "sync"]
    return {"executable_path": shutil.which("chromium"), "args": ["--no-first-run", *(f"--disable-{x}" for x in quiet)]}


@pytest.fixture(scope="session")
def browser_context_args():
    # The files of the application come from the server; what a device keeps of them has a test of its own.
    return {"viewport": {"width": 1280, "height": 800}, "locale": "en-GB", "service_workers": "block"}


@pytest.fixture(scope="session")
def browser(browser: Browser) -> Browser:
    """A browser whose every window waits as long as what is expected of it does."""
    made = browser.new_context

    def patient(**options: Any) -> BrowserContext:
        context = made(**options)
        context.set_default_timeout(PATIENCE_S * 1000)
        return context

    browser.new_context = patient  # type: ignore[method-assign]
    return browser


def pytest_collection_modifyitems(items: list[pytest.Item]) -> None:
    """Tests with a shop of their own begin the second half: one process runs them while the other makes the demo that
    all others copy."""
    own = [item for item in items if "demo" not in getattr(item, "fixturenames", ())]
    rest = [item for item in items if item not in own]
    half = len(items) // 2
    items[:] = [*rest[:half], *own, *rest[half:]]


@dataclass
class Application:
    """The launcher as a user runs it. database: the address of one to use; empty for one of its own."""

    home: Path
    port: int
    database: str = ""
    password: str = ""
    opens: str = ""  # the address that opens a shop of one's own
    said: str = ""
    process: subprocess.Popen[str] | None = field(default=None)

    @property
    def address(self) -> str:
        return f"http://127.0.0.1:{self.port}"

    @property
    def env(self) -> dict[str, str]:
        kept = {key: value for key, value in os.environ.items() if key not in ("DATABASE_URL", "PYTHONPATH")}
        return {**kept, "HEMICYCLE_HOME": str(self.home), **({"DATABASE_URL": self.database} if self.database else {})}

    def start(self, *words: str) -> None:
        """Start and wait until it says it is ready."""
        self.run("start", "--workers", "2", *words)

    def run(self, *words: str) -> None:
        """A command that serves, until it says it is ready."""
        command = [str(ROOT / "hemicycle"), *words, "--port", str(self.port)]
        self.process = subprocess.Popen(command, env=self.env, stdout=subprocess.PIPE, text=True)
        assert self.process.stdout is not None
        self.said, self.opens = "", ""
        for line in self.process.stdout:
            self.said += line
            found = re.search(r"Sign in as  fitter  with  (.+?)   \(the demo\)", line)
            self.password = found.group(1) if found else self.password
            found = re.search(r"Open your own shop:  (\S+)", line)
            self.opens = found.group(1) if found else self.opens
            if "Ctrl-C stops it." in line:
                return
        raise AssertionError(f"It did not start:\n{self.said}")

    def answers(self) -> None:
        """Wait until it does; whatever a test did to its processes, the launcher starts them again."""
        assert comes(self._answers), "It does not answer."

    def _answers(self) -> bool:
        with suppress(OSError), urllib.request.urlopen(f"{self.address}/api/me", timeout=5):
            return True
        return False

    def stop(self) -> int:
        assert self.process is not None
        self.process.send_signal(signal.SIGTERM)
        self.process.communicate(timeout=PATIENCE_S)
        return self.process.returncode

    def launch(self, *words: str) -> subprocess.CompletedProcess[str]:
        """Another command of the launcher beside the running one."""
        command, patience = [str(ROOT / "hemicycle"), *words], 4 * PATIENCE_S
        return subprocess.run(command, env=self.env, capture_output=True, text=True, timeout=patience, check=False)


def free_port() -> int:
    with socket.socket() as probe:
        probe.bind(("127.0.0.1", 0))
        return int(probe.getsockname()[1])


@contextmanager
def running(database: str = "") -> Iterator[Application]:
    home = Path(tempfile.mkdtemp(prefix="hemicycle-e2e-", dir="/tmp"))
    if database:
        word = {"secret": "e2e", "database": "", "app": "", "demo": DEMO_WORD}
        (home / "secrets.json").write_text(json.dumps(word))
    with up(Application(home=home, port=free_port(), database=database)) as made:
        yield made


@contextmanager
def up(made: Application) -> Iterator[Application]:
    """Started, and its folder gone in the end."""
    made.start()
    try:
        yield made
    finally:
        if made.process is not None and made.process.poll() is None:
            made.stop()
        shutil.rmtree(made.home, ignore_errors=True)


@pytest.fixture(scope="session")
def cluster_url() -> Iterator[str]:
    """A PostgreSQL to copy databases in: the one `./hemicycle test` has up, else one of our own."""
    given = os.environ.get("DATABASE_URL")
    if given:
        yield given
        return
    folder = Path(tempfile.mkdtemp(prefix="hemicycle-e2e-pg-", dir="/tmp"))
    folder.chmod(0o755)  # the database's own user passes through it
    with temporary(folder) as cluster:
        yield cluster.url("postgres")


TEMPLATE = "e2e_demo"
DEMO_WORD = "known to the tests"


@pytest.fixture(scope="session")
def demo(cluster_url) -> str:
    """The name of a database with the demo shop in it, made once, whoever asks first."""
    with psycopg.connect(cluster_url, autocommit=True) as database:
        database.execute("SELECT pg_advisory_lock(4711)")
        if not database.execute("SELECT 1 FROM pg_database WHERE datname = %s", [TEMPLATE]).fetchone():
            database.execute(f"CREATE DATABASE {TEMPLATE}_new")
            env = {**server_env(named(cluster_url, f"{TEMPLATE}_new"), "e2e"), "HEMICYCLE_DEMO_PASSWORD": DEMO_WORD}
            command = [sys.executable, str(ROOT / "server" / "manage.py"), "demo", "--migrate"]
            subprocess.run(command, env=env, check=True)
            database.execute(f"ALTER DATABASE {TEMPLATE}_new RENAME TO {TEMPLATE}")
        database.execute("SELECT pg_advisory_unlock(4711)")
    return TEMPLATE


def named(url: str, database: str) -> str:
    return url.rsplit("/", 1)[0] + f"/{database}"


def put_in_place(cluster_url: str, name: str, template: str) -> None:
    """A copy of the template under this name, whatever stood there, while servers use it."""
    with psycopg.connect(cluster_url, autocommit=True) as database:
        database.execute(f"CREATE DATABASE {name}_next TEMPLATE {template}")
        for _ in range(100):
            database.execute("SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE datname = %s", [name])
            try:
                database.execute(f"ALTER DATABASE {name} RENAME TO {name}_gone")
                break
            except psycopg.errors.ObjectInUse:  # one that has come back meanwhile
                time.sleep(0.02)
        database.execute(f"ALTER DATABASE {name}_next RENAME TO {name}")
        database.execute(f"DROP DATABASE {name}_gone WITH (FORCE)")


@pytest.fixture(scope="session")
def served(cluster_url, demo) -> Iterator[Application]:
    """The application over a database of this process, started once."""
    mine = f"e2e_{uuid.uuid4().hex}"
    with psycopg.connect(cluster_url, autocommit=True) as database:
        database.execute(f"CREATE DATABASE {mine} TEMPLATE {demo}")
        with running(named(cluster_url, mine)) as made:
            yield made
        database.execute(f"DROP DATABASE {mine} WITH (FORCE)")


@pytest.fixture
def application(served, cluster_url, demo) -> Application:
    """The application on a demo shop that nobody has touched."""
    put_in_place(cluster_url, served.database.rsplit("/", 1)[1], demo)
    served.answers()
    return served


@pytest.fixture
def fresh_application() -> Iterator[Application]:
    """The application as it is the first time on a new machine: nothing there yet, a database of its own."""
    with running() as made:
        yield made


def _stood(controller: int) -> Path:
    return Path(tempfile.gettempdir()) / f"hemicycle-e2e-stood-{controller}"


def pytest_sessionfinish(session: pytest.Session) -> None:
    if not hasattr(session.config, "workerinput"):
        shutil.rmtree(_stood(os.getpid()), ignore_errors=True)


@pytest.fixture(scope="session")
def stood(request: pytest.FixtureRequest) -> Path:
    """A data folder where the demo was started once and stopped: made once, whoever asks first, and copied."""
    folder = _stood(os.getppid() if hasattr(request.config, "workerinput") else os.getpid())
    folder.mkdir(exist_ok=True)
    folder.chmod(0o755)  # the database's own user passes through it
    with (folder / "lock").open("a") as lock:
        fcntl.flock(lock, fcntl.LOCK_EX)
        if not (folder / "done").exists():
            first = Application(folder / "home", free_port())
            first.start()
            assert first.stop() == 0
            (folder / "done").touch()
    return folder / "home"


def copy_of(stood: Path, home: Path) -> None:
    """As it is, owners too: the database's files are its own user's."""
    subprocess.run(["cp", "-a", f"{stood}/.", str(home)], check=True)


@pytest.fixture
def stood_application(stood) -> Iterator[Application]:
    """The application at its second start: its own database holds the demo."""
    home = Path(tempfile.mkdtemp(prefix="hemicycle-e2e-", dir="/tmp"))
    copy_of(stood, home)
    with up(Application(home=home, port=free_port())) as made:
        yield made


@pytest.fixture
def another() -> Iterator[Callable[[], Application]]:
    """Makes applications that are not started yet, each over an empty folder of its own."""
    made: list[Application] = []

    def make() -> Application:
        made.append(Application(Path(tempfile.mkdtemp(prefix="hemicycle-e2e-", dir="/tmp")), free_port()))
        return made[-1]

    yield make
    for each in made:
        if each.process is not None and each.process.poll() is None:
            each.stop()
        shutil.rmtree(each.home, ignore_errors=True)


@pytest.fixture
def page(page: Page) -> Iterator[Page]:
    """A page whose console must stay clean."""
    complaints: list[str] = []
    page.on("pageerror", lambda error: complaints.append(str(error)))
    page.on("console", lambda said: complaints.append(said.text) if said.type == "error" else None)
    yield page
    # A refusal that the test provokes is logged by the browser too.
    unwanted = [text for text in complaints if not re.search(r"status of (400|404|409)", text)]
    assert unwanted == []
