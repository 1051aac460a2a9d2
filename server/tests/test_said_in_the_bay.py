"""What a fitter says beside the shots: a changed swing, a fast day, a club out of favour, what to read out."""

import json

import pytest
from conftest import strike
from customers.actions import add_customer
from fitting.actions import builds, sessions, shots
from fitting.models import Build, Shot
from hemicycle_core.readout import USUAL
from hemicycle_core.units import metres
from rack.models import Head, Shaft
from shop.models import AuditEntry, Bay

JSON = "application/json"


def put(client, url, body, status=200):
    answer = client.put(url, json.dumps(body), content_type=JSON)
    assert answer.status_code == status, answer.content[:300]
    return answer.json()


def of(found, name):
    return next(each for each in found["builds"] if name in (each["letter"], each["name"]))


def test_after_the_swing_was_changed_only_new_shots_count_and_the_word_can_be_taken_back(desk, session):
    url = f"/api/sessions/{session.pk}"
    strike(session, "A", 178, 184)
    five = Build.objects.get(session=session, name="5i", letter="")
    shots.take_in(session, shots.run_for(session, five), [{"carry_m": metres(158)} for _ in range(4)])
    before = desk.get(url).json()
    changed = put(desk, f"{url}/swing", {"changed": True})
    assert (of(changed, "A")["carry_m"], of(changed, "A")["old_swing"]) == (None, 6)
    assert changed["verdicts"][0]["headline"] == "Old swing, hit again"
    # The bag is still drawn, by what is known of its clubs, no better than if it were typed.
    assert (of(changed, "5i")["carry_from"], round(of(changed, "5i")["carry_m"] / 0.9144)) == ("old_swing", 158)
    assert of(changed, "5i")["carry_doubt_m"] > 2 * of(before, "5i")["carry_doubt_m"]
    session.refresh_from_db()
    strike(session, "A", 186, 192)
    now = desk.get(url).json()
    assert round(of(now, "A")["carry_m"] / 0.9144) == 186
    back = put(desk, f"{url}/swing", {"changed": False})
    assert round(of(back, "A")["carry_m"] / 0.9144) == 182  # nothing was lost
    assert put(desk, f"{url}/swing", {"changed": False}, 400)["field"] == "changed"
    # Another word, taken back too, leaves what counted before it: what was hit on both sides of the first.
    again = put(desk, f"{url}/swing", {"changed": True})
    assert (of(again, "A")["carry_m"], of(again, "A")["old_swing"]) == (None, 12)
    assert of(put(desk, f"{url}/swing", {"changed": False}), "A")["carry_m"] == of(back, "A")["carry_m"]


def test_a_club_out_of_favour_leaves_the_bag_of_today_and_stays_a_column(desk, session):
    url = f"/api/sessions/{session.pk}"
    strike(session, "A", 178, 184)
    wood = of(desk.get(url).json(), "5W")
    said = put(desk, f"/api/builds/{wood['id']}", {"out_of_favour": "balloons"})
    assert wood["id"] not in said["bag"]["order"] and said["bag"]["club_count"] == 3
    assert said["bag"]["headline"].startswith("54 yd uncovered between 5i and Dr")
    board = desk.get(f"{url}/bench").json()
    assert "5W" in {line["name"] for line in board["neighbours"]}
    after = desk.get(f"{url}/handover/draft").json()["after"]
    assert "5W" not in {club["name"] for club in after["clubs"]} and after["club_count"] == 3
    a = of(said, "A")
    assert put(desk, f"/api/builds/{a['id']}", {"out_of_favour": "no"}, 400)["field"] == "out_of_favour"
    again = sessions.open_session(session.fitter, customer_id=session.customer_id, bay_id=session.bay_id)
    assert Build.objects.get(session=again, name="5W").out_of_favour == "balloons"


