"""The handover as it is shown: what may be chosen, the bag it makes, why the others lost; once agreed, as it was."""

from __future__ import annotations

from collections.abc import Collection, Iterable, Mapping, Sequence
from dataclasses import dataclass
from datetime import date
from decimal import Decimal
from typing import Any

from common.api import as_
from fitting.api.present.bag import present_gap
from fitting.api.present.bay import specification
from fitting.api.present.wedges import present_claims
from fitting.api.schemas.plans import ClubLine
from fitting.api.schemas.wedges import ClaimOut
from fitting.domain.session import JudgedSession
from fitting.models import AgreedAnswers, BagPlan, FittingSession
from hemicycle_core.answers.decided import exchange, lost_for, reasons_of
from hemicycle_core.answers.short_tests import claims_of
from hemicycle_core.bag import BagEnd, Carried, coverage, rebagged
from hemicycle_core.bag.gaps import RULE_WORDS
from hemicycle_core.decision.said import beside
from hemicycle_core.errors import BadInput
from hemicycle_core.facts import Club
from hemicycle_core.followup import CHECK_AFTER_MONTHS
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

from .models import Decision, Recommendation
from .predicted import A_PREDICTION, predicted_of
from .schemas import AgreedOut, BagSide, Choice, HandoverOut, LostBuild, PlanLine, SheetLine, SwapOut, Tested

CAUTIONS = [
    "Fourteen clubs at most in play; heads and grooves must conform; a setting may not be changed during a round.",
    "After any change of setting: check that the head is tight and the sleeve screw at the maker’s torque.",
    "The makers’ instructions, local rules and licensed professionals come first. This is not medical or legal advice.",
]

Verdicts = Mapping[str, Verdict]


def present_side(
    judged: JudgedSession, added: Sequence[Club] = (), dropped: Collection[Club] = (), away: Club | None = None
) -> BagSide:
    """The bag as it is, or with candidates in it and own clubs out of it. away: the club of a pair that is carried on
    one course only, which takes no place of its own."""
    bag, carried = judged.bag, judged.known.carried
    pairs = [(build, carried[build.key]) for build in judged.facts.in_favour if build.key in carried]
    stay = [(build, club) for build, club in pairs if build not in dropped]
    guessed = predicted_of(judged, verdicts_of(judged)) if any(build.key not in carried for build in added) else {}
    made = {build.key: guessed[build.key].club if build.key in guessed else carried.get(build.key) for build in added}
    come = [(build, club) for build in added if (club := made[build.key]) is not None]
    builds = {club.name: build for build, club in (*stay, *come)}
    out = None if away is None else away.called
    covered = coverage([club for _, club in (*stay, *come) if club.name != out], bag.rules)
    swapped = [(build, club) for build, club in come if club.name == out]
    ids = {name: build.key for name, build in builds.items()}
    return BagSide(
        clubs=[_line(builds[club.name], club) for club in covered.clubs] + [_line(*each) for each in swapped],
        gaps=[present_gap(gap, ids) for gap in covered.gaps],
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
    words = {
        name: row[name] for name in ("letter", "headline", "why", "chance", "settled", "more", "against", "change")
    }
    return Verdict(kind=Kind(row["kind"]), half_width_m=row["half_width_m"], **words)


def present_tested(judged: JudgedSession) -> list[Tested]:
    """Every build that may be recommended; those that were not hit in their setting as predictions, last."""
    rows, verdicts = judged.facts.candidates, verdicts_of(judged)
    guessed = predicted_of(judged, verdicts)
    hit = [_tested(judged, build, verdicts[build.letter]) for build in rows if build.letter in verdicts]
    return hit + [_tested(judged, build, guessed[build.key].verdict) for build in rows if build.key in guessed]


def _tested(judged: JudgedSession, build: Club, verdict: Verdict) -> Tested:
    felt = last_said(build.felt)
    seen = " (numbers may have been seen before)" if felt is not None and felt.numbers else ""
    said = [] if felt is None else [SheetLine("The player felt", felt.words + seen)]
    said += [SheetLine("Its sole, tried blind", words) for each in judged.soles if (words := each.chosen_words(build))]
    return Tested(
        build=build.key,
        letter=build.letter,
        name=build.name,
        headline=verdict.headline,
        why=verdict.why,
        sheet=[*(SheetLine(what, how) for what, how in sheet(specification(build))), *said],
        price=build.price_words,
        prediction=_prediction(verdict),
    )


def _prediction(verdict: Verdict) -> str:
    if not may_be_recommended(verdict):
        return A_PREDICTION
    return "" if verdict.settled else "Not settled: more shots would make this surer."


def present_choice(judged: JudgedSession, builds: Collection[int], dropped: Collection[int] = ()) -> Choice:
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
        raise BadInput(f"Only builds with at least {least} kept shots can be recommended.", field="builds")
    if len(leave) != len(set(dropped)):
        raise BadInput("Only clubs of the player’s own bag can be left out.", field="dropped")
    if fixed := next((build for build in leave if build.fixed), None):
        raise BadInput(f"The {fixed.name} is fixed: it stays in the bag. Free it in the Brief first.", field="dropped")
    decision = judged.decision
    wanted, gone, _ = suggestion(judged)
    proposed = {each.key for each in come} == {*wanted} and {each.key for each in leave} == {*gone}
    pair = _pair(judged.rows.session, come) or (_decided_pair(judged) if proposed else None)
    after = present_side(judged, come, leave, pair.away if pair else None)
    swap = None if pair is None else SwapOut(pair.home.called, pair.away.called, pair.course)
    said = after.headline
    if swap:
        said += f" {swap.away} on {swap.course}, {swap.home} elsewhere: one place of the bag."
    if not proposed:
        letters = decision.choice.letters
        verdicts = {
            each.letter: passed_over(each) if each.letter in letters else taken_all_the_same(each)
            for each in verdicts.values()
        }
    clubs = [_tested(judged, build, verdicts[build.letter]) for build in come]
    taken = [build for build in come if build.taken]
    prices = [Decimal(build.price_words) for build in come if build.price_words is not None]
    chosen = verdicts[come[0].letter] if come else None
    out = [build.name for build in leave]
    first = decision.choice.letter or ""
    return Choice(
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
            LostBuild(
                build.letter,
                build.name,
                " ".join(lost_for(build.letter, taken))
                or why_it_lost(verdicts[build.letter], chosen)
                + (
                    beside(build.letter, first, decision.worths, decision.choice.because, judged.facts.brief.feared)
                    if proposed
                    else ""
                ),
            )
            for build in hit
            if build not in come
        ],
        after=after,
        over=max(0, after.club_count - facts.brief.most_clubs),
        price=str(sum(prices, Decimal(0))) if prices else None,
        swap=swap,
    )


