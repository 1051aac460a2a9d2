"""The real thing: `./hemicycle start` on a fresh data folder, driven in Debian's Chromium."""

from __future__ import annotations

import os
import re
import shutil
import signal
import socket
import subprocess
import tempfile
import time
from collections.abc import Iterator
from dataclasses import dataclass, field
from pathlib import Path

import pytest
from playwright.sync_api import Page, expect

expect.set_options(timeout=15_000)  # a slow machine is slow, not wrong
ROOT = Path(__file__).resolve().parents[1]


@pytest.fixture(scope="session")
def browser_type_launch_args():
    quiet = ["gpu", "quic", "background-networking", "component-update", "sync"]
    return {"executable_path": shutil.which("chromium"), "args": ["--no-first-run", *(f"--disable-{x}" for x in quiet)]}


@pytest.fixture(scope="session")
def browser_context_args():
    return {"viewport": {"width": 1280, "height": 800}, "locale": "en-GB"}


@dataclass
class Application:
    """The launcher as a user runs it."""

    home: Path
    port: int
    password: str = ""
    said: str = ""
    process: subprocess.Popen[str] | None = field(default=None)

    @property
    def address(self) -> str:
        return f"http://127.0.0.1:{self.port}"

    @property
    def env(self) -> dict[str, str]:
        kept = {key: value for key, value in os.environ.items() if key not in ("DATABASE_URL", "PYTHONPATH")}
        return {**kept, "HEMICYCLE_HOME": str(self.home)}

    def start(self) -> float:
        """Start and wait until it says it is ready; seconds that took."""
        began = time.monotonic()
        command = [str(ROOT / "hemicycle"), "start", "--port", str(self.port)]
        self.process = subprocess.Popen(command, env=self.env, stdout=subprocess.PIPE, text=True)
        assert self.process.stdout is not None
        self.said = ""
        for line in self.process.stdout:
            self.said += line
            found = re.search(r"Sign in as\s+fitter\s+with\s+(\S+)", line)
            if found:
                self.password = found.group(1)
                return time.monotonic() - began
        raise AssertionError(f"It did not start:\n{self.said}")

    def stop(self) -> int:
        assert self.process is not None
        self.process.send_signal(signal.SIGTERM)
        self.process.communicate(timeout=30)
        return self.process.returncode

    def launch(self, *words: str) -> subprocess.CompletedProcess[str]:
        """Another command of the launcher beside the running one."""
        return subprocess.run(
            [str(ROOT / "hemicycle"), *words], env=self.env, capture_output=True, text=True, timeout=120, check=False
        )


@pytest.fixture(scope="session")
def application() -> Iterator[Application]:
    home = Path(tempfile.mkdtemp(prefix="hemicycle-e2e-", dir="/tmp"))
    with socket.socket() as probe:
        probe.bind(("127.0.0.1", 0))
        port = probe.getsockname()[1]
    made = Application(home=home, port=port)
    made.start()
    yield made
    if made.process is not None and made.process.poll() is None:
        made.stop()
    shutil.rmtree(home, ignore_errors=True)


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
