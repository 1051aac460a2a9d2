"""One number a session: it names what a reader has, and says when there is something new."""

import threading
import time
from concurrent.futures import ThreadPoolExecutor

import pytest
from fitting.api import answers, once
from fitting.api.present.session import PAGE
from fitting.models import FittingSession, Shot
from hemicycle_core.kept import new_store, remembered
from live.actions import make_key
from shop.models import Bay, Shop

JSON = "application/json"


@pytest.fixture
def send(session, client):
    key = make_key(Bay.objects.get(shop=session.shop), label="test")

    def send(*ids):
        body = {"shots": [{"id": each, "readings": {"carry_m": 160.0 + len(each)}} for each in ids]}
        answer = client.post("/api/feed/shots", body, content_type=JSON, headers={"Authorization": f"Bearer {key}"})
        assert answer.status_code == 200, answer.content

    return send


def since(seen):
    return {"Since-Revision": str(seen["revision"])}


def revision(session):
    return FittingSession.objects.values_list("revision", flat=True).get(pk=session.pk)


def test_every_change_and_every_shot_is_a_revision_and_what_is_refused_is_none(desk, session, send):
    before = revision(session)
    send("a", "bb")
    assert revision(session) == before + 2
    send("a")  # a retry is nothing new
    assert revision(session) == before + 2
    shot = Shot.objects.first()
    assert desk.put(f"/api/shots/{shot.pk}/aside", {"aside": True}, content_type=JSON).json()["revision"] == before + 3
    assert desk.put(f"/api/shots/{shot.pk}/counts", {"line": False, "distance": False}, content_type=JSON).status_code
    assert revision(session) == before + 3


@pytest.mark.parametrize("part", ["", "/bench", "/plans", "/shortlist"])
def test_a_reader_who_has_it_is_told_so_until_session_shop_or_code_change(desk, session, send, part, monkeypatch):
    send("a", "bb", "ccc")
    url = f"/api/sessions/{session.pk}{part}"

    def asked(tag):
        answer = desk.get(url, headers={"If-None-Match": tag} if tag else {})
        return answer.status_code, answer.headers["ETag"]

    _, tag = asked("")
    assert asked(tag) == (304, tag)
    send("dddd")
    status, second = asked(tag)
    assert (status, second != tag, asked(second)[0]) == (200, True, 304)
    Shop.objects.update(revision=99)
    status, third = asked(second)
    assert (status, asked(third)[0]) == (200, 304)
    # Who has it as words does not have it as data.
    as_data = desk.get(url, headers={"If-None-Match": third, "Prefer": ""})
    assert (as_data.status_code, as_data.content != desk.get(url).content) == (200, True)
    monkeypatch.setattr(once, "code_version", lambda: "another")
    assert asked(third)[0] == 200


def test_a_reader_is_told_only_the_shots_that_changed(desk, session, send):
    send("a", "bb", "ccc")
    url = f"/api/sessions/{session.pk}"
    seen = desk.get(url).json()
    assert (len(seen["shots"]), seen["shots_since"]) == (3, 0)
    send("dddd")
    later = desk.get(url, {"since": seen["revision"]}).json()
    assert [shot["number"] for shot in later["shots"]] == [4]
    assert later["shots_since"] == seen["revision"]
    first = Shot.objects.order_by("number").first()
    answer = desk.put(f"/api/shots/{first.pk}/aside", {"aside": True}, content_type=JSON, headers=since(later))
    assert [(shot["number"], shot["aside"]) for shot in answer.json()["shots"]] == [(1, True)]
    # From a revision that this session never had, everything.
    assert len(desk.get(url, {"since": 9999}).json()["shots"]) == 4
    assert desk.get(url, {"since": "x"}).status_code == 400


def test_a_session_of_thousands_of_shots_is_turned_page_by_page(desk, session, send):
    """An import gone wrong: the newest come, the others when they are asked for, and each counts."""
    send("first")
    first, most = Shot.objects.get(), 2 * PAGE + 50
    rows = [Shot.objects.get(pk=first.pk) for _ in range(most - 1)]
    for at, row in enumerate(rows):
        row.pk, row.number, row.feed_id = None, at + 2, f"more {at}"
    Shot.objects.bulk_create(rows)
    url = f"/api/sessions/{session.pk}"
    seen = desk.get(url).json()
    build = next(each for each in seen["builds"] if each["id"] == session.in_hand_id)
    assert (len(seen["shots"]), seen["earlier"], build["kept"]) == (PAGE, PAGE + 50, most)
    before, found = seen["shots"][0]["number"], len(seen["shots"])
    while True:
        page = desk.get(f"{url}/shots", {"before": before}).json()
        assert page["shots"][-1]["number"] == before - 1 and len(page["shots"]) <= PAGE
        before, found = page["shots"][0]["number"], found + len(page["shots"])
        if not page["earlier"]:
            break
    assert (before, found) == (1, most)
    # One that changed and is not on the page: the others are told all that is.
    asked = {"content_type": JSON, "headers": {"Prefer": "return=minimal"}}
    assert desk.put(f"/api/shots/{first.pk}/aside", {"aside": True}, **asked).status_code == 202
    after = desk.get(url, {"since": seen["revision"]}).json()
    assert (len(after["shots"]), after["shots_since"]) == (PAGE, 0)
    assert desk.get(url, {"since": after["revision"]}).json()["shots"] == []
    # The one that is to be copied comes along from wherever it is.
    desk.put(f"/api/shots/{first.pk}/pinned", {"pinned": True}, content_type=JSON)
    copied = desk.get(url).json()
    assert (copied["shots"][0]["id"], len(copied["shots"])) == (first.pk, PAGE + 1)
    assert desk.get(f"{url}/shots", {"before": "x"}).status_code == 400


