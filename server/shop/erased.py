"""Who was erased, as the app of customers knows, which stands on this one and says so when it starts."""

from __future__ import annotations

from collections.abc import Callable

_asked: list[Callable[[], set[str]]] = []


def who_was_erased(ask: Callable[[], set[str]]) -> None:
    _asked[:] = [ask]


def known() -> set[str]:
    """Numbers of everybody who was erased, in the record and by the list beside it. An error where nobody says."""
    return _asked[0]()
