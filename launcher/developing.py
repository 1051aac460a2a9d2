"""What is run all day while it is worked on: `dev`, `shell`, and some tests (`test PATH -k NAME`)."""

from __future__ import annotations

import argparse
import contextlib
import os
import subprocess
import tempfile
import time
from collections.abc import Iterable, Iterator
from pathlib import Path

from . import data, install, serve
from .common import PYTHON, ROOT, WEB, Stop, run, say, server_env
from .postgres import temporary
from .supervise import Servers

LOOK_S = 1.0
SOURCES = {"python": ("core/hemicycle_core", "server"), "web": ("web/src", "core/hemicycle_core/said/en")}
MANAGE = [str(PYTHON), str(ROOT / "server" / "manage.py")]
KINDS = {".py", ".toml", ".ftl", ".ts", ".tsx", ".css"}


class Reload:
    """Starts the server processes again where their code was saved, with the front end built before where its was."""

    def __init__(self) -> None:
        self.seen = {part: _newest(folders) for part, folders in SOURCES.items()}
        self.due = 0.0

    def look(self, servers: Servers) -> bool:
        """Whether anything was started again."""
        if time.monotonic() < self.due:
            return False
        self.due = time.monotonic() + LOOK_S
        now = {part: _newest(folders) for part, folders in SOURCES.items()}
        changed = [part for part in now if now[part] != self.seen[part]]
        self.seen = now
        if not changed:
            return False
        if "web" in changed:
            try:
                install.build()
            except Stop as stop:  # as it stands it cannot be built: what was built goes on
                say(str(stop))
        say(f"{time.strftime('%H:%M:%S')} Changed ({', '.join(changed)}): starting again.")
        servers.renew()
        return True


def _newest(folders: Iterable[str]) -> tuple[float, int]:
    """When something in them was last saved, and how many files there are."""
    files = [path for folder in folders for path in (ROOT / folder).rglob("*") if path.suffix in KINDS]
    return max((path.stat().st_mtime for path in files if path.exists()), default=0.0), len(files)


def dev(options: argparse.Namespace) -> int:
    """The application as it is started, in one process that is started again whenever its code is saved."""
    os.environ["HEMICYCLE_DEBUG"] = "1"
    usual = {"fresh": False, "own": False, "demo": False, "without_backup": False, "workers": 1}
    return serve.start(argparse.Namespace(port=options.port, **usual, renewed=Reload().look))


def shell(_options: argparse.Namespace) -> int:
    """Python beside the running server, in its own database."""
    return subprocess.run([*MANAGE, "shell"], env=data.django_env(), check=False).returncode


def some_tests(paths: list[str], name: str) -> int:
    """Those of some files or folders, of a name; with a name alone, of core, server, commands and
    launcher."""
    for path in paths:
        if not (ROOT / path.split("::")[0]).exists():
            raise Stop(f"There is no {path} in {ROOT.name}.")
    install.ensure_packages(tests=True)
    install.ensure_python(tests=True)
    parts = {path: Path(path).parts[0] for path in paths}
    web = [str(Path(path).relative_to("web")) for path in paths if parts[path] == "web"]
    other = [path for path in paths if parts[path] != "web"]
    alone = [path for path in other if parts[path] in ("core", "e2e")]
    code = 0
    if web:
        install.ensure_node_modules()
        words = ["npx", "vitest", "run", *web, *(["-t", name] if name else [])]
        code |= subprocess.run(words, cwd=WEB, check=False).returncode
    with_database = [path for path in other if path not in alone] if paths else ["server", "commands", "launcher"]
    if with_database or "e2e" in parts.values():
        install.ensure_front_end()  # the server is tested with the files it serves
    if alone:
        code |= _pytest(["-p", "no:django", *alone], name)
    if with_database:
        code |= _pytest(with_database, name)
    if not paths:
        code |= _pytest(["-p", "no:django", "core/tests"], name)
    return code


NONE_COLLECTED = 5


def _pytest(words: list[str], name: str) -> int:
    with _for_tests() as env:
        command = [str(PYTHON), "-m", "pytest", *words, *(["-k", name] if name else [])]
        code = subprocess.run(command, cwd=ROOT, env=env, check=False).returncode
    return 0 if name and code == NONE_COLLECTED else code


def migrations(_options: argparse.Namespace) -> int:
    """Write the migrations that the tables of today lack."""
    install.ensure_packages()
    install.ensure_python(tests=True)
    with _for_tests() as env:
        return subprocess.run([*MANAGE, "makemigrations"], env=env, check=False).returncode


@contextlib.contextmanager
def _for_tests() -> Iterator[dict[str, str]]:
    """The environment of Django over a PostgreSQL that is gone afterwards."""
    folder = Path(tempfile.mkdtemp(prefix="hemicycle-test-", dir="/tmp"))
    folder.chmod(0o755)  # the database's own user passes through it
    with temporary(folder) as cluster:
        yield {**server_env(cluster.url("postgres"), "only-for-tests"), "HEMICYCLE_ERASED": ""}


# What is printed out of the core, by a command each.
PRINTED = {
    "web/src/api/vocabulary.ts": ["-m", "hemicycle_commands.vocabulary"],
    "docs/formats/session-bundle.schema.json": ["-m", "hemicycle_commands.judge", "--schema"],
}


def generated(_options: argparse.Namespace) -> int:
    """Write anew what is written out of the code: printed words, schemas, the API document and the browser's types."""
    install.ensure_python(tests=True)
    install.ensure_node_modules()
    env = server_env("postgres://nobody@127.0.0.1:1/none", "only-to-write")
    for file, words in PRINTED.items():
        done = subprocess.run([str(PYTHON), *words], env=env, stdout=subprocess.PIPE, text=True, check=True)
        (ROOT / file).write_text(done.stdout)
    run([str(PYTHON), str(ROOT / "core" / "tests" / "test_said.py")], env=env, why="Writing what is read alike")
    document = ROOT / "docs" / "formats" / "openapi.yaml"
    run([*MANAGE, "spectacular", "--fail-on-warn", "--file", str(document)], env=env, why=f"Writing {document.name}")
    run(["npm", "run", "--silent", "api"], cwd=WEB, why="Writing the browser's types")
    return 0
