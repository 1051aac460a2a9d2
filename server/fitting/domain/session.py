"""From rows to the core's own types: one load of a session, a handful of queries."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import replace
from functools import cached_property
from typing import Any

from hemicycle_core.bag import (
    Carried,
    Gap,
    HeadType,
    Slot,
    lay_out_slots,
    slot_with_roll,
)
from hemicycle_core.bag.clubs import usual_loft_and_inches
from hemicycle_core.brief import Job, JobKind, Miss, Target, jobs_of_slot
from hemicycle_core.decision import Decision, decide_session
from hemicycle_core.flight import Air, Firmness
from hemicycle_core.judge import Candidate, Case, Judgement, Kind, Liking, Verdict
from hemicycle_core.judge.feel import last_said, liking
from hemicycle_core.judge.held import job_to_count
from hemicycle_core.judge.landings import usual_roll_m
from hemicycle_core.judge.verdict import accepted, verdict_of
from hemicycle_core.rack import Expectation, HeadRecord, Owned, Reach, TypeLine, expect, owned, reach, type_lines
from hemicycle_core.rack.lofts import Head as CoreHead
from hemicycle_core.samples import Average
from hemicycle_core.samples.roll import ROLL_KNOWN_FROM, measured_roll
from hemicycle_core.thresholds import Thresholds
from hemicycle_core.units import METRES_PER_INCH, yd_text

from ..models import Build, FittingSession
from .bag import SessionBag, name_of, typed_sd_m
from .cache import key_of, new_cache, remembered
from .options import demand_of, limits_of, own_clubs, tried_builds, unhit_builds
from .rows import SessionRows, read_rows
from .soles import SessionSole
from .wedges import SessionWedges

DECISIONS, LINES = new_cache(24), new_cache()
FILLING = {Kind.FILLS, Kind.FILLS_NOT_SETTLED}


def head_key(build: Build) -> str:
    """The name under which the rack's predictions know the head of a build."""
    return f"head {build.head_id}" if build.head_id else f"own {build.pk}"


