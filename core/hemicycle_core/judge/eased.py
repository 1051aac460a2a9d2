"""Part swings in play: what a wedge does at a yardage under its stock carry.

A club hit less than its stock swing is not another club: ball and spin lose speed together and it leaves as it always
does, so that one flight model and one launch give its whole curve of carries. Four things are added.

- Its carries spread wider, as a share, the more is eased off (`WIDER`), and its lines less (`STRAIGHTER`): a slow ball
  curves less. The player's own part swings, all clubs together, outweigh the first, and a club's own outweigh those:
  one player eases off better than another, and one club is eased off better than another.
- A yardage that is nobody's number is aimed at by feel. A stock carry, and a part swing that was measured, is a number.
- The swing is chosen so that the ball comes to rest in the middle, or further back where something must be carried; on
  ground that gives more or less run than its word makes us expect, it is played to the ground that is there.
- Out of sand nothing is computed (`brief.jobs.Job.played_out`).
"""

from __future__ import annotations

from collections import defaultdict
from collections.abc import Sequence
from dataclasses import dataclass, replace
from functools import lru_cache

import numpy as np
from numpy.typing import NDArray

from ..brief import Job, JobKind
from ..flight import Air, Anchor, FlightScales, Launch, fly, run_out
from ..flight.landing import Turf
from ..heads import HeadType
from ..kept import lazily
from ..said import NOTHING, Said, say
from ..shots import LAUNCH, Shot, columns_of
from ..units import metres
from .from_lie import FromLie
from .landings import RollOut
from .play import Played, Possible, normals_of, play
from .strokes import USUAL_DRIVE_M

Floats = NDArray[np.float64]

# Spreads of carry as a share, and of the line in degrees, beside the stock swing's, by the share of its carry that is
# left, at 0.30, 0.54, 0.725 and 0.875 of its speed: flown with a spread of speed that is, by judgement, 1.6 times the
# stock swing's at three-quarter and 2.4 times at half, and loft and face as of the stock swing.
LEFT = (0.115, 0.345, 0.59, 0.815, 1.0)
WIDER = (2.5, 2.2, 1.8, 1.3, 1.0)
STRAIGHTER = (0.71, 0.77, 0.86, 0.94, 1.0)
EASES_SD = 0.25  # of the log of how much wider this player's part swings spread than that
CLUB_SD = 0.25  # of the log of how much wider one of his clubs spreads than his others, by judgement
AIM_SHARE, NUMBER_M = 0.032, metres(7)  # off by feel, and how far a number reaches
# Of the stock carry: from what is still a swing to what already is the stock one.
SHARES = np.linspace(0.06, 0.985, 80)
CURVE = np.linspace(0.16, 1.0, 14)  # of club speed
ALONG = np.linspace(0.0, 1.0, 161)  # of the stock carry, where a run is computed
LEAST_LOFT_DEG = 40.0  # irons with less are not eased at a flag
# One standard deviation, of carry: a part swing that spreads wider is no number. On short ones three yards are little.
USABLE_SHARE, USABLE_M = 0.06, metres(3)
LEAST_SHOTS = 3
SHARED_EASE = "part swings of the player"
# How well a player eases off is told from so many part swings on, and so many standard deviations from usual; one swing
# alone says no more than that it spreads twice as wide, or half: a thin shot among three makes any number.
LEAST_SWINGS, TOLD_SDS, MOST_LOG = 3, 1.28, 0.7
# A wedge of which only a carry is known leaves about like this, by `impact` at 53 degrees.
USUAL_LAUNCH_DEG, USUAL_SPIN_A_MPS = 30.0, 240.0
LEAST_MPS = 2.5  # slower than this a ball is rolled, not flown
SPEEDS_MPS = np.linspace(8.0, 56.0, 25)
BACK = (0.0, 0.2)  # of a green's depth: how far behind its middle may be aimed at


@dataclass(frozen=True)
class Eases:
    """How this player's part swings spread beside what is usual. wider: the factor, 1 for as usual; sd: of its log; n:
    part swings it rests on; rank: `well`, `not`, or empty while that cannot be told. own_sd: of one club's, what is not
    known of how it differs from the player's others; 0 for all clubs together."""

    wider: float = 1.0
    sd: float = EASES_SD
    n: int = 0
    own_sd: float = 0.0

    def spreads(self, club: str) -> Floats:
        """How much wider each possible player spreads with a club, beside `wider`, (DRAWS,): how well he eases off is
        one and the same with every club but for what is the club's own."""
        shared = self.sd * normals_of(SHARED_EASE, 1)[0]
        own = self.own_sd * normals_of(f"{club} eased", 1)[0] if self.own_sd else 0.0
        made: Floats = np.exp(shared + own)
        return made

    @property
    def rank(self) -> str:
        z = np.log(self.wider) / self.sd
        return "" if self.n < LEAST_SWINGS or abs(z) < TOLD_SDS else "well" if z < 0 else "not"

    @property
    def sentence(self) -> Said:
        """How well the player eases off; empty before a part swing was hit."""
        return say("eases-off", rank=self.rank or "usual", n=self.n) if self.n else NOTHING


