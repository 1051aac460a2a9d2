"""Every yardage of a round played out: what each club leaves at each distance that nobody named.

A job that was named is a sample of a round. Between thirty yards and what the player drives every yard comes up now and
then; each is played towards a usual green with the stock swing of a club, or with one that is eased to it, whichever
leaves less.
"""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, fields, replace

import numpy as np
from numpy.typing import NDArray
from scipy.special import ndtr

from ..brief import NOTHING_FEARED, Feared, Job, JobKind, Miss
from ..samples.mixture import FLYER_GAIN, FLYERS
from ..thresholds import DEFAULT, ROUND_BANDS
from ..units import metres, yards
from .eased import AIM_SHARE, LEFT, NUMBER_M, STRAIGHTER, Eases, wider_at
from .normal import both
from .play import DRAWS, MISS_SIDE, MOST_RUN_SHIFT_M, Possible, halves, quantiles
from .strokes import Ends, ends_at
from .weigh import USUAL_GREEN, Swing

Floats = NDArray[np.float64]
Small = NDArray[np.float32]

# The bands of a round are those of a player who drives this far; from the second on their ends move with the drive.
USUAL_DRIVE_YD, MOST_LONGER = 210.0, 1.35
STEP_M = metres(4)
SOFTEN_YD = 8.0  # how far the ends of the bands run into each other
NEAR_JOB_M = metres(15)  # so far from its distance a named job stands for the yardages nobody named
GOOD = 7
# How far a stock swing is still looked at: short of a yardage, and past it.
SHORT_M, PAST_M = metres(60), metres(22)
# A long club eased flies lower and is struck worse the more is taken off: how much wider than a wedge's its carries
# spread for each tenth of its stock carry that is taken off, and the least share that anybody tries; by judgement.
LONG_WIDER, LEAST_LONG, LEAST_WEDGE = 0.4, 0.72, 0.25
REACHED = 0.5  # of strokes over the best: what hardly any bag would choose is not drawn out


@dataclass(frozen=True)
class Yardages:
    """Distances in metres, (Y,), and how often a round each comes up."""

    at_m: Floats
    uses: Floats


def usual_yardages(
    drive_m: float, jobs: Sequence[Job] = (), *, shots: float = 1.0, counts: Sequence[float] = DEFAULT.round_shots
) -> Yardages:
    """The yardages of a round for a player who drives so far, less what named jobs stand for. shots: how many times
    so many a round; counts: shots a round in each of `ROUND_BANDS`."""
    longer = float(np.clip(yards(drive_m) / USUAL_DRIVE_YD, 0.6, MOST_LONGER))
    last = ROUND_BANDS[-1][1] * longer
    at = np.arange(metres(ROUND_BANDS[0][0]) + STEP_M / 2, metres(last + SOFTEN_YD), STEP_M)
    uses = np.zeros(at.size)
    for number, ((low, high), count) in enumerate(zip(ROUND_BANDS, counts, strict=True)):
        ends = (low if number == 0 else low * longer, high * longer)
        inside = ndtr((yards(1.0) * at - ends[0]) / SOFTEN_YD) - ndtr((yards(1.0) * at - ends[1]) / SOFTEN_YD)
        uses += shots * count * inside / inside.sum()
    for job in jobs:
        if job.kind is not JobKind.TEE:
            beside = np.clip(1 - np.abs(at - job.distance_m) / NEAR_JOB_M, 0, None)
            if beside.sum() > 0:
                uses = uses - job.uses_per_round * beside / beside.sum()
    return Yardages(at, np.maximum(uses, 0.0))


# How far off its mean a club may carry, standard deviations, with the weight of each.
CARRIES = np.linspace(-2.4, 2.4, 7)
WEIGHTS = np.exp(-(CARRIES**2) / 2) / np.exp(-(CARRIES**2) / 2).sum()
GRID = np.linspace(LEAST_WEDGE, 1.0, 60)


def _points(build: Possible) -> tuple[Floats, Floats, Floats]:
    """Of the shots of one swing, (n, P) for n players: how far each carries from the centre beside its spread, as a
    share; how much of the spread is in it; its weight."""
    n, poor = build.losses.shape
    off = np.concatenate([np.zeros((n, GOOD)), -build.losses, np.full((n, 1), FLYER_GAIN)], axis=1)
    spread = np.concatenate([quantiles(GOOD), np.zeros(poor + 1)])
    misses = build.misses[:, None]
    shares = [(1 - misses - FLYERS) / GOOD, misses / poor, np.full((n, 1), FLYERS)]
    weight = np.concatenate([np.repeat(*each, axis=1) for each in zip(shares, (GOOD, poor, 1), strict=True)], axis=1)
    return off, spread, weight


