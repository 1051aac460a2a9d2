"""What bothers the player with his wedges, answered as far as it was measured."""

from __future__ import annotations

from ..facts import Club
from ..facts.session import air_of
from ..judge.claims import Claimed, Wedge, answered
from ..protocols.found import Outcome
from ..protocols.grooves.read import as_claim, by_test
from ..wedges import Complaint, WedgeFlight
from .bag import BagNow
from .short_tests import told
from .short_tests.grooves import grooves_of
from .stand import OnStand
from .wedges import is_fresh, sands_of


def claims_of(stand: OnStand) -> list[Claimed]:
    """What bothers the player with each own wedge, answered as far as it was measured."""
    facts, bag = stand.facts, stand.bag
    complaining = [club for club in facts.wedges if club.is_own and club.complaints]
    if not complaining:
        return []
    seen = {club.key: _as_claimed(bag, club, stand.flights.get(club.key)) for club in facts.wedges}
    tests = {each.old: each for each in told(bag)}
    grooves = {each.old: each for each in grooves_of(bag)}
    made = []
    for club in complaining:
        others = [each for key, each in seen.items() if key != club.key]
        tested, worn = tests.get(club.key), grooves.get(club.key)
        for complaint in club.complaints:
            if complaint is Complaint.WORN and worn is not None and (tested is None or tested.outcome is Outcome.OPEN):
                made.append(as_claim(club.called, worn))
                continue
            computed = answered(seen[club.key], complaint, others, bag.rules.wedge_step, bag.known.anchored)
            on_the_ground = complaint in (Complaint.RUNS_OUT, Complaint.WORN)
            made.append(by_test(computed, tested) if on_the_ground else computed)
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
        own=club.is_own,
    )
