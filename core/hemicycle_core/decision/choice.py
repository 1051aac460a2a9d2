"""What is chosen, as it is shown, and the ties between builds: never between a build and keeping.

Two builds are as good where neither is better with 80% and they are within a tenth of a stroke a round, or where both
were hit enough and still cannot be told. Then in this order: what was asked, where one does more of it; of wedges,
where that is wished, the lower flight with more spin; the player's word; the evenness of the carries, of full swings
and then of part swings; the room in the window; the shorter shaft; fewer yardages to relearn; the price.
"""

from __future__ import annotations

from collections.abc import Callable, Mapping, Sequence
from dataclasses import dataclass, field
from enum import StrEnum

from scipy.special import fdtr

from ..heads import HeadType
from ..judge import Liking, Verdict
from ..judge.eased import PartSwing, wider_at
from ..judge.stopping import More
from ..said import Said
from ..samples.averages import average
from ..thresholds import DEFAULT, Thresholds
from ..units import METRES_PER_INCH
from .asked import Asked
from .options import Option
from .worth import Worth

ROOM = 0.10  # of the chance to lie in the window and to land as asked: less is no more room
SHORTER_M = 0.25 * METRES_PER_INCH
LOWER_DEG, MORE_RPM = 1.0, 500.0  # of two wedges: less is no other flight
LIKED = {Liking.LIKED: 2, Liking.NEUTRAL: 1, Liking.DISLIKED: 0, Liking.VETOED: -1}


class Because(StrEnum):
    """What decided, for the sentence and for tests."""

    SAVES_MOST = "saves_most"
    ASKED = "asked"
    LOWER = "lower"
    ONLY_ONE = "only_one"
    LIKED = "liked"
    EVEN = "even"
    CONTROL = "control"
    ROOM = "room"
    SHAFT = "shaft"
    RELEARN = "relearn"
    CHEAPER = "cheaper"
    TIED = "tied"
    TURN = "turn"
    KEEP = "keep"
    TESTED = "tested"
    NOTHING = "nothing"


@dataclass(frozen=True)
class Choice:
    """The headline of the decision. letter: of the build to propose, None to keep what is there; letters: of all that
    come in. gain_strokes: a round, beside what is there now; None where that is not known. chance_best: that no other
    build saves more. more: shots that would settle it, or would not."""

    letter: str | None
    runner_up: str | None
    because: Because
    sentence: Said
    settled: bool
    chance_best: float | None = None
    gain_strokes: float | None = None
    gain_price: float | None = None
    more: More | None = None
    letters: tuple[str, ...] = ()


@dataclass(frozen=True)
class Contender:
    """A build with the bag that has it in: its worth, and what a tie is decided by."""

    option: Option
    worth: Worth
    verdict: Verdict
    relearn: int = 0
    shots: float = 0.0
    carries: Sequence[float] = field(default_factory=tuple)
    parts: Sequence[PartSwing] = field(default_factory=tuple)

    @property
    def letter(self) -> str:
        return self.option.letter


def level(first: Contender, second: Contender, thresholds: Thresholds = DEFAULT) -> bool:
    """Whether two are as good as each other, as far as it matters or can be told."""
    sure = first.worth.better_than(second.worth)
    sure = max(sure, 1 - sure)
    if sure < thresholds.better and abs(first.worth.net - second.worth.net) <= thresholds.level_strokes:
        return True
    return min(first.shots, second.shots) >= thresholds.most_shots and sure < thresholds.stop_at


def _by_liking(a: Contender, b: Contender) -> float:
    if not (a.option.answered and b.option.answered):
        return 0.0
    return LIKED[a.option.liking] - LIKED[b.option.liking]


def _by_evenness(thresholds: Thresholds) -> Callable[[Contender, Contender], float]:
    """By the spread of the kept carries, where the smaller is known to be (variance ratio)."""

    def compared(a: Contender, b: Contender) -> float:
        one, two = average(a.carries), average(b.carries)
        if one is None or two is None or not one.sd or not two.sd:
            return 0.0
        surely = float(fdtr(two.n - 1, one.n - 1, (two.sd / one.sd) ** 2))
        return 1.0 if surely >= thresholds.better else -1.0 if surely <= 1 - thresholds.better else 0.0

    return compared


def _eased_variance(contender: Contender) -> tuple[float, int]:
    """Of its part swings' carries, as a share and beside what is usual for a swing of that length; degrees of
    freedom, 0 where no swing was hit often enough."""
    stock = contender.option.club.carry_m
    parts = [each for each in contender.parts if each.sd_share is not None and each.carry_m < stock]
    freedom = sum(each.n - 1 for each in parts)
    if not freedom:
        return 0.0, 0
    shares = ((each.n - 1) * ((each.sd_share or 0.0) / float(wider_at(each.carry_m / stock))) ** 2 for each in parts)
    return sum(shares) / freedom, freedom


