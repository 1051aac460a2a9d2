"""What the launcher says when something is in the way."""

import os
import socket
import stat

import pytest

from launcher import install, serve
from launcher.common import Stop


def test_a_port_in_use_is_said(tmp_path):
    with socket.socket() as taken:
        taken.bind(("127.0.0.1", 0))
        taken.listen()
        with pytest.raises(Stop, match="--port"):
            serve.check_port(taken.getsockname()[1])


def test_secrets_are_made_once_and_only_their_owner_reads_them(tmp_path):
    made = serve.keep_secrets(tmp_path)
    assert serve.keep_secrets(tmp_path) == made
    assert stat.S_IMODE((tmp_path / "secrets.json").stat().st_mode) == 0o600
    assert len(set(made.values())) == 3
    (tmp_path / "secrets.json").write_text("{")
    with pytest.raises(Stop, match="backup"):
        serve.keep_secrets(tmp_path)


def test_one_launcher_a_folder(tmp_path):
    with serve.only_one(tmp_path), pytest.raises(Stop, match="already running"), serve.only_one(tmp_path):
        pass


def test_without_root_missing_packages_are_named(monkeypatch):
    monkeypatch.setattr(install, "missing_packages", lambda *, tests: ["postgresql", "chromium"])
    monkeypatch.setattr(os, "geteuid", lambda: 1000)
    with pytest.raises(Stop, match="postgresql chromium"):
        install.ensure_packages()
