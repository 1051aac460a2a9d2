"""Simulated fittings of one slot: a player, several builds, jobs, the shots hit, and the truth behind them.

Players are drawn wider and in other shapes than the judge assumes: their shots come from impact physics
with off-centre strikes, gear effect, warm-up, learning and tiring, not from its mixture of normals.
"""

from __future__ import annotations

from collections.abc import Callable, Mapping
from dataclasses import dataclass, field, replace

import numpy as np
from numpy.typing import NDArray

from ...bag import HeadType
from ...brief import NOTHING_FEARED, Fear, Feared, Job, JobKind, Miss
from ...flight import FAIRWAY, Firmness, Launch, fly, run_out
from ...flight.landing import TURF_SPREAD
from ...judge.play import ends_of, least_carry
from ...shots import FLIGHT_READINGS, Shot, Source
from ...units import METRES_PER_INCH, metres
from ..golfer import Player, Swinging, SwungClub

Floats = NDArray[np.float64]

LETTERS, OWN = "ABCDEFGH", "own"
TRUTH_SHOTS = 2000
# On one course “medium” is not what it is on another: a ball runs this share of what the word makes us expect.
COURSE_RUNS = (0.6, 1.6)
CALLS = 0.7  # of the misses the fitter sees and sets aside
# Length of a head of 22 degrees in inches, its change for a degree stronger, and the loft at which it carries as
# far as a 22 degree hybrid.
USUAL = {
    HeadType.FAIRWAY: (41.8, 0.17, 23.5), HeadType.HYBRID: (40.0, 0.17, 22.0), HeadType.UTILITY: (39.25, 0.15, 20.5),
    HeadType.IRON: (38.7, 0.14, 20.0),
}  # fmt: skip


@dataclass(frozen=True)
class TriedOut:
    """A build as it is in truth. success: the share of the player's shots that do each job, by job; feared: the share
    that reaches it and misses to the feared side."""

    letter: str
    club: SwungClub
    success: tuple[float, ...]
    carry_m: float
    landing_deg: float
    feared: tuple[float, ...] = ()


@dataclass(frozen=True)
class Swung:
    """n shots as a monitor reads them, arrays (n,), and which of them were missed; carry_m, side_deg: as they were in
    truth, rested and warm, empty where nobody asks."""

    readings: Mapping[str, Floats]
    missed: NDArray[np.bool_]
    carry_m: Floats = field(default_factory=lambda: np.zeros(0))
    side_deg: Floats = field(default_factory=lambda: np.zeros(0))

    def and_then(self, other: Swung) -> Swung:
        """These and those that follow."""
        joined = {key: np.concatenate([values, other.readings[key]]) for key, values in self.readings.items()}
        rest = (np.concatenate(both) for both in zip(self._rest, other._rest, strict=True))
        return Swung(joined, *rest)

    @property
    def _rest(self) -> tuple[NDArray[np.bool_], Floats, Floats]:
        return self.missed, self.carry_m, self.side_deg


@dataclass
class Fitting:
    """window: carry in metres. swing: the player swings a build so many times. calls: share of the misses that the
    fitter sees and sets aside. own: the club of the player's that the builds are held against, None without one.
    feared: what the player fears; prices: of the builds by letter, empty where they have none. swung: what was hit with
    each letter."""

    jobs: tuple[Job, ...]
    window: tuple[float, float]
    tried: tuple[TriedOut, ...]
    swing: Callable[[TriedOut, int], Swung]
    indoors: bool
    chance: np.random.Generator
    calls: float = CALLS
    own: TriedOut | None = None
    feared: Feared = NOTHING_FEARED
    prices: dict[str, float] = field(default_factory=dict)
    shots: dict[str, list[Shot]] = field(default_factory=dict)
    swung: dict[str, Swung] = field(default_factory=dict)

    @property
    def hit_with(self) -> dict[str, list[Shot]]:
        """The shots hit with each build that was tried."""
        return {letter: shots for letter, shots in self.shots.items() if letter != OWN}

    def build(self, letter: str) -> TriedOut:
        there = [*self.tried, self.own] if self.own is not None else self.tried
        return next(each for each in there if each is not None and each.letter == letter)

    def truth(self, letter: str) -> float:
        """What a build makes of the jobs in truth, as a share of their uses: its success, less what is feared."""
        return self._a_round(self._worth(self.build(letter)))

    def gain(self, letter: str) -> float:
        """What a build adds to the player's own club in truth, shots a round, each job by the better of the two."""
        assert self.own is not None
        mine = self._worth(self.own)
        with_it = np.maximum(mine, self._worth(self.build(letter)))
        return (self._a_round(with_it) - self._a_round(mine)) * sum(job.uses_per_round for job in self.jobs)

    def _a_round(self, worth: Floats) -> float:
        uses = np.array([job.uses_per_round for job in self.jobs])
        return float(uses @ worth / uses.sum())

    def _worth(self, build: TriedOut) -> Floats:
        worth: Floats = np.array(build.success)
        return worth - self.feared.shots * np.array(build.feared) if self.feared.shots else worth

    def hit(self, letter: str, count: int) -> None:
        """The player hits a build `count` times more; the fitter sets most of the misses aside."""
        swung = self.swing(self.build(letter), count)
        self.swung[letter] = self.swung[letter].and_then(swung) if letter in self.swung else swung
        readings = dict(swung.readings)
        if self.indoors:
            readings |= _as_modelled(readings)
        sources = dict.fromkeys(FLIGHT_READINGS, Source.MODELLED) if self.indoors else {}
        called = swung.missed & (self.chance.random(count) < self.calls)
        before = sum(len(shots) for shots in self.shots.values())
        for i in range(count):
            values = {key: float(column[i]) for key, column in readings.items()}
            shot = Shot(values, sources, aside=bool(called[i]), order=before + i)
            self.shots.setdefault(letter, []).append(shot)


