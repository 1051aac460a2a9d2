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

from ..bag import Carried, GapRule, GapRules, HeadType, usual_rules
from ..bag.gaps import CROWDED_M
from ..brief import NOTHING_FEARED, Feared, Job, Wish
from ..brief.wishes import OUT_OF_PLAY_MORE
from ..estimate import Estimate
from ..judge import Candidate, Case, Judgement, Kind, Liking, Played, Verdict, judge_session
from ..judge.landings import usual_roll_m
from ..judge.stopping import More, chance_best, keep_settled, more_shots, more_to_keep, settled_on
from ..judge.strokes import USUAL_DRIVE_M
from ..judge.unhit import play_expected
from ..judge.verdict import DOING, kept_instead, recommended
from ..judge.weigh import KEEP, Swing, Weighed, letter_of_own
from ..judge.yardages import Yardages
from ..rack.expected import expected_as_said
from ..samples.averages import average, values_of
from ..thresholds import DEFAULT, Thresholds
from .asked import Asked
from .bags import Bag, Weigher
from .choice import Because, Choice, Contender, broken, level
from .options import BagClub, Demand, Limits, Option, Plan
from .said import as_far, beyond, keeping, look_at, looking_first, nothing_left, passed_over, places_empty, proposing
from .worth import LONGEST_DRIVE, Worth, table_of

NEVER = (Kind.VETOED, Kind.NEEDS_SHOTS)
THERE = 0.10  # the chance from which a club of the bag may well do already what was asked
LIKELY, LEAST_LIKELY = 0.5, 0.4  # that a build does what was asked; the best of them where none is likely to
SLACK_SHARE = 1.0  # of half a window: a carry this far outside it closes the hole still
A_ROUND = 5.0  # shots a round that a choice is about, for when more shots are not worth hitting
MOST_MORE = 6  # shots that are asked for at once: more of them seldom turn anything


@dataclass(frozen=True)
class Decision:
    """judgement: what it rests on; verdicts: as the decision leaves them. bag: that is proposed, today: that of today,
    runner_up: the next best with something else in it. worths: by letter, what the best bag with that build in it
    saves; plans: that bag. known: whether the bag of today is; weigher: for bags that somebody asks after."""

    judgement: Judgement
    verdicts: tuple[Verdict, ...]
    choice: Choice
    bag: Bag
    today: Bag
    runner_up: Bag | None
    asked: Asked
    weigher: Weigher
    worths: Mapping[str, Worth] = field(default_factory=dict)
    plans: Mapping[str, Plan] = field(default_factory=dict)
    searched: int = 1
    known: bool = True

    @property
    def weighed(self) -> Weighed:
        return self.judgement.weighed


@dataclass(frozen=True)
class _Stand:
    """What a decision is made of, put together."""

    judgement: Judgement
    cases: Sequence[Case]
    weigher: Weigher
    asked: Asked
    known: bool  # whether the bag of today is known
    limits: Limits
    feared: Feared
    thresholds: Thresholds

    @property
    def verdict(self) -> dict[str, Verdict]:
        return {each.letter: each for each in self.judgement.verdicts}


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
    thresholds: Thresholds = DEFAULT,
) -> Decision:
    """Judge the builds of a session and decide.

    own: the player's clubs with shots; bag: his clubs as far as their carries are known, those of `own` where None.
    builds: by letter, as the bag sees those that were hit, where it sees more than their shots say; unhit: builds
    of the stand that were not hit, which are weighed when asked after and never proposed. replaced: the name of the
    club that goes when a new one comes, where the case names none. demand: on which courses the jobs come up; yardages:
    of a round, where they are not as usual. nothing_open: no space is left to fill.
    """
    clubs = _own_clubs(own) if bag is None else list(bag)
    drive = _drive(clubs)
    judgement = judge_session(cases, jobs=jobs, own=own, feared=feared, thresholds=thresholds, drive_m=drive)
    used = demand or Demand(np.array([job.uses_per_round for job in jobs]), ("",) * len(jobs))
    options = [
        *_own_options(clubs, judgement.weighed, jobs),
        *_build_options(cases, judgement, builds or {}, replaced),
        *_unhit_options(unhit, judgement.weighed, jobs),
    ]
    table = table_of(options, jobs, used, feared, drive, yardages)
    bounds = limits or Limits()
    weigher = Weigher(table, rules or usual_rules(GapRule.ROLL_OUT), bounds)
    count = sum(option.own for option in options) + bounds.without_carry
    asked = _asked(cases, options, judgement.weighed, replaced, free=count < bounds.most)
    stand = _Stand(judgement, cases, weigher, asked, bool(clubs), bounds, feared, thresholds)
    made = _decided(stand, swaps=swaps, nothing_open=nothing_open)
    table.forget()
    words = made.choice.sentence + places_empty(made.choice, [each.name for each in own if each.out_of_favour])
    return replace(made, choice=replace(made.choice, sentence=words))


