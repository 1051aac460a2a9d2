"""People and sign-ins, the trail of acts, and a customer's own data."""

import csv
import io
import json
import threading
import time
import zipfile
from datetime import timedelta

import pytest
from conftest import PASSWORD, person, sole_test
from customers.actions import add_customer, edit_customer
from customers.models import Customer
from django.contrib.auth.hashers import ScryptPasswordHasher, make_password
from django.db import DatabaseError, connection, transaction
from django.test import Client
from django.utils import timezone
from fitting.actions import builds, sessions, sole_setup, soles
from fitting.actions.brief import write_brief
from fitting.actions.hand_out import note_of_course
from fitting.models import FittingSession, ShotImport
from handover.erasing import ERASED, erase_unseen
from hemicycle_core.formats.bundle import read_bundle
from hemicycle_core.protocols.sole.ask import AfterShots
from live.actions import make_key
from rack.models import Head
from shop.models import AuditEntry, User
from shop.sign_ins import SEEN, still_signed_in

JSON = "application/json"


def signed_in(user):
    client = Client()
    client.force_login(user)
    return client


def sign_in(username, password, **extra):
    client = Client(**extra)
    answer = client.post("/api/sign-in", {"username": username, "password": password}, content_type=JSON)
    return client, answer.status_code


def test_the_owner_adds_disables_and_resets_and_a_shop_keeps_an_owner(boss, owner):
    made = boss.post("/api/people", {"username": "Wren", "name": "Wren Dale"}, content_type=JSON).json()
    wren, status = sign_in("wren", made["password"])
    assert status == 200
    row = next(each for each in made["people"] if each["username"] == "wren")
    reset = boss.post(f"/api/people/{row['id']}", content_type=JSON).json()
    assert wren.get("/api/me").json()["signed_in"] is False
    again, status = sign_in("wren", reset["password"])
    assert status == 200
    off = {"name": "Wren Dale", "role": "fitter", "active": False}
    boss.put(f"/api/people/{row['id']}", off, content_type=JSON)
    assert again.get("/api/sessions").status_code == 401
    assert sign_in("wren", reset["password"])[1] == 400
    alone = boss.put(
        f"/api/people/{owner.pk}", {"name": "Petra Lind", "role": "fitter", "active": True}, content_type=JSON
    )
    assert (alone.status_code, alone.json()["type"]) == (409, "hemicycle:last_owner")


def test_a_password_of_ones_own_ends_the_other_sign_ins_and_so_does_ending_them(fitter):
    here, there = signed_in(fitter), signed_in(fitter)
    body = {"old": "wrong", "new": "a longer one than before"}
    assert here.put("/api/me/password", body, content_type=JSON).json()["field"] == "old"
    assert here.put("/api/me/password", {"old": PASSWORD, "new": "short"}, content_type=JSON).json()["field"] == "new"
    assert here.put("/api/me/password", {**body, "old": PASSWORD}, content_type=JSON).status_code == 204
    assert here.get("/api/me").json()["signed_in"] is True
    assert there.get("/api/me").json()["signed_in"] is False
    there = signed_in(User.objects.get(pk=fitter.pk))
    assert here.delete("/api/me/other-sign-ins").status_code == 204
    assert (here.get("/api/sessions").status_code, there.get("/api/sessions").status_code) == (200, 401)


def test_a_sign_in_ends_after_the_shops_idle_time_and_its_stream_with_it(boss, fitter):
    rules = {"idle_minutes": 30, "keep_years": 0}
    assert boss.put("/api/shop/rules", rules, content_type=JSON).json()["idle_minutes"] == 30
    client = signed_in(User.objects.get(pk=fitter.pk))
    assert client.get("/api/sessions").status_code == 200
    key = client.session.session_key
    assert still_signed_in(key, fitter.pk)
    store = client.session
    store[SEEN] -= 31 * 60
    store.save()
    assert not still_signed_in(key, fitter.pk)
    assert client.get("/api/sessions").status_code == 401
    assert client.get("/api/me").json()["signed_in"] is False


