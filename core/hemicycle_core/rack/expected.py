"""What a head that was not hit would do for this player, from the clubs that were.

Ball speed (log), launch and spin (log) are each read as a usual curve over loft, taken from published averages, plus
what this player does otherwise (`samples.lofts`); what is not known comes back as a standard deviation. The launches
are then flown under the session's anchor. Handicap enters nowhere.

How far the shop's own customers' shots with a head departed from what was expected moves the head's own part
(`HeadRecord`).
"""

from __future__ import annotations

import math
from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field, replace

import numpy as np
from numpy.typing import NDArray

from ..bag import HeadType
from ..flight import FAIRWAY, Air, Anchor, Firmness, Launch, anchored_error, run_out
from ..flight.error import BESIDE_NEIGHBOURS
from ..samples.averages import average, values_of
from ..samples.drift import SPEED_SHARE_PER_M
from ..shots import LAUNCH, Shot
from .lofts import CARRY_SCALES, LoftedHead, Scales, along, read_along, usual_log_carry

Floats = NDArray[np.float64]

QUANTITIES = ("log_ball_speed", "launch_deg", "log_spin")
# Irons of touring players over `lofts.CURVE_LOFT`, published averages, from the 7 to the 9 iron evened within their
# rounding; over 46 degrees by `impact`.
CURVE = np.array([
    # of smash: club speed comes in by length
    np.log([1.49, 1.45, 1.43, 1.41, 1.38, 1.345, 1.315, 1.275, 1.23, 1.17, 1.10, 1.01, 0.92]),
    [9.0, 10.4, 11.0, 12.1, 14.1, 16.3, 18.1, 20.4, 24.2, 26.8, 29.4, 32.5, 36.0],
    np.log([3800, 4630, 4836, 5361, 6231, 7097, 7998, 8647, 9304, 9700, 9900, 9650, 9200]),
])  # fmt: skip
# What a type does beside an iron of one loft, before this player is seen, and how sure that is (one standard
# deviation): the order that fitters describe, the sizes by judgement.
TYPE_MEAN = {
    HeadType.FAIRWAY: (0.005, 1.5, -0.04), HeadType.HYBRID: (0.003, 1.0, -0.02), HeadType.UTILITY: (0.0, 0.3, 0.0),
    HeadType.DRIVER: (0.01, 2.5, -0.2), HeadType.WEDGE: (-0.025, 0.5, 0.03),
}  # fmt: skip
# Wide levels and slopes, so that the player's shots decide; the rest by judgement, widened until nine predictions in
# ten held (docs/decisions/0006).
SCALES = (
    Scales(level=0.5, slope=0.003, smooth=0.012, own=0.008, kind=0.015),
    Scales(level=4.0, slope=0.10, smooth=0.7, own=0.6, kind=0.9),
    Scales(level=0.5, slope=0.010, smooth=0.06, own=0.05, kind=0.07),
)
# How far one model of irons departs from what is usual of its lofts and lengths, all its heads alike: by judgement. An
# iron of a set that was hit tells of the others by this; the player's own irons tell how the carries step.
SET_SCALES = tuple(replace(each, model=sd) for each, sd in zip(SCALES, (0.025, 1.2, 0.08), strict=True))
SET_CARRY_SCALES = replace(CARRY_SCALES, model=0.04)
SHOT_SD = np.array([0.018, 1.0, 0.09])
MIDDLE_LENGTH_M = 0.97
# A player seen with a head says this much of it beside the head's own part: types of heads differ from player to
# player by about as much again.
RECORD_NOISE = 2.0
LEAST_CLUBS = 2
CHECK_SHOTS, CHECK_SD = 5, 0.01  # with a club that is checked at delivery, and what its mean carry is known to then


@dataclass(frozen=True)
class Owned:
    """A club that was hit, or whose carry was typed. means (3,): of `QUANTITIES` over its kept shots, None without
    launches; n: of those shots; carry_m with its standard deviation."""

    head: LoftedHead
    carry_m: float
    carry_sd_m: float
    means: Floats | None = None
    n: int = 0


