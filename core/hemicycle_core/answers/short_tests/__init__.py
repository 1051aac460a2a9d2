"""The tests beside stock swings, each by its key: what it still asks for, and what came of it over all its clubs.

A new test whose shots are asked for one by one, or that is read of several clubs together: a module here, and its line
in `TESTS`.
"""

from __future__ import annotations

from collections.abc import Mapping

from ...facts import Facts
from ...protocols.asked import Standing
from ...protocols.found import Result, Tested, together
from ..bag import BagNow
from ..ends import worked_at
from . import grooves, part_swing, stop
from .short_test import Blind, ShortTest

TESTS: Mapping[str, ShortTest] = {each.key: each for each in (part_swing.TEST, grooves.TEST, stop.TEST)}


def standings(facts: Facts, blind: Mapping[str, Blind]) -> dict[str, Standing]:
    """What each test still asks for, by its key, where wedges are worked at. blind: the pair that is under codes just
    now, by test."""
    if not worked_at(facts):
        return {}
    return {key: test.stands(facts, blind.get(key)) for key, test in TESTS.items()}


def pairs_of(facts: Facts, test: str) -> list[tuple[int, int]]:
    """The pairs that a test could be hit blind with: the club that is played and the new one, by key."""
    found = TESTS.get(test)
    return [] if found is None or found.pairs is None else found.pairs(facts)


def results(bag: BagNow, told: Mapping[str, list[Blind]]) -> list[Result]:
    """What came of every test. told: the pairs that were hit blind and are known, by test, in their order."""
    if not worked_at(bag.facts):
        return []
    return [found for key, test in TESTS.items() for found in test.found(bag, told.get(key, []))]


def told(bag: BagNow) -> list[Tested]:
    """What the tests together say of each club that is played beside a new one, what was seen before what was
    computed."""
    if not worked_at(bag.facts):
        return []
    found: dict[tuple[int, int], list[Tested]] = {}
    for each in sorted((each for test in TESTS.values() for each in test.tells(bag)), key=lambda each: not each.seen):
        found.setdefault((each.old, each.fresh), []).append(each)
    return [together(each) for each in found.values()]


__all__ = ["TESTS", "Blind", "ShortTest", "pairs_of", "results", "standings", "told"]
