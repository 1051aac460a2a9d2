"""The live stream over a real server process: a shot is on the wire within half a second."""

import asyncio
import json
import os
import subprocess
import sys
import threading
import time
import urllib.error
import urllib.request
from datetime import timedelta
from pathlib import Path

import pytest
from django.conf import settings
from django.db import connection, connections
from django.test import Client
from django.utils import timezone
from fitting.models import PlayerScreen
from live.actions import make_key
from live.models import StandIn
from shop.models import Bay, Shop

from launcher.supervise import listening

JSON = "application/json"
ROOT = Path(__file__).resolve().parents[2]
pytestmark = pytest.mark.django_db(transaction=True)


@pytest.fixture
def address(session):
    """uvicorn on the test database."""
    held = listening(0)
    port = held.getsockname()[1]
    base = settings.DATABASES["default"]
    url = (
        f"postgres://{base['USER']}:{base['PASSWORD']}@{base['HOST']}:{base['PORT']}/{connection.settings_dict['NAME']}"
    )
    process = subprocess.Popen(
        [sys.executable, "-m", "config.serve"],
        env={
            **os.environ,
            "DATABASE_URL": url,
            "HEMICYCLE_SOCKET": str(held.fileno()),
            "HEMICYCLE_SIGN_IN_TRIES": "3",
            "PGAPPNAME": "served",
            # As it is where DATABASE_URL is a pooler's.
            "HEMICYCLE_LISTEN_URL": f"{url}?application_name=listens",
        },
        pass_fds=[held.fileno()],
        cwd=ROOT / "server",
    )
    yield f"http://127.0.0.1:{port}"
    process.terminate()
    process.wait(10)
    held.close()
    while of_the_application() or of_the_application("listens"):  # its last connections end a moment after it
        time.sleep(0.05)


def of_the_application(name="served"):
    """How many connections the server process has to its database."""
    with connection.cursor() as cursor:
        cursor.execute(
            "SELECT count(*) FROM pg_stat_activity WHERE datname = %s AND application_name = %s",
            [connection.settings_dict["NAME"], name],
        )
        return cursor.fetchone()[0]


def test_a_forged_forwarding_header_buys_no_more_tries(address, fitter):
    with urllib.request.urlopen(f"{address}/api/me") as me:
        token = me.headers["Set-Cookie"].partition("csrftoken=")[2].partition(";")[0]
    codes = []
    for number in range(5):
        request = urllib.request.Request(
            f"{address}/api/sign-in",
            data=json.dumps({"username": "fitter", "password": "wrong"}).encode(),
            headers={
                "Content-Type": "application/json", "Cookie": f"csrftoken={token}", "X-CSRFToken": token,
                "X-Forwarded-For": f"203.0.113.{number}", "Forwarded": f"for=203.0.113.{number}",
                "X-Real-IP": f"203.0.113.{number}",
            },
        )  # fmt: skip
        with pytest.raises(urllib.error.HTTPError) as refused:
            urllib.request.urlopen(request, timeout=30)
        codes.append(refused.value.code)
        refused.value.close()
    assert codes[-1] == 429, codes


MOST_CONNECTIONS = 13
STREAMS = int(os.environ.get("HEMICYCLE_STREAMS", "40"))  # open at once; twice as many opened and closed; 500 long


async def _open(port, path, cookie):
    reader, writer = await asyncio.open_connection("127.0.0.1", port)
    writer.write(f"GET {path} HTTP/1.1\r\nHost: 127.0.0.1\r\nCookie: {cookie}\r\n\r\n".encode())
    await writer.drain()
    while (line := await asyncio.wait_for(reader.readline(), 60)) and not line.startswith(b"data:"):
        pass
    return reader, writer


async def _aside(work, *words):
    """Something that blocks, in a thread whose connections are closed after it."""

    def run():
        try:
            return work(*words)
        finally:
            connections.close_all()

    return await asyncio.to_thread(run)


async def _many(port, path, cookie, count):
    """Streams opened together, a few at a time."""
    made = []
    for at in range(0, count, 50):
        made += await asyncio.gather(*(_open(port, path, cookie) for _ in range(min(50, count - at))))
    return made


def test_streams_hold_no_connection_leak_none_and_end_with_the_sign_in(address, session, fitter):
    client = Client()
    client.force_login(fitter)
    cookie = f"sessionid={client.cookies['sessionid'].value}"
    port, path = int(address.rpartition(":")[2]), f"/api/sessions/{session.pk}/stream"
    key = make_key(session.bay, label="test")
    firing, fired = threading.Event(), []

    def fire():
        while not firing.is_set():
            body = json.dumps({"shots": [{"id": f"n{len(fired)}", "readings": {"carry_m": 160.0}}]}).encode()
            headers = {"Authorization": f"Bearer {key}", "Content-Type": "application/json"}
            request = urllib.request.Request(f"{address}/api/feed/shots", data=body, headers=headers)
            with urllib.request.urlopen(request, timeout=60) as answer:
                fired.append(answer.status)

    async def play():
        kept = await _many(port, path, cookie, STREAMS)
        at_rest = await _aside(of_the_application)
        for _ in range(2):  # opened and closed while shots arrive
            for _reader, writer in await _many(port, path, cookie, STREAMS):
                writer.close()
        # The sign-in ends: so do its streams, at once.
        await _aside(Client(headers={"cookie": cookie}).post, "/api/sign-out")
        tails = await asyncio.gather(*(asyncio.wait_for(reader.read(), 60) for reader, _ in kept))
        for _reader, writer in kept:
            writer.close()
        return at_rest, tails

    thread = threading.Thread(target=fire)
    thread.start()
    try:
        at_rest, tails = asyncio.run(play())
    finally:
        firing.set()
        thread.join(60)
    assert all(b"signed_out" in tail for tail in tails)
    assert set(fired) == {200}
    assert len(fired) > 5
    # The pool, the listener, and nothing for the streams: neither while they are open nor when they are gone.
    assert at_rest <= MOST_CONNECTIONS
    assert of_the_application() <= MOST_CONNECTIONS
    request = urllib.request.Request(f"{address}{path}", headers={"Cookie": cookie})
    with pytest.raises(urllib.error.HTTPError) as ended:
        urllib.request.urlopen(request, timeout=10)
    assert ended.value.code == 401
    ended.value.close()


