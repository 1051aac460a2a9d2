"""What is chosen in a handover and the bag it makes: what may be, what the decision proposes, why the others lost."""

from __future__ import annotations

from collections.abc import Collection, Mapping, Sequence
from dataclasses import dataclass, replace
from decimal import Decimal
from typing import Any

from common.api import as_
from fitting.actions.sessions import AgreedBag, OnOrder
from fitting.api.schemas.bag import GapOut
from fitting.api.schemas.plans import ClubLine
from fitting.domain.session import JudgedSession, load
from fitting.models import AgreedAnswers, FittingSession
from hemicycle_core.answers.decided import exchange, lost_for, reasons_of
from hemicycle_core.answers.sets import OrderedSet, SetAsked, SetClub, ordered, replaced
from hemicycle_core.bag import Carried, HeadType, coverage, rebagged
from hemicycle_core.decision.sentences import beside
from hemicycle_core.errors import BadInput
from hemicycle_core.facts import Club
from hemicycle_core.judge import Kind, Verdict
from hemicycle_core.judge.feel import last_said
from hemicycle_core.judge.recommended import (
    may_be_recommended,
    overruled,
    passed_over,
    recommendation_name,
    recommendation_reasons,
    taken_all_the_same,
    why_it_lost,
)
from hemicycle_core.rack.eligible import same_setting
from hemicycle_core.rack.specification import sheet
from hemicycle_core.said import NOTHING, Said, as_said, joined, say

from .predicted import A_PREDICTION, predicted_of
from .schemas import BagSide, ChosenOut, LostBuild, SetClubOut, SetOut, SheetLine, SwapOut, Tested

Verdicts = Mapping[str, Verdict]


def side_of(
    judged: JudgedSession,
    added: Sequence[Club] = (),
    dropped: Collection[Club] = (),
    away: Club | None = None,
    bought: OrderedSet | None = None,
) -> BagSide:
    """The bag as it is, or with candidates in it and own clubs out of it. away: the club of a pair that is carried on
    one course only, which takes no place of its own; bought: a set that comes with one of the candidates."""
    bag, carried = judged.bag, judged.known.carried
    pairs = [(build, carried[build.key]) for build in judged.facts.in_favour if build.key in carried]
    stay = [(build, club) for build, club in pairs if build not in dropped]
    guessed = predicted_of(judged, verdicts_of(judged)) if any(build.key not in carried for build in added) else {}
    guesses = {key: each.club for key, each in guessed.items()}
    # One that was hit in tests alone carries as the decision has it.
    decision = judged.decision
    there = [each for each in decision.weigher.options if each.key in decision.bag.plan.keys and not each.own]
    weighed = {int(each.key): each.club for each in there}
    known = {**weighed, **carried, **guesses}
    come = [(build, known[build.key]) for build in added if build.key in known]
    rest = [] if bought is None else [each for each in bought.clubs if not each.hit]
    if bought is not None:
        come = [(build, bought.hit.club if build.key == bought.build.key else club) for build, club in come]
    lines = {club.name: _line(build, club) for build, club in (*stay, *come)}
    lines |= {each.club.name: _set_line(each) for each in rest}
    out = None if away is None else away.called
    new = [club for _, club in come if club.name != out] + [each.club for each in rest]
    covered = coverage([*(club for _, club in stay), *new], bag.rules)
    swapped = [lines[club.name] for _, club in come if club.name == out]
    return BagSide(
        clubs=[lines[club.name] for club in covered.clubs] + swapped,
        gaps=[GapOut.of(gap, {name: line.id for name, line in lines.items()}) for gap in covered.gaps],
        headline=rebagged(bag.today, covered, [club.name for club in new], [build.name for build in dropped]),
        club_count=len(judged.facts.in_favour) - len(dropped) + len(added) - len(swapped) + len(rest),
    )


def _set_line(of_set: SetClub) -> ClubLine:
    """A club of a set that nobody hit: it has no build, and goes by its head."""
    club = of_set.club
    return ClubLine(
        id=-of_set.head.key,
        letter="",
        name=club.name,
        head_type=club.head_type,
        loft_deg=club.loft_deg,
        carry_m=club.carry_m,
        total_m=club.total_m,
        new=True,
        expected=True,
    )


