"""The bag of a session as it is shown: holes, slots with their targets, what it says of itself."""

from __future__ import annotations

from collections.abc import Mapping

from hemicycle_core.answers.space import (
    held_against,
    out_of_reach,
    override_of,
    proposed,
    reached,
    wider_elsewhere,
)
from hemicycle_core.bag import (
    BagEnd,
    Gap,
    GapRule,
    Remark,
    Slot,
    clubs_for,
    coverage,
    remarks,
    replanned,
)
from hemicycle_core.bag.gaps import RULE_WORDS
from hemicycle_core.brief import Target, Wish
from hemicycle_core.brief.wishes import far_words
from hemicycle_core.facts import Club
from hemicycle_core.rack import Reach
from hemicycle_core.rack.differences import Spec, differences
from hemicycle_core.said import NOTHING, Said, far, joined, say

from ...actions.targets import Named
from ...domain.session import JudgedSession
from ..schemas.bag import BagOut, GapInWork, GapOut, RemarkOut, SlotOut, SpanOut, TargetOut, TypeWindow, WishOut
from .wedges import present_short_end


def _target(judged: JudgedSession, slot: Slot, proposed: Target, reach: Reach | None) -> TargetOut:
    mine = override_of(judged.facts, slot, proposed.quantity)
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
        out_of_reach=reach.sentence if reach and proposed.quantity == "landing_deg" else NOTHING,
    )


def present_bag(judged: JudgedSession) -> BagOut:
    covered = judged.bag.coverage
    ids = {club.called: club.key for club in judged.facts.in_bag}

    rules = covered.rules
    space, widest = judged.facts.space, wider_elsewhere(judged.work)
    return BagOut(
        order=[ids[club.name] for club in covered.clubs],
        gaps=[GapOut.of(gap, ids) for gap in covered.gaps],
        rule=rules.long,
        rule_words=RULE_WORDS[rules.long],
        gap_order=space.gap_order,
        short_rule=rules.short,
        short_rule_words=RULE_WORDS[rules.short],
        long_step=SpanOut(rules.long_step.least_m, rules.long_step.most_m),
        short_step=SpanOut(rules.short_step.least_m, rules.short_step.most_m),
        step_is_own=space.long_least_m is not None or space.short_least_m is not None,
        turf=space.turf,
        stand=differences([_spec(build) for build in judged.facts.candidates]),
        moved={build.letter: moved_by(judged, build) for build in judged.facts.candidates},
        club_count=len(judged.facts.in_bag),
        headline=_headline(judged),
        widest=None if widest is None else GapOut.of(widest, ids),
        beside=[club.key for club in held_against(judged.work)],
        wanted=_wanted(judged, {build.called: build.key for build in judged.facts.own}),
        in_work=_in_work(judged, ids),
        end=judged.facts.brief.end,
        short=present_short_end(judged),
        remarks=[RemarkOut(ids[each.club], each.what, each.sentence) for each in _remarks(judged)],
    )


def _spec(build: Club) -> Spec:
    shaft = build.shaft
    return Spec(build.letter, build.length_m, shaft.weight_g if shaft else None, shaft.flex if shaft else None)


def moved_by(judged: JudgedSession, build: Club) -> Said:
    """What a candidate would do to its neighbours in the bag; empty before it was hit."""
    club = judged.known.carried.get(build.key)
    if club is None or build.accepted:
        return NOTHING
    after = coverage([*judged.bag.clubs, club], judged.bag.rules)
    return replanned(judged.bag.coverage, after, build.called)


def _remarks(judged: JudgedSession) -> list[Remark]:
    """How many clubs belong in the gap in work, then what else the bag says."""
    counted = _count(judged)
    said = counted is not None and judged.work.cut is None  # of a cut it stands beside the cut
    return [*([counted[1]] if said and counted else []), *remarks(judged.bag.coverage)]


def _count(judged: JudgedSession) -> tuple[int, Remark] | None:
    """How many clubs belong in the gap in work."""
    gap, schools = judged.work.gap, judged.decided.schools
    if judged.work.cut is not None and schools is not None and gap is not None:
        wanted = schools.each if schools.proposed is None else schools.proposed
        return wanted, Remark(gap.upper.name, "count", schools.sentence)
    if gap is None or gap.step_m <= 0 or judged.work.wish is not Wish.GAP or judged.work.named:
        return None
    return clubs_for(gap.lower, gap.upper, rule=gap.rule, step=gap.step, uses=judged.work.uses_in_gap())


def _wanted(judged: JudgedSession, own: Mapping[str, int]) -> WishOut:
    work, space = judged.work, judged.facts.space
    return WishOut(
        wish=work.wish,
        like=own[work.like.name] if work.like else None,
        flight=space.flight_wish if work.like else None,
        ways=list(space.replace_ways),
        named=Named(*work.named, space.named_total) if work.named else None,
    )


def _headline(judged: JudgedSession) -> Said:
    short = judged.ends.short_end
    if judged.work.wish is Wish.COMPARE:
        return say("bag-compared-only")
    if judged.work.like is not None or judged.work.named is not None:
        return _asked_words(judged)
    if judged.facts.brief.end is BagEnd.SHORT and short is not None:
        return short.sentence
    if len(judged.bag.clubs) < 2:
        return say("bag-nothing-known")
    return _hole_words(judged)


def _asked_words(judged: JudgedSession) -> Said:
    """What was asked of an old club, or the yardage that was named."""
    fairway, like = judged.work.wanted.fairway, judged.work.like
    if like is not None and fairway is not None:
        return far_words(like, fairway, judged.thresholds)
    if like is not None:
        return say("bag-wanted", does=judged.work.wanted.does)
    return judged.work.layout.sentence if judged.work.layout is not None else NOTHING


def _hole_words(judged: JudgedSession) -> Said:
    gap, widest = judged.work.gap, wider_elsewhere(judged.work)
    if gap is None or gap.open_m <= 0:
        return say("bag-no-hole-by", rule=RULE_WORDS[judged.bag.rules.long])
    words = say("sentence", said=_open(gap))
    if widest is None:
        return words
    return joined([words, say("bag-widest-elsewhere", open=_open(widest), reached=reached(judged.known, widest))])


def _open(gap: Gap) -> Said:
    return say("bag-uncovered", open=far(gap.open_m), lower=gap.lower.name, upper=gap.upper.name)


def _in_work(judged: JudgedSession, ids: dict[str, int]) -> GapInWork | None:
    layout, gap = judged.work.layout, judged.work.gap
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
    if judged.work.gap is None or judged.work.gap.rule is not GapRule.ROLL_OUT or judged.work.like:
        return []
    if override_of(judged.facts, slot, "carry_m") is not None:
        return []
    own = [(kind, judged.work.slot_as(slot, kind)) for kind in judged.known.lines]
    return [TypeWindow(kind, each.roll_m, each.low_m, each.high_m) for kind, each in own]


def _targets(judged: JudgedSession, slot: Slot) -> list[TargetOut]:
    reach = out_of_reach(judged.work, slot)
    return [_target(judged, slot, target, reach) for target in proposed(judged.work, slot)]
