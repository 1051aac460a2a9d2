"""Worlds that the judge was not made for: fittings whose players, clubs and ground follow other laws than its own.

No impact physics and none of the judge's mixture stand behind them: launches are drawn about a build's own, flown by
other coefficients than ours, and read by a monitor. Each world but the first breaks one thing that the judge assumes.
What a session would see goes out as a session bundle; the truth stays here.
"""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass, field, replace

import numpy as np
from numpy.typing import NDArray

from ...bag import HeadType
from ...brief import NOTHING_FEARED, Fear, Feared, Job, JobKind, Miss
from ...flight import FAIRWAY, Firmness, FlightScales, Launch, fly, run_out
from ...flight.aero import ALIKE, Coefficients
from ...judge.eased import wider_at
from ...judge.play import ends_of, least_carry
from ...judge.strokes import ends_at
from ...judge.weigh import USUAL_GREEN
from ...judge.yardages import LEAST_LONG, LONG_WIDER, Yardages, usual_yardages
from ...units import metres
from ..golfer import SwungClub
from .fittings import LETTERS, OWN, Fitting, Swung, TriedOut

Floats = NDArray[np.float64]

TRUTH_SHOTS, USUAL_SHOTS = 1500, 500
GAP_YD = (26.0, 42.0)  # between the clubs on both sides, where there is a bag
TYPED_SD_M = 4.0  # how far off a carry is that the player says
LONGER_DRIVE = 1.12  # of the longer of them
BUILDS = 5
# Launch in degrees and spin in rpm of a head that carries 185 yd, how it spreads beside a hybrid, and its share.
BESIDE = ("low", "high")
KINDS = {
    HeadType.FAIRWAY: (17.0, 4300.0, 1.0, 0.32), HeadType.HYBRID: (17.0, 4600.0, 0.95, 0.38),
    HeadType.UTILITY: (15.5, 4600.0, 1.1, 0.20), HeadType.IRON: (16.0, 5000.0, 1.15, 0.10),
}  # fmt: skip
BUILD_CARRY_M, BUILD_LAUNCH_DEG, BUILD_SPIN = metres(5), 1.0, 0.08  # how far builds differ, one standard deviation
BUILD_CLOSED_DEG, BUILD_AXIS_DEG = 0.4, 1.3
BUILD_SPEED = 0.006
CLUB_MPS = 37.0  # club speed of a player whose clubs here carry 185 yd at a smash of 1.42
BUILD_WIDE, BUILD_MISSES = 0.15, 0.3  # of the log
SIDE_SD_DEG = 1.3  # where a player's shots end, over players
CALLS = 0.65
SWUNG, STRUCK = 0.5, 0.87  # of the spread of ball speed, what comes of club speed and what of strike
SPEED_POWER = 1.4  # d ln carry / d ln speed
FACE_TO_SIDE, AXIS_TO_SIDE = 1.85, 0.46  # of a long club: degrees of side for one of face, and of spin axis


@dataclass(frozen=True)
class World:
    """breaks: what it does that the judge does not reckon with. skew: a good strike only ever loses, and sides are
    drawn out to one side. together: correlation of speed and face within a shot, and of a shot with the one before.
    cold, tires: between which players lie in the share of speed missing from the first swing and lost with each swing
    after the 25th. rolls: a ball runs by a rule of thumb in degrees and not by turf. day_carry, day_side_deg: what the
    monitor has wrong of every shot of the day, one standard deviation; misreads: share of shots whose carry it has
    wrong by a tenth and more. alike: the builds and the player's own club are one."""

    breaks: str
    skew: bool = False
    together: float = 0.0
    cold: tuple[float, float] = (0.0, 0.015)
    tires: tuple[float, float] = (0.0, 0.0004)
    rolls: bool = False
    day_carry: float = 0.0
    day_side_deg: float = 0.0
    misreads: float = 0.0
    alike: bool = False


WORLDS = {
    "plain": World("nothing"),
    "skewed": World("normal spreads: a strike only ever loses, and sides are drawn out to one side", skew=True),
    "correlated": World("shots that know nothing of each other: one is like the one before", together=0.6),
    "tired": World("an even session: cold at first, tired in the end", cold=(0.02, 0.05), tires=(0.0005, 0.002)),
    "ground": World("our run: half a yard to a yard a degree, on every turf", rolls=True),
    "monitor": World("true readings: a day's error, and misreads", day_carry=0.02, day_side_deg=0.8, misreads=0.06),
    "equal": World("differences between builds", alike=True),
}  # fmt: skip


