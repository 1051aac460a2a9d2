"""What somebody reads quantities in."""

from __future__ import annotations

from dataclasses import dataclass

from hemicycle_core.said import ClubLength, Far, High, Speed, Warmth


@dataclass
class OwnUnits:
    """What one reads quantities in: how far a shot goes, heights and near distances, speeds, warmth, a club's length.
    What the API sends is in metres, metres a second and degrees Celsius for everyone."""

    far: Far = Far.YARDS
    high: High = High.FEET
    speed: Speed = Speed.MPH
    warmth: Warmth = Warmth.CELSIUS
    club_length: ClubLength = ClubLength.INCHES
