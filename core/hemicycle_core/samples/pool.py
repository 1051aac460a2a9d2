"""One player's builds read together, so that five shots say more than five shots alone.

Carries are a mixture (`mixture`). Centres are each build's own; spread, miss rate and miss cost are shared: each is
drawn towards what all the player's builds say, and that towards what is usual (empirical Bayes; A. Gelman et al.,
Bayesian Data Analysis, 3rd ed., ch. 5 and 22). Sides likewise (`sides`). Carries are brought to one speed
(`equal_delivery`), rested and warm (`rested`).
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, field, replace

import numpy as np
from numpy.typing import NDArray

from ..estimate import Estimate
from ..heads import HeadType
from .drift import SHARE_SD, SPEED_SHARE_PER_M
from .equal_delivery import (
    ATTACK,
    DAY_SHARE,
    LEAN,
    LOFTED,
    SPEED,
    STRIKE,
    WEDGE_SPEED,
    at_equal_delivery,
    read_causes,
)
from .group import Group, whole_of
from .mixture import USUAL_MISSES_SHOTS, USUAL_SPREAD_SHOTS, State, fitted, losses_of
from .rested import Rested, rested
from .sides import sides_of

Floats = NDArray[np.float64]

# Builds that are tried for one place gather: the carries of strange clubs are drawn to where those near them lie. One
# standard deviation of them, and how far off another still says something, shares of carry.
GATHER_SHARE, GATHER_REACH = 0.03, 0.05
# On the course the player is warm and knows the club: a session's average lies this share short of that, for its first
# shots are cold. About what warming up costs over twenty shots; where the order of the shots is known they say it.
FRESH_SHARE = 0.005


@dataclass(frozen=True)
class Centre:
    """What is known of one build struck well. carry: its mean in metres at the speed of the whole session, its shots
    those that a known club would have needed; speed_factor: what brought it there; n: good shots' worth; side_deg with
    its own standard error, and side_shared_deg, that part of its doubt which moves with those of the player's other
    builds; spread_share and side_spread_deg of its shots; side_df: degrees of freedom of the latter; side_read: whether
    any of its shots says where it starts and curves, else its side is that of usual players. drawn: its carry drawn to
    where the player's other strange builds gather, None where it is not."""

    carry: Estimate
    spread_share: float
    side_deg: float
    side_se_deg: float
    side_spread_deg: float
    side_df: float
    n: float
    speed_factor: float = 1.0
    side_read: bool = True
    side_shared_deg: float = 0.0
    drawn: Estimate | None = None

    @property
    def played(self) -> Estimate:
        """The carry that it is played out with."""
        return self.drawn or self.carry

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
    """centres: one a group, None for a group without shots. fresh_share: by how much the player, warm and rested,
    carries further than over the session, and its standard error. miss: chance of each shot to be one, one array a
    group. miss_share: of the player's shots, miss_shots: what it weighs. losses: what misses cost as
    shares of carry, of a hybrid: LOSS_POINTS evenly weighted ones, least first."""

    centres: tuple[Centre | None, ...]
    miss: tuple[Floats, ...]
    miss_share: float
    miss_shots: float
    losses: Floats
    spread_share: float
    fresh_share: float = field(default_factory=lambda: FRESH_SHARE)
    fresh_sd: float = 0.0


def _gathered(groups: Sequence[Group], centres: Sequence[Centre]) -> list[Centre]:
    """The centres with the carries of strange builds drawn to where those near them gather: the others of its place are
    what is known of a build beforehand (Gelman and others, ch. 5). One of another yardage says nothing of it."""
    strange = [i for i, group in enumerate(groups) if group.strange]
    known = [centres[i].carry for i in strange]
    logs, errors = np.log([each.mean for each in known]), np.array([each.sd / each.mean for each in known])
    drawn = list(centres)
    for at, (i, was) in enumerate(zip(strange, known, strict=True)):
        weights = np.exp(-0.5 * ((logs - logs[at]) / GATHER_REACH) ** 2) / (errors**2 + GATHER_SHARE**2)
        weights[at] = 0.0
        if weights.sum() < 1.0:  # as little as a doubt of the whole carry
            continue
        before = GATHER_SHARE**2 + 1 / weights.sum()
        own = before / (before + errors[at] ** 2)
        mean = float(np.exp(own * logs[at] + (1 - own) * np.average(logs, weights=weights)))
        less = float(np.sqrt(own)) * mean / was.mean
        drawn[i] = replace(centres[i], drawn=replace(was, mean=mean, error=was.error * less, floor=was.floor * less))
    return drawn


