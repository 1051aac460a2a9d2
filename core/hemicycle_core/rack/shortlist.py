"""Which heads and settings on the rack should land in the window, ranked, with how sure that is."""

from __future__ import annotations

from collections.abc import Callable, Mapping, Sequence
from dataclasses import dataclass

from scipy.special import ndtr

from ..bag import HeadType
from ..brief import Target
from ..estimate import UNREAD, UPPER_80
from ..said import NOTHING, Quantity, Said, angle, far, high, say, speed, spin, with_and
from ..thresholds import DEFAULT, Thresholds
from ..units import metres, outside, whole
from .expected import Expectation, Expected
from .lofts import LoftedHead

TURN_WORTH = 0.05  # chance gained by a turn of the sleeve: less, and the stated loft is put first
LIKELY, POSSIBLE = 0.45, 0.15


@dataclass(frozen=True)
class Offer:
    """A head that can be had for this player, at its standard length. sleeve_deg: how far it turns either way."""

    head: LoftedHead
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
    sentence: Said


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
        LoftedHead(offer.head.key, offer.head.head_type, offer.head.loft_deg + turn, offer.head.length_m)
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
    if holds is not None:
        chance *= _met(each, Target("landing_deg", holds, None, NOTHING))
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
    """The chance that a demand is met."""
    found = _flies(each, demand.quantity)
    return UNREAD if found is None else demand.chance(*found)


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
) -> Said:
    if not supported:
        assert each.ball_speed_mps is not None
        assert each.landing_deg is not None
        return say("rack-not-supported", ball_speed=speed(each.ball_speed_mps), landing=angle(each.landing_deg))
    if window is None:
        stops = far(each.carry_m + (each.roll_m or 0.0))
        words = say("rack-should-carry", carry=far(each.carry_m), rolls=each.roll_m is not None, stops=stops)
    else:
        words = _carry_words(each.carry_m, *window)
    how, flatter = "nothing", 0.0
    if holds is not None and each.landing_deg is not None:
        off = each.landing_deg - holds
        how, flatter = "about" if not whole(off) else "as-asked" if off >= 0 else "flatter", abs(off)
    elif holds is not None:
        how = "unknown"
    missed = with_and(said for demand in demands if (said := _missed(each, demand)))
    return say("rack-should-do", carries=words, how=how, flatter=angle(flatter), misses=bool(missed), missed=missed)


def _carry_words(carry_m: float, low: float, high: float) -> Said:
    off = outside(carry_m, low, high)
    if off:
        return say("rack-should-be-outside", off=far(metres(abs(off))), short=off < 0)
    return say("rack-should-be-inside", carry=far(carry_m))


# By reading: how far a head misses what is asked, below it and above it.
MISSES: dict[str, Callable[[float], Quantity]] = {
    "peak_m": high,
    "landing_deg": angle,
    "spin_rpm": lambda by: spin(by, -1),
    "total_m": far,
}


def _missed(each: Expected, demand: Target) -> Said:
    found = _flies(each, demand.quantity)
    if found is None:
        return NOTHING
    shown = MISSES[demand.quantity]
    if demand.low is not None and found[0] < demand.low:
        return say("rack-misses", by=shown(demand.low - found[0]), what=demand.quantity, under=True)
    if demand.high is not None and found[0] > demand.high:
        return say("rack-misses", by=shown(found[0] - demand.high), what=demand.quantity, under=False)
    return NOTHING
