"""What the stop test says: how far each wedge carries and releases to one target, how far short it must land, and what
firmer ground would change.

What was seen, what a monitor modelled and what is computed stand side by side and are never averaged.
"""

from __future__ import annotations

import itertools
import math
from collections import defaultdict
from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from typing import Any

import numpy as np
from scipy.special import stdtrit

from ...bag import Carried
from ...flight import Air, Anchor, Firmness, Launch, fly, run_out
from ...flight.landing import green
from ...heads import HeadType
from ...judge.eased import curve_of
from ...judge.landings import landings
from ...judge.strokes import running_on
from ...judge.whatif import with_loft
from ...runs import Ball
from ...said import NOTHING, Said, far, plain, say, term
from ...samples.averages import average
from ...shots import Shot
from ...units import metres, whole_yards, yards
from .. import found
from ..found import Outcome, Tested
from ..short import LOFT_PART_DEG, LOFT_PART_SD, SHORT_A_ROUND
from .ask import KEY, Seen, StopGreen, to_its_target

LEAST_BALLS = 2  # to tell how well a release is known
LEAST_TOLD = 3  # balls of each that tell two wedges apart
PACED_M = metres(1)  # what the release of a group that was paced once is good to
FIRMER = {Firmness.SOFT: Firmness.MEDIUM, Firmness.MEDIUM: Firmness.FIRM}
SEEN_M = 0.9  # on a green a player sees a yard


@dataclass(frozen=True)
class StopWedge:
    """A wedge of the test: as it is carried, None where it was not hit; shots: of this test, where a monitor saw
    them."""

    key: int
    name: str
    club: Carried | None
    shots: Sequence[Shot] = ()
    air: Air | None = None
    loft_deg: float | None = None


@dataclass(frozen=True)
class StopLine:
    """One wedge with one ball. n: balls seen. lands_m, releases_m: means; half_m: half of the 90% interval of the
    release, None where it was paced once; left_m: from the hole; firmer_m: what it would release on the next firmer
    ground, computed beside what was seen; None on firm. modelled_m, computed_m: the release by the monitor's own model
    and by ours, of the shots it saw; None without."""

    club: int
    ball: Ball
    n: int
    lands_m: float
    releases_m: float
    half_m: float | None
    left_m: float
    firmer_m: float | None
    modelled_m: float | None
    computed_m: float | None
    sentence: Said


@dataclass(frozen=True)
class Stops:
    """lines: shortest release first; sentences: what tells them apart."""

    lines: tuple[StopLine, ...]
    sentences: tuple[Said, ...]


def stops(
    wedges: Sequence[StopWedge], seen: Sequence[Seen], played: StopGreen, *, anchored: Anchor | None = None
) -> Stops | None:
    """What was seen to the target that is played to now; None before a ball was."""
    by: dict[tuple[int, Ball], list[Seen]] = defaultdict(list)
    for each in seen:
        if to_its_target(each.target_m, played):
            by[each.club, each.ball].append(each)
    there = {wedge.key: wedge for wedge in wedges}
    lines = [_line(there[club], ball, mine, played, anchored) for (club, ball), mine in by.items() if club in there]
    if not lines:
        return None
    lines.sort(key=lambda line: line.releases_m)
    names = {key: wedge.name for key, wedge in there.items()}
    return Stops(tuple(lines), tuple(_apart(lines, names)))


COLUMNS = {
    "lands_m": say("stop-lands"),
    "releases_m": say("stop-releases"),
    "left_m": say("stop-left"),
    "firmer_m": NOTHING,  # said by the ground that is firmer
    "modelled_m": say("stop-monitors-model"),
    "computed_m": say("stop-computed"),
}


def columns_of(firmness: Firmness, lines: Sequence[Mapping[str, Any]]) -> list[found.Column]:
    """The columns that any line has. firmness: that is played to."""
    on = FIRMER.get(firmness)
    names = COLUMNS | ({} if on is None else {"firmer_m": say("stop-on-computed", firmer=term("firmness", on))})
    return [
        found.Column(key, name, "carry_m")
        for key, name in names.items()
        if any(line[key] is not None for line in lines)
    ]


def ball_words(ball: Ball) -> Said:
    """Which ball, where it is not the player's own."""
    return NOTHING if ball is Ball.OWN else say("stop-ball", ball=term("ball", ball))


def title_of(target_m: float) -> Said:
    return say("stop-test-to", target=far(target_m))


