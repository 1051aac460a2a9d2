"""The small correction to drag and lift under which the model flies a player's own measured shots.

Balls, faces and days differ by a few percent in drag and lift. From shots whose carry (and peak) a
monitor measured, the two scales are found by maximum a posteriori: Gauss-Newton on log scales with the
prior below, Huber weights against a misread (P. J. Huber, Robust Statistics, 1981), and the Laplace
covariance (A. Gelman et al., Bayesian Data Analysis, 3rd ed., ch. 4).
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, field, replace

import numpy as np
from numpy.typing import NDArray

from ..errors import BadInput
from ..said import Said, far, say, share
from .aero import MODERN_BALL, Coefficients
from .air import Air
from .error import FlightError, flight_error
from .integrate import Flight, FlightScales, Launch, fly

Floats = NDArray[np.float64]

LEAST_SHOTS = 3
LEAST_TO_ANCHOR_M = 5.0  # a carry of less says nothing of drag and lift
# How far balls and faces differ from the modern ball: enough to make up the model's own error of about
# 2% of carry and 6% of peak (`error`).
PRIOR_SD = np.array([0.06, 0.08])  # of log drag, of log lift
SHOT_CARRY_SHARE = 0.012  # one measured carry against its own launch: radar noise, gusts, the ball's seam
SHOT_PEAK_SHARE = 0.035
SHOT_LANDING_DEG, PRIOR_LANDING_DEG = 1.5, 2.0  # one measured landing angle; what the model is off for a player
COMMON_CARRY_SHARE = 0.004  # what a monitor reads wrong for every shot alike does not average out
COMMON_PEAK_SHARE = 0.015
CHANGE_ERROR, CHANGE_ERROR_ANCHORED = 0.15, 0.08  # by judgement: drag and lift are good to a tenth
HUBER = 2.0
NUDGE = 0.01  # of a log scale, for the slopes
STEPS = 2  # the logs of carry and peak are nearly straight in the logs of the scales


@dataclass(frozen=True)
class Anchor:
    """Scales of drag and lift for one player and ball.

    covariance (2, 2): of the logs of the two scales. shots: how many made it. measured: False where the
    monitor only modelled the flight, which is then copied, not known. carry_before, carry_after: mean
    of computed over measured carry less 1, without and with the correction. landing_deg: to be added to a computed
    landing angle, from the angles that were measured; 0 without any.
    """

    scales: FlightScales = field(default_factory=FlightScales)
    covariance: Floats = field(default_factory=lambda: np.diag(PRIOR_SD**2))
    shots: int = 0
    measured: bool = False
    peaks: int = 0
    carry_before: float = 0.0
    carry_after: float = 0.0
    landing_deg: float = 0.0
    sentence: Said = say("flight-not-anchored-no-measured")

    def fly(self, launch: Launch, *, air: Air | Sequence[Air] | None = None) -> Flight:
        """Fly n shots as this player's fly."""
        flight = fly(launch, air=air, scales=self.scales)
        return replace(flight, landing_deg=flight.landing_deg + self.landing_deg)

    @property
    def drag_sd(self) -> float:
        return float(np.sqrt(self.covariance[0, 0]))

    @property
    def lift_sd(self) -> float:
        return float(np.sqrt(self.covariance[1, 1]))

    @property
    def trusted(self) -> bool:
        """Whether the model starts from measured flights of this player."""
        return self.measured and self.shots >= LEAST_SHOTS

    @property
    def change_error(self) -> float:
        """How wrong a change between two computed flights may be, as a share of it."""
        return CHANGE_ERROR_ANCHORED if self.trusted else CHANGE_ERROR


@dataclass(frozen=True)
class _Seen:
    launch: Launch
    air: Air | Sequence[Air]
    ball: Coefficients
    carry: Floats
    peak: Floats  # NaN where not measured


def _check(carry_m: Floats, peak_m: Floats, n: int) -> None:
    for name, values in (("carry", carry_m), ("peak", peak_m)):
        if values.shape != (n,):
            raise BadInput(say("flight-launches-need-values-not", n=n, name=name, size=values.size), field=name)
    if not (np.isfinite(carry_m) & (carry_m > LEAST_TO_ANCHOR_M)).all():
        raise BadInput(
            say("flight-anchoring-needs-measured-carry", least=far(LEAST_TO_ANCHOR_M)),
            field="carry",
        )


def _both_ways(seen: _Seen, log_scales: Floats) -> tuple[Floats, Floats]:
    """Log of computed over measured carry and peak (2n,), and its slopes to the log scales (2n, 2)."""
    n = seen.carry.size
    columns = [np.tile(column, 3) for column in seen.launch.arrays()]
    airs = seen.air if isinstance(seen.air, Air) else [*seen.air] * 3
    nudges = np.repeat(np.array([[0.0, 0.0], [NUDGE, 0.0], [0.0, NUDGE]]), n, axis=0) + log_scales
    flight = fly(Launch(*columns), air=airs, ball=seen.ball, scales=FlightScales(*np.exp(nudges.T)))
    # A launch that goes nowhere is computed to carry nothing: it is far off, not infinitely far.
    computed = [np.maximum(each.reshape(3, n), 0.1) for each in (flight.carry_m, flight.peak_m)]
    logs = np.log(np.concatenate(computed, axis=1))
    slopes = (logs[1:] - logs[0]).T / NUDGE
    return logs[0] - np.log(np.concatenate([seen.carry, seen.peak])), slopes


