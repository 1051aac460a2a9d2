"""What the shop stands on: every process killed once under feed, a backup taken under load and put back elsewhere."""

from __future__ import annotations

import hashlib
import json
import lzma
import os
import shutil
import signal
import threading
import time
import urllib.error
import urllib.request
import zipfile
from collections.abc import Callable
from dataclasses import dataclass, field
from http.cookiejar import CookieJar
from pathlib import Path
from typing import Any

import psycopg
import pytest
from steps import PATIENCE_S

SHOTS = int(os.environ.get("HEMICYCLE_TRIAL_SHOTS", "300"))  # in both bays together; 5,000 for the long trial


Application = Any  # conftest.Application


@pytest.fixture
def shop(stood_application: Application) -> Application:
    return stood_application


def told(shop: Application) -> dict[str, Any]:
    found: dict[str, Any] = json.loads((shop.home / "run.json").read_text())
    return found


class Desk:
    """The owner, signed in over plain HTTP, who tries again while the server is away."""

    def __init__(self, shop: Application) -> None:
        self.shop, self.cookies = shop, CookieJar()
        self.opener = urllib.request.build_opener(urllib.request.HTTPCookieProcessor(self.cookies))
        self.call("GET", "me")
        self.call("POST", "sign-in", {"username": "owner", "password": shop.password})

    def call(self, method: str, path: str, body: Any = None, **headers: str) -> Any:
        def once() -> Any:
            token = next((each.value for each in self.cookies if each.name == "csrftoken"), "") or ""
            return _asked(self.shop, method, path, body, {"X-CSRFToken": token, **headers}, self.opener.open)

        return until_answered(once)


def _asked(
    shop: Application, method: str, path: str, body: Any, headers: dict[str, str], send: Callable[..., Any]
) -> Any:
    data = None if body is None else json.dumps(body).encode()
    headers = {"Content-Type": "application/json", **headers}
    request = urllib.request.Request(f"{shop.address}/api/{path}", data=data, headers=headers, method=method)
    with send(request, timeout=10) as answer:
        text = answer.read()
    return json.loads(text) if text else None


def until_answered(once: Callable[[], Any]) -> Any:
    """As a monitor does: again after anything but a clear no."""
    until = time.monotonic() + PATIENCE_S
    while True:
        try:
            return once()
        except urllib.error.HTTPError as error:
            if error.code < 500 or time.monotonic() > until:
                raise AssertionError(f"{error.code}: {error.read()!r}") from error
        except (OSError, ValueError):
            if time.monotonic() > until:
                raise
        time.sleep(0.1)


