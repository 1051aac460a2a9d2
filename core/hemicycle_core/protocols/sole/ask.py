"""The sole test, blind: which sole a player likes best over the lies he meets, from what he says of each beside the one
before it.

Soles go by code; who knows which code is which club is not this module's business. Two to five soles of one loft: all
of them on the first two lies, then the weakest is out, still blind, and two go to the last lies; a duel closes it, the
one that leads against the control, else against the second. What was dropped ranks as far as it was tried.

What comes of it is in `result`.
"""

from __future__ import annotations

import itertools
from collections import Counter
from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field
from functools import lru_cache

import numpy as np

from ...errors import BadInput
from ...impact import Lie
from ...runs import HALF, THREE_QUARTER
from ...said import Said, far, joined, say, term
from ...samples.paired import Judged, rank
from ...shots import Intent
from ...units import metres
from ..protocol import Protocol
from .kept import KEPT, Blind, SoleKept, TurfSaid

KEY = "sole"
SHOTS = 3  # a code and a lie
LEAST_SOLES, MOST_SOLES = 2, 5
ALL_ON = 2  # lies that all soles are hit from
DUEL_HANDINGS, SHORT_DUEL = 4, {2: 4, 3: 3, 4: 3, 5: 2}
SECONDS_A_SHOT, SECONDS_A_HANDING = 25, 30
SHORT_PLACES, SHORT_ALL_ON = 3, {2: 2, 3: 2, 4: 1, 5: 1}  # twenty minutes


GOOD_TURF = frozenset({TurfSaid.SLID, TurfSaid.EVEN})
IN_SAND = (TurfSaid.EVEN, TurfSaid.DEEP, TurfSaid.SHALLOW)
ON_GRASS = tuple(turf for turf in TurfSaid if turf not in IN_SAND)
# Spoken across a bay and written on the tape of a shaft; no two begin alike, none is a letter of the stand said aloud.
WORDS = (
    "Acorn", "Basket", "Candle", "Dolphin", "Emerald", "Feather", "Garden", "Harbour", "Island", "Jacket", "Kettle",
    "Lantern", "Marble", "Needle", "Orchard", "Pepper", "Quiver", "Ribbon", "Saddle", "Teapot", "Umbrella", "Velvet",
    "Walnut", "Yogurt",
)  # fmt: skip
MOST_RETURNS = 12
OPEN_ROUNDS = 2  # of clubs by name on one shot


@dataclass(frozen=True)
class Place:
    """What is played, and from where. over: it must be flown over something; open_face: else square; side: of the body
    that is told otherwise to a left-hander. length: about how long the swing is."""

    key: str
    lie: Lie
    target_m: float
    open_face: bool = False
    length: str = HALF

    @property
    def name(self) -> Said:
        return term("sole-place", self.key)

    def told(self, *, left_handed: bool) -> Said:
        """What is asked of the player, a sentence."""
        key = "slope-left-handed" if self.key == "slope" and left_handed else self.key
        return joined([say("sole-face", open=self.open_face), term("sole-told", key)])


PLACES: dict[str, Place] = {
    each.key: each
    for each in (
        Place("pitch", Lie.FAIRWAY, metres(40)),
        Place("fuller", Lie.FAIRWAY, metres(70), length=THREE_QUARTER),
        Place("soft", Lie.SOFT, metres(35)),
        Place("tight", Lie.TIGHT, metres(25)),
        Place("semi_rough", Lie.SEMI_ROUGH, metres(25)),
        Place("sand", Lie.SAND, metres(15), open_face=True),
        Place("slope", Lie.SLOPE, metres(30)),
        Place("downhill", Lie.SLOPE, metres(30)),
        Place("lob", Lie.FAIRWAY, metres(20), open_face=True),
        Place("wet", Lie.WET, metres(30)),
    )
}
FIRST = ("pitch", "fuller")
USUAL = ("pitch", "fuller", "tight", "soft", "sand", "lob")


@dataclass(frozen=True)
class Handing:
    """One code handed and hit at one place. said: better (1), level (0) or worse (-1) than the one before it there;
    None for the first; best: the same against the best there so far, where that was asked. turf: how it met the
    ground."""

    code: int
    place: str
    said: int | None = None
    turf: TurfSaid | None = None
    duel: bool = False
    visit: int = 0
    best: int | None = None
    opened: int | None = None

    @property
    def stage(self) -> tuple[str, int, bool]:
        """Handings of one stage are compared with each other."""
        return self.place, self.visit, self.duel