def test_every_shot_reaches_an_open_screen_with_the_revision_it_made(address, session, fitter):
    client = Client()
    client.force_login(fitter)
    cookie = {"Cookie": f"sessionid={client.cookies['sessionid'].value}"}
    stream = urllib.request.urlopen(
        urllib.request.Request(f"{address}/api/sessions/{session.pk}/stream", headers=cookie), timeout=10
    )
    code = client.post(f"/api/sessions/{session.pk}/player").json()["player"]["code"]
    players = urllib.request.urlopen(f"{address}/api/player/{code}/stream", timeout=10)

    def next_data(of=stream):
        while True:
            line = of.readline().decode()
            if line.startswith("data:"):
                return json.loads(line.removeprefix("data:"))

    first = next_data()
    session.refresh_from_db()
    while first["revision"] < session.revision:
        first = next_data()
    assert next_data(players)["revision"] == session.revision
    assert of_the_application("listens") == 1
    key = make_key(Bay.objects.get(shop=session.shop), label="test")
    for number in range(5):
        body = json.dumps({"shots": [{"id": str(number), "readings": {"carry_m": 160.0 + number}}]}).encode()
        headers = {"Authorization": f"Bearer {key}", "Content-Type": "application/json"}
        urllib.request.urlopen(urllib.request.Request(f"{address}/api/feed/shots", data=body, headers=headers)).close()
        while (told := next_data())["what"] != "shot":
            pass
        assert told["revision"] == first["revision"] + 1 + number
        assert told["shot"]["readings"]["carry_m"] == 160.0 + number
        # The player's screen hears that something changed and nothing of what.
        nothing = dict.fromkeys(("shot", "build", "now"))
        assert next_data(players) == {"what": "changed", "revision": told["revision"], **nothing}
    client.delete(f"/api/sessions/{session.pk}/player")
    assert next_data(players)["what"] == "signed_out" and players.read() == b"\n"
    # When it is agreed, and when the time of a code is over, within a beat and not a minute later.
    for agreed in (False, True):
        code = client.post(f"/api/sessions/{session.pk}/player").json()["player"]["code"]
        if not agreed:
            PlayerScreen.objects.update(expires_at=timezone.now() + timedelta(seconds=2))
        players = urllib.request.urlopen(f"{address}/api/player/{code}/stream", timeout=10)
        next_data(players)
        began = time.monotonic()
        if agreed:
            why = {"builds": [], "reasons": "He keeps what he has.", "lost": []}
            assert client.post(f"/api/sessions/{session.pk}/handover", why, content_type=JSON).status_code == 201
        while next_data(players)["what"] != "signed_out":
            pass
        assert time.monotonic() - began < 10
    stream.close()


def test_the_stand_in_is_a_process_of_its_own_that_plays_and_stops(address, session, fitter):
    client = Client()
    client.force_login(fitter)
    cookies = "; ".join(f"{name}={morsel.value}" for name, morsel in client.cookies.items())
    token = (
        urllib.request.urlopen(f"{address}/api/me").headers["Set-Cookie"].partition("csrftoken=")[2].partition(";")[0]
    )

    def call(method, body=None):
        request = urllib.request.Request(
            f"{address}/api/bays/{session.bay_id}/stand-in",
            method=method,
            data=None if body is None else json.dumps(body).encode(),
            headers={
                "Cookie": f"{cookies}; csrftoken={token}",
                "X-CSRFToken": token,
                "Content-Type": "application/json",
            },
        )
        with urllib.request.urlopen(request, timeout=10) as answer:
            return answer.status

    with pytest.raises(urllib.error.HTTPError) as real:  # never among the shots of a real player
        call("POST", {"shots": 1})
    assert json.load(real.value)["type"] == "hemicycle:not_try_out"
    real.value.close()
    Shop.objects.update(demo=True)
    assert call("POST", {"shots": 60, "every_s": 0.2}) == 202
    deadline = time.monotonic() + 60
    while session.shots.count() < 3 and time.monotonic() < deadline:
        time.sleep(0.1)
    assert session.shots.count() >= 3
    pid = StandIn.objects.get().pid
    assert b"hemicycle_commands.monitor" in Path(f"/proc/{pid}/cmdline").read_bytes()
    assert b"Bearer" not in Path(f"/proc/{pid}/cmdline").read_bytes()
    with pytest.raises(urllib.error.HTTPError) as busy:
        call("POST", {"shots": 1, "every_s": 1})
    assert busy.value.code == 409
    busy.value.close()
    assert call("DELETE") == 204
    time.sleep(0.7)
    hit = session.shots.count()
    time.sleep(0.7)
    assert session.shots.count() == hit
