"""Practice fittings with a hidden truth: to train fitters, and to measure the verdict itself.

The one place where the simulated golfer and the judge meet.
"""

from .fittings import Fitting, draw_fitting
from .score import Score, judged, score, until_settled

__all__ = ["Fitting", "Score", "draw_fitting", "judged", "score", "until_settled"]