def as_result(stopped: Stops, played: StopGreen) -> found.Result:
    """What came of the test, as every test's result is shown: a row a wedge and ball."""
    columns = columns_of(played.firmness, [vars(line) for line in stopped.lines])
    rows = [
        found.Row(
            ball_words(line.ball),
            line.club,
            (line.n,),
            {
                each.key: found.Figure((getattr(line, each.key),), line.half_m if each.key == "releases_m" else None)
                for each in columns
            },
        )
        for line in stopped.lines
    ]
    said = (*(line.sentence for line in stopped.lines), *stopped.sentences)
    return found.Result(KEY, title_of(played.target_m), (), tuple(columns), tuple(rows), remarks=said)


def _line(wedge: StopWedge, ball: Ball, mine: Sequence[Seen], played: StopGreen, anchored: Anchor | None) -> StopLine:
    weights = np.array([each.n for each in mine], dtype=float)
    lands, stop, left = (
        float(np.average([getattr(each, name) for each in mine], weights=weights))
        for name in ("landed_m", "stopped_m", "left_m")
    )
    releases = stop - lands
    each_one = average([each.stopped_m - each.landed_m for each in mine if each.n == 1])
    half = None
    if each_one is not None and each_one.se is not None and each_one.n >= LEAST_BALLS and each_one.n == len(mine):
        half = float(stdtrit(each_one.n - 1, 0.95)) * each_one.se
    more = _firmer(wedge, lands, played, anchored)
    firmer = None if more is None else releases + more
    modelled, computed = _by_monitor(wedge, played, anchored)
    short = whole_yards(releases)
    on = FIRMER.get(played.firmness, played.firmness)
    words = say(
        "stop-line",
        name=_called(wedge.name, ball),
        lands=far(lands),
        stops="there" if not whole_yards(abs(releases)) else "releases" if releases > 0 else "back",
        by=far(abs(releases)),
        short=short >= 1,
        firmer=firmer is not None and yards(firmer - releases) >= 1,
        further=far(firmer or 0.0),
        ground=term("firmness", on),
    )
    return StopLine(wedge.key, ball, int(weights.sum()), lands, releases, half, left, firmer, modelled, computed, words)


def _called(name: str, ball: Ball) -> Said:
    return plain(name) if ball is Ball.OWN else say("club-with-ball", name=name, ball=term("ball", ball))


def _firmer(wedge: StopWedge, lands_m: float, played: StopGreen, anchored: Anchor | None) -> float | None:
    """How much further it would run on the next firmer ground of that speed, by the model of the ground; None on firm
    and where the wedge's carry is not known."""
    if wedge.club is None or played.firmness not in FIRMER or wedge.club.carry_m <= lands_m:
        return None
    club, launch = wedge.club, None
    if club.ball_speed_mps is not None and club.launch_deg is not None and club.spin_rpm is not None:
        launch = (club.ball_speed_mps, club.launch_deg, club.spin_rpm)
    curve = curve_of(club.carry_m, launch, air=played.air(wedge.air), anchored=anchored)
    share = np.array([lands_m / club.carry_m])
    firm = green(FIRMER[played.firmness], played.green_ft)
    return float(curve.run_m(share, firm)[0] - curve.run_m(share, played.turf)[0])


def _by_monitor(wedge: StopWedge, played: StopGreen, anchored: Anchor | None) -> tuple[float | None, float | None]:
    """The release of the shots a monitor saw: by its own model, and computed from how they come down."""
    shots = [shot for shot in wedge.shots if shot.protocol == KEY and not (shot.aside or shot.misread)]
    rolls = [
        total - carry
        for shot in shots
        if (total := shot.get("total_m")) is not None and (carry := shot.get("carry_m")) is not None
    ]
    flown = [shot for shot in shots if shot.get("launch_deg") is not None and shot.get("spin_rpm") is not None]
    computed = None
    if flown:
        (down,) = landings([flown], kinds=[HeadType.WEDGE], airs=[played.air(wedge.air)], anchored=anchored)
        computed = float(run_out(down.speed_mps, down.angle_deg, down.spin_rpm, played.turf).run_m.mean())
    return (math.fsum(rolls) / len(rolls) if rolls else None), computed


