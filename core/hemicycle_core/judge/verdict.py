"""A verdict per build: one of a closed list, in plain words, with the facts that made it."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass, field, replace
from enum import StrEnum
from typing import Any

from ..bag import Carried
from ..bag.gaps import CROWDED_M
from ..brief import Job, JobKind, Wish
from ..estimate import UPPER_80
from ..heads import HeadType
from ..impact import SPEED_ACROSS_A_SET
from ..said import NOTHING, Form, Said, angle, far, number, say, some_way, term, with_and
from ..samples.averages import average, values_of
from ..shots import READINGS
from ..thresholds import DEFAULT, Thresholds
from ..units import METRES_PER_INCH
from .candidate import Candidate, Case, Liking
from .changes import EFFECTS, Change, ChangeKind
from .evidence import Evidence, evidence_of
from .facts import Fact, against, facts_of
from .play import Played
from .weigh import Weighed
from .whatif import HitClub, Prediction, predict
from .why import why_words


class Kind(StrEnum):
    """The closed list of verdicts."""

    NEEDS_SHOTS = "needs_shots"
    FILLS = "fills"
    FILLS_NOT_SETTLED = "fills_not_settled"
    ONE_TURN = "one_turn"
    OTHER_JOB = "other_job"
    CROWDS = "crowds"
    ONE_HEAD = "one_head"
    NOT_SUPPORTED = "not_supported"
    KEEP = "keep"
    VETOED = "vetoed"
    ACCEPTED = "accepted"  # in the bag for the time being: the rest of the space is cut around it
    RECOMMENDED = "recommended"  # outside its window, and the best of the jobs in spite of it
    COMPARED = "compared"  # side by side with the others, without a window
    TOO_HIGH = "too_high"  # a wedge: too high a launch with too little spin
    SOLE_FIRST = "sole_first"  # a wedge: fills its step, and its sole is not chosen yet


# What fills the place it is tried for, whatever else is said of it.
DOING = (Kind.FILLS, Kind.FILLS_NOT_SETTLED, Kind.TOO_HIGH, Kind.SOLE_FIRST)


@dataclass(frozen=True)
class Verdict:
    """What is said of one build. chance: 0 to 1 that its mean carry lies in the window and its mean
    landing is steep enough. more: further shots that would settle the carry, None when over 30. facts: in order
    of weight. played: its jobs; rounds: successful shots a round over them, less what is feared, None without jobs.
    off_m: how far its carry lies outside its window, negative for short, 0 inside, in whole yards; None where nothing
    can be said. moved: single shots move its average, so that they are looked at before anything rests on it. crowded:
    the club it is too near, empty without one."""

    letter: str
    kind: Kind
    headline: Said
    why: Said
    chance: float | None
    settled: bool
    more: int | None
    half_width_m: float | None
    facts: tuple[Fact, ...] = ()
    against: Said | None = None
    change: Said | None = None
    turn: Prediction | None = field(default=None)
    played: tuple[Played, ...] = ()
    rounds: float | None = None
    off_m: float | None = None
    moved: bool = False
    crowded: str = ""


@dataclass(frozen=True)
class Judged:
    """What was found of a build: its verdict's kind and headline, the turn that would mend it, else what else would.
    crowded: the club it is too near."""

    kind: Kind
    headline: Said
    turn: Prediction | None = None
    remedy: Said | None = None
    crowded: str = ""


def verdict_of(
    case: Case,
    weighed: Weighed,
    *,
    jobs: Sequence[Job] = (),
    thresholds: Thresholds = DEFAULT,
) -> Verdict:
    """The verdict of one build among those weighed together."""
    candidate = case.candidate
    evidence = evidence_of(case, weighed)
    if evidence is None or evidence.carry.n < thresholds.least_shots:
        return _needs_shots(candidate, evidence, thresholds)
    chance = evidence.chance()
    told = not evidence.unread and evidence.more_for(thresholds.sure) == 0
    settled = ((evidence.narrow and told) or chance >= 0.95 or chance <= 0.05) and not evidence.moved_m
    compared = case.wanted.wish is Wish.COMPARE
    found = _find(case, evidence, settled, jobs, thresholds)
    if evidence.moved_m and found.kind is not Kind.VETOED:
        found = replace(found, headline=say("verdict-look-at-single-shots"))
    facts = tuple(facts_of(candidate, case.targets, evidence.doubt, thresholds))
    played = weighed.played[candidate.letter]
    return Verdict(
        letter=candidate.letter,
        kind=found.kind,
        headline=found.headline,
        why=why_words(evidence, candidate, played),
        chance=None if compared else chance,
        settled=settled,
        more=0 if settled else _more(evidence, thresholds),
        half_width_m=evidence.half_width_m,
        facts=facts,
        against=against(facts, candidate, played),
        change=_change(found, evidence, settled, candidate),
        turn=found.turn,
        played=played,
        rounds=float(weighed.rounds[candidate.letter].mean()) if played else None,
        off_m=None if case.wanted.windowless else evidence.off_m,
        moved=bool(evidence.moved_m),
        crowded=found.crowded,
    )


def _more(evidence: Evidence, thresholds: Thresholds) -> int | None:
    """Shots that would settle the carry and what else is asked; None when over what anyone hits."""
    wanted = (evidence.more, evidence.more_for(thresholds.sure))
    return None if None in wanted else max(each for each in wanted if each is not None)


def _needs_shots(candidate: Candidate, evidence: Evidence | None, thresholds: Thresholds) -> Verdict:
    have = 0 if evidence is None else evidence.carry.n
    need = max(thresholds.least_shots - have, 1)
    again = say("verdict-needs-shots")
    said = say("why-kept-so-far", have=have, need=need) if have else say("why-not-hit-yet")
    if not have and any(shot.kept for shot in candidate.shots):
        said = say("why-shots-have-no-carry")
    elif not have and any(shot.counts for shot in candidate.shots):
        said = say("why-every-shot-is-aside", need=need)
    elif not have and any(shot.stock and shot.old_swing for shot in candidate.shots):
        said = say("why-hit-with-the-old-swing", need=need)
        again = say("verdict-old-swing")
    vetoed = candidate.liking is Liking.VETOED
    return Verdict(
        letter=candidate.letter,
        kind=Kind.VETOED if vetoed else Kind.NEEDS_SHOTS,
        headline=say("verdict-vetoed") if vetoed else again,
        why=said,
        chance=None,
        settled=vetoed,
        more=0 if vetoed else need,
        half_width_m=None if evidence is None else evidence.half_width_m,
    )


def _find(
    case: Case,
    evidence: Evidence,
    settled: bool,
    jobs: Sequence[Job],
    thresholds: Thresholds,
) -> Judged:
    candidate, chance = case.candidate, evidence.chance()
    if candidate.liking is Liking.VETOED:
        return Judged(Kind.VETOED, say("verdict-vetoed"))
    if case.wanted.wish is Wish.COMPARE:
        return Judged(Kind.COMPARED, say("verdict-side-by-side"))
    if evidence.unread and evidence.inside(thresholds):
        labels = with_and(READINGS[key].label for key in evidence.unread)
        return Judged(Kind.FILLS_NOT_SETTLED, say("verdict-cannot-be-told", readings=labels), remedy=READ_IT)
    if chance >= thresholds.likely or evidence.inside(thresholds):
        found = _does(case, chance >= thresholds.sure and settled)
        close = found.kind is Kind.FILLS_NOT_SETTLED and chance < thresholds.likely
        return replace(found, headline=say("verdict-too-close")) if close else found
    if case.wanted.wish is Wish.FAR:
        return Judged(Kind.ONE_HEAD, _not_far(evidence, case.wanted.old))
    return _beside_it(case, evidence, jobs, thresholds)


def _beside_it(case: Case, evidence: Evidence, jobs: Sequence[Job], thresholds: Thresholds) -> Judged:
    """What is said of a build that does not do what is asked, with what would mend it."""
    candidate, chance = case.candidate, evidence.chance()
    if case.wanted.wish is Wish.GAP and _not_held_up(candidate, evidence, thresholds):
        return _too_flat(jobs)
    turn = _best_turn(candidate, evidence, chance, thresholds)
    if turn is not None:
        bent = turn.change.kind is ChangeKind.BEND
        return Judged(
            Kind.ONE_TURN, _bend_headline(turn) if bent else say("verdict-one-turn-away", turn=turn.change.words), turn
        )
    crowded = _crowded(evidence.carry.mean, case.lower, case.upper)
    mended = remedy(case, evidence, thresholds)
    if crowded is not None:
        wedge = candidate.head_type is HeadType.WEDGE
        says = say("verdict-crowds", wedge=wedge, name=crowded.name)
        return Judged(Kind.CROWDS, says, remedy=mended, crowded=crowded.name)
    if case.wanted.wish is not Wish.GAP and not evidence.off_m:
        return Judged(Kind.ONE_HEAD, say("verdict-keeps-the-yardage"), remedy=mended)
    near = mended != NO_REMEDY and abs(evidence.off_m) <= thresholds.one_head_m
    return Judged(Kind.ONE_HEAD, _head_away(evidence, near), remedy=mended)


def _bend_headline(bend: Prediction) -> Said:
    by = abs(bend.change.amount)
    degrees = int(by) if by in (1, 2) else 0
    return say("verdict-bend-away", n=degrees, by=number(by, form=Form.SHORT), weaker=bend.change.amount > 0)


def _not_far(evidence: Evidence, old: str) -> Said:
    missed = [each.target.quantity for each in evidence.demands if each.met is False]
    if missed == ["in_play"]:
        return say("verdict-further-not-in-play", name=old)
    return say("verdict-no-further", name=old)


def _does(case: Case, surely: bool) -> Judged:
    """It does what is asked of it, and whether that is known. A wedge fills a step once its sole is chosen, and where
    its flight is one that can be controlled."""
    gap, wedge = case.wanted.wish is Wish.GAP, case.candidate.head_type is HeadType.WEDGE
    if wedge and case.candidate.flies_high:
        return Judged(Kind.TOO_HIGH, say("verdict-fills-step-too-high"), remedy=case.candidate.flies_high)
    if wedge and case.sole_open:
        return Judged(Kind.SOLE_FIRST, say("verdict-fills-step-sole-first"), remedy=SOLE_FIRST)
    if surely:
        step = say("verdict-fills-its-step") if wedge else say("verdict-fills-the-slot")
        return Judged(Kind.FILLS, step if gap else say("verdict-does-what-was-asked"))
    may = say("verdict-fills-not-settled") if gap else say("verdict-may-do-what-was-asked")
    return Judged(Kind.FILLS_NOT_SETTLED, may)


def kept_instead(verdict: Verdict, replaces: str) -> Verdict:
    """The verdict of a build that fills its slot where the bag of today does as well without it. replaces: the own
    wedge whose place it would take."""
    head = say("verdict-keep-the-old", name=replaces) if replaces else say("verdict-keep-what-you-have")
    return replace(verdict, kind=Kind.KEEP, headline=head, change=WOULD_CHANGE[Kind.KEEP])


def decided_by_tests(verdict: Verdict, old: str, *, comes: bool) -> Verdict:
    """The verdict of a build that tests decided on beside the club that is played. comes: it takes the club's place."""
    if comes and verdict.kind is not Kind.NEEDS_SHOTS:
        return recommended(verdict)
    head = say("verdict-recommended-after-tests") if comes else say("verdict-kept-after-tests", name=old)
    kind = Kind.RECOMMENDED if comes else Kind.KEEP
    change = verdict.change if comes else WOULD_CHANGE[Kind.KEEP]
    return replace(verdict, kind=kind, headline=head, settled=True, more=0, change=change)


