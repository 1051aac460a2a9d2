"""What the machine code of the judge does, on arrays: written apart from it, to check it against."""

from __future__ import annotations

from collections.abc import Sequence

import numpy as np
from hemicycle_core.brief import Job
from hemicycle_core.flight.aero import BALL_RADIUS_M, GRAVITY
from hemicycle_core.flight.landing import FLAT_HOP_MPS, MOST_BOUNCES, RPM, STEEP, WHOLE_MPS, Turf
from hemicycle_core.judge.eased import LEFT, STRAIGHTER
from hemicycle_core.judge.landings import RollOut
from hemicycle_core.judge.normal import BY, SHARES, both
from hemicycle_core.judge.play import (
    DRAWS,
    FLEW,
    GOOD,
    MISS_SIDE,
    MOST_RUN_SHIFT_M,
    POOR,
    RUN_SHARE,
    Possible,
    ends_of,
    halves,
    least_carry,
    quantiles,
)
from hemicycle_core.judge.strokes import Ends, ends_at
from hemicycle_core.judge.weigh import Swing
from hemicycle_core.judge.yardages import GOOD as GOOD_AT_YARDAGES
from hemicycle_core.judge.yardages import _points, _runs, _Way
from hemicycle_core.samples.group import Group
from hemicycle_core.samples.mixture import (
    CALLED_GOOD,
    CARRY_SPREAD,
    FLYER_GAIN,
    FLYER_SD,
    FLYERS,
    MISS_COST,
    OWN_SPREAD_SHOTS,
    STEPS,
    USUAL_CALLS,
    USUAL_CALLS_SHOTS,
    USUAL_LOSS,
    USUAL_MISSES,
    USUAL_MISSES_SHOTS,
    USUAL_SPREAD,
    USUAL_SPREAD_SHOTS,
    State,
    _evened,
    _first_centre,
    _misread_chances,
)
from numpy.typing import NDArray
from scipy.special import log_ndtr

Floats = NDArray[np.float64]
Small = NDArray[np.float32]

# Bounce and roll.


def _restitution(normal_mps: Floats, scale: float | Floats) -> Floats:
    e = np.where(normal_mps <= 20, 0.510 - 0.0375 * normal_mps + 0.000903 * normal_mps**2, 0.120)
    return np.clip(e * scale, 0.0, 0.85)


def _bounce(along: Floats, down: Floats, spin: Floats, turf: Turf) -> tuple[Floats, Floats, Floats]:
    """One impact: speeds along and downward, backspin in rad/s; returns along, upward, backspin after."""
    speed, phi = np.hypot(along, down), np.arctan2(down, np.abs(along))
    slope = 15.4 * (speed / 18.6) * np.abs(np.sin(2 * phi)) ** STEEP
    dent = np.radians(slope * turf.dent) * np.where(along < 0, -1, 1)
    tangent = along * np.cos(dent) - down * np.sin(dent)
    normal = np.maximum(along * np.sin(dent) + down * np.cos(dent), 0)
    e = _restitution(normal, turf.bounce)
    slip = tangent + BALL_RADIUS_M * spin
    # Penner eq. 12: friction needed to stop the slip within the impact.
    needed = 2 * np.abs(slip) / (7 * (1 + e) * np.maximum(normal, 1e-9))
    gripped = needed <= turf.friction
    impulse = turf.friction * normal * (1 + e) * np.sign(slip)
    tangent_after = np.where(gripped, tangent - 2 / 7 * slip, tangent - impulse)
    spin_after = np.where(gripped, -tangent_after / BALL_RADIUS_M, spin - 2.5 * impulse / BALL_RADIUS_M)
    tangent_after, spin_after = tangent_after * (1 - turf.loss), spin_after * (1 - turf.spin_loss)
    normal_after = e * normal
    back_along = tangent_after * np.cos(dent) - normal_after * np.sin(dent)
    up = tangent_after * np.sin(dent) + normal_after * np.cos(dent)
    return back_along, np.maximum(up, 0), spin_after


