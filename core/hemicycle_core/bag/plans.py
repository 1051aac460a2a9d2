"""What the bag becomes: any set of clubs, hit or expected, weighed as a whole; the best set found by search.

Best is what it is everywhere else: the most successful shots a round over the jobs, by their uses, inside the
limits; the bag of today unless another gains enough and surely enough; between bags that are known to do the same, the
one with fewer changes, then the cheaper. Without jobs the holes decide.
"""

from __future__ import annotations

import itertools
import math
from collections.abc import Collection, Iterable, Mapping, Sequence
from dataclasses import dataclass, field

import numpy as np
from numpy.typing import NDArray

from ..heads import HeadType
from ..thresholds import DEFAULT, Thresholds
from ..units import metres, shown, signed, yards, yd_text
from .clubs import Carried
from .gaps import CLOSED_M, CROWDED_M, Coverage, Gap, GapRules, coverage, widest_gap
from .slots import SlotLayout, lay_out_slots

Floats = NDArray[np.float64]

RELEARN_M = metres(3)  # a carry this near to one owned before is the same yardage to the player
NOISE_OPEN_M = metres(3)
CLOSED_HALF_M = metres(2)  # between the ends of the wedges, where every yard was cut
MOST_DROPS = 2
MOST_KEPT_PLANS = 3  # side by side: more cannot be compared at a glance
EVERYWHERE = ""


@dataclass(frozen=True)
class ClubOption:
    """A club a plan may hold. success (J, D): its success share on each of J jobs for each of D possible players.
    own: the player has it; fixed: it stays; hit: False when its figures are expected, not hit."""

    key: str
    club: Carried
    success: Floats
    own: bool = False
    fixed: bool = False
    hit: bool = True
    price: float = 0.0


@dataclass(frozen=True)
class Demand:
    """What is asked of the bag. uses (J,): times a round each job comes up; courses (J,): on which course, or
    EVERYWHERE; shares: of the rounds, by course, summing to 1; empty for one course."""

    uses: Floats
    courses: tuple[str, ...]
    shares: Mapping[str, float] = field(default_factory=dict)

    def on(self, course: str) -> NDArray[np.bool_]:
        """Which jobs come up on a course."""
        return np.array([each in (EVERYWHERE, course) for each in self.courses], dtype=bool)

    @property
    def rounds(self) -> list[tuple[str, float]]:
        return list(self.shares.items()) or [(EVERYWHERE, 1.0)]


@dataclass(frozen=True)
class SwapPair:
    """Two clubs owned together, one of them carried: `away` takes the place of `home` on one course."""

    home: str
    away: str
    course: str


@dataclass(frozen=True)
class Plan:
    """keys: of the clubs owned, pairs included. swap: None without one."""

    keys: frozenset[str]
    swap: SwapPair | None = None

    def carried_on(self, course: str) -> frozenset[str]:
        if self.swap is None:
            return self.keys
        out = self.swap.home if course == self.swap.course else self.swap.away
        return self.keys - {out}


@dataclass(frozen=True)
class Bag:
    """A plan weighed. covered: the bag carried most of the time. count: clubs carried, the putter included; over:
    how many too many. rounds (D,): successful shots a round, empty without jobs. price: of what is bought. relearn:
    names of the clubs whose carry the player did not own before. added, dropped: names of the clubs that are new
    and of the own ones left out. by_job: the key of the club that does each job best on its course, or on the usual
    one. next_slot: the widest hole that is left, and the window that closes it. called: its clubs by key."""

    plan: Plan
    covered: Coverage
    count: int
    over: int
    rounds: Floats
    price: float
    relearn: tuple[str, ...]
    added: tuple[str, ...]
    dropped: tuple[str, ...]
    by_job: tuple[str, ...]
    expected: tuple[str, ...]
    next_slot: SlotLayout | None
    next_gap: tuple[str, str] | None
    called: Mapping[str, str] = field(default_factory=dict)

    @property
    def mean_rounds(self) -> float:
        return float(self.rounds.mean()) if self.rounds.size else 0.0

    @property
    def crowded(self) -> tuple[tuple[str, str], ...]:
        return tuple((gap.lower.name, gap.upper.name) for gap in self.covered.gaps if gap.crowded)

    def better_than(self, other: Bag) -> float:
        """Chance that this bag makes more successful shots a round than another."""
        if not self.rounds.size:
            return 0.5
        return float((self.rounds > other.rounds).mean() + 0.5 * (self.rounds == other.rounds).mean())


