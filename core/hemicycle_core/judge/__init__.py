"""Judging builds against a slot: the verdict with its reasons, and what a change of the club would do."""

from .changes import EFFECTS, Change, ChangeKind, usual_changes
from .compare import Comparison, compare
from .verdict import Candidate, Fact, Kind, Verdict, judge
from .whatif import Elsewhere, Prediction, elsewhere, predict

__all__ = [
    "EFFECTS", "Candidate", "Change", "ChangeKind", "Comparison", "Elsewhere", "Fact", "Kind", "Prediction", "Verdict",
    "compare", "elsewhere", "judge", "predict", "usual_changes",
]  # fmt: skip
