"""The decision of a session: what was asked leads, what a bag saves decides, and ties go by what a fitter goes by.

Its options are bags: that of today; each build in, with what it replaces gone; several for several places; pairs that
are swapped by course. Their worth is strokes a round (`worth`). Where something was asked that the bag of today does
not do, those that do it compete, and whatever they save beyond their price is worth having; a change that nobody asked
for must save more than a floor. Every page reads this one answer.
"""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field, replace

import numpy as np

from ..bag import GapRule, GapRules, HeadType, usual_rules
from ..brief import NOTHING_FEARED, Feared, Job, Wish
from ..brief.wishes import OUT_OF_PLAY_MORE
from ..judge import Candidate, Case, Judgement, Kind, Verdict, judge_session
from ..judge.eased import part_swings
from ..judge.stopping import A_FEW, More, chance_best, keep_settled, more_shots, more_to_keep, settled_on
from ..judge.verdict import DOING, decided_by_tests, kept_instead, recommended
from ..judge.weigh import KEEP, Weighed, letter_of_own
from ..judge.yardages import Yardages, usual_yardages
from ..protocols.found import Outcome
from ..said import NOTHING, Said, joined, say
from ..samples.averages import values_of
from ..thresholds import DEFAULT, Thresholds
from .asked import Asked, asked_of
from .bags import Bag, Weigher
from .choice import Because, Choice, Contender, broken, by_control, level
from .earned import each_earns, floor_of
from .first import measured_first, not_seen, opens_a_hole
from .gather import build_options, drive_of, own_clubs, own_options, tested_options, turned_options, unhit_options
from .options import BagClub, Demand, Limits, Option, Plan, TestedClub
from .sentences import (
    as_far,
    beyond,
    control,
    keeping,
    look_at,
    looking_first,
    nothing_left,
    off_the_tee,
    passed_over,
    places_empty,
    proposing,
)
from .stand import LIKELY, Stand, chance_of, doing_of, total_of
from .tested import after_tests, not_instead
from .turns import turn_left, turned_first
from .worth import Worth, table_of

NEVER = (Kind.VETOED, Kind.NEEDS_SHOTS)
A_ROUND = 5.0  # shots a round that a choice is about, for when more shots are not worth hitting


@dataclass(frozen=True)
class Decision:
    """judgement: what it rests on; verdicts: as the decision leaves them. bag: that is proposed, today: that of
    today. worths: by letter, what the best bag with that build in it saves; saved: the same as what was weighed,
    None where there is nothing; searched: bags weighed; known: whether the bag of today is, so that a saving can be
    told; weigher: for bags that somebody asks after."""

    judgement: Judgement
    verdicts: tuple[Verdict, ...]
    choice: Choice
    bag: Bag
    today: Bag
    asked: Asked
    weigher: Weigher
    worths: Mapping[str, Worth] = field(default_factory=dict)
    searched: int = 1
    known: bool = True
    saved: Weighed | None = None

    @property
    def weighed(self) -> Weighed:
        return self.judgement.weighed


def decide_session(
    cases: Sequence[Case],
    *,
    jobs: Sequence[Job] = (),
    own: Sequence[Candidate] = (),
    bag: Sequence[BagClub] | None = None,
    builds: Mapping[str, BagClub] | None = None,
    unhit: Sequence[BagClub] = (),
    replaced: str | None = None,
    limits: Limits | None = None,
    rules: GapRules | None = None,
    demand: Demand | None = None,
    feared: Feared = NOTHING_FEARED,
    yardages: Yardages | None = None,
    swaps: bool = False,
    nothing_open: bool = False,
    tested: Sequence[TestedClub] = (),
    thresholds: Thresholds = DEFAULT,
) -> Decision:
    """Judge the builds of a session and decide.

    own: the player's clubs with shots; bag: his clubs as far as their carries are known, those of `own` where None.
    builds: by letter, as the bag sees those that were hit, where it sees more than their shots say; unhit: builds
    of the stand that were not hit, which are weighed when asked after and never proposed. replaced: the name of the
    club that goes when a new one comes, where the case names none. demand: on which courses the jobs come up; yardages:
    of a round, where they are not as usual. nothing_open: no space is left to fill. tested: what tests found of
    clubs that are played beside builds of the stand.
    """
    clubs = own_clubs(own) if bag is None else list(bag)
    drive = drive_of(clubs)
    judgement = judge_session(cases, jobs=jobs, own=own, feared=feared, thresholds=thresholds, drive_m=drive)
    used = demand or Demand(np.array([job.uses_per_round for job in jobs]), ("",) * len(jobs))
    built = build_options(cases, judgement, builds or {}, replaced)
    options = [
        *own_options(clubs, judgement.weighed, jobs),
        *built,
        *turned_options(built, judgement),
    ]
    options += tested_options(options, tested)
    there = {option.key for option in options}
    options += unhit_options([each for each in unhit if each.key not in there], judgement.weighed, jobs)
    if yardages is None:
        yardages = usual_yardages(drive, jobs, counts=thresholds.round_shots)
    table = table_of(options, jobs, used, feared, drive, yardages)
    bounds = limits or Limits()
    saved = {(each.key, each.fresh): each.saves for each in tested if each.replaces}
    weigher = Weigher(table, rules or usual_rules(GapRule.ROLL_OUT), bounds, thresholds.stroke_price, saved)
    count = sum(option.own for option in options) + bounds.without_carry
    stand = Stand(
        judgement,
        cases,
        weigher,
        asked_of(cases, options, judgement.weighed, free=count < bounds.most),
        _may_come(options, judgement),
        plans=(),
        known=bool(clubs) and table.says_anything,
        feared=feared,
        thresholds=thresholds,
        tested=tested,
    )
    may = not_instead(stand.may, stand)
    stand = replace(stand, may=may)
    stand = replace(stand, plans=each_earns(weigher.ranked(weigher.plans(may, swaps=swaps)), stand))
    choice, plan = after_tests(*_choice(stand, nothing_open=nothing_open), stand)
    empty = places_empty(choice, [each.name for each in own if each.out_of_favour])
    made = _decided(stand, replace(choice, sentence=joined([choice.sentence, empty])), plan)
    table.forget()
    return made