def plays(carry_m: float, spread_m: float) -> bool:
    """Whether a swing repeats well enough to be a number to play by. spread_m: one standard deviation."""
    return spread_m <= max(USABLE_SHARE * carry_m, USABLE_M)


@dataclass(frozen=True)
class PartSwing:
    """A swing under the stock one that was measured. carry_m: its mean; sd_share: of its carries as a share, None
    under three shots; range_m: from the shortest to the longest of them."""

    swing: str
    carry_m: float
    n: int
    sd_share: float | None
    spin_rpm: float | None = None
    launch_deg: float | None = None
    range_m: float = 0.0

    @property
    def is_number(self) -> bool:
        spread = None if self.sd_share is None else self.sd_share * self.carry_m
        return self.n >= LEAST_SHOTS and spread is not None and plays(self.carry_m, spread)


def part_swings(shots: Sequence[Shot]) -> list[PartSwing]:
    """The part swings of one club, shortest carry first: its kept shots with a swing that is not its stock one, from a
    clean lie."""
    by: dict[str, list[Shot]] = defaultdict(list)
    for shot in shots:
        if shot.of_part_swing:
            by[shot.swing].append(shot)
    made = []
    for swing, mine in by.items():
        seen = columns_of(mine, ("carry_m", "spin_rpm", "launch_deg"))
        carry = seen["carry_m"][np.isfinite(seen["carry_m"])]
        if not carry.size:
            continue
        sd = float(carry.std(ddof=1) / carry.mean()) if carry.size >= LEAST_SHOTS else None
        spin, launch = (
            float(np.nanmean(seen[key])) if np.isfinite(seen[key]).any() else None for key in ("spin_rpm", "launch_deg")
        )
        made.append(PartSwing(swing, float(carry.mean()), carry.size, sd, spin, launch, float(np.ptp(carry))))
    return sorted(made, key=lambda each: (each.carry_m, each.swing))


def wider_at(share: float | Floats) -> Floats:
    """How much wider carries spread, as a share, at this share of the stock carry."""
    wider: Floats = np.interp(np.asarray(share), LEFT, WIDER)
    return wider


def eases(clubs: Sequence[tuple[float, float, Sequence[PartSwing]]]) -> Eases:
    """How well a player eases off, all clubs together. clubs: stock carry in metres, spread of it as a share, and the
    part swings of each.

    Sample variances about what is usual, each by its freedom; the prior on the log of the factor is normal.
    """
    logs, weights = _logs(clubs)
    if not logs:
        return Eases()
    precision = 1 / EASES_SD**2 + sum(weights)
    mean = float(np.dot(weights, logs) / precision)
    return Eases(float(np.exp(mean)), precision**-0.5, len(logs))


def _logs(clubs: Sequence[tuple[float, float, Sequence[PartSwing]]]) -> tuple[list[float], list[float]]:
    """Of each part swing that was hit often enough the log of how much wider it spreads than usual, and its weight."""
    logs, weights = [], []
    for carry_m, spread, swings in clubs:
        for each in swings:
            if each.sd_share is None or each.carry_m >= carry_m:
                continue
            df = each.n - 1
            usual = spread * float(wider_at(each.carry_m / carry_m))
            # The log of a sample variance lies 1 / df under that of its mean, about.
            seen = 0.5 * (np.log(max(each.sd_share / usual, 0.05) ** 2) + 1 / df)
            logs.append(float(np.clip(seen, -MOST_LOG, MOST_LOG)))
            weights.append(2.0 * df)
    return logs, weights


def eases_of(ease: Eases, carry_m: float, spread: float, swings: Sequence[PartSwing]) -> Eases:
    """How one club of the player is eased off: its own part swings, drawn towards those of all clubs together."""
    logs, weights = _logs([(carry_m, spread, swings)])
    mine = sum(weights)
    share = mine / (mine + CLUB_SD**-2)
    shift = share * (float(np.dot(weights, logs)) / mine - float(np.log(ease.wider))) if mine else 0.0
    return replace(ease, wider=ease.wider * float(np.exp(shift)), own_sd=CLUB_SD * (1 - share) ** 0.5)


@dataclass(frozen=True)
class Curve:
    """One club's part swings by its launch, arrays over `CURVE`, read-only: carry as a share of the stock one, rising;
    how it comes down."""

    share: Floats
    speed_mps: Floats
    angle_deg: Floats
    spin_rpm: Floats

    @lazily
    def _runs(self) -> dict[Turf, Floats]:
        return {}

    def run_m(self, share: Floats, turf: Turf) -> Floats:
        """How far a swing with this share of the stock carry runs on a turf; by straight lines between `ALONG`."""
        if turf not in self._runs:
            down = [np.interp(ALONG, self.share, each) for each in (self.speed_mps, self.angle_deg, self.spin_rpm)]
            self._runs[turf] = run_out(down[0], down[1], down[2], turf).run_m
        found: Floats = np.interp(share, ALONG, self._runs[turf])
        return found