READ_IT = say("change-read-it")
SOLE_FIRST = say("change-sole-first")


def _not_held_up(candidate: Candidate, evidence: Evidence, thresholds: Thresholds) -> bool:
    """Whether this player's speed and launch do not hold the head up: even the upper end of 80% of its landing angle,
    in its best setting, lies under the line. Any speed holds up a wedge: what it lands flatter by, more loft mends."""
    if evidence.landing is None or candidate.head_type is HeadType.WEDGE:
        return False
    line = thresholds.flat_deg if evidence.holds is None or evidence.holds.low is None else evidence.holds.low
    upper = evidence.landing.mean + UPPER_80 * math.hypot(evidence.landing_se, evidence.doubt.landing_deg)
    if upper >= line or not candidate.up_deg:
        return upper < line
    most = Change(ChangeKind.LOFT, min(candidate.up_deg, EFFECTS[ChangeKind.LOFT].most))
    turned = _predicted(candidate, [most])
    return upper + (turned[0].gain("landing_deg") if turned else 0.0) < line


def _predicted(candidate: Candidate, changes: Sequence[Change], *, doubted: bool = True) -> list[Prediction]:
    if not changes:
        return []
    hit = HitClub(head_type=candidate.head_type, loft_deg=candidate.loft_deg)
    return predict(candidate.shots, changes, air=candidate.air, anchored=candidate.anchored, club=hit, doubted=doubted)