def test_a_fast_day_is_told_from_the_last_visit_or_said_by_the_fitter(desk, session):
    for name in ("5i", "6i"):
        club = Build.objects.get(session=session, name=name, letter="")
        rows = [{"carry_m": metres(150), "club_speed_mps": 36.0 + 0.1 * n} for n in range(6)]
        shots.take_in(session, shots.run_for(session, club), rows)
    later = sessions.open_session(session.fitter, customer_id=session.customer_id, bay_id=session.bay_id)
    url = f"/api/sessions/{later.pk}"
    assert desk.get(url).json()["day_words"] == ""
    for name in ("5i", "6i"):
        club = Build.objects.get(session=later, name=name, letter="")
        rows = [{"carry_m": metres(156), "club_speed_mps": 37.8 + 0.1 * n} for n in range(6)]
        shots.take_in(later, shots.run_for(later, club), rows)
    assert desk.get(url).json()["day_words"].startswith("A fast day: 5i and 6i are swung 5% faster")
    slow = put(desk, f"{url}/day", {"kind": "slow"})
    assert slow["day_words"].startswith("A slow day: the fitter says so.")
    assert put(desk, f"{url}/day", {"kind": "usual"})["day_words"].startswith("A fast day")


def test_one_shot_is_kept_in_sight_and_the_lines_read_out_hold_for_the_shop(desk, session, stranger):
    url = f"/api/sessions/{session.pk}"
    strike(session, "A", 178, 184)
    first, second = Shot.objects.order_by("number")[:2]
    assert put(desk, f"/api/shots/{first.pk}/pinned", {"pinned": True})["pinned"] == first.pk
    assert put(desk, f"/api/shots/{second.pk}/pinned", {"pinned": True})["pinned"] == second.pk
    assert put(desk, f"/api/shots/{second.pk}/pinned", {"pinned": False})["pinned"] is None
    put(desk, "/api/shop/columns", {"columns": ["spin_rpm", "held", "spin_rpm"]})
    assert desk.get(url).json()["columns"] == ["spin_rpm", "held"]
    assert stranger.shop.columns == []
    for wrong in (["carats"], []):
        assert put(desk, "/api/shop/columns", {"columns": wrong}, 400)["field"] == "columns"
    usual = [each.value for each in USUAL]
    put(desk, "/api/shop/columns", {"columns": usual})
    assert desk.get(url).json()["columns"] == []


def test_a_bays_noise_enters_the_verdicts_of_its_open_sessions(client, desk, session, owner):
    strike(session, "A", 178, 184)
    url = f"/api/sessions/{session.pk}"
    before = desk.get(url).json()["verdicts"][0]["chance"]
    client.force_login(owner)
    bay = client.get("/api/shop").json()["bays"][0]
    body = {key: bay[key] for key in ("models_flight", "altitude_m", "temperature_c")}
    put(client, f"/api/bays/{bay['id']}", {**body, "noise": {"carry_m": {"shot": 1, "day": 8}}})
    set_ = put(client, f"/api/bays/{bay['id']}", {**body, "noise": {"spin_rpm": {"shot": 100, "day": 100}}})
    kept = set_["bays"][0]["noise"]
    assert (round(kept["carry_m"]["day"], 3), kept["spin_rpm"]["day"]) == (8, 100)
    assert desk.get(url).json()["verdicts"][0]["chance"] < before - 0.05
    refused = put(client, f"/api/bays/{bay['id']}", {**body, "noise": {"carry_m": {"shot": 1, "day": 80}}}, 400)
    assert refused["field"] == "carry_m"


def test_a_driver_that_was_not_hit_has_a_carry_assumed_from_the_other_clubs_and_is_marked(desk, session):
    url = f"/api/sessions/{session.pk}"
    driver = of(desk.get(url).json(), "Dr")
    put(desk, f"/api/builds/{driver['id']}", {"typed_carry_m": None, "typed_total_m": None})
    found = of(desk.get(url).json(), "Dr")
    assert found["carry_from"] == "assumed"
    assert metres(205) < found["carry_m"] < metres(250)  # it was 224
    assert found["carry_doubt_m"] > metres(8)
    assert found["id"] in desk.get(url).json()["bag"]["order"]
    assert desk.get(f"{url}/plans").status_code == 200


