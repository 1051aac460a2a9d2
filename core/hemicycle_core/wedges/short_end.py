"""The short end: its two ends, the steps between them, how many wedges belong there, in which order it is worked."""

from __future__ import annotations

import itertools
import math
from collections.abc import Iterable, Sequence
from dataclasses import dataclass
from enum import StrEnum

from ..bag import Carried, HeadType, StepWish, in_order
from ..bag.gaps import CROWDED_M
from ..bag.remarks import spread_of
from ..runs import COMFORTABLE
from ..said import NOTHING, Form, Said, angle, far, joined, listed, plain, say, speed, with_and
from ..samples.overlap import smallest_useful_step
from ..units import mps

END_SHOTS = 3  # an end is the mean of three to five kept shots
FEW_SHOTS = 5
MOST_BETWEEN = 4
NEAR_LOFT_DEG = 1.5
SELDOM = 0.5  # full shots a round
USUAL_BALL_STEP_MPS = (mps(4), mps(7))  # from wedge to wedge; about 5 mph


class School(StrEnum):
    """From which end wedges are fitted."""

    SHORTEST = "shortest"
    SET_WEDGE = "set_wedge"


SCHOOL_WHY = {
    School.SHORTEST: say("wedges-shortest-first-most-lofted"),
    School.SET_WEDGE: say("wedges-from-set-wedge-down"),
}


@dataclass(frozen=True)
class End:
    """One end: the club, its carry, and what is still to be done for it; empty where it stands."""

    club: Carried
    missing: Said


@dataclass(frozen=True)
class Step:
    """From one club to the next, metres; ball_step_mps None where not read of both. over_m: how much wider than the
    wish with its stretch, 0 where it is closed. few: either carry rests on so few shots that ball speed is the steadier
    sign. sentence: how it lies beside the wish.

    One of a club that is kept out is no step, and is neither wide nor near."""

    lower: Carried
    upper: Carried
    step_m: float
    ball_step_mps: float | None
    over_m: float
    few: bool
    sentence: Said


@dataclass(frozen=True)
class Stage:
    """A stage of the work. done: whether it stands; words: what it is, or what it yielded."""

    key: str
    name: Said
    done: bool
    words: Said


@dataclass(frozen=True)
class ShortEnd:
    """low, high: the most lofted wedge by its stock swing and the full set wedge. steps: shortest first, the last one
    from the set wedge to the shortest iron, where there is one. stages: the order of work with `why`.
    open_under: what is open under the lower end, where a wedge there is kept out."""

    low: End | None
    high: End | None
    steps: tuple[Step, ...]
    stages: tuple[Stage, ...]
    why: Said
    sentence: Said
    unhit: tuple[str, ...]
    open_under: Said = NOTHING


def wedges_of(clubs: Sequence[Carried]) -> tuple[Carried, ...]:
    """The wedges of a bag, shortest first; those kept for sand or the lob last of one carry."""
    return in_order(club for club in clubs if club.head_type is HeadType.WEDGE)


def set_wedge_of(clubs: Sequence[Carried]) -> Carried | None:
    """The set wedge: of those that belong to the irons the one that carries furthest, else the longest wedge."""
    wedges = wedges_of(clubs)
    of_set = [club for club in wedges if club.of_set] or list(wedges)
    return of_set[-1] if of_set else None


def as_lofted(loft_deg: float | None, low: Carried) -> bool:
    """Whether a wedge would be the most lofted one, or stand in for it: it has about the loft of the lower end."""
    return loft_deg is not None and low.loft_deg is not None and loft_deg >= low.loft_deg - NEAR_LOFT_DEG


def soles_differ(soles: Iterable[str]) -> bool:
    """Whether there is a sole to be chosen; one that is not known is no other."""
    return len({*soles} - {""}) > 1


def _end(club: Carried, *, lob: bool) -> End:
    if club.on_order and not club.shots:
        return End(club, say("wedges-hit-when-here-until", name=club.name))
    if club.shots >= END_SHOTS:
        return End(club, NOTHING)
    have = END_SHOTS - club.shots
    return End(club, say("wedges-hit-more", name=club.name, n=have, at_most=lob and club.swing != COMFORTABLE))


def _step(lower: Carried, upper: Carried, wish: StepWish) -> Step:
    step = upper.carry_m - lower.carry_m
    both = lower.ball_speed_mps is not None and upper.ball_speed_mps is not None
    balls = upper.ball_speed_mps - lower.ball_speed_mps if both else None  # type: ignore[operator]
    kept = bool(lower.kept_for or upper.kept_for)  # no step of the ladder, however wide
    over = 0.0 if kept or wish.closes(step) else step - wish.most_m
    few = both and min(lower.shots, upper.shots) < FEW_SHOTS
    words = joined(
        [_step_words(lower, upper, step, over, wish), _ball_words(balls, step, over, wish) if few else NOTHING]
    )
    return Step(lower, upper, step, balls, over, few, words)