@dataclass(frozen=True)
class HeadRecord:
    """How far a head departed from what was expected of it, with `players` players of the shop. departure (3,): mean
    over them, in `QUANTITIES`; carry: in the log of carry."""

    departure: Floats
    players: int


@dataclass(frozen=True)
class Expected:
    """What one head should do, struck well: means and one standard deviation each, metres, degrees, m/s, rpm; the
    flight is None where only carries are known."""

    head: LoftedHead
    carry_m: float
    carry_sd_m: float
    peak_m: float | None = None
    peak_sd_m: float | None = None
    landing_deg: float | None = None
    landing_sd_deg: float | None = None
    roll_m: float | None = None
    ball_speed_mps: float | None = None
    launch_deg: float | None = None
    spin_rpm: float | None = None
    landing_speed_mps: float | None = None
    landing_spin_rpm: float | None = None


def owned(
    head: LoftedHead, shots: Sequence[Shot], typed_carry_m: float | None = None, *, typed_sd_m: float
) -> Owned | None:
    """A club of the player's as far as it is known; None when it is not."""
    carry = average(values_of(shots, "carry_m"))
    if carry is None:
        return None if typed_carry_m is None else Owned(head, typed_carry_m, typed_sd_m)
    sd = max(carry.se or 0.0, 0.02 * carry.mean / carry.n**0.5)
    flown = [shot for shot in shots if shot.kept and all(shot.get(key) for key in LAUNCH)]
    if not flown:
        return Owned(head, carry.mean, sd)
    rows = np.array([[np.log(shot.values[LAUNCH[0]]), shot.values[LAUNCH[1]], np.log(shot.values[LAUNCH[2]])]
                     for shot in flown])  # fmt: skip
    return Owned(head, carry.mean, sd, np.median(rows, axis=0) if len(flown) > 4 else rows.mean(axis=0), len(flown))