def _head_away(evidence: Evidence, near: bool) -> Said:
    """near: something that can be had brings it in. A head is worth about half a club; what is further off than a whole
    step is not one head away."""
    if not evidence.off_m:
        return say("verdict-lands-too-flat")
    if near:
        return say("verdict-one-head-away")
    return say("verdict-off-the-slot", off=some_way(abs(evidence.off_m)), short=evidence.off_m < 0)


def _too_flat(jobs: Sequence[Job]) -> Judged:
    other = next((job for job in jobs if job.kind is not JobKind.GREEN), None)
    if other is not None:
        return Judged(Kind.OTHER_JOB, say("verdict-another-job", name=other.name))
    return Judged(Kind.NOT_SUPPORTED, say("verdict-not-supported"))


def _best_turn(candidate: Candidate, evidence: Evidence, chance: float, thresholds: Thresholds) -> Prediction | None:
    """The smallest turn that the sleeve still has, or bend that a wedge still bears, and that is predicted to fill the
    slot; None without one."""
    wedge = candidate.head_type is HeadType.WEDGE
    down, up = (candidate.bend_down_deg, candidate.bend_up_deg) if wedge else (candidate.down_deg, candidate.up_deg)
    left = [turn for turn in thresholds.turns_deg if -down <= turn <= up]
    if not left:
        return None
    wanted = max(thresholds.after_turn, chance + 0.15)
    kind = ChangeKind.BEND if wedge else ChangeKind.LOFT
    turns = _predicted(candidate, [Change(kind, degrees) for degrees in left])
    return next((turned for turned in turns if evidence.chance(turned) >= wanted), None)


