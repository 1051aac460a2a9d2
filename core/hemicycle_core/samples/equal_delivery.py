"""Means of several builds had they been delivered alike: analysis of covariance with slopes that are known beforehand
and shrunk differences of what causes them."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from ..units import ninety
from .group import Group, whole_of

Floats = NDArray[np.float64]

WARM = 0.7
# Today against any other day, and one end of a session against the other: what more shots do not average out.
DAY_SHARE = 0.005


@dataclass(frozen=True)
class DeliveryPart:
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


SPEED = DeliveryPart("speed", 1.1, 0.004, drifts=True)  # shares; carry goes about with speed, irons a little more
# Slopes of a long club by `impact` and `fly`: its face sends the ball and tilts its spin, its path takes some back.
FACE = DeliveryPart("face_deg", 1.85, 0.5)
PATH = DeliveryPart("path_deg", -0.87, 0.7)
# Of wedges: a steeper face flies shorter, a degree of it as much as two of speed in a hundred; a player leans the shaft
# of one wedge as of another within about half a degree, as far as their lofts are known. Slopes by `impact` and `fly`
# over wedge lofts.
WEDGE_SPEED = DeliveryPart("speed", 1.45, 0.006, drifts=True)
LEAN = DeliveryPart("lean_deg", -0.027, 0.55, builds=3.0)
ATTACK = DeliveryPart("attack_deg", 0.024, 0.4, builds=3.0)
STRIKE = DeliveryPart("strike", 1.45, 0.010)


@dataclass(frozen=True)
class Means:
    """Means of a result by group at equal delivery, their variances, and how much was taken off each."""

    means: Floats
    variances: Floats
    taken: Floats

    def and_off(self, taken: Floats, error: Floats) -> Means:
        """The same with more taken off."""
        return Means(self.means - taken, self.variances + error**2, self.taken + taken)

    def within(self, spread: Floats, n: Floats) -> Means:
        """The same with nothing taken off a mean that is more than its own doubt: what was measured outweighs what
        explains it. What is not taken off is doubt, up to as much again. spread, n: of the values of the means."""
        plain = np.hypot(spread / np.sqrt(np.maximum(n, 0.5)), DAY_SHARE)
        most = ninety(1.0) * plain
        taken = np.clip(self.taken, -most, most)
        over = self.taken - taken
        return Means(self.means + over, np.minimum(self.variances + over**2, plain**2 + most**2), taken)


def weighted_means(values: Sequence[Floats], weights: Sequence[Floats]) -> Floats:
    return np.array([(w * v).sum() / max(w.sum(), 1e-9) for v, w in zip(values, weights, strict=True)])


def at_equal_delivery(
    values: Sequence[Floats],
    weights: Sequence[Floats],
    causes: Sequence[tuple[DeliveryPart, Sequence[Floats]]],
    spread: Floats,
    *,
    apart: Floats | float = 0.0,
) -> Means:
    """Means by group, with the part that a delivery unlike the player's own explains taken out (analysis of
    covariance with slopes within groups and shrunk differences of the causes between them).

    values, weights: (n,) each; causes: of the same shape; spread: standard deviation of each group's values; apart:
    how far each build may differ in speed for its length.
    """
    sums = np.array([float(w.sum()) for w in weights])
    n = np.maximum(sums, 0.5)
    means, taken = weighted_means(values, weights), np.zeros(len(values))
    unexplained, left = spread**2, np.zeros(len(values))
    for cause, seen in causes:
        nature = cause.own**2 + (np.square(apart) if cause.name == SPEED.name else 0.0)
        centres = weighted_means(seen, weights)
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
    return Means(means - taken, unexplained / n + left, taken)


def read_causes(groups: Sequence[Group], wanted: Sequence[DeliveryPart]) -> list[tuple[DeliveryPart, list[Floats]]]:
    """The causes that every shot of every group has."""
    there = [cause for cause in wanted if all(whole_of(group, cause.name) for group in groups)]
    return [(cause, [group.delivery[cause.name] for group in groups]) for cause in there] if len(groups) > 1 else []


LOFTED = ("speed", "lean_deg", "attack_deg", "strike")