def run_out(landing_speed_mps: Floats, landing_deg: Floats, spin_rpm: Floats, turf: Turf) -> tuple[Floats, Floats]:
    """Run and first bounce, metres."""
    angle = np.radians(np.asarray(landing_deg, dtype=float))
    speed = np.asarray(landing_speed_mps, dtype=float)
    along, down = speed * np.cos(angle), speed * np.sin(angle)
    spin = np.asarray(spin_rpm, dtype=float) * RPM
    run, first = np.zeros_like(along), np.zeros_like(along)
    for bounce in range(MOST_BOUNCES):
        flying = down > FLAT_HOP_MPS
        if not flying.any():
            break
        after, up, spun = _bounce(along, down, spin, turf)
        # One hop more or less near the end would be a step in the run: a ball that hardly falls hardly bounces.
        part = np.clip((down - FLAT_HOP_MPS) / (WHOLE_MPS - FLAT_HOP_MPS), 0.0, 1.0)
        along, spin = along + part * (after - along), spin + part * (spun - spin)
        down = np.where(flying, part * up, down)
        hop = np.where(flying, 2 * along * down / GRAVITY, 0.0)
        run += hop
        if bounce == 0:
            first = hop
    # Left-over slip turns into roll at once: a ball rolling with backspin keeps 5/7 of its speed.
    rolling = 5 / 7 * along - 2 / 7 * BALL_RADIUS_M * spin
    run += np.sign(rolling) * rolling**2 / (2 * turf.drag_g * GRAVITY)
    return run, first


# The mixture of good shots and misses.


def _density(x: Floats, mean: float, sd: float) -> Floats:
    z = (x - mean) / sd
    density: Floats = np.exp(-0.5 * z * z) / sd
    return density


def _short(lost: Floats, mean: float, sd: float) -> Floats:
    """Density of what a poor shot loses, shares of carry: most lose little and few much (exponential), on top of the
    spread of good ones (E. Grushka, Anal. Chem. 44, 1972, 1733). It never claims the long shots."""
    exponent = sd * sd / (2 * mean * mean) - lost / mean + log_ndtr(lost / sd - sd / mean)
    density: Floats = np.exp(np.minimum(exponent, 50.0)) / mean * np.sqrt(2 * np.pi)
    return density


def _responsibilities(group: Group, state: State, index: int, wrong: Floats) -> tuple[Floats, Floats]:
    """Chance of each shot to be a miss, and to be a flyer or no carry of the club at all, (n,) each. wrong: chance to
    be misread."""
    off = group.carry_m / state.centres[index] - 1
    loss = state.loss * MISS_COST[group.head_type]
    odds = (
        state.misses
        / (1 - state.misses)
        * np.where(group.called, state.calls / CALLED_GOOD, (1 - state.calls) / (1 - CALLED_GOOD))
    )
    prior = odds / (1 + odds)
    good = (1 - prior - FLYERS) * _density(off, 0.0, state.spreads[index])
    poor = prior * _short(-off, loss, state.spreads[index])
    flyer = FLYERS * _density(off, FLYER_GAIN, np.hypot(FLYER_SD, state.spreads[index]))
    total = good + poor + flyer
    return (1 - wrong) * poor / total, wrong + (1 - wrong) * flyer / total


