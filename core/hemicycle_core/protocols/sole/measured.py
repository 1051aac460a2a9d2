"""What was measured in a sole test, apart from what was liked: how well each code repeats its distance, and whether it
keeps its spin over a floor.

Control first, spin over a floor: the tightest distance is worth more than the highest spin, as long as the ball still
stops. The floor at a lie is a share of the middle of all codes there. What was not read is left out, never nought.
"""

from __future__ import annotations

from collections.abc import Callable, Mapping, Sequence
from dataclasses import dataclass

import numpy as np
from scipy.special import chdtri, fdtr, stdtrit

from ...said import NOTHING, Said, Sayable, far, listed, say, with_and
from ...samples.averages import average
from ...shots import Shot, Source
from .ask import PLACES

FLOOR = 0.85  # of the middle spin of all codes at a lie: what is less can be seen on the green. By judgement
TOLD = 0.10  # chance from which on two spreads are one
READ = ("launch_deg", "spin_rpm", "carry_m")


@dataclass(frozen=True)
class CodeMeans:
    """One code at one lie, means over the shots that were read. n: shots; run_m: total less carry; left_m: from the
    hole, over the handings in which it was said."""

    n: int
    launch_deg: float | None
    spin_rpm: float | None
    carry_m: float | None
    run_m: float | None
    left_m: float | None
    spin_half_rpm: float | None


@dataclass(frozen=True)
class CodeMeasured:
    """One code. spread_m: how its carries scatter about the mean of each lie, one standard deviation, between low_m and
    high_m with nine chances in ten; None with fewer than three to tell it by. under: lies at which its spin is under
    the floor, beyond chance."""

    cells: Mapping[str, CodeMeans]
    spread_m: float | None
    low_m: float | None
    high_m: float | None
    left_m: float | None
    under: tuple[str, ...]


@dataclass(frozen=True)
class SoleMeasured:
    """lines by code; tightest: the code that repeats its distance better than the others beyond chance, None where none
    does, loosest: that repeats it worse; floors: spin by lie; sentences."""

    lines: Mapping[int, CodeMeasured]
    tightest: int | None
    floors: Mapping[str, float]
    sentences: tuple[Said, ...]
    loosest: int | None = None


def _mean(values: Sequence[float]) -> float | None:
    return float(np.mean(values)) if values else None


def _read(shot: Shot, key: str) -> float | None:
    """A reading of the monitor; what was computed here was not read."""
    return None if shot.sources.get(key) is Source.COMPUTED else shot.get(key)


def _cell(shots: Sequence[Shot], left_m: Sequence[float]) -> CodeMeans:
    read = {key: [value for shot in shots if (value := _read(shot, key)) is not None] for key in READ}
    runs = [
        total - carry
        for shot in shots
        if (total := _read(shot, "total_m")) is not None and (carry := _read(shot, "carry_m")) is not None
    ]
    spins = read["spin_rpm"]
    spin = average(spins)
    half = None if spin is None or spin.se is None else float(stdtrit(spin.n - 1, 0.95)) * spin.se
    return CodeMeans(
        len(shots), _mean(read["launch_deg"]), _mean(spins), _mean(read["carry_m"]), _mean(runs), _mean(left_m), half
    )


def _spread(carries: Sequence[Sequence[float]]) -> tuple[float, int] | None:
    """Variance within the lies, square metres, and by how many degrees of freedom."""
    free = sum(len(each) - 1 for each in carries if each)
    if free < 2:
        return None
    return sum(float(np.sum((np.array(each) - np.mean(each)) ** 2)) for each in carries if each) / free, free


def measured(
    shots: Mapping[int, Mapping[str, Sequence[Shot]]],
    left_m: Mapping[int, Mapping[str, Sequence[float]]],
    name: Callable[[int], Sayable],
) -> SoleMeasured:
    """shots: kept ones by code and lie; left_m: from the hole as it was said, the same way. name: of a code."""
    codes = sorted({*shots, *left_m})
    cells = {
        code: {
            place: _cell(shots.get(code, {}).get(place, ()), left_m.get(code, {}).get(place, ()))
            for place in PLACES
            if shots.get(code, {}).get(place) or left_m.get(code, {}).get(place)
        }
        for code in codes
    }
    floors = _floors(cells)
    variances = {code: _spread(_carries(shots.get(code, {}))) for code in codes}
    lines = {code: _line(cells[code], variances[code], floors) for code in codes}
    tightest, loosest = _apart({code: each for code, each in variances.items() if each is not None})
    return SoleMeasured(lines, tightest, floors, tuple(_sentences(lines, tightest, loosest, name)), loosest)


