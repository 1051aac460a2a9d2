"""What a bag becomes, in words: what a newcomer closes and whom it crowds, what is left open."""

from __future__ import annotations

from collections.abc import Sequence

from ..units import shown, yards, yd_text
from .gaps import Coverage, Gap, widest_gap
from .slots import lay_out_slots


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


def next_gap_words(covered: Coverage) -> str:
    """The widest hole that a bag leaves, and the window that would close it."""
    hole = widest_gap(covered)
    if hole is None:
        return "No hole is left."
    (slot,) = lay_out_slots(hole.lower, hole.upper, 1, rule=hole.rule, step=hole.step).slots
    window, between = f"{yd_text(slot.low_m)} to {yd_text(slot.high_m)}", f"{hole.lower.name} and {hole.upper.name}"
    return f"Widest hole left: {yd_text(hole.open_m)} yd between {between}. Its window: carry {window}."


def left_open(covered: Coverage) -> str:
    """What a bag leaves uncovered, widest first, and who crowds whom."""
    holes = sorted((gap for gap in covered.gaps if gap.open_m > 0), key=lambda gap: -gap.open_m)
    said = [f"{yd_text(gap.open_m)} yd uncovered between {gap.lower.name} and {gap.upper.name}" for gap in holes]
    close = (gap for gap in covered.gaps if gap.crowded)
    said += [f"{gap.upper.name} is only {yd_text(gap.step_m)} yd past {gap.lower.name}" for gap in close]
    return "; ".join(said) + "." if said else "No hole by this rule."


def _open_words(gap: Gap, newcomer: str) -> str:
    return f"{yd_text(gap.open_m)} {'above' if gap.lower.name == newcomer else 'below'} it"
