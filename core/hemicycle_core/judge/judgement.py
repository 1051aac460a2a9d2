"""A whole session judged: every build against its slot, every pair, and the choice."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace
from itertools import combinations

from ..brief import NOTHING_FEARED, Feared, Job, Wanted, Wish
from ..thresholds import DEFAULT, Thresholds
from .candidate import Candidate, Case
from .choice import Because, Choice, choose
from .compare import Comparison, compare
from .verdict import Verdict, recommended, verdict_of
from .weigh import Weighed, in_the_bag, letter_of_own, weigh

NOTHING_OPEN = Choice(
    None, None, Because.KEEP, "No hole is left by this rule: no further club is needed.", True, gain_price=0.0
)


@dataclass(frozen=True)
class Judgement:
    """verdicts: in the order of the cases. comparisons: of every two builds with enough shots. bags: the builds by what
    the whole bag makes of the jobs with each in it, None where no own club was played."""

    verdicts: tuple[Verdict, ...]
    comparisons: tuple[Comparison, ...]
    choice: Choice
    weighed: Weighed
    bags: Weighed | None = None


def judge_session(
    cases: Sequence[Case],
    *,
    jobs: Sequence[Job] = (),
    own: Sequence[Candidate] = (),
    replaced: str | None = None,
    budget: float | None = None,
    feared: Feared = NOTHING_FEARED,
    thresholds: Thresholds = DEFAULT,
    nothing_open: bool = False,
) -> Judgement:
    """Judge the builds of a session together.

    own: the player's clubs with shots, which inform spread and misses, and stand for keeping what is there: on each
    job the one of them that does it best; one out of favour informs and stands for nothing. replaced: the name of the
    one that goes when a new one comes, where the case names none. feared: what the player fears to miss. nothing_open:
    no space is left to fill. Same inputs, same words; neither the order of shots nor letters matter.
    """
    candidates = [case.candidate for case in cases]
    # A letter of its own for each own club, so that names of clubs and letters of builds never meet.
    mine = [replace(each, letter=letter_of_own(each.name), own=True) for each in own]
    wanted = cases[0].wanted if cases else Wanted()
    weighed = weigh([*candidates, *mine], jobs, feared, wanted.fairway)
    played = [each.letter for each in mine if weighed.played.get(each.letter) and not each.out_of_favour]
    gone = {case.candidate.letter: letter_of_own(name) for case in cases if (name := case.replaces or replaced)}
    bags = in_the_bag(weighed, played, jobs, replaced=gone) if played else None
    said = [verdict_of(case, weighed, jobs=jobs, bags=bags, thresholds=thresholds) for case in cases]
    if nothing_open and not cases:
        return Judgement((), (), NOTHING_OPEN, weighed, bags)
    choice = choose(candidates, said, weighed, cases=cases, bags=bags, budget=budget, thresholds=thresholds)
    empty = [each.name for each in mine if each.out_of_favour]
    if choice.letter is None and choice.because is Because.KEEP and empty and wanted.wish is not Wish.COMPARE:
        places = "place of the {} stays" if len(empty) == 1 else "places of the {} stay"
        stays = f" The {places.format(' and the '.join(empty))} empty."
        choice = replace(choice, sentence=choice.sentence + stays)
    verdicts = tuple(recommended(each) if each.letter == choice.letter else each for each in said)
    pairs = (compare(a, b, weighed=weighed, thresholds=thresholds) for a, b in combinations(candidates, 2))
    return Judgement(
        verdicts=verdicts,
        comparisons=tuple(pair for pair in pairs if pair is not None),
        choice=choice,
        weighed=weighed,
        bags=bags,
    )


def judge(case: Case, *, jobs: Sequence[Job] = (), thresholds: Thresholds = DEFAULT) -> Verdict:
    """One build alone."""
    return judge_session([case], jobs=jobs, thresholds=thresholds).verdicts[0]
