"""Shots that look unlike the others of their build, and readings that no shot makes. Proposed with a reason, never
removed."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace
from enum import StrEnum

import numpy as np
from numpy.typing import NDArray

from ..flight import Launch, fly
from ..heads import HeadType
from ..impact import Lie
from ..said import NOTHING, Said, far, number, say, spin
from ..shots import LAUNCH, Shot, Strike, columns_of

Floats = NDArray[np.float64]

LEAST_SHOTS = 4
USUAL_SPREAD_SHARE = 0.03  # spread of a build's carries before its own shots say otherwise
UNLIKE = 3.0  # this many robust spreads from the median of the others
UNLIKE_CALLED = 2.0  # and this many when the strike was called: then there is a reason to look
# Ball speed over club speed. The rules' limit on the face gives drivers 1.50; a radar's error a little more.
MOST_SMASH = {
    HeadType.DRIVER: 1.53, HeadType.FAIRWAY: 1.53, HeadType.HYBRID: 1.51, HeadType.UTILITY: 1.50, HeadType.IRON: 1.50,
    HeadType.WEDGE: 1.45,
}  # fmt: skip
LEAST_SMASH = 0.70  # under this the ball was topped, or the two speeds are not of one shot
SHORTEST_M = 30.0  # under this a topped shot rolls more than it flies
# A heavy shot off a mat slides on and carries nearly as far; what it loses is spin.
HEAVY_SPIN_RPM, HEAVY_CARRY_SHARE = 800.0, 0.03
SMASH_DOUBTED, LEAST_SMASHES = 0.60, 5
OFF_FLIGHT = 0.18  # a carry this far from what its own launch flies was not flown by that launch


class Unlikely(StrEnum):
    """What is wrong with a shot, as far as can be told."""

    SHORT = "short"  # well short of the others: a poor strike
    LONG = "long"  # well past the others: a flyer
    MISREAD = "misread"  # the readings do not go together
    HEAVY = "heavy"  # off a mat: carried like the others with far less spin


@dataclass(frozen=True)
class Unlike:
    """index: in the shots given. sentence: why it is questioned."""

    index: int
    sentence: Said
    kind: Unlikely = Unlikely.SHORT


def of_the_others(values: Floats) -> tuple[Floats, Floats]:
    """For each of n values, n at least 2, the median of the others and the median of how far they lie from that, (n,)
    each: by sorting a few times, as all but one of them are the same others."""
    middles = _median_without(values)
    apart = np.empty_like(values)
    for middle in np.unique(middles):
        those = middles == middle
        apart[those] = _median_without(np.abs(values - middle))[those]
    return middles, apart


def _median_without(values: Floats) -> Floats:
    """For each value the median of the others, (n,)."""
    order = np.argsort(values, kind="stable")
    ordered, rank = values[order], np.empty(values.size, dtype=np.intp)
    rank[order] = np.arange(values.size)
    others = values.size - 1
    low, high = (others - 1) // 2, others // 2
    low_value, high_value = (ordered[np.where(rank <= at, at + 1, at)] for at in (low, high))
    return np.where(low == high, low_value, (low_value + high_value) / 2)


def unlike_the_others(carries_m: Sequence[float], called: Sequence[bool] = ()) -> list[Unlike]:
    """Carries far from the median of the other shots, short or long; none under four shots. called: shots whose
    strike was called a miss, which need less to be questioned.

    The spread is the median absolute deviation of the others scaled to a normal one (x 1.4826), and no
    less than 3% of carry, so that a tight group does not make an ordinary shot look odd.
    """
    if len(carries_m) < LEAST_SHOTS:
        return []
    carries = np.asarray(carries_m, dtype=float)
    found = []
    for index, (carry, middle, apart) in enumerate(zip(carries, *of_the_others(carries), strict=True)):
        spread = max(1.4826 * apart, USUAL_SPREAD_SHARE * middle)
        limit = UNLIKE_CALLED if called and called[index] else UNLIKE
        if abs(carry - middle) > limit * spread:
            short = bool(carry < middle)
            away = say("samples-others", carry=far(abs(carry - middle)), short=short)
            found.append(Unlike(index, away, Unlikely.SHORT if short else Unlikely.LONG))
    return found


def _flown(shots: Sequence[Shot]) -> Floats:
    """What each shot's own launch flies, metres (n,), NaN without a launch."""
    seen = columns_of(shots, LAUNCH)
    carries = np.full(len(shots), np.nan)
    whole = np.flatnonzero(np.all([np.isfinite(seen[key]) for key in LAUNCH], axis=0))
    if whole.size:
        carries[whole] = fly(Launch(*(seen[key][whole] for key in LAUNCH))).carry_m
    return carries


