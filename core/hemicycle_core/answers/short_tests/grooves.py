"""Old grooves against new."""

from __future__ import annotations

from collections.abc import Sequence

from ...facts import Club, Facts
from ...facts.session import air_of
from ...protocols.asked import Standing
from ...protocols.blind import told_blind
from ...protocols.found import Result, Tested
from ...protocols.grooves.ask import KEY, Asked, standing
from ...protocols.grooves.read import Grooves, GrooveWedge, as_result, as_tested, compared, hit_in, pairs
from ...said import NOTHING
from ...shots import CLEAN_LIES
from ..bag import BagNow
from ..wedges import is_fresh
from .short_test import Blind, ShortTest


def groove_pairs(facts: Facts) -> list[tuple[GrooveWedge, GrooveWedge]]:
    """Each old wedge with the fresh one of its loft."""
    return pairs(
        [
            GrooveWedge(
                club.key,
                club.letter or club.called,
                club.loft_deg,
                club.shots,
                is_fresh(club),
                club.age_rounds,
                air_of(facts, club),
            )
            for club in facts.wedges
        ]
    )


def _asked(club: Club, name: str) -> Asked:
    return Asked(club.key, name, {lie: len(shots) for lie, shots in hit_in(club.shots).items()})


def standing_of(facts: Facts, blind: Blind | None) -> Standing:
    """What the test still wants, pair by pair; of a blind one by its codes."""
    there, lie = facts.by_key, facts.asked.lie
    if blind is not None:
        asked = [[_asked(there[key], there[key].name) for key in blind.codes]]
    else:
        asked = [[_asked(there[each.key], each.name) for each in pair] for pair in groove_pairs(facts)]
    return standing(asked, facts.in_hand, None if lie in CLEAN_LIES else lie, [facts.asked.struck_ball])


def grooves_of(bag: BagNow) -> list[Grooves]:
    """What came of the groove test, a pair of wedges each."""
    facts = bag.facts
    balls = {each.struck_ball for each in facts.hit if each.protocol == KEY}
    found = [
        compared(old, fresh, facts.played_jobs, anchored=bag.known.anchored, balls=sorted(balls))
        for old, fresh in groove_pairs(facts)
    ]
    return [each for each in found if each is not None]


def results_of(bag: BagNow, told: Sequence[Blind]) -> list[Result]:
    """The same as it is shown, with what the last guess of each pair said."""
    guesses = {(each.old, each.fresh): told_blind(each) for each in told if each.guess is not None}
    return [as_result(each, guesses.get((each.old, each.fresh), NOTHING)) for each in grooves_of(bag)]


def keys_of(facts: Facts) -> list[tuple[int, int]]:
    return [(old.key, fresh.key) for old, fresh in groove_pairs(facts)]


def told_of(bag: BagNow) -> list[Tested]:
    return [as_tested(each) for each in grooves_of(bag)]


TEST = ShortTest(KEY, standing_of, results_of, keys_of, told_of)