def _may_come(options: Sequence[Option], judgement: Judgement) -> list[Option]:
    """The builds that may be proposed: hit, and of no verdict that forbids it."""
    verdict = {each.letter: each for each in judgement.verdicts}
    return [
        option
        for option in options
        if not option.own and option.hit and option.letter in verdict and verdict[option.letter].kind not in NEVER
    ]


def _decided(stand: Stand, choice: Choice, plan: Plan | None) -> Decision:
    """All that was worked out for the choice, and what each build is told beside it."""
    worths = {letter: stand.worth(each) for letter, each in stand.single().items()}
    weigher = stand.weigher
    today = weigher.weigh(weigher.today)
    return Decision(
        judgement=stand.judgement,
        verdicts=tuple(_told(case, choice, worths, stand) for case in stand.cases),
        choice=choice,
        bag=today if plan is None else weigher.weigh(plan),
        today=today,
        asked=stand.asked,
        weigher=weigher,
        worths=worths,
        searched=1 + len(stand.plans),
        known=stand.known,
        saved=_as_saved(stand) if stand.plans and stand.known else None,
    )


def _choice(stand: Stand, *, nothing_open: bool) -> tuple[Choice, Plan | None]:
    """The headline, and the bag it proposes; None to keep that of today."""
    # With nothing asked and no job named there is nothing to choose by.
    if not stand.plans or (stand.asked.compared and not any(option.played for option in stand.may)):
        limits = stand.weigher.limits
        return nothing_left(stand.judgement.verdicts, stand.asked, stand.may, limits, nothing_open=nothing_open), None
    doing = doing_of(stand)
    turn = None if any(chance_of(plan, stand) >= LIKELY for plan in doing) else turn_left(stand)
    if turn is not None:
        return turned_first(turn, stand), turn.hit
    if not doing:
        single = stand.single() or {stand.new_in(stand.plans[0])[0].letter: stand.plans[0]}
        letter, top = max(single.items(), key=lambda each: (stand.worth(each[1]).net, each[0]))
        settled = all(each.settled for each in stand.judgement.verdicts) and stand.waiting is None
        return keeping(stand.asked, letter, stand.worth(top), stand.floor, done=False, settled=settled), None
    plan, second, because = _put_first(doing, stand)
    first = stand.new_in(plan)[0]
    weighed = _as_saved(stand)
    unseen = not_seen(plan, first, stand)
    if unseen is not None:
        return looking_first(first.letter, unseen, stand.worth(plan), letter_of_own(unseen)), None
    if stand.known and (stand.worth(plan).net <= floor_of(plan, stand) or opens_a_hole(plan, stand)):
        settled = keep_settled(list(stand.single()), weighed, stand.thresholds) and stand.waiting is None
        more = None if settled else more_to_keep(first.letter, weighed, stand.thresholds)
        made = keeping(stand.asked, first.letter, stand.worth(plan), stand.floor, done=True, settled=settled)
        return replace(made, more=_capped(more)), None
    return _proposed(plan, second, because, weighed, doing, stand), plan


