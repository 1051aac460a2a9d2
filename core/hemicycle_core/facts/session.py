"""All that is known of a session, frozen: every answer is worked out from this and from nothing else."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field

from ..bag import HeadType
from ..brief import Job, JobKind
from ..flight import Air
from ..judge import Liking
from ..judge.feel import HitSoFar, last_said, liking, to_ask
from ..kept import OnlyFields, lazily
from ..monitor import Monitor
from ..protocols.stop.ask import Seen, StopGreen
from ..rack import HeadRecord
from ..rack.eligible import why_not
from ..runs import Ball
from ..shots import Shot
from ..thresholds import DEFAULT, Thresholds
from .brief import Brief, BriefJob, jobs_of
from .club import Club, HeadKnown
from .run import RunAsked, Visit
from .space import Space


@dataclass(frozen=True)
class HitShot:
    """A shot in the order of the session. club: the number of its club; here: hit here, and not out of a file."""

    club: int
    shot: Shot
    air: Air
    here: bool = True
    protocol: str = ""
    struck_ball: Ball = Ball.OWN


@dataclass(frozen=True)
class Overruled:
    """A target that the fitter set; cleared: and took back."""

    slot: int
    quantity: str
    low: float | None
    high: float | None
    cleared: bool = False


@dataclass(frozen=True)
class TargetThen:
    """A target as it was kept once."""

    quantity: str
    low: float | None
    high: float | None


@dataclass(frozen=True)
class IronsThen:
    """The irons when wedges were last hit, name and stated loft, and the day in words."""

    irons: frozenset[tuple[str, float | None]]
    day: str


@dataclass(frozen=True, eq=False)
class Facts(OnlyFields):
    """clubs: in the order they were made, those taken off the stand too; hit: every shot that counts or was set aside,
    in order. in_hand: a club's number. heads: of the rack. records: what the shop knows of its heads, where something
    that was not hit is on the stand. first_targets: by slot, as they were first kept, empty where they never moved.
    shop_thresholds: before the brief says otherwise. stop_green: None before a stop test was set."""

    visit: Visit
    brief: Brief
    space: Space
    asked: RunAsked
    jobs: Sequence[BriefJob] = ()
    clubs: Sequence[Club] = ()
    hit: Sequence[HitShot] = ()
    left_handed: bool = False
    monitor: Monitor = field(default_factory=Monitor)
    in_hand: int | None = None
    overruled: Sequence[Overruled] = ()
    first_targets: Sequence[Sequence[TargetThen]] = ()
    heads: Sequence[HeadKnown] = ()
    records: Mapping[str, HeadRecord] = field(default_factory=dict)
    shop_thresholds: Thresholds = DEFAULT
    stop_green: StopGreen | None = None
    seen: Sequence[Seen] = ()
    irons_then: IronsThen | None = None

    # Clubs

    @lazily
    def own(self) -> list[Club]:
        """The player's own clubs."""
        return [club for club in self.clubs if club.is_own and not club.archived]

    @lazily
    def in_favour(self) -> list[Club]:
        """The player's own clubs that are played."""
        return [club for club in self.own if not club.out_of_favour]

    @lazily
    def candidates(self) -> list[Club]:
        return [club for club in self.clubs if club.letter and not club.archived]

    @lazily
    def accepted(self) -> list[Club]:
        """The candidates that were taken into the bag for the time being."""
        return [club for club in self.candidates if club.accepted]

    @lazily
    def replaced(self) -> list[Club]:
        """The player's own clubs whose place a build took that was taken in for the time being."""
        gone = {club.taken.get("replaces") for club in self.accepted if club.taken}
        return [club for club in self.in_favour if club.key in gone and not club.fixed]

    @lazily
    def in_bag(self) -> list[Club]:
        """The bag as it is played: without what is out of favour, and with what was taken in in its place."""
        return [*(club for club in self.in_favour if club not in self.replaced), *self.accepted]

    @lazily
    def by_key(self) -> dict[int, Club]:
        return {club.key: club for club in self.clubs}

    @lazily
    def wedges(self) -> list[Club]:
        """Every wedge that is there, the player's own first."""
        return [club for club in (*self.own, *self.candidates) if club.is_wedge]

    # What is reckoned with

    @lazily
    def thresholds(self) -> Thresholds:
        """The shop's thresholds with what the brief says of this customer."""
        price = self.brief.stroke_price
        return self.shop_thresholds.of_customer(None if price is None else float(price), list(self.brief.round_shots))

    @lazily
    def core_jobs(self) -> list[Job]:
        """The jobs with their uses in a usual round."""
        return jobs_of(self.brief, self.jobs)

    @lazily
    def played(self) -> list[tuple[BriefJob, Job]]:
        """The jobs that shots can be put on; what comes out of a greenside bunker is not among them."""
        return [(job, core) for job, core in zip(self.jobs, self.core_jobs, strict=True) if core.played_out]

    @property
    def played_jobs(self) -> list[Job]:
        return [core for _, core in self.played]


def air_of(facts: Facts, club: Club) -> Air:
    """The air a club was last hit in; that of the session when it was not."""
    if club.airs:
        return club.airs[-1]
    return Air(altitude_m=facts.visit.altitude_m, temperature_c=facts.visit.temperature_c)


def next_heads(facts: Facts, club: Club) -> tuple[tuple[float, float], ...] | None:
    """Loft and length of the heads of a club's kind that this player can have; None where the rack is not known."""
    there = {
        (head.loft_deg, head.length_m)
        for head in facts.heads
        if head.rack.head_type is club.head_type and not why_not(head.rack, left_handed=facts.left_handed)
    }
    return tuple(sorted(there)) if facts.heads else None


def answered(club: Club) -> bool:
    """Whether the player said anything of this club."""
    return club.liking != Liking.NEUTRAL or last_said(club.felt) is not None


def for_the_tee(facts: Facts) -> bool:
    """Whether most of what is named for the new club is off the tee."""
    tee = sum(job.uses_per_round for job in facts.core_jobs if job.kind is JobKind.TEE)
    return tee > sum(job.uses_per_round for job in facts.core_jobs) / 2


def liking_of(facts: Facts, club: Club) -> Liking:
    """What the player said of this club, else of its maker, else of its kind of head in the brief; a veto of either
    stands."""
    asked = liking(club.felt, off_tee=for_the_tee(facts))
    said = club.liking if asked is not Liking.VETOED else asked
    if said == Liking.NEUTRAL and last_said(club.felt) is not None:
        return asked
    if said == Liking.NEUTRAL and not club.is_own:
        kind = facts.brief.likes.get(HeadType(club.head_type), said)
        maker = facts.brief.maker_likes.get(club.head.maker if club.head else "", said)
        said = kind if kind == Liking.VETOED or maker == Liking.NEUTRAL else maker
    return Liking(said)


def next_to_ask(facts: Facts, asked_at: Mapping[int, int]) -> Club | None:
    """The build whose feel is to be asked on the player's screen. asked_at: how often each was hit when it was asked
    about."""
    counts = dict.fromkeys(facts.by_key, 0)
    for each in facts.hit:
        counts[each.club] += each.here
    stand = [HitSoFar(club.key, counts[club.key], asked_at.get(club.key)) for club in facts.candidates]
    wanted = to_ask(stand, facts.in_hand)
    return next((club for club in facts.candidates if club.key == wanted), None)
