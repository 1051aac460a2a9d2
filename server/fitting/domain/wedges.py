"""The short end of a session: what the core makes of its wedges, each figure worked out once."""

from __future__ import annotations

from collections.abc import Iterable, Sequence
from dataclasses import dataclass
from functools import cached_property
from typing import TYPE_CHECKING

from hemicycle_core.bag import BagEnd, Carried, SlotLayout, coverage, lay_out_like, lay_out_slots
from hemicycle_core.bag.gaps import CROWDED_M
from hemicycle_core.bag.slots import lay_out_below
from hemicycle_core.brief import Job, Miss, Target, Wish, propose, uses_between
from hemicycle_core.brief.targets import propose_named
from hemicycle_core.brief.wishes import named_target
from hemicycle_core.flight import Firmness
from hemicycle_core.heads import HeadType
from hemicycle_core.impact import Lie
from hemicycle_core.judge import HitClub, Prediction, predict
from hemicycle_core.judge.claims import Claimed, Wedge, answered, grooves_fresh
from hemicycle_core.judge.cut import CutPlace, bends_left, cut_places, takes_place_of
from hemicycle_core.judge.grooves import as_claim
from hemicycle_core.rack.stock import MOST_BEND_DEG, Made, Wear
from hemicycle_core.samples.alike import AlikeStep, step_at_one_swing
from hemicycle_core.shots import Strike
from hemicycle_core.wedges import (
    Complaint,
    Delivered,
    Delivery,
    Looks,
    School,
    Schools,
    ShortEnd,
    WedgeFlight,
    WedgeWish,
    delivered,
    flight_of,
    schools,
    short_end,
    windows_at,
)
from hemicycle_core.wedges.flight import Hit
from hemicycle_core.wedges.short_end import as_lofted, soles_differ, wedges_of

from ..models import Build, FittingSession
from .bag import name_of
from .short_tests import ShortTests

if TYPE_CHECKING:
    from .session import JudgedSession

HIT_FULL = ("ball_speed_mps", "launch_deg", "spin_rpm", "peak_m", "landing_deg")


@dataclass(frozen=True)
class OwnPlace:
    """A place of its own that a wedge is judged for: its one slot, and the clubs on both sides; lower None under the
    most lofted one."""

    layout: SlotLayout
    lower: Carried | None
    upper: Carried | None

    def targets(self, jobs: Sequence[Job], miss: Miss) -> list[Target]:
        slot = self.layout.slots[0]
        if self.lower is not None and self.upper is not None:
            return propose(self.layout, slot, self.lower, self.upper, jobs, miss=miss)
        return propose_named(named_target(self.layout), slot, None, self.upper, jobs, miss=miss)


