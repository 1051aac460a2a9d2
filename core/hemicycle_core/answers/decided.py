"""The one decision of a session, the verdicts it leaves, and what is said beside it."""

from __future__ import annotations

from collections.abc import Collection, Mapping, Sequence
from dataclasses import dataclass, replace
from typing import Any

from ..brief import Target
from ..decision import Bag, Decision, Plan, SwapPair, TestedClub, decide_session, exchanged
from ..decision.schools import school_plan
from ..decision.sentences import NAUGHT, beside
from ..facts import Club, Facts, TargetThen
from ..facts.session import liking_of
from ..judge import Case, Judgement, Kind, Liking, Verdict
from ..judge.recommended import may_be_recommended, overruled, passed_over, why_it_lost
from ..judge.verdict import accepted, verdict_of
from ..kept import key_of, lazily, new_store, remembered
from ..protocols.found import Outcome
from ..said import NOTHING, Said, as_data, as_said, far, joined, say
from ..samples import Average
from ..samples.alike import AlikeStep, step_at_one_swing
from ..wedges import Schools
from .clubs import mean_of
from .stand import OnStand, given
from .tested import tested_clubs

DECISIONS = new_store(24)
FILLING = {Kind.FILLS, Kind.FILLS_NOT_SETTLED}


@dataclass(frozen=True, eq=False)
class Decided:
    """decision: every candidate against its slot, read together with the player's own clubs; its verdicts in the order
    of the stand, with what was taken in; tested: what tests found of own wedges."""

    stand: OnStand
    decision: Decision
    tested: Sequence[TestedClub] = ()

    @property
    def facts(self) -> Facts:
        return self.stand.facts

    @property
    def judgement(self) -> Judgement:
        return self.decision.judgement

    @property
    def verdicts(self) -> tuple[Verdict, ...]:
        return self.decision.verdicts

    @lazily
    def at_first(self) -> dict[str, Said]:
        """The verdict of each candidate by the first targets that were kept, by letter; empty where they are the same
        still. Targets drift to fit the club that felt good: this shows it."""
        # What was taken in cut the space anew: the first targets were another slot's.
        if self.stand.work.layout is None or not self.facts.first_targets or self.facts.accepted:
            return {}
        told = {}
        for verdict in self.judgement.verdicts:
            club = next(each for each in self.facts.candidates if each.letter == verdict.letter)
            words = _at_first(self, club, verdict)
            if words:
                told[verdict.letter] = words
        return told

    @lazily
    def schools(self) -> Schools | None:
        """How many wedges belong between the ends of the short end."""
        return self.stand.ends.schools(self.judgement.weighed.eases)

    def alike(self, lower: str, upper: str) -> AlikeStep | None:
        """The step between two clubs of the bag had they been swung alike; None where either was not hit."""
        centres = self.judgement.weighed.centres
        one, two = centres.get(f"own {lower}"), centres.get(f"own {upper}")
        return None if one is None or two is None else step_at_one_swing(one, two)


def decided(stand: OnStand) -> Decided:
    """Kept by what goes into it, and by nothing else."""
    tested = tested_clubs(stand)
    asked = given(stand) | {"tested": tested}
    made = remembered(DECISIONS, key_of(asked), lambda: decide_session(**asked))
    said = {each.letter: each for each in made.verdicts}
    said |= {club.letter: accepted(stand.candidates[club.key]) for club in stand.facts.accepted}
    in_order = (said.get(club.letter) for club in stand.facts.candidates)
    verdicts = tuple(each for each in in_order if each is not None)
    return Decided(stand, made if verdicts == made.verdicts else replace(made, verdicts=verdicts), tested)


def _at_first(found: Decided, club: Club, verdict: Verdict) -> Said:
    facts, stand = found.facts, found.stand
    targets = _nearest(facts.first_targets, mean_of(club, "carry_m"))
    if targets is None:
        return NOTHING
    carry = next(target for target in targets if target.quantity == "carry_m")
    then = [Target(each.quantity, each.low, each.high, say("target-as-first-set")) for each in targets]
    case = Case(stand.candidates[club.key], then, *stand.work.beside, stand.work.wanted)
    first = verdict_of(case, found.judgement.weighed, jobs=facts.played_jobs, thresholds=facts.thresholds)
    if first.kind is verdict.kind or {first.kind, verdict.kind} == FILLING:
        return NOTHING
    window = {"low": far(carry.low or 0.0), "high": far(carry.high or 0.0)}
    return say("verdict-at-first", headline=first.headline, **window)


def _nearest(slots: Sequence[Sequence[TargetThen]], carry: Average | None) -> Sequence[TargetThen] | None:
    """The targets of the slot whose carry window a build's carry is nearest to."""

    def off(targets: Sequence[TargetThen]) -> float:
        window = next((target for target in targets if target.quantity == "carry_m"), None)
        if window is None or window.low is None or window.high is None:
            return float("inf")
        return abs((window.low + window.high) / 2 - (carry.mean if carry else 0.0))

    return min(slots, key=off, default=None) if carry else None


# Taken in for now


