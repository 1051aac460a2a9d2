"""The one decision: which bag, by what it saves, for what was asked. The only place that ranks or proposes."""

from .asked import Asked
from .bags import Bag, exchanged
from .choice import Because, Choice
from .decide import Decision, decide_session
from .offers import offered
from .options import BagClub, Demand, Limits, Option, Plan, SwapPair, TestedClub
from .worth import Worth

__all__ = [
    "Asked", "Bag", "BagClub", "Because", "Choice", "Decision", "Demand", "Limits", "Option", "Plan", "SwapPair",
    "TestedClub", "Worth", "decide_session", "exchanged", "offered",
]  # fmt: skip