@dataclass
class Firing:
    """A monitor in one bay, and two customers that are fitted there in turn."""

    shop: Application
    desk: Desk
    bay: int
    key: str
    sessions: list[tuple[int, int]]  # session and build in hand, in turn
    count: int
    sent: dict[str, int] = field(default_factory=dict)  # id of the shot: the session it was hit in
    slowest: float = 0
    error: BaseException | None = None

    def run(self) -> None:
        try:
            for number in range(self.count):
                if number % (self.count // 4) == 0:  # the next customer steps up, three times on the way
                    session, build = self.sessions[number // (self.count // 4) % 2]
                    self.desk.call("PUT", f"sessions/{session}/in-hand", {"build": build})
                self._send(number, session)
        except BaseException as error:
            self.error = error

    def _send(self, number: int, session: int) -> None:
        name = f"bay{self.bay}-{number}"
        carry = 140 + self.bay + number / 1000
        body = {"shots": [{"id": name, "readings": {"carry_m": carry, "total_m": carry + 5}}]}
        began = time.monotonic()
        headers = {"Authorization": f"Bearer {self.key}"}
        until_answered(lambda: _asked(self.shop, "POST", "feed/shots", body, headers, urllib.request.urlopen))
        self.slowest = max(self.slowest, time.monotonic() - began)
        self.sent[f"{carry:.3f}"] = session


def firing(shop: Application, desk: Desk, count: int) -> list[Firing]:
    made = []
    for bay in desk.call("GET", "me")["bays"]:
        sessions = []
        for name in ("First", "Second"):
            person = desk.call("POST", "customers", {"name": f"{name} of {bay['name']}", "hand": "right"})
            opened = desk.call("POST", "sessions", {"customer": person["id"], "bay": bay["id"]})
            added = desk.call("POST", f"sessions/{opened['id']}/clubs", {"name": "5i"})
            sessions.append((opened["id"], added["builds"][0]["id"]))
        key = desk.call("POST", f"bays/{bay['id']}/keys", {"label": "Trial", "days": 1})["made"]
        made.append(Firing(shop, desk, bay["id"], key, sessions, count // 2))
    return made


def stored(shop: Application) -> tuple[list[tuple[str, int]], list[str]]:
    """Carry and session of every shot of the trial, and the carries of those that wait in the trays: what comes within
    seconds of a change of customer, without the time it was hit, is nobody's."""
    with psycopg.connect(told(shop)["database"]) as database:
        filed = [
            (f"{carry:.3f}", session)
            for carry, session in database.execute(
                "SELECT s.carry_m, s.session_id FROM fitting_shot s "
                "JOIN fitting_fittingsession f ON f.id = s.session_id "
                "JOIN customers_customer c ON c.id = f.customer_id WHERE c.name LIKE '% of Bay%'"
            )
        ]
        waiting = database.execute(
            "SELECT readings FROM feed_trayshot WHERE readings - 'carry_m' - 'total_m' = '{}' AND filed_in_id IS NULL"
        )
        return filed, [f"{readings['carry_m']:.3f}" for (readings,) in waiting]


def postmaster(shop: Application) -> int:
    (found,) = shop.home.rglob("postmaster.pid")
    return int(found.read_text().splitlines()[0])


def test_every_process_is_killed_once_under_feed_and_nothing_is_lost_doubled_or_misfiled(shop: Application) -> None:
    desk = Desk(shop)
    trials = firing(shop, desk, SHOTS)
    threads = [threading.Thread(target=each.run) for each in trials]
    for thread in threads:
        thread.start()

    def so_far(share: float) -> None:
        while sum(len(each.sent) for each in trials) < SHOTS * share and any(t.is_alive() for t in threads):
            time.sleep(0.05)

    so_far(0.2)
    os.kill(told(shop)["servers"][0], signal.SIGKILL)
    so_far(0.4)
    os.kill(postmaster(shop), signal.SIGKILL)
    so_far(0.6)
    # A launcher that is killed leaves the shop open; the next one finds what it left and takes over.
    assert shop.process is not None
    shop.process.kill()
    shop.process.wait()
    shop.process.stdout.close()
    so_far(0.7)
    shop.start()
    for thread in threads:
        thread.join(600)
    assert [each.error for each in trials] == [None, None]
    filed, waiting = stored(shop)
    expected = {carry: session for each in trials for carry, session in each.sent.items()}
    assert len(expected) == SHOTS // 2 * 2
    kept = [carry for carry, _ in filed] + waiting
    lost, misfiled = expected.keys() - set(kept), set(filed) - set(expected.items())
    print(f"\nshots {len(expected)}, lost {len(lost)}, doubled {len(kept) - len(set(kept))}, misfiled {len(misfiled)}, "
          f"in the trays {len(waiting)}, longest wait {max(each.slowest for each in trials):.1f} s")  # fmt: skip
    assert (lost, misfiled, len(kept)) == (set(), set(), len(expected))
    assert filed


FORBIDDEN = [
    "UPDATE shop_auditentry SET action = 'x'",
    "DELETE FROM shop_auditentry",
    "TRUNCATE shop_auditentry",
    "ALTER TABLE shop_auditentry DISABLE TRIGGER ALL",
    "DROP TRIGGER append_only ON shop_auditentry",
    "SET session_replication_role = replica",
    "UPDATE handover_recommendation SET reasons = 'x'",
    "DELETE FROM fitting_agreedanswers",
    "UPDATE fitting_shot SET carry_m = 1 WHERE session_id IN "
    "(SELECT id FROM fitting_fittingsession WHERE agreed_at IS NOT NULL)",
]


def test_the_servers_own_role_cannot_change_the_trail_and_a_changed_password_stays_changed(shop: Application) -> None:
    word = json.loads((shop.home / "secrets.json").read_text())["app"]
    place = told(shop)["database"].rpartition("@")[2]
    for statement in FORBIDDEN:
        with psycopg.connect(f"postgres://hemicycle_app:{word}@{place}") as database:
            assert database.execute("SELECT count(*) > 0 FROM shop_auditentry").fetchone() == (True,)
            with pytest.raises(psycopg.Error):
                database.execute(statement)
    desk = Desk(shop)
    fitter = next(each for each in desk.call("GET", "people")["people"] if each["username"] == "fitter")
    changed = desk.call("POST", f"people/{fitter['id']}")["password"]
    shop.stop()
    shop.start()
    assert "Sign in with your own password" in shop.said
    desk.call("GET", "me")
    desk.call("POST", "sign-in", {"username": "fitter", "password": changed})
    shop.stop()
    shop.start("--fresh")
    (kept,) = (shop.home / "backups").glob("before-*.hemicycle")
    assert manifest(kept)["tables"]["fitting_shot"]["rows"] > 200
    assert shop.password in shop.said


def tables(url: str) -> dict[str, list[str]]:
    """Every row of every table, in order."""
    with psycopg.connect(url) as database:
        names = [row[0] for row in database.execute("SELECT tablename FROM pg_tables WHERE schemaname = 'public'")]
        return {
            name: [row[0] for row in database.execute(f"SELECT t::text FROM {name} t ORDER BY t::text")]
            for name in names
        }


def test_a_backup_taken_under_load_comes_back_row_by_row_in_an_empty_cluster(
    shop: Application, another: Callable[[], Application], tmp_path: Path
) -> None:
    desk = Desk(shop)
    trials = firing(shop, desk, 80)
    threads = [threading.Thread(target=each.run) for each in trials]
    for thread in threads:
        thread.start()
    file = tmp_path / "shop.hemicycle"
    assert "rows" in shop.launch("backup", str(file)).stdout
    for thread in threads:
        thread.join(60)
    after = tables(told(shop)["database"])
    again = shop.launch("restore", str(file))
    assert (again.returncode, "is running" in again.stderr) == (1, True)
    other = another()
    shutil.copy(shop.home / "secrets.json", other.home)
    said = other.launch("restore", str(file))
    assert "every sum as written" in said.stdout, said.stderr
    other.start()
    back = tables(told(other)["database"])
    # What the shop had at that moment: nothing that is not in it later, and all of what does not change.
    assert set(back) == set(after)
    assert back["django_session"] == []  # whoever is signed in is not signed in again by a file
    assert set(back["fitting_shot"]) <= set(after["fitting_shot"])
    assert len(back["fitting_shot"]) > 200
    for name in ("fitting_agreedanswers", "handover_recommendation", "rack_head", "customers_customer"):
        assert back[name] == after[name], name
    # A second backup of what came back is the first, row by row, but for who signed in since.
    Desk(other)
    again_file = tmp_path / "again.hemicycle"
    other.launch("backup", str(again_file))
    first, second = (manifest(each)["tables"] for each in (file, again_file))
    assert {name for name in first if first[name] != second[name]} <= {"axes_accesslog", "shop_user"}
    # Damaged, or made by a newer version: refused, and nothing is touched.
    spoilt = tmp_path / "spoilt.hemicycle"
    with zipfile.ZipFile(file) as packed:
        largest = max(packed.infolist(), key=lambda each: each.compress_size)
    data = bytearray(file.read_bytes())
    data[largest.header_offset + 200 + (largest.compress_size - 200) // 2] ^= 1  # among its rows, past its header
    spoilt.write_bytes(data)
    empty = another()
    assert "is damaged" in empty.launch("restore", str(spoilt)).stderr
    later = changed(file, tmp_path / "newer.hemicycle", newer)
    assert "made by a newer Hemicycle" in empty.launch("restore", str(later)).stderr


def changed(file: Path, target: Path, change: Callable[[dict[str, bytes], dict[str, Any]], None]) -> Path:
    """A backup with its parts and its manifest changed, every sum made anew, as somebody without the key could."""
    with zipfile.ZipFile(file) as packed:
        parts = {name: packed.read(name) for name in packed.namelist() if name != "manifest.json"}
    told = manifest(file)
    change(parts, told)
    for name, table in told["tables"].items():
        table["sha256"] = hashlib.sha256(parts[f"rows/{name}.copy"]).hexdigest()
    with zipfile.ZipFile(target, "w") as out:
        for name, data in {**parts, "manifest.json": json.dumps(told).encode()}.items():
            out.writestr(name, data)
    return target


def newer(_parts: dict[str, bytes], told: dict[str, Any]) -> None:
    """With a migration that nobody here knows."""
    told["migrations"].append("fitting.9999_later")


def crafted(parts: dict[str, bytes], told: dict[str, Any]) -> None:
    """With rows of a table that is PostgreSQL's own."""
    parts["rows/pg_authid.copy"] = parts["rows/shop_bay.copy"]
    told["tables"]["pg_authid"] = told["tables"]["shop_bay"]


def test_what_was_erased_stays_erased_and_what_is_damaged_can_be_replaced(
    shop: Application, another: Callable[[], Application], tmp_path: Path
) -> None:
    file = tmp_path / "before.hemicycle"
    shop.launch("backup", str(file))
    desk = Desk(shop)
    person = desk.call("GET", "customers")[0]
    assert person["name"].encode() in b"".join(rows_of(file))
    desk.call("DELETE", f"customers/{person['id']}")
    with psycopg.connect(told(shop)["database"]) as database:
        (page,) = database.execute("SELECT pg_relation_filepath('fitting_shot')").fetchone() or ("",)
    shop.stop()
    disk = shop.home / "postgres" / "data" / page
    with disk.open("r+b") as broken:
        broken.write(b"\xff" * 4096)
    # It says what is wrong and what to do, and nothing is touched; said, it is done.
    said = shop.launch("restore", str(file))
    assert "a page of fitting_shot on the disk is damaged. With --without-backup" in said.stderr, said.stderr
    assert "pg_dump" not in said.stderr and not list((shop.home / "backups").glob("before-*"))
    assert "every sum as written" in shop.launch("restore", str(file), "--without-backup").stdout
    # Another shop's key, or rows that no table takes: asked about, or refused, and nothing is left behind.
    other = another()
    assert "was signed by another shop" in other.launch("restore", str(file)).stderr
    wrong = changed(file, tmp_path / "crafted.hemicycle", crafted)
    assert "rows of pg_authid that no table here takes" in other.launch("restore", str(wrong), "--trust").stderr
    # The list of who was erased goes with the next backup, to another machine too.
    shop.start()
    desk = Desk(shop)
    assert person["name"] not in {each["name"] for each in desk.call("GET", "customers")}
    after = tmp_path / "after.hemicycle"
    shop.launch("backup", str(after))
    assert not any(person["name"].encode() in rows for rows in rows_of(after))
    assert manifest(after)["erased"] == (shop.home / "erased").read_text().split()
    assert "every sum as written" in other.launch("restore", str(after), "--trust").stdout
    assert "every sum as written" in (said := other.launch("restore", str(file), "--trust")).stdout, said.stderr
    other.start()
    with psycopg.connect(told(other)["database"]) as database:
        names = [name for (name,) in database.execute("SELECT name FROM customers_customer")]
    assert len(names) > 3 and person["name"] not in names


def test_a_backup_of_the_first_version_is_still_read(another: Callable[[], Application], tmp_path: Path) -> None:
    """One that was made then is kept, packed once more and as text."""
    made, old = another(), tmp_path / "first.hemicycle"
    kept = Path(__file__).with_name("data") / "backup-1.xz.hex"
    old.write_bytes(lzma.decompress(bytes.fromhex(kept.read_text())))
    assert "was made before backups were signed" in made.launch("restore", str(old)).stderr
    assert "every sum as written" in (said := made.launch("restore", str(old), "--trust")).stdout, said.stderr
    with zipfile.ZipFile(old) as packed:
        rows = json.loads(packed.read("manifest.json"))["tables"]["fitting_shot"]["rows"]
    made.start()
    with psycopg.connect(told(made)["database"]) as database:
        assert database.execute("SELECT count(*) FROM fitting_shot").fetchone() == (rows,)
        assert database.execute("SELECT count(DISTINCT uid) > 3 FROM customers_customer").fetchone() == (True,)


def rows_of(file: Path) -> list[bytes]:
    with zipfile.ZipFile(file) as packed:
        return [packed.read(name) for name in packed.namelist() if name.startswith("rows/")]


def manifest(file: Path) -> dict[str, Any]:
    with zipfile.ZipFile(file) as packed:
        found: dict[str, Any] = json.loads(packed.read("manifest.json"))
    return found
