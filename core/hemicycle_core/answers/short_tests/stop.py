"""The stop test."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace

from ...facts import Facts
from ...facts.session import air_of
from ...protocols.asked import Standing
from ...protocols.found import Result, Tested
from ...protocols.stop.ask import KEY, StopGreen, standing
from ...protocols.stop.read import Stops, StopWedge, as_result, as_tested, beside, stops
from ..bag import BagNow
from .grooves import keys_of
from .short_test import Blind, ShortTest


def stop_green(facts: Facts) -> StopGreen:
    """What the stop test is played to."""
    return StopGreen(firmness=facts.brief.firmness) if facts.stop_green is None else facts.stop_green


def stops_of(bag: BagNow) -> Stops | None:
    """What came of the stop test; None before a ball was seen to its target."""
    facts = bag.facts
    return stops(wedges_of(bag), list(facts.seen), stop_green(facts), anchored=bag.known.anchored)


def wedges_of(bag: BagNow) -> list[StopWedge]:
    facts, carried = bag.facts, bag.known.carried
    return [
        StopWedge(
            club.key,
            club.letter or club.called,
            carried.get(club.key),
            club.shots,
            air_of(facts, club),
            club.loft_deg,
        )
        for club in facts.wedges
    ]


def told_of(bag: BagNow) -> list[Tested]:
    """What was seen of each old wedge beside a new one, to every hole that was played to: another one that is played to
    now takes nothing back."""
    facts, anchored = bag.facts, bag.known.anchored
    wedges, green = {wedge.key: wedge for wedge in wedges_of(bag)}, stop_green(facts)
    pairs = [(wedges[old], wedges[fresh]) for old, fresh in keys_of(facts)]
    told = []
    for target_m in sorted({each.target_m for each in facts.seen}) if pairs else ():
        played = replace(green, target_m=target_m)
        found = stops(list(wedges.values()), list(facts.seen), played, anchored=anchored)
        seen = [(beside(found, *two, played, anchored), two) for two in pairs if found is not None]
        told += [as_tested(pair, old.name, fresh.name) for pair, (old, fresh) in seen if pair is not None]
    return told


def standing_of(facts: Facts, _blind: Blind | None = None) -> Standing:
    """What the test still wants."""
    return standing([club.key for club in facts.wedges], facts.seen, stop_green(facts))


def results_of(bag: BagNow, _told: Sequence[Blind]) -> list[Result]:
    """What came of it, as it is shown."""
    found = stops_of(bag)
    return [] if found is None else [as_result(found, stop_green(bag.facts))]


TEST = ShortTest(KEY, standing_of, results_of, tells=told_of)