def _put_first(doing: Sequence[Plan], stand: Stand) -> tuple[Plan, Contender | None, Because | None]:
    """Which of the bags that do what was asked is put first; the one it is told from, as good where a reason is given;
    what told them apart, `TIED` where nothing does, None where it saves most. A place at a time: a hybrid and a wedge
    are never held against each other."""
    best: dict[tuple[frozenset[str], bool], Plan] = {}  # of bags that differ in what leaves, the best
    for plan in doing:
        best.setdefault((frozenset(option.key for option in stand.new_in(plan)), plan.swap is not None), plan)
    ranked = list(best.values())
    plan, second, because = ranked[0], None, None
    for option in stand.new_in(plan):
        rivals = [(other, come) for other in ranked if (come := _instead(plan, other, option, stand)) is not None]
        mine = _contender(option, plan, stand)
        alike = [
            (other, each)
            for other, come in rivals
            if level(mine, each := _contender(come, other, stand), stand.thresholds)
        ]
        if not alike:
            continue
        put, by = broken([mine, *(each for _, each in alike)], stand.asked, stand.thresholds)
        if because is None:
            second = next(each for each in (mine, *(each for _, each in alike)) if each is not put)
            because = by or Because.TIED
        plan = next((other for other, each in alike if each is put), plan)
    if second is None:
        letters = {option.letter for option in stand.new_in(plan)}
        other = next((each for each in ranked if {o.letter for o in stand.new_in(each)} != letters), None)
        second = None if other is None else _contender(stand.new_in(other)[0], other, stand)
    return plan, second, because


def _instead(plan: Plan, other: Plan, option: Option, stand: Stand) -> Option | None:
    """The build of another bag that stands there in place of one of this bag's, for the same place, all other new ones
    being the same; None where it is not that."""
    mine, theirs = ({each.key for each in stand.new_in(each_plan)} for each_plan in (plan, other))
    if (plan.swap is None) is not (other.swap is None) or mine - theirs != {option.key} or len(theirs - mine) != 1:
        return None
    come = next(each for each in stand.new_in(other) if each.key in theirs - mine)
    return come if come.slot == option.slot else None


def _contender(option: Option, plan: Plan, stand: Stand) -> Contender:
    case = next(each for each in stand.cases if each.candidate.letter == option.letter)
    return Contender(
        option=option,
        worth=stand.worth(plan),
        verdict=stand.verdict[option.letter],
        relearn=len(stand.weigher.relearned(plan)),
        shots=stand.judgement.weighed.hit.get(option.letter, 0.0),
        carries=values_of(case.candidate.shots, "carry_m"),
        parts=part_swings(case.candidate.shots) if case.candidate.head_type is HeadType.WEDGE else (),
    )


def _proposed(
    plan: Plan,
    second: Contender | None,
    because: Because | None,
    weighed: Weighed,
    doing: Sequence[Plan],
    stand: Stand,
) -> Choice:
    """The headline of a bag that is put forward."""
    thresholds, worth, single = stand.thresholds, stand.worth(plan), stand.single()
    new = stand.new_in(plan)
    first, letters = _contender(new[0], plan, stand), tuple(sorted(option.letter for option in new))
    rivals = [each for each in single if each not in letters]
    best = chance_best(first.letter, rivals, weighed)
    held = [*rivals, KEEP] if stand.known and np.isfinite(stand.floor) else rivals
    odd = [option.letter for option in stand.may if stand.verdict[option.letter].moved]
    does = first.verdict.kind is Kind.FILLS if stand.asked.of_old else first.option.likely >= LIKELY
    sure = settled_on(first.letter, chance_best(first.letter, held, weighed), held, weighed, thresholds)
    settled = sure and (does or not stand.asked.something) and not odd and stand.waiting is None
    bag = stand.weigher.weigh(plan)
    words = [
        proposing(stand.asked, first, second, because, bag, letters, stand.feared, known=stand.known),
        _further(first, stand) or _outside(doing, worth, stand),
        control_told(first, second, because, thresholds),
        measured_first(plan, stand),
        beyond(first.letter, stand.judgement, stand.may),
        look_at(odd),
    ]
    return Choice(
        letter=first.letter,
        runner_up=None if second is None else second.letter,
        because=because or (Because.SAVES_MOST if len(stand.may) > 1 else Because.ONLY_ONE),
        sentence=joined(words),
        settled=settled,
        chance_best=best if rivals or stand.waiting is None else None,
        gain_strokes=worth.saves if stand.known else None,
        gain_price=bag.price,
        more=None if settled else _more(first, rivals, weighed, stand),
        letters=letters,
    )


