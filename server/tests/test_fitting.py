"""A session through the API: what goes in comes out, nothing is lost, agreed stays agreed."""

from pathlib import Path

import pytest
from django.db.models import F
from fitting.domain.session import load
from fitting.models import Build, FittingSession, Shot
from hemicycle_core.simulation.golfer import Player, Swinging, SwungClub
from hemicycle_core.units import metres, yards
from live.actions import make_key
from shop.models import AuditEntry, Bay

JSON = "application/json"
DEMO = Path(__file__).resolve().parents[2] / "demo" / "monitor-export.csv"


@pytest.fixture
def feed(session, client):
    """Send readings through the shot feed as the bay's monitor."""
    key = make_key(Bay.objects.get(shop=session.shop), label="test")

    def send(*shots, status=200):
        answer = client.post(
            "/api/feed/shots", {"shots": list(shots)}, content_type=JSON, headers={"authorization": f"Bearer {key}"}
        )
        assert answer.status_code == status, answer.content
        return answer.json()

    return send


def hit(feed, count, carry=None, seed=1, first=0):
    """Shots of a simulated golfer, each carry moved to around `carry` metres when given."""
    made = Swinging(Player(speed_mps=36.5, attack_deg=-2, lean_deg=4, misses={}), seed=seed).shots(
        SwungClub("hybrid", 22, 1.016), count, known=True
    )
    for index, shot in enumerate(made):
        shot.pop("strike")
        if carry is not None:
            shift = carry - shot["carry_m"] + (index % 3 - 1)
            shot["carry_m"] += shift
            shot["total_m"] += shift
        feed({"id": f"{first + index}", "readings": shot})


def test_the_picture_of_a_session_says_where_the_hole_is(desk, session):
    seen = desk.get(f"/api/sessions/{session.pk}").json()
    assert seen["bag"]["headline"] == "26 yd uncovered between 5i and 5W."
    in_work = seen["bag"]["in_work"]
    assert in_work["sentence"] == "One club leaves 9 yd either side. Two close it."
    assert round(in_work["slots"][0]["target_m"] / 0.9144) == 179
    assert round((in_work["slots"][0]["high_m"] - in_work["slots"][0]["low_m"]) / 0.9144) == 7
    even = desk.put(
        f"/api/sessions/{session.pk}/gap", {"rule": "even_steps", "clubs_to_place": 2}, content_type=JSON
    ).json()
    assert [round(slot["target_m"] / 0.9144) for slot in even["bag"]["in_work"]["slots"]] == [173, 185]
    assert even["bag"]["rule_words"] == "even carry steps"


def test_a_retry_never_doubles_a_shot_and_blanks_are_marked_computed(desk, session, feed):
    shot = {"id": "s1", "readings": {"ball_speed_mps": 54.0, "launch_deg": 15.0, "spin_rpm": 4600.0, "carry_m": 163.0}}
    assert feed(shot)["new"] == 1
    again = feed(shot, {**shot, "id": "s2"})
    empty = {"differs": [], "tray": 0, "refused": []}
    assert again == {"session": session.pk, "build": "A", "accepted": ["s1", "s2"], "new": 1, **empty}
    assert Shot.objects.count() == 2
    seen = desk.get(f"/api/sessions/{session.pk}").json()
    stored = {**seen["shots"][0], "sources": {**seen["usual_sources"], **seen["shots"][0]["sources"]}}
    assert "carry_m" not in stored["sources"]  # measured, as is usual
    assert stored["sources"]["landing_deg"] == "computed"
    assert stored["readings"]["carry_m"] == 163.0
    assert stored["readings"]["total_m"] > 163.0


@pytest.mark.parametrize(
    ("readings", "words"),
    [
        ({"carry_m": 1630.0}, "no golf shot"),
        ({"launch_deg": 15.0}, "needs a carry"),
        ({"bounce": 1.0}, "not a quantity"),
    ],
)
def test_a_bad_shot_by_itself_is_refused_with_a_sentence(session, feed, readings, words):
    problem = feed({"id": "bad", "readings": readings}, status=400)
    assert words in problem["title"]
    assert Shot.objects.count() == 0


