"""Part swings and the distance card."""

from __future__ import annotations

from ...facts import Club, Facts
from ...facts.session import air_of
from ...judge.eased import part_swings
from ...protocols.asked import Standing
from ...protocols.part_swing.ask import Asked, standing
from ...protocols.part_swing.read import Card, CardWedge, distance_card
from ...shots import PART_SWING
from ..bag import BagNow
from .short_test import Blind, ShortTest


def on_the_card(facts: Facts) -> list[Club]:
    """The wedges of the distance card: those of the bag, and those of the stand that a part swing was hit with."""
    return [club for club in facts.wedges if club in facts.in_bag or (not club.is_own and part_swings(club.shots))]


def standing_of(facts: Facts, _blind: Blind | None = None) -> Standing:
    """What the card still wants."""
    wedges = []
    for club in on_the_card(facts):
        hit = {each.swing: each.n for each in part_swings(club.shots)}
        stock = sum(shot.speaks_for_carry for shot in club.shots)
        wedges.append(Asked(club.key, club.called, club.stock_swing, {**hit, club.stock_swing: stock}))
    return standing(wedges, facts.in_hand, facts.asked.length)


def card_of(bag: BagNow) -> Card | None:
    """The distance card; None before a part swing was hit."""
    facts, carried = bag.facts, bag.known.carried
    wedges = [
        CardWedge(carried[club.key], part_swings(club.shots), air_of(facts, club))
        for club in on_the_card(facts)
        if club.key in carried
    ]
    return distance_card(wedges, bag.rules.wedge_step, anchored=bag.known.anchored, firmness=facts.brief.firmness)


TEST = ShortTest(PART_SWING, standing_of)