def _as_hit(build: Candidate) -> BagClub | None:
    """A club as far as its shots tell; None where none has a carry."""
    carry = average(values_of(build.shots, "carry_m")) or average(values_of(build.shots, "carry_m", kept_only=False))
    if carry is None:
        return None
    total = average(values_of(build.shots, "total_m"))
    stops = carry.mean + usual_roll_m(build.head_type) if total is None else max(total.mean, carry.mean - 20)
    name = build.name or build.letter
    club = Carried(name, build.head_type, carry.mean, stops, loft_deg=build.loft_deg, spread_m=carry.sd)
    return BagClub(club, build.letter or name)


def _own_clubs(own: Sequence[Candidate]) -> list[BagClub]:
    """The player's clubs in favour as far as shots tell."""
    found = (_as_hit(each) for each in own if not each.out_of_favour)
    return [replace(each, key=each.club.name) for each in found if each is not None]


def _drive(clubs: Sequence[BagClub]) -> float:
    """How far the player drives, metres; that of usual players where nothing of his bag is known."""
    drivers = [each.club.total_m for each in clubs if each.club.head_type is HeadType.DRIVER]
    if drivers:
        return max(drivers)
    return max((LONGEST_DRIVE * each.club.total_m for each in clubs), default=USUAL_DRIVE_M)


def _own_options(clubs: Sequence[BagClub], weighed: Weighed, jobs: Sequence[Job]) -> list[Option]:
    """The clubs of the bag as options: by their shots where they were hit."""
    letters = [letter_of_own(each.club.name) for each in clubs]
    unhit = [each for each, letter in zip(clubs, letters, strict=True) if letter not in weighed.swings]
    guessed = dict(zip((each.club.name for each in unhit), _guessed(unhit, weighed, jobs), strict=True))
    made = []
    for each, letter in zip(clubs, letters, strict=True):
        hit = letter in weighed.swings
        swing, played = (weighed.swings[letter], weighed.played[letter]) if hit else guessed[each.club.name]
        key = each.key or each.club.name
        made.append(Option(key, each.club, swing, played, letter, own=True, fixed=each.fixed, hit=hit))
    return made


def _unhit_options(clubs: Sequence[BagClub], weighed: Weighed, jobs: Sequence[Job]) -> list[Option]:
    return [
        Option(each.key, each.club, swing, played, price=each.price, hit=False)
        for each, (swing, played) in zip(clubs, _guessed(clubs, weighed, jobs), strict=True)
    ]


def _guessed(clubs: Sequence[BagClub], weighed: Weighed, jobs: Sequence[Job]) -> list[tuple[Swing, tuple[Played, ...]]]:
    """Clubs that were not hit, as they should do by the player's others, with the carry that is known of each."""
    flights = []
    for each in clubs:
        club = each.club
        flight = each.expected or expected_as_said(club.head_type, club.carry_m, club.carry_sd_m)
        flights.append((club.name, replace(flight, carry_m=club.carry_m, carry_sd_m=club.carry_sd_m)))
    return play_expected(flights, weighed.pooled, jobs, eases=weighed.eases, drive_m=weighed.drive_m)


