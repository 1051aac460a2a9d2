"""The bag as it is now: its clubs in order, the rule and step of each end, what it covers."""

from __future__ import annotations

from dataclasses import dataclass

from ..bag import Carried, Coverage, GapRule, GapRules, StepWish, coverage, usual_rules
from ..facts import Facts
from ..kept import lazily
from .clubs import KnownClubs


@dataclass(frozen=True, eq=False)
class BagNow:
    """clubs: the player's own that are played, and what was taken in for the time being, as far as their carries are
    known. rules: as the fitter set them or as usual."""

    known: KnownClubs
    clubs: list[Carried]
    rules: GapRules

    @property
    def facts(self) -> Facts:
        return self.known.facts

    @lazily
    def coverage(self) -> Coverage:
        return coverage(self.clubs, self.rules)

    @lazily
    def today(self) -> Coverage:
        """The player's own clubs alone."""
        own = {club.name for club in self.facts.own}
        return coverage([club for club in self.clubs if club.name in own], self.rules)


def bag_now(known: KnownClubs) -> BagNow:
    return BagNow(known, known.in_bag, _rules(known))


def _rules(known: KnownClubs) -> GapRules:
    """The rule of each end with its step, as the fitter set them or as usual."""
    said, limits = known.facts.space, known.facts.thresholds
    usual = usual_rules(GapRule(said.rule), known.driver_speed_mps)

    def step(least: float | None, most: float | None, otherwise: StepWish) -> StepWish:
        return StepWish(least, most) if least is not None and most is not None else otherwise

    return GapRules(
        long=usual.long,
        long_step=step(said.long_least_m, said.long_most_m, usual.long_step),
        short=GapRule(said.short_rule),
        short_step=step(said.short_least_m, said.short_most_m, usual.short_step),
        long_stretch=limits.stretch_long,
        short_stretch=limits.stretch_short,
    )
