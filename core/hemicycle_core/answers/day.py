"""How a visit to the wedges is planned in minutes: what is left of each part, and what is left out of a short one."""

from __future__ import annotations

import itertools
from collections.abc import Mapping, Sequence
from dataclasses import dataclass

from ..protocols.asked import Standing, minutes_for
from ..protocols.grooves.ask import KEY as GROOVES
from ..protocols.sole.ask import USUAL, SoleTest, standing
from ..protocols.stop.ask import KEY as STOP
from ..said import NOTHING, Said, joined, listed, number, say
from ..shots import PART_SWING
from ..wedges.short_end import END_SHOTS
from .ends import WedgeEnds

SHORT_TIME_MIN = 45  # a visit that fitters have for the wedges, when it is short
SECONDS_A_SHOT, SECONDS_A_CLUB = 25, 60
SOLES = 3  # that are tried where nobody set a test up yet
# What is done first of all, and left out last.
PARTS = ("ends", "cut", "sole", GROOVES, PART_SWING, STOP)


@dataclass(frozen=True)
class Part:
    """A part of the visit and the minutes that it still takes."""

    key: str
    minutes: int


@dataclass(frozen=True)
class Planned:
    """parts: in the order of the work; sentence: what they take, and what is left out of a short visit."""

    parts: tuple[Part, ...]
    sentence: Said


def planned(ends: WedgeEnds, standings: Mapping[str, Standing], *, sole_left: int | None = None) -> Planned:
    """standings: what each test still asks for; sole_left: minutes of the sole test under way, None for none."""
    found = {
        "sole": _sole(ends, sole_left),
        "ends": _ends(ends),
        "cut": _cut(ends),
        **{key: standings[key].minutes for key in (GROOVES, PART_SWING, STOP) if key in standings},
    }
    parts = tuple(Part(key, minutes) for key in _in_order(ends) if (minutes := found.get(key, 0)) > 0)
    return Planned(parts, _words(parts))


def _in_order(ends: WedgeEnds) -> Sequence[str]:
    """As the school of the brief has it, tests after it."""
    stages = [] if ends.short_end is None else [stage.key for stage in ends.short_end.stages]
    # While no wedge was hit the cut is no stage yet.
    return [key for key in dict.fromkeys([*stages, "cut", GROOVES, PART_SWING, STOP]) if key in PARTS]


def _sole(ends: WedgeEnds, sole_left: int | None) -> int:
    facts = ends.bag.facts
    if sole_left is not None or facts.brief.sole:
        return sole_left or 0
    return standing(SoleTest(SOLES, USUAL, short=True), []).minutes


def _ends(ends: WedgeEnds) -> int:
    found = ends.short_end
    known = [] if found is None else [each.club for each in (found.low, found.high) if each is not None]
    left = [END_SHOTS - club.shots for club in known if club.shots < END_SHOTS and not club.on_order]
    left += [END_SHOTS] * _unknown_ends(ends)
    return minutes_for(sum(left), SECONDS_A_SHOT, len(left), SECONDS_A_CLUB)


def _unknown_ends(ends: WedgeEnds) -> int:
    """How many of the ends are wedges that nobody hit and of which nothing is known."""
    if ends.short_end is None or ends.short_end.low is None:
        return min(len(ends.unknown), 2)
    low = ends.short_end.low.club
    return int(any(loft is not None and loft > (low.loft_deg or 90) for _, loft in ends.unknown))


def _cut(ends: WedgeEnds) -> int:
    """Of the wedges between the ends and of the stand those that were not hit enough."""
    facts = ends.bag.facts
    there = [*ends.between(), *(club for club in facts.candidates if club.is_wedge and not club.accepted)]
    left = [max(END_SHOTS - sum(shot.kept for shot in club.shots), 0) for club in there]
    left += [END_SHOTS] * (len(ends.unknown) - _unknown_ends(ends))
    return minutes_for(sum(left), SECONDS_A_SHOT, sum(each > 0 for each in left), SECONDS_A_CLUB)


def _words(parts: Sequence[Part]) -> Said:
    if not parts:
        return NOTHING
    total = sum(part.minutes for part in parts)
    each = listed(say("day-part", part=part.key, minutes=number(part.minutes)) for part in parts)
    words = say("day-planned", parts=each, minutes=number(total))
    if total <= SHORT_TIME_MIN:
        return words
    mine = sorted(parts, key=lambda part: PARTS.index(part.key))
    sums = itertools.accumulate(part.minutes for part in mine)
    stay = {part.key for part, so_far in zip(mine, sums, strict=True) if so_far <= SHORT_TIME_MIN}
    out = [say("day-part-name", part=part.key) for part in mine if part.key not in stay]
    return joined([words, say("day-left-out", minutes=number(SHORT_TIME_MIN), out=listed(out))])
