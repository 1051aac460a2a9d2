"""Simulated golfers: the truth behind the demo, the stand-in monitor, practice and benchmarks.

The judging code never imports this package (an import contract).
"""

from .club import SwungClub
from .ground import Ground
from .impact import ClubDelivery, Impact, strike_ball
from .player import Player, Swinging

__all__ = ["ClubDelivery", "Ground", "Impact", "Player", "Swinging", "SwungClub", "strike_ball"]
