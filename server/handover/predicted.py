"""A build that is to be ordered and was not hit in that setting: what it should do, from the build it was made of, or
of a wedge from the player's other clubs."""

from __future__ import annotations

import math
from collections.abc import Collection, Mapping
from dataclasses import dataclass, replace

from fitting.domain.session import JudgedSession
from hemicycle_core.answers.stand import unhit_builds
from hemicycle_core.bag import Carried
from hemicycle_core.facts import Club
from hemicycle_core.facts.session import air_of
from hemicycle_core.judge import Change, ChangeKind, HitClub, Kind, Verdict, predict
from hemicycle_core.said import far, say, with_and
from hemicycle_core.units import ninety, whole_yards

A_PREDICTION = say("act-prediction-was-not-hit")


@dataclass(frozen=True)
class Predicted:
    """verdict: in words, as of a build that was hit; club: as the bag sees it."""

    verdict: Verdict
    club: Carried


def predicted_of(judged: JudgedSession, verdicts: Mapping[str, Verdict]) -> dict[int, Predicted]:
    """Builds of the stand that nobody hit: made of one that was, with what the change should do; a wedge as it should
    do by its loft, length and kind beside the player's others. verdicts: of those that were hit, by letter."""
    if judged.rows.session.agreed_at is not None:
        return {}
    there = judged.facts.by_key
    found = {key: _expected(judged, there[key], club) for key, club in _unhit_wedges(judged, verdicts).items()}
    for build in judged.facts.candidates:
        parent = judged.facts.by_key.get(build.turned_from or 0)
        if parent is None or build.shots or (parent.letter and parent.letter not in verdicts):
            continue
        made = _predicted(judged, build, parent)
        if made is not None:
            found[build.key] = made
    return found


def _unhit_wedges(judged: JudgedSession, told: Collection[str]) -> dict[int, Carried]:
    """The wedges of the stand that nobody hit and that were made of none, as far as the player's clubs tell. told:
    letters of those of which a test told enough."""
    there = {
        str(build.key)
        for build in judged.facts.candidates
        if build.is_wedge and build.turned_from is None and build.letter not in told
    }
    return {int(each.key): each.club for each in unhit_builds(judged.stand) if each.key in there}


def _expected(judged: JudgedSession, build: Club, club: Carried) -> Predicted:
    verdict = Verdict(
        letter=build.letter,
        kind=Kind.NEEDS_SHOTS,
        headline=say("predicted-not-hit"),
        why=say("predicted-from-others", carry=far(club.carry_m), give=far(ninety(club.carry_sd_m or 0.0))),
        chance=None,
        settled=False,
        more=judged.thresholds.least_shots,
        half_width_m=None,
    )
    return Predicted(verdict, club)


def _changes(build: Club, parent: Club) -> list[Change]:
    """What was done to the parent to make this one."""
    done = build.work[len(parent.work) :]
    if done:
        return [change for each in done if (change := each.change) is not None]
    if build.loft_deg is not None and parent.loft_deg is not None and build.loft_deg != parent.loft_deg:
        return [Change(ChangeKind.LOFT, build.loft_deg - parent.loft_deg)]
    return []


def _predicted(judged: JudgedSession, build: Club, parent: Club) -> Predicted | None:
    carried, changes = judged.known.carried.get(parent.key), _changes(build, parent)
    if carried is None or not changes:
        return None
    hit = HitClub(loft_deg=parent.loft_deg, head_type=parent.head_type, left_handed=judged.facts.left_handed)
    shots, air = parent.shots, air_of(judged.facts, parent)
    each = predict(shots, changes, air=air, anchored=judged.known.anchored, club=hit)
    if len(each) != len(changes) or any(not one.after for one in each):
        return None
    gain = {key: sum(one.gain(key) for one in each) for key in ("carry_m", "peak_m", "landing_deg")}
    error = math.sqrt(sum(one.error.get("carry_m", 0.0) ** 2 for one in each))
    club = replace(
        carried,
        name=build.called,
        carry_m=carried.carry_m + gain["carry_m"],
        total_m=carried.total_m + gain["carry_m"],  # its roll is its parent's
        peak_m=None if carried.peak_m is None else carried.peak_m + gain["peak_m"],
        landing_deg=None if carried.landing_deg is None else carried.landing_deg + gain["landing_deg"],
        carry_sd_m=math.hypot(carried.carry_sd_m or 0.0, error),
    )
    by, from_ = gain["carry_m"], parent.letter or parent.name
    verdict = Verdict(
        letter=build.letter,
        kind=Kind.NEEDS_SHOTS,
        headline=say("predicted-from", parent=from_),
        why=say(
            "predicted-carry",
            parent=from_,
            work=with_and(change.words for change in changes),
            carry=far(club.carry_m),
            as_much=not whole_yards(abs(by)),
            by=far(abs(by)),
            more=by > 0,
            give=far(ninety(error)),
        ),
        chance=None,
        settled=False,
        more=judged.thresholds.least_shots,
        half_width_m=None,
    )
    return Predicted(verdict, club)
