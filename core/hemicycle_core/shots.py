"""A shot: what was measured, what was computed, and the filling of blanks.

`Reading` names every quantity once with its unit, the header that files use and its sensible range.
"""

from __future__ import annotations

from collections.abc import Callable, Iterable, Mapping, Sequence
from dataclasses import dataclass, field, replace
from enum import StrEnum

import numpy as np
from numpy.typing import NDArray

from .errors import BadInput
from .flight import FAIRWAY, Air, Anchor, Firmness, Launch, anchor, fly, run_out
from .flight.anchor import LEAST_TO_ANCHOR_M
from .impact import Lie
from .kept import OnlyFields, lazily
from .said import Form, Quantity, Said, Sayable, angle, far, high, joined, say, seconds, speed, spin, term
from .units import Quantity as Measured


class Source(StrEnum):
    """Where a number comes from; the three are never mixed."""

    MEASURED = "measured"  # by the monitor
    MODELLED = "modelled"  # by the monitor's own flight model
    COMPUTED = "computed"  # by Hemicycle


TRUST = (Source.MEASURED, Source.MODELLED, Source.COMPUTED)


def least_trusted(shots: Iterable[Mapping[str, Source]]) -> dict[str, Source]:
    """Of each reading the least trusted source it has in some shots; what is read over them is no better known."""
    worst: dict[str, Source] = {}
    for sources in shots:
        for key, source in sources.items():
            worst[key] = max(source, worst.get(key, source), key=TRUST.index)
    return worst


@dataclass(frozen=True)
class Reading:
    """One quantity of a shot in canonical units, with the range outside which it is questioned. shown: the suffix of
    the unit a fitter reads it in (`units.UNITS`), with so many digits."""

    key: str
    quantity: Measured
    low: float
    high: float
    shown: str
    digits: int = 0

    @property
    def label(self) -> Said:
        return term("reading", self.key)

    def said(self, value: float) -> Quantity:
        """A value of it for a sentence, with the digits it has."""
        return KIND[self.shown](value, form=Form.SHORT)


KIND: dict[str, Callable[..., Quantity]] = {
    "mph": speed, "deg": angle, "rpm": spin, "yd": far, "ft": high, "s": seconds,
}  # fmt: skip


READINGS: dict[str, Reading] = {
    reading.key: reading
    for reading in (
        Reading("club_speed_mps", Measured.SPEED, 10, 70, "mph", 1),
        Reading("ball_speed_mps", Measured.SPEED, 5, 95, "mph", 1),
        Reading("launch_deg", Measured.ANGLE, -10, 70, "deg", 1),
        Reading("direction_deg", Measured.ANGLE, -45, 45, "deg", 1),
        Reading("spin_rpm", Measured.SPIN, 0, 15_000, "rpm"),
        Reading("axis_deg", Measured.ANGLE, -80, 80, "deg"),
        Reading("attack_deg", Measured.ANGLE, -20, 20, "deg", 1),
        Reading("path_deg", Measured.ANGLE, -30, 30, "deg", 1),
        Reading("face_deg", Measured.ANGLE, -30, 30, "deg", 1),
        Reading("dynamic_loft_deg", Measured.ANGLE, -5, 80, "deg", 1),
        Reading("carry_m", Measured.LENGTH, 0, 340, "yd"),
        Reading("total_m", Measured.LENGTH, 0, 400, "yd"),
        Reading("offline_m", Measured.LENGTH, -150, 150, "yd"),
        Reading("peak_m", Measured.LENGTH, 0, 80, "ft"),
        Reading("landing_deg", Measured.ANGLE, 0, 90, "deg"),
        Reading("hang_s", Measured.TIME, 0, 15, "s", 1),
    )
}

# What a monitor that sees only impact works out with a flight model of its own, on its own turf.
FLIGHT_READINGS = ("carry_m", "total_m", "offline_m", "peak_m", "landing_deg", "hang_s")
COMPUTABLE = FLIGHT_READINGS
LAUNCH = ("ball_speed_mps", "launch_deg", "spin_rpm")
LINE = ("direction_deg", "axis_deg")  # without both nothing is known of where a ball comes down sideways


class Strike(StrEnum):
    """Where or how the ball was met, as measured or called by the fitter."""

    TOE = "toe"
    HEEL = "heel"
    HIGH = "high"
    LOW = "low"
    THIN = "thin"
    FAT = "fat"


class Intent(StrEnum):
    """What the player meant to hit; only stock shots say what the club does by itself."""

    STOCK = "stock"
    LOW = "low"
    HIGH = "high"
    DRAW = "draw"
    FADE = "fade"
    EASED = "eased"
    HARD = "hard"
    YARDAGE = "yardage"  # to carry so far, however it is swung


