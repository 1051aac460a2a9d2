"""What is best, defined once: the most successful shots a round over the jobs, by their uses, less what is feared,
inside the limits; keep what is there unless a build gains enough and surely enough; between builds that are known to do
the same, the cheaper, then what the player likes. Where the player's own clubs are known the shots are those of the
whole bag with the build in it, each job by the club that does it best.

Where no jobs are named the chance to fill the slot takes the place of shots a round.
"""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace
from enum import StrEnum

from ..brief import Wanted, Wish
from ..brief.wishes import OUT_OF_PLAY_MORE
from ..thresholds import DEFAULT, Thresholds
from ..units import shown, signed, yard_words, yd_text
from .candidate import Candidate, Case, Liking
from .facts import in_ten
from .stopping import More, chance_best, keep_settled, more_shots, more_to_keep, settled_on
from .verdict import DOING, Kind, Verdict, no_gain
from .weigh import KEEP, Weighed, letter_of_own

NEVER = (Kind.VETOED, Kind.NEEDS_SHOTS)
NAUGHT = 0.05  # of a shot a round: what is written as 0.0 is not said
CHANCE_NOISE = 0.10  # without jobs: chances this close are one chance
LIKED = {Liking.LIKED: 0, Liking.NEUTRAL: 1, Liking.DISLIKED: 2, Liking.VETOED: 3}


class Because(StrEnum):
    """Why the choice fell where it did, for the sentence and for tests."""

    MOST_SHOTS = "most_shots"
    KEEP = "keep"
    CHEAPER = "cheaper"
    LIKED = "liked"
    NOTHING = "nothing"


@dataclass(frozen=True)
class Choice:
    """The build to propose. letter: None to keep what is there. gain_shots: successful shots a round more than what
    is there now, or than the runner-up where that is not known. chance_best: that no other does more of the jobs.
    more: shots that would settle it, or would not."""

    letter: str | None
    runner_up: str | None
    because: Because
    sentence: str
    settled: bool
    chance_best: float | None = None
    gain_shots: float | None = None
    gain_price: float | None = None
    more: More | None = None


def choose(
    candidates: Sequence[Candidate],
    verdicts: Sequence[Verdict],
    weighed: Weighed,
    *,
    cases: Sequence[Case] = (),
    bags: Weighed | None = None,
    budget: float | None = None,
    thresholds: Thresholds = DEFAULT,
) -> Choice:
    """Choose among the builds that were judged. cases: theirs, for the wish that leads. bags: by what the whole bag
    makes of the jobs, where it is known."""
    of = {verdict.letter: verdict for verdict in verdicts}
    heard = [each for each in candidates if (said := of.get(each.letter)) is not None and said.kind not in NEVER]
    open_ = [each for each in heard if budget is None or each.price is None or each.price <= budget]
    played = [each for each in open_ if weighed.played.get(each.letter)]
    waiting = next((verdict for verdict in verdicts if verdict.kind is Kind.NEEDS_SHOTS), None)
    wanted = Wanted() if not cases else cases[0].wanted
    if not open_:
        made = _none_left(verdicts, heard, budget)
    elif wanted.wish is Wish.FAR:
        made = _by_far(open_, of, wanted, weighed, thresholds)
    elif wanted.wish in (Wish.LIKE, Wish.FLIGHT):
        made = _by_wish(open_, of, wanted)
    elif played:
        made = _by_shots(played, bags or weighed, bags is not None, waiting is not None, thresholds)
    elif wanted.wish is Wish.COMPARE:
        words = "Compared only: there is no window and no job to choose by. The columns and the player decide."
        made = Choice(None, None, Because.NOTHING, words, False)
    else:
        made = _by_chance(open_, of)
    odd = next((each.letter for each in open_ if of[each.letter].moved), None)
    if odd is not None:
        look = f" Single shots of {odd} are unlike its others: look at them first."
        made = replace(made, sentence=made.sentence + look, settled=False)
    elif made.letter is not None:
        made = replace(made, sentence=made.sentence + _in_spite_of(of[made.letter]))
    if waiting is None:
        return made
    # Nothing is settled while a build on the stand has not had its say.
    return replace(made, settled=False, more=More(((waiting.letter, waiting.more or thresholds.least_shots),)))


def _none_left(verdicts: Sequence[Verdict], heard: Sequence[Candidate], budget: float | None) -> Choice:
    if heard and budget is not None:
        words = f"Every build that was heard costs more than the budget of {budget:g}. Keep what is there."
        return Choice(None, None, Because.NOTHING, words, True)
    if verdicts and all(verdict.kind is Kind.VETOED for verdict in verdicts):
        words = "The player will play none of these. Keep what is there."
        return Choice(None, None, Because.NOTHING, words, True)
    if verdicts:
        words = "No build has had enough shots yet for anything to be said."
    else:
        words = "No build is on the stand for this slot. Keep what is there."
    return Choice(None, None, Because.NOTHING, words, False)