def _typical(build: Possible) -> Possible:
    """Players in the middle of those that are possible, but for how far the club carries: one for each of `CARRIES`
    standard deviations of that."""
    n = CARRIES.size
    middle = {each.name: np.repeat(getattr(build, each.name).mean(axis=0, keepdims=True), n, axis=0)
              for each in fields(Possible)}  # fmt: skip
    side = np.full(n, np.sqrt((build.side_deg**2).mean()))
    return replace(
        Possible(**middle), carry_m=build.carry_m.mean() + CARRIES * build.carry_m.std(), side_deg=side
    )  # fmt: skip


@dataclass(frozen=True)
class _Way:
    """A swing for each yardage: where it is looked at, (Y,), its share of the stock carry and how much wider its
    carries spread than those of the stock swing, as shares, (Y, n) each."""

    there: NDArray[np.bool_]
    share: Floats
    wide: Floats

    def at(self, those: NDArray[np.bool_]) -> _Way:
        return _Way(self.there[those], self.share[those], self.wide[those])


def _runs(swing: Swing, share: Floats) -> Floats:
    """How far a swing of a share of the stock carry runs on a usual green."""
    if swing.part is None:
        return np.full(share.shape, swing.run.typical_m)
    found: Floats = np.interp(share, GRID, swing.part.curve.run_m(GRID, USUAL_GREEN.turf))
    return found


def _strokes(swing: Swing, build: Possible, at_m: Floats, way: _Way, ends: Ends) -> Floats:
    """Strokes to hole out from each yardage, (Y, n). build: the n players it may be; ends: of a usual green."""
    from .kernel import strokes_left  # noqa: PLC0415 (a second to load: only who plays waits for it)

    run, share = swing.run, way.share
    off, spread, weight = _points(build)
    steeper = build.landing_off_deg + run.angle_se_deg * build.landing_z
    roll = (_runs(swing, share) + run.per_degree_m * steeper) * build.ground
    line = both(build.side_spread_deg * np.interp(share, LEFT, STRAIGHTER), build.side_deg)
    swung = np.stack([build.spread_share * way.wide, build.carry_m * share, build.carry_m * share + roll,
                      np.radians(line)])  # fmt: skip
    made: Floats = strokes_left(
        swung.astype(np.float32),
        at_m.astype(np.float32),
        off.astype(np.float32),
        spread.astype(np.float32),
        weight,
        (run.per_metre, MOST_RUN_SHIFT_M, MISS_SIDE),
        (GOOD, off.shape[1] - 1),
        ends.table,
        ends.steps,
    )
    return made


def _lost(swing: Swing, build: Possible, at_m: Floats, way: _Way, miss: Miss) -> Floats:
    """Share of shots that miss a usual green to what is feared, (Y, n)."""
    if miss in (Miss.SHORT, Miss.LONG):
        off, spread, weight = _points(build)
        carry = (build.carry_m * way.share)[..., None]
        shot = carry * (1 + off + spread * (build.spread_share * way.wide)[..., None])
        over = (shot + swing.run.typical_m - at_m[:, None, None]) * (1 if miss is Miss.LONG else -1)
        made: Floats = (weight * (over > USUAL_GREEN.depth_m / 2)).sum(axis=-1)
        return made
    middle = np.radians(build.side_deg) * at_m[:, None]
    side = middle if miss is Miss.RIGHT else -middle
    spread = np.radians(build.side_spread_deg * np.interp(way.share, LEFT, STRAIGHTER)) * at_m[:, None]
    found: Floats = ndtr((side - USUAL_GREEN.width_m / 2) / spread)
    return found


