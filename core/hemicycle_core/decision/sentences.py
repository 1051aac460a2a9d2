"""The decision in a sentence."""

from __future__ import annotations

from collections.abc import Collection, Mapping, Sequence

from ..brief import NOTHING_FEARED, Feared
from ..judge import Judgement, Kind, Played, Verdict
from ..judge.stopping import More
from ..judge.weigh import Weighed, letter_of_own
from ..said import (
    NOTHING,
    Form,
    Quantity,
    Said,
    angle,
    far,
    joined,
    money,
    number,
    say,
    spin,
    term,
    with_and,
    with_and_the,
)
from ..units import shown
from .asked import Asked
from .bags import Bag
from .choice import Because, Choice, Contender, lower_by, within
from .options import Limits, Option
from .worth import Worth

LOOKED_AT = 3  # shots of a club that is there already
EVEN = 0.5  # chance: what is less likely to do what was asked only comes nearest to it
LEAST_A_SHOT = 0.005  # strokes a shot: what is written as 0.00 is not said
NAUGHT = 0.05  # strokes a round: what is written as 0.0 is not said
# Of two that are as good, what put the first one first.
TOLD = (
    Because.ASKED, Because.LOWER, Because.LIKED, Because.EVEN, Because.CONTROL, Because.ROOM, Because.SHAFT,
    Because.RELEARN, Because.CHEAPER,
)  # fmt: skip


def strokes(saved: float) -> Said:
    """Strokes a round as they are said: `0.3 strokes a round`."""
    return say("strokes-a-round", n=number(saved, 1), one=shown(saved, 1) == "1.0")


def _saves(saved: float) -> Said:
    if saved >= NAUGHT:
        return say("saves-strokes", strokes=strokes(saved))
    return say("saves-nothing") if saved > -NAUGHT else say("costs-strokes", strokes=strokes(-saved))


def _does(asked: Asked) -> Said:
    if asked.of_old:
        return asked.wanted.does
    return say("carries-what-was-asked") if asked.named else say("fills-the-hole")


def proposing(
    asked: Asked,
    first: Contender,
    second: Contender | None,
    because: Because | None,
    bag: Bag,
    letters: Sequence[str],
    feared: Feared,
    *,
    known: bool,
) -> Said:
    """Why a build, or several, are put forward. second: what it is told from; because: what told the two apart where
    they are as good, None where it saves most."""
    a, worth = first.letter, bag.worth
    together = {"known": known, "strokes": strokes(worth.saves)}
    # Of an old club's like no gain is asked.
    gain = _saves(worth.saves) if known and (not asked.of_old or abs(worth.saves) >= NAUGHT) else NOTHING
    gains = {"gains": bool(gain), "gain": gain}
    if bag.plan.swap is not None:
        words = say("proposed-together", clubs=_pair(bag), **together)
    elif len(letters) > 1:
        words = say("proposed-together", clubs=say("several-in", clubs=with_and(letters)), **together)
    elif because is not None and second is not None:
        told = _told(because, first, second) if because in TOLD else say("choose-as-you-like")
        words = say("proposed-as-good", first=a, second=second.letter, told=told, **gains)
    elif not asked.something:
        words = say("proposed-saves", letter=a, **gains)
    elif first.option.likely < EVEN:
        words = say("proposed-nearest", letter=a, **gains)
    else:
        does = _doing(asked, first, second)
        words = say("proposed-does", letter=a, does=does, of_old=asked.of_old, **gains)
    feared_for = NOTHING
    if second is not None and feared.shots and _but_for_fear(first, second):
        feared_for = say("saves-more-but-for-misses", letter=second.letter, miss=feared.miss)
    return joined([words, _goes(bag), _relearned(bag), feared_for])


def _goes(bag: Bag) -> Said:
    """Which own clubs leave."""
    return say("goes-for-it", clubs=_the(bag.dropped), n=len(bag.dropped)) if bag.dropped else NOTHING


def _relearned(bag: Bag) -> Said:
    """What the player has to learn anew, where several come in at once."""
    if len(bag.added) < 2:
        return NOTHING
    return say("yardages-to-relearn", n=len(bag.relearn), clubs=with_and(bag.relearn))


def _the(names: Sequence[str]) -> Said:
    """`4i and the 5W`, behind a the."""
    return with_and_the(names)


def _told(because: Because, first: Contender, second: Contender) -> Said:
    """What put the first before the second."""
    words = say("because", letter=first.letter, because=because)
    if because is Because.EVEN and first.carries and second.carries:
        mine, theirs = (far(max(each.carries) - min(each.carries)) for each in (first, second))
        words = say("because-even-within", words=words, mine=mine, letter=second.letter, theirs=theirs)
    if because is Because.CONTROL:
        words = say("because-control-within", words=words, told=control(first, second))
    by = lower_by(first, second) if because is Because.LOWER else None
    if by is not None:
        figures = {"lower": by[0] > 0, "by": angle(abs(by[0]), 1), "more": by[1] > 0, "spin": spin(abs(by[1]), -2)}
        words = say("because-lower-by", letter=first.letter, **figures)
    return words


