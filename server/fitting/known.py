"""The rows of a session in the core's own types: clubs, coverage, the space in work, the targets in force."""

from __future__ import annotations

from collections import defaultdict
from dataclasses import dataclass, field
from functools import cached_property

from customers.models import Hand
from hemicycle_core.bag import (
    Between,
    Carried,
    Coverage,
    GapRule,
    GapRules,
    HeadType,
    Slot,
    SlotPlan,
    StepWish,
    coverage,
    plan_like,
    plan_slots,
    space_of,
    usual_rules,
    widest_hole,
)
from hemicycle_core.bag.clubs import TYPED_SD_M
from hemicycle_core.brief import Job as CoreJob
from hemicycle_core.brief import JobKind, Miss, Target, propose, propose_like
from hemicycle_core.flight import FAIRWAY, Air, Anchor, Firmness, run_out
from hemicycle_core.judge.landings import landings
from hemicycle_core.samples import Average, average, certainty
from hemicycle_core.samples.averages import values_of
from hemicycle_core.shots import Intent, Source, Strike, anchor_to
from hemicycle_core.shots import Shot as CoreShot
from hemicycle_core.units import ninety

from .models import Build, FittingSession, Job, Shot, ShotImport, TargetOverride, WindowVersion
from .remember import Remembered, key_of

ANCHORS = Remembered()


def typed_sd_m(build: Build) -> float:
    """One standard deviation of a carry that was typed: as it was given, or the usual one."""
    return TYPED_SD_M if build.typed_doubt_m is None else ninety_of(build.typed_doubt_m)


def ninety_of(half_width: float) -> float:
    """One standard deviation from half of a 90% interval."""
    return half_width / ninety(1.0)


def core_shot(shot: Shot) -> CoreShot:
    return CoreShot(
        values=shot.readings,
        sources={key: Source(source) for key, source in shot.sources.items()},
        aside=shot.aside,
        strike=Strike(shot.strike) if shot.strike else None,
        void=frozenset(shot.void),
        intent=Intent(shot.run.intent),
        misread=shot.misread,
    )


def core_job(job: Job, share: float = 1.0) -> CoreJob:
    """share: of the rounds, in which the job comes up at all."""
    return CoreJob(
        name=job.name,
        kind=JobKind(job.kind),
        distance_m=job.distance_m,
        firmness=Firmness(job.firmness),
        carry_over_m=job.carry_over_m,
        width_m=job.width_m,
        depth_m=job.depth_m,
        uses_per_round=job.uses_per_round * share,
    )


