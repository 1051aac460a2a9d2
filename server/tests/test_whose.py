"""A shot is of whom it was hit for, with the club and the swing it was hit with."""

from datetime import timedelta

import pytest
from customers.actions import add_customer
from django.db.models import F
from django.test import Client
from django.utils import timezone
from fitting.actions import bays, builds, sessions, shots, tasks
from fitting.models import BayHold, BayServed, Build, FittingSession, Shot, TakenInHand
from hemicycle_core.impact import Lie
from hemicycle_core.shots import Intent
from live.actions import FeedShot, feed_key_of, make_key, receive
from live.models import TrayShot
from rack.models import Head

JSON = "application/json"
BEHIND = timedelta(hours=1, seconds=40)  # the monitor's clock


@pytest.fixture
def other(fitter, session):
    customer = add_customer(fitter, name="Bo Hill", hand="right")
    made = sessions.open_session(fitter, customer_id=customer.pk, bay_id=session.bay_id)
    builds.add_club(fitter, made.pk, name="7i", typed_carry_m=140)
    return made


class Monitor:
    """A monitor of the bay, whose clock is known after three shots."""

    def __init__(self, bay):
        self.key, self.count = feed_key_of(make_key(bay, label="test")), 0

    def send(self, ago=0.0, *, clock=True, jump=0.0):
        """A shot that was hit so many seconds ago."""
        self.count += 1
        said = timezone.now() - timedelta(seconds=ago + jump) - BEHIND if clock else None
        answer = receive(self.key, [FeedShot(f"s{self.count}", {"carry_m": 150.0 + self.count}, said)])
        self.key.refresh_from_db()
        return Shot.objects.filter(carry_m=150.0 + self.count).select_related("run__build").first(), answer


@pytest.fixture
def monitor(session):
    made = Monitor(session.bay)
    for _ in range(3):
        made.send()
    return made


def backdate(seconds):
    """What was taken was taken so long ago."""
    for table in (BayServed, TakenInHand):
        table.objects.update(at=F("at") - timedelta(seconds=seconds))


def hand_to(fitter, session, name, ago):
    """The bay and a club go to a session, so many seconds ago; all before it as long before."""
    backdate(600)
    builds.take_in_hand(fitter, session.pk, build_id=Build.objects.get(session=session, name=name).pk)
    backdate(ago)


def test_a_shot_that_came_late_goes_to_the_customer_it_was_hit_for(fitter, session, other, monitor):
    hand_to(fitter, other, "7i", ago=5)
    late, answer = monitor.send(ago=9)
    assert (late.session_id, late.run.build.letter, late.check_club) == (session.pk, "A", "")
    assert (answer.session, answer.tray) == (other.pk, 0)
    now, _ = monitor.send(ago=1)
    assert now.session_id == other.pk


@pytest.mark.parametrize(
    ("since", "ago", "clock"), [(0.3, 0, False), (3.0, 0, False), (5.0, 6.0, True), (5.0, 4.0, True)]
)
def test_what_falls_between_two_customers_waits_with_its_reason(
    desk, fitter, session, other, monitor, since, ago, clock
):
    hand_to(fitter, other, "7i", ago=since)
    shot, answer = monitor.send(ago=ago, clock=clock)
    assert shot is None and answer.tray == 1
    (row,) = desk.get(f"/api/bays/{session.bay_id}/tray").json()["waiting"]
    assert "the bay was handed on" in row["why"] and (row["hit_at"] is not None) == clock
    # One act says whose it is.
    body = {"session": session.pk, "build": Build.objects.get(letter="A").pk, "shots": [row["id"]]}
    assert desk.post(f"/api/bays/{session.bay_id}/tray", body, content_type=JSON).json()["waiting"] == []
    assert Shot.objects.latest("pk").session_id == session.pk


def test_a_shot_of_a_visit_that_was_agreed_meanwhile_waits_and_goes_to_nobody_else(fitter, session, other, monitor):
    hand_to(fitter, other, "7i", ago=20)
    FittingSession.objects.filter(pk=session.pk).update(agreed_at=timezone.now())
    shot, answer = monitor.send(ago=25)
    assert shot is None and (answer.session, answer.tray) == (other.pk, 1)
    assert TrayShot.objects.get().why == "hit before the visit was agreed, and came after"


def test_a_clock_that_jumps_files_by_arrival_and_marks_until_it_is_known_again(fitter, session, monitor):
    backdate(1000)
    own = Build.objects.get(session=session, name="5i")
    builds.take_in_hand(fitter, session.pk, build_id=own.pk)
    backdate(60)
    filed = [monitor.send(jump=600.0)[0] for _ in range(4)]
    assert [shot.run.build_id for shot in filed] == [own.pk] * 4
    assert all("600 s off" in shot.check_club and shot.hit_at is None for shot in filed[:2])
    assert all(shot.check_club == "" and shot.hit_at is not None for shot in filed[2:])


