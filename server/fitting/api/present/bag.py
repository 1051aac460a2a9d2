"""The bag of a session as it is shown: holes, slots with their targets, what it says of itself."""

from __future__ import annotations

from collections.abc import Mapping

from hemicycle_core.bag import (
    BagEnd,
    Gap,
    GapOrder,
    GapRule,
    Remark,
    Slot,
    clubs_for,
    coverage,
    remarks,
    replanned,
    widest_gap,
)
from hemicycle_core.bag.gaps import RULE_WORDS
from hemicycle_core.brief import FlightWish, ReplaceWay, Target, Wish
from hemicycle_core.brief.wishes import far_words
from hemicycle_core.flight import Firmness
from hemicycle_core.rack import Reach
from hemicycle_core.rack.differences import Spec, differences
from hemicycle_core.units import yd_text

from ...actions.targets import Named
from ...domain.bag import name_of
from ...domain.session import JudgedSession
from ...models import Build
from ..schemas.bag import BagOut, GapInWork, GapOut, RemarkOut, SlotOut, SpanOut, TargetOut, TypeWindow, WishOut
from .wedges import present_short_end


def _target(judged: JudgedSession, slot: Slot, proposed: Target, reach: Reach | None) -> TargetOut:
    mine = judged.bag.override_of(slot, proposed.quantity)
    return TargetOut(
        quantity=proposed.quantity,
        low=mine.low if mine else proposed.low,
        high=mine.high if mine else proposed.high,
        proposed_low=proposed.low,
        proposed_high=proposed.high,
        overruled=mine is not None,
        why=proposed.why,
        sure=proposed.sure,
        firm=proposed.firm,
        out_of_reach=reach.sentence if reach and proposed.quantity == "landing_deg" else "",
    )


def present_gap(gap: Gap, ids: Mapping[str, int]) -> GapOut:
    """ids: of the builds by the club's name in the bag."""
    return GapOut(
        lower=ids[gap.lower.name],
        upper=ids[gap.upper.name],
        rule=gap.rule,
        step_m=gap.step_m,
        coverage_m=gap.coverage_m,
        open_m=gap.open_m,
        open_from_m=gap.open_from_m,
        open_to_m=gap.open_to_m,
        overlap_m=gap.overlap_m,
        crowded=gap.crowded,
    )


def present_bag(judged: JudgedSession) -> BagOut:
    covered = judged.bag.coverage
    ids = {name_of(build): build.pk for build in judged.rows.in_bag}

    rules = covered.rules
    session = judged.rows.session
    return BagOut(
        order=[ids[club.name] for club in covered.clubs],
        gaps=[present_gap(gap, ids) for gap in covered.gaps],
        rule=rules.long,
        rule_words=RULE_WORDS[rules.long],
        gap_order=GapOrder(session.gap_order),
        short_rule=rules.short,
        short_rule_words=RULE_WORDS[rules.short],
        long_step=SpanOut(rules.long_step.least_m, rules.long_step.most_m),
        short_step=SpanOut(rules.short_step.least_m, rules.short_step.most_m),
        step_is_own=session.long_least_m is not None or session.short_least_m is not None,
        turf=Firmness(session.turf) if session.turf else None,
        stand=differences([_spec(build) for build in judged.rows.candidates]),
        moved={build.letter: moved_by(judged, build) for build in judged.rows.candidates},
        club_count=len(judged.rows.in_bag),
        headline=_headline(judged),
        wanted=_wanted(judged, {name_of(build): build.pk for build in judged.rows.own}),
        in_work=_in_work(judged, ids),
        end=BagEnd(session.end),
        short=present_short_end(judged),
        remarks=[RemarkOut(ids[each.club], each.what, each.sentence) for each in _remarks(judged)],
    )


def _spec(build: Build) -> Spec:
    shaft = build.shaft
    return Spec(build.letter, build.length_m, shaft.weight_g if shaft else None, shaft.flex if shaft else None)


def moved_by(judged: JudgedSession, build: Build) -> str:
    """What a candidate would do to its neighbours in the bag; empty before it was hit."""
    club = judged.bag.carried(build)
    if club is None or build.accepted_at is not None:
        return ""
    after = coverage([*judged.bag.clubs, club], judged.bag.rules)
    return replanned(judged.bag.coverage, after, name_of(build))


def _remarks(judged: JudgedSession) -> list[Remark]:
    """How many clubs belong in the gap in work, then what else the bag says."""
    counted = _count(judged)
    said = counted is not None and judged.bag.cut is None  # of a cut it stands beside the cut
    return [*([counted[1]] if said and counted else []), *remarks(judged.bag.coverage)]


