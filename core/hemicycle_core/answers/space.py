"""The space in work: what leads, the slots that are laid out for it, and the targets in force in each."""

from __future__ import annotations

from dataclasses import dataclass, replace

from ..bag import (
    BagEnd,
    Carried,
    Gap,
    GapOrder,
    HeadType,
    Slot,
    SlotLayout,
    gap_around,
    gap_at,
    gap_in_work,
    lay_out_like,
    lay_out_slots,
    nearest_slot,
    slot_with_roll,
    widest_gap,
)
from ..bag.gaps import gap_between
from ..brief import Job, Target, Wanted, Wish, jobs_of_slot, propose, propose_flight, propose_like, uses_in
from ..brief.targets import propose_named
from ..brief.wishes import (
    COMPARED,
    far_wanted,
    flight_wanted,
    lay_out_named,
    lay_out_replacing,
    like_wanted,
    named_target,
    propose_far,
    propose_replacing,
    replace_wanted,
)
from ..facts import Club, Facts, Overruled
from ..facts.space import Space
from ..judge.held import job_to_count
from ..kept import lazily
from ..rack import Reach, reach
from ..said import say
from ..wedges import School, WedgeWish
from .clubs import KnownClubs, mean_of
from .ends import WedgeEnds


@dataclass(frozen=True, eq=False)
class InWork:
    """wish: what leads, as far as it can; like: the club a new one is held against, where the wish has one; named: the
    yardage or band that was named, metres. gap: around the old club or the yardage named, else as the rule says; None
    where there is none, and where builds are only compared. layout: the slots in work; None where nothing is open and
    where no carry is asked for. cut: the layout of the wedges, where that is what is in work."""

    ends: WedgeEnds
    wish: Wish
    like: Carried | None
    wanted: Wanted
    named: tuple[float, float] | None
    gap: Gap | None
    layout: SlotLayout | None

    @property
    def facts(self) -> Facts:
        return self.ends.facts

    @property
    def known(self) -> KnownClubs:
        return self.ends.bag.known

    @property
    def cut(self) -> SlotLayout | None:
        return self.ends.cut

    @property
    def beside(self) -> tuple[Carried | None, Carried | None]:
        """The clubs on both sides of the space in work, None where there is none."""
        return (None, None) if self.gap is None else (self.gap.lower, self.gap.upper)

    @property
    def somewhere(self) -> bool:
        """Whether there is a place to try builds for."""
        return self.layout is not None or self.wanted.windowless

    @lazily
    def without_window(self) -> list[Target]:
        """What is asked where no carry is: to go further than the old club, or nothing."""
        if self.wish is not Wish.FAR or self.like is None:
            return []
        return propose_far(self.like, self.facts.thresholds)

    def slot_of(self, club: Club) -> Slot | None:
        """The slot a candidate is judged for: the one its carry is nearest to."""
        if self.layout is None:
            return None
        carry = mean_of(club, "carry_m")
        return nearest_slot(self.layout.slots, carry.mean if carry else None)

    def slot_as(self, slot: Slot, head_type: HeadType) -> Slot:
        """A slot for one kind of head: what rolls further may carry less."""
        line = self.known.lines.get(head_type)
        return slot if line is None else self._by_roll(slot, line.roll_at(slot.target_m))

    def _by_roll(self, slot: Slot, roll_m: float) -> Slot:
        """A slot for a club that rolls so far; where an old club's yardage is wanted, roll moves nothing."""
        if self.named is not None:
            return _named_layout(self.facts.space, roll_m).slots[0]
        if self.layout is None or self.gap is None or self.like is not None:
            return slot
        return slot_with_roll(self.layout, slot.index, self.gap.lower, self.gap.upper, roll_m)

    def window_of(self, club: Club, slot: Slot) -> Slot:
        """A slot for one build: by its own roll-out once five of its shots count, by its kind's before. That roll
        stands from then on, so that a window moves once."""
        roll = self.known.measured_roll(club)
        return self.slot_as(slot, club.head_type) if roll is None else self._by_roll(slot, roll)

    def uses_in_gap(self) -> float | None:
        """How often a round the jobs ask for a shot into the space in work; None without jobs."""
        if not self.facts.jobs or self.layout is None:
            return None
        jobs = self.facts.core_jobs
        mine = {id(job): job for slot in self.layout.slots for job in jobs_of_slot(jobs, slot)}
        return sum(job.uses_per_round for job in mine.values())

    @lazily
    def job_counted(self) -> Job | None:
        """The job that balls are counted on."""
        return job_to_count(self.facts.core_jobs, self.layout.slots[0] if self.layout else None)


