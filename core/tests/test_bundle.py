"""Session bundles read into the judge's types: what is given, what is found from the bag, what is filled in."""

import copy
import json
from pathlib import Path

import numpy as np
import pytest
from hemicycle_core.bag import GapRule, HeadType, coverage, lay_out_slots, usual_rules, widest_gap
from hemicycle_core.errors import BadInput
from hemicycle_core.formats.bundle import read_bundle
from hemicycle_core.formats.bundle_answer import written
from hemicycle_core.judge import Kind, Liking
from hemicycle_core.shots import Source
from hemicycle_core.units import metres

EXAMPLE = json.loads((Path(__file__).parents[2] / "docs" / "formats" / "session-bundle.example.json").read_text())


def hit(carry, n=8, seed=1, landing=46.0, **more):
    chance = np.random.default_rng(seed)
    return [
        {"readings": {
            "carry_m": metres(carry + chance.normal(0, 3)), "landing_deg": landing + chance.normal(0, 1),
            "offline_m": metres(chance.normal(0, 4)),
        }, **more}
        for _ in range(n)
    ]  # fmt: skip


def build(letter, carry, kind="hybrid", **more):
    return {"letter": letter, "head_type": kind, "shots": hit(carry, seed=ord(letter)), **more}


def bundle(*builds, **more):
    green = {"name": "Par three", "kind": "green", "distance_m": 165, "width_m": 22, "depth_m": 24}
    slot = {"low_m": metres(175), "high_m": metres(183)}
    return {"format": "hemicycle-session", "version": 1, "builds": list(builds), "jobs": [green], "slot": slot, **more}


BAG = [
    {"name": "Dr", "head_type": "driver", "carry_m": metres(224), "total_m": metres(243)},
    {"name": "5W", "head_type": "fairway", "carry_m": metres(196), "total_m": metres(204)},
    {"name": "5i", "head_type": "iron", "carry_m": metres(162), "total_m": metres(170)},
    {"name": "Pt", "head_type": "putter"},
]


def test_the_worked_example_is_read_whole_and_changes_nothing_of_what_was_given():
    before = copy.deepcopy(EXAMPLE)
    read = read_bundle(EXAMPLE)
    assert before == EXAMPLE
    assert [case.candidate.letter for case in read.cases] == [row["letter"] for row in EXAMPLE["builds"]]
    assert [len(case.candidate.shots) for case in read.cases] == [len(row["shots"]) for row in EXAMPLE["builds"]]
    assert read.budget == EXAMPLE["budget"]
    assert [job.name for job in read.jobs] == [row["name"] for row in EXAMPLE["jobs"]]


def window(case):
    return next((target.low, target.high) for target in case.targets if target.quantity == "carry_m")


def test_a_window_left_out_is_the_one_the_bag_asks_for_by_its_rule():
    data = bundle(build("A", 179), clubs=BAG, rule="roll_out")
    del data["slot"]
    (case,) = read_bundle(data).cases
    covered = coverage([case.lower, case.upper], usual_rules(GapRule.ROLL_OUT))
    hole = widest_gap(covered)
    plan = lay_out_slots(hole.lower, hole.upper, 1, rule=hole.rule, step=hole.step)
    assert (case.lower.name, case.upper.name) == ("5i", "5W")
    assert window(case) == pytest.approx((plan.slots[0].low_m, plan.slots[0].high_m))
    assert {target.quantity for target in case.targets} >= {"carry_m", "landing_deg"}
    rolling = [*BAG[:2], {**BAG[2], "total_m": metres(178)}]
    by_rule = [
        window(read_bundle({**data, "clubs": rolling, "rule": rule}).cases[0])[0] for rule in ("roll_out", "carry_only")
    ]
    assert by_rule[0] > by_rule[1] + metres(1)  # what rolls on needs less above it


def test_with_two_clubs_to_place_each_build_is_put_to_the_window_it_is_nearest():
    data = bundle(build("A", 173), build("B", 188), build("C", 174), clubs=BAG, clubs_to_place=2)
    del data["slot"]
    first, second, third = (window(case) for case in read_bundle(data).cases)
    assert first == third
    assert second[0] > first[0] + metres(5)


def test_a_window_given_stands_and_what_is_not_said_of_the_bag_crowds_nobody():
    (case,) = read_bundle(bundle(build("A", 179))).cases
    assert window(case) == pytest.approx((metres(175), metres(183)))
    assert {target.quantity: target.low for target in case.targets}["landing_deg"] == 45  # a medium green
    (verdict,) = read_bundle(bundle(build("A", 199))).decided().verdicts
    assert verdict.kind is not Kind.CROWDS
    (beside,) = read_bundle(bundle(build("A", 195), clubs=BAG)).decided().verdicts
    assert beside.kind is Kind.CROWDS


