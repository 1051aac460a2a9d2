"""Averages of several clubs at once, as a screen sums their balls up."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Any

from hemicycle_core.bag.averages import TypedAverage
from hemicycle_core.errors import BadInput
from hemicycle_core.formats.club_names import short_name
from hemicycle_core.said import say
from shop.audit import action
from shop.models import AuditEntry, User

from ..models import Build, FittingSession
from .acts import Altered, alter, put_up
from .builds import add_own, check_typed
from .changes import announce, for_change, not_meanwhile, note
from .windows import keep_windows


@dataclass(frozen=True)
class ClubAverage:
    """One club's balls as a screen sums them up."""

    name: str
    average: TypedAverage
    total_m: float | None = None


@action("fit")
def type_averages(actor: User, session_id: int, clubs: Sequence[ClubAverage]) -> list[Build]:
    """Averages of several of the player's own clubs at once, all or none of them: what is in the bag by that name is
    brought up to date, the rest is added. Known as well as so many balls make it, and marked as typed."""
    session = for_change(actor, session_id)
    if not clubs:
        raise BadInput(say("act-type-average-one-club"), field="clubs")
    names = [short_name(club.name) for club in clubs]
    twice = next((name for name in names if names.count(name) > 1), None)
    if twice is not None:
        raise BadInput(say("act-stands-two-rows-leave", twice=twice), field="clubs")
    not_meanwhile(
        session,
        ["club.change", "club.averages"],
        touches=lambda entry: not set(names).isdisjoint(_clubs_of(entry)),
    )
    made: list[Build] = []
    rows: list[Altered] = []
    for club in clubs:
        build, altered = _averaged(session, club)
        made.append(build)
        rows += altered
    keep_windows(session, actor)
    note(session, actor, "club.averages", f"session:{session.pk}", name=", ".join(names), rows=rows)
    announce(session, "bag")
    return made


def _clubs_of(entry: AuditEntry) -> set[str]:
    """Names of the clubs that an act typed figures of."""
    if entry.action == "club.averages":
        return set(entry.detail["name"].split(", "))
    row = Build.objects.of(entry.shop_id).filter(pk=entry.subject.partition(":")[2]).first()
    return set() if row is None else {row.name}


def _averaged(session: FittingSession, club: ClubAverage) -> tuple[Build, list[Altered]]:
    seen, name = club.average, short_name(club.name)
    known: dict[str, Any] = {
        "typed_carry_m": seen.carry_m,
        "typed_total_m": club.total_m,
        "typed_doubt_m": seen.doubt_m,
        "typed_spread_m": None if seen.within_m is None else seen.spread_m,
        "known_from": f"{session.held_on.day} {session.held_on:%b %Y}, {seen.words!s}",
    }
    there = Build.objects.of(session.shop_id).filter(session=session, letter="", name=name, archived=False).first()
    if there is None:
        build = add_own(session, club.name, **known)
        return build, put_up(build)
    check_typed(there.name, there.head_type, seen.carry_m, club.total_m)
    return there, alter(there, **known, known_flight=None)
