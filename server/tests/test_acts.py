"""What is done in a session is taken back by whoever did it, and done again, each act by its name."""

import json

import pytest
from conftest import strike
from django.test import Client
from fitting.models import BagPlan, Build, FittingSession, Job, Run, Shot, ShotImport, TargetOverride

JSON = "application/json"
COUNTED = {"revision", "whole_from", "in_hand_at", "briefed_at"}  # what only counts on


@pytest.fixture
def there(desk, session):
    """A session with six shots of A and one of the 5i in hand."""
    strike(session, "A", 180, 187)
    own = Build.objects.get(session=session, name="5i")
    desk.put(f"/api/sessions/{session.pk}/in-hand", {"build": own.pk}, content_type=JSON)
    return session


def held(session):
    """Every row that acts change, but for what only counts."""
    target = TargetOverride.objects.filter(session=session).order_by("id").last()
    taken_back = {"run__imported__undone_at__isnull": False}
    rows = [
        *FittingSession.objects.filter(pk=session.pk).values(),
        *Build.objects.filter(session=session).order_by("pk").values(),
        *Shot.objects.filter(session=session).exclude(**taken_back).order_by("pk").values(),
        *Job.objects.filter(session=session).order_by("position").values("position", "name", "distance_m"),
        *BagPlan.objects.filter(session=session).values("name", "builds"),
        {"in": [*ShotImport.objects.filter(session=session, undone_at=None).values_list("pk", flat=True)]},
        {"target": [] if target is None or target.cleared else [target.low, target.high]},
        *Run.objects.filter(build__session=session)
        .exclude(imported__undone_at__isnull=False)
        .order_by("pk")
        .values("pk", "build", "swing", "lie", "intent"),
    ]
    return [{key: value for key, value in row.items() if key not in COUNTED} for row in rows]


def send(desk, method, url, body=None):
    return desk.generic(method, f"/api/{url}", data="{}" if body is None else body, content_type=JSON)


# What is done, in which words it is named. {s}, {a}, {o}, {shot}: the session, A, an own club, the last shot of A.
ACTS = [
    ("PUT", "shots/{shot}/aside", '{"aside": true, "reason": "thin"}', "set shot 6 aside"),
    ("PUT", "shots/{shot}/strike", '{"strike": "thin"}', "called a strike"),
    ("PUT", "shots/{shot}/counts", '{"misread": true, "distance": true, "line": true}', "said what of shot 6 counts"),
    ("PUT", "shots/{shot}/build", '{"build": {o}}', "moved shot 6 to another build"),
    ("PUT", "shots/{shot}/pinned", '{"pinned": true}', "kept shot 6 in sight to copy"),
    ("PUT", "sessions/{s}/shots", '{"shots": [{shots}], "aside": true, "build": {o}}', "changed several shots"),
    ("PUT", "sessions/{s}/lie", '{"lie": "rough"}', "said what is hit from next"),
    ("PUT", "sessions/{s}/ask", '{"protocol": "shaped", "intent": "low"}', "changed what the player is asked to hit"),
    ("PUT", "sessions/{s}/swing", '{"changed": true}', "noted that the swing was changed"),
    ("PUT", "sessions/{s}/day", '{"kind": "fast"}', "said what kind of day it is"),
    ("PUT", "sessions/{s}/awaited", '{"name": "9W"}', "said which contender is not here yet"),
    (
        "PUT",
        "sessions/{s}/run",
        '{"length": "half", "struck_ball": "range", "tee_mm": 20}',
        "said how the next shots are hit",
    ),
    ("PUT", "builds/{o}/stated", '{"lie_deg": 62, "stock_swing": "eased", "age_rounds": 90}', "stated what a club is"),
    ("PUT", "sessions/{s}/in-hand", '{"build": {a}}', "took A in hand"),
    ("PUT", "builds/{a}/accepted", '{"accepted": true}', "took A into the bag for now"),
    ("PUT", "builds/{o}", '{"typed_carry_m": 150, "typed_total_m": 158}', "changed a club"),
    ("DELETE", "builds/{a}", None, "took a club out"),
    ("POST", "builds/{a}/otherwise", '{"changes": [{"kind": "length", "amount": 0.5}]}', "made a club otherwise"),
    ("POST", "builds/{a}/settings", '{"set_loft_deg": 23}', "turned B to another setting"),
    ("POST", "sessions/{s}/borrowed", '{"name": "Lent", "head_type": "hybrid", "loft_deg": 20}', "put a borrowed club"),
    ("PATCH", "sessions/{s}/brief", '{"now": {"notes": "Likes it low", "most_clubs": 13, "pain": true}}', "wrote in"),
    ("PATCH", "sessions/{s}/brief", '{"now": {"jobs": [{job}]}}', "wrote in the brief"),
    ("POST", "sessions/{s}/clubs", '{"name": "9i", "typed_carry_m": 120}', "put a club in the bag"),
    ("PUT", "sessions/{s}/gap", '{"rule": "carry_only", "clubs_to_place": 2}', "chose the gap in work"),
    ("PUT", "sessions/{s}/rules", '{"short_rule": "even_steps", "long_least_m": 9, "long_most_m": 15}', "chose how"),
    (
        "PUT",
        "sessions/{s}/targets",
        '{"slot": 0, "quantity": "carry_m", "low": 170, "high": 180}',
        "overruled a target",
    ),
    ("POST", "sessions/{s}/plans", '{"name": "One", "builds": [{o}]}', "kept a plan"),
    (
        "POST",
        "sessions/{s}/import",
        '{"file_name": "a.csv", "text": "club,carry_m\\n8i,130\\n8i,131"}',
        "brought in a file",
    ),
]
JOB = json.dumps({
    "name": "Over the pond", "kind": "green", "distance_m": 150.0, "carry_over_m": 140.0, "width_m": 20.0,
    "depth_m": 20.0, "firmness": "medium", "green_ft": 9.0, "uses_per_round": 1.0, "course": "", "lie": "",
    "wind_mps": 0.0, "wind_from_deg": 0.0,
})  # fmt: skip


