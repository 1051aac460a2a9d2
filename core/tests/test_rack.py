"""Heads expected before they are hit, against the simulated player's own truth, and what is said of them."""

import numpy as np
import pytest
from hemicycle_core.bag import HeadType
from hemicycle_core.bag.clubs import USUAL_LOFT_AND_INCHES, usual_length_m
from hemicycle_core.brief import Target
from hemicycle_core.flight import Air
from hemicycle_core.formats.club_names import kind_of
from hemicycle_core.rack import HeadRecord, Offer, Owned, expect, owned, reach, shortlist, type_lines
from hemicycle_core.rack.differences import Spec, differences
from hemicycle_core.rack.lofts import LoftedHead
from hemicycle_core.shots import Shot, anchor_to
from hemicycle_core.simulation.golfer import Player, Swinging, SwungClub
from hemicycle_core.units import METRES_PER_INCH, metres, yards

BAG = ["Dr", "5W", "5i", "6i", "7i", "8i", "9i", "PW", "SW"]
HEADS = [
    LoftedHead(f"{kind}{loft}", kind, loft, usual_length_m(kind, loft))
    for kind in (HeadType.FAIRWAY, HeadType.HYBRID, HeadType.UTILITY)
    for loft in (18.0, 21.0, 24.0)
]


def read(player, seed=1, shots=5):
    """A player's bag hit a few times and read."""
    swinging = Swinging(player, seed)
    clubs, everything = [], []
    for name in BAG:
        loft, inches = USUAL_LOFT_AND_INCHES[name]
        kind, length = kind_of(name), inches * METRES_PER_INCH
        hit = [
            Shot({k: v for k, v in shot.items() if k != "strike"}, aside=shot["strike"] is not None)
            for shot in swinging.shots(SwungClub(kind, loft, length), shots, known=True)
        ]
        everything += hit
        clubs.append(owned(LoftedHead(name, kind, loft, length), hit, typed_sd_m=4.0))
    there = [club for club in clubs if club is not None]
    return expect(there, anchored=anchor_to(everything, [Air()] * len(everything)))


def truth(player, head):
    steady = Player.from_dict({**player.to_dict(), "misses": {}, "warm_up": 0.0, "tiring": 0.0})
    swung = Swinging(steady, 9).swing(SwungClub(head.head_type, head.loft_deg, head.length_m), 300, known=True)
    return float(swung.readings["carry_m"].mean()), float(swung.flight.landing_deg.mean())


def window(low, high):
    return dict.fromkeys(HeadType, (low, high))


PLAYERS = [
    Player(speed_mps=30.5, attack_deg=-1.5, lean_deg=2.5),
    Player(speed_mps=36.5, attack_deg=-2.0, lean_deg=4.0),
    Player(speed_mps=41.5, attack_deg=-3.6, lean_deg=7.5),
]


def test_expected_carries_come_near_the_truth_and_their_doubt_is_honest():
    off, known, steep = [], [], []
    for number, player in enumerate(PLAYERS):
        for each in read(player, seed=number).of(HEADS):
            carry, landing = truth(player, each.head)
            off.append(yards(each.carry_m - carry))
            known.append(abs(each.carry_m - carry) < 1.645 * each.carry_sd_m)
            steep.append(each.landing_deg - landing)
    assert np.abs(off).mean() < 4.0
    assert np.mean(known) > 0.8
    assert np.abs(steep).mean() < 2.5


def test_more_loft_carries_less_and_lands_steeper_and_nobody_is_known_from_one_club():
    found = read(PLAYERS[1]).of(HEADS)
    for kind in range(3):
        three = found[3 * kind : 3 * kind + 3]
        assert three[0].carry_m > three[1].carry_m > three[2].carry_m
        assert three[0].landing_deg < three[2].landing_deg
    lone = Owned(LoftedHead("7i", HeadType.IRON, 33.0, 0.94), metres(150), 2.0)
    assert expect([lone]).of(HEADS) == []


def test_typed_carries_alone_give_carries_with_more_doubt_and_no_flight():
    clubs = [
        Owned(LoftedHead(name, HeadType.IRON, loft, usual_length_m(HeadType.IRON, loft)), metres(carry), 4.0)
        for name, loft, carry in (("5i", 26, 170), ("6i", 29.5, 160), ("7i", 33, 149))
    ]
    typed = expect(clubs).of(HEADS)
    hit = read(PLAYERS[1]).of(HEADS)
    assert all(each.landing_deg is None for each in typed)
    assert typed[4].carry_sd_m > hit[4].carry_sd_m
    assert 170 < yards(typed[4].carry_m) < 195


