"""What is best, defined once: the most successful shots a round over the jobs, by their uses, inside the limits;
within noise keep what is there, then the cheaper, then what the player likes. Where the player's own clubs are known
the shots are those of the whole bag with the build in it, each job by the club that does it best.

Where no jobs are named the chance to fill the slot takes the place of shots a round.
"""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace
from enum import StrEnum

from ..thresholds import DEFAULT, Thresholds
from .candidate import Candidate, Liking
from .stopping import chance_best, more_shots, settled_on
from .verdict import Kind, Verdict, no_gain
from .weigh import KEEP, Weighed

FILLING = (Kind.FILLS, Kind.FILLS_NOT_SETTLED)
NEVER = (Kind.VETOED, Kind.NEEDS_SHOTS)
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
    more: build and shots that would settle it."""

    letter: str | None
    runner_up: str | None
    because: Because
    sentence: str
    settled: bool
    chance_best: float | None = None
    gain_shots: float | None = None
    gain_price: float | None = None
    more: tuple[str, int] | None = None


def choose(
    candidates: Sequence[Candidate],
    verdicts: Sequence[Verdict],
    weighed: Weighed,
    *,
    bags: Weighed | None = None,
    budget: float | None = None,
    thresholds: Thresholds = DEFAULT,
) -> Choice:
    """Choose among the builds that were judged. bags: by what the whole bag makes of the jobs, where it is known."""
    of = {verdict.letter: verdict for verdict in verdicts}
    open_ = [
        each
        for each in candidates
        if (verdict := of.get(each.letter)) is not None
        and verdict.kind not in NEVER
        and (budget is None or each.price is None or each.price <= budget)
    ]
    played = [each for each in open_ if weighed.played.get(each.letter)]
    made = _by_shots(played, bags or weighed, bags is not None, thresholds) if played else _by_chance(open_, of)
    if made.letter is not None and of[made.letter].kind not in FILLING:
        # The jobs and the window ask for two things: said, so that the two do not seem to disagree.
        headline = of[made.letter].headline
        apart = f" By its window alone: {headline[0].lower()}{headline[1:]}. The jobs count for more."
        made = replace(made, sentence=made.sentence + apart)
    waiting = next((verdict for verdict in verdicts if verdict.kind is Kind.NEEDS_SHOTS), None)
    if waiting is None:
        return made
    # Nothing is settled while a build on the stand has not had its say.
    return replace(made, settled=False, more=(waiting.letter, waiting.more or thresholds.least_shots))


def _by_chance(open_: Sequence[Candidate], of: Mapping[str, Verdict]) -> Choice:
    filling = [each for each in open_ if of[each.letter].kind in FILLING]
    if not filling:
        return Choice(
            None, None, Because.NOTHING, "No build fills the slot yet. Keep what is there, or hit more.", False
        )
    top = max(of[each.letter].chance or 0.0 for each in filling)
    close = [each for each in filling if (of[each.letter].chance or 0.0) >= top - CHANCE_NOISE]
    ranked = sorted(close, key=_cheaper)
    chosen = ranked[0]
    rest = [each for each in filling if each is not chosen]
    runner = max(rest, key=lambda each: (of[each.letter].chance or 0.0, each.letter), default=None)
    because = Because.CHEAPER if len(close) > 1 else Because.MOST_SHOTS
    words = f"{chosen.letter} is the likeliest to fill the slot; within noise the cheaper one is put first."
    return Choice(
        chosen.letter, runner.letter if runner else None, because, words, of[chosen.letter].kind is Kind.FILLS
    )


def _cheaper(candidate: Candidate) -> tuple[float, int, str]:
    return (
        float("inf") if candidate.price is None else candidate.price, LIKED[candidate.liking], candidate.letter,
    )  # fmt: skip


def _by_shots(played: Sequence[Candidate], weighed: Weighed, kept: bool, thresholds: Thresholds) -> Choice:
    """kept: whether the bag of today is among what was weighed."""
    value = {each.letter: float(weighed.rounds[each.letter].mean()) for each in played}
    top = max(played, key=lambda each: (value[each.letter], each.letter))
    if kept and no_gain(weighed, top.letter, thresholds):
        return _kept(top, weighed)
    close = [each for each in played if each is top or _level(weighed, top.letter, each.letter, thresholds)]
    priced = all(each.price is not None for each in close)
    chosen = top
    because = Because.MOST_SHOTS
    if len(close) > 1 and priced and min(close, key=_cheaper) is not top:
        chosen = min(close, key=_cheaper)
        because = Because.CHEAPER if chosen.price != top.price else Because.LIKED
    rest = [each for each in played if each is not chosen]
    runner = max(rest, key=lambda each: (value[each.letter], each.letter), default=None)
    rivals = [each.letter for each in rest]
    best = chance_best(chosen.letter, rivals, weighed)
    settled = settled_on(chosen.letter, best, rivals, weighed, thresholds)
    against = KEEP if kept else (runner.letter if runner else None)
    gain = weighed.gain(chosen.letter, against) if against is not None else None
    return Choice(
        letter=chosen.letter,
        runner_up=runner.letter if runner else None,
        because=because,
        sentence=_sentence(chosen, runner, because, gain, kept=kept),
        settled=settled,
        chance_best=best,
        gain_shots=gain,
        gain_price=chosen.price,
        more=None if settled else more_shots(chosen.letter, rivals, weighed, thresholds),
    )


def _level(weighed: Weighed, top: str, other: str, thresholds: Thresholds) -> bool:
    """Whether another build does as many of the jobs as the top one, as far as anyone can tell."""
    return weighed.better(top, other) < thresholds.level


def _kept(top: Candidate, weighed: Weighed) -> Choice:
    gain = weighed.gain(top.letter, KEEP)
    words = (
        f"Keep what is there: {top.letter} gains {max(gain, 0):.1f} successful shots a round at best, which is within "
        "the noise."
    )
    return Choice(
        None, top.letter, Because.KEEP, words, True, weighed.better(KEEP, top.letter), gain_shots=gain, gain_price=0.0
    )


def _sentence(chosen: Candidate, runner: Candidate | None, because: Because, gain: float | None, *, kept: bool) -> str:
    rival = "what is there now" if kept else (runner.letter if runner else "")
    more = f", {gain:+.1f} a round against {rival}".replace("-", "\u2212") if gain is not None else ""
    if because is Because.CHEAPER:
        return f"{chosen.letter} does as many of the jobs as any, within noise, and costs least of those{more}."
    if because is Because.LIKED:
        return f"{chosen.letter} does as many of the jobs as any, within noise, and is liked best of those{more}."
    return f"{chosen.letter} does the most of the jobs{more}."


def why_it_lost(verdict: Verdict, chosen: Verdict | None) -> str:
    """One sentence for the record."""
    if verdict.kind in FILLING and chosen is not None:
        return f"{verdict.headline} too. {verdict.against or verdict.why}"
    return f"{verdict.headline}. {verdict.why}"