def _apart(lines: Sequence[StopLine], names: Mapping[int, str]) -> list[Said]:
    """What tells neighbours in the order apart, and where nothing does."""
    said = []
    for soon, late in itertools.pairwise(lines):
        first, second = (_called(names[each.club], each.ball) for each in (soon, late))
        by = late.releases_m - soon.releases_m
        if by < SEEN_M:
            said.append(say("stops-alike", first=first, second=second))
        elif soon.half_m is None or late.half_m is None:
            said.append(say("stops-sooner-paced-once", first=first, by=far(by), second=second))
        else:
            give = math.hypot(soon.half_m, late.half_m)
            two = {"first": first, "second": second}
            said.append(say("stops-sooner", by=far(by, 1), give=far(give, 1), sure=by > give, **two))
    return said


@dataclass(frozen=True)
class Beside:
    """A wedge that is played and a new one, as both were seen to stop. by_m: how much further the old one releases,
    what their lofts make of it taken out; half_m: half of its 90% interval; computed_m: the same from how the shots
    came down that a monitor saw, None without any."""

    old: int
    fresh: int
    by_m: float
    half_m: float
    computed_m: float | None = None


def beside(
    found_: Stops, old: StopWedge, fresh: StopWedge, played: StopGreen, anchored: Anchor | None = None
) -> Beside | None:
    """Both with the player's own ball; None where either was seen with it too seldom to tell anything, or their lofts
    differ and what that makes is not known."""
    mine, theirs = (
        next(
            (line for line in found_.lines if line.club == each.key and line.ball is Ball.OWN and line.n >= LEAST_TOLD),
            None,
        )
        for each in (old, fresh)
    )
    part = None if mine is None or theirs is None else _loft_part(old, fresh, theirs.lands_m, played, anchored)
    if mine is None or theirs is None or part is None:
        return None
    halves = [PACED_M if line.half_m is None else line.half_m for line in (mine, theirs)]
    computed = None
    if mine.computed_m is not None and theirs.computed_m is not None:
        computed = mine.computed_m - theirs.computed_m - part
    by, half = mine.releases_m - theirs.releases_m - part, math.hypot(*halves, 1.645 * LOFT_PART_SD * part)
    return Beside(old.key, fresh.key, by, half, computed)


def _loft_part(
    old: StopWedge, fresh: StopWedge, lands_m: float, played: StopGreen, anchored: Anchor | None
) -> float | None:
    """How much further a fresh wedge of the old one's loft would release than the fresh one, metres; None where that
    cannot be computed."""
    if old.loft_deg is None or fresh.loft_deg is None:
        return 0.0 if old.loft_deg == fresh.loft_deg else None
    by = old.loft_deg - fresh.loft_deg
    if abs(by) <= LOFT_PART_DEG:
        return 0.0
    club = fresh.club
    if club is None or club.ball_speed_mps is None or club.launch_deg is None or club.spin_rpm is None:
        return None
    launch = {"ball_speed_mps": club.ball_speed_mps, "launch_deg": club.launch_deg, "spin_rpm": club.spin_rpm}
    runs = []
    for shot in (Shot(launch), with_loft([Shot(launch)], by, HeadType.WEDGE)[0]):
        left = (shot.values["ball_speed_mps"], shot.values["launch_deg"], shot.values["spin_rpm"])
        air = played.air(fresh.air)
        full = fly(Launch(*(np.array([each]) for each in left)), air=air, scales=(anchored or Anchor()).scales)
        carry = float(full.carry_m[0])
        curve = curve_of(carry, left, air=air, anchored=anchored)
        runs.append(float(curve.run_m(np.array([min(lands_m / carry, 1.0)]), played.turf)[0]))
    return runs[1] - runs[0]


def as_tested(pair: Beside, old: str, fresh: str) -> Tested:
    """The same for the decision. old, fresh: names."""
    by, half = pair.by_m, pair.half_m
    shown = {"by": far(abs(by), 1), "old": old, "fresh": fresh}
    computed = pair.computed_m is not None and abs(pair.computed_m - by) >= SEEN_M
    beside = {"computed": computed, "model": far(pair.computed_m or 0.0, 1)}
    if by >= SEEN_M and by > half:
        why = say("stop-seen-to-run-further", **shown, **beside)
        return Tested(pair.old, pair.fresh, Outcome.REPLACE, why, SHORT_A_ROUND * running_on(by), seen=True)
    if by < SEEN_M and by + half < 2 * SEEN_M:
        why = say("stop-seen-to-stop-as-soon", sooner=by <= -SEEN_M, **shown, **beside)
        return Tested(pair.old, pair.fresh, Outcome.KEEP, why, seen=True)
    return Tested(pair.old, pair.fresh, Outcome.OPEN, NOTHING, seen=True)
