"""Clubs that could be had, weighed in the bag by what they should do: the order of a short list is the decision's."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace

from ..bag import Carried
from ..brief import Job
from ..judge.landings import usual_roll_m
from ..rack.shortlist import LIKELY, POSSIBLE, Ranked
from .decide import Decision
from .gather import unhit_options
from .options import BagClub
from .worth import Worth, widened


def in_order(rows: Sequence[Ranked], worths: Sequence[Worth | None]) -> list[tuple[Ranked, Worth | None]]:
    """A short list as the decision would take it: what is likely to do what was asked first, then what may, and among
    those by what is left of what each saves when it is paid. rows: in the order of the rack's own list, which stands
    where nothing else tells two apart."""

    def place(pair: tuple[Ranked, Worth | None]) -> tuple[bool, int, float]:
        row, worth = pair
        chance = 1.0 if row.chance is None else row.chance
        tier = 0 if chance >= LIKELY else 1 if chance >= POSSIBLE else 2
        return (not row.supported, tier, 0.0 if worth is None else -round(worth.net, 2))

    return sorted(zip(rows, worths, strict=True), key=place)


def as_club(row: Ranked) -> BagClub:
    """A head of the short list as a bag would hold it."""
    each, head = row.expected, row.expected.head
    roll = usual_roll_m(head.head_type) if each.roll_m is None else each.roll_m
    club = Carried(
        row.offer.name, head.head_type, each.carry_m, each.carry_m + roll, loft_deg=head.loft_deg,
        total_read=each.roll_m is not None, carry_sd_m=each.carry_sd_m,
    )  # fmt: skip
    return BagClub(club, row.offer.head.key, expected=each, price=row.offer.price)


def offered(decision: Decision, clubs: Sequence[BagClub], jobs: Sequence[Job]) -> list[Worth | None]:
    """What the best bag with each of these clubs in it, and no other new one, would save beside that of today, by what
    the club should do; None where that cannot be told, or where no bag can hold it.

    jobs: those that were decided on. The club that a wish is held against goes when one of them comes.
    """
    if not decision.known:
        return [None] * len(clubs)
    weighed, weigher = decision.weighed, decision.weigher
    old = decision.asked.wanted.old
    options = [replace(each, replaces=old) for each in unhit_options(clubs, weighed, jobs)]
    table = widened(weigher.table, options, weighed.feared, weighed.drive_m)
    wider = replace(weigher, table=table, limits=replace(weigher.limits, places=1), _costs={})
    found: list[Worth | None] = []
    for option in options:
        plans = wider.ranked(wider.plans([option]))
        found.append(wider.worth(plans[0]) if plans else None)
    table.forget()
    return found