@dataclass(frozen=True)
class Limits:
    """most: clubs carried. budget: for all that is bought, None for none named."""

    most: int = 14
    budget: float | None = None
    without_carry: int = 1  # clubs in the bag that the map does not show: the putter, and any whose carry is unknown


def weigh_plan(plan: Plan, options: Sequence[ClubOption], demand: Demand, rules: GapRules, limits: Limits) -> Bag:
    """What the bag becomes with these clubs."""
    of = {option.key: option for option in options}
    usual = max(demand.rounds, key=lambda each: (each[1], each[0]))[0]
    carried = [option for option in options if option.key in plan.carried_on(usual)]
    covered = coverage([option.club for option in carried], rules)
    before = [option.club.carry_m for option in options if option.own]
    rounds, by_job = _rounds(plan, options, demand)
    bought = [option for option in options if option.key in plan.keys and not option.own]
    count = len(carried) + limits.without_carry
    slot, between = _next(covered)
    return Bag(
        plan=plan,
        covered=covered,
        count=count,
        over=max(0, count - limits.most),
        rounds=rounds,
        price=sum(option.price for option in bought),
        relearn=tuple(
            option.club.name
            for option in bought
            if all(abs(option.club.carry_m - carry) > RELEARN_M for carry in before)
        ),
        added=tuple(option.club.name for option in bought),
        dropped=tuple(option.club.name for option in options if option.own and option.key not in plan.keys),
        by_job=by_job,
        expected=tuple(of[key].club.name for key in sorted(plan.keys) if not of[key].hit),
        next_slot=slot,
        next_gap=between,
        called={key: of[key].club.name for key in plan.keys},
    )


def _rounds(plan: Plan, options: Sequence[ClubOption], demand: Demand) -> tuple[Floats, tuple[str, ...]]:
    """Successful shots a round (D,), each job by the club carried there that does it best on average."""
    jobs = demand.uses.size
    if not jobs or not options:
        return np.zeros(0), ()
    total: Floats = np.zeros(options[0].success.shape[1])
    by_job = [""] * jobs
    # The usual course last: a job met everywhere is shown with the club that does it there.
    for course, share in sorted(demand.rounds, key=lambda each: each[1]):
        there = [option for option in options if option.key in plan.carried_on(course)]
        if not there:
            continue
        on = np.flatnonzero(demand.on(course))
        made, best = shared_out(np.stack([option.success[on] for option in there]), demand.uses[on])
        total = total + share * made
        for job, club in zip(on, best, strict=True):
            by_job[job] = there[club].key
    return total, tuple(by_job)


def shared_out(success: Floats, uses: Floats) -> tuple[Floats, NDArray[np.int_]]:
    """Successful shots a round (D,), each job by the club that does it best on average, and which that is (J,).
    success (C, J, D): of each club on each job for each possible player; uses (J,): times a round."""
    best = success.mean(axis=2).argmax(axis=0)
    return uses @ success[best, np.arange(uses.size)], best


def _next(covered: Coverage) -> tuple[SlotLayout | None, tuple[str, str] | None]:
    """The widest hole left and the window that closes it."""
    widest = widest_gap(covered)
    if widest is None:
        return None, None
    slot = lay_out_slots(widest.lower, widest.upper, 1, rule=widest.rule, step=widest.step)
    return slot, (widest.lower.name, widest.upper.name)


@dataclass(frozen=True)
class BestPlan:
    """The best bag for a number of new clubs, the one it beat, and why in a sentence. searched: bags weighed."""

    bag: Bag
    runner_up: Bag | None
    sentence: str
    searched: int


