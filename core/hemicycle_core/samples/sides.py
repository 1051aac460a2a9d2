"""Where a player's builds start and curve, read together: a side angle each, drawn towards the player's own."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray
from scipy.special import digamma, polygamma

from ..heads import HeadType
from .equal_delivery import FACE, PATH, at_equal_delivery, read_causes, weighted_means
from .group import Group

Floats = NDArray[np.float64]

USUAL_SIDE_DEG, USUAL_SIDE_SHOTS = 3.2, 6.0
# Sideways, builds of one player spread much alike: the pooled spread weighs as much as these shots in each build's own,
# unless the builds differ by more than chance; what they say of that weighs against it as if it came from so many.
OWN_SIDE_SHOTS, OWN_SIDE_BUILDS = 50.0, 12.0
# How far builds of one player differ in where they start and curve, for reasons not seen in the delivery; what the
# builds themselves say of that weighs against this as if it came from so many builds.
BUILD_SIDE_DEG, BUILD_SIDE_BUILDS = 1.0, 6.0
# And where a player's shots end on average, about the line: one standard deviation over players.
PLAYER_SIDE_DEG = 2.0
# How widely shots spread to the sides beside a usual head.
# Pairs of shots by which it is held beforehand that one is no likelier to end where the one before it did; and at most.
TURN_PAIRS, MOST_ALIKE = 12.0, 0.7
SIDE_SPREAD = {HeadType.FAIRWAY: 0.97, HeadType.HYBRID: 0.97, HeadType.UTILITY: 1.06, HeadType.IRON: 1.05}


@dataclass(frozen=True)
class Side:
    """Mean of a group's side angle in degrees, its own standard error and that which it shares with the player's other
    groups; its spread, with the freedom of that."""

    mean: float
    error: float
    shared: float
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


def _alike_in_turn(groups: Sequence[Group], values: Sequence[Floats], weights: Sequence[Floats]) -> float:
    """By how much more than by chance the mean of a player's shots is off, as one is like the one before it: a factor
    of its variance (M. S. Bartlett, J. R. Stat. Soc. 98, 1935, 536). 1 where the order is not known or tells
    nothing."""
    orders = [np.full(group.carry_m.size, np.nan) if group.order is None else group.order for group in groups]
    order, value, weight = (np.concatenate([*rows, np.zeros(0)]) for rows in (orders, values, weights))
    known = np.isfinite(order) & (weight > 0)
    if known.sum() < 3:
        return 1.0
    turn = np.flatnonzero(known)[np.argsort(order[known])]
    value, weight = value[turn], weight[turn]
    off = np.sqrt(weight) * (value - np.average(value, weights=np.maximum(weight, 1e-9)))
    square = float((off * off).mean())
    if square <= 0:
        return 1.0
    # Shots of one build are alike for the build, and about their own mean all are a little unlike.
    found = (
        float((off[1:] * off[:-1]).mean()) / square - BUILD_SIDE_DEG**2 / (square + BUILD_SIDE_DEG**2) + 1 / value.size
    )
    alike = float(np.clip(found * value.size / (value.size + TURN_PAIRS), 0.0, MOST_ALIKE))
    return (1 + alike) / (1 - alike)


def sides_of(groups: Sequence[Group], misses: Sequence[Floats]) -> list[Side]:
    """The side angle of each group, drawn towards the player's own, and that towards the line.

    Builds of one player differ about where he sends the ball on average, which is not known itself: a normal model of
    two levels (Gelman and others, ch. 5). What is not known of the player moves all builds alike.
    """
    weights = [(1 - poor) * np.isfinite(group.side_deg) for group, poor in zip(groups, misses, strict=True)]
    values = [np.nan_to_num(group.side_deg) for group in groups]
    n = np.array([float(w.sum()) for w in weights])
    kinds = np.array([SIDE_SPREAD.get(group.head_type, 1.0) for group in groups])
    learning = np.array([group.learning for group in groups]) * kinds
    means = weighted_means(values, weights)
    own = np.array([(w * (v - m) ** 2).sum() for v, w, m in zip(values, weights, means, strict=True)]) / learning**2
    freedom = np.maximum(n - 1, 0)
    pooled = (USUAL_SIDE_SHOTS * USUAL_SIDE_DEG**2 + own.sum()) / (USUAL_SIDE_SHOTS + freedom.sum())
    shared = _shared_shots(own, freedom, float(pooled))
    spread = np.sqrt((shared * pooled + own) / (shared + freedom))
    # Of the log of a spread: its own part, and what it takes over from the pooled one's.
    doubt = 1 / (shared + freedom) + (shared / (shared + freedom)) ** 2 / (USUAL_SIDE_SHOTS + freedom.sum())
    equal = at_equal_delivery(values, weights, read_causes(groups, (FACE, PATH)), spread * learning)
    seen = n > 0.5
    drifting = _alike_in_turn(groups, values, weights)
    variances = equal.variances * drifting
    # Where the player sends the ball is known no better than his shots show it, whatever explains them.
    plain = drifting * (spread * learning) ** 2 / np.maximum(n, 0.5)
    precision = seen / (plain + BUILD_SIDE_DEG**2)
    known = float(precision.sum()) + 1 / PLAYER_SIDE_DEG**2
    common = float((precision * equal.means).sum()) / known
    apart = np.maximum((equal.means[seen] - common) ** 2 - variances[seen], 0).sum()
    between = (BUILD_SIDE_BUILDS * BUILD_SIDE_DEG**2 + apart) / (BUILD_SIDE_BUILDS + max(seen.sum() - 1, 0))
    part = seen * between / (between + variances)
    side = part * equal.means + (1 - part) * common
    errors = np.sqrt((1 - part) * between)
    both = np.full(n.size, known**-0.5)
    return [Side(*map(float, row)) for row in zip(side, errors, both, spread * kinds, 1 / doubt, strict=True)]
