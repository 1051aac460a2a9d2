"""One player's builds read together, so that five shots say more than five shots alone.

Carries of a build are a mixture: struck well, normal about the build's own centre with a spread that is
mostly the player's; poor, well short of it; and now and then a flyer, long. Centres are each build's own.
Spread, miss rate and miss cost are shared: each is drawn towards what all the player's builds say, and
that towards what is usual (empirical Bayes; A. Gelman et al., Bayesian Data Analysis, 3rd ed., ch. 5 and
22). Fitted by expectation and maximisation on at most a few hundred shots, always the same steps.
"""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field, replace

import numpy as np
from numpy.typing import ArrayLike, NDArray
from scipy.special import digamma, ndtr, ndtri, polygamma

from ..estimate import Estimate
from ..heads import HeadType
from ..units import ninety
from .drift import REFERENCE_LENGTH_M, SHARE_SD, SPEED_SHARE_PER_M

Floats = NDArray[np.float64]

# Before a shot is hit. Shares of carry; each with the number of shots it weighs as much as.
USUAL_SPREAD, USUAL_SPREAD_SHOTS = 0.030, 6.0
OWN_SPREAD_SHOTS = 10.0  # the pooled spread weighs as much as these in each build's own
USUAL_MISSES, USUAL_MISSES_SHOTS = 0.10, 12.0
USUAL_LOSS, LOSS_SD, USUAL_LOSS_SHOTS = 0.10, 0.06, 4
LOSS_POINTS = 6
FLYERS, FLYER_GAIN, FLYER_SD = 0.015, 0.08, 0.04
USUAL_SIDE_DEG, USUAL_SIDE_SHOTS = 3.2, 6.0
# Sideways, builds of one player spread much alike: the pooled spread weighs as much as these shots in each build's own,
# unless the builds differ by more than chance; what they say of that weighs against it as if it came from so many.
OWN_SIDE_SHOTS, OWN_SIDE_BUILDS = 50.0, 12.0
# How far builds of one player differ in where they start and curve, for reasons not seen in the delivery; what the
# builds themselves say of that weighs against this as if it came from so many builds.
BUILD_SIDE_DEG, BUILD_SIDE_BUILDS = 0.8, 6.0
# What a miss costs beside a hybrid's: deep heads forgive, shallow ones do not.
MISS_COST = {
    HeadType.DRIVER: 0.7, HeadType.FAIRWAY: 0.75, HeadType.HYBRID: 1.0, HeadType.UTILITY: 1.5, HeadType.IRON: 1.35,
    HeadType.WEDGE: 1.35,
}  # fmt: skip
# And how widely its good shots spread in carry beside a hybrid's: they too are struck a little off the middle.
CARRY_SPREAD = {
    HeadType.DRIVER: 0.95, HeadType.FAIRWAY: 0.90, HeadType.HYBRID: 1.0, HeadType.UTILITY: 1.25, HeadType.IRON: 1.25,
    HeadType.WEDGE: 1.05,
}  # fmt: skip
CALLED = 15.0  # odds that a shot set aside or called thin, fat, toe or heel was a miss, over one that was not
STEPS = 12
WARM = 0.7
# The first shots with a strange club spread wider; the player who owns it will know it.
LEARNING_SHOTS, LEARNING_WIDE = 3, 1.2
# Today against any other day, and one end of a session against the other: what more shots do not average out.
DAY_SHARE = 0.005


@dataclass(frozen=True)
class Cause:
    """A part of the delivery that moves a result. slope: of the result for one unit, before a shot is hit, held by
    `held` shots' worth. own: how far a build's own average may differ for a reason of the build; more than chance
    and that is taken out. builds: what the builds themselves say of that weighs against it as if `own` came from so
    many; 0 where it stands as it is. drifts: the player warms up and tires: a large difference is more likely his."""

    name: str
    slope: float
    own: float
    held: float = 15.0
    drifts: bool = False
    builds: float = 0.0


SPEED = Cause("speed", 1.1, 0.004, drifts=True)  # shares; carry goes about with speed, irons a little more
FACE = Cause("face_deg", 1.2, 0.5)
PATH = Cause("path_deg", -0.3, 0.7)
# Of wedges: a steeper face flies shorter, a degree of it as much as two of speed in a hundred; a player leans the shaft
# of one wedge as of another within about half a degree, as far as their lofts are known. Slopes by `impact` and `fly`
# over wedge lofts.
WEDGE_SPEED = Cause("speed", 1.45, 0.006, drifts=True)
LEAN = Cause("lean_deg", -0.027, 0.55, builds=3.0)
ATTACK = Cause("attack_deg", 0.024, 0.4, builds=3.0)
STRIKE = Cause("strike", 1.45, 0.010)


