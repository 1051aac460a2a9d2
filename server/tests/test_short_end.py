"""The short end through the API: wedges laid out, ends, the cut, bends, what is judged where, and the handover."""

import json

import numpy as np
import pytest
from demo.golfers import club_of
from django.core.serializers.json import DjangoJSONEncoder
from django.utils import timezone
from fitting.actions import builds, sessions
from fitting.actions.shots import run_for, take_in
from fitting.domain.bundle import present_bundle
from fitting.domain.session import load
from fitting.models import Build, FittingSession
from hemicycle_core.formats.bundle import read_bundle
from hemicycle_core.heads import HeadType
from hemicycle_core.runs import COMFORTABLE
from hemicycle_core.simulation.golfer import Player, Swinging
from rack.models import Head, Shaft

JSON = "application/json"
GOLFER = Player(speed_mps=36, attack_deg=-4.5, lean_deg=9.5, misses={}, warm_up=0, tiring=0)


@pytest.fixture
def ask(desk):
    def do(method, url, body=None, status=200):
        answer = desk.generic(method, f"/api/{url}", data=json.dumps(body or {}), content_type=JSON)
        assert answer.status_code == status, answer.content
        return answer.json()

    return do


def hit(session, build, n=6, length="full", **said):
    seed = round(10 * build.set_loft_deg) + 1000 * build.runs.count()  # an id would be another one in another order
    swung = Swinging(GOLFER, seed=seed).shots(club_of(build), n, known=True, length=length)
    run = run_for(session, build, **{"length": length, **said})
    take_in(session, run, [{key: shot[key] for key in shot if key != "strike"} for shot in swung])


@pytest.fixture
def wedges(fitter, session):
    """A session that works at the wedges: PW, 54 and 58 hit, and a 9 iron over them."""
    Build.objects.filter(session=session).update(archived=True)
    made = {}
    for name, loft in (("9i", 41), ("PW", 46), ("54", 54), ("58", 58)):
        made[name] = builds.add_club(fitter, session.pk, name=name, set_loft_deg=loft)
        hit(session, made[name])
    FittingSession.objects.filter(pk=session.pk).update(end="short", in_hand=None)
    session.refresh_from_db()
    return made


def name_of(seen, pk):
    return next(each["name"] for each in seen["builds"] if each["id"] == pk)


def test_the_space_between_the_ends_is_cut_and_a_bend_is_offered_made_and_judged_in_its_place(ask, session, wedges):
    # Steps of 14 and 26 yd: of one wedge between them no bend closes what is 15 at most.
    (place,) = ask("GET", f"sessions/{session.pk}")["bag"]["short"]["places"]
    assert place["bend_deg"] is None and place["sentence"].endswith("brings a step inside the wish.")
    of_session = FittingSession.objects.filter(pk=session.pk)
    of_session.update(short_least_m=15 * 0.9144, short_most_m=21 * 0.9144)
    seen = ask("GET", f"sessions/{session.pk}")
    short = seen["bag"]["short"]
    assert (name_of(seen, short["low"]["build"]), name_of(seen, short["high"]["build"])) == ("58°", "PW")
    assert short["low"]["missing"] == "" and short["stages"][0]["key"] == "sole"
    assert [each["step_m"] > 0 and each["alike_m"] is not None for each in short["steps"]] == [True] * 3
    (place,) = short["places"]
    ends = [short["low"]["carry_m"], short["high"]["carry_m"]]
    assert (
        place["target_m"]
        == pytest.approx(np.mean(ends))
        == pytest.approx(seen["bag"]["in_work"]["slots"][0]["target_m"])
    )
    assert name_of(seen, place["build"]) == "54°" and place["off_m"] < 0
    assert place["bend_deg"] < 0 and place["caution"] and place["bounce_deg"] == place["bend_deg"]
    made = ask(
        "POST", f"builds/{place['build']}/otherwise", {"changes": [{"kind": "bend", "amount": place["bend_deg"]}]}, 201
    )
    bent = next(each for each in made["builds"] if each["letter"])
    assert bent["set_loft_deg"] == 54 + place["bend_deg"]
    hit(session, Build.objects.get(pk=bent["id"]))
    seen = ask("GET", f"sessions/{session.pk}")
    (verdict,) = seen["verdicts"]
    gone = ask("GET", f"sessions/{session.pk}/handover")
    if gone["suggested"]:
        assert [name_of(seen, each) for each in gone["suggested_drop"]] == ["54°"]
    assert "54°" in verdict["headline"] or verdict["kind"] in ("fills", "fills_not_settled", "one_turn")
    sheet = {line["label"]: line["value"] for each in gone["tested"] for line in each["sheet"]}
    assert sheet["Loft as bent"] == f"{54 + place['bend_deg']:g}°" and sheet["Stated loft"] == "54°"
    # Another count cuts anew; a space of the fitter's own choice is no cut.
    two = ask("PUT", f"sessions/{session.pk}/gap", {"rule": "roll_out", "clubs_to_place": 2})
    assert len(two["bag"]["short"]["places"]) == 2
    own = ask(
        "PUT", f"sessions/{session.pk}/gap", {"rule": "roll_out", "clubs_to_place": 1, "gap_above": wedges["54"].pk}
    )
    assert own["bag"]["short"]["places"] == [] and own["bag"]["in_work"]["lower"] == wedges["54"].pk