@dataclass(frozen=True)
class Expectation:
    """What is known of one player, ready to be asked of heads. Build it with `expect`."""

    clubs: tuple[Owned, ...]
    records: Mapping[str, HeadRecord] = field(default_factory=dict)
    air: Air = field(default_factory=Air)
    anchored: Anchor = field(default_factory=Anchor)
    turf: Firmness = Firmness.MEDIUM
    kinds: tuple[HeadType, ...] = ()
    as_a_set: bool = False

    @property
    def read(self) -> tuple[Owned, ...]:
        """The clubs that say something."""
        return tuple(club for club in self.clubs if club.head.head_type in (self.kinds or SWUNG))

    @property
    def flown(self) -> tuple[Owned, ...]:
        return tuple(club for club in self.read if club.means is not None)

    @property
    def known(self) -> bool:
        """Whether anything can be said: two clubs at least."""
        return len(self.read) >= LEAST_CLUBS

    @property
    def by_flight(self) -> bool:
        return len(self.flown) >= LEAST_CLUBS

    def launches(self, heads: Sequence[LoftedHead]) -> tuple[Floats, Floats]:
        """Means and standard deviations of `QUANTITIES` for heads not hit, (n, 3) each."""
        there = self.flown
        everyone = [*(club.head for club in there), *heads]
        counts = np.array([max(club.n, 1) for club in there])
        means, variances = [], []
        for i, scales in enumerate(SET_SCALES if self.as_a_set else SCALES):
            usual = np.array([_prior(head, i) for head in everyone])
            seen = np.array([club.means[i] for club in there if club.means is not None])
            mean, variance = read_along(everyone, usual, scales, seen, SHOT_SD[i] ** 2 / counts)
            shift, known = np.array([self._record(head.key, i) for head in heads]).T
            means.append(mean[len(there) :] + shift)
            variances.append(variance[len(there) :] - scales.own**2 * known)
        return np.stack(means, axis=1), np.sqrt(np.maximum(np.stack(variances, axis=1), 1e-9))

    def of(self, heads: Sequence[LoftedHead]) -> list[Expected]:
        """What each head should do; empty when too little is known of the player. Wedges are read off the irons and the
        other wedges; for all else wedges say nothing, as their full swing is not everybody's."""
        wedges = [head for head in heads if head.head_type is HeadType.WEDGE]
        if wedges and not self.kinds:
            made = {each.head: each for each in replace(self, kinds=WEDGES_BY).of(wedges)}
            rest = [head for head in heads if head.head_type is not HeadType.WEDGE]
            made |= {each.head: each for each in self.of(rest)}
            return [made[head] for head in heads if head in made] if len(made) == len({*heads}) else []
        if not heads or not self.known:
            return []
        return self._flown(heads) if self.by_flight else self._by_carry(heads)

    def of_set(self, hit: LoftedHead, heads: Sequence[LoftedHead]) -> list[Expected]:
        """What the heads of a set should do, one of which was hit: heads of one model depart from what is usual alike,
        so that the one that was hit says most of them, and the player's other clubs how they step. Empty where the one
        that was hit tells nothing."""
        read = replace(self, as_a_set=True)
        told = next((club for club in read.read if club.head == hit), None)
        if told is None:
            return []
        made = read._of_set([hit, *heads])
        # Beside the one that was hit, which carries as it was seen to.
        share = told.carry_m / made[0].carry_m
        return [replace(each, carry_m=each.carry_m * share) for each in made[1:]]

    def _of_set(self, heads: Sequence[LoftedHead]) -> list[Expected]:
        """By flight, where it was read; the carries by all carries where those tell more, as of irons that were
        typed."""
        by_carry = self._by_carry(heads)
        if not self.flown:
            return by_carry
        flown = self._flown(heads)
        if sum(each.carry_sd_m for each in flown) <= sum(each.carry_sd_m for each in by_carry):
            return flown
        return [
            replace(each, carry_m=other.carry_m, carry_sd_m=other.carry_sd_m)
            for each, other in zip(flown, by_carry, strict=True)
        ]

    def to_hit_first(self, heads: Sequence[LoftedHead], most: int) -> list[int]:
        """Which heads of a set tell most of the others when they come: places in `heads`, the first one first. Each is
        the one that is least sure once the one before was hit."""
        read, found = replace(self, as_a_set=True), list[int]()
        for _ in range(min(most, len(heads))):
            made = read._of_set(heads)
            at = max((n for n in range(len(heads)) if n not in found), key=lambda n: made[n].carry_sd_m)
            means = read.launches([heads[at]])[0][0] if read.flown else None
            carry_m = made[at].carry_m
            seen = Owned(heads[at], carry_m, CHECK_SD * carry_m, means, CHECK_SHOTS)
            read, found = replace(read, clubs=(*read.clubs, seen)), [*found, at]
        return found

    def middles(self, heads: Sequence[LoftedHead]) -> tuple[Floats, Floats, Floats]:
        """Carry, landing angle and roll-out (n,) of the expected launches alone, without how sure they are."""
        mean, _ = self.launches(heads)
        launch = Launch(np.exp(mean[:, 0]), mean[:, 1], np.exp(mean[:, 2]))
        flight = self.anchored.fly(launch, air=self.air)
        run = run_out(flight.landing_speed_mps, flight.landing_deg, flight.landing_spin_rpm, FAIRWAY[self.turf]).run_m
        return flight.carry_m, flight.landing_deg, run

    def _record(self, key: str, index: int) -> tuple[float, float]:
        """Mean of a head's own part and the share of its variance that is known, from the shop's record."""
        record = self.records.get(key)
        if record is None or record.players == 0:
            return 0.0, 0.0
        known = record.players / (record.players + RECORD_NOISE)
        return known * float(record.departure[index]), known

    def _flown(self, heads: Sequence[LoftedHead]) -> list[Expected]:
        mean, sd = self.launches(heads)
        n = len(heads)
        nudges = np.concatenate([np.zeros((1, 3)), np.eye(3)])
        table = (mean[None] + nudges[:, None, :] * sd[None]).reshape(-1, 3)
        speed, up, spin = np.exp(table[:, 0]), table[:, 1], np.exp(table[:, 2])
        flight = self.anchored.fly(Launch(speed, up, spin), air=self.air)
        middle = Launch(speed[:n], up[:n], spin[:n])
        error = anchored_error(middle, self.anchored, self.anchored.fly(middle, air=self.air), air=self.air)
        run = run_out(flight.landing_speed_mps, flight.landing_deg, flight.landing_spin_rpm, FAIRWAY[self.turf]).run_m
        carry, carry_sd = _spread(flight.carry_m, n)
        peak, peak_sd = _spread(flight.peak_m, n)
        landing, landing_sd = _spread(flight.landing_deg, n)
        # Beside the player's own clubs, flown by the same model, most of its error is common.
        carry_sd = np.hypot(carry_sd, np.minimum(error.carry_share, BESIDE_NEIGHBOURS) * carry)
        return [
            Expected(
                head=head,
                carry_m=float(carry[i]),
                carry_sd_m=float(carry_sd[i]),
                peak_m=float(peak[i]),
                peak_sd_m=float(np.hypot(peak_sd[i], error.peak_share[i] * peak[i])),
                landing_deg=float(landing[i]),
                landing_sd_deg=float(np.hypot(landing_sd[i], error.landing_deg[i])),
                roll_m=float(run[i]),
                ball_speed_mps=float(speed[i]),
                launch_deg=float(up[i]),
                spin_rpm=float(spin[i]),
                landing_speed_mps=float(flight.landing_speed_mps[i]),
                landing_spin_rpm=float(flight.landing_spin_rpm[i]),
            )
            for i, head in enumerate(heads)
        ]

    def _by_carry(self, heads: Sequence[LoftedHead]) -> list[Expected]:
        """From carries alone, where no launches are known."""
        there = self.read
        everyone = [*(club.head for club in there), *heads]
        usual = np.array([usual_log_carry(head) for head in everyone])
        seen = np.log([club.carry_m for club in there])
        noise = np.array([(club.carry_sd_m / club.carry_m) ** 2 for club in there])
        scales = SET_CARRY_SCALES if self.as_a_set else CARRY_SCALES
        mean, variance = read_along(everyone, usual, scales, seen, noise)
        ours = slice(len(there), None)
        return [
            Expected(each, float(np.exp(m)), float(np.exp(m) * np.sqrt(v)))
            for each, m, v in zip(heads, mean[ours], variance[ours], strict=True)
        ]


