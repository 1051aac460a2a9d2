"""The simulated golfer against published averages and against the order that fitters describe."""

from dataclasses import replace

import numpy as np
import pytest
from hemicycle_core.bag import HeadType
from hemicycle_core.flight import Firmness, Launch, fly
from hemicycle_core.impact import Lie, Moisture, start_from_lie
from hemicycle_core.simulation.golfer import ClubDelivery, Ground, Player, Swinging, SwungClub, strike_ball
from hemicycle_core.units import METRES_PER_INCH, mph, mps, yards

TOUR = Player(speed_mps=mps(90), attack_deg=-4.3, lean_deg=11)
AVERAGE = Player(speed_mps=33.0, attack_deg=-2.8, lean_deg=5.5)


def hit(player, kind, loft, inches, n=80):
    shots = Swinging(player, seed=4).shots(SwungClub(kind, loft, inches * METRES_PER_INCH), n, known=True)
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
    club = SwungClub(HeadType.HYBRID, 22, 1.0)
    right = Player(speed_mps=33, path_deg=2, face_deg=3)
    left = Player(speed_mps=33, path_deg=2, face_deg=3, hand="left")
    a, b, c = (Swinging(player, seed=9).shots(club, 5) for player in (right, right, left))
    assert a == b
    assert [s["offline_m"] for s in a] == pytest.approx([-s["offline_m"] for s in c])
    assert Player.from_dict(right.to_dict()) == right


@pytest.mark.slow
def test_a_player_warms_up_learns_a_strange_club_and_tires():
    player = Player(speed_mps=33, speed_spread=0.0, warm_up=0.02, tiring=0.001, misses={})
    club = SwungClub(HeadType.HYBRID, 22, 40 * METRES_PER_INCH)
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
    delivery = ClubDelivery(43, -2, 0, 0, 18, toe_mm=12, high_mm=0)
    wood, utility = (strike_ball(delivery, SwungClub(kind, 21, 1.0)) for kind in (HeadType.FAIRWAY, HeadType.UTILITY))
    assert wood.axis_deg < utility.axis_deg < 0  # curves left, back to the line
    back = strike_ball(delivery, SwungClub(HeadType.HYBRID, 21, 1.0, cg_further_back_mm=8))
    front = strike_ball(delivery, SwungClub(HeadType.HYBRID, 21, 1.0, cg_further_back_mm=-8))
    assert back.ball_speed_mps > front.ball_speed_mps
    thin = replace(delivery, toe_mm=0, high_mm=-10)
    for club in (SwungClub(HeadType.FAIRWAY, 21, 1.0), SwungClub(HeadType.IRON, 21, 1.0)):
        low, middle = strike_ball(thin, club), strike_ball(replace(delivery, toe_mm=0), club)
        assert low.spin_rpm > middle.spin_rpm
        assert low.launch_deg < middle.launch_deg
        assert low.ball_speed_mps < middle.ball_speed_mps


def wedge_struck(spin_loft, mu):
    delivery = ClubDelivery(mps(80), -5.0, 0, 0, np.asarray(spin_loft, dtype=float) - 5.0, 0, 0, friction=mu)
    return strike_ball(delivery, SwungClub(HeadType.WEDGE, 56, 35.25 * METRES_PER_INCH))


@pytest.mark.parametrize(
    ("mu", "smash", "launch", "spin"), [(0.25, 1.03, 31, 10_000), (0.15, 1.03, 36, 6_000), (0.10, 1.03, 39, 4_000)]
)
def test_a_wedge_of_fifty_degrees_of_spin_loft_comes_back_from_the_equations(mu, smash, launch, spin):
    found = wedge_struck(50, mu)
    assert found.ball_speed_mps / mps(80) == pytest.approx(smash, rel=0.03)
    assert found.launch_deg == pytest.approx(launch, abs=1.5)
    assert found.spin_rpm == pytest.approx(spin, rel=0.08)


@pytest.mark.parametrize(("mu", "peak"), [(0.25, 49), (0.20, 42), (0.10, 24)])
def test_spin_peaks_where_friction_gives_out_and_falls_beyond(mu, peak):
    lofts = np.arange(16.0, 66.0)
    spin = wedge_struck(lofts, mu).spin_rpm
    assert lofts[spin.argmax()] == pytest.approx(peak, abs=4)
    assert spin[-1] < 0.85 * spin.max()