def test_two_who_hit_in_turn_each_get_their_own_shots_by_one_key(desk, fitter, session, other, monitor):
    url, there = (f"/api/sessions/{each.pk}" for each in (session, other))
    FittingSession.objects.filter(pk=other.pk).update(in_hand=Build.objects.get(session=other, name="7i"))
    assert desk.post(f"{url}/turn").json()["type"] == "hemicycle:nobody_in_turn"
    seen = desk.put(f"{url}/partner", {"session": other.pk}, content_type=JSON).json()
    assert seen["partner"] == {"session": other.pk, "customer": "Bo Hill"} and seen["bay_is_here"]
    filed = []
    for up in (other, session, other):
        backdate(30)
        for _ in range(2):  # pressed on two screens at once it does not go there and back
            assert desk.post(f"/api/sessions/{up.pk}/turn").json()["id"] == up.pk
        backdate(10)
        filed += [monitor.send()[0], monitor.send(ago=3)[0], monitor.send(ago=20)[0]]
    assert [shot.session_id for shot in filed] == [
        other.pk, other.pk, session.pk, session.pk, session.pk, other.pk, other.pk, other.pk, session.pk,
    ]  # fmt: skip
    seen = desk.get(there).json()
    assert seen["partner"]["customer"] == "Ada Field" and seen["bay_serves"] == "Bo Hill"
    # The one who goes leaves the bay to the other; a third has it for himself.
    bays.leave_bay(FittingSession.objects.get(pk=other.pk))
    hold = BayHold.objects.get()
    assert (hold.session_id, hold.partner_id) == (session.pk, None)
    refused = desk.put(f"{url}/partner", {"session": session.pk}, content_type=JSON)
    assert refused.status_code == 400 and refused.json()["field"] == "partner"


# A club comes back to its own swing


def wedge(session, name, **more):
    return builds.add_own(session, name, typed_carry_m=90, **more)


def state(session):
    session.refresh_from_db()
    return session.length, session.intent, session.protocol


def test_a_club_that_is_taken_up_is_hit_with_its_own_swing_and_counts(fitter, session, monitor):
    lob, top = wedge(session, "60"), wedge(session, "PW")
    builds.take_in_hand(fitter, session.pk, build_id=lob.pk)
    sessions.set_run(fitter, session.pk, {"length": "comfortable", "gripped_in": 1.0})
    sessions.hit_from(fitter, session.pk, lie=Lie.ROUGH)
    builds.take_in_hand(fitter, session.pk, build_id=top.pk)
    assert state(session) == ("full", "stock", "full_swing")
    assert (session.lie, session.gripped_in) == ("rough", 0)  # from where it lies they are all hit
    sessions.hit_from(fitter, session.pk, lie=None)
    backdate(10)
    shot, _ = monitor.send()
    seen = next(each for each in shots_of(session, fitter) if each["id"] == shot.pk)
    assert seen["counts"] and seen["apart"] == ""
    builds.take_in_hand(fitter, session.pk, build_id=lob.pk)
    assert state(session) == ("comfortable", "stock", "full_swing")
    backdate(10)
    shot, _ = monitor.send()
    assert next(each for each in shots_of(session, fitter) if each["id"] == shot.pk)["counts"]
    Build.objects.filter(pk=top.pk).update(stock_swing="eased")
    builds.take_in_hand(fitter, session.pk, build_id=top.pk)
    assert state(session) == ("full", "eased", "effort")


def shots_of(session, fitter):
    client = Client()
    client.force_login(fitter)
    return client.get(f"/api/sessions/{session.pk}").json()["shots"]


def test_a_test_is_of_its_clubs_and_over_with_another(fitter, session):
    lob, top = wedge(session, "60"), wedge(session, "PW")
    a = Build.objects.get(session=session, letter="A")
    take = lambda build: builds.take_in_hand(fitter, session.pk, build_id=build.pk)  # noqa: E731
    take(lob)
    sessions.ask_for(fitter, session.pk, intent=Intent.STOCK, protocol="stop")
    sessions.set_run(fitter, session.pk, {"length": "half"})
    take(top)
    assert state(session) == ("half", "stock", "stop")
    take(a)
    assert state(session) == ("full", "stock", "full_swing")
    tasks.take_up(fitter, session.pk, build_id=lob.pk, protocol="part_swing", length="half", lie=None)
    take(top)
    assert state(session) == ("full", "stock", "part_swing")
    take(a)
    assert state(session) == ("full", "stock", "full_swing")
    tasks.take_up(fitter, session.pk, build_id=lob.pk, protocol="grooves", length="half", lie=None)
    take(a)  # no wedge of that pair
    assert state(session) == ("full", "stock", "full_swing")
    shots.run_for(session, a)


def test_the_same_head_is_asked_about_and_a_build_can_be_put_away_with_its_shots_kept(desk, session):
    build = Build.objects.get(session=session, letter="A")
    key = feed_key_of(make_key(session.bay, label="test"))
    receive(key, [FeedShot("one", {"carry_m": 160.0})])
    url = f"/api/sessions/{session.pk}/candidates"
    wanted = {"candidates": [{"head": build.head_id, "shaft": build.shaft_id}]}
    refused = desk.post(url, wanted, content_type=JSON)
    assert refused.status_code == 409 and refused.json()["type"] == "hemicycle:stands_already"
    assert refused.json()["title"].startswith("The Skerry 4H stands there already, as A.")
    longer = {
        "candidates": [{**wanted["candidates"][0], "length_m": Head.objects.get(pk=build.head_id).length_m + 0.0127}]
    }
    assert desk.post(url, longer, content_type=JSON).status_code == 201
    assert desk.post(url, {**wanted, "again": True}, content_type=JSON).status_code == 201
    away = desk.delete(f"/api/builds/{build.pk}").json()
    assert [each["letter"] for each in away["builds"] if each["letter"]] == ["B", "C"]
    assert Shot.objects.filter(run__build=build).count() == 1