def _crowded(carry_m: float, *beside: Carried | None) -> Carried | None:
    return next((club for club in beside if club is not None and abs(club.carry_m - carry_m) < CROWDED_M), None)


WOULD_CHANGE = {kind: term("change", kind) for kind in (Kind.VETOED, Kind.KEEP, Kind.NOT_SUPPORTED)}


def _change(found: Judged, evidence: Evidence, settled: bool, candidate: Candidate) -> Said | None:
    """What would change the verdict."""
    if found.turn is not None:
        return _turn_words(found.turn, evidence)
    if found.kind in WOULD_CHANGE:
        return WOULD_CHANGE[found.kind]
    if evidence.unread and found.remedy == READ_IT:
        return READ_IT
    if not settled and evidence.moved_m:
        return say("change-odd-shots")
    if not settled and evidence.more:
        return say("change-more-would-settle", n=evidence.more, letter=candidate.letter)
    if not settled and evidence.more == 0:
        return found.remedy
    if not settled and evidence.more is None:
        return say("change-look-at-strike")
    return found.remedy


def _turn_words(turn: Prediction, evidence: Evidence) -> Said:
    return say(
        "change-turn",
        by=angle(abs(turn.change.amount)),
        more=turn.change.amount > 0,
        after=_after(turn, evidence, 0.0),
        bent=turn.change.kind is ChangeKind.BEND,
        bounce=angle(abs(turn.bounce_deg), form=Form.SHORT),
        more_bounce=turn.bounce_deg > 0,
    )


