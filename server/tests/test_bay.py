"""A bay serves one session at a time: no shot is filed under another customer, refused or lost."""

import threading
from datetime import timedelta

import pytest
from customers.actions import add_customer
from django.db import connections
from django.db.models import F
from fitting.actions import builds, sessions
from fitting.models import BayHold, BayServed, Build, FittingSession, Shot, TakenInHand
from live.actions import make_key
from live.models import TrayShot
from shop.models import AuditEntry, Bay

JSON = "application/json"


@pytest.fixture
def bay(session):
    return session.bay


@pytest.fixture
def other(fitter, session):
    """Another customer in the same bay, with a club to take in hand."""
    customer = add_customer(fitter, name="Bo Hill", hand="right")
    made = sessions.open_session(fitter, customer_id=customer.pk, bay_id=session.bay_id)
    builds.add_club(fitter, made.pk, name="5i", typed_carry_m=140)
    return made


@pytest.fixture
def send(bay, client):
    key = make_key(bay, label="test")

    def send(*ids, status=200, **readings):
        body = {"shots": [{"id": each, "readings": readings or {"carry_m": 160.0}} for each in ids]}
        answer = client.post("/api/feed/shots", body, content_type=JSON, headers={"Authorization": f"Bearer {key}"})
        assert answer.status_code == status, answer.content
        return answer.json()

    return send


def take(fitter, session, name, ago=10):
    """The bay goes to a session; so many seconds ago, as what comes sooner may have been hit for the one before."""
    build = Build.objects.get(session=session, name=name)
    builds.take_in_hand(fitter, session.pk, build_id=build.pk)
    for table in (BayServed, TakenInHand):
        table.objects.update(at=F("at") - timedelta(seconds=ago))
    return build


def of(session):
    return list(Shot.objects.filter(session=session).values_list("carry_m", flat=True))


def test_taking_a_build_in_hand_moves_the_bay_and_both_screens_are_told(
    desk, fitter, session, other, send, django_capture_on_commit_callbacks
):
    assert send("a")["session"] == session.pk
    before = desk.get(f"/api/sessions/{session.pk}").json()
    assert (before["bay_is_here"], before["bay_serves"]) == (True, "Ada Field")
    with django_capture_on_commit_callbacks(execute=True):
        take(fitter, other, "5i")
    assert send("b")["session"] == other.pk
    lost, has = (desk.get(f"/api/sessions/{each.pk}").json() for each in (session, other))
    assert (lost["bay_is_here"], lost["bay_serves"]) == (False, "Bo Hill")
    assert lost["revision"] > before["revision"]
    assert (has["bay_is_here"], has["bay_serves"]) == (True, "Bo Hill")
    assert (len(of(session)), len(of(other))) == (1, 1)


def test_after_the_one_that_had_the_bay_is_agreed_shots_wait_in_the_tray_and_go_to_nobody_else(
    desk, fitter, session, other, send, django_capture_on_commit_callbacks
):
    """The other session stands open with a build in hand: it had the bay before, and does not have it again."""
    take(fitter, other, "5i")
    send("a")
    take(fitter, session, "4H 22°")
    send("b")
    body = {"builds": [], "reasons": "Keep.", "lost": []}
    before = desk.get(f"/api/sessions/{other.pk}").json()
    with django_capture_on_commit_callbacks(execute=True):
        assert desk.post(f"/api/sessions/{session.pk}/handover", body, content_type=JSON).status_code == 201
    assert not BayHold.objects.exists()
    told = desk.get(f"/api/sessions/{other.pk}").json()
    assert (before["bay_serves"], told["bay_serves"]) == ("Ada Field", "")
    assert told["revision"] > before["revision"]
    said = send("c", "d")
    assert (said["session"], said["build"], said["new"], said["tray"]) == (None, "", 2, 2)
    assert (len(of(session)), len(of(other))) == (1, 1)
    assert send("b")["new"] == 0  # a retry of what is stored is accepted, also now
    assert send("c")["new"] == 0
    assert TrayShot.objects.count() == 2


