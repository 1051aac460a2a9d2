"""Watching the database and the server: what ends by itself is started again, ever less eagerly, and said."""

from __future__ import annotations

import contextlib
import json
import os
import signal
import socket
import subprocess
import time
from collections.abc import Callable, Collection, Iterator
from dataclasses import dataclass, field
from pathlib import Path

from .common import PYTHON, ROOT, Stop, say
from .postgres import Cluster

WAITS_S = (0.0, 0.5, 1.0, 2.0, 5.0)  # before each new start; from the first again once it ran for STEADY_S
STEADY_S = 30.0
LOOK_S = 0.25


@dataclass
class Backoff:
    """How long to wait before the next start of something that ended."""

    ended: int = 0
    started_at: float = field(default_factory=time.monotonic)
    due: float | None = None

    def over(self) -> None:
        """It ended: the next start is due after a while."""
        if time.monotonic() - self.started_at > STEADY_S:
            self.ended = 0
        self.due = time.monotonic() + WAITS_S[min(self.ended, len(WAITS_S) - 1)]
        self.ended += 1

    def is_due(self) -> bool:
        return self.due is not None and time.monotonic() >= self.due

    def started(self) -> None:
        self.started_at, self.due = time.monotonic(), None


def listening(port: int) -> socket.socket:
    """The socket that every server process takes connections from. It stays open while they are started again."""
    held = socket.socket()
    held.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
    try:
        held.bind(("127.0.0.1", port))
    except OSError as error:
        held.close()
        raise Stop(f"Port {port} is in use. Choose another with --port, or stop what uses it.") from error
    held.listen(1024)
    held.set_inheritable(True)
    return held


class Servers:
    """The server processes, each in a group of its own, so that stand-in monitors it started end with it."""

    def __init__(self, env: dict[str, str], held: socket.socket, home: Path, count: int) -> None:
        # Threads that each keep what they freed hold twice as much in a busy hour.
        self.env = {**env, "HEMICYCLE_SOCKET": str(held.fileno()), "MALLOC_ARENA_MAX": "2"}
        self.held, self.home, self.count = held, home, count
        self.gate: tuple[int, int] | None = os.pipe()  # they read their code before it, and serve behind it
        # The first is up sooner alone; the others follow it.
        self.running: list[subprocess.Popen[bytes]] = [self._start()]
        self.backoffs = [Backoff()]

    def _start(self) -> subprocess.Popen[bytes]:
        command = [str(PYTHON), "-m", "config.serve", "--home", str(self.home)]
        env, passed = self.env, [self.held.fileno()]
        if self.gate is not None:
            env, passed = {**env, "HEMICYCLE_GATE": str(self.gate[0])}, [*passed, self.gate[0]]
        return subprocess.Popen(command, env=env, cwd=ROOT / "server", start_new_session=True, pass_fds=passed)

    def open_gate(self) -> None:
        """The database is up to date: each of them may serve. What is started from now on waits for nothing."""
        if self.gate is not None:
            os.write(self.gate[1], b"x" * len(self.running))
            for end in self.gate:
                os.close(end)
            self.gate = None

    def grow(self) -> None:
        """The first serves: start the others."""
        while len(self.running) < self.count:
            self.running.append(self._start())
            self.backoffs.append(Backoff())

    def pids(self) -> list[int]:
        return [process.pid for process in self.running]

    def look(self) -> bool:
        """Start again what ended; whether anything was started."""
        changed = False
        for at, process in enumerate(self.running):
            backoff = self.backoffs[at]
            if process.poll() is None:
                continue
            if backoff.due is None:
                end_group(process.pid)  # what it had started goes with it
                backoff.over()
                say(f"{_now()} The server process {process.pid} ended ({process.returncode}); starting it again.")
            if backoff.is_due():
                self.running[at] = self._start()
                backoff.started()
                changed = True
        return changed

    def renew(self) -> None:
        """Start all of them again, at once."""
        _end(self.running)
        for at in range(len(self.running)):
            self.running[at] = self._start()
            self.backoffs[at].started()

    def stop(self) -> None:
        if self.gate is not None:
            for end in self.gate:
                os.close(end)
            self.gate = None
        _end(self.running)


def _end(processes: Collection[subprocess.Popen[bytes]]) -> None:
    """Ask all of them to end, and wait; what does not is killed."""
    for process in processes:
        end_group(process.pid)
    for process in processes:
        try:
            process.wait(8)
        except subprocess.TimeoutExpired:
            end_group(process.pid, signal.SIGKILL)
            process.wait()


def end_group(pid: int, how: signal.Signals = signal.SIGTERM) -> None:
    with contextlib.suppress(ProcessLookupError, PermissionError):
        os.killpg(pid, how)


def _now() -> str:
    return time.strftime("%H:%M:%S")


class Watch:
    """The loop of a running launcher: database, servers, and what is done from time to time."""

    def __init__(self, cluster: Cluster | None, servers: Servers, notice: Callable[[], None]) -> None:
        self.cluster, self.servers, self.notice = cluster, servers, notice
        self.database = Backoff()

    def run(
        self, now_and_then: Callable[[], None], goes_on: Callable[[], bool], renewed: Callable[[Servers], bool] | None
    ) -> None:
        """Until it is no more to go on. renewed: starts the servers again where their code changed, and says so."""
        while goes_on():
            self._look_at_database()
            if self.servers.look() or (renewed is not None and renewed(self.servers)):
                self.notice()
            now_and_then()
            time.sleep(LOOK_S)

    def _look_at_database(self) -> None:
        if self.cluster is None or self.cluster.alive():
            return
        if self.database.due is None:
            self.database.over()
            say(f"{_now()} The database ended by itself; starting it again.")
        if self.database.is_due():
            try:
                self.cluster.start_again()
            except Stop as stop:
                say(f"{_now()} {stop}")
                self.database.over()
            else:
                self.database.started()
                say(f"{_now()} The database is back.")


@contextlib.contextmanager
def running_notice(path: Path, told: Callable[[], dict[str, object]]) -> Iterator[Callable[[], None]]:
    """Tell other commands of this machine's owner, and the next start, what runs here; yields what tells it anew."""

    def tell() -> None:
        new = path.with_suffix(".new")
        new.unlink(missing_ok=True)
        with os.fdopen(os.open(new, os.O_WRONLY | os.O_CREAT | os.O_EXCL, 0o600), "w") as file:
            json.dump(told(), file)
        new.rename(path)

    tell()
    try:
        yield tell
    finally:
        path.unlink(missing_ok=True)


def end_orphans(path: Path, home: Path) -> None:
    """Servers left over from a launcher that was killed: found by what it wrote down, and ended. The caller holds the
    folder's lock, so no launcher is alive."""
    try:
        pids = json.loads(path.read_text()).get("servers", [])
    except (OSError, ValueError):
        return
    left = [pid for pid in pids if isinstance(pid, int) and _is_ours(pid, home)]
    for pid in left:
        end_group(pid)
    until = time.monotonic() + 8
    while any(_is_ours(pid, home) for pid in left) and time.monotonic() < until:
        time.sleep(0.1)
    for pid in left:
        end_group(pid, signal.SIGKILL)
    if left:
        say(f"  Ended what a killed launcher left over: {len(left)} of its server processes.")
    path.unlink(missing_ok=True)


def _is_ours(pid: int, home: Path) -> bool:
    """Whether a process id still is a server over this folder; ids are used again."""
    try:
        words = Path(f"/proc/{pid}/cmdline").read_bytes().split(b"\0")
    except OSError:
        return False
    return b"config.serve" in words and str(home).encode() in words
