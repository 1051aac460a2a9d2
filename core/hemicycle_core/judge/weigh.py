"""All builds of a session read together and played out on its jobs."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field, replace

import numpy as np
from numpy.typing import NDArray

from ..bag import HeadType
from ..bag.clubs import LENGTH_SD_M, length_known
from ..brief import NOTHING_FEARED, Feared, Job, JobKind
from ..flight import Air, Anchor
from ..flight.error import BESIDE_NEIGHBOURS
from ..impact import Lie, smash_at
from ..said import Said, plain, say
from ..samples.drift import REFERENCE_LENGTH_M, SPEED_SHARE_PER_M
from ..samples.group import Group
from ..samples.pool import Centre, Pool, pool
from ..shots import Shot, Source, columns_of
from ..units import metres
from .candidate import Candidate
from .doubt import doubt, source_of
from .eased import EasedClub, Eases, can_ease, curve_of, eased_to, eases, eases_of, mean_launch, part_swings
from .from_lie import FromLie, from_lie, landings_from
from .from_wind import InWind, Wind, all_winds, blown, in_wind, landing_in, launch_of, met_in, over_all, winds_of
from .landings import Landings, RollOut, landings, runs_on
from .play import Doubts, Played, Possible, lying, normals_of, out_of_reach, play, possible, rounds
from .strokes import USUAL_DRIVE_M

Floats = NDArray[np.float64]


KEEP = "the bag of today"
OWN = "own "
# What a monitor may have wrong of every shot of a day, set up a little off or warm: of carry, and of the line.
DAY_CARRY_SHARE, DAY_SIDE_DEG = 0.012, 0.4
FAR_SHARE = 0.25  # of carry: further off than any good shot strays


def letter_of_own(name: str) -> str:
    """The letter under which one of the player's clubs is weighed."""
    return OWN + name


def is_own(letter: str) -> bool:
    """Whether a letter is that of one of the player's clubs."""
    return letter.startswith(OWN)


def called(letter: str) -> Said:
    """What is weighed under a letter, as it is called in a sentence."""
    return say("own-club", name=letter.removeprefix(OWN)) if is_own(letter) else plain(letter)


# The green that a yardage nobody named is played at: of usual size, medium.
USUAL_GREEN = Job("a usual green", JobKind.GREEN, metres(150), width_m=metres(26), depth_m=metres(28))


@dataclass(frozen=True)
class Swing:
    """A club as this player swings it, struck as often well and badly as he does. carry_m: of its stock shots; run: on
    a usual green; part: what its part swings are played out by, None of a club that is not eased at a flag."""

    name: str
    head_type: HeadType
    may_be: Possible
    carry_m: float
    run: RollOut
    part: EasedClub | None = None


Ground = tuple["FromLie | None", list[tuple["InWind | None", RollOut]]]


@dataclass(frozen=True)
class Weighed:
    """What is known of each build by letter: its centre, and its jobs played out with the successful shots a round
    for each possible player, (DRAWS,), less what is feared. hit: shots of each, those that count in part as parts;
    under KEEP of the player's own clubs, on average. in_play: how often each stays on the fairway that is to be
    held, where that is asked, off_tee: what each leaves from the tee there; grounds: of each, job by job, what lie
    and winds do and how it runs there. clean: the same, were every job met from a clean lie; None where all are.
    eases: how well the player eases off."""

    pooled: Pool
    centres: Mapping[str, Centre]
    played: Mapping[str, tuple[Played, ...]]
    rounds: Mapping[str, Floats]
    hit: Mapping[str, float] = field(default_factory=dict)
    feared: Feared = NOTHING_FEARED
    in_play: Mapping[str, Played] = field(default_factory=dict)
    off_tee: Mapping[str, Played] = field(default_factory=dict)
    clean: Weighed | None = None
    eases: Eases = field(default_factory=Eases)
    swings: Mapping[str, Swing] = field(default_factory=dict)
    drive_m: float = USUAL_DRIVE_M
    uses: float | None = None
    grounds: Mapping[str, tuple[Ground, ...]] = field(default_factory=dict)

    def moved(self, letter: str, further_m: float, steeper_deg: float, error_m: float) -> tuple[Swing, list[Played]]:
        """A build that carries so much further and lands so much steeper than it was hit, as a turn of its sleeve is
        predicted to make it, and the jobs played out with it. error_m: one standard deviation of further_m."""

        def run_of(run: RollOut) -> RollOut:
            return replace(run, typical_m=max(run.typical_m + run.per_degree_m * steeper_deg, 0.0))

        swing = self.swings[letter]
        z = normals_of(f"{swing.name} turned", 1)[0]
        may_be = replace(swing.may_be, carry_m=swing.may_be.carry_m + further_m + error_m * z)
        made = replace(swing, carry_m=swing.carry_m + further_m, may_be=may_be, run=run_of(swing.run))
        jobs = [each.job for each in self.played[letter]]
        return made, [
            play_job(made, lie, [(wind, run_of(run)) for wind, run in ways], job, self.drive_m)
            for (lie, ways), job in zip(self.grounds[letter], jobs, strict=True)
        ]

    def better(self, first: str, second: str) -> float:
        """Chance that the first does more of the jobs than the second."""
        a, b = self.rounds[first], self.rounds[second]
        return float((a > b).mean() + 0.5 * (a == b).mean())

    def gain(self, first: str, second: str) -> float:
        """How many more successful shots a round the first makes, on average."""
        return float((self.rounds[first] - self.rounds[second]).mean())

    def by_at_least(self, first: str, second: str, shots: float) -> float:
        """Chance that the first makes so many successful shots a round more than the second."""
        return float((self.rounds[first] - self.rounds[second] >= shots).mean())


