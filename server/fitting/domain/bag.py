"""The bag of a session: clubs with their carries, coverage, the gap in work, its slots and the targets in force."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import replace
from functools import cached_property
from typing import Any, Literal

from hemicycle_core.bag import (
    BagEnd,
    Carried,
    Coverage,
    Gap,
    GapOrder,
    GapRule,
    GapRules,
    HeadType,
    Slot,
    SlotLayout,
    StepWish,
    coverage,
    gap_around,
    gap_at,
    gap_in_work,
    lay_out_like,
    lay_out_slots,
    nearest_slot,
    usual_rules,
)
from hemicycle_core.bag.clubs import TYPED_SD_M
from hemicycle_core.bag.gaps import gap_between
from hemicycle_core.brief import (
    FlightWish,
    Miss,
    ReplaceWay,
    Target,
    Wanted,
    Wish,
    propose,
    propose_flight,
    propose_like,
    uses_in,
)
from hemicycle_core.brief.targets import propose_named
from hemicycle_core.brief.wishes import (
    COMPARED,
    far_wanted,
    flight_wanted,
    lay_out_named,
    lay_out_replacing,
    like_wanted,
    named_target,
    propose_far,
    propose_replacing,
    replace_wanted,
)
from hemicycle_core.flight import FAIRWAY, Air, Anchor, Firmness, run_out
from hemicycle_core.judge.landings import landings, usual_roll_m
from hemicycle_core.runs import FULL
from hemicycle_core.samples import Average, average, certainty
from hemicycle_core.samples.averages import values_of
from hemicycle_core.shots import anchor_to
from hemicycle_core.units import ninety
from hemicycle_core.wedges import School
from hemicycle_core.wedges.short_end import set_wedge_of, wedges_of

from ..models import Build, TargetOverride
from .cache import key_of, new_cache, remembered
from .rows import SessionRows

ANCHORS = new_cache()
FLIGHT = ("peak_m", "landing_deg", "spin_rpm")


def name_of(build: Build) -> str:
    """A name that no other club of the session has: own clubs by theirs, candidates by their letter first."""
    return f"{build.letter} {build.name}".strip()


def typed_sd_m(build: Build) -> float:
    """One standard deviation of a carry that was typed: as it was given, or the usual one."""
    return TYPED_SD_M if build.typed_doubt_m is None else ninety_of(build.typed_doubt_m)


def ninety_of(half_width: float) -> float:
    """One standard deviation from half of a 90% interval."""
    return half_width / ninety(1.0)


CarryFrom = Literal["hit", "old_swing", "typed", "assumed", "none"]


class SessionBag:
    """What the core makes of a session's clubs, each figure worked out once."""

    def __init__(
        self,
        rows: SessionRows,
        reached: Callable[[Gap], bool] | None = None,
        assume: Callable[[Build], Carried | None] | None = None,
        cut: Callable[[], SlotLayout | None] | None = None,
    ) -> None:
        """reached: whether some head carries into a gap at this player's speed; None where nobody can say. assume: what
        a driver that was not hit should do. cut: the space between the ends of the wedges, where that end is worked
        at."""
        self.rows, self.reached, self.assume, self._cut = rows, reached, assume, cut

    def mean(self, build: Build, key: str) -> Average | None:
        return average(values_of(self.rows.shots_of(build), key))

    def carry_from(self, build: Build) -> CarryFrom:
        """What a club's carry is known by: its kept shots, else of an own club those of the swing before, else what was
        typed, else of a driver what it should do."""
        if self.mean(build, "carry_m") is not None:
            return "hit"
        if build.is_own and self._with_the_old_swing(build) is not None:
            return "old_swing"
        if build.typed_carry_m is not None:
            return "typed"
        return "none" if self.assumed(build) is None else "assumed"

    def carried(self, build: Build) -> Carried | None:
        """The club as the bag sees it, by what its carry is known by; None when nothing is known."""
        known_from = self.carry_from(build)
        if known_from == "old_swing":
            return self._with_the_old_swing(build)
        if known_from == "assumed":
            return self.assumed(build)
        carry = self.mean(build, "carry_m")
        typed = carry is None
        carry_m = build.typed_carry_m if carry is None else carry.mean
        if carry_m is None or build.head_type == HeadType.PUTTER:
            return None
        total_m = build.typed_total_m if typed else self.totals.get(build.pk)
        others = {key: self.mean(build, key) for key in FLIGHT}
        known = (build.known_flight or {}) if typed else {}
        flown: dict[str, Any] = {key: found.mean if found else known.get(key) for key, found in others.items()}
        return Carried(
            name=name_of(build),
            head_type=HeadType(build.head_type),
            carry_m=carry_m,
            total_m=carry_m + self._usual_roll(build) if total_m is None else total_m,
            total_read=total_m is not None,
            loft_deg=build.loft_deg,
            spread_m=certainty(carry).spread if carry else None,
            told_spread_m=build.typed_spread_m if typed else None,
            carry_sd_m=ninety_of(certainty(carry).half_width) if carry else typed_sd_m(build),
            shots=carry.n if carry else 0,
            **self._said_of(build),
            **flown,
        )

    def _usual_roll(self, build: Build) -> float:
        """Of a club whose total nobody read, metres."""
        return usual_roll_m(HeadType(build.head_type), Firmness(self.rows.session.turf or Firmness.MEDIUM))

    def _said_of(self, build: Build) -> dict[str, Any]:
        """What of a club is no figure of its flight, and how it leaves."""
        leaves = {key: self.mean(build, key) for key in ("ball_speed_mps", "launch_deg")}
        return {
            "of_set": build.is_of_set,
            "kept_for": build.kept_for,
            "on_order": build.on_order,
            "swing": "" if build.stock_swing == FULL else build.stock_swing,
            **{key: found.mean for key, found in leaves.items() if found is not None},
        }

    def _with_the_old_swing(self, build: Build) -> Carried | None:
        """An own club by its shots from before the swing was changed: known no better than if it were typed."""
        before = [replace(shot, old_swing=False) for shot in self.rows.shots_of(build) if shot.old_swing]
        means = {key: average(values_of(before, key)) for key in ("carry_m", "total_m", *FLIGHT)}
        carry, total = means["carry_m"], means["total_m"]
        if carry is None:
            return None
        flown: dict[str, Any] = {key: mean.mean for key in FLIGHT if (mean := means[key]) is not None}
        return Carried(
            name=name_of(build),
            head_type=HeadType(build.head_type),
            carry_m=carry.mean,
            total_m=carry.mean + self._usual_roll(build) if total is None else total.mean,
            total_read=total is not None,
            loft_deg=build.loft_deg,
            carry_sd_m=TYPED_SD_M,
            **self._said_of(build),
            **flown,
        )

    def assumed(self, build: Build) -> Carried | None:
        """What the player's driver should do, or a wedge that is on order, where it was neither hit nor typed; None of
        any other club."""
        guessed = build.head_type == HeadType.DRIVER or build.on_order
        if self.assume is None or not build.is_own or not guessed:
            return None
        if build.typed_carry_m is not None or any(shot.get("carry_m") for shot in self.rows.shots_of(build)):
            return None
        if build.pk not in self._assumed:
            self._assumed[build.pk] = self.assume(build)
        return self._assumed[build.pk]

    @cached_property
    def _assumed(self) -> dict[int, Carried | None]:
        return {}

    @cached_property
    def totals(self) -> dict[int, float]:
        """Where clubs that were hit stop, by build: as the monitor has it, or on the turf that was stated."""
        if not self.rows.session.turf:
            means = {build.pk: self.mean(build, "total_m") for build in self.rows.builds}
            return {pk: mean.mean for pk, mean in means.items() if mean is not None}
        kept = [
            [shot for shot in self.rows.shots_of(build) if shot.kept and shot.get("carry_m")]
            for build in self.rows.builds
        ]
        there = [(build, shots) for build, shots in zip(self.rows.builds, kept, strict=True) if shots]
        if not there:
            return {}
        landed = landings(
            [shots for _, shots in there],
            kinds=[HeadType(build.head_type) for build, _ in there],
            airs=[self.rows.air_of(build) for build, _ in there],
            anchored=self.anchored,
        )
        turf, found = FAIRWAY[Firmness(self.rows.session.turf)], {}
        for (build, _), each in zip(there, landed, strict=True):
            carry = self.mean(build, "carry_m")
            assert carry is not None
            run = run_out(each.speed_mps, each.angle_deg, each.spin_rpm, turf).run_m
            found[build.pk] = carry.mean + float(run.mean())
        return found

    @cached_property
    def clubs(self) -> list[Carried]:
        """The bag as it is now: the player's own and what was taken in for the time being."""
        return [club for build in self.rows.in_bag if (club := self.carried(build)) is not None]

    @cached_property
    def today(self) -> Coverage:
        """The player's own clubs alone."""
        own = {build.name for build in self.rows.own}
        return coverage([club for club in self.clubs if club.name in own], self.rules)

    @cached_property
    def driver_speed_mps(self) -> float | None:
        driver = next((build for build in self.rows.own if build.head_type == HeadType.DRIVER), None)
        speed = self.mean(driver, "club_speed_mps") if driver else None
        return speed.mean if speed else None

    @cached_property
    def rules(self) -> GapRules:
        """The rule of each end with its step, as the fitter set them or as usual."""
        said, usual = self.rows.session, usual_rules(GapRule(self.rows.session.rule), self.driver_speed_mps)

        def step(least: float | None, most: float | None, otherwise: StepWish) -> StepWish:
            return StepWish(least, most) if least is not None and most is not None else otherwise

        return GapRules(
            long=usual.long,
            long_step=step(said.long_least_m, said.long_most_m, usual.long_step),
            short=GapRule(said.short_rule),
            short_step=step(said.short_least_m, said.short_most_m, usual.short_step),
            long_stretch=self.rows.thresholds.stretch_long,
            short_stretch=self.rows.thresholds.stretch_short,
        )

    @cached_property
    def coverage(self) -> Coverage:
        return coverage(self.clubs, self.rules)

    @cached_property
    def like(self) -> Carried | None:
        """The club a new one is held against, where the wish has one."""
        old = next((build for build in self.rows.own if build.pk == self.rows.session.like_for_id), None)
        return self.carried(old) if old else None

    @cached_property
    def wanted(self) -> Wanted:
        """The wish that leads."""
        if self.wish is Wish.COMPARE:
            return COMPARED
        if self.like is None:
            return Wanted()
        if self.wish is Wish.FAR:
            return far_wanted(self.like, self.rows.core_jobs) if self.like.hit else Wanted(Wish.FAR)
        if self.wish is Wish.REPLACE:
            return replace_wanted(self.like, self.ways)
        asked = self.rows.session.flight_wish
        return flight_wanted(self.like, FlightWish(asked)) if asked else like_wanted(self.like)

    @property
    def ways(self) -> list[ReplaceWay]:
        """What the club that takes an old one's place is to do."""
        return [ReplaceWay(each) for each in self.rows.session.replace_ways]

    @property
    def wish(self) -> Wish:
        """What leads, as far as it can: a wish that rests on an old club needs to know it."""
        said = Wish(self.rows.session.wish)
        return said if self.like is not None or said is Wish.COMPARE else Wish.GAP

    @property
    def named(self) -> tuple[float, float] | None:
        """The yardage or band that was named, metres; an old club's like comes first."""
        low, high = self.rows.session.named_low_m, self.rows.session.named_high_m
        return None if low is None or high is None or self.wish is not Wish.GAP else (low, high)

    def named_layout(self, roll_m: float) -> SlotLayout:
        assert self.named is not None
        return lay_out_named(*self.named, roll_m, total=self.rows.session.named_total)

    @cached_property
    def gap(self) -> Gap | None:
        """The gap in work: around the old club or the yardage named, else as the core says; None where there is none,
        and where builds are only compared."""
        if self.wish is Wish.COMPARE:
            return None
        if self.like is not None:
            return gap_around(self.like, self.clubs, self.rules)
        if self.named is not None:
            return gap_at(sum(self.named) / 2, self.coverage)
        if self.cut is not None and self.cut_ends is not None:
            low, high = self.cut_ends
            return gap_between(low, high, *self.rules.of(high))
        above = next((name_of(build) for build in self.rows.in_bag if build.pk == self.rows.session.gap_above_id), None)
        return gap_in_work(
            self.coverage,
            above=above,
            order=self._order,
            end=BagEnd(self.rows.session.end),
            uses=lambda gap: uses_in(gap, self.rows.core_jobs),
            reached=self.reached,
        )

    @cached_property
    def cut(self) -> SlotLayout | None:
        """The space between the ends of the wedges cut by as many as were chosen, where that end is worked at."""
        return None if self._cut is None else self._cut()

    @cached_property
    def cut_ends(self) -> tuple[Carried, Carried] | None:
        wedges = [club for club in wedges_of(self.clubs) if not club.kept_for]
        top = set_wedge_of(self.clubs)
        return None if top is None or not wedges else (wedges[0], top)

    @property
    def _order(self) -> GapOrder:
        """From which end holes are closed: wedges by the school that was chosen."""
        if self.rows.session.end != BagEnd.SHORT:
            return GapOrder(self.rows.session.gap_order)
        return GapOrder.BOTTOM if self.rows.session.school == School.SHORTEST else GapOrder.TOP

    @property
    def beside(self) -> tuple[Carried | None, Carried | None]:
        """The clubs on both sides of the space in work, None where there is none."""
        return (None, None) if self.gap is None else (self.gap.lower, self.gap.upper)

    @cached_property
    def layout(self) -> SlotLayout | None:
        """The slots in work; None where nothing is open and where no carry is asked for."""
        if self.wanted.windowless:
            return None
        if self.like is not None and self.wish is Wish.REPLACE:
            return lay_out_replacing(self.like, self.ways, *self.beside, self.rows.thresholds)
        if self.like is not None:
            return lay_out_like(self.like, "Its yardage" if self.wanted.wish is Wish.FLIGHT else "Like for like")
        if self.named is not None:
            # Without clubs on both sides nothing is known of the roll until something is hit.
            sides = [club.roll_m for club in self.beside if club is not None]
            return self.named_layout(sum(sides) / len(sides) if sides else 0.0)
        if self.gap is None or self.gap.step_m <= 0:
            return None
        if self.cut is not None:
            return self.cut
        return lay_out_slots(
            self.gap.lower,
            self.gap.upper,
            self.rows.session.clubs_to_place,
            rule=self.gap.rule,
            step=self.gap.step,
        )

    def proposed(self, slot: Slot) -> list[Target]:
        if self.layout is None:
            return []
        miss = Miss(self.rows.session.miss)
        jobs, asked = self.rows.core_jobs, self.rows.session.flight_wish
        if self.like is not None and self.wish is Wish.REPLACE:
            return propose_replacing(
                self.like, self.ways, self.layout, jobs, miss=miss, thresholds=self.rows.thresholds
            )
        if self.like is not None and asked:
            return propose_flight(self.like, FlightWish(asked), slot, jobs, miss=miss, thresholds=self.rows.thresholds)
        if self.like is not None:
            return propose_like(self.like, slot, jobs, miss=miss)
        if self.named is not None:
            return propose_named(named_target(self.layout), slot, *self.beside, jobs, miss=miss)
        assert self.gap is not None
        return propose(self.layout, slot, self.gap.lower, self.gap.upper, jobs, miss=miss)

    @cached_property
    def without_window(self) -> list[Target]:
        """What is asked where no carry is: to go further than the old club, or nothing."""
        far = self.wish is Wish.FAR and self.like is not None
        return propose_far(self.like, self.rows.thresholds) if far and self.like is not None else []

    def override_of(self, slot: Slot, quantity: str) -> TargetOverride | None:
        found = None
        for override in self.rows.overrides:
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
        if self.layout is None:
            return None
        carry = self.mean(build, "carry_m")
        return nearest_slot(self.layout.slots, carry.mean if carry else None)

    @cached_property
    def anchored(self) -> Anchor:
        """The flight model tied to this session's flights, as far as they were measured."""

        known = {shot.pk: core for each in self.rows.by_build.values() for shot, core in each}
        shots = [known[shot.pk] for shot in self.rows.shots]
        airs = [Air(altitude_m=shot.run.altitude_m, temperature_c=shot.run.temperature_c) for shot in self.rows.shots]
        return remembered(ANCHORS, key_of(shots, airs), lambda: anchor_to(shots, airs))
