"""Agreeing: what may be recommended, what is written down with it, and what stays as it was."""

from importlib import import_module

import pytest
from demo.load import hit
from fitting.domain.session import load
from fitting.models import Build, FittingSession, HeadSeen, Shot
from handover.models import Recommendation
from hemicycle_core.said import GOLFER as GOLFER_READS
from hemicycle_core.said import ClubLength, Far, High, Reader, Speed, Units, as_said, in_words
from hemicycle_core.simulation.golfer import Player, Swinging
from rack.models import Head, Shaft
from shop.models import AuditEntry

JSON = "application/json"
several = import_module("handover.migrations.0003_several_clubs").several
in_todays_names = import_module("handover.migrations.0004_editions").in_todays_names
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
        hit(session, build, swinging, 8)
    session.refresh_from_db()
    return session


def ids(session, letters):
    return [Build.objects.get(session=session, letter=letter).pk for letter in letters]


def drafted(desk, session, builds=(), dropped=(), status=200):
    asked = {"builds": list(builds), "dropped": list(dropped)}
    answer = desk.get(f"/api/sessions/{session.pk}/handover/draft", asked)
    assert answer.status_code == status, answer.content
    return answer.json()


@pytest.mark.parametrize("letters", ["", "A", "B", "AB"])
def test_any_builds_that_were_hit_and_none_may_be_chosen_with_the_bag_they_make(desk, two, letters):
    said, choice = draft(desk, two), drafted(desk, two, ids(two, letters))
    assert [each["letter"] for each in said["tested"]] == ["A", "B"]
    assert choice["after"]["club_count"] - said["before"]["club_count"] == len(letters)
    assert sorted(club["letter"] for club in choice["after"]["clubs"] if club["new"]) == list(letters)
    assert [lost["letter"] for lost in choice["lost"]] == [letter for letter in "AB" if letter not in letters]
    for club in choice["clubs"]:
        assert {line["label"] for line in club["sheet"]} >= {"Head", "Set loft, as hit", "Shaft", "Price"}
    prices = Build.objects.filter(session=two, letter__in=list(letters)).values_list("price", flat=True)
    assert choice["price"] == (str(sum(prices)) if letters else None)


def test_an_own_club_may_leave_a_fixed_one_may_not_and_a_candidate_is_not_in_the_bag_yet(desk, two):
    leaves, fixed = Build.objects.filter(session=two, letter="")[:2]
    Build.objects.filter(pk=fixed.pk).update(fixed=True)
    choice = drafted(desk, two, ids(two, "A"), [leaves.pk])
    assert leaves.name in choice["dropped"] and leaves.name not in [club["name"] for club in choice["after"]["clubs"]]
    assert f"Left out: {leaves.name}." in choice["reasons"]
    assert "is fixed" in drafted(desk, two, [], [fixed.pk], 400)["title"]
    assert drafted(desk, two, [], ids(two, "A"), 400)["field"] == "dropped"
    assert drafted(desk, two, ["first"], status=400)["field"] == "builds"


def test_over_the_limit_of_clubs_is_said(desk, two):
    FittingSession.objects.filter(pk=two.pk).update(most_clubs=Build.objects.filter(session=two, letter="").count() + 1)
    assert [drafted(desk, two, ids(two, letters))["over"] for letters in ("", "A", "AB")] == [0, 0, 1]


def test_the_one_decision_is_suggested_for_one_place_and_for_two(desk, two):
    assert draft(desk, two)["suggested"] == ids(two, [load(two).decision.choice.letter])
    FittingSession.objects.filter(pk=two.pk).update(clubs_to_place=2)
    said, bag = draft(desk, two), load(FittingSession.objects.get(pk=two.pk)).decision.bag
    assert sorted(said["suggested"]) == sorted(int(key) for key in bag.plan.keys if int(key) in ids(two, "AB"))
    assert said["draft"]["after"]["headline"] and len(said["suggested"]) in (1, 2)


def test_a_fixed_club_that_the_player_will_not_play_is_not_left_out_for_him(desk, two):
    fixed = Build.objects.filter(session=two, letter="").first()
    Build.objects.filter(pk=fixed.pk).update(fixed=True, liking="vetoed")
    FittingSession.objects.filter(pk=two.pk).update(clubs_to_place=2)
    said = draft(desk, two)
    assert fixed.pk not in said["suggested_drop"]
    assert fixed.name in [club["name"] for club in said["draft"]["after"]["clubs"]]