def _in_spite_of(verdict: Verdict) -> str:
    """Where the jobs and the window ask for two things it is said, so that the two do not seem to disagree."""
    if verdict.kind in DOING or verdict.off_m is None:
        return ""
    if abs(verdict.off_m) > 0:
        way = "short of" if verdict.off_m < 0 else "past"
        return f" It carries {yard_words(abs(verdict.off_m))} {way} its window: the jobs count for more."
    return " It does not land as the window asks: the jobs count for more."


def _by_wish(open_: Sequence[Candidate], of: Mapping[str, Verdict], wanted: Wanted) -> Choice:
    """What was asked of an old club decides; no gain in shots is asked for."""
    doing = [each for each in open_ if of[each.letter].kind in DOING]
    if not doing:
        words = f"Keep the {wanted.old}: none of these {wanted.does}."
        return Choice(None, None, Because.KEEP, words, all(of[each.letter].settled for each in open_), gain_price=0.0)
    top = max(of[each.letter].chance or 0.0 for each in doing)
    close = sorted((each for each in doing if (of[each.letter].chance or 0.0) >= top - CHANCE_NOISE), key=_cheaper)
    chosen = close[0]
    rest = [each for each in doing if each is not chosen]
    runner = max(rest, key=lambda each: (of[each.letter].chance or 0.0, each.key), default=None)
    said = of[chosen.letter]
    surely = "" if said.kind is Kind.FILLS else ", as far as can be told yet"
    beside = f" {runner.letter} does too." if runner is not None else ""
    return Choice(
        chosen.letter,
        runner.letter if runner else None,
        Because.CHEAPER if len(close) > 1 else Because.MOST_SHOTS,
        f"{chosen.letter} {wanted.does}{surely}.{beside}",
        said.kind is Kind.FILLS,
        chance_best=said.chance,
        gain_price=chosen.price,
        more=More(((chosen.letter, said.more),)) if said.more else None,
    )


def _by_far(
    open_: Sequence[Candidate],
    of: Mapping[str, Verdict],
    wanted: Wanted,
    weighed: Weighed,
    thresholds: Thresholds,
) -> Choice:
    """The longest of those that are in play as often as the old club; what goes further still is named with why not."""
    total = {each.letter: _total(of[each.letter]) for each in open_}
    doing = [each for each in open_ if of[each.letter].kind in DOING]
    ranked = sorted(doing, key=lambda each: (-total[each.letter], *_cheaper(each)))
    longest = max(open_, key=lambda each: (total[each.letter], each.key))
    old = weighed.in_play.get(letter_of_own(wanted.old))
    beyond, further = "", longest not in doing and _further(of[longest.letter])
    if further and old is not None and weighed.in_play[longest.letter].success < old.success - OUT_OF_PLAY_MORE:
        gone = yd_text(total[longest.letter])
        beyond = f" {longest.letter} goes {gone}, in play {_in_play(longest, weighed)}: too seldom."
    settled = all(of[each.letter].settled for each in open_)
    if not ranked:
        words = f"Keep the {wanted.old}: none of these {wanted.does}.{beyond}"
        return Choice(None, longest.letter, Because.KEEP, words, settled, gain_price=0.0)
    chosen, runner = ranked[0], ranked[1] if len(ranked) > 1 else None
    beside = "" if old is None else f" ({wanted.old} {shown(100 * old.success)})"
    surely = "" if of[chosen.letter].kind is Kind.FILLS else ", as far as can be told yet"
    words = (
        f"{chosen.letter} {wanted.does}{surely}: {yd_text(total[chosen.letter])} in all, in play "
        f"{_in_play(chosen, weighed)}{beside}."
    )
    near = runner is not None and total[chosen.letter] - total[runner.letter] <= thresholds.same_carry_m
    if runner is not None and near:
        words += f" {runner.letter} goes as far, within what a monitor reads: choose as you like."
    words += beyond
    said = of[chosen.letter]
    return Choice(
        chosen.letter,
        None if runner is None else runner.letter,
        Because.MOST_SHOTS,
        words,
        said.kind is Kind.FILLS and settled,
        chance_best=said.chance,
        gain_price=chosen.price,
        more=More(((chosen.letter, said.more),)) if said.more else None,
    )


def _total(verdict: Verdict) -> float:
    """Where a build stops, metres; its carry where no total is known."""
    means = {fact.quantity: fact.mean for fact in verdict.facts}
    return means.get("total_m", means.get("carry_m", 0.0))


