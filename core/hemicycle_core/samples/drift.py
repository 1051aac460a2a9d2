"""Is the player still the same as an hour ago? Club speed, strike and swing over the session; and the first shots
with a strange club."""

from __future__ import annotations

from collections import defaultdict
from collections.abc import Hashable, Mapping, Sequence
from dataclasses import dataclass
from typing import Any

import numpy as np
from numpy.typing import NDArray

from ..impact import SPEED_ACROSS_A_SET
from ..said import Said, angle, far, joined, number, say
from ..said import share as part
from ..shots import Shot, Strike
from ..units import METRES_PER_INCH
from .trend import different_chance, trend

Floats = NDArray[np.float64]

LEAST_SHOTS = 12
TIRED_SHARE = 0.02  # 2% of club speed is about 3 yd at 175 yd: more than a build should win by
SURE = 0.95
REFERENCE_LENGTH_M = 0.94
SPEED_SHARE_PER_M = SPEED_ACROSS_A_SET / METRES_PER_INCH
SHARE_SD, SWING_SD = 0.25, 0.015  # how much players' sets differ in it, and one swing from the next


@dataclass(frozen=True)
class Drift:
    """share: change of club speed from the first shot to the last, negative slower. tired, faster: more
    than 2% and unlikely to be chance."""

    share: float
    tired: bool
    faster: bool
    sentence: Said


def speed_drift(swings: Sequence[tuple[float, float]]) -> Drift | None:
    """Trend of club speed over a session.

    swings: (length of the club in metres, club speed in m/s) in the order hit; the length of one head made longer or
    shorter as `impact.length_in_a_set` has it. Speeds are brought to one length first, as this player's clubs show and
    the usual set has it, so that going from a wood to an iron is no sign of tiring. None under twelve swings.
    Theil and Sen's median slope, which a few odd swings do not move; the chance is Mann and Kendall's.
    """
    if len(swings) < LEAST_SHOTS:
        return None
    lengths, speeds = np.asarray(swings, dtype=float).T
    level = speeds * np.exp(-share_a_metre(lengths, speeds) * (lengths - REFERENCE_LENGTH_M))
    slope, by_chance = trend(np.arange(level.size), level)
    share = slope * (level.size - 1) / float(np.median(level))
    real = by_chance < 2 * (1 - SURE) and abs(share) >= TIRED_SHARE
    percent = part(abs(share), 1)
    if real and share < 0:
        sentence = say("samples-club-speed-down-since", percent=percent)
    elif real:
        sentence = say("samples-club-speed-up-since", percent=percent)
    else:
        sentence = say("samples-club-speed-has-held", percent=percent)
    return Drift(share=share, tired=real and share < 0, faster=real and share > 0, sentence=sentence)


def share_a_metre(lengths_m: Floats, speeds_mps: Floats) -> float:
    """Growth of the log of club speed with length over n swings in the order hit, (n,) each: the usual set's, moved by
    what these clubs show beside a steady trend in time."""
    hit = np.linspace(-0.5, 0.5, lengths_m.size)
    columns = np.stack([np.ones_like(hit), hit, lengths_m - REFERENCE_LENGTH_M], axis=1)
    known = np.diag([0.0, 0.0, (SWING_SD / SHARE_SD) ** 2])
    answer = np.linalg.lstsq(
        columns.T @ columns + known, columns.T @ np.log(speeds_mps) + known @ [0, 0, SPEED_SHARE_PER_M], rcond=None
    )
    return float(answer[0][2])


SWING_CHANGED = {"attack_deg": 1.5, "path_deg": 2.0, "face_deg": 2.0}  # degrees over a session: another swing
SMASH_LOST = 0.02  # the strike has gone
MOVED = {
    "attack_deg": say("samples-attack-angle"),
    "path_deg": say("samples-club-path"),
    "face_deg": say("samples-face-angle"),
}


def _apart(shots: Sequence[tuple[Hashable, Shot]]) -> list[dict[str, float]]:
    """Of each shot what the swing is measured by, less the mean of its own build."""
    rows: list[tuple[Hashable, dict[str, float]]] = []
    for build, shot in shots:
        row = {key: value for key in SWING_CHANGED if (value := shot.get(key)) is not None}
        ball, club = shot.get("ball_speed_mps"), shot.get("club_speed_mps")
        if ball and club:
            row["smash"] = ball / club
        rows.append((build, row))
    sums: dict[tuple[Hashable, str], list[float]] = defaultdict(list)
    for build, row in rows:
        for key, value in row.items():
            sums[build, key].append(value)
    means = {which: float(np.mean(values)) for which, values in sums.items()}
    return [{key: value - means[build, key] for key, value in row.items()} for build, row in rows]