def _count(judged: JudgedSession) -> tuple[int, Remark] | None:
    """How many clubs belong in the gap in work."""
    gap, schools = judged.bag.gap, judged.wedges.schools
    if judged.bag.cut is not None and schools is not None and gap is not None:
        wanted = schools.each if schools.proposed is None else schools.proposed
        return wanted, Remark(gap.upper.name, "count", schools.sentence)
    if gap is None or gap.step_m <= 0 or judged.bag.wish is not Wish.GAP or judged.bag.named:
        return None
    return clubs_for(gap.lower, gap.upper, rule=gap.rule, step=gap.step, uses=judged.uses_in_gap())


def _wanted(judged: JudgedSession, own: Mapping[str, int]) -> WishOut:
    bag, session = judged.bag, judged.rows.session
    return WishOut(
        wish=bag.wish,
        like=own[bag.like.name] if bag.like else None,
        flight=FlightWish(session.flight_wish) if session.flight_wish and bag.like else None,
        ways=[ReplaceWay(each) for each in session.replace_ways],
        named=Named(*bag.named, session.named_total) if bag.named else None,
    )


def _headline(judged: JudgedSession) -> str:
    short = judged.wedges.short_end
    if judged.bag.wish is Wish.COMPARE:
        return "Compared only: no window, and no verdict by one."
    if judged.bag.like is not None or judged.bag.named is not None:
        return _asked_words(judged)
    if judged.rows.session.end == BagEnd.SHORT and short is not None:
        return short.sentence
    if len(judged.bag.clubs) < 2:
        return "Import the baseline or type carries to see where the hole is."
    return _hole_words(judged)


def _asked_words(judged: JudgedSession) -> str:
    """What was asked of an old club, or the yardage that was named."""
    fairway, like = judged.bag.wanted.fairway, judged.bag.like
    if like is not None and fairway is not None:
        return far_words(like, fairway, judged.thresholds)
    if like is not None:
        return f"Wanted: a club that {judged.bag.wanted.does}."
    return judged.bag.layout.sentence if judged.bag.layout is not None else ""


def _hole_words(judged: JudgedSession) -> str:
    gap = judged.bag.gap
    if gap is None or gap.open_m <= 0:
        return f"No hole by {RULE_WORDS[judged.bag.rules.long]}."
    words = f"{_open(gap)}."
    widest = widest_gap(judged.bag.coverage)
    if widest is None or widest.open_m <= gap.open_m:
        return words
    reached = judged.bag.reached is None or judged.bag.reached(widest)
    return f"{words} Widest: {_open(widest)}{'' if reached else ', which no club reaches at this speed'}."


def _open(gap: Gap) -> str:
    return f"{yd_text(gap.open_m)} yd uncovered between {gap.lower.name} and {gap.upper.name}"


def _in_work(judged: JudgedSession, ids: dict[str, int]) -> GapInWork | None:
    layout, gap = judged.bag.layout, judged.bag.gap
    if layout is None:
        return None
    counted = _count(judged)
    return GapInWork(
        lower=ids[gap.lower.name] if gap else None,
        upper=ids[gap.upper.name] if gap else None,
        rule=layout.rule,
        open_m=gap.open_m if gap else 0.0,
        count=layout.count,
        left_m=layout.left_m,
        slack_m=layout.slack_m,
        at_worst_m=layout.at_worst_m,
        sentence=layout.sentence,
        proposed_count=counted[0] if counted else None,
        slots=[
            SlotOut(
                index=slot.index,
                target_m=slot.target_m,
                low_m=slot.low_m,
                high_m=slot.high_m,
                roll_m=slot.roll_m,
                targets=_targets(judged, slot),
                by_type=_by_type(judged, slot),
            )
            for slot in layout.slots
        ],
    )


def _by_type(judged: JudgedSession, slot: Slot) -> list[TypeWindow]:
    """The window of each kind of head, where roll-out is what closes the space."""
    if judged.bag.gap is None or judged.bag.gap.rule is not GapRule.ROLL_OUT or judged.bag.like:
        return []
    if judged.bag.override_of(slot, "carry_m") is not None:
        return []
    own = [(kind, judged.slot_as(slot, kind)) for kind in judged.lines]
    return [TypeWindow(kind, each.roll_m, each.low_m, each.high_m) for kind, each in own]


def _targets(judged: JudgedSession, slot: Slot) -> list[TargetOut]:
    reach = judged.out_of_reach(slot)
    return [_target(judged, slot, target, reach) for target in judged.bag.proposed(slot)]