@dataclass(frozen=True)
class Group:
    """One build's shots, arrays (n,): carry in metres; side, the angle offline over carry in degrees, NaN where
    unknown; called: set aside or called a miss; delivery: by cause, NaN where unknown: `speed`, the log of
    club speed brought to one length, `face_deg`, `path_deg`, `attack_deg`, `lean_deg`, the loft at impact less the
    club's, and `strike`, the log of smash less that of a middle strike at that spin loft; strange: not a club of the
    player's own. length_m: as the player's own set has it, and length_sd_m how well that is known. Misreads are left
    out before."""

    head_type: HeadType
    carry_m: Floats
    side_deg: Floats
    called: NDArray[np.bool_]
    delivery: Mapping[str, Floats] = field(default_factory=dict)
    strange: bool = True
    length_m: float = REFERENCE_LENGTH_M
    length_sd_m: float = 0.0

    @property
    def learning(self) -> float:
        """How much wider the shots spread than they will once the club is known."""
        n = self.carry_m.size
        if not self.strange or n == 0:
            return 1.0
        first = min(n, LEARNING_SHOTS)
        return float(np.sqrt((first * LEARNING_WIDE**2 + n - first) / n))


@dataclass(frozen=True)
class Centre:
    """What is known of one build struck well. carry: its mean in metres at the speed of the whole session, its shots
    those that a known club would have needed; speed_factor: what brought it there; n: good shots' worth; side_deg with
    its standard error; spread_share and side_spread_deg of its shots; side_df: degrees of freedom of the latter;
    side_read: whether any of its shots says where it starts and curves, else its side is that of usual players."""

    carry: Estimate
    spread_share: float
    side_deg: float
    side_se_deg: float
    side_spread_deg: float
    side_df: float
    n: float
    speed_factor: float = 1.0
    side_read: bool = True

    @property
    def carry_m(self) -> float:
        return self.carry.mean

    @property
    def carry_se_m(self) -> float:
        return self.carry.sd

    @property
    def df(self) -> float:
        return self.carry.freedom


@dataclass(frozen=True)
class Pool:
    """centres: one a group, None for a group without shots. miss: chance of each shot to be one, one array a
    group. miss_share: of the player's shots, miss_shots: what it weighs. losses: what misses cost as
    shares of carry, of a hybrid: LOSS_POINTS evenly weighted ones, least first."""

    centres: tuple[Centre | None, ...]
    miss: tuple[Floats, ...]
    miss_share: float
    miss_shots: float
    losses: Floats
    spread_share: float


def _density(x: Floats, mean: float, sd: float) -> Floats:
    z = (x - mean) / sd
    density: Floats = np.exp(-0.5 * z * z) / sd
    return density


def _first_centre(group: Group) -> float:
    """The middle of the shots not called a miss; the longest third's when all were."""
    kept = group.carry_m[~group.called]
    return float(np.median(kept)) if kept.size else float(np.quantile(group.carry_m, 0.8))


@dataclass
class _State:
    """What the steps go over: centres (metres) and spreads by group, the shared rest."""

    centres: list[float]
    spreads: list[float]
    spread: float
    misses: float
    loss: float


def _responsibilities(group: Group, state: _State, index: int) -> tuple[Floats, Floats]:
    """Chance of each shot to be a miss, and to be a flyer, (n,) each."""
    off = group.carry_m / state.centres[index] - 1
    loss = state.loss * MISS_COST[group.head_type]
    prior = np.where(group.called, CALLED * state.misses / (1 - state.misses + CALLED * state.misses), state.misses)
    good = (1 - prior - FLYERS) * _density(off, 0.0, state.spreads[index])
    # A miss is short: cut off above the centre, so that it never claims the long shots.
    poor = prior * _density(off, -loss, np.hypot(LOSS_SD * MISS_COST[group.head_type], state.spreads[index]))
    flyer = FLYERS * _density(off, FLYER_GAIN, np.hypot(FLYER_SD, state.spreads[index]))
    total = good + poor + flyer
    return poor / total, flyer / total


def _evened(group: Group) -> Group:
    """A group whose carries are brought to its own middle speed, lean and attack, to tell its misses by: a lofted or a
    slow shot is short and no miss, a bad strike is one. The same group where that was not read, as at the long end."""
    causes = (WEDGE_SPEED, LEAN, ATTACK)
    if group.head_type is not HeadType.WEDGE or not all(_whole(group, cause.name) for cause in causes):
        return group
    kept = ~group.called if not group.called.all() else np.ones(group.carry_m.size, dtype=bool)
    off = sum(cause.slope * (group.delivery[cause.name] - group.delivery[cause.name][kept].mean()) for cause in causes)
    return replace(group, carry_m=group.carry_m / np.clip(1 + off, 0.5, 1.5))


