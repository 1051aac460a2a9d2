"""Planning a bag through the API: the short list, plans side by side, rules of each end, targets with versions."""

from dataclasses import replace

import numpy as np
import pytest
from customers.actions import add_customer
from demo.data import CUSTOMERS, HEADS
from demo.load import hit
from fitting.actions import builds, sessions
from fitting.domain.session import load
from fitting.models import Build, FittingSession, HeadSeen, WindowVersion
from hemicycle_core.answers.clubs import mean_of
from hemicycle_core.bag import HeadType
from hemicycle_core.bag.clubs import usual_loft_and_inches
from hemicycle_core.flight import Air
from hemicycle_core.formats.club_names import kind_of, short_name
from hemicycle_core.rack import expect, owned
from hemicycle_core.rack.lofts import LoftedHead as CoreHead
from hemicycle_core.shots import Shot as CoreShot
from hemicycle_core.shots import anchor_to
from hemicycle_core.simulation.golfer import Player, Swinging, SwungClub
from hemicycle_core.thresholds import DEFAULT
from hemicycle_core.units import METRES_PER_INCH, METRES_PER_YARD
from rack.models import Head, Shaft
from shop.models import Bay

JSON = "application/json"
GOLFER = Player(speed_mps=36.5, attack_deg=-2, lean_deg=4)


def put(desk, url, body, status=200):
    answer = desk.put(url, body, content_type=JSON)
    assert answer.status_code == status, answer.content
    return answer.json()


def post(desk, url, body, status=201):
    answer = desk.post(url, body, content_type=JSON)
    assert answer.status_code == status, answer.content
    return answer.json()


@pytest.fixture
def hit_session(fitter, shop):
    """A session whose bag was hit, with jobs, and nothing on the stand."""
    customer = add_customer(fitter, name="Bo Hill", hand="right")
    session = sessions.open_session(fitter, customer_id=customer.pk, bay_id=Bay.objects.get(shop=shop).pk)
    swinging = Swinging(GOLFER, seed=4, air=Air(temperature_c=session.temperature_c))
    for name in ("Dr", "5W", "5i", "6i", "7i", "8i", "Pt"):
        build = builds.add_club(fitter, session.pk, name=name, fixed=name == "Dr" or None)
        if name != "Pt":
            hit(session, build, swinging, 5)
    return session


def brief(desk, session, **more):
    job = {
        "name": "Second", "kind": "green", "distance_m": 163, "carry_over_m": None, "width_m": 22, "depth_m": 26,
        "firmness": "medium", "uses_per_round": 2,
    }  # fmt: skip
    body = {"miss": "none", "firmness": "medium", "jobs": [job], **more}
    return desk.patch(f"/api/sessions/{session.pk}/brief", {"now": body}, content_type=JSON).json()


def test_the_short_list_puts_up_what_it_proposes_and_plans_count_it_as_expected(desk, hit_session):
    brief(desk, hit_session)
    url = f"/api/sessions/{hit_session.pk}"
    (rows,) = desk.get(f"{url}/shortlist").json()["slots"]
    assert rows[0]["chance"] >= rows[1]["chance"] > 0
    assert {row["label"] for row in rows} >= {"4H", "9W", "U4"}
    assert "Corrie" not in {row["name"].split()[1] for row in rows}  # none in stock
    wanted = [{"head": r["head"], "shaft": r["shaft"], "set_loft_deg": r["set_loft_deg"]} for r in rows[:2]]
    seen = post(desk, f"{url}/candidates", {"candidates": wanted})
    assert [build["letter"] for build in seen["builds"] if build["letter"]] == ["A", "B"]
    plans = desk.get(f"{url}/plans").json()
    assert plans["found"]["added"] == []  # nothing is proposed that nobody hit
    assert plans["expected"]["expected"] and plans["expected"]["saves"] > 0
    assert plans["today"]["club_count"] == 7
    (rows,) = desk.get(f"{url}/shortlist").json()["slots"]
    assert [row["letter"] for row in rows[:2]] == ["A", "B"]


