"""The decision in a sentence."""

from __future__ import annotations

from collections.abc import Collection, Mapping, Sequence

from ..brief import NOTHING_FEARED, Feared
from ..judge import Judgement, Kind, Played, Verdict
from ..judge.stopping import More
from ..judge.weigh import Weighed, letter_of_own
from ..units import shown, yd_text
from .asked import Asked
from .bags import Bag
from .choice import Because, Choice, Contender
from .options import Limits, Option
from .worth import Worth

LOOKED_AT = 3  # shots of a club that is there already
EVEN = 0.5  # chance: what is less likely to do what was asked only comes nearest to it
LEAST_A_SHOT = 0.005  # strokes a shot: what is written as 0.00 is not said
NAUGHT = 0.05  # strokes a round: what is written as 0.0 is not said
NO_HOLE = "No hole is left by this rule: no further club is needed."
COMPARED = "Compared only: there is no window and no job to choose by. The columns and the player decide."
# Of two that are as good, what put the first one first.
TOLD = {
    Because.ASKED: "does more of what was asked",
    Because.LIKED: "is the one the player trusts more",
    Because.EVEN: "has the more even carries",
    Because.ROOM: "has more room in its window",
    Because.SHAFT: "has the shorter shaft",
    Because.RELEARN: "leaves fewer yardages to relearn",
    Because.CHEAPER: "costs less",
}


def strokes(saved: float) -> str:
    """Strokes a round as they are said: `0.3 strokes a round`."""
    return f"{shown(saved, 1)} {'stroke' if shown(saved, 1) == '1.0' else 'strokes'} a round"


def _saves(saved: float) -> str:
    if saved >= NAUGHT:
        return f"saves {strokes(saved)}"
    return "saves nothing to speak of" if saved > -NAUGHT else f"costs {strokes(-saved)}"


def _does(asked: Asked) -> str:
    if asked.of_old:
        return asked.wanted.does
    return "carries what was asked for" if asked.named else "fills the hole"


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
) -> str:
    """Why a build, or several, are put forward. second: what it is told from; because: what told the two apart where
    they are as good, None where it saves most."""
    a, worth = first.letter, bag.worth
    # Of an old club's like no gain is asked.
    gain = _saves(worth.saves) if known and (not asked.of_old or abs(worth.saves) >= NAUGHT) else ""
    if bag.plan.swap is not None:
        words = f"{_pair(bag)}{': together they save ' + strokes(worth.saves) if known else ''}."
    elif len(letters) > 1:
        words = f"{' and '.join(letters)} in{': together they save ' + strokes(worth.saves) if known else ''}."
    elif because is not None and second is not None:
        told = f"{_told(because, first, second)}." if because in TOLD else "choose as you like."
        words = f"{a} and {second.letter} are as good as far as can be told: {told}{f' {a} {gain}.' if gain else ''}"
    elif not asked.something:
        words = f"{a} {gain}." if gain else f"{a} leaves least to hole out from where its shots end."
    elif first.option.likely < EVEN:
        words = f"{a} comes nearest to what was asked{f' and {gain}' if gain else ''}."
    else:
        words = f"{a} {_doing(asked, first, second)}{f', and {gain}' if gain and asked.of_old else ''}"
        words += f" and {gain}." if gain and not asked.of_old else "."
    if bag.dropped:
        words += f" The {' and the '.join(bag.dropped)} {'goes' if len(bag.dropped) == 1 else 'go'} for it."
    if second is not None and feared.shots and _but_for_fear(first, second):
        words += f" {second.letter} saves more but for its misses to the feared side, {feared.miss.value}."
    return words


def _told(because: Because, first: Contender, second: Contender) -> str:
    """What put the first before the second."""
    words = f"{first.letter} {TOLD[because]}"
    if because is Because.EVEN and first.carries and second.carries:
        mine, theirs = (yd_text(max(each.carries) - min(each.carries)) for each in (first, second))
        words += f" (within {mine} yd, {second.letter} within {theirs})"
    return words


def _doing(asked: Asked, first: Contender, second: Contender | None) -> str:
    """What it does, whether best, and whether that is known yet."""
    if asked.of_old:
        return _does(asked) + ("" if first.verdict.kind is Kind.FILLS else ", as far as can be told yet")
    return _does(asked) + (" best" if second is not None and not asked.named else "")


