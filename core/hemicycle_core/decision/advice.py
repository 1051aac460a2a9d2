"""What to hit next, in one sentence. Shots are asked for only where they may turn something, and never many at once."""

from __future__ import annotations

from collections.abc import Sequence

from ..judge.changes import ChangeKind
from ..judge.stopping import A_FEW
from ..judge.verdict import Kind, Verdict
from ..thresholds import DEFAULT, Thresholds
from .choice import Because, Choice

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
    if mine is not None and mine.turn is not None:
        return _turned(mine)
    if choice is not None and choice.settled and (choice.letter is not None or choice.because is Because.KEEP):
        return f"{choice.letter or 'Keeping what is there'} is settled. Compare them on the Bench."
    return (
        _for_build(mine)
        or _for_another(verdicts, mine, in_hand, thresholds)
        or _for_the_choice(choice)
        or "Every build is settled or ruled out. Compare them on the Bench."
    )


def _for_another(verdicts: Sequence[Verdict], mine: Verdict | None, in_hand: str, thresholds: Thresholds) -> str:
    others = [verdict for verdict in verdicts if verdict.letter != in_hand and _wants_shots(verdict)]
    if not others:
        return ""
    verdict = max(others, key=lambda each: each.more or 0)
    done = "is done" if mine is None or mine.settled else "is not for this slot as it is"
    return f"{in_hand or 'This one'} {done}. Next {verdict.letter}: {_shots(verdict.more or thresholds.least_shots)}."


def _for_the_choice(choice: Choice | None) -> str:
    if choice is None or choice.settled:
        return ""
    if choice.more is not None and not choice.more.in_vain:
        more = f"{choice.more.count} more with {choice.more.words}"
        return f"Every carry is settled; which is best is not. About {more}, or decide as they stand."
    return "More shots would tell little. Decide as they stand, on the Bench."


def _wants_shots(verdict: Verdict) -> bool:
    return not verdict.settled and verdict.kind not in DONE and verdict.more != 0


def _shots(count: int) -> str:
    few = min(count, A_FEW)
    return "1 more shot" if few == 1 else f"{few} more shots"


def _turned(verdict: Verdict) -> str:
    assert verdict.turn is not None
    bent = verdict.turn.change.kind is ChangeKind.BEND
    how = f"bend it {verdict.turn.change.words}" if bent else f"turn the sleeve {verdict.turn.change.words}"
    turn = f"{how} and hit it as a new build"
    return f"Do not mix settings: {turn}." if verdict.settled else f"{_shots(verdict.more or 1)}, then {turn}."


def _for_build(verdict: Verdict | None) -> str:
    if verdict is None or not _wants_shots(verdict):
        return ""
    if verdict.more is None:
        return "The carries spread too widely to settle. Look at strike before hitting more."
    return f"{_shots(verdict.more).capitalize()} with {verdict.letter}."


def open_question(awaited: str, choice: Choice | None) -> str:
    """The one question that remains while a contender is not here; empty where none is waited for."""
    if not awaited:
        return ""
    than = choice.letter if choice is not None and choice.letter is not None else "what is there now"
    return f"One question remains: does the {awaited} do more than {than}? It is not here yet: hit it when it is."