def test_plans_stand_side_by_side_three_at_most_and_agree_with_the_map(desk, hit_session, fitter):
    brief(
        desk, hit_session,
        courses=[{"name": "Home", "kind": "home", "firmness": "soft", "share": 80},
                 {"name": "Links", "kind": "trip", "firmness": "firm", "share": 20}],
    )  # fmt: skip
    url = f"/api/sessions/{hit_session.pk}"
    shaft = Shaft.objects.get(name="Fenlark 65 H")
    heads = [{"head": Head.objects.get(label=label, model="Skerry").pk, "shaft": shaft.pk} for label in ("4H", "5H")]
    seen = post(desk, f"{url}/candidates", {"candidates": heads})
    own = [build["id"] for build in seen["builds"] if not build["letter"] and build["carry_m"]]
    a, b = (build["id"] for build in seen["builds"] if build["letter"])
    pair = {"name": "Pair", "builds": [*own, a, b], "swap_home": a, "swap_away": b, "swap_course": "Links"}
    plans = post(desk, f"{url}/plans", pair)
    (kept,) = plans["plans"]
    assert (kept["club_count"], kept["swap_course"]) == (8, "Links")
    assert [gap["open_m"] for gap in plans["today"]["gaps"]] == [g["open_m"] for g in seen["bag"]["gaps"]]
    assert plans["courses"] == ["Home", "Links"]
    only = put(desk, f"/api/plans/{kept['id']}", {"name": "A alone", "builds": [*own, a]})["plans"][0]
    assert (only["added"], only["price"]) == (["A 4H 22°"], "279")
    for name in ("Two", "Three"):
        post(desk, f"{url}/plans", {**pair, "name": name})
    assert "at most" in post(desk, f"{url}/plans", {**pair, "name": "Four"}, 409)["title"]
    assert "two clubs of the plan" in post(desk, f"{url}/plans", {**pair, "swap_away": a}, 400)["title"]
    assert len(desk.delete(f"/api/plans/{kept['id']}").json()["plans"]) == 2
    # Recommended together, the pair is one place of the bag, with the course it is for.
    swinging = Swinging(GOLFER, seed=9)
    for build in (a, b):
        hit(hit_session, Build.objects.get(pk=build), swinging, 4)
    drafted = desk.get(f"{url}/handover/draft", {"builds": [a, b]}).json()
    assert drafted["swap"] == {"home": "A 4H 22°", "away": "B 5H 25°", "course": "Links"}
    assert drafted["after"]["club_count"] == 8
    assert drafted["over"] == 0
    assert "B 5H 25° on Links, A 4H 22° elsewhere: one place of the bag." in drafted["reasons"]
    assert {club["letter"] for club in drafted["after"]["clubs"]} == {"", "A", "B"}
    alone = desk.get(f"{url}/handover/draft", {"builds": [a]}).json()
    assert (alone["swap"], alone["after"]["club_count"]) == (None, 8)


def test_each_end_has_its_rule_its_step_and_its_turf(desk, session):
    url = f"/api/sessions/{session.pk}"
    rules = {"short_rule": "even_steps", "long_least_m": 9.144, "long_most_m": 18.288, "short_least_m": None}
    put(desk, f"{url}/gap", {"rule": "even_steps", "clubs_to_place": 1})
    bag = put(desk, f"{url}/rules", rules)["bag"]
    yards = [round(bag[end][at] / 0.9144) for end in ("long_step", "short_step") for at in ("low", "high")]
    assert yards == [10, 20, 10, 15]
    hole = next(gap for gap in bag["gaps"] if gap["open_m"])
    assert round(hole["open_m"] / 0.9144) == 34 - 20
    assert "both ends" in put(desk, f"{url}/rules", {**rules, "long_most_m": None}, 400)["title"]
    assert "3 to 40" in put(desk, f"{url}/rules", {**rules, "long_least_m": 60}, 400)["title"]


