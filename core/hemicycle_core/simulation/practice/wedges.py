"""Simulated wedge fittings: a player, the wedges of a bag and of a rack, short jobs, and the truth behind them.

Players come in three spreads (a label only: it enters no computation). Five shots a wedge are hit; steps, their
intervals and the bag that is proposed are held against the truth, beside changing nothing and beside equal lofts by the
numbers on the soles.
"""

from __future__ import annotations

import itertools
from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field, replace

import numpy as np
from numpy.typing import NDArray

from ...bag import Carried, GapRule, HeadType, lay_out_slots, usual_rules
from ...bag.gaps import SHORT_STEP
from ...brief import Job, JobKind, Target
from ...decision import BagClub, Decision, Limits, Plan, decide_session
from ...flight import Firmness, run_out
from ...judge import Candidate, Case, Change, ChangeKind, HitClub, predict
from ...judge.play import GROUND_SD, ends_of, least_carry
from ...judge.weigh import letter_of_own
from ...rack.expected import expect, owned
from ...rack.lofts import LoftedHead
from ...said import NOTHING
from ...samples.alike import step_at_one_swing
from ...samples.averages import average, values_of
from ...samples.certainty import certainty
from ...samples.pool import Centre
from ...shots import Shot, Source
from ...units import METRES_PER_INCH, metres, ninety
from ..golfer import Player, Swinging, SwungClub

Floats = NDArray[np.float64]

LEVELS = ("low", "middle", "high")
# Spreads of club speed as a share, of dynamic loft in degrees and of the strike in millimetres, and how often it is
# missed, by judgement.
SPREADS = {"low": (0.010, 0.8, 2.5, 0.03), "middle": (0.015, 1.3, 3.5, 0.06), "high": (0.025, 2.0, 4.5, 0.12)}
CALLS = 0.7  # of the misses the fitter hears
SHOTS = 5
LEFT = np.array([0.20, 0.25, 0.30, 0.38, 0.46, 0.54, 0.62, 0.70, 0.78, 0.86, 0.93, 1.0])
# Carries between one of these swings and the next, as shares of its own: half way to each neighbour in speed.
BETWEEN = {float(at): np.exp(0.8 * np.log(up / at) * np.linspace(-1, 1, 5)) for at, up in itertools.pairwise(LEFT)}
TRUTH_SHOTS = 600
FEEL = 0.02  # of the speed: how far a swing to a yardage that is no number is off, for most
LOFT_OFF_DEG = 0.7  # one standard deviation of what a sole's number is off; the rack's are measured when they come in
GAUGE_DEG = 0.25  # and of what the shop's gauge is off, which a fitter puts every wedge on
CANDIDATES = 3
MOST_NEW, PRICE = 2, 179.0


@dataclass
class WedgeBag:
    """One fitting. own: the player's wedges by name, the set wedge first; rack: lofts that can be had; shots: as they
    were hit; stated: lofts as the soles say, gauge: as they are measured."""

    level: str
    player: Player
    own: dict[str, SwungClub]
    rack: dict[str, SwungClub]
    stated: dict[str, float]
    gauge: dict[str, float]
    irons: dict[str, SwungClub]
    jobs: tuple[Job, ...]
    places: int
    swinging: Swinging
    feel: float
    ground: float
    truth_seed: int
    chance: np.random.Generator
    shots: dict[str, list[Shot]] = field(default_factory=dict)

    @property
    def clubs(self) -> dict[str, SwungClub]:
        return {**self.irons, **self.own, **self.rack}

    def hit(self, name: str, count: int = SHOTS) -> None:
        """Hit a club as a good monitor outdoors measures it; of the misses some are called and set aside."""
        for row in self.swinging.shots(self.clubs[name], count, known=name in self.own or name in self.irons):
            strike = row.pop("strike")
            heard = strike is not None and self.chance.random() < CALLS
            measured = dict.fromkeys(row, Source.MEASURED)
            shot = Shot(row, measured, aside=heard, strike=strike if heard else None)
            self.shots.setdefault(name, []).append(shot)


