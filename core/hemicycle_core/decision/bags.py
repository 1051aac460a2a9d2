"""Bags: any set of clubs weighed as a whole, and all those that a fitting may end with."""

from __future__ import annotations

import itertools
from collections.abc import Collection, Iterable, Iterator, Mapping, Sequence
from dataclasses import dataclass, field

from ..bag import Coverage, GapRules, coverage
from ..bag.gaps import CROWDED_M
from ..thresholds import DEFAULT
from ..units import metres
from .options import Limits, Option, Plan, SwapPair
from .worth import Costs, Worth, WorthTable

RELEARN_M = metres(3)  # a carry this near to one owned before is the same yardage to the player
MOST_DROPS, MOST_LOOSE = 2, 5
MOST_BESIDE_A_PAIR = 6  # builds, of which a third is tried beside each pair: more are too many bags


@dataclass(frozen=True)
class Bag:
    """A plan weighed. covered: the bag carried most of the time. count: clubs carried, the putter included; over: how
    many too many. worth: beside the bag of today; shots: successful ones a round on the named jobs, None without any.
    price: of what is bought. relearn: names of the clubs whose carry the player did not own before. added, dropped:
    names of the clubs that are new and of the own ones left out. by_job: the key of the club that does each job best;
    expected: names of the new ones that nobody hit; names: of all, by key."""

    plan: Plan
    covered: Coverage
    count: int
    over: int
    worth: Worth
    shots: float | None
    price: float
    relearn: tuple[str, ...]
    added: tuple[str, ...]
    dropped: tuple[str, ...]
    by_job: tuple[str, ...]
    expected: tuple[str, ...]
    names: Mapping[str, str] = field(default_factory=dict)

    @property
    def crowded(self) -> tuple[tuple[str, str], ...]:
        return tuple((gap.lower.name, gap.upper.name) for gap in self.covered.gaps if gap.crowded)