def test_firm_turf_runs_further_than_soft(desk, hit_session):
    url = f"/api/sessions/{hit_session.pk}"

    def total(turf):
        seen = put(desk, f"{url}/rules", {"short_rule": "even_steps", "turf": turf})
        return next(build["total_m"] for build in seen["builds"] if build["name"] == "5W")

    assert total("firm") > total("medium") > total("soft")
    assert total(None) == pytest.approx(total("medium"), rel=0.02)


def test_targets_have_versions_from_the_first_candidate_on(desk, session, fitter):
    assert WindowVersion.objects.count() == 1
    swinging = Swinging(GOLFER, seed=2)
    build = Build.objects.get(letter="A")
    hit(session, build, swinging, 8)
    url = f"/api/sessions/{session.pk}"
    carry = mean_of(load(FittingSession.objects.get(pk=session.pk)).facts.by_key[build.pk], "carry_m").mean
    body = {"slot": 0, "quantity": "carry_m", "low": carry - 4, "high": carry + 4}
    seen = put(desk, f"{url}/targets", body)
    assert seen["versions"] == 2
    (verdict,) = seen["verdicts"]
    assert verdict["kind"].startswith("fills")
    assert verdict["at_first"].startswith("One head away (carry 17")
    again = put(desk, f"{url}/targets", body)
    assert again["versions"] == 2
    put(desk, f"{url}/targets", {"slot": 0, "quantity": "carry_m"})
    assert desk.get(url).json()["verdicts"][0]["at_first"] == ""


def test_like_for_like_aims_at_the_club_that_is_there(desk, session):
    wood = Build.objects.get(name="5W")
    body = {"rule": "roll_out", "clubs_to_place": 1, "wish": "like", "like_for": wood.pk}
    bag = put(desk, f"/api/sessions/{session.pk}/gap", body)["bag"]
    assert bag["headline"] == "Wanted: a club that does what the 5W does."
    (slot,) = bag["in_work"]["slots"]
    assert round(slot["target_m"] / 0.9144) == 196
    assert slot["targets"][0]["sure"] == "Known to ±7 yd: 5W was not hit."
    bag = put(desk, f"/api/sessions/{session.pk}/gap", {"rule": "roll_out", "clubs_to_place": 1})["bag"]
    assert bag["wanted"] == {"wish": "gap", "like": None, "flight": None, "named": None, "ways": []}


def test_the_yardage_stays_and_the_flight_changes_or_a_yardage_is_named(desk, hit_session):
    url = f"/api/sessions/{hit_session.pk}"
    seen = desk.get(url).json()
    old = next(each for each in seen["builds"] if each["name"] == "5W")
    ask = {"rule": "roll_out", "clubs_to_place": 1, "wish": "flight", "like_for": old["id"], "flight": "steeper"}
    seen = put(desk, f"{url}/gap", ask)
    assert seen["bag"]["headline"] == "Wanted: a club that keeps the yardage of the 5W and lands steeper."
    targets = {each["quantity"]: each for each in seen["bag"]["in_work"]["slots"][0]["targets"]}
    assert targets["carry_m"]["low"] < old["carry_m"] < targets["carry_m"]["high"]
    assert targets["landing_deg"]["low"] == pytest.approx(old["averages"]["landing_deg"] + 0.5)
    assert seen["bag"]["wanted"]["flight"] == "steeper"
    band = {"rule": "roll_out", "clubs_to_place": 1, "named": {"low_m": 180, "high_m": 190, "total": False}}
    seen = put(desk, f"{url}/gap", band)
    carry = seen["bag"]["in_work"]["slots"][0]["targets"][0]
    assert (carry["low"], carry["high"]) == (180, 190)
    assert seen["bag"]["headline"] == "197 to 208 yd was asked for."
    refused = put(desk, f"{url}/gap", {**band, "named": {"low_m": 190, "high_m": 180}}, 400)
    assert refused["field"] == "named_low_m"
    putter = next(each for each in seen["builds"] if each["name"] == "Pt")
    refused = put(desk, f"{url}/gap", {**ask, "wish": "far", "like_for": putter["id"]}, 400)
    assert refused["title"].startswith("Hit or type that club first")
    refused = put(desk, f"{url}/gap", {**ask, "like_for": None}, 400)
    assert refused["field"] == "like_for"
    assert desk.get(url).json()["bag"]["headline"] == "197 to 208 yd was asked for."  # as it was
    longest = next(each for each in seen["builds"] if each["name"] == "Dr")
    at_an_end = put(desk, f"{url}/gap", {**ask, "like_for": longest["id"]})["bag"]["in_work"]
    assert (at_an_end["lower"], at_an_end["upper"]) == (None, None)