@dataclass(frozen=True)
class HiddenBuild:
    """As it is in truth. closed_deg, axis_deg: what its face adds to the face of the player, and to the spin axis."""

    kind: HeadType
    club_mps: float
    ball_mps: float
    launch_deg: float
    spin_rpm: float
    closed_deg: float
    axis_deg: float
    wide: float
    misses: float
    cost: float


@dataclass(frozen=True)
class Golfer:
    """Spreads are standard deviations; misses as a share of the shots. ball, scales: by what his balls fly."""

    speed_share: float
    launch_sd: float
    spin_share: float
    face_deg: float
    face_sd: float
    path_deg: float
    path_sd: float
    misses: float
    cost: float
    cold: float
    tires: float
    smash: float
    ball: Coefficients
    scales: FlightScales
    side: float  # the side that sides are drawn out to, where they are


@dataclass
class Swings:
    """A player's swings of one session, in order. rough: the part of the last face that the next one keeps."""

    golfer: Golfer
    world: World
    chance: np.random.Generator
    done: int = 0
    last: float = 0.0
    carry_off: float = 0.0
    side_off: float = 0.0
    log: list[tuple[int, float]] = field(default_factory=list)

    def normals(self, n: int) -> Floats:
        """The faces of n shots, each like the one before as far as the world has it."""
        own = self.chance.normal(size=n)
        keeps = self.world.together
        made = np.empty(n)
        for i in range(n):
            self.last = keeps * self.last + np.sqrt(1 - keeps**2) * own[i]
            made[i] = self.last
        return made


def _launches(
    build: HiddenBuild, swings: Swings, n: int, *, fresh: bool
) -> tuple[dict[str, Floats], NDArray[np.bool_], Floats]:
    """n swings: what leaves the face, which were missed, and the share of speed that was there. fresh: warm, rested and
    used to the club, as in truth."""
    chance, who, world = swings.chance, swings.golfer, swings.world
    at = swings.done + np.arange(n)
    swings.done += n
    there = np.ones(n) if fresh else 1 - who.cold * np.exp(-at / 4) - who.tires * np.maximum(at - 25, 0)
    wide = build.wide * (np.ones(n) if fresh else np.where(np.arange(n) < 3, 1.15, 1.0))
    faces = swings.normals(n)
    strike = 1 - chance.exponential(size=n) if world.skew else chance.normal(size=n)
    strike = world.together * faces + np.sqrt(1 - world.together**2) * strike
    missed = chance.random(n) < build.misses
    lost = np.where(missed, np.minimum(chance.exponential(build.cost, n) + 0.02, 0.4), 0.0)
    drawn = who.side * (chance.exponential(size=n) - 1) if world.skew else 0.0
    face = who.face_deg + who.face_sd * wide * np.where(missed, 1.5, 1.0) * (
        0.8 * faces + 0.6 * drawn if world.skew else faces
    )
    path = who.path_deg + who.path_sd * chance.normal(size=n)
    launch = build.launch_deg + who.launch_sd * wide * chance.normal(size=n) - np.where(missed, 1.0, 0.0)
    attack = chance.normal(-2.5, 0.8, n)
    loft = attack + np.maximum(1.3 * (launch - attack), 6.0)
    whole = face + build.closed_deg
    swung = there * (1 + SWUNG * who.speed_share * chance.normal(size=n))
    speed = build.ball_mps * swung * (1 + STRUCK * who.speed_share * wide * strike) * (1 - lost)
    axis = np.degrees(np.arctan2(np.sin(np.radians(whole - path)), np.sin(np.radians(loft - attack))))
    left = {
        "club_speed_mps": build.club_mps * swung,
        "ball_speed_mps": speed,
        "launch_deg": launch,
        "direction_deg": 0.78 * whole + 0.22 * path,
        "spin_rpm": build.spin_rpm * (1 + who.spin_share * wide * chance.normal(size=n)) * there,
        "axis_deg": np.clip(axis + build.axis_deg + chance.normal(0, 2.0, n) * wide, -70, 70),
        "attack_deg": attack,
        "path_deg": path,
        "face_deg": whole,
        "dynamic_loft_deg": loft,
    }
    return left, missed, there


LAUNCHED = ("ball_speed_mps", "launch_deg", "spin_rpm", "direction_deg", "axis_deg")