def test_a_plan_kept_on_the_bag_is_a_choice_and_names_what_was_not_hit(desk, two):
    head, shaft = Head.objects.filter(label="9W").first(), Shaft.objects.get(name="Fenlark 55")
    wanted = {"candidates": [{"head": head.pk, "shaft": shaft.pk}]}
    assert desk.post(f"/api/sessions/{two.pk}/candidates", wanted, content_type=JSON).status_code == 201
    own = list(Build.objects.filter(session=two, letter="").values_list("pk", flat=True))
    body = {"name": "Two in", "builds": [*own[1:], *ids(two, "BC")]}
    assert desk.post(f"/api/sessions/{two.pk}/plans", body, content_type=JSON).status_code in (200, 201)
    assert draft(desk, two)["plans"] == [
        {"name": "Two in", "builds": ids(two, "B"), "dropped": own[:1], "unhit": ["C"]}
    ]


def test_what_was_not_hit_enough_cannot_be_recommended(desk, two):
    build = Build.objects.get(session=two, letter="B")
    Shot.objects.filter(run__build=build).update(aside=True)
    assert [each["letter"] for each in draft(desk, two)["tested"]] == ["A"]
    said = post(desk, two, {"builds": ids(two, "AB"), "reasons": "It looks good.", "lost": []}, 400)
    assert (said["field"], "3 kept shots" in said["title"]) == ("builds", True)
    assert not Recommendation.objects.exists()


@pytest.mark.parametrize("reasons", ["", "   \n"])
def test_nothing_is_agreed_without_a_reason(desk, two, reasons):
    body = {"builds": ids(two, "A"), "reasons": reasons, "lost": []}
    assert post(desk, two, body, 400)["field"] == "reasons"
    two.refresh_from_db()
    assert two.agreed_at is None


def agree(desk, session, letters="A", **more):
    lost = [{"letter": "B", "name": "U4", "why": "Too flat for the greens."}] if letters == "A" else []
    return post(desk, session, {"builds": ids(session, letters), "reasons": "It holds.", "lost": lost, **more})


def test_the_record_says_who_when_why_and_why_the_other_lost(desk, two, fitter):
    agreed = agree(desk, two, next_check="2027-11-25")["agreed"]
    assert (agreed["decision"], agreed["edition"], agreed["reasons"]) == ("buy", 1, "It holds.")
    assert agreed["agreed_by"] == fitter.username
    assert agreed["next_check"] == "2027-11-25"
    assert agreed["runner_up"].startswith("B ")
    assert agreed["choice"]["lost"][0]["why"] == "Too flat for the greens."
    entry = AuditEntry.objects.get(action="handover.agree")
    assert (entry.actor, entry.subject) == (fitter, f"session:{two.pk}")


def test_to_keep_what_is_there_is_a_decision_with_nothing_to_order(desk, two):
    agreed = agree(desk, two, "")["agreed"]
    assert (agreed["decision"], agreed["choice"]["clubs"], agreed["choice"]["price"]) == ("keep", [], None)
    assert agreed["choice"]["after"]["clubs"] == agreed["before"]["clubs"]
    lines = {line["id"]: line["outcome"] for line in desk.get("/api/sessions").json()["results"]}
    assert lines[two.pk] == "Keep what is there"


def test_two_clubs_are_agreed_together_and_what_leaves_with_them(desk, two):
    leaves = Build.objects.filter(session=two, letter="").first()
    agreed = agree(desk, two, "AB", dropped=[leaves.pk])["agreed"]
    assert [club["letter"] for club in agreed["choice"]["clubs"]] == ["A", "B"]
    assert agreed["choice"]["dropped"] == [leaves.name]
    row = Recommendation.objects.get()
    assert (set(row.builds.values_list("letter", flat=True)), row.dropped.get()) == ({"A", "B"}, leaves)
    names = ", ".join(row.builds.order_by("pk").values_list("name", flat=True))
    lines = {line["id"]: line["outcome"] for line in desk.get("/api/sessions").json()["results"]}
    assert lines[two.pk] == f"Recommended: {names}"


def test_to_leave_a_club_out_is_a_decision_without_buying(desk, two):
    leaves = Build.objects.filter(session=two, letter="").first()
    agreed = agree(desk, two, "", dropped=[leaves.pk])["agreed"]
    assert (agreed["decision"], agreed["choice"]["name"]) == ("drop", f"Leave out the {leaves.name}")
    assert desk.get("/api/sessions").json()["results"][0]["outcome"] == f"Leave out: {leaves.name}"


def test_a_page_agreed_when_there_was_one_build_to_choose_and_other_names_reads_as_before(desk, two):
    now = agree(desk, two)["agreed"]["choice"]
    (club,) = now["clubs"]
    then = {**club, **{key: now[key] for key in ("name", "reasons", "lost", "after", "price")}}
    after = {**now["after"], "between": now["after"]["gaps"]}
    del after["gaps"]
    assert {**in_todays_names(several({**then, "after": after})), "swap": None, "set": None} == now
    assert several({**then, "build": None})["clubs"] == []