def test_setting_aside_and_bringing_back_keeps_the_shot_and_both_averages(desk, session, feed):
    hit(feed, 4, carry=164)
    feed({"id": "thin", "readings": {"carry_m": 140.0}})
    last = Shot.objects.order_by("number").last()

    def picture():
        return next(b for b in desk.get(f"/api/sessions/{session.pk}").json()["builds"] if b["letter"] == "A")

    def put(what, body):
        return desk.put(f"/api/shots/{last.pk}/{what}", body, content_type=JSON)

    put("strike", {"strike": "thin"})
    put("aside", {"aside": True, "reason": "thin"})
    aside = picture()
    assert (aside["kept"], aside["set_aside"]) == (4, 1)
    assert aside["averages_all"]["carry_m"] < aside["averages"]["carry_m"] - 4
    assert round(aside["miss_cost_m"]) == 24
    put("aside", {"aside": False})
    assert picture()["kept"] == 5
    names = list(AuditEntry.objects.filter(subject=f"shot:{last.pk}").values_list("action", flat=True))
    assert names == ["feed.shot", "shot.strike", "shot.aside", "shot.back"]


def test_a_shot_counts_for_what_it_shows(desk, session, feed):
    hit(feed, 4, carry=165)
    url, first = f"/api/sessions/{session.pk}", Shot.objects.first()

    def averages(url, body):
        seen = desk.put(url, body, content_type=JSON).json()
        return next(build for build in seen["builds"] if build["letter"] == "A")

    whole = averages(f"/api/shots/{first.pk}/counts", {})
    lineless = averages(f"/api/shots/{first.pk}/counts", {"line": False})
    assert lineless["averages"]["carry_m"] == whole["averages"]["carry_m"]
    assert lineless["averages"]["offline_m"] != whole["averages"]["offline_m"]
    misread = averages(f"/api/shots/{first.pk}/counts", {"misread": True})
    assert (misread["kept"], whole["kept"]) == (3, 4)
    nothing = desk.put(f"/api/shots/{first.pk}/counts", {"line": False, "distance": False}, content_type=JSON)
    assert nothing.status_code == 400
    desk.put(f"{url}/ask", {"intent": "low", "protocol": "shaped"}, content_type=JSON)
    hit(feed, 2, carry=140, first=10)
    seen = desk.get(url).json()
    assert [shot["intent"] for shot in seen["shots"]] == ["stock"] * 4 + ["low"] * 2
    assert next(build["kept"] for build in seen["builds"] if build["letter"] == "A") == 3
    (low,) = desk.get(f"{url}/bench").json()["findings"]
    assert (low["letter"], low["intent"], low["n"]) == ("A", "low", 2)
    assert low["by"]["carry_m"] < -20 and "yd shorter" in low["sentence"]


def test_a_new_setting_is_a_build_of_its_own_and_a_shot_can_be_moved_to_it(desk, session, feed):
    hit(feed, 3)
    first = Build.objects.get(letter="A")
    turned = desk.post(f"/api/builds/{first.pk}/settings", {"set_loft_deg": 23}, content_type=JSON).json()
    b = next(build for build in turned["builds"] if build["letter"] == "B")
    assert (b["turned_from"], turned["in_hand"], b["kept"]) == ("A", b["id"], 0)
    shot = Shot.objects.order_by("number").last()
    moved = desk.put(f"/api/shots/{shot.pk}/build", {"build": b["id"]}, content_type=JSON).json()
    assert {build["letter"]: build["kept"] for build in moved["builds"] if build["letter"]} == {"A": 2, "B": 1}
    again = desk.post(f"/api/builds/{first.pk}/settings", {"set_loft_deg": 30}, content_type=JSON)
    assert again.json()["title"] == "The Skerry 4H turns 2° either way."


