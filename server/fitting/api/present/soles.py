"""The sole test as it is shown: by code until it is revealed, by club from then on."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import asdict
from datetime import date

from customers.models import Hand
from django.utils import timezone
from hemicycle_core.facts import Club
from hemicycle_core.heads import HeadType
from hemicycle_core.protocols.sole.ask import PLACES, SHOTS, Next, SoleTest, minutes_of, standing
from hemicycle_core.protocols.sole.clubs import (
    ONE_LOFT_DEG,
    SoleClub,
    bend_to,
    control_of,
    places_for,
    proposed,
    warnings,
)
from hemicycle_core.protocols.sole.kept import Blind, Control, CourseKept
from hemicycle_core.protocols.sole.result import blindness
from hemicycle_core.rack.eligible import goes_into, why_not
from hemicycle_core.rack.stock import MOST_BEND_DEG, Made
from hemicycle_core.said import NOTHING, Form, Said, angle, english, listed, plain, say
from rack.models import Head, Shaft

from ...domain.session import JudgedSession
from ...domain.soles import Handed, PlayedSole, SessionSole, club_in_test, club_of_head
from ..schemas.soles import (
    CourseCode,
    CourseNoteOut,
    CourseView,
    HandingOut,
    HandOutView,
    LinkLine,
    LinkOut,
    NextCode,
    SoleCellOut,
    SoleCheckOut,
    SoleChoiceOut,
    SoleChoicesOut,
    SoleClubOut,
    SoleCodeOut,
    SolePlace,
    SoleResultOut,
    SoleTestOut,
)


def present_soles(judged: JudgedSession) -> list[SoleTestOut]:
    """Every sole test of the session, without which code is which club where that is not to be told yet."""
    return [_test(found) for found in judged.soles]


def _test(found: SessionSole) -> SoleTestOut:
    test, kept, where = found.test, found.kept, found.standing
    return SoleTestOut(
        id=test.pk,
        blind=kept.blind,
        setter=test.setter.username if test.setter else "",
        setter_name=test.setter.get_full_name() if test.setter else "",
        loft_deg=kept.loft_deg,
        wedge=kept.wedge,
        short=kept.short,
        on=test.is_on,
        revealed=found.told,
        places=places(kept.places, left_handed=found.rows.left_handed),
        codes=[_code(found, code) for code in range(len(found.codes))],
        handings=[_handing(each) for each in found.handings],
        next=_next(where.next) if test.is_on else None,
        ahead=[NextCode(**asdict(each)) for each in where.ahead] if test.is_on else [],
        shots=SHOTS,
        since=_since(found),
        done=where.done,
        more=where.more if test.is_on else 0,
        minutes=where.minutes if test.is_on else 0,
        complete=where.complete,
        unplayed=list(where.unplayed),
        duels=where.duels if test.is_on else 0,
        finalists=where.finalists,
        result=_result(found),
        warnings=found.warnings if found.told else [],
        guess=kept.guess,
        confidence=kept.confidence,
        chosen=kept.chosen,
        hand_out_opened=test.hand_out_opened_at,
        course=test.course,
        notes=[_note(each) for each in found.notes],
    )


def _since(found: SessionSole) -> int:
    """The last shot of the session when a code was said last: what came after it belongs to the one that is handed."""
    if not found.handings:
        return 0
    said = found.handings[-1].row.at
    return max((shot.number for shot in found.rows.shots if shot.at <= said), default=0)


def _next(coming: Next | None) -> NextCode | None:
    return None if coming is None else NextCode(**asdict(coming))


def places(keys: Sequence[str], *, left_handed: bool) -> list[SolePlace]:
    return [
        SolePlace(
            key, place.name, place.told(left_handed=left_handed), place.key == "sand", place.target_m, place.open_face
        )
        for key in keys
        if (place := PLACES[key])
    ]


def _code(found: SessionSole, code: int) -> SoleCodeOut:
    row, line = found.codes[code], found.measured.lines.get(code)
    return SoleCodeOut(
        code=code,
        word=found.word(code),
        build=row.build.pk,
        dropped=found.standing.dropped.get(code),
        club=_club(found, code) if found.told else None,
        cells=[
            SoleCellOut(place, cell.n, cell.launch_deg, cell.spin_rpm, cell.carry_m, cell.run_m, cell.left_m)
            for place, cell in (line.cells.items() if line else ())
        ],
        spread_m=line.spread_m if line else None,
        spread_low_m=line.low_m if line else None,
        spread_high_m=line.high_m if line else None,
        bad=list(found.result.flagged.get(code, ())),
        under=list(line.under) if line else [],
    )


def _club(found: SessionSole, code: int) -> SoleClubOut:
    club, same = found.clubs[code], found.core.shown(code)
    role = found.codes[code].role
    control = found.core.control
    return SoleClubOut(
        name=club.called,
        sole=club.sole,
        bounce_deg=club.bounce_deg,
        loft_deg=club.loft_deg,
        shaft=club.shaft,
        control=control is not None and found.core.shown(control) == same,
        same_as=same if same != code else None,
        loft_role=role,
    )


def _handing(handed: Handed) -> HandingOut:
    known = handed.known
    return HandingOut(
        handed.row.pk, known.code, known.place, known.visit, known.duel, known.said, known.best, known.turf,
        known.groove, known.sound, known.left_m, known.opened,
    )  # fmt: skip


def _result(found: SessionSole) -> SoleResultOut:
    made = found.result
    return SoleResultOut(
        order=list(made.order) if made.ranked.n else [],
        placed=list(made.placed) if made.ranked.n else [],
        named=made.named,
        likely=list(made.likely) if made.ranked.n else [],
        sure=made.sure,
        same=made.same,
        sentences=[*made.sentences, *found.ruled_out],
        deciding=made.deciding,
        repeats=made.repeats,
        measured=list(found.measured.sentences),
        at_odds=found.at_odds,
        belief=found.belief.sentence if found.test.revealed_at is not None and not found.loft_needed else NOTHING,
        blindness=_blindness(found),
        loft_needed=found.loft_needed,
    )


def _blindness(found: SessionSole) -> Said:
    """What the player's guess says, once it is told."""
    test, control = found.kept, found.core.control
    if not found.told or test.blind is Blind.OPEN:
        return NOTHING
    if test.guess is None:
        return say("blindness-not-asked")
    if control is None:
        return say("blindness-no-control")
    right = found.core.shown(test.guess) == found.core.shown(control)
    return blindness(found.core.soles, right=right, confidence=test.confidence).sentence