class JudgedSession:
    """A session as it stands: its rows, its bag, and every build judged, each worked out once."""

    def __init__(self, rows: SessionRows) -> None:
        self.rows = rows
        self.bag = SessionBag(rows, self._reached, self._assume, lambda: self.wedges.layout)

    @cached_property
    def wedges(self) -> SessionWedges:
        """The short end."""
        return SessionWedges(self)

    @cached_property
    def soles(self) -> list[SessionSole]:
        """The sole tests of the session, in their order."""
        return [SessionSole(self, test) for test in self.rows.sole_tests]

    def _assume(self, build: Build) -> Carried | None:
        """What the driver, or a wedge on order, should carry by the player's other clubs; None where too little of them
        is known."""
        kind = HeadType(build.head_type)
        named = "Dr" if kind is HeadType.DRIVER else build.name
        loft, length = usual_loft_and_inches(named) or (10.5, 45.5)
        head = CoreHead(
            head_key(build),
            HeadType.IRON if build.is_of_set else kind,
            build.loft_deg or loft,
            build.length_in_a_set_m or length * METRES_PER_INCH,
        )
        made = self.expectation(own_only=True).of([head])
        if not made:
            return None
        return Carried(
            name=name_of(build),
            head_type=kind,
            of_set=build.is_of_set,
            on_order=build.on_order,
            carry_m=made[0].carry_m,
            total_m=made[0].carry_m + (usual_roll_m(kind) if made[0].roll_m is None else made[0].roll_m),
            total_read=made[0].roll_m is not None,
            loft_deg=head.loft_deg,
            peak_m=made[0].peak_m,
            landing_deg=made[0].landing_deg,
            spin_rpm=made[0].spin_rpm,
            carry_sd_m=made[0].carry_sd_m,
        )

    def _reached(self, gap: Gap) -> bool:
        """Whether some usual head carries into a gap at this speed; yes where flights are not known."""
        if not self.lines:
            return True
        (slot,) = lay_out_slots(gap.lower, gap.upper, 1, rule=gap.rule, step=gap.step).slots
        return any(line.carry_m[-1] >= slot.low_m for line in self.lines.values())

    def candidate(self, build: Build) -> Candidate:
        down, up = build.head.for_core.turns_deg if build.head else (0.0, 0.0)
        turned = build.set_loft_deg - build.head.loft_deg if build.head and build.set_loft_deg is not None else 0.0
        return Candidate(
            letter=build.letter,
            name=build.name,
            head_type=HeadType(build.head_type),
            shots=self.rows.shots_of(build),
            up_deg=max(up - turned, 0.0),
            down_deg=max(down + turned, 0.0),
            loft_deg=build.loft_deg,
            next_heads=self.rows.next_heads(build),
            air=self.rows.air_of(build),
            anchored=self.bag.anchored,
            length_m=build.length_in_a_set_m,
            length_stated="length_m" not in build.assumed,
            price=None if build.price is None else float(build.price),
            liking=self.liking_of(build),
            answered=self._answered(build),
            own=build.is_own,
            out_of_favour=bool(build.out_of_favour),
            monitor=self.rows.session.bay.monitor,
            bend_down_deg=self.wedges.bend_room(build)[0],
            bend_up_deg=self.wedges.bend_room(build)[1],
            flies_high="" if build.is_own else self.wedges.flies_high(build),
            head="" if build.head_id is None else head_key(build),
        )

    def _answered(self, build: Build) -> bool:
        """Whether the player said anything of this build."""
        return build.liking != Liking.NEUTRAL or last_said(self.rows.felt_of(build)) is not None

    @cached_property
    def _for_the_tee(self) -> bool:
        """Whether most of what is named for the new club is off the tee."""
        tee = sum(job.uses_per_round for job in self.rows.core_jobs if job.kind is JobKind.TEE)
        return tee > sum(job.uses_per_round for job in self.rows.core_jobs) / 2

    def liking_of(self, build: Build) -> Liking:
        """What the player said of this build, else of its maker, else of its kind of head in the brief; a veto of
        either stands."""
        felt = self.rows.felt_of(build)
        asked = liking(felt, off_tee=self._for_the_tee)
        said = build.liking if asked is not Liking.VETOED else asked
        if said == Liking.NEUTRAL and last_said(felt) is not None:
            return asked
        if said == Liking.NEUTRAL and not build.is_own:
            kind = self.rows.session.likes.get(build.head_type, said)
            maker = self.rows.session.maker_likes.get(build.head.maker if build.head else "", said)
            said = kind if kind == Liking.VETOED or maker == Liking.NEUTRAL else maker
        return Liking(said)

    def head_of(self, build: Build) -> CoreHead | None:
        """A build as the rack's predictions see it; None where its loft or length is unknown."""
        length_m = build.length_in_a_set_m
        if build.loft_deg is None or length_m is None:
            return None
        # A wedge of the set is the next iron of it; a specialist one of its loft is another head.
        kind = HeadType.IRON if build.is_of_set else HeadType(build.head_type)
        return CoreHead(head_key(build), kind, build.loft_deg, length_m)

    def expectation(self, records: Mapping[str, HeadRecord] | None = None, *, own_only: bool = False) -> Expectation:
        """What this player should do with heads not hit. own_only: from the player's own clubs alone."""
        known: list[Owned] = []
        for build in self.rows.own if own_only else (*self.rows.own, *self.rows.candidates):
            head = self.head_of(build)
            club = head and owned(head, self.rows.shots_of(build), build.typed_carry_m, typed_sd_m=typed_sd_m(build))
            if club:
                known.append(club)
        place = self.rows.session
        air = Air(altitude_m=place.altitude_m, temperature_c=place.temperature_c)
        turf = Firmness(place.turf or place.firmness)
        return expect(known, records=records, air=air, anchored=self.bag.anchored, turf=turf)

    @cached_property
    def lines(self) -> dict[HeadType, TypeLine]:
        """How each kind of head should land and roll for this player, over its carries."""
        expected = self.expectation()
        return remembered(LINES, key_of(expected), lambda: type_lines(expected))

    def slot_as(self, slot: Slot, head_type: HeadType) -> Slot:
        """A slot for one kind of head: what rolls further may carry less."""
        line = self.lines.get(head_type)
        return slot if line is None else self._by_roll(slot, line.roll_at(slot.target_m))

    def _by_roll(self, slot: Slot, roll_m: float) -> Slot:
        """A slot for a club that rolls so far; where an old club's yardage is wanted, roll moves nothing."""
        if self.bag.named is not None:
            return self.bag.named_layout(roll_m).slots[0]
        if self.bag.layout is None or self.bag.gap is None or self.bag.like is not None:
            return slot
        return slot_with_roll(self.bag.layout, slot.index, self.bag.gap.lower, self.bag.gap.upper, roll_m)

    def window_of(self, build: Build, slot: Slot) -> Slot:
        """A slot for one build: by its own roll-out once five of its shots count, by its kind's before. That roll
        stands from then on, so that a window moves once."""
        roll = self.measured_roll(build)
        return self.slot_as(slot, HeadType(build.head_type)) if roll is None else self._by_roll(slot, roll)

    def measured_roll(self, build: Build) -> float | None:
        """How far its first five counted shots rolled, metres; None before, and where totals are not known. On the turf
        that was stated, where one was."""
        shots = self.rows.shots_of(build)
        if not self.rows.session.turf:
            return measured_roll(shots)
        total, carry = self.bag.totals.get(build.pk), self.bag.mean(build, "carry_m")
        if total is None or carry is None or carry.n < ROLL_KNOWN_FROM:
            return None
        return total - carry.mean

    def targets_in(self, slot: Slot, own: Slot) -> list[Target]:
        """The targets in force with the window of a kind or a build; a carry the fitter set stays as it was set."""
        return [
            replace(target, low=own.low_m, high=own.high_m)
            if target.quantity == "carry_m" and self.bag.override_of(slot, "carry_m") is None
            else target
            for target in self.bag.targets(slot)
        ]

    def targets_as(self, slot: Slot, head_type: HeadType) -> list[Target]:
        """The targets in force for one kind of head."""
        return self.targets_in(slot, self.slot_as(slot, head_type))

    def wanted_of(self, build: Build) -> list[Target]:
        """What a candidate is judged by: its slot's targets, with the carry window of its own."""
        if build.is_own or build.accepted_at is not None:
            return []
        if self.bag.wanted.windowless:
            return self.bag.without_window
        own = self.wedges.own_place(build)
        if own is not None:
            return own.targets(self.rows.core_jobs, Miss(self.rows.session.miss))
        slot = self.bag.slot_of(build)
        return [] if slot is None else self.targets_in(slot, self.window_of(build, slot))

    def out_of_reach(self, slot: Slot) -> Reach | None:
        """Whether the landing wanted can be had at this speed; None where it is, or where nothing is known."""
        wanted = {target.quantity: target for target in self.bag.targets(slot)}
        landing = wanted.get("landing_deg")
        if landing is None or landing.low is None:
            return None
        found = reach(self.lines, carry_m=slot.target_m, holds_deg=landing.low)
        return None if found is None or found.within else found

    def uses_in_gap(self) -> float | None:
        """How often a round the jobs ask for a shot into the space in work; None without jobs."""
        if not self.rows.jobs or self.bag.layout is None:
            return None
        slots = self.bag.layout.slots
        mine = {id(job): job for slot in slots for job in jobs_of_slot(self.rows.core_jobs, slot)}
        return sum(job.uses_per_round for job in mine.values())

    @cached_property
    def job_counted(self) -> Job | None:
        """The job that balls are counted on."""
        layout = self.bag.layout
        return job_to_count(self.rows.core_jobs, layout.slots[0] if layout else None)

    @property
    def thresholds(self) -> Thresholds:
        return self.rows.thresholds

    @cached_property
    def decision(self) -> Decision:
        """Every candidate against its slot, read together with the player's own clubs, and the one decision. It is kept
        by what goes into it, and by nothing else."""
        given = self._given()
        made = remembered(DECISIONS, key_of(given), lambda: decide_session(**given))
        said = {each.letter: each for each in made.verdicts}
        said |= {build.letter: accepted(self.candidate(build)) for build in self.rows.accepted}
        in_order = (said.get(build.letter) for build in self.rows.candidates)
        verdicts = tuple(each for each in in_order if each is not None)
        return made if verdicts == made.verdicts else replace(made, verdicts=verdicts)

    @property
    def judgement(self) -> Judgement:
        return self.decision.judgement

    @property
    def _somewhere(self) -> bool:
        """Whether there is a place to try builds for."""
        return self.bag.layout is not None or self.bag.wanted.windowless

    @cached_property
    def cases(self) -> list[Case]:
        """The builds that are decided on, each with the place it is tried for."""
        if not self._somewhere:
            return []
        return [self._case(build) for build in self.rows.candidates if build.accepted_at is None]

    def _given(self) -> dict[str, Any]:
        """What the decision is given."""
        own = [
            replace(self.candidate(build), name=name_of(build))
            for build in (*self.rows.own, *self.rows.accepted)
            if self.rows.shots_of(build)
        ]
        return {
            "cases": self.cases,
            "jobs": self.rows.played_jobs,
            "own": own,
            "bag": own_clubs(self),
            "builds": tried_builds(self),
            "unhit": unhit_builds(self),
            "replaced": None if self.bag.like is None else self.bag.like.name,
            "limits": limits_of(self),
            "rules": self.bag.rules,
            "demand": demand_of(self),
            "feared": self.rows.feared,
            "swaps": len(self.rows.courses) > 1,
            "thresholds": self.thresholds,
            "nothing_open": not self._somewhere and len(self.bag.clubs) > 1,
        }

    def _case(self, build: Build) -> Case:
        replaces = self.wedges.replaces(build)
        own, slot = self.wedges.own_place(build), self.bag.slot_of(build)
        # A wedge that is tried elsewhere than in the space in work has a place of its own there.
        place = -1 - round(own.layout.slots[0].target_m) if own is not None else slot.index if slot is not None else 0
        return Case(
            self.candidate(build),
            self.wanted_of(build),
            *self._beside(build, replaces),
            self.bag.wanted,
            sole_open=self.wedges.sole_open(build),
            replaces=replaces,
            slot=place,
            named=self.bag.named is not None and own is None,
        )

    def _beside(self, build: Build, replaces: str) -> tuple[Carried | None, Carried | None]:
        """The clubs on both sides: of the space in work; of a wedge in the cut those of the bag it would lie
        between."""
        carry, own = self.bag.mean(build, "carry_m"), self.wedges.own_place(build)
        if own is not None:
            return own.lower, own.upper
        if self.bag.cut is None or carry is None:
            return self.bag.beside
        rest = [club for club in self.bag.clubs if club.name != replaces]
        lower = max((c for c in rest if c.carry_m <= carry.mean), key=lambda c: c.carry_m, default=None)
        upper = min((c for c in rest if c.carry_m > carry.mean), key=lambda c: c.carry_m, default=None)
        return lower, upper

    @cached_property
    def at_first(self) -> dict[str, str]:
        """The verdict of each candidate by the first targets that were kept, by letter; empty where they are the
        same still. Targets drift to fit the club that felt good: this shows it."""
        layout = self.bag.layout
        # What was taken in cut the space anew: the first targets were another slot's.
        if layout is None or len(self.rows.versions) < 2 or self.rows.accepted:
            return {}
        slots = [
            [Target(each["quantity"], each["low"], each["high"], "As first set.") for each in slot]
            for slot in self.rows.versions[0].slots
        ]
        said = {}
        for verdict in self.judgement.verdicts:
            build = next(each for each in self.rows.candidates if each.letter == verdict.letter)
            targets = _nearest(slots, self.bag.mean(build, "carry_m"))
            if targets is None:
                continue
            carry = next(target for target in targets if target.quantity == "carry_m")
            low, high = carry.low or 0.0, carry.high or 0.0
            case = Case(self.candidate(build), targets, *self.bag.beside, self.bag.wanted)
            known = self.judgement
            first = verdict_of(case, known.weighed, jobs=self.rows.played_jobs, thresholds=self.thresholds)
            if first.kind is not verdict.kind and {first.kind, verdict.kind} != FILLING:
                window = f"{yd_text(low)} to {yd_text(high)}"
                said[build.letter] = f"{first.headline} (carry {window})"
        return said

    @property
    def verdicts(self) -> list[Verdict]:
        return list(self.decision.verdicts)


def _nearest(slots: list[list[Target]], carry: Average | None) -> list[Target] | None:
    """The targets of the slot whose carry window a build's carry is nearest to."""

    def off(targets: list[Target]) -> float:
        window = next((target for target in targets if target.quantity == "carry_m"), None)
        if window is None or window.low is None or window.high is None:
            return float("inf")
        return abs((window.low + window.high) / 2 - (carry.mean if carry else 0.0))

    return min(slots, key=off, default=None) if carry else None


def load(session: FittingSession) -> JudgedSession:
    """Read a session and make ready to judge it."""
    return JudgedSession(read_rows(session))
