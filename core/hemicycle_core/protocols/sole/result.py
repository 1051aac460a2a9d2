"""What came of a blind sole test: the ranking and how sure it is, lies that a sole met badly, how well the preference
repeats, and whether the player may have known.

Preference, what was measured, and how the turf was met stand apart: no score mixes them.
"""

from __future__ import annotations

import itertools
from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace

import numpy as np
from scipy.special import expit, logit

from ...errors import BadInput
from ...said import NOTHING, Said, Sayable, joined, number, say, term, with_or
from ...samples.paired import Judged, RankedByPairs, rank
from ...units import ninety, whole
from .ask import GOOD_TURF, MOST_SOLES, PLACES, Handing, SoleTest, comparisons
from .kept import LoftRole

# From which chance on one is named the best, by the number of soles: of tests of soles that are all one, at most one in
# ten then names one (`practice --soles`).
NAMED = {2: 0.80, 3: 0.78, 4: 0.74, 5: 0.70}
# How sure the first is said to be, by the number of soles: shift and factor on the log odds, from 4,500 tests of random
# soles each (seeds 9101 to 9103), as soles that were worth testing differ more often than the draws allow for.
SAID = {2: (0.1, 1.2), 3: (0.38, 0.92), 4: (0.31, 0.90), 5: (0.28, 0.88)}
HANGS = 0.4  # chance that a judge stands by what he liked first, from which on that is said
SAME = 0.5  # chance that none can be told from another, from which on that is said
RETURNS = 3  # a lie decides only after so many returns to it
OPENED_LESS = 2  # answers more that the face was opened less, from which on that is said
PATCHY = 0.5  # share of a code's turf marks on a lie that are bad, from which on the lie is flagged


@dataclass(frozen=True)
class SoleResult:
    """What came of it. ranked: chances and order by code (`samples.paired`; the second code of a club has no part in
    it); placed: the place of each in that order, from 1, shared by neighbours no further apart than their doubt; named:
    the code that is best beyond doubt, None where none is; likely: the codes that hold the best with eight
    chances in ten; sure: chance of the first to be the best; same: that no difference can be told; sentences; flagged:
    lies by code where it met the ground badly; repeats: what its two codes say of how well the preference repeats;
    deciding: which lie decides, as far as that can be told."""

    ranked: RankedByPairs
    order: tuple[int, ...]
    placed: tuple[int, ...]
    named: int | None
    likely: tuple[int, ...]
    sure: float
    same: bool
    sentences: tuple[Said, ...]
    flagged: Mapping[int, tuple[str, ...]]
    repeats: Said
    deciding: Said


def result(test: SoleTest, handed: Sequence[Handing], names: Sequence[Sayable], *, merged: bool = True) -> SoleResult:
    """The result as it stands. names: of the codes, or of the clubs once they are revealed. merged: a club with two
    codes is ranked once; before the reveal each code stands for itself."""
    codes = [code for code in range(test.count) if not merged or test.shown(code) == code]
    at = {code: index for index, code in enumerate(codes)}
    judged = [
        replace(each, later=at[each.later], before=at[each.before])
        for each in comparisons(test, handed, merged=merged, weighed=True)
    ]
    ranked = rank(len(codes), judged)
    order = tuple(codes[each] for each in ranked.order)
    best = ranked.order[0]
    named = codes[best] if judged and ranked.best[best] >= NAMED[min(len(codes), MOST_SOLES)] else None
    likely = tuple(codes[each] for each in ranked.likely())
    same = named is None and ranked.same >= SAME and not _agrees(judged)
    shift, factor = SAID[min(len(codes), MOST_SOLES)]
    sure = float(expit(shift + factor * logit(np.clip(ranked.first[best], 1e-6, 1 - 1e-6))))
    return SoleResult(
        ranked=ranked,
        order=order,
        placed=_placed(ranked),
        named=named,
        likely=likely,
        sure=sure,
        same=same,
        sentences=(
            *_sentences(named, same, likely, sure, names, judged),
            *_known_already(test, likely, names, told=merged and bool(judged)),
            *_once_more(test, handed, likely, names, merged=merged),
            *_opens_less(test, handed, names, merged=merged),
            *_hangs(ranked, named),
        ),
        flagged=_flagged(test, handed, merged=merged),
        repeats=_repeats(test, handed, names) if merged else NOTHING,
        deciding=_deciding(test, handed, names),
    )