def control(first: Contender, second: Contender) -> Said:
    """As a part of a sentence, how well each of two repeats the swing that both were eased to; empty where there is
    none."""
    swings = within(first, second)
    if swings is None:
        return NOTHING
    mine, theirs = (far(each.range_m) for each in swings)
    figures = {"carry": far(swings[0].carry_m), "mine": mine, "theirs": theirs, "other": second.letter}
    return say("control-told", letter=first.letter, **figures)


def _doing(asked: Asked, first: Contender, second: Contender | None) -> Said:
    """What it does, whether best, and whether that is known yet."""
    if asked.of_old:
        return _does(asked) if first.verdict.kind is Kind.FILLS else say("does-as-far-as-told", does=_does(asked))
    return say("does-best", does=_does(asked)) if second is not None and not asked.named else _does(asked)


def turning(asked: Asked, letter: str, change: Said, worth: Worth, bag: Bag, *, known: bool) -> Said:
    """Of a build that a turn of its sleeve, or a bend, is predicted to bring to what was asked. change: in words;
    worth: as it is turned; bag: with it as it was hit."""
    words = say(
        "turn-first",
        letter=letter,
        change=change,
        does=_does(asked),
        known=known,
        gain=_saves(worth.saves),
        beside=worth.saves - bag.worth.saves >= NAUGHT,
        as_hit=strokes(bag.worth.saves),
    )
    return joined([words, _goes(bag)])


def _pair(bag: Bag) -> Said:
    """Two clubs that are swapped by course, by their names."""
    swap = bag.plan.swap
    assert swap is not None
    home, away = bag.names[swap.home], bag.names[swap.away]
    return say("swapped", comes=home in bag.added, home=home, away=away, course=swap.course)


def as_far(
    letter: str, total_m: float, in_play: Mapping[str, Played], old: str, beyond: tuple[str, float] | None
) -> Said:
    """How far a build goes and how often it is in play. beyond: letter and total of one that goes further and is in
    play too seldom."""

    def often(each: str) -> Quantity:
        return number(100 * in_play[each].success)

    mine = letter_of_own(old)
    words = say(
        "as-far",
        letter=letter,
        total=far(total_m),
        often=often(letter),
        beside=mine in in_play,
        old=old,
        theirs=often(mine) if mine in in_play else 0,
    )
    if beyond is None:
        return words
    return joined([words, say("goes-beyond", letter=beyond[0], total=far(beyond[1]), often=often(beyond[0]))])


def off_the_tee(letter: str, left: Mapping[str, float], old: str, driver: str) -> Said:
    """What a build saves from the tee beside the old club, and beside the driver. left: strokes to hole out, by letter;
    driver: its letter, empty where it was not hit."""
    mine = letter_of_own(old)
    if letter not in left or mine not in left:
        return NOTHING

    def beside(saved: float) -> Said:
        if abs(saved) < LEAST_A_SHOT:
            return say("as-many-strokes-as")
        return say("strokes-a-shot", by=number(abs(saved), 2), fewer=saved > 0)

    by_driver = driver in left and driver != mine
    return say(
        "from-the-tee",
        beside=beside(left[mine] - left[letter]),
        old=old,
        driver=by_driver,
        beside_driver=beside(left[driver] - left[letter]) if by_driver else NOTHING,
    )


def lofts_first(stays: str, goes: str) -> Said:
    """Of two own clubs of a kind that carry the same, by their names."""
    return say("measure-lofts-first", stays=stays, goes=goes)


def look_at(letters: Sequence[str]) -> Said:
    """Of builds whose single shots are unlike their others."""
    return say("single-shots-unlike", letter=letters[0]) if letters else NOTHING


def passed_over(letter: str, more: float) -> Said:
    """Of a build that was not what was asked for, by how much more it would save."""
    return say("would-save-more", letter=letter, strokes=strokes(more)) if more >= NAUGHT else NOTHING


def _but_for_fear(first: Contender, second: Contender) -> bool:
    """Whether the second would save more were nothing feared, and saves less as it is."""
    one, two = (each.worth.saves - float(each.worth.feared.mean()) for each in (first, second))
    return two > one + NAUGHT and first.worth.saves >= second.worth.saves


