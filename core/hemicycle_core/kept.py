"""Keeping what was worked out: by the hash of all that a function was given, and by nothing else."""

from __future__ import annotations

import pickle
from collections.abc import Callable, Hashable
from hashlib import sha256
from threading import Event, Lock
from typing import Any, Generic, TypeVar, overload

from cachetools import LRUCache

Made = TypeVar("Made")
Store = LRUCache[Hashable, Any]
MOST = 64
LOCK = Lock()


_stores: list[Store] = []


def new_store(most: int = MOST) -> Store:
    """Room for so many answers, of which the longest unasked go. One store a process, which holds what sessions at work
    need; nothing in it outlives the process, so that no answer of older code is ever met."""
    store: Store = LRUCache(most)
    _stores.append(store)
    return store


def forget() -> None:
    """Nothing is kept of what was worked out before."""
    with LOCK:
        for store in _stores:
            store.clear()


_making: dict[tuple[int, Hashable], Event] = {}
LONGEST_S = 20.0  # whoever makes it may have died; then it is made again


def remembered(store: Store, key: Hashable, make: Callable[[], Made]) -> Made:
    """What was made for this key, made now when it is not there. Two screens that ask for the same at once have it made
    once: the second waits for the first, and nobody else does."""
    return _made_once(store, key, key, make)


def latest(store: Store, whose: Hashable, version: Hashable, make: Callable[[], Made]) -> Made:
    """As `remembered`, of what has versions: only the last that was made of each is kept."""
    return _made_once(store, whose, version, make)


def _made_once(store: Store, key: Hashable, version: Hashable, make: Callable[[], Made]) -> Made:
    mine = (id(store), (key, version))
    while True:
        with LOCK:
            there = store.get(key)
            if there is not None and there[0] == version:
                found: Made = there[1]
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
            store[key] = (version, made)
    finally:
        with LOCK:
            if _making.get(mine) is made_by_us:
                del _making[mine]
        made_by_us.set()
    return made


def key_of(*given: Any) -> bytes:
    """A key of all that something is worked out from, by value: the dataclasses, figures and words that are handed to
    the function that makes it. Nobody has to remember what matters. Values that differ never have one key; equal ones
    may have two, and are worked out again."""
    return sha256(pickle.dumps(given, protocol=5)).digest()


def kept(store: Store, make: Callable[..., Made], *given: Any) -> Made:
    """`make(*given)`, from the store where it was made of the same before."""
    return remembered(store, key_of(*given), lambda: make(*given))


class lazily(Generic[Made]):  # noqa: N801 (as property is)
    """A property of a frozen value that is worked out once, when it is first asked for. Two threads that ask at once
    may both work it out: it is pure, and neither waits for another value's."""

    def __init__(self, make: Callable[[Any], Made]) -> None:
        self.make, self.name, self.__doc__ = make, make.__name__, make.__doc__

    @overload
    def __get__(self, found: None, kind: type[Any]) -> lazily[Made]: ...
    @overload
    def __get__(self, found: object, kind: type[Any]) -> Made: ...
    def __get__(self, found: Any, kind: type[Any]) -> Any:
        if found is None:
            return self
        known: dict[str, Any] = found.__dict__
        if self.name not in known:
            known[self.name] = self.make(found)
        return known[self.name]


class OnlyFields:
    """Of a frozen dataclass: only its fields make its key, not what was worked out of them since."""

    def __getstate__(self) -> dict[str, Any]:
        fields: dict[str, Any] = type(self).__dataclass_fields__  # type: ignore[attr-defined]
        known = self.__dict__
        return {name: known[name] for name in fields}
