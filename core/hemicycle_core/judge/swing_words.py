"""What strike and swing explain of a build, in short sentences: so that no head is blamed for what it was done to."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np

from ..bag import HeadType
from ..flight import Launch, fly
from ..said import NOTHING, Said, angle, far, say, some_way
from ..said import speed as off_the_face
from ..said import spin as rpm
from ..samples.averages import average, smash, values_of
from ..shots import Shot, Strike
from ..units import whole, yards
from .candidate import Candidate
from .eased import mean_launch

LEAST = 3  # shots of a kind before anything is said of them
LEAST_STRUCK = 2
WORTH_SAYING_YD = 3.0
AIMED_YD, AIMED_DEG = 5.0, 2.0  # how far off, and how much face, before the swing is named
EXPLAINS = 0.5  # share of what it is off that the face has to explain
SPIN_SHARE = 0.12  # of its mean: how far the spin of single shots spreads before it is said
CLEARLY_FASTER, CLEARLY_WORSE = 0.01, 0.015  # share of club speed, and of ball speed over it
SPEEDS = np.linspace(0.80, 1.25, 19)  # of the ball speed: where what a carry needs is looked for


def strike_costs(shots: Sequence[Shot]) -> list[Said]:
    """What each kind of strike cost this head where it was hit, against its clean ones."""
    clean = [shot.values["carry_m"] for shot in shots if shot.kept and shot.strike is None and shot.get("carry_m")]
    if len(clean) < LEAST:
        return []
    said = []
    for strike in Strike:
        hit = [
            shot.values["carry_m"] for shot in shots if shot.counts and shot.strike is strike and shot.get("carry_m")
        ]
        cost = float(np.mean(clean) - np.mean(hit)) if len(hit) >= LEAST_STRUCK else 0.0
        if yards(cost) >= WORTH_SAYING_YD:
            said.append(say("strike-costs", strike=strike, cost=far(cost), n=len(hit)))
    return said


def spin_words(shots: Sequence[Shot]) -> Said:
    """That spin runs far, at either end of the bag: then single shots land and stop unlike their average."""
    spins = values_of(shots, "spin_rpm")
    seen = average(spins)
    if seen is None or seen.n <= LEAST or not seen.sd or seen.sd < SPIN_SHARE * seen.mean:
        return NOTHING
    return say("spin-runs-far", low=rpm(min(spins), -1), high=rpm(max(spins), -1))


def by_the_swing(shots: Sequence[Shot]) -> Said:
    """That where it ends beside the line is the face's doing and not the club's, where path and face were read."""
    means = [average(values_of(shots, key)) for key in ("offline_m", "face_deg", "path_deg", "carry_m")]
    if any(each is None or each.n < LEAST for each in means):
        return NOTHING
    off, face, path, carry = (each.mean for each in means if each is not None)
    turned = carry * math.tan(math.radians(face))
    if abs(yards(off)) < AIMED_YD or abs(face) < AIMED_DEG or off * turned <= 0 or abs(turned) < EXPLAINS * abs(off):
        return NOTHING
    sides = {"face": _side(face), "path": _side(path)}
    return say("ends-by-the-face", off=some_way(abs(off)), right=off > 0, **sides)


def _side(degrees: float) -> Said:
    """An angle beside the line."""
    by = abs(degrees)
    return say("beside-the-line", by=angle(by), square=not whole(by), right=degrees > 0)


def speed_needed(candidate: Candidate, target_m: float) -> Said:
    """The ball speed with which this launch and spin would carry as far as is wanted, beside what it has."""
    launch = mean_launch([shot for shot in candidate.shots if shot.kept])
    carry = average(values_of(candidate.shots, "carry_m"))
    if launch is None or carry is None or candidate.head_type is HeadType.WEDGE:
        return NOTHING
    speed, up, spin = launch
    n = SPEEDS.size
    scales = candidate.anchored.scales
    flown = fly(Launch(speed * SPEEDS, np.full(n, up), np.full(n, spin)), air=candidate.air, scales=scales).carry_m
    # As measured: the model's own error is the same at all speeds.
    flown = flown * carry.mean / float(np.interp(1.0, SPEEDS, flown))
    if not flown[0] < target_m < flown[-1]:
        return NOTHING
    wanted = speed * float(np.interp(target_m, flown, SPEEDS))
    return say("ball-speed-needed", carry=far(target_m), wanted=off_the_face(wanted), has=off_the_face(speed))


def swung_words(further: Candidate, shorter: Candidate) -> Said:
    """Of two builds: that the one which carries less was swung faster and struck worse."""
    speeds = [average(values_of(each.shots, "club_speed_mps")) for each in (further, shorter)]
    struck = [smash(each.shots) for each in (further, shorter)]
    if None in speeds or None in struck or any(each.n < LEAST for each in speeds if each is not None):
        return NOTHING
    (fast, fast_less), (well, worse) = (each.mean for each in speeds if each), (each for each in struck if each)
    if fast_less < fast * (1 + CLEARLY_FASTER) or worse > well * (1 - CLEARLY_WORSE):
        return NOTHING
    return say("swung-faster-struck-worse", letter=shorter.letter)


@dataclass(frozen=True)
class StruckClean:
    """The clean shots of a build, on average: carry in metres and club speed in m/s."""

    carry_m: float
    club_speed_mps: float

    def at(self, shot: Shot) -> float | None:
        """What a missed shot would have carried, struck as these are, metres: their carry at its club speed. None where
        that was not read."""
        mine = shot.get("club_speed_mps")
        return None if mine is None else float(self.carry_m * (mine / self.club_speed_mps) ** CARRY_BY_CLUB_SPEED)


def struck_clean(stock: Sequence[Shot]) -> StruckClean | None:
    """None where too few club speeds were read."""
    clean = [each for each in stock if each.kept and each.strike is None and each.get("carry_m")]
    speeds = [each.values["club_speed_mps"] for each in clean if each.get("club_speed_mps")]
    if len(speeds) < LEAST:
        return None
    return StruckClean(float(np.mean([each.values["carry_m"] for each in clean])), float(np.mean(speeds)))


CARRY_BY_CLUB_SPEED = 1.2  # d ln carry / d ln speed, as for the next head of a set