def _build_options(
    cases: Sequence[Case], judgement: Judgement, builds: Mapping[str, BagClub], replaced: str | None
) -> list[Option]:
    """The builds of the stand as options, those without a shot that counts left out."""
    made = []
    for case, verdict in zip(cases, judgement.verdicts, strict=True):
        build = case.candidate
        seen, swing = builds.get(build.letter) or _as_hit(build), judgement.weighed.swings.get(build.letter)
        if swing is None or seen is None:
            continue
        made.append(
            Option(
                key=seen.key or build.letter,
                club=seen.club,
                swing=swing,
                played=judgement.weighed.played[build.letter],
                letter=build.letter,
                hit=verdict.kind is not Kind.NEEDS_SHOTS,
                price=build.price,
                liking=build.liking,
                answered=build.answered or build.liking is not Liking.NEUTRAL,
                length_m=build.length_m if build.length_stated else None,
                fills={case.slot: _chance(case, verdict, judgement.weighed)},
                replaces=case.replaces or replaced or "",
                head=build.head,
            )
        )
    return made


def _closes(case: Case) -> tuple[float, float] | None:
    """Between which carries a club closes the hole that a build is tried for, or does the yardage that was named,
    metres; None where no carry is asked for by itself."""
    carry = next((target for target in case.targets if target.quantity == "carry_m"), None)
    if case.wanted.wish is not Wish.GAP or carry is None or carry.low is None or carry.high is None:
        return None
    slack = 0.0 if case.named else SLACK_SHARE * (carry.high - carry.low) / 2
    return carry.low - slack, carry.high + slack


def _chance(case: Case, verdict: Verdict, weighed: Weighed) -> float:
    """That a build does what was asked: of a gap, that it carries to where it closes the hole, whatever its flight,
    which its worth reckons with; else the verdict's own."""
    ends = _closes(case)
    if ends is None:
        return verdict.chance or 0.0
    if verdict.kind is Kind.NOT_SUPPORTED:
        return 0.0
    return weighed.centres[case.candidate.letter].played.chance(*ends)


def _carry(option: Option, weighed: Weighed) -> Estimate:
    """How far an own club carries, as far as it is known."""
    seen = weighed.centres.get(option.letter)
    return Estimate(option.club.carry_m, option.club.carry_sd_m) if seen is None else seen.carry


def _asked(
    cases: Sequence[Case], options: Sequence[Option], weighed: Weighed, replaced: str | None, *, free: bool
) -> Asked:
    if not cases:
        return Asked(free=free, replaced=replaced or "")
    wanted, open_ = cases[0].wanted, dict[int, bool]()
    for case in cases:
        ends = _closes(case)
        if ends is None:
            continue
        enough = LIKELY if case.named else THERE
        there = any(_carry(option, weighed).chance(*ends) >= enough for option in options if option.own)
        open_[case.slot] = open_.get(case.slot, True) and not there
    return Asked(wanted, open_, free, replaced or "", named=any(case.named for case in cases))


def _decided(stand: _Stand, *, swaps: bool, nothing_open: bool) -> Decision:
    weigher, asked = stand.weigher, stand.asked
    today = weigher.weigh(weigher.today)
    may = [option for option in weigher.options if not option.own and option.hit and _heard(option, stand)]
    plans = list(dict.fromkeys(weigher.plans(may, swaps=swaps)))
    single = _singles(plans, may, weigher)
    worths = {letter: weigher.worth(plan) for letter, plan in single.items()}
    found = _best(plans, may, stand)
    choice, plan = _choice(found, plans, single, may, stand, nothing_open=nothing_open)
    proposed = today if plan is None else weigher.weigh(plan)
    runner = next((each for each in _ranked(plans, weigher) if plan is None or each.keys != plan.keys), None)
    return Decision(
        judgement=stand.judgement,
        verdicts=tuple(_told(case, choice, worths, stand) for case in stand.cases),
        choice=choice,
        bag=proposed,
        today=today,
        runner_up=None if runner is None else weigher.weigh(runner),
        asked=asked,
        weigher=weigher,
        worths=worths,
        plans=single,
        searched=1 + len(plans),
        known=stand.known,
    )


def _heard(option: Option, stand: _Stand) -> bool:
    said = stand.verdict.get(option.letter)
    return said is not None and said.kind not in NEVER