class SessionWedges:
    """The wedges of one session."""

    def __init__(self, judged: JudgedSession) -> None:
        self.judged, self.rows, self.bag = judged, judged.rows, judged.bag

    @cached_property
    def builds(self) -> list[Build]:
        """Every wedge that is there, the player's own first."""
        return [build for build in (*self.rows.own, *self.rows.candidates) if build.head_type == HeadType.WEDGE]

    @property
    def worked_at(self) -> bool:
        return self.rows.session.end != BagEnd.LONG and any(build.is_own for build in self.builds)

    @property
    def asked(self) -> bool:
        """Whether wedges are what the session is about: the short end, or any bag with a candidate wedge."""
        session, tried = self.rows.session, self.rows.candidates
        return session.end == BagEnd.SHORT or any(build.head_type == HeadType.WEDGE for build in tried)

    @cached_property
    def delivered(self) -> Delivered:
        called = Delivery(self.rows.session.delivery) if self.rows.session.delivery else None
        attacks = [
            attack
            for build in self.builds
            for shot in self.rows.shots_of(build)
            if shot.kept and (attack := shot.get("attack_deg")) is not None
        ]
        return delivered(attacks, called)

    @cached_property
    def short_end(self) -> ShortEnd | None:
        if not self.worked_at:
            return None
        return short_end(
            self.bag.clubs,
            self.bag.rules.wedge_step,
            school=School(self.rows.session.school),
            sole=self.rows.session.sole,
            unknown=self.unknown,
        )

    @cached_property
    def unknown(self) -> list[tuple[str, float | None]]:
        """Own wedges whose carry nobody knows, with their lofts."""
        known = {club.name for club in self.bag.clubs}
        return [
            (build.name, build.loft_deg)
            for build in self.rows.in_favour
            if build.head_type == HeadType.WEDGE and build.name not in known and not build.kept_for
        ]

    @property
    def ends(self) -> tuple[Carried, Carried] | None:
        """Both ends, where they are two clubs."""
        found = self.short_end
        if found is None or found.low is None or found.high is None:
            return None
        low, high = found.low.club, found.high.club
        if any(loft is not None and loft > (low.loft_deg or 90) for _, loft in self.unknown):
            return None
        return (low, high) if high.carry_m > low.carry_m and low.name != high.name else None

    @cached_property
    def schools(self) -> Schools | None:
        if self.ends is None:
            return None
        low, high = self.ends
        uses = uses_between(low.carry_m, high.carry_m, self.rows.core_jobs) if self.rows.jobs else None
        fewer = WedgeWish.FEWER in self.rows.session.wedge_wishes
        eases = self.judged.judgement.weighed.eases
        return schools(
            low,
            high,
            self.bag.rules.wedge_step,
            eases=eases.rank,
            part_swings=eases.n,
            uses=uses,
            fewer=fewer,
        )

    @cached_property
    def layout(self) -> SlotLayout | None:
        """The cut between the ends by as many wedges as were chosen; None without both ends, and where another space
        was named."""
        own_space = self.rows.session.gap_above_id is not None
        if self.rows.session.end != BagEnd.SHORT or self.ends is None or own_space:
            return None
        low, high = self.ends
        rule, step = self.bag.rules.of(high)
        return lay_out_slots(low, high, self.rows.session.clubs_to_place, rule=rule, step=step)

    def alike(self, lower: str, upper: str) -> AlikeStep | None:
        """The step between two clubs of the bag had they been swung alike; None where either was not hit."""
        centres = self.judged.judgement.weighed.centres
        found = [centres.get(f"own {name}") for name in (lower, upper)]
        return None if None in found else step_at_one_swing(*found)  # type: ignore[arg-type]

    def between(self) -> list[Build]:
        """The own wedges between the ends, shortest first; those kept for one shot are not stepped."""
        if self.ends is None:
            return []
        low, high = self.ends
        mine = {build.name: build for build in self.rows.in_bag if build.head_type == HeadType.WEDGE}
        inside = [club for club in self.bag.clubs if low.carry_m < club.carry_m < high.carry_m and not club.kept_for]
        by_name = {name_of(build): build for build in mine.values()}
        return [by_name[club.name] for club in sorted(inside, key=lambda c: c.carry_m) if club.name in by_name]

    def replaces(self, build: Build) -> str:
        """The own wedge whose place a wedge of the stand would take: the one it was made of, else one that carries the
        same, else the one that stands in its place of the cut; empty where it is one more."""
        if build.head_type != HeadType.WEDGE or self.rows.session.end == BagEnd.LONG:
            return ""
        parent = next((each for each in self.rows.in_bag if each.pk == build.turned_from_id and each.is_own), None)
        if parent is not None:
            return name_of(parent)
        carry = self.bag.mean(build, "carry_m")
        return "" if carry is None else takes_place_of(carry.mean, self.bag.clubs, self.cut)

    def sole_open(self, build: Build) -> bool:
        """Whether a wedge of the stand is to be the most lofted one, while soles differ and none is chosen."""
        if self.rows.session.sole or build.head_type != HeadType.WEDGE or self.short_end is None:
            return False
        low = self.short_end.low
        lofted = [each for each in self.rows.candidates if self._is_lofted(each, low.club if low else None)]
        return build in lofted and soles_differ(each.sole_words for each in lofted)

    def _is_lofted(self, build: Build, low: Carried | None) -> bool:
        return build.head_type == HeadType.WEDGE and low is not None and as_lofted(build.loft_deg, low)

    def own_place(self, build: Build) -> OwnPlace | None:
        """Where a wedge of the stand is judged that does not belong into the space in work: under the most lofted one,
        or, while the whole bag is worked at, between the wedges it would lie between. None of any other build."""
        carry, session = self.bag.mean(build, "carry_m"), self.rows.session
        if build.head_type != HeadType.WEDGE or session.end == BagEnd.LONG or carry is None:
            return None
        if self.bag.wish is not Wish.GAP or self.bag.named is not None or self.short_end is None:
            return None
        low, replaces = self.short_end.low, self.replaces(build)
        if low is not None and replaces == low.club.name:
            above = next((club for club in wedges_of(self.bag.clubs) if club.carry_m > low.club.carry_m), None)
            return OwnPlace(lay_out_like(low.club, f"In the place of {low.club.name}"), None, above)
        if low is not None and carry.mean < low.club.carry_m - CROWDED_M:
            return OwnPlace(lay_out_below(low.club, self.bag.rules.wedge_step), None, low.club)
        in_work = self.bag.gap
        if session.end != BagEnd.WHOLE or (in_work is not None and BagEnd.SHORT.holds(in_work)):
            return None
        covered = coverage([club for club in self.bag.clubs if club.name != replaces], self.bag.rules)
        mine = [gap for gap in covered.gaps if BagEnd.SHORT.holds(gap) and gap.upper.carry_m > carry.mean]
        gap = next((gap for gap in mine if gap.lower.carry_m <= carry.mean), None)
        if gap is None:
            return None
        return OwnPlace(lay_out_slots(gap.lower, gap.upper, 1, rule=gap.rule, step=gap.step), gap.lower, gap.upper)

    @cached_property
    def cut(self) -> list[CutPlace]:
        """What each place of the cut asks of the wedges that are there."""
        if self.layout is None or self.ends is None:
            return []
        mine = {name_of(build): build for build in self.between()}
        wedges = [club for club in self.bag.clubs if club.name in mine]
        return cut_places(self.layout, self.ends[0], wedges, lambda name: self.bends(mine[name]))

    def bend_room(self, build: Build) -> tuple[float, float]:
        """How far a build may still be bent stronger and weaker, degrees; nought for what is not bent."""
        if build.head_type != HeadType.WEDGE:
            return 0.0, 0.0
        club = build.made_club
        most = MOST_BEND_DEG[Made(club.made)]
        return max(most + club.bent_deg, 0.0), max(most - club.bent_deg, 0.0)

    def bends(self, build: Build) -> list[Prediction]:
        """What each bend it still bears would do, from its own kept shots."""
        shots, changes = self.rows.shots_of(build), bends_left(*self.bend_room(build))
        hit = HitClub(loft_deg=build.loft_deg, head_type=HeadType.WEDGE, left_handed=self.rows.left_handed)
        return predict(shots, changes, air=self.rows.air_of(build), anchored=self.bag.anchored, club=hit)

    @cached_property
    def recheck(self) -> str:
        """A sentence where the irons are others than when the wedges were last hit; empty where they are not, and where
        the set wedge was hit since."""
        session, found = self.rows.session, self.short_end
        if session.end != BagEnd.SHORT or found is None or found.high is None or found.high.club.shots:
            return ""
        then = last_with_wedges(session)
        if then is None:
            return ""
        old, now = irons_of(Build.objects.of(session.shop_id).filter(session=then)), irons_of(self.rows.builds)
        if not old or old == now:
            return ""
        day = then.held_on
        return (
            f"The irons are others than on {day.day} {day:%b %Y}, when the wedges were last hit: hit "
            f"{found.high.club.name} again before the space is cut."
        )

    @cached_property
    def tests(self) -> ShortTests:
        """Part swings, grooves and stopping."""
        return ShortTests(self)

    # Flight

    def _hit(self, build: Build) -> Hit | None:
        means = {key: self.bag.mean(build, key) for key in (*HIT_FULL[:3], "attack_deg")}
        if build.loft_deg is None or any(means[key] is None for key in HIT_FULL[:3]):
            return None
        ball, up, spin = (means[key].mean for key in HIT_FULL[:3])  # type: ignore[union-attr]
        attack = means["attack_deg"]
        return Hit(build.loft_deg, ball, up, spin, attack.mean if attack else None)

    @cached_property
    def hits(self) -> dict[int, Hit]:
        return {build.pk: hit for build in self.builds if (hit := self._hit(build)) is not None}

    def looks(self, build: Build) -> Looks:
        """What is known of the circumstances of a wedge's shots."""
        shots = [shot for shot in self.rows.shots_of(build) if shot.kept]
        lies = frozenset(shot.lie for shot in shots if shot.lie is not None)
        firm = self.rows.session.firmness == Firmness.FIRM or Lie.TIGHT in lies
        return Looks(
            high=sum(shot.strike is Strike.HIGH for shot in shots),
            called=sum(shot.strike is not None for shot in shots),
            wet=Lie.WET in lies,
            lies=lies,
            firm=firm and Lie.MAT not in lies,
            soft=(self.rows.session.firmness == Firmness.SOFT or Lie.SOFT in lies) and Lie.MAT not in lies,
            worn=build.wear == Wear.WORN,
            age_rounds=build.age_rounds,
            bounce_deg=build.made_club.bounce_deg,
            delivery=self.delivered.kind,
        )

    def flight(self, build: Build) -> WedgeFlight | None:
        """A wedge's stock shots beside the window of its loft and ball speed; None where its loft or launch is not
        known."""
        hit = self.hits.get(build.pk)
        if hit is None:
            return None
        if build.pk not in self._flights:
            others = [each for pk, each in self.hits.items() if pk != build.pk]
            windows = windows_at(
                hit.loft_deg,
                hit.ball_speed_mps,
                others=others,
                attack_deg=hit.attack_deg,
                air=self.rows.air_of(build),
                anchored=self.bag.anchored,
            )
            means = {key: mean.mean for key in HIT_FULL[1:] if (mean := self.bag.mean(build, key)) is not None}
            launch = self.bag.mean(build, "launch_deg")
            self._flights[build.pk] = flight_of(means, windows, self.looks(build), launch.n if launch else 0)
        return self._flights[build.pk]

    @cached_property
    def _flights(self) -> dict[int, WedgeFlight]:
        return {}

    def flies_high(self, build: Build) -> str:
        """The test that would tell why a wedge leaves too high with too little spin; empty where it does not."""
        found = self.flight(build) if build.head_type == HeadType.WEDGE else None
        return found.causes[0].test if found is not None and found.causes else ""

    # Claims

    def is_fresh(self, build: Build) -> bool:
        """Whether its grooves are new, as far as is known: of the shop's stand, or seen to be so, or young enough."""
        of_the_shop = not build.is_own and not build.borrowed
        fresh = of_the_shop or grooves_fresh(Wear(build.wear) if build.wear else None, build.age_rounds)
        return fresh and build.turned_from_id is None

    def _wedge(self, build: Build) -> Wedge:
        return Wedge(
            name=name_of(build),
            loft_deg=build.loft_deg,
            shots=self.rows.shots_of(build),
            club=self.bag.carried(build),
            fresh=self.is_fresh(build),
            flight=self.flight(build),
            air=self.rows.air_of(build),
            bounce_deg=build.made_club.bounce_deg,
            sands=tuple(sorted({course.get("sand", "") for course in self.rows.session.courses} - {""})),
        )

    @cached_property
    def claims(self) -> list[Claimed]:
        """What bothers the player with each own wedge, answered as far as it was measured."""
        complaining = [build for build in self.builds if build.is_own and build.complaints]
        if not complaining:
            return []
        seen = {build.pk: self._wedge(build) for build in self.builds}
        made = []
        for build in complaining:
            others = [each for pk, each in seen.items() if pk != build.pk]
            tested = next((each for each in self.tests.grooves if each.old == build.pk), None)
            for complaint in build.complaints:
                if complaint == Complaint.WORN and tested is not None:
                    made.append(as_claim(name_of(build), tested))
                    continue
                said = answered(
                    seen[build.pk], Complaint(complaint), others, self.bag.rules.wedge_step, self.bag.anchored
                )
                made.append(said)
        return made


def last_with_wedges(session: FittingSession) -> FittingSession | None:
    """The customer's last visit before this one in which a wedge was hit."""
    return (
        FittingSession.objects.of(session.shop_id)
        .filter(
            customer__in=session.customer.family(),
            shots__run__build__head_type=HeadType.WEDGE.value,
            held_on__lte=session.held_on,
        )
        .exclude(pk=session.pk)
        .distinct()
        .first()
    )


def irons_of(builds: Iterable[Build]) -> set[tuple[str, float | None]]:
    """The irons and the wedges of their set by name and stated loft."""
    return {
        (build.name, build.stated_loft_deg)
        for build in builds
        if build.is_own and not build.archived and (build.head_type == HeadType.IRON or build.is_of_set)
    }