def test_the_comfortable_maximum_is_the_stock_swing_from_then_on_and_is_taken_back(ask, session, wedges):
    lob = wedges["58"]
    ask("PUT", f"sessions/{session.pk}/run", {"length": COMFORTABLE}, 400)  # nothing in hand
    ask("PUT", f"sessions/{session.pk}/in-hand", {"build": lob.pk})
    seen = ask("PUT", f"sessions/{session.pk}/run", {"length": COMFORTABLE})
    assert next(each for each in seen["builds"] if each["id"] == lob.pk)["stock_swing"] == COMFORTABLE
    assert seen["bag"]["short"]["low"]["missing"].startswith("hit 58° 3 times")
    session.refresh_from_db()
    hit(session, lob, 3, COMFORTABLE)
    low = ask("GET", f"sessions/{session.pk}")["bag"]["short"]["low"]
    assert (low["shots"], low["swing"], low["missing"]) == (3, "comfortable", "")
    ask("POST", f"sessions/{session.pk}/undo")
    seen = ask("GET", f"sessions/{session.pk}")
    assert next(each for each in seen["builds"] if each["id"] == lob.pk)["stock_swing"] == "full"


def test_what_is_said_of_a_wedge_is_kept_and_checked_and_what_bothers_is_answered(ask, session, wedges):
    old = wedges["54"].pk
    ask("PUT", f"builds/{old}/stated", {"uses": {"putt": 2}}, 400)
    ask("PUT", f"builds/{old}/stated", {"complaints": ["ugly"]}, 400)
    stated = {"uses": {"sand": 1.5, "full": 0}, "sole": "wide", "finish": "raw", "complaints": ["runs_out", "gap"]}
    seen = ask("PUT", f"builds/{old}/stated", {**stated, "grip": "thick", "stamping": "HM", "wear": "worn"})
    build = next(each for each in seen["builds"] if each["id"] == old)
    assert (build["uses"], build["kept_for"], build["finish"]) == ({"sand": 1.5}, "", "raw")
    # A use that is said joins what was said; nought takes it out, whoever said it.
    uses = [ask("PUT", f"builds/{old}/stated", {"uses": each}) for each in ({"full": 1}, {"lob": 0.5}, {"sand": 0})]
    build = next(each for each in uses[-1]["builds"] if each["id"] == old)
    assert (build["uses"], build["kept_for"]) == ({"full": 1, "lob": 0.5}, "")
    (kept,) = [each for each in ask("PUT", f"builds/{old}/stated", {"kept_out": True})["builds"] if each["id"] == old]
    assert kept["kept_for"] == "the lob"  # by the fitter's word alone
    ask("PUT", f"builds/{old}/stated", {"kept_out": False})
    claims = ask("GET", f"sessions/{session.pk}/bench")["claims"]
    assert [each["complaint"] for each in claims] == ["runs_out", "gap"]
    assert claims[0]["claim"] == "open" and "hit a fresh one of 54° beside it" in claims[0]["sentence"]
    assert ask("GET", f"sessions/{session.pk}/handover")["claims"] == claims


