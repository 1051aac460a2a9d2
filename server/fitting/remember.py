"""Keeping what was worked out from shots that do not change: readings are never edited, so the same shots, counted
the same way, make the same figures. One store a process; it holds no more than it needs for the sessions at work."""

from __future__ import annotations

from collections import OrderedDict
from collections.abc import Callable, Hashable, Sequence
from threading import Lock
from typing import Any, TypeVar

from .models import Shot

Made = TypeVar("Made")
MOST = 64


class Remembered:
    """The last few things made, by what they were made from."""

    def __init__(self, most: int = MOST) -> None:
        self._most = most
        self._kept: OrderedDict[Hashable, Any] = OrderedDict()
        self._lock = Lock()

    def get(self, key: Hashable, make: Callable[[], Made]) -> Made:
        with self._lock:
            if key in self._kept:
                self._kept.move_to_end(key)
                found: Made = self._kept[key]
                return found
        made = make()
        with self._lock:
            self._kept[key] = made
            while len(self._kept) > self._most:
                self._kept.popitem(last=False)
        return made


def key_of(shots: Sequence[Shot]) -> Hashable:
    """What of the shots can change after they came in, with which ones they are."""
    return tuple(
        (shot.pk, shot.run.build_id, shot.aside, shot.misread, tuple(shot.void), shot.strike, shot.run.intent)
        for shot in shots
    )
