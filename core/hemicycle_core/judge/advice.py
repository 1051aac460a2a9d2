"""What to hit next, in one sentence."""

from __future__ import annotations

from collections.abc import Sequence

from ..thresholds import DEFAULT, Thresholds
from .changes import ChangeKind
from .choice import Because, Choice
from .verdict import Kind, Verdict

DONE = (Kind.OTHER_JOB, Kind.CROWDS, Kind.ONE_HEAD, Kind.NOT_SUPPORTED)  # more of the same shots would not change these


def next_step(
    verdicts: Sequence[Verdict], in_hand: str, choice: Choice | None = None, *, thresholds: Thresholds = DEFAULT
) -> str:
    """Advice for the build in hand first, then for the one that is furthest from settled, then for the choice."""
    if not verdicts:
        return "Put candidates on the stand, then hit the first."
    odd = next((verdict for verdict in verdicts if verdict.moved), None)
    if odd is not None:
        return f"Look at the odd shots of {odd.letter} first: keep them or set them aside."
    mine = next((verdict for verdict in verdicts if verdict.letter == in_hand), None)
    if choice is not None and choice.settled and choice.letter is None and choice.because is Because.KEEP:
        return "Keeping what is there is settled. Compare them on the Bench."
    if mine is not None and (sentence := _for_build(mine)) is not None:
        return sentence
    others = [verdict for verdict in verdicts if verdict.letter != in_hand and _wants_shots(verdict)]
    if others:
        verdict = max(others, key=lambda each: each.more or 0)
        done = "is done" if mine is None or mine.settled else "is not for this slot as it is"
        return (
            f"{in_hand or 'This one'} {done}. Next {verdict.letter}: {_shots(verdict.more or thresholds.least_shots)}."
        )
    if choice is not None and not choice.settled and choice.more is not None:
        more = f"{choice.more.count} more with {choice.more.words}"
        said = f"Even {more} would hardly tell: decide as they stand."
        if not choice.more.in_vain:
            said = f"About {more}, or decide as they stand."
        return f"Every carry is settled; which is best is not. {said}"
    if choice is not None and not choice.settled and choice.letter is not None:
        return "More shots would tell little. Decide as they stand, on the Bench."
    return "Every build is settled or ruled out. Compare them on the Bench."


def _wants_shots(verdict: Verdict) -> bool:
    return not verdict.settled and verdict.kind not in DONE and verdict.more != 0


def _shots(count: int) -> str:
    return "1 more shot" if count == 1 else f"{count} more shots"


def _for_build(verdict: Verdict) -> str | None:
    if verdict.turn is not None:
        turn = f"turn the sleeve {verdict.turn.change.words} and hit it as a new build"
        if verdict.turn.change.kind is ChangeKind.BEND:
            turn = f"bend it {verdict.turn.change.words} and hit it as a new build"
        return f"Do not mix settings: {turn}." if verdict.settled else f"{_shots(verdict.more or 1)}, then {turn}."
    if not _wants_shots(verdict):
        return None
    if verdict.more is None:
        return "The carries spread too widely to settle. Look at strike before hitting more."
    return f"{_shots(verdict.more).capitalize()} with {verdict.letter}."


def open_question(awaited: str, choice: Choice | None) -> str:
    """The one question that remains while a contender is not here; empty where none is waited for."""
    if not awaited:
        return ""
    than = choice.letter if choice is not None and choice.letter is not None else "what is there now"
    return f"One question remains: does the {awaited} do more than {than}? It is not here yet: hit it when it is."