def _ranked(plans: Sequence[Plan], weigher: Weigher) -> list[Plan]:
    return sorted(plans, key=lambda plan: (-weigher.worth(plan).net, sorted(plan.keys)))


def _singles(plans: Sequence[Plan], may: Sequence[Option], weigher: Weigher) -> dict[str, Plan]:
    """By letter, the best bag with that build and no other new one in it."""
    new, found = {option.key: option.letter for option in may}, dict[str, Plan]()
    for plan in _ranked(plans, weigher):
        come = [new[key] for key in plan.keys if key in new]
        if len(come) == 1 and plan.swap is None:
            found.setdefault(come[0], plan)
    return found


def _best(plans: Sequence[Plan], may: Sequence[Option], stand: _Stand) -> tuple[list[Plan], float] | None:
    """The bags that compete and what they must save beyond their price; None where what was asked is done by none."""
    asked, of = stand.asked, {option.key: option for option in may}
    floor = stand.thresholds.least_gain
    if not plans:
        return None
    if not asked.something:
        return list(plans), -np.inf if asked.compared else floor
    if asked.of_old or asked.named or asked.compared:
        floor = -np.inf
    elif asked.free:
        floor = 0.0

    def chance(plan: Plan) -> float:
        """That each new club does what was asked of a place of its own, the least of them."""
        slots: dict[int, float] = {}
        least = 1.0
        for key in plan.keys & of.keys():
            slot, likely = max(of[key].fills.items(), key=lambda each: each[1], default=(0, 0.0))
            if slot in slots or not (asked.of_old or asked.open.get(slot, False)):
                return 0.0
            slots[slot] = likely
            least = min(least, likely)
        return least

    chances = {plan: chance(plan) for plan in plans}
    doing = [plan for plan in plans if chances[plan] >= LIKELY]
    if not doing:
        near = [plan for plan in plans if _near(plan, stand) or (asked.of_old and chances[plan] >= LEAST_LIKELY)]
        top = max((chances[plan] for plan in near), default=0.0)
        doing = [plan for plan in near if chances[plan] == top]
    return (doing, floor) if doing else None


def _near(plan: Plan, stand: _Stand) -> bool:
    """Whether the one new club of a bag lies in the hole that is to be filled, outside its window by less than the next
    head would mend, and crowds nobody."""
    come = [option for option in stand.weigher.options if option.key in plan.keys and not option.own]
    if len(come) != 1 or stand.asked.of_old or stand.asked.named:
        return False
    said = stand.verdict[come[0].letter]
    open_ = any(stand.asked.open.get(slot, False) for slot in come[0].fills)
    off = said.off_m is not None and abs(said.off_m) <= stand.thresholds.one_head_m
    return open_ and off and said.kind not in (Kind.CROWDS, Kind.NOT_SUPPORTED)


