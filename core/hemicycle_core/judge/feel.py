"""What a club feels like to the player: asked before the numbers are shown, as numbers colour feel.

It stands beside the numbers and is never mixed into them; only where builds do as many of the jobs does the liking it
amounts to put one before another, and a veto stands whatever the numbers say.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from enum import StrEnum

from ..errors import BadInput
from ..said import NOTHING, Said, joined, listed, say, term
from .candidate import Liking

MOST = 5  # the best of the marks, 1 the worst
LIKED_FROM, DISLIKED_TO = 4.0, 2.0  # judgement: the average of the marks at which a build is liked, or not
ASK_AFTER = 5  # shots with a build in hand
ASK_AGAIN_AFTER = 3  # shots more, of a build that is put down again
LONGEST_WORD = 120


class Felt(StrEnum):
    """What is asked, in the order it is asked."""

    LOOKS = "looks"
    SOUND = "sound"
    FEEL = "feel"
    TRUST = "trust"
    TEE = "tee"


ASKED = {felt: term("felt-asked", felt) for felt in Felt}


class PlayerMode(StrEnum):
    """What the player's screen shows."""

    BLIND = "blind"  # the letter in hand and how many shots
    FEEL = "feel"  # as blind, and asks what a build felt like
    SIMPLE = "simple"  # carry, flight and landing zone
    FULL = "full"


NUMBERS = frozenset({PlayerMode.SIMPLE, PlayerMode.FULL})


@dataclass(frozen=True)
class Feel:
    """One answer: marks of 1 to 5 by what was asked, skipped ones left out. veto: will not be played. numbers: whether
    some may have been seen before it was asked."""

    marks: dict[Felt, int]
    veto: bool = False
    word: str = ""
    numbers: bool = False

    def __post_init__(self) -> None:
        for felt, mark in self.marks.items():
            if not 1 <= mark <= MOST:
                raise BadInput(say("felt-is-marked", felt=ASKED[felt], most=MOST), field=felt.value)
        if len(self.word) > LONGEST_WORD:
            raise BadInput(say("felt-word-is-short", most=LONGEST_WORD), field="word")

    @property
    def says(self) -> bool:
        """Whether it was more than skipped."""
        return bool(self.marks or self.veto or self.word)

    @property
    def words(self) -> Said:
        """As it is read out: `looks 4, sound 3, feel 5, trust 4; “soft”`."""
        marks = listed(say("felt-mark", felt=felt, mark=self.marks[felt]) for felt in Felt if felt in self.marks)
        veto = say("felt-not-to-be-played") if self.veto else NOTHING
        word = say("quoted", name=self.word) if self.word else NOTHING
        return joined([marks, veto, word], "; ")


def last_said(said: Sequence[Feel]) -> Feel | None:
    """The answer that holds: the last that was more than skipped."""
    return next((each for each in reversed(said) if each.says), None)


def liking(said: Sequence[Feel], *, off_tee: bool = False) -> Liking:
    """What the answers on a build, in the order they were given, amount to. off_tee: it is for the tee, so that the
    trust in it there counts and not that on the turf."""
    last = last_said(said)
    if last is None:
        return Liking.NEUTRAL
    if last.veto:
        return Liking.VETOED
    if not last.marks:
        return Liking.NEUTRAL
    marks = {felt: mark for felt, mark in last.marks.items() if felt is not Felt.TEE}
    if off_tee and Felt.TEE in last.marks:
        marks[Felt.TRUST] = last.marks[Felt.TEE]
    if not marks:
        return Liking.NEUTRAL
    mean = sum(marks.values()) / len(marks)
    return Liking.LIKED if mean >= LIKED_FROM else Liking.DISLIKED if mean <= DISLIKED_TO else Liking.NEUTRAL


@dataclass(frozen=True)
class HitSoFar:
    """A build by how often it was hit, and had been when it was last asked about; None where it never was."""

    build: int
    shots: int
    asked_at: int | None = None

    @property
    def fresh(self) -> int:
        return self.shots - (self.asked_at or 0)


def to_ask(hit: Sequence[HitSoFar], in_hand: int | None) -> int | None:
    """The build whose feel is to be asked now: one that was put down first, else the one in hand after five shots.

    hit: in the order they are on the stand. None where nothing is to be asked.
    """
    for each in hit:
        down = ASK_AGAIN_AFTER if each.asked_at is not None else 1
        if each.build != in_hand and each.fresh >= down:
            return each.build
    mine = next((each for each in hit if each.build == in_hand), None)
    return mine.build if mine is not None and mine.fresh >= ASK_AFTER else None
