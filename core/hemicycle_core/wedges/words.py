"""What a wedge is used for, what its face is, and what bothers a player with it: the words of the interview."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from enum import StrEnum

from ..errors import BadInput
from ..said import Said, number, say, term

MOST_USES = 18.0


class WedgeUse(StrEnum):
    """A kind of shot a wedge is taken for."""

    FULL = "full"
    PART = "part"
    PITCH = "pitch"
    CHIP = "chip"
    SAND = "sand"
    LOB = "lob"


class Finish(StrEnum):
    """What its face and head are coated with."""

    RAW = "raw"  # rusts; so do its grooves
    PLATED = "plated"
    COATED = "coated"


class Complaint(StrEnum):
    """What bothers a player with a wedge; each is a claim to test (`claims`)."""

    RUNS_OUT = "runs_out"
    BALLOONS = "balloons"
    DIGS = "digs"
    THIN = "thin"
    SAND = "sand"
    DISTANCE = "distance"
    GAP = "gap"
    LINE = "line"
    WORN = "worn"


class WedgeWish(StrEnum):
    """What the player wants of the wedges; several may be."""

    EVEN = "even"
    LOWER = "lower"
    STOP = "stop"
    FEWER = "fewer"
    FRESH = "fresh"
    TRIP = "trip"


WEDGE_WISH_WORDS = {wish: term("wedge-wish", wish) for wish in WedgeWish}
WISH_LEADS = {wish: term("wedge-wish-leads", wish) for wish in WedgeWish}
COMPLAINT_WORDS = {complaint: term("complaint", complaint) for complaint in Complaint}


def check_uses(uses: Mapping[str, float]) -> dict[str, float]:
    """Uses as they are kept: times a round by kind of shot, those over nought. Raises BadInput for what no round
    has."""
    known = set(WedgeUse)
    for use, often in uses.items():
        if use not in known:
            raise BadInput(say("wedges-no-shot-wedge-used", use=use), field="uses")
        if not 0 <= often <= MOST_USES:
            raise BadInput(say("wedges-used-times-a-round", most=number(MOST_USES)), field="uses")
    return {use: float(often) for use, often in uses.items() if often > 0}


def check_complaints(complaints: Sequence[str]) -> list[str]:
    """Complaints as they are kept, each once. Raises BadInput for one that there is not."""
    known = set(Complaint)
    for each in complaints:
        if each not in known:
            raise BadInput(say("wedges-no-complaint", complaint=each), field="complaints")
    return list(dict.fromkeys(complaints))


def kept_for(uses: Mapping[str, float]) -> Said:
    """The shot that a wedge is kept for which the fitter keeps out of the steps: what it is used for most of sand and
    the lob, else one shot. No use keeps a wedge out by itself: the most lofted one plays the widest set of shots."""
    often = {use: uses.get(use, 0.0) for use in (WedgeUse.SAND, WedgeUse.LOB)}
    most = max(often, key=lambda use: often[use])
    if not often[most]:
        return say("wedges-kept-for-one-shot")
    return say("wedges-kept-for-sand") if most is WedgeUse.SAND else say("wedges-kept-for-the-lob")
