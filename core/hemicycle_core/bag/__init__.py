"""The bag as coverage of yardages: clubs, holes and overlaps, and the slots that close a hole."""

from ..heads import HeadType
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
from .plans import (
    Bag,
    BestPlan,
    ClubOption,
    Demand,
    Limits,
    Plan,
    SwapPair,
    best_plan,
    exchanged,
    next_gap_words,
    rebagged,
    replanned,
    school_plan,
    weigh_plan,
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
    "CLOSED_M", "Bag",
    "BagEnd", "BestPlan", "Carried", "ClubOption", "Coverage", "Demand", "Gap", "GapOrder", "GapRule",
    "GapRules", "HeadType", "Limits", "Neighbours", "Plan", "Remark", "Slot", "SlotLayout", "StepWish",
    "SwapPair", "as_neighbours", "best_plan", "clubs_for", "coverage", "exchanged", "gap_around", "gap_at",
    "gap_in_work", "in_order", "lay_out_like", "lay_out_slots", "nearest_slot", "next_gap_words", "rebagged",
    "remarks", "replanned", "school_plan", "serves", "slot_with_roll", "usual_rules", "weigh_plan", "widest_gap",
]  # fmt: skip
