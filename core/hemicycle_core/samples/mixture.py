"""The carries of a player's builds as a mixture: struck well, poor, a flyer, or no carry of the club at all.

Struck well they are normal about the build's own centre with a spread that is mostly the player's; poor ones fall short
of it, most by little and few by much; now and then one flies long, and now and then one is misread. Fitted by
expectation and maximisation, always the same steps, with what is usual before a shot is hit.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace

import numpy as np
from numpy.typing import NDArray
from scipy.special import ndtri

from ..heads import HeadType
from .equal_delivery import ATTACK, LEAN, WEDGE_SPEED
from .group import Group, whole_of

Floats = NDArray[np.float64]

# Before a shot is hit. Shares of carry; each with the number of shots it weighs as much as.
USUAL_SPREAD, USUAL_SPREAD_SHOTS = 0.034, 6.0
OWN_SPREAD_SHOTS = 6.0  # the pooled spread weighs as much as these in each build's own
USUAL_MISSES, USUAL_MISSES_SHOTS = 0.10, 12.0
USUAL_LOSS, LOSS_SD, USUAL_LOSS_SHOTS = 0.10, 0.06, 4
LOSS_POINTS = 6
FLYERS, FLYER_GAIN, FLYER_SD = 0.010, 0.08, 0.04
# What a miss costs beside a hybrid's: deep heads forgive, shallow ones do not.
MISS_COST = {
    HeadType.DRIVER: 0.7, HeadType.FAIRWAY: 0.75, HeadType.HYBRID: 1.0, HeadType.UTILITY: 1.5, HeadType.IRON: 1.35,
    HeadType.WEDGE: 1.35,
}  # fmt: skip
# And how widely its good shots spread in carry beside a hybrid's: they too are struck a little off the middle.
CARRY_SPREAD = {
    HeadType.DRIVER: 0.95, HeadType.FAIRWAY: 0.95, HeadType.HYBRID: 1.0, HeadType.UTILITY: 1.15, HeadType.IRON: 1.17,
    HeadType.WEDGE: 1.05,
}  # fmt: skip
# Shares of readings that are no shot of the club: a carry that its launch does not fly. Flown and read lie so far apart
# at the least, one standard deviation of the log; a misread one lies anywhere within this much either way.
MISREAD, OFF_FLOWN, OFF_ANY = 0.02, 0.012, 0.3
# Of the good shots the share that is set aside or called thin, fat, toe or heel all the same; of the misses, before any
# was called, with the number of misses it weighs as much as.
CALLED_GOOD = 0.03
USUAL_CALLS, USUAL_CALLS_SHOTS = 0.3, 2.0
STEPS = 12
LEAST_FLOWN = 4  # shots of a build with a launch before any of them is held to be misread


def _first_centre(group: Group) -> float:
    """The middle of the shots not called a miss; the longest third's when all were."""
    kept = group.carry_m[~group.called]
    return float(np.median(kept)) if kept.size else float(np.quantile(group.carry_m, 0.8))


@dataclass
class State:
    """What the steps end with: centres (metres) and spreads by group, the shared rest."""

    centres: list[float]
    spreads: list[float]
    spread: float
    misses: float
    loss: float
    calls: float


def _misread_chances(groups: Sequence[Group]) -> list[Floats]:
    """Chance of each carry to be misread, (n,) by group: it lies far from what its own launch flies, beside the other
    shots of its build. What all shots of a build are off by is the ball, the air or the flight model and no misread.
    Nought where too few launches were read."""
    off = []
    for group in groups:
        flown = np.full(group.carry_m.size, np.nan) if group.flown_m is None else group.flown_m
        apart = np.log(group.carry_m) - np.log(np.where(flown > 0, flown, np.nan))
        enough = np.isfinite(apart).sum() >= LEAST_FLOWN
        off.append(apart - np.nanmedian(apart) if enough else np.full(apart.size, np.nan))
    seen = np.concatenate(off)
    seen = np.abs(seen[np.isfinite(seen)])
    sd = max(1.4826 * float(np.median(seen)), OFF_FLOWN) if seen.size else OFF_FLOWN
    chances = []
    for apart in off:
        right = (1 - MISREAD) * np.exp(-0.5 * (apart / sd) ** 2) / (sd * np.sqrt(2 * np.pi))
        chances.append(np.where(np.isfinite(apart), 1 / (1 + right / (MISREAD / (2 * OFF_ANY))), 0.0))
    return chances


def _evened(group: Group) -> Group:
    """A group whose carries are brought to its own middle speed, lean and attack, to tell its misses by: a lofted or a
    slow shot is short and no miss, a bad strike is one. The same group where that was not read, as at the long end."""
    causes = (WEDGE_SPEED, LEAN, ATTACK)
    if group.head_type is not HeadType.WEDGE or not all(whole_of(group, cause.name) for cause in causes):
        return group
    kept = ~group.called if not group.called.all() else np.ones(group.carry_m.size, dtype=bool)
    off = sum(cause.slope * (group.delivery[cause.name] - group.delivery[cause.name][kept].mean()) for cause in causes)
    return replace(group, carry_m=group.carry_m / np.clip(1 + off, 0.5, 1.5))


def fitted(groups: Sequence[Group]) -> tuple[State, list[Floats]]:
    """The mixture of a player's groups, each with a shot, and the chance of each shot to be a miss, (n,) by group."""
    from .kernel import settle, tell  # noqa: PLC0415 (a second to load: only who judges waits for it)

    builds = np.array([[_first_centre(group) for group in groups], [USUAL_SPREAD] * len(groups)])
    shared = np.array([USUAL_SPREAD, USUAL_MISSES, USUAL_LOSS, USUAL_CALLS])
    told: list[Floats] = []
    if groups:
        even, hit = (np.concatenate([each.carry_m for each in some]) for some in (map(_evened, groups), groups))
        called, wrong = np.concatenate([group.called for group in groups]), np.concatenate(_misread_chances(groups))
        ends = np.cumsum([group.carry_m.size for group in groups])
        kinds = np.array(
            [(MISS_COST[each.head_type], CARRY_SPREAD[each.head_type], each.learning) for each in groups]
        ).T.copy()
        beforehand = (
            USUAL_SPREAD, USUAL_SPREAD_SHOTS, OWN_SPREAD_SHOTS, USUAL_MISSES, USUAL_MISSES_SHOTS, USUAL_LOSS,
            USUAL_CALLS, USUAL_CALLS_SHOTS,
        )  # fmt: skip
        told_by, chances = (FLYERS, FLYER_GAIN, FLYER_SD, CALLED_GOOD), np.empty((2, even.size))
        for _ in range(STEPS):
            tell(even, called, wrong, ends, kinds, builds, shared, told_by, chances)
            settle(even, called, ends, kinds, builds, shared, chances, beforehand)
        # What is played out is what was hit.
        settle(hit, called, ends, kinds, builds, shared, chances, beforehand)
        told = np.split(chances[0], ends[:-1])
    spread, misses, loss, calls = (float(each) for each in shared)
    return State(builds[0].tolist(), builds[1].tolist(), spread, misses, loss, calls), told


def losses_of(groups: Sequence[Group], misses: Sequence[Floats], state: State) -> Floats:
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