def by_control(thresholds: Thresholds) -> Callable[[Contender, Contender], float]:
    """By the spread of the part swings, where the smaller is known to be."""

    def compared(a: Contender, b: Contender) -> float:
        (one, n), (two, m) = _eased_variance(a), _eased_variance(b)
        if not (n and m and one and two):
            return 0.0
        surely = float(fdtr(m, n, two / one))
        return 1.0 if surely >= thresholds.better else -1.0 if surely <= 1 - thresholds.better else 0.0

    return compared


def within(first: Contender, second: Contender) -> tuple[PartSwing, PartSwing] | None:
    """The swing that both were eased to and that was hit most; None where there is none."""
    theirs = {each.swing: each for each in second.parts if each.sd_share is not None}
    both = [(each, theirs[each.swing]) for each in first.parts if each.sd_share is not None and each.swing in theirs]
    return max(both, key=lambda pair: (pair[0].n + pair[1].n, pair[0].carry_m), default=None)


def _by_room(a: Contender, b: Contender) -> float:
    apart = (a.verdict.chance or 0.0) - (b.verdict.chance or 0.0)
    return apart if abs(apart) > ROOM else 0.0


def _by_shaft(a: Contender, b: Contender) -> float:
    if a.option.length_m is None or b.option.length_m is None:
        return 0.0
    apart = b.option.length_m - a.option.length_m
    return apart if abs(apart) >= SHORTER_M - 1e-9 else 0.0


def _by_relearning(a: Contender, b: Contender) -> float:
    return float(b.relearn - a.relearn)


def _by_price(a: Contender, b: Contender) -> float:
    if a.option.price is None or b.option.price is None:
        return 0.0
    return b.option.price - a.option.price


def _by_flight(asked: Asked, thresholds: Thresholds) -> Callable[[Contender, Contender], float]:
    """By how much of the flight that was asked for each does."""

    def compared(a: Contender, b: Contender) -> float:
        for quantity, way in asked.wanted.moves:
            one, two = (
                next((fact.mean for fact in each.verdict.facts if fact.quantity == quantity), None) for each in (a, b)
            )
            if one is not None and two is not None and abs(one - two) > thresholds.same(quantity):
                return way * (one - two)
        return 0.0

    return compared


def lower_by(first: Contender, second: Contender) -> tuple[float, float] | None:
    """How much lower a wedge leaves than another, degrees, and with how much more spin, rpm; None where either is no
    wedge, or was not read."""
    if any(each.option.club.head_type is not HeadType.WEDGE for each in (first, second)):
        return None
    one, two = (
        [
            next((fact.mean for fact in each.verdict.facts if fact.quantity == key), None)
            for key in ("launch_deg", "spin_rpm")
        ]
        for each in (first, second)
    )
    if one[0] is None or one[1] is None or two[0] is None or two[1] is None:
        return None
    return two[0] - one[0], one[1] - two[1]


def _by_lower(asked: Asked) -> Callable[[Contender, Contender], float]:
    """By the lower flight with more spin, where that is wished of wedges: by a degree or by so much spin, and neither
    for the other."""

    def compared(a: Contender, b: Contender) -> float:
        by = lower_by(a, b) if asked.wanted.lower else None
        if by is None:
            return 0.0
        degrees, spin = by[0] / LOWER_DEG, by[1] / MORE_RPM
        if max(degrees, spin) >= 1 and min(degrees, spin) > -1:
            return max(degrees, spin)
        if min(degrees, spin) <= -1 and max(degrees, spin) < 1:
            return min(degrees, spin)
        return 0.0

    return compared


def broken(level_ones: Sequence[Contender], asked: Asked, thresholds: Thresholds) -> tuple[Contender, Because | None]:
    """Which of several that are as good is put first, the best of them first, and by what; None where nothing tells
    them apart."""
    rules: Mapping[Because, Callable[[Contender, Contender], float]] = {
        Because.ASKED: _by_flight(asked, thresholds),
        Because.LOWER: _by_lower(asked),
        Because.LIKED: _by_liking,
        Because.EVEN: _by_evenness(thresholds),
        Because.CONTROL: by_control(thresholds),
        Because.ROOM: _by_room,
        Because.SHAFT: _by_shaft,
        Because.RELEARN: _by_relearning,
        Because.CHEAPER: _by_price,
    }
    pool, by = list(level_ones), None
    for because, rule in rules.items():
        left = [each for each in pool if all(rule(each, other) >= 0 for other in pool)]
        if 0 < len(left) < len(pool):
            pool, by = left, because
        if len(pool) == 1:
            return pool[0], by
    return pool[0], None if pool[0] is level_ones[0] else by
