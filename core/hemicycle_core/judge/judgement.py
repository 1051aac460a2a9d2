"""A whole session judged: every build against its slot, and every pair. What is proposed is decided elsewhere
(`decision`)."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace
from itertools import combinations

from ..brief import NOTHING_FEARED, Feared, Job, Wanted
from ..thresholds import DEFAULT, Thresholds
from .candidate import Candidate, Case
from .compare import Comparison, compare
from .strokes import USUAL_DRIVE_M
from .verdict import Verdict, verdict_of
from .weigh import Weighed, letter_of_own, weigh


@dataclass(frozen=True)
class Judgement:
    """verdicts: in the order of the cases. comparisons: of every two builds for one place with enough shots."""

    verdicts: tuple[Verdict, ...]
    comparisons: tuple[Comparison, ...]
    weighed: Weighed


def judge_session(
    cases: Sequence[Case],
    *,
    jobs: Sequence[Job] = (),
    own: Sequence[Candidate] = (),
    feared: Feared = NOTHING_FEARED,
    thresholds: Thresholds = DEFAULT,
    drive_m: float = USUAL_DRIVE_M,
) -> Judgement:
    """Judge the builds of a session together.

    own: the player's clubs with shots, which inform spread and misses. feared: what the player fears to miss; drive_m:
    how far he drives. Same inputs, same words; neither the order of shots nor letters matter.
    """
    candidates = [case.candidate for case in cases]
    # A letter of its own for each own club, so that names of clubs and letters of builds never meet.
    mine = [replace(each, letter=letter_of_own(each.name), own=True) for each in own]
    wanted = cases[0].wanted if cases else Wanted()
    off_tee = None if wanted.fairway is None or wanted.tee is None else (wanted.fairway, wanted.tee)
    weighed = weigh([*candidates, *mine], jobs, feared, off_tee, drive_m)
    said = tuple(verdict_of(case, weighed, jobs=jobs, thresholds=thresholds) for case in cases)
    pairs = (
        compare(a.candidate, b.candidate, weighed=weighed, thresholds=thresholds)
        for a, b in combinations(cases, 2)
        if a.slot == b.slot  # a hybrid and a wedge are never held against each other
    )
    return Judgement(said, tuple(pair for pair in pairs if pair is not None), weighed)


def judge(case: Case, *, jobs: Sequence[Job] = (), thresholds: Thresholds = DEFAULT) -> Verdict:
    """One build alone."""
    return judge_session([case], jobs=jobs, thresholds=thresholds).verdicts[0]
