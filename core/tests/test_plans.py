"""Bags planned as a whole: against worked figures, every bag weighed by hand, and what must never change."""

import itertools
from dataclasses import replace

import numpy as np
import pytest
from hemicycle_core.bag import (
    Carried,
    ClubOption,
    Demand,
    GapRule,
    HeadType,
    Limits,
    Plan,
    SwapPair,
    best_plan,
    coverage,
    lay_out_like,
    rebagged,
    replanned,
    usual_rules,
    weigh_plan,
)
from hemicycle_core.bag.plans import left_open, shared_out
from hemicycle_core.units import metres, yards

RULES = usual_rules(GapRule.ROLL_OUT)
DRAWS = 200


def option(key, carry, success, *, total=None, price=0.0, own=False, kind=HeadType.HYBRID, fixed=False, doubt=0.05):
    """A club with a success share a job, known give or take `doubt`, the same spread of players for all."""
    spread = doubt * np.linspace(-1, 1, DRAWS) * (1 if key < "m" else -1)
    club = Carried(key, kind, metres(carry), metres(carry + 8 if total is None else total))
    share = np.clip(np.array(success)[:, None] + spread, 0, 1)
    return ClubOption(key, club, share, own=own, price=price, fixed=fixed)


OWN = [
    option("5i", 162, [0.2, 0.1], own=True, kind=HeadType.IRON),
    option("5W", 196, [0.1, 0.6], own=True, kind=HeadType.FAIRWAY),
    option("Dr", 224, [0.0, 0.3], own=True, kind=HeadType.DRIVER, fixed=True),
]
NEW = [
    option("a", 179, [0.7, 0.2], price=279),
    option("b", 181, [0.68, 0.2], price=249),
    option("c", 168, [0.4, 0.1], price=200),
    option("d", 198, [0.1, 0.62], price=300, kind=HeadType.FAIRWAY),
]
DEMAND = Demand(np.array([2.0, 1.0]), ("", ""))


def test_a_bag_is_the_best_club_for_each_job_by_its_uses_with_its_holes_and_its_price():
    keys = frozenset({"5i", "5W", "Dr", "a"})
    bag = weigh_plan(Plan(keys), [*OWN, *NEW], DEMAND, RULES, Limits())
    assert bag.mean_rounds == pytest.approx(2 * 0.7 + 0.6, abs=0.01)
    assert bag.by_job == ("a", "5W")
    assert (bag.count, bag.price, bag.added, bag.relearn, bag.dropped) == (5, 279, ("a",), ("a",), ())
    # 170 to 179 and 187 to 196 are open, and 204 to 224 under the driver.
    assert [round(yards(gap.open_m)) for gap in bag.covered.gaps] == [9, 9, 20]
    assert bag.next_gap == ("5W", "Dr")


def test_the_best_bag_is_the_best_of_all_and_within_noise_the_cheaper():
    found = best_plan([*OWN, *NEW], 1, DEMAND, RULES, Limits())
    assert found.bag.added == ("b",)  # as good as a within the noise, and cheaper
    assert found.sentence.startswith("B in: ")
    assert "as good as far as can be told" in found.sentence
    dear = [replace(each, price=1000.0) if each.key == "b" else each for each in NEW]
    assert best_plan([*OWN, *dear], 1, DEMAND, RULES, Limits()).bag.added == ("a",)
    two = best_plan([*OWN, *NEW], 2, DEMAND, RULES, Limits())
    every = [
        weigh_plan(Plan(frozenset({"5i", "5W", "Dr", *new})), [*OWN, *NEW], DEMAND, RULES, Limits()).mean_rounds
        for count in range(3)
        for new in itertools.combinations("abcd", count)
    ]
    assert two.bag.mean_rounds >= max(every) - 0.1
    assert two.searched >= len(every)


def test_nothing_better_keeps_the_bag_and_says_so():
    poor = [option("z", 163, [0.1, 0.1], price=10)]
    found = best_plan([*OWN, *poor], 2, DEMAND, RULES, Limits())
    assert found.bag.added == ()
    assert found.sentence.startswith("Keep the bag as it is")


def test_over_the_limit_a_club_that_is_not_fixed_goes_and_over_the_budget_nothing_comes():
    found = best_plan([*OWN, *NEW], 1, DEMAND, RULES, Limits(most=4, without_carry=1))
    assert found.bag.count == 4
    assert found.bag.dropped == ("5i",)
    assert "Dr" not in found.bag.dropped
    assert best_plan([*OWN, *NEW], 1, DEMAND, RULES, Limits(budget=100)).bag.added == ()


