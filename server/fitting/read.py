"""From rows to the core's own types: one load of a session, a handful of queries."""

from __future__ import annotations

from collections import defaultdict
from dataclasses import dataclass, field
from functools import cached_property

from hemicycle_core.bag import (
    Between,
    Carried,
    Coverage,
    GapRule,
    HeadType,
    Slot,
    SlotPlan,
    coverage,
    plan_slots,
    widest_hole,
)
from hemicycle_core.bag.gaps import wanted_step
from hemicycle_core.brief import Job as CoreJob
from hemicycle_core.brief import JobKind, Miss, Target, propose
from hemicycle_core.flight import Air, Anchor, Firmness
from hemicycle_core.judge import Candidate, Case, Judgement, Liking, Verdict, judge_session
from hemicycle_core.samples import Average, average, certainty
from hemicycle_core.samples.averages import values_of
from hemicycle_core.shots import Shot as CoreShot
from hemicycle_core.shots import Source, Strike, anchor_to

from .models import Build, FittingSession, Job, Shot, TargetOverride


def core_shot(shot: Shot) -> CoreShot:
    return CoreShot(
        values=shot.readings,
        sources={key: Source(source) for key, source in shot.sources.items()},
        aside=shot.aside,
        strike=Strike(shot.strike) if shot.strike else None,
    )


def core_job(job: Job) -> CoreJob:
    return CoreJob(
        name=job.name,
        kind=JobKind(job.kind),
        distance_m=job.distance_m,
        firmness=Firmness(job.firmness),
        carry_over_m=job.carry_over_m,
        width_m=job.width_m,
        depth_m=job.depth_m,
        uses_per_round=job.uses_per_round,
    )


@dataclass
class Loaded:
    """A session with everything that was hit in it, and what the core makes of it, each computed once."""

    session: FittingSession
    builds: list[Build]
    shots: list[Shot]
    jobs: list[Job]
    overrides: list[TargetOverride]
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
        total = None if typed else self.mean(build, "total_m")
        total_m = build.typed_total_m if total is None else total.mean
        others = {key: self.mean(build, key) for key in ("peak_m", "landing_deg", "spin_rpm")}
        return Carried(
            name=build.name,
            head_type=HeadType(build.head_type),
            carry_m=carry_m,
            total_m=carry_m if total_m is None else total_m,
            loft_deg=build.set_loft_deg,
            spread_m=certainty(carry).spread if carry else None,
            **{key: found.mean if found else None for key, found in others.items()},
        )

    @cached_property
    def bag(self) -> list[Carried]:
        return [club for build in self.own if (club := self.carried(build)) is not None]

    @cached_property
    def coverage(self) -> Coverage:
        driver = next((build for build in self.own if build.head_type == HeadType.DRIVER), None)
        speed = self.mean(driver, "club_speed_mps") if driver else None
        step = wanted_step(speed.mean if speed else None)
        return coverage(self.bag, rule=GapRule(self.session.rule), step=step)

    @cached_property
    def hole(self) -> Between | None:
        """The space in work: the one the fitter chose, else the widest hole below the driver, else any."""
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
        return plan_slots(
            self.hole.lower,
            self.hole.upper,
            self.session.clubs_to_place,
            rule=self.hole.rule,
            step=self.coverage.step,
        )

    @cached_property
    def core_jobs(self) -> list[CoreJob]:
        return [core_job(job) for job in self.jobs]

    def proposed(self, slot: Slot) -> list[Target]:
        if self.plan is None or self.hole is None:
            return []
        miss = Miss(self.session.miss)
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
                target if mine is None else Target(target.quantity, mine.low, mine.high, target.why, target.firm)
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
        airs = [Air(altitude_m=shot.run.altitude_m, temperature_c=shot.run.temperature_c) for shot in self.shots]
        return anchor_to([core_shot(shot) for shot in self.shots], airs)

    def candidate(self, build: Build) -> Candidate:
        return Candidate(
            letter=build.letter,
            name=build.name,
            head_type=HeadType(build.head_type),
            shots=self.shots_of(build),
            can_turn=bool(build.head and build.head.sleeve_deg),
            air=self.air_of(build),
            anchored=self.anchored,
            length_m=build.length_m,
            price=None if build.price is None else float(build.price),
            liking=Liking(build.liking),
            own=build.is_own,
        )

    @cached_property
    def judgement(self) -> Judgement:
        """Every candidate against its slot, read together with the player's own clubs that were hit."""
        hole = self.hole
        cases = [
            Case(self.candidate(build), slot, self.targets(slot), hole.lower, hole.upper)
            for build in self.candidates
            if hole is not None and (slot := self.slot_of(build)) is not None
        ]
        own = [self.candidate(build) for build in self.own if self.shots_of(build)]
        budget = self.session.budget
        return judge_session(cases, jobs=self.core_jobs, own=own, budget=None if budget is None else float(budget))

    @property
    def verdicts(self) -> list[Verdict]:
        return list(self.judgement.verdicts)


def load(session: FittingSession) -> Loaded:
    """Load a session's builds, shots, jobs and overrides."""
    shop = session.shop_id
    return Loaded(
        session=session,
        builds=list(Build.objects.of(shop).filter(session=session).select_related("head", "shaft")),
        shots=list(Shot.objects.of(shop).filter(session=session).select_related("run")),
        jobs=list(Job.objects.of(shop).filter(session=session)),
        overrides=list(TargetOverride.objects.of(shop).filter(session=session)),
    )
