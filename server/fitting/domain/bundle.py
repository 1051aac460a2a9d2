"""A session as a bundle (docs/formats/session-bundle.md), which `./hemicycle judge` reads."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any

from hemicycle_core.answers.space import targets
from hemicycle_core.answers.stand import limits_of, own_clubs, tried_builds
from hemicycle_core.answers.wedges import bend_room
from hemicycle_core.brief import Job, Wish
from hemicycle_core.decision import BagClub
from hemicycle_core.facts import BriefJob, Club, HitIn
from hemicycle_core.facts.brief import lie_of
from hemicycle_core.facts.session import liking_of
from hemicycle_core.formats.bundle_schema import EXPECTED_OF, FORMAT, KNOWN, SEEN, TOLD, VERSION
from hemicycle_core.formats.csv_out import WrittenShot
from hemicycle_core.formats.shots import RunSaid
from hemicycle_core.protocols.stop.ask import BallSeen
from hemicycle_core.rack import Expected
from hemicycle_core.said import read_out
from hemicycle_core.shots import FLIGHT_READINGS, Source
from hemicycle_core.shots import Shot as CoreShot

from ..models import Shot, TrialEvent
from .session import JudgedSession
from .soles import SessionSole


def present_bundle(judged: JudgedSession) -> dict[str, Any]:
    """Everything of a session that a judgement rests on, canonical units."""
    facts, session = judged.facts, judged.rows.session
    brief, space = facts.brief, facts.space
    bag = {club.key: club for club in own_clubs(judged.stand)}
    tried = tried_builds(judged.stand)
    models_flight = session.bay.models_flight
    made: dict[str, Any] = read_out(
        {
            "format": FORMAT,
            "version": VERSION,
            "customer": {"name": session.customer.name, "hand": session.customer.hand},
            "held_on": session.held_on.isoformat(),
            "air": {"altitude_m": facts.visit.altitude_m, "temperature_c": facts.visit.temperature_c},
            "monitor_models_flight": models_flight,
            "budget": None if brief.budget is None else float(brief.budget),
            "miss": brief.miss,
            "fear": brief.fear,
            "fear_with": list(brief.fear_with),
            **_wish(judged),
            "noise": session.bay.noise,
            "rule": space.rule,
            "clubs_to_place": space.clubs_to_place,
            "most_clubs": brief.most_clubs,
            "others": limits_of(judged.stand).without_carry,
            "courses": [{"name": course.name, "share": course.share} for course in brief.courses],
            "stroke_price": judged.facts.thresholds.stroke_price,
            "round_shots": list(judged.facts.thresholds.round_shots),
            "steps": _steps(judged),
            "jobs": [_job(job, core) for job, core in zip(facts.jobs, facts.core_jobs, strict=True)],
            **_slot(judged),
            **_tests(judged),
            "clubs": [_own(judged, build, bag) for build in (*judged.facts.own, *judged.facts.accepted)],
            "builds": [_tried(judged, build, tried) for build in judged.facts.candidates if not build.accepted],
        }
    )
    return made


def _job(job: BriefJob, core: Job) -> dict[str, Any]:
    return {
        "name": job.name,
        "kind": job.kind,
        "distance_m": job.distance_m,
        "carry_over_m": job.carry_over_m,
        "width_m": job.width_m,
        "depth_m": job.depth_m,
        "firmness": job.firmness,
        "green_ft": job.green_ft,
        "uses_per_round": job.uses_per_round,
        "lie": lie_of(job.lie),
        "course": job.course,
        "wind_mps": core.wind_mps,
        "wind_from_deg": core.wind_from_deg,
    }


def _own(judged: JudgedSession, build: Club, bag: Mapping[str, BagClub]) -> dict[str, Any]:
    return {
        **_club(judged, build),
        "carry_m": build.typed_carry_m,
        "total_m": build.typed_total_m,
        "out_of_favour": bool(build.out_of_favour),
        "fixed": build.fixed,
        **_in_bag(bag.get(str(build.key))),
    }


def _tried(judged: JudgedSession, build: Club, tried: Mapping[str, BagClub]) -> dict[str, Any]:
    return {
        **_club(judged, build),
        "letter": build.letter,
        "sleeve_deg": build.head.rack.sleeve_deg if build.head else 0,
        "turned_deg": build.turned_deg,
        "price": build.price,
        "liking": liking_of(judged.facts, build).value,
        "answered": judged.stand.candidates[build.key].answered,
        "head": judged.stand.candidates[build.key].head,
        **_wedge(judged, build),
        **_next_heads(judged, build),
        **_in_bag(tried.get(build.letter)),
        **_window(judged, build),
    }


def _in_bag(club: BagClub | None) -> dict[str, Any]:
    """A club as the decision is given it: as the map knows it, and what it should do where nobody hit it."""
    if club is None:
        return {}
    known = {key: getattr(club.club, key) for key in KNOWN["properties"]}
    flight = club.expected
    return {
        "known": known,
        **({} if flight is None else {"expected": _expected(flight)}),
    }


def _next_heads(judged: JudgedSession, build: Club) -> dict[str, Any]:
    found = judged.stand.candidates[build.key].next_heads
    return {} if found is None else {"next_heads": [list(each) for each in found]}


def _expected(flight: Expected) -> dict[str, Any]:
    return {"kind": flight.head.head_type.value, **{key: getattr(flight, key) for key in EXPECTED_OF}}


def _window(judged: JudgedSession, build: Club) -> dict[str, Any]:
    """The carry window of one build, where it has one in the slot that the file holds."""
    carry = next((target for target in judged.stand.wanted_of(build) if target.quantity == "carry_m"), None)
    if carry is None or carry.low is None or carry.high is None:
        return {}
    return {"window": [carry.low, carry.high]}


def _tests(judged: JudgedSession) -> dict[str, Any]:
    """The tests of the short game; which code is which club only once that is told."""
    names = {club.key: club.called for club in judged.facts.clubs}
    seen = [
        {
            "club": names[known.build],
            **{key: _of_ball(row, known, key) for key in SEEN["properties"] if key != "club"},
        }
        for row, known in judged.rows.stops_seen
    ]
    soles = [_sole(judged, found) for found in judged.soles]
    told = [
        {"saves": each.saves, "same_loft": each.same_loft, **{key: getattr(each, key) for key in TOLD["required"]}}
        for each in judged.decided.tested
    ]
    made = {"told": told, "stops": seen, "soles": soles}
    return {"tests": found} if (found := {key: value for key, value in made.items() if value}) else {}


def _of_ball(row: TrialEvent, known: BallSeen, key: str) -> Any:
    return row.void if key == "aside" else getattr(known, key)


def _sole(judged: JudgedSession, found: SessionSole) -> dict[str, Any]:
    test, models_flight = found.kept, judged.rows.session.bay.models_flight
    codes = [
        {
            "code": found.word(code.number),
            **({"club": found.clubs[code.number].name, "control": code.number == test.control} if found.told else {}),
            "shots": [_shot(*each, models_flight) for each in judged.rows.by_build.get(code.build.pk, [])],
        }
        for code in found.codes
    ]
    said = ("place", "visit", "duel", "said", "best", "groove", "sound", "left_m")
    course = [
        {
            "played_on": each.played_on,
            "code": found.word(each.code),
            "place": each.place,
            "word": each.word,
            "first": each.first,
        }
        for each in found.notes
    ]
    one = {key: found.word(value) for key in ("guess", "chosen") if (value := getattr(test, key)) is not None}
    return {
        "loft_deg": test.loft_deg,
        "blind": test.blind,
        "revealed": found.told,
        "codes": codes,
        "handed": [
            {"code": found.word(each.code), "turf": each.turf, **{key: getattr(each, key) for key in said}}
            for each in (handed.known for handed in found.handings)
        ],
        **one,
        **({"confidence": test.confidence} if test.confidence else {}),
        "course": course,
    }


def _wedge(judged: JudgedSession, build: Club) -> dict[str, Any]:
    """What the judge asks of a wedge beside what it asks of every build."""
    down, up = bend_room(build)
    said = {"bend_up_deg": up, "bend_down_deg": down} if up or down else {}
    replaces = judged.stand.replaces(build)
    return {**said, **({"replaces": replaces} if replaces else {})}


def _steps(judged: JudgedSession) -> dict[str, Any]:
    """The steps in force at each end."""
    rules = judged.bag.rules
    long, short = ([step.least_m, step.most_m] for step in (rules.long_step, rules.short_step))
    return {"long": long, "short": short, "short_rule": rules.short.value}


def _wish(judged: JudgedSession) -> dict[str, Any]:
    """What leads, with the old club that a new one is held against."""
    bag = judged.work
    if bag.wish is Wish.GAP:
        return {}
    said: dict[str, Any] = {"wish": bag.wish.value}
    if bag.like is not None:
        said["like"] = bag.like.name
    if bag.wish is Wish.REPLACE:
        said["ways"] = list(judged.facts.space.replace_ways)
    return said | ({"flight": judged.facts.space.flight_wish} if bag.wish is Wish.FLIGHT else {})


def _slot(judged: JudgedSession) -> dict[str, Any]:
    """The window in force, where there is one: a bundle holds one place."""
    layout = judged.work.layout
    if layout is None or len(layout.slots) != 1 or judged.work.wish is not Wish.GAP:
        return {}
    asked = {target.quantity: target for target in targets(judged.work, layout.slots[0])}
    carry, landing = asked.get("carry_m"), asked.get("landing_deg")
    if carry is None or carry.low is None or carry.high is None:
        return {}
    least = {"landing_deg": None if landing is None else landing.low}
    named = {} if judged.work.named is None else {"named": True}
    return {"slot": {"low_m": carry.low, "high_m": carry.high, **least, **named}}


def _club(judged: JudgedSession, build: Club) -> dict[str, Any]:
    seen = judged.stand.candidates[build.key]
    models_flight = judged.rows.session.bay.models_flight
    return {
        "name": build.called,
        "head_type": build.head_type,
        "loft_deg": build.set_loft_deg,
        "length_m": seen.length_m,
        "length_stated": seen.length_stated,
        "shots": [_shot(shot, known, models_flight) for shot, known in judged.rows.by_build.get(build.key, [])],
    }


def _shot(shot: Shot, known: CoreShot, models_flight: bool) -> dict[str, Any]:
    usual = {
        key: Source.MODELLED if models_flight and key in FLIGHT_READINGS else Source.MEASURED for key in shot.sources
    }
    return {
        "readings": dict(known.values),
        "sources": {key: source for key, source in known.sources.items() if source != usual[key]},
        "aside": shot.aside,
        "aside_reason": shot.aside_reason,
        "strike": shot.strike or None,
        "intent": known.intent,
        "protocol": known.protocol,
        "apart": known.apart,
        **({"swing": known.swing, "part": known.part} if known.part else {}),
        **({"asked_m": known.asked_m} if known.asked_m is not None else {}),
        **({"order": known.order} if known.order is not None else {}),
        **({"hit_at": shot.hit_at.isoformat()} if shot.hit_at else {}),
        "lie": known.lie.value if known.lie else None,
        "old_swing": known.old_swing,
        "misread": shot.misread,
        "void": list(shot.void),
    }


def written_shots(judged: JudgedSession) -> list[WrittenShot]:
    """Every shot of a session for a CSV, in the order they were hit."""
    names = {club.key: club.letter or club.name for club in judged.facts.clubs}
    return [
        WrittenShot(
            session=shot.session_id,
            number=shot.number,
            club=names[shot.run.build_id],
            values=shot.readings,
            strike=shot.strike,
            aside=shot.aside,
            misread=shot.misread,
            void=shot.void,
            sources=shot.sources,
            run=_run_said(judged, judged.rows.runs[shot.run_id]),
        )
        for shot in judged.rows.shots
    ]


def _run_said(judged: JudgedSession, run: HitIn) -> RunSaid:
    return RunSaid(
        intent=run.intent,
        lie=run.lie or "",
        swing_length=run.length,
        struck_ball=run.struck_ball,
        protocol=run.protocol,
        old_swing=run.swing < judged.facts.asked.swing,
        wind_mps=run.wind_mps,
        wind_from_deg=run.wind_from_deg,
        tee_mm=run.tee_mm,
        gripped_in=run.gripped_in,
        asked_carry_m=run.asked_carry_m,
    )
