"""Shots: taking them in, setting them aside and bringing them back, calling the strike, moving them."""

from __future__ import annotations

from collections.abc import Collection, Mapping, Sequence
from dataclasses import dataclass, replace
from typing import Any, Literal

from common.columns import in_columns
from django.db.models import Max
from hemicycle_core.errors import BadInput
from hemicycle_core.facts import HitIn, RunAsked, Surroundings
from hemicycle_core.facts.values import names_of
from hemicycle_core.protocols.sole.ask import KEY as SOLE
from hemicycle_core.runs import in_calm
from hemicycle_core.said import say
from hemicycle_core.samples.roll import measured_roll
from hemicycle_core.shots import (
    FLIGHT_READINGS,
    FULL_SWING,
    Intent,
    Source,
    Strike,
    check_read_off,
    check_readings,
    fill_blanks,
)
from shop.audit import action
from shop.models import User

from ..domain.rows import core_shot
from ..models import Build, FittingSession, Run, Shot, ShotImport
from .acts import Altered, alter
from .changes import announce, for_change, next_revision, note
from .windows import keep_windows

DISTANCE = ("carry_m", "total_m")
LINE = ("offline_m", "direction_deg", "axis_deg")


def run_for(session: FittingSession, build: Build, imported: ShotImport | None = None, **said: Any) -> Run:
    """The run that a shot of this build joins: the last one of the same file and place, else a new one. said: of the
    run, by its field, what a file says otherwise."""
    known = in_columns(HitIn, vars(_hit_in(session, build, said, from_file=imported is not None)))
    last = Run.objects.of(session.shop_id).filter(build=build).order_by("-id").first()
    same = last is not None and last.imported_id == (imported.pk if imported else None)
    if last is not None and same and all(getattr(last, name) == value for name, value in known.items()):
        return last
    return Run.objects.create(shop_id=session.shop_id, build=build, imported=imported, **known)


def _hit_in(session: FittingSession, build: Build, said: Mapping[str, Any], *, from_file: bool) -> HitIn:
    """What a shot is hit in: as the session stands; of a file only what it says."""
    visit, asked = session.visit, session.asked
    place = {name: getattr(visit, name) for name in names_of(Surroundings)}
    if from_file:
        asked = RunAsked(swing=asked.swing)
    else:
        # A sole test is of its codes alone, whatever is asked for.
        of_sole = asked.protocol == SOLE
        asked = replace(
            asked,
            protocol=FULL_SWING if of_sole and not build.coded else asked.protocol,
            place=asked.place if of_sole and build.coded else "",
            asked_carry_m=asked.asked_carry_m if asked.intent is Intent.YARDAGE else None,
        )
    return HitIn(**{**vars(asked), **place, **said})


def take_in(
    session: FittingSession,
    run: Run,
    readings: list[Mapping[str, float]],
    *,
    feed_ids: list[str] | None = None,
    told: list[Mapping[str, Any]] | None = None,
    strikes: list[Strike | None] | None = None,
    sources: Sequence[Mapping[str, Source]] = (),
) -> list[Shot]:
    """Store measured shots of one run in order and fill their blanks from the flight model.

    The caller holds the session's lock, so numbers never collide. They make a revision of their own. told: more columns
    of each shot; sources: of readings that the monitor did not measure itself, where a file says so. Raises BadInput
    for readings that no golf shot has.
    """
    for values in readings:
        check_readings(values)
    air = run.known.air
    next_revision(session)
    filled = fill_blanks(readings, air=air, turf=session.brief.firmness)
    last = Shot.objects.of(session.shop_id).filter(session=session).aggregate(top=Max("number"))["top"] or 0
    shots = []
    for index, (values, computed) in enumerate(zip(readings, filled, strict=True)):
        strike = strikes[index] if strikes else None
        shots.append(
            Shot(
                shop_id=session.shop_id,
                session=session,
                run=run,
                number=last + 1 + index,
                revision=session.revision,
                feed_id=feed_ids[index] if feed_ids else "",
                strike=strike.value if strike else "",
                sources=_sources(values, computed, models_flight=session.bay.models_flight)
                | {key: source.value for key, source in (sources[index] if sources else {}).items()},
                calm=in_calm({**values, **computed}, air) if air.wind_mps else {},
                **{**values, **computed, **(told[index] if told else {})},
            )
        )
    made = Shot.objects.bulk_create(shots)
    _window_by_roll(session, run, len(made))
    _bag_may_have_moved(session, run, None)
    return made


