"""Averages, spread and certainty of small samples of shots."""

from .averages import Average, average, cost_of_a_miss
from .certainty import Certainty, certainty
from .pattern import Pattern, pattern

__all__ = ["Average", "Certainty", "Pattern", "average", "certainty", "cost_of_a_miss", "pattern"]