def test_a_wish_against_a_kind_of_head_holds_on_the_rack_and_on_the_stand(desk, hit_session):
    brief(desk, hit_session, likes={"fairway": "vetoed"})
    seen = desk.get(f"/api/sessions/{hit_session.pk}/shortlist").json()
    assert {row["head_type"] for row in seen["slots"][0]} == {"hybrid", "utility"}
    assert any("vetoed by the player" in line for line in seen["left_out"])


def test_an_import_is_taken_back_whole_and_comes_in_again(desk, session):
    text = "club,carry_m\n" + "4i,150\n" * 3 + "5i,149\n" * 3
    url = f"/api/sessions/{session.pk}"
    post(desk, f"{url}/import", {"file_name": "a.csv", "text": text})
    (file,) = desk.get(url).json()["imports"]
    assert file["shots"] == 6
    back = put(desk, f"/api/imports/{file['id']}", {"undone": True})
    assert "4i" not in [build["name"] for build in back["builds"]]
    typed = next(build for build in back["builds"] if build["name"] == "5i")
    assert (typed["carry_from"], back["shots"]) == ("typed", [])
    again = put(desk, f"/api/imports/{file['id']}", {"undone": False})
    assert (len(again["shots"]), "4i" in [build["name"] for build in again["builds"]]) == (6, True)


def test_what_the_shop_saw_of_a_head_is_kept_when_a_session_is_agreed(desk, hit_session, fitter):
    shaft = Shaft.objects.get(name="Fenlark 65 H")
    body = {"candidates": [{"head": Head.objects.get(label="4H", model="Skerry").pk, "shaft": shaft.pk}]}
    post(desk, f"/api/sessions/{hit_session.pk}/candidates", body)
    hit(hit_session, Build.objects.get(letter="A"), Swinging(GOLFER, seed=3), 5)
    agree = {"builds": [Build.objects.get(letter="A").pk], "reasons": "It fills it.", "lost": []}
    post(desk, f"/api/sessions/{hit_session.pk}/handover", agree)
    (seen,) = HeadSeen.objects.all()
    assert seen.won
    assert abs(seen.departure[0]) < 0.05
    other = add_customer(fitter, name="Cy", hand="right")
    made = sessions.open_session(fitter, customer_id=other.pk, bay_id=hit_session.bay_id)
    for name, carry in (("5W", 180), ("5i", 148), ("7i", 130)):
        builds.add_club(fitter, made.pk, name=name, typed_carry_m=carry)
    rows = desk.get(f"/api/sessions/{made.pk}/shortlist").json()
    assert next(row["players"] for row in rows["slots"][0] if row["label"] == "4H") == 1
    assert "rests on carries alone" in rows["why"]


ODD_BAGS = {
    "none": [],
    "one": [("7i", 130)],
    "two": [("Dr", 200), ("7i", 130)],
    "out of order": [("Dr", 120), ("7i", 180), ("SW", 150)],
    "equal carries": [("5i", 150), ("6i", 150), ("7i", 150)],
    "seventeen": [(f"{n}i spare" if n > 9 else f"{n + 1}i", 60 + 9 * n) for n in range(17)],
    "no lofts": [("7 wood of old", 160), ("4H of old", 140), ("5i", 150)],
}


