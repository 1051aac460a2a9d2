"""The simulated golfer against published averages and against the order that fitters describe."""

from dataclasses import replace

import numpy as np
import pytest
from hemicycle_core.bag import HeadType
from hemicycle_core.simulation.golfer import Club, Delivery, Player, Swinging, strike_ball
from hemicycle_core.units import METRES_PER_INCH, mph, mps

TOUR = Player(speed_mps=mps(90), attack_deg=-4.3, lean_deg=11)
AVERAGE = Player(speed_mps=33.0, attack_deg=-2.8, lean_deg=5.5)


def hit(player, kind, loft, inches, n=80):
    shots = Swinging(player, seed=4).shots(Club(kind, loft, inches * METRES_PER_INCH), n, known=True)
    clean = [shot for shot in shots if shot["strike"] is None]
    mean = {key: float(np.mean([shot[key] for shot in clean])) for key in clean[0] if key != "strike"}
    mean["miss_cost"] = mean["carry_m"] - float(np.mean([s["carry_m"] for s in shots if s["strike"]]))
    return mean


@pytest.mark.parametrize(
    ("kind", "loft", "inches", "speed", "launch", "spin"),
    [(HeadType.FAIRWAY, 18, 42.5, 152, 9.4, 4350), (HeadType.IRON, 26, 38, 132, 12.1, 5361),
     (HeadType.IRON, 33, 37, 120, 16.3, 7097), (HeadType.WEDGE, 46, 35.75, 102, 24.2, 9304)],
)  # fmt: skip
def test_a_tour_player_comes_back_from_impact(kind, loft, inches, speed, launch, spin):
    mean = hit(TOUR, kind, loft, inches)
    assert mph(mean["ball_speed_mps"]) == pytest.approx(speed, rel=0.06)
    assert mean["launch_deg"] == pytest.approx(launch, abs=1.5)
    assert mean["spin_rpm"] == pytest.approx(spin, rel=0.15)


def test_three_heads_of_one_loft_differ_as_fitters_say():
    wood = hit(AVERAGE, HeadType.FAIRWAY, 22, 41.75)
    hybrid = hit(AVERAGE, HeadType.HYBRID, 22, 40)
    utility = hit(AVERAGE, HeadType.UTILITY, 22, 39.25)
    for key in ("peak_m", "ball_speed_mps", "landing_deg", "carry_m"):
        assert wood[key] > hybrid[key] > utility[key]
    assert wood["miss_cost"] < hybrid["miss_cost"] < utility["miss_cost"]
    assert utility["miss_cost"] > 1.5 * wood["miss_cost"]


def test_the_same_seed_hits_the_same_shots_and_a_left_hander_mirrors_them():
    club = Club(HeadType.HYBRID, 22, 1.0)
    right = Player(speed_mps=33, path_deg=2, face_deg=3)
    left = Player(speed_mps=33, path_deg=2, face_deg=3, hand="left")
    a, b, c = (Swinging(player, seed=9).shots(club, 5) for player in (right, right, left))
    assert a == b
    assert [s["offline_m"] for s in a] == pytest.approx([-s["offline_m"] for s in c])
    assert Player.from_dict(right.to_dict()) == right


@pytest.mark.slow
def test_a_player_warms_up_learns_a_strange_club_and_tires():
    player = Player(speed_mps=33, speed_spread=0.0, warm_up=0.02, tiring=0.001, misses={})
    club = Club(HeadType.HYBRID, 22, 40 * METRES_PER_INCH)
    speeds = [shot["club_speed_mps"] for shot in Swinging(player, seed=2).shots(club, 80)]
    assert speeds[0] == pytest.approx(0.98 * speeds[20])
    assert speeds[79] == pytest.approx((1 - 0.038) * speeds[20], rel=0.002)
    hours = [shot["club_speed_mps"] for shot in Swinging(player, seed=2).shots(club, 2000)]
    assert hours[-1] == pytest.approx(hours[1000]) == pytest.approx(0.9 * speeds[20])  # and levels off
    first = [Swinging(AVERAGE, seed=seed).shots(club, 3) for seed in range(60)]
    later = [Swinging(AVERAGE, seed=seed).shots(club, 3, known=True) for seed in range(60)]
    spread = [np.std([shot["attack_deg"] for three in hits for shot in three]) for hits in (first, later)]
    assert spread[0] > 1.2 * spread[1]


def test_gear_effect_brings_a_toe_strike_of_a_deep_head_back_more_than_of_a_shallow_one():
    delivery = Delivery(43, -2, 0, 0, 18, toe_mm=12, high_mm=0)
    wood, utility = (strike_ball(delivery, Club(kind, 21, 1.0)) for kind in (HeadType.FAIRWAY, HeadType.UTILITY))
    assert wood.axis_deg < utility.axis_deg < 0  # curves left, back to the line
    back = strike_ball(delivery, Club(HeadType.HYBRID, 21, 1.0, cg_further_back_mm=8))
    front = strike_ball(delivery, Club(HeadType.HYBRID, 21, 1.0, cg_further_back_mm=-8))
    assert back.ball_speed_mps > front.ball_speed_mps
    thin = replace(delivery, toe_mm=0, high_mm=-10)
    for club in (Club(HeadType.FAIRWAY, 21, 1.0), Club(HeadType.IRON, 21, 1.0)):
        low, middle = strike_ball(thin, club), strike_ball(replace(delivery, toe_mm=0), club)
        assert low.spin_rpm > middle.spin_rpm
        assert low.launch_deg < middle.launch_deg
        assert low.ball_speed_mps < middle.ball_speed_mps