MOST_LEFT_M = metres(65)
MOST_GROOVE = 16
MOST_SOUND = 40


@dataclass(frozen=True)
class AfterShots:
    """What is said of a code after its shots. said: better 1, level 0, worse -1 than the one before it; best: the same
    against the best so far; opened: the face was opened more 1, as much 0, less -1 than with the one before it; groove:
    where it struck, from the lowest; left_m: from the hole."""

    said: int | None = None
    turf: TurfSaid | None = None
    best: int | None = None
    groove: int | None = None
    sound: str = ""
    left_m: float | None = None
    opened: int | None = None

    def check(self, lie: Lie) -> None:
        """Raises BadInput for what cannot be said from this lie."""
        if {self.said, self.best, self.opened} - {None, -1, 0, 1}:
            raise BadInput(say("protocol-say-better-level-worse"), field="said")
        if self.turf is not None and (self.turf in IN_SAND) != (lie is Lie.SAND):
            where = say("sole-turf-in-sand") if lie is Lie.SAND else say("sole-turf-not-sand")
            raise BadInput(where, field="turf")
        if self.groove is not None and not 0 <= self.groove <= MOST_GROOVE:
            raise BadInput(say("protocol-grooves-counted-from-lowest", most_groove=MOST_GROOVE), field="groove")
        if self.left_m is not None and not 0 <= self.left_m <= MOST_LEFT_M:
            raise BadInput(say("sole-left-to-the-hole", most=far(MOST_LEFT_M)), field="left_m")
        if len(self.sound) > MOST_SOUND:
            raise BadInput(say("protocol-sound-word-characters-most", most_sound=MOST_SOUND), field="sound")


@dataclass(frozen=True)
class SoleTest:
    """count: codes; places: keys, in the order they are played, the first two for all. twice: two codes of one club, to
    see how well the player's preference repeats. control: the code of the sole played now, None without one; seed: of
    its orders. short: the 20-minute version. returns: places that are gone back to, in their order. open: no blind
    test but clubs by name on one shot, each twice: nothing is dropped, and no duel closes it. weights: of the lies in
    the ranking, by the shots the wedge is used for, 1 where nothing is said; what is handed does not hang on them."""

    count: int
    places: tuple[str, ...]
    twice: tuple[int, int] | None = None
    control: int | None = None
    seed: int = 0
    short: bool = False
    returns: tuple[str, ...] = ()
    open: bool = False
    weights: Mapping[str, float] = field(default_factory=dict)

    def __post_init__(self) -> None:
        if not LEAST_SOLES <= self.soles <= MOST_SOLES:
            raise BadInput(say("sole-test-has-soles", least=LEAST_SOLES, most=MOST_SOLES), field="clubs")
        if any(place not in PLACES for place in (*self.places, *self.returns)):
            raise BadInput(say("protocol-choose-among-lies-sole"), field="places")
        if len(self.returns) > MOST_RETURNS or not set(self.returns) <= set(self.places):
            raise BadInput(say("protocol-go-back-only-lie"), field="place")
        if self.open:
            if len(self.places) != 1:
                raise BadInput(say("protocol-clubs-name-tried-one"), field="places")
            return
        if len(set(self.places)) != len(self.places) or not self.places or self.places[0] not in FIRST:
            raise BadInput(say("protocol-sole-test-begins-stock"), field="places")
        if len(self.places) < 2:
            raise BadInput(say("protocol-wedge-tried-from-one"), field="places")

    @classmethod
    def of(cls, kept: SoleKept) -> SoleTest:
        """The test that was set up so."""
        twice = None if kept.twice is None else (kept.twice[0], kept.twice[1])
        return cls(
            len(kept.codes),
            kept.places,
            twice=twice,
            control=kept.control,
            seed=kept.seed,
            short=kept.short,
            returns=kept.returns,
            open=kept.blind is Blind.OPEN,
        )

    @property
    def soles(self) -> int:
        return self.count - (self.twice is not None)

    def shown(self, code: int) -> int:
        """The code under which a club is ranked: its first one."""
        return self.twice[0] if self.twice is not None and code == self.twice[1] else code