@pytest.mark.parametrize("clubs", ODD_BAGS.values(), ids=ODD_BAGS.keys())
def test_an_odd_bag_is_read_whole_and_every_part_of_the_place_still_answers(desk, fitter, shop, clubs):
    customer = add_customer(fitter, name="Odd", hand="right")
    made = sessions.open_session(fitter, customer_id=customer.pk, bay_id=Bay.objects.get(shop=shop).pk)
    for name, carry in clubs:
        builds.add_club(fitter, made.pk, name=name, typed_carry_m=carry)
    url = f"/api/sessions/{made.pk}"
    bag = brief(desk, made)["bag"]
    assert (len(bag["order"]), bag["club_count"]) == (len(clubs), len(clubs))
    assert desk.get(f"{url}/shortlist").status_code == 200
    plans = desk.get(f"{url}/plans").json()
    assert plans["today"]["club_count"] == len(clubs)
    assert plans["today"]["over"] == max(0, len(clubs) - 14)
    assert desk.get(f"{url}/handover").status_code == 200


def test_the_short_list_comes_near_the_truth_of_the_demo_players():
    """Every head of the demo rack for every demo player: docs/decisions/0006 states the figures."""
    off, inside = [], []
    for customer in CUSTOMERS:
        golfer = Player.from_dict(customer.golfer)
        steady = replace(golfer, misses={}, warm_up=0.0, tiring=0.0)
        swinging = Swinging(golfer, seed=customer.seed)
        clubs, hit = [], []
        for name in customer.clubs or ("Dr", "5W", "6i", "7i", "8i", "9i", "PW", "SW"):
            if name != "Pt":
                loft, inches = usual_loft_and_inches(short_name(name)) or (0.0, 0.0)
                head = CoreHead(name, kind_of(short_name(name)), loft, inches * METRES_PER_INCH)
                shots = [
                    CoreShot({k: v for k, v in shot.items() if k != "strike"}, aside=shot["strike"] is not None)
                    for shot in swinging.shots(SwungClub(head.head_type, loft, head.length_m), 5, known=True)
                ]
                hit += shots
                clubs.append(owned(head, shots, typed_sd_m=4.0))
        expectation = expect([c for c in clubs if c], anchored=anchor_to(hit, [Air()] * len(hit)))
        heads = [CoreHead(row[1] + row[2], HeadType(row[3]), row[4], row[6] * METRES_PER_INCH) for row in HEADS]
        for each in expectation.of(heads):
            club = SwungClub(each.head.head_type, each.head.loft_deg, each.head.length_m)
            true = Swinging(steady, 9).swing(club, 300, known=True).readings["carry_m"].mean()
            off.append((each.carry_m - true) / METRES_PER_YARD)
            inside.append(abs(each.carry_m - true) < 1.645 * each.carry_sd_m)
    assert np.abs(off).mean() < 3.5
    assert np.mean(inside) > 0.85, np.mean(inside)


SLOW = Player(speed_mps=27.0, attack_deg=-1.0, lean_deg=2.0)


def baseline(fitter, shop, golfer, names=("Dr", "5W", "6i", "7i", "8i"), hand="right"):
    customer = add_customer(fitter, name=f"At {golfer.speed_mps} {hand}", hand=hand)
    made = sessions.open_session(fitter, customer_id=customer.pk, bay_id=Bay.objects.get(shop=shop).pk)
    swinging = Swinging(golfer, seed=6)
    for name in names:
        hit(made, builds.add_club(fitter, made.pk, name=name), swinging, 5)
    return made


def test_a_slow_player_is_told_what_no_club_can_do_and_what_one_can(desk, fitter, shop):
    made = baseline(fitter, shop, SLOW)
    seen = brief(desk, made)
    (slot,) = seen["bag"]["in_work"]["slots"]
    middle = slot["target_m"]
    job = {
        "name": "Par three", "kind": "green", "distance_m": middle, "width_m": 24, "depth_m": 26, "firmness": "firm",
        "uses_per_round": 1, "carry_over_m": None,
    }  # fmt: skip
    seen = brief(desk, made, jobs=[job])
    landing = next(t for t in seen["bag"]["in_work"]["slots"][0]["targets"] if t["quantity"] == "landing_deg")
    assert landing["out_of_reach"].startswith("Out of reach at this speed")
    fast = baseline(fitter, shop, Player(speed_mps=43.0, attack_deg=-3.5, lean_deg=7.0), ("Dr", "3W", "4i", "5i", "6i"))
    distance = brief(desk, fast)["bag"]["in_work"]["slots"][0]["target_m"]
    seen = brief(desk, fast, jobs=[{**job, "distance_m": distance, "firmness": "soft"}])
    landing = next(t for t in seen["bag"]["in_work"]["slots"][0]["targets"] if t["quantity"] == "landing_deg")
    assert landing["out_of_reach"] == ""