def draw_bag(seed: int, number: int) -> WedgeBag:
    """Fitting `number` of a series; the same seed and number always make the same one."""
    chance = np.random.default_rng([seed, number, 7])
    level = LEVELS[number % 3]
    speed, loft, strike, missed = SPREADS[level]
    shares = chance.dirichlet([3, 4, 1.5, 1.5]) * missed * float(np.exp(chance.normal(0, 0.2)))
    player = Player(
        speed_mps=float(chance.uniform(28, 41)),
        attack_deg=float(chance.uniform(-5.0, -2.0)),
        lean_deg=float(chance.uniform(6.0, 11.0)),
        path_deg=float(chance.normal(0, 1.5)),
        face_deg=float(chance.normal(0, 0.6)),
        speed_spread=speed,
        loft_spread_deg=loft,
        strike_spread_mm=strike,
        face_spread_deg={"low": 1.2, "middle": 1.6, "high": 2.4}[level],
        misses=dict(zip(("thin", "fat", "toe", "heel"), (float(share) for share in shares), strict=True)),
        warm_up=float(chance.uniform(0, 0.015)),
        tiring=float(chance.uniform(0, 0.0006)),
        ball_drag=float(np.clip(chance.normal(1, 0.02), 0.85, 1.15)),
        ball_lift=float(np.clip(chance.normal(1, 0.02), 0.85, 1.15)),
        eases_off=float(np.clip(np.exp(chance.normal(0, 0.3)), 0.4, 2.5)),
    )
    pw = float(chance.choice([43.0, 44.0, 45.0, 46.0]))
    count = int(chance.integers(1, 4))
    lofts = sorted(float(each) for each in chance.choice([50, 52, 54, 56, 58, 60], size=count, replace=False))
    stated = {"PW": pw, **{f"{each:.0f}": each for each in lofts}}
    off = dict(zip(stated, chance.normal(0, LOFT_OFF_DEG, len(stated)), strict=True))
    own = {name: _wedge(each + float(off[name]), name == "PW") for name, each in stated.items()}
    offered = [48.0, 50.0, 52.0, 54.0, 56.0, 58.0, 60.0]
    rack = {f"R{each:.0f}": _wedge(each + float(chance.normal(0, 0.3)), False) for each in offered}
    stated |= {f"R{each:.0f}": each for each in offered}
    irons = {f"{n}i": SwungClub(HeadType.IRON, pw - step, (35.75 + 0.5 * i) * METRES_PER_INCH)
             for i, (n, step) in enumerate(((9, 5.0), (8, 9.0), (7, 12.5)), 1)}  # fmt: skip
    gauge = {name: club.loft_deg + float(chance.normal(0, GAUGE_DEG)) for name, club in {**own, **rack}.items()}
    truth_seed = int(chance.integers(2**31))
    made = WedgeBag(
        level, player, own, rack, stated, gauge, irons, (), len(own) + 1, Swinging(player, int(chance.integers(2**31))),
        FEEL * float(np.exp(chance.normal(0, 0.3))), float(np.exp(chance.normal(0, GROUND_SD))), truth_seed, chance,
    )  # fmt: skip
    made.jobs = _jobs(chance, made)
    return made


def _wedge(loft_deg: float, of_set: bool) -> SwungClub:
    inches = 35.75 if of_set else 35.5 - (loft_deg - 50) / 16
    # A specialist head is heavier with its weight low and forward: a little less ball speed at one loft.
    return SwungClub(
        HeadType.WEDGE, float(np.clip(loft_deg, 42, 64)), inches * METRES_PER_INCH, face_speed=1.0 if of_set else 0.985
    )


def _jobs(chance: np.random.Generator, bag: WedgeBag) -> tuple[Job, ...]:
    """Three shots at yardages between the ends, a pitch and a chip."""
    top = true_carry(bag, bag.own["PW"])

    def job(name: str, distance_m: float, over: bool, uses: float) -> Job:
        depth = metres(chance.uniform(16, 28))
        return Job(
            name, JobKind.GREEN, distance_m, Firmness(chance.choice([each.value for each in Firmness])),
            carry_over_m=distance_m - depth / 2 - metres(2) if over else None, width_m=metres(chance.uniform(16, 28)),
            depth_m=depth, uses_per_round=uses,
        )  # fmt: skip

    full = [job(f"full {i}", float(share) * top, chance.random() < 0.4, float(chance.uniform(0.5, 1.5)))
            for i, share in enumerate(np.sort(chance.uniform(0.58, 1.02, 3)))]  # fmt: skip
    return (*full, job("pitch", metres(chance.uniform(45, 70)), chance.random() < 0.5, float(chance.uniform(0.5, 1.5))),
            job("short pitch", metres(chance.uniform(25, 40)), False, float(chance.uniform(0.5, 1.5))))  # fmt: skip


def _steady(player: Player) -> Player:
    return replace(player, warm_up=0.0, tiring=0.0)


