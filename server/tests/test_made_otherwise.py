"""Any club on the stand: borrowed, or made from another by a bend, a length, a shaft; and what cannot be done."""

import json

import pytest
from conftest import strike
from django.utils import timezone
from fitting.models import Build
from rack.models import Head, Shaft

JSON = "application/json"


@pytest.fixture
def post(desk, session):
    def send(path, body, status=201):
        answer = desk.post(f"/api/{path}", json.dumps(body), content_type=JSON)
        assert answer.status_code == status, answer.content[:300]
        return answer.json()

    return send


def of(found, letter):
    return next(each for each in found["builds"] if each["letter"] == letter)


def own(found, name):
    return next(each for each in found["builds"] if each["name"] == name and not each["letter"])


def test_a_borrowed_club_and_a_bent_own_one_are_hit_judged_and_ordered_as_what_they_are(desk, session, post):
    url = f"sessions/{session.pk}"
    seen = post(f"{url}/borrowed", {"name": "Grandad’s 3H", "head_type": "hybrid", "loft_deg": 20})
    lent = of(seen, "B")
    assert (lent["borrowed"], lent["assumed"], seen["in_hand"]) == (True, ["length_m"], lent["id"])
    five = own(seen, "5i")
    seen = post(f"builds/{five['id']}/otherwise", {"changes": [{"kind": "bend", "amount": -1}]})
    bent = of(seen, "C")
    assert bent["set_loft_deg"] == five["set_loft_deg"] - 1
    assert bent["work"] == ["1° stronger"] and "Eye protection" in bent["cautions"][0]
    assert (bent["turned_from"], bent["price"]) == ("5i", "0.00")
    for letter, carry in (("B", 184), ("C", 176)):
        strike(session, letter, carry, carry + 7)
    seen = desk.get(f"/api/{url}").json()
    assert {each["letter"] for each in seen["verdicts"]} == {"A", "B", "C"}
    assert own(seen, "5i")["kept"] == 0  # what was hit with the bent one is not the old one's
    page = desk.get(f"/api/{url}/handover/draft?builds={bent['id']}").json()
    assert "1° stronger" in json.dumps(page, ensure_ascii=False)  # on the sheet it is ordered by
    longer = post(f"builds/{bent['id']}/otherwise", {"changes": [{"kind": "length", "amount": 0.5}]})
    assert of(longer, "D")["work"] == ["1° stronger", "0.5 in longer"]
    assert of(longer, "D")["length_m"] == pytest.approx(bent["length_m"] + 0.0127)


@pytest.mark.parametrize(
    ("changes", "word"),
    [
        ([("bend", 3)], "may be bent 2° in loft at most"),
        ([("bend", 1.5), ("bend", 1)], "may be bent 2° in loft at most"),
        ([("loft", 1)], "no sleeve to turn"),
        ([("length", 2), ("length", 2), ("length", 2), ("length", 2), ("length", 2), ("length", 2)], "48 in long"),
        ([("grip_down", 1.5), ("grip_down", 1)], "gripped down by nought to 2 in"),
    ],
)
def test_what_cannot_be_done_to_a_club_is_refused_and_nothing_is_made(desk, session, post, changes, word):
    five = own(desk.get(f"/api/sessions/{session.pk}").json(), "5i")
    before = Build.objects.count()
    body = {"changes": [{"kind": kind, "amount": amount} for kind, amount in changes]}
    refused = post(f"builds/{five['id']}/otherwise", body, 400)
    assert word in refused["title"]
    assert Build.objects.count() == before


def test_a_head_with_a_sleeve_is_turned_and_not_bent_and_a_shaft_must_fit(desk, session, post):
    a = of(desk.get(f"/api/sessions/{session.pk}").json(), "A")
    refused = post(f"builds/{a['id']}/otherwise", {"changes": [{"kind": "bend", "amount": 1}]}, 400)
    assert "has a sleeve: turn it" in refused["title"]
    wrong, right = Shaft.objects.get(name="Fenlark 65"), Shaft.objects.get(name="Fenlark 75 H")
    assert post(f"builds/{a['id']}/otherwise", {"shaft": wrong.pk}, 400)["field"] == "shaft"
    seen = post(f"builds/{a['id']}/otherwise", {"shaft": right.pk})
    assert of(seen, "B")["shaft"].startswith("Fenlark 75 H") and of(seen, "B")["work"] == ["shaft Fenlark 75 H"]
    assert post(f"builds/{a['id']}/otherwise", {}, 400)["field"] == "changes"
    Shaft.objects.filter(pk=right.pk).update(stock=0)
    assert "none in stock" in post(f"builds/{a['id']}/otherwise", {"shaft": right.pk}, 400)["title"]
    Shaft.objects.filter(pk=right.pk).update(stock=1, retired_at=timezone.now())
    assert "taken off the rack" in post(f"builds/{a['id']}/otherwise", {"shaft": right.pk}, 400)["title"]
    for wrong in ({"name": "", "loft_deg": 20}, {"name": "X" * 60, "loft_deg": 20}, {"name": "X", "loft_deg": 60}):
        assert post(f"sessions/{session.pk}/borrowed", {"head_type": "hybrid", **wrong}, 400)["field"]


def test_several_heads_are_turned_to_one_loft_in_one_act_and_the_fixed_ones_are_named(desk, session, post):
    url = f"sessions/{session.pk}"
    wood, fixed = Head.objects.get(label="7W"), Head.objects.get(label="U4")
    shafts = {head: next(s for s in Shaft.objects.all() if s.goes_into(head)) for head in (wood, fixed)}
    post(f"{url}/candidates", {"candidates": [{"head": h.pk, "shaft": s.pk} for h, s in shafts.items()]})
    table = [{"name": "N", "loft_deg": 0, "lie_deg": 0, "face_deg": 0},
             {"name": "U", "loft_deg": 1.6, "lie_deg": 1.0, "face_deg": -1}]  # fmt: skip
    Head.objects.filter(pk=wood.pk).update(positions=table)
    looked = desk.get(f"/api/{url}/level?loft_deg=23").json()
    assert [(row["letter"], row["loft_deg"], row["why"]) for row in looked] == [
        ("A", 23.0, ""), ("B", 22.6, "0.4° off"), ("C", None, "fixed: it does not turn"),
    ]  # fmt: skip
    seen = post(f"{url}/level", {"loft_deg": 23})
    turned = [of(seen, letter) for letter in "DE"]
    assert [each["set_loft_deg"] for each in turned] == [23.0, 22.6]
    assert turned[1]["lie_deg"] == wood.lie_deg + 1.0  # the lie that comes with the position
    # Pressed twice, or back to where the first stands: nothing is put up a second time.
    assert post(f"{url}/level", {"loft_deg": 23}, 400)["field"] == "loft_deg"
    first = of(seen, "A")["set_loft_deg"]
    back = desk.get(f"/api/{url}/level?loft_deg={first}").json()[0]
    assert (back["letter"], back["loft_deg"], back["why"]) == ("D", None, "stands there already, as A")
    assert post(f"{url}/level", {"loft_deg": 30}, 400)["field"] == "loft_deg"
    assert desk.get(f"/api/{url}/level?loft_deg=far").status_code == 400
