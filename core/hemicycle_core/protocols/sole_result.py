"""What came of a blind sole test: the ranking and how sure it is, lies that a sole met badly, how well the preference
repeats, and whether the player may have known.

Preference, what was measured, and how the turf was met stand apart: no score mixes them.
"""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

import numpy as np
from scipy.special import expit, logit

from ..errors import BadInput
from ..samples.paired import Judged, Ranked, rank
from ..units import ninety
from .sole import GOOD_TURF, Handing, SoleTest, comparisons

# From which chance on one is named the best, by the number of soles: of tests of soles that are all one, at most one in
# ten then names one (`practice --soles`).
NAMED = {2: 0.80, 3: 0.78, 4: 0.74, 5: 0.70}
# What is said of how sure the first is, by the number of soles: two are told apart more often than the draws allow for.
# A factor on the log odds, from the same practice.
SHARPER = {2: 1.6}
SAME = 0.5  # chance that none can be told from another, from which on that is said
RETURNS = 3  # a lie decides only after so many returns to it
PATCHY = 0.5  # share of a code's turf marks on a lie that are bad, from which on the lie is flagged


@dataclass(frozen=True)
class SoleResult:
    """What came of it. ranked: chances and order by code (`samples.paired`; the second code of a club has no part in
    it); named: the code that is best beyond doubt, None where none is; likely: the codes that hold the best with eight
    chances in ten; sure: chance of the first to be the best; same: that no difference can be told; sentences; flagged:
    lies by code where it met the ground badly; repeats: what its two codes say of how well the preference repeats."""

    ranked: Ranked
    order: tuple[int, ...]
    named: int | None
    likely: tuple[int, ...]
    sure: float
    same: bool
    sentences: tuple[str, ...]
    flagged: Mapping[int, tuple[str, ...]]
    repeats: str


def result(test: SoleTest, handed: Sequence[Handing], names: Sequence[str]) -> SoleResult:
    """The result as it stands. names: of the codes, or of the clubs once they are revealed."""
    codes = [code for code in range(test.count) if test.shown(code) == code]
    at = {code: index for index, code in enumerate(codes)}
    judged = [
        Judged(at[each.later], at[each.before], each.said, each.cold) for each in comparisons(test, handed, merged=True)
    ]
    ranked = rank(len(codes), judged)
    order = tuple(codes[each] for each in ranked.order)
    best = ranked.order[0]
    named = codes[best] if judged and ranked.best[best] >= NAMED[len(codes)] else None
    likely = tuple(codes[each] for each in ranked.likely())
    same = named is None and ranked.same >= SAME
    sure = float(expit(SHARPER.get(len(codes), 1.0) * logit(np.clip(ranked.first[best], 1e-6, 1 - 1e-6))))
    return SoleResult(
        ranked, order, named, likely, sure, same, tuple(_sentences(named, same, likely, sure, names, judged)),
        _flagged(handed), _repeats(test, handed, names),
    )  # fmt: skip


def _sentences(
    named: int | None,
    same: bool,
    likely: Sequence[int],
    sure: float,
    names: Sequence[str],
    judged: Sequence[Judged],
) -> list[str]:
    if not judged:
        return ["Nothing was compared yet."]
    if named is not None:
        return [f"{names[named]} is liked best, {round(sure * 100)} in 100 sure."]
    if same:
        return ["No difference this player can tell."]
    if len(likely) == 1:
        return [f"{names[likely[0]]} leads, not for sure: {round(sure * 100)} in 100."]
    words = ", ".join(names[code] for code in likely[:-1]) + f" or {names[likely[-1]]}"
    return [f"Not told apart: the best is {words}, eight times in ten."]


def _flagged(handed: Sequence[Handing]) -> dict[int, tuple[str, ...]]:
    marks: dict[int, dict[str, list[bool]]] = {}
    for each in handed:
        if each.turf is not None:
            marks.setdefault(each.code, {}).setdefault(each.place, []).append(each.turf not in GOOD_TURF)
    return {
        code: bad
        for code, mine in marks.items()
        if (bad := tuple(place for place, said in mine.items() if np.mean(said) > PATCHY))
    }


def _repeats(test: SoleTest, handed: Sequence[Handing], names: Sequence[str]) -> str:
    """How far the two codes of one club came out apart, with its doubt; never passed or failed."""
    if test.twice is None:
        return ""
    one, two = test.twice
    found = rank(test.count, comparisons(test, handed, merged=False))
    apart = abs(float(found.score[one] - found.score[two]))
    give = ninety(float(np.hypot(found.error[one], found.error[two])))
    return (
        f"{names[one]} was handed under two codes: they came out {apart:.1f} of one judgement’s noise apart, give or "
        f"take {give:.1f}."
    )


def which_lie(test: SoleTest, handed: Sequence[Handing], place: str) -> int | None:
    """The code that a lie decides for; None while that cannot be told, as before three returns to it."""
    said = comparisons(test, [each for each in handed if each.place == place], merged=True)
    if len(said) < RETURNS:
        return None
    sums = dict.fromkeys(range(test.count), 0)
    for each in said:
        sums[each.later] += each.said
        sums[each.before] -= each.said
    best = max(sums, key=lambda code: sums[code])
    return best if sums[best] >= RETURNS else None


CERTAIN = {"guess": (0.25, 0.6), "fairly": (0.45, 0.3), "certain": (0.30, 0.1)}
SEEN_BEFORE = 0.2  # how often a test that was meant to be blind was not, before anything was guessed


@dataclass(frozen=True)
class Blindness:
    """Whether the player may have known. chance: that he did; sentence."""

    chance: float
    sentence: str


def blindness(count: int, *, right: bool, confidence: str) -> Blindness:
    """The player's guess which of `count` soles is the one he plays now, against chance (1 in count) and how sure he
    was: `guess`, `fairly` or `certain`.

    Who knows guesses right and says so; who does not is right once in `count` and seldom certain. By judgement.
    """
    if confidence not in CERTAIN:
        raise BadInput("Say whether it was a guess, fairly sure or certain.", field="confidence")
    knows, blind = CERTAIN[confidence]
    seen = SEEN_BEFORE * knows * (0.95 if right else 0.05)
    unseen = (1 - SEEN_BEFORE) * blind * (1 / count if right else 1 - 1 / count)
    chance = seen / (seen + unseen)
    by = f"by chance once in {count}"
    if not right:
        return Blindness(chance, f"Guessed wrong, {by} it is right: the test was blind as far as that tells.")
    if chance >= 0.5:
        return Blindness(chance, f"Guessed right and was {_sure(confidence)}: it may not have been blind.")
    return Blindness(chance, f"Guessed right, {by} anyone does, and was {_sure(confidence)}: that tells little.")


def _sure(confidence: str) -> str:
    return {"guess": "only guessing", "fairly": "fairly sure", "certain": "certain"}[confidence]