def test_each_kind_of_head_has_its_window_and_is_judged_by_it_unless_the_fitter_set_one(desk, hit_session):
    brief(desk, hit_session)
    url = f"/api/sessions/{hit_session.pk}"
    utility, shaft = Head.objects.get(label="U4"), Shaft.objects.get(name="Wexmoor 85")
    post(desk, f"{url}/candidates", {"candidates": [{"head": utility.pk, "shaft": shaft.pk}]})
    swinging = Swinging(GOLFER, seed=8)
    hit(hit_session, Build.objects.get(letter="A"), swinging, 4)
    seen = desk.get(url).json()
    (slot,) = seen["bag"]["in_work"]["slots"]
    low = {each["head_type"]: each["low_m"] for each in slot["by_type"]}
    assert low["fairway"] > low["hybrid"] > low["utility"]
    carry = next(fact for fact in seen["verdicts"][0]["facts"] if fact["quantity"] == "carry_m")
    assert carry["low"] == pytest.approx(low["utility"])
    # From the fifth shot on by what it rolls itself.
    hit(hit_session, Build.objects.get(letter="A"), swinging, 2)
    own = next(each for each in desk.get(url).json()["builds"] if each["letter"] == "A")
    assert own["roll_known"] is True
    assert own["wanted"]["carry_m"]["low"] != pytest.approx(low["utility"], abs=0.2)
    seen = put(desk, f"{url}/targets", {"slot": 0, "quantity": "carry_m", "low": 150, "high": 160})
    assert seen["bag"]["in_work"]["slots"][0]["by_type"] == []
    carry = next(fact for fact in seen["verdicts"][0]["facts"] if fact["quantity"] == "carry_m")
    assert (carry["low"], carry["high"]) == (150, 160)


def test_how_many_clubs_belong_follows_what_the_jobs_call_for(desk, hit_session):
    def said(**more):
        bag = brief(desk, hit_session, **more)["bag"]
        return bag["in_work"]["proposed_count"], next(r["sentence"] for r in bag["remarks"] if r["what"] == "count")

    count, _ = said()
    assert count >= 1
    far = {
        "name": "Pitch", "kind": "green", "distance_m": 60, "carry_over_m": None, "width_m": 20, "depth_m": 20,
        "firmness": "soft", "uses_per_round": 4,
    }  # fmt: skip
    count, sentence = said(jobs=[far])
    assert count == 1  # a hole is met now and then, whatever was named
    assert "are in no job that is named, and are met now and then" in sentence


def test_what_is_typed_is_known_as_well_as_it_is_said_to_be(desk, session):
    def sure():
        bag = desk.get(f"/api/sessions/{session.pk}").json()["bag"]
        return bag["in_work"]["slots"][0]["targets"][0]["sure"]

    assert sure().startswith("Known to ±5 yd")
    for name in ("5i", "5W"):
        put(desk, f"/api/builds/{Build.objects.get(name=name).pk}", {"typed_doubt_m": 1.8288})
    assert sure() == "Known to ±1 yd: 5i and 5W were typed, not hit."


def test_a_left_hander_is_not_shown_what_is_not_made_for_them_and_is_told_so(desk, fitter, shop):
    made = baseline(fitter, shop, Player(speed_mps=36, hand="left"), hand="left")
    seen = desk.get(f"/api/sessions/{made.pk}/shortlist").json()
    assert not {"9W", "U3"} & {row["label"] for row in seen["slots"][0]}
    assert any(line.startswith("9W Tarnhollow: not made left-handed") for line in seen["left_out"])