def test_a_shot_after_the_build_in_hand_was_taken_away_is_kept_and_every_screen_says_where(
    desk, fitter, session, other, send
):
    builds.drop_club(fitter, Build.objects.get(session=session, letter="A").pk)
    for each in (session, other):
        said = desk.get(f"/api/sessions/{each.pk}").json()
        assert (said["bay_is_here"], said["bay_serves"]) == (False, "")
    assert send("a")["tray"] == 1
    assert send("b", carry_m=9000.0, status=400)["field"] == "carry_m"
    assert Shot.objects.count() == 0 and TrayShot.objects.count() == 1


def test_a_tray_is_filed_by_one_act_in_order_and_what_is_nobodys_is_put_away_and_stays_on_record(
    desk, fitter, session, send
):
    build = Build.objects.get(session=session, letter="A")
    builds.drop_club(fitter, build.pk)
    Build.objects.filter(pk=build.pk).update(archived=False)
    for number in range(3):
        send(f"s{number}", carry_m=150.0 + number)
    url = f"/api/bays/{session.bay_id}/tray"
    tray = desk.get(url).json()["waiting"]
    assert [row["readings"]["carry_m"] for row in tray] == [150.0, 151.0, 152.0]
    first, second, third = (row["id"] for row in tray)
    put_away = {"shots": [second]}
    assert len(desk.put(url, put_away, content_type=JSON).json()["waiting"]) == 2
    back = desk.delete(url).json()
    assert (len(back["waiting"]), back["put_away"]) == (3, 0)
    left = desk.put(url, put_away, content_type=JSON).json()
    assert (len(left["waiting"]), left["put_away"]) == (2, 1)
    body = {"session": session.pk, "build": build.pk, "shots": [first, third]}
    assert desk.post(url, body, content_type=JSON).json()["waiting"] == []
    assert of(session) == [150.0, 152.0]
    assert desk.post(url, body, content_type=JSON).json()["type"] == "hemicycle:tray_moved"
    assert of(session) == [150.0, 152.0]
    assert TrayShot.objects.count() == 3
    names = set(AuditEntry.objects.values_list("action", flat=True))
    assert {"feed.tray", "tray.file", "tray.put_away"} <= names
    assert send("s0")["new"] == 0


def test_a_shot_sent_again_with_other_readings_is_told_and_the_first_stands(session, send):
    send("a", carry_m=160.0, spin_rpm=4500.0)
    again = send("a", "b", carry_m=161.0, spin_rpm=4500.0)
    assert (again["accepted"], again["new"], again["differs"]) == (["a", "b"], 1, ["a"])
    assert of(session) == [160.0, 161.0]
    assert AuditEntry.objects.filter(action="feed.differs").count() == 1
    assert send("a", carry_m=160.0, spin_rpm=4500.0)["differs"] == []


def test_one_bad_shot_holds_up_no_others_and_is_named(client, session, bay):
    headers = {"Authorization": f"Bearer {make_key(bay, label='test')}"}
    bad = [
        {"id": "wild", "readings": {"carry_m": 9e9}},
        {"id": "word", "readings": {"carry_m": "far"}},
        {"id": "bare", "readings": {}},
    ]
    sent = {"shots": [bad[0], {"id": "good", "readings": {"carry_m": 160.0}}, *bad[1:]]}
    answer = client.post("/api/feed/shots", sent, content_type=JSON, headers=headers).json()
    assert (answer["accepted"], of(session)) == (["good"], [160.0])
    assert [each["id"] for each in answer["refused"]] == ["wild", "word", "bare"]
    assert "which no golf shot has" in answer["refused"][0]["why"]
    assert "A shot needs a carry" in answer["refused"][2]["why"]
    assert AuditEntry.objects.get(action="feed.refused").detail["shots"] == answer["refused"]
    none = client.post("/api/feed/shots", {"shots": bad}, content_type=JSON, headers=headers)
    assert none.status_code == 400 and "which no golf shot has" in none.json()["title"]