def _decided(judged: JudgedSession, come: Sequence[Club], wanted: Collection[int], *, proposed: bool) -> str:
    """What the decision says of what comes in, or that it was overruled. Where all that comes in was taken in for now,
    its own reasons say why."""
    choice = judged.decision.choice
    if proposed:
        new = [build for build in come if not build.accepted]
        return choice.sentence if new or not come else ""
    if not choice.letters and not come:
        return ""
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


def suggestion(judged: JudgedSession) -> tuple[list[int], list[int], str]:
    """Which builds to propose, which own clubs to leave out, and why: the session's one decision, beside what was taken
    in for now."""
    decision = judged.decision
    come, leave = exchange(judged.decided, decision.bag.plan.keys)
    return [build.key for build in come], [build.key for build in leave], decision.choice.sentence


def present_plan_choices(judged: JudgedSession, kept: Iterable[BagPlan]) -> list[PlanLine]:
    """The plans that were kept, as choices. Of a pair that is swapped by course both come in."""
    verdicts, made = verdicts_of(judged), []
    for plan in kept:
        come, leave = exchange(judged.decided, {str(build.pk) for build in plan.builds.all()})
        hit = [build.key for build in come if build.letter in verdicts]
        unhit = [build.letter for build in come if build.letter not in verdicts]
        made.append(PlanLine(plan.name, hit, [build.key for build in leave], unhit))
    return made


def agreed_bag(session: FittingSession) -> tuple[set[int], set[int]] | None:
    """The builds that came in and the own clubs that left, by the last edition; None where nothing was agreed."""
    last = session.recommendations.first()
    if last is None:
        return None
    come, leave = (set(rows.values_list("pk", flat=True)) for rows in (last.builds, last.dropped))
    return come, leave


def present_agreed(row: Recommendation) -> AgreedOut:
    return AgreedOut(
        edition=row.edition,
        correction=row.correction,
        decision=Decision(row.decision),
        agreed_at=row.agreed_at,
        agreed_by=row.agreed_by.get_full_name() or row.agreed_by.username,
        reasons=row.reasons,
        next_check=row.next_check,
        runner_up=f"{row.runner_up.letter} {row.runner_up.name}" if row.runner_up else "",
        choice=as_(Choice, row.picture["choice"]),
        before=as_(BagSide, row.picture["before"]),
    )


def next_check(held_on: date) -> date:
    """When to look again if nothing else is said; the 29th of February becomes the 28th."""
    years, month = divmod(held_on.month - 1 + CHECK_AFTER_MONTHS, 12)
    leap = held_on.month == 2 and held_on.day == 29
    return held_on.replace(year=held_on.year + years, month=month + 1, day=28 if leap else held_on.day)


def _claims(judged: JudgedSession) -> list[ClaimOut]:
    """What bothers the player, answered; of an agreed session as it was answered then."""
    session = judged.rows.session
    kept = AgreedAnswers.objects.of(session.shop_id).filter(session=session).first() if session.agreed_at else None
    if kept is None:
        return present_claims(claims_of(judged.stand))
    return [as_(ClaimOut, each) for each in kept.answers.get("bench", {}).get("claims", [])]


def present_handover(judged: JudgedSession) -> HandoverOut:
    session: FittingSession = judged.rows.session
    agreed = session.recommendations.select_related("agreed_by", "runner_up")
    rows = [present_agreed(row) for row in agreed]
    builds, leave, why = ([], [], "") if rows else suggestion(judged)
    kept = session.plans.prefetch_related("builds")
    return HandoverOut(
        session=session.pk,
        revision=session.revision,
        customer=session.customer.name,
        try_out=session.customer.try_out,
        shop=session.shop.name,
        held_on=session.held_on,
        rule_words=RULE_WORDS[
            judged.bag.rules.short if judged.facts.brief.end is BagEnd.SHORT else judged.bag.rules.long
        ],
        before=rows[0].before if rows else present_side(judged),
        tested=present_tested(judged),
        plans=[] if rows else present_plan_choices(judged, kept),
        suggested=builds,
        suggested_drop=leave,
        suggestion=why,
        draft=rows[0].choice if rows else present_choice(judged, builds, leave),
        agreed=rows[0] if rows else None,
        earlier=rows[1:],
        claims=_claims(judged),
        cautions=CAUTIONS,
        next_check=next_check(session.held_on),
    )