def _ways(swing: Swing, build: Possible, at_m: Floats, worse: Floats | float = 1.0) -> tuple[_Way, _Way]:
    """The stock swing and the one eased to each yardage. On the course a player knows how far his clubs go, whatever
    is known here: he eases each to where it gets. worse: how much wider each possible player spreads who eases off, by
    what is not known of that."""
    stops = swing.carry_m + swing.run.typical_m
    stock = (stops >= at_m - SHORT_M) & (stops <= at_m + PAST_M)
    longer = build.carry_m / swing.carry_m
    reach = swing.carry_m * GRID + _runs(swing, GRID)
    left = np.interp(at_m[:, None] / longer, np.maximum.accumulate(reach), GRID)
    easy = (at_m <= stops) & (np.interp(at_m, reach, GRID) >= (LEAST_LONG if swing.part is None else LEAST_WEDGE))
    numbers = (swing.carry_m,) if swing.part is None else swing.part.numbers
    nearest = np.min([np.abs(swing.carry_m * left - each) for each in numbers], axis=0)
    aim = AIM_SHARE * (1 - np.exp(-0.5 * (nearest / NUMBER_M) ** 2))
    factor = 1 + 10 * LONG_WIDER * (1 - left) if swing.part is None else swing.part.eases.wider
    # What is hardly eased is hardly wider.
    less = 1 + (wider_at(left) * factor * worse - 1) * np.clip(nearest / NUMBER_M, 0, 1)
    wide = np.hypot(less, aim / build.spread_share)
    ones = np.ones_like(left)
    return _Way(stock, ones, ones), _Way(easy, left, wide)


@dataclass(frozen=True)
class Reckoned:
    """One club at every yardage, (Y, DRAWS) each: strokes to hole out; what is feared of it in strokes on top; and the
    strokes that the player reckons with, who knows how far it goes and else only how he plays on the whole."""

    strokes: Floats
    feared: Floats
    known: Floats


def strokes_at(
    swings: Mapping[str, Swing], yardages: Yardages, drive_m: float, feared: Feared = NOTHING_FEARED
) -> dict[str, Reckoned]:
    """Each club at each yardage, by its key. Where hardly a bag would choose a club for a yardage it stands there by
    what the player reckons with, with nothing feared; out of reach it is infinite."""
    at = yardages.at_m
    ends = ends_at(USUAL_GREEN, drive_m)
    first = {key: _middle(swing, at, ends) for key, swing in swings.items()}
    best = np.min([means.min(axis=0) for means, _ in first.values()], axis=0)
    made: dict[str, Reckoned] = {}
    for key, swing in swings.items():
        (means, known), players = first[key], halves(swing.may_be)
        total, fear = known.copy(), np.zeros_like(known)
        eases, part = (Eases(), "") if swing.part is None else (swing.part.eases, swing.part.key)
        worse = eases.spreads(part)[: DRAWS // 2]
        chosen = means.argmin(axis=0)
        fine = means.min(axis=0) <= best + REACHED
        for number, way in enumerate(_ways(swing, players[0], at[fine], worse) if fine.any() else ()):
            here = chosen[fine] == number
            if here.any():
                those, swung = np.flatnonzero(fine)[here], way.at(here)
                total[those] = np.tile(_strokes(swing, players[0], at[those], swung, ends), 2)
                shots = feared.of(swing.head_type).shots
                if shots:
                    lost = [_lost(swing, each, at[those], swung, feared.miss) for each in players]
                    fear[those] = shots * np.concatenate(lost, axis=1)
        made[key] = Reckoned(total, fear, known + fear.mean(axis=1, keepdims=True))
    return made


def _middle(swing: Swing, at_m: Floats, ends: Ends) -> tuple[Floats, Floats]:
    """Strokes of a player in the middle by the stock swing and the eased one, on average (2, Y), and by the better of
    the two for each possible carry, (Y, DRAWS)."""
    build = swing.may_be
    middle = _typical(build)
    found = np.full((2, at_m.size, CARRIES.size), np.inf)
    for number, way in enumerate(_ways(swing, middle, at_m)):
        if way.there.any():
            found[number, way.there] = _strokes(swing, middle, at_m[way.there], way.at(way.there), ends)
    means = found @ WEIGHTS
    better = found[means.argmin(axis=0), np.arange(at_m.size)]
    z = (build.carry_m - build.carry_m.mean()) / max(float(build.carry_m.std()), 1e-9)
    at = np.interp(z, CARRIES, np.arange(CARRIES.size))
    left = np.minimum(at.astype(np.intp), CARRIES.size - 2)
    known, there = np.full((at_m.size, DRAWS), np.inf), np.isfinite(better[:, 0])
    some = better[there]
    known[there] = some[:, left] * (1 - (at - left)) + some[:, left + 1] * (at - left)
    return means, known
