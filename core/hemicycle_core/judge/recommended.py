"""A recommendation in words: what may be recommended, what it is called, and why."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace

from ..said import Said, Sayable, joined, listed, say, with_and, with_and_the
from .verdict import DOING, Kind, Verdict


def may_be_recommended(verdict: Verdict) -> bool:
    """Whether a build was hit often enough to be recommended at all."""
    return verdict.kind is not Kind.NEEDS_SHOTS


def why_it_lost(verdict: Verdict, chosen: Verdict | None) -> Said:
    """One sentence for the record."""
    if verdict.kind in DOING and chosen is not None:
        return say("lost-all-the-same", headline=verdict.headline, why=verdict.against or verdict.why)
    return say("lost", headline=verdict.headline, why=verdict.why)


def overruled(letters: Sequence[str], proposed: Sayable, *, other_clubs: bool = True) -> Said:
    """Why builds stand there that were not proposed. letters: none where what is there is kept; proposed: the sentence
    of the decision; other_clubs: False where the same come in and only what leaves is another."""
    what = "leaves" if not other_clubs else "builds" if letters else "kept"
    return say("overruled", what=what, clubs=with_and(letters), n=len(letters), proposed=proposed)


def passed_over(verdict: Verdict) -> Verdict:
    """The verdict of a build that was proposed and is not taken."""
    return replace(verdict, kind=Kind.RECOMMENDED, headline=say("verdict-passed-over"))


def taken_all_the_same(verdict: Verdict) -> Verdict:
    """The verdict of a build that is taken though another, or keeping, was proposed."""
    if verdict.kind is not Kind.KEEP:
        return verdict
    return replace(verdict, headline=say("verdict-taken-all-the-same"))


def recommendation_name(come: Sequence[str], leave: Sequence[str], of_set: tuple[str, str] | None = None) -> Said:
    """What is recommended, by the names of the clubs that come in and those that leave. of_set: the longest and the
    shortest of a set that comes with them."""
    if of_set is not None:
        return say("recommend-with-its-set", clubs=with_and(come), longest=of_set[0], shortest=of_set[1])
    if come:
        return with_and(come)
    return say("recommend-leaving-out", clubs=with_and_the(leave)) if leave else say("keep-what-is-there")


def recommendation_reasons(
    come: Sequence[tuple[str, Sayable]],
    leave: Sequence[str],
    becomes: Sayable,
    decided: Sayable = "",
    *,
    proposed: bool = True,
) -> Said:
    """Why, to start from. come: letter and reasons of each build that comes in; leave: names of the clubs that go;
    becomes: said of the bag after it; decided: what the decision says, or that it was overruled, proposed: whether
    it is what the decision proposes."""
    if not (come or leave):
        return joined([decided or say("recommend-bag-stays"), becomes])
    said = [why if len(come) == 1 else say("recommend-because", letter=letter, why=why) for letter, why in come]
    if leave and not proposed:
        said.append(say("recommend-left-out", clubs=listed(leave)))
    return joined([decided, *said, becomes])
