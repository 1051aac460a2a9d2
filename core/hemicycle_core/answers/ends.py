"""Both ends of the wedges, and the space between them where that end is worked at."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass

from ..bag import BagEnd, Carried, SlotLayout, lay_out_slots
from ..brief import uses_between
from ..facts import Club, Facts
from ..heads import HeadType
from ..judge.eased import Eases
from ..said import NOTHING, Said, say
from ..wedges import Delivered, Delivery, Schools, ShortEnd, WedgeWish, delivered, schools, short_end
from ..wedges.short_end import set_wedge_of, wedges_of
from .bag import BagNow


@dataclass(frozen=True, eq=False)
class WedgeEnds:
    """short_end: None where wedges are not worked at. unknown: own wedges whose carry nobody knows, with their lofts.
    ends: both, where they are two clubs. cut: the space between them laid out for as many wedges as were chosen, None
    without both ends and where another space was named. delivered: how the player comes down."""

    bag: BagNow
    short_end: ShortEnd | None
    unknown: list[tuple[str, float | None]]
    ends: tuple[Carried, Carried] | None
    cut: SlotLayout | None
    delivered: Delivered

    @property
    def facts(self) -> Facts:
        return self.bag.facts

    @property
    def worked_at(self) -> bool:
        return worked_at(self.facts)

    @property
    def asked(self) -> bool:
        """Whether wedges are what the session is about: the short end, or any bag with a candidate wedge."""
        return self.facts.brief.end is BagEnd.SHORT or any(club.is_wedge for club in self.facts.candidates)

    @property
    def still_to_hit(self) -> Said:
        """That the ends come first, where wedges are what the session is about and one is not known; empty else."""
        found = self.short_end
        known = found is not None and all(end and not end.missing for end in (found.low, found.high))
        if found is None or not self.asked or known:
            return NOTHING
        return found.sentence

    @property
    def cut_between(self) -> tuple[Carried, Carried] | None:
        """The clubs that the cut lies between."""
        wedges = [club for club in wedges_of(self.bag.clubs) if not club.kept_for]
        top = set_wedge_of(self.bag.clubs)
        return None if top is None or not wedges else (wedges[0], top)

    def between(self) -> list[Club]:
        """The own wedges between the ends, shortest first; those kept for one shot are not stepped."""
        if self.ends is None:
            return []
        low, high = self.ends
        mine = {club.called: club for club in self.facts.in_bag if club.is_wedge}
        inside = [club for club in self.bag.clubs if low.carry_m < club.carry_m < high.carry_m and not club.kept_for]
        return [mine[club.name] for club in sorted(inside, key=lambda c: c.carry_m) if club.name in mine]

    def schools(self, eases: Eases) -> Schools | None:
        """How many wedges belong between the ends, by how this player eases off."""
        if self.ends is None:
            return None
        low, high = self.ends
        uses = uses_between(low.carry_m, high.carry_m, self.facts.core_jobs) if self.facts.jobs else None
        return schools(
            low,
            high,
            self.bag.rules.wedge_step,
            eases=eases.rank,
            part_swings=eases.n,
            uses=uses,
            fewer=WedgeWish.FEWER in self.facts.brief.wedge_wishes,
        )

    @property
    def widest_step(self) -> int | None:
        """Which of the steps between the ends is the widest, the lower one of two alike; None without any."""
        found = self.short_end
        if found is None or found.high is None:
            return None
        top = next((at for at, step in enumerate(found.steps) if step.upper.name == found.high.club.name), -1)
        mine = [at for at in range(top + 1) if not (found.steps[at].lower.kept_for or found.steps[at].upper.kept_for)]
        return max(mine, key=lambda at: (found.steps[at].step_m, -at), default=None)

    @property
    def recheck(self) -> Said:
        """A sentence where the irons are others than when the wedges were last hit; empty where they are not, and where
        the set wedge was hit since."""
        found, then = self.short_end, self.facts.irons_then
        short = self.facts.brief.end is BagEnd.SHORT
        if not short or found is None or found.high is None or found.high.club.shots or then is None:
            return NOTHING
        if not then.irons or then.irons == irons_of(self.facts.clubs):
            return NOTHING
        return say("ends-hit-again", day=then.day, name=found.high.club.name)


def irons_of(clubs: Iterable[Club]) -> frozenset[tuple[str, float | None]]:
    """The irons and the wedges of their set by name and stated loft."""
    return frozenset(
        (club.name, club.stated_loft_deg)
        for club in clubs
        if club.is_own and not club.archived and (club.head_type is HeadType.IRON or club.is_of_set)
    )


def worked_at(facts: Facts) -> bool:
    return facts.brief.end is not BagEnd.LONG and any(club.is_own for club in facts.wedges)


def wedge_ends(bag: BagNow) -> WedgeEnds:
    facts = bag.facts
    known = {club.name for club in bag.clubs}
    unknown = [
        (club.name, club.loft_deg)
        for club in facts.in_favour
        if club.is_wedge and club.name not in known and not club.kept_for
    ]
    found = None
    if worked_at(facts):
        found = short_end(
            bag.clubs, bag.rules.wedge_step, school=facts.brief.school, sole=facts.brief.sole, unknown=unknown
        )
    ends = _ends(found, unknown)
    return WedgeEnds(bag, found, unknown, ends, _cut(bag, ends), _delivered(facts))


def _ends(found: ShortEnd | None, unknown: list[tuple[str, float | None]]) -> tuple[Carried, Carried] | None:
    if found is None or found.low is None or found.high is None:
        return None
    low, high = found.low.club, found.high.club
    if any(loft is not None and loft > (low.loft_deg or 90) for _, loft in unknown):
        return None
    return (low, high) if high.carry_m > low.carry_m and low.name != high.name else None


def _cut(bag: BagNow, ends: tuple[Carried, Carried] | None) -> SlotLayout | None:
    space = bag.facts.space
    if bag.facts.brief.end is not BagEnd.SHORT or ends is None or space.gap_above is not None:
        return None
    low, high = ends
    rule, step = bag.rules.of(high)
    return lay_out_slots(low, high, space.clubs_to_place, rule=rule, step=step)


def _delivered(facts: Facts) -> Delivered:
    called = Delivery(facts.brief.delivery) if facts.brief.delivery else None
    attacks = [
        attack
        for club in facts.wedges
        for shot in club.shots
        if shot.kept and (attack := shot.get("attack_deg")) is not None
    ]
    return delivered(attacks, called)