def test_like_for_like_aims_at_the_old_club_and_weighs_each_build_in_its_place():
    old = {"name": "5W", "head_type": "fairway", "shots": hit(196, seed=3)}
    said = bundle(build("A", 197, "fairway"), build("B", 182), clubs=[BAG[0], old, BAG[2]], like="5W")
    del said["slot"]
    read = read_bundle(said)
    target = next(wish for wish in read.cases[0].targets if wish.quantity == "carry_m")
    assert target.low < metres(196) < target.high
    assert (read.cases[0].lower.name, read.cases[0].upper.name) == ("5i", "Dr")
    judged = read.decided()
    assert judged.verdicts[0].kind in (Kind.FILLS, Kind.FILLS_NOT_SETTLED, Kind.KEEP)
    # Beside the old club, which does the job, the shorter B takes nothing away; in its place it does.
    long = {**said, "jobs": [{**said["jobs"][0], "distance_m": metres(200)}]}
    beside = {**long, "slot": {"low_m": 175, "high_m": 183}}
    del beside["like"]
    in_place, both = (read_bundle(each).decided().worths["B"].saves for each in (long, beside))
    assert in_place < both - 0.1
    with pytest.raises(BadInput, match="like: no club “7W”"):
        read_bundle({**said, "like": "7W"})
    longest = read_bundle({**said, "like": "Dr"}).cases[0]  # at an end of the bag it has no club beyond it
    assert (longest.lower, longest.upper) == (None, None)


def test_the_landing_that_is_asked_for_is_the_one_given_else_the_firmest_greens():
    def least(**slot):
        firm = {"name": "F", "kind": "green", "distance_m": 165, "firmness": "firm"}
        data = bundle(build("A", 179))
        data["jobs"].append(firm)
        data["slot"] |= slot
        return {target.quantity: target.low for target in read_bundle(data).cases[0].targets}.get("landing_deg")

    assert least() == 47
    assert least(landing_deg=40) == 40
    assert least(landing_deg=None) is None


def test_where_the_monitor_models_flight_only_flight_is_modelled_and_a_shot_may_say_otherwise():
    own = hit(179, n=1)[0]
    own["readings"]["ball_speed_mps"] = 55.0
    own["sources"] = {"landing_deg": "measured"}
    data = bundle({"letter": "A", "head_type": "hybrid", "shots": [own]}, monitor_models_flight=True)
    sources = read_bundle(data).cases[0].candidate.shots[0].sources
    assert sources["carry_m"] is Source.MODELLED
    assert sources["landing_deg"] is Source.MEASURED
    assert sources["ball_speed_mps"] is Source.MEASURED


def test_what_is_marked_on_a_shot_counts_as_it_does_on_the_screen():
    def carry_n(**mark):
        shots = [*hit(179, n=6), *hit(120, n=2, seed=4, **mark)]
        (verdict,) = read_bundle(bundle({"letter": "A", "head_type": "hybrid", "shots": shots})).decided().verdicts
        return next(fact.mean for fact in verdict.facts if fact.quantity == "carry_m")

    bare = carry_n()
    for mark in ({"aside": True}, {"misread": True}, {"void": ["carry_m"]}, {"intent": "low"}):
        assert carry_n(**mark) > bare + metres(5), mark


def test_a_veto_a_budget_and_the_price_are_heard():
    dear, cheap = build("A", 179, price=400), build("B", 180, price=200)
    assert read_bundle(bundle(dear, cheap, budget=250)).decided().choice.letter == "B"
    vetoed = read_bundle(bundle(dear, {**cheap, "liking": "vetoed"}))
    assert vetoed.cases[1].candidate.liking is Liking.VETOED
    said = written(vetoed.decided())
    assert said["choice"]["letter"] == "A"
    assert said["verdicts"][1]["verdict"] == "vetoed"


def test_what_is_written_is_plain_json_and_says_each_figure_once():
    said = written(read_bundle(bundle(build("A", 179), build("B", 190), clubs=BAG)).decided())
    assert json.loads(json.dumps(said)) == said
    for verdict in said["verdicts"]:
        share = sum(job["success"] for job in verdict["jobs"])
        assert verdict["successful_shots_a_round"] == pytest.approx(share)
        for job in verdict["jobs"]:
            low, high = job["interval_90"]
            assert 0 <= low <= job["success"] <= high <= 1
            assert job["success"] + sum(job["fails"].values()) == pytest.approx(1, abs=0.05)


def test_own_clubs_that_were_hit_stand_for_keeping_what_is_there():
    old = {"name": "4H", "head_type": "hybrid", "shots": hit(179, n=10, seed=5)}
    kept = read_bundle(bundle(build("A", 179, price=300), clubs=[*BAG, old]))
    assert [each.name for each in kept.own] == ["4H"]
    assert kept.cases[0].candidate.head_type is HeadType.HYBRID
    assert written(kept.decided())["choice"]["because"] == "keep"
    without = written(read_bundle(bundle(build("A", 179, price=300), clubs=BAG)).decided())
    assert without["choice"]["letter"] == "A"
    made = without["bag"]
    assert (made["come_in"], made["leave"]) == (["A"], [])
    assert made["saves"] == made["with_each_build"]["A"]
    assert made["saves"]["strokes_a_round"] == without["choice"]["gain_strokes_a_round"] > 0
    full = bundle(build("A", 179), clubs=[{**club, "fixed": True} for club in BAG], most_clubs=len(BAG))
    assert written(read_bundle(full).decided())["bag"]["come_in"] == []


