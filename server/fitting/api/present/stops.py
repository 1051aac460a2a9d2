"""The stop test as it is shown."""

from __future__ import annotations

from hemicycle_core.judge.stops import FIRMER
from hemicycle_core.protocols.stop import SHOTS
from hemicycle_core.runs import Ball

from ...domain.session import JudgedSession
from ..schemas.stops import StopGreenIn, StopLineOut, StopSeenOut, StopsOut


def present_stops(judged: JudgedSession) -> StopsOut:
    wedges = judged.wedges
    played, found = wedges.tests.stop_green, wedges.tests.stops
    return StopsOut(
        green=StopGreenIn(played.target_m, played.firmness, played.green_ft, played.slope_percent),
        wedges=[build.pk for build in wedges.builds],
        wanted=SHOTS,
        seen=[
            StopSeenOut(
                seen.pk, seen.build_id, Ball(seen.ball), seen.landed_m, seen.stopped_m, seen.landed_side_m,
                seen.stopped_side_m, seen.left_m, seen.balls, seen.aside,
            )
            for seen in judged.rows.stops_seen
            if abs(seen.target_m - played.target_m) < 0.5
        ],
        lines=[
            StopLineOut(**{("build" if key == "club" else key): value for key, value in vars(line).items()})
            for line in (found.lines if found else ())
        ],
        sentences=list(found.sentences) if found else [],
        firmer=FIRMER[played.firmness].value if played.firmness in FIRMER else "",
    )  # fmt: skip
