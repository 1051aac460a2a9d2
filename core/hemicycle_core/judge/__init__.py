"""Judging builds against a slot: the verdict with its reasons, and what a turn of the sleeve would do."""

from .compare import Comparison, compare
from .verdict import Candidate, Fact, Kind, Verdict, judge
from .whatif import Turned, turn_loft

__all__ = ["Candidate", "Comparison", "Fact", "Kind", "Turned", "Verdict", "compare", "judge", "turn_loft"]