def _carries(by_place: Mapping[str, Sequence[Shot]]) -> list[list[float]]:
    return [[value for shot in shots if (value := _read(shot, "carry_m")) is not None] for shots in by_place.values()]


def _floors(cells: Mapping[int, Mapping[str, CodeMeans]]) -> dict[str, float]:
    floors = {}
    for place in PLACES:
        spins = [spin for by in cells.values() if place in by and (spin := by[place].spin_rpm) is not None]
        if len(spins) > 1:
            floors[place] = FLOOR * float(np.median(spins))
    return floors


def _line(
    cells: Mapping[str, CodeMeans], variance: tuple[float, int] | None, floors: Mapping[str, float]
) -> CodeMeasured:
    under = tuple(
        place
        for place, cell in cells.items()
        if place in floors
        and cell.spin_rpm is not None
        and cell.spin_half_rpm is not None
        and cell.spin_rpm + cell.spin_half_rpm < floors[place]
    )
    left = _mean([cell.left_m for cell in cells.values() if cell.left_m is not None])
    if variance is None:
        return CodeMeasured(cells, None, None, None, left, under)
    value, free = variance
    low, high = ((value * free / chdtri(free, 1 - at)) ** 0.5 for at in (0.95, 0.05))
    return CodeMeasured(cells, value**0.5, float(low), float(high), left, under)


def _apart(variances: Mapping[int, tuple[float, int]]) -> tuple[int | None, int | None]:
    """The code whose spread is smaller than that of all the others together by more than chance, and the one whose is
    larger; each None where there is none."""
    shares = {}
    for code, (mine, free) in variances.items():
        rest = [each for other, each in variances.items() if other != code]
        freedom = sum(each for _, each in rest)
        pooled = sum(value * each for value, each in rest) / freedom if freedom else 0.0
        if pooled > 0:
            shares[code] = float(fdtr(free, freedom, mine / pooled))
    sure = TOLD / max(len(shares), 1)  # so many are looked at
    tight, loose = (pick(shares, key=lambda code: shares[code], default=None) for pick in (min, max))
    return (
        tight if tight is not None and shares[tight] < sure else None,
        loose if loose is not None and 1 - shares[loose] < sure else None,
    )


def _sentences(
    lines: Mapping[int, CodeMeasured], tightest: int | None, loosest: int | None, name: Callable[[int], Sayable]
) -> list[Said]:
    known = {code: each.spread_m for code, each in lines.items() if each.spread_m is not None}
    said = []
    if tightest is not None:
        said.append(say("sole-repeats-best", name=name(tightest), by=far(known[tightest], 1)))
    if loosest is not None:
        said.append(say("sole-repeats-worst", name=name(loosest), by=far(known[loosest], 1)))
    if not said and len(known) > 1:
        said.append(say("sole-repeating-not-told-apart"))
    for code, each in lines.items():
        if each.under:
            where = listed(say("sole-inside", place=PLACES[place].name) for place in each.under)
            said.append(say("sole-spins-under-the-floor", name=name(code), where=where))
    return said


def at_odds(liked: int | None, found: SoleMeasured, name: Callable[[int], Sayable]) -> Said:
    """Where what was liked and what was measured disagree, a sentence; empty where they do not."""
    if liked is None:
        return NOTHING
    said = []
    if found.tightest is not None and found.tightest != liked:
        said.append(say("sole-at-odds-spread", name=name(found.tightest)))
    if found.loosest == liked:
        said.append(say("sole-at-odds-loosest"))
    mine = found.lines.get(liked)
    if mine is not None and mine.under:
        said.append(say("sole-at-odds-floor"))
    if not said:
        return NOTHING
    return say("protocol-liked-best-yet-no", name=name(liked), measured=with_and(said))
