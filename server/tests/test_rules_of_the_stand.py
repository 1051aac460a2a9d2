"""Clubs, candidates and settings: what is refused and why, and that nothing hit is lost."""

import threading

import pytest
from customers.actions import add_customer
from customers.models import Customer
from demo.models import SimulatedGolfer
from django.db import connection, connections
from django.test import Client
from fitting.actions import sessions
from fitting.domain.session import load
from fitting.models import Build, Shot
from hemicycle_core.flight import Launch, fly
from live.actions import FeedShot, feed_key_of, make_key, receive
from live.models import FeedKey
from rack.models import Head, Shaft
from shop.models import AuditEntry, Bay

JSON = "application/json"


def problem(answer, status=400):
    assert answer.status_code == status, answer.content
    assert answer["Content-Type"] == "application/problem+json"
    return answer.json()


def bay_of(session):
    return Bay.objects.get(pk=session.bay_id)


@pytest.mark.parametrize(
    ("body", "field", "words"),
    [
        ({"name": "5i"}, "name", "in the bag already"),
        ({"name": "  "}, "name", "Give the club a name"),
        ({"name": "7i", "typed_carry_m": 140, "typed_total_m": 130}, "typed_total_m", "cannot be under the carry"),
        ({"name": "7i", "typed_total_m": 130}, "typed_carry_m", "type the carry too"),
        ({"name": "7i", "typed_carry_m": 700}, "typed_carry_m", "right unit"),
    ],
)
def test_a_club_that_makes_no_sense_is_refused_at_its_field(desk, session, body, field, words):
    said = problem(desk.post(f"/api/sessions/{session.pk}/clubs", body, content_type=JSON))
    assert said["field"] == field
    assert words in said["title"]
    assert Build.objects.filter(session=session, letter="").count() == 4


def put_up(desk, session, *bodies):
    """Put heads and shafts on the stand in one act."""
    body = {"candidates": bodies, "again": True}
    return desk.post(f"/api/sessions/{session.pk}/candidates", body, content_type=JSON)


def test_a_left_hander_is_not_offered_what_is_not_made(fitter, shop):
    customer = add_customer(fitter, name="Lena Left", hand="left")
    session = sessions.open_session(fitter, customer_id=customer.pk, bay_id=Bay.objects.get(shop=shop).pk)
    desk = Client()
    desk.force_login(fitter)
    head, shaft = Head.objects.get(label="9W"), Shaft.objects.get(name="Fenlark 65")
    said = problem(put_up(desk, session, {"head": head.pk, "shaft": shaft.pk}))
    assert said["title"] == "The Ostrel 9W is not made left-handed."


def test_a_shaft_that_does_not_fit_and_a_bonded_head_say_so(desk, session):
    utility, wood_shaft = Head.objects.get(label="U4"), Shaft.objects.get(name="Fenlark 65")
    said = problem(put_up(desk, session, {"head": utility.pk, "shaft": wood_shaft.pk}))
    assert "does not go into a utility" in said["title"]
    turned = {"head": utility.pk, "shaft": Shaft.objects.get(name="Wexmoor 85").pk, "set_loft_deg": 23}
    assert "is bonded and does not turn" in problem(put_up(desk, session, turned))["title"]


def test_what_cannot_be_had_or_seated_stays_off_the_stand_and_all_go_up_or_none(desk, session):
    good = {"head": Head.objects.get(label="5H").pk, "shaft": Shaft.objects.get(name="Fenlark 65 H").pk}
    gone = {"head": Head.objects.get(model="Corrie").pk, "shaft": good["shaft"]}
    assert "none in stock" in problem(put_up(desk, session, good, gone))["title"]
    Shaft.objects.filter(name="Fenlark 65").update(fits=["fairway", "hybrid"])
    thin = {"head": good["head"], "shaft": Shaft.objects.get(name="Fenlark 65").pk}
    said = problem(put_up(desk, session, thin))
    assert (said["field"], "0.335 in, the hosel 0.370 in" in said["title"]) == ("shaft", True)
    assert Build.objects.exclude(letter="").count() == 1


def test_a_letter_means_one_build_for_good_and_eight_fill_the_stand(desk, session):
    first = Build.objects.get(letter="A")
    desk.delete(f"/api/builds/{first.pk}")
    body = {"head": first.head_id, "shaft": first.shaft_id}
    letters = [put_up(desk, session, body).json()["builds"][-1]["letter"] for _ in range(7)]
    assert letters == list("BCDEFGH")
    assert problem(put_up(desk, session, body), 409)["type"] == "hemicycle:stand_full"


