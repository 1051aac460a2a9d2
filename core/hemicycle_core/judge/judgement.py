"""A whole session judged: every build against its slot, every pair, and the choice."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace
from itertools import combinations

import numpy as np

from ..brief import Job
from .candidate import Candidate, Case
from .choice import Choice, choose
from .compare import Comparison, compare
from .verdict import DEFAULT, Thresholds, Verdict, verdict_of
from .weigh import Weighed, weigh

KEEP = "the bag of today"


@dataclass(frozen=True)
class Judgement:
    """verdicts: in the order of the cases. comparisons: of every two builds with enough shots."""

    verdicts: tuple[Verdict, ...]
    comparisons: tuple[Comparison, ...]
    choice: Choice
    weighed: Weighed


def judge_session(
    cases: Sequence[Case],
    *,
    jobs: Sequence[Job] = (),
    own: Sequence[Candidate] = (),
    budget: float | None = None,
    limits: Thresholds = DEFAULT,
) -> Judgement:
    """Judge the builds of a session together.

    own: the player's clubs with shots, which inform spread and misses, and stand for keeping what is there: on
    each job the one of them that does it best. Same inputs, same words; the order of shots does not matter.
    """
    candidates = [case.candidate for case in cases]
    # A letter of its own for each own club, so that names of clubs and letters of builds never meet.
    mine = [replace(each, letter=f"own {each.name}", own=True) for each in own]
    weighed = weigh([*candidates, *mine], jobs)
    keep = None
    if jobs and any(weighed.played.get(each.letter) for each in mine):
        weighed, keep = _with_keep(weighed, [each.letter for each in mine], jobs), KEEP
    verdicts = tuple(verdict_of(case, weighed, jobs=jobs, keep=keep, limits=limits) for case in cases)
    pairs = (compare(a, b, weighed=weighed) for a, b in combinations(candidates, 2))
    return Judgement(
        verdicts=verdicts,
        comparisons=tuple(pair for pair in pairs if pair is not None),
        choice=choose(candidates, verdicts, weighed, keep=keep, budget=budget, limits=limits),
        weighed=weighed,
    )


def _with_keep(weighed: Weighed, letters: Sequence[str], jobs: Sequence[Job]) -> Weighed:
    """The bag of today as one more build: each job done by the own club that does it best on average."""
    there = [letter for letter in letters if weighed.played.get(letter)]
    total = np.zeros_like(next(iter(weighed.rounds.values())))
    for index, job in enumerate(jobs):
        best = max(there, key=lambda letter: (weighed.played[letter][index].success, letter))
        total = total + job.uses_per_round * weighed.played[best][index].draws
    return replace(weighed, rounds={**weighed.rounds, KEEP: total})


def judge(case: Case, *, jobs: Sequence[Job] = (), limits: Thresholds = DEFAULT) -> Verdict:
    """One build alone."""
    return judge_session([case], jobs=jobs, limits=limits).verdicts[0]