def true_carry(bag: WedgeBag, club: SwungClub) -> float:
    """Mean carry of the club struck well by the player as he is on a course, metres."""
    swung = Swinging(_steady(bag.player), bag.truth_seed).swing(club, 600, known=True)
    return float(swung.readings["carry_m"][swung.miss < 0].mean())


def true_success(bag: WedgeBag, club: SwungClub) -> Floats:
    """The share of shots that do each job, (J,), with the swing that does it best. A swing between two numbers is off
    by feel. Half the shots choose the swing and the others tell how often it does: the best of many is not so good."""
    player = _steady(bag.player)
    tried: list[list[tuple[float, float]]] = [[] for _ in bag.jobs]
    for row, left in enumerate(LEFT):
        feel = 0.0 if left == 1.0 else bag.feel
        swung = Swinging(player, bag.truth_seed + row).swing(club, TRUTH_SHOTS, known=True, length=float(left))
        stretch = np.exp(1.6 * feel * np.random.default_rng([bag.truth_seed, row]).normal(size=TRUTH_SHOTS))
        flight = swung.flight
        for at, job in enumerate(bag.jobs):
            run = (
                run_out(flight.landing_speed_mps, flight.landing_deg, flight.landing_spin_rpm, job.turf).run_m
                * bag.ground
            )
            for scale in BETWEEN.get(float(left), [1.0]):
                done = _done(job, flight.carry_m * scale * stretch, run, flight.offline_m * scale)
                tried[at].append((float(done[::2].mean()), float(done[1::2].mean())))
    return np.array([max(each)[1] for each in tried])


def _done(job: Job, lands: Floats, run: Floats, offline: Floats) -> NDArray[np.bool_]:
    """Which shots do a job."""
    near, far = ends_of(job)
    stops = lands + run
    inside = np.abs(offline) * stops / np.maximum(lands, 1) <= job.width_m / 2
    done: NDArray[np.bool_] = (lands >= least_carry(job)) & (stops >= near) & (stops <= far) & inside
    return done


def head_of(name: str, bag: WedgeBag) -> LoftedHead:
    club = bag.clubs[name]
    kind = HeadType.IRON if name == "PW" else club.head_type
    return LoftedHead(name, kind, bag.gauge.get(name, club.loft_deg), club.length_m)


def tried_of(bag: WedgeBag) -> list[str]:
    """The heads of the rack that are pulled: those that should land nearest to where an even cut asks for a club, for
    as many wedges as there are and for one more."""
    known = [owned(head_of(name, bag), shots, typed_sd_m=5.0) for name, shots in bag.shots.items()]
    expected = expect([each for each in known if each is not None]).of([head_of(name, bag) for name in bag.rack])
    carries = {each.head.key: each.carry_m for each in expected}
    low, high = ends(bag)
    wanted: list[float] = []
    for between in {max(len(bag.own) - 2, 1), len(bag.own) - 1}:
        if between and high.carry_m > low.carry_m:
            layout = lay_out_slots(low, high, min(between, 4), rule=GapRule.EVEN_STEPS, step=SHORT_STEP)
            wanted += [slot.target_m for slot in layout.slots]
    # And one below the lowest, for the short jobs.
    wanted.append(low.carry_m - metres(12))
    pulled: list[str] = []
    for target in wanted:
        name = min(carries, key=lambda each: abs(carries[each] - target))
        mine = min(abs(club.carry_m - target) for club in carried(bag).values())
        if name not in pulled and mine > metres(4):
            pulled.append(name)
    return pulled[:CANDIDATES]


def carried(bag: WedgeBag) -> dict[str, Carried]:
    """The clubs that were hit as a bag sees them: the mean of the kept shots, with how well it is known."""
    made = {}
    for name, shots in bag.shots.items():
        carry, total = average(values_of(shots, "carry_m")), average(values_of(shots, "total_m"))
        if carry is None or total is None:
            continue
        sure = certainty(carry)
        made[name] = Carried(
            name, bag.clubs[name].head_type, carry.mean, total.mean, bag.stated.get(name), spread_m=sure.spread,
            carry_sd_m=sure.half_width / ninety(1.0), shots=carry.n, of_set=name == "PW",
        )  # fmt: skip
    return made


def ends(bag: WedgeBag) -> tuple[Carried, Carried]:
    clubs = sorted((club for name, club in carried(bag).items() if name in bag.own), key=lambda club: club.carry_m)
    return clubs[0], clubs[-1]