def turning(asked: Asked, letter: str, change: str, worth: Worth, bag: Bag, *, known: bool) -> str:
    """Of a build that a turn of its sleeve, or a bend, is predicted to bring to what was asked. change: in words;
    worth: as it is turned; bag: with it as it was hit."""
    gain = ""
    if known:
        as_hit = f", {strokes(bag.worth.saves)} as it was hit" if worth.saves - bag.worth.saves >= NAUGHT else ""
        gain = f" and {_saves(worth.saves)}{as_hit}"
    words = f"{letter} {change} {_does(asked)} as predicted{gain}: set it so and hit it before anything is bought."
    if bag.dropped:
        words += f" The {' and the '.join(bag.dropped)} {'goes' if len(bag.dropped) == 1 else 'go'} for it."
    return words


def _pair(bag: Bag) -> str:
    """Two clubs that are swapped by course, by their names."""
    swap = bag.plan.swap
    assert swap is not None
    home, away = bag.names[swap.home], bag.names[swap.away]
    come = f"{home} in, and " if home in bag.added else ""
    return f"{come}{away} for {home} on {swap.course}"


def as_far(
    letter: str, total_m: float, in_play: Mapping[str, Played], old: str, beyond: tuple[str, float] | None
) -> str:
    """How far a build goes and how often it is in play. beyond: letter and total of one that goes further and is in
    play too seldom."""

    def often(each: str) -> str:
        return f"in play {shown(100 * in_play[each].success)} in 100"

    mine = letter_of_own(old)
    beside = f" ({old} {shown(100 * in_play[mine].success)})" if mine in in_play else ""
    words = f" {letter}: {yd_text(total_m)} in all, {often(letter)}{beside}."
    if beyond is not None:
        words += f" {beyond[0]} goes {yd_text(beyond[1])}, {often(beyond[0])}: too seldom."
    return words


def off_the_tee(letter: str, left: Mapping[str, float], old: str, driver: str) -> str:
    """What a build saves from the tee beside the old club, and beside the driver. left: strokes to hole out, by letter;
    driver: its letter, empty where it was not hit."""
    mine = letter_of_own(old)
    if letter not in left or mine not in left:
        return ""

    def beside(saved: float) -> str:
        if abs(saved) < LEAST_A_SHOT:
            return "as many strokes as"
        return f"{shown(abs(saved), 2)} strokes a shot {'fewer' if saved > 0 else 'more'} than"

    words = f" From the tee it leaves {beside(left[mine] - left[letter])} the {old}"
    if driver in left and driver != mine:
        words += f", {beside(left[driver] - left[letter])} the driver"
    return words + "."


def lofts_first(stays: str, goes: str) -> str:
    """Of two own clubs of a kind that carry the same, by their names."""
    return f" The {stays} and the {goes} carry the same: measure their lofts before the {goes} goes."


def look_at(letters: Sequence[str]) -> str:
    """Of builds whose single shots are unlike their others."""
    return f" Single shots of {letters[0]} are unlike its others: look at them first." if letters else ""


def passed_over(letter: str, more: float) -> str:
    """Of a build that was not what was asked for, by how much more it would save."""
    return f" {letter} would save {strokes(more)} more and is not what was asked for." if more >= NAUGHT else ""


def _but_for_fear(first: Contender, second: Contender) -> bool:
    """Whether the second would save more were nothing feared, and saves less as it is."""
    one, two = (each.worth.saves - float(each.worth.feared.mean()) for each in (first, second))
    return two > one + NAUGHT and first.worth.saves >= second.worth.saves


def beyond(letter: str, judgement: Judgement, may: Collection[Option]) -> str:
    """Which build does the named jobs better from clean lies, where that is another one."""
    weighed, clean = judgement.weighed, judgement.weighed.clean
    if clean is None:
        return ""

    def costs(seen: Weighed, each: str) -> float:
        return sum(played.job.uses_per_round * float(played.strokes.mean()) for played in seen.played[each])

    top = min((option.letter for option in may), key=lambda each: (costs(clean, each), each))
    if top == letter or costs(weighed, top) <= costs(weighed, letter):
        return ""
    lies = list(dict.fromkeys(each.job.off for each in weighed.played[letter] if each.job.off))
    where = " and ".join(lie.value.replace("_", " ") for lie in lies)
    return f" From a clean lie {top} would do the jobs better; from {where} it loses more."


