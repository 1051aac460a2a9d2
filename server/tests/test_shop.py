"""What an owner sets for the shop, and what it does to verdicts."""

import io
import json
import os
import time

import pytest
from demo.load import hit
from django.core.management import call_command
from django.test import Client
from fitting.domain.session import load
from fitting.models import Build, FittingSession
from hemicycle_core.simulation.golfer import Player, Swinging
from shop.models import Bay, Shop

JSON = "application/json"


@pytest.fixture
def office(owner):
    client = Client(headers={"Prefer": "words"})
    client.force_login(owner)
    return client


def test_every_threshold_has_its_reason_and_a_strict_shop_is_not_so_soon_sure(office, session):
    said = office.get("/api/shop").json()
    assert all(len(each["why"]) > 15 and each["low"] <= each["value"] <= each["high"] for each in said["thresholds"])
    build = Build.objects.get(letter="A")
    hit(session, build, Swinging(Player(speed_mps=37.4, attack_deg=-2, lean_deg=4, misses={}), seed=5), 12)

    def kind():
        return load(FittingSession.objects.get(pk=session.pk)).decision.verdicts[0].kind

    before = kind()
    assert before.startswith("fills")
    office.put("/api/shop", {"values": {"likely": 0.9, "sure": 0.99}}, content_type=JSON)
    assert Shop.objects.get(pk=session.shop_id).thresholds.keys() == {"likely", "sure"}
    assert kind() != before
    FittingSession.objects.filter(pk=session.pk).update(thresholds={})
    assert kind() == before  # as it was when it was agreed
    usual = {each["key"]: each["usual"] for each in said["thresholds"]}
    office.put("/api/shop", {"values": usual}, content_type=JSON)
    assert Shop.objects.get(pk=session.shop_id).thresholds == {}


@pytest.mark.parametrize(
    ("values", "field"), [({"sure": 1.5}, "sure"), ({"mood": 1}, "mood"), ({"likely": 0.9, "sure": 0.6}, "likely")]
)
def test_a_threshold_that_makes_no_sense_is_refused(office, shop, values, field):
    answer = office.put("/api/shop", {"values": values}, content_type=JSON)
    assert (answer.status_code, answer.json()["field"]) == (400, field)
    assert Shop.objects.get(pk=shop.pk).thresholds == {}


def test_a_bay_says_whether_its_monitor_measures_flight(office, shop):
    bay = Bay.objects.get(shop=shop)
    body = {"models_flight": True, "altitude_m": 500, "temperature_c": 21}
    (row,) = office.put(f"/api/bays/{bay.pk}", body, content_type=JSON).json()["bays"]
    assert (row["models_flight"], row["altitude_m"]) == (True, 500)
    body["temperature_c"] = 400
    assert office.put(f"/api/bays/{bay.pk}", body, content_type=JSON).status_code == 400


def test_the_oldest_backups_go_those_of_each_kind_by_themselves(db, tmp_path):
    """What a restore put aside pushes no daily one out, nor the newest of all; other names are not ours."""

    def file(name, age):
        (tmp_path / name).touch()
        os.utime(tmp_path / name, (0, time.time() - age))
        return name

    for day in range(4):
        file(f"2026-11-2{day}-030000.hemicycle", 9000 - day)
    aside = [file(f"before-2026-11-30-0{hour}0000.hemicycle", 10_000 - hour) for hour in range(7)]
    mine = file("keep me.hemicycle", 99_999)
    call_command("backup", str(tmp_path), keep=2, stdout=io.StringIO())
    left = {path.name for path in tmp_path.glob("*.hemicycle")}
    daily = sorted(name for name in left if name[0] == "2")
    assert (len(daily), daily[0]) == (2, "2026-11-23-030000.hemicycle")
    assert left - set(daily) == {*aside[-5:], mine}


def test_an_owner_names_the_shop_and_adds_renames_and_closes_bays(boss, desk, session):
    def send(method, url, body, status=200, client=boss):
        answer = client.generic(method, f"/api/{url}", data=json.dumps(body), content_type=JSON)
        assert answer.status_code == status, answer.content
        return answer.json()

    assert send("PUT", "shop/name", {"name": "x", "city": ""}, 403, desk)["type"] == "hemicycle:not_allowed"
    named = send("PUT", "shop/name", {"name": "  Westmark   Fitting ", "city": "Dunmarrow"})
    assert (named["name"], named["city"]) == ("Westmark Fitting", "Dunmarrow")
    assert desk.get("/api/me").json()["shop"] == "Westmark Fitting"
    assert desk.get(f"/api/sessions/{session.pk}/handover").json()["shop"] == "Westmark Fitting"
    (first,) = boss.get("/api/shop").json()["bays"]
    assert "last open bay" in send("PATCH", f"bays/{first['id']}", {"closed": True}, 400)["title"]
    added = send("POST", "bays", {"name": "Bay 2", "indoor": False}, 201)["bays"][1]
    assert (added["surface"], added["indoor"], added["closed"]) == ("grass tee", False, False)
    assert send("POST", "bays", {"name": "bay 2", "indoor": True}, 400)["field"] == "name"
    send("PATCH", f"bays/{added['id']}", {"name": "Left"})
    send("PATCH", f"bays/{first['id']}", {"closed": True})
    assert [bay["name"] for bay in desk.get("/api/me").json()["bays"]] == ["Left"]
    visit = {"customer": session.customer_id, "bay": first["id"]}
    assert "is closed" in send("POST", "sessions", visit, 409, desk)["title"]
    assert desk.get(f"/api/sessions/{session.pk}").json()["bay_name"] == "Bay 1"  # what is there goes on
    send("PATCH", f"bays/{first['id']}", {"closed": False})
    send("POST", "sessions", visit, 201, desk)