@pytest.mark.django_db(transaction=True)
def test_the_tee_is_never_empty_while_the_build_in_hand_changes(fitter, session, client, bay):
    key, own = make_key(bay, label="test"), [Build.objects.get(session=session, name=name) for name in ("5i", "6i")]
    done = threading.Event()

    def change():
        try:
            for number in range(40):
                builds.take_in_hand(fitter, session.pk, build_id=own[number % 2].pk)
        finally:
            done.set()
            connections.close_all()

    changing = threading.Thread(target=change)
    changing.start()
    seen, headers = [], {"Authorization": f"Bearer {key}"}
    while not done.is_set():
        seen.append(client.get("/api/feed/tee", headers=headers).status_code)
        body = {"shots": [{"id": str(len(seen)), "readings": {"carry_m": 150.0}}]}
        seen.append(client.post("/api/feed/shots", body, content_type=JSON, headers=headers).status_code)
    changing.join(30)
    assert set(seen) == {200}
    assert len(seen) > 20
    assert TrayShot.objects.count() == 0


@pytest.mark.django_db(transaction=True)
def test_while_the_bay_changes_hands_every_shot_is_kept_once_and_for_whom_it_was_hit(
    fitter, session, other, client, bay
):
    key, wrong = make_key(bay, label="test"), []
    mine = Build.objects.get(session=session, letter="A")
    theirs = Build.objects.get(session=other, name="5i")

    def fire():
        try:
            for number in range(40):
                body = {"shots": [{"id": f"n{number}", "readings": {"carry_m": 160.0}}]}
                headers = {"Authorization": f"Bearer {key}"}
                for _ in range(2):  # a retry each
                    answer = client.post("/api/feed/shots", body, content_type=JSON, headers=headers)
                    if answer.status_code != 200:
                        wrong.append(answer.content)
        finally:
            connections.close_all()

    firing = threading.Thread(target=fire)
    firing.start()
    for _ in range(8):
        builds.take_in_hand(fitter, other.pk, build_id=theirs.pk)
        builds.take_in_hand(fitter, session.pk, build_id=mine.pk)
    firing.join()
    assert wrong == []
    assert Shot.objects.count() + TrayShot.objects.count() == 40
    for held in (session, other):
        runs = Shot.objects.filter(session=held).values_list("run__build__session", flat=True)
        assert set(runs) <= {held.pk}
    assert FittingSession.objects.get(pk=session.pk).in_hand_id == mine.pk
    assert Bay.objects.get(pk=bay.pk).hold.session_id == session.pk


def test_shots_that_no_monitor_sends_are_typed_judged_as_read_and_taken_back(desk, session):
    build = session.builds.get(letter="A")
    url = f"/api/sessions/{session.pk}/shots"
    for carry in (170, 172, 175, 168, 171, 173):
        seen = desk.post(url, {"build": build.pk, "carry_m": carry * 0.9144}, content_type=JSON)
        assert seen.status_code == 201, seen.content
    shots = seen.json()["shots"]
    assert [each["typed"] for each in shots] == [True] * 6
    assert shots[0]["readings"].keys() == {"carry_m"}  # what was not read is not made up
    (verdict,) = seen.json()["verdicts"]
    assert verdict["why"].startswith("Carries 172")
    assert desk.get(f"/api/sessions/{session.pk}/acts").json()["undo"] == "typed shot 6"
    back = desk.post(f"/api/sessions/{session.pk}/undo").json()
    assert [each["aside"] for each in back["shots"]] == [False] * 5 + [True]
    refused = [
        ({"build": build.pk, "carry_m": 0}, "carry_m"),
        ({"build": build.pk, "carry_m": 160, "total_m": 100}, "total_m"),
        ({"build": build.pk, "carry_m": 160, "spin_rpm": 90_000}, "spin_rpm"),
        ({"build": 10**9, "carry_m": 160}, None),
    ]
    for body, field in refused:
        answer = desk.post(url, body, content_type=JSON)
        assert (answer.status_code, answer.json()["field"]) == (404 if field is None else 400, field), answer.content
    assert Shot.objects.filter(session=session).count() == 6