def test_a_veto_of_a_kind_in_the_brief_is_a_veto_of_its_builds_until_the_player_says_otherwise(desk, hit_session):
    url = f"/api/sessions/{hit_session.pk}"
    wood, shaft = Head.objects.get(label="7W"), Shaft.objects.get(name="Fenlark 65")
    post(desk, f"{url}/candidates", {"candidates": [{"head": wood.pk, "shaft": shaft.pk}]})
    build = Build.objects.get(letter="A")
    hit(hit_session, build, Swinging(GOLFER, seed=8), 4)
    assert brief(desk, hit_session, likes={"fairway": "vetoed"})["verdicts"][0]["kind"] == "vetoed"
    assert str(build.pk) not in str(desk.get(f"{url}/plans").json()["found"]["builds"])
    seen = put(desk, f"/api/builds/{build.pk}", {"liking": "liked"})
    assert seen["verdicts"][0]["kind"] != "vetoed"


def test_courses_need_names_of_their_own_and_shares_that_are_shares(desk, session):
    def refused(*courses):
        return brief(desk, session, courses=list(courses))

    home = {"name": "Home", "kind": "home", "firmness": "soft", "share": 80}
    assert refused(home, {**home, "kind": "trip"})["field"] == "courses.1.name"
    assert refused({**home, "share": 130})["field"] == "courses.0.share"
    assert refused({**home, "green_ft": 3})["field"] == "courses.0.green_ft"
    assert refused(*({**home, "name": f"C{n}"} for n in range(7)))["field"] == "courses"


def test_after_an_import_is_taken_back_shots_go_on_counting_and_the_file_may_come_again(desk, session):
    url = f"/api/sessions/{session.pk}"
    file = {"file_name": "a.csv", "text": "club,carry_m\n7i,131\n7i,132\n7i,133\n"}
    post(desk, f"{url}/import", file)
    (first,) = desk.get(url).json()["imports"]
    put(desk, f"/api/imports/{first['id']}", {"undone": True})
    assert post(desk, f"{url}/import", file)["shots"] == 3
    seen = desk.get(url).json()
    assert [shot["number"] for shot in seen["shots"]] == [4, 5, 6]
    assert [each["undone"] for each in seen["imports"]] == [True, False]


def test_a_choice_says_the_gain_that_its_plan_says_also_where_a_course_is_seldom_played(desk, hit_session):
    courses = [{"name": "Home", "kind": "home", "firmness": "medium", "share": 90},
               {"name": "Links", "kind": "trip", "firmness": "firm", "share": 10}]  # fmt: skip
    second = {"name": "Second", "kind": "green", "distance_m": 163, "carry_over_m": None, "width_m": 22, "depth_m": 26,
              "firmness": "medium", "uses_per_round": 2}  # fmt: skip
    trip = {**second, "name": "Away", "course": "Links", "uses_per_round": 6}
    brief(desk, hit_session, jobs=[second, trip], courses=courses)
    url = f"/api/sessions/{hit_session.pk}"
    (rows,) = desk.get(f"{url}/shortlist").json()["slots"]
    post(desk, f"{url}/candidates", {"candidates": [{k: rows[0][k] for k in ("head", "shaft", "set_loft_deg")}]})
    build = Build.objects.get(session=hit_session, letter="A")
    hit(hit_session, build, Swinging(GOLFER, seed=9, air=Air(temperature_c=hit_session.temperature_c)), 8)
    choice = load(FittingSession.objects.get(pk=hit_session.pk)).decision.choice
    found = desk.get(f"{url}/plans").json()["found"]
    assert (choice.letter, found["added"]) == ("A", [f"A {build.name}"])
    assert choice.gain_strokes == pytest.approx(found["saves"], abs=1e-9)
    shown = desk.get(f"{url}/bench").json()["choice"]
    assert (shown["letters"], shown["worths"][0]["saves"]) == (["A"], pytest.approx(found["saves"]))
    assert sum(line["strokes"] for line in found["worth"]) == pytest.approx(
        found["saves"] - float(found["price"]) / DEFAULT.stroke_price, abs=0.02
    )
    assert desk.get(f"{url}/handover").json()["suggested"] == [build.pk]
