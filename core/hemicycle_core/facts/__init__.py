"""The frozen values that a session is made of; each is written once, and columns, forms and answers come from it."""

from .brief import Brief, BriefJob, Course
from .club import Club, DoneWork, HeadKnown, ShaftKnown
from .run import HitIn, RunAsked, Surroundings, Visit
from .session import Facts, HitShot, IronsThen, Overruled, TargetThen
from .space import Space

__all__ = [
    "Brief",
    "BriefJob",
    "Club",
    "Course",
    "DoneWork",
    "Facts",
    "HeadKnown",
    "HitIn",
    "HitShot",
    "IronsThen",
    "Overruled",
    "RunAsked",
    "ShaftKnown",
    "Space",
    "Surroundings",
    "TargetThen",
    "Visit",
]  # fmt: skip
