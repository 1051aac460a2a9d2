"""A set of irons on the rack: the heads of one model by the number on their soles, and how two models meet."""

from __future__ import annotations

import itertools
import re
from collections.abc import Sequence
from dataclasses import dataclass
from statistics import mean

from ..heads import HeadType
from ..said import Form, Said, angle, say
from .made import MadeClub, bears_deg

OF_A_SET = (HeadType.IRON, HeadType.UTILITY, HeadType.WEDGE)
MARKED = {"P": "PW", "PW": "PW", "G": "GW", "GW": "GW", "A": "GW", "AW": "GW", "UW": "GW", "S": "SW", "SW": "SW"}
USUAL_LIE_STEP_DEG = 0.5  # from one iron to the next shorter one
MEETS_WITHIN_DEG = 1.0  # lofts or lies that step by so much more or less than those beside them do not meet
BENT_BY_DEG = 0.5  # no gauge in a shop tells less


def number_of(label: str) -> str:
    """What a sole says of an iron: `7` of 7, 7i and U7, `PW` and so on; a wedge that is marked by its loft has that.
    Empty where it says nothing."""
    said = label.strip().upper()
    iron = re.fullmatch(r"U?(\d)I?", said)
    if iron:
        return iron[1]
    loft = re.fullmatch(r"(\d\d)°?", said)
    return loft[1] if loft else MARKED.get(said, "")


@dataclass(frozen=True)
class InSet:
    """A club of a set as it is ordered. model: of its head."""

    name: str
    model: str
    made: MadeClub

    @property
    def loft_deg(self) -> float:
        return self.made.loft_deg or 0.0


def where_models_meet(clubs: Sequence[InSet]) -> list[Said]:
    """Where two models follow each other in a set, longest first: whether loft and lie step there as they do beside it,
    and the bend that makes the lofts meet, of the club that bears it."""
    said = []
    for at, (longer, shorter) in enumerate(itertools.pairwise(clubs)):
        if longer.model == shorter.model:
            continue
        beside = [
            two.loft_deg - one.loft_deg
            for n, (one, two) in enumerate(itertools.pairwise(clubs))
            if abs(n - at) == 1 and one.model == two.model
        ]
        step = shorter.loft_deg - longer.loft_deg
        if beside:
            said.append(_lofts_meet(longer, shorter, step, mean(beside)))
        lies = (longer.made.lie_deg, shorter.made.lie_deg)
        if lies[0] is not None and lies[1] is not None:
            off = lies[1] - lies[0] - USUAL_LIE_STEP_DEG
            if abs(off) >= MEETS_WITHIN_DEG:
                stand = {"one": angle(lies[0], 1, Form.SHORT), "other": angle(lies[1], 1, Form.SHORT)}
                said.append(say("set-lies-apart", longer=longer.name, shorter=shorter.name, **stand))
    return said


def _lofts_meet(longer: InSet, shorter: InSet, step: float, usual: float) -> Said:
    told = {
        "longer": longer.name,
        "shorter": shorter.name,
        "step": angle(step, 1, Form.SHORT),
        "usual": angle(usual, 1, Form.SHORT),
    }
    off = round((step - usual) / BENT_BY_DEG) * BENT_BY_DEG
    if abs(off) < MEETS_WITHIN_DEG:
        return say("set-lofts-meet", **told)
    # Too far apart: the longer one weaker, or the shorter one stronger.
    for club, by in ((longer, off), (shorter, -off)):
        if abs(club.made.bent_deg + by) <= bears_deg(club.made):
            return say("set-lofts-bend", **told, name=club.name, by=angle(abs(by), 1, Form.SHORT), weaker=by > 0)
    return say("set-lofts-apart", **told)