def why_taken(found: Decided, club: Club) -> dict[str, Any]:
    """What is kept of a build that is taken in now, as nobody remembers why once the space is cut anew: its slot, what
    was said of it and what it saves, and why those that were tried for the same slot lost to it, other settings of its
    head among them."""
    decision, facts = found.decision, found.facts
    names = {each.letter: each.called for each in facts.candidates}
    cases = {case.candidate.letter: case for case in found.stand.cases}
    said = {verdict.letter: verdict for verdict in decision.verdicts}
    mine, chosen = cases.get(club.letter), said.get(club.letter)
    choice, worth = decision.choice, decision.worths.get(club.letter)
    proposed = club.letter in choice.letters
    carry = next((target for target in (mine.targets if mine else ()) if target.quantity == "carry_m"), None)
    lost = []
    for letter, case in cases.items():
        if mine is None or case.slot != mine.slot or letter == club.letter or not may_be_recommended(said[letter]):
            continue
        verdict = passed_over(said[letter]) if letter in choice.letters else said[letter]
        told = beside(letter, club.letter, decision.worths, choice.because, facts.brief.feared) if proposed else NOTHING
        lost.append(
            {"letter": letter, "name": names[letter], "why": as_data(joined([why_it_lost(verdict, chosen), told]))}
        )
    return {
        "counted": facts.space.clubs_to_place > 1,
        "low_m": carry and carry.low,
        "high_m": carry and carry.high,
        "sentence": as_data(choice.sentence if proposed else overruled([club.letter], choice.sentence)),
        "why": as_data(chosen.why) if chosen else "",
        "replaces": _replaced_by(found, club),
        "saves": worth.saves if worth is not None and decision.known else None,
        "lost": lost,
    }


def _replaced_by(found: Decided, club: Club) -> int | None:
    """The number of the own club whose place a build is tried for; None where it is one more."""
    tried = found.stand.tried.get(club.key)
    return next((each.key for each in found.facts.own if tried is not None and each.called == tried.replaces), None)


def _place_words(taken: Mapping[str, Any]) -> Said:
    """The slot that a build was taken in for."""
    if taken["low_m"] is None or taken["high_m"] is None:
        return say("taken-its-place")
    return say("taken-window", low=far(taken["low_m"]), high=far(taken["high_m"]))


def reasons_of(club: Club) -> Said:
    """Why a build was taken in; empty where it was not, or nothing was kept of it."""
    taken = club.taken
    if not taken:
        return NOTHING
    said = joined([as_said(taken["sentence"]), as_said(taken["why"])])
    return say("taken-for", place=_place_words(taken), said=said)


def lost_for(letter: str, taken_in: Sequence[Club]) -> list[Said]:
    """Why a build lost the places that others were taken in for."""
    return [
        say("lost-for", place=_place_words(club.taken), letter=club.letter, why=as_said(row["why"]))
        for club in taken_in
        if club.taken
        for row in club.taken["lost"]
        if row["letter"] == letter
    ]


# Plans: bags that somebody asks after, weighed by the same decision


def plan_clubs(found: Decided) -> dict[str, Club]:
    """What a plan may hold, by key."""
    there = {option.key for option in found.decision.weigher.options}
    facts = found.facts
    return {str(club.key): club for club in (*facts.in_bag, *facts.candidates) if str(club.key) in there}


def school_plans(found: Decided) -> list[tuple[Said, Bag]]:
    """The bag by both schools of how many wedges belong between the ends, where that is asked and a wedge is being
    tried: those that are another bag than today's."""
    wedges, weigher, schools = found.stand.ends, found.decision.weigher, found.schools
    if wedges.ends is None or schools is None or not wedges.asked:
        return []
    if not {each.name for each in wedges.ends} <= {option.club.name for option in weigher.options if option.own}:
        return []
    made = [
        (name, school_plan(weigher, wedges.ends, count, closed_first=closed))
        for name, count, closed in (
            (say("plan-a-wedge-each"), schools.each, True),
            (say("plan-part-swings"), schools.part, False),
        )
    ]
    return [(name, bag) for name, bag in made if bag.plan != weigher.today]


def expected_plan(found: Decided) -> Bag | None:
    """The best bag with a build in it that nobody hit yet, where it should save more than what is proposed."""
    weigher, facts = found.decision.weigher, found.facts
    vetoed = {str(club.key) for club in facts.candidates if liking_of(facts, club) is Liking.VETOED}
    # A turn that is left is the headline's to propose: it is no build yet.
    # Nor is one offered again that a test found no better than what is played.
    kept = {each.fresh for each in found.tested if each.outcome is Outcome.KEEP}
    new = [each for each in weigher.options if not (each.own or each.turned or each.key in vetoed | kept)]
    unhit = {option.key for option in new if not option.hit}
    plans = [plan for plan in weigher.plans(new) if plan.keys & unhit]
    best = max(plans, key=lambda plan: (weigher.worth(plan).net, sorted(plan.keys)), default=None)
    if best is None or weigher.worth(best).net < max(found.decision.bag.worth.net, 0.0) + NAUGHT:
        return None
    return weigher.weigh(best)


def kept_plan(found: Decided, clubs: Collection[int], swap: SwapPair | None) -> Bag:
    """A plan that was kept, as far as its clubs are still there to be weighed."""
    keys = frozenset(str(key) for key in clubs) & plan_clubs(found).keys()
    pair = swap if swap is not None and {swap.home, swap.away} <= keys else None
    return found.decision.weigher.weigh(Plan(frozenset(keys), pair))


def exchange(found: Decided, keys: Collection[str]) -> tuple[list[Club], list[Club]]:
    """What a set of clubs means for the bag of today: the candidates that come in, the own clubs that leave."""
    facts = found.facts
    clubs = {str(club.key): club for club in (*facts.own, *facts.candidates)}
    own = {str(club.key): club.fixed for club in facts.in_favour if club.key in found.stand.known.carried}
    come, leave = exchanged(keys, own=own, new=[str(club.key) for club in facts.candidates])
    return [clubs[key] for key in come], [clubs[key] for key in leave]
