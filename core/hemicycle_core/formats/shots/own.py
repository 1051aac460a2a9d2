"""The columns of our own shots files, named by reading and unit (docs/formats/shots-csv.md)."""

from __future__ import annotations

from enum import StrEnum

from ...impact import Lie
from ...runs import Ball
from ...shots import READINGS, Intent, Strike
from ...units import UNITS
from .words import CLUB

STRIKE, INTENT, LIE, LENGTH, BALL = "strike", "intent", "lie", "swing_length", "struck_ball"
WORDS_OF_SHOT: dict[str, type[StrEnum]] = {STRIKE: Strike, INTENT: Intent, LIE: Lie, BALL: Ball}
SESSION, NUMBER = "session", "shot"
ASIDE, MISREAD, OLD_SWING = "aside", "misread", "old_swing"  # 1 for yes
VOID, SOURCES, PROTOCOL = "not_counted", "sources", "protocol"
OF_RUN = ("wind_mps", "wind_from_deg", "tee_mm", "gripped_in", "asked_carry_m")  # figures, in the units they name
WRITTEN = (
    SESSION, NUMBER, CLUB, STRIKE, INTENT, LIE, LENGTH, BALL, PROTOCOL, ASIDE, MISREAD, OLD_SWING, VOID, SOURCES,
    *OF_RUN,
)  # fmt: skip
OWN = frozenset(WRITTEN)


def own_key(header: str) -> tuple[str, str] | None:
    """What a header of ours names, with the suffix of its unit, empty for words; None for another header."""
    lowered = header.strip().lower()
    if lowered in OWN:
        return lowered, ""
    stem, _, suffix = lowered.rpartition("_")
    for key, reading in READINGS.items():
        if key.rpartition("_")[0] == stem and suffix in UNITS and UNITS[suffix].quantity is reading.quantity:
            return key, suffix
    return None
