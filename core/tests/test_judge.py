"""Averages, certainty and verdicts."""

import numpy as np
import pytest
from hemicycle_core.bag import Carried, GapRule, HeadType, plan_slots
from hemicycle_core.bag.gaps import wanted_step
from hemicycle_core.brief import Job, JobKind, propose
from hemicycle_core.flight import Firmness, Launch, fly
from hemicycle_core.judge import Candidate, Kind, compare, judge
from hemicycle_core.samples import average, certainty, cost_of_a_miss, pattern
from hemicycle_core.shots import Shot, Source
from hemicycle_core.units import metres, mps, yards

LOWER = Carried("5i", HeadType.IRON, metres(162), metres(170.4), peak_m=metres(27), spin_rpm=5200, spread_m=4)
UPPER = Carried("5W", HeadType.FAIRWAY, metres(196), metres(204), peak_m=metres(29), spin_rpm=3900, spread_m=4)
PLAN = plan_slots(LOWER, UPPER, 1, rule=GapRule.ROLL_OUT, step=wanted_step(None))
GREEN = Job("Par three", JobKind.GREEN, metres(180), Firmness.MEDIUM, width_m=20, depth_m=24)
TEE = Job("Tight tee", JobKind.TEE, metres(190), width_m=25)


def shots(carry, landing=46.0, n=8, seed=1, spread=3.0, aside=()):
    chance = np.random.default_rng(seed)
    made = [
        Shot({"carry_m": metres(carry + chance.normal(0, spread)), "landing_deg": landing + chance.normal(0, 1)})
        for _ in range(n)
    ]
    return [*made, *(Shot({"carry_m": metres(c)}, aside=True) for c in aside)]


def verdict(hit, jobs=(GREEN,), can_turn=False):
    targets = propose(PLAN, PLAN.slots[0], LOWER, UPPER, jobs)
    candidate = Candidate("A", "5H", HeadType.HYBRID, hit, can_turn)
    return judge(candidate, slot=PLAN.slots[0], targets=targets, lower=LOWER, upper=UPPER, jobs=jobs)


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
        (shots(179, landing=34), (GREEN,), Kind.ONE_HEAD),
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
    assert verdict(computed).chance < verdict(measured).chance - 0.1


def test_what_is_a_whole_step_off_is_not_one_head_away():
    assert verdict(shots(187, n=9, spread=2)).headline == "One head away"
    far = Candidate("A", "7W", HeadType.FAIRWAY, shots(230, n=6))
    targets = propose(PLAN, PLAN.slots[0], LOWER, UPPER, [GREEN])
    said = judge(far, slot=PLAN.slots[0], targets=targets, lower=LOWER, upper=UPPER)
    assert said.headline.endswith("yd too long for this slot")


def test_a_verdict_says_its_numbers_and_what_would_settle_it():
    said = verdict(shots(181, n=4, spread=4, aside=(160, 162)))
    assert said.why.startswith("Carries 18")
    assert "A miss costs" in said.why
    assert f"About {said.more} more with A" in said.change
    more = verdict(shots(181, n=4 + said.more, spread=4, seed=5))
    assert more.half_width_m < said.half_width_m


def test_a_club_a_little_long_is_one_turn_away_and_the_turn_is_flown_not_tabled():
    long_ = launched(126, 16, 5200)
    said = verdict(long_, can_turn=True)
    assert said.kind is Kind.ONE_TURN
    assert said.turn.change.amount > 0
    assert -6 < yards(said.turn.gain("carry_m")) / said.turn.change.amount < -1
    assert "give or take" in said.change
    assert verdict(long_).kind is Kind.ONE_HEAD


def test_the_ninety_percent_interval_holds_nine_times_in_ten():
    chance = np.random.default_rng(11)
    inside = 0
    for _ in range(2000):
        truth, spread = chance.uniform(150, 200), chance.uniform(0.02, 0.04)
        sample = average(list(chance.normal(truth, spread * truth, 5)))
        inside += abs(sample.mean - truth) <= certainty(sample).half_width
    assert 0.87 <= inside / 2000 <= 0.93


def test_two_builds_differ_only_when_the_shots_say_so():
    far, near = Candidate("A", "", HeadType.HYBRID, shots(184)), Candidate("B", "", HeadType.HYBRID, shots(174, seed=2))
    settled = compare(near, far)
    assert (settled.longer, settled.settled) == ("A", True)
    open_ = compare(far, Candidate("C", "", HeadType.HYBRID, shots(182.5, n=5, seed=4)))
    assert not open_.settled
    assert open_.more is None or open_.more > 0


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
    targets = {target.quantity: target for target in propose(PLAN, PLAN.slots[0], LOWER, UPPER, [GREEN, TEE])}
    assert round(yards(targets["carry_m"].low)) == 176
    assert "5i rolls out to 170" in targets["carry_m"].why
    assert targets["landing_deg"].low == 44
    assert targets["offline_m"].high == 10
    assert not {"landing_deg"} & {t.quantity for t in propose(PLAN, PLAN.slots[0], LOWER, UPPER, [TEE])}