def test_who_asks_for_no_more_is_told_what_a_change_did_as_the_session_tells_it_after(desk, session, send, monkeypatch):
    send("a", "bb", "ccc")
    asked = {"content_type": JSON, "headers": {"Prefer": "return=minimal"}}
    judged = []
    monkeypatch.setattr(answers, "judged", judged.append)
    shot, build = Shot.objects.order_by("-number").first(), session.in_hand_id
    told = [
        desk.put(f"/api/shots/{shot.pk}/strike", {"strike": "toe"}, **asked),
        desk.post(f"/api/sessions/{session.pk}/shots", {"build": build, "carry_m": 171.0}, **asked),
        desk.put(f"/api/shots/{shot.pk}/aside", {"aside": True}, **asked),
        desk.put(f"/api/sessions/{session.pk}/in-hand", {"build": build}, **asked),
        desk.put(f"/api/sessions/{session.pk}/ask", {"protocol": "shaped", "intent": "low"}, **asked),
    ]
    assert [each.status_code for each in told] == [202] * 5 and not judged
    monkeypatch.undo()
    whole = desk.get(f"/api/sessions/{session.pk}").json()
    _, typed, aside, held_now, now = (each.json() for each in told)
    assert now["revision"] == whole["revision"] == typed["revision"] + 3
    (held,) = (each for each in whole["builds"] if each["id"] == build)
    assert aside["build"] == {name: held[name] for name in aside["build"]} and held["carry_m"]
    there = {each["id"]: each for each in whole["shots"]}
    for seen in (typed, aside):
        drawn = seen["shot"]
        assert {**there[drawn["id"]], "sources": drawn["sources"]} == drawn
    assert now["now"] == {name: whole[name] for name in now["now"]} and whole["intent"] == "low"
    later = ("protocol", "intent")
    for name, value in held_now["now"].items():
        assert name in later or whole[name] == value, name


def test_shots_that_left_with_their_file_are_not_kept_by_a_reader(desk, session):
    url = f"/api/sessions/{session.pk}"
    body = {"file_name": "a.csv", "text": "club,carry_m\n7i,140\n7i,142\n"}
    assert desk.post(f"{url}/import", body, content_type=JSON).status_code == 201
    seen = desk.get(url).json()
    (file,) = seen["imports"]
    later = desk.put(f"/api/imports/{file['id']}", {"undone": True}, content_type=JSON, headers=since(seen)).json()
    assert (later["shots_since"], later["shots"]) == (0, [])


def test_a_refused_change_leaves_nothing_behind_that_a_later_one_could_be_taken_for(desk, session, send):
    """A change that is rolled back gives its revision back; nothing worked out under it may be met again."""
    send("a", "bb", "ccc")
    url = f"/api/sessions/{session.pk}"
    bad = {"builds": [], "reasons": "  ", "lost": []}
    assert desk.post(f"{url}/handover", bad, content_type=JSON).status_code == 400
    said = desk.put(f"{url}/gap", {"rule": "even_steps", "clubs_to_place": 2}, content_type=JSON).json()
    assert (said["status"], said["clubs_to_place"], said["revision"]) == ("open", 2, revision(session))


def test_answers_travel_small(desk, session, send):
    send(*["x" * count for count in range(1, 51)])
    plain = desk.get(f"/api/sessions/{session.pk}")
    packed = desk.get(f"/api/sessions/{session.pk}", headers={"Accept-Encoding": "gzip"})
    assert packed.headers["Content-Encoding"] == "gzip"
    assert len(packed.content) < len(plain.content) / 4


def test_what_two_ask_for_at_once_is_made_once_and_a_failure_is_nobody_elses():
    cache, made, begun = new_store(), [], threading.Event()

    def slow():
        begun.set()
        time.sleep(0.1)
        made.append(1)
        return "made"

    def failing():
        raise ValueError

    with ThreadPoolExecutor(4) as threads:
        first = threads.submit(remembered, cache, "key", slow)
        begun.wait(5)
        others = [threads.submit(remembered, cache, "key", slow) for _ in range(3)]
        assert {each.result(5) for each in (first, *others)} == {"made"}
    assert len(made) == 1
    with pytest.raises(ValueError):
        remembered(cache, "other", failing)
    assert remembered(cache, "other", lambda: "then") == "then"