def test_without_jobs_the_holes_decide():
    bare = [replace(each, success=np.zeros((0, DRAWS))) for each in [*OWN, *NEW]]
    found = best_plan(bare, 1, Demand(np.zeros(0), ()), RULES, Limits())
    assert found.bag.added == ("b",)
    assert found.bag.rounds.size == 0


def test_a_swap_pair_plays_one_club_on_each_course_by_its_share_of_the_rounds():
    demand = Demand(np.array([2.0, 1.0]), ("Home", "Links"), {"Home": 0.75, "Links": 0.25})
    keys = frozenset({"5i", "Dr", "a", "d"})
    pair = Plan(keys, SwapPair("a", "d", "Links"))
    bag = weigh_plan(pair, [*OWN, *NEW], demand, RULES, Limits())
    assert bag.mean_rounds == pytest.approx(0.75 * 2 * 0.7 + 0.25 * 0.62, abs=0.01)
    assert bag.by_job == ("a", "d")
    everywhere = replace(demand, courses=("", "Links"))
    assert weigh_plan(pair, [*OWN, *NEW], everywhere, RULES, Limits()).by_job == ("a", "d")
    assert [club.name for club in bag.covered.clubs] == ["5i", "a", "Dr"]
    assert bag.count == 4
    both = weigh_plan(Plan(keys), [*OWN, *NEW], demand, RULES, Limits())
    assert both.count == 5
    found = best_plan([*OWN, *NEW], 2, demand, RULES, Limits(most=5, without_carry=1), swaps=True)
    assert found.bag.count <= 5


def test_a_newcomer_is_told_by_what_it_closes_leaves_and_crowds():
    before = coverage([each.club for each in OWN], RULES)

    def told(carry, total):
        club = Carried("A", HeadType.HYBRID, metres(carry), metres(total))
        return replanned(before, coverage([*before.clubs, club], RULES), "A")

    assert told(179, 187) == "Of the 26 yd between 5i and 5W, 9 stay open below it and 9 above it."
    assert told(172, 193) == "Closes the 26 yd between 5i and 5W."
    assert told(192, 199) == "Of the 26 yd between 5i and 5W, 22 stay open below it, but only 4 yd under your 5W."
    assert told(160, 168) == "Only 2 yd under your 5i."
    assert left_open(before).startswith("26 yd uncovered between 5i and 5W; 20 yd")


def test_what_several_clubs_make_of_the_bag_is_told_by_the_widest_hole_and_what_is_left():
    own = [each.club for each in OWN]
    before = coverage(own, RULES)
    two = [
        Carried(name, HeadType.HYBRID, metres(carry), metres(total))
        for name, carry, total in (("A", 172, 181), ("B", 182, 194))
    ]
    after = coverage([*own, *two], RULES)
    assert (
        rebagged(before, after, ["A", "B"], [])
        == "The widest hole goes from 26 to 20 yd. 20 yd uncovered between 5W and Dr."
    )
    assert rebagged(before, coverage([*own, two[0]], RULES), ["A"], []) == replanned(
        before, coverage([*own, two[0]], RULES), "A"
    )
    gone = coverage([club for club in own if club.name != "5W"], RULES)
    assert rebagged(before, gone, [], ["5W"]).startswith("The widest hole goes from 26 to ")
    assert rebagged(before, before, [], []) == left_open(before)


def test_like_for_like_aims_at_the_old_club_itself():
    old = OWN[1].club
    plan = lay_out_like(old)
    assert plan.slots[0].target_m == old.carry_m
    assert round(yards(plan.slots[0].high_m - plan.slots[0].low_m)) == 8
    same = [*OWN, option("n", 196.5, [0.1, 0.6], kind=HeadType.FAIRWAY)]
    bag = weigh_plan(Plan(frozenset({"5i", "n", "Dr"})), same, DEMAND, RULES, Limits())
    assert (bag.relearn, bag.dropped) == ((), ("5W",))


def test_jobs_are_shared_out_to_the_club_that_does_each_best_whatever_the_order():
    chance = np.random.default_rng(3)
    success, uses = chance.random((4, 3, 50)), np.array([2.0, 0.5, 1.0])
    made, best = shared_out(success, uses)
    slow = [max(range(4), key=lambda club: success[club, job].mean()) for job in range(3)]
    assert list(best) == slow
    assert made == pytest.approx(sum(uses[job] * success[slow[job], job] for job in range(3)))
    turned, _ = shared_out(success[::-1], uses)
    assert turned == pytest.approx(made)
    alone, _ = shared_out(success[:1], uses)
    assert made.mean() >= alone.mean()