def _settled(groups: Sequence[Group], told: Sequence[tuple[Floats, Floats]], state: State) -> State:
    """Centres, spreads and what misses cost, once it is told which shots were misses and which flyers."""
    centres, spreads, misses, weights, sums = [], [], [], [], []
    for index, (group, (poor, flyer)) in enumerate(zip(groups, told, strict=True)):
        good = 1 - poor - flyer
        centre = (
            float((good * group.carry_m).sum() / max(good.sum(), 1e-9)) if good.sum() > 0.2 else state.centres[index]
        )
        wide = group.learning * CARRY_SPREAD[group.head_type]
        squares = float((good * (group.carry_m / centre - 1) ** 2).sum()) / wide**2
        centres.append(centre)
        misses.append(poor)
        weights.append(float(good.sum()))
        sums.append(squares)
    freedom = sum(max(weight - 1, 0.0) for weight in weights)
    spread = np.sqrt((USUAL_SPREAD_SHOTS * USUAL_SPREAD**2 + sum(sums)) / (USUAL_SPREAD_SHOTS + freedom))
    for weight, squares, group in zip(weights, sums, groups, strict=True):
        spreads.append(
            CARRY_SPREAD[group.head_type]
            * float(np.sqrt((OWN_SPREAD_SHOTS * spread**2 + squares) / (OWN_SPREAD_SHOTS + max(weight - 1, 0.0))))
        )
    lost = [
        (poor * np.clip(1 - group.carry_m / centre, 0, 0.6) / MISS_COST[group.head_type]).sum()
        for poor, group, centre in zip(misses, groups, centres, strict=True)
    ]
    missed, count = sum(float(poor.sum()) for poor in misses), sum(group.carry_m.size for group in groups)
    called = sum(float(poor[group.called].sum()) for poor, group in zip(misses, groups, strict=True))
    return State(
        centres,
        spreads,
        float(spread),
        (USUAL_MISSES * USUAL_MISSES_SHOTS + missed) / (USUAL_MISSES_SHOTS + count),
        (USUAL_LOSS * 4 + float(sum(lost))) / (4 + missed),
        (USUAL_CALLS * USUAL_CALLS_SHOTS + called) / (USUAL_CALLS_SHOTS + missed),
    )


def fitted(groups: Sequence[Group]) -> tuple[State, list[Floats]]:
    """The mixture of a player's groups, each with a shot, and the chance of each shot to be a miss, (n,) by group."""
    state = State(
        [_first_centre(group) for group in groups],
        [USUAL_SPREAD] * len(groups),
        USUAL_SPREAD,
        USUAL_MISSES,
        USUAL_LOSS,
        USUAL_CALLS,
    )
    if not groups:
        return state, []
    even, wrong = [_evened(group) for group in groups], _misread_chances(groups)
    told: list[tuple[Floats, Floats]] = []
    for _ in range(STEPS):
        told = [_responsibilities(group, state, index, wrong[index]) for index, group in enumerate(even)]
        state = _settled(even, told, state)
    # What is played out is what was hit.
    return _settled(groups, told, state), [poor for poor, _ in told]


# Jobs played out.

_WIDE = np.concatenate([np.ones(GOOD), np.full(POOR, MISS_SIDE), np.ones(FLEW)])


def share_under(z: Floats) -> Floats:
    made: Floats = SHARES[np.clip(z * BY[0] + BY[1], 0, SHARES.size - 1).astype(np.intp)]
    return made


def _shots(build: Possible) -> tuple[Floats, Floats]:
    """Carry and weight of every virtual shot, (DRAWS, POINTS)."""
    column, spread, misses = build.carry_m[:, None], build.spread_share[:, None], build.misses[:, None]
    carry = np.empty((build.carry_m.size, GOOD + POOR + FLEW))
    carry[:, :GOOD] = spread * quantiles(GOOD)
    carry[:, GOOD : GOOD + POOR] = -build.losses
    carry[:, GOOD + POOR :] = FLYER_GAIN + both(np.asarray(FLYER_SD), spread) * quantiles(FLEW)
    carry = column * (1 + carry)
    weight = np.empty_like(carry)
    weight[:, :GOOD] = (1 - misses - FLYERS) / GOOD
    weight[:, GOOD : GOOD + POOR] = misses / POOR
    weight[:, GOOD + POOR :] = FLYERS / FLEW
    return carry, weight


def _flown(build: Possible, carry: Floats, least_m: float) -> Floats:
    """How much of each virtual shot carries far enough, (DRAWS, POINTS). A point stands for its share of the shots
    about it, of which the trouble may catch a part; the poor ones stand for themselves."""
    column, spread = build.carry_m, build.spread_share
    if least_m <= 0:
        return np.ones_like(carry)
    made = (carry >= least_m).astype(float)
    made[:, :GOOD] = _part(share_under((column - least_m) / (spread * column)), GOOD)
    flew, wide = column * (1 + FLYER_GAIN), column * both(np.asarray(FLYER_SD), spread)
    made[:, GOOD + POOR :] = _part(share_under((flew - least_m) / wide), FLEW)
    return made


