"""When to stop: what a few more shots are worth, against choosing many times after hitting them."""

from dataclasses import replace

import numpy as np
import pytest
from builds import GREEN, case, session, shots
from hemicycle_core.judge.stopping import A_FEW, Apart, loss, more_shots, settled_on, where_loss_is
from hemicycle_core.thresholds import DEFAULT
from hypothesis import given, settings
from hypothesis import strategies as st

means, doubts, counts = st.floats(-1, 1), st.floats(0.02, 0.6), st.integers(3, 20)


@pytest.mark.parametrize("two", [Apart(0.0, 0.3, (5, 5)), Apart(0.15, 0.3, (5, 8)), Apart(-0.4, 0.25, (12, 4))])
def test_the_worth_of_a_few_shots_is_what_choosing_after_them_gains(two):
    """Drawn: the truth, what the shots say of it, the build that then looks better; against choosing now."""
    chance = np.random.default_rng(4)
    left = two.left((A_FEW // 2, A_FEW // 2))
    told = np.sqrt(two.sd**2 - left**2)
    looks = two.mean + told * chance.normal(size=400_000)
    truth = looks + left * chance.normal(size=400_000)
    after, now = np.where(looks > 0, truth, 0.0).mean(), max(two.mean, 0.0)
    assert two.worth == pytest.approx(after - now, abs=0.002)


@settings(max_examples=60, deadline=None)
@given(means, doubts, counts, counts, st.integers(1, 20))
def test_shots_make_surer_and_what_they_cannot_tell_stays(mean, sd, a, b, extra):
    two = Apart(mean, sd, (a, b))
    assert two.left((0, 0)) == pytest.approx(sd)
    assert two.left((extra, 0)) < sd
    assert two.left((extra, extra)) < min(two.left((extra, 0)), two.left((0, extra)))
    assert two.left((10_000, 10_000)) == pytest.approx(sd / np.sqrt(2.5 / a + 2.5 / b + 1), rel=0.01)
    assert two.left((extra, 0)) == pytest.approx(Apart(mean, sd, (b, a)).left((0, extra)))


@settings(max_examples=60, deadline=None)
@given(means, doubts, counts, counts)
def test_nearer_and_less_known_is_worth_more_and_no_side_is_favoured(mean, sd, a, b):
    two = Apart(mean, sd, (a, b))
    assert two.worth == pytest.approx(Apart(-mean, sd, (b, a)).worth)
    assert Apart(mean / 2, sd, (a, b)).worth >= two.worth
    assert Apart(mean, sd * 1.5, (a, b)).worth >= two.worth
    assert 0 <= two.worth <= sd


def choice(*cases):
    return session(*cases).choice


def test_two_builds_that_do_the_same_are_settled_once_enough_was_hit_though_neither_leads():
    alike = choice(case(shots(179, n=30, seed=1)), case(shots(179, n=30, seed=2), "B"))
    assert alike.chance_best < DEFAULT.stop_at
    assert (alike.settled, alike.more) == (True, None)
    fewer = choice(case(shots(179, n=30, seed=1)), case(shots(179, n=8, seed=2), "B"))
    assert not fewer.settled
    assert [letter for letter, _ in fewer.more.shots] == ["B"]
    assert 1 <= fewer.more.count <= DEFAULT.most_shots - 7


def test_a_shop_may_call_it_enough_sooner():
    cases = [case(shots(179, n=8, seed=1)), case(shots(179, n=8, seed=2), "B")]
    assert not session(*cases).choice.settled
    assert session(*cases, thresholds=replace(DEFAULT, most_shots=5)).choice.settled
    never = session(*cases, thresholds=replace(DEFAULT, stop_gain=0.0)).choice
    assert not never.settled and never.more.count >= 1


def test_few_shots_with_builds_that_may_differ_are_not_settled_and_say_with_which_and_how_many():
    open_ = choice(case(shots(181, n=7, spread=6, seed=5)), case(shots(178, n=4, spread=6, seed=8), "B"))
    assert not open_.settled
    letter, count = open_.more.shots[0]
    assert letter == "B"  # hit the least
    assert 1 <= count <= DEFAULT.most_shots


def test_one_build_alone_has_no_rival_to_wait_for():
    found = session(case(shots(179, n=6)))
    assert found.choice.settled
    assert settled_on("A", 0.2, [], found.weighed, DEFAULT)
    assert more_shots("A", [], found.weighed, DEFAULT) is None


def test_a_build_far_behind_asks_for_nothing():
    found = session(case(shots(179, n=6)), case(shots(140, n=3, seed=3), "B"))
    assert found.choice.settled
    assert found.verdicts[1].played[0].success < found.verdicts[0].played[0].success
    assert found.verdicts[0].played[0].job == GREEN


@pytest.mark.parametrize("missed", [0.3989, 0.2, 1e-3, 1e-9, 1e-30])
def test_where_a_loss_is_so_much_is_found_from_hardly_anything_to_all(missed):
    assert loss(where_loss_is(missed)) == pytest.approx(missed, rel=1e-9)