def test_worn_grooves_matter_little_from_a_dry_fairway_and_much_from_wet_and_from_grass():
    def spin(worn, **ground):
        club = SwungClub(HeadType.WEDGE, 56, 35.25 * METRES_PER_INCH, worn=worn)
        swinging = Swinging(replace(AVERAGE, misses={}), 3, ground=Ground(**ground))
        return np.mean([shot["spin_rpm"] for shot in swinging.shots(club, 40, known=True)])

    dry, wet, grass = (
        spin(1.0, **each) / spin(0.0, **each) for each in ({}, {"moisture": Moisture.WET}, {"lie": Lie.SEMI_ROUGH})
    )
    assert wet < grass < dry
    assert dry > 0.90
    assert wet < 0.70
    assert spin(0.0, hard_cover=True) < spin(0.0)
    assert spin(0.0, moisture=Moisture.WET) < 0.7 * spin(0.0)


@pytest.mark.parametrize(
    ("bounce", "attack", "firmness", "lie"),
    [(14, -8, Firmness.SOFT, Lie.SOFT), (4, -2, Firmness.FIRM, Lie.TIGHT)],
    ids=["a digger in soft turf", "a sweeper on tight turf"],
)
def test_each_sole_helps_whom_fitters_say(bounce, attack, firmness, lie):
    other = 18 - bounce
    player = replace(AVERAGE, attack_deg=attack, misses={}, low_point_sd_mm=22)

    def carry_spread(degrees):
        club = SwungClub(HeadType.WEDGE, 56, 35.25 * METRES_PER_INCH, bounce_deg=degrees)
        swinging = Swinging(player, 5, ground=Ground(lie=lie, firmness=firmness))
        shots = swinging.shots(club, 400, known=True)
        return np.std([shot["carry_m"] for shot in shots])

    assert carry_spread(bounce) < 0.93 * carry_spread(other)


@pytest.mark.parametrize(
    ("kind", "loft", "speed", "attack", "dynamic"),
    [(HeadType.DRIVER, 10.5, 100, 0, 13.5), (HeadType.DRIVER, 12, 85, 0, 15), (HeadType.FAIRWAY, 15, 95, -2.5, 14),
     (HeadType.FAIRWAY, 21, 88, -2.5, 19), (HeadType.HYBRID, 22, 85, -3, 19)],
)  # fmt: skip
@pytest.mark.parametrize("toe", [10.0, -10.0])
def test_a_wood_struck_a_centimetre_off_the_middle_starts_away_and_ends_within_three_yards(
    kind, loft, speed, attack, dynamic, toe
):
    club = SwungClub(kind, loft, 1.1)
    struck = strike_ball(ClubDelivery(np.array([mps(speed)]), attack, 0, 0, dynamic, toe_mm=toe, high_mm=0), club)
    flight = fly(
        Launch(struck.ball_speed_mps, struck.launch_deg, struck.spin_rpm, struck.direction_deg, struck.axis_deg)
    )
    assert struck.direction_deg * toe > 0
    assert struck.axis_deg * toe < 0
    assert abs(yards(flight.offline_m[0])) < 3


@pytest.mark.parametrize(
    ("kind", "loft", "dynamic", "least", "most"),
    [(HeadType.IRON, 33, 27, 0.48, 0.65), (HeadType.WEDGE, 56, 46, 1.0, 1.5)],
)
def test_a_degree_more_upright_starts_it_to_the_players_own_side(kind, loft, dynamic, least, most):
    delivery = ClubDelivery(36.0, -4, 0, 0, dynamic, toe_mm=0, high_mm=0)
    as_is, upright = (
        strike_ball(delivery, SwungClub(kind, loft, 0.9, upright_deg=each)).direction_deg for each in (0, 1)
    )
    assert least < float(as_is - upright) < most
    assert least < start_from_lie(1.0, loft) < most


def test_one_head_made_an_inch_longer_gains_less_speed_than_the_next_club_of_a_set():
    def speed(**longer):
        club = SwungClub(HeadType.HYBRID, 22, 41 * METRES_PER_INCH, **longer)
        return Swinging(replace(AVERAGE, misses={}), 3).shots(club, 1, known=True)[0]["club_speed_mps"]

    set_of = Swinging(replace(AVERAGE, misses={}), 3).shots(
        SwungClub(HeadType.HYBRID, 22, 40 * METRES_PER_INCH), 1, known=True
    )
    before = set_of[0]["club_speed_mps"]
    assert speed() / before - 1 == pytest.approx(0.029, abs=0.004)
    assert speed(made_longer_m=METRES_PER_INCH) / before - 1 == pytest.approx(0.008, abs=0.001)
