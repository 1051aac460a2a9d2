"""What a bag becomes, in words: what a newcomer closes and whom it crowds, what is left open."""

from __future__ import annotations

from collections.abc import Sequence

from ..said import Said, far, joined, say, with_and
from ..units import whole_yards
from .gaps import Coverage, widest_gap
from .slots import lay_out_slots


def replanned(before: Coverage, after: Coverage, newcomer: str) -> Said:
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
        said.append(say("bag-closes", open=far(was.open_m), lower=was.lower.name, upper=was.upper.name))
    elif was is not None:
        first, *second = left
        said.append(
            say(
                "bag-stays-open",
                open=far(was.open_m),
                lower=was.lower.name,
                upper=was.upper.name,
                left=far(first.open_m),
                above=first.lower.name == newcomer,
                both=bool(second),
                other=far(second[0].open_m if second else 0.0),
                otherwise=bool(second) and second[0].lower.name == newcomer,
            )
        )
    elif left:
        said.append(say("bag-no-hole-where-it-lands"))
    for gap in close:
        other = gap.upper if gap.lower.name == newcomer else gap.lower
        said.append(say("bag-only-from-yours", step=far(gap.step_m), under=other is gap.upper, name=other.name))
    if not said:
        return say("bag-changes-no-hole")
    return (
        say("bag-but", first=said[0], rest=with_and(said[1:]))
        if len(said) > 1
        else say("capital-sentence", said=said[0])
    )


def rebagged(before: Coverage, after: Coverage, added: Sequence[str], dropped: Sequence[str]) -> Said:
    """What a bag becomes by the clubs that come in and those that leave, by name; what it leaves open as it is."""
    if len(added) == 1 and not dropped:
        return replanned(before, after, added[0])
    if not (added or dropped):
        return left_open(after)
    was, now = (max((gap.open_m for gap in bag.gaps), default=0.0) for bag in (before, after))
    change = say("bag-widest-hole-goes", was=far(was), now=far(now))
    if whole_yards(was) == whole_yards(now):
        change = say("bag-widest-hole-stays", now=far(now)) if now else say("bag-no-hole-opens")
    return joined([change, say("as-a-sentence", said=left_open(after))])


def next_gap_words(covered: Coverage) -> Said:
    """The widest hole that a bag leaves, and the window that would close it."""
    hole = widest_gap(covered)
    if hole is None:
        return say("bag-no-hole-left")
    (slot,) = lay_out_slots(hole.lower, hole.upper, 1, rule=hole.rule, step=hole.step).slots
    return say(
        "bag-widest-hole-left",
        open=far(hole.open_m),
        lower=hole.lower.name,
        upper=hole.upper.name,
        low=far(slot.low_m),
        high=far(slot.high_m),
    )


def left_open(covered: Coverage) -> Said:
    """What a bag leaves uncovered, widest first, and who crowds whom."""
    holes = sorted((gap for gap in covered.gaps if gap.open_m > 0), key=lambda gap: -gap.open_m)
    said = [say("bag-uncovered", open=far(gap.open_m), lower=gap.lower.name, upper=gap.upper.name) for gap in holes]
    close = (gap for gap in covered.gaps if gap.crowded)
    said += [say("bag-only-past", upper=gap.upper.name, step=far(gap.step_m), lower=gap.lower.name) for gap in close]
    return say("sentence", said=joined(said, "; ")) if said else say("bag-no-hole-rule")
