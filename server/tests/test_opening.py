"""A shop of one's own: opened once, beside the demo, and nothing of one is seen in the other."""

import io
import json
from datetime import timedelta

import pytest
from common.policy import Role
from common.problems import Refused
from conftest import both
from customers.models import Customer
from demo.load import _person
from django.core.management import CommandError, call_command
from django.db.models import F
from django.test import Client
from fitting.models import BayHold, BayServed, Build, FittingSession, TakenInHand
from live.actions import FeedShot, make_key, receive
from live.models import FeedKey, TrayShot
from rack.models import Head
from shop.models import AuditEntry, Bay, Shop, User
from shop.sign_ins import still_signed_in

JSON = "application/json"
CODE = "as the start command shows it"
WANTED = {
    "name": "Westmark  Fitting", "city": "Dunmarrow", "currency": "eur", "ground": "firm", "owner": "Ines Moor",
    "username": "Ines", "password": "nobody guesses this", "code": CODE,
    "bays": [
        {"name": "Net", "indoor": True, "models_flight": True, "shots_by": "typed"},
        {"name": "Range", "indoor": False, "shots_by": "feed"},
    ],
}  # fmt: skip


@pytest.fixture(autouse=True)
def _code(settings):
    settings.OPENING = CODE


@pytest.fixture
def demo(shop, fitter):
    """The shop of the tests as the demo, with somebody who looks at it."""
    Shop.objects.filter(pk=shop.pk).update(demo=True, name="Made Up")
    return fitter


def opened(client, status=201, **over):
    answer = client.post("/api/opening", json.dumps({**WANTED, **over}), content_type=JSON)
    assert answer.status_code == status, answer.content
    return answer.json()


def test_the_shop_is_opened_with_the_code_and_its_owner_is_signed_in(db):
    client = Client()
    assert client.get("/api/me").json()["can_open"] is True
    assert client.get("/api/opening").json() == {"possible": True, "allowed": False}
    assert opened(client, 403, code="guessed")["type"] == "hemicycle:not_allowed"
    me = opened(client)
    assert (me["shop"], me["name"], me["role"], me["currency"], me["demo"], me["can_open"]) == (
        "Westmark Fitting", "Ines Moor", "owner", "EUR", False, False,
    )  # fmt: skip
    assert [(bay["name"], bay["shots_by"]) for bay in me["bays"]] == [("Net", "typed"), ("Range", "feed")]
    net, grass = Bay.objects.order_by("name")
    assert (net.surface, net.models_flight, grass.surface, grass.models_flight) == ("mat", True, "grass tee", False)
    assert client.get("/api/me").json()["username"] == "ines"
    assert User.objects.get().check_password("nobody guesses this")
    assert AuditEntry.objects.get().action == "shop.open"
    # A new customer's brief begins on the shop's ground.
    ada = client.post("/api/customers", {"name": "Ada"}, content_type=JSON).json()["id"]
    session = client.post("/api/sessions", {"customer": ada, "bay": net.pk}, content_type=JSON).json()
    assert session["brief"]["firmness"] == "firm"
    # Once, whoever asks.
    assert opened(Client(), 409)["type"] == "hemicycle:open_already"


@pytest.mark.parametrize(
    ("over", "field"),
    [
        ({"name": " "}, "name"),
        ({"currency": "E1"}, "currency"),
        ({"owner": ""}, "owner"),
        ({"username": "two words"}, "username"),
        ({"password": "short"}, "password"),
        ({"bays": []}, "bays"),
        ({"bays": [{"name": "Net"}, {"name": " net"}]}, "bays"),
        ({"ground": "bog"}, "ground"),
    ],
)
def test_what_cannot_be_is_named_and_nothing_is_made(db, over, field):
    assert opened(Client(), 400, **over)["field"] == field
    assert not Shop.objects.exists()
    assert not User.objects.exists()


@pytest.mark.django_db(transaction=True)
def test_two_who_open_at_once_open_one_shop():
    seen = []
    both(*[lambda: seen.append(Client().post("/api/opening", json.dumps(WANTED), content_type=JSON).status_code)] * 2)
    assert sorted(seen) == [201, 409]
    assert (Shop.objects.count(), User.objects.count()) == (1, 1)