def _most_smash(head_type: HeadType) -> float:
    return MOST_SMASH.get(head_type, 1.53)


def smash_doubted(groups: Sequence[tuple[Sequence[Shot], HeadType]]) -> Said:
    """What is to be said of a monitor most of whose smash figures stand above what a club can do; empty of one that
    can be trusted. Said once of the bay, not shot by shot."""
    over = [
        ball / club > _most_smash(head_type)
        for shots, head_type in groups
        for shot in shots
        if shot.kept and (ball := shot.get("ball_speed_mps")) and (club := shot.get("club_speed_mps"))
    ]
    if len(over) < LEAST_SMASHES or sum(over) < SMASH_DOUBTED * len(over):
        return NOTHING
    return say("samples-smash-figures-above-what", above=sum(over), figures=len(over))


def _heavy(shots: Sequence[Shot], head_type: HeadType) -> list[Unlike]:
    """Shots off a mat that carried like the others with far less spin: turf would have stopped the club."""
    if head_type in (HeadType.DRIVER, HeadType.PUTTER) or len(shots) < LEAST_SHOTS:
        return []
    seen = columns_of(shots, ("carry_m", "spin_rpm"))
    read = np.flatnonzero(np.isfinite(seen["spin_rpm"]))
    if read.size < LEAST_SHOTS:
        return []
    spins = seen["spin_rpm"][read]
    found = []
    for index, turns, middle, apart, carry in zip(
        read.tolist(), spins, *of_the_others(spins), _median_without(seen["carry_m"])[read], strict=True
    ):
        less, near = middle - turns, abs(seen["carry_m"][index] / carry - 1) <= HEAVY_CARRY_SHARE
        if shots[index].lie is Lie.MAT and near and less >= max(HEAVY_SPIN_RPM, UNLIKE_CALLED * 1.4826 * apart):
            said = say("samples-carried-like-others-less", less=spin(less, -1))
            found.append(Unlike(index, said, Unlikely.HEAVY))
    return found


def _misreads(shots: Sequence[Shot], flown: Floats, head_type: HeadType, *, smash_off: bool = False) -> list[Unlike]:
    """Shots whose readings do not go together: a smash above what physics allows, a carry that its own launch does
    not fly. smash_off: the bay's smash is doubted as a whole."""
    seen = columns_of(shots, ("club_speed_mps", "ball_speed_mps", "carry_m"))
    smash = seen["ball_speed_mps"] / seen["club_speed_mps"]
    found = []
    above = np.zeros(len(shots), dtype=bool) if smash_off else smash > _most_smash(head_type)
    for index in np.flatnonzero(above | (smash < LEAST_SMASH)):
        way = "above" if smash[index] > 1 else "below"
        said = say("samples-smash-what-club-can", smash=number(smash[index], 2), way=way)
        found.append(Unlike(int(index), said, Unlikely.MISREAD))
    for index in np.flatnonzero((flown > SHORTEST_M) & (np.abs(seen["carry_m"] / flown - 1) > OFF_FLIGHT)):
        reads = far(float(seen["carry_m"][index]))
        said = say("samples-launch-flies-about-reads", flown=far(flown[index]), reads=reads)
        found.append(Unlike(int(index), said, Unlikely.MISREAD))
    return found


def questioned(groups: Sequence[tuple[Sequence[Shot], HeadType]]) -> list[list[Unlike]]:
    """Every kept stock shot to look at, by build: misreads first, then those unlike the others; one reason each."""
    if not groups:
        return []
    kept = [[i for i, s in enumerate(shots) if s.kept and s.get("carry_m")] for shots, _ in groups]
    chosen = [[shots[i] for i in which] for (shots, _), which in zip(groups, kept, strict=True)]
    flown = np.split(_flown([shot for each in chosen for shot in each]), np.cumsum([len(each) for each in chosen])[:-1])
    smash_off = bool(smash_doubted(groups))
    made = []
    for shots, which, carries, (_, head_type) in zip(chosen, kept, flown, groups, strict=True):
        found = {each.index: each for each in reversed(_misreads(shots, carries, head_type, smash_off=smash_off))}
        poor = [shot.strike in (Strike.THIN, Strike.FAT) for shot in shots]
        for each in unlike_the_others([shot.values["carry_m"] for shot in shots], poor):
            found.setdefault(each.index, each)
        for each in _heavy(shots, head_type):
            found.setdefault(each.index, each)
        made.append([replace(each, index=which[index]) for index, each in sorted(found.items())])
    return made
