"""Jobs met from other lies: what is held beforehand, what shots from there say, and a verdict that turns on it."""

from dataclasses import replace

import numpy as np
import pytest
from builds import case, shots
from hemicycle_core.bag import HeadType
from hemicycle_core.brief import Job, JobKind
from hemicycle_core.decision import decide_session
from hemicycle_core.flight import Air
from hemicycle_core.impact import Lie
from hemicycle_core.judge.from_lie import from_lie, landings_from
from hemicycle_core.judge.landings import landings
from hemicycle_core.shots import Intent, Shot, fill_blanks
from hemicycle_core.units import metres, mps

ROUGH = [HeadType.HYBRID, HeadType.FAIRWAY, HeadType.UTILITY, HeadType.IRON, HeadType.DRIVER]


def launched(n, ball=122.0, launch=14.0, spin=4300.0, lie=None, seed=3):
    chance = np.random.default_rng(seed)
    read = [
        {"ball_speed_mps": mps(ball) * (1 + 0.01 * chance.normal()), "launch_deg": launch, "spin_rpm": spin}
        for _ in range(n)
    ]
    return [Shot({**each, **blank}, lie=lie) for each, blank in zip(read, fill_blanks(read), strict=True)]


def lying(carry, n, lie=Lie.ROUGH, seed=9):
    return [replace(shot, lie=lie) for shot in shots(carry, n=n, seed=seed)]


def test_from_rough_the_hybrid_is_best_the_wood_next_and_a_thin_long_iron_worst_and_tight_turf_takes_most_of_an_iron():
    stock = launched(8)
    left = [from_lie(stock, stock, Lie.ROUGH, kind) for kind in ROUGH]
    assert [each.carry for each in left] == sorted((each.carry for each in left), reverse=True)
    assert 0.90 < left[0].carry < 0.96 and 0.80 < left[2].carry < 0.90
    assert str(left[0].words).startswith("from rough: ") and str(left[0].words).endswith(
        "by judgement, not hit from there"
    )
    wood, iron = (from_lie(stock, stock, Lie.TIGHT, kind) for kind in (HeadType.FAIRWAY, HeadType.IRON))
    assert iron.carry < wood.carry < 1 and iron.wide > wood.wide
    short = from_lie(stock, stock, Lie.ROUGH, HeadType.IRON, loft_deg=40)
    assert left[3].carry < short.carry < left[0].carry
    # A 7-iron whose loft nobody typed leaves higher than any long iron.
    high = launched(6, ball=110, launch=20, spin=6500)
    bare, said = (from_lie(high, high, Lie.ROUGH, HeadType.IRON, loft_deg=loft) for loft in (None, 33))
    assert bare == said
    for kind in ROUGH:
        semi, heavy = (from_lie(stock, stock, lie, kind) for lie in (Lie.SEMI_ROUGH, Lie.ROUGH))
        assert heavy.carry < semi.carry < 1 and heavy.wide > semi.wide > 1 and heavy.carry_sd > semi.carry_sd


def test_a_ball_that_slides_keeps_less_spin_the_more_loft_there_is():
    low, high = launched(6), launched(6, ball=98, launch=24, spin=8800)
    long, short = (from_lie(each, each, Lie.ROUGH, HeadType.IRON) for each in (low, high))
    assert short.spin < 0.75 < long.spin <= 1 and short.launch_deg > long.launch_deg >= 0


def test_shots_from_there_outweigh_what_was_held_beforehand_the_more_of_them_there_are():
    stock = shots(180, n=10)
    beforehand = from_lie(stock, stock, Lie.ROUGH, HeadType.HYBRID)
    some, many = (from_lie([*stock, *about(144, n)], stock, Lie.ROUGH, HeadType.HYBRID) for n in (2, 12))
    assert 0.78 < many.carry < some.carry < beforehand.carry
    assert many.carry == pytest.approx(0.8, abs=0.01)
    assert many.carry_sd < some.carry_sd < beforehand.carry_sd
    assert "with 12 shots hit from there" in many.words
    # Shots that were meant otherwise, set aside or hit from elsewhere say nothing of it.
    others = [replace(shot, intent=Intent.LOW) for shot in lying(100, 5)] + lying(100, 5, lie=Lie.SAND)
    others += [replace(shot, aside=True) for shot in lying(100, 5)]
    assert from_lie([*stock, *others], stock, Lie.ROUGH, HeadType.HYBRID) == beforehand


def test_it_comes_down_slower_from_there_and_a_shot_without_a_launch_as_it_did():
    groups = [launched(5), shots(180, n=4)]
    found = [from_lie(group, group, Lie.ROUGH, HeadType.IRON) for group in groups]
    was = landings(groups)
    now = landings_from(groups, was, found, airs=[Air(), Air()])
    assert (now[0].speed_mps < was[0].speed_mps).all()
    assert (now[1].speed_mps == was[1].speed_mps).all() and (now[1].angle_deg == was[1].angle_deg).all()


def about(carry, n):
    """Shots from rough that average exactly so."""
    return [Shot({"carry_m": metres(carry + (6 if i % 2 else -6))}, lie=Lie.ROUGH) for i in range(n)]


TEE = Job("Off the tee", JobKind.TEE, metres(184), width_m=metres(34), depth_m=metres(20), lie=Lie.TEE)
FROM_ROUGH = Job("Out of the rough", JobKind.LAYUP, metres(188), width_m=metres(34), depth_m=metres(36), lie=Lie.ROUGH)


def first(wood, jobs):
    wooden = case(wood, "A", HeadType.FAIRWAY, jobs=jobs)
    hybrid = case(shots(180, spread=5, n=9, seed=4), "B", HeadType.HYBRID, jobs=jobs)
    return decide_session([wooden, hybrid], jobs=jobs)


def test_the_lie_that_jobs_are_met_from_turns_the_choice_and_shots_from_there_turn_it_back():
    wood = shots(182, spread=3, n=9, seed=4)
    assert first(wood, [TEE]).choice.letter == "A"
    both = [TEE, replace(FROM_ROUGH, uses_per_round=12)]
    turned = first(wood, both)
    assert turned.choice.letter == "B"
    assert str(turned.choice.sentence).endswith(
        "From a clean lie A would do the jobs better; from rough it loses more."
    )
    told = {each.job.name: each.lie for each in turned.weighed.played["A"]}
    assert told["Off the tee"] is None and told["Out of the rough"].n == 0
    hit = first([*wood, *lying(168, 8)], both)
    assert hit.choice.letter == "A" and "From a clean lie" not in hit.choice.sentence
    known = {each.job.name: each.lie for each in hit.weighed.played["A"]}["Out of the rough"]
    assert known.n == 8 and known.carry > told["Out of the rough"].carry
    # What was hit from rough says nothing of the club itself.
    assert hit.weighed.centres["A"] == turned.weighed.centres["A"]
