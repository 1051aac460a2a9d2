"""From what is known of a session to what is said of it, one way: clubs, bag, ends of the wedges, the space in work,
the builds on the stand, the decision. Each is worked out from the one before by a pure function, and what takes long is
kept by the hash of what it was given."""

from .bag import BagNow, bag_now
from .clubs import CarryFrom, KnownClubs, known_clubs
from .decided import Decided, decided
from .ends import WedgeEnds, wedge_ends
from .session import Answers, answers_of
from .space import InWork, in_work
from .stand import OnStand, OnTrial, on_stand

__all__ = [
    "Answers", "BagNow", "CarryFrom", "Decided", "InWork", "KnownClubs", "OnStand", "OnTrial", "WedgeEnds",
    "answers_of", "bag_now", "decided", "in_work", "known_clubs", "on_stand", "wedge_ends",
]  # fmt: skip
