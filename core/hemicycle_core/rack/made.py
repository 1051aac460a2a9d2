"""A club made otherwise: what is left of it after a turn, a bend, a length, and what may not be done to it."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace

from ..errors import BadInput
from ..heads import HEAD_WORDS, HeadType
from ..said import NOTHING, Form, Said, angle, inches, say, term
from ..units import METRES_PER_INCH
from .eligible import RackHead, check_setting, same_setting
from .stock import LENGTHS_IN, MOST_BEND_DEG, Made

LEVEL_WITHIN_DEG = 0.5  # heads turned to one loft are within this of it
MOST_GRIP_DOWN_IN = 2.0


@dataclass(frozen=True)
class MadeClub:
    """What of a club a change can touch. Degrees and metres, None where unknown; length_m as it is swung. bent_deg,
    lie_bent_deg: how far it was bent already; gripped_in: how far it is gripped down. head: of the rack, None where it
    is not from there."""

    name: str
    head_type: HeadType
    loft_deg: float | None
    lie_deg: float | None = None
    bounce_deg: float | None = None
    length_m: float | None = None
    bent_deg: float = 0.0
    lie_bent_deg: float = 0.0
    gripped_in: float = 0.0
    made: Made = Made.UNKNOWN
    head: RackHead | None = None


@dataclass(frozen=True)
class Work:
    """One piece of work on a club: kind by `judge.changes.ChangeKind`'s words, amount positive for up, longer, more
    upright, heavier."""

    kind: str
    amount: float


def _figure(value: float | None, what: str, name: str) -> float:
    if value is None:
        raise BadInput(say("rack-not-known-state-first", what=term("of-a-club", what), name=name), field="changes")
    return value


def turned(club: MadeClub, by_deg: float) -> MadeClub:
    """The sleeve turned, with the lie that comes with it by its table."""
    if club.head is None or not club.head.lofts_deg:
        raise BadInput(say("rack-has-no-sleeve-turn", name=club.name), field="changes")
    loft = _figure(club.loft_deg, "loft", club.name) + by_deg
    check_setting(club.head, loft)
    was, now = (club.head.position_of(each) for each in (club.loft_deg or 0.0, loft))
    lie = club.lie_deg
    if lie is not None and was is not None and now is not None:
        lie += now.lie_deg - was.lie_deg
    return replace(club, loft_deg=loft, lie_deg=lie)


def bears_deg(club: MadeClub) -> float:
    """How far a club may be bent either way from how it was made, degrees: nothing of what has a sleeve, and of drivers
    and fairway woods."""
    if (club.head is not None and club.head.lofts_deg) or club.head_type in (HeadType.DRIVER, HeadType.FAIRWAY):
        return 0.0
    return MOST_BEND_DEG[club.made]


def _check_bend(club: MadeClub, total_deg: float, what: str) -> None:
    if club.head is not None and club.head.lofts_deg:
        raise BadInput(say("rack-has-sleeve-turn-do", name=club.name), field="changes")
    if club.head_type in (HeadType.DRIVER, HeadType.FAIRWAY):
        raise BadInput(say("rack-not-bent", kind=HEAD_WORDS[club.head_type]), field="changes")
    most = MOST_BEND_DEG[club.made]
    if abs(total_deg) > most + 1e-6:
        bend = {"bends": most > 0, "most": angle(most, form=Form.SHORT), "what": term("of-a-club", what)}
        raise BadInput(say("rack-bends-no-further", name=club.name, **bend), field="changes")


def worked(club: MadeClub, work: Sequence[Work]) -> MadeClub:
    """A club after some work, each piece on what the one before left. Raises BadInput for what cannot be done to it:
    a turn without a sleeve or past it, a bend beyond what its construction bears, a length no club has."""
    for each in work:
        if each.kind == "loft":
            club = turned(club, each.amount)
        elif each.kind == "bend":
            _check_bend(club, club.bent_deg + each.amount, "loft")
            bounce = None if club.bounce_deg is None else club.bounce_deg + each.amount
            loft = _figure(club.loft_deg, "loft", club.name) + each.amount
            club = replace(club, loft_deg=loft, bounce_deg=bounce, bent_deg=club.bent_deg + each.amount)
        elif each.kind == "lie":
            _check_bend(club, club.lie_bent_deg + each.amount, "lie")
            lie = None if club.lie_deg is None else club.lie_deg + each.amount
            club = replace(club, lie_deg=lie, lie_bent_deg=club.lie_bent_deg + each.amount)
        elif each.kind in ("length", "grip_down"):
            club = _as_long(club, each)
    return club


def _as_long(club: MadeClub, work: Work) -> MadeClub:
    shorter = work.amount if work.kind == "grip_down" else 0.0
    gripped = club.gripped_in + shorter
    if not 0 <= gripped <= MOST_GRIP_DOWN_IN:
        raise BadInput(
            say("run-gripped-down-at-most", most=inches(MOST_GRIP_DOWN_IN)),
            field="changes",
        )
    longer = work.amount if work.kind == "length" else -shorter
    length = _figure(club.length_m, "length", club.name) + longer * METRES_PER_INCH
    low, high = LENGTHS_IN
    if not low <= length / METRES_PER_INCH <= high:
        raise BadInput(say("rack-club-is-so-long", low=inches(low), high=inches(high)), field="changes")
    return replace(club, length_m=length, gripped_in=gripped)


@dataclass(frozen=True)
class Levelled:
    """A head to be turned to a loft: to which it comes, None with the reason where it cannot."""

    loft_deg: float | None
    why: Said = NOTHING


def level(club: MadeClub, loft_deg: float) -> Levelled:
    """The position of a sleeve nearest to a loft, within half a degree."""
    if club.head is None or not club.head.lofts_deg:
        return Levelled(None, say("rack-fixed-does-not-turn"))
    nearest = min(club.head.lofts_deg, key=lambda each: (abs(each - loft_deg), each))
    apart = abs(nearest - loft_deg)
    if apart > LEVEL_WITHIN_DEG + 1e-6:
        return Levelled(None, say("rack-comes-no-nearer", loft=angle(nearest, form=Form.SHORT)))
    if same_setting(nearest, club.loft_deg):
        return Levelled(None, say("rack-is-at-already", loft=angle(nearest, form=Form.SHORT)))
    return Levelled(nearest, NOTHING if apart < 0.05 else say("rack-off", by=angle(apart, form=Form.SHORT)))
