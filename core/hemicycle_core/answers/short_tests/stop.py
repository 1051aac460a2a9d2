"""The stop test."""

from __future__ import annotations

from collections.abc import Sequence

from ...facts import Facts
from ...facts.session import air_of
from ...protocols.asked import Standing
from ...protocols.found import Result
from ...protocols.stop.ask import KEY, StopGreen, standing
from ...protocols.stop.read import Stops, StopWedge, as_result, stops
from ..bag import BagNow
from .short_test import Blind, ShortTest


def stop_green(facts: Facts) -> StopGreen:
    """What the stop test is played to."""
    return StopGreen(firmness=facts.brief.firmness) if facts.stop_green is None else facts.stop_green


def stops_of(bag: BagNow) -> Stops | None:
    """What came of the stop test; None before a ball was seen to its target."""
    facts = bag.facts
    wedges = [
        StopWedge(
            club.key,
            club.letter or club.called,
            bag.known.carried.get(club.key),
            club.shots,
            air_of(facts, club),
        )
        for club in facts.wedges
    ]
    return stops(wedges, list(facts.seen), stop_green(facts), anchored=bag.known.anchored)


def standing_of(facts: Facts, _blind: Blind | None = None) -> Standing:
    """What the test still wants."""
    return standing([club.key for club in facts.wedges], facts.seen, stop_green(facts))


def results_of(bag: BagNow, _told: Sequence[Blind]) -> list[Result]:
    """What came of it, as it is shown."""
    found = stops_of(bag)
    return [] if found is None else [as_result(found, stop_green(bag.facts))]


TEST = ShortTest(KEY, standing_of, results_of)