def test_demo_and_own_shop_stand_side_by_side_and_see_nothing_of_each_other(demo, session):
    looking, mine = Client(), Client()
    looking.force_login(demo)
    assert looking.get("/api/me").json()["can_open"] is True
    assert looking.get("/api/opening").json() == {"possible": True, "allowed": True}
    # Whoever looks at the demo needs no code; its own sign-in ends with that.
    opened(looking, code="")
    mine.force_login(User.objects.get(username="ines"))
    assert looking.get("/api/me").json()["username"] == "ines"
    demos = Client()
    demos.force_login(demo)
    assert demos.get("/api/me").json()["can_open"] is False
    ada = mine.post("/api/customers", {"name": "Real Person"}, content_type=JSON).json()["id"]
    (net,) = [bay["id"] for bay in mine.get("/api/me").json()["bays"] if bay["name"] == "Net"]
    mine.post("/api/rack/usual", {"kinds": ["hybrid"]}, content_type=JSON)
    real = mine.post("/api/sessions", {"customer": ada, "bay": net}, content_type=JSON).json()["id"]
    for client, theirs, others in ((mine, real, session.pk), (demos, session.pk, real)):
        seen = "".join(
            client.get(f"/api/{each}").content.decode()
            for each in ("me", "sessions", "customers", "rack", "shop", "checks-due", f"sessions/{theirs}")
        )
        for word in ("Real Person", "Westmark", "4H") if client is demos else ("Ada Field", "Made Up", "Skerry"):
            assert (word in seen) == (word == "4H"), word
        for each in ("", "/bench", "/pad", "/plans", "/handover"):
            assert client.get(f"/api/sessions/{others}{each}").status_code == 404
    # One name signs in to one of the two, wherever it was given first.
    assert opened(Client(), 409, username="fitter")["type"] == "hemicycle:open_already"


def test_usual_lofts_fill_a_rack_without_names_or_prices_and_leave_what_is_there(boss, desk, session):
    before = Head.objects.count()
    assert desk.post("/api/rack/usual", {"kinds": ["hybrid"]}, content_type=JSON).status_code == 403
    assert boss.post("/api/rack/usual", {"kinds": ["putter"]}, content_type=JSON).json()["field"] == "kinds"
    for _ in range(2):  # said again, nothing is there twice
        rack = boss.post("/api/rack/usual", {"kinds": ["hybrid", "wedge"]}, content_type=JSON).json()
    fresh = [head for head in rack["heads"] if head["maker"] == ""]
    assert len(rack["heads"]) == before + len(fresh)
    assert [head["label"] for head in fresh if head["head_type"] == "hybrid"] == ["2H", "3H", "4H", "5H", "6H"]
    assert all(head["shafts"] and float(head["price"]) == 0 for head in fresh)
    # One of them is handed out like any head, and written out and read again.
    four = next(head for head in fresh if head["label"] == "4H")
    put = {"candidates": [{"head": four["id"], "shaft": four["shafts"][0]}]}
    body = desk.post(f"/api/sessions/{session.pk}/candidates", put, content_type=JSON).json()
    new = body["builds"][-1]
    assert (new["name"], new["price"]) == ("4H 22°", None)
    text = boss.get("/api/rack/heads.csv").content.decode()
    looked = boss.post("/api/rack/file", {"what": "heads", "text": text, "only_look": False}, content_type=JSON).json()
    assert (looked["problems"], looked["added"], looked["changed"]) == ([], 0, 0)