def _window_by_roll(session: FittingSession, run: Run, fresh: int) -> None:
    """Write down that a build's own window rests on its measured roll from now on: it changes once."""
    if not run.build.letter:
        return
    rows = Shot.objects.of(session.shop_id).filter(run__build=run.build).select_related("run").order_by("number")
    swing = session.asked.swing
    hit = [core_shot(shot, shot.run.known, swing, run.build.stock_swing) for shot in rows]
    if measured_roll(hit) is not None and measured_roll(hit[:-fresh]) is None:
        note(session, None, "window.roll", f"build:{run.build_id}", letter=run.build.letter)


def _bag_may_have_moved(session: FittingSession, run: Run, actor: User | None) -> None:
    """The windows stand between the player's own clubs: what a candidate does leaves them where they are."""
    if run.build.is_own:
        keep_windows(session, actor)


def _sources(values: Mapping[str, float], computed: Mapping[str, float], *, models_flight: bool) -> dict[str, str]:
    """Where each reading comes from; a monitor that models flight measures none of it."""
    seen = {key: Source.MODELLED if models_flight and key in FLIGHT_READINGS else Source.MEASURED for key in values}
    return {key: source.value for key, source in {**seen, **dict.fromkeys(computed, Source.COMPUTED)}.items()}


def _shot(actor: User, shot_id: int) -> tuple[Shot, FittingSession]:
    """A shot as it is now that its session is locked, of the revision that this change makes."""
    session = for_change(actor, Shot.objects.one(actor.shop_id or 0, shot_id).session_id)
    shot = Shot.objects.select_related("run__build", "run__imported").one(session.shop_id, shot_id)
    shot.revision = session.revision
    return shot, session


# What is read off a monitor's screen and typed, as it is called there.
TYPED = ("carry_m", "total_m", "offline_m", "peak_m", "ball_speed_mps", "launch_deg", "spin_rpm")


def read_off(typed: object) -> dict[str, float]:
    """The readings of what was typed: those that were read."""
    return {name: value for name in TYPED if (value := getattr(typed, name)) is not None}


@action("assist")
def type_in(actor: User, session_id: int, *, build_id: int, readings: Mapping[str, float]) -> Shot:
    """A shot that no monitor sends, as somebody reads it off a screen: whole yards, and only what was typed. Taken
    back, it is set aside."""
    session = for_change(actor, session_id)
    build = _club(session, build_id)
    check_read_off(readings)
    (shot,) = take_in(session, run_for(session, build), [dict(readings)], told=[{"typed": True}])
    rows = [["shot", shot.pk, "aside", True, False]]
    note(session, actor, "shot.typed", f"shot:{shot.pk}", number=shot.number, rows=rows)
    announce(session, "shot", shot=shot)
    return shot


@action("assist")
def set_aside(actor: User, shot_id: int, *, aside: bool, reason: str = "") -> Shot:
    """Set a shot aside or bring it back. It stays on record and still counts in what a miss costs."""
    shot, session = _shot(actor, shot_id)
    rows = alter(shot, aside=aside, aside_reason=reason.strip() if aside else "")
    what = "shot.aside" if aside else "shot.back"
    note(session, actor, what, f"shot:{shot.pk}", number=shot.number, reason=shot.aside_reason, rows=rows)
    _bag_may_have_moved(session, shot.run, actor)
    announce(session, "shot", shot=shot)
    return shot


@action("assist")
def call_strike(actor: User, shot_id: int, *, strike: Strike | None) -> Shot:
    """Call where the ball was struck; None takes the call back."""
    shot, session = _shot(actor, shot_id)
    rows = alter(shot, strike=strike.value if strike else "")
    note(session, actor, "shot.strike", f"shot:{shot.pk}", number=shot.number, rows=rows)
    announce(session, "shot", shot=shot)
    return shot


