"""The Bench through the API: what-ifs from a build's own shots, and whose flight a figure is."""

import pytest
from hemicycle_core.simulation.golfer import Player, Swinging, SwungClub
from live.actions import make_key
from shop.models import AuditEntry, Bay

JSON = "application/json"


@pytest.fixture
def hit(session, client):
    """Hit the build in hand with a simulated golfer through the feed."""
    bay = Bay.objects.get(shop=session.shop)
    key = make_key(bay, label="test")
    swinging = Swinging(Player(speed_mps=36.5, ball_drag=1.06, misses={}), seed=3)

    def send(count, *, models_flight=False):
        Bay.objects.update(models_flight=models_flight)
        shots = [
            {"id": f"{swinging.hit}-{i}", "readings": {k: v for k, v in shot.items() if k != "strike"}}
            for i, shot in enumerate(swinging.shots(SwungClub("hybrid", 22, 1.016), count, known=True))
        ]
        headers = {"authorization": f"Bearer {key}"}
        assert client.post("/api/feed/shots", {"shots": shots}, content_type=JSON, headers=headers).status_code == 200

    return send


def what_if(desk, session):
    build = next(b for b in desk.get(f"/api/sessions/{session.pk}").json()["builds"] if b["letter"] == "A")
    return build, desk.get(f"/api/builds/{build['id']}/what-if").json()


def test_a_what_if_starts_from_the_shots_and_names_face_and_caution(desk, session, hit):
    assert what_if(desk, session)[1]["shots"] == 0
    hit(6)
    build, found = what_if(desk, session)
    assert found["anchored"] is True
    assert "Anchored to 6 measured flights: this player’s ball flies" in found["anchor"]
    assert found["before"]["carry_m"] == pytest.approx(build["averages"]["carry_m"])
    up = next(each for each in found["changes"] if (each["kind"], each["amount"]) == ("loft", 1.0))
    assert up["after"]["carry_m"] < found["before"]["carry_m"]
    assert up["face_closed_deg"] > 1
    assert "torque" in up["caution"]
    assert -up["face_closed_deg"] < up["start_deg"] < 0  # a right-hander's closed face starts it left
    assert "bend" not in {each["kind"] for each in found["changes"]}  # it has a sleeve
    against, behind, cold, hot, high = (each["carry_m"] for each in found["elsewhere"])
    assert against < cold < found["before"]["carry_m"] < hot < behind
    assert high > found["before"]["carry_m"]


def test_the_players_veto_stands_over_the_numbers_and_is_on_record(desk, session, hit):
    hit(6)
    build = next(b for b in desk.get(f"/api/sessions/{session.pk}").json()["builds"] if b["letter"] == "A")
    seen = desk.put(f"/api/builds/{build['id']}", {"liking": "vetoed"}, content_type=JSON).json()
    assert seen["verdicts"][0]["kind"] == "vetoed"
    assert desk.get(f"/api/sessions/{session.pk}/bench").json()["choice"]["letter"] is None
    assert AuditEntry.objects.filter(action="club.change", detail__after__liking="vetoed").exists()
    refused = desk.put(f"/api/builds/{build['id']}", {"liking": "loathed"}, content_type=JSON)
    assert refused.status_code == 400
    assert desk.put(f"/api/builds/{build['id']}", {"liking": "liked"}, content_type=JSON).status_code == 200


def test_jobs_are_played_out_and_builds_compared_on_them(desk, session, hit):
    job = {"name": "Par three", "kind": "green", "distance_m": 160, "carry_over_m": None, "width_m": 25, "depth_m": 25,
           "firmness": "medium", "uses_per_round": 2}  # fmt: skip
    brief = {"miss": "none", "firmness": "medium", "jobs": [job]}
    assert desk.patch(f"/api/sessions/{session.pk}/brief", {"now": brief}, content_type=JSON).status_code == 200
    hit(8)
    (verdict,) = desk.get(f"/api/sessions/{session.pk}").json()["verdicts"]
    (played,) = verdict["played"]
    assert played["low"] < played["success"] < played["high"]
    assert verdict["rounds"] == pytest.approx(2 * played["success"])
    lost = sum(played[way] for way in ("short", "long", "left", "right"))
    assert lost == pytest.approx(1 - played["success"], abs=0.05)
    # A green has a speed beside its firmness: as quick as glass, more of these low shots run through.
    quick = {**brief, "jobs": [{**job, "distance_m": 150, "green_ft": 14}]}
    slow = {**brief, "jobs": [{**job, "distance_m": 150, "green_ft": 6}]}
    through = []
    for each in (quick, slow):
        assert desk.patch(f"/api/sessions/{session.pk}/brief", {"now": each}, content_type=JSON).status_code == 200
        seen = desk.get(f"/api/sessions/{session.pk}").json()
        assert seen["brief"]["jobs"][0]["green_ft"] == each["jobs"][0]["green_ft"]
        through.append(seen["verdicts"][0]["played"][0]["long"])
    assert through[0] > through[1]
    refused = desk.patch(
        f"/api/sessions/{session.pk}/brief", {"now": {"jobs": [{**job, "green_ft": 30}]}}, content_type=JSON
    )
    assert (refused.status_code, refused.json()["field"]) == (400, "jobs.0.green_ft")


def test_a_monitor_that_models_flight_is_matched_and_not_called_truth(desk, session, hit):
    hit(6, models_flight=True)
    build, found = what_if(desk, session)
    assert build["sources"]["carry_m"] == "modelled"
    assert build["sources"]["ball_speed_mps"] == "measured"
    assert found["anchored"] is False
    assert "agreement, not truth" in found["anchor"]
    less_sure = found["changes"][0]["error"]["carry_m"]
    hit(6)
    assert what_if(desk, session)[1]["anchored"] is True
    assert what_if(desk, session)[1]["changes"][0]["error"]["carry_m"] != less_sure
