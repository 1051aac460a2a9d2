"""What the tests of short shots found of the player's wedges, as the decision is given it."""

from __future__ import annotations

from collections import defaultdict

from ..decision import TestedClub
from ..facts.session import liking_of
from ..judge.claims import SAME_LOFT_DEG
from ..protocols.found import Outcome, Tested
from ..said import joined
from .short_tests import told
from .stand import OnStand


def tested_clubs(stand: OnStand) -> list[TestedClub]:
    """Each own wedge that was held beside a build in tests, and what they say together: one that finds it worth
    replacing is enough, and one that tells nothing yet leaves it open."""
    there, made = stand.facts.by_key, []
    by: dict[tuple[int, int], list[Tested]] = defaultdict(list)
    for each in told(stand.bag):
        by[each.old, each.fresh].append(each)
    for (old, fresh), found in by.items():
        own, build = there[old], there[fresh]
        if not own.is_own or own.borrowed or build.accepted or (build.is_own and not build.borrowed):
            continue
        outcome = _together([each.outcome for each in found])
        say_so = [each for each in found if each.outcome is outcome]
        made.append(
            TestedClub(
                old=own.called,
                key=str(old),
                letter=build.letter,
                name=build.called,
                fresh=str(fresh),
                outcome=outcome,
                why=joined([each.sentence for each in say_so], "; "),
                saves=max(each.saves for each in say_so),
                liking=liking_of(stand.facts, build),
                price=build.price,
                same_loft=abs((own.loft_deg or 0.0) - (build.loft_deg or 0.0)) <= SAME_LOFT_DEG,
            )
        )
    return made


def _together(outcomes: list[Outcome]) -> Outcome:
    for each in (Outcome.REPLACE, Outcome.OPEN, Outcome.KEEP):
        if each in outcomes:
            return each
    return Outcome.OPEN