@pytest.mark.parametrize(("method", "url", "body", "words"), ACTS, ids=[each[3] for each in ACTS])
def test_every_act_is_taken_back_and_done_again(desk, there, method, url, body, words):
    a, own = Build.objects.get(letter="A"), Build.objects.get(name="5i")
    shots = list(Shot.objects.filter(run__build=a).order_by("number"))
    names = {"s": there.pk, "a": a.pk, "o": own.pk, "shot": shots[-1].pk, "job": JOB}
    names["shots"] = f"{shots[0].pk}, {shots[1].pk}"

    def filled(text):
        for name, value in names.items():
            text = text and text.replace(f"{{{name}}}", str(value))
        return text

    acts = f"/api/sessions/{there.pk}/acts"
    before = held(there)
    made = len(before)
    answer = send(desk, method, filled(url), filled(body))
    assert answer.status_code in (200, 201), answer.content
    after = held(there)
    assert after != before
    told = desk.get(acts).json()
    assert words in told["undo"] and told["redo"] == ""
    assert send(desk, "POST", f"sessions/{there.pk}/undo").status_code == 200
    # What was made stays on record, off the stand.
    stays = [row for row in held(there) if not (row.get("archived") and row.get("id") not in (a.pk, own.pk))]
    assert [row for row in stays if row in before] == before and len(stays) - made <= 1
    assert words in desk.get(acts).json()["redo"]
    assert send(desk, "POST", f"sessions/{there.pk}/redo").status_code == 200
    assert held(there) == after
    assert desk.get(acts).json()["trail"][0]["sentence"].startswith("fitter did “")


def test_undo_is_of_the_person_who_acted_and_refused_where_something_rests_on_it(desk, owner, there):
    shot = Shot.objects.filter(run__build__letter="A").last()
    boss = Client()
    boss.force_login(owner)
    send(desk, "PUT", f"shots/{shot.pk}/strike", '{"strike": "thin"}')
    nothing = send(boss, "POST", f"sessions/{there.pk}/undo")
    assert nothing.status_code == 409 and "Nothing of yours" in nothing.json()["title"]
    send(boss, "PUT", f"shots/{shot.pk}/strike", '{"strike": "fat"}')
    refused = send(desk, "POST", f"sessions/{there.pk}/undo")
    assert refused.status_code == 409
    assert "owner called a strike. Undo that first." in refused.json()["title"]
    assert Shot.objects.get(pk=shot.pk).strike == "fat"
    send(boss, "POST", f"sessions/{there.pk}/undo")
    assert send(desk, "POST", f"sessions/{there.pk}/undo").status_code == 200
    assert Shot.objects.get(pk=shot.pk).strike == ""


def test_a_build_that_was_hit_stays_and_so_do_shots_that_are_not_of_this_session(desk, there):
    send(desk, "POST", f"sessions/{there.pk}/borrowed", '{"name": "Lent", "head_type": "hybrid", "loft_deg": 20}')
    there.refresh_from_db()
    strike(there, "B", 170, 178, n=1)
    refused = send(desk, "POST", f"sessions/{there.pk}/undo")
    assert refused.status_code == 409 and "B was hit since" in refused.json()["title"]
    assert not Build.objects.get(letter="B").archived
    other = send(desk, "PUT", f"sessions/{there.pk}/shots", '{"shots": [999999], "aside": true}')
    assert other.status_code == 400 and other.json()["field"] == "shots"


def test_a_change_of_the_swing_taken_back_was_never_said(desk, there):
    send(desk, "PUT", f"sessions/{there.pk}/swing", '{"changed": true}')
    there.refresh_from_db()
    strike(there, "A", 176, 183)
    assert send(desk, "POST", f"sessions/{there.pk}/undo").status_code == 200
    shots = desk.get(f"/api/sessions/{there.pk}").json()["shots"]
    assert len(shots) == 12 and all(shot["counts"] and not shot["old_swing"] for shot in shots)
