"""Kinds of head, from the one that goes furthest."""

from __future__ import annotations

from enum import StrEnum

from .said import term


class HeadType(StrEnum):
    DRIVER = "driver"
    FAIRWAY = "fairway"
    HYBRID = "hybrid"
    UTILITY = "utility"
    IRON = "iron"
    WEDGE = "wedge"
    PUTTER = "putter"


HEAD_WORDS = {kind: term("head", kind) for kind in HeadType}
