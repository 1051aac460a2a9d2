"""Virtual shots played out one after the other in machine code: what `play` and `yardages` do thousands of times for
every shot that is hit. Compiled once and kept beside this file (or in NUMBA_CACHE_DIR); it lets other threads run
meanwhile. The same on arrays, which it is tested against: `core/tests/plain_judge.py`.
"""

from __future__ import annotations

import numpy as np
from numba import njit

# What is compiled is kept by this file alone: every number of another file is handed in.
RADIANS = np.pi / 180


@njit(cache=True, nogil=True, inline="always")
def _within(x, low, high):  # type: ignore[no-untyped-def]
    """As min and max do it, in a fraction of the time; `low` where x is NaN."""
    above = x if x > low else low
    return above if above < high else high


@njit(cache=True, nogil=True, inline="always")
def _under(z, shares, by):  # type: ignore[no-untyped-def]
    """Share under so many standard deviations, as `normal` tells it by table; NaN of NaN. by: entries a standard
    deviation, and the middle one."""
    return shares[int(_within(z * by[0] + by[1], 0.0, shares.size - 1.0))] if not np.isnan(z) else np.nan


@njit(cache=True, nogil=True, inline="always")
def _left(past_m, side_m, table, fine_m, row_from, root_step, column_from):  # type: ignore[no-untyped-def]
    """`Ends.of` of one ball; NaN of NaN. table (X, sides)."""
    row = _within(past_m / fine_m + row_from, 0.0, table.shape[0] - 1.0)
    column = _within(np.sqrt(side_m) / root_step + column_from, 0.0, table.shape[1] - 1.0)
    return float(table[int(row), int(column)]) if not np.isnan(past_m + side_m) else np.nan


@njit(cache=True, nogil=True, inline="always")
def _carrying(least_m, column, spread, flyer_gain, flyer_sd, shares, by):  # type: ignore[no-untyped-def]
    """Of one player's good shots and flyers, the shares that carry so far."""
    wide = column * np.sqrt(flyer_sd * flyer_sd + spread * spread)
    good = _under((column - least_m) / (spread * column), shares, by)
    return good, _under((column * (1.0 + flyer_gain) - least_m) / wide, shares, by)


@njit(cache=True, nogil=True, inline="always")
def _part(over, number, count):  # type: ignore[no-untyped-def]
    """Of a share of shots that are over a line, the part in one of so many equal ones, shortest first."""
    return _within(over * count - (count - 1 - number), 0.0, 1.0)


@njit(cache=True, nogil=True, inline="always")
def _flown(least_m, carry, point, goods, poor, flyers, good, flew):  # type: ignore[no-untyped-def]
    """How much of one virtual shot carries far enough. A point stands for its share of the shots about it, of which
    the trouble may catch a part; the poor ones stand for themselves. good, flew: as `_carrying` has them."""
    if least_m <= 0.0:
        return 1.0
    if point < goods:
        return _part(good, point, goods)
    if point >= goods + poor:
        return _part(flew, point - goods - poor, flyers)
    return 1.0 if carry >= least_m else 0.0