@dataclass
class Known:
    """A session with everything that was hit in it, and what the core makes of it, each computed once."""

    session: FittingSession
    builds: list[Build]
    shots: list[Shot]
    jobs: list[Job]
    overrides: list[TargetOverride]
    versions: list[WindowVersion] = field(default_factory=list)
    imports: list[ShotImport] = field(default_factory=list)
    _shots_of: dict[int, list[CoreShot]] = field(default_factory=dict)

    def shots_of(self, build: Build) -> list[CoreShot]:
        if not self._shots_of:
            grouped: dict[int, list[CoreShot]] = defaultdict(list)
            for shot in self.shots:
                grouped[shot.run.build_id].append(core_shot(shot))
            self._shots_of = grouped
        return self._shots_of.get(build.pk, [])

    @cached_property
    def own(self) -> list[Build]:
        return [build for build in self.builds if build.is_own and not build.archived]

    @cached_property
    def candidates(self) -> list[Build]:
        return [build for build in self.builds if not build.is_own and not build.archived]

    def mean(self, build: Build, key: str) -> Average | None:
        return average(values_of(self.shots_of(build), key))

    def carried(self, build: Build) -> Carried | None:
        """The club as the bag sees it: its kept shots, else what was typed; None when neither is known."""
        carry = self.mean(build, "carry_m")
        typed = carry is None
        carry_m = build.typed_carry_m if carry is None else carry.mean
        if carry_m is None or build.head_type == HeadType.PUTTER:
            return None
        total_m = build.typed_total_m if typed else self.totals.get(build.pk)
        others = {key: self.mean(build, key) for key in ("peak_m", "landing_deg", "spin_rpm")}
        return Carried(
            name=build.name,
            head_type=HeadType(build.head_type),
            carry_m=carry_m,
            total_m=carry_m if total_m is None else total_m,
            loft_deg=build.set_loft_deg,
            spread_m=certainty(carry).spread if carry else None,
            carry_sd_m=ninety_of(certainty(carry).half_width) if carry else typed_sd_m(build),
            **{key: found.mean if found else None for key, found in others.items()},
        )

    @property
    def left_handed(self) -> bool:
        return bool(self.session.customer.hand == Hand.LEFT)

    @cached_property
    def totals(self) -> dict[int, float]:
        """Where clubs that were hit stop, by build: as the monitor has it, or on the turf that was stated."""
        if not self.session.turf:
            means = {build.pk: self.mean(build, "total_m") for build in self.builds}
            return {pk: mean.mean for pk, mean in means.items() if mean is not None}
        kept = [[shot for shot in self.shots_of(build) if shot.kept and shot.get("carry_m")] for build in self.builds]
        there = [(build, shots) for build, shots in zip(self.builds, kept, strict=True) if shots]
        if not there:
            return {}
        landed = landings(
            [shots for _, shots in there], airs=[self.air_of(b) for b, _ in there], anchored=self.anchored
        )
        turf, found = FAIRWAY[Firmness(self.session.turf)], {}
        for (build, _), each in zip(there, landed, strict=True):
            carry = self.mean(build, "carry_m")
            assert carry is not None
            run = run_out(each.speed_mps, each.angle_deg, each.spin_rpm, turf).run_m
            found[build.pk] = carry.mean + float(run.mean())
        return found

    @cached_property
    def bag(self) -> list[Carried]:
        return [club for build in self.own if (club := self.carried(build)) is not None]

    @cached_property
    def driver_speed_mps(self) -> float | None:
        driver = next((build for build in self.own if build.head_type == HeadType.DRIVER), None)
        speed = self.mean(driver, "club_speed_mps") if driver else None
        return speed.mean if speed else None

    @cached_property
    def rules(self) -> GapRules:
        """The rule of each end with its step, as the fitter set them or as usual."""
        said, usual = self.session, usual_rules(GapRule(self.session.rule), self.driver_speed_mps)

        def step(least: float | None, most: float | None, otherwise: StepWish) -> StepWish:
            return StepWish(least, most) if least is not None and most is not None else otherwise

        return GapRules(
            long=usual.long,
            long_step=step(said.long_least_m, said.long_most_m, usual.long_step),
            short=GapRule(said.short_rule),
            short_step=step(said.short_least_m, said.short_most_m, usual.short_step),
        )

    @cached_property
    def coverage(self) -> Coverage:
        return coverage(self.bag, self.rules)

    @cached_property
    def like(self) -> Carried | None:
        """The club whose like is wanted, where that is the wish."""
        old = next((build for build in self.own if build.pk == self.session.like_for_id), None)
        return self.carried(old) if old else None

    @cached_property
    def hole(self) -> Between | None:
        """The space in work: around the club whose like is wanted, else the one the fitter chose, else the widest
        hole below the driver, else any."""
        if self.like is not None:
            return space_of(self.like, self.bag, self.rules)
        chosen = next((build.name for build in self.own if build.pk == self.session.hole_above_id), None)
        if chosen is not None:
            found = next((gap for gap in self.coverage.between if gap.lower.name == chosen), None)
            if found is not None:
                return found
        drivers = frozenset(club.name for club in self.bag if club.head_type is HeadType.DRIVER)
        return widest_hole(self.coverage, skip_above=drivers) or widest_hole(self.coverage)

    @cached_property
    def plan(self) -> SlotPlan | None:
        if self.hole is None or self.hole.step_m <= 0:
            return None
        if self.like is not None:
            return plan_like(self.like)
        return plan_slots(
            self.hole.lower,
            self.hole.upper,
            self.session.clubs_to_place,
            rule=self.hole.rule,
            step=self.hole.step,
        )

    @cached_property
    def courses(self) -> dict[str, float]:
        """The share of the rounds by course, summing to 1; empty where they play one course."""
        named = {course["name"]: float(course["share"]) for course in self.session.courses if course["share"] > 0}
        total = sum(named.values())
        return {name: share / total for name, share in named.items()} if len(named) > 1 else {}

    @cached_property
    def core_jobs(self) -> list[CoreJob]:
        """The jobs with their uses in a usual round: what comes up on one course only counts by its share."""
        return [core_job(job, self.courses.get(job.course, 1.0)) for job in self.jobs]

    def proposed(self, slot: Slot) -> list[Target]:
        if self.plan is None or self.hole is None:
            return []
        miss = Miss(self.session.miss)
        if self.like is not None:
            return propose_like(self.like, slot, self.core_jobs, miss=miss)
        return propose(self.plan, slot, self.hole.lower, self.hole.upper, self.core_jobs, miss=miss)

    def override_of(self, slot: Slot, quantity: str) -> TargetOverride | None:
        found = None
        for override in self.overrides:
            if override.slot == slot.index and override.quantity == quantity:
                found = None if override.cleared else override
        return found

    def targets(self, slot: Slot) -> list[Target]:
        """The targets in force: proposals, with the fitter's own where one was set."""
        in_force = []
        for target in self.proposed(slot):
            mine = self.override_of(slot, target.quantity)
            in_force.append(
                target
                if mine is None
                else Target(target.quantity, mine.low, mine.high, target.why, target.firm, target.sure)
            )
        return in_force

    def slot_of(self, build: Build) -> Slot | None:
        """The slot a candidate is judged for: the one its carry is nearest to."""
        if self.plan is None:
            return None
        carry = self.mean(build, "carry_m")
        if carry is None:
            return self.plan.slots[0]
        return min(self.plan.slots, key=lambda slot: abs(slot.target_m - carry.mean))

    def air_of(self, build: Build) -> Air:
        """The air a build was last hit in; the session's own when it was not."""
        runs = [shot.run for shot in self.shots if shot.run.build_id == build.pk]
        place = runs[-1] if runs else self.session
        return Air(altitude_m=place.altitude_m, temperature_c=place.temperature_c)

    @cached_property
    def anchored(self) -> Anchor:
        """The flight model tied to this session's flights, as far as they were measured."""

        def make() -> Anchor:
            airs = [Air(altitude_m=shot.run.altitude_m, temperature_c=shot.run.temperature_c) for shot in self.shots]
            return anchor_to([core_shot(shot) for shot in self.shots], airs)

        return ANCHORS.get(key_of(self.shots), make)
