"""What is done in the sole test."""

from __future__ import annotations

from dataclasses import asdict

from hemicycle_core.protocols.sole.ask import KEY, AfterShots
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
    """A blind test, its first code in hand. Which code is which club is drawn here and told nowhere else."""
    return sole_setup.set_up(actor, session_id, sole_setup.SetUp(**{**vars(new), "clubs": clubs_of(new)}))


def _after(new: SaidIn) -> AfterShots:
    return AfterShots(new.said, new.turf, new.best, new.groove, new.sound, new.left_m, new.opened)


def _say(actor: User, trial_id: int, new: HandingIn) -> FittingSession:
    """What the player says of the code that was handed."""
    said = _after(new)
    return soles.say_of(actor, trial_id, code=new.code, place=new.place, said=said, visit=new.visit, duel=new.duel)


def _change(actor: User, event_id: int, new: SaidIn) -> FittingSession:
    """What was said of a code, put right."""
    return soles.change_said(actor, event_id, _after(new))


def _take(actor: User, trial_id: int, new: TakeCodeIn) -> FittingSession:
    """Another code in hand than comes next, or from another lie."""
    return soles.take_code(actor, trial_id, code=new.code, place=new.place)


def _back(actor: User, trial_id: int, new: PlaceIn) -> FittingSession:
    """The finalists once more at a lie."""
    return soles.go_back(actor, trial_id, place=new.place)


def _guess(actor: User, trial_id: int, new: GuessIn) -> FittingSession:
    """Which code is taken for the sole played now, by its number."""
    return soles.guess(actor, trial_id, code=new.code, confidence=new.confidence)


def _reveal(actor: User, trial_id: int, new: RevealIn) -> FittingSession:
    """Everybody is told which code is which club."""
    return soles.reveal(actor, trial_id, early=new.early)


def _give_up(actor: User, trial_id: int, _new: None) -> FittingSession:
    """The test ends without a result."""
    return soles.give_up(actor, trial_id)


def _choose(actor: User, trial_id: int, new: ChooseIn) -> FittingSession:
    """The sole that was chosen; it comes onto the stand."""
    return sole_setup.choose(actor, trial_id, code=new.code)


def _lofts(actor: User, trial_id: int, new: PlaceIn) -> Trial:
    """The sole that was chosen in other lofts, by name on one shot."""
    return sole_setup.try_lofts(actor, trial_id, place=new.place)


def _course(actor: User, trial_id: int, _new: None) -> FittingSession:
    """A code for the player's notes of the course."""
    return hand_out.open_course(actor, trial_id)


def _note(actor: User, trial_id: int, new: CourseNoteIn) -> FittingSession:
    """What the player told of the course."""
    return hand_out.note_of_course(actor, trial_id, **vars(new))


def _link(actor: User, trial_id: int) -> LinkOut:
    return present_link(soles.link(actor, trial_id))


TEST = Test(
    KEY,
    (
        Act("session", "POST", "", SoleTestIn, _set_up),
        Act("trial", "POST", "said", HandingIn, _say),
        Act("event", "PUT", "said", SaidIn, _change),
        Act("trial", "PUT", "in-hand", TakeCodeIn, _take),
        Act("trial", "POST", "returns", PlaceIn, _back),
        Act("trial", "PUT", "guess", GuessIn, _guess),
        Act("trial", "POST", "reveal", RevealIn, _reveal, 200),
        Act("trial", "POST", "give-up", None, _give_up, 200),
        Act("trial", "PUT", "chosen", ChooseIn, _choose),
        Act("trial", "POST", "lofts", PlaceIn, _lofts),
        Act("trial", "POST", "course", None, _course),
        Act("trial", "POST", "notes", CourseNoteIn, _note),
    ),
    _link,
)