def _part(over: Floats, points: int) -> Floats:
    """Of a share (DRAWS,) of shots that are over a line, the part in each of so many equal ones, shortest first."""
    return np.clip(over[:, None] * points - np.arange(points)[::-1], 0.0, 1.0)


def play(build: Possible, run: RollOut, job: Job, drive_m: float, typical_m: Floats | None = None) -> dict[str, Floats]:
    # Both halves of the players do the same but for the side.
    alike, _ = halves(build)
    carry, weight = _shots(alike)
    off = np.clip(run.per_metre * (carry - alike.carry_m[:, None]), -MOST_RUN_SHIFT_M, MOST_RUN_SHIFT_M)
    steeper = alike.landing_off_deg + run.angle_se_deg * alike.landing_z
    typical = np.broadcast_to(run.typical_m if typical_m is None else typical_m, DRAWS)[: DRAWS // 2]
    roll = ((typical + run.per_degree_m * steeper) * alike.ground)[:, None] + off
    near, far = ends_of(job)
    flown = _flown(alike, carry, least_carry(job))
    # Where it stops is uncertain by the ground alone; the carry of a virtual shot is not.
    stops = carry + roll
    unsure = 1 / both(np.asarray(run.sd_m), RUN_SHARE * roll)
    short_of = 1 - share_under((stops - near) * unsure) * flown
    beyond = flown * share_under((stops - far) * unsure) if np.isfinite(far) else np.zeros_like(stops)
    played = weight * np.maximum(1 - short_of - beyond, 0.0)
    half = job.width_m / 2
    along = np.radians(np.maximum(stops, 1))
    spread, middle = alike.side_spread_deg[:, None] * along * _WIDE, build.side_deg.reshape(2, -1, 1) * along
    left, right = share_under((-half - middle) / spread), share_under((middle - half) / spread)
    lost = {
        "short": np.tile((weight * short_of).sum(axis=1), 2),
        "long": np.tile((weight * beyond).sum(axis=1), 2),
        "left": (played * left).sum(axis=2).ravel(),
        "right": (played * right).sum(axis=2).ravel(),
    }
    draws = np.clip((played * np.maximum(1 - left - right, 0.0)).sum(axis=2).ravel(), 0.0, 1.0)
    # Strokes to hole out of each possible player.
    ends = ends_at(job, drive_m)
    to_hole = ends.of(stops - job.distance_m, both(spread, middle)).astype(float)
    if job.carry_over_m:
        over = _flown(alike, carry, job.carry_over_m)
        to_hole = over * to_hole + (1 - over) * ends.not_carried
    return {**lost, "made": draws, "strokes": 1 + (weight * to_hole).sum(axis=2).ravel()}


# Yardages.


def strokes(swing: Swing, build: Possible, at_m: Floats, way: _Way, ends: Ends) -> Floats:
    """Strokes to hole out from each yardage, (Y, n). build: the n players it may be; ends: of a usual green."""
    run, share = swing.run, way.share
    off, spread, weight = _points(build)
    steeper = build.landing_off_deg + run.angle_se_deg * build.landing_z
    roll = (_runs(swing, share) + run.per_degree_m * steeper) * build.ground
    line = both(build.side_spread_deg * np.interp(share, LEFT, STRAIGHTER), build.side_deg)
    # Thousands of shots at each yardage: what they cost is told to a thousandth, so that half the digits do.
    shot = spread.astype(np.float32) * _column(build.spread_share * way.wide)
    shot += off.astype(np.float32)
    shot *= _column(build.carry_m * share)
    shift = np.clip(np.float32(run.per_metre) * shot, -MOST_RUN_SHIFT_M, MOST_RUN_SHIFT_M)
    shot += shift
    shot += _column(build.carry_m * share + roll)
    across = np.maximum(shot, np.float32(1.0)) * _column(np.radians(line))
    across[..., GOOD_AT_YARDAGES:-1] *= np.float32(MISS_SIDE)
    left = ends.of(shot - _column(at_m[:, None]), across)
    made: Floats = 1 + np.einsum("ynp,np->yn", left, weight)
    return made


def _column(values: Floats) -> Small:
    return values[..., None].astype(np.float32)
