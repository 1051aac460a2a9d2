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
    shapes; upgrade: brings the plain data of a version to the next one's, by the version it comes from."""

    setup: type[Any]
    events: Mapping[str, type[Any]] = field(default_factory=dict)
    words: tuple[str, ...] = ()
    version: int = 1
    upgrade: Mapping[int, Any] = field(default_factory=dict)

    def read(self, version: int, body: Mapping[str, Any]) -> Any:
        """What a trial is set up as. Raises BadInput for what is of a newer version or of no trial of this test."""
        return _read(self.setup, self._upgraded(version, body))

    def read_event(self, kind: str, body: Mapping[str, Any], words: Mapping[str, Any]) -> Any:
        """What was seen or said; words that went with the person are empty."""
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

    def _upgraded(self, version: int, body: Mapping[str, Any]) -> Mapping[str, Any]:
        if version > self.version:
            raise BadInput(say("trial-of-newer-version"))
        for at in range(version, self.version):
            body = self.upgrade[at](body)
        return body


def _read(kind: type[Any], plain: Mapping[str, Any]) -> Any:
    known = {each.name for each in fields(kind)}
    if not set(plain) <= known:
        raise BadInput(say("trial-unreadable"))
    try:
        return read_as(kind, plain)
    except (TypeError, KeyError, AttributeError) as fault:
        raise BadInput(say("trial-unreadable")) from fault
