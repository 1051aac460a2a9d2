"""What was asked of the wedges beside their stock swings, and what came of it: part swings and the distance card,
grooves, stopping; and what bothers the player, answered by them."""

from __future__ import annotations

from collections.abc import Sequence

from ..facts import Club, Facts
from ..facts.session import air_of
from ..judge.claims import Claimed, Wedge, answered
from ..judge.eased import part_swings
from ..protocols.grooves.ask import KEY as GROOVES
from ..protocols.grooves.ask import GrooveTask
from ..protocols.grooves.ask import tasks as groove_tasks
from ..protocols.grooves.read import Grooves, GrooveWedge, as_claim, compared, hit_in, pairs
from ..protocols.part_swing.ask import PartPlan, part_plan
from ..protocols.part_swing.read import Card, CardWedge, distance_card
from ..protocols.stop.ask import StopGreen
from ..protocols.stop.read import Stops, StopWedge, stops
from ..wedges import Complaint, WedgeFlight
from .bag import BagNow
from .stand import OnStand
from .wedges import is_fresh, sands_of

# Part swings


def on_the_card(facts: Facts) -> list[Club]:
    """The wedges of the distance card: those of the bag, and those of the stand that a part swing was hit with."""
    return [club for club in facts.wedges if club in facts.in_bag or (not club.is_own and part_swings(club.shots))]


def part_plan_of(facts: Facts) -> PartPlan:
    """What the card still wants."""
    clubs = []
    for club in on_the_card(facts):
        hit = {each.swing: each.n for each in part_swings(club.shots)}
        stock = sum(shot.speaks_for_carry for shot in club.shots)
        clubs.append((club.key, club.stock_swing, {**hit, club.stock_swing: stock}))
    return part_plan(clubs)


def card_of(bag: BagNow) -> Card | None:
    """The distance card; None before a part swing was hit."""
    facts, carried = bag.facts, bag.known.carried
    wedges = [
        CardWedge(carried[club.key], part_swings(club.shots), air_of(facts, club))
        for club in on_the_card(facts)
        if club.key in carried
    ]
    return distance_card(wedges, bag.rules.wedge_step, anchored=bag.known.anchored, firmness=facts.brief.firmness)


# Grooves


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


def groove_tasks_of(facts: Facts, codes: Sequence[int] = ()) -> list[GrooveTask]:
    """What the groove test still wants, pair by pair; of a blind one by its codes."""
    if codes:
        hit = [(key, hit_in(facts.by_key[key].shots)) for key in codes]
        return groove_tasks([(key, {lie: len(shots) for lie, shots in mine.items()}) for key, mine in hit])
    return [
        task
        for pair in groove_pairs(facts)
        for task in groove_tasks(
            [(each.key, {lie: len(shots) for lie, shots in hit_in(each.shots).items()}) for each in pair]
        )
    ]


def grooves_of(bag: BagNow) -> list[Grooves]:
    """What came of the groove test, a pair of wedges each."""
    facts = bag.facts
    balls = {each.struck_ball for each in facts.hit if each.protocol == GROOVES}
    found = [
        compared(old, fresh, facts.played_jobs, anchored=bag.known.anchored, balls=sorted(balls))
        for old, fresh in groove_pairs(facts)
    ]
    return [each for each in found if each is not None]


# Stopping


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


# What bothers the player


def claims_of(stand: OnStand) -> list[Claimed]:
    """What bothers the player with each own wedge, answered as far as it was measured."""
    facts, bag = stand.facts, stand.bag
    complaining = [club for club in facts.wedges if club.is_own and club.complaints]
    if not complaining:
        return []
    seen = {club.key: _as_claimed(bag, club, stand.flights.get(club.key)) for club in facts.wedges}
    tests = {each.old: each for each in grooves_of(bag)}
    made = []
    for club in complaining:
        others = [each for key, each in seen.items() if key != club.key]
        for complaint in club.complaints:
            tested = tests.get(club.key) if complaint is Complaint.WORN else None
            if tested is not None:
                made.append(as_claim(club.called, tested))
                continue
            step = bag.rules.wedge_step
            made.append(answered(seen[club.key], complaint, others, step, bag.known.anchored))
    return made


def _as_claimed(bag: BagNow, club: Club, flight: WedgeFlight | None) -> Wedge:
    return Wedge(
        name=club.called,
        loft_deg=club.loft_deg,
        shots=club.shots,
        club=bag.known.carried.get(club.key),
        fresh=is_fresh(club),
        flight=flight,
        air=air_of(bag.facts, club),
        bounce_deg=club.bounce_deg,
        sands=sands_of(bag.facts),
    )