def _further(verdict: Verdict) -> bool:
    """Whether its total is one that counts as further than the old club's."""
    return any(fact.quantity == "total_m" and fact.low is not None and fact.mean >= fact.low for fact in verdict.facts)


def _in_play(build: Candidate, weighed: Weighed) -> str:
    return f"{shown(100 * weighed.in_play[build.letter].success)} in 100"


def _by_chance(open_: Sequence[Candidate], of: Mapping[str, Verdict]) -> Choice:
    filling = [each for each in open_ if of[each.letter].kind in DOING]
    if not filling:
        return Choice(
            None, None, Because.NOTHING, "No build fills the slot yet. Keep what is there, or hit more.", False
        )
    top = max(of[each.letter].chance or 0.0 for each in filling)
    close = [each for each in filling if (of[each.letter].chance or 0.0) >= top - CHANCE_NOISE]
    ranked = sorted(close, key=_cheaper)
    chosen = ranked[0]
    rest = [each for each in filling if each is not chosen]
    runner = max(rest, key=lambda each: (of[each.letter].chance or 0.0, each.key), default=None)
    because = Because.CHEAPER if len(close) > 1 else Because.MOST_SHOTS
    words = f"{chosen.letter} is the likeliest to fill the slot."
    if because is Because.CHEAPER:
        words = f"{chosen.letter} is as likely to fill the slot as any, and costs least of those."
    return Choice(
        chosen.letter, runner.letter if runner else None, because, words, of[chosen.letter].kind is Kind.FILLS
    )


def _cheaper(candidate: Candidate) -> tuple[float, int, str]:
    return (float("inf") if candidate.price is None else candidate.price, LIKED[candidate.liking], candidate.key)


def _by_shots(
    played: Sequence[Candidate], weighed: Weighed, kept: bool, waiting: bool, thresholds: Thresholds
) -> Choice:
    """kept: whether the bag of today is among what was weighed; waiting: whether a build has not had its say."""
    value = {each.letter: float(weighed.rounds[each.letter].mean()) for each in played}
    top = max(played, key=lambda each: (value[each.letter], each.key))
    uses = sum(each.job.uses_per_round for each in weighed.played[top.letter])
    if not kept and value[top.letter] < thresholds.least_share * uses:
        share = value[top.letter] / uses
        words = (
            f"None of these does the jobs that are named: {top.letter}, the best, does them {in_ten(share)}. "
            "Look at the jobs, or at other heads."
        )
        # Who does hardly any of them is told with few shots, and more of the same change nothing.
        return Choice(None, top.letter, Because.NOTHING, words, value[top.letter] < thresholds.least_share / 2 * uses)
    if kept and no_gain(weighed, top.letter, thresholds):
        return _kept(played, top, weighed, thresholds)
    close = [each for each in played if each is top or _level(weighed, top.letter, each.letter, thresholds)]
    priced = all(each.price is not None for each in close)
    chosen = top
    because = Because.MOST_SHOTS
    if len(close) > 1 and priced and min(close, key=_cheaper) is not top:
        chosen = min(close, key=_cheaper)
        because = Because.CHEAPER if chosen.price != top.price else Because.LIKED
    rest = [each for each in played if each is not chosen]
    runner = max(rest, key=lambda each: (value[each.letter], each.key), default=None)
    rivals = [each.letter for each in rest]
    best = chance_best(chosen.letter, rivals, weighed)
    # What is there now is a rival like any other: six more shots may yet say that nothing is gained.
    held = [*rivals, KEEP] if kept else rivals
    settled = settled_on(chosen.letter, chance_best(chosen.letter, held, weighed), held, weighed, thresholds)
    against = KEEP if kept else (runner.letter if runner else None)
    gain = weighed.gain(chosen.letter, against) if against is not None else None
    words = _sentence(chosen, runner, because, gain, kept=kept, alone=waiting and len(played) == 1)
    if runner is not None and because is Because.MOST_SHOTS:
        if _fear_decides(chosen, runner, weighed):
            words = (
                f"{chosen.letter} is put first{_gain_words(gain, kept, runner)}: {runner.letter} holds more, but "
                f"misses more to the feared side, {weighed.feared.miss.value}."
            )
        else:
            words += _beside(chosen, runner, weighed, best, settled, thresholds)
    words += _other_from_clean(chosen, played, weighed)
    return Choice(
        letter=chosen.letter,
        runner_up=runner.letter if runner else None,
        because=because,
        sentence=words,
        settled=settled,
        chance_best=best if rivals or not waiting else None,
        gain_shots=gain,
        gain_price=chosen.price,
        more=None if settled else _more(chosen.letter, rivals, weighed, kept, thresholds),
    )