# What a full shot of a club is hit from; from elsewhere a shot says what that lie does, not what the club does.
CLEAN_LIES = frozenset({Lie.MAT, Lie.TEE, Lie.FAIRWAY})

FULL_SWING = "full_swing"  # the protocol of stock shots; the others are in `protocols`
PART_SWING = "part_swing"  # what is hit full for the distance card is a stock shot too
STOCK_IN = frozenset({FULL_SWING, PART_SWING})
# Tests of short shots: nothing that is hit in them is a carry of its club, or a swing of its card.
SHORT_TESTS = frozenset({"stop", "grooves", "sole"})


@dataclass(frozen=True)
class Shot(OnlyFields):
    """One shot in canonical units (`READINGS`), each value with its source. aside: set aside by the fitter. void:
    readings that do not count, as the line of a shot that was good for distance; misread: the monitor's error, not
    a shot. protocol: the key of the one it was hit in. lie: where it was said. old_swing: hit before the player was
    told to swing otherwise. apart: why it is no stock shot of its club otherwise, as another swing or ball. swing: how
    long it was; part: not the stock one of its club. asked_m: the carry that was asked for, where one was. order: its
    place among all shots of the session, whatever club they were hit with; None where that is not known."""

    values: Mapping[str, float]
    sources: Mapping[str, Source] = field(default_factory=dict)
    aside: bool = False
    strike: Strike | None = None
    void: frozenset[str] = frozenset()
    intent: Intent = Intent.STOCK
    misread: bool = False
    protocol: str = FULL_SWING
    lie: Lie | None = None
    old_swing: bool = False
    apart: Sayable = ""
    swing: str = "full"
    part: bool = False
    asked_m: float | None = None
    order: int | None = None

    def get(self, key: str) -> float | None:
        return None if key in self.void else self.values.get(key)

    @lazily
    def counts(self) -> bool:
        """Whether it says anything of the club's stock swing."""
        return self.stock and not self.old_swing

    @lazily
    def stock(self) -> bool:
        """Whether it was a stock swing from a clean lie, with the swing of now or the one before."""
        stock = self.protocol in STOCK_IN and self.intent is Intent.STOCK
        return stock and self.clean and not self.misread and not self.apart

    @property
    def of_part_swing(self) -> bool:
        """Whether it says what a swing of its club does that is not its stock one: kept, clean, of no short test."""
        asked = self.part and self.intent in (Intent.STOCK, Intent.EASED) and self.protocol not in SHORT_TESTS
        return asked and self.clean and not (self.aside or self.misread or self.old_swing)

    @property
    def clean(self) -> bool:
        """Whether it was hit from where a full shot is hit from, as far as was said."""
        return self.lie is None or self.lie in CLEAN_LIES

    def shows(self, intent: Intent) -> bool:
        """Whether it says what comes of asking for this: kept, from a clean lie, with the swing of now."""
        good = not (self.aside or self.misread or self.old_swing or self.apart)
        return self.intent is intent and self.clean and good

    @property
    def speaks_for_carry(self) -> bool:
        """Whether its distance is one of those that the club's carry is made from."""
        return self.kept and "carry_m" not in self.void

    @lazily
    def kept(self) -> bool:
        """Whether it counts and was not set aside: what averages, patterns and predictions are made from."""
        return self.counts and not self.aside


MOST_BACK_M = 25.0  # a wedge that spins back


def check_read_off(values: Mapping[str, float]) -> None:
    """Raise BadInput for a shot that was read off a screen otherwise than a screen shows one: metres, no carry, or a
    total that lies further behind it than a ball spins back."""
    carry, total = values.get("carry_m"), values.get("total_m")
    if not carry:
        raise BadInput(say("shot-type-the-carry"), field="carry_m")
    if total is not None and total < carry - MOST_BACK_M:
        raise BadInput(say("shot-total-behind-carry"), field="total_m")


def check_readings(values: Mapping[str, float]) -> None:
    """Raise BadInput for the first reading that no golf shot can have. Zero speed means no shot."""
    for key, value in values.items():
        reading = READINGS.get(key)
        if reading is None:
            raise BadInput(say("shot-no-such-reading", key=key), field=key)
        if not np.isfinite(value) or not reading.low <= value <= reading.high:
            raise BadInput(
                say(
                    "shot-reading-of-no-golf-shot",
                    what=reading.label,
                    value=reading.said(value),
                    low=reading.said(reading.low),
                    high=reading.said(reading.high),
                ),
                field=key,
            )
    if "carry_m" not in values and not {"ball_speed_mps", "launch_deg", "spin_rpm"} <= values.keys():
        raise BadInput(say("shot-needs-a-carry"), field="carry_m")
    total, carry = values.get("total_m"), values.get("carry_m")
    if total is not None and carry is not None and total < carry - 15:
        raise BadInput(say("shot-total-well-under-carry"), field="total_m")