def usable(shots: Sequence[Shot]) -> list[Shot]:
    """Stock shots that carry, in an order of their own, so that the order they were hit in changes nothing."""
    there = [shot for shot in shots if shot.counts and (shot.get("carry_m") or 0) > 0]
    return sorted(there, key=lambda shot: (shot.values["carry_m"], abs(shot.values.get("offline_m", 0.0)), shot.aside))


def group_of(candidate: Candidate, shots: Sequence[Shot]) -> Group:
    """A candidate's usable shots as the pool reads them."""
    seen = columns_of(
        shots,
        (
            "carry_m",
            "offline_m",
            "club_speed_mps",
            "ball_speed_mps",
            "face_deg",
            "path_deg",
            "attack_deg",
            "dynamic_loft_deg",
        ),
    )
    loft = np.nan if candidate.loft_deg is None else candidate.loft_deg
    length, unsure = length_known(candidate.head_type, candidate.loft_deg, candidate.length_m)
    return Group(
        head_type=candidate.head_type,
        carry_m=seen["carry_m"],
        side_deg=np.degrees(np.arctan2(seen["offline_m"], seen["carry_m"])),
        called=np.array([shot.aside for shot in shots], dtype=bool),
        delivery={
            "speed": np.log(seen["club_speed_mps"] / (1 + SPEED_SHARE_PER_M * (length - REFERENCE_LENGTH_M))),
            "face_deg": seen["face_deg"],
            "path_deg": seen["path_deg"],
            "attack_deg": seen["attack_deg"],
            "lean_deg": seen["dynamic_loft_deg"] - loft,
            "strike": np.log(
                seen["ball_speed_mps"]
                / seen["club_speed_mps"]
                / smash_at(seen["dynamic_loft_deg"] - seen["attack_deg"])
            ),
        },
        order=np.array([np.nan if shot.order is None else shot.order for shot in shots], dtype=float),
        strange=not candidate.own,
        length_m=length,
        length_sd_m=unsure if candidate.length_stated else max(unsure, LENGTH_SD_M[0]),
    )


def doubts_of(candidate: Candidate) -> Doubts:
    """The flight model's part in a candidate's carry and landing. Most of it is common to one player's builds;
    what a monitor modelled is as far from truth as what we compute, when it comes to the jobs."""
    off = doubt(
        candidate.shots,
        anchored=candidate.anchored,
        air=candidate.air,
        against_truth=True,
        monitor=candidate.monitor,
    )
    carries = [shot.values["carry_m"] for shot in candidate.shots if "carry_m" in shot.values]
    if source_of(candidate.shots, "carry_m") is Source.MEASURED or not carries:
        return Doubts(DAY_CARRY_SHARE, 0.0, off.landing_deg, DAY_SIDE_DEG)
    whole = off.carry_m / float(np.mean(carries))
    own = min(BESIDE_NEIGHBOURS, whole)
    return Doubts(float(np.sqrt(max(whole**2 - own**2, 0.0))), own, off.landing_deg, DAY_SIDE_DEG)


