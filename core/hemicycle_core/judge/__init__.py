"""Judging builds against a slot: the verdict with its reasons, and what a change of the club would do."""

from .changes import EFFECTS, Change, ChangeKind
from .compare import Comparison, compare
from .verdict import Candidate, Fact, Kind, Verdict, judge
from .whatif import Prediction, predict

__all__ = [
    "EFFECTS", "Candidate", "Change", "ChangeKind", "Comparison", "Fact", "Kind", "Prediction", "Verdict", "compare",
    "judge", "predict",
]  # fmt: skip
