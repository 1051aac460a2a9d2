"""Averages, certainty and verdicts."""

import re
from dataclasses import replace

import numpy as np
import pytest
from builds import GREEN, LAYOUT, LOWER, TEE, UPPER, case, session, shots
from hemicycle_core.bag import HeadType
from hemicycle_core.brief import propose
from hemicycle_core.flight import Firmness, Launch, fly
from hemicycle_core.judge import Kind, Liking, Metric, compare
from hemicycle_core.judge.verdict import NO_REMEDY, verdict_of
from hemicycle_core.judge.weigh import weigh
from hemicycle_core.samples import average, certainty, cost_of_a_miss, pattern
from hemicycle_core.shots import Intent, Shot, Source
from hemicycle_core.units import metres, mps, yards


def verdict(hit, jobs=(GREEN,), **more):
    """What is said of a build by itself, before one is recommended."""
    return by_itself(case(hit, jobs=jobs, **more), jobs)


def by_itself(place, jobs=(GREEN,)):
    return verdict_of(place, weigh([place.candidate], jobs), jobs=jobs)


def launched(speed_mph, launch, spin, n=8):
    chance = np.random.default_rng(3)
    speed = mps(speed_mph) * (1 + chance.normal(0, 0.01, n))
    flight = fly(Launch(speed, launch, spin))
    return [
        Shot({"ball_speed_mps": s, "launch_deg": launch, "spin_rpm": spin, "carry_m": c, "landing_deg": d})
        for s, c, d in zip(speed, flight.carry_m, flight.landing_deg, strict=True)
    ]


@pytest.mark.parametrize(
    ("hit", "jobs", "kind"),
    [
        (shots(179, n=9, spread=2), (GREEN,), Kind.FILLS),
        (shots(181, n=4, spread=4), (GREEN,), Kind.FILLS_NOT_SETTLED),
        (shots(179, landing=34), (GREEN, TEE), Kind.OTHER_JOB),
        (shots(179, landing=34), (GREEN,), Kind.NOT_SUPPORTED),
        (shots(193, n=9, spread=2), (GREEN,), Kind.CROWDS),
        (shots(187, n=9, spread=2), (GREEN,), Kind.ONE_HEAD),
        (shots(179, n=2), (GREEN,), Kind.NEEDS_SHOTS),
        ([], (GREEN,), Kind.NEEDS_SHOTS),
    ],
)
def test_verdicts_from_the_closed_list(hit, jobs, kind):
    assert verdict(hit, jobs).kind is kind


def test_computed_figures_make_a_verdict_less_sure_than_measured_ones():
    measured = shots(179, n=9, spread=2)
    computed = [Shot(shot.values, {"carry_m": Source.COMPUTED, "landing_deg": Source.COMPUTED}) for shot in measured]
    modelled = [Shot(shot.values, dict.fromkeys(("carry_m", "landing_deg"), Source.MODELLED)) for shot in measured]
    assert verdict(computed).chance < verdict(measured).chance - 0.1
    assert verdict(modelled).chance < verdict(measured).chance
    wide = [np.ptp(verdict(each).played[0].interval) for each in (measured, modelled)]
    assert wide[1] > wide[0]


def test_what_is_a_whole_step_off_is_not_one_head_away():
    assert verdict(shots(187, n=9, spread=2)).headline == "One head away"
    assert str(verdict(shots(230, n=6)).headline).endswith("yd too long for this slot")


def test_a_veto_stands_and_what_never_lands_steep_enough_is_not_held_up_whatever_its_speed():
    hit = shots(179, n=9, spread=2)
    assert verdict(hit, liking=Liking.VETOED).kind is Kind.VETOED
    for speed, kind in ((112, HeadType.UTILITY), (135, HeadType.UTILITY), (112, HeadType.HYBRID)):
        flat = [Shot({**shot.values, "landing_deg": 38.0, "ball_speed_mps": mps(speed)}) for shot in hit]
        said = verdict(flat, kind=kind)
        assert said.kind is Kind.NOT_SUPPORTED
        assert "weight further back" in said.change
    # A slow ball that comes down as asked is held up, whatever a table of speeds would say.
    slow = [Shot({**shot.values, "landing_deg": 46.0, "ball_speed_mps": mps(105)}) for shot in hit]
    assert verdict(slow, kind=HeadType.UTILITY).kind is Kind.FILLS