def expected_as_said(head_type: HeadType, carry_m: float, carry_sd_m: float) -> Expected:
    """A club of which only a carry is known: its loft and length are NaN, and nothing of its flight is said."""
    return Expected(LoftedHead("", head_type, math.nan, math.nan), carry_m, carry_sd_m)


SWUNG = (HeadType.FAIRWAY, HeadType.HYBRID, HeadType.UTILITY, HeadType.IRON)
READ = (*SWUNG, HeadType.WEDGE)
WEDGES_BY = (HeadType.IRON, HeadType.WEDGE)


def expect(
    clubs: Sequence[Owned],
    *,
    records: Mapping[str, HeadRecord] | None = None,
    air: Air | None = None,
    anchored: Anchor | None = None,
    turf: Firmness = Firmness.MEDIUM,
) -> Expectation:
    """Read a player's clubs. The driver is teed up: it says nothing here; wedges say something of wedges alone."""
    return Expectation(tuple(clubs), records or {}, air or Air(), anchored or Anchor(), turf)


def _prior(head: LoftedHead, index: int) -> float:
    usual = along(head.loft_deg, CURVE[index]) + TYPE_MEAN.get(head.head_type, (0.0, 0.0, 0.0))[index]
    faster = float(np.log1p(SPEED_SHARE_PER_M * (head.length_m - MIDDLE_LENGTH_M)))
    # A faster club spins the ball more in proportion; launch does not follow speed.
    return usual + (0.0 if index == 1 else faster)


def _spread(values: Floats, n: int) -> tuple[Floats, Floats]:
    """The mean of n heads and one standard deviation, from rows as expected and moved by one deviation each."""
    rows = values.reshape(4, n)
    return rows[0], np.sqrt(((rows[1:] - rows[0]) ** 2).sum(axis=0))