def _as_modelled(readings: dict[str, Floats]) -> dict[str, Floats]:
    """What a monitor that sees impact only makes of the same launches: a usual ball on a usual day."""
    launch = (readings[key] for key in ("ball_speed_mps", "launch_deg", "spin_rpm", "direction_deg", "axis_deg"))
    flight = fly(Launch(*launch))
    run = run_out(flight.landing_speed_mps, flight.landing_deg, flight.landing_spin_rpm, FAIRWAY[Firmness.MEDIUM])
    return {
        "carry_m": flight.carry_m,
        "total_m": flight.carry_m + run.run_m,
        "offline_m": flight.offline_m,
        "peak_m": flight.peak_m,
        "landing_deg": flight.landing_deg,
        "hang_s": flight.hang_s,
    }


def _player(chance: np.random.Generator) -> Player:
    wide = float(np.exp(chance.normal(0, 0.3)))
    shares = chance.dirichlet([1.6, 1.2, 0.8, 0.8]) * chance.uniform(0.03, 0.32)
    spread = {"attack_spread_deg": 0.7, "path_spread_deg": 1.2, "face_spread_deg": 1.4, "loft_spread_deg": 0.6}
    return Player(
        speed_mps=chance.uniform(28, 42),
        attack_deg=chance.uniform(-4.5, -1.0),
        lean_deg=chance.uniform(1.5, 6.5),
        path_deg=chance.normal(0, 1.5),
        face_deg=chance.normal(0, 0.8),
        speed_spread=0.010 * wide * float(np.exp(chance.normal(0, 0.2))),
        strike_spread_mm=4.0 * wide * float(np.exp(chance.normal(0, 0.25))),
        misses=dict(zip(("thin", "fat", "toe", "heel"), (float(share) for share in shares), strict=True)),
        warm_up=chance.uniform(0, 0.03),
        tiring=chance.uniform(0, 0.0012),
        ball_drag=float(np.clip(chance.normal(1, 0.025), 0.85, 1.15)),
        ball_lift=float(np.clip(chance.normal(1, 0.03), 0.85, 1.15)),
        hand="left" if chance.random() < 0.1 else "right",
        **{name: value * wide * float(np.exp(chance.normal(0, 0.2))) for name, value in spread.items()},
    )


def _club(chance: np.random.Generator, kind: HeadType, strength: float, scatter: float) -> SwungClub:
    inches, an_inch, loft = USUAL[kind]
    set_loft = float(np.clip(loft + strength + scatter * chance.normal(), 14, 32))
    return SwungClub(
        kind,
        set_loft,
        (inches + an_inch * (22 - set_loft) + chance.normal(0, 0.2)) * METRES_PER_INCH,
        cg_further_back_mm=float(np.clip(chance.normal(0, 3), -8, 8)),
        face_speed=chance.uniform(0.985, 1.01),
        closed_deg=float(chance.normal(0, 0.5)),
    )