def _swung(build: HiddenBuild, swings: Swings, n: int) -> Swung:
    """n swings as the monitor reads them."""
    left, missed, there = _launches(build, swings, n, fresh=False)
    chance, world = swings.chance, swings.world
    flight = fly(Launch(*(left[key] for key in LAUNCHED)), ball=swings.golfer.ball, scales=swings.golfer.scales)
    run = run_out(flight.landing_speed_mps, flight.landing_deg, flight.landing_spin_rpm, FAIRWAY[Firmness.MEDIUM]).run_m
    wrong = np.where(chance.random(n) < world.misreads, chance.choice([0.72, 0.8, 0.88, 1.12, 1.2], n), 1.0)
    carry = flight.carry_m * (1 + swings.carry_off) * (1 + 0.004 * chance.normal(size=n)) * wrong
    true_side = np.degrees(np.arctan2(flight.offline_m, np.maximum(flight.carry_m, 1.0)))
    side = np.radians(true_side + swings.side_off + 0.2 * chance.normal(size=n))
    off: dict[str, Floats | float] = {
        "ball_speed_mps": 0.004 * left["ball_speed_mps"], "launch_deg": 0.2, "direction_deg": 0.3, "attack_deg": 0.5,
        "spin_rpm": 0.02 * left["spin_rpm"], "axis_deg": 0.7, "path_deg": 0.6, "face_deg": 0.5, "dynamic_loft_deg": 0.6,
        "club_speed_mps": 0.008 * left["club_speed_mps"],
    }  # fmt: skip
    readings = {key: values + off[key] * chance.normal(size=n) for key, values in left.items()}
    readings["direction_deg"] = readings["direction_deg"] + swings.side_off
    readings |= {
        "carry_m": carry,
        "total_m": carry + run,
        "offline_m": carry * np.tan(side),
        "peak_m": flight.peak_m * (1 + 0.01 * chance.normal(size=n)),
        "landing_deg": flight.landing_deg + 0.5 * chance.normal(size=n),
    }
    return Swung(readings, missed, flight.carry_m / there**SPEED_POWER, true_side)


@dataclass(frozen=True)
class Flown:
    """Very many shots of one build as it is in truth, arrays (n,): carry in metres, side and landing in degrees; run on
    each job in metres, (jobs, n)."""

    carry_m: Floats
    side_deg: Floats
    landing_deg: Floats
    run_m: Floats
    missed: NDArray[np.bool_]

    def strokes(self, jobs: tuple[Job, ...], drive_m: float) -> Floats:
        """Strokes to hole out from each job, (jobs,)."""
        made = []
        for job, run in zip(jobs, self.run_m, strict=False):
            ends, stops = ends_at(job, drive_m), self.carry_m + run
            left = ends.of(stops - job.distance_m, np.abs(stops * np.tan(np.radians(self.side_deg))))
            if job.carry_over_m:
                left = np.where(self.carry_m < job.carry_over_m, ends.not_carried, left)
            made.append(1 + float(left.mean()))
        return np.array(made)

    def at(self, yardages: Yardages, drive_m: float) -> Floats:
        """Strokes to hole out from each yardage on a usual green, the last of the jobs that it was flown for: with the
        stock swing or one eased to it, whichever leaves less, (Y,)."""
        ends, run = ends_at(USUAL_GREEN, drive_m), self.run_m[-1]
        typical = float((self.carry_m + run)[~self.missed].mean())
        side, middle = np.tan(np.radians(self.side_deg)), float(self.carry_m[~self.missed].mean())
        made = []
        for at in yardages.at_m:
            left = [ends.of(self.carry_m + run - at, np.abs((self.carry_m + run) * side))]
            share = (at - (typical - middle)) / middle
            if LEAST_LONG <= share < 1:
                wide = float(wider_at(share)) * (1 + 10 * LONG_WIDER * (1 - share))
                eased = share * (middle + wide * (self.carry_m - middle))
                left.append(ends.of(eased + run - at, np.abs((eased + run) * side)))
            made.append(1 + min(float(each.mean()) for each in left))
        return np.array(made)

    def done(
        self, jobs: tuple[Job, ...], feared: Miss, *, longer: float = 1.0, righter: float = 0.0
    ) -> tuple[Floats, Floats]:
        """The share that does each job and the share that reaches it and misses to the feared side, (jobs,) each, were
        it `longer` times as long and `righter` degrees further right."""
        carry, side = self.carry_m * longer, np.tan(np.radians(self.side_deg + righter))
        made, lost = [], []
        for job, run in zip(jobs, self.run_m, strict=False):
            stops, (near, far) = carry + run, ends_of(job)
            deep = (carry >= least_carry(job)) & (stops >= near) & (stops <= far)
            away = stops * side
            made.append(float((deep & (np.abs(away) <= job.width_m / 2)).mean()))
            past = -away if feared is Miss.LEFT else away
            lost.append(float((deep & (past > job.width_m / 2)).mean()))
        return np.array(made), np.array(lost)