@dataclass(frozen=True)
class Next:
    """What is handed next: which code, where; whether it is part of the duel; which return to the place it is, 0 for
    the first time there."""

    code: int
    place: str
    duel: bool = False
    visit: int = 0


@dataclass(frozen=True)
class Standing:
    """Where a test stands. next: None when all is done; left: codes still in; dropped: by code, after how many places;
    handings: done, and about how many are left; minutes: these take; complete: the finalists were on every lie, so that
    a reveal leaves nothing open; unplayed: the lies they were not on. ahead: what can be handed from now on if nobody
    can be asked who is dropped: then nobody is. duels: handings of the duel that are left, in which so many `finalists`
    take turns, whoever they are."""

    next: Next | None
    left: tuple[int, ...]
    dropped: Mapping[int, int]
    done: int
    more: int
    minutes: int
    complete: bool
    unplayed: tuple[str, ...]
    ahead: tuple[Next, ...]
    duels: int = 0
    finalists: int = 2


def comparisons(test: SoleTest, handed: Sequence[Handing], *, merged: bool, weighed: bool = False) -> list[Judged]:
    """The comparisons among the handings: each with the one before it at its place, and in the duel; and with the best
    there so far, where that is another one and was asked. weighed: each by what its lie weighs."""
    found, best = [], 0

    def weight(place: str) -> float:
        return test.weights.get(place, 1.0) if weighed else 1.0

    codes = [test.shown(each.code) if merged else each.code for each in handed]
    for at, (before, now) in enumerate(itertools.pairwise(handed)):
        one, two = codes[at + 1], codes[at]
        if before.stage != now.stage:
            continue
        if at == 0 or handed[at - 1].stage != before.stage:
            best = two
        if now.said is not None and one != two:
            found.append(Judged(one, two, now.said, at == 0, weight(now.place)))
        if now.best is not None and best not in (one, two):
            found.append(Judged(one, best, now.best, weight=weight(now.place)))
        if now.best == 1 or (best == two and now.said == 1):
            best = one
    return found


# What is handed, dropped and met at the end hangs on the codes, on chance and on what was said of codes, and on nothing
# that only the set-up knows: whoever looks on learns neither which two codes are one club nor which is the control.


def _order(test: SoleTest, left: Sequence[int], at: int, last: int | None, met: Counter[tuple[int, int]]) -> list[int]:
    """In which order the codes are handed at a place: by chance among those orders that hold together what met least so
    far, and where it did the other way round, not beginning with what was hit last. met: how often a code followed
    another."""
    follows = tuple(sorted(met.items()))
    return list(_balanced(test.seed, tuple(left), at, last, follows))


@lru_cache(maxsize=512)
def _balanced(
    seed: int, left: tuple[int, ...], at: int, last: int | None, follows: tuple[tuple[tuple[int, int], int], ...]
) -> tuple[int, ...]:
    chance, met = np.random.default_rng([seed, at]), dict(follows)
    orders = list(itertools.permutations(left))

    def repeats(order: tuple[int, ...]) -> tuple[bool, int, int]:
        two = list(itertools.pairwise(order))
        again = sum(met.get((a, b), 0) + met.get((b, a), 0) for a, b in two)
        return order[0] == last and len(order) > 1, again, sum(met.get(each, 0) for each in two)

    return min((orders[at] for at in chance.permutation(len(orders))), key=repeats)


def _keep(test: SoleTest, left: Sequence[int], handed: Sequence[Handing], count: int) -> list[int]:
    """The codes that go on: the best liked so far."""
    found = rank(test.count, comparisons(test, handed, merged=False))
    return sorted(sorted(left, key=lambda code: (-found.score[code], code))[:count])


def _last(test: SoleTest) -> int:
    """How many codes are left at the end. Where two are one club, one more: two clubs are left whichever they are."""
    return 2 + (test.twice is not None)


@dataclass(frozen=True)
class _Stage:
    place: str
    visit: int
    count: int


