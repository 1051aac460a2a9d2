"""The bag as it may become: plans that somebody asks after, weighed by the session's one decision."""

from __future__ import annotations

from collections.abc import Collection
from functools import cached_property

from hemicycle_core.decision import Bag, Decision, Plan, SwapPair, exchanged
from hemicycle_core.decision.schools import school_plan
from hemicycle_core.judge import Liking

from ..models import BagPlan, Build
from .session import JudgedSession


class Planning:
    """The plans of one session beside what is decided."""

    def __init__(self, judged: JudgedSession) -> None:
        self.judged = judged

    @property
    def decision(self) -> Decision:
        return self.judged.decision

    @cached_property
    def builds(self) -> dict[str, Build]:
        """What a plan may hold, by key."""
        rows = self.judged.rows
        there = {option.key for option in self.decision.weigher.options}
        return {str(build.pk): build for build in (*rows.in_bag, *rows.candidates) if str(build.pk) in there}

    def schools(self) -> list[tuple[str, Bag]]:
        """The bag by both schools of how many wedges belong between the ends, where that is asked and a wedge is being
        tried: those that are another bag than today's."""
        wedges, weigher = self.judged.wedges, self.decision.weigher
        if wedges.ends is None or wedges.schools is None or not wedges.asked:
            return []
        found, ends = wedges.schools, wedges.ends
        if not {ends[0].name, ends[1].name} <= {option.club.name for option in weigher.options if option.own}:
            return []
        made = [
            (name, school_plan(weigher, ends, count, closed_first=closed))
            for name, count, closed in (("A wedge each", found.each, True), ("Part swings", found.part, False))
        ]
        return [(name, bag) for name, bag in made if bag.plan != weigher.today]

    def expected(self) -> Bag | None:
        """The best bag with a build in it that nobody hit yet, where it should save more than what is proposed."""
        weigher, decision = self.decision.weigher, self.decision
        rows = self.judged.rows.candidates
        vetoed = {str(build.pk) for build in rows if self.judged.liking_of(build) is Liking.VETOED}
        # A turn that is left is the headline's to propose: it is no build yet.
        new = [each for each in weigher.options if not (each.own or each.turned or each.key in vetoed)]
        unhit = {option.key for option in new if not option.hit}
        plans = [plan for plan in weigher.plans(new) if plan.keys & unhit]
        best = max(plans, key=lambda plan: (weigher.worth(plan).net, sorted(plan.keys)), default=None)
        if best is None or weigher.worth(best).net <= max(decision.bag.worth.net, 0.0):
            return None
        return weigher.weigh(best)

    def kept(self, row: BagPlan) -> Bag:
        """A plan that was kept, as far as its clubs are still there to be weighed."""
        keys = frozenset(str(build.pk) for build in row.builds.all()) & self.builds.keys()
        swap = None
        if row.swap_home_id and row.swap_away_id and {str(row.swap_home_id), str(row.swap_away_id)} <= keys:
            swap = SwapPair(str(row.swap_home_id), str(row.swap_away_id), row.swap_course)
        return self.decision.weigher.weigh(Plan(frozenset(keys), swap))


def exchange(judged: JudgedSession, keys: Collection[str]) -> tuple[list[Build], list[Build]]:
    """What a set of clubs means for the bag of today: the candidates that come in, the own clubs that leave."""
    rows = judged.rows
    builds = {str(build.pk): build for build in (*rows.own, *rows.candidates)}
    own = {str(build.pk): build.fixed for build in rows.in_favour if judged.bag.carried(build) is not None}
    come, leave = exchanged(keys, own=own, new=[str(build.pk) for build in rows.candidates])
    return [builds[key] for key in come], [builds[key] for key in leave]