def test_the_most_lofted_wedge_is_the_lower_end_whatever_it_is_used_for_but_by_the_fitters_word(ask, session, wedges):
    lob = wedges["58"].pk
    uses = {"pitch": 2, "chip": 2, "sand": 1.5}
    short = ask("PUT", f"builds/{lob}/stated", {"uses": uses})["bag"]["short"]
    assert short["low"]["build"] == lob and [each["build"] for each in short["places"]] == [wedges["54"].pk]
    short = ask("PUT", f"builds/{lob}/stated", {"kept_out": True})["bag"]["short"]
    assert short["low"]["build"] == wedges["54"].pk and "58° is kept out of the steps: under 54°" in short["open_under"]
    short = ask("POST", f"sessions/{session.pk}/undo")["bag"]["short"]
    assert short["low"]["build"] == lob


def test_a_new_lob_that_is_taken_in_is_the_end_in_the_place_of_the_one_it_was_tested_for(ask, fitter, session, wedges):
    lob = wedges["58"]
    new = builds.borrow(fitter, session.pk, name="58 new", head_type=HeadType.WEDGE, loft_deg=58)
    hit(session, new)
    before = ask("GET", f"sessions/{session.pk}")
    assert before["bag"]["short"]["low"]["build"] == lob.pk and before["bag"]["club_count"] == 4
    taken = ask("PUT", f"builds/{new.pk}/accepted", {"accepted": True})
    assert taken["bag"]["short"]["low"]["build"] == new.pk
    steps = [(each["lower"], each["upper"]) for each in taken["bag"]["short"]["steps"]]
    assert steps[0] == (new.pk, wedges["54"].pk) and taken["bag"]["club_count"] == 4
    assert [each["build"] for each in taken["bag"]["short"]["places"]] == [wedges["54"].pk]
    handover = ask("GET", f"sessions/{session.pk}/handover")
    assert (handover["suggested"], handover["suggested_drop"]) == ([new.pk], [lob.pk])
    back = ask("PUT", f"builds/{new.pk}/accepted", {"accepted": False})
    assert back["bag"]["short"]["low"]["build"] == lob.pk


def test_a_wedge_is_judged_where_it_belongs_and_a_sole_that_is_not_made_in_a_loft_comes_bent(
    ask, session, wedges, shop
):
    shaft = Shaft.objects.get(shop=shop, fits__contains="wedge").pk
    found = ask("GET", f"sessions/{session.pk}/sole?sole=wide&loft_deg=56")
    head = Head.objects.get(pk=found["head"])
    assert (head.label, found["bend_deg"], found["shaft"]) == ("54 W", 2.0, shaft)
    ask("GET", f"sessions/{session.pk}/sole?sole=wide&loft_deg=90", status=400)
    session.customer.hand = "left"
    session.customer.save()
    thin = ask("GET", f"sessions/{session.pk}/sole?sole=wide&loft_deg=56")
    assert thin["head"] is None and "left-handed within two degrees" in thin["sentence"]
    session.customer.hand = "right"
    session.customer.save()
    wanted = {"head": head.pk, "shaft": shaft, "bend_deg": found["bend_deg"]}
    ask("POST", f"sessions/{session.pk}/candidates", {"candidates": [wanted]}, 201)
    lofted = Head.objects.get(shop=shop, label="58 N")
    ask("POST", f"sessions/{session.pk}/candidates", {"candidates": [{"head": lofted.pk, "shaft": shaft}]}, 201)
    a, b = Build.objects.filter(session=session, head__isnull=False, archived=False).order_by("letter")
    assert (a.set_loft_deg, a.bounce_deg, a.name) == (56, 16, "54 W 56°")
    for build in (a, b):
        hit(session, build)
    seen = ask("GET", f"sessions/{session.pk}")
    wanted_of = {each["letter"]: each["wanted"]["carry_m"] for each in seen["builds"] if each["letter"]}
    letter = b.letter
    low = seen["bag"]["short"]["low"]["carry_m"]
    # A 58 stands in the place of the 58: it is held against that yardage, not against the cut.
    assert wanted_of[letter]["low"] < low < wanted_of[letter]["high"]
    flights = ask("GET", f"sessions/{session.pk}/bench")["flights"]
    assert len(flights) == 5 and all(each["sentence"] for each in flights)


