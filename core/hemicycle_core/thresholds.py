"""Where one verdict ends and the next begins: data, each with its reason, that a shop can change."""

from __future__ import annotations

import re
from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field, fields, replace
from typing import Any

from .errors import BadInput
from .said import Form, Said, far, number, say, term
from .units import metres


def _said(default: Any, unit: str, low: float, high: float) -> Any:
    return field(default=default, metadata={"unit": unit, "low": low, "high": high})


# Between which yards the shots of a round are told that are neither driver nor putt, for one who drives 210 yd.
ROUND_BANDS = ((30.0, 100.0), (100.0, 150.0), (150.0, 200.0), (200.0, 240.0))
ROUND_DRIVE_M = metres(210)
MOST_ROUND = 30
LEAST_STROKE, MOST_STROKE = 200, 1_000_000  # of the price of a stroke


def _round(usual: float) -> Any:
    return _said(float(usual), "shots a round", 0, MOST_ROUND)


@dataclass(frozen=True)
class Thresholds:
    """Chances as shares of 1, lengths in metres, angles in degrees, speeds in mph, gains in shots a round."""

    least_shots: int = _said(3, "shots", 2, 10)
    sure: float = _said(0.80, "chance", 0.5, 0.99)
    likely: float = _said(0.50, "chance", 0.2, 0.9)
    too_flat_deg: float = _said(4.0, "°", 1, 10)
    after_turn: float = _said(0.60, "chance", 0.3, 0.95)
    one_head_m: float = _said(metres(12), "yd", 4, 30)
    better: float = _said(0.80, "chance", 0.5, 0.99)
    least_gain: float = _said(0.12, "strokes a round", 0, 1)
    flat_deg: float = _said(40.0, "°", 30, 50)
    stop_at: float = _said(0.90, "chance", 0.6, 0.99)
    stop_gain: float = _said(0.001, "strokes", 0, 0.05)
    most_shots: int = _said(20, "shots", 5, 60)
    stretch_long: float = _said(0.15, "share", 0, 0.5)
    stretch_short: float = _said(0.10, "share", 0, 0.5)
    same_carry_m: float = _said(metres(2), "yd", 0, 10)
    same_landing_deg: float = _said(0.5, "°", 0, 3)
    same_spin_rpm: float = _said(100.0, "rpm", 0, 1000)
    same_peak_m: float = _said(metres(1), "yd", 0, 5)
    level_strokes: float = _said(0.1, "strokes a round", 0, 1)
    stroke_price: float = _said(8000.0, "money", LEAST_STROKE, MOST_STROKE)
    round_30: float = _round(6)
    round_100: float = _round(6)
    round_150: float = _round(5)
    round_200: float = _round(3)
    turns_deg: tuple[float, ...] = (1.0, -1.0, 2.0, -2.0)  # what common sleeves offer, the smallest first

    @property
    def round_shots(self) -> tuple[float, ...]:
        """Shots a round in each of `ROUND_BANDS`."""
        return (self.round_30, self.round_100, self.round_150, self.round_200)

    def of_customer(self, stroke_price: float | None, round_shots: Sequence[float]) -> Thresholds:
        """With what one customer's brief says: what a stroke is worth, None for no other, and the shots of a round in
        each of `ROUND_BANDS`, empty for no other."""
        price = self.stroke_price if stroke_price is None else float(stroke_price)
        pitch, wedge, iron, long = map(float, round_shots or self.round_shots)
        return replace(self, stroke_price=price, round_30=pitch, round_100=wedge, round_150=iron, round_200=long)

    def same(self, quantity: str) -> float:
        """Differences under this are the same, whatever the number of shots; 0 for what has no such line."""
        found: float = getattr(self, f"same_{quantity}", 0.0)
        return found


DEFAULT = Thresholds()
RETIRED = frozenset(
    {"utility_mph", "iron_mph", "level", "least_share", "level_shots", "level_sure"}
)  # what shops and agreed sessions may still have on record


@dataclass(frozen=True)
class Setting:
    """One threshold as a shop sees it; low, high: between which it may lie. All in `unit`, lengths in yards."""

    key: str
    label: Said
    why: Said
    unit: str
    value: float
    usual: float
    low: float
    high: float


def _label(key: str) -> Said:
    band = re.fullmatch(r"round_(\d+)", key)
    if band is None:
        return term("threshold", key)
    low, high = next(each for each in ROUND_BANDS if each[0] == float(band[1]))
    return say("threshold-of-a-round", low=far(metres(low)), high=far(metres(high)))


def _why(key: str) -> Said:
    if key.startswith("round_"):
        return say("why-threshold-of-a-round", drive=far(ROUND_DRIVE_M))
    return term("why-threshold", key)


def _shown(value: float, unit: str) -> float:
    return value / metres(1) if unit == "yd" else float(value)


def settings_of(thresholds: Thresholds = DEFAULT) -> list[Setting]:
    """Every threshold that can be changed, in the order of the verdicts."""
    return [
        Setting(
            key=each.name,
            label=_label(each.name),
            why=_why(each.name),
            unit=each.metadata["unit"],
            value=_shown(getattr(thresholds, each.name), each.metadata["unit"]),
            usual=_shown(each.default, each.metadata["unit"]),  # type: ignore[arg-type]
            low=each.metadata["low"],
            high=each.metadata["high"],
        )
        for each in fields(Thresholds)
        if each.metadata
    ]


def changed(values: Mapping[str, float]) -> Thresholds:
    """The thresholds with some changed, in the units of `settings_of`. Raises BadInput for one that makes no sense."""
    known = {setting.key: setting for setting in settings_of()}
    given: dict[str, Any] = {}
    for key, value in values.items():
        if key in RETIRED:
            continue
        setting = known.get(key)
        if setting is None:
            raise BadInput(say("threshold-there-is-no", key=key), field=key)
        if not setting.low <= value <= setting.high:
            low, high = (number(each, form=Form.SHORT) for each in (setting.low, setting.high))
            raise BadInput(
                say("threshold-between", label=setting.label, low=low, high=high, unit=setting.unit), field=key
            )
        given[key] = metres(value) if setting.unit == "yd" else int(value) if setting.unit == "shots" else value
    made = replace(DEFAULT, **given)
    if made.likely > made.sure:
        raise BadInput(say("threshold-may-asks-more-than-sure"), field="likely")
    return made
