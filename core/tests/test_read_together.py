"""What one player's builds say of each other: his line, his day, what he was missing, and what was no carry."""

import numpy as np
import pytest
from hemicycle_core.heads import HeadType
from hemicycle_core.judge.play import DRAWS, Doubts, possible
from hemicycle_core.samples.group import Group
from hemicycle_core.samples.pool import pool
from hemicycle_core.samples.rested import rested
from hemicycle_core.simulation.practice.worlds import WORLDS, draw_world


def group(carries, sides=None, **more):
    carries = np.asarray(carries, float)
    sides = np.zeros(carries.size) if sides is None else np.asarray(sides, float)
    return Group(HeadType.HYBRID, carries, sides, np.zeros(carries.size, bool), **more)


def drawn(pooled, index, name, **doubts):
    centre = pooled.centres[index]
    return possible(name, HeadType.HYBRID, centre, pooled, doubts=Doubts(**doubts))


def test_what_is_not_known_of_the_players_line_moves_all_his_builds_alike():
    chance = np.random.default_rng(1)
    pooled = pool([group(160 + chance.normal(0, 4, 5), 2 + chance.normal(0, 3, 5)) for _ in range(4)])
    first, second = (drawn(pooled, index, name).side_deg for index, name in ((0, "one"), (1, "two")))
    both = np.corrcoef(first[: DRAWS // 2], second[: DRAWS // 2])[0, 1]
    assert both > 0.2
    centre = pooled.centres[0]
    apart = np.hypot(centre.side_se_deg, centre.side_shared_deg)
    assert np.std(first) == pytest.approx(apart, rel=0.25) and centre.side_shared_deg > 0.4
    many = pool([group(160 + chance.normal(0, 4, 40), 2 + chance.normal(0, 3, 40)) for _ in range(4)])
    assert many.centres[0].side_shared_deg < centre.side_shared_deg
    # Five shots to the right are drawn towards the line, forty say it themselves.
    assert abs(pooled.centres[0].side_deg) < 3 and abs(np.mean([c.side_deg for c in many.centres]) - 2) < 0.6


@pytest.mark.slow
def test_the_line_of_a_build_lies_in_its_interval_nine_times_in_ten():
    chance, inside = np.random.default_rng(5), []
    for _ in range(150):
        line, own = chance.normal(0, 1.3), chance.normal(0, 1.0, 4)
        sides = [line + each + chance.normal(0, 3.2, 6) for each in own]
        pooled = pool([group(160 + chance.normal(0, 4, 6), side) for side in sides])
        for each, centre in zip(own, pooled.centres, strict=True):
            error = np.hypot(centre.side_se_deg, centre.side_shared_deg)
            inside.append(abs(centre.side_deg - line - each) < 1.645 * error)
    assert 0.86 < np.mean(inside) < 0.96


def test_a_carry_that_its_launch_does_not_fly_is_no_shot_of_the_club():
    chance = np.random.default_rng(2)
    carries = 160 * (1 + 0.02 * chance.normal(size=6))
    flown = carries * (1 + 0.006 * chance.normal(size=6))
    beside = group(150 * (1 + 0.02 * np.arange(-2, 3)), flown_m=150 * (1 + 0.02 * np.arange(-2, 3)))
    right = pool([group(carries, flown_m=flown), beside])
    wrong = carries.copy()
    wrong[0] = flown[0] * 0.8
    misread, taken = (pool([group(wrong, flown_m=given), beside]) for given in (flown, None))
    assert misread.centres[0].carry_m == pytest.approx(right.centres[0].carry_m, rel=0.01)
    assert misread.miss[0].max() < 0.2 < taken.miss[0].max()  # a misread shot was not missed
    # Range balls, hit on another day: all of them fly a tenth short of their launch, and none is a misread.
    range_balls = group(140 * (1 + 0.02 * np.arange(-2, 3)), flown_m=156 * (1 + 0.02 * np.arange(-2, 3)))
    mixed = pool([group(carries, flown_m=flown), range_balls])
    assert mixed.centres[1].carry_m == pytest.approx(140, rel=0.01) and mixed.centres[1].n > 4.5


def test_the_order_says_what_was_missing_of_the_speed():
    order = np.arange(60.0)
    missing = 0.04 * np.exp(-order / 5) + 0.0012 * np.maximum(order - 24, 0)
    noise = 0.01 * np.random.default_rng(3).normal(size=60)
    speeds = np.split(np.log(40) - missing + noise, 5)
    found = rested(speeds, np.split(order, 5), [np.ones(12)] * 5, np.zeros(5))
    true = np.array([each.mean() for each in np.split(missing, 5)])
    assert np.abs((found.mean - found.whole) - (true - true.mean())).max() < 0.006
    assert found.mean[4] > found.mean[1] and found.mean[0] > found.mean[1]
    # Where nobody says the order nothing is told; a club of another day counts as the average.
    assert rested(speeds, [np.full(12, np.nan)] * 5, [np.ones(12)] * 5, np.zeros(5)) is None
    other = rested(
        [*speeds, np.log(np.full(3, 37.0))],
        [*np.split(order, 5), np.full(3, np.nan)],
        [np.ones(12)] * 5 + [np.ones(3)],
        np.zeros(6),
    )
    assert other.mean[5] == pytest.approx(other.whole, rel=0.1) and other.mean[4] > other.whole


def test_strange_builds_are_drawn_to_where_they_gather_and_clubs_of_the_bag_are_not():
    spread = np.array([-6.0, -3, 0, 3, 6])
    near = [group(each + spread) for each in (158.0, 160, 161)]
    far = group(172 + spread)
    pooled = pool([*near, far, group(130 + spread, strange=False)])
    assert pooled.centres[3].played.mean < pooled.centres[3].carry_m - 0.5
    assert pooled.centres[3].played.sd < pooled.centres[3].carry.sd
    assert pooled.centres[4].played is pooled.centres[4].carry
    assert pool([far]).centres[0].drawn is None
    # Neither a wedge nor the next step of wedges is drawn to what is tried for another place.
    apart = pool([group(160 + spread), group(95 + spread / 2), group(84 + spread / 2)])
    for centre in apart.centres:
        assert abs(centre.played.mean / centre.carry_m - 1) < 0.002


@pytest.mark.parametrize("name", WORLDS)
def test_a_world_comes_again_and_hands_out_what_a_monitor_reads(name):
    one, again = (draw_world(name, 4, 2, own=True, shop=True) for _ in range(2))
    for each in (one, again):
        for letter in ("own", *"ABCDE"):
            each.hit(letter, 6)
    assert one.shots == again.shots and one.tried == again.tried and one.oracle() == again.oracle()
    assert all(0 < tried.carry_m < 230 and min(tried.success) >= 0 for tried in one.tried)
    assert {shot.order for shots in one.shots.values() for shot in shots} == set(range(36))
    if name == "equal":
        assert {tried.success for tried in one.tried} == {one.own.success}


def test_no_build_and_no_shot_is_no_error():
    assert pool([]).centres == ()
    assert pool([group([])]).centres == (None,)
    assert pool([group([150.0], order=np.array([3.0]))]).centres[0].side_shared_deg > 0


def test_a_player_whose_shots_follow_each_other_is_known_less_well():
    chance = np.random.default_rng(4)
    drift = np.zeros(40)
    for at in range(1, 40):
        drift[at] = 0.8 * drift[at - 1] + chance.normal(0, 2)
    order = np.arange(40.0)
    carries = 160 + chance.normal(0, 3, 40)

    def line(sides, orders):
        parts = zip(np.split(carries, 4), np.split(sides, 4), orders, strict=True)
        return pool([group(each, side, order=turn) for each, side, turn in parts]).centres[0].side_shared_deg

    followed, mixed, unknown = (
        line(drift, [each[turn] for each in np.split(order, 4)] if turn is not None else [None] * 4)
        for turn in (slice(None), chance.permutation(10), None)
    )
    assert followed > 1.05 * unknown and followed > mixed
