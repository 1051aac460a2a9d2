"""What the launcher says when something is in the way."""

import argparse
import json
import os
import re
import signal
import socket
import stat
import subprocess
import sys
import time
from pathlib import Path

import pytest

from launcher import data, install, keep, serve, supervise, testing
from launcher import main as main_module
from launcher.common import Stop, digest, server_env
from launcher.postgres import usable_home


def test_a_port_in_use_is_said():
    with socket.socket() as taken:
        taken.bind(("127.0.0.1", 0))
        taken.listen()
        with pytest.raises(Stop, match="--port"):
            supervise.listening(taken.getsockname()[1])


def test_secrets_are_made_once_and_only_their_owner_reads_them(tmp_path):
    made = data.keep_secrets(tmp_path)
    assert data.keep_secrets(tmp_path) == made
    assert stat.S_IMODE((tmp_path / "secrets.json").stat().st_mode) == 0o600
    assert len(set(made.values())) == 4
    earlier = {name: word for name, word in made.items() if name != "app"}
    (tmp_path / "secrets.json").write_text(json.dumps(earlier))
    later = data.keep_secrets(tmp_path)
    assert {name: later[name] for name in earlier} == earlier
    assert later == data.keep_secrets(tmp_path)
    (tmp_path / "secrets.json").write_text("{")
    with pytest.raises(Stop, match="backup"):
        data.keep_secrets(tmp_path)


def test_one_launcher_a_folder(tmp_path):
    with data.only_one(tmp_path), pytest.raises(Stop, match="already running"), data.only_one(tmp_path):
        pass


def test_a_data_folder_that_cannot_be_written_and_a_port_that_is_none_are_said():
    with pytest.raises(Stop, match="HEMICYCLE_HOME names another"), data.only_one(Path("/proc/nothing")):
        pass
    with pytest.raises(Stop, match="A port is 1 to 65535, not 99999"):
        serve._start(argparse.Namespace(port=99_999, workers=1, fresh=False))


def test_what_ends_again_and_again_is_started_ever_less_eagerly(monkeypatch):
    now = [100.0]
    monkeypatch.setattr(supervise.time, "monotonic", lambda: now[0])
    tired, waited = supervise.Backoff(), []
    for _ in range(7):
        tired.over()
        began = now[0]
        while not tired.is_due():
            now[0] += 0.25
        waited.append(now[0] - began)
        tired.started()
    assert waited == [0, 0.5, 1, 2, 5, 5, 5]
    now[0] += supervise.STEADY_S + 1  # it stood: the next end is the first again
    tired.over()
    assert tired.is_due()


def test_only_what_a_killed_launcher_left_is_ended(tmp_path):
    other = subprocess.Popen(["sleep", "30"], start_new_session=True)
    ours = subprocess.Popen(
        [sys.executable, "-c", "import time; time.sleep(30)", "config.serve", str(tmp_path)], start_new_session=True
    )
    try:
        while not supervise._is_ours(ours.pid, tmp_path):  # it has yet to become what it is
            time.sleep(0.02)
        told = tmp_path / "run.json"
        told.write_text(json.dumps({"servers": [other.pid, ours.pid, 2**22 + 5, "x"]}))
        supervise.end_orphans(told, tmp_path)
        assert ours.wait(10) == -signal.SIGTERM
        assert other.poll() is None
        assert not told.exists()
    finally:
        other.kill()
        other.wait()


def test_a_daily_backup_is_due_by_the_age_of_the_newest(tmp_path, monkeypatch):
    daily = keep.Daily({}, tmp_path)
    assert daily.due()
    daily.folder.mkdir()
    (daily.folder / "before-2026-11-29-030000.hemicycle").touch()  # what a restore took the place of is no daily one
    assert daily.due()
    newest = daily.folder / "2026-11-29-030000.hemicycle"
    newest.touch()
    assert not daily.due()
    os.utime(newest, (0, time.time() - 25 * 3600))
    assert daily.due()
    monkeypatch.setenv("HEMICYCLE_BACKUP_HOURS", "0")
    assert not daily.due()


def test_without_root_missing_packages_are_named(monkeypatch):
    monkeypatch.setattr(install, "missing_packages", lambda *, tests: ["postgresql", "chromium"])
    monkeypatch.setattr(os, "geteuid", lambda: 1000)
    with pytest.raises(Stop, match="postgresql chromium"):
        install.ensure_packages()


def test_a_database_that_does_not_answer_is_said_without_a_traceback():
    with pytest.raises(Stop) as said:
        data.check_database("postgres://nobody@127.0.0.1:1/none")
    assert "does not answer" in str(said.value)
    assert "Traceback" not in str(said.value)


def test_a_step_is_done_again_only_when_its_input_changed():
    lock = install.ROOT / "requirements.txt"
    assert digest([lock]) == digest([lock])
    assert digest([lock]) != digest([install.ROOT / "requirements-dev.txt"])