def control_told(first: Contender, second: Contender | None, because: Because | None, thresholds: Thresholds) -> Said:
    """Which of two wedges is eased off better, where that is told and did not break a tie already."""
    if second is None or because is Because.CONTROL or not by_control(thresholds)(first, second):
        return NOTHING
    told = control(first, second)
    return say("control-told-too", told=told) if told else NOTHING


def _more(first: Contender, rivals: Sequence[str], weighed: Weighed, stand: Stand) -> More | None:
    """The shots that would settle what is put forward."""
    if stand.waiting is not None:
        return More(((stand.waiting.letter, stand.waiting.more or stand.thresholds.least_shots),))
    if stand.asked.of_old and first.verdict.more:
        return _capped(More(((first.letter, first.verdict.more),)))
    found = more_shots(first.letter, rivals, weighed, stand.thresholds) if rivals else None
    if found is None and stand.known:
        found = more_to_keep(first.letter, weighed, stand.thresholds)
    return _capped(found)


def _capped(more: More | None) -> More | None:
    """Shots that are asked for, in vain where more than a few would be."""
    if more is None or more.count <= A_FEW:
        return more
    return replace(more, shots=tuple((letter, min(count, A_FEW)) for letter, count in more.shots), in_vain=True)


def _as_saved(stand: Stand) -> Weighed:
    """What was weighed, by the strokes a round that the best bag with each build saves; under KEEP nothing."""
    weighed = stand.judgement.weighed
    saved = {letter: stand.worth(plan).draws for letter, plan in stand.single().items()}
    for plan in stand.plans[:1]:  # a build that comes in only beside another stands for what the two save
        for option in stand.new_in(plan):
            saved.setdefault(option.letter, stand.worth(plan).draws)
    nothing = np.zeros_like(next(iter(saved.values())))
    own = [weighed.hit[each] for each in weighed.hit if each.startswith(letter_of_own(""))]
    hit = {**weighed.hit, KEEP: float(np.mean(own)) if own else 1.0}
    return replace(weighed, rounds={**weighed.rounds, **saved, KEEP: nothing}, hit=hit, uses=A_ROUND)


def _further(first: Contender, stand: Stand) -> Said:
    """Where as far as possible was asked for: how far and how often in play, what that saves off the tee beside the
    old club and the driver, and what goes further too seldom."""
    wanted, in_play = stand.asked.wanted, stand.judgement.weighed.in_play
    if wanted.wish is not Wish.FAR:
        return NOTHING
    total = {option.letter: total_of(stand.verdict[option.letter]) for option in stand.may}
    longest = max(total, key=lambda each: (total[each], each))
    old = in_play.get(letter_of_own(wanted.old))
    seldom = old is not None and in_play[longest].success < old.success - OUT_OF_PLAY_MORE
    beyond = (longest, total[longest]) if longest != first.letter and seldom else None
    drivers = (each.letter for each in stand.weigher.options if each.own and each.club.head_type is HeadType.DRIVER)
    driver = next(drivers, "")
    off_tee = {letter: float(each.strokes.mean()) for letter, each in stand.judgement.weighed.off_tee.items()}
    words = as_far(first.letter, total[first.letter], in_play, wanted.old, beyond)
    return joined([words, off_the_tee(first.letter, off_tee, wanted.old, driver)])


def _outside(doing: Sequence[Plan], worth: Worth, stand: Stand) -> Said:
    """The build that does not do what was asked and would save most all the same, where that is more."""
    rest = {letter: stand.worth(plan) for letter, plan in stand.single().items() if plan not in doing}
    if not rest or not stand.asked.something or not stand.known:
        return NOTHING
    letter = max(rest, key=lambda each: (rest[each].net, each))
    return passed_over(letter, rest[letter].net - worth.net)


def _told(case: Case, choice: Choice, worths: Mapping[str, Worth], stand: Stand) -> Verdict:
    """The verdict of a build as the decision leaves it."""
    verdict = stand.verdict[case.candidate.letter]
    comes = verdict.letter in choice.letters
    tested = next((each for each in stand.tested if each.letter == verdict.letter), None)
    if tested is not None and (tested.replaces if comes else tested.outcome is Outcome.KEEP):
        return decided_by_tests(verdict, tested.old, comes=comes)
    if comes:
        return recommended(verdict)
    worth = worths.get(verdict.letter)
    # Where another build takes the place this one lost to it, and not to what is there.
    taken = {each.slot for each in stand.cases if each.candidate.letter in choice.letters}
    gap = case.wanted.wish is Wish.GAP and stand.known and not case.named and case.slot not in taken
    if gap and worth is not None and verdict.kind in DOING and worth.net <= stand.floor:
        return kept_instead(verdict, case.replaces)
    return verdict
