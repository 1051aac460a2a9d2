"""The rows of a session, and as the core's own types: shots, jobs, the air they flew in."""

from __future__ import annotations

from collections import Counter, defaultdict
from dataclasses import dataclass, field
from functools import cached_property

from customers.models import Hand
from hemicycle_core.bag import HeadType
from hemicycle_core.brief import Fear, Feared, JobKind, Miss
from hemicycle_core.brief import Job as CoreJob
from hemicycle_core.flight import Air, Firmness
from hemicycle_core.impact import Lie
from hemicycle_core.judge.feel import Feel as CoreFeel
from hemicycle_core.judge.feel import Hit, to_ask
from hemicycle_core.rack.eligible import why_not
from hemicycle_core.runs import FULL, Ball, speaks
from hemicycle_core.shots import FULL_SWING, Intent, Source, Strike
from hemicycle_core.shots import Shot as CoreShot
from hemicycle_core.thresholds import Thresholds, changed
from rack.models import Head

from ..models import (
    WITH_CODES,
    BayHold,
    BlindGrooves,
    Build,
    Feel,
    FittingSession,
    Job,
    PlayerScreen,
    Shot,
    ShotImport,
    SoleTest,
    StopSeen,
    StopTest,
    TargetOverride,
    WindowVersion,
)


def core_shot(shot: Shot, swing: int, stock: str = FULL, usual: Ball = Ball.OWN) -> CoreShot:
    """swing: the session's by now; a shot of an earlier one says nothing of it. stock: the swing that is the club's
    stock one. usual: the ball that the session's figures are of."""
    run = shot.run
    lie = run.lie or (run.surface if run.surface in set(Lie) else "")
    said = speaks(
        length=run.length,
        intent=Intent(run.intent),
        stock=stock,
        other_ball="" if run.struck_ball == usual else run.struck_ball,
        in_wind=run.wind_mps > 0 and not shot.calm,
        gripped_in=run.gripped_in,
    )
    by_effort = said.intent is Intent.STOCK and run.intent != Intent.STOCK
    readings = shot.readings
    calm = {key: value for key, value in shot.calm.items() if key in readings}
    return CoreShot(
        values={**readings, **calm},
        sources={key: Source(source) for key, source in shot.sources.items() if key in readings}
        | dict.fromkeys(calm, Source.COMPUTED),
        aside=shot.aside,
        strike=Strike(shot.strike) if shot.strike else None,
        void=frozenset(shot.void),
        intent=said.intent,
        misread=shot.misread,
        protocol=FULL_SWING if by_effort else run.protocol,
        lie=Lie(lie) if lie else None,
        old_swing=run.swing < swing,
        apart=said.apart,
        swing=said.swing,
        part=said.part,
        asked_m=run.asked_carry_m if said.intent is Intent.YARDAGE else None,
        # Typed or taken from a file, its place in today's session is not known.
        order=shot.number if shot.feed_id else None,
    )


def lie_of(words: str) -> Lie | None:
    """A lie as the brief words it."""
    word = words.replace("-", "_")
    return Lie(word) if word in set(Lie) else None


def core_job(job: Job, share: float = 1.0, course_wind_mps: float = 0.0) -> CoreJob:
    """share: of the rounds, in which the job comes up at all; course_wind_mps: that blows from any side where the job
    comes up, and counts where the job has none of its own."""
    wind = (job.wind_mps, job.wind_from_deg) if job.wind_mps or not course_wind_mps else (course_wind_mps, None)
    return CoreJob(
        name=job.name,
        kind=JobKind(job.kind),
        distance_m=job.distance_m,
        firmness=Firmness(job.firmness),
        carry_over_m=job.carry_over_m,
        width_m=job.width_m,
        depth_m=job.depth_m,
        green_ft=job.green_ft,
        uses_per_round=job.uses_per_round * share,
        lie=lie_of(job.lie),
        wind_mps=wind[0],
        wind_from_deg=wind[1],
    )