def decided(bag: WedgeBag) -> Decision:
    """What is decided of a bag whose space was to be cut evenly, from the clubs that were hit."""
    clubs = carried(bag)

    def candidate(name: str) -> Candidate:
        kind, own = bag.clubs[name].head_type, name not in bag.rack
        length = bag.clubs[name].length_m
        return Candidate(
            name, name, kind, bag.shots[name], loft_deg=bag.gauge.get(name, bag.clubs[name].loft_deg), length_m=length,
            own=own, price=None if own else PRICE,
        )  # fmt: skip

    low, high = ends(bag)
    between = min(max(bag.places - 2, 1), 4)
    layout = (
        lay_out_slots(low, high, between, rule=GapRule.EVEN_STEPS, step=SHORT_STEP)
        if high.carry_m > low.carry_m
        else None
    )
    cases = []
    for name in (name for name in bag.shots if name in bag.rack and name in clubs):
        if layout is None or clubs[name].carry_m < low.carry_m:
            slot = None
        else:
            slot = min(layout.slots, key=lambda each: abs(each.target_m - clubs[name].carry_m))
        targets = [] if slot is None else [Target("carry_m", slot.low_m, slot.high_m, NOTHING)]
        cases.append(Case(candidate(name), targets, slot=-1 if slot is None else slot.index))
    return decide_session(
        cases,
        jobs=bag.jobs,
        own=[candidate(name) for name in bag.shots if name not in bag.rack],
        bag=[
            BagClub(club, name, fixed=name not in bag.own or name == "PW")
            for name, club in clubs.items()
            if name not in bag.rack
        ],
        builds={name: BagClub(clubs[name], name) for name in clubs if name in bag.rack},
        limits=Limits(bag.places + len(bag.irons), MOST_NEW, without_carry=0),
        rules=usual_rules(GapRule.EVEN_STEPS),
    )


@dataclass
class WedgeScore:
    """Sums over fittings. steps: by level, how far each step was off, metres; inside: whether its 90% interval held it;
    known: the same for success shares of clubs on all jobs. regret: shots a round below the best bag, by way; keep:
    of those kept, what the best bag gains in truth. cut: how far from the middle of the widest step of the own wedges
    the head and bend lie that our reading puts nearest to it, metres; could: the same of the best head and bend there
    is."""

    steps: dict[str, list[float]] = field(default_factory=lambda: {level: [] for level in LEVELS})
    raw: dict[str, list[float]] = field(default_factory=lambda: {level: [] for level in LEVELS})
    inside: list[bool] = field(default_factory=list)
    known: list[bool] = field(default_factory=list)
    off: list[float] = field(default_factory=list)
    regret: dict[str, list[float]] = field(default_factory=lambda: {"nothing": [], "lofts": [], "ours": [], "most": []})
    keep: list[float] = field(default_factory=list)
    changed: list[float] = field(default_factory=list)
    cut: list[float] = field(default_factory=list)
    could: list[float] = field(default_factory=list)

    def add(self, other: WedgeScore) -> None:
        for level, errors in other.steps.items():
            self.steps[level].extend(errors)
            self.raw[level].extend(other.raw[level])
        for way, values in other.regret.items():
            self.regret[way].extend(values)
        for name in ("inside", "known", "off", "keep", "changed", "cut", "could"):
            getattr(self, name).extend(getattr(other, name))


def _rounds(success: Mapping[str, Floats], names: Sequence[str], uses: Floats) -> float:
    return float(uses @ np.stack([success[name] for name in names]).max(axis=0))


def equal_lofts(bag: WedgeBag) -> list[str]:
    """Wedges by the numbers: the set wedge, the most lofted one of the bag and rack heads between in steps as near to
    five degrees as can be."""
    stated = {name: loft for name, loft in bag.stated.items() if name in bag.own}
    top, low = stated["PW"], max(stated.values())
    last = max(stated, key=lambda name: stated[name])
    between = max(min(round((low - top) / 5) - 1, MOST_NEW, bag.places - 2), 0)
    wanted = [top + (low - top) * (i + 1) / (between + 1) for i in range(between)]
    picked = [min(bag.rack, key=lambda name: abs(bag.stated[name] - loft)) for loft in wanted]
    return ["PW", *dict.fromkeys(picked), *([last] if last != "PW" else [])]


