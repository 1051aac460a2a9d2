"""The bag as coverage of yardages: clubs, holes and overlaps, and the slots that close a hole."""

from .clubs import Carried, HeadType, in_order
from .gaps import CLOSED_M, Between, Coverage, GapRule, coverage, widest_hole
from .remarks import Remark, clubs_for, remarks
from .slots import Slot, SlotPlan, plan_slots

__all__ = [
    "CLOSED_M",
    "Between",
    "Carried",
    "Coverage",
    "GapRule",
    "HeadType",
    "Remark",
    "Slot",
    "SlotPlan",
    "clubs_for",
    "coverage",
    "in_order",
    "plan_slots",
    "remarks",
    "widest_hole",
]