def test_a_set_wedge_on_order_is_a_predicted_end_and_other_irons_ask_for_a_check(ask, fitter, session, wedges):
    again = sessions.open_session(
        fitter, customer_id=session.customer_id, bay_id=session.bay_id, held_on=timezone.localdate()
    )
    FittingSession.objects.filter(pk=again.pk).update(end="short")
    assert ask("GET", f"sessions/{again.pk}")["bag"]["short"]["recheck"] == ""
    pw = Build.objects.get(session=again, name="PW")
    seen = ask("PUT", f"builds/{pw.pk}/stated", {"stated_loft_deg": 44})
    assert "hit PW again before the space is cut" in seen["bag"]["short"]["recheck"]
    new = builds.add_club(fitter, again.pk, name="GW", head_type=HeadType.WEDGE)
    unknown = ask("GET", f"sessions/{again.pk}")
    assert "GW" in unknown["bag"]["short"]["unhit"]
    ask("PUT", f"builds/{pw.pk}", {"typed_carry_m": None, "typed_total_m": None})
    Build.objects.filter(pk=new.pk).update(archived=True)
    builds.add_club(fitter, again.pk, name="8i", typed_carry_m=118.0, typed_total_m=121.0)
    seen = ask("PUT", f"builds/{pw.pk}/stated", {"on_order": True, "of_set": True, "set_loft_deg": 44})
    build = next(each for each in seen["builds"] if each["id"] == pw.pk)
    assert build["carry_from"] == "assumed"
    high = seen["bag"]["short"]["high"]
    assert high["build"] == pw.pk and high["missing"].startswith("hit PW when it is here")
    assert seen["bag"]["short"]["places"]  # the space is cut to a predicted end


def test_a_trip_takes_a_long_club_out_for_a_lob_wedge_and_a_bunker_shot_is_no_sum(ask, session, wedges):
    jobs = [
        {"name": "Full", "kind": "green", "distance_m": 90, "carry_over_m": None, "width_m": 18, "depth_m": 18,
         "firmness": "medium", "uses_per_round": 1},
        {"name": "Bunker", "kind": "green", "distance_m": 14, "carry_over_m": None, "width_m": 10, "depth_m": 10,
         "firmness": "medium", "uses_per_round": 2, "lie": "sand"},
    ]  # fmt: skip
    seen = ask("PATCH", f"sessions/{session.pk}/brief", {"now": {"jobs": jobs, "wedge_wishes": ["fewer", "lower"]}})
    assert load(FittingSession.objects.get(pk=session.pk)).work.wanted.lower  # and breaks ties by it
    assert seen["brief"]["wish_leads"]["fewer"] and "Fewer are wanted" in seen["bag"]["short"]["schools"]["sentence"]
    plans = ask("GET", f"sessions/{session.pk}/plans")
    assert [each["job"] for each in plans["today"]["jobs"]] == ["Full"]
    assert {each["name"] for each in plans["schools"]} <= {"A wedge each", "Part swings"}


