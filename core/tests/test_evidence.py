"""Odd shots, tiring, and what to do next: said with reasons, and not when there is none."""

from dataclasses import replace

import numpy as np
import pytest
from hemicycle_core.bag import Carried, GapRule, HeadType, lay_out_slots
from hemicycle_core.bag.gaps import wanted_step
from hemicycle_core.brief import Job, JobKind, propose
from hemicycle_core.decision import Because, Choice
from hemicycle_core.decision.advice import next_step
from hemicycle_core.errors import BadInput
from hemicycle_core.flight import Air, Firmness
from hemicycle_core.judge import Candidate, Case, Kind, judge
from hemicycle_core.judge.recommended import why_it_lost
from hemicycle_core.judge.stopping import More
from hemicycle_core.protocols.shaped import against_the_shape, range_of_use
from hemicycle_core.samples import average, certainty
from hemicycle_core.samples.drift import speed_drift
from hemicycle_core.samples.outliers import of_the_others, unlike_the_others
from hemicycle_core.samples.trend import different_chance, trend
from hemicycle_core.shots import Intent, Shot
from hemicycle_core.simulation.golfer import Player, Swinging, SwungClub
from hemicycle_core.units import metres
from hypothesis import given, settings
from hypothesis import strategies as st
from scipy import stats

LOWER = Carried("5i", HeadType.IRON, metres(162), metres(170))
UPPER = Carried("5W", HeadType.FAIRWAY, metres(196), metres(204))
LAYOUT = lay_out_slots(LOWER, UPPER, 1, rule=GapRule.ROLL_OUT, step=wanted_step(None))


def verdict_of(letter, carries, offline=0.0, jobs=()):
    shots = [Shot({"carry_m": metres(carry), "offline_m": offline}) for carry in carries]
    targets = propose(LAYOUT, LAYOUT.slots[0], LOWER, UPPER, jobs)
    candidate = Candidate(letter, letter, HeadType.HYBRID, shots)
    return judge(Case(candidate, targets, LOWER, UPPER), jobs=jobs)


def test_odd_shots_are_found_on_both_sides_with_a_sentence_and_ordinary_ones_are_not():
    carries = [metres(yards) for yards in (178, 181, 150, 176, 180, 204)]
    found = {unlike.index: unlike.sentence for unlike in unlike_the_others(carries)}
    assert found == {2: "30 yd short of the others.", 5: "26 yd past the others."}
    assert unlike_the_others(carries[:3]) == []
    chance = np.random.default_rng(5)
    false_alarms = sum(len(unlike_the_others(list(chance.normal(165, 4.5, 8)))) for _ in range(300))
    assert false_alarms / (300 * 8) < 0.02


@settings(max_examples=80, deadline=None, derandomize=True)
@given(st.lists(st.one_of(st.integers(150, 156), st.floats(100, 200)), min_size=2, max_size=24))
def test_the_middle_and_the_spread_of_the_others_are_those_of_each_left_out_in_turn(values):
    given_ = np.asarray(values, dtype=float)
    rest = [np.delete(given_, index) for index in range(given_.size)]
    middles, apart = of_the_others(given_)
    assert middles.tolist() == [np.median(each) for each in rest]
    assert apart.tolist() == [np.median(np.abs(each - np.median(each))) for each in rest]


@settings(max_examples=30, deadline=None, derandomize=True)
@given(st.permutations([160.0, 161.5, 163.0, 158.0, 130.0, 162.0]))
def test_the_order_of_shots_does_not_matter(carries):
    assert {round(carries[unlike.index]) for unlike in unlike_the_others(carries)} == {130}
    yards = [carry / 0.9144 for carry in carries]
    assert verdict_of("A", yards).chance == pytest.approx(verdict_of("A", sorted(yards)).chance)