def test_wrong_tries_from_elsewhere_lock_nobody_out_and_a_forged_header_wins_none(fitter, settings):
    settings.AXES_FAILURE_LIMIT = 3
    for number in range(6):
        forged = {"HTTP_X_FORWARDED_FOR": f"10.0.0.{number}", "REMOTE_ADDR": "203.0.113.9"}
        client, status = sign_in("fitter", "wrong", **forged)
    assert status == 429
    again = client.post("/api/sign-in", {"username": "fitter", "password": PASSWORD}, content_type=JSON, **forged)
    assert (again.status_code, again.json()["type"]) == (429, "hemicycle:locked_out")
    assert sign_in("fitter", PASSWORD, REMOTE_ADDR="198.51.100.4")[1] == 200
    assert sign_in("x" * 5000, "y" * 5000)[1] == 400


def test_the_trail_is_read_by_the_owner_and_filtered_by_person_customer_and_session(boss, owner, fitter, session):
    other = add_customer(owner, name="Bo Hill", hand="right")
    every = boss.get("/api/trail").json()
    first = boss.get("/api/trail", {"size": 3}).json()
    second = boss.get(first["next"]).json()
    assert [*first["results"], *second["results"]] == every["results"][:6] and len(second["results"]) == 3
    assert every["results"][0]["sentence"] == "owner added a customer."

    def told(**query):
        return [row["sentence"] for row in boss.get("/api/trail", query).json()["results"]]

    assert told(customer=other.pk) == ["owner added a customer."]
    assert told(person=owner.pk) == ["owner added a customer."]
    assert told(session=session.pk)[-1] == "fitter opened the visit."
    assert boss.get("/api/trail", {"person": "x"}).json()["field"] == "person"
    assert "Bo Hill" not in json.dumps(every)


@pytest.mark.parametrize("statement", ["UPDATE shop_auditentry SET action = 'x'", "DELETE FROM shop_auditentry"])
def test_the_database_refuses_to_change_the_trail(session, statement):
    with pytest.raises(DatabaseError), transaction.atomic(), connection.cursor() as cursor:
        cursor.execute(statement)


@pytest.fixture
def agreed(desk, fitter, session):
    """A visit with everything that may name a person, agreed, and an open one after it."""
    edit_customer(
        fitter, session.customer_id, name="Ada Field", hand="right", birth_year=1970, email="ada@field.example",
        notes="=HYPERLINK(1)",
    )  # fmt: skip
    write_brief(fitter, session.pk, {"notes": "Ada has a sore wrist", "pain": True})
    file = {
        "file_name": "ada-field.csv",
        "text": "player,club,carry_m\nAda Field,=7i of hers,131\nAda Field,=7i of hers,133\n",
    }
    answer = desk.post(f"/api/sessions/{session.pk}/import", file, content_type=JSON)
    assert answer.status_code == 201, answer.content
    test = sole_setup.set_up(fitter, session.pk, sole_test(Head.objects.filter(label__startswith="58")))
    soles.say_of(fitter, test.pk, code=0, place="pitch", said=AfterShots(sound="Ada: dull"))
    soles.reveal(fitter, test.pk, early=True)
    today = timezone.localdate()
    note_of_course(fitter, test.pk, played_on=today, code=0, place="", word="Ada liked it", first=True)
    reasons = {"builds": [], "reasons": "Ada likes hers.", "lost": [{"letter": "A", "name": "4H", "why": "Ada: no."}]}
    assert desk.post(f"/api/sessions/{session.pk}/handover", reasons, content_type=JSON).status_code == 201
    later = sessions.open_session(fitter, customer_id=session.customer_id, bay_id=session.bay_id)
    write_brief(fitter, later.pk, {"notes": "Ada again"})
    return session