def _ball_words(balls_mps: float | None, step_m: float, over_m: float, wish: StepWish) -> Said:
    """What ball speed says of a step that rests on few shots, where it says another thing than the carries do: too much
    of a step that looks closed, too little of one that looks wide enough; empty where they agree."""
    low, high = USUAL_BALL_STEP_MPS
    if balls_mps is None or not ((balls_mps < low and step_m >= wish.least_m) or (balls_mps > high and not over_m)):
        return NOTHING
    return say("wedges-ball-step", by=speed(balls_mps), low=speed(low), high=speed(high))


def _step_words(lower: Carried, upper: Carried, step_m: float, over_m: float, wish: StepWish) -> Said:
    kept = next((club for club in (lower, upper) if club.kept_for), None)
    if kept is not None:
        return say("wedges-no-step", near=step_m < wish.least_m, name=kept.name, shot=kept.kept_for)
    if over_m:
        return say("wedges-wider-than-wanted", over=far(over_m), wanted=wish.text)
    if step_m < CROWDED_M:
        return say("wedges-two-do-same")
    if step_m < wish.least_m - 1e-6:
        return say("wedges-narrower-than-wanted", wanted=wish.text)
    return say("wedges-wanted")


def short_end(
    clubs: Sequence[Carried],
    wish: StepWish,
    *,
    school: School = School.SHORTEST,
    sole: str = "",
    unknown: Sequence[tuple[str, float | None]] = (),
) -> ShortEnd | None:
    """The short end of a bag; None without a wedge. While none was hit it has no ends, and says which they will be.

    wish: the step wanted; sole: the one chosen for the most lofted wedge, empty while it is not. unknown: names and
    lofts of wedges whose carry nobody knows; one with more loft than the others is the end that is still to be hit.
    """
    wedges = wedges_of(clubs)
    if not wedges:
        return _none_hit(unknown, school, sole) if unknown else None
    stepping = [club for club in wedges if not club.kept_for] or list(wedges)
    high = set_wedge_of(clubs)
    assert high is not None
    low = stepping[0]
    irons = [club for club in in_order(clubs) if club.head_type is HeadType.IRON and club.carry_m > high.carry_m]
    row = [*wedges, *irons[:1]]
    steps = tuple(_step(a, b, wish) for a, b in itertools.pairwise(row))
    unhit = tuple([club.name for club in wedges if not club.shots] + [name for name, _ in unknown])
    ends = _end(low, lob=True), _end(high, lob=False)
    lofted = [name for name, loft in unknown if loft is not None and loft > (low.loft_deg or 90)]
    if lofted:
        ends = End(low, say("wedges-hit-at-the-most", name=lofted[-1], n=END_SHOTS)), ends[1]
    stages = _stages(ends, steps, school, sole)
    sentence, under = _sentence(ends, steps, wish), _open_under(low, wedges)
    return ShortEnd(*ends, steps, stages, SCHOOL_WHY[school], sentence, unhit, under)


def _none_hit(unknown: Sequence[tuple[str, float | None]], school: School, sole: str) -> ShortEnd:
    """The short end of a bag of whose wedges none is known."""
    by_loft = sorted(unknown, key=lambda each: (each[1] is None, each[1] or 0.0))
    lowest, highest = by_loft[-1][0], by_loft[0][0]
    missing = [say("wedges-hit-at-the-most", name=lowest, n=END_SHOTS)]
    if len(by_loft) > 1:
        missing.append(say("wedges-hit-more", name=highest, n=END_SHOTS, at_most=False))
    hit = Stage("ends", say("wedges-both-ends"), False, say("capital-sentence", said=listed(missing)))
    chosen = say("wedges-chosen", sole=sole) if sole else say("wedges-not-chosen-yet", name=lowest)
    stages = Stage("sole", say("wedges-sole", name=lowest), bool(sole), chosen), hit
    if school is School.SET_WEDGE:
        stages = stages[::-1]
    sentence = say("wedges-first-both-ends", missing=with_and(missing))
    names = tuple(name for name, _ in unknown)
    return ShortEnd(None, None, (), stages, SCHOOL_WHY[school], sentence, names)


def _open_under(low: Carried, wedges: Sequence[Carried]) -> Said:
    """What is open where a wedge under the lower end is kept out of the steps; empty where none is."""
    under = [club for club in wedges if club.kept_for and club.carry_m < low.carry_m]
    if not under:
        return NOTHING
    names = with_and(plain(club.name) for club in under)
    return say("wedges-kept-out-open", names=names, n=len(under), low=low.name, carry=far(low.carry_m))


