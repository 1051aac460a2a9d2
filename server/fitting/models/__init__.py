"""A fitting session: brief, clubs, runs and shots, targets, plans, and what was agreed."""

from .agreed import AgreedAnswers
from .bag import Build
from .grooves import BlindGrooves
from .judged import JudgedAnswer
from .plans import BagPlan, HeadSeen
from .player import Feel, PlayerScreen
from .session import BayHold, BayServed, FittingSession, Job, TakenInHand
from .shots import ColumnMapping, Run, Shot, ShotImport
from .soles import WITH_CODES, Blind, CourseNote, SoleCode, SoleHanding, SoleTest
from .stops import StopSeen, StopTest
from .targets import TargetOverride, WindowVersion
from .words import LETTERS

__all__ = [
    "LETTERS", "WITH_CODES", "AgreedAnswers", "BagPlan", "BayHold", "BayServed", "Blind", "BlindGrooves", "Build",
    "ColumnMapping", "CourseNote", "Feel", "FittingSession", "HeadSeen", "Job", "JudgedAnswer", "PlayerScreen", "Run",
    "Shot", "ShotImport", "SoleCode", "SoleHanding", "SoleTest", "StopSeen", "StopTest", "TakenInHand",
    "TargetOverride", "WindowVersion",
]  # fmt: skip