def _agrees(judged: Sequence[Judged]) -> bool:
    """Whether anything told soles apart, and every two always the same way round: who finds no difference says so, or
    says now this and now that."""
    told: dict[tuple[int, int], int] = {}
    for each in judged:
        low, high = sorted((each.later, each.before))
        way = each.said if each.later == high else -each.said
        if way and told.setdefault((low, high), way) != way:
            return False
    return bool(told)


def _placed(ranked: RankedByPairs) -> tuple[int, ...]:
    """By judgement: two that are less than one standard deviation of their difference apart share a place."""
    places = [1]
    for before, now in itertools.pairwise(ranked.order):
        apart = float(ranked.score[before] - ranked.score[now])
        doubt = float(np.hypot(ranked.error[before], ranked.error[now]))
        places.append(places[-1] if apart < doubt else len(places) + 1)
    return tuple(places)


def _sentences(
    named: int | None,
    same: bool,
    likely: Sequence[int],
    sure: float,
    names: Sequence[Sayable],
    judged: Sequence[Judged],
) -> list[Said]:
    if not judged:
        return [say("protocol-nothing-was-compared-yet")]
    if named is not None:
        return [say("protocol-liked-best-sure", name=names[named], in_100=_in_100(sure))]
    if same:
        return [say("sole-no-difference")]
    if len(likely) == 1:
        return [say("protocol-leads-not-sure", name=names[likely[0]], in_100=_in_100(sure))]
    return [say("sole-not-told-apart", names=with_or(names[code] for code in likely))]


def _known_already(test: SoleTest, likely: Sequence[int], names: Sequence[Sayable], *, told: bool) -> list[Said]:
    """That the sole which is played now is among those that hold the best: it asks for nothing to be learned. told:
    before that nobody may know which it is."""
    if not told or test.control is None or (control := test.shown(test.control)) not in likely:
        return []
    return [say("sole-known-already", name=names[control], alone=len(likely) == 1)]


def _once_more(
    test: SoleTest, handed: Sequence[Handing], likely: Sequence[int], names: Sequence[Sayable], *, merged: bool
) -> list[Said]:
    """Where one leads that met a lie badly and was not taken back there: the test of the favourite."""
    if len(likely) != 1 or test.open:
        return []
    sums: dict[str, int] = {}
    for place in test.places:
        there = [each for each in handed if each.place == place and not each.duel]
        two = comparisons(test, there, merged=merged)
        mine = sum(e.said if e.later == likely[0] else -e.said for e in two if likely[0] in (e.later, e.before))
        codes = [test.shown(each.code) if merged else each.code for each in there]
        bad = [
            e for e, code in zip(there, codes, strict=True) if code == likely[0] and e.turf not in (None, *GOOD_TURF)
        ]
        sums[place] = mine - 2 * len(bad)  # liked there all the same it met the ground badly
    worst = min(sums, key=lambda place: sums[place])
    if sums[worst] >= 0 or worst in test.returns:
        return []
    return [say("sole-worst-lie-once-more", name=names[likely[0]], lie=say("sole-inside", place=PLACES[worst].name))]


def _opens_less(test: SoleTest, handed: Sequence[Handing], names: Sequence[Sayable], *, merged: bool) -> list[Said]:
    """The sole with which the face is opened less than with any other, where that was said often enough."""
    sums: dict[int, int] = {}
    for before, now in itertools.pairwise(handed):
        one, two = (test.shown(each.code) if merged else each.code for each in (now, before))
        if now.opened is not None and before.stage == now.stage and one != two:
            sums[one] = sums.get(one, 0) + now.opened
            sums[two] = sums.get(two, 0) - now.opened
    order = sorted(sums, key=lambda code: sums[code])
    if len(order) < 2 or sums[order[0]] > -OPENED_LESS or sums[order[0]] == sums[order[1]]:
        return []
    return [say("sole-opens-less", name=names[order[0]])]


def _hangs(ranked: RankedByPairs, named: int | None) -> list[Said]:
    """Said while nobody is named: who is named beyond doubt is so with favourites reckoned with."""
    if named is not None or ranked.stands < HANGS:
        return []
    return [say("protocol-answers-may-hang-club")]


def _in_100(sure: float) -> Said:
    """Nothing that a player says is certain."""
    return say("in-hundred", n=min(int(whole(sure * 100)), 99))


def _flagged(test: SoleTest, handed: Sequence[Handing], *, merged: bool) -> dict[int, tuple[str, ...]]:
    marks: dict[int, dict[str, list[bool]]] = {}
    for each in handed:
        if each.turf is not None:
            code = test.shown(each.code) if merged else each.code
            marks.setdefault(code, {}).setdefault(each.place, []).append(each.turf not in GOOD_TURF)
    return {
        code: bad
        for code, mine in marks.items()
        if (bad := tuple(place for place, said in mine.items() if np.mean(said) > PATCHY))
    }


