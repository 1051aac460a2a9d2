"""What a decision is made of, put together, and which of its bags do what was asked."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np

from ..brief import Feared, Wish
from ..judge import Case, Judgement, Kind, Verdict
from ..protocols.found import Outcome
from ..thresholds import Thresholds
from .asked import Asked
from .bags import Weigher
from .options import Option, Plan, TestedClub
from .worth import Worth

LIKELY, LEAST_LIKELY = 0.5, 0.4  # that a build does what was asked; the best of them where none is likely to


@dataclass(frozen=True)
class Stand:
    """What a decision is made of, put together. may: the builds that may be proposed; plans: the bags with them, best
    first; known: whether the bag of today is; tested: what tests found of clubs that are played."""

    judgement: Judgement
    cases: Sequence[Case]
    weigher: Weigher
    asked: Asked
    may: Sequence[Option]
    plans: Sequence[Plan]
    known: bool
    feared: Feared
    thresholds: Thresholds
    tested: Sequence[TestedClub] = ()

    @property
    def verdict(self) -> dict[str, Verdict]:
        return {each.letter: each for each in self.judgement.verdicts}

    @property
    def waiting(self) -> Verdict | None:
        """A build that has not had its say, in full swings or in a test."""
        told = {each.letter for each in self.tested if each.outcome is not Outcome.OPEN}
        short = (each for each in self.judgement.verdicts if each.kind is Kind.NEEDS_SHOTS)
        return next((each for each in short if each.letter not in told), None)

    @property
    def floor(self) -> float:
        """What a bag must save beyond its price: nothing is asked of what was asked for by itself."""
        asked = self.asked
        if asked.of_old or asked.compared or (asked.something and asked.named):
            return -np.inf
        return 0.0 if asked.something and asked.free else self.thresholds.least_gain

    def new_in(self, plan: Plan) -> list[Option]:
        """The builds that come in, the likeliest to do what was asked first."""
        there = [option for option in self.may if option.key in plan.keys]
        return sorted(there, key=lambda option: (-option.likely, option.letter))

    def worth(self, plan: Plan) -> Worth:
        return self.weigher.worth(plan)

    def single(self) -> dict[str, Plan]:
        """By letter, the best bag with that build and no other new one in it."""
        found: dict[str, Plan] = {}
        for plan in self.plans:
            new = self.new_in(plan)
            if len(new) == 1 and plan.swap is None:
                found.setdefault(new[0].letter, plan)
        return found


def doing_of(stand: Stand) -> list[Plan]:
    """The bags that do what was asked, best first; all of them where nothing was."""
    asked = stand.asked
    if not asked.something:
        return list(stand.plans)
    chances = {plan: chance_of(plan, stand) for plan in stand.plans}
    doing = [plan for plan in stand.plans if chances[plan] >= LIKELY]
    if not doing:
        near = [plan for plan in stand.plans if _near(plan, stand) or (asked.of_old and chances[plan] >= LEAST_LIKELY)]
        top = max((chances[plan] for plan in near), default=0.0)
        doing = [plan for plan in near if chances[plan] == top]
    if asked.wanted.wish is Wish.FAR:
        tee = stand.judgement.weighed.off_tee
        doing.sort(key=lambda plan: float(tee[stand.new_in(plan)[0].letter].strokes.mean()))
    return doing


def chance_of(plan: Plan, stand: Stand) -> float:
    """That each new club of a bag does what was asked of a place of its own, the least of them. Of two that are swapped
    by course the one that is carried mostly does it; a new one that is carried on one course alone does not."""
    new = stand.new_in(plan)
    if plan.swap is not None:
        new = [option for option in new if option.key != plan.swap.away]
    slots = [option.slot for option in new]
    if not new or len(set(slots)) < len(slots):
        return 0.0
    if not stand.asked.of_old and not all(stand.asked.open.get(slot, False) for slot in slots):
        return 0.0
    return min(option.likely for option in new)


def _near(plan: Plan, stand: Stand) -> bool:
    """Whether the one new club of a bag lies in the hole that is to be filled, outside its window by less than the next
    head would mend, and crowds nobody. One that the player's speed does not hold up, only where it saves what a change
    that nobody asked for must save: a hole is not left open for its flight alone."""
    new = stand.new_in(plan)
    if len(new) != 1 or plan.swap is not None or stand.asked.of_old or stand.asked.named:
        return False
    said = stand.verdict[new[0].letter]
    off = said.off_m is not None and abs(said.off_m) <= stand.thresholds.one_head_m
    open_ = stand.asked.open.get(new[0].slot, False)
    held_up = said.kind is not Kind.NOT_SUPPORTED or stand.worth(plan).net > stand.thresholds.least_gain
    return open_ and off and held_up and said.kind is not Kind.CROWDS


def total_of(verdict: Verdict) -> float:
    """Where a build stops, metres; its carry where no total is known."""
    means = {fact.quantity: fact.mean for fact in verdict.facts}
    return means.get("total_m", means.get("carry_m", 0.0))
