"""Tests of the short game of one session: part swings and the distance card, grooves, stopping."""

from __future__ import annotations

from functools import cached_property
from typing import TYPE_CHECKING

from hemicycle_core.flight import Firmness
from hemicycle_core.judge.card import Card, CardWedge, distance_card
from hemicycle_core.judge.eased import PartSwing, part_swings
from hemicycle_core.judge.grooves import Grooves, GrooveWedge, compared, hit_in, pairs
from hemicycle_core.judge.stops import Stops, StopWedge, stops
from hemicycle_core.protocols.grooves import KEY as GROOVES
from hemicycle_core.protocols.grooves import GrooveTask
from hemicycle_core.protocols.grooves import tasks as groove_tasks
from hemicycle_core.protocols.part_swing import PartPlan, part_plan
from hemicycle_core.protocols.stop import StopGreen
from hemicycle_core.runs import Ball

from ..models import BlindGrooves, Build
from .bag import name_of

if TYPE_CHECKING:
    from .wedges import SessionWedges


class ShortTests:
    """What was asked of the wedges beside their stock swings, and what came of it."""

    def __init__(self, wedges: SessionWedges) -> None:
        self.wedges, self.rows, self.bag = wedges, wedges.rows, wedges.bag

    # Part swings

    @cached_property
    def on_the_card(self) -> list[Build]:
        """The wedges of the distance card: those of the bag, and those of the stand that a part swing was hit with."""
        in_bag, part = self.rows.in_bag, self.part_swings
        return [
            build
            for build in self.wedges.builds
            if build in in_bag or (build in self.rows.candidates and part[build.pk])
        ]

    @cached_property
    def part_swings(self) -> dict[int, list[PartSwing]]:
        return {build.pk: part_swings(self.rows.shots_of(build)) for build in self.wedges.builds}

    @cached_property
    def part_plan(self) -> PartPlan:
        """What the card still wants."""
        clubs = []
        for build in self.on_the_card:
            hit = {each.swing: each.n for each in self.part_swings[build.pk]}
            stock = sum(shot.speaks_for_carry for shot in self.rows.shots_of(build))
            clubs.append((build.pk, build.stock_swing, {**hit, build.stock_swing: stock}))
        return part_plan(clubs)

    @cached_property
    def card(self) -> Card | None:
        """The distance card; None before a part swing was hit."""
        wedges = [
            CardWedge(club, self.part_swings[build.pk], self.rows.air_of(build))
            for build in self.on_the_card
            if (club := self.bag.carried(build)) is not None
        ]
        return distance_card(
            wedges,
            self.bag.rules.wedge_step,
            anchored=self.bag.anchored,
            firmness=Firmness(self.rows.session.firmness),
        )

    # Grooves

    @cached_property
    def groove_pairs(self) -> list[tuple[GrooveWedge, GrooveWedge]]:
        """Each old wedge with the fresh one of its loft."""
        return pairs(
            [
                GrooveWedge(
                    build.pk,
                    build.letter or name_of(build),
                    build.loft_deg,
                    self.rows.shots_of(build),
                    self.wedges.is_fresh(build),
                    build.age_rounds,
                    self.rows.air_of(build),
                )
                for build in self.wedges.builds
            ]
        )

    @property
    def groove_blind(self) -> BlindGrooves | None:
        """The groove test that is blind just now."""
        return next((each for each in self.rows.blind_grooves if each.is_on), None)

    @property
    def groove_tasks(self) -> list[GrooveTask]:
        """What the groove test still wants, pair by pair; of a blind one by its codes."""
        if self.groove_blind is not None:
            hit = [(code.pk, hit_in(self.rows.shots_of(code))) for code in self.groove_blind.codes]
            return groove_tasks([(key, {lie: len(shots) for lie, shots in mine.items()}) for key, mine in hit])
        return [
            task
            for pair in self.groove_pairs
            for task in groove_tasks(
                [(each.key, {lie: len(shots) for lie, shots in hit_in(each.shots).items()}) for each in pair]
            )
        ]

    @cached_property
    def grooves(self) -> list[Grooves]:
        """What came of the groove test, a pair of wedges each."""
        balls = {Ball(shot.run.struck_ball) for shot in self.rows.shots if shot.run.protocol == GROOVES}
        found = [
            compared(old, fresh, self.rows.played_jobs, anchored=self.bag.anchored, balls=sorted(balls))
            for old, fresh in self.groove_pairs
        ]
        return [each for each in found if each is not None]

    # Stopping

    @property
    def stop_green(self) -> StopGreen:
        """What the stop test is played to."""
        test = self.rows.stop_test
        return StopGreen(firmness=Firmness(self.rows.session.firmness)) if test is None else test.for_core

    @cached_property
    def stops(self) -> Stops | None:
        """What came of the stop test; None before a ball was seen to its target."""
        wedges = [
            StopWedge(
                build.pk,
                build.letter or name_of(build),
                self.bag.carried(build),
                self.rows.shots_of(build),
                self.rows.air_of(build),
            )
            for build in self.wedges.builds
        ]
        seen = [each.for_core for each in self.rows.stops_seen if not each.aside]
        return stops(wedges, seen, self.stop_green, anchored=self.bag.anchored)