def _truth(
    build: HiddenBuild, golfer: Golfer, world: World, jobs: tuple[Job, ...], seed: int, n: int = TRUTH_SHOTS
) -> Flown:
    """One seed for all builds, so that they differ by the builds alone."""
    swings = Swings(golfer, world, np.random.default_rng(seed))
    left, missed, _ = _launches(build, swings, n, fresh=True)
    flight = fly(Launch(*(left[key] for key in LAUNCHED)), ball=golfer.ball, scales=golfer.scales)
    runs = []
    for number, job in enumerate(jobs):
        course = np.random.default_rng([seed, number])
        if world.rolls:
            a_degree = metres(course.uniform(0.5, 1.0))
            run = np.maximum(a_degree * (56 - flight.landing_deg), 0) * course.uniform(0.7, 1.3)
        else:
            patches = np.exp(course.normal(0, 0.15, (4, n)))
            landed = (flight.landing_speed_mps, flight.landing_deg, flight.landing_spin_rpm)
            run = run_out(*landed, job.turf.patched(patches)).run_m * np.exp(course.normal(0, 0.3))
        runs.append(run)
    side = np.degrees(np.arctan2(flight.offline_m, np.maximum(flight.carry_m, 1.0)))
    return Flown(flight.carry_m, side, flight.landing_deg, np.stack(runs), missed)


@dataclass
class Staged(Fitting):
    """A fitting of a world. flown: its builds in truth by letter; usual: as they would be, did the player spread and
    miss with each of them as he does with its kind."""

    flown: dict[str, Flown] = field(default_factory=dict)
    usual: dict[str, Flown] = field(default_factory=dict)
    middle_m: float = 0.0
    beside: tuple[TriedOut, ...] = ()
    drive_m: float = 0.0

    def saved(self, letter: str) -> float:
        """Strokes a round that the bag with a build in it saves in truth beside that of today: the clubs on both sides
        and over every yardage where there is a bag, else the player's own club and on the named jobs."""
        uses = np.array([job.uses_per_round for job in self.jobs])
        mine = [each.letter for each in (*self.beside, *([self.own] if self.own is not None else []))]
        on_jobs = {each: self.flown[each].strokes(self.jobs, self.drive_m) for each in (*mine, letter)}
        before = np.min([on_jobs[each] for each in mine], axis=0)
        total = float(uses @ (before - np.minimum(before, on_jobs[letter])))
        if self.beside:
            found = usual_yardages(self.drive_m, self.jobs)
            low, high = (self.flown[each.letter].carry_m.mean() for each in self.beside)
            there = (found.at_m >= 0.93 * low) & (found.at_m <= high + metres(28))
            yardages = Yardages(found.at_m[there], found.uses[there])
            at = {each: self.flown[each].at(yardages, self.drive_m) for each in (*mine, letter)}
            left = np.min([at[each] for each in mine], axis=0)
            total += float(yardages.uses @ (left - np.minimum(left, at[letter])))
        return total

    def cost(self, letter: str) -> float:
        """Strokes a round on the named jobs with one build alone."""
        uses = np.array([job.uses_per_round for job in self.jobs])
        return float(uses @ self.flown[letter].strokes(self.jobs, self.drive_m))

    def oracle(self) -> str:
        """The build that one would choose who knows the player, the ground and the law of the builds, how each of them
        launches and lands, and the shots as they were: all but where each build's shots gather and what it spreads and
        misses beside others of its kind."""
        sides, errors, known = {}, {}, {}
        for letter in (each.letter for each in self.tried):
            seen, true = self.swung[letter], self.usual[letter]
            good = ~seen.missed
            n, fine = max(int(good.sum()), 1), ~true.missed
            carry, spread = float(true.carry_m[fine].mean()), float(true.carry_m[fine].std())
            weight = BUILD_CARRY_M**2 / (BUILD_CARRY_M**2 + spread**2 / n)
            mean = weight * float(seen.carry_m[good].mean() if good.any() else carry) + (1 - weight) * self.middle_m
            known[letter] = mean / carry, np.sqrt((1 - weight) * BUILD_CARRY_M**2) / carry
            sides[letter] = float(seen.side_deg.mean())
            errors[letter] = float(true.side_deg.std()) / np.sqrt(seen.side_deg.size)
        own = np.hypot(FACE_TO_SIDE * BUILD_CLOSED_DEG, AXIS_TO_SIDE * BUILD_AXIS_DEG)
        weights = {letter: 1 / (error**2 + own**2) for letter, error in errors.items()}
        common = sum(weights[e] * sides[e] for e in sides) / (sum(weights.values()) + 1 / SIDE_SD_DEG**2)
        chance = np.random.default_rng(5)
        draws = chance.normal(size=(2, 30))
        worth = {}
        for letter, (longer, unsure) in known.items():
            part = own**2 / (own**2 + errors[letter] ** 2)
            side = part * sides[letter] + (1 - part) * common - float(self.usual[letter].side_deg.mean())
            wide = np.sqrt((1 - part) * own**2)
            made = [self._made(letter, longer + unsure * a, side + wide * b) for a, b in draws.T]
            worth[letter] = float(np.mean(made))
        return max(worth, key=lambda letter: (worth[letter], letter))

    def _made(self, letter: str, longer: float, righter: float) -> float:
        made, lost = self.usual[letter].done(self.jobs, self.feared.miss, longer=longer, righter=righter)
        uses = np.array([job.uses_per_round for job in self.jobs])
        return float(uses @ (made - self.feared.shots * lost) / uses.sum())


