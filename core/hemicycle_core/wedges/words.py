"""What a wedge is used for, what its face is, and what bothers a player with it: the words of the interview."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from enum import StrEnum

from ..errors import BadInput

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


WEDGE_WISH_WORDS = {
    WedgeWish.EVEN: "even steps",
    WedgeWish.LOWER: "lower flight, more spin",
    WedgeWish.STOP: "more stop on short shots",
    WedgeWish.FEWER: "fewer wedges",
    WedgeWish.FRESH: "the same but fresh",
    WedgeWish.TRIP: "a trip with another set",
}
WISH_LEADS = {
    WedgeWish.EVEN: "The space between the ends is cut into equal steps.",
    WedgeWish.LOWER: "Launch and spin of each wedge are held against its loft; lower with more spin is better.",
    WedgeWish.STOP: "Short jobs into firm greens weigh in; old against fresh is worth hitting.",
    WedgeWish.FEWER: "Part swings decide how wide a step may stand: hit three-quarter and half.",
    WedgeWish.FRESH: "Like for like: the old one’s carry and flight are what a new one is held against.",
    WedgeWish.TRIP: "A course of its own with its share of the rounds, and a plan that swaps clubs for it.",
}
COMPLAINT_WORDS = {
    Complaint.RUNS_OUT: "it does not stop",
    Complaint.BALLOONS: "it flies too high",
    Complaint.DIGS: "it digs",
    Complaint.THIN: "it is thinned",
    Complaint.SAND: "it stays in the sand",
    Complaint.DISTANCE: "its distance varies",
    Complaint.GAP: "its step is wrong",
    Complaint.LINE: "it goes off line",
    Complaint.WORN: "its grooves are gone",
}


def check_uses(uses: Mapping[str, float]) -> dict[str, float]:
    """Uses as they are kept: times a round by kind of shot, those over nought. Raises BadInput for what no round
    has."""
    known = set(WedgeUse)
    for use, often in uses.items():
        if use not in known:
            raise BadInput(f"“{use}” is no shot that a wedge is used for.", field="uses")
        if not 0 <= often <= MOST_USES:
            raise BadInput(f"A wedge is used 0 to {MOST_USES:g} times a round for one shot.", field="uses")
    return {use: float(often) for use, often in uses.items() if often > 0}


def check_complaints(complaints: Sequence[str]) -> list[str]:
    """Complaints as they are kept, each once. Raises BadInput for one that there is not."""
    known = set(Complaint)
    for each in complaints:
        if each not in known:
            raise BadInput(f"“{each}” is no complaint that can be tested.", field="complaints")
    return list(dict.fromkeys(complaints))


def kept_for(uses: Mapping[str, float]) -> str:
    """The short shot that a wedge is kept for: sand or a lob, where it is never hit full nor at a yardage; empty
    otherwise, and where nobody said."""
    if uses.get(WedgeUse.FULL) or uses.get(WedgeUse.PART):
        return ""
    often = {use: uses.get(use, 0.0) for use in (WedgeUse.SAND, WedgeUse.LOB)}
    most = max(often, key=lambda use: often[use])
    if not often[most]:
        return ""
    return "sand" if most is WedgeUse.SAND else "the lob"