def _after(change: Prediction, evidence: Evidence, head_share: float) -> Said:
    error = math.hypot(change.error["carry_m"], head_share * evidence.carry.mean)
    return say(
        "change-after",
        carry=far(evidence.carry.mean + change.gain("carry_m")),
        give=some_way(error),
        landing=angle(change.after["landing_deg"]),
    )


# What may bring a build into its window where its sleeve does not: its length, or the next head of its kind, each with
# what it spoils. A head of the same kind carries this much otherwise by itself (`rack.expected`).
LENGTHS_IN = (0.5, -0.5, 1.0, -1.0)
LOOKED_AT = 3
NEXT_LOFTS_DEG = (1.0, -1.0, 2.0, -2.0, 3.0, -3.0, 4.0, -4.0)
HEAD_SHARE = 0.008
# The next head of a set is made shorter as it is weaker. Carry goes up by about this share for one of speed (by `fly`
# from 60 to 75 m/s), and how fast a length is swung is known to about a third.
CARRY_A_SPEED, LENGTH_SD = 1.2, 0.33
# Without launches nothing can be predicted: then only the way is said.
STRONGER, WEAKER = say("change-a-stronger-head"), say("change-a-weaker-head")
NO_REMEDY = say("change-nothing-brings-it-in")


def remedy(case: Case, evidence: Evidence, thresholds: Thresholds) -> Said:
    """The remedy with the best chance among what can be had, in a sentence; that there is none where there is none. A
    length changes the carry and little else, so that it is no remedy for a flight."""
    candidate = case.candidate
    ways: list[tuple[Change, float | None]] = []
    if case.wanted.wish is Wish.GAP:
        ways += [(Change(ChangeKind.LENGTH, inches), None) for inches in LENGTHS_IN]
    ways += [(Change(ChangeKind.BEND, by), length_m) for by, length_m in _next_heads(candidate)]

    def made(those: Sequence[tuple[Change, float | None]], *, doubted: bool) -> list[Prediction]:
        found = _predicted(candidate, [change for change, _ in those], doubted=doubted)
        lengths = (length_m for _, length_m in those)
        return [
            each if length_m is None else _as_long(each, candidate, length_m)
            for each, length_m in zip(found, lengths, strict=False)
        ]

    # How sure each is takes far more flights than where it lands: only of those that land nearest.
    rough = made(ways, doubted=False)
    nearest = sorted(range(len(rough)), key=lambda number: -_chance_after(rough[number], evidence))[:LOOKED_AT]
    predicted = made([ways[number] for number in sorted(nearest)], doubted=True)
    wanted = max(thresholds.after_turn, evidence.chance() + 0.15)
    if not predicted and candidate.next_heads is None and evidence.off_m:
        return STRONGER if evidence.off_m < 0 else WEAKER
    good = [row for each in predicted if (row := (_chance_after(each, evidence), each))[0] >= wanted]
    if not good:
        return NO_REMEDY
    best = max(good, key=lambda row: row[0])[1]
    if best.change.kind is ChangeKind.LENGTH:
        after = _after(best, evidence, 0.0)
        return say("change-length", length=best.change.words, after=after, longer=best.change.amount > 0)
    by = best.change.amount
    return say(
        "change-next-head",
        weaker=by > 0,
        by=angle(abs(by), form=Form.SHORT),
        known=candidate.loft_deg is not None,
        loft=angle((candidate.loft_deg or 0.0) + by, form=Form.SHORT),
        on_the_rack=candidate.next_heads is not None,
        after=_after(best, evidence, HEAD_SHARE),
    )


