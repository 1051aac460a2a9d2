"""How far the averages of a build may be off because a flight model made them, not a measurement."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np

from ..flight import Air, Anchor, FlightError, Launch, anchored_error, flight_error, fly
from ..flight.error import BESIDE_NEIGHBOURS
from ..monitor import Monitor
from ..samples.averages import average, values_of
from ..shots import Shot, Source

MEASURED = Monitor()


@dataclass(frozen=True)
class Doubt:
    """One standard deviation of what is not chance in three averages: a model's part, and of a landing angle that was
    measured what the monitor reads wrong all day, as it is held against a line. 0 where they were measured."""

    carry_m: float = 0.0
    peak_m: float = 0.0
    landing_deg: float = MEASURED.noise("landing_deg").day

    def of(self, key: str) -> float:
        return {"carry_m": self.carry_m, "peak_m": self.peak_m, "landing_deg": self.landing_deg}.get(key, 0.0)


def source_of(shots: Sequence[Shot], key: str) -> Source:
    """The least trusted source among the shots' values of one reading."""
    order = (Source.COMPUTED, Source.MODELLED, Source.MEASURED)
    found = {shot.sources.get(key, Source.MEASURED) for shot in shots if shot.get(key) is not None}
    return next((source for source in order if source in found), Source.MEASURED)


USUAL_LAUNCH = (58.0, 4300.0)  # m/s and rpm of a hybrid, where a build has figures but no launches


def _typical_error(shots: Sequence[Shot], anchored: Anchor, air: Air | None) -> FlightError:
    """The error of the flight from the average launch; of a usual long club without launches."""
    means = [average(values_of(shots, key)) for key in ("ball_speed_mps", "launch_deg", "spin_rpm")]
    if any(mean is None for mean in means):
        return flight_error(*USUAL_LAUNCH)
    speed, up, spin = (mean.mean for mean in means if mean is not None)
    if not anchored.trusted:
        return flight_error(speed, spin)
    launch = Launch(speed, up, spin)
    return anchored_error(launch, anchored, fly(launch, air=air, scales=anchored.scales), air=air)


def doubt(
    shots: Sequence[Shot],
    *,
    anchored: Anchor | None = None,
    air: Air | None = None,
    against_truth: bool = False,
    monitor: Monitor = MEASURED,
) -> Doubt:
    """The model's error in a build's averages.

    Computed by Hemicycle: the whole error of the region, or what is left of it when anchored. Modelled by
    the monitor: landing and peak as if unanchored; the carry only by what its model would get wrong
    beside the neighbours, which the same monitor modelled too, unless it is held against_truth.
    """
    start = anchored or Anchor()
    sources = {key: source_of(shots, key) for key in ("carry_m", "peak_m", "landing_deg")}
    if all(source is Source.MEASURED for source in sources.values()):
        return Doubt(landing_deg=monitor.noise("landing_deg").day)
    whole, left = _typical_error(shots, Anchor(), air), _typical_error(shots, start, air)
    means = {key: average(values_of(shots, key)) for key in sources}

    def share(key: str, of: str) -> float:
        mean, source = means[key], sources[key]
        if mean is None or source is Source.MEASURED:
            return 0.0
        if source is Source.MODELLED and key == "carry_m" and not against_truth:
            return BESIDE_NEIGHBOURS * mean.mean
        error = whole if source is Source.MODELLED else left
        return float(np.mean(getattr(error, of))) * mean.mean

    landing = monitor.noise("landing_deg").day
    if sources["landing_deg"] is not Source.MEASURED:
        error = whole if sources["landing_deg"] is Source.MODELLED else left
        landing = float(np.mean(error.landing_deg))
    return Doubt(share("carry_m", "carry_share"), share("peak_m", "peak_share"), landing)