def test_what_a_turn_may_still_steepen_is_not_ruled_out_by_its_speed():
    low = launched(118, 13, 4000)
    line = np.mean([shot.values["landing_deg"] for shot in low]) + 1.5
    green = replace(GREEN, firmness=Firmness.SOFT)
    place = case(low, jobs=(green,))
    targets = [replace(t, low=line) if t.quantity == "landing_deg" else t for t in place.targets]
    turning = replace(place, targets=targets, candidate=replace(place.candidate, up_deg=2.0))
    bonded = replace(place, targets=targets)
    kinds = [by_itself(each, (green,)).kind for each in (bonded, turning)]
    assert kinds[0] is Kind.NOT_SUPPORTED
    assert kinds[1] is not Kind.NOT_SUPPORTED


def test_a_club_that_never_reaches_a_job_does_it_never_and_says_which_way():
    short, long_ = verdict(shots(110, n=6)), verdict(shots(270, n=6))
    assert short.played[0].success == long_.played[0].success == 0
    assert (short.played[0].fails["short"], long_.played[0].fails["long"]) == (1, 1)


def test_shots_that_do_not_count_change_nothing():
    hit = shots(179, n=9, spread=2)
    odd = Shot({"carry_m": metres(120), "landing_deg": 20.0}, misread=True)
    low = Shot({"carry_m": metres(140), "landing_deg": 25.0}, intent=Intent.LOW)
    assert verdict([*hit, odd, low]).why == verdict(hit).why
    assert verdict([*hit, odd, low]).chance == verdict(hit).chance
    line = [Shot({**shot.values, "offline_m": 40.0}, void=frozenset({"offline_m"})) for shot in hit]
    assert all(fact.quantity != "offline_m" for fact in verdict(line).facts)


def test_a_verdict_says_its_numbers_and_what_would_settle_it():
    said = verdict(shots(181, n=4, spread=5, aside=(160, 162)))
    assert str(said.why).startswith("Carries 1")
    assert "Does “Par three”" in said.why
    assert "A miss costs" in said.why
    assert said.change is None or f"About {said.more} more with A" in said.change
    more = verdict(shots(181, n=4 + said.more, spread=5, seed=5))
    assert more.half_width_m < said.half_width_m
    order = [fact.good for fact in said.facts]
    assert order == sorted(order, key=[False, True, None].index)


def test_the_commonest_way_to_fail_is_the_argument_against():
    right = [Shot({**shot.values, "offline_m": 15.0}) for shot in shots(179, n=9, spread=2)]
    assert re.fullmatch(r"\d in 10 go right on “Par three”.", str(verdict(right).against))
    left = [Shot({**shot.values, "offline_m": -15.0}) for shot in shots(179, n=9, spread=2)]
    assert verdict(left).against == str(verdict(right).against).replace("right", "left")
    assert verdict(left).chance == verdict(right).chance


def test_a_club_a_little_long_is_one_turn_away_and_the_turn_is_flown_not_tabled():
    long_ = launched(127, 16, 5200, n=20)
    said = verdict(long_, up_deg=2.0, down_deg=2.0)
    assert (said.kind, said.headline) == (Kind.ONE_TURN, f"One turn away: {said.turn.change.words!s}")
    assert said.turn.change.amount > 0
    assert -6 < yards(said.turn.gain("carry_m")) / said.turn.change.amount < -1
    assert "give or take" in said.change
    assert verdict(long_).kind is Kind.ONE_HEAD
    (chosen,) = session(case(long_, up_deg=2.0)).verdicts
    assert (chosen.kind, chosen.turn, chosen.why) == (Kind.RECOMMENDED, said.turn, said.why)
    assert chosen.headline == f"Recommended, one turn away: {said.turn.change.words!s}"

    # At the end of its sleeve nothing more is proposed than what the rack has, or that there is nothing.
    spent = verdict(long_, up_deg=0.0, down_deg=4.0, loft_deg=22.0, next_heads=((19.0, 1.0), (24.0, 1.0)))
    assert spent.kind is Kind.ONE_HEAD
    assert str(spent.change).startswith("A weaker head of its kind, 2° more loft (24°), is on the rack: ")
    assert verdict(long_, loft_deg=22.0, next_heads=((18.0, 1.0),)).change == NO_REMEDY


def test_the_ninety_percent_interval_holds_nine_times_in_ten():
    chance = np.random.default_rng(11)
    inside = 0
    for _ in range(2000):
        truth, spread = chance.uniform(150, 200), chance.uniform(0.02, 0.04)
        sample = average(list(chance.normal(truth, spread * truth, 5)))
        inside += abs(sample.mean - truth) <= certainty(sample).half_width
    assert 0.87 <= inside / 2000 <= 0.93