def _note(kept: CourseKept) -> CourseNoteOut:
    played_on = date.fromisoformat(kept.played_on)
    return CourseNoteOut(played_on, kept.code, kept.place, kept.word, kept.first, kept.by_player, kept.ruled_out)


# Setting up


def present_choices(judged: JudgedSession, loft_deg: float, wedge: Club | None, shafts: list[Shaft]) -> SoleChoicesOut:
    """What could be in a test of one loft for this player. wedge: the own one it is about."""
    rows = judged.rows
    shaft = next((each for each in shafts if each.stock), None)
    found = [each for head in rows.heads if (each := _head_choice(head, loft_deg, judged.facts.left_handed, wedge))]
    there = [
        build for build in judged.facts.wedges if build.loft_deg and abs(build.loft_deg - loft_deg) <= ONE_LOFT_DEG
    ]
    found += [_build_choice(build) for build in there]
    fits = shaft is not None and any(
        goes_into(shaft.fits, shaft.tip_in, head.for_core) for head in rows.heads if head.head_type == HeadType.WEDGE
    )
    clubs = sorted(found, key=lambda each: (each.head is None, each.bounce_deg or 0.0, english(each.name)))
    chosen, control = proposed([each.control for each in clubs])
    return SoleChoicesOut(
        loft_deg=loft_deg,
        clubs=clubs,
        chosen=chosen,
        control=control,
        places=list(places_for((wedge.uses or {}) if wedge else {})),
        lies=places(list(PLACES), left_handed=judged.facts.left_handed),
        shaft=shaft.pk if shaft and fits else None,
        shaft_name=shaft.name if shaft and fits else "",
    )


def _head_choice(head: Head, loft_deg: float, left_handed: bool, wedge: Club | None) -> SoleChoiceOut | None:
    if head.head_type != HeadType.WEDGE or why_not(head.for_core, left_handed=left_handed):
        return None
    bend = bend_to(loft_deg, head.loft_deg)
    if abs(bend) > MOST_BEND_DEG[Made(head.made)]:
        return None
    club = club_of_head(head, None, bend)
    played, same = (wedge.sole, wedge.head is not None and wedge.head.key == head.pk) if wedge else ("", False)
    control = control_of(sole=club.sole, played=played, same_head=same)
    return SoleChoiceOut(head.pk, None, bend, club.called, club.sole, club.bounce_deg, club.loft_deg, control)


def _build_choice(build: Club) -> SoleChoiceOut:
    club = club_in_test(build)
    own = Control.OWN if build.is_own else None
    return SoleChoiceOut(None, build.key, 0.0, club.called, club.sole, club.bounce_deg, club.loft_deg, own)


def present_check(test: SoleTest, clubs: list[SoleClub], control: Control | None) -> SoleCheckOut:
    more = standing(test, []).more
    return SoleCheckOut(more, minutes_of(more), warnings(clubs, control))


# Who may know, and pages by a code


def present_link(found: PlayedSole) -> LinkOut:
    return LinkOut(_lines(found))


def _lines(found: PlayedSole) -> list[LinkLine]:
    return [
        LinkLine(code, found.word(code), club.called, _detail(club), found.codes[code].taped)
        for code, club in enumerate(found.clubs)
    ]


def _detail(club: SoleClub) -> Said:
    bounce = angle(club.bounce_deg or 0.0, form=Form.SHORT)
    return listed(
        [
            say("of-loft", loft=angle(club.loft_deg, form=Form.SHORT)),
            NOTHING if club.bounce_deg is None else say("sole-so-much-bounce", bounce=bounce),
            say("sole-called", sole=club.sole) if club.sole else NOTHING,
            club.shaft,
        ]
    )


def present_hand_out(found: PlayedSole) -> HandOutView:
    where, session = found.standing, found.test.session
    coming = where.next
    shown = places([coming.place], left_handed=session.customer.hand == Hand.LEFT) if coming else []
    return HandOutView(
        revision=session.revision,
        customer=session.customer.name,
        lines=_lines(found),
        next=_next(coming),
        place=shown[0] if shown else None,
        following=_next(where.ahead[1]) if len(where.ahead) > 1 else None,
        shots=SHOTS,
        more=where.more,
    )


def _on_course(found: PlayedSole, code: int) -> Said:
    return listed([plain(found.word(code)), found.name(code)]) if found.told else plain(found.word(code))


def present_course(found: PlayedSole) -> CourseView:
    """Only those that are still in: what lost in the bay is not taken out."""
    left = sorted({found.core.shown(code) if found.told else code for code in found.standing.left})
    return CourseView(
        codes=[CourseCode(code, _on_course(found, code)) for code in left],
        places=places(found.kept.places, left_handed=found.test.session.customer.hand == Hand.LEFT),
        notes=[_note(each) for each in found.notes],
        since=timezone.localdate(found.test.at),
    )