def _settled(groups: Sequence[Group], told: Sequence[tuple[Floats, Floats]], state: _State) -> _State:
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
    return _State(
        centres,
        spreads,
        float(spread),
        (USUAL_MISSES * USUAL_MISSES_SHOTS + missed) / (USUAL_MISSES_SHOTS + count),
        (USUAL_LOSS * 4 + float(sum(lost))) / (4 + missed),
    )


@dataclass(frozen=True)
class _Means:
    """Means of a result by group at equal delivery, their variances, and how much was taken off each."""

    means: Floats
    variances: Floats
    taken: Floats

    def within(self, spread: Floats, n: Floats) -> _Means:
        """The same with nothing taken off a mean that is more than its own doubt: what was measured outweighs what
        explains it. What is not taken off is doubt, up to as much again. spread, n: of the values of the means."""
        plain = np.hypot(spread / np.sqrt(np.maximum(n, 0.5)), DAY_SHARE)
        most = ninety(1.0) * plain
        taken = np.clip(self.taken, -most, most)
        over = self.taken - taken
        return _Means(self.means + over, np.minimum(self.variances + over**2, plain**2 + most**2), taken)


def _weighted_means(values: Sequence[Floats], weights: Sequence[Floats]) -> Floats:
    return np.array([(w * v).sum() / max(w.sum(), 1e-9) for v, w in zip(values, weights, strict=True)])


def _at_equal_delivery(
    values: Sequence[Floats],
    weights: Sequence[Floats],
    causes: Sequence[tuple[Cause, Sequence[Floats]]],
    spread: Floats,
    *,
    apart: Floats | float = 0.0,
) -> _Means:
    """Means by group, with the part that a delivery unlike the player's own explains taken out (analysis of
    covariance with slopes within groups and shrunk differences of the causes between them).

    values, weights: (n,) each; causes: of the same shape; spread: standard deviation of each group's values; apart:
    how far each build may differ in speed for its length.
    """
    sums = np.array([float(w.sum()) for w in weights])
    n = np.maximum(sums, 0.5)
    means, taken = _weighted_means(values, weights), np.zeros(len(values))
    unexplained, left = spread**2, np.zeros(len(values))
    for cause, seen in causes:
        nature = cause.own**2 + (np.square(apart) if cause.name == SPEED.name else 0.0)
        centres = _weighted_means(seen, weights)
        within = [x - c for x, c in zip(seen, centres, strict=True)]
        square = sum(float((w * x * x).sum()) for w, x in zip(weights, within, strict=True))
        product = sum(float((w * x * (v - m)).sum()) for w, x, v, m in zip(weights, within, values, means, strict=True))
        variance = square / max(float((sums - 1).clip(0).sum()), 1.0)
        slope = (product + cause.slope * cause.held * variance) / (square + cause.held * variance + 1e-12)
        chance = variance / n
        level = np.average(centres, weights=1 / (chance + nature))
        if cause.drifts:
            # Cold and tired only ever slow: the player's own speed lies above the average by what they took.
            level += WARM * np.sqrt(max(float(np.var(centres) - (chance + nature).mean()), 0.0))
        off = centres - level
        own = nature
        if cause.builds:
            apart = max(float((off**2 - chance).sum()), 0.0)
            own = (cause.builds * own + apart) / (cause.builds + len(values) - 1)
        if cause.drifts:
            # Further off than chance and the build's own nature explain: met by a warmer or a more tired player.
            chance = np.maximum(chance, off * off - own)
        taken += slope * off * chance / (chance + own)
        unexplained = np.maximum(unexplained - slope**2 * variance, 0.3 * unexplained)
        left += slope**2 * chance * own / (chance + own)
    return _Means(means - taken, unexplained / n + left, taken)


def _causes(groups: Sequence[Group], wanted: Sequence[Cause]) -> list[tuple[Cause, list[Floats]]]:
    """The causes that every shot of every group has."""
    there = [cause for cause in wanted if all(_whole(group, cause.name) for group in groups)]
    return [(cause, [group.delivery[cause.name] for group in groups]) for cause in there] if len(groups) > 1 else []


LOFTED = ("speed", "lean_deg", "attack_deg", "strike")


