"""Keeping what was worked out from rows that do not change. One store a process, which holds what sessions at work
need; nothing in it outlives the process, so that no answer of older code is ever met."""

from __future__ import annotations

from collections.abc import Callable, Hashable, Sequence
from threading import Event, Lock
from typing import Any, TypeVar

from cachetools import LRUCache

from ..models import Shot

Made = TypeVar("Made")
Cache = LRUCache[Hashable, Any]
MOST = 64
LOCK = Lock()


def new_cache(most: int = MOST) -> Cache:
    return LRUCache(most)


_making: dict[tuple[int, Hashable], Event] = {}
LONGEST_S = 20.0  # whoever makes it may have died; then it is made again


def remembered(cache: Cache, key: Hashable, make: Callable[[], Made]) -> Made:
    """What was made for this key, made now when it is not there. Two screens that ask for the same at once have it made
    once: the second waits for the first, and nobody else does."""
    mine = (id(cache), key)
    while True:
        with LOCK:
            if key in cache:
                found: Made = cache[key]
                return found
            making = _making.get(mine)
            if making is None:
                made_by_us = _making[mine] = Event()
                break
        if not making.wait(LONGEST_S):
            with LOCK:
                _making.pop(mine, None)
    try:
        made = make()
        with LOCK:
            cache[key] = made
    finally:
        with LOCK:
            if _making.get(mine) is made_by_us:
                del _making[mine]
        made_by_us.set()
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
            shot.run.length,
            shot.run.struck_ball,
            shot.run.asked_carry_m,
            shot.run.gripped_in,
            bool(shot.calm) or shot.run.wind_mps > 0,
        )
        for shot in shots
    )
