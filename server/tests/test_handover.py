"""Agreeing: what may be recommended, what is written down with it, and what stays as it was."""

import pytest
from fitting.models import Build, FittingSession, HeadSeen, Shot
from fitting.read import load
from handover.models import Recommendation
from hemicycle_core.golfer import Player, Swinging
from practice.demo import _hit
from rack.models import Head, Shaft
from shop.models import AuditEntry, Shop

JSON = "application/json"
GOLFER = Player(speed_mps=37.4, attack_deg=-2, lean_deg=4, misses={})


def post(desk, session, body, status=201):
    answer = desk.post(f"/api/sessions/{session.pk}/handover", body, content_type=JSON)
    assert answer.status_code == status, answer.content
    return answer.json()


def draft(desk, session):
    return desk.get(f"/api/sessions/{session.pk}/handover").json()


@pytest.fixture
def two(desk, session):
    """A and B up and hit, A being the nearer to the window."""
    head, shaft = Head.objects.filter(label="U4").first(), Shaft.objects.get(name="Wexmoor 85")
    wanted = {"candidates": [{"head": head.pk, "shaft": shaft.pk}]}
    assert desk.post(f"/api/sessions/{session.pk}/candidates", wanted, content_type=JSON).status_code == 201
    swinging = Swinging(GOLFER, seed=5)
    for build in Build.objects.filter(session=session).exclude(letter="").order_by("letter"):
        _hit(session, build, swinging, 8)
    session.refresh_from_db()
    return session


def test_every_tested_build_and_keeping_may_be_chosen_each_with_the_bag_it_makes(desk, two):
    said = draft(desk, two)
    assert [choice["letter"] for choice in said["choices"]] == ["A", "B", ""]
    before = said["before"]["club_count"]
    assert [choice["after"]["club_count"] - before for choice in said["choices"]] == [1, 1, 0]
    for choice in said["choices"][:2]:
        new = [club["letter"] for club in choice["after"]["clubs"] if club["new"]]
        assert new == [choice["letter"]]
        assert {line["label"] for line in choice["sheet"]} >= {"Head", "Set loft, as hit", "Shaft", "Price"}
        assert [lost["letter"] for lost in choice["lost"]] == [letter for letter in "AB" if letter != choice["letter"]]
    assert {lost["letter"] for lost in said["choices"][2]["lost"]} == {"A", "B"}
    assert said["suggested"] in {choice["build"] for choice in said["choices"]}


def test_what_was_not_hit_enough_cannot_be_recommended(desk, two):
    build = Build.objects.get(session=two, letter="B")
    Shot.objects.filter(run__build=build).update(aside=True)
    assert [choice["letter"] for choice in draft(desk, two)["choices"]] == ["A", ""]
    said = post(desk, two, {"build": build.pk, "reasons": "It looks good.", "lost": []}, 400)
    assert (said["field"], "3 kept shots" in said["title"]) == ("build", True)
    assert not Recommendation.objects.exists()


@pytest.mark.parametrize("reasons", ["", "   \n"])
def test_nothing_is_agreed_without_a_reason(desk, two, reasons):
    body = {"build": Build.objects.get(session=two, letter="A").pk, "reasons": reasons, "lost": []}
    assert post(desk, two, body, 400)["field"] == "reasons"
    two.refresh_from_db()
    assert two.agreed_at is None


def agree(desk, session, letter="A", **more):
    build = Build.objects.get(session=session, letter=letter).pk if letter else None
    lost = [{"letter": "B", "name": "U4", "why": "Too flat for the greens."}] if letter == "A" else []
    return post(desk, session, {"build": build, "reasons": "It holds.", "lost": lost, **more})


def test_the_record_says_who_when_why_and_why_the_other_lost(desk, two, fitter):
    agreed = agree(desk, two, next_check="2027-11-25")["agreed"]
    assert (agreed["decision"], agreed["revision"], agreed["reasons"]) == ("buy", 1, "It holds.")
    assert agreed["agreed_by"] == fitter.username
    assert agreed["next_check"] == "2027-11-25"
    assert agreed["runner_up"].startswith("B ")
    assert agreed["choice"]["lost"][0]["why"] == "Too flat for the greens."
    entry = AuditEntry.objects.get(action="handover.agree")
    assert (entry.actor, entry.subject) == (fitter, f"session:{two.pk}")


def test_to_keep_what_is_there_is_a_decision_with_nothing_to_order(desk, two):
    agreed = agree(desk, two, letter="")["agreed"]
    assert (agreed["decision"], agreed["choice"]["build"], agreed["choice"]["sheet"]) == ("keep", None, [])
    assert agreed["choice"]["after"]["clubs"] == agreed["before"]["clubs"]
    lines = {line["id"]: line["outcome"] for line in desk.get("/api/sessions").json()}
    assert lines[two.pk] == "Keep what is there"


def test_once_agreed_it_is_agreed(desk, two):
    agree(desk, two)
    again = desk.post(
        f"/api/sessions/{two.pk}/handover", {"build": None, "reasons": "Other.", "lost": []}, content_type=JSON
    )
    assert (again.status_code, again.json()["type"]) == (409, "hemicycle:agreed")
    assert Recommendation.objects.count() == 1


@pytest.mark.parametrize(
    ("method", "url", "body"),
    [
        ("put", "/api/sessions/{session}/brief", {"miss": "none", "firmness": "soft", "jobs": []}),
        ("post", "/api/sessions/{session}/clubs", {"name": "7i", "typed_carry_m": 130}),
        ("put", "/api/sessions/{session}/gap", {"rule": "carry_only", "clubs_to_place": 2}),
        ("put", "/api/shots/{shot}/aside", {"aside": True}),
        ("post", "/api/builds/{build}/settings", {"set_loft_deg": 23}),
        ("put", "/api/builds/{build}", {"liking": "vetoed"}),
        ("post", "/api/sessions/{session}/import", {"file_name": "a.csv", "text": "Club,Carry\n7i,150\n"}),
    ],
)
def test_nothing_of_an_agreed_session_can_be_changed(desk, two, method, url, body):
    agree(desk, two)
    before = draft(desk, two)["agreed"]
    there = {"session": two.pk, "shot": two.shots.first().pk, "build": Build.objects.get(session=two, letter="A").pk}
    answer = getattr(desk, method)(url.format(**there), body, content_type=JSON)
    assert (answer.status_code, answer.json()["type"]) == (409, "hemicycle:agreed"), answer.content
    assert draft(desk, two)["agreed"] == before


def test_a_shop_that_changes_its_mind_changes_no_agreed_verdict(desk, two):
    agree(desk, two)
    before = [verdict.kind for verdict in load(FittingSession.objects.get(pk=two.pk)).verdicts]
    Shop.objects.filter(pk=two.shop_id).update(thresholds={"likely": 0.95, "sure": 0.99, "least_shots": 10})
    assert [verdict.kind for verdict in load(FittingSession.objects.get(pk=two.pk)).verdicts] == before


def test_of_a_player_known_by_typed_carries_alone_nothing_is_learnt_about_the_heads(desk, two):
    agree(desk, two)
    assert not HeadSeen.objects.exists()


def test_a_session_without_a_bag_has_nothing_to_recommend_for(desk, fitter, session):
    Build.objects.filter(session=session, letter="").update(archived=True)
    said = post(desk, session, {"build": None, "reasons": "Keep.", "lost": []}, 409)
    assert said["type"] == "hemicycle:no_bag"