def test_what_was_made_is_used_again_by_another_copy_and_goes_when_nobody_does(tmp_path, monkeypatch):
    monkeypatch.setenv("XDG_CACHE_HOME", str(tmp_path))
    with install.cached("wheels", "a lock") as wheels:
        assert not wheels.is_dir()
        with pytest.raises(ZeroDivisionError), install.settle(wheels):
            raise ZeroDivisionError  # what broke off half way is not there
        assert not wheels.is_dir()
        with install.settle(wheels) as fresh:
            (fresh / "one.whl").write_text("packed")
    with install.cached("wheels", "a lock") as again:
        assert (again / "one.whl").read_text() == "packed"
    os.utime(again, (0, time.time() - 61 * 24 * 3600))
    with install.cached("wheels", "another lock"):
        assert not again.exists()
    # A cache that cannot be written is none.
    (tmp_path / "file").touch()
    monkeypatch.setenv("XDG_CACHE_HOME", str(tmp_path / "file"))
    with install.cached("wheels", "a lock") as none, install.settle(none) as fresh:
        (fresh / "one.whl").touch()
    assert not none.exists()


def test_the_summary_counts_what_the_reports_say(tmp_path, capsys):
    report = tmp_path / "core.xml"
    report.write_text('<testsuites><testsuite tests="5" failures="1" errors="1" skipped="1"/></testsuites>')
    assert testing._counts(report) == (2, 2, 1)
    good, bad = testing.TestPart("core", True, 1.0, 5), testing.TestPart("web", False, 1.0, 2, 1)
    assert testing._summary([good], 0, 1) == 0
    assert testing._summary([good, bad], 0, 1) == 1
    assert capsys.readouterr().out.endswith("7 passed, 1 failed, 0 skipped\n")
    # A part that broke before its first test must not look like a pass.
    assert testing._summary([testing.TestPart("web", False, 1.0)], 0, 1) == 1
    assert "0 passed, 1 failed" in capsys.readouterr().out


def test_data_goes_where_the_databases_user_can_reach_it(tmp_path, monkeypatch):
    closed = tmp_path / "closed"
    closed.mkdir(mode=0o700)
    monkeypatch.setattr(os, "geteuid", lambda: 1000)
    assert usable_home(closed / "var") == closed / "var"
    monkeypatch.undo()
    if os.geteuid() == 0:
        assert str(usable_home(closed / "var")).startswith("/var/lib/hemicycle/")


def test_flight_through_the_launcher(tmp_path):
    file = tmp_path / "launch.csv"
    file.write_text("ball_speed_mph,launch_deg,spin_rpm\n146,10.2,4437\n")
    done = subprocess.run(
        [str(install.ROOT / "hemicycle"), "flight", str(file)], capture_output=True, text=True, check=True
    )
    assert done.stdout.splitlines()[1].startswith("146,10.2,4437,22")


def test_the_imports_keep_their_contracts_and_go_in_no_circle():
    """Of types alone too: in Python by layers, in the browser's code file by file."""
    env = {**server_env("postgres://nobody@127.0.0.1:1/none", "only-for-checks")}
    tool = str(install.VENV / "bin" / "lint-imports")
    said = subprocess.run([tool, "--no-cache"], cwd=install.ROOT, env=env, capture_output=True, text=True, check=False)
    assert said.returncode == 0, said.stdout
    rule = ["npx", "biome", "lint", "--only=suspicious/noImportCycles", "src"]
    said = subprocess.run(rule, cwd=install.WEB, capture_output=True, text=True, check=False)
    assert said.returncode == 0, said.stdout + said.stderr


DOCUMENTS = ("README.md", "CONTRIBUTING.md", "docs/architecture.md", "docs/judge.md")


@pytest.mark.parametrize("name", DOCUMENTS)
def test_what_the_documents_name_is_there(name):
    """Commands of the launcher, links, and files in backticks: of the whole project, else of the core."""
    document = install.ROOT / name
    text = document.read_text()
    offered = main_module._parser().format_help()
    commands = [word for word in re.findall(r"\./hemicycle ([a-z]+)", text) if not re.search(rf"\b{word}\b", offered)]
    links = [link for link in re.findall(r"\]\(([^)#:]+)\)", text) if not (document.parent / link).exists()]
    named = set(re.findall(r"`([\w./]+(?:/|\.py|\.ts|\.tsx|\.toml|\.ftl))`", text))
    roots = (install.ROOT, install.CORE, install.ROOT / "server" / "tests", install.ROOT / "core" / "tests")
    # The folder of the data is made at the first start.
    files = [each for each in named - {"var/"} if not any((root / each).exists() for root in roots)]
    assert (commands, links, files) == ([], [], [])
