"""What the tests of short shots found of the player's wedges, as the decision is given it."""

from __future__ import annotations

from ..decision import TestedClub
from ..facts.session import liking_of
from ..judge.claims import SAME_LOFT_DEG
from .short_tests import told
from .stand import OnStand


def tested_clubs(stand: OnStand) -> list[TestedClub]:
    """Each own wedge that was held beside a build, or beside a borrowed one, with what the tests say together."""
    there, made = stand.facts.by_key, []
    for found in told(stand.bag):
        own, build = there[found.old], there[found.fresh]
        if not own.is_own or own.borrowed or build.accepted or (build.is_own and not build.borrowed):
            continue
        made.append(
            TestedClub(
                old=own.called,
                key=str(found.old),
                letter=build.letter,
                name=build.called,
                fresh=str(found.fresh),
                outcome=found.outcome,
                why=found.sentence,
                saves=found.saves,
                liking=liking_of(stand.facts, build),
                price=build.price,
                same_loft=abs((own.loft_deg or 0.0) - (build.loft_deg or 0.0)) <= SAME_LOFT_DEG,
            )
        )
    return made