def test_two_customers_who_are_one_are_merged_and_parted_again(desk, fitter, session, agreed, stranger):
    twin = add_customer(fitter, name="A. Field", hand="right")
    first = sessions.open_session(fitter, customer_id=twin.pk, bay_id=session.bay_id)
    url = f"/api/customers/{session.customer_id}"
    whole = desk.post(f"{url}/merge", {"other": twin.pk}, content_type=JSON).json()
    assert {line["id"] for line in whole["visits"]} == {*FittingSession.objects.values_list("pk", flat=True)}
    assert [line["name"] for line in whole["merged"]] == ["A. Field"]
    assert [row["name"] for row in desk.get("/api/customers").json()] == ["Ada Field"]
    assert desk.post(f"{url}/merge", {"other": twin.pk}, content_type=JSON).json()["type"] == "hemicycle:merged"
    assert desk.post(f"{url}/merge", {"other": session.customer_id}, content_type=JSON).status_code == 400
    # The next visit begins where the person left off, under whichever number that was.
    builds.add_club(fitter, first.pk, name="9i", typed_carry_m=120)
    FittingSession.objects.filter(pk=first.pk).update(held_on=timezone.localdate() + timedelta(days=1))
    following = sessions.open_session(fitter, customer_id=session.customer_id, bay_id=session.bay_id)
    assert following.builds.filter(name="9i").exists()
    assert desk.delete(f"/api/customers/{twin.pk}/merge").json()["visits"][0]["id"] == first.pk
    assert len(desk.get("/api/customers").json()) == 2


def test_everything_of_a_customer_is_exported_and_reads_back(desk, session, agreed):
    answer = desk.get(f"/api/customers/{session.customer_id}/export")
    assert answer["Content-Disposition"] == 'attachment; filename="ada-field.zip"'
    packed = zipfile.ZipFile(io.BytesIO(answer.content))
    assert json.loads(packed.read("person.json"))["notes"] == "=HYPERLINK(1)"  # kept as it was written
    rows = list(csv.DictReader(io.StringIO(packed.read("shots.csv").decode())))
    assert [float(row["carry_m"]) for row in rows] == [131, 133]
    assert rows[0]["club"] == "'=7i of hers"  # and harmless where a spreadsheet opens it
    visits = [name for name in packed.namelist() if "-visit-" in name]
    assert len(visits) == 2
    bundle = json.loads(packed.read(next(name for name in visits if f"-{session.pk}." in name)))
    assert read_bundle(bundle).own[0].shots[0].values["carry_m"] == 131
    page = packed.read("page.html").decode()
    assert "Ada likes hers." in page
    assert "<h1>Ada Field</h1>" in page


def test_customers_not_seen_for_as_long_as_the_shop_keeps_them_are_erased(shop, fitter, session, agreed):
    today = timezone.localdate()
    gone = add_customer(fitter, name="Long Gone", hand="left")
    Customer.objects.update(created_at=timezone.now() - timedelta(days=3000))
    assert erase_unseen(shop, today) == 0
    shop.keep_years = 5
    assert erase_unseen(shop, today) == 1
    assert Customer.objects.get(pk=gone.pk).name == ERASED
    assert Customer.objects.get(pk=session.customer_id).name == "Ada Field"
    assert AuditEntry.objects.order_by("-id").first().action == "customer.erase"


def test_keys_of_a_bay_are_listed_run_out_and_are_revoked(boss, desk, shop, session, client):
    url = f"/api/bays/{session.bay_id}/keys"
    made = boss.post(url, {"label": "Radar", "days": 30}, content_type=JSON).json()
    assert [(key["label"], key["last_used_at"]) for key in made["keys"]] == [("Radar", None)]

    def send(key):
        body = {"shots": [{"id": key[:8], "readings": {"carry_m": 150.0}}]}
        headers = {"Authorization": f"Bearer {key}"}
        return client.post("/api/feed/shots", body, content_type=JSON, headers=headers).status_code

    assert send(made["made"]) == 200
    (key,) = desk.get(url).json()["keys"]
    assert key["last_used_at"] is not None
    assert boss.delete(f"/api/keys/{key['id']}").json()["keys"] == []
    assert send(made["made"]) == 401
    assert send(make_key(session.bay, label="old", hours=-1)) == 401
    assert boss.post(url, {"label": "", "days": 30}, content_type=JSON).json()["field"] == "label"
    assert ShotImport.objects.count() == 0