def _golfer(chance: np.random.Generator, world: World) -> Golfer:
    kind = int(chance.integers(len(ALIKE)))
    wide = float(np.exp(chance.normal(0, 0.3)))
    return Golfer(
        speed_share=0.024 * wide,
        launch_sd=1.1 * wide * float(np.exp(chance.normal(0, 0.2))),
        spin_share=0.09 * float(np.exp(chance.normal(0, 0.2))),
        face_deg=float(chance.normal(0, 0.8)),
        face_sd=1.5 * wide * float(np.exp(chance.normal(0, 0.2))),
        path_deg=float(chance.normal(0, 1.5)),
        path_sd=1.2 * float(np.exp(chance.normal(0, 0.2))),
        misses=float(chance.uniform(0.03, 0.28)),
        cost=float(chance.uniform(0.04, 0.12)),
        cold=float(chance.uniform(*world.cold)),
        tires=float(chance.uniform(*world.tires)),
        smash=float(chance.uniform(1.36, 1.46)),
        ball=ALIKE[kind],
        scales=FlightScales(float(np.exp(chance.normal(0, 0.02))), float(np.exp(chance.normal(0, 0.03)))),
        side=float(chance.choice([-1.0, 1.0])),
    )


def _jobs(chance: np.random.Generator, middle: float) -> tuple[Job, ...]:
    firm = Firmness(chance.choice([each.value for each in Firmness]))
    width, depth = metres(chance.uniform(20, 36)), metres(chance.uniform(20, 34))
    at = middle + metres(chance.uniform(2, 10))
    jobs = [Job("Green", JobKind.GREEN, at, firm, width_m=width, depth_m=depth)]
    if chance.random() < 0.6:
        jobs.append(Job("Tee", JobKind.TEE, middle + metres(chance.uniform(0, 14)), firm, width_m=metres(30)))
    return tuple(jobs)


def _build(chance: np.random.Generator, golfer: Golfer, middle: float, carry_sd: float) -> HiddenBuild:
    kind = list(KINDS)[int(chance.choice(4, p=[each[3] for each in KINDS.values()]))]
    launch, spin, wide, _ = KINDS[kind]
    launch += 0.10 * (185 - middle / metres(1)) + BUILD_LAUNCH_DEG * chance.normal()
    spin *= float(np.exp(BUILD_SPIN * chance.normal()))
    wanted, ball = middle + carry_sd * chance.normal(), 58.0
    for _ in range(5):
        carries = fly(Launch(ball, launch, spin), ball=golfer.ball, scales=golfer.scales).carry_m[0]
        ball *= (wanted / carries) ** (1 / SPEED_POWER)
    # A player swings clubs of one length about alike; a head that sends the ball further has more smash.
    usual = CLUB_MPS * (middle / metres(185)) ** (1 / SPEED_POWER) * (1.42 / golfer.smash)
    return HiddenBuild(
        kind=kind,
        club_mps=usual * float(np.exp(BUILD_SPEED * chance.normal())),
        ball_mps=float(ball),
        launch_deg=launch,
        spin_rpm=spin,
        closed_deg=float(chance.normal(0, BUILD_CLOSED_DEG)),
        axis_deg=float(chance.normal(0, BUILD_AXIS_DEG)),
        wide=wide * float(np.exp(BUILD_WIDE * chance.normal())),
        misses=float(np.clip(golfer.misses * np.exp(BUILD_MISSES * chance.normal()), 0.01, 0.4)),
        cost=golfer.cost * wide**2,
    )