def _repeats(test: SoleTest, handed: Sequence[Handing], names: Sequence[Sayable]) -> Said:
    """How far the two codes of one club came out apart, with its doubt; never passed or failed."""
    if test.twice is None:
        return NOTHING
    one, two = test.twice
    found = rank(test.count, comparisons(test, handed, merged=False))
    apart = abs(float(found.score[one] - found.score[two]))
    give = ninety(float(np.hypot(found.error[one], found.error[two])))
    return say("protocol-was-handed-under-two", name=names[one], apart=number(apart, 1), give=number(give, 1))


def which_lie(test: SoleTest, handed: Sequence[Handing], place: str) -> int | None:
    """The code that a lie decides for; None while that cannot be told, as before three returns to it."""
    if test.returns.count(place) < RETURNS:
        return None
    sums = dict.fromkeys(range(test.count), 0)
    there = [each for each in handed if each.place == place and not each.duel]
    if max((each.visit for each in there), default=0) < RETURNS:
        return None
    for each in comparisons(test, there, merged=True):
        sums[each.later] += each.said
        sums[each.before] -= each.said
    best = max(sums, key=lambda code: sums[code])
    return best if sums[best] >= RETURNS else None


def _deciding(test: SoleTest, handed: Sequence[Handing], names: Sequence[Sayable]) -> Said:
    """Which lie decides, in a sentence."""
    found = {place: which_lie(test, handed, place) for place in dict.fromkeys(test.returns)}
    said = [
        say("protocol-decides", lie=PLACES[place].name, name=names[code])
        for place, code in found.items()
        if code is not None
    ]
    return joined(said) or say("protocol-which-lie-decides-cannot", returns=RETURNS)


LIKELY = 0.6  # chance from which on one of the lofts is said to lead


def loft_needed(found: SoleResult, roles: Mapping[int, LoftRole]) -> Said:
    """Whether the shot needs the loft, or the face is only to be opened: a sentence. roles: by code."""
    if not found.ranked.n:
        return NOTHING
    by = {roles[code]: float(found.ranked.first[at]) for at, code in enumerate(sorted(roles))}
    if found.same:
        return say("protocol-no-difference-player-can-2")
    best = max(by, key=lambda role: by[role])
    if by[best] < LIKELY:
        return say("protocol-not-told-apart-yet")
    return {
        LoftRole.AS_IS: say("protocol-sole-made-liked-best"),
        LoftRole.WEAKER: say("protocol-degree-weaker-liked-best"),
        LoftRole.LESS: say("protocol-less-loft-same-sole"),
    }[best]


CERTAIN = {"guess": (0.25, 0.6), "fairly": (0.45, 0.3), "certain": (0.30, 0.1)}
SEEN_BEFORE = 0.2  # how often a test that was meant to be blind was not, before anything was guessed


@dataclass(frozen=True)
class Blindness:
    """Whether the player may have known. chance: that he did; sentence."""

    chance: float
    sentence: Said


def check_confidence(confidence: str) -> None:
    """Raises BadInput for a word that is none of `CERTAIN`."""
    if confidence not in CERTAIN:
        raise BadInput(say("protocol-say-whether-was-guess"), field="confidence")


def blindness(count: int, *, right: bool, confidence: str) -> Blindness:
    """The player's guess which of `count` soles is the one he plays now, against chance (1 in count) and how sure he
    was: `guess`, `fairly` or `certain`.

    Who knows guesses right and says so; who does not is right once in `count` and seldom certain. By judgement.
    """
    check_confidence(confidence)
    knows, blind = CERTAIN[confidence]
    seen = SEEN_BEFORE * knows * (0.95 if right else 0.05)
    unseen = (1 - SEEN_BEFORE) * blind * (1 / count if right else 1 - 1 / count)
    chance = seen / (seen + unseen)
    by = say("protocol-chance-once", count=count)
    if not right:
        return Blindness(chance, say("protocol-guessed-wrong-right-test", by=by))
    if chance >= 0.5:
        return Blindness(chance, say("protocol-guessed-right-was-may", sure=_sure(confidence)))
    return Blindness(chance, say("protocol-guessed-right-anyone-does", by=by, sure=_sure(confidence)))


def _sure(confidence: str) -> Said:
    return term("confidence", confidence)
