"""All that is worked out of a session, each part when it is first asked for."""

from __future__ import annotations

from dataclasses import dataclass

from ..decision import Decision
from ..facts import Facts
from ..kept import key_of, lazily, new_store, remembered
from .bag import BagNow, bag_now
from .clubs import KnownClubs, known_clubs
from .decided import Decided, decided
from .ends import WedgeEnds, wedge_ends
from .space import InWork, in_work
from .stand import OnStand, on_stand

ANSWERS = new_store(16)


@dataclass(frozen=True, eq=False)
class Answers:
    """One way: clubs, bag, ends of the wedges, the space in work, the stand, the decision."""

    facts: Facts

    @lazily
    def known(self) -> KnownClubs:
        return known_clubs(self.facts)

    @lazily
    def bag(self) -> BagNow:
        return bag_now(self.known)

    @lazily
    def ends(self) -> WedgeEnds:
        return wedge_ends(self.bag)

    @lazily
    def work(self) -> InWork:
        return in_work(self.ends)

    @lazily
    def stand(self) -> OnStand:
        return on_stand(self.work)

    @lazily
    def decided(self) -> Decided:
        return decided(self.stand)

    @property
    def decision(self) -> Decision:
        return self.decided.decision


def answers_of(facts: Facts) -> Answers:
    """Of the same facts the same answers, however they were read."""
    return remembered(ANSWERS, key_of(facts), lambda: Answers(facts))
