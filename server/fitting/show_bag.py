"""The bag of a loaded session as it is shown: holes, slots with their targets, what it says of itself."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import replace

from hemicycle_core.bag import Between, GapRule, Remark, Slot, clubs_for, coverage, remarks, replanned
from hemicycle_core.bag.gaps import RULE_WORDS
from hemicycle_core.brief import Target
from hemicycle_core.rack import Reach
from hemicycle_core.rack.differences import Spec, differences
from hemicycle_core.shots import READINGS
from hemicycle_core.units import yards

from . import pictures as p
from .models import Build
from .read import Loaded

LABELS = {key: reading.label for key, reading in READINGS.items()}


def _target(loaded: Loaded, slot: Slot, proposed: Target, reach: Reach | None) -> p.TargetPicture:
    mine = loaded.override_of(slot, proposed.quantity)
    return p.TargetPicture(
        quantity=proposed.quantity,
        label=LABELS[proposed.quantity],
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


def between_picture(gap: Between, ids: Mapping[str, int]) -> p.BetweenPicture:
    """ids: of the builds by the club's name in the bag."""
    return p.BetweenPicture(
        lower=ids[gap.lower.name],
        upper=ids[gap.upper.name],
        rule=gap.rule.value,
        step_m=gap.step_m,
        coverage_m=gap.coverage_m,
        hole_m=gap.hole_m,
        hole_from_m=gap.hole_from_m,
        hole_to_m=gap.hole_to_m,
        overlap_m=gap.overlap_m,
        crowded=gap.crowded,
    )


def bag_picture(loaded: Loaded) -> p.BagPicture:
    covered = loaded.coverage
    ids = {build.name: build.pk for build in loaded.own}

    rules = covered.rules
    session = loaded.session
    return p.BagPicture(
        order=[ids[club.name] for club in covered.clubs],
        between=[between_picture(gap, ids) for gap in covered.between],
        rule=rules.long.value,
        rule_words=RULE_WORDS[rules.long],
        short_rule=rules.short.value,
        short_rule_words=RULE_WORDS[rules.short],
        step=rules.long_step.text,
        short_step=rules.short_step.text,
        own_steps=session.long_least_m is not None or session.short_least_m is not None,
        turf=session.turf,
        stand=differences([_spec(build) for build in loaded.candidates]),
        moved={build.letter: moved_by(loaded, build) for build in loaded.candidates},
        club_count=len(loaded.own),
        headline=_headline(loaded),
        plan=_plan(loaded, ids),
        remarks=[p.RemarkPicture(ids[each.club], each.what, each.sentence) for each in _remarks(loaded)],
    )


def _spec(build: Build) -> Spec:
    shaft = build.shaft
    return Spec(build.letter, build.length_m, shaft.weight_g if shaft else None, shaft.flex if shaft else None)


def name_of(build: Build) -> str:
    """A name that no other club of the session has: own clubs by theirs, candidates by their letter first."""
    return build.name if build.is_own else f"{build.letter} {build.name}"


def moved_by(loaded: Loaded, build: Build) -> str:
    """What a candidate would do to its neighbours in the bag; empty before it was hit."""
    club = loaded.carried(build)
    if club is None:
        return ""
    after = coverage([*loaded.bag, replace(club, name=name_of(build))], loaded.rules)
    return replanned(loaded.coverage, after, name_of(build))


def _remarks(loaded: Loaded) -> list[Remark]:
    """How many clubs belong in the space in work, then what else the bag says."""
    counted = _count(loaded)
    return [*([counted[1]] if counted else []), *remarks(loaded.coverage)]


def _count(loaded: Loaded) -> tuple[int, Remark] | None:
    """How many clubs belong in the space in work."""
    hole = loaded.hole
    if hole is None or hole.step_m <= 0 or loaded.like is not None:
        return None
    return clubs_for(hole.lower, hole.upper, rule=hole.rule, step=hole.step, uses=loaded.uses_between())


def _headline(loaded: Loaded) -> str:
    hole = loaded.hole
    if loaded.like is not None:
        return f"Like for like: a club that does what {loaded.like.name} does."
    if len(loaded.bag) < 2:
        return "Import the baseline or type carries to see where the hole is."
    if hole is None or hole.hole_m <= 0:
        return f"No hole by {RULE_WORDS[loaded.rules.long]}."
    return f"{round(yards(hole.hole_m))} yd uncovered between {hole.lower.name} and {hole.upper.name}."


def _plan(loaded: Loaded, ids: dict[str, int]) -> p.PlanPicture | None:
    plan, hole = loaded.plan, loaded.hole
    if plan is None or hole is None:
        return None
    counted = _count(loaded)
    return p.PlanPicture(
        lower=ids[hole.lower.name],
        upper=ids[hole.upper.name],
        rule=plan.rule.value,
        open_m=hole.hole_m,
        count=plan.count,
        left_m=plan.left_m,
        slack_m=plan.slack_m,
        at_worst_m=plan.at_worst_m,
        sentence=plan.sentence,
        like=ids[loaded.like.name] if loaded.like else None,
        proposed_count=counted[0] if counted else None,
        slots=[
            p.SlotPicture(
                index=slot.index,
                target_m=slot.target_m,
                low_m=slot.low_m,
                high_m=slot.high_m,
                roll_m=slot.roll_m,
                targets=_targets(loaded, slot),
                by_type=_by_type(loaded, slot),
            )
            for slot in plan.slots
        ],
    )


def _by_type(loaded: Loaded, slot: Slot) -> list[p.TypeWindow]:
    """The window of each kind of head, where roll-out is what closes the space."""
    if loaded.hole is None or loaded.hole.rule is not GapRule.ROLL_OUT or loaded.like is not None:
        return []
    if loaded.override_of(slot, "carry_m") is not None:
        return []
    own = [(kind, loaded.slot_as(slot, kind)) for kind in loaded.lines]
    return [p.TypeWindow(kind.value, each.roll_m, each.low_m, each.high_m) for kind, each in own]


def _targets(loaded: Loaded, slot: Slot) -> list[p.TargetPicture]:
    reach = loaded.out_of_reach(slot)
    return [_target(loaded, slot, target, reach) for target in loaded.proposed(slot)]
