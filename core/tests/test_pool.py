"""One player's builds read together, and their jobs played out, against simulated truth."""

from dataclasses import replace

import numpy as np
import pytest
from hemicycle_core.bag import HeadType
from hemicycle_core.brief import Job, JobKind
from hemicycle_core.errors import BadInput
from hemicycle_core.flight import Firmness
from hemicycle_core.judge.landings import RollOut
from hemicycle_core.judge.play import Doubts, play, possible
from hemicycle_core.samples.averages import best_five
from hemicycle_core.samples.drift import learning, swing_changes
from hemicycle_core.samples.group import Group
from hemicycle_core.samples.outliers import Unlikely, questioned
from hemicycle_core.samples.overlap import overlap, smallest_useful_step
from hemicycle_core.samples.pool import pool
from hemicycle_core.shots import Shot, Strike
from hemicycle_core.units import metres, mps
from hypothesis import given, settings
from hypothesis import strategies as st

GREEN = Job("Par three", JobKind.GREEN, 165, Firmness.MEDIUM, width_m=20, depth_m=24)


def group(carries, side=0.0, called=None, kind=HeadType.HYBRID, seed=0):
    carries = np.asarray(carries, float)
    sides = np.random.default_rng(seed).normal(side, 2, carries.size)
    return Group(kind, carries, sides, np.zeros(carries.size, bool) if called is None else np.asarray(called), {})


def hit(chance, centre, n, spread=0.025, misses=0.15):
    carries = centre * (1 + spread * chance.normal(size=n))
    poor = chance.random(n) < misses
    return np.where(poor, carries * chance.uniform(0.8, 0.93, n), carries)


@pytest.mark.slow
def test_centres_are_found_under_misses_and_their_intervals_hold_the_truth():
    chance, inside, off = np.random.default_rng(3), 0, []
    for _ in range(150):
        truths = chance.uniform(150, 180, 4)
        pooled = pool([group(hit(chance, truth, 6)) for truth in truths])
        for truth, centre in zip(truths, pooled.centres, strict=True):
            inside += abs(centre.carry_m - truth) < 1.645 * centre.carry_se_m
            off.append(centre.carry_m / truth - 1)
    assert 0.86 < inside / 600 < 0.97
    assert abs(np.mean(off)) < 0.007


def test_other_builds_inform_the_spread_and_the_misses_of_one():
    steady, wild = 160 * (1 + 0.008 * np.arange(-3, 4)), 160 * (1 + 0.05 * np.arange(-3, 4))
    five = group([158, 160, 161, 162, 159])
    with_steady, with_wild = (pool([five, group(each), group(each)]).centres[0] for each in (steady, wild))
    assert with_steady.spread_share < with_wild.spread_share
    assert with_steady.carry_se_m < with_wild.carry_se_m
    clean = pool([five, group(steady)])
    poor = pool([five, group([*steady[:5], 130, 128], called=[False] * 5 + [True] * 2)])
    assert poor.miss_share > clean.miss_share
    assert poor.centres[1].carry_m == pytest.approx(np.mean(steady[:5]), rel=0.01)


def test_a_build_hit_by_a_tired_player_is_brought_to_the_speed_of_the_session():
    def at(speed, carry):
        made = group(np.full(8, carry) + np.arange(8) - 3.5)
        return replace(made, delivery={"speed": np.log(np.full(8, speed) + 0.1 * (np.arange(8) - 3.5))})

    fresh, tired = pool([at(42, 170), at(42, 165), at(40, 160)]).centres[::2]
    assert tired.speed_factor > 1.01
    assert fresh.speed_factor < 1
    assert fresh.carry_m - tired.carry_m < 10
    alone = pool([at(42, 170)]).centres[0]
    assert alone.speed_factor == 1


@settings(max_examples=20, deadline=None, derandomize=True)
@given(st.permutations([150.0, 155.0, 158.0, 161.0, 163.0, 131.0]))
def test_neither_the_order_of_shots_nor_of_groups_matters(carries):
    one, other = group(sorted(carries)), group([170.0, 168.0, 175.0])
    shuffled = replace(one, carry_m=np.array(carries))
    a, b = pool([one, other]), pool([other, shuffled])
    assert a.centres[0].carry_m == pytest.approx(b.centres[1].carry_m)
    assert a.centres[1].carry_se_m == pytest.approx(b.centres[0].carry_se_m)


def played(pooled, job=GREEN, run=None, doubts=None, index=0, kind=HeadType.HYBRID):
    build = possible("A", kind, pooled.centres[index], pooled, doubts=doubts)
    return play(build, kind, run or RollOut(5.0, -1.0, 0.0, 1.5), job)