def test_once_agreed_it_is_agreed(desk, two):
    agree(desk, two)
    again = desk.post(
        f"/api/sessions/{two.pk}/handover", {"builds": [], "reasons": "Other.", "lost": []}, content_type=JSON
    )
    assert (again.status_code, again.json()["type"]) == (409, "hemicycle:agreed")
    assert Recommendation.objects.count() == 1


@pytest.mark.parametrize(
    ("method", "url", "body"),
    [
        ("patch", "/api/sessions/{session}/brief", {"now": {"miss": "none", "firmness": "soft", "jobs": []}}),
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


def test_of_a_player_known_by_typed_carries_alone_nothing_is_learnt_about_the_heads(desk, two):
    agree(desk, two)
    assert not HeadSeen.objects.exists()


def test_a_session_without_a_bag_has_nothing_to_recommend_for(desk, fitter, session):
    Build.objects.filter(session=session, letter="").update(archived=True)
    said = post(desk, session, {"builds": [], "reasons": "Keep.", "lost": []}, 409)
    assert said["type"] == "hemicycle:no_bag"


def test_a_setting_that_was_not_hit_may_be_ordered_as_a_prediction_that_asks_for_a_retest(desk, two):
    (a,) = ids(two, "A")
    turned = desk.post(f"/api/builds/{a}/settings", {"set_loft_deg": 23}, content_type=JSON)
    assert turned.status_code == 201
    (c,) = ids(two, "C")
    tested = {each["letter"]: each for each in draft(desk, two)["tested"]}
    assert list(tested) == ["A", "B", "C"] and tested["C"]["headline"] == "A prediction from A"
    choice = drafted(desk, two, [c])
    (club,) = choice["clubs"]
    assert club["prediction"].startswith("A prediction: it was not hit in this setting. Hit it when it is made")
    sides = {each["letter"]: each["carry_m"] for each in drafted(desk, two, [a])["after"]["clubs"] if each["letter"]}
    (after,) = [each for each in choice["after"]["clubs"] if each["new"]]
    assert -5 < (after["carry_m"] - sides["A"]) / 0.9144 < 0  # a degree more loft
    assert f"should carry {round(after['carry_m'] / 0.9144)} yd" in club["why"]
    post(desk, two, {"builds": [c], "reasons": "As ordered.", "lost": choice["lost"]})
    agreed = draft(desk, two)["agreed"]
    assert agreed["choice"]["clubs"][0]["prediction"] == club["prediction"]


def test_a_contender_that_is_not_here_yet_leaves_one_question_and_the_session_open(desk, two):
    url = f"/api/sessions/{two.pk}"
    first = desk.get(f"{url}/bench").json()["choice"]["letter"]
    seen = desk.put(f"{url}/awaited", {"name": "9W 24°"}, content_type=JSON).json()
    than = first or "what is there now"
    assert seen["question"].startswith(f"One question remains: does the 9W 24° do more than {than}?")
    assert desk.get("/api/sessions").json()["results"][0]["outcome"] == "Waits for the 9W 24°"
    long = desk.put(f"{url}/awaited", {"name": "x" * 41}, content_type=JSON)
    assert long.status_code == 400 and "40 characters" in long.json()["title"]
    assert desk.put(f"{url}/awaited", {"name": ""}, content_type=JSON).json()["question"] == ""


def test_what_stays_as_proposed_is_read_in_anybodys_units_and_what_was_written_is_as_written(desk, two):
    units = {"far": "m", "high": "m", "speed": "kmh", "warmth": "c", "club_length": "mm"}
    assert desk.put("/api/me/units", units, content_type=JSON).status_code == 200
    metric = Reader(Units(Far.METRES, High.METRES, Speed.KMH, club_length=ClubLength.MILLIMETRES, currency="GBP"))
    as_data, asked = {"Prefer": "data"}, {"builds": ids(two, "A")}
    proposed = desk.get(f"/api/sessions/{two.pk}/handover/draft", asked, headers=as_data).json()
    (lost,) = proposed["lost"]
    body = {"reasons": in_words(as_said(proposed["reasons"]), metric), "lost": [{**lost, "why": "She dislikes it."}]}
    assert " yd" not in body["reasons"]
    post(desk, two, {**asked, **body})
    agreed = desk.get(f"/api/sessions/{two.pk}/handover", headers=as_data).json()["agreed"]
    assert agreed["reasons"] == proposed["reasons"] and "say" in agreed["reasons"]
    assert [each["why"] for each in agreed["choice"]["lost"]] == ["She dislikes it."]
    in_yards = in_words(as_said(agreed["reasons"]), GOLFER_READS)
    assert in_yards != body["reasons"] and " m " not in in_yards