def best_plan(
    options: Sequence[ClubOption],
    places: int,
    demand: Demand,
    rules: GapRules,
    limits: Limits,
    *,
    swaps: bool = False,
    thresholds: Thresholds = DEFAULT,
) -> BestPlan:
    """The best bag with up to `places` new clubs, found by weighing every one.

    What is over the limit of clubs is dropped from the clubs that are not fixed. swaps: also look at pairs owned
    together where the demand names more than one course. Without a job the holes decide.
    """
    new = [option for option in options if not option.own]
    today = weigh_plan(Plan(frozenset(option.key for option in options if option.own)), options, demand, rules, limits)
    bags = [today]
    for size in range(1, min(places, len(new)) + 1):
        for chosen in itertools.combinations(new, size):
            if limits.budget is not None and sum(option.price for option in chosen) > limits.budget:
                continue
            bags += [weigh_plan(plan, options, demand, rules, limits) for plan in _with(chosen, options, limits)]
    if swaps and places:
        bags += [weigh_plan(plan, options, demand, rules, limits) for plan in _pairs(new, options, demand, limits)]
    inside = [bag for bag in bags if not bag.over] or bags
    worth = [bag for bag in inside if bag is not today and _worth_having(bag, today, thresholds)]
    if not today.rounds.size:
        worth = inside  # without a job the holes decide, today's among them
    best = _best(worth or ([today] if not today.over else inside), thresholds)
    rest = [bag for bag in inside if bag is not best and bag is not today]
    runner = _best(rest, thresholds) if rest else None
    return BestPlan(best, runner, explain(best, today, runner, thresholds), len(bags))


def school_plan(
    options: Sequence[ClubOption],
    ends: tuple[Carried, Carried],
    count: int,
    demand: Demand,
    rules: GapRules,
    limits: Limits,
    *,
    closed_first: bool,
) -> Bag:
    """The bag with `count` wedges between the two ends, out of those that are there: where each yardage is to have its
    wedge the least open one, which never has fewer than are carried, else the one that makes most of the jobs; all else
    of the bag stays. With fewer there than asked for, all of them."""
    low, high = ends

    def inside(option: ClubOption) -> bool:
        wedge = option.club.head_type is HeadType.WEDGE and not option.club.kept_for
        return wedge and low.carry_m + CROWDED_M <= option.club.carry_m <= high.carry_m - CROWDED_M

    there = [option for option in options if inside(option) and not option.fixed]
    stay = frozenset(option.key for option in options if option.own and option not in there)
    if closed_first:
        count = max(count, sum(option.own for option in there))
    bags = [
        weigh_plan(Plan(stay | {option.key for option in chosen}), options, demand, rules, limits)
        for chosen in itertools.combinations(there, min(count, len(there)))
    ]

    def worth(bag: Bag) -> tuple[float, float, int, float]:
        gaps = (
            gap for gap in bag.covered.gaps if low.carry_m <= gap.lower.carry_m and gap.upper.carry_m <= high.carry_m
        )
        tidy = round(math.hypot(*(gap.open_m for gap in gaps)) / CLOSED_HALF_M) if closed_first else 0
        return tidy, -round(bag.mean_rounds, 2), len(bag.added), bag.price

    return min(bags, key=worth)


def _worth_having(bag: Bag, today: Bag, thresholds: Thresholds) -> bool:
    """Whether a bag makes enough more of the jobs than today's, and surely enough, as the choice asks of a build. One
    within the limit of clubs is worth having beside a bag that is over it; one with clubs that were not hit yet is
    worth looking at, as nothing is bought by it."""
    if not bag.rounds.size or today.over or bag.expected:
        return True
    gain = bag.mean_rounds - today.mean_rounds
    return bag.better_than(today) >= thresholds.better and gain >= thresholds.least_gain


def _with(chosen: Sequence[ClubOption], options: Sequence[ClubOption], limits: Limits) -> Iterable[Plan]:
    """Plans that hold the chosen clubs and whatever of the own ones the limit leaves room for."""
    own = [option for option in options if option.own]
    loose = [option for option in own if not option.fixed]
    over = max(0, len(own) + len(chosen) + limits.without_carry - limits.most)
    kept = frozenset(option.key for option in (*own, *chosen))
    if over > min(MOST_DROPS, len(loose)):
        yield Plan(kept)
        return
    for dropped in itertools.combinations(loose, over):
        yield Plan(kept - {option.key for option in dropped})
    if over == 0:
        # A club that the new one makes idle may go, though the limit does not ask for it.
        near = [
            option for option in loose if any(abs(option.club.carry_m - c.club.carry_m) < RELEARN_M for c in chosen)
        ]
        yield from (Plan(kept - {option.key}) for option in near)


