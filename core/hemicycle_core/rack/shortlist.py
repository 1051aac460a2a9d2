"""Which heads and settings on the rack should land in the window, ranked, with how sure that is."""

from __future__ import annotations

from collections.abc import Callable, Mapping, Sequence
from dataclasses import dataclass

import numpy as np
from scipy.special import ndtr

from ..bag import HeadType
from ..bag.clubs import WEDGE_INCHES
from ..brief import Target
from ..thresholds import DEFAULT, Thresholds
from ..units import METRES_PER_INCH, feet, mph, yards, yd_text
from .expected import Expectation, Expected
from .lofts import Head

TURN_WORTH = 0.05  # chance gained by a turn of the sleeve: less, and the stated loft is put first
LIKELY, POSSIBLE = 0.45, 0.15
UPPER_80 = 1.2816  # the upper end of 80% of a normal figure


@dataclass(frozen=True)
class Offer:
    """A head that can be had for this player, at its standard length. sleeve_deg: how far it turns either way."""

    head: Head
    name: str
    sleeve_deg: float = 0.0
    price: float = 0.0


@dataclass(frozen=True)
class Ranked:
    """An offer in its best setting. turn_deg: from the stated loft. chance: to carry into the window and land as
    asked, None where nothing is asked. supported: False when the ball is too slow for this kind of head."""

    offer: Offer
    turn_deg: float
    expected: Expected
    chance: float | None
    supported: bool
    sentence: str


def shortlist(
    offers: Sequence[Offer],
    expectation: Expectation,
    *,
    windows: Mapping[HeadType, tuple[float, float]] | None,
    holds_deg: float | None = None,
    demands: Sequence[Target] = (),
    thresholds: Thresholds = DEFAULT,
) -> list[Ranked]:
    """Rank every offer for the carry window of its kind, low and high in metres, and a landing angle to reach, None
    for none. windows: None where no carry is asked. demands: what is asked of the flight or the total beside it.

    Empty when fewer than two of the player's clubs are known.
    """
    settings = [(offer, turn) for offer in offers for turn in _turns(offer)]
    heads = [
        Head(offer.head.key, offer.head.head_type, offer.head.loft_deg + turn, offer.head.length_m)
        for offer, turn in settings
    ]
    expected = expectation.of(heads)
    if not expected:
        return []
    rows: dict[str, list[Ranked]] = {}
    for (offer, turn), each in zip(settings, expected, strict=True):
        window = None if windows is None else windows[offer.head.head_type]
        rows.setdefault(offer.head.key, []).append(_row(offer, turn, each, window, holds_deg, demands, thresholds))
    best = [_best_setting(each) for each in rows.values()]
    if windows is None and not demands:
        return sorted(best, key=lambda row: (not row.supported, -row.expected.carry_m, row.offer.name))
    return sorted(
        best, key=lambda row: (not row.supported, -round(row.chance or 0.0, 2), row.offer.price, row.offer.name)
    )


def _turns(offer: Offer) -> list[float]:
    reach = int(offer.sleeve_deg)
    return sorted((float(turn) for turn in range(-reach, reach + 1)), key=lambda turn: (abs(turn), turn))


def _row(
    offer: Offer,
    turn: float,
    each: Expected,
    window: tuple[float, float] | None,
    holds: float | None,
    demands: Sequence[Target],
    thresholds: Thresholds,
) -> Ranked:
    chance = 1.0
    if window is not None:
        low, high = window
        chance *= float(ndtr((high - each.carry_m) / each.carry_sd_m) - ndtr((low - each.carry_m) / each.carry_sd_m))
    if holds is not None and each.landing_deg is not None and each.landing_sd_deg:
        chance *= float(ndtr((each.landing_deg - holds) / each.landing_sd_deg))
    for demand in demands:
        chance *= _met(each, demand)
    supported = window is None or _supported(each, holds, thresholds)
    asked = window is not None or bool(demands)
    said = _sentence(offer, each, window, holds, demands, supported)
    return Ranked(offer, turn, each, chance if asked else None, supported, said)


SPIN_SD = 0.08  # of its size: what is not known of the spin of a head not hit


