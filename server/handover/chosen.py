"""What is chosen in a handover and the bag it makes: what may be, what the decision proposes, why the others lost."""

from __future__ import annotations

from collections.abc import Collection, Mapping, Sequence
from dataclasses import dataclass
from decimal import Decimal
from typing import Any

from fitting.api.schemas.bag import GapOut
from fitting.api.schemas.plans import ClubLine
from fitting.domain.session import JudgedSession
from fitting.models import AgreedAnswers, FittingSession
from hemicycle_core.answers.decided import exchange, lost_for, reasons_of
from hemicycle_core.bag import Carried, coverage, rebagged
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
from hemicycle_core.rack.specification import sheet
from hemicycle_core.said import NOTHING, Said, as_said, joined, say

from .predicted import A_PREDICTION, predicted_of
from .schemas import BagSide, ChosenOut, LostBuild, SheetLine, SwapOut, Tested

Verdicts = Mapping[str, Verdict]


def side_of(
    judged: JudgedSession, added: Sequence[Club] = (), dropped: Collection[Club] = (), away: Club | None = None
) -> BagSide:
    """The bag as it is, or with candidates in it and own clubs out of it. away: the club of a pair that is carried on
    one course only, which takes no place of its own."""
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
    builds = {club.name: build for build, club in (*stay, *come)}
    out = None if away is None else away.called
    covered = coverage([club for _, club in (*stay, *come) if club.name != out], bag.rules)
    swapped = [(build, club) for build, club in come if club.name == out]
    ids = {name: build.key for name, build in builds.items()}
    return BagSide(
        clubs=[_line(builds[club.name], club) for club in covered.clubs] + [_line(*each) for each in swapped],
        gaps=[GapOut.of(gap, ids) for gap in covered.gaps],
        headline=rebagged(bag.today, covered, [c.name for _, c in come if c.name != out], [b.name for b in dropped]),
        club_count=len(judged.facts.in_favour) - len(dropped) + len(added) - len(swapped),
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


def choice_of(judged: JudgedSession, builds: Collection[int], dropped: Collection[int] = ()) -> ChosenOut:
    """The recommendation of these builds, with these own clubs left out; none of either keeps what is there.

    Raises BadInput for a build that was not hit enough and is made of none that was, and for a club that is not the
    player's or is fixed.
    """
    facts, verdicts = judged.facts, verdicts_of(judged)
    guessed = predicted_of(judged, verdicts)
    hit = [build for build in facts.candidates if build.letter in verdicts]
    come = [build for build in facts.candidates if build.key in builds and (build in hit or build.key in guessed)]
    verdicts = {**verdicts, **{each.verdict.letter: each.verdict for each in guessed.values()}}
    leave = [build for build in facts.own if build.key in dropped]
    if len(come) != len(set(builds)):
        least = judged.thresholds.least_shots
        raise BadInput(say("handover-not-hit-enough", n=least), field="builds")
    _check_dropped(leave, dropped)
    decision = judged.decision
    wanted, gone, _ = suggestion(judged)
    proposed = {each.key for each in come} == {*wanted} and {each.key for each in leave} == {*gone}
    pair = _pair(judged.rows.session, come) or (_decided_pair(judged) if proposed else None)
    after = side_of(judged, come, leave, pair.away if pair else None)
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
    taken = [build for build in come if build.taken]
    prices = [Decimal(build.price_words) for build in come if build.price_words is not None]
    out = [build.name for build in leave]
    passed = [build for build in hit if build not in come]
    return ChosenOut(
        name=recommendation_name([build.name for build in come], out),
        clubs=clubs,
        dropped=out,
        reasons=recommendation_reasons(
            [
                (build.letter, reasons_of(build) if build in taken else each.why)
                for build, each in zip(come, clubs, strict=True)
            ],
            out,
            said,
            _decided(judged, come, wanted, proposed=proposed),
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


def agreed_bag(session: FittingSession) -> tuple[set[int], set[int]] | None:
    """The builds that came in and the own clubs that left, by the last edition; None where nothing was agreed."""
    last = session.recommendations.first()
    if last is None:
        return None
    come, leave = (set(rows.values_list("pk", flat=True)) for rows in (last.builds, last.dropped))
    return come, leave
