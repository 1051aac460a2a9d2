"""What is done in a test of two clubs under codes, whichever test it is."""

from __future__ import annotations

from hemicycle_core.said import plain, say
from shop.models import User

from ...actions import pairs
from ...domain.pairs import PAIR_TESTS
from ...models import FittingSession
from ..schemas.soles import GuessIn, LinkLine, LinkOut, RevealIn
from ..schemas.tests import PairIn
from .act import Act, Test


def _begin(actor: User, session_id: int, new: PairIn) -> FittingSession:
    """The club that is played and a new one under two codes, for a test that can be hit so."""
    return pairs.begin(actor, session_id, test=new.test, old=new.old, fresh=new.fresh)


def _test(key: str) -> Test:
    def guess(actor: User, trial_id: int, new: GuessIn) -> FittingSession:
        """Which code is taken for the new one, by its build."""
        return pairs.guess(actor, trial_id, test=key, code=new.code, confidence=new.confidence)

    def reveal(actor: User, trial_id: int, _new: RevealIn) -> FittingSession:
        """Which is which is told."""
        return pairs.reveal(actor, trial_id, test=key)

    def give_up(actor: User, trial_id: int, _new: None) -> FittingSession:
        """The test ends, and its codes are never told."""
        return pairs.give_up(actor, trial_id, test=key)

    def link(actor: User, trial_id: int) -> LinkOut:
        pair = pairs.link(actor, trial_id, test=key)
        return LinkOut(
            [
                LinkLine(
                    at,
                    code.name,
                    plain(pair.club(code.pk).known.called),
                    say("code-is-old" if pair.kept.club(code.pk) == pair.kept.old else "code-is-new"),
                    False,
                )
                for at, code in enumerate(pair.codes)
            ]
        )

    return Test(
        key,
        (
            Act("trial", "PUT", "guess", GuessIn, guess),
            Act("trial", "POST", "reveal", RevealIn, reveal, 200),
            Act("trial", "POST", "give-up", None, give_up, 200),
        ),
        link,
    )


# Begun by one address for all, which names the test.
BEGINS = Test("pair", (Act("session", "POST", "", PairIn, _begin),))
TESTS = (BEGINS, *(_test(key) for key in PAIR_TESTS))