def _whole(group: Group, name: str) -> bool:
    return name in group.delivery and bool(np.isfinite(group.delivery[name]).all())


@dataclass(frozen=True)
class _Side:
    """Mean, standard error and spread of a group's side angle in degrees, with the freedom of that spread."""

    mean: float
    error: float
    spread: float
    df: float


def _shared_shots(squares: Floats, freedom: Floats, pooled: float) -> float:
    """How many shots the pooled spread weighs in each build's own: fewer, the more the builds' spreads differ beyond
    chance.

    The logarithms of sample variances scatter by trigamma(freedom / 2) if all are one (M. S. Bartlett and D. G.
    Kendall, J. R. Stat. Soc. Suppl. 8, 1946, 128); what is over that, and over one standard deviation of it, is the
    builds'. Prior freedom d spreads them by 2 / d.
    """
    usual = 2 / OWN_SIDE_SHOTS
    told = freedom >= 2
    if told.sum() < 2:
        return OWN_SIDE_SHOTS
    df, variances = freedom[told], np.maximum(squares[told] / freedom[told], 1e-6)
    # The mean of a log variance lies below the log of its mean.
    logs = np.log(variances) - digamma(df / 2) + np.log(df / 2)
    chance = polygamma(1, df / 2)
    middle = (np.log(pooled) / usual + (logs / chance).sum()) / (1 / usual + (1 / chance).sum())
    over = ((logs - middle) ** 2 - chance).sum() - np.sqrt(2 * (chance**2).sum())
    return float(2 / ((OWN_SIDE_BUILDS * usual + max(over, 0.0)) / (OWN_SIDE_BUILDS + told.sum() - 1)))


def _sides(groups: Sequence[Group], misses: Sequence[Floats]) -> list[_Side]:
    """The side angle of each group, drawn towards the player's own."""
    weights = [(1 - poor) * np.isfinite(group.side_deg) for group, poor in zip(groups, misses, strict=True)]
    values = [np.nan_to_num(group.side_deg) for group in groups]
    n = np.array([float(w.sum()) for w in weights])
    if not (n > 0.5).any():
        return [_Side(0.0, USUAL_SIDE_DEG / 2, USUAL_SIDE_DEG, USUAL_SIDE_SHOTS)] * len(groups)
    learning = np.array([group.learning for group in groups])
    means = _weighted_means(values, weights)
    own = np.array([(w * (v - m) ** 2).sum() for v, w, m in zip(values, weights, means, strict=True)]) / learning**2
    freedom = np.maximum(n - 1, 0)
    pooled = (USUAL_SIDE_SHOTS * USUAL_SIDE_DEG**2 + own.sum()) / (USUAL_SIDE_SHOTS + freedom.sum())
    shared = _shared_shots(own, freedom, float(pooled))
    spread = np.sqrt((shared * pooled + own) / (shared + freedom))
    # Of the log of a spread: its own part, and what it takes over from the pooled one's.
    doubt = 1 / (shared + freedom) + (shared / (shared + freedom)) ** 2 / (USUAL_SIDE_SHOTS + freedom.sum())
    equal = _at_equal_delivery(values, weights, _causes(groups, (FACE, PATH)), spread * learning)
    seen = n > 0.5
    common = float(np.average(equal.means[seen], weights=1 / (equal.variances[seen] + BUILD_SIDE_DEG**2)))
    apart = np.maximum((equal.means[seen] - common) ** 2 - equal.variances[seen], 0).sum()
    between = (BUILD_SIDE_BUILDS * BUILD_SIDE_DEG**2 + apart) / (BUILD_SIDE_BUILDS + max(seen.sum() - 1, 0))
    precision = seen / equal.variances
    side = (precision * equal.means + common / between) / (precision + 1 / between)
    errors = (precision + 1 / between) ** -0.5
    return [_Side(*map(float, row)) for row in zip(side, errors, spread, 1 / doubt, strict=True)]


def _lengths_apart(groups: Sequence[Group], n: Floats) -> Floats:
    """How far each group's speed, brought to one length, may be off for its length, (groups,): players' sets differ in
    what a length gains, and a length may be known by its kind alone. Shares."""
    lengths = np.array([group.length_m for group in groups])
    unsure = np.array([group.length_sd_m for group in groups])
    off = SHARE_SD * (lengths - np.average(lengths, weights=np.maximum(n, 0.5)))
    apart: Floats = np.hypot(off, SPEED_SHARE_PER_M * unsure)
    return apart


