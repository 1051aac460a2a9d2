"""The short end of the bag: what each wedge is for, how the player delivers it, the ends and the steps between them,
the flight that a loft should give. Clubs of the bag and quantities; no verdict (`judge`)."""

from .delivery import Delivered, Delivery, delivered
from .flight import Cause, Looks, WedgeFlight, Window, flight_of, windows_at
from .short_end import End, School, Schools, ShortEnd, Stage, Step, schools, short_end
from .words import Complaint, Finish, WedgeUse, WedgeWish, kept_for

__all__ = [
    "Cause", "Complaint", "Delivered", "Delivery", "End", "Finish", "Looks", "School", "Schools", "ShortEnd",
    "Stage", "Step", "WedgeFlight", "WedgeUse", "WedgeWish", "Window", "delivered", "flight_of", "kept_for", "schools",
    "short_end", "windows_at",
]  # fmt: skip
