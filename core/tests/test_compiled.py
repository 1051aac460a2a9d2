"""What is compiled does what the same does on arrays, shot for shot."""

from pathlib import Path

import numpy as np
import plain_judge
import pytest
from hemicycle_core import kernels
from hemicycle_core.bag import HeadType
from hemicycle_core.brief import Job, JobKind
from hemicycle_core.flight import FAIRWAY, GREEN, Firmness, run_out
from hemicycle_core.judge import yardages
from hemicycle_core.judge.landings import RollOut
from hemicycle_core.judge.play import DRAWS, Possible, halves, play
from hemicycle_core.judge.strokes import ends_at
from hemicycle_core.judge.weigh import USUAL_GREEN, Swing
from hemicycle_core.samples import mixture
from hemicycle_core.samples.group import Group
from hemicycle_core.units import metres

DRIVE_M = metres(225)


def same(made, plain):
    np.testing.assert_allclose(made, plain, rtol=1e-9, atol=1e-9)


@pytest.mark.parametrize("turf", [*FAIRWAY.values(), *GREEN.values()])
def test_every_ball_comes_to_rest_where_it_does_on_arrays(turf):
    draw = np.random.default_rng(3).uniform
    down = draw(0, 40, 500), draw(1, 89, 500), draw(-500, 12_000, 500)
    rolls, plain = run_out(*down, turf), plain_judge.run_out(*down, turf)
    same((rolls.run_m, rolls.first_bounce_m), plain)
    # Each on patches of its own, as a matrix.
    patches = turf.patched(draw(0.8, 1.2, (4, 7, 1)))
    rolls, plain = run_out(*down, patches), plain_judge.run_out(*(np.tile(each, (7, 1)) for each in down), patches)
    assert rolls.run_m.shape == (7, 500)
    same((rolls.run_m, rolls.first_bounce_m), plain)


def test_misses_are_told_and_spreads_settle_as_they_do_on_arrays():
    draw = np.random.default_rng(4)
    for number in range(30):
        groups = []
        for head_type in draw.choice(list(mixture.MISS_COST), 1 + number % 6):
            n = int(draw.integers(1, 14))
            carry = draw.normal(150, 6, n) * np.where(draw.random(n) < 0.2, draw.uniform(0.5, 1.2, n), 1)
            delivery = {name: draw.normal(0, 0.02, n) for name in ("speed", "lean_deg", "attack_deg")}
            flown = np.where(draw.random(n) < 0.1, np.nan, carry * draw.normal(1.02, 0.03, n))
            group = Group(HeadType(head_type), carry, np.zeros(n), draw.random(n) < 0.2, delivery, flown_m=flown)
            groups.append(group)
        (state, misses), (plain, told) = mixture.fitted(groups), plain_judge.fitted(groups)
        same([*state.centres, *state.spreads], [*plain.centres, *plain.spreads])
        same([state.spread, state.misses, state.loss, state.calls],
             [plain.spread, plain.misses, plain.loss, plain.calls])  # fmt: skip
        same(np.concatenate(misses), np.concatenate(told))
    assert mixture.fitted([])[1] == []


def may_be(carry_m, seed=5):
    draw = np.random.default_rng(seed)
    alike = draw.normal(0, 1, (9, DRAWS // 2)).repeat(2, axis=0).reshape(9, 2, -1).reshape(9, DRAWS)
    return Possible(
        carry_m=carry_m * (1 + 0.02 * alike[0]),
        spread_share=0.04 * np.exp(0.2 * alike[1]),
        misses=0.1 * np.exp(0.3 * alike[2]),
        losses=np.abs(0.1 * alike[3][:, None] * np.arange(1, 7) / 3),
        side_deg=draw.normal(0, 1, DRAWS),
        side_spread_deg=3 * np.exp(0.2 * alike[4]),
        landing_off_deg=alike[5],
        landing_z=alike[6],
        ground=np.exp(0.3 * alike[7]),
    )


JOBS = [
    Job("a green", JobKind.GREEN, 150, width_m=24, depth_m=20),
    Job("over water", JobKind.GREEN, 156, width_m=24, depth_m=20, carry_over_m=146),
    Job("a tee", JobKind.TEE, 160, width_m=30, depth_m=30),
    Job("a lay-up", JobKind.LAYUP, 150, width_m=30, depth_m=20),
]
RUN = RollOut(typical_m=7.0, per_degree_m=-0.4, per_metre=-0.1, sd_m=2.0, angle_se_deg=0.5)


@pytest.mark.parametrize("job", JOBS, ids=lambda job: job.name)
@pytest.mark.parametrize("carry_m", [110.0, 149.0, 175.0])
def test_a_job_is_played_out_as_it_is_on_arrays(job, carry_m):
    build = may_be(carry_m)
    for typical_m in (None, np.linspace(3, 9, DRAWS // 2).repeat(2).reshape(-1, 2).T.ravel()):
        made = play(build, HeadType.HYBRID, RUN, job, typical_m=typical_m, drive_m=DRIVE_M)
        plain = plain_judge.play(build, RUN, job, DRIVE_M, typical_m)
        same(made.draws, plain.pop("made"))
        same(made.strokes, plain.pop("strokes"))
        for way, share in plain.items():
            same(made.lost[way], share)
        assert sum(made.fails.values()) + made.success == pytest.approx(1, abs=0.01)


@pytest.mark.parametrize("carry_m", [95.0, 150.0, 200.0])
def test_yardages_are_played_out_as_they_are_on_arrays(carry_m):
    build, at, ends = may_be(carry_m), np.arange(50, 230, 11.0), ends_at(USUAL_GREEN, DRIVE_M)
    swing = Swing("a club", HeadType.HYBRID, build, carry_m, RUN)
    some, _ = halves(build)
    for way in yardages._ways(swing, some, at):
        same(yardages._strokes(swing, some, at, way, ends), plain_judge.strokes(swing, some, at, way, ends))


def test_what_is_not_known_of_a_shot_stays_so():
    broken = may_be(np.nan)
    assert np.isnan(play(broken, HeadType.HYBRID, RUN, JOBS[0]).strokes).all()
    swing = Swing("a club", HeadType.HYBRID, broken, 150, RUN)
    some, _ = halves(broken)
    stock, _ = yardages._ways(swing, some, np.array([150.0]))
    assert np.isnan(yardages._strokes(swing, some, np.array([150.0]), stock, ends_at(USUAL_GREEN, DRIVE_M))).all()
    assert np.isnan(run_out([np.nan, 20], [45, 45], [3000, 3000], FAIRWAY[Firmness.FIRM]).run_m).tolist() == [
        True,
        False,
    ]


def test_every_kernel_is_loaded_by_name():
    core = Path(kernels.__file__).parent
    there = {".".join(path.relative_to(core).with_suffix("").parts) for path in core.rglob("*kernel.py")}
    assert there == set(kernels.KERNELS)
    kernels.load()
