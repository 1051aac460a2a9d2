"""Kinds of head, from the one that goes furthest."""

from __future__ import annotations

from enum import StrEnum


class HeadType(StrEnum):
    DRIVER = "driver"
    FAIRWAY = "fairway"
    HYBRID = "hybrid"
    UTILITY = "utility"
    IRON = "iron"
    WEDGE = "wedge"
    PUTTER = "putter"


HEAD_WORDS = {
    HeadType.DRIVER: "driver",
    HeadType.FAIRWAY: "fairway wood",
    HeadType.HYBRID: "hybrid",
    HeadType.UTILITY: "utility iron",
    HeadType.IRON: "iron",
    HeadType.WEDGE: "wedge",
    HeadType.PUTTER: "putter",
}