def test_what_the_shop_saw_of_a_head_moves_it_and_makes_it_surer():
    expectation = read(PLAYERS[1])
    hot = HeadRecord(np.array([0.02, 0.0, 0.0]), players=6)
    records = {HEADS[4].key: hot}
    after = expect(expectation.clubs, records=records, anchored=expectation.anchored)
    (was,), (now,) = expectation.of([HEADS[4]]), after.of([HEADS[4]])
    assert now.carry_m > was.carry_m + 1
    assert now.carry_sd_m < was.carry_sd_m


def test_the_short_list_turns_the_sleeve_when_it_pays_and_names_what_speed_does_not_support():
    expectation = read(PLAYERS[0])
    hybrid = expectation.of([HEADS[4]])[0]
    low, high = hybrid.carry_m + metres(1), hybrid.carry_m + metres(8)
    offers = [Offer(HEADS[4], "4H", sleeve_deg=2.0, price=279), Offer(HEADS[6], "U3", price=249)]
    (turned,) = shortlist(offers[:1], expectation, windows=window(low, high))
    assert turned.turn_deg < 0  # stronger, to carry further
    assert "in the window" in turned.sentence
    rows = shortlist(offers, expectation, windows=window(low, high), holds_deg=44.0)
    assert [(row.offer.name, row.supported) for row in rows] == [("4H", True), ("U3", False)]
    assert str(rows[1].sentence).startswith("Not supported by this speed")
    there = shortlist(offers[:1], expectation, windows=window(hybrid.carry_m - 4, hybrid.carry_m + 4))
    assert there[0].turn_deg == 0


def test_the_short_list_follows_the_wish():
    expectation = read(PLAYERS[2])
    offers = [Offer(head, head.key) for head in HEADS]
    expected = {each.head.key: each for each in expectation.of(HEADS)}
    aim = expected[HEADS[4].key]
    wide = window(aim.carry_m - 30, aim.carry_m + 30)
    high = shortlist(offers, expectation, windows=wide, demands=[Target("peak_m", aim.peak_m + 4, None, "")])
    low = shortlist(offers, expectation, windows=wide, demands=[Target("peak_m", None, aim.peak_m - 4, "")])
    assert high[0].expected.peak_m > aim.peak_m > low[0].expected.peak_m
    assert any(" ft too low" in row.sentence for row in high)
    further = aim.carry_m + aim.roll_m + metres(8)
    far = shortlist(offers, expectation, windows=None, demands=[Target("total_m", further, None, "")])
    chances = [row.chance for row in far]
    assert chances == sorted(chances, reverse=True)
    assert far[0].expected.carry_m + far[0].expected.roll_m > further
    assert "short of it" in far[-1].sentence
    plain = shortlist(offers, expectation, windows=None)
    assert {row.chance for row in plain} == {None}
    assert [row.expected.carry_m for row in plain] == sorted((e.carry_m for e in expected.values()), reverse=True)
    assert str(plain[0].sentence).startswith("Should carry ")


def test_a_landing_that_no_club_has_at_this_speed_is_out_of_reach_and_says_what_is_not():
    slow = reach(type_lines(read(PLAYERS[0])), carry_m=metres(178), holds_deg=46.0)
    assert not slow.within
    assert "Out of reach" in slow.sentence
    assert slow.longest_m is None or slow.longest_m < metres(178)
    fast = reach(type_lines(read(PLAYERS[2])), carry_m=metres(195), holds_deg=44.0)
    assert fast.within
    assert fast.steepest_deg > 44


def test_a_utility_iron_rolls_further_than_a_fairway_wood_that_carries_as_far():
    lines = type_lines(read(PLAYERS[1]))
    carry = metres(178)
    rolls = [lines[kind].roll_at(carry) for kind in (HeadType.FAIRWAY, HeadType.HYBRID, HeadType.UTILITY)]
    assert rolls == sorted(rolls)
    assert rolls[2] > rolls[0] + 1


ONE_SHAFT = "To tell heads apart, hit them with one shaft."


@pytest.mark.parametrize(
    ("b", "said"),
    [
        (Spec("B", 1.0, 65, "R"), []),
        (
            Spec("B", 1.0 + METRES_PER_INCH, 75, "R"),
            [ONE_SHAFT, "B is 1 in longer than A; B’s shaft is 10 g heavier than A’s."],
        ),
        (Spec("B", None, None, "S"), [ONE_SHAFT, "A is R flex, B S."]),
    ],
)
def test_builds_differ_in_words(b, said):
    assert differences([Spec("A", 1.0, 65, "R"), b]) == said