def _pairs(new: Sequence[ClubOption], options: Sequence[ClubOption], demand: Demand, limits: Limits) -> Iterable[Plan]:
    """Two clubs owned together, the second for one of the courses that is not the usual one: both new, or a new one
    that takes the place of an own club there, whichever end of the bag the two are of."""
    courses = [course for course, _ in sorted(demand.rounds, key=lambda each: -each[1])][1:]
    own = [option for option in options if option.own]
    loose = [option for option in own if not option.fixed]
    more = [] if len(own) + 1 + limits.without_carry > limits.most else list(itertools.permutations(new, 2))
    if len(own) + limits.without_carry <= limits.most:
        more += list(itertools.product(loose, new))
    for home, away in more:
        price = away.price + (0.0 if home.own else home.price)
        if limits.budget is not None and price > limits.budget:
            continue
        for course in courses:
            keys = frozenset(option.key for option in (*own, home, away))
            yield Plan(keys, SwapPair(home.key, away.key, course))


def _best(bags: Sequence[Bag], thresholds: Thresholds) -> Bag:
    top = max(bags, key=lambda bag: (bag.mean_rounds, -_openness(bag)))
    close = [bag for bag in bags if bag is top or _level(top, bag, thresholds)]
    least = min(_openness(bag) for bag in close)
    closed = [bag for bag in close if _openness(bag) <= least + NOISE_OPEN_M]
    return min(closed, key=_least_changed)


def _openness(bag: Bag) -> float:
    """How open a bag is, in metres: the root of the holes' squares, so that one wide hole is worse than two narrow
    ones of the same sum, and a hole nothing can fill does not hide the others."""
    return math.hypot(*(gap.open_m for gap in bag.covered.gaps))


def _least_changed(bag: Bag) -> tuple[int, float, float, list[str]]:
    return len(bag.added) + len(bag.dropped), bag.price, _openness(bag), sorted(bag.plan.keys)


def _level(top: Bag, other: Bag, thresholds: Thresholds) -> bool:
    """Whether another bag is known to do as many of the jobs, by the rule that the choice of a build has."""
    if not top.rounds.size:
        return True
    return float((top.rounds - other.rounds < thresholds.level_shots).mean()) >= thresholds.level_sure


def exchanged(keys: Collection[str], *, own: Mapping[str, bool], new: Sequence[str]) -> tuple[list[str], list[str]]:
    """What a set of clubs means for the bag of today: the keys that come in and those that leave.

    keys: of the clubs wanted. own: the clubs of today by key, and whether each is fixed, which stays whatever is
    wanted. new: the candidates.
    """
    return [key for key in new if key in keys], [key for key, fixed in own.items() if not fixed and key not in keys]


def explain(best: Bag, today: Bag, runner: Bag | None, thresholds: Thresholds = DEFAULT) -> str:
    """Why this bag, against the bag of today and the runner-up."""
    if best.plan == today.plan:
        if not today.rounds.size:
            return "Keep the bag as it is: nothing on the stand closes more of the space."
        return "Keep the bag as it is: nothing on the stand does surely and enough more of the jobs to be worth having."
    parts = []
    if today.covered.open_m - best.covered.open_m >= CLOSED_M:
        before, after = yards(today.covered.open_m), yards(best.covered.open_m)
        parts.append(f"{shown(before)} yd uncovered become {shown(after)}")
    if best.rounds.size:
        gained = best.rounds - today.rounds
        low, high = np.quantile(gained, [0.05, 0.95])
        said = f"{signed(gained.mean(), 1)} successful shots a round ({signed(low, 1)} to {signed(high, 1)})"
        parts.append(said)
    if best.dropped:
        parts.append(f"{' and '.join(best.dropped)} may go")
    if best.price:
        parts.append(f"for {shown(best.price)}")
    words = f"{_come(best)}: {', '.join(parts)}" if best.added else ", ".join(parts)
    beside = ""
    if runner is not None and runner.plan != today.plan and best.rounds.size:
        behind = best.mean_rounds - runner.mean_rounds
        told = best.better_than(runner) >= thresholds.better
        tie = f"{shown(behind, 1)} a round behind" if told else "as good as far as can be told"
        names = f", {_come(runner)}," if runner.added else ""
        beside = f" The next best{names} is {tie}."
    return f"{words[:1].upper()}{words[1:]}.{beside}"