def test_a_club_taken_out_comes_back_with_its_shots(desk, session):
    iron = Build.objects.get(name="5i")
    key = feed_key_of(make_key(bay_of(session), label="test"))
    desk.put(f"/api/sessions/{session.pk}/in-hand", {"build": iron.pk}, content_type=JSON)
    receive(key, [FeedShot(str(n), {"carry_m": 150.0 + n}) for n in range(3)])
    gone = desk.delete(f"/api/builds/{iron.pk}").json()
    assert "5i" not in [build["name"] for build in gone["builds"]]
    assert (gone["in_hand"], Shot.objects.count()) == (None, 3)
    back = desk.post(f"/api/sessions/{session.pk}/clubs", {"name": "5 iron"}, content_type=JSON).json()
    iron_again = next(build for build in back["builds"] if build["name"] == "5i")
    assert (iron_again["id"], iron_again["kept"], iron_again["carry_from"]) == (iron.pk, 3, "hit")


def test_the_same_file_does_not_go_in_twice(desk, session):
    body = {"file_name": "a.csv", "text": "club,carry_yd\n7i,140\n7i,142\n"}
    url = f"/api/sessions/{session.pk}/import"
    assert desk.post(url, body, content_type=JSON).status_code == 201
    assert "in already" in problem(desk.post(url, body, content_type=JSON))["title"]
    assert Shot.objects.count() == 2


def test_every_change_leaves_an_entry_with_who_made_it(desk, session, fitter):
    before = AuditEntry.objects.count()
    build = Build.objects.get(letter="A")
    desk.put(f"/api/sessions/{session.pk}/gap", {"rule": "even_steps", "clubs_to_place": 1}, content_type=JSON)
    desk.put(f"/api/sessions/{session.pk}/in-hand", {"build": build.pk}, content_type=JSON)
    desk.post(f"/api/builds/{build.pk}/settings", {"set_loft_deg": 21}, content_type=JSON)
    desk.put(
        f"/api/builds/{Build.objects.get(name='5i').pk}",
        {"typed_carry_m": 150, "typed_total_m": 155, "fixed": True},
        content_type=JSON,
    )
    fixed_only = desk.put(f"/api/builds/{Build.objects.get(name='5i').pk}", {"fixed": False}, content_type=JSON).json()
    iron = next(club for club in fixed_only["builds"] if club["name"] == "5i")
    assert (iron["fixed"], iron["carry_m"], iron["total_m"]) == (False, 150, 155)
    entries = AuditEntry.objects.all()[before : before + 4]
    assert [entry.action for entry in entries] == ["gap.choose", "build.in_hand", "build.turn", "club.change"]
    assert {entry.actor_id for entry in entries} == {fitter.pk}
    assert entries[3].detail["before"]["typed_carry_m"] == pytest.approx(162 * 0.9144)


@pytest.mark.django_db(transaction=True)
def test_two_deliveries_of_one_shot_at_once_store_it_once(session):
    key = feed_key_of(make_key(bay_of(session), label="test"))
    start = threading.Barrier(6)
    accepted = []

    def deliver(number):
        start.wait()
        # Half send the same shot again, half a shot of their own: numbers must not collide either.
        shot_id = "same" if number % 2 else f"own-{number}"
        accepted.append(receive(key, [FeedShot(shot_id, {"carry_m": 160.0})]).new)
        connections.close_all()

    threads = [threading.Thread(target=deliver, args=(number,)) for number in range(6)]
    for thread in threads:
        thread.start()
    for thread in threads:
        thread.join(20)
    assert sum(accepted) == 4
    assert list(Shot.objects.values_list("number", flat=True)) == [1, 2, 3, 4]
    with connection.cursor() as cursor:
        cursor.execute("SELECT count(DISTINCT feed_id) FROM fitting_shot")
        assert cursor.fetchone() == (4,)


def test_a_key_runs_out_and_only_a_stand_in_learns_the_golfer(client, session):
    customer = Customer.objects.get(pk=session.customer_id)
    SimulatedGolfer.objects.create(shop=session.shop, customer=customer, parameters={"speed_mps": 40.0}, seed=9)

    def tee(secret):
        return client.get("/api/feed/tee", headers={"authorization": f"Bearer {secret}"})

    real, stand_in = make_key(bay_of(session), label="m"), make_key(bay_of(session), label="s", stand_in=True)
    assert tee(real).json()["golfer"] is None
    seen = tee(stand_in).json()
    assert (seen["golfer"], seen["seed"], seen["club"]["loft_deg"]) == ({"speed_mps": 40.0}, 9, 22.0)
    # A real monitor may ask with any club in hand, a putter too.
    Build.objects.filter(pk=session.in_hand_id).update(head_type="putter", set_loft_deg=3.0, length_m=0.86)
    assert tee(real).json()["club"]["head_type"] == "putter"
    assert real not in str(FeedKey.objects.values())
    old = make_key(bay_of(session), label="old", hours=-1)
    assert problem(tee(old), 401)["type"] == "hemicycle:sign_in"


