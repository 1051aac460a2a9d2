"""Another club in an old one's place, a turn that is left, two for two, three for two places by course, and as far as
possible: cases as a master tells them, written down before they were run."""

from dataclasses import replace

import numpy as np
import pytest
from builds import LOWER, UPPER, case, shots
from hemicycle_core.bag import Carried, HeadType
from hemicycle_core.brief import Job, JobKind, ReplaceWay
from hemicycle_core.brief.wishes import (
    far_wanted,
    lay_out_replacing,
    propose_far,
    propose_replacing,
    replace_wanted,
)
from hemicycle_core.decision import Because, Demand, Limits
from hemicycle_core.errors import BadInput
from hemicycle_core.flight import Firmness
from hemicycle_core.judge import Candidate, Case
from hemicycle_core.judge.cut import CutPlace, proposed_here
from hemicycle_core.shots import Shot
from hemicycle_core.thresholds import DEFAULT
from hemicycle_core.units import metres
from test_decision import CARRIES, decided, windowed

LONGER, SHORTER, SOFTER = ReplaceWay
OLD = Carried("4i", HeadType.IRON, metres(174), metres(184), landing_deg=39.0, loft_deg=23.0, spread_m=4.0)


def placed(letter, carry, landing, ways, n=10, **more):
    layout = lay_out_replacing(OLD, ways, LOWER, UPPER)
    build = Candidate(letter, letter, HeadType.HYBRID, shots(carry, landing, n=n, spread=2, seed=ord(letter)), **more)
    targets = propose_replacing(OLD, ways, layout, [])
    return Case(build, targets, LOWER, UPPER, replace_wanted(OLD, ways))


def test_longer_and_softer_takes_the_one_that_is_both_and_the_old_one_goes():
    """“You asked for longer and softer. B is longer and lands like the old one, C is soft and no longer.”"""
    ways = (LONGER, SOFTER)
    cases = [placed(*build, ways) for build in (("A", 183, 46), ("B", 186, 39), ("C", 174, 47))]
    found = decided(*cases, own={**CARRIES, "4i": 174}, replaced="4i")
    assert (found.choice.letter, found.bag.dropped) == ("A", ("4i",))
    assert str(found.choice.sentence).startswith("A carries further than the 4i and lands softer")
    assert found.bag.count == found.today.count


def test_of_two_that_save_alike_the_softer_one_is_put_first_where_softer_was_asked():
    """“Both are softer. You asked for soft: take the softest.”"""
    found = decided(*(placed(*b, (SOFTER,)) for b in (("A", 175, 43), ("B", 175, 46))),
                    own={**CARRIES, "4i": 174}, replaced="4i")  # fmt: skip
    assert (found.choice.letter, found.choice.because) == ("B", Because.ASKED)
    assert "B does more of what was asked" in found.choice.sentence
    kept = decided(placed("A", 175, 38, (SOFTER,)), own={**CARRIES, "4i": 174}, replaced="4i")
    assert kept.choice.letter is None and str(kept.choice.sentence).startswith(
        "Keep the 4i: none of these lands softer than"
    )


def test_a_place_is_asked_for_one_way_and_never_onto_a_neighbour():
    longer, shorter = (lay_out_replacing(OLD, [way], LOWER, UPPER).slots[0] for way in (LONGER, SHORTER))
    assert OLD.carry_m < longer.low_m < longer.high_m <= UPPER.carry_m - metres(5)
    assert LOWER.carry_m + metres(5) <= shorter.low_m < shorter.high_m < OLD.carry_m
    for ways in ((), (LONGER, SHORTER)):
        with pytest.raises(BadInput):
            lay_out_replacing(OLD, ways, LOWER, UPPER)
    with pytest.raises(BadInput, match="Hit the 4i first"):
        bare = replace(OLD, landing_deg=None)
        propose_replacing(bare, [SOFTER], lay_out_replacing(bare, [SOFTER], LOWER, UPPER), [])


def launched(carry_yd, n=10, seed=1):
    """Shots with a launch that carry about so far."""
    chance = np.random.default_rng(seed)
    return [
        Shot({"carry_m": metres(carry_yd + 2 * chance.normal()), "ball_speed_mps": 59.5 + 0.2 * chance.normal(),
              "launch_deg": 14.0, "spin_rpm": 4300.0, "landing_deg": 45 + chance.normal(), "offline_m": 0.0})
        for _ in range(n)
    ]  # fmt: skip


def test_a_turn_of_the_sleeve_that_is_left_comes_before_another_head():
    """“It is five yards long. Turn it up a degree and hit it again before we look at anything else.”"""
    turned = windowed(case(launched(184), up_deg=2.0, down_deg=2.0, loft_deg=22.0, price=250), 172, 178)
    far = windowed(case(launched(169, seed=2), "B", price=200), 172, 178)
    found = decided(turned, far, jobs=[])
    assert (found.choice.letter, found.choice.because) == ("A", Because.TURN)
    assert "A turned" in found.choice.sentence and "hit it before anything is bought" in found.choice.sentence
    assert not found.choice.settled
    fixed = decided(windowed(case(launched(184), loft_deg=22.0, price=250), 172, 178), jobs=[])
    assert fixed.choice.because is not Because.TURN


def test_two_go_for_two_where_a_full_bag_has_them_twice():
    """“Your two long irons do what one does. Two hybrids for two irons: the yardages are yours again.”"""
    own = {**{name: yd for name, yd in CARRIES.items() if name not in ("5i",)}, "5i": 158, "4i": 160}
    a, b = (
        windowed(case(shots(yd, n=10, spread=2), letter), yd - 4, yd + 4) for yd, letter in ((172, "A"), (184, "B"))
    )
    found = decided(a, replace(b, slot=1), own=own, limits=Limits(most=len(own) + 1, places=2))
    assert found.choice.letters == ("A", "B")
    assert len(found.bag.dropped) == 2 and found.bag.count == found.today.count
    assert set(found.bag.dropped) <= {"5i", "4i", "6i"}


