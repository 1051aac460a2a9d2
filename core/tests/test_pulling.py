"""What is pulled from the rack and never hit: the shaft that goes in, and the club played out as it should be."""

from dataclasses import replace

import numpy as np
import pytest
from builds import GREEN, TEE, case, session, shots
from hemicycle_core.bag import HeadType
from hemicycle_core.brief import Job, JobKind
from hemicycle_core.judge.unhit import play_expected
from hemicycle_core.rack.expected import Expected
from hemicycle_core.rack.lofts import LoftedHead
from hemicycle_core.rack.pulling import about_as_fast, rough_words, seats, usual_shaft_g
from hemicycle_core.shots import Shot
from hemicycle_core.units import metres, mps

POOL = session(case(shots(179)), case(shots(184, seed=2), "B")).weighed.pooled
HYBRID = LoftedHead("h", HeadType.HYBRID, 22.0, 1.01)
AS_WANTED = Expected(
    HYBRID, metres(179), 3.0, peak_m=28.0, landing_deg=46.0, landing_sd_deg=1.0, roll_m=5.0,
    landing_speed_mps=24.5, landing_spin_rpm=4100.0,
)  # fmt: skip


@pytest.mark.parametrize(("tip", "hosel", "fits"), [(0.370, 0.370, True), (0.370, 0.368, True), (0.335, 0.350, False)])
def test_a_tip_seats_in_a_hosel_of_its_size_only(tip, hosel, fits):
    assert seats(tip, hosel) is fits


def test_a_faster_player_starts_with_a_heavier_shaft_and_an_unknown_one_in_the_middle():
    weights = [usual_shaft_g(mps(speed)) for speed in (60, 80, 95, 110, 130)]
    assert weights == sorted(weights) and weights[0] == 52 and weights[-1] == 95
    assert weights[0] < usual_shaft_g(None) < weights[-1]


@pytest.mark.parametrize(("mine", "theirs", "same"), [(60, 62, True), (60, 66, False), (60, None, False)])
def test_players_are_about_as_fast_by_their_ball(mine, theirs, same):
    assert about_as_fast(mine, theirs) is same


def test_what_rough_does_is_said_to_those_who_play_from_it():
    assert str(rough_words(HeadType.FAIRWAY, ["rough", "tee"])).startswith("From rough a large head grabs")
    assert rough_words(HeadType.HYBRID, ["semi-rough"]) == "Best from rough."
    assert rough_words(HeadType.FAIRWAY, ["tee", "fairway"]) == rough_words(HeadType.IRON, ["rough"]) == ""


def success(expected, job=GREEN, name="x"):
    ((_, (played,)),) = play_expected([(name, expected)], POOL, [job])
    return played


def test_a_club_as_it_should_be_is_played_like_one_that_was_hit_but_less_surely():
    straight = np.random.default_rng(4).normal(0, 6, 40)
    known = [Shot({**shot.values, "offline_m": side}) for shot, side in zip(shots(179, n=40), straight, strict=True)]
    weighed = session(case(known)).weighed
    hit, ((_, (guessed,)),) = weighed.played["A"][0], play_expected([("x", AS_WANTED)], weighed.pooled, [GREEN])
    assert guessed.success == pytest.approx(hit.success, abs=0.15)
    wide = [high - low for low, high in (guessed.interval, hit.interval)]
    assert wide[0] > wide[1]


def test_the_less_is_known_of_it_the_wider_it_is_played():
    widths = [
        np.subtract(*reversed(success(replace(AS_WANTED, carry_sd_m=sd, landing_sd_deg=angle)).interval))
        for sd, angle in ((1.0, 0.5), (4.0, 1.5), (9.0, 4.0))
    ]
    assert widths == sorted(widths) and widths[0] < widths[2] - 0.05


def test_flat_runs_through_short_stops_short_and_what_is_out_of_reach_is_never_done():
    flat, short = replace(AS_WANTED, landing_deg=36.0), replace(AS_WANTED, carry_m=metres(158))
    assert success(flat).fails["long"] > success(AS_WANTED).fails["long"] + 0.2
    assert success(short).fails["short"] > success(AS_WANTED).fails["short"] + 0.2
    far = success(replace(AS_WANTED, carry_m=metres(95)))
    assert (far.success, far.fails["short"]) == (0.0, 1.0)
    past = success(replace(AS_WANTED, carry_m=metres(290)))
    assert (past.success, past.fails["long"]) == (0.0, 1.0)


def test_off_the_tee_further_is_as_good_and_along_the_fairway_it_is_not():
    longer = replace(AS_WANTED, carry_m=metres(200))
    layup = Job("Lay-up", JobKind.LAYUP, metres(184), width_m=40, depth_m=24)
    assert success(longer, TEE).success > success(AS_WANTED, TEE).success - 0.02
    assert success(longer, layup).success < success(AS_WANTED, layup).success - 0.2


def test_what_is_not_known_of_its_flight_is_the_usual_and_another_name_draws_other_luck_alone():
    bare = Expected(HYBRID, metres(179), 3.0)
    assert 0.2 < success(bare).success < 0.95
    one, other = success(AS_WANTED), success(AS_WANTED, name="y")
    assert one.success == pytest.approx(other.success, abs=0.03)
    assert not np.array_equal(one.draws, other.draws)
    assert np.array_equal(one.draws, success(AS_WANTED).draws)