@pytest.mark.parametrize(
    ("body", "words"),
    [
        ({"uses": {"full": 19}}, "0 to 18 times a round"),
        ({"uses": {"full": -1}}, "0 to 18 times a round"),
        ({"sole": "x" * 41}, "40 characters at most"),
        ({"stamping": "x" * 41}, "40 characters at most"),
        ({"stock_swing": "12:30"}, "clock position"),
        ({"set_loft_deg": 90}, "loft"),
    ],
)
def test_what_no_wedge_is_is_refused_in_words_and_changes_nothing(ask, session, wedges, body, words):
    before = Build.objects.get(pk=wedges["54"].pk)
    problem = ask("PUT", f"builds/{before.pk}/stated", body, 400)
    assert words in problem["title"], problem
    after = Build.objects.get(pk=before.pk)
    assert [getattr(after, key) == getattr(before, key) for key in body] == [True]
    assert (after.uses, after.sole, after.set_loft_deg) == (before.uses, before.sole, before.set_loft_deg)


@pytest.mark.parametrize("loft", ["", "nan", "inf", "fifty", "9", "90"])
def test_a_sole_is_looked_for_in_a_loft_that_a_wedge_can_have(ask, session, wedges, loft):
    problem = ask("GET", f"sessions/{session.pk}/sole?sole=wide&loft_deg={loft}", status=400)
    assert problem["field"] == "loft_deg" or "loft" in problem["title"].lower()


def test_names_of_any_length_and_one_shot_alone_leave_the_short_end_standing(ask, fitter, session, wedges):
    name = "Stover and Daughters wedge of an old bag"
    named = builds.add_club(fitter, session.pk, name=name, head_type=HeadType.WEDGE, set_loft_deg=60, length_m=0.89)
    hit(session, named, 1)
    short = ask("GET", f"sessions/{session.pk}")["bag"]["short"]
    seen = ask("GET", f"sessions/{session.pk}")
    low = next(each for each in seen["builds"] if each["id"] == short["low"]["build"])
    assert low["name"].startswith("Stover and Daughters")
    assert "2 more times at the most you would hit it" in short["low"]["missing"]
    # With every wedge but one gone there are no two ends, and nothing is cut.
    for gone in (wedges["54"], wedges["58"], named):
        ask("DELETE", f"builds/{gone.pk}")
    alone = ask("GET", f"sessions/{session.pk}")["bag"]["short"]
    assert alone["places"] == [] and alone["schools"] is None
    assert alone["low"]["build"] == alone["high"]["build"] == wedges["PW"].pk
    ask("GET", f"sessions/{session.pk}/plans")


@pytest.mark.parametrize("least_yd", [3, 40])
def test_the_short_end_is_cut_by_any_step_that_may_be_wished(ask, session, wedges, least_yd):
    step = least_yd * 0.9144
    session_of = FittingSession.objects.filter(pk=session.pk)
    session_of.update(short_least_m=step, short_most_m=step)
    seen = ask("GET", f"sessions/{session.pk}")["bag"]["short"]
    assert seen["schools"]["sentence"]
    ask("GET", f"sessions/{session.pk}/plans")


def standing_of(seen, test):
    """What a test still asks for."""
    return next(each for each in seen["tests"] if each["test"] == test)