def test_a_yardage_by_name_and_a_plain_comparison_need_no_bag(desk, fitter, shop):
    customer = add_customer(fitter, name="Noor Vale", hand="right")
    made = sessions.open_session(fitter, customer_id=customer.pk, bay_id=Bay.objects.get(shop=shop).pk)
    url, rule = f"/api/sessions/{made.pk}", {"rule": "roll_out", "clubs_to_place": 1}
    head, shaft = Head.objects.get(label="4H", model="Skerry"), Shaft.objects.get(name="Fenlark 65 H")
    builds.add_candidates(fitter, made.pk, [builds.CandidateChoice(head.pk, shaft.pk)])
    strike(made, "A", 178, 184)
    low = metres(178)
    named = put(desk, f"{url}/gap", {**rule, "named": {"low_m": low, "high_m": low, "total": False}})
    assert named["bag"]["in_work"]["lower"] is None
    assert named["verdicts"][0]["headline"].startswith("Fills")
    by_total = put(desk, f"{url}/gap", {**rule, "named": {"low_m": metres(184), "high_m": metres(184), "total": True}})
    window = of(by_total, "A")["wanted"]["carry_m"]
    assert round((window["low"] + window["high"]) / 2 / 0.9144) == 178  # by its own roll of six yards
    assert AuditEntry.objects.filter(action="window.roll").count() == 1
    plain = put(desk, f"{url}/gap", {**rule, "wish": "compare"})
    assert plain["bag"]["in_work"] is None and plain["verdicts"][0]["kind"] == "compared"
    assert desk.get(f"{url}/bench").json()["choice"]["sentence"].startswith("Compared only")
    assert desk.get(f"{url}/handover").status_code == 200


@pytest.mark.parametrize("column", ["intent", "lie"])
def test_a_files_words_of_intent_and_lie_part_its_runs_and_one_that_is_unknown_is_listed(desk, session, column):
    word, unknown = ("low", "sideways") if column == "intent" else ("semi rough", "lava")
    rows = "".join(f"A,{160 + n},{said}\n" for n, said in enumerate(("", "", "", word, unknown)))
    body = {"file_name": "a.csv", "text": f"club,carry_yd,{column}\n{rows}"}
    url = f"/api/sessions/{session.pk}"
    answer = desk.post(f"{url}/import", json.dumps(body), content_type=JSON).json()
    found = desk.get(url).json()
    marked = [shot for shot in found["shots"] if not shot["counts"]]
    assert [shot[column] for shot in marked] == [word.replace(" ", "_")]
    assert of(found, "A")["kept"] == 4
    assert answer["result"]["problems"][0]["line"] == 6 if "result" in answer else answer["problems"][0]["line"] == 6


def test_what_is_hit_from_rough_is_kept_beside_the_club_and_told_on_the_bench(desk, session):
    url = f"/api/sessions/{session.pk}"
    strike(session, "A", 178, 184)
    before = of(desk.get(url).json(), "A")
    assert put(desk, f"{url}/lie", {"lie": "rough"})["lie"] == "rough"
    session.refresh_from_db()
    strike(session, "A", 160, 170)
    after = desk.get(url).json()
    assert (of(after, "A")["carry_m"], of(after, "A")["kept"]) == (before["carry_m"], before["kept"])
    assert [shot["lie"] for shot in after["shots"][-6:]] == ["rough"] * 6
    assert desk.get(f"{url}/bench").json()["lies"]["A"] == ["From rough: 18 yd shorter."]
    assert put(desk, f"{url}/lie", {"lie": None})["lie"] is None