def score_bag(bag: WedgeBag) -> WedgeScore:
    """Hit the bag, pull heads, hit them, propose a bag, and hold all of it against the truth."""
    made = WedgeScore()
    for name in (*bag.irons, *bag.own):
        bag.hit(name)
    for name in tried_of(bag):
        bag.hit(name)
    clubs, decision = carried(bag), decided(bag)
    weighed = decision.weighed
    letters = {name: name if name in bag.rack else letter_of_own(name) for name in bag.shots}
    wedges = [name for name in bag.shots if name not in bag.irons and name in clubs]
    there = {*bag.own, *equal_lofts(bag), *wedges}
    truth = {name: true_success(bag, bag.clubs[name]) for name in sorted(there)}
    _score_widest(bag, {name: weighed.centres[letters[name]].carry_m for name in wedges}, made)
    _score_steps(bag, clubs, {name: weighed.centres[letters[name]] for name in wedges}, made)
    uses = np.array([job.uses_per_round for job in bag.jobs])
    for name in wedges:
        for at, played in enumerate(weighed.played[letters[name]]):
            low, high = played.interval
            if 0.02 < truth[name][at] < 0.98:
                made.known.append(bool(low <= truth[name][at] <= high))
                made.off.append(played.success - float(truth[name][at]))
    chosen = [each for each in decision.bag.plan.keys if each in wedges]
    today = _rounds(truth, sorted(bag.own), uses)
    sets = [
        set_
        for size in range(1, bag.places + 1)
        for set_ in itertools.combinations(sorted({*wedges}), size)
        if "PW" in set_ and sum(name in bag.rack for name in set_) <= MOST_NEW
    ]
    by_number = equal_lofts(bag)
    best = max(*(_rounds(truth, set_, uses) for set_ in sets), today, _rounds(truth, by_number, uses))
    ours = _rounds(truth, chosen, uses)
    made.regret["nothing"].append(best - today)
    made.regret["lofts"].append(best - _rounds(truth, by_number, uses))
    made.regret["ours"].append(best - ours)
    most = max(sets, key=lambda each: decision.weigher.worth(Plan(frozenset({*each, *bag.irons}))).saves)
    made.regret["most"].append(best - _rounds(truth, most, uses))
    if set(chosen) == set(bag.own):
        made.keep.append(best - today)
    else:
        made.changed.append(ours - today)
    return made


BENDS = (-2.0, -1.0, 0.0, 1.0, 2.0)


def _score_widest(bag: WedgeBag, seen: Mapping[str, float], made: WedgeScore) -> None:
    """The widest step of the own wedges cut in the middle: by the head that was pulled, hit and bent as its what-if
    says, and by the best that could be had. seen: carries of the wedges, all read together, at one swing. A bag
    with one wedge beside the set wedge has no other step."""
    own = sorted((name for name in bag.own if name in seen), key=lambda name: true_carry(bag, bag.own[name]))
    if len(own) < 2:
        return
    lower, upper = max(itertools.pairwise(own), key=lambda pair: seen[pair[1]] - seen[pair[0]])
    middle = (seen[lower] + seen[upper]) / 2
    true = (true_carry(bag, bag.own[lower]) + true_carry(bag, bag.own[upper])) / 2

    def bent(name: str, by: float) -> float:
        club = bag.rack[name]
        return abs(true_carry(bag, replace(club, loft_deg=club.loft_deg + by)) - true)

    made.could.append(min(bent(name, by) for name in bag.rack for by in BENDS))
    ways: list[tuple[float, str, float]] = []
    for name in (name for name in seen if name in bag.rack):
        ways.append((abs(seen[name] - middle), name, 0.0))
        hit = HitClub(head_type=HeadType.WEDGE, loft_deg=bag.gauge[name])
        turns = [Change(ChangeKind.BEND, by) for by in BENDS if by]
        for each in predict(bag.shots[name], turns, club=hit):
            if each.after:
                off = abs(seen[name] + each.gain("carry_m") - middle)
                ways.append((off, name, each.change.amount))
    if ways:
        _, name, by = min(ways)
        made.cut.append(bent(name, by))


def _score_steps(bag: WedgeBag, clubs: Mapping[str, Carried], centres: Mapping[str, Centre], made: WedgeScore) -> None:
    true = {name: true_carry(bag, bag.clubs[name]) for name in bag.shots if name in clubs}
    row = sorted((name for name in clubs if name not in bag.irons), key=lambda name: true[name])
    for lower, upper in itertools.pairwise(row):
        is_ = true[upper] - true[lower]
        said = step_at_one_swing(centres[lower], centres[upper])
        made.raw[bag.level].append(clubs[upper].carry_m - clubs[lower].carry_m - is_)
        made.steps[bag.level].append(said.step_m - is_)
        made.inside.append(abs(said.step_m - is_) <= said.half_width_m)
