"""Where one verdict ends and the next begins: data, each with its reason, that a shop can change."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field, fields, replace
from typing import Any

from .errors import BadInput
from .units import metres


def _said(default: Any, label: str, why: str, unit: str, low: float, high: float) -> Any:
    return field(default=default, metadata={"label": label, "why": why, "unit": unit, "low": low, "high": high})


# Between which yards the shots of a round are told that are neither driver nor putt, for one who drives 210 yd.
ROUND_BANDS = ((30.0, 100.0), (100.0, 150.0), (150.0, 200.0), (200.0, 240.0))
MOST_ROUND = 30
LEAST_STROKE, MOST_STROKE = 200, 1_000_000  # of the price of a stroke


def _round(between: str, usual: float) -> Any:
    why = "Of one who drives 210 yd; the lengths move with the drive. By judgement; a brief may say otherwise."
    return _said(float(usual), f"Shots a round, {between}", why, "shots a round", 0, MOST_ROUND)


@dataclass(frozen=True)
class Thresholds:
    """Chances as shares of 1, lengths in metres, angles in degrees, speeds in mph, gains in shots a round."""

    least_shots: int = _said(3, "Shots before anything is said", "Fewer say nothing about a build.", "shots", 2, 10)
    sure: float = _said(0.80, "Fills the slot from", "Wrong once in five.", "chance", 0.5, 0.99)
    likely: float = _said(0.50, "May fill it from", "More likely than not.", "chance", 0.2, 0.9)
    too_flat_deg: float = _said(
        4.0, "Too flat for any turn", "A sleeve turns two degrees; no turn makes up for more than this.", "°", 1, 10
    )
    after_turn: float = _said(0.60, "A turn is worth testing from", "A test costs five shots.", "chance", 0.3, 0.95)
    one_head_m: float = _said(
        metres(12),
        "One head away up to",
        "Three or four degrees of loft, or two and half an inch.",
        "yd",
        4,
        30,
    )
    better: float = _said(
        0.80,
        "Told apart from",
        "The chance from which one build is said to save more than another, or to carry more evenly.",
        "chance",
        0.5,
        0.99,
    )
    least_gain: float = _said(
        0.12,
        "A change nobody asked for from",
        "Under one stroke in eight rounds: chance makes so much of builds that are all the same.",
        "strokes a round",
        0,
        1,
    )
    flat_deg: float = _said(
        40.0, "Flat without a job under", "Under this a long club runs through most greens.", "°", 30, 50
    )
    stop_at: float = _said(0.90, "Choice settled from", "The chance that no other is better.", "chance", 0.6, 0.99)
    stop_gain: float = _said(
        0.001,
        "Or when six more gain under",
        "Strokes a shot that six more would win, on average, by turning the choice: less is not worth hitting.",
        "strokes",
        0,
        0.05,
    )
    most_shots: int = _said(20, "Enough good shots with a build", "More tire and tell little.", "shots", 5, 60)
    stretch_long: float = _said(
        0.15, "A step may stretch, long end", "A stock swing there varies by more than this.", "share", 0, 0.5
    )
    stretch_short: float = _said(
        0.10, "A step may stretch, irons and wedges", "Wedges are played to a number.", "share", 0, 0.5
    )
    same_carry_m: float = _said(
        metres(2), "The same carry within", "A monitor reads no better, however many shots.", "yd", 0, 10
    )
    same_landing_deg: float = _said(0.5, "The same landing angle within", "A monitor reads no better.", "°", 0, 3)
    same_spin_rpm: float = _said(100.0, "The same spin within", "A monitor reads no better.", "rpm", 0, 1000)
    same_peak_m: float = _said(metres(1), "The same height within", "About three feet.", "yd", 0, 5)
    level_strokes: float = _said(
        0.1,
        "As good within",
        "Two builds this near, neither known to be better, go by trust, evenness, room, shaft and price.",
        "strokes a round",
        0,
        1,
    )
    stroke_price: float = _said(
        8000.0,
        "What a stroke a round is worth",
        "In the shop’s money: about seventy rounds a year for four years at thirty each.",
        "money",
        LEAST_STROKE,
        MOST_STROKE,
    )
    round_30: float = _round("30 to 100 yd", 6)
    round_100: float = _round("100 to 150 yd", 6)
    round_150: float = _round("150 to 200 yd", 5)
    round_200: float = _round("200 to 240 yd", 3)
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
    label: str
    why: str
    unit: str
    value: float
    usual: float
    low: float
    high: float


def _shown(value: float, unit: str) -> float:
    return value / metres(1) if unit == "yd" else float(value)


def settings_of(thresholds: Thresholds = DEFAULT) -> list[Setting]:
    """Every threshold that can be changed, in the order of the verdicts."""
    return [
        Setting(
            key=each.name,
            label=each.metadata["label"],
            why=each.metadata["why"],
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
            raise BadInput(f"There is no threshold “{key}”.", field=key)
        if not setting.low <= value <= setting.high:
            raise BadInput(f"{setting.label}: between {setting.low:g} and {setting.high:g} {setting.unit}.", field=key)
        given[key] = metres(value) if setting.unit == "yd" else int(value) if setting.unit == "shots" else value
    made = replace(DEFAULT, **given)
    if made.likely > made.sure:
        raise BadInput("“May fill it” cannot ask for more than “Fills the slot”.", field="likely")
    return made
