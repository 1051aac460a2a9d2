"""`./hemicycle speed`: how fast it is, in a database or a folder of its own that is gone afterwards."""

from __future__ import annotations

import argparse
import json
import os
import secrets
import socket
import subprocess
import tempfile
import time
from collections.abc import Callable
from pathlib import Path
from typing import Any

from . import postgres, serve
from .common import PYTHON, ROOT, Stop, run, server_env

Run = Callable[[str, list[str], dict[str, str]], int]  # a module of the virtual environment, with words and variables


def speed(words: list[str], run_module: Run) -> int:
    """Of flights and the judge, the application (`--server`, `--visits`), or a shop at work (`--bays`)."""
    options = argparse.ArgumentParser(prog="hemicycle speed", add_help=False)
    options.add_argument("--server", action="store_true")
    options.add_argument("--visits", type=int, default=0)
    options.add_argument("--bays", type=int, default=0)
    options.add_argument("--workers", type=int, default=serve.USUAL_WORKERS)
    known, rest = options.parse_known_args(words)
    if known.bays:
        return _bays(known.bays, known.workers, rest, run_module)
    done = run_module("hemicycle_commands.speed", rest, {})
    if done or not (known.server or known.visits):
        return done
    with tempfile.TemporaryDirectory(prefix="hemicycle-speed-") as folder:
        Path(folder).chmod(0o755)  # the database's own user goes through it
        with postgres.temporary(Path(folder)) as cluster:
            env = {**server_env(cluster.url("postgres"), secrets.token_hex()), "HEMICYCLE_ERASED": ""}
            env["HEMICYCLE_DEMO_PASSWORD"] = secrets.token_urlsafe(12)
            manage = [str(PYTHON), str(ROOT / "server" / "manage.py")]
            run([*manage, "demo", "--migrate"], env=env, why="Making the demo")
            return subprocess.run([*manage, "speed", "--visits", str(known.visits)], env=env, check=False).returncode


MOST_BAYS = 16
SHOPS_OWN = ("DATABASE_URL", "HEMICYCLE_APP_DATABASE_URL", "HEMICYCLE_LISTEN_URL")
STARTS_IN_S = 180


def _bays(bays: int, workers: int, rest: list[str], run_module: Run) -> int:
    """A shop with every bay at work, started in a folder of its own, which is gone afterwards."""
    if not 1 <= bays <= MOST_BAYS:
        raise Stop(f"1 to {MOST_BAYS} bays.")
    with tempfile.TemporaryDirectory(prefix="hemicycle-bays-") as folder:
        # Made-up visits go into a database of its own, whatever this shop's is.
        env = {key: value for key, value in os.environ.items() if key not in SHOPS_OWN} | {"HEMICYCLE_HOME": folder}
        with socket.socket() as probe:
            probe.bind(("127.0.0.1", 0))
            port = str(probe.getsockname()[1])
        command = [str(ROOT / "hemicycle"), "start", "--port", port, "--workers", str(workers)]
        up = subprocess.Popen(command, env=env, stdout=subprocess.DEVNULL)
        try:
            running = _is_up(Path(folder) / "run.json", up, workers)
            word = json.loads((Path(folder) / "secrets.json").read_text())
            known = {**server_env(running["database"], word["secret"]), "HEMICYCLE_DEMO_PASSWORD": word["demo"]}
            manage = [str(PYTHON), str(ROOT / "server" / "manage.py"), "at_work", str(bays)]
            at_work = subprocess.run(manage, env=known, stdout=subprocess.PIPE, text=True, check=True).stdout
            database = (Path(folder) / "postgres" / "data" / "postmaster.pid").read_text().splitlines()[0]
            told = ["--servers", *map(str, running["servers"]), "--database", database]
            extra = {"HEMICYCLE_BAYS": at_work, "HEMICYCLE_DEMO_PASSWORD": word["demo"]}
            return run_module("hemicycle_commands.bays", ["--url", running["address"], *told, *rest], extra)
        finally:
            up.terminate()
            up.wait(30)


def _is_up(notice: Path, process: subprocess.Popen[bytes], workers: int) -> dict[str, Any]:
    """What a start wrote down, once so many processes serve."""
    until = time.monotonic() + STARTS_IN_S
    while time.monotonic() < until and process.poll() is None:
        found: dict[str, Any] = json.loads(notice.read_text()) if notice.is_file() else {"servers": []}
        if len(found["servers"]) == workers:
            time.sleep(5)  # the last of them reads its code
            return found
        time.sleep(0.5)
    raise Stop("It did not start; its messages are above.")
