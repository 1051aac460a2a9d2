"""What can be had from the rack, what goes into what, and how a build is called: rules the screens only repeat."""

from dataclasses import replace

import pytest
from builds import LAYOUT, LOWER, UPPER
from hemicycle_core.bag import GapOrder, HeadType, gap_in_work, nearest_slot
from hemicycle_core.bag.gaps import GapRule, GapRules, coverage, wanted_step
from hemicycle_core.decision import exchanged
from hemicycle_core.errors import BadInput
from hemicycle_core.flight import Air, Launch, drawn_path, fly
from hemicycle_core.flight.integrate import FlightScales
from hemicycle_core.judge import hit_enough
from hemicycle_core.judge.whatif import OTHER_AIRS, other_airs
from hemicycle_core.rack.eligible import (
    RackHead,
    check_can_be_had,
    check_setting,
    check_shaft,
    goes_into,
    same_setting,
    why_not,
)
from hemicycle_core.rack.specification import Specification, build_name, detail, sheet
from hemicycle_core.shots import Shot, Source, least_trusted
from hemicycle_core.units import metres

HEAD = RackHead("Skerry 4H", HeadType.HYBRID, 22.0, sleeve_deg=2.0, price=279.0)


@pytest.mark.parametrize(
    ("changes", "asked", "words"),
    [
        ({}, {}, ""),
        ({"left_handed": False}, {"left_handed": True}, "not made left-handed"),
        ({"left_handed": False}, {}, ""),
        ({"stock": 0}, {}, "none in stock"),
        ({}, {"vetoed": [HeadType.HYBRID]}, "vetoed by the player"),
        ({}, {"budget": 250.0}, "279 is over the budget"),
        ({"price": None}, {"budget": 1.0}, ""),
    ],
)
def test_a_head_is_left_off_for_one_reason_in_words(changes, asked, words):
    assert why_not(replace(HEAD, **changes), **{"left_handed": False, **asked}) == words


def test_what_cannot_be_handed_over_built_or_turned_is_refused_with_the_reason():
    for head, left, words in (
        (replace(HEAD, left_handed=False), True, "left-handed"),
        (replace(HEAD, stock=0), False, "stock"),
    ):
        with pytest.raises(BadInput, match=words):
            check_can_be_had(head, left_handed=left)
    with pytest.raises(BadInput, match="does not go into a hybrid"):
        check_shaft("Fenlark 65", ["fairway"], 0.335, HEAD)
    with pytest.raises(BadInput, match=r"its tip is 0.335 in, the hosel 0.370 in"):
        check_shaft("Fenlark 65", ["hybrid"], 0.335, HEAD)
    assert goes_into(["hybrid"], 0.37, HEAD) and not goes_into(["hybrid"], 0.335, HEAD)
    with pytest.raises(BadInput, match="turns 2° either way"):
        check_setting(HEAD, 24.5)
    with pytest.raises(BadInput, match="bonded and does not turn"):
        check_setting(replace(HEAD, sleeve_deg=0.0), 22.5)


@pytest.mark.parametrize(
    ("sleeve", "lofts"), [(0.0, []), (1.0, [21, 22, 23]), (1.5, [20.5, 21, 21.5, 22, 22.5, 23, 23.5])]
)
def test_a_sleeve_offers_settings_it_can_be_turned_to_the_stated_one_among_them(sleeve, lofts):
    head = replace(HEAD, sleeve_deg=sleeve)
    assert head.lofts_deg == lofts
    for loft in lofts:
        check_setting(head, loft)
    assert same_setting(22.0, 22.04) and not same_setting(22.0, 22.5) and not same_setting(None, None)


def test_a_build_is_named_and_ordered_as_it_was_hit():
    turned = Specification(
        "4H 22°", "Skerry 4H", 22.0, 23.0, 59.0, 1.016, "Fenlark", 65, "R", "graphite", 2.0, "279.00"
    )
    assert build_name("4H", 22.0) == "4H 22°"
    assert detail(turned) == "22° set to 23°, 40 in"
    assert detail(replace(turned, set_loft_deg=22.0)) == "40 in"  # the name says the loft
    assert detail(replace(turned, name="Lent", set_loft_deg=22.0)) == "22°, 40 in"
    assert {str(what): how for what, how in sheet(turned)}["Set loft, as hit"] == "23°"
    bare = sheet(Specification("5i"))
    assert bare == [("Head", "5i")]


