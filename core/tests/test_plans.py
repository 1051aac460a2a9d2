"""Bags planned as a whole, from figures made up so that every bag can be weighed by hand."""

import itertools
from dataclasses import replace

import numpy as np
import pytest
from hemicycle_core.bag import (
    Carried,
    HeadType,
    coverage,
    lay_out_like,
    left_open,
    rebagged,
    replanned,
)
from hemicycle_core.decision import Demand, Plan, SwapPair
from hemicycle_core.units import metres, yards
from madeup import RULES, option, weigher

OWN = [
    option("5i", 162, [0.2, 0.1], own=True, kind=HeadType.IRON),
    option("5W", 196, [0.1, 0.6], own=True, kind=HeadType.FAIRWAY),
    option("Dr", 224, [0.0, 0.3], own=True, kind=HeadType.DRIVER),
]
NEW = [
    option("a", 179, [0.7, 0.2], price=279),
    option("b", 181, [0.68, 0.2], price=249),
    option("c", 168, [0.4, 0.1], price=200),
    option("d", 198, [0.1, 0.62], price=300, kind=HeadType.FAIRWAY),
]
DEMAND = Demand(np.array([2.0, 1.0]), ("", ""))


def all_of(options=(*OWN, *NEW), demand=DEMAND, **limits):
    return weigher(options, demand, **limits)


def test_a_bag_saves_by_the_best_club_for_each_job_and_has_its_holes_and_its_price():
    bag = all_of().weigh(Plan(frozenset({"5i", "5W", "Dr", "a"})))
    assert bag.worth.saves == pytest.approx(2 * (0.7 - 0.2))
    assert bag.by_job == ("a", "5W")
    assert (bag.count, bag.price, bag.added, bag.relearn, bag.dropped) == (5, 279, ("a",), ("a",), ())
    # 170 to 179 and 187 to 196 are open, and 204 to 224 under the driver.
    assert [round(yards(gap.open_m)) for gap in bag.covered.gaps] == [9, 9, 20]


def test_every_bag_there_may_be_is_weighed_once():
    two = all_of(places=2)
    plans = list(two.plans(NEW))
    by_hand = [{"5i", "5W", "Dr", *new} - ({"5W"} if "d" in new else set())
               for count in (1, 2) for new in itertools.combinations("abcd", count)]  # fmt: skip
    assert sorted(sorted(plan.keys) for plan in plans) == sorted(sorted(keys) for keys in by_hand)
    one_head = [replace(each, head="one" if each.key in "ab" else each.key) for each in NEW]
    assert not any({"a", "b"} <= plan.keys for plan in two.plans(one_head))


def test_over_the_limit_a_loose_club_goes_and_over_the_budget_nothing_comes():
    full = all_of(most=4)
    dropped = {next(iter(full.today.keys - plan.keys)) for plan in full.plans(NEW[:1])}
    assert dropped == {"5W"}  # never the driver, nor an iron of the set
    long_iron = [replace(each, club=replace(each.club, loft_deg=26.0)) if each.key == "5i" else each for each in OWN]
    assert len(list(all_of((*long_iron, *NEW), most=4).plans(NEW[:1]))) == 2
    fixed = [replace(each, fixed=True) for each in OWN]
    assert list(all_of((*fixed, *NEW), most=4).plans(NEW[:1])) == []
    assert list(all_of(budget=100).plans(NEW)) == []


def test_what_is_replaced_leaves_and_so_does_the_same_club_twice():
    come = replace(NEW[0], replaces="5W")
    assert [plan.keys for plan in all_of((*OWN, come)).plans([come])] == [{"5i", "Dr", "a"}]
    (plan,) = all_of().plans([NEW[3]])
    assert plan.keys == {"5i", "Dr", "d"}


def test_a_swap_pair_plays_one_club_on_each_course_by_its_share_of_the_rounds():
    demand = Demand(np.array([2.0, 1.0]), ("Home", "Links"), {"Home": 0.75, "Links": 0.25})
    keys = frozenset({"5i", "Dr", "a", "d"})
    pair = Plan(keys, SwapPair("a", "d", "Links"))
    found = all_of(demand=demand)
    today = 0.75 * 2 * 0.2 + 0.25 * 0.6
    assert found.weigh(pair).worth.saves == pytest.approx(0.75 * 2 * 0.7 + 0.25 * 0.62 - today)
    assert found.weigh(pair).by_job == ("a", "d")
    everywhere = replace(demand, courses=("", "Links"))
    assert all_of(demand=everywhere).weigh(pair).by_job == ("a", "d")
    assert [club.name for club in found.weigh(pair).covered.clubs] == ["5i", "a", "Dr"]
    assert (found.weigh(pair).count, found.weigh(Plan(keys)).count) == (4, 5)
    assert all(plan.swap is None for plan in found.plans(NEW))
    swapped = [plan for plan in all_of(demand=demand, most=5).plans(NEW, swaps=True) if plan.swap]
    assert swapped and all(all_of(demand=demand, most=5).weigh(plan).count <= 5 for plan in swapped)


def test_a_newcomer_is_told_by_what_it_closes_leaves_and_crowds():
    before = coverage([each.club for each in OWN], RULES)

    def told(carry, total):
        club = Carried("A", HeadType.HYBRID, metres(carry), metres(total))
        return replanned(before, coverage([*before.clubs, club], RULES), "A")

    assert told(179, 187) == "Of the 26 yd between 5i and 5W, 9 stay open below it and 9 above it."
    assert told(172, 193) == "Closes the 26 yd between 5i and 5W."
    assert told(192, 199) == "Of the 26 yd between 5i and 5W, 22 stay open below it, but only 4 yd under your 5W."
    assert told(160, 168) == "Only 2 yd under your 5i."
    assert str(left_open(before)).startswith("26 yd uncovered between 5i and 5W; 20 yd")


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
    assert str(rebagged(before, gone, [], ["5W"])).startswith("The widest hole goes from 26 to ")
    assert rebagged(before, before, [], []) == left_open(before)


def test_like_for_like_aims_at_the_old_club_itself():
    old = OWN[1].club
    plan = lay_out_like(old)
    assert plan.slots[0].target_m == old.carry_m
    assert round(yards(plan.slots[0].high_m - plan.slots[0].low_m)) == 8
    same = (*OWN, option("n", 196.5, [0.1, 0.6], kind=HeadType.FAIRWAY))
    bag = all_of(same).weigh(Plan(frozenset({"5i", "n", "Dr"})))
    assert (bag.relearn, bag.dropped) == ((), ("5W",))