def draw_world(
    name: str, seed: int, number: int, *, shop: bool = False, own: bool = False, bag: bool = False
) -> Staged:
    """Fitting `number` of a series in a world of `WORLDS`; the same name, seed and number always make the same one.
    shop: with a price on each build and a side that two players in three fear; own: with a club of the player's own;
    bag: with a hole between two clubs of his, whose carries he says, in place of a window that is given."""
    world = WORLDS[name]
    chance = np.random.default_rng([seed, number, 77])
    golfer = _golfer(chance, world)
    middle = metres(chance.uniform(150, 215))
    jobs = _jobs(chance, middle)
    builds = [_build(chance, golfer, middle, BUILD_CARRY_M) for _ in range(BUILDS)]
    had = _build(chance, golfer, middle, 1.3 * BUILD_CARRY_M)
    if world.alike:
        builds, had = [builds[0]] * BUILDS, builds[0]
    seeds = chance.integers(2**31, size=3)
    beside = np.random.default_rng([seed, number, 78])
    feared = Feared(Miss.LEFT if beside.random() < 0.5 else Miss.RIGHT, list(Fear)[int(beside.integers(3))])
    prices = {letter: float(10 * beside.integers(18, 42)) for letter in LETTERS[:BUILDS]}
    feared = feared if shop else NOTHING_FEARED
    there = dict(zip(LETTERS, builds, strict=False)) | ({OWN: had} if own else {})
    if bag:
        half = metres(np.random.default_rng([seed, number, 79]).uniform(*GAP_YD)) / 2
        sides = np.random.default_rng([seed, number, 80])
        there |= {name: _build(sides, golfer, middle + way * half, 0.0) for name, way in (("low", -1), ("high", 1))}
    flown = {
        letter: _truth(build, golfer, world, (*jobs, USUAL_GREEN), int(seeds[0])) for letter, build in there.items()
    }
    usual = {
        letter: _truth(_as_usual(build, golfer), golfer, world, jobs, int(seeds[0]), USUAL_SHOTS)
        for letter, build in there.items()
        if letter not in BESIDE
    }
    tried = {letter: _tried(letter, there[letter], flown[letter], jobs, feared) for letter in there}
    swings = Swings(golfer, world, np.random.default_rng(int(seeds[1])))
    swings.carry_off = world.day_carry * float(beside.normal())
    swings.side_off = world.day_side_deg * float(beside.normal())
    swing: Callable[[TriedOut, int], Swung] = lambda build, count: _swung(there[build.letter], swings, count)  # noqa: E731
    return Staged(
        jobs=jobs,
        window=(middle - metres(4), middle + metres(4)),
        tried=tuple(tried[letter] for letter in LETTERS[:BUILDS]),
        swing=swing,
        indoors=False,
        chance=np.random.default_rng(int(seeds[2])),
        calls=CALLS,
        own=tried.get(OWN),
        feared=feared,
        prices=prices if shop else {},
        flown=flown,
        usual=usual,
        middle_m=middle,
        beside=tuple(tried[name] for name in BESIDE if name in tried),
        drive_m=LONGER_DRIVE * (middle + metres(GAP_YD[1] / 2 if bag else 10)),
    )


def _as_usual(build: HiddenBuild, golfer: Golfer) -> HiddenBuild:
    """A build hit as its kind usually is by this player."""
    return replace(build, wide=KINDS[build.kind][2], misses=golfer.misses)


def _tried(letter: str, build: HiddenBuild, flown: Flown, jobs: tuple[Job, ...], feared: Feared) -> TriedOut:
    made, lost = flown.done(jobs, feared.miss)
    good = ~flown.missed
    club = SwungClub(build.kind, 22.0, 1.0)
    return TriedOut(
        letter, club, tuple(made), float(flown.carry_m[good].mean()), float(flown.landing_deg[good].mean()), tuple(lost)
    )
