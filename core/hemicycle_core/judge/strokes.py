"""What a shot costs: the strokes that are left to hole out from where it ends.

One smooth baseline, by where the ball lies and how far it is to the hole. The strokes of touring players are published
averages as they are remembered (M. Broadie, Every Shot Counts, 2014, tables of strokes to hole out; within 0.05); those
of a player who drives 210 yd, who is round in about 90, and everything said of trouble, are by judgement. Between and
beyond the two the length of the drive decides, as no handicap enters any computation. What a shot saves beside another
is a difference of two such figures, so that a level that is wrong for all of them hardly matters.
"""

from __future__ import annotations

from dataclasses import dataclass
from functools import lru_cache

import numpy as np
from numpy.polynomial.hermite_e import hermegauss
from numpy.typing import ArrayLike, NDArray
from scipy.ndimage import gaussian_filter1d
from scipy.special import ndtr

from ..brief import Job, JobKind
from ..units import metres, yards

Floats = NDArray[np.float64]
Small = NDArray[np.float32]

TOUR_DRIVE_M, USUAL_DRIVE_M = metres(290), metres(210)
# Yards to the hole, then strokes to hole out of touring players and of one who drives 210 yd.
PUTTS = (
    (0.0, 1.0, 2.7, 6.7, 11.0, 20.0, 30.0),
    (1.0, 1.04, 1.50, 1.87, 2.00, 2.21, 2.40),
    (1.0, 1.10, 1.68, 2.04, 2.17, 2.42, 2.65),
)
FAIRWAY = (
    (0.0, 5.0, 10, 20, 40, 60, 80, 100, 120, 140, 160, 180, 200, 220, 240, 260, 300, 400, 500),
    (1.9, 2.08, 2.18, 2.40, 2.60, 2.70, 2.75, 2.80, 2.85, 2.91, 2.98, 3.08, 3.19, 3.32, 3.45, 3.58, 3.78, 4.2, 4.6),
    (2.2, 2.42, 2.55, 2.75, 2.95, 3.07, 3.18, 3.30, 3.43, 3.56, 3.70, 3.86, 4.02, 4.18, 4.32, 4.45, 4.70, 5.3, 5.9),
)
ROUGH = (0.20, 0.25)  # more from rough than from the fairway, for the two players
SAND = 0.10  # more beside a green, of which some is sand
BESIDE_YD = 25.0
FAIRWAY_YD, APRON_YD = 32.0, 3.0  # wide, and in front of a green: what comes up short and straight lies on it
# Strokes a yard that a ball lies wider than this, or further past the green than that: trees, banks, water.
WIDE_YD, WIDE_A_YD, MOST_WIDE = 25.0, 0.015, 0.5
PAST_YD, PAST_A_YD, MOST_PAST = 10.0, 0.010, 0.3
NOT_CARRIED = 0.8  # what must be carried and is not, on top of the distance: water or sand
INTO_TROUBLE = 0.8  # a lay-up that runs into what it was to stay short of
EDGE_YD, GRAIN_M = 1.5, 2.5  # a green's edge, and how finely a stop is told
LEFT_OFF_THE_TEE, LEFT_OF_A_LAYUP = 0.72, 0.38  # of the drive: what is left to the green after it
SHORT_LEFT_YD = 4.0  # how far a short shot of usual players is left from the hole
STEP_YD, SHORT_YD, LONG_YD = 2.0, -240.0, 140.0
SIDES_M = np.array([1.0, 2, 3, 4.5, 6, 8, 10.5, 13.5, 17, 22, 30, 45])
ACROSS = 15


def level_of(drive_m: float) -> float:
    """Of a player by the length of his drives: 0 for a touring player, 1 for one who drives 210 yd, more below."""
    return float(np.clip((TOUR_DRIVE_M - drive_m) / (TOUR_DRIVE_M - USUAL_DRIVE_M), -0.1, 1.6))


def _along(table: tuple[tuple[float, ...], ...], yd: Floats, level: float) -> Floats:
    at, tour, usual = (np.asarray(row, dtype=float) for row in table)
    found: Floats = np.interp(yd, at, tour + level * (usual - tour))
    return found


def from_fairway(yd: ArrayLike, level: float) -> Floats:
    """Strokes to hole out from a fairway, yards to the hole."""
    return _along(FAIRWAY, np.asarray(yd, dtype=float), level)


def from_rough(yd: ArrayLike, level: float) -> Floats:
    return from_fairway(yd, level) + ROUGH[0] + level * (ROUGH[1] - ROUGH[0])


def running_on(by_m: float, level: float = 1.0) -> float:
    """What a short shot costs that runs so much further than another, strokes; negative for less. How far a ball runs
    changes with lie and shot, so that nobody allows for it: it adds to what is left as one spread to another."""
    left = np.array([SHORT_LEFT_YD, np.hypot(SHORT_LEFT_YD, yards(by_m))])
    near, far = _along(PUTTS, left, level)
    return float(np.sign(by_m) * (far - near))