def _line(build: Club, club: Carried) -> ClubLine:
    return ClubLine(
        id=build.key,
        letter=build.letter,
        name=build.name,
        head_type=club.head_type,
        loft_deg=club.loft_deg,
        carry_m=club.carry_m,
        total_m=club.total_m,
        new=not build.is_own,
    )


def verdicts_of(judged: JudgedSession) -> Verdicts:
    """Of the builds that may be recommended, by letter; of an agreed session as they were spoken then."""
    session = judged.rows.session
    kept = AgreedAnswers.objects.of(session.shop_id).filter(session=session).first() if session.agreed_at else None
    spoken = judged.decided.verdicts if kept is None else [_spoken(row) for row in kept.answers["session"]["verdicts"]]
    return {verdict.letter: verdict for verdict in spoken if may_be_recommended(verdict)}


def _spoken(row: Mapping[str, Any]) -> Verdict:
    """A verdict as it was kept: its words, without the figures that made them."""
    return Verdict(
        kind=Kind(row["kind"]),
        **{name: row[name] for name in ("letter", "chance", "settled", "more", "half_width_m")},
        headline=as_said(row["headline"]),
        why=as_said(row["why"]),
        against=row["against"] and as_said(row["against"]),
        change=row["change"] and as_said(row["change"]),
    )


def tested_of(judged: JudgedSession) -> list[Tested]:
    """Every build that may be recommended; those that were not hit in their setting as predictions, last."""
    rows, verdicts = judged.facts.candidates, verdicts_of(judged)
    guessed = predicted_of(judged, verdicts)
    hit = [_tested(judged, build, verdicts[build.letter]) for build in rows if build.letter in verdicts]
    return hit + [_tested(judged, build, guessed[build.key].verdict) for build in rows if build.key in guessed]


def _tested(judged: JudgedSession, build: Club, verdict: Verdict) -> Tested:
    felt = last_said(build.felt)
    said = []
    if felt is not None:
        words = say("felt-numbers-seen", said=felt.words) if felt.numbers else felt.words
        said.append(SheetLine(say("sheet-felt"), words))
    for each in judged.soles:
        if sole := each.chosen_words(build):
            said.append(SheetLine(say("sheet-sole-tried-blind"), sole))
    return Tested(
        build=build.key,
        letter=build.letter,
        name=build.name,
        headline=verdict.headline,
        why=verdict.why,
        sheet=[*(SheetLine(what, as_said(how)) for what, how in sheet(build.specification)), *said],
        price=build.price_words,
        prediction=_prediction(verdict),
    )


def _prediction(verdict: Verdict) -> Said:
    if not may_be_recommended(verdict):
        return A_PREDICTION
    return NOTHING if verdict.settled else say("prediction-not-settled")


def leaving(judged: JudgedSession, dropped: Collection[int], asked: SetAsked | None) -> set[int]:
    """The own clubs that leave: those that were named, and those whose numbers a set has."""
    gone = set() if asked is None else {club.key for club in replaced(judged.stand, asked)}
    return {*dropped, *gone}


def _bought(
    judged: JudgedSession, come: Sequence[Club], leave: Sequence[Club], asked: SetAsked | None
) -> OrderedSet | None:
    """The set that comes with one of the builds that come in."""
    if asked is None:
        return None
    if asked.build not in {build.key for build in come}:
        raise BadInput(say("set-not-chosen"), field="set")
    carried, facts = judged.known.carried, judged.facts
    rest = [build for build in (*facts.in_favour, *come) if build not in leave and build.key != asked.build]
    return ordered(judged.stand, asked, [carried[build.key] for build in rest if build.key in carried])