# Targets


def proposed(work: InWork, slot: Slot) -> list[Target]:
    """What the interview and the bag propose for a slot."""
    if work.layout is None:
        return []
    facts, like, wish = work.facts, work.like, work.wish
    miss, jobs, limits = facts.brief.miss, facts.core_jobs, facts.thresholds
    asked = facts.space.flight_wish
    if like is not None and wish is Wish.REPLACE:
        return propose_replacing(like, facts.space.replace_ways, work.layout, jobs, miss=miss, thresholds=limits)
    if like is not None and asked is not None:
        return propose_flight(like, asked, slot, jobs, miss=miss, thresholds=limits)
    if like is not None:
        return propose_like(like, slot, jobs, miss=miss)
    if work.named is not None:
        return propose_named(named_target(work.layout), slot, *work.beside, jobs, miss=miss)
    assert work.gap is not None
    return propose(work.layout, slot, work.gap.lower, work.gap.upper, jobs, miss=miss)


def override_of(facts: Facts, slot: Slot, quantity: str) -> Overruled | None:
    found = None
    for each in facts.overruled:
        if each.slot == slot.index and each.quantity == quantity:
            found = None if each.cleared else each
    return found


def targets(work: InWork, slot: Slot) -> list[Target]:
    """The targets in force: proposals, with the fitter's own where one was set."""
    in_force = []
    for target in proposed(work, slot):
        mine = override_of(work.facts, slot, target.quantity)
        kept = target if mine is None else replace(target, low=mine.low, high=mine.high)
        in_force.append(kept)
    return in_force


def targets_in(work: InWork, slot: Slot, own: Slot) -> list[Target]:
    """The targets in force with the window of a kind or a build; a carry the fitter set stays as it was set."""
    return [
        replace(target, low=own.low_m, high=own.high_m)
        if target.quantity == "carry_m" and override_of(work.facts, slot, "carry_m") is None
        else target
        for target in targets(work, slot)
    ]


def targets_as(work: InWork, slot: Slot, head_type: HeadType) -> list[Target]:
    """The targets in force for one kind of head."""
    return targets_in(work, slot, work.slot_as(slot, head_type))


def out_of_reach(work: InWork, slot: Slot) -> Reach | None:
    """Whether the landing wanted can be had at this speed; None where it is, or where nothing is known."""
    wanted = {target.quantity: target for target in targets(work, slot)}
    landing = wanted.get("landing_deg")
    if landing is None or landing.low is None:
        return None
    found = reach(work.known.lines, carry_m=slot.target_m, holds_deg=landing.low)
    return None if found is None or found.within else found


def reached(known: KnownClubs, gap: Gap) -> bool:
    """Whether some usual head carries into a gap at this speed; yes where flights are not known."""
    if not known.lines:
        return True
    (slot,) = lay_out_slots(gap.lower, gap.upper, 1, rule=gap.rule, step=gap.step).slots
    return any(line.carry_m[-1] >= slot.low_m for line in known.lines.values())


# What is in work


def in_work(ends: WedgeEnds) -> InWork:
    facts, bag = ends.facts, ends.bag
    old = next((club for club in facts.own if club.key == facts.space.like_for), None)
    like = bag.known.carried.get(old.key) if old else None
    said = facts.space.wish
    # A wish that rests on an old club needs to know it.
    wish = said if like is not None or said is Wish.COMPARE else Wish.GAP
    named = _named(facts.space, wish)
    wanted = _wanted(facts, wish, like)
    gap = _gap(ends, wish, like, named)
    return InWork(ends, wish, like, wanted, named, gap, _layout(ends, wish, like, wanted, named, gap))


def _named(space: Space, wish: Wish) -> tuple[float, float] | None:
    low, high = space.named_low_m, space.named_high_m
    return None if low is None or high is None or wish is not Wish.GAP else (low, high)


def _named_layout(space: Space, roll_m: float) -> SlotLayout:
    assert space.named_low_m is not None and space.named_high_m is not None
    return lay_out_named(space.named_low_m, space.named_high_m, roll_m, total=space.named_total)


