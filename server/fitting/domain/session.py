"""A session as it stands: its rows, and what the core makes of the facts that are read from them."""

from __future__ import annotations

from hemicycle_core.answers import Answers, BagNow, Decided, InWork, KnownClubs, OnStand, WedgeEnds, answers_of
from hemicycle_core.decision import Decision
from hemicycle_core.facts import Facts
from hemicycle_core.kept import lazily
from hemicycle_core.protocols.sole.ask import KEY as SOLE
from hemicycle_core.thresholds import Thresholds

from ..models import FittingSession
from .rows import SessionRows, facts_of, read_rows
from .soles import SessionSole
from .versions import Version


class JudgedSession:
    """A session with its answers."""

    def __init__(self, rows: SessionRows) -> None:
        self.rows = rows
        self.answers: Answers = answers_of(facts_of(rows))

    @property
    def facts(self) -> Facts:
        return self.answers.facts

    @property
    def known(self) -> KnownClubs:
        return self.answers.known

    @property
    def bag(self) -> BagNow:
        return self.answers.bag

    @property
    def ends(self) -> WedgeEnds:
        return self.answers.ends

    @property
    def work(self) -> InWork:
        return self.answers.work

    @property
    def stand(self) -> OnStand:
        return self.answers.stand

    @property
    def decided(self) -> Decided:
        return self.answers.decided

    @property
    def decision(self) -> Decision:
        return self.answers.decision

    @property
    def thresholds(self) -> Thresholds:
        return self.facts.thresholds

    @lazily
    def soles(self) -> list[SessionSole]:
        """The sole tests of the session, in their order."""
        soles = self.rows.trials_of(SOLE)
        delivered = self.ends.delivered.kind if soles else None
        return [SessionSole(self.rows, test, delivered) for test in soles]


def load(session: FittingSession, version: Version | None = None) -> JudgedSession:
    """Read a session and make ready to judge it. version: of its rows, which are no older: those of tables that did not
    change since they were read last are not read again."""
    return JudgedSession(read_rows(session, version))
