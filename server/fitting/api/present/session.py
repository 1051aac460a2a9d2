"""A session whole, and in a list."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any

from customers.schemas import person
from hemicycle_core.decision.advice import Goes, goes_on, next_step, open_question
from hemicycle_core.said import NOTHING, Said, as_said, listed, say
from hemicycle_core.shots import Shot as CoreShot

from ...domain.rows import SessionRows
from ...domain.session import JudgedSession
from ...models import BayHold, FittingSession, Shot
from ..schemas.imports import ImportedFile
from ..schemas.session import EarlierShots, PartnerOut, SessionLine, SessionOut
from ..schemas.words import Status
from .bag import present_bag
from .bay import about_the_monitor, day, present_build, present_shot, questions, steady, struck_clean, usual_sources
from .bench import present_verdict
from .brief import present_brief
from .player import present_screen
from .soles import present_soles
from .tests import next_of_test, present_standings

Hit = tuple[Shot, CoreShot]


def status_of(session: FittingSession, *, has_shots: bool) -> Status:
    if session.customer.erased_at is not None:
        return "erased"
    if session.agreed_at is not None:
        return "agreed"
    return "open" if has_shots or session.briefed_at is not None else "not_begun"


PAGE = 400  # shots; whoever hits more in a session, or takes in a file that did, turns pages


def shots_of(rows: SessionRows, *, before: int | None = None, most: int | None = PAGE) -> tuple[list[Hit], int]:
    """The newest shots of a session, in their order, and how many were hit before them. before: a shot's number, of
    those before it; most: None for all."""
    there = [each for each in rows.in_order if before is None or each[0].number < before]
    page = there if most is None else there[-most:]
    return page, len(there) - len(page)


def present_session(judged: JudgedSession, *, most: int | None = PAGE) -> SessionOut:
    """most: shots that come along; the one to be copied does in any case."""
    rows, facts, session = judged.rows, judged.facts, judged.rows.session
    usual = usual_sources([shot for club in facts.clubs for shot in club.shots])
    unsteady = steady(judged)
    page, earlier = shots_of(rows, most=most)
    copied = [each for each in rows.in_order[:earlier] if each[0].pk == session.pinned_id]
    return SessionOut(
        **vars(facts.visit),
        **vars(facts.asked),
        id=session.pk,
        revision=session.revision,
        shots_since=0,
        earlier=earlier,
        customer=person(session.customer),
        fitter=session.fitter.get_full_name() if session.fitter else "",
        bay=session.bay_id,
        bay_name=session.bay.name,
        bay_is_here=rows.hold is not None and rows.hold.session_id == session.pk,
        bay_serves="" if rows.hold is None else rows.hold.session.customer.name,
        partner=_partner(rows.hold, session),
        held_on=session.held_on,
        status=status_of(session, has_shots=bool(rows.shots)),
        frozen=False,
        rule=facts.space.rule,
        clubs_to_place=facts.space.clubs_to_place,
        in_hand=session.in_hand_id,
        day_words=day(judged),
        question=open_question(facts.visit.awaited, judged.decision.choice) if session.agreed_at is None else NOTHING,
        pinned=session.pinned_id,
        monitor=about_the_monitor(judged),
        columns=session.shop.columns,
        player=present_screen(judged),
        soles=present_soles(judged),
        tests=present_standings(judged),
        brief=present_brief(judged),
        builds=[present_build(judged, build) for build in (*judged.facts.own, *judged.facts.candidates)],
        usual_sources=usual,
        shots=[present_shot(shot, rows.runs[shot.run_id], usual, known=known) for shot, known in (*copied, *page)],
        struck_clean={str(shot): carry for shot, carry in struck_clean(judged).items()},
        questions={str(shot): sentence for shot, sentence in questions(judged).items()},
        bag=present_bag(judged),
        imports=_imports(judged),
        versions=len(rows.versions),
        verdicts=[present_verdict(judged, verdict) for verdict in judged.decided.verdicts],
        next=_next(judged),
        least_shots=judged.thresholds.least_shots,
        steady=unsteady.sentence,
        tired=unsteady.tired,
    )


def _partner(hold: BayHold | None, session: FittingSession) -> PartnerOut | None:
    """The other of the two, where this session is one of them."""
    if hold is None or hold.partner is None or session.pk not in (hold.session_id, hold.partner_id):
        return None
    other = hold.partner if hold.session_id == session.pk else hold.session
    return PartnerOut(other.pk, other.customer.name)


def _next(judged: JudgedSession) -> Said:
    """What to hit next, of the test that is going on."""
    of_test = next_of_test(judged)
    if of_test is not None:
        return of_test
    facts = judged.facts
    in_hand = next((club for club in facts.candidates if club.key == facts.in_hand), None)
    decided = judged.decided
    letter = in_hand.letter if in_hand else ""
    if not decided.verdicts and judged.ends.still_to_hit:
        return judged.ends.still_to_hit
    return next_step(decided.verdicts, letter, decided.decision.choice, thresholds=judged.thresholds)


def _imports(judged: JudgedSession) -> list[ImportedFile]:
    return [
        ImportedFile(
            id=each.pk,
            file_name=each.file_name,
            shots=sum(shot.run.imported_id == each.pk for shot in judged.rows.shots),
            undone=each.undone_at is not None,
        )
        for each in judged.rows.imports
    ]


def place_of_line(session: Any) -> Goes | None:
    """Where one of `for_lines` goes on, by what stands in it; None of one that is done."""
    if session.agreed_at is not None or session.customer.erased_at is not None:
        return None
    return goes_on(own=session.own_count, stand=session.stand_count, shots=session.shot_count)


def place_of_answer(now: Mapping[str, Any]) -> Goes:
    """Where a session goes on, by its answer."""
    own = sum(not each["letter"] for each in now["builds"])
    return goes_on(own=own, stand=len(now["builds"]) - own, shots=len(now["shots"]), advice=as_said(now["next"]))


def present_line(session: Any) -> SessionLine:
    """session: one of `for_lines`."""
    agreed = next(iter(session.recommendations.all()), None)
    awaited = session.visit.awaited
    outcome = say("outcome-waits", awaited=awaited) if awaited else NOTHING
    if agreed is not None:
        clubs = (agreed.builds if agreed.decision == "buy" else agreed.dropped).all()
        names = listed(build.name for build in clubs)
        outcome = say("outcome", decision=agreed.decision, named=bool(names), clubs=names)
    return SessionLine(
        id=session.pk,
        customer=person(session.customer),
        held_on=session.held_on,
        bay_name=session.bay.name,
        status=status_of(session, has_shots=bool(session.shot_count)),
        outcome=outcome,
        shots=session.shot_count,
        next_check=agreed.next_check if agreed else None,
        next=place_of_line(session),
    )


def present_earlier(judged: JudgedSession, before: int) -> EarlierShots:
    rows = judged.rows
    usual = usual_sources([shot for club in judged.facts.clubs for shot in club.shots])
    page, earlier = shots_of(rows, before=before)
    return EarlierShots(
        earlier, [present_shot(shot, rows.runs[shot.run_id], usual, known=known) for shot, known in page]
    )