def _choice(
    found: tuple[list[Plan], float] | None,
    plans: Sequence[Plan],
    single: Mapping[str, Plan],
    may: Sequence[Option],
    stand: _Stand,
    *,
    nothing_open: bool,
) -> tuple[Choice, Plan | None]:
    weigher, asked = stand.weigher, stand.asked
    waiting = [each for each in stand.judgement.verdicts if each.kind is Kind.NEEDS_SHOTS]
    # With nothing asked and no job named there is nothing to choose by.
    if not plans or (asked.compared and not any(option.played for option in may)):
        return nothing_left(stand.judgement.verdicts, asked, may, stand.limits, nothing_open=nothing_open), None
    weighed = _as_saved(single, stand)
    if found is None:
        top = _ranked(list(single.values()), weigher)[0]
        letter = next(each for each, plan in single.items() if plan == top)
        settled = all(each.settled for each in stand.judgement.verdicts) and not waiting
        return keeping(asked, letter, weigher.worth(top), done=False, settled=settled), None
    doing, floor = found
    ranked = _ranked(doing, weigher)
    if asked.wanted.wish is Wish.FAR:
        total = {plan: _total(stand.verdict[_contender(plan, may, stand).letter]) for plan in ranked}
        ranked.sort(key=lambda plan: -total[plan])
    plan = ranked[0]
    contenders = {each: _contender(each, may, stand) for each in ranked}
    mine = contenders[plan]
    alike = [
        each
        for each in ranked
        if _one_apart(plan, each) and contenders[each].slot == mine.slot
        if level(mine, contenders[each], stand.thresholds)
    ]
    put_first, by = broken([mine, *(contenders[each] for each in alike)], asked, stand.thresholds)
    plan = next(each for each in ranked if contenders[each] is put_first)
    worth = weigher.worth(plan)
    letters = tuple(sorted(option.letter for option in may if option.key in plan.keys))
    first = put_first.letter
    rivals = [each for each in single if each not in letters]
    unseen = _not_seen(plan, put_first, stand)
    if unseen is not None:
        return looking_first(first, unseen, worth, letter_of_own(unseen)), None
    if stand.known and worth.net <= floor:
        settled = keep_settled(list(single), weighed, stand.thresholds) and not waiting
        made = keeping(asked, first, worth, done=True, settled=settled)
        more = None if settled else more_to_keep(first, weighed, stand.thresholds)
        return replace(made, more=_capped(more)), None
    best = chance_best(first, rivals, weighed)
    held = [*rivals, KEEP] if stand.known and np.isfinite(floor) else rivals
    settled = settled_on(first, chance_best(first, held, weighed), held, weighed, stand.thresholds) and not waiting
    settled = settled and max(put_first.option.fills.values(), default=1.0) >= LIKELY
    if asked.of_old:
        settled = settled and put_first.verdict.kind is Kind.FILLS
    odd = [option.letter for option in may if stand.verdict[option.letter].moved]
    settled = settled and not odd
    runner = next((each for each in ranked if each != plan and _letters(each, may) != _letters(plan, may)), None)
    second = None if runner is None else contenders[runner]
    more = None if settled else _capped(more_shots(first, rivals, weighed, stand.thresholds) if rivals else None)
    if asked.of_old and not settled and put_first.verdict.more:
        more = _capped(More(((first, put_first.verdict.more),)))
    if waiting:
        more = More(((waiting[0].letter, waiting[0].more or stand.thresholds.least_shots),))
    elif more is None and not settled and stand.known:
        more = _capped(more_to_keep(first, weighed, stand.thresholds))
    because = by or (Because.SAVES_MOST if len(single) > 1 else Because.ONLY_ONE)
    words = proposing(
        asked,
        put_first,
        second,
        because,
        worth,
        weigher.weigh(plan),
        letters,
        stand.feared,
        tie=bool(alike),
        known=stand.known,
    )
    words += _further(put_first, may, stand) or _outside(single, ranked, worth, stand)
    words += beyond(first, stand.judgement, may) + look_at(odd)
    return Choice(
        letter=first,
        runner_up=None if second is None else second.letter,
        because=because,
        sentence=words,
        settled=settled,
        chance_best=best if rivals or not waiting else None,
        gain_strokes=worth.saves if stand.known else None,
        gain_price=weigher.price(plan),
        more=more,
        letters=letters,
    ), plan


def _not_seen(plan: Plan, first: Contender, stand: _Stand) -> str | None:
    """The name of an own club that would leave for one that carries the same, and that nobody saw hit: what it does is
    measured before it goes. None where it was asked to go."""
    if stand.asked.of_old:
        return None
    gone = stand.weigher.today.keys - plan.keys
    return next(
        (
            option.club.name
            for option in stand.weigher.options
            if option.key in gone and not option.hit and option.club.name != first.option.replaces
            if abs(option.club.carry_m - first.option.club.carry_m) < CROWDED_M
        ),
        None,
    )


def _total(verdict: Verdict) -> float:
    """Where a build stops, metres; its carry where no total is known."""
    means = {fact.quantity: fact.mean for fact in verdict.facts}
    return means.get("total_m", means.get("carry_m", 0.0))


