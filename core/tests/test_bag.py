"""Coverage and slots, against worked figures and against a brute-force search."""

import itertools
import math
from dataclasses import replace

import numpy as np
import pytest
from hemicycle_core.bag import (
    Carried,
    GapRule,
    HeadType,
    clubs_for,
    coverage,
    lay_out_slots,
    remarks,
    slot_with_roll,
)
from hemicycle_core.bag.averages import TypedAverage
from hemicycle_core.bag.gaps import usual_rules, wanted_step
from hemicycle_core.brief import common_jobs
from hemicycle_core.errors import BadInput
from hemicycle_core.units import metres, mps, yards
from hypothesis import given, settings
from hypothesis import strategies as st

STEP = wanted_step(mps(90))


def club(name, carry, total, kind=HeadType.IRON):
    return Carried(name, kind, metres(carry), metres(total))


BAG = [
    club("Dr", 224, 243, HeadType.DRIVER),
    club("5W", 196, 209, HeadType.FAIRWAY),
    club("5i", 162, 170),
    club("6i", 151, 160),
    club("PW", 104, 110, HeadType.WEDGE),
    club("SW", 80, 83, HeadType.WEDGE),
]


def test_the_hole_is_upper_carry_less_lower_total():
    covered = coverage(BAG, usual_rules(GapRule.ROLL_OUT))
    hole = next(gap for gap in covered.gaps if gap.lower.name == "5i")
    assert (hole.lower.name, hole.upper.name, round(yards(hole.open_m))) == ("5i", "5W", 26)
    irons = next(gap for gap in covered.gaps if gap.upper.name == "5i")
    assert irons.open_m == 0
    assert round(yards(irons.step_m)) == 11


def test_even_steps_count_only_what_is_over_the_step_and_irons_and_wedges_always_use_them():
    covered = coverage(BAG, usual_rules(GapRule.EVEN_STEPS))
    gap = next(gap for gap in covered.gaps if gap.upper.name == "5W")
    assert round(yards(gap.open_m)) == 34 - 15
    wedges = next(gap for gap in coverage(BAG, usual_rules(GapRule.ROLL_OUT)).gaps if gap.upper.name == "PW")
    assert (wedges.rule, round(yards(wedges.open_m))) == (GapRule.EVEN_STEPS, 24 - 15)


def test_one_club_leaves_nine_either_side_and_two_close_it():
    lower, upper = club("5i", 162, 170.4), club("5W", 196, 204)
    plan = lay_out_slots(lower, upper, 1, rule=GapRule.ROLL_OUT, step=STEP)
    assert (round(yards(plan.slots[0].low_m)), round(yards(plan.slots[0].high_m))) == (176, 183)
    assert round(yards(plan.left_m)) == 9
    assert plan.sentence == "One club leaves 9 yd either side. Two close it."
    even = lay_out_slots(club("LW", 84, 86), club("PW", 126, 130), 2, rule=GapRule.EVEN_STEPS, step=STEP)
    assert [round(yards(slot.target_m)) for slot in even.slots] == [98, 112]


@settings(max_examples=25, deadline=None, derandomize=True)
@given(
    st.integers(120, 180), st.integers(0, 15), st.integers(25, 60), st.integers(0, 15), st.sampled_from([1, 2]),
)  # fmt: skip
def test_no_other_carries_leave_a_smaller_largest_hole(carry, roll, space, upper_roll, count):
    lower = club("low", carry, carry + roll)
    upper = club("high", carry + roll + space, carry + roll + space + upper_roll)
    plan = lay_out_slots(lower, upper, count, rule=GapRule.ROLL_OUT, step=STEP)
    rolls = [slot.roll_m for slot in plan.slots]

    def largest(carries):
        ends = [lower.total_m, *(c + r for c, r in zip(carries, rolls, strict=True))]
        return max(0.0, *(start - end for end, start in zip(ends, [*carries, upper.carry_m], strict=True)))

    grid = np.linspace(lower.carry_m, upper.carry_m, 90)
    best = min(largest(carries) for carries in itertools.combinations(grid, count))
    assert largest([slot.target_m for slot in plan.slots]) <= best + 1e-6
    edges = itertools.product(*((slot.low_m, slot.high_m) for slot in plan.slots))
    assert max(largest(carries) for carries in edges) <= plan.at_worst_m + 1e-6


def test_clubs_that_make_no_bag_are_refused_in_words():
    with pytest.raises(BadInput, match="swapped"):
        club("5i", 162, 120)
    with pytest.raises(BadInput, match="does not carry further"):
        lay_out_slots(club("5W", 196, 209), club("5i", 162, 170), 1, rule=GapRule.ROLL_OUT, step=STEP)


def test_carry_only_asks_for_a_carry_within_reach_whatever_rolls_or_how_fast():
    gap = next(
        each for each in coverage(BAG, usual_rules(GapRule.CARRY_ONLY, mps(110))).gaps if each.upper.name == "5W"
    )
    assert round(yards(gap.open_m)) == 34 - 15
    even = next(
        each for each in coverage(BAG, usual_rules(GapRule.EVEN_STEPS, mps(110))).gaps if each.upper.name == "5W"
    )
    assert round(yards(even.open_m)) == 34 - 20


def irons(*carries, spread=4.0):
    return [
        Carried(f"{9 - i}i", HeadType.IRON, metres(c), metres(c + 6), spread_m=metres(spread))
        for i, c in enumerate(carries)
    ]


def said(clubs, what):
    covered = coverage(clubs, usual_rules(GapRule.ROLL_OUT))
    return [each.sentence for each in remarks(covered) if each.what == what]


