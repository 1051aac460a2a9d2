"""A fitting session: brief, clubs, runs and shots, targets, plans, and what was agreed."""

from .agreed import AgreedAnswers
from .bag import Build
from .judged import JudgedAnswer
from .plans import BagPlan, HeadSeen
from .player import Feel, PlayerScreen
from .session import BayHold, BayServed, FittingSession, Job, TakenInHand
from .shots import ColumnMapping, Run, Shot, ShotImport
from .targets import TargetOverride, WindowVersion
from .trials import Trial, TrialEvent
from .words import LETTERS

__all__ = [
    "LETTERS", "AgreedAnswers", "BagPlan", "BayHold", "BayServed", "Build", "ColumnMapping", "Feel", "FittingSession",
    "HeadSeen", "Job", "JudgedAnswer", "PlayerScreen", "Run", "Shot", "ShotImport", "TakenInHand", "TargetOverride",
    "Trial", "TrialEvent", "WindowVersion",
]  # fmt: skip