def test_part_swings_make_a_distance_card_and_short_tests_touch_neither_it_nor_a_carry(ask, session, wedges):
    short = ask("GET", f"sessions/{session.pk}")["bag"]["short"]
    assert short["card"] is None and standing_of(ask("GET", f"sessions/{session.pk}"), "part_swing")["minutes"] > 0
    for name in ("54", "58"):
        hit(session, wedges[name], 3, "half", protocol="part_swing")
    hit(session, wedges["54"], 3, "full", protocol="part_swing")
    hit(session, wedges["PW"], 3, "half", protocol="grooves")
    task = {"build": wedges["54"].pk, "protocol": "part_swing", "length": "three_quarter"}
    seen = ask("PUT", f"sessions/{session.pk}/task", task)
    assert (seen["in_hand"], seen["protocol"], seen["length"], seen["lie"]) == (*task.values(), None)
    builds = {each["id"]: each for each in seen["builds"]}
    short = seen["bag"]["short"]
    rows = {builds[row["build"]]["name"]: row for row in short["card"]["rows"]}
    assert [row["cells"][0]["n"] for row in rows.values()] == [6, 9, 6]
    half = {name: next(cell for cell in row["cells"] if cell["swing"] == "half") for name, row in rows.items()}
    assert {name: cell["n"] for name, cell in half.items()} == {"PW": 0, "54°": 3, "58°": 3}
    assert half["PW"]["why_not"] == "not hit" and not half["PW"]["usable"]
    # What the card says of its own swing is what its column, the marks and the carry of the club are made from.
    assert rows["54°"]["cells"][0]["carry_m"] == builds[wedges["54"].pk]["carry_m"]
    assert (
        seen["next"] == "54°, three-quarter: 3 shots."
        and standing_of(seen, "part_swing")["next"]["length"] == "three_quarter"
    )


def test_an_old_wedge_beside_a_fresh_one_is_told_on_the_bench_and_answers_its_complaint(ask, fitter, session, wedges):
    old = wedges["54"]
    ask("PUT", f"builds/{old.pk}/stated", {"complaints": ["worn"], "wear": "worn", "age_rounds": 200})
    nothing = standing_of(ask("GET", f"sessions/{session.pk}"), "grooves")
    assert nothing["tasks"] == [] and nothing["none"].startswith("No fresh wedge")
    fresh = builds.borrow(fitter, session.pk, name="54 new", head_type=HeadType.WEDGE, loft_deg=54)
    ask("PUT", f"builds/{fresh.pk}/stated", {"wear": "fresh"})
    for build in (old, fresh):
        for lie in ("", "wet"):
            hit(session, build, 3 if build == old and not lie else 4, "half", protocol="grooves", lie=lie)
    seen = ask("PUT", f"sessions/{session.pk}/task", {"build": old.pk, "protocol": "grooves", "length": "half"})
    plan = standing_of(seen, "grooves")
    assert [(each["build"], each["lie"], each["done"]) for each in plan["tasks"]] == [
        (old.pk, None, 3), (fresh.pk, None, 4), (old.pk, "wet", 4), (fresh.pk, "wet", 4),
    ]  # fmt: skip
    assert seen["next"] == "54°, dry, half swing: 1 more shot."
    (found,) = ask("GET", f"sessions/{session.pk}/bench")["results"]
    assert found["builds"] == [old.pk, fresh.pk] and found["title"] == "Grooves, old against new"
    assert [(row["name"], row["shots"]) for row in found["rows"]] == [("dry", [3, 4]), ("wet", [4, 4])]
    assert all(len(row["figures"][each["key"]]["at"]) == 2 for row in found["rows"] for each in found["columns"])
    (claim,) = ask("GET", f"sessions/{session.pk}/bench")["claims"]
    assert found["sentence"].split(": ")[1].strip(".") in claim["sentence"]
    # It is the decision too, and none of it is a carry of either club, or a swing of the card.
    choice = ask("GET", f"sessions/{session.pk}/bench")["choice"]
    assert (
        choice["because"] == "tested" and found["sentence"].split(": ")[1] in choice["sentence"] and choice["settled"]
    )
    assert ask("GET", f"sessions/{session.pk}/handover/draft")["reasons"].startswith(choice["sentence"])
    builds_now = {each["id"]: each for each in seen["builds"]}
    assert builds_now[fresh.pk]["carry_m"] is None and builds_now[old.pk]["kept"] == 6
    assert seen["bag"]["short"]["card"] is None