def _stages(test: SoleTest) -> list[_Stage]:
    """How many soles are hit at each place."""
    if test.open:
        (place,) = test.places
        return [_Stage(place, visit, test.count) for visit in range(OPEN_ROUNDS + len(test.returns))]
    places = test.places[:SHORT_PLACES] if test.short else test.places
    all_on = SHORT_ALL_ON[test.soles] if test.short else ALL_ON
    rest = len(places) - all_on
    middle = rest // 2
    counts = [test.count] * all_on
    last = _last(test)
    some = max(test.count - (2 if test.soles == MOST_SOLES else 1), last)
    counts += [last if test.short else some] * middle + [last] * (rest - middle)
    visits = dict.fromkeys(places, 0)
    stages = [_Stage(place, 0, count) for place, count in zip(places, counts, strict=False)]
    for place in test.returns:
        visits[place] = visits.get(place, 0) + 1
        stages.append(_Stage(place, visits[place], last))
    return stages


def is_asked(test: SoleTest, place: str, visit: int) -> bool:
    """Whether a lie is to be played so often."""
    return any((each.place, each.visit) == (place, visit) for each in _stages(test))


def minutes_of(handings: int) -> int:
    """What so many handings take, whole minutes."""
    return -(-handings * (SHOTS * SECONDS_A_SHOT + SECONDS_A_HANDING) // 60)


def standing(test: SoleTest, handed: Sequence[Handing]) -> Standing:
    """What comes next, from what was handed so far. A code that was handed though it was dropped counts, and nothing is
    asked of it any more."""
    left: list[int] = list(range(test.count))
    dropped: dict[int, int] = {}
    before: list[Handing] = []
    ahead: list[Next] = []
    more, last = 0, None
    met: Counter[tuple[int, int]] = Counter()
    stages = _stages(test)
    unplayed: list[str] = []
    for at, stage in enumerate(stages):
        if not more and stage.count < len(left):
            kept = _keep(test, left, before, stage.count)
            dropped |= {code: at for code in left if code not in kept}
            left = kept
        mine = [each for each in handed if each.stage == (stage.place, stage.visit, False)]
        there = {each.code for each in mine}
        order = _order(test, left, at, last, met)
        met.update(itertools.pairwise(order))
        missing = [code for code in order if code not in there]
        # Once something is missing, who will be left is not known yet, only how many.
        more += len(missing) if not more else max(min(stage.count, len(left)) - len(there), 0)
        ahead += [Next(code, stage.place, visit=stage.visit) for code in missing]
        if missing and stage.visit == 0:
            unplayed.append(stage.place)
        before += mine
        last = order[-1]
    complete = not more
    two = _duel(test, left, before) if complete and not test.open else ()
    fought = sum(each.duel for each in handed)
    many = 0 if test.open else SHORT_DUEL[test.soles] if test.short else DUEL_HANDINGS
    left_of_duel = max(many - fought, 0)
    if complete and len(two) > 1:
        ahead = [Next(two[turn % len(two)], stages[0].place, duel=True) for turn in range(fought, many)]
    more = more + left_of_duel if ahead else 0
    following = ahead[0] if ahead else None
    return Standing(
        following, tuple(left), dropped, len(handed), more, minutes_of(more), complete, tuple(unplayed), tuple(ahead),
        left_of_duel, _last(test),
    )  # fmt: skip


def next_words(coming: Next | None, word: str, before: str) -> Said:
    """What to do next, in a sentence. word: of the code that comes; before: of the one it is held against, empty for
    the first at its lie."""
    if coming is None:
        return say("protocol-all-hit-ask-player")
    where = say("sole-duel") if coming.duel else say("sole-inside", place=PLACES[coming.place].name)
    return say("sole-next", word=word, where=where, shots=SHOTS, then=bool(before), before=before)


def _duel(test: SoleTest, left: Sequence[int], handed: Sequence[Handing]) -> tuple[int, ...]:
    """Who meets whom at the end, in turn: those that are liked best, so many that two clubs are among them."""
    found = rank(test.count, comparisons(test, handed, merged=False))
    return tuple([code for code in found.order if code in left][: _last(test)])


PROTOCOL = Protocol(
    key=KEY,
    name=say("protocol-sole-test"),
    why=say("protocol-two-five-soles-one"),
    intents=(Intent.STOCK,),
    readings=(),
    shots=SHOTS,
    read=lambda _shots, _left_handed: [],
    kept=KEPT,
)