def curve_of(
    carry_m: float, launch: tuple[float, float, float] | None, *, air: Air | None = None, anchored: Anchor | None = None
) -> Curve:
    """The curve of a club. launch: its stock ball speed in m/s, launch in degrees and spin in rpm; None where only its
    carry is known."""
    scales = (anchored or Anchor()).scales
    return _curve(carry_m, launch, air or Air(), float(np.asarray(scales.drag)), float(np.asarray(scales.lift)))


@lru_cache(maxsize=256)
def _curve(carry_m: float, launch: tuple[float, float, float] | None, air: Air, drag: float, lift: float) -> Curve:
    scales = FlightScales(drag, lift)
    if launch is None:
        flown = fly(
            Launch(SPEEDS_MPS, np.full(25, USUAL_LAUNCH_DEG), USUAL_SPIN_A_MPS * SPEEDS_MPS), air=air, scales=scales
        )
        speed = float(np.interp(carry_m, flown.carry_m, SPEEDS_MPS))
        launch = (speed, USUAL_LAUNCH_DEG, USUAL_SPIN_A_MPS * speed)
    speed, up, spin = launch
    slow = np.maximum(speed * CURVE, LEAST_MPS)
    flight = fly(Launch(slow, np.full(CURVE.size, up), spin * CURVE), air=air, scales=scales)
    share = np.maximum.accumulate(flight.carry_m / flight.carry_m[-1])
    return Curve(share, flight.landing_speed_mps, flight.landing_deg, flight.landing_spin_rpm)


@dataclass(frozen=True)
class EasedClub:
    """What a club's part swings are played out by, eases of its own. numbers: carries in metres that this player has
    with it, the stock one among them; key: of what is not known of it alone."""

    curve: Curve
    eases: Eases
    numbers: tuple[float, ...]
    key: str = ""


def can_ease(head_type: HeadType, loft_deg: float | None) -> bool:
    """Whether a club is played at less than its stock swing: wedges and the shortest irons."""
    return head_type is HeadType.WEDGE or (head_type is HeadType.IRON and (loft_deg or 0.0) >= LEAST_LOFT_DEG)


def eased_to(
    build: Possible,
    head_type: HeadType,
    carry_m: float,
    part: EasedClub,
    run: RollOut,
    job: Job,
    lie: FromLie | None = None,
    *,
    drive_m: float = USUAL_DRIVE_M,
) -> Played | None:
    """A job under a club's stock carry, by the part swing that does it best; None where it is no part swing's.

    build, run: as of the stock swing, carry_m its carry; lie: what the job's lie does, which `build` has in it: with a
    part swing the player hits as much harder, so that only its spread stays.
    """
    if job.kind is not JobKind.GREEN:
        return None
    runs = part.curve.run_m(SHARES, job.turf)
    best = None
    for back in BACK if job.carry_over_m else BACK[:1]:
        aim = job.distance_m + back * job.depth_m
        stops = carry_m * SHARES + np.append(1.0, build.ground)[:, None] * runs
        if not stops[0, 0] <= aim <= stops[0, -1]:
            continue
        # Short spinning shots may stop level with one another: the first swing that gets there is the one.
        reached = stops >= aim
        first = np.where(reached.any(axis=1), reached.argmax(axis=1), SHARES.size - 1)
        played = _played(build, head_type, carry_m, part, run, job, first, lie, drive_m)
        if best is None or played.success > best.success:
            best = played
    return best


def _played(
    build: Possible,
    head_type: HeadType,
    carry_m: float,
    part: EasedClub,
    run: RollOut,
    job: Job,
    first: NDArray[np.int_],
    lie: FromLie | None,
    drive_m: float,
) -> Played:
    """first: which of `SHARES` is swung, on the ground that is expected and on that of each possible player."""
    eased, share = carry_m * float(SHARES[first[0]]), SHARES[first[1:]]
    nearest = min(abs(eased - each) for each in part.numbers)
    aim = AIM_SHARE * (1 - np.exp(-0.5 * (nearest / NUMBER_M) ** 2))
    wide = part.eases.wider * part.eases.spreads(part.key) if nearest > 0 else 1.0
    # A lie that takes speed from the stock swing is swung against here; what it does to the spread is in `build`.
    back = 1.0 if lie is None else 1 / lie.carry
    mine = replace(
        build,
        carry_m=build.carry_m * share * back,
        spread_share=np.hypot(build.spread_share * wider_at(share) * wide, aim),
        side_spread_deg=build.side_spread_deg * np.interp(share, LEFT, STRAIGHTER),
    )
    typical = part.curve.run_m(share, job.turf)
    return replace(play(mine, head_type, run, job, lie, typical_m=typical, drive_m=drive_m), eased_m=eased)


def mean_launch(shots: Sequence[Shot]) -> tuple[float, float, float] | None:
    """Mean launch of the shots that have one: ball speed, angle, spin; None without one."""
    seen = columns_of(shots, LAUNCH)
    flew = np.all([np.isfinite(seen[key]) for key in LAUNCH], axis=0)
    if not flew.any():
        return None
    speed, up, spin = (float(seen[key][flew].mean()) for key in LAUNCH)
    return speed, up, spin