def test_ones_keys_are_kept_by_person(desk, fitter, owner):
    mine = {"off": False, "changed": {"aside": "x", "thin": ""}}
    assert desk.put("/api/me/keys", mine, content_type=JSON).json() == mine
    assert desk.get("/api/me").json()["keys"] == mine
    assert signed_in(owner).get("/api/me").json()["keys"] == {"off": False, "changed": {}}
    twice = {"off": False, "changed": {"aside": "x", "thin": "x"}}
    assert desk.put("/api/me/keys", twice, content_type=JSON).json()["field"] == "changed"
    assert person(fitter.shop, "third").keys == {}


def test_everyone_reads_in_units_of_their_own_and_what_is_sent_is_the_same(desk, boss, session):
    usual = {"far": "yd", "high": "ft", "speed": "mph", "warmth": "c", "club_length": "in"}
    metric = {"far": "m", "high": "m", "speed": "kmh", "warmth": "c", "club_length": "mm"}
    before = desk.get(f"/api/sessions/{session.pk}").json()
    assert desk.get("/api/me").json()["units"] == usual
    assert desk.put("/api/me/units", metric, content_type=JSON).json() == metric
    assert desk.get("/api/me").json()["units"] == metric
    assert boss.get("/api/me").json()["units"] == usual
    assert desk.get(f"/api/sessions/{session.pk}").json() == before
    assert desk.put("/api/me/units", {"far": "m", "speed": "knots"}, content_type=JSON).json()["field"] == "speed"
    assert desk.get("/api/me").json()["units"] == metric


def test_passwords_are_hashed_one_at_a_time_and_hold_no_connection(monkeypatch, settings):
    settings.PASSWORD_HASHERS = ["shop.hashing.OneAtATime"]
    at_work, most, held = [], [], []

    def slow(_self, password, salt, *_cost, **_more):
        at_work.append(password)
        most.append(len(at_work))
        held.append(connection.connection)
        time.sleep(0.02)
        at_work.remove(password)
        return f"scrypt$1${salt}$8$1$hash"

    monkeypatch.setattr(ScryptPasswordHasher, "encode", slow)
    threads = [threading.Thread(target=make_password, args=(f"{number}",)) for number in range(12)]
    for thread in threads:
        thread.start()
    for thread in threads:
        thread.join()
    assert (most, held) == ([1] * 12, [None] * 12)


@pytest.mark.parametrize(
    ("state", "status", "kind"), [("40P01", 503, "busy"), ("53100", 507, "full"), ("57P01", 503, "away")]
)
def test_what_the_database_says_is_said_as_what_it_is(desk, state, status, kind):
    """A deadlock is tried again, a full disk waits for room, and neither is called a database that is away."""
    with connection.cursor() as cursor:
        cursor.execute(
            "CREATE FUNCTION said() RETURNS trigger LANGUAGE plpgsql AS "
            f"$$ BEGIN RAISE EXCEPTION 'x' USING ERRCODE = '{state}'; END $$;"
            "CREATE TRIGGER said BEFORE INSERT ON customers_customer FOR EACH ROW EXECUTE FUNCTION said()"
        )
    answer = desk.post("/api/customers", {"name": "Bo Hill", "hand": "right"}, content_type=JSON)
    assert (answer.status_code, answer.json()["type"]) == (status, f"hemicycle:{kind}")