def test_a_job_played_out_says_how_often_and_where_the_rest_goes():
    chance = np.random.default_rng(5)
    shots = hit(chance, 160, 12)
    right = played(pool([group(shots)]))
    assert right.success > 0.4
    assert right.success + sum(right.fails.values()) == pytest.approx(1, abs=0.03)
    long_ = played(pool([group(shots + 15)]))
    assert long_.fails["long"] > 0.5 > long_.fails["short"]
    aside = played(pool([group(shots, side=5)]))
    assert aside.fails["right"] > 0.4 > aside.fails["left"]
    firm = played(pool([group(shots)]), run=RollOut(20.0, -1.0, 0.0, 3.0))
    assert firm.fails["long"] > right.fails["long"]
    carry = played(pool([group(shots)]), job=replace(GREEN, carry_over_m=159))
    assert carry.success < right.success - 0.1
    tee = played(pool([group(shots)]), job=Job("Tee", JobKind.TEE, 150, width_m=300, depth_m=30))
    assert tee.success > 0.95


def test_few_shots_and_a_modelled_flight_make_the_interval_wide():
    chance = np.random.default_rng(6)
    few, many = (played(pool([group(hit(chance, 160, n))])) for n in (4, 40))
    wide = [high - low for low, high in (few.interval, many.interval)]
    assert wide[0] > 1.2 * wide[1]
    shots = group(hit(chance, 160, 12))
    doubted = played(pool([shots]), doubts=Doubts(0.025, 0.0125, 3.0))
    assert np.ptp(doubted.interval) > np.ptp(played(pool([shots])).interval)


def test_left_is_played_as_right():
    shots = np.array([155.0, 158, 160, 161, 164, 166])
    sides = np.array([3.0, -1, 2, 0.5, 4, 1])
    right, left = (played(pool([Group(HeadType.HYBRID, shots, way * sides, np.zeros(6, bool), {})])) for way in (1, -1))
    assert right.success == pytest.approx(left.success, abs=1e-9)
    assert right.fails["right"] == pytest.approx(left.fails["left"], abs=1e-9)


def shot(carry, **more):
    return Shot({"carry_m": metres(carry), **more})


def test_odd_shots_are_questioned_on_both_sides_and_misreads_first():
    shots = [shot(c) for c in (178, 181, 176, 180, 179, 150, 204)]
    shots.append(shot(180, ball_speed_mps=70.0, club_speed_mps=40.0))
    shots.append(shot(90, ball_speed_mps=mps(125), launch_deg=15.0, spin_rpm=4500.0))
    found = {each.index: each for each in questioned([(shots, HeadType.HYBRID)])[0]}
    assert found[5].kind is Unlikely.SHORT
    assert found[6].kind is Unlikely.LONG
    assert "Smash 1.75" in found[7].sentence
    assert "Its launch flies about" in found[8].sentence
    assert set(found) == {5, 6, 7, 8}
    near = [*(shot(c) for c in (178, 181, 176, 180)), shot(166)]
    assert questioned([(near, HeadType.HYBRID), ([], HeadType.IRON)]) == [[], []]
    assert questioned([]) == []
    called = [*near[:4], Shot(near[4].values, strike=Strike.THIN)]
    assert [each.index for each in questioned([(called, HeadType.HYBRID)])[0]] == [4]
    assert len(best_five([*shots, shot(175)], "carry_m")) == 5


def test_learning_and_a_changed_swing_are_said_only_when_they_are_there():
    slow_start = [150, 152, 149, 165, 166, 163, 164, 167]
    first = learning(slow_start)
    assert first.real
    assert first.shift_m == pytest.approx(np.mean(slow_start[3:]) - np.mean(slow_start))
    assert "Without them" in first.sentence
    assert not learning([160, 165, 162, 164, 161, 163, 166, 160]).real
    assert learning([160] * 7) is None
    chance = np.random.default_rng(2)
    steady = [
        (i % 2, Shot({"path_deg": chance.normal(5 * (i % 2), 1.2), "ball_speed_mps": 56 + chance.normal(0, 0.5)}))
        for i in range(40)
    ]
    moved = [(b, Shot({"path_deg": shot.values["path_deg"] + 0.1 * i})) for i, (b, shot) in enumerate(steady)]
    assert swing_changes(steady) == []
    assert str(swing_changes(moved)[0]).startswith("Club path has moved")


def test_a_step_of_a_spread_and_two_thirds_is_the_least_that_is_a_step():
    assert overlap(0, 4, 4) == pytest.approx(0.5)
    step = smallest_useful_step(4.0)
    assert step == pytest.approx(1.68 * 4, rel=0.01)
    assert overlap(step, 4, 4) == pytest.approx(0.2)
    chance = np.random.default_rng(1)
    lower, upper = chance.normal(150, 3, 20_000), chance.normal(160, 5, 20_000)
    edge = 150 + 10 * 3 / 8
    assert overlap(10, 3, 5) == pytest.approx(((lower > edge).mean() + (upper < edge).mean()) / 2, abs=0.01)
    with pytest.raises(BadInput):
        smallest_useful_step(0)