def test_an_old_wedge_that_tests_found_worn_out_is_handed_over_for_the_fresh_one(ask, fitter, session, wedges):
    old = wedges["54"]
    ask("PUT", f"builds/{old.pk}/stated", {"complaints": ["runs_out"], "wear": "worn"})
    head, shaft = Head.objects.get(label="54 W"), Shaft.objects.get(fits__contains="wedge")
    wanted = {"head": head.pk, "shaft": shaft.pk}
    ask("POST", f"sessions/{session.pk}/candidates", {"candidates": [wanted]}, 201)
    fresh = Build.objects.get(session=session, head=head, archived=False)
    for key, build in ((7.5, old), (5.0, fresh)):
        for off in (0, 0.2, -0.2):
            stopped = {"landed_m": 18, "stopped_m": 18 + key + off, "stopped_side_m": 0}
            ask("POST", f"sessions/{session.pk}/trials/stop/seen", {"build": build.pk, **stopped}, 201)
    choice = ask("GET", f"sessions/{session.pk}/bench")["choice"]
    assert choice["letters"] == [fresh.letter]
    assert choice["sentence"].startswith(f"{fresh.letter} for the 54°, after tests: seen on the green, 54° runs 2.7 yd")
    told = read_bundle(json.loads(json.dumps(present_bundle(load(session)), cls=DjangoJSONEncoder))).answer()
    assert (told["choice"]["sentence"], told["bag"]["leave"]) == (choice["sentence"], ["54°"])
    gone = ask("GET", f"sessions/{session.pk}/handover")
    assert (gone["suggested"], gone["suggested_drop"]) == ([fresh.pk], [old.pk])
    draft = ask("GET", f"sessions/{session.pk}/handover/draft?builds={fresh.pk}&dropped={old.pk}")
    assert draft["reasons"].startswith(choice["sentence"]) and draft["dropped"] == ["54°"]
    after = {each["id"]: each["carry_m"] for each in draft["after"]["clubs"]}
    today = {each["id"]: each["carry_m"] for each in gone["before"]["clubs"]}
    assert after[fresh.pk] == today[old.pk] and old.pk not in after
    body = {"builds": [fresh.pk], "dropped": [old.pk], "reasons": draft["reasons"], "lost": []}
    assert ask("POST", f"sessions/{session.pk}/handover", body, 201)["agreed"]


def test_a_wedge_that_nobody_hit_can_be_ordered_as_a_prediction_to_check(ask, session, wedges):
    head, shaft = Head.objects.filter(label__startswith="50").first(), Shaft.objects.get(fits__contains="wedge")
    ask("POST", f"sessions/{session.pk}/candidates", {"candidates": [{"head": head.pk, "shaft": shaft.pk}]}, 201)
    unhit = Build.objects.get(session=session, head=head, archived=False)
    gone = ask("GET", f"sessions/{session.pk}/handover")
    (told,) = gone["tested"]
    assert (told["headline"], told["prediction"][:12]) == ("Not hit: check at delivery", "A prediction")
    between = [each["carry_m"] for each in gone["before"]["clubs"] if each["name"] in ("54°", "PW")]
    draft = ask("GET", f"sessions/{session.pk}/handover/draft?builds={unhit.pk}")
    carry = next(each["carry_m"] for each in draft["after"]["clubs"] if each["id"] == unhit.pk)
    assert (
        min(between) < carry < max(between) and f"should carry {round(carry / 0.9144)} yd, give or take" in told["why"]
    )
    body = {"builds": [unhit.pk], "dropped": [], "reasons": draft["reasons"], "lost": []}
    agreed = ask("POST", f"sessions/{session.pk}/handover", body, 201)["agreed"]
    assert "A prediction" in json.dumps(agreed)