@pytest.mark.parametrize(
    ("change", "field"),
    [
        ({"format": "another"}, "format"),
        ({"builds": [{"letter": "A", "head_type": "spade", "shots": []}]}, "builds.0.head_type"),
        ({"builds": [build("A", 179), build("A", 180)]}, "builds"),
        ({"slot": {"low_m": 170, "high_m": 160}}, "slot.low_m"),
        ({"builds": [{**build("A", 179), "colour": "red"}]}, "builds.0"),
        ({"clubs_to_place": 0}, "clubs_to_place"),
        ({"air": {"altitude_m": 99_000}}, "altitude"),
    ],
)
def test_what_cannot_be_used_is_refused_at_its_place(change, field):
    with pytest.raises(BadInput) as refused:
        read_bundle({**bundle(build("A", 179)), **change})
    assert refused.value.field == field
    assert len(str(refused.value)) > 15


@pytest.mark.parametrize("data", [None, [], "a word", 7, {}])
def test_anything_else_is_no_bundle(data):
    with pytest.raises(BadInput):
        read_bundle(data)


LINKS = [{"name": "Home", "share": 60}, {"name": "Links", "share": 40}]


def test_what_decides_is_read_from_the_file():
    """Courses and wind, what a stroke is worth and a round is made of, with which heads a miss is feared, who else is
    carried."""
    windy = {"name": "Links three", "kind": "green", "distance_m": 165, "course": "Links", "wind_mps": 6.7,
             "wind_from_deg": None, "uses_per_round": 2}  # fmt: skip
    given = bundle(build("A", 179, price=900), clubs=BAG, jobs=[windy], courses=LINKS, miss="left", fear="whole",
                   fear_with=["utility"], others=2)  # fmt: skip
    read = read_bundle(given)
    assert (read.courses, dict(read.shares), read.unseen) == (("Links",), {"Home": 0.6, "Links": 0.4}, 2)
    decision = read.decided()
    (played,) = decision.verdicts[0].played
    assert played.job.uses_per_round == pytest.approx(0.8) and "any side" in played.wind
    # A left miss is feared with a kind of head that is not there.
    assert float(decision.worths["A"].feared.mean()) == 0.0
    assert read_bundle({**given, "fear_with": []}).decided().worths["A"].feared.any()
    cheap, dear = (
        read_bundle({**given, "stroke_price": price}).decided().worths["A"].price for price in (1000, 10_000)
    )
    assert (cheap, dear) == (pytest.approx(0.9), pytest.approx(0.09))
    seldom = read_bundle({**given, "round_shots": [6, 6, 0, 0]}).decided().worths["A"].yardages.mean()
    assert seldom < decision.worths["A"].yardages.mean()


def test_another_club_in_an_old_ones_place_is_asked_for_by_its_ways():
    old = {"name": "4i", "head_type": "iron", "loft_deg": 23.0, "shots": hit(174, landing=39.0, seed=9)}
    asked = {"wish": "replace", "like": "4i", "ways": ["longer", "softer"], "clubs": [*BAG, old]}
    given = bundle(build("A", 184), {**build("B", 186), "shots": hit(186, landing=39.0)}, **asked)
    del given["slot"]
    answer = read_bundle(given).answer()
    assert (answer["bag"]["come_in"], answer["bag"]["leave"]) == (["A"], ["4i"])
    assert answer["slots"][0]["comes_in"] == "A" and set(answer["slots"][0]["tried"]) == {"A", "B"}
    for ways in ([], ["longer", "shorter"]):
        with pytest.raises(BadInput):
            read_bundle({**given, "ways": ways})


def test_the_answer_names_what_was_not_read_and_what_the_map_says_of_the_bag():
    blind = {"letter": "A", "head_type": "hybrid", "shots": [
        {"readings": {"carry_m": metres(yd)}} for yd in (178, 179, 180, 181)
    ]}  # fmt: skip
    answer = read_bundle(bundle(blind, clubs=BAG)).answer()
    assert answer["not_read"] == {"A": ["offline_m", "landing_deg", "total_m"]}
    crowd = [*BAG, {"name": "4i", "head_type": "iron", "loft_deg": 23, "carry_m": metres(164)}]
    assert any("4i" in said for said in read_bundle(bundle(blind, clubs=crowd)).answer()["remarks"])


def test_as_the_map_knows_a_club_comes_before_its_shots_and_its_own_window_before_the_slots():
    known = {"carry_m": metres(170), "total_m": metres(178), "carry_sd_m": 2.0, "spread_m": 4.0}
    (case,) = read_bundle(bundle(build("A", 179, known=known, window=[metres(168), metres(172)]), clubs=BAG)).cases
    assert window(case) == (metres(168), metres(172))
    decision = read_bundle(bundle(build("A", 179, known=known), clubs=BAG)).decided()
    (option,) = (each for each in decision.weigher.options if each.letter == "A")
    assert option.club.carry_m == metres(170)
