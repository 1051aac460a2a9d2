"""`./hemicycle test` and `./hemicycle check`."""

from __future__ import annotations

import argparse
import os
import subprocess
import tempfile
import time
import xml.etree.ElementTree as ET
from concurrent.futures import ThreadPoolExecutor
from dataclasses import dataclass
from pathlib import Path

from . import install
from .common import PYTHON, ROOT, VENV, WEB, say, server_env
from .developing import some_tests
from .postgres import temporary

PROCESSES = ("-n", "2", "--dist", "worksteal")  # as many as the smallest machine has cores


@dataclass
class TestPart:
    name: str
    ok: bool
    seconds: float
    passed: int = 0
    failed: int = 0
    skipped: int = 0


def _counts(report: Path) -> tuple[int, int, int]:
    """Passed, failed and skipped tests of a JUnit report."""
    if not report.is_file():
        return 0, 0, 0
    suites = list(ET.parse(report).getroot().iter("testsuite"))
    total, bad, skipped = (
        sum(int(suite.get(name) or 0) for suite in suites for name in names)
        for names in (["tests"], ["failures", "errors"], ["skipped"])
    )
    return total - bad - skipped, bad, skipped


def _part(
    name: str, command: list[str], *, env: dict[str, str], cwd: Path = ROOT, report: Path | None = None
) -> TestPart:
    say(f"\n== {name}")
    began = time.monotonic()
    code = subprocess.run(command, cwd=cwd, env=env, check=False).returncode
    passed, failed, skipped = _counts(report) if report else (0, 0, 0)
    return TestPart(name, code == 0, time.monotonic() - began, passed, failed, skipped)


def _pytest(name: str, folders: list[str], reports: Path, env: dict[str, str], *more: str) -> TestPart:
    report = reports / f"{name}.xml"
    command = [str(PYTHON), "-m", "pytest", *folders, f"--junitxml={report}", *more]
    return _part(name, command, env=env, report=report)


def _web(reports: Path) -> TestPart:
    report = reports / "web.xml"
    command = ["npx", "vitest", "run", "--reporter=default", "--reporter=junit", f"--outputFile.junit={report}"]
    return _part("web", command, env=dict(os.environ), cwd=WEB, report=report)


def test(options: argparse.Namespace) -> int:
    """Every test there is, on a PostgreSQL of its own, with one summary at the end; or some of them."""
    if options.paths or options.name:
        return some_tests(options.paths, options.name)
    began = time.monotonic()
    say("Hemicycle: all tests")
    install.ensure_packages(tests=True)
    install.ensure_python(tests=True)
    install.ensure_node_modules()
    install.ensure_front_end()
    installed = time.monotonic() - began
    folder = Path(tempfile.mkdtemp(prefix="hemicycle-test-", dir="/tmp"))
    folder.chmod(0o755)  # the database's own user passes through it
    reports = Path(tempfile.mkdtemp(prefix="hemicycle-reports-", dir="/tmp"))
    os.environ.pop("DATABASE_URL", None)
    with temporary(folder) as cluster:
        env = {**server_env(cluster.url("postgres"), "only-for-tests"), "HEMICYCLE_ERASED": ""}
        parts = [
            _pytest("core", ["core/tests"], reports, env, "-p", "no:django", *PROCESSES),
            _pytest("server", ["server", "commands", "launcher"], reports, env, *PROCESSES),
            _web(reports),
            _pytest("browser", ["e2e"], reports, env, "-p", "no:django", *PROCESSES),
        ]
    return _summary(parts, installed, time.monotonic() - began)


def _summary(parts: list[TestPart], installed: float, took: float) -> int:
    say("\nPart        Passed  Failed  Skipped    Time")
    for part in parts:
        bad = "" if part.ok else "   FAILED"
        say(f"{part.name:<10} {part.passed:>7} {part.failed:>7} {part.skipped:>8} {part.seconds:>6.1f} s{bad}")
    say(f"{'install':<10} {'':>24} {installed:>6.1f} s")
    say(f"{'all':<10} {'':>24} {took:>6.1f} s")
    broken = [part for part in parts if not part.ok]
    failed = sum(part.failed for part in parts) or len(broken)
    say(
        f"\n{sum(part.passed for part in parts)} passed, {failed} failed, {sum(part.skipped for part in parts)} skipped"
    )
    return 1 if broken else 0


def check(_options: argparse.Namespace) -> int:
    """Format, lint, types, import contracts and the fast tests; meant to be run all the time.

    In two lanes, as the smallest machine has two cores; what a part says is shown when it is done.
    """
    install.ensure_python(tests=True)
    install.ensure_node_modules()
    began = time.monotonic()
    env = server_env("postgres://nobody@127.0.0.1:1/none", "only-for-checks")
    tools = VENV / "bin"
    code = ["core", "server", "commands", "launcher", "e2e"]
    lanes: list[list[tuple[str, list[str], Path]]] = [
        [
            ("format", [str(tools / "ruff"), "format", "--check", "-q", *code], ROOT),
            ("lint", [str(tools / "ruff"), "check", "-q", *code], ROOT),
            ("types", [str(tools / "mypy"), "core/hemicycle_core", "server", "commands", "launcher"], ROOT),
            ("contracts", [str(tools / "lint-imports"), "--no-cache"], ROOT),
            ("web types", ["npx", "tsc", "--noEmit"], WEB),
            ("web lint", ["npx", "biome", "check", "--error-on-warnings", "src"], WEB),
            ("web tests", ["npx", "vitest", "run", "--reporter=dot"], WEB),
        ],
        [("core tests", [str(PYTHON), "-m", "pytest", "core/tests", "-p", "no:django", "-m", "not slow"], ROOT)],
    ]
    with ThreadPoolExecutor(len(lanes)) as pool:
        done = pool.map(lambda lane: [_quiet(name, command, env, cwd) for name, command, cwd in lane], lanes)
        parts = [part for lane in done for part in lane]
    say("")
    for part in parts:
        say(f"{'ok    ' if part.ok else 'FAILED'} {part.name:<11} {part.seconds:>5.1f} s")
    say(f"{time.monotonic() - began:.1f} s in all")
    return 0 if all(part.ok for part in parts) else 1


def _quiet(name: str, command: list[str], env: dict[str, str], cwd: Path) -> TestPart:
    """A part beside others: its output is one piece, shown where it failed."""
    began = time.monotonic()
    done = subprocess.run(command, cwd=cwd, env=env, capture_output=True, text=True, check=False)
    if done.returncode:
        say(f"\n== {name}\n{done.stdout}{done.stderr}")
    return TestPart(name, done.returncode == 0, time.monotonic() - began)
