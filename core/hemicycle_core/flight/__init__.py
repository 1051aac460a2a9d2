"""The flight of a golf ball: air, forces, integration, landing and roll."""

from .air import Air
from .integrate import Flight, Launch, fly
from .landing import FAIRWAY, GREEN, Firmness, Roll, run_out

__all__ = ["FAIRWAY", "GREEN", "Air", "Firmness", "Flight", "Launch", "Roll", "fly", "run_out"]