def test_the_gap_in_work_is_the_one_chosen_else_the_one_missed_most_under_the_driver_too():
    driver = replace(UPPER, name="Dr", head_type=HeadType.DRIVER, carry_m=metres(240), total_m=metres(260))
    step = wanted_step(None)
    covered = coverage([LOWER, UPPER, driver], GapRules(GapRule.ROLL_OUT, step))
    # 36 yd open under the driver, 26 above the 5 iron.
    assert gap_in_work(covered).lower.name == "5W"
    assert gap_in_work(covered, above="5i").lower.name == "5i"
    assert gap_in_work(covered, above="gone").lower.name == "5W"
    often = {"5W": 0.3, "5i": 2.0}
    assert gap_in_work(covered, uses=lambda gap: often[gap.lower.name]).lower.name == "5i"
    assert gap_in_work(covered, uses=lambda gap: often[gap.lower.name], order=GapOrder.WIDTH).lower.name == "5W"
    assert gap_in_work(covered, uses=lambda gap: None).lower.name == "5W"  # nobody said: as if once
    ends = [gap_in_work(covered, order=order).lower.name for order in (GapOrder.BOTTOM, GapOrder.TOP)]
    assert ends == ["5i", "5W"]
    assert gap_in_work(covered, reached=lambda gap: gap.upper.name != "Dr").lower.name == "5i"
    assert gap_in_work(covered, reached=lambda gap: False).lower.name == "5W"
    assert gap_in_work(coverage([UPPER, driver], covered.rules)).upper.name == "Dr"
    assert gap_in_work(coverage([UPPER], covered.rules)) is None
    assert nearest_slot(LAYOUT.slots, None) is LAYOUT.slots[0]
    two = (LAYOUT.slots[0], replace(LAYOUT.slots[0], index=1, target_m=metres(190)))
    assert nearest_slot(two, metres(188)).index == 1


def test_what_a_set_of_clubs_means_for_the_bag_leaves_out_nothing_that_is_fixed():
    own = {"5i": False, "5W": True, "Dr": False}
    assert exchanged({"5i", "A"}, own=own, new=["A", "B"]) == (["A"], ["Dr"])


def test_an_own_club_counts_from_its_first_kept_shot_a_candidate_from_as_many_as_are_asked():
    one = [Shot({"carry_m": 150.0}), Shot({"carry_m": 150.0}, aside=True)]
    assert hit_enough(one, own=True) and not hit_enough(one, own=False)
    assert hit_enough(one * 3, own=False)


def test_a_figure_over_shots_is_no_better_known_than_its_least_trusted_shot():
    seen = [
        {"carry_m": Source.MEASURED, "peak_m": Source.COMPUTED},
        {"carry_m": Source.MODELLED, "peak_m": Source.MEASURED},
    ]
    assert least_trusted(seen) == {"carry_m": Source.MODELLED, "peak_m": Source.COMPUTED}
    assert least_trusted(reversed(seen)) == least_trusted(seen)


def test_a_drawn_flight_starts_at_the_tee_and_is_as_long_and_high_as_was_hit():
    launch, air = Launch(60.0, 14.0, 4500.0), Air()
    path = drawn_path(launch, carry_m=150.0, peak_m=30.0, air=air, scales=FlightScales())
    assert path[0].tolist() == [0, 0] and path[-1][0] == pytest.approx(150.0, abs=0.5)
    assert path[:, 1].max() == pytest.approx(30.0, rel=0.02)
    as_flown = drawn_path(launch, carry_m=150.0, air=air, scales=FlightScales())
    assert as_flown[:, 1].max() == pytest.approx(float(fly(launch, air=air).peak_m[0]), rel=0.02)


def test_other_airs_change_what_they_name_and_keep_the_rest_of_the_place():
    high = other_airs(Air(altitude_m=900.0, temperature_c=12.0))
    assert len(high) == len(OTHER_AIRS)
    against, _, cold, *_ = high
    assert (against.altitude_m, against.temperature_c, against.wind_from_deg) == (900.0, 12.0, 0.0)
    assert (cold.altitude_m, cold.temperature_c, cold.wind_mps) == (900.0, 5.0, 0.0)
