"""The bag as coverage of yardages: clubs, holes and overlaps, and the slots that close a hole."""

from .clubs import Carried, HeadType, in_order
from .gaps import CLOSED_M, Between, Coverage, GapRule, GapRules, StepWish, coverage, usual_rules, widest_hole
from .plans import (
    Bag,
    Demand,
    Found,
    Limits,
    Piece,
    Plan,
    SwapPair,
    best_plan,
    next_hole,
    rebagged,
    replanned,
    weigh_plan,
)
from .remarks import Remark, clubs_for, remarks
from .slots import Slot, SlotPlan, plan_like, plan_slots, slot_with_roll, space_of

__all__ = [
    "CLOSED_M",
    "Bag",
    "Between",
    "Carried",
    "Coverage",
    "Demand",
    "Found",
    "GapRule",
    "GapRules",
    "HeadType",
    "Limits",
    "Piece",
    "Plan",
    "Remark",
    "Slot",
    "SlotPlan",
    "StepWish",
    "SwapPair",
    "best_plan",
    "clubs_for",
    "coverage",
    "in_order",
    "next_hole",
    "plan_like",
    "plan_slots",
    "rebagged",
    "remarks",
    "replanned",
    "slot_with_roll",
    "space_of",
    "usual_rules",
    "weigh_plan",
    "widest_hole",
]
