"""What is done in the blind groove test."""

from __future__ import annotations

from hemicycle_core.protocols.grooves.ask import KEY
from hemicycle_core.said import Said, plain, say
from shop.models import User

from ...actions import grooves
from ...domain.grooves import BlindPair
from ...models import Build, FittingSession
from ..schemas.grooves import BlindGroovesIn
from ..schemas.soles import GuessIn, LinkLine, LinkOut, RevealIn
from .act import Act, Test


def _begin(actor: User, session_id: int, new: BlindGroovesIn) -> FittingSession:
    """An old wedge and a fresh one of its loft under two codes."""
    return grooves.begin(actor, session_id, old=new.old, fresh=new.fresh)


def _guess(actor: User, trial_id: int, new: GuessIn) -> FittingSession:
    """Which code is taken for the new one, by its build."""
    return grooves.guess(actor, trial_id, code=new.code, confidence=new.confidence)


def _reveal(actor: User, trial_id: int, _new: RevealIn) -> FittingSession:
    """Which is which is told."""
    return grooves.reveal(actor, trial_id)


def _give_up(actor: User, trial_id: int, _new: None) -> FittingSession:
    """The test ends, and its codes are never told."""
    return grooves.give_up(actor, trial_id)


def _link(actor: User, trial_id: int) -> LinkOut:
    pair = grooves.link(actor, trial_id)
    return LinkOut(
        [
            LinkLine(at, code.name, plain(pair.club(code.pk).known.called), _which(pair, code), False)
            for at, code in enumerate(pair.codes)
        ]
    )


def _which(pair: BlindPair, code: Build) -> Said:
    return say("groove-code-is-old" if pair.kept.club(code.pk) == pair.kept.old else "groove-code-is-new")


TEST = Test(
    KEY,
    (
        Act("session", "POST", "", BlindGroovesIn, _begin),
        Act("trial", "PUT", "guess", GuessIn, _guess),
        Act("trial", "POST", "reveal", RevealIn, _reveal, 200),
        Act("trial", "POST", "give-up", None, _give_up, 200),
    ),
    _link,
)