@dataclass(frozen=True)
class Weigher:
    """All that weighs a bag, and what it weighed already. tested: strokes a round that a test found the second of two
    clubs to save for the first, by their keys."""

    table: WorthTable
    rules: GapRules
    limits: Limits
    stroke_price: float = DEFAULT.stroke_price
    tested: Mapping[tuple[str, str], float] = field(default_factory=dict)
    _costs: dict[Plan, Costs] = field(default_factory=dict)

    @property
    def options(self) -> tuple[Option, ...]:
        return self.table.options

    @property
    def today(self) -> Plan:
        return Plan(frozenset(option.key for option in self.options if option.own))

    def costs(self, plan: Plan) -> Costs:
        if plan not in self._costs:
            self._costs[plan] = self.table.costs(plan)
        return self._costs[plan]

    def price(self, plan: Plan) -> float:
        return sum(each.price or 0.0 for each in self.options if each.key in plan.keys and not each.own)

    def worth(self, plan: Plan) -> Worth:
        """What a bag saves beside that of today."""
        tested = sum(
            saves for (old, fresh), saves in self.tested.items() if fresh in plan.keys and old not in plan.keys
        )
        return self.costs(plan).beside(self.costs(self.today), self.price(plan) / self.stroke_price, tested)

    def weigh(self, plan: Plan) -> Bag:
        """What the bag becomes with these clubs."""
        of = {option.key: option for option in self.options}
        usual = self.table.demand.rounds[-1][0]
        carried = [option for option in self.options if option.key in plan.carried_on(usual)]
        covered = coverage([option.club for option in carried], self.rules)
        bought = [option for option in self.options if option.key in plan.keys and not option.own]
        count = len(carried) + self.limits.without_carry
        by_job = self.costs(plan).by_job
        return Bag(
            plan=plan,
            covered=covered,
            count=count,
            over=max(0, count - self.limits.most),
            worth=self.worth(plan),
            shots=self._shots(by_job),
            price=self.price(plan),
            relearn=self.relearned(plan),
            added=tuple(option.club.name for option in bought),
            dropped=tuple(each.club.name for each in self.options if each.own and each.key not in plan.keys),
            by_job=by_job,
            expected=tuple(of[key].club.name for key in sorted(plan.keys) if not (of[key].hit or of[key].own)),
            names={key: of[key].club.name for key in plan.keys},
        )

    def relearned(self, plan: Plan) -> tuple[str, ...]:
        """Names of the new clubs whose carry the player did not own before."""
        before = [option.club.carry_m for option in self.options if option.own]
        return tuple(
            option.club.name
            for option in self.options
            if option.key in plan.keys and not option.own
            if all(abs(option.club.carry_m - carry) > RELEARN_M for carry in before)
        )

    def _shots(self, by_job: Sequence[str]) -> float | None:
        """Successful shots a round on the named jobs, on the course each comes up on most."""
        if not by_job or "" in by_job:
            return None
        of = {option.key: option for option in self.options}
        uses = self.table.demand.uses
        return sum(
            float(n) * of[key].played[job].success for job, (key, n) in enumerate(zip(by_job, uses, strict=True))
        )

    def ranked(self, plans: Iterable[Plan]) -> list[Plan]:
        """Bags by what is left of what they save when they are paid, each once."""
        return sorted(dict.fromkeys(plans), key=lambda plan: (-self.worth(plan).net, sorted(plan.keys)))

    def plans(self, new: Sequence[Option], *, swaps: bool = False) -> Iterator[Plan]:
        """Every bag with up to as many of the new clubs as there are places, inside the budget, with whatever must
        leave for them gone, and nothing else. swaps: pairs owned together too."""
        for size in range(1, min(self.limits.places, len(new)) + 1):
            for chosen in itertools.combinations(new, size):
                heads = [option.head for option in chosen if option.head]
                if len(set(heads)) < len(heads) or not self._affordable(chosen):
                    continue
                yield from self._with(chosen)
        if swaps and self.limits.places and len(self.table.demand.shares) > 1:
            yield from self._pairs(new)

    def _affordable(self, chosen: Sequence[Option]) -> bool:
        budget = self.limits.budget
        return budget is None or sum(option.price or 0.0 for option in chosen if not option.own) <= budget

    def _with(self, chosen: Sequence[Option]) -> Iterator[Plan]:
        """Plans that hold the chosen clubs: what they replace leaves, what is the same club twice leaves, and of the
        rest what the limit leaves no room for."""
        own = [option for option in self.options if option.own]
        gone = {option.key for option in own if any(_goes(option, come) for come in chosen)}
        stay = [option for option in own if option.key not in gone]
        kept = frozenset(option.key for option in (*stay, *chosen))
        over = max(0, len(kept) + self.limits.without_carry - self.limits.most)
        loose = [option for option in stay if option.loose]
        # Nobody takes an iron out of the middle of a set while anything else may go: where two of them carry the same
        # their lofts are measured first.
        loose = [option for option in loose if not option.of_the_set] or loose
        if over > min(MOST_DROPS, len(loose)):
            return
        if over > 1:
            loose = self._easiest(loose)
        for dropped in itertools.combinations(loose, over):
            if over == 0 or _twice(dropped, loose):
                yield Plan(kept - {option.key for option in dropped})

    def _easiest(self, loose: Sequence[Option]) -> list[Option]:
        """Of the clubs that may leave those whose yardages the others cover best: two of them leave together."""
        without = {each.key: self.worth(Plan(self.today.keys - {each.key})).saves for each in loose}
        twice = [each for each in loose if _twice([each], loose)]
        return sorted(twice, key=lambda each: -without[each.key])[:MOST_LOOSE]

    def _pairs(self, new: Sequence[Option]) -> Iterator[Plan]:
        """Two clubs owned together, the second for one of the courses that is not the usual one: both new, or a new one
        that takes the place of an own club there, whichever end of the bag the two are of. With places for more, each
        beside one further new club: three for two places."""
        courses = [course for course, _ in reversed(self.table.demand.rounds)][1:]
        own = [option for option in self.options if option.own]
        room = self.limits.most - len(own) - self.limits.without_carry
        pairs = list(itertools.permutations(new, 2)) if room >= 1 else []
        if room >= 0:
            pairs += list(itertools.product([option for option in own if option.loose], new))
        for home, away in pairs:
            beside: list[tuple[Option, ...]] = [()]
            if self.limits.places > 1 and room >= (1 if home.own else 2) and len(new) <= MOST_BESIDE_A_PAIR:
                beside += [(option,) for option in new if option.key not in (home.key, away.key)]
            for more in beside:
                owned = (home, away, *more)
                heads = [option.head for option in owned if option.head]
                if len(set(heads)) < len(heads) or not self._affordable(owned):
                    continue
                keys = frozenset(option.key for option in (*own, *owned))
                for course in courses:
                    yield Plan(keys, SwapPair(home.key, away.key, course))


def _twice(dropped: Sequence[Option], loose: Sequence[Option]) -> bool:
    """Whether, of clubs of which some are the same twice, it is one of those that leaves."""

    def beside(option: Option) -> bool:
        return any(
            other is not option and abs(other.club.carry_m - option.club.carry_m) < CROWDED_M
            for other in loose
            if not (other.club.kept_for or option.club.kept_for)
        )

    return not any(beside(option) for option in loose) or any(beside(option) for option in dropped)


def _goes(own: Option, come: Option) -> bool:
    """Whether an own club leaves for a new one: it is replaced, or the two are the same club twice."""
    if own.fixed:
        return False
    if come.replaces == own.club.name:
        return True
    return own.loose and not own.club.kept_for and abs(own.club.carry_m - come.club.carry_m) < CROWDED_M


def exchanged(keys: Collection[str], *, own: Mapping[str, bool], new: Sequence[str]) -> tuple[list[str], list[str]]:
    """What a set of clubs means for the bag of today: the keys that come in and those that leave.

    keys: of the clubs wanted. own: the clubs of today by key, and whether each is fixed, which stays whatever is
    wanted. new: the candidates.
    """
    return [key for key in new if key in keys], [key for key, fixed in own.items() if not fixed and key not in keys]
