"""Where shots are hit and in what, and what the player is asked for: of a session for the next shots, of a run as it
was. Lengths in metres, speeds in m/s, angles and temperatures in degrees."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, fields, replace
from typing import Any

from ..errors import BadInput
from ..flight import Air
from ..impact import Lie
from ..protocols.yardage import check_asked
from ..runs import FULL, Ball, check_grip, check_wind, swing_length
from ..said import club_length, say
from ..samples.day import DayKind
from ..shots import FULL_SWING, Intent
from .values import check, value

MOST_TEE_MM = 70


@dataclass(frozen=True)
class Surroundings:
    """Where shots are hit, and the air there. ball: as it is called."""

    surface: str = value("mat", longest=20)
    indoor: bool = value(True)
    altitude_m: float = value(0.0)
    temperature_c: float = value(20.0)
    ball: str = value("", longest=40, erased="")


@dataclass(frozen=True)
class Visit(Surroundings):
    """One visit: where it is held, and what is said of the day."""

    awaited: str = value("", longest=40, erased="", help="A contender that is not here yet.")
    day: DayKind = value(
        DayKind.USUAL, longest=5, help="That everything flies today, or nothing does, as the fitter said."
    )


@dataclass(frozen=True)
class RunAsked:
    """What the player is asked for."""

    protocol: str = value(FULL_SWING, longest=20, help="What the player is asked to do.")
    intent: Intent = value(Intent.STOCK, longest=8)
    lie: Lie | None = value(None, longest=12, help="What is hit from; empty: as the surface says.")
    place: str = value("", longest=12, help="What a sole test plays; empty: nothing, or another test.")
    swing: int = value(1, help="Goes up when the player is told to swing otherwise: only shots since then count.")
    length: str = value(FULL, longest=14, help="How long the swing is.")
    struck_ball: Ball = value(Ball.OWN, longest=6)
    wind_mps: float = value(0.0)
    wind_from_deg: float = value(0.0, help="0 against the shot, 90 from the right.")
    tee_mm: int | None = value(
        None,
        say("field-tee-mm"),
        least=0,
        most=MOST_TEE_MM,
        range_words=say("run-tee-so-high", most=club_length(MOST_TEE_MM / 1000)),
        help="Height of the tee; null: not said.",
    )
    asked_carry_m: float | None = value(None, help="The carry that is asked for; null: none.")
    gripped_in: float = value(0.0, help="How far the club is gripped down.")


# Set by what is taken up: a club, a test, a lie; all else of a run is said by itself.
TAKEN_UP = ("protocol", "intent", "lie", "place", "swing")
SAID_OF_A_RUN = tuple(each.name for each in fields(RunAsked) if each.name not in TAKEN_UP)


def said_of_run(asked: RunAsked, said: Mapping[str, Any], *, indoor: bool) -> RunAsked:
    """What is asked for once something more was said of it, by field; nought of a tee or a carry is nothing said.
    Raises BadInput for what nobody hits, with the field."""
    other = next((name for name in said if name not in SAID_OF_A_RUN), None)
    if other is not None:
        raise BadInput(say("run-not-set-here"), field=other)
    given = dict(said)
    for name in ("tee_mm", "asked_carry_m"):
        if name in given:
            given[name] = given[name] or None
    made = replace(asked, **given)
    check(made)
    swing_length(made.length)
    if made.wind_mps and indoor:
        raise BadInput(say("run-no-wind-indoors"), field="wind_mps")
    check_wind(made.wind_mps, made.wind_from_deg)
    check_asked(made.asked_carry_m)
    check_grip(made.gripped_in)
    return made


@dataclass(frozen=True)
class HitIn(RunAsked, Surroundings):
    """What a run of shots was hit in, and what was asked for."""

    @property
    def air(self) -> Air:
        """That it flew in, with the wind."""
        return Air(
            altitude_m=self.altitude_m,
            temperature_c=self.temperature_c,
            wind_mps=self.wind_mps,
            wind_from_deg=self.wind_from_deg,
        )