def choice_of(
    judged: JudgedSession, builds: Collection[int], dropped: Collection[int] = (), asked: SetAsked | None = None
) -> ChosenOut:
    """The recommendation of these builds, with these own clubs left out; none of either keeps what is there. asked: a
    set that is ordered with one of them.

    Raises BadInput for a build that was not hit enough and is made of none that was, for a club that is not the
    player's or is fixed, and for a set that cannot be had.
    """
    facts, verdicts = judged.facts, verdicts_of(judged)
    guessed = predicted_of(judged, verdicts)
    hit = [build for build in facts.candidates if build.letter in verdicts]
    come = [build for build in facts.candidates if build.key in builds and (build in hit or build.key in guessed)]
    verdicts = {**verdicts, **{each.verdict.letter: each.verdict for each in guessed.values()}}
    named = [build for build in facts.own if build.key in dropped]
    of_set = leaving(judged, (), asked)
    leave = [build for build in facts.own if build.key in {*dropped, *of_set}]
    if len(come) != len(set(builds)):
        least = judged.thresholds.least_shots
        raise BadInput(say("handover-not-hit-enough", n=least), field="builds")
    _check_dropped(named, dropped)
    bought = _bought(judged, come, leave, asked)
    decision = judged.decision
    wanted, gone, _ = suggestion(judged)
    proposed = {each.key for each in come} == {*wanted} and {*dropped} - of_set == {*gone} - of_set
    pair = _pair(judged.rows.session, come) or (_decided_pair(judged) if proposed else None)
    after = side_of(judged, come, leave, pair.away if pair else None, bought)
    swap = None if pair is None else SwapOut(pair.home.called, pair.away.called, pair.course)
    said = after.headline
    if swap:
        said = joined([said, say("handover-swapped", away=swap.away, course=swap.course, home=swap.home)])
    if not proposed:
        letters = decision.choice.letters
        verdicts = {
            each.letter: passed_over(each) if each.letter in letters else taken_all_the_same(each)
            for each in verdicts.values()
        }
    clubs = [_tested(judged, build, verdicts[build.letter]) for build in come]
    prices = [Decimal(build.price_words) for build in come if build.price_words is not None]
    if bought is not None and bought.price is not None:
        prices.append(Decimal(str(bought.price)))
    out = [build.name for build in leave]
    passed = [build for build in hit if build not in come]
    return ChosenOut(
        name=recommendation_name([build.name for build in come], out, _span(bought)),
        clubs=clubs,
        dropped=out,
        reasons=recommendation_reasons(
            [(build.letter, _why_in(build, each, bought)) for build, each in zip(come, clubs, strict=True)],
            out,
            said,
            _decided(judged, come, wanted, proposed=proposed) if bought is None or decision.choice.letters else NOTHING,
            proposed=proposed,
        ),
        lost=[
            LostBuild(build.letter, build.name, _why_not(judged, build, come, verdicts, proposed=proposed))
            for build in passed
        ],
        after=after,
        over=max(0, after.club_count - facts.brief.most_clubs),
        price=str(sum(prices, Decimal(0))) if prices else None,
        swap=swap,
        set=None if asked is None or bought is None else _set_out(asked, bought),
    )


def _why_in(build: Club, tested: Tested, bought: OrderedSet | None) -> Said:
    """Why a build comes in: as it was taken in, with the set that is told from it, or by its verdict."""
    if bought is not None and build.key == bought.build.key:
        return joined([bought.sentence, bought.first])
    return reasons_of(build) if build.taken else tested.why


def _span(bought: OrderedSet | None) -> tuple[str, str] | None:
    """The longest and the shortest club of a set."""
    return None if bought is None else (bought.clubs[0].club.name, bought.clubs[-1].club.name)


def _set_out(asked: SetAsked, bought: OrderedSet) -> SetOut:
    own = {each.head: each.bend_deg for each in asked.heads}
    return SetOut(
        build=bought.build.key,
        letter=bought.build.letter,
        loft_deg=asked.loft_deg,
        lie_deg=asked.lie_deg,
        clubs=[
            SetClubOut(
                head=each.head.key,
                number=each.number,
                name=each.club.name,
                model=each.head.set_of,
                head_type=each.head.rack.head_type,
                hit=each.hit,
                loft_deg=each.made.loft_deg or each.head.loft_deg,
                lie_deg=each.made.lie_deg,
                bounce_deg=each.made.bounce_deg,
                length_m=each.made.length_m or each.head.length_m,
                own_bend_deg=own[each.head.key],
                bent_deg=each.bent_deg,
                carry_m=each.club.carry_m,
                total_m=each.club.total_m,
                doubt_m=each.doubt_m,
                step_m=each.step_m,
                left_off=each.left_off,
            )
            for each in bought.clubs
        ],
        first=bought.first,
        remarks=bought.remarks,
        replaces=[club.key for club in bought.replaces],
    )


