"""Simulated golfers: the truth behind the demo, the stand-in monitor, practice and benchmarks.

The judging code never imports this package (an import contract).
"""

from .club import Club
from .ground import Ground
from .impact import Delivery, Impact, strike_ball
from .player import Player, Swinging

__all__ = ["Club", "Delivery", "Ground", "Impact", "Player", "Swinging", "strike_ball"]