@action("fit")
def say_what_counts(actor: User, shot_id: int, *, misread: bool, distance: bool, line: bool) -> Shot:
    """What of a shot counts: nothing of a misread; else its distance, its line, or both."""
    shot, session = _shot(actor, shot_id)
    if not (misread or distance or line):
        raise BadInput(say("act-shot-which-nothing-counts"), field="line")
    rows = alter(shot, misread=misread, void=[*(() if distance else DISTANCE), *(() if line else LINE)])
    note(session, actor, "shot.counts", f"shot:{shot.pk}", number=shot.number, rows=rows)
    _bag_may_have_moved(session, shot.run, actor)
    announce(session, "shot", shot=shot)
    return shot


@action("fit")
def move_shot(actor: User, shot_id: int, *, build_id: int) -> Shot:
    """File a shot under the build it was really hit with; the move is on record."""
    shot, session = _shot(actor, shot_id)
    build = _club(session, build_id)
    if shot.run.build_id != build.pk:
        before = shot.run.build_id
        rows = _moved(session, shot, build)
        told = {"number": shot.number, "before": before, "after": build.pk}
        note(session, actor, "shot.move", f"shot:{shot.pk}", rows=rows, **told)
        keep_windows(session, actor)
        announce(session, "shot", shot=shot)
    return shot


def _club(session: FittingSession, build_id: int) -> Build:
    build = Build.objects.one(session.shop_id, build_id)
    if build.session_id != session.pk or build.archived:
        raise BadInput(say("act-club-not-part-session"), field="build")
    return build


SURE: dict[str, Any] = {"check_club": "", "instead": None}


@action("fit")
def keep_club(actor: User, shot_id: int) -> Shot:
    """Say that a shot was hit with the club it is filed under, where that was not sure."""
    shot, session = _shot(actor, shot_id)
    rows = alter(shot, **SURE)
    note(session, actor, "shot.club", f"shot:{shot.pk}", number=shot.number, rows=rows)
    announce(session, "shot", shot=shot)
    return shot


def _moved(session: FittingSession, shot: Shot, build: Build) -> list[Altered]:
    run = shot.run
    asked = {name: getattr(run.known, name) for name in names_of(RunAsked)}
    return alter(shot, run=run_for(session, build, run.imported, **asked), **SURE)


@dataclass
class ForAll:
    """What is done to several shots at once; None leaves it as it is. strike: empty takes the call back."""

    aside: bool | None = None
    reason: str = ""
    strike: Strike | Literal[""] | None = None
    build: int | None = None


@action("fit")
def change_shots(actor: User, session_id: int, shots: Collection[int], wanted: ForAll) -> FittingSession:
    """Move, set aside or tag several shots in one act, all of them or none."""
    session = for_change(actor, session_id)
    rows = (
        Shot.objects.of(session.shop_id)
        .filter(session=session, pk__in=shots)
        .select_related("run__build", "run__imported")
    )
    found = list(rows.order_by("number"))
    if not found or len(found) != len(set(shots)):
        raise BadInput(say("act-some-these-shots-not"), field="shots")
    build = None if wanted.build is None else _club(session, wanted.build)
    altered: list[Altered] = []
    for shot in found:
        shot.revision = session.revision
        if build is not None and shot.run.build_id != build.pk:
            altered += _moved(session, shot, build)
        values: dict[str, Any] = {}
        if wanted.aside is not None:
            values |= {"aside": wanted.aside, "aside_reason": wanted.reason.strip() if wanted.aside else ""}
        if wanted.strike is not None:
            values |= {"strike": str(wanted.strike)}
        if values:
            altered += alter(shot, **values)
    numbers = ", ".join(str(shot.number) for shot in found)
    note(session, actor, "shots.change", f"session:{session.pk}", shots=numbers, rows=altered)
    keep_windows(session, actor)
    announce(session, "shot")
    return session


@action("fit")
def pin_shot(actor: User, shot_id: int, *, pinned: bool) -> Shot:
    """Keep one shot in sight as the one to copy, or no longer; a new one takes the place of the last."""
    shot, session = _shot(actor, shot_id)
    rows = alter(session, pinned=shot if pinned else None)
    what = "shot.pin" if pinned else "shot.unpin"
    note(session, actor, what, f"shot:{shot.pk}", number=shot.number, rows=rows)
    announce(session, "pin", pinned=session.pinned_id)
    return shot