@dataclass
class SessionRows:
    """Everything on record of one session, read once."""

    session: FittingSession
    builds: list[Build]
    shots: list[Shot]
    jobs: list[Job]
    overrides: list[TargetOverride]
    versions: list[WindowVersion] = field(default_factory=list)
    imports: list[ShotImport] = field(default_factory=list)
    hold: BayHold | None = None
    heads: list[Head] = field(default_factory=list)
    felt: list[Feel] = field(default_factory=list)
    screen: PlayerScreen | None = None
    stop_test: StopTest | None = None
    stops_seen: list[StopSeen] = field(default_factory=list)
    sole_tests: list[SoleTest] = field(default_factory=list)
    blind_grooves: list[BlindGrooves] = field(default_factory=list)

    @cached_property
    def own(self) -> list[Build]:
        return [build for build in self.builds if build.is_own and not build.archived]

    @property
    def in_favour(self) -> list[Build]:
        """The player's own clubs that are played."""
        return [build for build in self.own if not build.out_of_favour]

    @cached_property
    def candidates(self) -> list[Build]:
        return [build for build in self.builds if build.letter and not build.archived]

    @cached_property
    def accepted(self) -> list[Build]:
        """The candidates that were taken into the bag for the time being."""
        return [build for build in self.candidates if build.accepted_at is not None]

    @cached_property
    def in_bag(self) -> list[Build]:
        """The bag as it is played: without what is out of favour."""
        return [*self.in_favour, *self.accepted]

    @cached_property
    def by_build(self) -> dict[int, list[tuple[Shot, CoreShot]]]:
        grouped: dict[int, list[tuple[Shot, CoreShot]]] = defaultdict(list)
        stock = {build.pk: build.stock_swing for build in self.builds}
        for shot in self.shots:
            known = core_shot(shot, self.session.swing, stock.get(shot.run.build_id, FULL), self.ball)
            grouped[shot.run.build_id].append((shot, known))
        return grouped

    @cached_property
    def ball(self) -> Ball:
        """The ball that the session's figures are of: the player's own, where any shot was hit with it."""
        hit = Counter(shot.run.struck_ball for shot in self.shots)
        return Ball.OWN if Ball.OWN in hit or not hit else Ball(hit.most_common(1)[0][0])

    @property
    def in_order(self) -> list[tuple[Shot, CoreShot]]:
        """Every shot as it was hit, with what it says."""
        known = {shot.pk: core for each in self.by_build.values() for shot, core in each}
        return [(shot, known[shot.pk]) for shot in self.shots]

    def shots_of(self, build: Build) -> list[CoreShot]:
        return [shot for _, shot in self.by_build.get(build.pk, [])]

    @cached_property
    def thresholds(self) -> Thresholds:
        """The shop's thresholds with what the brief says of this customer."""
        price = self.session.stroke_price
        return self.shop_thresholds.of_customer(None if price is None else float(price), self.session.round_shots)

    @property
    def shop_thresholds(self) -> Thresholds:
        """The shop's thresholds; once agreed, as they were then."""
        kept = self.session.thresholds
        return changed(self.session.shop.thresholds if kept is None else kept)

    @property
    def feared(self) -> Feared:
        kinds = tuple(HeadType(kind) for kind in self.session.fear_with)
        return Feared(Miss(self.session.miss), Fear(self.session.fear), kinds)

    def felt_of(self, build: Build) -> list[CoreFeel]:
        """What the player said of a build, in order."""
        return [each.for_core for each in self.felt if each.build_id == build.pk]

    @property
    def to_ask(self) -> Build | None:
        """The build whose feel is to be asked on the player's screen."""
        asked = {each.build_id: each.shots for each in self.felt}
        hit = Counter(shot.run.build_id for shot in self.shots if shot.run.imported_id is None)
        stand = [Hit(build.pk, hit[build.pk], asked.get(build.pk)) for build in self.candidates]
        wanted = to_ask(stand, self.session.in_hand_id)
        return next((build for build in self.candidates if build.pk == wanted), None)

    def next_heads(self, build: Build) -> tuple[tuple[float, float], ...] | None:
        """Loft and length of the heads of a build's kind that this player can have; None where the rack is not
        known."""
        there = {
            (head.loft_deg, head.length_m)
            for head in self.heads
            if head.head_type == build.head_type and not why_not(head.for_core, left_handed=self.left_handed)
        }
        return tuple(sorted(there)) if self.heads else None

    @property
    def left_handed(self) -> bool:
        return bool(self.session.customer.hand == Hand.LEFT)

    @cached_property
    def courses(self) -> dict[str, float]:
        """The share of the rounds by course, summing to 1; empty where they play one course."""
        named = {course["name"]: float(course["share"]) for course in self.session.courses if course["share"] > 0}
        total = sum(named.values())
        return {name: share / total for name, share in named.items()} if len(named) > 1 else {}

    @cached_property
    def core_jobs(self) -> list[CoreJob]:
        """The jobs with their uses in a usual round: what comes up on one course only counts by its share."""
        wind = {course["name"]: course.get("wind_mps", 0.0) for course in self.session.courses}
        return [core_job(job, self.courses.get(job.course, 1.0), wind.get(job.course, 0.0)) for job in self.jobs]

    @cached_property
    def played(self) -> list[tuple[Job, CoreJob]]:
        """The jobs that shots can be put on; what comes out of a greenside bunker is not among them."""
        return [(job, core) for job, core in zip(self.jobs, self.core_jobs, strict=True) if core.played_out]

    @property
    def played_jobs(self) -> list[CoreJob]:
        return [core for _, core in self.played]

    def air_of(self, build: Build) -> Air:
        """The air a build was last hit in; the session's own when it was not."""
        shots = self.by_build.get(build.pk)
        place = shots[-1][0].run if shots else self.session
        return Air(altitude_m=place.altitude_m, temperature_c=place.temperature_c)


def read_rows(session: FittingSession) -> SessionRows:
    """A session's builds, shots, jobs, overrides, versions and files, in a fixed number of queries."""
    shop = session.shop_id
    return SessionRows(
        session=session,
        builds=list(Build.objects.of(shop).filter(session=session).select_related("head", "shaft")),
        # Shots of a file that was taken back stay on record and do not count.
        shots=list(Shot.objects.of(shop).filter(session=session, run__imported__undone_at=None).select_related("run")),
        jobs=list(Job.objects.of(shop).filter(session=session)),
        overrides=list(TargetOverride.objects.of(shop).filter(session=session)),
        versions=list(WindowVersion.objects.of(shop).filter(session=session)),
        imports=list(ShotImport.objects.of(shop).filter(session=session).defer("text", "data")),
        heads=list(Head.objects.of(shop).filter(retired_at=None)),
        felt=list(Feel.objects.of(shop).filter(build__session=session)),
        stop_test=StopTest.objects.of(shop).filter(session=session).first(),
        stops_seen=list(StopSeen.objects.of(shop).filter(session=session)),
        sole_tests=list(
            SoleTest.objects.of(shop).filter(session=session).select_related("setter").prefetch_related(*WITH_CODES)
        ),
        blind_grooves=list(
            BlindGrooves.objects.of(shop).filter(session=session).select_related("setter", "old", "fresh", "one", "two")
        ),
        screen=PlayerScreen.objects.of(shop).filter(session=session).first(),
        hold=BayHold.objects.of(shop)
        .filter(bay=session.bay_id)
        .select_related("session__customer", "partner__customer")
        .first(),
    )
