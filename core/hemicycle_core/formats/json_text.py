"""Reading JSON that came from outside: bounded before anything is built, strict, with a sentence for what is wrong."""

from __future__ import annotations

import json
import math
from typing import Any, NoReturn

from ..errors import BadInput
from ..said import say

MOST_BYTES = 8_000_000
MOST_VALUES = 400_000  # a session of 2,000 shots has under 60,000
MOST_DEPTH = 32
MOST_DIGITS = 40


def _float(text: str) -> float:
    value = float(text) if len(text) <= MOST_DIGITS else math.inf
    if not math.isfinite(value):
        raise BadInput(say("file-not-number-anything-here", text=text[:20]))
    return value


def _int(text: str) -> int:
    if len(text) > MOST_DIGITS:
        raise BadInput(say("file-long-number", text=text[:20]))
    return int(text)


def _constant(text: str) -> NoReturn:
    raise BadInput(say("file-not-number-json-leave", text=text))


def _walk(data: Any) -> None:
    """Depth, and text that can be kept. Level by level, so that no depth is too deep to be looked at."""
    level, depth = [data], 0
    while level:
        depth += 1
        if depth > MOST_DEPTH:
            raise BadInput(say("file-over-brackets-inside-one", most=MOST_DEPTH))
        below: list[Any] = []
        for each in level:
            if isinstance(each, dict):
                below.extend(each)
                below.extend(each.values())
            elif isinstance(each, list):
                below.extend(each)
            elif isinstance(each, str):
                check_text(each)
        level = below


def check_text(text: str) -> None:
    """Raises BadInput for text that no file can hold: half of a pair of characters."""
    try:
        text.encode()
    except UnicodeEncodeError as error:
        raise BadInput(say("file-character-text-broken-type")) from error


def read_json(text: str | bytes) -> Any:
    """Plain data from JSON text. Raises BadInput when it is too large, too deep, not JSON, or holds numbers that are
    none."""
    if len(text) > MOST_BYTES:
        raise BadInput(say("file-over-mb-json-more", most=MOST_BYTES // 1_000_000))
    commas, square, curly = (",", "[", "{") if isinstance(text, str) else (b",", b"[", b"{")
    if text.count(commas) + text.count(square) + text.count(curly) > MOST_VALUES:  # type: ignore[arg-type]
        raise BadInput(say("file-over-values-more-than", most=MOST_VALUES))
    try:
        data = json.loads(text, parse_float=_float, parse_int=_int, parse_constant=_constant)
    except BadInput:
        raise
    except RecursionError as error:
        raise BadInput(say("file-over-brackets-inside-one", most=MOST_DEPTH)) from error
    except ValueError as error:
        raise BadInput(say("file-not-json", error=str(error))) from error
    _walk(data)
    return data