def _stages(ends: tuple[End, End], steps: Sequence[Step], school: School, sole: str) -> tuple[Stage, ...]:
    low, high = ends
    missing = [end.missing for end in ends if end.missing]
    stood = say(
        "wedges-both-stand",
        low=far(low.club.carry_m),
        lowest=low.club.name,
        high=far(high.club.carry_m),
        highest=high.club.name,
    )
    wide = [step for step in steps if step.over_m]
    the_ends = Stage(
        "ends",
        say("wedges-both-ends"),
        not missing,
        say("capital-sentence", said=listed(missing)) if missing else say("sentence", said=stood),
    )
    cut = Stage(
        "cut",
        say("wedges-cut"),
        not missing and not wide,
        say("wedges-steps-too-wide", n=len(wide)) if wide else say("wedges-no-step-too-wide"),
    )
    chosen = say("wedges-chosen", sole=sole) if sole else say("wedges-not-chosen-yet", name=low.club.name)
    lofted = (
        say("of-loft", loft=angle(low.club.loft_deg, form=Form.SHORT))
        if low.club.loft_deg is not None
        else say("wedges-not-stated")
    )
    sole_stage = Stage("sole", say("wedges-sole", name=low.club.name), bool(sole), chosen)
    loft = Stage(
        "loft",
        say("wedges-loft"),
        bool(sole) and not low.missing,
        say("wedges-loft-carries", loft=lofted, carry=far(low.club.carry_m)),
    )
    if school is School.SET_WEDGE:
        return the_ends, cut, sole_stage, loft
    return sole_stage, loft, the_ends, cut


def _sentence(ends: tuple[End, End], steps: Sequence[Step], wish: StepWish) -> Said:
    low, high = ends
    missing = [end.missing for end in ends if end.missing]
    if missing:
        return say("wedges-first-both-ends", missing=with_and(missing))
    between = [step for step in steps if step.upper.carry_m <= high.club.carry_m + 1e-6]
    wide = [step for step in between if step.over_m]
    asked = say("wedges-steps-wanted", least=far(wish.least_m), most=far(wish.most_m))
    if not wide:
        return say("wedges-between-ends", low=far(low.club.carry_m), high=far(high.club.carry_m), asked=asked)
    widest = max(wide, key=lambda step: step.step_m)
    return say(
        "wedges-widest-step",
        step=far(widest.step_m),
        lower=widest.lower.name,
        upper=widest.upper.name,
        asked=asked,
    )


@dataclass(frozen=True)
class Schools:
    """How many wedges belong between the ends by each school. each: of a wedge for each yardage; part: where part
    swings fill what is wide; proposed: by how this player eases off, None while that is not known. useful_m: the
    smallest step this spread can use."""

    each: int
    part: int
    proposed: int | None
    useful_m: float
    sentence: Said


def schools(
    low: Carried,
    high: Carried,
    wish: StepWish,
    *,
    eases: str = "",
    part_swings: int = 0,
    uses: float | None = None,
    fewer: bool = False,
) -> Schools:
    """How many clubs belong between the most lofted wedge and the set wedge, the two left out.

    eases: how well the player eases off, `well`, `not` or empty while it is not known; part_swings: that were hit.
    uses: full shots a round in that space, None where nobody said: what comes up less than once in two rounds is no
    reason for a club. fewer: fewer wedges are wanted, whatever it costs.
    """
    space = max(high.carry_m - low.carry_m, 0.0)
    useful = max(smallest_useful_step((spread_of(low) + spread_of(high)) / 2), wish.least_m)
    room = max(0, math.floor(space / useful + 1e-9) - 1)
    wanted = next((n for n in range(MOST_BETWEEN + 1) if wish.closes(space / (n + 1))), MOST_BETWEEN)
    each = min(wanted, room)
    # With part swings that repeat, twice the step is filled from above.
    twice = (n for n in range(MOST_BETWEEN) if space / (n + 1) <= 2 * wish.most_m + 1e-9)
    part = min(each, next(twice, MOST_BETWEEN))
    seldom = uses is not None and uses < SELDOM and part < each
    if seldom:
        each = part
    span = say("wedges-span", space=far(space), lowest=low.name, highest=high.name)
    both = say("wedges-by-school", span=span, each=each, part=part, step=far(space / (part + 1)))
    why = [say("wedges-closer-than-spread-cannot", useful=far(useful))] if room < wanted else []
    if seldom:
        why.append(say("wedges-full-shot-into-comes"))
    if each == part:
        words = say("wedges-by-either-school", span=span, n=each)
        return Schools(each, part, each, useful, joined([words, *why]))
    if fewer:
        costs = say("wedges-fewer-costs", eases=eases or "unknown")
        return Schools(each, part, part, useful, joined([both, say("wedges-fewer-wanted"), costs, *why]))
    if eases == "well":
        return Schools(each, part, part, useful, joined([both, say("wedges-part-swings-repeat"), *why]))
    if eases == "not":
        return Schools(each, part, each, useful, joined([both, say("wedges-part-swings-do-not"), *why]))
    repeat = say("wedges-part-swings-so-far") if part_swings else say("wedges-hit-part-swings-to-know")
    return Schools(each, part, None, useful, joined([both, repeat, *why]))
