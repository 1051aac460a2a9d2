"""An answer that an earlier program kept, read as answers are now: what it does not have is filled with nothing."""

from __future__ import annotations

from dataclasses import fields, is_dataclass
from enum import Enum
from functools import cache
from types import NoneType, UnionType
from typing import Any, Literal, Union, get_args, get_origin, get_type_hints


@cache
def _hints(kind: type) -> dict[str, Any]:
    hints = get_type_hints(kind)
    return {each.name: hints[each.name] for each in fields(kind)}


def nothing(hint: Any) -> Any:
    """What says nothing, of a type: empty, nought, the first word of a closed list."""
    origin, args = get_origin(hint), get_args(hint)
    if origin in (Union, UnionType) and NoneType in args:
        return None
    if origin is Literal:
        return args[0]
    if isinstance(hint, type) and issubclass(hint, Enum):
        return next(iter(hint)).value
    if is_dataclass(hint):
        return {name: nothing(each) for name, each in _hints(hint).items()}  # type: ignore[arg-type]
    made = origin or hint
    return made() if made in (str, int, float, bool, list, dict) else None


def completed(hint: Any, data: Any) -> Any:
    """Plain data of an answer with every field that its type has now."""
    origin, args = get_origin(hint), get_args(hint)
    if data is None:
        return None
    if origin in (Union, UnionType):
        return completed(next(each for each in args if each is not NoneType), data)
    if origin is list and isinstance(data, list):
        return [completed(args[0], each) for each in data]
    if origin is dict and isinstance(data, dict):
        return {key: completed(args[1], each) for key, each in data.items()}
    if is_dataclass(hint) and isinstance(data, dict):
        wanted = _hints(hint)  # type: ignore[arg-type]
        filled = {name: completed(each, data[name]) if name in data else nothing(each) for name, each in wanted.items()}
        return {**data, **filled}
    return data