def _jobs(chance: np.random.Generator, target: float) -> tuple[Job, ...]:
    def firmness() -> Firmness:
        return Firmness(chance.choice([each.value for each in Firmness]))

    green = Job(
        "Into a green", JobKind.GREEN, target + metres(4), firmness(), width_m=metres(chance.uniform(18, 34)),
        depth_m=metres(chance.uniform(18, 34)), uses_per_round=float(chance.uniform(0.5, 2)),
        carry_over_m=target - metres(chance.uniform(8, 20)) if chance.random() < 0.4 else None,
    )  # fmt: skip
    if chance.random() < 0.5:
        return (green,)
    tee = Job(
        "Off the tee", JobKind.TEE, target + metres(chance.uniform(0, 8)), firmness(),
        width_m=metres(chance.uniform(22, 38)), depth_m=metres(30), uses_per_round=float(chance.uniform(0.5, 2)),
    )  # fmt: skip
    return green, tee


def _truth(
    player: Player, club: SwungClub, letter: str, jobs: tuple[Job, ...], seed: int, feared: Miss = Miss.LEFT
) -> TriedOut:
    """A thousand-odd shots of the player fresh and used to the club; one seed for all builds, so that they differ by
    the builds alone."""
    steady = replace(player, warm_up=0.0, tiring=0.0)
    swung = Swinging(steady, seed).swing(club, TRUTH_SHOTS, known=True)
    flight, carry = swung.flight, swung.readings["carry_m"]
    made, lost = [], []
    patches = np.exp(np.random.default_rng(seed).normal(0, TURF_SPREAD, (4, TRUTH_SHOTS)))
    for number, job in enumerate(jobs):
        course = np.exp(np.random.default_rng([seed, number]).uniform(*np.log(COURSE_RUNS)))
        spot = job.turf.patched(patches)
        run = run_out(flight.landing_speed_mps, flight.landing_deg, flight.landing_spin_rpm, spot).run_m * course
        near, far = ends_of(job)
        stops = carry + run
        side = flight.offline_m * stops / np.maximum(carry, 1)
        deep = (carry >= least_carry(job)) & (stops >= near) & (stops <= far)
        made.append(float((deep & (np.abs(side) <= job.width_m / 2)).mean()))
        away = -side if feared is Miss.LEFT else side
        lost.append(float((deep & (away > job.width_m / 2)).mean()))
    good = swung.miss < 0
    landing = float(flight.landing_deg[good].mean())
    return TriedOut(letter, club, tuple(made), float(carry[good].mean()), landing, tuple(lost))


def draw_fitting(
    seed: int, number: int, *, builds: int = 4, indoors: float = 0.0, shop: bool = False, own: bool = False
) -> Fitting:
    """Fitting `number` of a series; the same seed and number always make the same one. indoors: share of fittings in
    which the monitor sees impact only and models flight. shop: with a price on each build and a side that two players
    in three fear. own: with a club of the player's own that they are held against."""
    chance = np.random.default_rng([seed, number])
    player = _player(chance)
    strength = chance.uniform(-2, 4)
    wanted = _club(np.random.default_rng([seed, number, 1]), HeadType.HYBRID, strength, 0.0)
    aim = Swinging(replace(player, misses={}, warm_up=0, tiring=0), seed).swing(wanted, 100, known=True)
    target = float(aim.readings["carry_m"].mean()) + metres(chance.normal(0, 3))
    jobs = _jobs(chance, target)
    kinds = [list(USUAL)[int(chance.choice(4, p=[0.3, 0.4, 0.22, 0.08]))] for _ in range(builds)]
    clubs = [_club(chance, kind, strength, 1.6) for kind in kinds]
    truth_seed = int(chance.integers(2**31))
    tried = tuple(_truth(player, club, letter, jobs, truth_seed) for club, letter in zip(clubs, LETTERS, strict=False))
    beside = np.random.default_rng([seed, number, 2])
    feared, had, prices = NOTHING_FEARED, None, {}
    side = Miss.LEFT if beside.random() < 0.5 else Miss.RIGHT
    if shop:
        tried = tuple(_truth(player, each.club, each.letter, jobs, truth_seed, side) for each in tried)
        feared = Feared(side, list(Fear)[int(beside.integers(3))])
        prices = {each.letter: float(10 * beside.integers(18, 42)) for each in tried}
    if own:
        club = _club(beside, kinds[int(beside.integers(builds))], strength, 2.2)
        had = _truth(player, club, OWN, jobs, truth_seed, side)
    swinging = Swinging(player, int(chance.integers(2**31)))

    def swing(build: TriedOut, count: int) -> Swung:
        hit = swinging.swing(build.club, count, known=build is had)
        return Swung(hit.readings, hit.miss >= 0)

    return Fitting(
        jobs=jobs,
        window=(target - metres(3.5), target + metres(3.5)),
        tried=tried,
        swing=swing,
        indoors=bool(chance.random() < indoors),
        chance=chance,
        own=had,
        feared=feared,
        prices=prices,
    )
