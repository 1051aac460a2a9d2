"""What was asked of the bag: the wish, the places in work, and how likely each build does it."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field

from ..brief import Wanted, Wish
from ..estimate import Estimate
from ..judge import Case
from ..judge.weigh import Weighed
from .gather import closes
from .options import Option

# The chance from which a club of the bag may well do already what was asked of a hole; of a yardage by name it is even.
THERE, NAMED_THERE = 0.10, 0.5


@dataclass(frozen=True)
class Asked:
    """What leads. open: of each slot asked for, by its number, whether nothing in the bag does what is asked there;
    empty where no place is in work. free: whether the bag has a place for one more club; named: a yardage was asked for
    by its figure."""

    wanted: Wanted = field(default_factory=Wanted)
    open: Mapping[int, bool] = field(default_factory=dict)
    free: bool = True
    named: bool = False

    @property
    def something(self) -> bool:
        """Whether something was asked for that the bag of today does not do: then what does it leads, and what it earns
        need only be more than its price."""
        return self.of_old or any(self.open.values())

    @property
    def of_old(self) -> bool:
        """Whether an old club's like, its yardage with another flight, another in its place, or more than it does is
        asked for."""
        return self.wanted.wish in (Wish.LIKE, Wish.FLIGHT, Wish.REPLACE, Wish.FAR)

    @property
    def compared(self) -> bool:
        """Whether builds only stand side by side, and nothing is asked of them."""
        return self.wanted.wish is Wish.COMPARE


def asked_of(cases: Sequence[Case], options: Sequence[Option], weighed: Weighed, *, free: bool) -> Asked:
    """What the builds of the stand are tried for, and whether the bag of today does it already."""
    open_: dict[int, bool] = {}
    for case in cases:
        ends = closes(case)
        if ends is None:
            continue
        enough = NAMED_THERE if case.named else THERE
        there = any(_carry(option, weighed).chance(*ends) >= enough for option in options if option.own)
        open_[case.slot] = open_.get(case.slot, True) and not there
    wanted = cases[0].wanted if cases else Wanted()
    return Asked(wanted, open_, free, named=any(case.named for case in cases))


def _carry(option: Option, weighed: Weighed) -> Estimate:
    """How far an own club carries, as far as it is known."""
    seen = weighed.centres.get(option.letter)
    return Estimate(option.club.carry_m, option.club.carry_sd_m) if seen is None else seen.carry
