"""The flight of a golf ball: air, forces, integration, anchoring, landing and roll."""

from .air import Air
from .anchor import Anchor, anchor, anchored_error
from .drawn import drawn_path
from .error import FlightError, flight_error
from .integrate import Flight, FlightScales, Launch, fly
from .landing import FAIRWAY, GREEN, Firmness, Roll, RollOut, Turf, green, roll_out, run_out
from .other_air import REFERENCE_AIR, in_other_air

__all__ = [
    "FAIRWAY",
    "GREEN",
    "REFERENCE_AIR",
    "Air",
    "Anchor",
    "Firmness",
    "Flight",
    "FlightError",
    "FlightScales",
    "Launch",
    "Roll",
    "RollOut",
    "Turf",
    "anchor",
    "anchored_error",
    "drawn_path",
    "flight_error",
    "fly",
    "green",
    "in_other_air",
    "roll_out",
    "run_out",
]  # fmt: skip
