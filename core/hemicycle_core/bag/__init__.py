"""The bag as coverage of yardages: clubs, holes and overlaps, and the slots that close a hole."""

from ..heads import HeadType
from .becomes import left_open, next_gap_words, rebagged, replanned
from .clubs import Carried, in_order
from .gaps import (
    CLOSED_M,
    BagEnd,
    Coverage,
    Gap,
    GapOrder,
    GapRule,
    GapRules,
    StepWish,
    coverage,
    gap_at,
    gap_in_work,
    usual_rules,
    widest_gap,
)
from .remarks import Remark, clubs_for, remarks
from .serves import Neighbours, as_neighbours, serves
from .slots import (
    Slot,
    SlotLayout,
    gap_around,
    lay_out_like,
    lay_out_slots,
    nearest_slot,
    slot_with_roll,
)

__all__ = [
    "CLOSED_M",
    "BagEnd",
    "Carried",
    "Coverage",
    "Gap",
    "GapOrder",
    "GapRule",
    "GapRules",
    "HeadType",
    "Neighbours",
    "Remark",
    "Slot",
    "SlotLayout",
    "StepWish",
    "as_neighbours",
    "clubs_for",
    "coverage",
    "gap_around",
    "gap_at",
    "gap_in_work",
    "in_order",
    "lay_out_like",
    "lay_out_slots",
    "left_open",
    "nearest_slot",
    "next_gap_words",
    "rebagged",
    "remarks",
    "replanned",
    "serves",
    "slot_with_roll",
    "usual_rules",
    "widest_gap",
]  # fmt: skip
