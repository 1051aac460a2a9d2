"""What to hit next, in one sentence. Shots are asked for only where they may turn something, and never many at once."""

from __future__ import annotations

from collections.abc import Sequence
from typing import Literal

from ..judge.changes import ChangeKind
from ..judge.stopping import A_FEW
from ..judge.verdict import Kind, Verdict
from ..said import NOTHING, Said, say
from ..thresholds import DEFAULT, Thresholds
from .choice import Because, Choice

DONE = (Kind.OTHER_JOB, Kind.CROWDS, Kind.ONE_HEAD, Kind.NOT_SUPPORTED)  # more of the same shots would not change these


def next_step(
    verdicts: Sequence[Verdict], in_hand: str, choice: Choice | None = None, *, thresholds: Thresholds = DEFAULT
) -> Said:
    """Advice for the build in hand first, then for the one that is furthest from settled, then for the choice."""
    if not verdicts:
        return say("next-put-candidates")
    odd = next((verdict for verdict in verdicts if verdict.moved), None)
    if odd is not None:
        return say("next-look-at-odd-shots", letter=odd.letter)
    mine = next((verdict for verdict in verdicts if verdict.letter == in_hand), None)
    if mine is not None and mine.turn is not None:
        return _turned(mine)
    told = choice is not None and (choice.letter is not None or choice.because in (Because.KEEP, Because.TESTED))
    if choice is not None and choice.settled and told:
        return say("next-settled", keeps=not choice.letter, letter=choice.letter)
    return (
        _for_build(mine)
        or _for_another(verdicts, mine, in_hand, thresholds)
        or _for_the_choice(choice)
        or say("next-all-settled")
    )


Goes = Literal["brief", "bag", "bay", "bench"]
TO_THE_BENCH, NOTHING_UP = ("next-settled", "next-all-settled", "next-tells-little"), "next-put-candidates"


def goes_on(*, own: int, stand: int, shots: int, advice: Said = NOTHING) -> Goes:
    """The place in which a session goes on. own, stand: how many clubs of the player's and builds there are; advice:
    what it was told to do next, where that was worked out."""
    if advice.id in TO_THE_BENCH:
        return "bench"
    if not own and not shots:
        return "brief"
    return "bay" if stand or shots or (advice and advice.id != NOTHING_UP) else "bag"


def _for_another(verdicts: Sequence[Verdict], mine: Verdict | None, in_hand: str, thresholds: Thresholds) -> Said:
    others = [verdict for verdict in verdicts if verdict.letter != in_hand and _wants_shots(verdict)]
    if not others:
        return NOTHING
    verdict = max(others, key=lambda each: each.more or 0)
    shots = _shots(verdict.more or thresholds.least_shots)
    settled = mine is None or mine.settled
    there = bool(in_hand)
    return say("next-another", in_hand=there, done=in_hand, settled=settled, letter=verdict.letter, shots=shots)


def _for_the_choice(choice: Choice | None) -> Said:
    if choice is None or choice.settled:
        return NOTHING
    if choice.more is not None and not choice.more.in_vain:
        return say("next-which-is-best", n=choice.more.count, who=choice.more.words)
    return say("next-tells-little")


def _wants_shots(verdict: Verdict) -> bool:
    return not verdict.settled and verdict.kind not in DONE and verdict.more != 0


def _shots(count: int) -> Said:
    return say("more-shots", n=min(count, A_FEW))


def _turned(verdict: Verdict) -> Said:
    assert verdict.turn is not None
    change = verdict.turn.change
    bent = change.kind is ChangeKind.BEND
    turn = say("next-bend-it", by=change.words) if bent else say("next-turn-the-sleeve", by=change.words)
    if verdict.settled:
        return say("next-turn-now", turn=turn)
    return say("next-turn-then", shots=_shots(verdict.more or 1), turn=turn)


def _for_build(verdict: Verdict | None) -> Said:
    if verdict is None or not _wants_shots(verdict):
        return NOTHING
    if verdict.more is None:
        return say("next-carries-spread")
    return say("next-more-with", shots=_shots(verdict.more), letter=verdict.letter)


def open_question(awaited: str, choice: Choice | None) -> Said:
    """The one question that remains while a contender is not here; empty where none is waited for."""
    if not awaited:
        return NOTHING
    letter = None if choice is None else choice.letter
    return say("awaited-question", awaited=awaited, chosen=letter is not None, letter=letter)
