"""Which heads and settings on the rack should land in the window, ranked, with how sure that is."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

import numpy as np
from scipy.special import ndtr

from ..bag import HeadType
from ..thresholds import DEFAULT, Thresholds
from ..units import mph, yards, yd_text
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
    asked. supported: False when the ball is too slow for this kind of head."""

    offer: Offer
    turn_deg: float
    expected: Expected
    chance: float
    supported: bool
    sentence: str


def shortlist(
    offers: Sequence[Offer],
    expectation: Expectation,
    *,
    windows: Mapping[HeadType, tuple[float, float]],
    holds_deg: float | None = None,
    thresholds: Thresholds = DEFAULT,
) -> list[Ranked]:
    """Rank every offer for the carry window of its kind, low and high in metres, and a landing angle to reach, None
    for none.

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
        low, high = windows[offer.head.head_type]
        rows.setdefault(offer.head.key, []).append(_row(offer, turn, each, low, high, holds_deg, thresholds))
    best = [_best_setting(each) for each in rows.values()]
    return sorted(best, key=lambda row: (not row.supported, -round(row.chance, 2), row.offer.price, row.offer.name))


def _turns(offer: Offer) -> list[float]:
    reach = int(offer.sleeve_deg)
    return sorted((float(turn) for turn in range(-reach, reach + 1)), key=lambda turn: (abs(turn), turn))


def _row(
    offer: Offer, turn: float, each: Expected, low: float, high: float, holds: float | None, thresholds: Thresholds
) -> Ranked:
    inside = float(ndtr((high - each.carry_m) / each.carry_sd_m) - ndtr((low - each.carry_m) / each.carry_sd_m))
    steep = 1.0
    if holds is not None and each.landing_deg is not None and each.landing_sd_deg:
        steep = float(ndtr((each.landing_deg - holds) / each.landing_sd_deg))
    supported = _supported(each, holds, thresholds)
    return Ranked(offer, turn, each, inside * steep, supported, _sentence(offer, each, low, high, holds, supported))


def _supported(each: Expected, holds: float | None, thresholds: Thresholds) -> bool:
    """False when even the upper end of 80% of its landing lies under the line: the speed does not hold it up."""
    if each.landing_deg is None or each.landing_sd_deg is None:
        return True
    return each.landing_deg + UPPER_80 * each.landing_sd_deg >= (thresholds.flat_deg if holds is None else holds)


def _best_setting(rows: Sequence[Ranked]) -> Ranked:
    top = max(row.chance for row in rows)
    worth = [row for row in rows if row.chance >= top - TURN_WORTH]
    return min(worth, key=lambda row: (abs(row.turn_deg), -row.chance))


def _sentence(offer: Offer, each: Expected, low: float, high: float, holds: float | None, supported: bool) -> str:
    if not supported:
        assert each.ball_speed_mps is not None
        assert each.landing_deg is not None
        return (
            f"Not supported by this speed: {mph(each.ball_speed_mps):.0f} mph off the face comes down at "
            f"{each.landing_deg:.0f}°."
        )
    if each.carry_m < low:
        carry = f"{yards(low - each.carry_m):.0f} yd short of the window"
    elif each.carry_m > high:
        carry = f"{yards(each.carry_m - high):.0f} yd past the window"
    else:
        carry = f"in the window at {yd_text(each.carry_m)}"
    if holds is None or each.landing_deg is None:
        return f"Should be {carry}."
    off = each.landing_deg - holds
    flight = "and lands as asked" if off >= 0 else f"but lands {-off:.0f}° flatter than asked"
    if round(-off) == 0:
        flight = "and lands about as asked"
    return f"Should be {carry} {flight}."


def usual_length_m(head_type: HeadType, loft_deg: float) -> float:
    """The length heads of a type and loft are built to, metres."""
    inches, at, step = {
        HeadType.FAIRWAY: (42.0, 21.0, 1 / 6), HeadType.HYBRID: (40.0, 22.0, 1 / 6),
        HeadType.UTILITY: (39.25, 22.0, 1 / 6), HeadType.IRON: (38.5, 23.0, 1 / 7),
    }[head_type]  # fmt: skip
    return float(np.clip(inches - (loft_deg - at) * step, 35, 44)) * 0.0254