@njit(
    "f8[:, ::1](f8[:, ::1], f8[:, ::1], f8[:, ::1], f8[::1], f8[::1], UniTuple(f8, 3), UniTuple(f8, 6),"
    "UniTuple(f8, 6), f8[::1], UniTuple(f8, 2), f4[:, ::1], UniTuple(f8, 5))",
    cache=True,
    nogil=True,
    error_model="numpy",
)
def played(players, losses, sides, good, flew, run, job, points, shares, by, table, ends):  # type: ignore[no-untyped-def]
    """One club on one job for each of n possible players and those that mirror them in their sides.

    players (7, n): carry of the centre, spread as a share, miss rate, how much steeper it lands in degrees, how much
    of the run the ground gives, side spread in degrees, typical run. losses (n, P): shares of carry. sides (2, n):
    degrees, of the players and of their mirrors. good, flew: normal deviates of good shots and flyers. run: metres a
    metre of carry, a degree, spread. job: nearest and furthest stop, least carry (0: any), what must be carried over
    (0: nothing), half the width, distance. points: share of flyers, their gain and spread, how much wider misses are,
    most that the run shifts, its spread as a share. shares, by: as `_under` takes them. table, ends: of `Ends`, by what
    it is looked up, strokes where it is not carried. Returns (6, 2 n): shares short, long, left, right and made, and
    strokes left to hole out.
    """
    n, goods, poor, flyers = players.shape[1], good.size, losses.shape[1], flew.size
    per_metre, per_degree, sd = run
    near, far, least, over, half, distance = job
    flyer_share, flyer_gain, flyer_sd, miss_side, most_shift, run_share = points
    fine_m, row_from, root_step, column_from, not_carried = ends
    made = np.zeros((6, 2 * n))
    for i in range(n):
        column, spread, misses, steeper, ground, side_spread, typical = (
            players[0, i], players[1, i], players[2, i], players[3, i], players[4, i], players[5, i], players[6, i],
        )  # fmt: skip
        flyer_spread, level = np.sqrt(flyer_sd * flyer_sd + spread * spread), (typical + per_degree * steeper) * ground
        least_good, least_flew = _carrying(least, column, spread, flyer_gain, flyer_sd, shares, by)
        over_good, over_flew = _carrying(over, column, spread, flyer_gain, flyer_sd, shares, by)
        for point in range(goods + poor + flyers):
            wide = 1.0
            if point < goods:
                share, weight = spread * good[point], (1.0 - misses - flyer_share) / goods
            elif point < goods + poor:
                share, weight, wide = -losses[i, point - goods], misses / poor, miss_side
            else:
                share, weight = flyer_gain + flyer_spread * flew[point - goods - poor], flyer_share / flyers
            carry = column * (1.0 + share)
            roll = level + _within(per_metre * (carry - column), -most_shift, most_shift)
            flown = _flown(least, carry, point, goods, poor, flyers, least_good, least_flew)
            # Where it stops is uncertain by the ground alone; the carry of a virtual shot is not.
            stops, on_roll = carry + roll, run_share * roll
            unsure = 1.0 / np.sqrt(sd * sd + on_roll * on_roll)
            short = 1.0 - _under((stops - near) * unsure, shares, by) * flown
            beyond = flown * _under((stops - far) * unsure, shares, by) if far < np.inf else 0.0
            inside, along = 1.0 - short - beyond, (stops if stops > 1.0 else 1.0) * RADIANS
            there = weight * inside if inside > 0.0 else 0.0
            line = side_spread * along * wide
            for mirror in range(2):
                at, middle = i + mirror * n, sides[mirror, i] * along
                left = _under((-half - middle) / line, shares, by)
                right = _under((middle - half) / line, shares, by)
                side = np.sqrt(line * line + middle * middle)
                to_hole = _left(stops - distance, side, table, fine_m, row_from, root_step, column_from)
                if over > 0.0:
                    carried = _flown(over, carry, point, goods, poor, flyers, over_good, over_flew)
                    to_hole = carried * to_hole + (1.0 - carried) * not_carried
                made[0, at] += weight * short
                made[1, at] += weight * beyond
                made[2, at] += there * left
                made[3, at] += there * right
                made[4, at] += there * _within(1.0 - left - right, 0.0, 1.0)
                made[5, at] += weight * to_hole
    return made


@njit(
    "f8[:, ::1](f4[:, :, ::1], f4[::1], f4[:, ::1], f4[::1], f8[:, ::1], UniTuple(f4, 3), UniTuple(i8, 2),"
    "f4[:, ::1], UniTuple(f4, 4))",
    cache=True,
    nogil=True,
    error_model="numpy",
)
def strokes_left(swung, at_m, off, spread, weight, shift, misses, table, ends):  # type: ignore[no-untyped-def]
    """Strokes to hole out from Y yardages for each of n possible players by one swing each, (Y, n).

    swung (4, Y, n): spread as a share, carry, where a shot of that carry stops, the spread of its line in radians.
    at_m (Y,). off (n, P): how far each of P shots carries from the centre beside its spread, as a share; spread (P,):
    how much of the spread is in it; weight (n, P). shift: metres of run a metre of carry, the most of it, how much
    wider misses are. misses: the first of them and one past the last. table, ends: of `Ends`, and by what it is looked
    up. Half the digits do.
    """
    count, n, shots, sides = swung.shape[1], swung.shape[2], off.shape[1], table.shape[1]
    per_metre, most_shift, miss_side = shift
    fine_m, row_from, root_step, column_from = ends
    most_row, most_column = np.float32(table.shape[0] - 1), np.float32(sides - 1)
    none, least = np.float32(0.0), np.float32(1.0)
    made, entries, at = np.empty((count, n)), table.ravel(), np.empty(shots, np.intp)
    for y in range(count):
        for i in range(n):
            wide, carry, stop, line = swung[0, y, i], swung[1, y, i], swung[2, y, i], swung[3, y, i]
            for point in range(shots):
                shot = (spread[point] * wide + off[i, point]) * carry
                shot = shot + _within(per_metre * shot, -most_shift, most_shift) + stop
                across = (shot if shot > least else least) * line
                if misses[0] <= point < misses[1]:
                    across = across * miss_side
                row = _within((shot - at_m[y]) / fine_m + row_from, none, most_row)
                column = _within(np.sqrt(across) / root_step + column_from, none, most_column)
                at[point] = int(row) * sides + int(column)
            # What is not known stays so.
            total = np.nan if np.isnan(wide + carry + stop + line) else 0.0
            for point in range(shots):
                total += weight[i, point] * entries[at[point]]
            made[y, i] = 1.0 + total
    return made
