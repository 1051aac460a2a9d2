"""What a run of shots was hit with beside the club: how long a swing, which ball, in which wind; and which of its shots
speak for the club's stock figures."""

from __future__ import annotations

import re
from collections.abc import Mapping
from dataclasses import dataclass
from enum import StrEnum

import numpy as np

from .errors import BadInput
from .flight import Air, Launch
from .flight.other_air import in_other_air
from .said import NOTHING, Form, Quantity, Said, Sayable, club_length, say, speed, term
from .shots import LAUNCH, Intent
from .units import METRES_PER_INCH

FULL = "full"
THREE_QUARTER, HALF = "three_quarter", "half"
COMFORTABLE = "comfortable"  # as far as the player would hit it on the course: the lob wedge's own full swing
OFFERED = (FULL, COMFORTABLE, THREE_QUARTER, HALF, "7:30", "9:00", "10:30")
# How long each is, hours of the clock: what a swing by name is about as long as, by judgement.
CLOCK_FROM = {FULL: 12.0, "hard": 12.5, "eased": 11.75, COMFORTABLE: 11.5, THREE_QUARTER: 10.5, HALF: 9.0}
_CLOCK = re.compile(r"(6|7|8|9|10|11):(00|30)")
BY_EFFORT = (Intent.EASED, Intent.HARD)  # swings of full length that are named by what was meant
MOST_WIND_MPS = 15.0  # what is still played and fitted in


class Ball(StrEnum):
    """What is hit, as far as it changes a flight."""

    OWN = "own"  # the player's, or one like it: what the figures are meant for
    HARD = "hard"  # a hard cover: less spin from the short clubs
    RANGE = "range"  # flies as it was made and is worn: nobody knows


def swing_length(words: str) -> str:
    """A length of swing. Raises BadInput for one that there is not."""
    if words in (FULL, COMFORTABLE, THREE_QUARTER, HALF) or _CLOCK.fullmatch(words):
        return words
    raise BadInput(
        say("run-swing-is-one-of"),
        field="length",
    )


def how_long(swing: str) -> float:
    """Of a swing, hours of the clock."""
    if swing in CLOCK_FROM:
        return CLOCK_FROM[swing]
    hour, minute = swing.split(":")
    return int(hour) + int(minute) / 60


def swing_words(words: str) -> Said:
    """As it is read out."""
    return say("swing-to", clock=words) if ":" in words else term("swing", words)


def stock_swing(words: str) -> str:
    """A swing that may be named as a club's stock one: a length, eased or hard."""
    return words if words in {each.value for each in BY_EFFORT} else swing_length(words)


def as_stock(stock: str) -> tuple[Intent, str]:
    """What is meant, and how long the swing is, when a club is hit with its stock swing; as `stock_swing` names it."""
    return (Intent(stock), FULL) if stock in {each.value for each in BY_EFFORT} else (Intent.STOCK, stock)


@dataclass(frozen=True)
class Speaks:
    """What a shot says. intent: as it counts; apart: why it says nothing of the stock figures; empty where it does.
    swing: as it was swung, a length, eased or hard; part: that this, and nothing else, makes it no stock shot."""

    intent: Intent
    apart: Sayable
    swing: str = FULL
    part: bool = False


def speaks(
    *, length: str, intent: Intent, stock: str, other_ball: str, in_wind: bool, gripped_in: float = 0.0
) -> Speaks:
    """What a shot of a run says of its club.

    stock: the swing that is the club's stock one, full where none was named; an eased swing that is played as stock
    counts as stock. other_ball: than the one the figures are of; empty for that one. in_wind: hit in wind, and not
    brought to calm air. gripped_in: how far down the grip.
    """
    swung = length if length != FULL or intent not in BY_EFFORT else intent.value
    if swung == stock and intent in BY_EFFORT:
        intent = Intent.STOCK
    if intent is Intent.YARDAGE:
        return Speaks(
            intent,
            _other(other_ball, in_wind),
            swung,
        )
    part = swung != stock and intent in (Intent.STOCK, Intent.EASED) and not (other_ball or in_wind)
    if swung != stock and (intent is Intent.STOCK or length != FULL):
        return Speaks(intent, say("apart-swing", swing=swing_words(swung)), swung, part)
    if other_ball:
        return Speaks(intent, _other(other_ball, in_wind), swung)
    if gripped_in > 0:
        return Speaks(intent, say("apart-gripped-down", by=grip(gripped_in)), swung)
    return Speaks(intent, _other(other_ball, in_wind), swung, part)


def _other(ball: str, in_wind: bool) -> Said:
    return say("apart-ball", ball=term("ball", ball)) if ball else say("apart-in-wind") if in_wind else NOTHING


def grip(inches: float) -> Quantity:
    """How far down the grip, in inches, for a sentence."""
    return club_length(inches * METRES_PER_INCH, form=Form.SHORT)


def check_wind(mps: float, from_deg: float) -> None:
    """Raise BadInput for a wind that nobody is fitted in. from_deg: 0 against the shot, 90 from the right."""
    if not 0 <= mps <= MOST_WIND_MPS:
        raise BadInput(say("run-wind-lies-between", most=speed(MOST_WIND_MPS)), field="wind_mps")
    if not 0 <= from_deg < 360:
        raise BadInput(say("run-wind-comes-from"), field="wind_from_deg")


MOST_GRIP_DOWN_IN = 4.0


def check_grip(inches: float) -> None:
    """Raise BadInput for a grip nobody takes. inches: down from the end."""
    if not 0 <= inches <= MOST_GRIP_DOWN_IN:
        raise BadInput(
            say("run-gripped-down-at-most", most=grip(MOST_GRIP_DOWN_IN)),
            field="gripped_in",
        )


MOVED = ("carry_m", "offline_m", "peak_m", "landing_deg", "hang_s")


def in_calm(values: Mapping[str, float], air: Air) -> dict[str, float]:
    """Readings of a shot that was hit in wind, as they would have been in calm air of that day; total with its own
    roll. Empty where its launch is not known, so that it cannot be told."""
    if not values.keys() >= {*LAUNCH, "carry_m"} or values["carry_m"] <= 0:
        return {}
    ball, rises, spin = ([values[key]] for key in LAUNCH)
    launch = Launch(ball, rises, spin, [values.get("direction_deg", 0.0)], [values.get("axis_deg", 0.0)])
    now = Air(altitude_m=air.altitude_m, temperature_c=air.temperature_c)
    carry, offline, peak, landing, hang = ([values.get(key, np.nan)] for key in MOVED)
    moved = in_other_air(
        launch, was=air, now=now, carry_m=carry, offline_m=offline, peak_m=peak, landing_deg=landing, hang_s=hang
    )
    calm = {key: float(getattr(moved, key)[0]) for key in MOVED if key in values}
    if "total_m" in values:
        calm["total_m"] = values["total_m"] + calm["carry_m"] - values["carry_m"]
    return calm


def ball_words(usual: Ball) -> Said:
    """What is to be said where a session was hit with another ball than the player's; empty for that one."""
    if usual is Ball.OWN:
        return NOTHING
    return say("run-hit-with-other-balls", ball=term("ball", usual))
