"""What is known of each wedge: its flight beside the usual one, where it is judged, whose place it takes, how it may be
bent."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from functools import partial

from ..bag import BagEnd, Carried, SlotLayout, coverage, lay_out_like, lay_out_slots
from ..bag.gaps import CROWDED_M
from ..bag.slots import lay_out_below
from ..brief import Job, Miss, Target, Wish, propose
from ..brief.targets import propose_named
from ..brief.wishes import named_target
from ..facts import Club, Facts
from ..facts.session import air_of
from ..flight import Air, Anchor, Firmness
from ..heads import HeadType
from ..impact import Lie
from ..judge import HitClub, Prediction, predict
from ..judge.claims import grooves_fresh
from ..judge.cut import Between, CutPlace, bends_left, cut_places, takes_place_of
from ..judge.eased import part_swings
from ..kept import kept, new_store
from ..rack.stock import MOST_BEND_DEG, Made, Wear
from ..said import NOTHING, Said, say
from ..shots import Strike
from ..wedges import Looks, WedgeFlight, flight_of, windows_at
from ..wedges.flight import FullHit, Window
from ..wedges.short_end import as_lofted, soles_differ, wedges_of
from .clubs import mean_of
from .space import InWork

WINDOWS = new_store(256)
LAUNCH = ("ball_speed_mps", "launch_deg", "spin_rpm")
SEEN = ("launch_deg", "spin_rpm", "peak_m", "landing_deg")


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


# Flight


def flights_of(work: InWork) -> dict[int, WedgeFlight]:
    """By number, each wedge's stock shots beside the window of its loft and ball speed; without those whose loft or
    launch is not known."""
    facts = work.facts
    hits = {club.key: hit for club in facts.wedges if (hit := _hit(club)) is not None}
    return {club.key: _flight(work, club, hits) for club in facts.wedges if club.key in hits}


def _hit(club: Club) -> FullHit | None:
    means = {key: mean_of(club, key) for key in (*LAUNCH, "attack_deg")}
    ball, up, spin, attack = means.values()
    if club.loft_deg is None or ball is None or up is None or spin is None:
        return None
    return FullHit(club.loft_deg, ball.mean, up.mean, spin.mean, attack.mean if attack else None)


def _flight(work: InWork, club: Club, hits: Mapping[int, FullHit]) -> WedgeFlight:
    hit = hits[club.key]
    others = [each for key, each in hits.items() if key != club.key]
    windows = kept(WINDOWS, _windows, hit, others, air_of(work.facts, club), work.known.anchored)
    means = {key: mean.mean for key in SEEN if (mean := mean_of(club, key)) is not None}
    launch = mean_of(club, "launch_deg")
    return flight_of(means, windows, _looks(work, club), launch.n if launch else 0)


def _windows(hit: FullHit, others: Sequence[FullHit], air: Air, anchored: Anchor) -> dict[str, Window]:
    return windows_at(
        hit.loft_deg, hit.ball_speed_mps, others=others, attack_deg=hit.attack_deg, air=air, anchored=anchored
    )


def _looks(work: InWork, club: Club) -> Looks:
    """What is known of the circumstances of a wedge's shots."""
    shots = [shot for shot in club.shots if shot.kept]
    lies = frozenset(shot.lie for shot in shots if shot.lie is not None)
    ground = work.facts.brief.firmness
    firm = ground is Firmness.FIRM or Lie.TIGHT in lies
    return Looks(
        high=sum(shot.strike is Strike.HIGH for shot in shots),
        called=sum(shot.strike is not None for shot in shots),
        wet=Lie.WET in lies,
        lies=lies,
        firm=firm and Lie.MAT not in lies,
        soft=(ground is Firmness.SOFT or Lie.SOFT in lies) and Lie.MAT not in lies,
        worn=club.wear is Wear.WORN,
        age_rounds=club.age_rounds,
        bounce_deg=club.bounce_deg,
        delivery=work.ends.delivered.kind,
    )


def flies_high(flights: Mapping[int, WedgeFlight], club: Club) -> Said:
    """The test that would tell why a wedge leaves too high with too little spin; empty where it does not."""
    found = flights.get(club.key)
    return found.causes[0].test if found is not None and found.causes else NOTHING


# Places


