"""A recommendation in words: what may be recommended, what it is called, and why."""

from __future__ import annotations

from collections.abc import Sequence

from .verdict import DOING, Kind, Verdict


def may_be_recommended(verdict: Verdict) -> bool:
    """Whether a build was hit often enough to be recommended at all."""
    return verdict.kind is not Kind.NEEDS_SHOTS


def why_it_lost(verdict: Verdict, chosen: Verdict | None) -> str:
    """One sentence for the record."""
    if verdict.kind in DOING and chosen is not None:
        return f"{verdict.headline} too. {verdict.against or verdict.why}"
    return f"{verdict.headline}. {verdict.why}"


def recommendation_name(come: Sequence[str], leave: Sequence[str]) -> str:
    """What is recommended, by the names of the clubs that come in and those that leave."""
    if come:
        return " and ".join(come)
    return f"Leave out the {' and the '.join(leave)}" if leave else "Keep what is there"


def recommendation_reasons(
    come: Sequence[tuple[str, str]], leave: Sequence[str], becomes: str, decided: str = ""
) -> str:
    """Why, to start from. come: letter and reasons of each build that comes in; leave: names of the clubs that go;
    becomes: said of the bag after it; decided: what the decision says, where this is what it proposes."""
    if not (come or leave):
        return f"{decided or 'The bag stays as it is.'} {becomes}"
    said = [why if len(come) == 1 else f"{letter}: {why}" for letter, why in come]
    if leave and not decided:
        said.append(f"Left out: {', '.join(leave)}.")
    return " ".join([*([decided] if decided else []), *said, becomes])