def _other_from_clean(chosen: Candidate, played: Sequence[Candidate], weighed: Weighed) -> str:
    """Which build would be first were every job met from a clean lie, where that is another one."""
    if weighed.clean is None:
        return ""
    value = {each.letter: float(weighed.clean.rounds[each.letter].mean()) for each in played}
    top = max(played, key=lambda each: (value[each.letter], each.key))
    if value[top.letter] <= value[chosen.letter]:
        return ""
    lies = list(dict.fromkeys(each.job.off for each in weighed.played[chosen.letter] if each.job.off))
    where = " and ".join(lie.value.replace("_", " ") for lie in lies)
    return f" From a clean lie {top.letter} would do more of them; from {where} it loses more."


def _more(letter: str, rivals: Sequence[str], weighed: Weighed, kept: bool, thresholds: Thresholds) -> More | None:
    wanting = more_shots(letter, rivals, weighed, thresholds) if rivals else None
    return wanting or (more_to_keep(letter, weighed, thresholds) if kept else None)


def _level(weighed: Weighed, top: str, other: str, thresholds: Thresholds) -> bool:
    """Whether another build is known to do as many of the jobs as the top one: with few shots nothing is."""
    return 1 - weighed.by_at_least(top, other, thresholds.level_shots) >= thresholds.level_sure


def _fear_decides(chosen: Candidate, runner: Candidate, weighed: Weighed) -> bool:
    """Whether the runner-up does more of the jobs and only its feared misses put it second."""
    first, second = (
        sum(each.job.uses_per_round * each.success for each in weighed.played[build.letter])
        for build in (chosen, runner)
    )
    return bool(weighed.feared.shots) and second > first


def _beside(
    chosen: Candidate, runner: Candidate, weighed: Weighed, best: float, settled: bool, thresholds: Thresholds
) -> str:
    """What is to be said of the runner-up where nobody can part the two any more."""
    enough = min(weighed.hit[chosen.letter], weighed.hit[runner.letter]) >= thresholds.most_shots
    if settled and enough and best < thresholds.stop_at:
        less = (chosen.price or 0.0) - (runner.price or 0.0)
        costs = f"costs {shown(less)} less and " if runner.price is not None and less > 0 else ""
        return f" {runner.letter} {costs}cannot be told from it by more shots: choose as you like."
    return ""


def _kept(played: Sequence[Candidate], top: Candidate, weighed: Weighed, thresholds: Thresholds) -> Choice:
    """Keeping is a choice like any other: settled when no few shots may turn it."""
    gain = weighed.gain(top.letter, KEEP)
    settled = keep_settled([each.letter for each in played], weighed, thresholds)
    sure = weighed.better(top.letter, KEEP)
    if gain < thresholds.least_gain:
        words = (
            f"Keep what is there: {top.letter}, the best of these, gains nothing worth having"
            f"{'' if settled else ' so far'}."
        )
    else:
        words = (
            f"Keep what is there{'' if settled else ' for now'}: {top.letter} gains {shown(gain, 1)} successful shots "
            f"a round on average, but is better only {in_ten(sure)}."
        )
    more = None if settled else more_to_keep(top.letter, weighed, thresholds)
    return Choice(
        None,
        top.letter,
        Because.KEEP,
        words,
        settled,
        weighed.better(KEEP, top.letter),
        gain_shots=gain,
        gain_price=0.0,
        more=more,
    )


def _gain_words(gain: float | None, kept: bool, runner: Candidate | None) -> str:
    rival = "what is there now" if kept else (runner.letter if runner else "")
    if gain is None or abs(gain) < NAUGHT:
        return ""
    return f", {signed(gain, 1)} a round against {rival}"


def _sentence(
    chosen: Candidate, runner: Candidate | None, because: Because, gain: float | None, *, kept: bool, alone: bool
) -> str:
    more = _gain_words(gain, kept, runner)
    if because is Because.CHEAPER:
        return f"{chosen.letter} does as many of the jobs as any, within noise, and costs least of those{more}."
    if because is Because.LIKED:
        return f"{chosen.letter} does as many of the jobs as any, within noise, and is liked best of those{more}."
    if alone:
        return f"{chosen.letter} is the only one heard so far{more}."
    if runner is not None and not kept and gain is not None and abs(gain) < NAUGHT:
        return f"{chosen.letter} is put first: so far {runner.letter} does as many of the jobs."
    return f"{chosen.letter} does the most of the jobs{more}."


def why_it_lost(verdict: Verdict, chosen: Verdict | None) -> str:
    """One sentence for the record."""
    if verdict.kind in DOING and chosen is not None:
        return f"{verdict.headline} too. {verdict.against or verdict.why}"
    return f"{verdict.headline}. {verdict.why}"
