"""Jobs played out: the pooled, uncertain pattern of a build put on the shot that the club is bought for.

Each of DRAWS players that the shots allow (centre, spread, miss rate and cost, side, model error) plays
POINTS shots with the build, spread evenly over its mixture of good shots, misses and flyers; the side is
integrated. That is DRAWS x POINTS = 4,800 virtual shots a job. The spread over the draws is how little
is known; it shrinks with shots.
"""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, fields, replace
from functools import cache, lru_cache

import numpy as np
from numpy.typing import ArrayLike, NDArray
from scipy.special import ndtri

from ..bag import HeadType
from ..brief import NOTHING_FEARED, Feared, Job, JobKind
from ..kept import lazily
from ..said import NOTHING, Said, joined
from ..samples.mixture import FLYER_GAIN, FLYER_SD, FLYERS, LOSS_POINTS, MISS_COST
from ..samples.pool import Centre, Pool
from ..units import metres
from .from_lie import FromLie
from .landings import RollOut
from .normal import BY, SHARES
from .strokes import USUAL_DRIVE_M, ends_at

Floats = NDArray[np.float64]

DRAWS = 200  # antithetic pairs: the second half mirrors the first
GOOD, POOR, FLEW = 16, LOSS_POINTS, 2
SEED = 20_260
SHARED = "all builds of the player"
MISS_SIDE = 1.15  # misses start and curve this much wider
RUN_SHARE = 0.15  # of its length: one landing spot against the next
MOST_RUN_SHIFT_M = 9.0  # how much further or less far a poor shot runs than a good one
SHORT_OF_GREEN_M = metres(10)  # a ball pitching further short than this is not played to run on
LEVEL = 0.90
NEVER_SHARE = 0.05  # of the shots: under this even at the upper end of what is likely a job is not its own
OFF_LINE = 0.06  # of its length: how far a shot ends off the line that is not played out
# Log: what a ball runs on a course's ground beside what its word makes us expect, the same for all builds. The word is
# a fitter's or a player's, and our roll for it was set by judgement (docs/decisions/0003); two thirds to half as much
# again.
GROUND_SD = 0.4


@dataclass(frozen=True)
class Doubts:
    """Standard deviations of what more shots of a day do not tell, the flight model's part and the monitor's: of carry
    as a share, common to all builds and this one's own; of the landing angle in degrees; of the side in degrees, common
    to all builds."""

    common_share: float = 0.0
    own_share: float = 0.0
    landing_deg: float = 0.0
    side_deg: float = 0.0


@dataclass(frozen=True)
class Played:
    """One build on one job. draws (DRAWS,): the success share each possible player has. lost: where the rest go, by
    `short`, `long`, `left`, `right`: shares of all shots, (DRAWS,) each. strokes (DRAWS,): to hole out, this shot among
    them. lie: what the job's lie does to the build; wind: what its wind does, in words. eased_m: the carry of the part
    swing it is done with, None for the stock one."""

    job: Job
    draws: Floats
    lost: Mapping[str, Floats]
    strokes: Floats
    lie: FromLie | None = None
    eased_m: float | None = None
    wind: Said = NOTHING

    @property
    def fails(self) -> dict[str, float]:
        return {way: float(share.mean()) for way, share in self.lost.items()}

    def costs(self, feared: Feared) -> Floats:
        """Strokes to hole out for each possible player, (DRAWS,), with what is feared on top."""
        if not feared.shots:
            return self.strokes
        costs: Floats = self.strokes + feared.shots * self.lost[feared.miss.value]
        return costs

    def worth(self, feared: Feared) -> Floats:
        """What the job makes for each possible player, (DRAWS,): a shot for a good one, less what is feared."""
        if not feared.shots:
            return self.draws
        worth: Floats = self.draws - feared.shots * self.lost[feared.miss.value]
        return worth

    @lazily
    def success(self) -> float:
        return float(self.draws.mean())

    @property
    def met(self) -> Said:
        """What its lie and its wind do to the build, in words; empty where neither does anything."""
        return joined([self.lie.words if self.lie else NOTHING, self.wind], "; ")

    @property
    def never(self) -> bool:
        """Whether it does the job hardly ever, too short for it or too long: then it is not worth listing."""
        return self.interval[1] < NEVER_SHARE

    @lazily
    def interval(self) -> tuple[float, float]:
        """The 90% interval of the success share."""
        return middle_of(self.draws)