def _wanted(facts: Facts, wish: Wish, like: Carried | None) -> Wanted:
    """What is wanted, with what is wished of wedges."""
    return replace(_asked(facts, wish, like), lower=WedgeWish.LOWER in facts.brief.wedge_wishes)


def _asked(facts: Facts, wish: Wish, like: Carried | None) -> Wanted:
    if wish is Wish.COMPARE:
        return COMPARED
    if like is None:
        return Wanted()
    if wish is Wish.FAR:
        return far_wanted(like, facts.core_jobs) if like.hit else Wanted(Wish.FAR)
    if wish is Wish.REPLACE:
        return replace_wanted(like, list(facts.space.replace_ways))
    asked = facts.space.flight_wish
    return like_wanted(like) if asked is None else flight_wanted(like, asked)


def _gap(ends: WedgeEnds, wish: Wish, like: Carried | None, named: tuple[float, float] | None) -> Gap | None:
    facts, bag = ends.facts, ends.bag
    if wish is Wish.COMPARE:
        return None
    if like is not None:
        return gap_around(like, bag.clubs, bag.rules)
    if named is not None:
        return gap_at(sum(named) / 2, bag.coverage)
    if ends.cut is not None and ends.cut_between is not None:
        low, high = ends.cut_between
        return gap_between(low, high, *bag.rules.of(high))
    above = next((club.called for club in facts.in_bag if club.key == facts.space.gap_above), None)
    return gap_in_work(
        bag.coverage,
        above=above,
        order=_order(facts),
        end=facts.brief.end,
        uses=lambda gap: uses_in(gap, facts.core_jobs),
        reached=lambda gap: reached(bag.known, gap),
    )


def _order(facts: Facts) -> GapOrder:
    """From which end holes are closed: wedges by the school that was chosen."""
    if facts.brief.end is not BagEnd.SHORT:
        return facts.space.gap_order
    return GapOrder.BOTTOM if facts.brief.school is School.SHORTEST else GapOrder.TOP


def _layout(
    ends: WedgeEnds,
    wish: Wish,
    like: Carried | None,
    wanted: Wanted,
    named: tuple[float, float] | None,
    gap: Gap | None,
) -> SlotLayout | None:
    facts = ends.facts
    lower, upper = (None, None) if gap is None else (gap.lower, gap.upper)
    if wanted.windowless:
        return None
    if like is not None and wish is Wish.REPLACE:
        return lay_out_replacing(like, list(facts.space.replace_ways), lower, upper, facts.thresholds)
    if like is not None:
        return lay_out_like(like, say("space-its-yardage") if wanted.wish is Wish.FLIGHT else None)
    if named is not None:
        # Without clubs on both sides nothing is known of the roll until something is hit.
        rolls = [club.roll_m for club in (lower, upper) if club is not None]
        return _named_layout(facts.space, sum(rolls) / len(rolls) if rolls else 0.0)
    if gap is None or gap.step_m <= 0:
        return None
    if ends.cut is not None:
        return ends.cut
    return lay_out_slots(gap.lower, gap.upper, facts.space.clubs_to_place, rule=gap.rule, step=gap.step)


def wider_elsewhere(work: InWork) -> Gap | None:
    """The widest hole of the bag, where another is in work and nothing else was asked for; the wedges' own steps are
    said with them."""
    if work.wish is not Wish.GAP or work.named is not None or work.facts.brief.end is BagEnd.SHORT:
        return None
    widest, mine = widest_gap(work.ends.bag.coverage), work.gap
    if widest is None or (mine is not None and widest.open_m <= mine.open_m):
        return None
    return widest


def held_against(work: InWork) -> list[Club]:
    """The own clubs a build is held against: those on both sides of the space in work, the one whose like is wanted,
    the wedges of the bag where that end is worked at; and those out of favour, which are no neighbours and stay in
    sight."""
    facts = work.facts
    names = {club.name for club in work.beside if club is not None}
    names |= {work.like.name} if work.like is not None else set()
    if facts.brief.end is BagEnd.SHORT:
        names |= {club.called for club in facts.wedges if club in facts.in_bag}
    beside = [club for club in facts.in_favour if club.called in names]
    return beside + [club for club in facts.own if club.out_of_favour]