def test_a_stop_test_is_tapped_and_paced_to_one_green_and_what_is_set_aside_is_no_part_of_it(ask, session, wedges):
    green = {
        "target_m": 22.86, "firmness": "medium", "green_ft": 10.5, "slope_percent": -1, "wind_mps": 4.0,
        "wind_from_deg": 180.0,
    }  # fmt: skip
    first = standing_of(ask("PUT", f"sessions/{session.pk}/trials/stop/green", green), "stop")
    assert first["minutes"] == 5 and [each["wanted"] for each in first["tasks"]] == [3, 3, 3]
    ball = {"build": wedges["58"].pk, "landed_m": 20, "stopped_m": 22.5, "stopped_side_m": 1.0}
    for _ in range(3):
        ask("POST", f"sessions/{session.pk}/trials/stop/seen", ball, 201)
    thin = {**ball, "stopped_m": 40}
    seen = ask("POST", f"sessions/{session.pk}/trials/stop/seen", thin, 201)["bag"]["short"]["stops"]["seen"]
    ask("PUT", f"trial-events/{seen[-1]['id']}/aside", {"aside": True})
    paced = {"build": wedges["PW"].pk, "landed_m": 17, "stopped_m": 25, "balls": 3, "ball": "own"}
    told = ask("POST", f"sessions/{session.pk}/trials/stop/seen", paced, 201)
    assert told["bag"]["short"]["stops"]["green"] == green
    assert {each["build"]: each["done"] for each in standing_of(told, "stop")["tasks"]}[wedges["PW"].pk] == 3
    (result,) = ask("GET", f"sessions/{session.pk}/bench")["results"]
    lob, pw = result["rows"]
    assert [(each["build"], each["shots"]) for each in (lob, pw)] == [
        (wedges["58"].pk, [3]), (wedges["PW"].pk, [3]),
    ]  # fmt: skip
    assert lob["figures"]["releases_m"]["at"] == [pytest.approx(2.5)]
    assert lob["figures"]["left_m"]["at"] == [pytest.approx((0.36**2 + 1) ** 0.5)]
    assert pw["figures"]["releases_m"]["half"] is None and len(result["remarks"]) == 3
    assert "On firm, computed" in [each["name"] for each in result["columns"]]
    # To another hole it begins anew; what was seen to the first comes back with it.
    moved = ask("PUT", f"sessions/{session.pk}/trials/stop/green", {**green, "target_m": 36.6})["bag"]["short"]["stops"]
    assert moved["seen"] == [] and ask("GET", f"sessions/{session.pk}/bench")["results"] == []
    # One that arrives late is filed under the hole it was played to.
    late = ask("POST", f"sessions/{session.pk}/trials/stop/seen", {**ball, "target_m": 22.86}, 201)["bag"]["short"][
        "stops"
    ]
    assert late["seen"] == []
    back = ask("PUT", f"sessions/{session.pk}/trials/stop/green", green)["bag"]["short"]["stops"]
    assert len(back["seen"]) == 6
    iron = {**ball, "build": wedges["9i"].pk}
    assert ask("POST", f"sessions/{session.pk}/trials/stop/seen", iron, 400)["field"] == "build"
    assert ask("POST", f"sessions/{session.pk}/trials/stop/seen", {**ball, "balls": 0}, 400)["field"] == "n"
    assert ask("PUT", f"sessions/{session.pk}/trials/stop/green", {**green, "green_ft": 1}, 400)["field"] == "green_ft"
    assert ask("PUT", f"sessions/{session.pk}/trials/stop/green", {**green, "wind_mps": 90}, 400)["field"] == "wind_mps"
    bundle = present_bundle(load(FittingSession.objects.get(pk=session.pk)))
    assert len(bundle["tests"]["stops"]) == 6 and bundle["tests"]["stops"][0]["club"] == "58°"
    wide = {**ball, "stopped_side_m": 500}
    assert ask("POST", f"sessions/{session.pk}/trials/stop/seen", wide, 400)["field"] == "landed_side_m"
