"""What was agreed stays as it was shown, whoever tries to change it and however; a correction stands beside it."""

import pytest
from demo.load import hit
from django.db import IntegrityError, connection, transaction
from fitting.api import answers
from fitting.api.earlier import as_read_now
from fitting.models import AgreedAnswers, Build
from handover.erasing import without_person
from handover.models import Recommendation
from hemicycle_core.judge import Judgement
from hemicycle_core.simulation.golfer import Player, Swinging
from rack.models import Head
from shop.models import AuditEntry, Shop

JSON = "application/json"
GOLFER = Player(speed_mps=36.0, attack_deg=-2.5, lean_deg=5.0)
NOW = ("revision", "status", "frozen", "next", "bay_is_here", "bay_serves")  # what agreeing itself changes
PARTS = ("", "/bench", "/plans", "/shortlist")


@pytest.fixture
def agreed(desk, session):
    """A session whose one build was hit and recommended."""
    build = Build.objects.get(session=session, letter="A")
    hit(session, build, Swinging(GOLFER, seed=5), 8)
    body = {"builds": [build.pk], "reasons": "It holds.", "lost": []}
    url = f"/api/sessions/{session.pk}"
    before = {part: desk.get(url + part).json() for part in PARTS}
    assert desk.post(f"{url}/handover", body, content_type=JSON).status_code == 201
    session.refresh_from_db()
    return session, before


def shown(desk, session, part):
    answers.ANSWERS.clear()
    answers.JUDGED.clear()
    answer = desk.get(f"/api/sessions/{session.pk}{part}").json()
    return {key: value for key, value in answer.items() if key not in NOW}


@pytest.mark.parametrize("part", PARTS)
def test_later_code_thresholds_and_rack_change_nothing_that_is_shown(desk, agreed, part, monkeypatch):
    session, before = agreed
    as_agreed = shown(desk, session, part)
    known = {key: value for key, value in before[part].items() if key in as_agreed and key != "versions"}
    assert {key: as_agreed[key] for key in known} == known
    Shop.objects.update(thresholds={"likely": 0.95, "sure": 0.99, "least_shots": 10})
    Head.objects.update(price=1, stock=0, sleeve_deg=0)
    monkeypatch.setattr(Judgement, "__init__", None)  # judging it anew would fail
    assert shown(desk, session, part) == as_agreed
    assert desk.get(f"/api/sessions/{session.pk}").json()["frozen"] is True


STATEMENTS = [
    "UPDATE fitting_fittingsession SET notes = 'other' WHERE id = {session}",
    "DELETE FROM fitting_fittingsession WHERE id = {session}",
    "UPDATE fitting_shot SET carry_m = 200 WHERE session_id = {session}",
    "DELETE FROM fitting_shot WHERE session_id = {session}",
    "UPDATE fitting_build SET name = 'other' WHERE session_id = {session}",
    "UPDATE fitting_run SET intent = 'low'",
    "UPDATE fitting_windowversion SET slots = '[]' WHERE session_id = {session}",
    "UPDATE fitting_agreedanswers SET answers = '{{}}' WHERE session_id = {session}",
    "DELETE FROM fitting_agreedanswers WHERE session_id = {session}",
    "UPDATE handover_recommendation SET reasons = 'other' WHERE session_id = {session}",
    "DELETE FROM handover_recommendation WHERE session_id = {session}",
    "DELETE FROM handover_recommendation_builds",
    "INSERT INTO fitting_job (shop_id, session_id, position, name, kind, distance_m, width_m, depth_m, firmness, "
    "uses_per_round, course, lie) VALUES ({shop}, {session}, 9, 'x', 'green', 100, 20, 20, 'soft', 1, '', '')",
]


@pytest.mark.django_db(transaction=True)
@pytest.mark.parametrize("statement", STATEMENTS)
def test_the_database_itself_refuses(agreed, statement):
    session, _ = agreed
    asked = statement.format(session=session.pk, shop=session.shop_id)
    with pytest.raises(IntegrityError, match="agreed"), transaction.atomic(), connection.cursor() as cursor:
        cursor.execute(asked)


@pytest.mark.django_db(transaction=True)
def test_a_club_cannot_be_slipped_into_an_edition_afterwards(agreed):
    row = Recommendation.objects.get()
    with pytest.raises(IntegrityError, match="agreed"):
        row.builds.add(Build.objects.filter(letter="").first())


