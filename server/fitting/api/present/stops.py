"""The stop test as it is shown."""

from __future__ import annotations

from collections import Counter

from hemicycle_core.answers.short_tests import stop_green, stops_of
from hemicycle_core.protocols.stop.ask import SHOTS, minutes_of
from hemicycle_core.protocols.stop.read import FIRMER

from ...domain.session import JudgedSession
from ..schemas.stops import StopGreenIn, StopLineOut, StopSeenOut, StopsOut


def present_stops(judged: JudgedSession) -> StopsOut:
    wedges = judged.facts.wedges
    played, found = stop_green(judged.facts), stops_of(judged.bag)
    there = [(row, seen) for row, seen in judged.rows.stops_seen if abs(seen.target_m - played.target_m) < 0.5]
    done: Counter[int] = Counter()
    for row, seen in there:
        done[seen.build] += 0 if row.void else seen.balls
    return StopsOut(
        green=StopGreenIn(**vars(played)),
        wedges=[build.key for build in wedges],
        wanted=SHOTS,
        minutes=minutes_of([done[build.key] for build in wedges]),
        seen=[
            StopSeenOut(
                row.pk, seen.build, seen.ball, seen.landed_m, seen.stopped_m, seen.landed_side_m,
                seen.stopped_side_m, seen.left_m, seen.balls, row.void,
            )
            for row, seen in there
        ],
        lines=[
            StopLineOut(**{("build" if key == "club" else key): value for key, value in vars(line).items()})
            for line in (found.lines if found else ())
        ],
        sentences=list(found.sentences) if found else [],
        firmer=FIRMER[played.firmness].value if played.firmness in FIRMER else "",
    )  # fmt: skip
