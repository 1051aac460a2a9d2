"""What is done in the sole test."""

from __future__ import annotations

from dataclasses import asdict

from hemicycle_core.protocols.sole import KEY, AfterShots
from shop.models import User

from ...actions import hand_out, sole_setup, soles
from ...models import FittingSession, Trial
from ..present.soles import present_link
from ..schemas.soles import (
    ChooseIn,
    CourseNoteIn,
    GuessIn,
    HandingIn,
    LinkOut,
    PlaceIn,
    RevealIn,
    SaidIn,
    SoleTestIn,
    TakeCodeIn,
)
from .act import Act, Test


def clubs_of(new: SoleTestIn) -> list[sole_setup.ClubOfTest]:
    return [sole_setup.ClubOfTest(**asdict(each)) for each in new.clubs]


def _set_up(actor: User, session_id: int, new: SoleTestIn) -> Trial:
    return sole_setup.set_up(actor, session_id, sole_setup.SetUp(**{**vars(new), "clubs": clubs_of(new)}))


def _after(new: SaidIn) -> AfterShots:
    return AfterShots(new.said, new.turf, new.best, new.groove, new.sound, new.left_m)


def _say(actor: User, trial_id: int, new: HandingIn) -> FittingSession:
    said = _after(new)
    return soles.say_of(actor, trial_id, code=new.code, place=new.place, said=said, visit=new.visit, duel=new.duel)


def _change(actor: User, event_id: int, new: SaidIn) -> FittingSession:
    return soles.change_said(actor, event_id, _after(new))


def _take(actor: User, trial_id: int, new: TakeCodeIn) -> FittingSession:
    return soles.take_code(actor, trial_id, code=new.code, place=new.place)


def _back(actor: User, trial_id: int, new: PlaceIn) -> FittingSession:
    return soles.go_back(actor, trial_id, place=new.place)


def _guess(actor: User, trial_id: int, new: GuessIn) -> FittingSession:
    return soles.guess(actor, trial_id, code=new.code, confidence=new.confidence)


def _reveal(actor: User, trial_id: int, new: RevealIn) -> FittingSession:
    return soles.reveal(actor, trial_id, early=new.early)


def _give_up(actor: User, trial_id: int, _new: None) -> FittingSession:
    return soles.give_up(actor, trial_id)


def _choose(actor: User, trial_id: int, new: ChooseIn) -> FittingSession:
    return sole_setup.choose(actor, trial_id, code=new.code)


def _lofts(actor: User, trial_id: int, new: PlaceIn) -> Trial:
    return sole_setup.try_lofts(actor, trial_id, place=new.place)


def _course(actor: User, trial_id: int, _new: None) -> FittingSession:
    return hand_out.open_course(actor, trial_id)


def _note(actor: User, trial_id: int, new: CourseNoteIn) -> FittingSession:
    return hand_out.note_of_course(actor, trial_id, **vars(new))


def _link(actor: User, trial_id: int) -> LinkOut:
    return present_link(soles.link(actor, trial_id))


TEST = Test(
    KEY,
    (
        Act(
            "session",
            "POST",
            "",
            SoleTestIn,
            _set_up,
            "A blind test, its first code in hand; codes are drawn here.",
        ),
        Act("trial", "POST", "said", HandingIn, _say, "What the player says of the code that was handed."),
        Act("event", "PUT", "said", SaidIn, _change, "What was said of a code, put right."),
        Act("trial", "PUT", "in-hand", TakeCodeIn, _take, "Another code in hand than comes next, or from another lie."),
        Act("trial", "POST", "returns", PlaceIn, _back, "The finalists once more at a lie."),
        Act("trial", "PUT", "guess", GuessIn, _guess, "Which code is taken for the sole played now, by its number."),
        Act("trial", "POST", "reveal", RevealIn, _reveal, "Everybody is told which code is which club.", 200),
        Act("trial", "POST", "give-up", None, _give_up, "The test ends without a result.", 200),
        Act("trial", "PUT", "chosen", ChooseIn, _choose, "The sole that was chosen; it comes onto the stand."),
        Act("trial", "POST", "lofts", PlaceIn, _lofts, "The sole that was chosen in other lofts, by name on one shot."),
        Act("trial", "POST", "course", None, _course, "A code for the player's notes of the course."),
        Act("trial", "POST", "notes", CourseNoteIn, _note, "What the player told of the course."),
    ),
    _link,
)