def test_the_irons_collapse_where_they_stop_stepping():
    assert said(irons(116, 128, 139, 150, 161), "collapse") == []
    assert said(irons(116, 128, 139, 150, 154, 157), "collapse") == [
        "The irons stop stepping at the 5i: 4 yd past the 6i, where 12 is usual. The long end starts there."
    ]
    assert said(irons(116, 128), "collapse") == []


def test_neighbours_nearer_than_the_spread_and_flights_out_of_line_are_said():
    assert len(said(irons(150, 154, spread=5), "overlap")) == 1
    assert "shots in 10 of one land in" in said(irons(150, 154, spread=5), "overlap")[0]
    assert said(irons(150, 162, spread=3), "overlap") == []
    flat = [
        replace(iron, peak_m=peak, landing_deg=angle, spin_rpm=spin)
        for iron, peak, angle, spin in zip(
            irons(140, 152, 164), (27, 21, 28), (48, 45, 48), (6000, 5000, 5600), strict=True
        )
    ]
    assert str(said(flat, "peak_m")[0]).startswith("8i flies lower (69 ft)")
    assert said(flat, "landing_deg") == ["7i lands steeper than 8i: 48° against 45°."]
    assert said(flat, "spin_rpm") == ["7i spins more than 8i: read it with speed and launch."]


def test_the_number_of_clubs_follows_the_space_and_the_spread():
    def between(carry, spread):
        lower, upper = irons(carry - 8, spread=spread)[0], club("5W", 196, 204, HeadType.FAIRWAY)
        return clubs_for(lower, replace(upper, spread_m=metres(spread)), rule=GapRule.ROLL_OUT, step=STEP)

    assert between(198, 4)[0] == 0
    assert between(170, 4)[0] == 2
    few, remark = between(170, 9)
    assert few == 1
    assert "closer than this speed and spread can use" in remark.sentence


def test_what_rolls_further_may_carry_less_and_leaves_the_same_on_both_sides():
    lower, upper = club("5i", 162, 170), club("5W", 196, 204)
    plan = lay_out_slots(lower, upper, 1, rule=GapRule.ROLL_OUT, step=STEP)
    flat = slot_with_roll(plan, 0, lower, upper, metres(14))
    below, above = flat.target_m - lower.total_m, upper.carry_m - (flat.target_m + metres(14))
    assert below == pytest.approx(above)
    assert flat.target_m < plan.slots[0].target_m
    assert flat.high_m - flat.low_m == pytest.approx(plan.slots[0].high_m - plan.slots[0].low_m)
    even = lay_out_slots(lower, upper, 1, rule=GapRule.EVEN_STEPS, step=STEP)
    assert slot_with_roll(even, 0, lower, upper, metres(14)).target_m == even.slots[0].target_m


def test_an_interview_starts_at_distances_this_player_meets():
    def of(name, clubs, plan):
        job = next(each.job for each in common_jobs(clubs, plan) if each.job.name == name)
        return round(yards(job.distance_m)), job.carry_over_m and round(yards(job.carry_over_m))

    assert of("Carry over water", [], None) == (170, 160)
    assert of("Long par three", BAG, None) == (180, None)  # a driver of 224
    short = [replace(each, carry_m=0.6 * each.carry_m, total_m=0.6 * each.total_m) for each in BAG]
    assert of("Long par three", short, None) == (110, None)
    plan = lay_out_slots(short[2], short[1], 1, rule=GapRule.ROLL_OUT, step=STEP)
    distance, _ = of("Long par three", short, plan)
    assert abs(distance - yards(plan.slots[0].target_m)) <= 2.5
    water, over = of("Carry over water", short, plan)
    assert over < water < distance
    sizes = [(each.job.width_m, each.job.uses_per_round) for each in common_jobs(short, plan)]
    assert [str(each.said) for each in common_jobs(short, plan)] == [each.job.name for each in common_jobs([], None)]
    assert sizes == [(each.job.width_m, each.job.uses_per_round) for each in common_jobs([], None)]


def test_an_average_read_off_a_screen_is_known_as_well_as_its_balls_make_it():
    """By hand, five balls within 6 of 168: 6 / 1.353 = 4.43 of spread, 2.132 x 4.43 / sqrt 5 = 4.2 either way."""
    seen = TypedAverage(metres(168), 5, metres(6))
    assert (yards(seen.spread_m), yards(seen.doubt_m)) == pytest.approx((4.43, 4.23), abs=0.01)
    assert seen.words == "5 balls, all within 6 yd, read off a screen"
    # Without a spread the usual one stands in; more balls are known better.
    alone, many = TypedAverage(metres(168), 1), TypedAverage(metres(168), 20)
    assert yards(alone.doubt_m) == pytest.approx(1.645 * 0.03 * 168, abs=0.01)
    assert many.doubt_m == pytest.approx(alone.doubt_m / math.sqrt(20))
    # The table is what draws say, whoever draws them.
    draws = np.random.default_rng(30).normal(size=(60_000, 8))
    farthest = np.abs(draws - draws.mean(axis=1, keepdims=True)).max(axis=1).mean()
    assert TypedAverage(150.0, 8, farthest).spread_m == pytest.approx(1.0, abs=0.01)


@pytest.mark.parametrize(("balls", "within", "field"), [(0, None, "balls"), (1, 5, "within_m"), (5, 0, "within_m")])
def test_an_average_that_cannot_be_is_refused(balls, within, field):
    with pytest.raises(BadInput) as refused:
        TypedAverage(150.0, balls, within)
    assert refused.value.field == field