def middle_of(draws: Floats) -> tuple[float, float]:
    """Between what the middle `LEVEL` of draws lie, (n,); by straight lines between them."""
    ordered, last = np.sort(draws), draws.size - 1
    low, high = np.interp([(0.5 - LEVEL / 2) * last, (0.5 + LEVEL / 2) * last], np.arange(draws.size), ordered)
    return float(low), float(high)


@lru_cache(maxsize=512)
def normals_of(name: str, count: int) -> Floats:
    """Standard normals (count, DRAWS), read-only, that belong to a name, so that another build changes nothing for this
    one.

    A Latin hypercube (M. D. McKay and others, Technometrics 21, 1979, 239): every row has each quantile once,
    in another order. Both halves are the same, so that left can mirror right.
    """
    chance = np.random.default_rng([SEED, *name.encode()])
    half = np.stack([chance.permutation(quantiles(DRAWS // 2)) for _ in range(count)])
    made = np.concatenate([half, half], axis=1)
    made.setflags(write=False)
    return made


@dataclass(frozen=True)
class Possible:
    """What one build may be like, arrays (DRAWS,): carry of its centre in metres, spreads, miss rate as a share,
    losses (DRAWS, LOSS_POINTS) as shares of carry, side in degrees, the model's error in its landing angle, how the
    average landing of its shots may be off in standard errors, and how much of the expected run the ground gives."""

    carry_m: Floats
    spread_share: Floats
    misses: Floats
    losses: Floats
    side_deg: Floats
    side_spread_deg: Floats
    landing_off_deg: Floats
    landing_z: Floats
    ground: Floats


def halves(build: Possible) -> tuple[Possible, Possible]:
    """The players, and those that mirror them in their sides and are alike in all else."""
    cut = DRAWS // 2
    first, second = (
        Possible(*(getattr(build, each.name)[part] for each in fields(Possible)))
        for part in (slice(0, cut), slice(cut, DRAWS))
    )
    return first, second


def possible(name: str, head_type: HeadType, centre: Centre, pooled: Pool, *, doubts: Doubts | None = None) -> Possible:
    """Draw what a build may be like from what its shots and the player's other builds say."""
    off = doubts or Doubts()
    z = normals_of(name, 7)
    shared = normals_of(SHARED, 6)
    mirror = np.where(np.arange(DRAWS) < DRAWS // 2, 1.0, -1.0)
    # Student's t from normals: the spread's own draw widens the centre's.
    wide = np.exp(z[1] / np.sqrt(2 * centre.df))
    known = centre.played
    carry = (known.mean + known.sd * wide * z[0]) * (1 + pooled.fresh_share + pooled.fresh_sd * shared[5])
    carry = carry * (1 + off.common_share * shared[2] + off.own_share * z[5])
    odds = pooled.miss_share / (1 - pooled.miss_share)
    doubt = np.sqrt(1 / (pooled.miss_shots * pooled.miss_share * (1 - pooled.miss_share)))
    odds = odds * np.exp(doubt * shared[0])
    dearer = MISS_COST[head_type] * np.exp(0.25 * shared[1])
    common = np.hypot(centre.side_shared_deg, off.side_deg)
    return Possible(
        carry_m=carry,
        spread_share=centre.spread_share * wide * np.exp(0.18 * z[4]),
        misses=odds / (1 + odds),
        losses=np.clip(dearer[:, None] * pooled.losses, -0.03, 0.7),
        side_deg=centre.side_deg + (centre.side_se_deg * z[6] + common * shared[4]) * mirror,
        side_spread_deg=centre.side_spread_deg * np.exp(z[4] / np.sqrt(2 * centre.side_df)),
        landing_off_deg=off.landing_deg * z[2],
        landing_z=z[3],
        ground=np.exp(GROUND_SD * shared[3]),
    )


def lying(build: Possible, name: str, head_type: HeadType, found: FromLie) -> Possible:
    """What a build may be like from a lie. What was held beforehand is as wrong for every build of its kind; what was
    measured is its own."""
    whose = name if found.n else head_type.value
    z = normals_of(f"{whose} from {found.lie.value}", 1)[0]
    return replace(
        build,
        carry_m=build.carry_m * found.carry * np.exp(found.carry_sd * z),
        spread_share=build.spread_share * found.wide,
        side_spread_deg=build.side_spread_deg * found.wide,
    )


@cache
def quantiles(count: int) -> Floats:
    """So many normal deviates that stand for equal shares."""
    points: Floats = ndtri((np.arange(count) + 0.5) / count)
    return points


def ends_of(job: Job) -> tuple[float, float]:
    """Where a ball may stop, metres from the player. Off the tee further is as good."""
    near = job.distance_m - job.depth_m / 2
    return (near, np.inf) if job.kind is JobKind.TEE else (near, job.distance_m + job.depth_m / 2)


def least_carry(job: Job) -> float:
    """What must be flown: what the job says, and for a green at most ten yards short of its front."""
    over = job.carry_over_m or 0.0
    return max(over, ends_of(job)[0] - SHORT_OF_GREEN_M) if job.kind is JobKind.GREEN else over


def play(
    build: Possible,
    head_type: HeadType,
    run: RollOut,
    job: Job,
    lie: FromLie | None = None,
    *,
    typical_m: ArrayLike | None = None,
    drive_m: float = USUAL_DRIVE_M,
) -> Played:
    """Play one build on one job. lie: what the job's does to it, which `build` and `run` have in them; typical_m: the
    typical run of each possible player (DRAWS,), where it is not that of `run`; drive_m: how far he drives."""
    from .kernel import played  # noqa: PLC0415 (a second to load: only who plays waits for it)

    # Both halves of the players do the same but for the side.
    alike, _ = halves(build)
    steeper = alike.landing_off_deg + run.angle_se_deg * alike.landing_z
    typical = np.broadcast_to(run.typical_m if typical_m is None else typical_m, DRAWS)[: DRAWS // 2]
    near, far = ends_of(job)
    ends = ends_at(job, drive_m)
    found = played(
        np.stack([
            alike.carry_m, alike.spread_share, alike.misses, steeper, alike.ground, alike.side_spread_deg, typical,
        ]),
        np.ascontiguousarray(alike.losses),
        build.side_deg.reshape(2, -1),
        quantiles(GOOD),
        quantiles(FLEW),
        (run.per_metre, run.per_degree_m, run.sd_m),
        (near, far, least_carry(job), job.carry_over_m or 0.0, job.width_m / 2, job.distance_m),
        (FLYERS, FLYER_GAIN, FLYER_SD, MISS_SIDE, MOST_RUN_SHIFT_M, RUN_SHARE),
        SHARES,
        BY,
        ends.table,
        (*ends.steps, ends.not_carried),
    )  # fmt: skip
    lost = dict(zip(("short", "long", "left", "right"), found, strict=False))
    return Played(job, np.clip(found[4], 0.0, 1.0), lost, 1 + found[5], lie)


def out_of_reach(job: Job, stops_m: float, drive_m: float = USUAL_DRIVE_M) -> Played:
    """A job that is not this club's: every shot stops short of it, at stops_m, or runs through."""
    nothing, all_ = np.zeros(DRAWS), np.ones(DRAWS)
    short, ends = stops_m < job.distance_m, ends_at(job, drive_m)
    lost = {"short": all_ if short else nothing, "long": nothing if short else all_, "left": nothing, "right": nothing}
    left = float(ends.of(np.array(stops_m - job.distance_m), np.array(OFF_LINE * max(stops_m, 0.0))))
    return Played(job, nothing, lost, np.full(DRAWS, 1 + left))


def rounds(played: Sequence[Played], feared: Feared = NOTHING_FEARED) -> Floats:
    """Successful shots a round over the jobs, by their uses, less what is feared, (DRAWS,)."""
    made = [each.job.uses_per_round * each.worth(feared) for each in played]
    total: Floats = np.sum(made, axis=0) + np.zeros(DRAWS)
    return total