def _carries(groups: Sequence[Group], misses: Sequence[Floats], state: _State) -> tuple[Floats, Floats]:
    """The factor that brings each group's centre to the player's own club speed, and its standard error by chance as a
    share."""
    weights = [1 - poor for poor in misses]
    shares = [group.carry_m / centre - 1 for group, centre in zip(groups, state.centres, strict=True)]
    learning = np.array([group.learning for group in groups])
    spread = np.array(state.spreads) * learning
    n = np.array([float(w.sum()) for w in weights])
    apart = _lengths_apart(groups, n)
    equal = _at_equal_delivery(shares, weights, _causes(groups, (SPEED,)), spread, apart=apart).within(spread, n)
    taken, variances = equal.taken, equal.variances
    # Wedges whose loft at impact was read are brought to one delivery by it too.
    own = [i for i, g in enumerate(groups) if g.head_type is HeadType.WEDGE and all(_whole(g, each) for each in LOFTED)]
    if len(own) > 1:
        mine = [groups[i] for i in own]
        causes = _causes(mine, (WEDGE_SPEED, LEAN, ATTACK, STRIKE))
        near = _lengths_apart(mine, n[own])
        alike = _at_equal_delivery([shares[i] for i in own], [weights[i] for i in own], causes, spread[own], apart=near)
        alike = alike.within(spread[own], n[own])
        taken[own], variances[own] = alike.taken, alike.variances
    return 1 - taken, np.sqrt(variances)


def _losses(groups: Sequence[Group], misses: Sequence[Floats], state: _State) -> Floats:
    """Quantiles of what misses cost: the player's own, each as far as it is one, among the usual ones."""
    usual = USUAL_LOSS + LOSS_SD * ndtri((np.arange(USUAL_LOSS_SHOTS) + 0.5) / USUAL_LOSS_SHOTS)
    own = [
        (1 - group.carry_m / centre) / MISS_COST[group.head_type]
        for group, centre in zip(groups, state.centres, strict=True)
    ]
    losses = np.concatenate([usual, *own])
    weights = np.concatenate([np.ones(USUAL_LOSS_SHOTS), *misses])
    order = np.argsort(losses)
    reached = np.cumsum(weights[order]) - weights[order] / 2
    wanted = (np.arange(LOSS_POINTS) + 0.5) / LOSS_POINTS * weights.sum()
    points: Floats = np.clip(np.interp(wanted, reached, losses[order]), -0.02, 0.6)
    return points


def pool(groups: Sequence[Group]) -> Pool:
    """Read a player's groups together; the order of groups and of shots does not matter."""
    filled = [group for group in groups if group.carry_m.size]
    state = _State(
        [_first_centre(group) for group in filled],
        [USUAL_SPREAD] * len(filled),
        USUAL_SPREAD,
        USUAL_MISSES,
        USUAL_LOSS,
    )
    evened = [_evened(group) for group in filled]
    told: list[tuple[Floats, Floats]] = []
    for _ in range(STEPS if filled else 0):
        told = [_responsibilities(group, state, index) for index, group in enumerate(evened)]
        state = _settled(evened, told, state)
    # What is played out is what was hit.
    state = _settled(filled, told, state) if filled else state
    misses = [poor for poor, _ in told]
    sides = _sides(filled, misses)
    freedom = USUAL_SPREAD_SHOTS + sum(max(float((1 - poor).sum()) - 1, 0.0) for poor in misses)
    centres: list[Centre | None] = []
    chances: list[Floats] = []
    factors, errors = _carries(filled, misses, state) if filled else (np.zeros(0), np.zeros(0))
    each = iter(zip(misses, state.centres, state.spreads, sides, factors, errors, strict=True))
    for group in groups:
        if not group.carry_m.size:
            centres.append(None)
            chances.append(np.zeros(0))
            continue
        poor, found, spread, side, factor, error = next(each)
        carry = float(found * factor)
        n = max(float((1 - poor).sum()), 0.5)
        known = Estimate(
            carry, carry * float(error), freedom, DAY_SHARE * carry, n / group.learning**2, 1 - state.misses
        )
        read = bool(np.isfinite(group.side_deg).any())
        centres.append(
            Centre(known, spread, side.mean, side.error, side.spread, side.df, n, float(factor), side_read=read)
        )
        chances.append(poor)
    count = sum(group.carry_m.size for group in filled)
    losses = _losses(filled, misses, state)
    return Pool(tuple(centres), tuple(chances), state.misses, USUAL_MISSES_SHOTS + count, losses, state.spread)


def share_between(low: ArrayLike, high: ArrayLike) -> Floats:
    """The share of a standard normal between two ends."""
    share: Floats = ndtr(high) - ndtr(low)
    return share
