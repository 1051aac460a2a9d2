"""A recommendation in words: what may be recommended, what it is called, and why."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace

from .verdict import DOING, Kind, Verdict


def may_be_recommended(verdict: Verdict) -> bool:
    """Whether a build was hit often enough to be recommended at all."""
    return verdict.kind is not Kind.NEEDS_SHOTS


def why_it_lost(verdict: Verdict, chosen: Verdict | None) -> str:
    """One sentence for the record."""
    if verdict.kind in DOING and chosen is not None:
        return f"{verdict.headline} too. {verdict.against or verdict.why}"
    return f"{verdict.headline}. {verdict.why}"


def overruled(letters: Sequence[str], proposed: str, *, other_clubs: bool = True) -> str:
    """Why builds stand there that were not proposed. letters: none where what is there is kept; proposed: the sentence
    of the decision; other_clubs: False where the same come in and only what leaves is another."""
    were = "was" if len(letters) == 1 else "were"
    chosen = f"{' and '.join(letters)} {were} chosen" if letters else "What is there was kept"
    if not other_clubs:
        chosen = "What leaves was chosen"
    return f"{chosen} by fitter and player against what was proposed: “{proposed}”"


def passed_over(verdict: Verdict) -> Verdict:
    """The verdict of a build that was proposed and is not taken."""
    return replace(verdict, kind=Kind.RECOMMENDED, headline="Proposed, and passed over by fitter and player")


def taken_all_the_same(verdict: Verdict) -> Verdict:
    """The verdict of a build that is taken though another, or keeping, was proposed."""
    if verdict.kind is not Kind.KEEP:
        return verdict
    return replace(verdict, headline="Chosen by fitter and player, with no real gain to be seen")


def recommendation_name(come: Sequence[str], leave: Sequence[str]) -> str:
    """What is recommended, by the names of the clubs that come in and those that leave."""
    if come:
        return " and ".join(come)
    return f"Leave out the {' and the '.join(leave)}" if leave else "Keep what is there"


def recommendation_reasons(
    come: Sequence[tuple[str, str]], leave: Sequence[str], becomes: str, decided: str = "", *, proposed: bool = True
) -> str:
    """Why, to start from. come: letter and reasons of each build that comes in; leave: names of the clubs that go;
    becomes: said of the bag after it; decided: what the decision says, or that it was overruled, proposed: whether
    it is what the decision proposes."""
    if not (come or leave):
        return f"{decided or 'The bag stays as it is.'} {becomes}"
    said = [why if len(come) == 1 else f"{letter}: {why}" for letter, why in come]
    if leave and not proposed:
        said.append(f"Left out: {', '.join(leave)}.")
    return " ".join([*([decided] if decided else []), *said, becomes])