def _further(first: Contender, may: Sequence[Option], stand: _Stand) -> str:
    """Where as far as possible was asked for: how far and how often in play, and what goes further too seldom."""
    wanted, in_play = stand.asked.wanted, stand.judgement.weighed.in_play
    if wanted.wish is not Wish.FAR:
        return ""
    total = {option.letter: _total(stand.verdict[option.letter]) for option in may}
    longest = max(total, key=lambda each: (total[each], each))
    old = in_play.get(letter_of_own(wanted.old))
    seldom = old is not None and in_play[longest].success < old.success - OUT_OF_PLAY_MORE
    beyond = (longest, total[longest]) if longest != first.letter and seldom else None
    return as_far(first.letter, total[first.letter], in_play, wanted.old, beyond)


def _outside(single: Mapping[str, Plan], doing: Sequence[Plan], worth: Worth, stand: _Stand) -> str:
    """The build that does not do what was asked and would save most all the same, where that is more."""
    rest = {letter: stand.weigher.worth(plan) for letter, plan in single.items() if plan not in doing}
    if not rest or not stand.asked.something:
        return ""
    letter = max(rest, key=lambda each: (rest[each].net, each))
    return passed_over(letter, rest[letter].net - worth.net)


def _as_saved(single: Mapping[str, Plan], stand: _Stand) -> Weighed:
    """What was weighed, by the strokes a round that the bag with each build saves; under KEEP nothing."""
    weighed = stand.judgement.weighed
    saved = {letter: stand.weigher.worth(plan).draws for letter, plan in single.items()}
    some = next(iter(saved.values()))
    own = [weighed.hit[each] for each in weighed.hit if each.startswith(letter_of_own(""))]
    hit = {**weighed.hit, KEEP: float(np.mean(own)) if own else 1.0}
    mine = {letter: rounds for letter, rounds in weighed.rounds.items() if letter not in saved}
    return replace(weighed, rounds={**mine, **saved, KEEP: np.zeros_like(some)}, hit=hit, uses=A_ROUND)


def _capped(more: More | None) -> More | None:
    """Shots that are asked for, in vain where more than a few would be."""
    if more is None or more.count <= MOST_MORE:
        return more
    few = tuple((letter, min(count, MOST_MORE)) for letter, count in more.shots)
    return replace(more, shots=few, in_vain=True)


def _letters(plan: Plan, may: Sequence[Option]) -> frozenset[str]:
    return frozenset(option.letter for option in may if option.key in plan.keys)


def _one_apart(plan: Plan, other: Plan) -> bool:
    """Whether another bag has one other new club in it, in place of one."""
    return plan != other and len(plan.keys) == len(other.keys) and (plan.swap is None) == (other.swap is None)


def _contender(plan: Plan, may: Sequence[Option], stand: _Stand) -> Contender:
    """A bag by the new club of it that a tie is about: the one that is worth most by itself."""
    option = max(
        (each for each in may if each.key in plan.keys),
        key=lambda each: (max(each.fills.values(), default=0.0), each.letter),
    )
    case = next(each for each in stand.cases if each.candidate.letter == option.letter)
    relearn = len(stand.weigher.weigh(plan).relearn)
    return Contender(
        option=option,
        worth=stand.weigher.worth(plan),
        verdict=stand.verdict[option.letter],
        relearn=relearn,
        shots=stand.judgement.weighed.hit.get(option.letter, 0.0),
        carries=values_of(case.candidate.shots, "carry_m"),
    )


def _told(case: Case, choice: Choice, worths: Mapping[str, Worth], stand: _Stand) -> Verdict:
    """The verdict of a build as the decision leaves it."""
    verdict = stand.verdict[case.candidate.letter]
    if verdict.letter in choice.letters:
        return recommended(verdict)
    worth = worths.get(verdict.letter)
    # Where another build takes the place this one lost to it, and not to what is there.
    taken = {each.slot for each in stand.cases if each.candidate.letter in choice.letters}
    gap = case.wanted.wish is Wish.GAP and stand.known and not case.named and case.slot not in taken
    if gap and worth is not None and verdict.kind in DOING:
        floor = 0.0 if stand.asked.something and stand.asked.free else stand.thresholds.least_gain
        if worth.net <= floor:
            return kept_instead(verdict, case.replaces)
    return verdict