def anchor(
    launch: Launch,
    carry_m: Floats,
    peak_m: Floats | None = None,
    landing_deg: Floats | None = None,
    *,
    air: Air | Sequence[Air] | None = None,
    ball: Coefficients = MODERN_BALL,
    measured: bool = True,
) -> Anchor:
    """Find the correction from n shots.

    launch: n measured launches. carry_m, peak_m, landing_deg (n,): the flights as measured; a NaN peak or angle is
    one that was not. air: the air they flew in. measured: False when the monitor modelled the flight itself.
    Under LEAST_SHOTS shots nothing is corrected. Raises BadInput for values that cannot be a flight.
    """
    n = launch.arrays()[0].size
    carry = np.asarray(carry_m, dtype=float)
    peak = np.full(n, np.nan) if peak_m is None else np.asarray(peak_m, dtype=float)
    _check(carry, peak, n)
    if n < LEAST_SHOTS:
        return Anchor(shots=n, measured=measured)
    seen = _Seen(launch, air or Air(), ball, carry, np.where(peak > 0.5, peak, np.nan))
    there = np.isfinite(np.concatenate([carry, seen.peak]))
    own = np.repeat([SHOT_CARRY_SHARE, SHOT_PEAK_SHARE], n)
    # An error common to n shots weighs as if each had n times its variance.
    spread = np.sqrt(own**2 + np.repeat([COMMON_CARRY_SHARE**2, COMMON_PEAK_SHARE**2], n) * n)
    prior = np.diag(PRIOR_SD**-2)
    logs, first = np.zeros(2), None
    information = prior
    for _ in range(STEPS):
        off, slopes = _both_ways(seen, logs)
        first = off if first is None else first
        weight = _weights(off, there, own) / spread**2
        off, slopes = np.where(there, off, 0), np.where(there[:, None], slopes, 0)
        information = prior + (slopes.T * weight) @ slopes
        logs = np.clip(logs - np.linalg.solve(information, (slopes.T * weight) @ off + prior @ logs), -0.5, 0.5)
    off, _ = _both_ways(seen, logs)
    assert first is not None
    before, after = float(np.median(first[:n])), float(np.median(off[:n]))
    return Anchor(
        scales=FlightScales(*np.exp(logs)),
        covariance=np.linalg.inv(information),
        shots=n,
        measured=measured,
        peaks=int(there[n:].sum()),
        carry_before=before,
        carry_after=after,
        landing_deg=_landing_offset(seen, FlightScales(*np.exp(logs)), landing_deg) if measured else 0.0,
        sentence=_sentence(n, before, measured),
    )


def _landing_offset(seen: _Seen, scales: FlightScales, landing_deg: Floats | None) -> float:
    """Measured less computed landing angle in degrees, the median drawn towards none by how few there are."""
    if landing_deg is None:
        return 0.0
    computed = fly(seen.launch, air=seen.air, ball=seen.ball, scales=scales).landing_deg
    off = (np.asarray(landing_deg, dtype=float) - computed)[np.isfinite(landing_deg)]
    if off.size == 0:
        return 0.0
    return float(np.median(off) * off.size / (off.size + (SHOT_LANDING_DEG / PRIOR_LANDING_DEG) ** 2))


def _weights(off: Floats, there: Floats, own: Floats) -> Floats:
    """Huber's weights about the median of each kind, so that a common offset is no outlier."""
    weights = np.zeros_like(off)
    for half in (slice(0, off.size // 2), slice(off.size // 2, None)):
        if there[half].any():
            away = np.abs(off[half] - np.median(off[half][there[half]])) / own[half]
            weights[half] = np.where(there[half], HUBER / np.maximum(np.nan_to_num(away), HUBER), 0)
    return weights


def _sentence(n: int, before: float, measured: bool) -> Said:
    size = share(abs(before), 1)
    way = "longer" if before < 0 else "shorter"
    if not measured:
        return say("flight-matched-monitors-own-model", n=n, size=size, way=way)
    if abs(before) < 0.003:
        return say("flight-anchored-measured-flights-players", n=n)
    return say("flight-anchored-measured-flights-players-2", n=n, size=size, way=way)


def anchored_error(
    launch: Launch, anchored: Anchor, flight: Flight, *, air: Air | Sequence[Air] | None = None
) -> FlightError:
    """One standard deviation of flights computed under an anchor, arrays (n,).

    What the anchor's own uncertainty does to carry, peak and landing, found by flying one deviation
    along each axis of its covariance, with the part of the model's error that no scale can remove. An
    anchor that is not trusted leaves the model's whole error.
    """
    speed, _, spin, _, _ = launch.arrays()
    whole = flight_error(speed, spin)
    if not anchored.trusted:
        return whole
    left = whole.when_anchored()
    sizes, axes = np.linalg.eigh(anchored.covariance)
    carry, peak, landing = left.carry_share**2, left.peak_share**2, left.landing_deg**2
    centre = np.array([np.log(anchored.scales.drag), np.log(anchored.scales.lift)], dtype=float)
    plain = fly(launch, air=air, scales=anchored.scales)
    for size, axis in zip(sizes, axes.T, strict=True):
        moved = fly(launch, air=air, scales=FlightScales(*np.exp(centre + np.sqrt(size) * axis)))
        carry = carry + (moved.carry_m / np.maximum(flight.carry_m, 1) - 1) ** 2
        peak = peak + (moved.peak_m / np.maximum(flight.peak_m, 0.1) - 1) ** 2
        landing = landing + (moved.landing_deg - plain.landing_deg) ** 2
    return FlightError(
        np.minimum(np.sqrt(carry), whole.carry_share),
        np.minimum(np.sqrt(peak), whole.peak_share),
        np.minimum(np.sqrt(landing), whole.landing_deg),
    )
