"""A session in a list."""

from __future__ import annotations

from typing import Any

from . import pictures as p
from .show import person, status_of

OUTCOMES = {"buy": "Recommended", "drop": "Leave out", "keep": "Keep what is there"}


def session_line(session: Any) -> p.SessionLine:
    """session: a FittingSession with `shot_count` annotated and recommendations prefetched."""
    agreed = next(iter(session.recommendations.all()), None)
    outcome = ""
    if agreed is not None:
        clubs = (agreed.builds if agreed.decision == "buy" else agreed.dropped).all()
        names = ", ".join(build.name for build in clubs)
        outcome = OUTCOMES[agreed.decision] + (f": {names}" if names else "")
    return p.SessionLine(
        id=session.pk,
        customer=person(session),
        held_on=session.held_on,
        bay_name=session.bay.name,
        status=status_of(session, has_shots=bool(session.shot_count)),
        outcome=outcome,
        shots=session.shot_count,
        next_check=agreed.next_check if agreed else None,
    )
