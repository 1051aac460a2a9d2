"""What is done in the stop test."""

from __future__ import annotations

from typing import Any

from hemicycle_core.protocols.stop.ask import KEY
from shop.models import User

from ...actions import stops
from ...models import FittingSession
from ..schemas.stops import StopAsideIn, StopGreenIn, StopSeenIn
from .act import Act, Test


def _green(actor: User, session_id: int, new: StopGreenIn) -> FittingSession:
    """What the stop test is played to from now on."""
    return stops.set_green(actor, session_id, **vars(new))


def _seen(actor: User, session_id: int, new: StopSeenIn) -> FittingSession:
    """A ball seen to land and stop, or a group paced together."""
    seen: dict[str, Any] = dict(vars(new))
    return stops.see(actor, session_id, build_id=seen.pop("build"), **seen)


def _aside(actor: User, event_id: int, new: StopAsideIn) -> FittingSession:
    """Whether a ball counts."""
    return stops.set_aside(actor, event_id, aside=new.aside)


TEST = Test(
    KEY,
    (
        Act("session", "PUT", "green", StopGreenIn, _green),
        Act("session", "POST", "seen", StopSeenIn, _seen),
        Act("event", "PUT", "aside", StopAsideIn, _aside),
    ),
)