def test_the_demo_file_comes_in_with_its_mishits_proposed_and_its_mapping_remembered(desk, session):
    Build.objects.filter(session=session).update(archived=True)
    body = {"file_name": DEMO.name, "text": DEMO.read_text()}
    seen = desk.post(f"/api/sessions/{session.pk}/import/preview", body, content_type=JSON).json()
    taken = {column["header"]: column["key"] for column in seen["columns"]}
    assert (taken["Carry Distance (yd)"], taken["Smash Factor"], taken["Side (yd)"]) == ("carry_m", "", "offline_m")
    assert (seen["shots"], seen["problems"], seen["remembered"]) == (54, [], False)
    assert sorted((row["club"], row["line"]) for row in seen["unlike"]) == [("5W", 12), ("6i", 17)]
    aside = {"aside": [row["line"] for row in seen["unlike"]]}
    result = desk.post(f"/api/sessions/{session.pk}/import", {**body, **aside}, content_type=JSON).json()
    assert (result["shots"], result["clubs"], result["set_aside"]) == (54, 9, 2)
    assert result["computed"] > 0
    assert desk.get(f"/api/sessions/{session.pk}").json()["bag"]["in_work"]["open_m"] > 25
    again = desk.post(f"/api/sessions/{session.pk}/import/preview", body, content_type=JSON).json()
    assert again["remembered"] is True


@pytest.mark.parametrize(
    ("text", "words"),
    [("", "at least one shot"), ("\x00\x01", "not a text file"), ("name,price\nx,1\n", "which column is the carry")],
)
def test_a_file_of_something_else_says_so_and_changes_nothing(desk, session, text, words):
    answer = desk.post(f"/api/sessions/{session.pk}/import", {"file_name": "x.csv", "text": text}, content_type=JSON)
    assert answer.status_code == 400
    assert words in answer.json()["title"]
    assert session.imports.count() == 0


def test_targets_can_be_overruled_and_taken_back(desk, session):
    def target(body):
        seen = desk.put(f"/api/sessions/{session.pk}/targets", body, content_type=JSON).json()
        return next(t for t in seen["bag"]["in_work"]["slots"][0]["targets"] if t["quantity"] == "carry_m")

    mine = target({"slot": 0, "quantity": "carry_m", "low": 150, "high": 155})
    assert (mine["low"], mine["overruled"]) == (150, True)
    assert mine["proposed_low"] > 155
    assert target({"slot": 0, "quantity": "carry_m"})["overruled"] is False
    wrong = desk.put(
        f"/api/sessions/{session.pk}/targets",
        {"slot": 0, "quantity": "carry_m", "low": 160, "high": 150},
        content_type=JSON,
    )
    assert (wrong.status_code, wrong.json()["field"]) == (400, "low")


def test_the_brief_names_the_field_at_fault_and_keeps_what_was_there(desk, session):
    job = {
        "name": "Par three", "kind": "green", "distance_m": 165, "carry_over_m": None,
        "width_m": 20, "depth_m": 24, "firmness": "firm", "uses_per_round": 1,
    }  # fmt: skip
    good = {"miss": "left", "firmness": "firm", "jobs": [job]}
    seen = desk.patch(f"/api/sessions/{session.pk}/brief", {"now": good}, content_type=JSON).json()
    landing = next(t for t in seen["bag"]["in_work"]["slots"][0]["targets"] if t["quantity"] == "landing_deg")
    assert landing["low"] == 47
    bad = {**good, "jobs": [job, {**job, "distance_m": 2}]}
    problem = desk.patch(f"/api/sessions/{session.pk}/brief", {"now": bad}, content_type=JSON).json()
    assert problem["field"] == "jobs.1.distance"
    assert session.jobs.count() == 1
    long = desk.patch(f"/api/sessions/{session.pk}/brief", {"now": {"notes": "x" * 20_001}}, content_type=JSON)
    assert (long.status_code, long.json()["field"]) == (400, "notes")


