"""How trials are kept: a trial is one setting up of a test, with all that was seen and said in it. Each is a frozen
value, kept as plain data with the version of its shape; whoever keeps it knows nothing of what is in it."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, field, fields
from typing import Any

from ..errors import BadInput
from ..plain import read_as, written
from ..said import say


@dataclass(frozen=True)
class Kept:
    """setup: the kind of value that a trial is set up as. events: what can be seen or said in it, by name. words:
    fields of events that are somebody's own words, kept apart so that they go with the person. version: of these
    shapes; where one of them changes, what is there is brought along with the tables."""

    setup: type[Any]
    events: Mapping[str, type[Any]] = field(default_factory=dict)
    words: tuple[str, ...] = ()
    version: int = 1

    def read(self, version: int, body: Mapping[str, Any]) -> Any:
        """What a trial is set up as. Raises BadInput for what is of another version or of no trial of this test."""
        self._check(version)
        return _read(self.setup, body)

    def read_event(self, version: int, kind: str, body: Mapping[str, Any], words: Mapping[str, Any]) -> Any:
        """What was seen or said; words that went with the person are empty."""
        self._check(version)
        known = self.events.get(kind)
        if known is None:
            raise BadInput(say("trial-unreadable"))
        return _read(known, {**body, **words})

    def parted(self, event: Any) -> tuple[dict[str, Any], dict[str, Any]]:
        """Plain data of an event, and of it what are somebody's words."""
        plain = written(event)
        return (
            {name: each for name, each in plain.items() if name not in self.words},
            {name: each for name, each in plain.items() if name in self.words and each},
        )

    def _check(self, version: int) -> None:
        if version != self.version:
            raise BadInput(say("trial-of-newer-version" if version > self.version else "trial-unreadable"))


def _read(kind: type[Any], plain: Mapping[str, Any]) -> Any:
    known = {each.name for each in fields(kind)}
    if not set(plain) <= known:
        raise BadInput(say("trial-unreadable"))
    try:
        return read_as(kind, plain)
    except (TypeError, KeyError, AttributeError) as fault:
        raise BadInput(say("trial-unreadable")) from fault