def test_a_try_out_has_a_hole_is_hit_by_the_stand_in_and_is_thrown_away(desk, boss, shop, fitter, session):
    bay = Bay.objects.get()
    answer = desk.post("/api/try-outs", {"bay": bay.pk}, content_type=JSON)
    tried = answer.json()
    assert answer.status_code == 201
    assert tried["customer"]["try_out"] is True
    assert tried["bag"]["gaps"], tried["bag"]["headline"]
    customer = Customer.objects.get(try_out=True)
    club = next(each for each in tried["builds"] if each["name"] == "6i")["id"]
    make_key(bay, label="stand-in", stand_in=True)
    key = FeedKey.objects.get()
    desk.put(f"/api/sessions/{tried['id']}/in-hand", {"build": club}, content_type=JSON)
    BayServed.objects.update(at=F("at") - timedelta(minutes=5))
    TakenInHand.objects.update(at=F("at") - timedelta(minutes=5))
    assert receive(key, [FeedShot("one", {"carry_m": 150.0})]).new == 1
    assert FittingSession.objects.get(pk=tried["id"]).shots.count() == 1
    # A real player's session refuses the stand-in, and nothing of it is kept.
    real = Build.objects.get(letter="A").pk
    desk.put(f"/api/sessions/{session.pk}/in-hand", {"build": real}, content_type=JSON)
    with pytest.raises(Refused, match="try-out only"):
        receive(key, [FeedShot("two", {"carry_m": 150.0})])
    assert session.shots.count() == 0
    # Nor does it wait in a tray that a real player's shots are taken from.
    BayHold.objects.all().delete()
    BayServed.objects.all().delete()
    with pytest.raises(Refused, match="serves no try-out"):
        receive(key, [FeedShot("three", {"carry_m": 150.0})])
    assert not TrayShot.objects.exists()
    # It is nobody for good: neither called otherwise nor merged, whichever way round.
    put = {"name": "Real Person", "hand": "right"}
    assert desk.put(f"/api/customers/{customer.pk}", put, content_type=JSON).json()["type"] == "hemicycle:try_out"
    for kept, other in ((customer.pk, session.customer_id), (session.customer_id, customer.pk)):
        merged = desk.post(f"/api/customers/{kept}/merge", {"other": other}, content_type=JSON)
        assert merged.json()["type"] == "hemicycle:try_out"
    # A customer is not thrown away, a try-out is, by any fitter, and is off the desk.
    assert desk.delete(f"/api/try-outs/{session.customer_id}").status_code == 409
    assert desk.delete(f"/api/try-outs/{customer.pk}").status_code == 204
    assert [line["id"] for line in desk.get("/api/sessions").json()["results"]] == [session.pk]
    assert "Try-out" not in desk.get("/api/customers").content.decode()


def test_the_pad_hands_a_club_types_a_shot_and_takes_it_back(desk, session):
    def send(method, address, body=None, status=200):
        answer = desk.generic(method, f"/api/{address}", json.dumps(body or {}), content_type=JSON)
        assert answer.status_code == status, answer.content
        return answer.json()

    pad, real = f"sessions/{session.pk}/pad", Build.objects.get(letter="A").pk
    handed = send("PUT", f"{pad}/in-hand", {"build": real})
    assert (handed["in_hand"], handed["shots"]) == (real, [])
    for carry in (150.0, 154.0):
        typed = send("POST", pad, {"build": real, "carry_m": carry}, 201)
    (first, second) = typed["shots"]
    # The same figures as the Bay has.
    bay = desk.get(f"/api/sessions/{session.pk}").json()
    club = next(each for each in bay["builds"] if each["id"] == real)
    on_pad = next(each for each in typed["clubs"] if each["id"] == real)
    assert on_pad == {key: club[key] for key in on_pad}
    assert first["typed"] and first["readings"]["carry_m"] == 150.0
    assert send("PATCH", f"shots/{second['id']}/pad", {"strike": "thin"})["shots"][1]["strike"] == "thin"
    assert send("PATCH", f"shots/{second['id']}/pad", {"aside": True})["shots"][1]["aside"] is True
    assert send("PATCH", f"shots/{second['id']}/pad", {}, 400)["field"] == "strike"  # nothing said changes nothing
    assert send("DELETE", pad)["shots"][1]["aside"] is False
    assert FittingSession.objects.get(pk=session.pk).shots.count() == 2


def test_starting_with_a_shop_of_ones_own_loads_no_demo_and_a_new_demo_never_takes_its_place(db, monkeypatch):
    def start(*words):
        said = io.StringIO()
        call_command("demo", *words, stdout=said)
        return json.loads(said.getvalue())

    assert start("--own") == {"demo": "", "own": False, "known": False}
    assert not Shop.objects.exists()
    opened(Client(), username="fitter")
    assert start() == {"demo": "", "own": True, "known": True}
    with pytest.raises(CommandError, match="Westmark Fitting is kept here"):
        start("--fresh")
    assert Shop.objects.get().name == "Westmark Fitting"
    # The demo beside it takes the name that is left.
    made = _person(Shop.objects.create(name="Made Up", demo=True), "fitter", "Rowan Ashby", Role.FITTER, "known here")
    assert made.username == "demo-fitter"
    monkeypatch.setenv("HEMICYCLE_DEMO_PASSWORD", "known here")
    assert start() == {"demo": "demo-fitter", "own": True, "known": True}


def test_whoever_becomes_an_assistant_hears_no_session_any_more(desk, fitter):
    key = desk.session.session_key
    assert still_signed_in(key, fitter.pk)
    User.objects.filter(pk=fitter.pk).update(role=Role.ASSISTANT.value)
    assert not still_signed_in(key, fitter.pk)
    assert desk.get("/api/me").json()["role"] == "assistant"