def _lengths_apart(groups: Sequence[Group], n: Floats) -> Floats:
    """How far each group's speed, brought to one length, may be off for its length, (groups,): players' sets differ in
    what a length gains, and a length may be known by its kind alone. Shares."""
    lengths = np.array([group.length_m for group in groups])
    unsure = np.array([group.length_sd_m for group in groups])
    off = SHARE_SD * (lengths - np.average(lengths, weights=np.maximum(n, 0.5)))
    apart: Floats = np.hypot(off, SPEED_SHARE_PER_M * unsure)
    return apart


def _rested(groups: Sequence[Group], misses: Sequence[Floats]) -> Rested | None:
    """What was missing of the player's speed, as far as his swings say it."""
    unread = [np.full(group.carry_m.size, np.nan) for group in groups]
    return rested(
        [group.delivery.get(SPEED.name, none) for group, none in zip(groups, unread, strict=True)],
        [none if group.order is None else group.order for group, none in zip(groups, unread, strict=True)],
        [1 - 0.5 * poor for poor in misses],
        _lengths_apart(groups, np.array([float(group.carry_m.size) for group in groups])),
    )


def _carries(
    groups: Sequence[Group], misses: Sequence[Floats], state: State, fresh: Rested | None
) -> tuple[Floats, Floats]:
    """The factor that brings each group's centre to the player's own club speed, and its standard error by chance as a
    share."""
    weights = [1 - poor for poor in misses]
    shares = [group.carry_m / centre - 1 for group, centre in zip(groups, state.centres, strict=True)]
    learning = np.array([group.learning for group in groups])
    spread = np.array(state.spreads) * learning
    n = np.array([float(w.sum()) for w in weights])
    apart = _lengths_apart(groups, n)
    causes = read_causes(groups, (SPEED,))
    if fresh is not None:
        causes = [(SPEED, [x + gone for x, gone in zip(seen, fresh.missing, strict=True)]) for _, seen in causes]
    equal = at_equal_delivery(shares, weights, causes, spread, apart=apart)
    if fresh is not None:
        equal = equal.and_off(-SPEED.slope * (fresh.mean - fresh.whole), SPEED.slope * fresh.error)
    equal = equal.within(spread, n)
    taken, variances = equal.taken, equal.variances
    # Wedges whose loft at impact was read are brought to one delivery by it too.
    lofted = [group.head_type is HeadType.WEDGE and all(whole_of(group, each) for each in LOFTED) for group in groups]
    own = [int(each) for each in np.flatnonzero(lofted)]
    if len(own) > 1:
        mine = [groups[i] for i in own]
        causes = read_causes(mine, (WEDGE_SPEED, LEAN, ATTACK, STRIKE))
        near = _lengths_apart(mine, n[own])
        alike = at_equal_delivery([shares[i] for i in own], [weights[i] for i in own], causes, spread[own], apart=near)
        alike = alike.within(spread[own], n[own])
        taken[own], variances[own] = alike.taken, alike.variances
    return 1 - taken, np.sqrt(variances)


def pool(groups: Sequence[Group]) -> Pool:
    """Read a player's groups together; the order of groups and of shots does not matter."""
    filled = [group for group in groups if group.carry_m.size]
    state, misses = fitted(filled)
    sides = sides_of(filled, misses)
    freedom = USUAL_SPREAD_SHOTS + sum(max(float((1 - poor).sum()) - 1, 0.0) for poor in misses)
    centres: list[Centre | None] = []
    chances: list[Floats] = []
    fresh = _rested(filled, misses) if filled else None
    factors, errors = _carries(filled, misses, state, fresh) if filled else (np.zeros(0), np.zeros(0))
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
            Centre(known, spread, side.mean, side.error, side.spread, side.df, n, float(factor), read, side.shared)
        )
        chances.append(poor)
    count = sum(group.carry_m.size for group in filled)
    losses = losses_of(filled, misses, state)
    there = _gathered(filled, [centre for centre in centres if centre is not None])
    rest = iter(there)
    centres = [None if centre is None else next(rest) for centre in centres]
    made = Pool(tuple(centres), tuple(chances), state.misses, USUAL_MISSES_SHOTS + count, losses, state.spread)
    if fresh is None:
        return made
    return replace(made, fresh_share=SPEED.slope * fresh.whole, fresh_sd=SPEED.slope * fresh.whole_error)
