"""A yardage by name: asked to carry so far with one club, eased or gripped down; what was asked against what came."""

from __future__ import annotations

from collections.abc import Sequence

import numpy as np

from ..errors import BadInput
from ..said import NOTHING, Said, angle, far, joined, say, some_way, with_and
from ..samples.averages import average
from ..samples.beside import beside, chance_words, read_of, spin_words
from ..shots import Intent, Shot
from ..units import metres, whole_yards
from .protocol import Finding, Protocol

KEY = "yardage"
NEAREST_M, FURTHEST_M = metres(10), metres(250)
TOLD_SHARE, TOLD_SHOTS = 0.05, 3  # within this of what was asked it is there; with fewer shots nothing is said
LEAST_DEG = 1.0


def check_asked(carry_m: float | None) -> None:
    """Raise BadInput for a carry that nobody asks for."""
    if carry_m is not None and not NEAREST_M <= carry_m <= FURTHEST_M:
        raise BadInput(say("yardage-ask-between", low=far(NEAREST_M), high=far(FURTHEST_M)), field="asked_carry_m")


def by_yardage(shots: Sequence[Shot]) -> list[Finding]:
    """What came of each carry that was asked for, the shortest first; kept shots only."""
    asked: dict[float, list[Shot]] = {}
    for shot in shots:
        if shot.asked_m is not None and shot.shows(Intent.YARDAGE) and shot.get("carry_m") is not None:
            asked.setdefault(round(shot.asked_m, 2), []).append(shot)
    stock = [shot for shot in shots if shot.kept]
    return [_finding(carry, mine, stock) for carry, mine in sorted(asked.items())]


def _finding(asked_m: float, mine: Sequence[Shot], stock: Sequence[Shot]) -> Finding:
    carries = np.array(read_of(mine, "carry_m"))
    off = carries - asked_m
    by = {"asked_m": asked_m, "carry_m": float(carries.mean()), "off_m": float(off.mean())}
    if carries.size >= TOLD_SHOTS:
        by["spread_m"] = float(carries.std(ddof=1))
    by |= {f"{key}_beside": value for key, value in beside(mine, stock, ("launch_deg", "spin_rpm")).items()}
    for key in ("launch_deg", "spin_rpm"):
        mean = average(read_of(mine, key))
        if mean is not None:
            by[key] = mean.mean
    there = abs(by["off_m"]) <= TOLD_SHARE * asked_m if carries.size >= TOLD_SHOTS else None
    return Finding(KEY, Intent.YARDAGE, len(mine), by, there, _sentence(asked_m, len(mine), by))


def _sentence(asked_m: float, n: int, by: dict[str, float]) -> Said:
    off = by["off_m"]
    launch, spin = by.get("launch_deg_beside", 0.0), by.get("spin_rpm_beside", 0.0)
    flatter = say("yardage-launch", by=angle(abs(launch)), higher=launch > 0) if abs(launch) >= LEAST_DEG else NOTHING
    than = with_and([flatter, spin_words(spin)])
    words = say(
        "yardage-read",
        asked=far(asked_m),
        carry=far(by["carry_m"]),
        off=say("yardage-off", by=far(abs(off)), long=off > 0) if whole_yards(abs(off)) else say("yardage-on-it"),
        spreads="spread_m" in by,
        spread=some_way(by.get("spread_m", 0.0)),
        differs=bool(than),
        than=than,
    )
    return words if n >= TOLD_SHOTS else joined([words, chance_words(n)])


PROTOCOL = Protocol(
    key=KEY,
    name=say("protocol-yardage-name"),
    why=say("protocol-asked-carry-so-far"),
    intents=(Intent.YARDAGE,),
    readings=("carry_m",),
    shots=3,
    read=lambda shots, _left_handed: by_yardage(shots),
)