def _why_not(
    judged: JudgedSession, build: Club, come: Sequence[Club], verdicts: Mapping[str, Verdict], *, proposed: bool
) -> Said:
    """Why a build that was hit does not come."""
    decision = judged.decision
    told = [why_it_lost(verdicts[build.letter], verdicts[come[0].letter] if come else None)]
    if proposed:
        first, feared = decision.choice.letter or "", judged.facts.brief.feared
        told.append(beside(build.letter, first, decision.worths, decision.choice.because, feared))
    return joined(lost_for(build.letter, [each for each in come if each.taken])) or joined(told)


def _check_dropped(leave: Sequence[Club], dropped: Collection[int]) -> None:
    if len(leave) != len(set(dropped)):
        raise BadInput(say("handover-not-of-the-bag"), field="dropped")
    if fixed := next((build for build in leave if build.fixed), None):
        raise BadInput(say("handover-is-fixed", name=fixed.name), field="dropped")


def _decided(judged: JudgedSession, come: Sequence[Club], wanted: Collection[int], *, proposed: bool) -> Said:
    """What the decision says of what comes in, or that it was overruled. Where all that comes in was taken in for now,
    its own reasons say why."""
    choice = judged.decision.choice
    if proposed:
        new = [build for build in come if not build.accepted]
        return choice.sentence if new or not come else NOTHING
    if not choice.letters and not come:
        return NOTHING
    other = {each.key for each in come} != {*wanted}
    return overruled([build.letter for build in come], choice.sentence, other_clubs=other)


@dataclass(frozen=True)
class _Pair:
    """Two clubs that are one place of the bag: `away` is carried on one course, `home` elsewhere."""

    home: Club
    away: Club
    course: str


def _pair(session: FittingSession, come: Collection[Club]) -> _Pair | None:
    """The pair of a plan that was kept, where it comes in whole; None without one."""
    for plan in session.plans.all():
        there = {club.key: club for club in come}
        home, away = there.get(plan.swap_home_id or 0), there.get(plan.swap_away_id or 0)
        if home is not None and away is not None:
            return _Pair(home, away, plan.swap_course)
    return None


def _decided_pair(judged: JudgedSession) -> _Pair | None:
    """The pair that the decision proposes; None where it proposes none."""
    swap = judged.decision.bag.plan.swap
    if swap is None:
        return None
    of = {str(build.key): build for build in (*judged.facts.in_bag, *judged.facts.candidates)}
    return _Pair(of[swap.home], of[swap.away], swap.course)


def suggestion(judged: JudgedSession) -> tuple[list[int], list[int], Said]:
    """Which builds to propose, which own clubs to leave out, and why: the session's one decision, beside what was taken
    in for now."""
    decision = judged.decision
    come, leave = exchange(judged.decided, decision.bag.plan.keys)
    return [build.key for build in come], [build.key for build in leave], decision.choice.sentence


def agreed_bag(session: FittingSession) -> AgreedBag | None:
    """The builds that came in, the own clubs that left and the set that was ordered, by the last edition; None where
    nothing was agreed."""
    last = session.recommendations.first()
    if last is None:
        return None
    come, leave = (set(rows.values_list("pk", flat=True)) for rows in (last.builds, last.dropped))
    bought = as_(ChosenOut, last.picture["choice"]).set
    if bought is None:
        return AgreedBag(come, leave)
    # The iron that was hit comes as it was hit, unless it was ordered bent otherwise.
    hit = load(session).facts.by_key[bought.build]
    of_set = next(each for each in bought.clubs if each.hit)
    if same_setting(of_set.loft_deg, hit.loft_deg) and of_set.lie_deg in (None, hit.made.lie_deg):
        return AgreedBag(come, leave, [_on_order(each) for each in bought.clubs if not each.hit])
    ordered_so = replace(of_set, name=hit.name)
    rest = [ordered_so if each.hit else each for each in bought.clubs]
    return AgreedBag(come - {bought.build}, leave, [_on_order(each) for each in rest])


def _on_order(each: SetClubOut) -> OnOrder:
    return OnOrder(
        head=each.head,
        name=each.name,
        head_type=each.head_type,
        of_set=each.head_type == HeadType.WEDGE or None,
        set_loft_deg=each.loft_deg,
        lie_deg=each.lie_deg,
        bounce_deg=each.bounce_deg,
        length_m=each.length_m,
        typed_carry_m=each.carry_m,
        typed_total_m=each.total_m,
        typed_doubt_m=each.doubt_m,
    )