def _at_a_green(x: Floats, y: Floats, level: float, deep: float, wide: float) -> Floats:
    """Of a ball x yards past the middle of a green and y beside it."""
    left = np.hypot(x, y)
    on = ndtr((deep / 2 - np.abs(x)) / EDGE_YD) * ndtr((wide / 2 - np.abs(y)) / EDGE_YD)
    straight = ndtr((-x - deep / 2 - APRON_YD) / 5) * ndtr((FAIRWAY_YD / 2 - np.abs(y)) / 4)
    off = straight * from_fairway(left, level) + (1 - straight) * from_rough(left, level)
    off = off + SAND * ndtr((BESIDE_YD - left) / 6)
    off = off + np.clip(WIDE_A_YD * (np.abs(y) - WIDE_YD), 0, MOST_WIDE)
    off = off + np.clip(PAST_A_YD * (x - deep / 2 - PAST_YD), 0, MOST_PAST)
    made: Floats = on * _along(PUTTS, left, level) + (1 - on) * off
    return made


def _on_a_fairway(x: Floats, y: Floats, level: float, wide: float, left: float, *, ends: float = np.inf) -> Floats:
    """Of a ball x yards past where it was wanted, `left` yards from the green then, and y beside the middle. ends: so
    many yards past it begins what it is to stay short of."""
    there = np.maximum(left - x, 5.0)
    on = ndtr((wide / 2 - np.abs(y)) / EDGE_YD)
    made: Floats = on * from_fairway(there, level) + (1 - on) * from_rough(there, level)
    made = made + np.clip(WIDE_A_YD * (np.abs(y) - wide / 2 - PAST_YD), 0, MOST_WIDE)
    if np.isfinite(ends):
        made = made + INTO_TROUBLE * ndtr((x - ends) / EDGE_YD)
    return made


# The table of a target is looked up and not read between its points: it is this fine, metres past the target and, by
# the root of the spread, across.
FINE_M, FINE_SIDES = 0.2, 96
_ROOTS = (float(np.sqrt(SIDES_M[0])), float(np.sqrt(SIDES_M[-1])))
_ROOT_STEP = (_ROOTS[1] - _ROOTS[0]) / (FINE_SIDES - 1)


@dataclass(frozen=True)
class Ends:
    """Strokes to hole out by where a ball stops beside one target: table (X, FINE_SIDES), every `FINE_M` from `first_m`
    metres past it, by the spread of the line there. not_carried: of one that does not carry what it must."""

    first_m: float
    table: Small
    not_carried: float

    @property
    def steps(self) -> tuple[float, float, float, float]:
        """By what the table is looked up, rounded down and no further than its ends: metres past the target over the
        first and the second on top; the root of the spread over the third and the fourth on top."""
        return FINE_M, 0.5 - self.first_m / FINE_M, _ROOT_STEP, 0.5 - _ROOTS[0] / _ROOT_STEP

    def of(self, past_m: Floats | Small, side_m: Floats | Small) -> Small:
        """Strokes left of balls that stop so far past the target, the shape of past_m, whose line spreads there by
        side_m, broadcast to it. Within 0.02, a thousandth on average."""
        fine, row_from, root, column_from = self.steps
        row = np.clip(past_m / fine + row_from, 0, self.table.shape[0] - 1).astype(np.intp)
        column = np.clip(np.sqrt(side_m) / root + column_from, 0, FINE_SIDES - 1).astype(np.intp)
        made: Small = self.table.ravel()[row * FINE_SIDES + column]
        return made


@lru_cache(maxsize=64)
def _ends(kind: JobKind, wide: float, deep: float, level: float, drive: float, over: float | None) -> Ends:
    """By yards; over: how far short of the target lies what must be carried."""
    x = np.arange(SHORT_YD, LONG_YD + STEP_YD, STEP_YD)
    points, weights = hermegauss(ACROSS)
    weights = weights / weights.sum()
    y = yards(1.0) * SIDES_M[:, None] * points
    grid = np.broadcast_to(x[:, None, None], (x.size, *y.shape))
    if kind is JobKind.GREEN:
        found = _at_a_green(grid, y, level, deep, wide)
    elif kind is JobKind.TEE:
        found = _on_a_fairway(grid, y, level, wide, LEFT_OFF_THE_TEE * drive)
    else:
        found = _on_a_fairway(grid, y, level, wide, LEFT_OF_A_LAYUP * drive, ends=deep / 2)
    smooth = gaussian_filter1d(found @ weights, GRAIN_M / metres(STEP_YD), axis=0, mode="nearest")
    after = {JobKind.GREEN: 0.0, JobKind.TEE: LEFT_OFF_THE_TEE * drive, JobKind.LAYUP: LEFT_OF_A_LAYUP * drive}[kind]
    lost = float(from_fairway(max(over or 0.0, 0.0) + after, level)) + NOT_CARRIED
    past, sides = metres(1) * x, np.linspace(*_ROOTS, FINE_SIDES) ** 2
    fine = np.arange(past[0], past[-1], FINE_M)
    across = np.array([np.interp(sides, SIDES_M, row) for row in smooth])
    table = np.array([np.interp(fine, past, column) for column in across.T]).T
    return Ends(float(fine[0]), np.ascontiguousarray(table, dtype=np.float32), lost)


def ends_at(job: Job, drive_m: float) -> Ends:
    """What a ball's end costs at a job for a player who drives so far, metres in all."""
    over = None if job.carry_over_m is None else yards(round(job.distance_m - job.carry_over_m, 1))
    drive, wide, deep = round(drive_m), round(job.width_m, 1), round(job.depth_m, 1)
    return _ends(job.kind, yards(wide), yards(deep), level_of(drive), yards(drive), over)