def _come(bag: Bag) -> str:
    """What comes into a bag, and of a pair which gives its place to which, where."""
    swap = bag.plan.swap
    if swap is None:
        return f"{' and '.join(bag.added)} in"
    name = bag.called
    home, away = name.get(swap.home, ""), name.get(swap.away, "")
    others = [each for each in bag.added if each not in (home, away)]
    come = [*others, *([home] if home in bag.added else [])]
    first = f"{' and '.join(come)} in, " if come else ""
    return f"{first}{away} for {home} on {swap.course}"


def replanned(before: Coverage, after: Coverage, newcomer: str) -> str:
    """What a club that comes in does to its neighbours: what it fills, what it leaves, whom it crowds."""
    index = next(i for i, club in enumerate(after.clubs) if club.name == newcomer)
    sides = [gap for gap in after.gaps if newcomer in (gap.lower.name, gap.upper.name)]
    was = next(
        (
            gap
            for gap in before.gaps
            if gap.lower.carry_m <= after.clubs[index].carry_m <= gap.upper.carry_m and gap.open_m > 0
        ),
        None,
    )
    left = [gap for gap in sides if gap.open_m > 0]
    close = [gap for gap in sides if gap.crowded]
    said = []
    if was is not None and not left:
        said.append(f"Closes the {yd_text(was.open_m)} yd between {was.lower.name} and {was.upper.name}")
    elif was is not None:
        rest = " and ".join(_open_words(gap, newcomer) for gap in left)
        space = f"Of the {yd_text(was.open_m)} yd between {was.lower.name} and {was.upper.name}"
        said.append(f"{space}, {rest.replace(' ', ' stay open ', 1)}")
    elif left:
        said.append("There is no hole where it lands")
    for gap in close:
        other = gap.upper if gap.lower.name == newcomer else gap.lower
        way = "under" if other is gap.upper else "past"
        said.append(f"only {yd_text(gap.step_m)} yd {way} your {other.name}")
    if not said:
        return "Changes no hole."
    return f"{said[0]}, but {' and '.join(said[1:])}." if len(said) > 1 else f"{said[0][:1].upper()}{said[0][1:]}."


def rebagged(before: Coverage, after: Coverage, added: Sequence[str], dropped: Sequence[str]) -> str:
    """What a bag becomes by the clubs that come in and those that leave, by name; what it leaves open as it is."""
    if len(added) == 1 and not dropped:
        return replanned(before, after, added[0])
    if not (added or dropped):
        return left_open(after)
    was, now = (max((yards(gap.open_m) for gap in bag.gaps), default=0.0) for bag in (before, after))
    change = f"The widest hole goes from {shown(was)} to {shown(now)} yd"
    if f"{shown(was)}" == f"{shown(now)}":
        change = f"The widest hole stays {shown(now)} yd" if now else "No hole opens"
    left = left_open(after)
    return f"{change}. {left[:1].upper()}{left[1:]}"


def next_gap_words(bag: Bag) -> str:
    """The widest hole that a bag leaves, and the window that would close it."""
    if bag.next_slot is None or bag.next_gap is None:
        return "No hole is left."
    slot, (lower, upper) = bag.next_slot.slots[0], bag.next_gap
    hole = next(gap for gap in bag.covered.gaps if (gap.lower.name, gap.upper.name) == (lower, upper))
    window = f"{yd_text(slot.low_m)} to {yd_text(slot.high_m)}"
    return f"Widest hole left: {yd_text(hole.open_m)} yd between {lower} and {upper}. Its window: carry {window}."


def left_open(covered: Coverage) -> str:
    """What a bag leaves uncovered, widest first, and who crowds whom."""
    holes = sorted((gap for gap in covered.gaps if gap.open_m > 0), key=lambda gap: -gap.open_m)
    said = [f"{yd_text(gap.open_m)} yd uncovered between {gap.lower.name} and {gap.upper.name}" for gap in holes]
    close = (gap for gap in covered.gaps if gap.crowded)
    said += [f"{gap.upper.name} is only {yd_text(gap.step_m)} yd past {gap.lower.name}" for gap in close]
    return "; ".join(said) + "." if said else "No hole by this rule."


def _open_words(gap: Gap, newcomer: str) -> str:
    return f"{yd_text(gap.open_m)} {'above' if gap.lower.name == newcomer else 'below'} it"
