"""Judging builds against a slot: jobs played out, verdicts with their reasons, the choice, and what a change of the
club would do."""

from ..thresholds import Thresholds
from .candidate import Candidate, Case, Liking, hit_enough
from .changes import EFFECTS, Change, ChangeKind, usual_changes
from .compare import Comparison, Metric, compare
from .facts import Fact
from .judgement import Judgement, judge, judge_session
from .play import Played
from .verdict import Kind, Verdict
from .whatif import Elsewhere, HitClub, Prediction, elsewhere, predict

__all__ = [
    "EFFECTS",
    "Candidate",
    "Case",
    "Change",
    "ChangeKind",
    "Comparison",
    "Elsewhere",
    "Fact",
    "HitClub",
    "Judgement",
    "Kind",
    "Liking",
    "Metric",
    "Played",
    "Prediction",
    "Thresholds",
    "Verdict",
    "compare",
    "elsewhere",
    "hit_enough",
    "judge",
    "judge_session",
    "predict",
    "usual_changes",
]  # fmt: skip