def _chance_after(change: Prediction, evidence: Evidence) -> float:
    return evidence.chance(change, head_share=HEAD_SHARE if change.change.kind is ChangeKind.BEND else 0.0)


def _next_heads(candidate: Candidate) -> list[tuple[float, float | None]]:
    """Other heads of the kind, by how much more loft they have: those that can be had, each with the length it is made
    in; where the rack is not known, any loft at the length that was hit (None)."""
    if candidate.next_heads is None or candidate.loft_deg is None:
        return [] if candidate.next_heads is not None else [(by, None) for by in NEXT_LOFTS_DEG]
    most = EFFECTS[ChangeKind.BEND].most
    return [
        (loft - candidate.loft_deg, length_m)
        for loft, length_m in candidate.next_heads
        if 0.5 <= abs(loft - candidate.loft_deg) <= most
    ]


def _as_long(head: Prediction, candidate: Candidate, length_m: float) -> Prediction:
    """Another head as predicted at the length that was hit, at its own."""
    if candidate.length_m is None or not head.after:
        return head
    inches = (length_m - candidate.length_m) / METRES_PER_INCH
    further = head.after["carry_m"] * CARRY_A_SPEED * SPEED_ACROSS_A_SET * inches
    error = math.hypot(head.error["carry_m"], LENGTH_SD * further)
    return replace(
        head,
        after={**head.after, "carry_m": head.after["carry_m"] + further},
        error={**head.error, "carry_m": error},
    )


def accepted(candidate: Candidate) -> Verdict:
    """What stands of a build that was taken into the bag for the time being."""
    means = [average(values_of(candidate.shots, key)) for key in ("carry_m", "total_m")]
    carry, total = means
    why = NOTHING
    if carry is not None:
        stops = carry if total is None else total
        why = say("why-accepted", carry=far(carry.mean), read=total is not None, stops=far(stops.mean))
    return Verdict(
        candidate.letter,
        Kind.ACCEPTED,
        say("verdict-accepted"),
        why,
        None,
        True,
        0,
        None,
    )


# What a build that is recommended lacks of what was asked.
MISSED = ("landing_deg", "peak_m", "spin_rpm")


def recommended(verdict: Verdict) -> Verdict:
    """The verdict of the build that is recommended: outside what its window asks, its headline says both."""
    if verdict.kind in DOING or verdict.off_m is None or verdict.moved:
        return verdict
    if verdict.turn is not None:
        return _recommended(verdict, say("recommended-verdict", headline=verdict.headline))
    missed = [fact.quantity for fact in verdict.facts if fact.good is False and fact.quantity in MISSED]
    apart = say("recommended-though", missed=missed[0] if missed else "nothing")
    if verdict.off_m:
        apart = say("recommended-outside")
    if verdict.kind is Kind.CROWDS:
        apart = say("recommended-crowding", name=verdict.crowded)
    if verdict.kind is Kind.OTHER_JOB:
        apart = say("recommended-verdict", headline=verdict.headline)
    return _recommended(verdict, apart, change=None if verdict.change == NO_REMEDY else verdict.change)


def _recommended(verdict: Verdict, headline: Said, **more: Any) -> Verdict:
    return replace(verdict, kind=Kind.RECOMMENDED, headline=headline, **more)