def beyond(letter: str, judgement: Judgement, may: Collection[Option]) -> Said:
    """Which build does the named jobs better from clean lies, where that is another one."""
    weighed, clean = judgement.weighed, judgement.weighed.clean
    if clean is None:
        return NOTHING

    def costs(seen: Weighed, each: str) -> float:
        return sum(played.job.uses_per_round * float(played.strokes.mean()) for played in seen.played[each])

    top = min((option.letter for option in may), key=lambda each: (costs(clean, each), each))
    if top == letter or costs(weighed, top) <= costs(weighed, letter):
        return NOTHING
    lies = list(dict.fromkeys(each.job.off for each in weighed.played[letter] if each.job.off))
    where = with_and(term("lie", lie) for lie in lies)
    return say("better-from-a-clean-lie", letter=top, where=where)


def keeping(asked: Asked, letter: str, worth: Worth, floor: float, *, done: bool, settled: bool) -> Choice:
    """Keeping what is there. letter: of the best build; floor: what it had to save beyond its price; done: whether it
    does what was asked."""
    keep = say("keep-the-old", name=asked.wanted.old) if asked.of_old else say("keep-what-is-there")
    gain = _saves(worth.saves)
    if not done and asked.something:
        words = say("keep-none-does", keep=keep, does=_does(asked))
        if worth.net >= NAUGHT:
            words = joined([words, say("saves-all-the-same", letter=letter, gain=gain)])
    elif asked.something:
        said = {"keep": keep, "letter": letter, "does": _does(asked), "gain": gain, "little": _too_little(worth, floor)}
        words = say("keep-does-too-little", **said)
    else:
        said = {"keep": keep, "letter": letter, "gain": gain, "little": _too_little(worth, floor), "settled": settled}
        words = say("keep-best-of-these", **said)
    return Choice(None, letter, Because.KEEP, words, settled, gain_strokes=worth.saves, gain_price=0.0)


def _too_little(worth: Worth, floor: float) -> Said:
    """Why what is saved is not enough, where something is."""
    if worth.saves < NAUGHT:
        return NOTHING
    if worth.net <= 0:
        return say("less-than-its-price")
    return say("too-little-for-a-change", strokes=strokes(floor)) if worth.net <= floor else NOTHING


def looking_first(letter: str, name: str, worth: Worth, own: str) -> Choice:
    """An own club that carries as much and was not hit. own: its letter."""
    words = say("hit-the-own-first", name=name, letter=letter)
    more = More(((own, LOOKED_AT),))
    return Choice(None, letter, Because.KEEP, words, False, gain_strokes=worth.saves, gain_price=0.0, more=more)


def beside(
    letter: str, first: str, worths: Mapping[str, Worth], because: Because, feared: Feared = NOTHING_FEARED
) -> Said:
    """Of a build that lost to the first: by how much it saves less, that it lost for the side that is feared, or what
    told the two apart."""
    if letter not in worths or first not in worths:
        return NOTHING
    less = worths[first].saves - worths[letter].saves
    if less >= NAUGHT:
        fear = float(worths[first].feared.mean() - worths[letter].feared.mean())
        lost = feared.miss if feared.shots and fear >= less else "none"
        return say("saves-less-than", lost=lost, strokes=strokes(less), first=first)
    told = say("because", letter=first, because=because)
    return say("as-good-as", first=first, told=told) if because in TOLD else NOTHING


def places_empty(choice: Choice, names: Sequence[str]) -> Said:
    """Of clubs out of favour, where nothing comes for them. names: of those clubs."""
    if choice.because is not Because.KEEP or not names:
        return NOTHING
    return say("places-stay-empty", n=len(names), clubs=_the(names))


def nothing_left(
    verdicts: Sequence[Verdict], asked: Asked, may: Sequence[Option], limits: Limits, *, nothing_open: bool
) -> Choice:
    """Where no build can be put forward."""
    if asked.compared:
        return Choice(None, None, Because.NOTHING, say("compared-only"), False)
    if not verdicts and nothing_open:
        return Choice(None, None, Because.KEEP, say("no-hole-is-left"), True, gain_price=0.0)
    settled = True
    if may:
        words = say("no-place-for-these")
        if limits.budget is not None and all((option.price or 0.0) > limits.budget for option in may):
            words = say("all-over-the-budget", budget=money(limits.budget, form=Form.SHORT))
    elif verdicts and all(verdict.kind is Kind.VETOED for verdict in verdicts):
        words = say("player-plays-none")
    elif verdicts:
        words, settled = say("not-enough-shots-yet"), False
    else:
        words, settled = say("nothing-on-the-stand"), False
    waiting = next((verdict for verdict in verdicts if verdict.kind is Kind.NEEDS_SHOTS), None)
    more = None if waiting is None or may else More(((waiting.letter, waiting.more or 1),))
    return Choice(None, None, Because.NOTHING, words, settled, more=more)
