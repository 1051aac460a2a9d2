"""What was asked of the bag: the wish, the places in work, and how likely each build does it."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, field

from ..brief import Wanted, Wish


@dataclass(frozen=True)
class Asked:
    """What leads. open: of each slot asked for, by its number, whether nothing in the bag does what is asked there;
    empty where no place is in work. free: whether the bag has a place for one more club. replaced: the own club that
    leaves when a new one comes, by its name; named: a yardage was asked for by its figure."""

    wanted: Wanted = field(default_factory=Wanted)
    open: Mapping[int, bool] = field(default_factory=dict)
    free: bool = True
    replaced: str = ""
    named: bool = False

    @property
    def something(self) -> bool:
        """Whether something was asked for that the bag of today does not do: then what does it leads, and what it earns
        need only be more than its price."""
        return self.of_old or any(self.open.values())

    @property
    def of_old(self) -> bool:
        """Whether an old club's like, its yardage with another flight, or more than it does is asked for."""
        return self.wanted.wish in (Wish.LIKE, Wish.FLIGHT, Wish.FAR)

    @property
    def compared(self) -> bool:
        """Whether builds only stand side by side, and nothing is asked of them."""
        return self.wanted.wish is Wish.COMPARE