def test_a_correction_is_a_new_edition_with_who_when_and_why_and_the_old_one_stays(desk, agreed, fitter):
    session, _ = agreed
    url = f"/api/sessions/{session.pk}/handover"
    first = desk.get(url).json()["agreed"]
    body = {"builds": [], "reasons": "They changed their mind.", "lost": []}
    assert desk.post(url, body, content_type=JSON).json()["type"] == "hemicycle:agreed"
    assert desk.post(url, {**body, "correction": "  "}, content_type=JSON).json()["field"] == "correction"
    said = desk.post(url, {**body, "correction": "Bought elsewhere."}, content_type=JSON).json()
    assert (said["agreed"]["edition"], said["agreed"]["correction"]) == (2, "Bought elsewhere.")
    assert (said["agreed"]["agreed_by"], said["agreed"]["decision"]) == (fitter.username, "keep")
    assert said["earlier"] == [first]
    entry = AuditEntry.objects.get(action="handover.correct")
    assert (entry.actor, entry.detail["why"]) == (fitter, "Bought elsewhere.")
    assert AgreedAnswers.objects.count() == 1


def test_nothing_is_corrected_before_it_is_agreed(desk, session):
    body = {"builds": [], "reasons": "Keep.", "lost": [], "correction": "Too soon."}
    said = desk.post(f"/api/sessions/{session.pk}/handover", body, content_type=JSON)
    assert (said.status_code, said.json()["type"]) == (409, "hemicycle:not_agreed")


def without(data, *names):
    """Plain data as an earlier program kept it, without some fields wherever they stand."""
    if isinstance(data, list):
        return [without(each, *names) for each in data]
    if isinstance(data, dict):
        return {key: without(value, *names) for key, value in data.items() if key not in names}
    return data


def test_an_answer_that_an_earlier_program_kept_is_read_with_what_answers_have_now(desk, agreed):
    _, before = agreed
    new = ("wanted", "columns", "day", "work", "held", "old_swing", "lie", "out_of_favour")
    old = without(before[""], *new)
    five = next(each["id"] for each in before[""]["builds"] if each["name"] == "5i")
    old["bag"]["in_work"] |= {"like": five, "flight": "higher"}
    now = as_read_now("session", {"session": old}, answers.KEPT)
    assert without(now, *new, "like", "flight") == without(old, *new, "like", "flight")
    assert now["bag"]["wanted"] == {"wish": "flight", "like": five, "flight": "higher", "named": None, "ways": []}
    assert (now["columns"], now["day"], now["lie"]) == ([], "usual", None)
    assert {(tuple(each["work"]), each["old_swing"], each["held"]) for each in now["builds"]} == {((), 0, None)}
    bench = as_read_now("bench", {"bench": without(before["/bench"], "serves", "lies", "side_by_side")}, answers.KEPT)
    assert (bench["serves"], bench["lies"], bench["side_by_side"]) == ({}, {}, [])


def test_what_came_of_tests_is_read_as_an_earlier_program_kept_it(desk, agreed):
    """It had a shape each for grooves, on the Bench, and for stopping, with the session."""
    _, before = agreed
    spin = {"old": 6000.0, "fresh": 7500.0, "half": 200.0, "told": True}
    lie = {"lie": "wet", "n_old": 5, "n_fresh": 4, "figures": {"spin_rpm": spin}, "sentence": "Wet: it spins more."}
    grooves = {
        "old": 7, "fresh": 8, "worth": "replace", "sentence": "Worth replacing.", "lies": [lie], "remarks": ["Old."],
        "blind": "He told it.",
    }  # fmt: skip
    line = {
        "build": 7, "ball": "hard", "n": 3, "lands_m": 20.0, "releases_m": 2.5, "half_m": 0.4, "left_m": 1.0,
        "firmer_m": 3.5, "modelled_m": None, "computed_m": None, "sentence": "It lands 22.",
    }  # fmt: skip
    green = {"target_m": 22.86, "firmness": "medium", "green_ft": 10.0, "slope_percent": 0.0}
    short = {"stops": {"green": green, "lines": [line], "sentences": ["Alike."], "seen": []}}
    session = {**before[""], "bag": {**before[""]["bag"], "short": short}}
    kept = {"session": session, "bench": {**without(before["/bench"], "results"), "grooves": [grooves]}}
    old, stops = as_read_now("bench", kept, answers.KEPT)["results"]
    assert (old["builds"], old["outcome"], old["sentence"]) == ([7, 8], "replace", "Worth replacing.")
    assert old["remarks"] == ["Wet: it spins more.", "Old.", "He told it."]
    assert old["rows"][0]["figures"]["spin_rpm"] == {"at": [6000.0, 7500.0], "half": 200.0, "told": True}
    assert stops["rows"][0]["figures"]["releases_m"] == {"at": [2.5], "half": 0.4, "told": False}
    assert [each["key"] for each in stops["columns"]] == ["lands_m", "releases_m", "left_m", "firmer_m"]
    assert stops["remarks"] == ["It lands 22.", "Alike."]
    now = as_read_now("session", kept, answers.KEPT)
    assert now["tests"] == [] and now["bag"]["short"]["stops"]["green"]["green_ft"] == 10.0
    blank = {part: without_person(part, answer) for part, answer in kept.items()}
    assert as_read_now("bench", blank, answers.KEPT)["results"] == []  # what they said goes with the person
