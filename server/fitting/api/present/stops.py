"""The green of the stop test as it is shown."""

from __future__ import annotations

from hemicycle_core.answers.short_tests.stop import stop_green
from hemicycle_core.protocols.stop.ask import to_its_target

from ...domain.session import JudgedSession
from ..schemas.stops import StopGreenIn, StopSeenOut, StopsOut


def present_stops(judged: JudgedSession) -> StopsOut:
    played = stop_green(judged.facts)
    return StopsOut(
        green=StopGreenIn(**vars(played)),
        seen=[
            StopSeenOut(
                row.pk, seen.build, seen.ball, seen.landed_m, seen.stopped_m, seen.landed_side_m,
                seen.stopped_side_m, seen.left_m, seen.balls, row.void,
            )
            for row, seen in judged.rows.stops_seen
            if to_its_target(seen.target_m, played)
        ],
    )  # fmt: skip