def test_the_flight_on_the_bench_ends_where_the_shots_landed(desk, session):
    key = feed_key_of(make_key(bay_of(session), label="test"))
    flown = fly(Launch(54.0, 15.0, 4600))
    readings = {"ball_speed_mps": 54.0, "launch_deg": 15.0, "spin_rpm": 4600.0, "offline_m": 2.0}
    measured = {**readings, "carry_m": float(flown.carry_m[0]) + 6, "peak_m": float(flown.peak_m[0]) - 2}
    receive(key, [FeedShot(str(n), {**measured, "offline_m": 2.0 + n}) for n in range(4)])
    bench = desk.get(f"/api/sessions/{session.pk}/bench").json()
    line = bench["lines"][0]
    assert line["path"][-1] == pytest.approx([measured["carry_m"], 0], abs=0.3)
    assert max(height for _, height in line["path"]) == pytest.approx(measured["peak_m"], abs=0.2)
    assert line["pattern"]["offline_m"] == pytest.approx(3.5)
    assert [line["name"] for line in bench["neighbours"]] == ["5W", "5i"]


ONE_SHAFT = "To tell heads apart, hit them with one shaft."


def test_the_stand_lists_what_else_differs_between_two_builds(desk, session):
    wood, shaft = Head.objects.get(label="9W"), Shaft.objects.get(name="Fenlark 75")
    said = put_up(desk, session, {"head": wood.pk, "shaft": shaft.pk}).json()["bag"]["stand"]
    assert said == [ONE_SHAFT, "B is 1.5 in longer than A; B’s shaft is 10 g heavier than A’s; A is R flex, B S."]


def test_a_candidate_is_judged_for_the_slot_it_is_nearest_to(desk, session):
    desk.put(f"/api/sessions/{session.pk}/gap", {"rule": "roll_out", "clubs_to_place": 2}, content_type=JSON)
    session.refresh_from_db()
    loaded = load(session)
    near = loaded.work.layout.slots[1].target_m
    key = feed_key_of(make_key(bay_of(session), label="test"))
    receive(key, [FeedShot(str(n), {"carry_m": near + n - 1}) for n in range(3)])
    seen = desk.get(f"/api/sessions/{session.pk}").json()
    assert seen["verdicts"][0]["slot"] == 1


def test_a_file_of_forty_megabytes_is_refused_in_words_and_changes_nothing(desk, session):
    text = "club,carry_m\n" + "7i,140\n" * (40_000_000 // 7)
    said = problem(desk.post(f"/api/sessions/{session.pk}/import", {"file_name": "a.csv", "text": text}, JSON), 413)
    assert said["title"].startswith("The file is over 4 MB")
    assert not session.imports.exists()


@pytest.mark.parametrize(
    ("method", "url", "body", "status"),
    [
        ("get", "/api/sessions/999999", "", 404),
        ("get", "/api/nothing", "", 404),
        ("delete", "/api/customers", "", 405),
        ("post", "/api/customers", "{not json", 400),
        ("post", "/api/customers", '{"hand": "right"}', 400),
        ("post", "/api/customers", '{"name": "A", "hand": "both"}', 400),
    ],
)
def test_every_error_has_one_shape(desk, method, url, body, status):
    said = problem(desk.generic(method.upper(), url, body, content_type=JSON), status)
    assert set(said) == {"type", "title", "said", "status", "field"}
    assert said["status"] == status
    assert len(said["title"]) > 10


def test_a_wedge_that_goes_by_its_loft_has_it_and_one_too_close_to_another_is_said(desk, session):
    for name, carry in (("GW", 82), ("54 wedge", 81)):
        desk.post(f"/api/sessions/{session.pk}/clubs", {"name": name, "typed_carry_m": carry}, content_type=JSON)
    wedge = Build.objects.get(session=session, name="54°")
    assert (wedge.set_loft_deg, wedge.head_type) == (54, "wedge")
    seen = desk.get(f"/api/sessions/{session.pk}").json()["bag"]
    assert any(remark["sentence"].startswith("54° and GW are 1 yd apart") for remark in seen["remarks"])
