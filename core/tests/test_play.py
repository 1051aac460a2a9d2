"""Jobs played out, against as many shots drawn one by one and looked at one by one."""

from dataclasses import replace

import numpy as np
import pytest
from hemicycle_core.bag import HeadType
from hemicycle_core.brief import Job, JobKind
from hemicycle_core.flight import Firmness
from hemicycle_core.judge.landings import RollOut
from hemicycle_core.judge.play import (
    DRAWS,
    FLYER_GAIN,
    FLYER_SD,
    FLYERS,
    MISS_SIDE,
    RUN_SHARE,
    Possible,
    play,
)
from hemicycle_core.samples.mixture import LOSS_POINTS
from hypothesis import given, settings
from hypothesis import strategies as st

SHOTS = 120_000
TOLD = 5e-4  # to so much a share of shots is told: it is looked up
RUN = RollOut(typical_m=6.0, per_degree_m=-1.2, per_metre=0.15, sd_m=2.0, angle_se_deg=0.0)
LOSSES = np.linspace(0.03, 0.22, LOSS_POINTS)
GREEN = Job("Green", JobKind.GREEN, 165, Firmness.MEDIUM, width_m=22, depth_m=24)
JOBS = [
    GREEN,
    replace(GREEN, carry_over_m=156),
    replace(GREEN, depth_m=12, width_m=12),
    Job("Tee", JobKind.TEE, 170, width_m=24, depth_m=30),
    Job("Lay-up", JobKind.LAYUP, 160, width_m=30, depth_m=20),
]


def certain(**known):
    """A build of which everything is known: every possible player is the same one."""
    usual = {
        "carry_m": 160.0, "spread_share": 0.025, "misses": 0.15, "side_deg": 0.8, "side_spread_deg": 2.5,
        "landing_off_deg": 0.0, "landing_z": 0.0, "ground": 1.0, **known,
    }  # fmt: skip
    made = {name: np.full(DRAWS, float(value)) for name, value in usual.items()}
    return Possible(**made, losses=np.tile(LOSSES, (DRAWS, 1)))


def one_by_one(build, job, run=RUN):
    """The share of good shots and where the others go, each shot drawn and judged by itself."""
    chance = np.random.default_rng(12)
    centre, spread = build.carry_m[0], build.spread_share[0]
    counts = dict.fromkeys(("good", "short", "long", "left", "right"), 0)
    kind = chance.choice(3, SHOTS, p=[1 - build.misses[0] - FLYERS, build.misses[0], FLYERS])
    noise = chance.normal(size=(3, SHOTS))
    carry = np.choose(
        kind,
        [
            centre * (1 + spread * noise[0]),
            centre * (1 - chance.choice(LOSSES, SHOTS)),
            centre * (1 + FLYER_GAIN + np.hypot(FLYER_SD, spread) * noise[0]),
        ],
    )
    roll = run.typical_m * build.ground[0] + np.clip(run.per_metre * (carry - centre), -9, 9)
    stops = carry + roll + np.hypot(run.sd_m, RUN_SHARE * roll) * noise[1]
    wide = np.where(kind == 1, MISS_SIDE, 1.0) * build.side_spread_deg[0]
    off = np.radians(build.side_deg[0] + wide * noise[2]) * (carry + roll)
    near, far = job.distance_m - job.depth_m / 2, job.distance_m + job.depth_m / 2
    over = job.carry_over_m or 0.0
    if job.kind is JobKind.GREEN:
        over = max(over, near - 9.144)
    for carried, stopped, side in zip(carry, stops, off, strict=True):
        if carried < over or stopped < near:
            counts["short"] += 1
        elif stopped > far and job.kind is not JobKind.TEE:
            counts["long"] += 1
        elif abs(side) > job.width_m / 2:
            counts["left" if side < 0 else "right"] += 1
        else:
            counts["good"] += 1
    return {name: count / SHOTS for name, count in counts.items()}


@pytest.mark.parametrize("job", JOBS, ids=lambda job: f"{job.name} {job.carry_over_m or job.depth_m}")
def test_what_is_played_out_is_what_shots_one_by_one_do(job):
    build = certain()
    seen, slow = play(build, HeadType.HYBRID, RUN, job), one_by_one(build, job)
    assert seen.success == pytest.approx(slow["good"], abs=0.012)
    for way, share in seen.fails.items():
        assert share == pytest.approx(slow[way], abs=0.012), way


def test_harder_ground_and_a_narrower_place_are_played_as_they_are():
    for build, job in ((certain(ground=1.6), GREEN), (certain(side_deg=-3), JOBS[2]), (certain(misses=0.35), JOBS[1])):
        slow = one_by_one(build, job)["good"]
        assert play(build, HeadType.HYBRID, RUN, job).success == pytest.approx(slow, abs=0.012)


@settings(max_examples=30, deadline=None)
@given(st.sampled_from(JOBS), st.floats(0.01, 0.06), st.floats(0.02, 0.4), st.floats(1, 5), st.floats(-3, 3))
def test_every_shot_goes_somewhere_and_more_room_never_hurts(job, spread, misses, side_spread, side):
    build = certain(spread_share=spread, misses=misses, side_spread_deg=side_spread, side_deg=side)
    seen = play(build, HeadType.HYBRID, RUN, job)
    assert seen.success + sum(seen.fails.values()) == pytest.approx(1, abs=0.02)
    wider = play(build, HeadType.HYBRID, RUN, replace(job, width_m=job.width_m + 8))
    deeper = play(build, HeadType.HYBRID, RUN, replace(job, depth_m=job.depth_m + 8))
    assert min(wider.success, deeper.success) >= seen.success - TOLD


@settings(max_examples=30, deadline=None)
@given(st.sampled_from(JOBS), st.floats(0.01, 0.05), st.floats(0.02, 0.3), st.floats(-3, 3))
def test_a_tighter_player_with_fewer_misses_does_no_worse_on_line(job, spread, misses, side):
    """On a job whose middle the build's shots stop at."""
    build = certain(carry_m=job.distance_m - RUN.typical_m, spread_share=spread, misses=misses, side_deg=side)
    fewer = certain(carry_m=job.distance_m - RUN.typical_m, spread_share=spread, misses=misses / 2, side_deg=side)
    on_line = certain(carry_m=job.distance_m - RUN.typical_m, spread_share=spread, misses=misses, side_deg=side / 2)
    now = play(build, HeadType.HYBRID, RUN, job).success
    assert play(fewer, HeadType.HYBRID, RUN, job).success >= now - TOLD
    assert play(on_line, HeadType.HYBRID, RUN, job).success >= now - TOLD
