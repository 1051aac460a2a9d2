"""Runs: another swing, ball or wind is kept apart or brought to the reference, and it is said which."""

import json

import pytest
from conftest import strike
from fitting.actions.shots import run_for, take_in
from fitting.models import Build, FittingSession, Shot

JSON = "application/json"


@pytest.fixture
def fitter_at(desk, session):
    def do(method, url, body, status=200):
        answer = desk.generic(method, f"/api/{url}", data=body, content_type=JSON)
        assert answer.status_code == status, answer.content
        return answer.json()

    return do


def build_of(answer, letter="A"):
    return next(each for each in answer["builds"] if each["letter"] == letter)


def test_a_half_swing_counts_only_where_it_is_named_as_the_clubs_stock_one(fitter_at, session):
    strike(session, "A", 180, 187)
    fitter_at("PUT", f"sessions/{session.pk}/run", '{"length": "half"}')
    session.refresh_from_db()
    strike(session, "A", 120, 125, n=4)
    seen = fitter_at("GET", f"sessions/{session.pk}", "")
    assert (build_of(seen)["kept"], round(build_of(seen)["carry_m"] / 0.9144)) == (6, 180)
    assert {shot["apart"] for shot in seen["shots"]} == {"", "half swing"}
    a = build_of(seen)["id"]
    seen = fitter_at("PUT", f"builds/{a}/stated", '{"stock_swing": "half"}')
    assert (build_of(seen)["kept"], round(build_of(seen)["carry_m"] / 0.9144)) == (4, 119)
    assert {shot["apart"] for shot in seen["shots"]} == {"", "full swing"}


def test_a_range_ball_is_kept_apart_from_the_own_one_and_said_where_all_are(fitter_at, session):
    fitter_at("PUT", f"sessions/{session.pk}/run", '{"struck_ball": "range"}')
    session.refresh_from_db()
    strike(session, "A", 170, 177)
    seen = fitter_at("GET", f"sessions/{session.pk}", "")
    assert build_of(seen)["kept"] == 6 and "hit with range balls" in seen["monitor"]
    fitter_at("PUT", f"sessions/{session.pk}/run", '{"struck_ball": "own"}')
    session.refresh_from_db()
    strike(session, "A", 180, 187)
    seen = fitter_at("GET", f"sessions/{session.pk}", "")
    assert (build_of(seen)["kept"], seen["monitor"]) == (6, "")
    assert round(build_of(seen)["carry_m"] / 0.9144) == 180


def test_wind_is_taken_out_where_the_launch_was_read_and_the_carry_as_hit_stays(fitter_at, session):
    fitter_at("PUT", f"sessions/{session.pk}/run", '{"wind_mps": 5, "wind_from_deg": 0}')
    session.refresh_from_db()
    build = Build.objects.get(letter="A")
    read = {"ball_speed_mps": 55.0, "launch_deg": 15.0, "spin_rpm": 4500.0, "carry_m": 150.0}
    take_in(session, run_for(session, build), [read, {"carry_m": 150.0}])
    known, unknown = fitter_at("GET", f"sessions/{session.pk}", "")["shots"]
    assert known["as_hit_m"] == 150.0 and known["readings"]["carry_m"] > 155
    assert (known["apart"], known["sources"]["carry_m"], unknown["apart"]) == ("", "computed", "in the wind")
    assert Shot.objects.first().carry_m == 150.0


@pytest.mark.parametrize(
    ("url", "body", "field", "words"),
    [
        ("run", '{"length": "13:00"}', "length", "clock position"),
        ("run", '{"wind_mps": 40}', "wind_mps", "34 mph"),
        ("run", '{"tee_mm": 300}', "tee_mm", "0 to 2.76 in"),
        ("run", '{"temperature_c": 90}', "temperature", "55 °C"),
        ("stated", '{"length_m": 1.524}', "length_m", "29.5 to 48 in"),
        ("stated", '{"set_loft_deg": 80}', "set_loft_deg", "loft"),
        ("stated", '{"stock_swing": "wild"}', "length", "clock position"),
    ],
)
def test_what_cannot_be_is_refused_in_words_and_nothing_changes(fitter_at, session, url, body, field, words):
    own = Build.objects.get(session=session, name="5i")
    address = f"sessions/{session.pk}/run" if url == "run" else f"builds/{own.pk}/stated"
    said = fitter_at("PUT", address, body, 400)
    assert said["field"] == field and words in said["title"]
    assert FittingSession.objects.get(pk=session.pk).length == "full"


def test_no_wind_blows_indoors(fitter_at, session):
    FittingSession.objects.filter(pk=session.pk).update(indoor=True)
    assert "indoors" in fitter_at("PUT", f"sessions/{session.pk}/run", '{"wind_mps": 3}', 400)["title"]


def test_what_the_name_of_a_club_makes_us_assume_is_shown_until_it_is_stated(fitter_at, session):
    own = Build.objects.get(session=session, name="5i")
    seen = fitter_at("GET", f"sessions/{session.pk}", "")
    assumed = next(each for each in seen["builds"] if each["id"] == own.pk)["assumed"]
    assert assumed == ["head_type", "set_loft_deg", "length_m"]
    seen = fitter_at("PUT", f"builds/{own.pk}/stated", '{"set_loft_deg": 27, "measured_loft_deg": 26.5}')
    now = next(each for each in seen["builds"] if each["id"] == own.pk)
    assert now["assumed"] == ["head_type", "length_m"]
    assert (now["set_loft_deg"], now["measured_loft_deg"]) == (27, 26.5)


def test_a_file_parts_runs_by_swing_and_ball(fitter_at, session):
    rows = "A,180,,\nA,181,,\nA,179,,own\nA,120,half,\nA,150,,range\n"
    text = "club,carry_yd,swing_length,struck_ball\n" + rows
    body = json.dumps({"file_name": "hit.csv", "text": text})
    fitter_at("POST", f"sessions/{session.pk}/import", body, 201)
    seen = fitter_at("GET", f"sessions/{session.pk}", "")
    assert [shot["apart"] for shot in seen["shots"]] == ["", "", "", "half swing", "range ball"]
    assert (build_of(seen)["kept"], round(build_of(seen)["carry_m"] / 0.9144)) == (3, 180)