def test_three_clubs_stand_in_two_places_by_course():
    """“The five wood stays for both. On the links the low one takes the high one's place.”"""
    home = Job("Home par three", JobKind.GREEN, metres(176), uses_per_round=3, width_m=30, depth_m=22)
    links = Job("Links par three", JobKind.GREEN, metres(202), Firmness.FIRM, uses_per_round=4, width_m=30, depth_m=26)
    high = windowed(case(shots(176, landing=50, n=12, spread=2), price=100), 172, 180)
    low = windowed(case(shots(186, landing=36, n=12, spread=2, seed=3), "B", HeadType.UTILITY, price=100), 172, 180)
    wood = case(shots(204, landing=42, n=12, spread=3, seed=5), "C", HeadType.FAIRWAY, price=100)
    both = replace(windowed(wood, 200, 208), slot=1)
    demand = Demand(np.array([3.0, 4.0]), ("Home", "Links"), {"Home": 0.6, "Links": 0.4})
    own = {name: yd for name, yd in CARRIES.items() if name != "5W"} | {"Dr": 240}
    limits = Limits(most=len(own) + 3, places=2)
    found = decided(high, low, both, own=own, jobs=[home, links], demand=demand, limits=limits, swaps=True)
    pairs = [plan for plan in found.weigher._costs if plan.swap is not None]
    assert any(len(plan.keys - found.weigher.today.keys) == 3 for plan in pairs)
    assert found.bag.count <= limits.most


def test_as_far_as_possible_is_told_in_strokes_from_the_tee_beside_the_old_club_and_the_driver():
    """“C goes ten past your three wood and as straight. That is worth a twentieth of a shot each time.”"""

    def hit(total, wide, seed, n=14):
        chance = np.random.default_rng(seed)
        return [
            Shot({"carry_m": metres(total - 14 + 3 * chance.normal()), "total_m": metres(total + 3 * chance.normal()),
                  "offline_m": wide * chance.normal(), "landing_deg": 38.0})
            for _ in range(n)
        ]  # fmt: skip

    old = Carried("3W", HeadType.FAIRWAY, metres(206), metres(220), spread_m=4.0)
    wanted = far_wanted(old, [])
    cases = [
        Case(Candidate(letter, letter, HeadType.FAIRWAY, hit(total, wide, seed)), propose_far(old), None, None, wanted)
        for letter, total, wide, seed in (("A", 231, 8, 1), ("B", 238, 9, 2))
    ]
    own = [
        Candidate("", name, kind, hit(total, wide, seed), own=True)
        for name, kind, total, wide, seed in (("3W", HeadType.FAIRWAY, 220, 8, 3), ("Dr", HeadType.DRIVER, 252, 14, 4))
    ]
    found = decided(*cases, own={**CARRIES, "3W": 206}, hit=own, jobs=[], replaced="3W")
    left = {letter: float(each.strokes.mean()) for letter, each in found.judgement.weighed.off_tee.items()}
    doing = [each.letter for each in found.verdicts if each.chance and each.chance >= 0.5]
    assert found.choice.letter == min(doing, key=lambda letter: left[letter])
    assert (
        f"From the tee it leaves {left['own 3W'] - left[found.choice.letter]:.2f} strokes a shot fewer than the 3W"
        in (found.choice.sentence)
    )
    assert "the driver." in found.choice.sentence


def test_what_a_stroke_is_worth_and_what_a_round_is_made_of_are_the_customers():
    build = case(shots(179, n=8, spread=4), price=900)
    usual, poor = (decided(build, jobs=[], thresholds=each) for each in (DEFAULT, DEFAULT.of_customer(1500.0, ())))
    assert (usual.choice.letter, poor.choice.letter) == ("A", None)
    assert "less than its price is worth" in poor.choice.sentence
    assert usual.bag.worth.price == pytest.approx(900 / DEFAULT.stroke_price)
    often, never = (
        decided(build, jobs=[], thresholds=DEFAULT.of_customer(None, round_)).worths["A"].saves
        for round_ in ((6, 6, 10, 3), (6, 6, 0, 0))
    )
    assert often > 1.5 * usual.worths["A"].saves
    assert abs(never) < 0.1


def test_two_neighbours_that_carry_the_same_are_measured_before_one_is_thrown_out():
    """“Your four and five iron go the same. Let me put them on the gauge before we throw one away.”"""
    own = {**CARRIES, "4i": 164}
    place = windowed(case(shots(180, n=10, spread=2)), 176, 184)
    found = decided(place, own=own, limits=Limits(most=len(own) + 1, places=1))
    assert found.bag.dropped in (("4i",), ("5i",))
    stays = {"4i": "5i", "5i": "4i"}[found.bag.dropped[0]]
    said = f"The {stays} and the {found.bag.dropped[0]} carry the same: measure their lofts before the"
    assert said in found.choice.sentence
    assert "measure their lofts" not in decided(place, own=CARRIES).choice.sentence


def test_where_a_wedge_is_proposed_the_cut_proposes_no_bend_beside_it():
    slot = lay_out_replacing(OLD, [LONGER], LOWER, UPPER).slots[0]
    place = CutPlace(slot, "54°", metres(4), None, "")
    carry = round(slot.target_m / metres(1))
    assert proposed_here(place, "A 52°", goes=True) == f"Carry {carry}: A 52° is proposed here, in place of the 54°."
    assert proposed_here(place, "A 52°", goes=False) == f"Carry {carry}: A 52° is proposed here."