def test_a_recommendation_is_agreed_once_and_does_not_follow_later_edits(desk, session, feed):
    hit(feed, 8, carry=164)
    draft = desk.get(f"/api/sessions/{session.pk}/handover").json()
    assert draft["suggested"] == [Build.objects.get(letter="A").pk]
    assert draft["draft"]["after"]["club_count"] == draft["before"]["club_count"] + 1
    body = {"builds": draft["suggested"], "reasons": "", "lost": []}
    refused = desk.post(f"/api/sessions/{session.pk}/handover", body, content_type=JSON)
    assert refused.json()["field"] == "reasons"
    body["reasons"] = "It lands in the window."
    agreed = desk.post(f"/api/sessions/{session.pk}/handover", body, content_type=JSON).json()["agreed"]
    carry = next(club["carry_m"] for club in agreed["choice"]["after"]["clubs"] if club["new"])
    shot = Shot.objects.first()
    late = desk.put(f"/api/shots/{shot.pk}/aside", {"aside": True}, content_type=JSON)
    assert (late.status_code, late.json()["type"]) == (409, "hemicycle:agreed")
    page = desk.get(f"/api/sessions/{session.pk}/handover").json()["agreed"]
    assert next(club["carry_m"] for club in page["choice"]["after"]["clubs"] if club["new"]) == carry
    assert feed({"id": "late", "readings": {"carry_m": 160.0}})["tray"] == 1


def test_a_new_visit_brings_the_bag_along_and_what_lasts_of_the_brief(desk, session):
    told = {"miss": "left", "firmness": "soft", "jobs": [], "likes": {"fairway": "disliked"}, "lies": ["rough"]}
    desk.patch(f"/api/sessions/{session.pk}/brief", {"now": told}, content_type=JSON)
    body = {"customer": session.customer_id, "bay": session.bay_id}
    visit = desk.post("/api/sessions", body, content_type=JSON).json()
    assert [build["name"] for build in visit["builds"]] == ["Dr", "5W", "5i", "6i"]
    assert visit["bag"]["headline"] == "26 yd uncovered between 5i and 5W."
    assert (visit["brief"]["miss"], visit["brief"]["likes"]) == ("left", {"fairway": "disliked"})
    assert visit["status"] == "not_begun"
    assert FittingSession.objects.count() == 2


def test_the_flight_is_anchored_anew_when_what_counts_changes(desk, session, feed):
    hit(feed, 5)

    def anchored():
        return load(FittingSession.objects.get(pk=session.pk)).known.anchored

    first = anchored()
    assert (first.shots, anchored() is first) == (5, True)
    shot = Shot.objects.first()
    desk.put(f"/api/shots/{shot.pk}/counts", {"misread": True}, content_type=JSON)
    assert anchored().shots == 4
    desk.put(f"/api/shots/{shot.pk}/counts", {}, content_type=JSON)
    assert anchored() is first


def test_a_session_is_judged_anew_when_anything_it_rests_on_changes_and_only_then(desk, session, feed):
    hit(feed, 4, carry=164)
    url = f"/api/sessions/{session.pk}"

    def judged():
        return load(FittingSession.objects.get(pk=session.pk)).decision.judgement

    first = judged()
    desk.get(f"{url}/bench")
    desk.put(f"{url}/in-hand", {"build": Build.objects.get(letter="A").pk}, content_type=JSON)
    assert judged() is first
    for change, body in (
        (f"{url}/targets", {"slot": 0, "quantity": "carry_m", "low": 150, "high": 160}),
        (f"{url}/gap", {"rule": "even_steps", "clubs_to_place": 1}),
        (f"/api/builds/{Build.objects.get(name='5W').pk}", {"typed_carry_m": 185.0}),
        (f"/api/builds/{Build.objects.get(letter='A').pk}", {"liking": "disliked"}),
        (f"/api/shots/{Shot.objects.first().pk}/aside", {"aside": True}),
    ):
        before = judged()
        assert desk.put(change, body, content_type=JSON).status_code == 200
        assert judged() is not before, change
    before = judged()
    assert desk.patch(f"{url}/brief", {"now": {"miss": "left"}}, content_type=JSON).status_code == 200
    assert judged() is not before
    before = judged()
    session.shop.thresholds = {"sure": 0.9}
    session.shop.save()
    assert judged() is not before