def fill_blanks(
    shots: Sequence[Mapping[str, float]],
    *,
    air: Air | None = None,
    turf: Firmness = Firmness.MEDIUM,
) -> list[dict[str, float]]:
    """What the monitor left blank, computed from each shot's own launch; one dict a shot, blanks only.

    Shots without ball speed, launch and spin get nothing; where direction or spin axis was not read, nothing says where
    it came down sideways, and offline stays unread. A computed total is the shot's own carry,
    measured where there is one, plus the computed run-out on `turf`.
    """
    filled: list[dict[str, float]] = [{} for _ in shots]
    able = [i for i, shot in enumerate(shots) if shot.keys() >= set(LAUNCH) and not shot.keys() >= set(COMPUTABLE)]
    if not able:
        return filled

    def column(key: str) -> list[float]:
        return [shots[i].get(key, 0.0) for i in able]

    flight = fly(
        Launch(
            column("ball_speed_mps"),
            column("launch_deg"),
            column("spin_rpm"),
            column("direction_deg"),
            column("axis_deg"),
        ),
        air=air,
    )
    run = run_out(flight.landing_speed_mps, flight.landing_deg, flight.landing_spin_rpm, FAIRWAY[turf]).run_m
    for row, i in enumerate(able):
        shot = shots[i]
        carry = shot.get("carry_m", float(flight.carry_m[row]))
        computed = {
            "carry_m": carry,
            "total_m": carry + float(run[row]),
            "offline_m": float(flight.offline_m[row]),
            "peak_m": float(flight.peak_m[row]),
            "landing_deg": float(flight.landing_deg[row]),
            "hang_s": float(flight.hang_s[row]),
        }
        unread = set() if shot.keys() >= set(LINE) else {"offline_m"}
        filled[i] = {key: value for key, value in computed.items() if key not in shot and key not in unread}
    return filled


def columns_of(shots: Sequence[Shot], keys: Sequence[str]) -> dict[str, NDArray[np.float64]]:
    """Readings of n shots as arrays (n,), NaN where a shot has none."""

    def column(key: str) -> list[float]:
        return [np.nan if (value := shot.get(key)) is None else value for shot in shots]

    return {key: np.array(column(key), dtype=float) for key in keys}


def anchor_to(shots: Sequence[Shot], airs: Sequence[Air]) -> Anchor:
    """The flight model tied to a session's own flights. airs: the air each shot flew in.

    Kept shots with a launch and a carry that our model did not make; struck off centre, or meant low or high, they
    still fly as launched, while a misread flew otherwise than it says; one of a few metres says nothing of flight and
    is left out, which the anchor's sentence says. Where any carry was measured only those count; where the monitor
    modelled them all, the anchor says so and is not trusted.
    """
    flew = [
        (shot, air)
        for shot, air in zip(shots, airs, strict=True)
        if not (shot.aside or shot.misread or shot.apart)
        and all(shot.get(key) is not None for key in LAUNCH)
        and (shot.get("carry_m") or 0.0) > LEAST_TO_ANCHOR_M
        and shot.sources.get("carry_m", Source.MEASURED) is not Source.COMPUTED
    ]
    measured = [row for row in flew if row[0].sources.get("carry_m", Source.MEASURED) is Source.MEASURED]
    chosen = measured or flew
    short = sum(0.0 < (shot.get("carry_m") or 0.0) <= LEAST_TO_ANCHOR_M for shot in shots if shot.kept)
    if not chosen:
        return _saying(Anchor(), short)
    seen = columns_of(
        [shot for shot, _ in chosen], (*LAUNCH, "direction_deg", "axis_deg", "carry_m", "peak_m", "landing_deg")
    )
    ours = {
        key: np.array([shot.sources.get(key) is Source.COMPUTED for shot, _ in chosen])
        for key in ("peak_m", "landing_deg")
    }
    found = anchor(
        Launch(
            seen["ball_speed_mps"],
            seen["launch_deg"],
            seen["spin_rpm"],
            np.nan_to_num(seen["direction_deg"]),
            np.nan_to_num(seen["axis_deg"]),
        ),
        seen["carry_m"],
        np.where(ours["peak_m"], np.nan, seen["peak_m"]),
        np.where(ours["landing_deg"], np.nan, seen["landing_deg"]),
        air=[air for _, air in chosen],
        measured=bool(measured),
    )
    return _saying(found, short)


def _saying(found: Anchor, short: int) -> Anchor:
    if not short:
        return found
    return replace(found, sentence=joined([found.sentence, say("shot-short-ones-left-out", n=short)]))