def near(carry_m: float, run: RollOut, job: Job) -> bool:
    """Whether a club can do a job at all: a wedge is not played at a par five."""
    stops = carry_m + run.typical_m
    return abs(stops - job.distance_m) < job.depth_m + FAR_SHARE * carry_m or (
        job.kind is JobKind.TEE and stops > job.distance_m
    )


def weigh(
    candidates: Sequence[Candidate],
    jobs: Sequence[Job],
    feared: Feared = NOTHING_FEARED,
    off_tee: tuple[Job, Job] | None = None,
    drive_m: float = USUAL_DRIVE_M,
) -> Weighed:
    """Pool the candidates that have a shot and play each of them on every job. off_tee: the fairway to be held, which
    any length reaches, and the same at the length that strokes are counted from."""
    named, jobs = list(jobs), [*jobs, *(off_tee or ())]
    there = [(each, shots) for each in candidates if (shots := usable(each.shots))]
    airs = [each.air or Air() for each, _ in there]
    anchored = there[0][0].anchored if there else Anchor()
    kinds = [each.head_type for each, _ in there]
    hit_by = [shots for _, shots in there]
    landed = landings(hit_by, kinds=kinds, airs=airs, anchored=anchored) if there else []
    groups = [replace(group_of(*each), flown_m=down.flown_m) for each, down in zip(there, landed, strict=True)]
    pooled = pool(groups)
    weights = [1 - poor for poor in pooled.miss]
    carries = [group.carry_m for group in groups]
    lies = _lies(there, jobs)
    down = {None: landed} | {
        lie: landings_from(hit_by, landed, found, airs=airs, anchored=anchored) for lie, found in lies.items()
    }
    winds = _winds(there, jobs, airs, anchored)
    runs = [_runs(down[job.off], weights, carries, job, winds) if there else [] for job in jobs]
    usual = runs_on(landed, weights, carries, USUAL_GREEN) if there else []
    parts, ease = _parts(there, pooled)
    centres = {each.letter: centre for (each, _), centre in zip(there, pooled.centres, strict=True) if centre}
    swings = _swings(there, pooled, usual, parts)
    grounds: dict[str, tuple[Ground, ...]] = {
        each.letter: tuple(
            (
                lies[job.off][index] if job.off else None,
                [(None if wind is None else wind[index], run[index]) for wind, run in ways],
            )
            for ways, job in zip(runs, jobs, strict=True)
        )
        for index, (each, _) in enumerate(there)
    }
    played = {
        letter: tuple(
            play_job(swing, lie, ways, job, drive_m) for (lie, ways), job in zip(grounds[letter], jobs, strict=True)
        )
        for letter, swing in swings.items()
    }
    held, counted = (
        {letter: each[len(named) + number] for letter, each in played.items()} if off_tee else {} for number in (0, 1)
    )
    played = {letter: each[: len(named)] for letter, each in played.items()}
    grounds = {letter: each[: len(named)] for letter, each in grounds.items()}
    made = {letter: rounds(each, feared.of(swings[letter].head_type)) for letter, each in played.items()}
    hit = {letter: each.n for letter, each in centres.items()}
    clean = weigh(candidates, [replace(job, lie=None) for job in named], feared, off_tee, drive_m) if lies else None
    return Weighed(
        pooled, centres, played, made, hit, feared, in_play=held, off_tee=counted, clean=clean, eases=ease,
        swings=swings, drive_m=drive_m, grounds=grounds,
    )  # fmt: skip


def _swings(
    there: Sequence[tuple[Candidate, list[Shot]]],
    pooled: Pool,
    usual: Sequence[RollOut],
    parts: Mapping[str, EasedClub],
) -> dict[str, Swing]:
    """By letter what is played out of each club."""
    made = {}
    for (each, _), centre, run in zip(there, pooled.centres, usual, strict=True):
        assert centre is not None
        may_be = possible(each.key, each.head_type, centre, pooled, doubts=doubts_of(each))
        made[each.letter] = Swing(each.key, each.head_type, may_be, centre.carry_m, run, parts.get(each.letter))
    return made