def replaces(work: InWork, club: Club, places: Sequence[CutPlace]) -> str:
    """The own wedge whose place a wedge of the stand would take: the one it was made of, else one that carries the
    same, else the one that stands in its place of the cut; empty where it is one more. places: of the cut."""
    facts = work.facts
    if not club.is_wedge or facts.brief.end is BagEnd.LONG:
        return ""
    parent = next((each for each in facts.in_bag if each.key == club.turned_from and each.is_own), None)
    if parent is not None:
        return parent.called
    carry = mean_of(club, "carry_m")
    return "" if carry is None else takes_place_of(carry.mean, work.ends.bag.clubs, places)


def sole_open(work: InWork, club: Club) -> bool:
    """Whether a wedge of the stand is to be the most lofted one, while soles differ and none is chosen."""
    found = work.ends.short_end
    if work.facts.brief.sole or not club.is_wedge or found is None:
        return False
    low = found.low.club if found.low else None
    lofted = [each for each in work.facts.candidates if _is_lofted(each, low)]
    return club in lofted and soles_differ(each.sole for each in lofted)


def _is_lofted(club: Club, low: Carried | None) -> bool:
    return club.is_wedge and low is not None and as_lofted(club.loft_deg, low)


def own_place(work: InWork, club: Club, instead: str) -> OwnPlace | None:
    """Where a wedge of the stand is judged that does not belong into the space in work: under the most lofted one, or,
    while the whole bag is worked at, between the wedges it would lie between. None of any other build. instead: the own
    wedge whose place it takes, empty for none."""
    carry, end, bag = mean_of(club, "carry_m"), work.facts.brief.end, work.ends.bag
    if not club.is_wedge or end is BagEnd.LONG or carry is None:
        return None
    if work.wish is not Wish.GAP or work.named is not None or work.ends.short_end is None:
        return None
    low = work.ends.short_end.low
    if low is not None and instead == low.club.name:
        above = next((each for each in wedges_of(bag.clubs) if each.carry_m > low.club.carry_m), None)
        return OwnPlace(lay_out_like(low.club, say("space-in-the-place-of", name=low.club.name)), None, above)
    if low is not None and carry.mean < low.club.carry_m - CROWDED_M:
        return OwnPlace(lay_out_below(low.club, bag.rules.wedge_step), None, low.club)
    if end is not BagEnd.WHOLE or (work.gap is not None and BagEnd.SHORT.holds(work.gap)):
        return None
    covered = coverage([each for each in bag.clubs if each.name != instead], bag.rules)
    mine = [gap for gap in covered.gaps if BagEnd.SHORT.holds(gap) and gap.upper.carry_m > carry.mean]
    gap = next((gap for gap in mine if gap.lower.carry_m <= carry.mean), None)
    if gap is None:
        return None
    return OwnPlace(lay_out_slots(gap.lower, gap.upper, 1, rule=gap.rule, step=gap.step), gap.lower, gap.upper)


def places_of(work: InWork) -> list[CutPlace]:
    """What each place of the cut asks of the wedges that are there."""
    ends = work.ends
    if ends.cut is None or ends.ends is None:
        return []
    mine = {club.called: club for club in ends.between()}
    wedges = [club for club in ends.bag.clubs if club.name in mine]
    between = [
        Between(
            club,
            partial(bends, work, mine[club.name]),
            [part.carry_m for part in part_swings(mine[club.name].shots) if part.is_number],
        )
        for club in wedges
    ]
    return cut_places(ends.cut, ends.ends, between, ends.bag.rules.wedge_step)


# Bending


def bend_room(club: Club) -> tuple[float, float]:
    """How far a club may still be bent stronger and weaker, degrees; nought for what is not bent."""
    if not club.is_wedge:
        return 0.0, 0.0
    made = club.made
    most = MOST_BEND_DEG[Made(made.made)]
    return max(most + made.bent_deg, 0.0), max(most - made.bent_deg, 0.0)


def bends(work: InWork, club: Club) -> list[Prediction]:
    """What each bend it still bears would do, from its own kept shots."""
    facts = work.facts
    hit = HitClub(loft_deg=club.loft_deg, head_type=HeadType.WEDGE, left_handed=facts.left_handed)
    changes = bends_left(*bend_room(club))
    return predict(club.shots, changes, air=air_of(facts, club), anchored=work.known.anchored, club=hit)


def is_fresh(club: Club) -> bool:
    """Whether its grooves are new, as far as is known: of the shop's stand, or seen to be so, or young enough."""
    of_the_shop = not club.is_own and not club.borrowed
    return (of_the_shop or grooves_fresh(club.wear, club.age_rounds)) and club.turned_from is None


def sands_of(facts: Facts) -> tuple[str, ...]:
    """What the bunkers of their courses hold, as far as it was said."""
    return tuple(sorted({course.sand for course in facts.brief.courses} - {""}))