def swing_changes(shots: Sequence[tuple[Hashable, Shot]]) -> list[Said]:
    """Sentences on a swing or a strike that changed over the session. shots: kept ones in the order hit, each with
    what names its build; every shot is seen against its own build's mean."""
    rows, said = _apart(shots), []
    for key, least in (*SWING_CHANGED.items(), ("smash", SMASH_LOST)):
        values = [(place, row[key]) for place, row in enumerate(rows) if key in row]
        if len(values) < LEAST_SHOTS:
            continue
        order, level = np.asarray(values, dtype=float).T
        slope, by_chance = trend(order, level)
        change = slope * (order[-1] - order[0])
        if abs(change) < least or by_chance >= 1 - SURE:
            continue
        if key != "smash":
            said.append(say("samples-has-moved-since-first", what=MOVED[key], change=angle(abs(change), 1)))
        elif change < 0:
            said.append(say("samples-strike-is-getting-worse", change=number(abs(change), 2)))
    return said + strike_creeps([shot for _, shot in shots])


# Strikes that were called, by the way they lie off the middle: across the face, then up it.
ACROSS = {Strike.TOE: 1.0, Strike.HEEL: -1.0}
UP = {Strike.HIGH: 1.0, Strike.LOW: -1.0, Strike.THIN: -1.0}
CREEPS = (
    (ACROSS, say("samples-heel"), say("samples-toe"), say("samples-rest-look-how-far")),
    (UP, say("samples-bottom-face"), say("samples-top-face"), say("samples-rest-look-how-high")),
)
LEAST_CREEP = 0.4  # of all shots: how many more lie that way by the end


def strike_creeps(shots: Sequence[Shot]) -> list[Said]:
    """That the strike moves to one side over a session. shots: in the order hit; one that nobody called was in the
    middle, where any was called."""
    said = []
    for ways, less, more, words in CREEPS:
        level = np.array([ways.get(shot.strike, 0.0) if shot.strike else 0.0 for shot in shots])
        if level.size < LEAST_SHOTS or not level.any():
            continue
        early, late = np.array_split(level, 2)
        moved = float(late.mean() - early.mean())
        _, by_chance = trend(np.arange(level.size), level)
        if abs(moved) >= LEAST_CREEP and by_chance < 1 - SURE:
            said.append(say("samples-strike-creeps", towards=more if moved > 0 else less, words=words))
    return said


STRANGE = 3  # the first shots with a strange club are learning


@dataclass(frozen=True)
class Learning:
    """shift_m: what holding out the first shots would add to the average carry. real: more than chance."""

    shift_m: float
    real: bool
    sentence: Said


def learning(carries_m: Sequence[float]) -> Learning | None:
    """What the first three shots with a strange club do to its average, in the order hit; None under eight shots."""
    if len(carries_m) < STRANGE + 5:
        return None
    first, rest = np.asarray(carries_m[:STRANGE]), np.asarray(carries_m[STRANGE:])
    shift = float(rest.mean() - np.mean(carries_m))
    real = different_chance(first, rest) < 2 * (1 - SURE)
    words = say("samples-first-shots-were-like", strange=STRANGE)
    if real:
        words = say("samples-first-shots-were-unlike", strange=STRANGE, shift=far(abs(shift)), further=shift > 0)
    return Learning(shift, real, words)


@dataclass(frozen=True)
class Steadiness:
    """Whether the player is still the same as at the first shot. tired: club speed has gone."""

    sentence: Said
    tired: bool


def steadiness(
    shots: Sequence[tuple[Hashable, Shot]], lengths_m: Mapping[Any, float | None], learner: Hashable = None
) -> Steadiness:
    """Speed, swing and strike over a session, and learning.

    shots: kept ones in the order hit, each with what names its build. lengths_m: of the builds. learner: the build in
    hand where it is strange to the player, else None.
    """
    swings = [
        (length, speed)
        for build, shot in shots
        if (speed := shot.get("club_speed_mps")) is not None and (length := lengths_m.get(build)) is not None
    ]
    drift = speed_drift(swings)
    said = [drift.sentence if drift else say("samples-too-few-shots-yet"), *swing_changes(shots)]
    if learner is not None:
        mine = [carry for build, shot in shots if build == learner and (carry := shot.get("carry_m")) is not None]
        learnt = learning(mine)
        said += [learnt.sentence] if learnt and learnt.real else []
    return Steadiness(joined(said), bool(drift and drift.tired))