def keeping(asked: Asked, letter: str, worth: Worth, floor: float, *, done: bool, settled: bool) -> Choice:
    """Keeping what is there. letter: of the best build; floor: what it had to save beyond its price; done: whether it
    does what was asked."""
    keep = f"Keep the {asked.wanted.old}" if asked.of_old else "Keep what is there"
    if not done and asked.something:
        words = f"{keep}: none of these {_does(asked)}."
        if worth.net >= NAUGHT:
            words += f" {letter} {_saves(worth.saves)} all the same."
    elif asked.something:
        words = f"{keep}: {letter} {_does(asked)} and {_saves(worth.saves)}{_too_little(worth, floor)}."
    else:
        surely = "" if settled else " so far"
        words = f"{keep}: {letter}, the best of these, {_saves(worth.saves)}{_too_little(worth, floor)}{surely}."
    return Choice(None, letter, Because.KEEP, words, settled, gain_strokes=worth.saves, gain_price=0.0)


def _too_little(worth: Worth, floor: float) -> str:
    """Why what is saved is not enough, where something is."""
    if worth.saves < NAUGHT:
        return ""
    if worth.net <= 0:
        return ", less than its price is worth"
    return f", too little for a change ({strokes(floor)} beyond its price)" if worth.net <= floor else ""


def looking_first(letter: str, name: str, worth: Worth, own: str) -> Choice:
    """An own club that carries as much and was not hit. own: its letter."""
    words = f"Hit the {name} first: {letter} carries the same, and what the {name} does was only said."
    more = More(((own, LOOKED_AT),))
    return Choice(None, letter, Because.KEEP, words, False, gain_strokes=worth.saves, gain_price=0.0, more=more)


def beside(
    letter: str, first: str, worths: Mapping[str, Worth], because: Because, feared: Feared = NOTHING_FEARED
) -> str:
    """Of a build that lost to the first: by how much it saves less, that it lost for the side that is feared, or what
    told the two apart."""
    if letter not in worths or first not in worths:
        return ""
    less = worths[first].saves - worths[letter].saves
    if less >= NAUGHT:
        fear = float(worths[first].feared.mean() - worths[letter].feared.mean())
        lost = f" Lost for its {feared.miss.value}:" if feared.shots and fear >= less else ""
        return f"{lost}{' it' if lost else ' It'} saves {strokes(less)} less than {first}."
    told = TOLD.get(because)
    return f" As good as {first} as far as can be told: {first} {told}." if told else ""


def places_empty(choice: Choice, names: Sequence[str]) -> str:
    """Of clubs out of favour, where nothing comes for them. names: of those clubs."""
    if choice.because is not Because.KEEP or not names:
        return ""
    places = "place of the {} stays" if len(names) == 1 else "places of the {} stay"
    return f" The {places.format(' and the '.join(names))} empty."


def nothing_left(
    verdicts: Sequence[Verdict], asked: Asked, may: Sequence[Option], limits: Limits, *, nothing_open: bool
) -> Choice:
    """Where no build can be put forward."""
    if asked.compared:
        return Choice(None, None, Because.NOTHING, COMPARED, False)
    if not verdicts and nothing_open:
        return Choice(None, None, Because.KEEP, NO_HOLE, True, gain_price=0.0)
    settled = True
    if may:
        words = "No place can be made for any of these: free a club in the Brief, or carry more. Keep what is there."
        if limits.budget is not None and all((option.price or 0.0) > limits.budget for option in may):
            words = f"Every build that was heard costs more than the budget of {limits.budget:g}. Keep what is there."
    elif verdicts and all(verdict.kind is Kind.VETOED for verdict in verdicts):
        words = "The player will play none of these. Keep what is there."
    elif verdicts:
        words, settled = "No build has had enough shots yet for anything to be said.", False
    else:
        words, settled = "No build is on the stand for this slot. Keep what is there.", False
    waiting = next((verdict for verdict in verdicts if verdict.kind is Kind.NEEDS_SHOTS), None)
    more = None if waiting is None or may else More(((waiting.letter, waiting.more or 1),))
    return Choice(None, None, Because.NOTHING, words, settled, more=more)