def _parts(there: Sequence[tuple[Candidate, list[Shot]]], pooled: Pool) -> tuple[dict[str, EasedClub], Eases]:
    """What the part swings of the clubs that are eased are played out by, by letter, and how well the player eases
    off."""
    easy = [
        (each, shots, centre)
        for (each, shots), centre in zip(there, pooled.centres, strict=True)
        if centre is not None and can_ease(each.head_type, each.loft_deg)
    ]
    swings = {each.letter: part_swings(each.shots) for each, _, _ in easy}
    ease = eases([(centre.carry_m, centre.spread_share, swings[each.letter]) for each, _, centre in easy])
    made = {}
    for each, shots, centre in easy:
        numbers = (centre.carry_m, *(swing.carry_m for swing in swings[each.letter] if swing.is_number))
        launch = mean_launch([shot for shot in shots if not shot.aside])
        curve = curve_of(centre.carry_m, launch, air=each.air, anchored=each.anchored)
        own = eases_of(ease, centre.carry_m, centre.spread_share, swings[each.letter])
        made[each.letter] = EasedClub(curve, own, numbers, each.key)
    return made, ease


def _lies(there: Sequence[tuple[Candidate, list[Shot]]], jobs: Sequence[Job]) -> dict[Lie, list[FromLie]]:
    """What each lie of the jobs does to each build, clean ones left out."""
    return {
        lie: [
            from_lie(
                each.shots, shots, lie, each.head_type, loft_deg=each.loft_deg, air=each.air, anchored=each.anchored
            )
            for each, shots in there
        ]
        for lie in sorted({job.off for job in jobs if job.off})
    }


def _winds(
    there: Sequence[tuple[Candidate, list[Shot]]], jobs: Sequence[Job], airs: Sequence[Air], anchored: Anchor
) -> dict[Wind, list[InWind]]:
    """What each wind of the jobs does to each build."""
    asked = all_winds(jobs)
    if not asked or not there:
        return {}
    launches = [
        launch_of(each.head_type, float(np.mean([shot.values["carry_m"] for shot in shots])), shots)
        for each, shots in there
    ]
    read = [mean_launch([shot for shot in shots if not shot.aside]) is not None for _, shots in there]
    return {
        wind: [
            replace(each, read=known)
            for each, known in zip(in_wind(launches, wind, airs=airs, anchored=anchored), read, strict=True)
        ]
        for wind in asked
    }


Ways = list[tuple[list[InWind] | None, list[RollOut]]]


def _runs(
    landed: Sequence[Landings],
    weights: Sequence[Floats],
    carries: Sequence[Floats],
    job: Job,
    winds: Mapping[Wind, list[InWind]],
) -> Ways:
    """How the builds run on the ground of a job, in each wind that it is met in."""
    return [
        (winds[wind], runs_on(landing_in(landed, winds[wind]), weights, carries, job)) for wind in winds_of(job)
    ] or [(None, runs_on(landed, weights, carries, job))]


def play_job(
    swing: Swing, lie: FromLie | None, ways: Sequence[tuple[InWind | None, RollOut]], job: Job, drive_m: float
) -> Played:
    """One club on one job in each of its winds, as often in each. ways: what the wind does, and the run then."""
    played = [play_from(swing, lie, run, job, drive_m, wind) for wind, run in ways]
    return replace(over_all(played), wind=met_in([wind for wind, _ in ways if wind is not None]))


def play_from(
    swing: Swing, lie: FromLie | None, run: RollOut, job: Job, drive_m: float, wind: InWind | None = None
) -> Played:
    """One club on one job from its lie, by its stock swing or, where it is eased, a part swing, whichever does it more
    often. lie: what that lie does to it; run: on the ground of the job, in the wind; wind: what that does to it."""
    carry = swing.carry_m * (lie.carry if lie else 1.0) * (wind.carry if wind else 1.0)
    there = lying(swing.may_be, swing.name, swing.head_type, lie) if lie else swing.may_be
    there = blown(there, wind) if wind else there
    ways = []
    if near(carry, run, job):
        ways.append(play(there, swing.head_type, run, job, lie, drive_m=drive_m))
    if swing.part is not None:
        eased = eased_to(
            there,
            swing.head_type,
            swing.carry_m * (wind.carry if wind else 1.0),
            swing.part,
            run,
            job,
            lie,
            drive_m=drive_m,
        )
        ways += [eased] if eased is not None else []
    if not ways:
        return out_of_reach(job, carry + run.typical_m, drive_m)
    return max(ways, key=lambda each: each.success)
