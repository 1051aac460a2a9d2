"""Keeping what was worked out from rows that do not change. One store a process, which holds what sessions at work
need; nothing in it outlives the process, so that no answer of older code is ever met."""

from __future__ import annotations

from collections.abc import Callable, Hashable, Sequence
from threading import Lock
from typing import Any, TypeVar

from cachetools import LRUCache

from ..models import Shot

Made = TypeVar("Made")
Cache = LRUCache[Hashable, Any]
MOST = 64
LOCK = Lock()


def new_cache(most: int = MOST) -> Cache:
    return LRUCache(most)


def remembered(cache: Cache, key: Hashable, make: Callable[[], Made]) -> Made:
    """What was made for this key, made now when it is not there. Two that ask at once may both make it: waiting for
    each other would hold up every other session."""
    with LOCK:
        if key in cache:
            found: Made = cache[key]
            return found
    made = make()
    with LOCK:
        cache[key] = made
    return made


def shots_key(shots: Sequence[Shot]) -> Hashable:
    """What of the shots can change after they came in, with which ones they are."""
    return tuple(
        (
            shot.pk,
            shot.run.build_id,
            shot.aside,
            shot.misread,
            tuple(shot.void),
            shot.strike,
            shot.run.intent,
            shot.run.protocol,
            shot.run.lie,
            shot.run.swing,
        )
        for shot in shots
    )