def test_a_session_is_read_in_a_fixed_number_of_queries(desk, session, feed, django_assert_num_queries):
    hit(feed, 3)
    desk.get("/api/me")  # writes down when this sign-in was last seen
    with django_assert_num_queries(24):
        desk.get(f"/api/sessions/{session.pk}")
    hit(feed, 9, first=10)
    # What changed is read again, and nothing else, however many shots there are.
    with django_assert_num_queries(14):
        desk.get(f"/api/sessions/{session.pk}")
    # Who asks, and whether it changed: nothing else is read.
    with django_assert_num_queries(4):
        desk.get(f"/api/sessions/{session.pk}")


def test_a_slip_in_one_shot_never_shuts_a_session(desk, session):
    def typed(**readings):
        body = {"build": session.in_hand_id, **readings}
        return desk.post(f"/api/sessions/{session.pk}/shots", body, content_type="application/json")

    def build():
        seen = desk.get(f"/api/sessions/{session.pk}").json()["builds"]
        return next(each for each in seen if each["id"] == session.in_hand_id)

    for carry in (60.0, 61.0, 62.0):
        assert typed(carry_m=carry, total_m=carry + 3).status_code == 201
    # 160 for 60, and of that one no total was read: carry and total both move, and the roll stays.
    assert typed(carry_m=160.0).status_code == 201
    seen = build()
    assert seen["total_m"] - seen["carry_m"] == pytest.approx(3) and seen["total_read"]
    # Totals that lie far under their carries, as a column misread once leaves them, are none.
    Shot.objects.filter(session=session).update(total_m=F("carry_m") - 24)
    seen = build()
    assert seen["total_m"] > seen["carry_m"] - 20


def test_averages_of_several_clubs_go_in_at_once_as_unsure_as_their_balls(desk, session):
    def send(clubs, status=201):
        answer = desk.post(f"/api/sessions/{session.pk}/averages", {"clubs": clubs}, content_type="application/json")
        assert answer.status_code == status, answer.content
        return answer.json()

    five = {"name": "5 iron", "balls": 5, "carry_m": metres(168), "within_m": metres(6)}
    before = Build.objects.count()
    # All or none: of a wrong one nothing goes in.
    assert send([five, {"name": "8i", "balls": 0, "carry_m": 120}], 400)["field"] == "balls"
    assert send([five, {"name": "mystery", "balls": 3, "carry_m": 120}], 400)["field"] == "head_type"
    assert send([five, {**five, "name": "5i"}], 400)["title"].startswith("5i stands in two rows")
    assert Build.objects.count() == before
    built = {each["name"]: each for each in send([five, {"name": "8i", "balls": 1, "carry_m": metres(135)}])["builds"]}
    known = built["5i"]
    assert yards(known["carry_m"]) == pytest.approx(168)
    assert known["carry_from"] == "typed"
    assert yards(known["carry_doubt_m"]) == pytest.approx(4.23, abs=0.01)
    assert known["known_from"].endswith("5 balls, all within 6 yd, read off a screen")
    assert yards(built["8i"]["carry_doubt_m"]) == pytest.approx(6.66, abs=0.01)
    assert Build.objects.get(name="5i").typed_spread_m == pytest.approx(metres(6) / 1.353)
    # One act, taken back whole.
    undone = desk.post(f"/api/sessions/{session.pk}/undo", {}, content_type="application/json").json()
    assert [each["name"] for each in undone["builds"] if each["name"] == "8i"] == []
    assert next(each for each in undone["builds"] if each["name"] == "5i")["known_from"] == ""
    # Typed by hand again, it is no average of balls any more.
    send([five])
    five_iron = Build.objects.get(name="5i")
    desk.put(f"/api/builds/{five_iron.pk}", {"typed_carry_m": metres(160)}, content_type="application/json")
    five_iron.refresh_from_db()
    assert (five_iron.typed_spread_m, five_iron.known_from) == (None, "")
