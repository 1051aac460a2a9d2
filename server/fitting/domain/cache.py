"""Keeping what was worked out from rows that do not change. One store a process, which holds what sessions at work
need; nothing in it outlives the process, so that no answer of older code is ever met."""

from __future__ import annotations

import pickle
from collections.abc import Callable, Hashable
from hashlib import sha256
from threading import Event, Lock
from typing import Any, TypeVar

from cachetools import LRUCache

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


def key_of(*given: Any) -> Hashable:
    """A key of all that something is worked out from, by value: the dataclasses, figures and words that are handed to
    the function that makes it. Nobody has to remember what matters. Values that differ never have one key; equal ones
    may have two, and are worked out again."""
    return sha256(pickle.dumps(given, protocol=5)).digest()