def test_two_builds_differ_only_when_the_shots_say_so():
    far, near = case(shots(184)).candidate, case(shots(174, seed=2), "B").candidate
    settled = compare(near, far)
    assert (settled.better, settled.settled) == ("A", True)
    open_ = compare(far, case(shots(182.5, n=5, seed=4), "C").candidate)
    assert not open_.settled
    assert open_.more is None or open_.more > 0
    steep = case(shots(180, landing=50), "D").candidate
    steeper = compare(far, steep, metric=Metric.LANDING)
    assert (steeper.better, steeper.settled) == ("D", True)
    assert "steeper than A: settled." in steeper.sentence
    wide = [Shot({**shot.values, "offline_m": 12.0 * (-1) ** i}) for i, shot in enumerate(shots(180, n=9))]
    tight = [Shot({**shot.values, "offline_m": 2.0 * (-1) ** i}) for i, shot in enumerate(shots(180, n=9))]
    straight = compare(case(wide).candidate, case(tight, "B").candidate, metric=Metric.STRAIGHT)
    assert straight.better == "B"
    assert compare(far, case(shots(180, n=2), "E").candidate) is None


def test_a_build_that_says_nothing_changes_no_other_verdict_and_same_inputs_give_the_same_words():
    a, b = case(shots(179, n=8)), case(shots(184, n=8, seed=2), "B")
    one, more = session(a, b), session(a, b, case([], "C"))
    for before, after in zip(one.verdicts, more.verdicts, strict=False):
        assert (after.why, after.chance, after.facts) == (before.why, before.chance, before.facts)
    backwards = case(list(reversed(a.candidate.shots)))
    assert session(backwards, b).verdicts[0].why == one.verdicts[0].why
    assert session(backwards, b).verdicts[0].chance == pytest.approx(one.verdicts[0].chance)
    third = session(a, b, case(shots(150, n=8, seed=5), "C"))
    assert [each.facts for each in third.verdicts[:2]] == [each.facts for each in one.verdicts]


@pytest.mark.parametrize(
    ("hit", "words"),
    [([], "Not hit yet."), (shots(179, n=1), "1 kept so far. Hit 2 more"),
     ([Shot({"carry_m": 150.0}, aside=True)] * 3, "Every shot so far is set aside"),
     ([Shot({"offline_m": 2.0})] * 3, "have no carry, nor ball speed")],
)  # fmt: skip
def test_too_little_to_judge_is_said_in_words(hit, words):
    said = verdict(hit)
    assert said.kind is Kind.NEEDS_SHOTS
    assert words in said.why


def test_misses_and_pattern():
    hit = shots(180, n=6, aside=(158,))
    assert round(yards(cost_of_a_miss(hit))) == pytest.approx(22, abs=2)
    line = [Shot({"carry_m": 160 + x, "offline_m": 0.5 * x}) for x in (-4, -2, 0, 2, 4)]
    ellipse = pattern(line)
    assert ellipse.tilt_deg == pytest.approx(np.degrees(np.arctan(0.5)), abs=0.1)
    assert ellipse.minor_m == pytest.approx(0, abs=1e-6)
    # 80% of a normal pattern lies inside.
    points = np.random.default_rng(2).multivariate_normal([160, 2], [[16, 3], [3, 9]], 4000)
    ellipse = pattern([Shot({"carry_m": x, "offline_m": y}) for x, y in points])
    tilt = np.radians(ellipse.tilt_deg)
    along = (points - [ellipse.carry_m, ellipse.offline_m]) @ [np.cos(tilt), np.sin(tilt)]
    across = (points - [ellipse.carry_m, ellipse.offline_m]) @ [-np.sin(tilt), np.cos(tilt)]
    assert np.mean((along / ellipse.major_m) ** 2 + (across / ellipse.minor_m) ** 2 <= 1) == pytest.approx(
        0.8, abs=0.02
    )


def test_targets_say_why():
    targets = {target.quantity: target for target in propose(LAYOUT, LAYOUT.slots[0], LOWER, UPPER, [GREEN, TEE])}
    assert targets["spin_rpm"].why == "Between 5W at 3900 and 5i at 5200; read it with speed and launch."
    assert round(yards(targets["carry_m"].low)) == 176
    assert "5i rolls out to 170" in targets["carry_m"].why
    assert targets["landing_deg"].low == 45
    assert targets["offline_m"].high == 10
    assert not {"landing_deg"} & {t.quantity for t in propose(LAYOUT, LAYOUT.slots[0], LOWER, UPPER, [TEE])}