def _flies(each: Expected, quantity: str) -> tuple[float, float] | None:
    """What a head should do of one reading, with one standard deviation; None where nothing can be said."""
    known = {
        "peak_m": (each.peak_m, each.peak_sd_m),
        "landing_deg": (each.landing_deg, each.landing_sd_deg),
        "spin_rpm": (each.spin_rpm, None if each.spin_rpm is None else SPIN_SD * each.spin_rpm),
        "total_m": (None if each.roll_m is None else each.carry_m + each.roll_m, each.carry_sd_m),
    }
    mean, sd = known.get(quantity, (None, None))
    return None if mean is None or not sd else (mean, sd)


def _met(each: Expected, demand: Target) -> float:
    """The chance that a demand is met; one that nothing can be said of changes nothing."""
    found = _flies(each, demand.quantity)
    if found is None:
        return 1.0
    return demand.chance(*found)


def _supported(each: Expected, holds: float | None, thresholds: Thresholds) -> bool:
    """False when even the upper end of 80% of its landing lies under the line: the speed does not hold it up."""
    if each.landing_deg is None or each.landing_sd_deg is None:
        return True
    return each.landing_deg + UPPER_80 * each.landing_sd_deg >= (thresholds.flat_deg if holds is None else holds)


def _best_setting(rows: Sequence[Ranked]) -> Ranked:
    top = max(row.chance or 0.0 for row in rows)
    worth = [row for row in rows if (row.chance or 0.0) >= top - TURN_WORTH]
    return min(worth, key=lambda row: (abs(row.turn_deg), -(row.chance or 0.0)))


def _sentence(
    offer: Offer,
    each: Expected,
    window: tuple[float, float] | None,
    holds: float | None,
    demands: Sequence[Target],
    supported: bool,
) -> str:
    if not supported:
        assert each.ball_speed_mps is not None
        assert each.landing_deg is not None
        return (
            f"Not supported by this speed: {mph(each.ball_speed_mps):.0f} mph off the face comes down at "
            f"{each.landing_deg:.0f}°."
        )
    if window is None:
        stops = "" if each.roll_m is None else f" and stop at {yd_text(each.carry_m + each.roll_m)}"
        words = f"Should carry {yd_text(each.carry_m)}{stops}"
    else:
        words = f"Should be {_carry_words(each.carry_m, *window)}"
    if holds is not None and each.landing_deg is not None:
        off = each.landing_deg - holds
        flight = "and lands as asked" if off >= 0 else f"but lands {-off:.0f}° flatter than asked"
        words += f" {'and lands about as asked' if round(-off) == 0 else flight}"
    missed = [said for demand in demands if (said := _missed(each, demand))]
    return f"{words}{', but ' + ' and '.join(missed) if missed else ''}."


def _carry_words(carry_m: float, low: float, high: float) -> str:
    if carry_m < low:
        return f"{yards(low - carry_m):.0f} yd short of the window"
    if carry_m > high:
        return f"{yards(carry_m - high):.0f} yd past the window"
    return f"in the window at {yd_text(carry_m)}"


# By reading: how far a head misses what is asked, below it and above it.
MISSES: dict[str, tuple[Callable[[float], str], str, str]] = {
    "peak_m": (lambda by: f"{feet(by):.0f} ft", "too low", "too high"),
    "landing_deg": (lambda by: f"{by:.0f}°", "too flat", "too steep"),
    "spin_rpm": (lambda by: f"{round(by, -1):.0f} rpm", "short of the spin", "over the spin"),
    "total_m": (lambda by: f"{yards(by):.0f} yd", "short of it", "past it"),
}


def _missed(each: Expected, demand: Target) -> str:
    found = _flies(each, demand.quantity)
    if found is None:
        return ""
    shown, under, over = MISSES[demand.quantity]
    if demand.low is not None and found[0] < demand.low:
        return f"{shown(demand.low - found[0])} {under}"
    if demand.high is not None and found[0] > demand.high:
        return f"{shown(found[0] - demand.high)} {over}"
    return ""


def usual_length_m(head_type: HeadType, loft_deg: float) -> float:
    """The length heads of a type and loft are built to, metres."""
    inches, at, step = {
        HeadType.DRIVER: (45.5, 10.5, 0.0), HeadType.WEDGE: (WEDGE_INCHES, 50.0, 0.0),
        HeadType.FAIRWAY: (42.0, 21.0, 1 / 6), HeadType.HYBRID: (40.0, 22.0, 1 / 6),
        HeadType.UTILITY: (39.25, 22.0, 1 / 6), HeadType.IRON: (38.5, 23.0, 1 / 7),
    }[head_type]  # fmt: skip
    return float(np.clip(inches - (loft_deg - at) * step, 35, 46)) * METRES_PER_INCH