def test_tiring_is_seen_through_changes_of_club_and_not_seen_where_there_is_none():
    chance = np.random.default_rng(8)

    def swings(loss):
        made = []
        for number in range(60):
            length = (1.0, 0.94, 1.07)[number // 20]
            fresh = 33 * (1 + 1.14 * (length - 0.94))
            made.append((length, fresh * (1 - loss * number / 59) * (1 + chance.normal(0, 0.01))))
        return made

    tired = speed_drift(swings(0.05))
    assert tired.tired
    assert -0.07 < tired.share < -0.03
    assert "Rest" in tired.sentence
    alarms = sum(speed_drift(swings(0.0)).tired for _ in range(60))
    assert alarms <= 2
    assert speed_drift([(1.0, 33.0)] * 5) is None


@pytest.mark.parametrize("n", [12, 30])
def test_trend_and_difference_agree_with_the_library_they_stand_in_for(n):
    chance = np.random.default_rng(n)
    order = np.sort(chance.choice(80, n, replace=False))
    for slope in (0.0, 0.02, 0.08):
        level = np.round(slope * order + chance.normal(0, 1, n), 1)  # a monitor rounds: some are equal
        found, by_chance = trend(order, level)
        assert found == pytest.approx(stats.theilslopes(level, order).slope)
        assert by_chance == pytest.approx(stats.kendalltau(order, level, method="asymptotic").pvalue, abs=0.06)
        wanted = stats.ttest_ind(level[:3], level[3:], equal_var=True).pvalue
        assert different_chance(level[:3], level[3:]) == pytest.approx(wanted)
    assert trend(order, np.ones(n)) == (0.0, 1.0)
    assert different_chance(np.ones(3), np.ones(4)) == 1.0


@settings(max_examples=40, deadline=None, derandomize=True)
@given(st.integers(3, 10), st.integers(1, 10), st.floats(1.0, 8.0))
def test_more_of_the_same_shots_never_make_us_less_sure(n, extra, spread):
    few = [160 + spread * (-1) ** i for i in range(2 * (n // 2))] or [160.0]
    more = few + [160 + spread, 160 - spread] * extra
    assert certainty(average(more)).half_width <= certainty(average(few)).half_width


def test_advice_follows_the_build_in_hand_then_the_one_furthest_from_settled():
    settled, short, open_ = (
        verdict_of("A", [179, 180, 179, 180, 179, 180, 179, 180, 179, 180]),
        verdict_of("B", [179, 180]),
        verdict_of("C", [176, 186, 178, 187, 182]),
    )
    assert next_step([], "") == "Put candidates on the stand, then hit the first."
    assert next_step([settled, short], "B") == "1 more shot with B."
    assert str(next_step([settled, short, open_], "A")).startswith("A is done. Next C:")
    away = replace(open_, letter="A", kind=Kind.ONE_HEAD, turn=None)
    assert str(next_step([away, short, open_], "A")).startswith("A is not for this slot as it is. Next C:")
    assert "Compare them on the Bench" in next_step([settled], "A")
    open_choice = Choice("A", "D", Because.SAVES_MOST, "", settled=False, more=More((("D", 4),)))
    assert "About 4 more with D" in next_step([settled], "A", open_choice)


def test_the_loser_says_why():
    a, b, far = verdict_of("A", [179] * 8), verdict_of("B", [180] * 8), verdict_of("C", [190] * 8)
    assert str(why_it_lost(a, b)).startswith("Fills the slot, like the one chosen.")
    assert "long of" in why_it_lost(far, b)


@pytest.mark.parametrize(
    ("air", "density"),
    [(Air(temperature_c=15, humidity=0), 1.225), (Air(altitude_m=2000, temperature_c=2, humidity=0), 1.007)],
)
def test_dry_air_is_as_dense_as_the_standard_atmosphere_says(air, density):
    assert air.density == pytest.approx(density, rel=0.002)
    assert Air(temperature_c=30, humidity=1).density < Air(temperature_c=30, humidity=0).density


@pytest.mark.parametrize("firmness", list(Firmness))
def test_a_firmer_green_asks_for_a_steeper_landing(firmness):
    job = Job("Par three", JobKind.GREEN, metres(180), firmness)
    landing = next(t for t in propose(LAYOUT, LAYOUT.slots[0], LOWER, UPPER, [job]) if t.quantity == "landing_deg")
    assert landing.low == {"soft": 42, "medium": 45, "firm": 47}[firmness.value]
    assert firmness.value in landing.why


@pytest.mark.parametrize(
    ("change", "field"),
    [({"distance_m": 3}, "distance"), ({"carry_over_m": 400}, "carry_over"), ({"width_m": 0}, "width"),
     ({"uses_per_round": 0}, "uses_per_round")],
)  # fmt: skip
def test_a_job_that_cannot_be_played_names_its_field(change, field):
    with pytest.raises(BadInput) as error:
        Job(**{"name": "x", "kind": JobKind.GREEN, "distance_m": 150, **change})
    assert error.value.field == field


@pytest.mark.parametrize("wrong", [{"altitude_m": 9000}, {"temperature_c": 90}, {"humidity": 2}, {"wind_mps": 80}])
def test_air_that_nobody_plays_in_is_refused(wrong):
    with pytest.raises(BadInput, match="must lie between"):
        Air(**wrong)


@pytest.mark.parametrize("hand", ["right", "left"])
def test_a_low_a_high_and_a_bent_shot_are_told_from_the_stock_shot(hand):
    side = 1 if hand == "right" else -1
    golfer = Swinging(Player(speed_mps=40, attack_deg=-2, lean_deg=4, misses={}, hand=hand), seed=3)
    shots = []
    for intent, count in ((Intent.STOCK, 6), (Intent.LOW, 3), (Intent.HIGH, 3), (Intent.DRAW, 3), (Intent.FADE, 3)):
        for hit in golfer.shots(SwungClub(HeadType.HYBRID, 22, 1.01), count, known=True, meant=intent):
            hit.pop("strike")
            shots.append(Shot(hit, intent=intent))
    found = {each.intent: each for each in range_of_use(shots, left_handed=hand == "left")}
    assert all(each.as_asked for each in found.values()) and len(found) == 4
    assert found[Intent.LOW].by["peak_m"] < -3 < 0 < found[Intent.HIGH].by["peak_m"]
    assert found[Intent.DRAW].by["curve_m"] * side < -3 < 3 < found[Intent.FADE].by["curve_m"] * side
    assert "ft lower" in found[Intent.LOW].sentence
    # Judged as the other hand, a bend goes the wrong way, and it says so.
    wrong = {each.intent: each for each in range_of_use(shots, left_handed=hand != "left")}
    assert wrong[Intent.DRAW].as_asked is False and str(wrong[Intent.DRAW].sentence).endswith("Not what was meant.")


def test_what_was_asked_for_is_not_called_done_by_chance_and_only_kept_shots_speak():
    chance = np.random.default_rng(4)
    stock = [Shot({"carry_m": 160 + c, "peak_m": 27 + p}) for c, p in chance.normal(0, 1.5, (8, 2))]
    like = Shot({"carry_m": 160.0, "peak_m": 26.8}, intent=Intent.LOW)
    (low,) = range_of_use([*stock, like])
    assert low.as_asked is None and str(low.sentence).endswith("With 1 shot that may be chance.")
    assert range_of_use([*stock, replace(like, aside=True), replace(like, misread=True)]) == []
    assert range_of_use([*stock[:2], like]) == []
    (carries,) = range_of_use([*(Shot({"carry_m": shot.values["carry_m"]}) for shot in stock), like])
    assert (carries.as_asked, set(carries.by)) == (None, {"carry_m"})


def test_a_ball_that_bends_the_other_way_than_wanted_is_said_and_one_that_may_be_chance_is_not():
    def bending(*bends):
        return [Shot({"carry_m": 160.0, "offline_m": bend, "direction_deg": 0.0}) for bend in bends]

    right, little, wild = bending(9, 11, 10, 12), bending(2, 3, 2, 3), bending(-20, 25, 30, -5)
    assert against_the_shape(right, "draw") == "It bends 11 yd right as a rule; a draw is wanted."
    assert against_the_shape(right, "straight") == "It bends 11 yd right as a rule; straight is wanted."
    assert against_the_shape(right, "draw", left_handed=True) == against_the_shape(right, "fade") == ""
    assert not any(against_the_shape(shots, "draw") for shots in (little, wild, right[:2], []))
    assert against_the_shape(right, "any") == ""
    # Set out to the right and bent back to the line: that is a draw, wherever it landed.
    back = [Shot({"carry_m": 160.0, "offline_m": o, "direction_deg": 5.0}) for o in (0.0, 1.0, -1.0)]
    assert against_the_shape(back, "fade") == "It bends 15 yd left as a rule; a fade is wanted."
