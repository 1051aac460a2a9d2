"""A verdict per build: one of a closed list, in plain words, with the facts that made it."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass, field, replace
from enum import StrEnum

from ..bag import Carried
from ..bag.gaps import CROWDED_M
from ..brief import Job, JobKind, Wish
from ..heads import HeadType
from ..impact import SPEED_ACROSS_A_SET
from ..samples.averages import average, values_of
from ..shots import READINGS
from ..thresholds import DEFAULT, Thresholds
from ..units import METRES_PER_INCH, shown, whole_yards, yard_words, yd_text
from .candidate import Candidate, Case, Liking
from .changes import EFFECTS, Change, ChangeKind
from .evidence import Evidence, evidence_of
from .facts import Fact, against, facts_of
from .play import Played
from .weigh import Weighed
from .whatif import HitClub, Prediction, predict
from .why import why_words

UPPER_80 = 1.2816


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
    headline: str
    why: str
    chance: float | None
    settled: bool
    more: int | None
    half_width_m: float | None
    facts: tuple[Fact, ...] = ()
    against: str | None = None
    change: str | None = None
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
    headline: str
    turn: Prediction | None = None
    remedy: str | None = None
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
        found = replace(found, headline="Look at single shots first")
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
    again = "Needs shots"
    said = f"{have} kept so far. Hit {need} more before anything can be said." if have else "Not hit yet."
    if not have and any(shot.kept for shot in candidate.shots):
        said = "The shots so far have no carry, nor ball speed, launch and spin to compute one from."
    elif not have and any(shot.counts for shot in candidate.shots):
        said = f"Every shot so far is set aside. Keep the ones that count, or hit {need} more."
    elif not have and any(shot.stock and shot.old_swing for shot in candidate.shots):
        said = f"Hit before the swing was changed: hit {need} with the swing of now."
        again = "Old swing, hit again"
    vetoed = candidate.liking is Liking.VETOED
    return Verdict(
        letter=candidate.letter,
        kind=Kind.VETOED if vetoed else Kind.NEEDS_SHOTS,
        headline="Vetoed by the player" if vetoed else again,
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
        return Judged(Kind.VETOED, "Vetoed by the player")
    if case.wanted.wish is Wish.COMPARE:
        return Judged(Kind.COMPARED, "Side by side, no window")
    if evidence.unread and evidence.inside(thresholds):
        labels = " and ".join(READINGS[key].label for key in evidence.unread)
        return Judged(
            Kind.FILLS_NOT_SETTLED, f"{labels[0]}{labels[1:].lower()} not read: cannot be told", remedy=READ_IT
        )
    if chance >= thresholds.likely or evidence.inside(thresholds):
        found = _does(case, chance >= thresholds.sure and settled)
        close = found.kind is Kind.FILLS_NOT_SETTLED and chance < thresholds.likely
        return replace(found, headline="Too close to call") if close else found
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
        return Judged(Kind.ONE_TURN, _bend_headline(turn) if bent else f"One turn away: {turn.change.words}", turn)
    crowded = _crowded(evidence.carry.mean, case.lower, case.upper)
    mended = remedy(case, evidence, thresholds)
    if crowded is not None:
        says = "Too near its neighbour:" if candidate.head_type is HeadType.WEDGE else "Crowds"
        return Judged(Kind.CROWDS, f"{says} {crowded.name}", remedy=mended, crowded=crowded.name)
    if case.wanted.wish is not Wish.GAP and not evidence.off_m:
        return Judged(Kind.ONE_HEAD, "Keeps the yardage, not the flight asked for", remedy=mended)
    near = mended != NO_REMEDY and abs(evidence.off_m) <= thresholds.one_head_m
    return Judged(Kind.ONE_HEAD, _head_away(evidence, near), remedy=mended)


def _bend_headline(bend: Prediction) -> str:
    by = abs(bend.change.amount)
    degrees = "A degree" if by == 1 else "Two degrees" if by == 2 else f"{by:g} degrees"
    return f"{degrees} {'weaker' if bend.change.amount > 0 else 'stronger'} away"


def _not_far(evidence: Evidence, old: str) -> str:
    missed = [each.target.quantity for each in evidence.demands if each.met is False]
    return f"Further, but in play less often than the {old}" if missed == ["in_play"] else f"No further than the {old}"


def _does(case: Case, surely: bool) -> Judged:
    """It does what is asked of it, and whether that is known. A wedge fills a step once its sole is chosen, and where
    its flight is one that can be controlled."""
    gap, wedge = case.wanted.wish is Wish.GAP, case.candidate.head_type is HeadType.WEDGE
    if wedge and case.candidate.flies_high:
        return Judged(Kind.TOO_HIGH, "Fills its step, too high with too little spin", remedy=case.candidate.flies_high)
    if wedge and case.sole_open:
        return Judged(Kind.SOLE_FIRST, "Fills its step, not before the sole is chosen", remedy=SOLE_FIRST)
    if surely:
        step = "Fills its step" if wedge else "Fills the slot"
        return Judged(Kind.FILLS, step if gap else "Does what was asked")
    return Judged(Kind.FILLS_NOT_SETTLED, "Fills it, not settled" if gap else "May do what was asked, not settled")


def kept_instead(verdict: Verdict, replaces: str) -> Verdict:
    """The verdict of a build that fills its slot where the bag of today does as well without it. replaces: the own
    wedge whose place it would take."""
    head = f"Keep the {replaces}: within noise" if replaces else "Keep what you have: no real gain"
    return replace(verdict, kind=Kind.KEEP, headline=head, change=WOULD_CHANGE[Kind.KEEP])


READ_IT = "A monitor that reads it, or ball speed, launch and spin, would tell."
SOLE_FIRST = "Choose the sole of the most lofted wedge first: its loft is tried in the chosen sole."


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


def _head_away(evidence: Evidence, near: bool) -> str:
    """near: something that can be had brings it in. A head is worth about half a club; what is further off than a whole
    step is not one head away."""
    if not evidence.off_m:
        return "Lands too flat for this job"
    off = f"{yard_words(abs(evidence.off_m))} too {'short' if evidence.off_m < 0 else 'long'} for this slot"
    return "One head away" if near else off


def _too_flat(jobs: Sequence[Job]) -> Judged:
    other = next((job for job in jobs if job.kind is not JobKind.GREEN), None)
    if other is not None:
        return Judged(Kind.OTHER_JOB, f"Does another job: {other.name}")
    return Judged(Kind.NOT_SUPPORTED, "Not supported by this speed")


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


WOULD_CHANGE = {
    Kind.VETOED: "The player’s word stands. It changes only if the player says so.",
    Kind.KEEP: "A yardage or a job that the bag of today does worse.",
    Kind.NOT_SUPPORTED: "A head with its weight further back: a hybrid or a fairway wood of this carry.",
}


def _change(found: Judged, evidence: Evidence, settled: bool, candidate: Candidate) -> str | None:
    """What would change the verdict."""
    if found.turn is not None:
        return _turn_words(found.turn, evidence)
    if found.kind in WOULD_CHANGE:
        return WOULD_CHANGE[found.kind]
    if evidence.unread and found.remedy == READ_IT:
        return READ_IT
    if not settled and evidence.moved_m:
        return "Keep the odd shots or set them aside: the carry rests on them."
    if not settled and evidence.more:
        return f"About {evidence.more} more with {candidate.letter} would settle the carry."
    if not settled and evidence.more == 0:
        return found.remedy
    if not settled and evidence.more is None:
        return "The carries spread too widely to settle: look at strike first."
    return found.remedy


def _turn_words(turn: Prediction, evidence: Evidence) -> str:
    bent = turn.change.kind is ChangeKind.BEND
    bounce = f", {abs(turn.bounce_deg):g}° {'more' if turn.bounce_deg > 0 else 'less'} bounce" if bent else ""
    return (
        f"Predicted at {shown(abs(turn.change.amount))}° {'more' if turn.change.amount > 0 else 'less'} loft: "
        f"{_after(turn, evidence, 0.0)}{bounce}. {'Bend' if bent else 'Turn'} it and test it as a new build."
    )


def _after(change: Prediction, evidence: Evidence, head_share: float) -> str:
    error = math.hypot(change.error["carry_m"], head_share * evidence.carry.mean)
    return (
        f"{yd_text(evidence.carry.mean + change.gain('carry_m'))} carry, give or take {max(1, whole_yards(error))}, "
        f"{shown(change.after['landing_deg'])}° landing"
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
STRONGER, WEAKER = (
    "A stronger head of this kind, or one step longer.",
    "A weaker head of this kind, or one step shorter.",
)
NO_REMEDY = "No turn, length or next head of this kind brings it in: look at another kind of head, or at another slot."


def remedy(case: Case, evidence: Evidence, thresholds: Thresholds) -> str:
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
        spoils = "It spreads wider." if best.change.amount > 0 else "It gathers, and feels lighter."
        return f"At {best.change.words}: {_after(best, evidence, 0.0)}. {spoils}"
    by = best.change.amount
    head = (
        f"{'A weaker' if by > 0 else 'A stronger'} head of its kind, {abs(by):g}° {'more' if by > 0 else 'less'} loft"
    )
    if candidate.loft_deg is not None:
        head += f" ({candidate.loft_deg + by:g}°)"
    if candidate.next_heads is not None:
        head += ", is on the rack"
    spoils = "Higher, with less roll." if by > 0 else "Lower, with more roll."
    return f"{head}: {_after(best, evidence, HEAD_SHARE)}. {spoils}"


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
    why = "" if carry is None else f"Carries {yd_text(carry.mean)}"
    if carry is not None and total is not None:
        why += f" and stops at {yd_text(total.mean)}"
    return Verdict(
        candidate.letter,
        Kind.ACCEPTED,
        "In the bag for now",
        f"{why}: the rest of the space is cut around it." if why else "",
        None,
        True,
        0,
        None,
    )


# What a build that is recommended lacks of what was asked.
MISSED = {
    "landing_deg": "though it lands flatter than asked",
    "peak_m": "though not as high as asked",
    "spin_rpm": "though its spin is not as asked",
}


def recommended(verdict: Verdict) -> Verdict:
    """The verdict of the build that is recommended: outside what its window asks, its headline says both."""
    if verdict.kind in DOING or verdict.off_m is None or verdict.moved:
        return verdict
    if verdict.turn is not None:
        away = f"{verdict.headline[0].lower()}{verdict.headline[1:]}"
        return replace(verdict, kind=Kind.RECOMMENDED, headline=f"Recommended, {away}")
    missed = [fact.quantity for fact in verdict.facts if fact.good is False and fact.quantity in MISSED]
    apart = "outside its window" if verdict.off_m else MISSED[missed[0]] if missed else "not sure to do what was asked"
    if verdict.kind is Kind.CROWDS:
        apart = f"outside its window, crowding {verdict.crowded}"
    if verdict.kind is Kind.OTHER_JOB:
        apart = f"{verdict.headline[0].lower()}{verdict.headline[1:]}"
    change = None if verdict.change == NO_REMEDY else verdict.change
    return replace(verdict, kind=Kind.RECOMMENDED, headline=f"Recommended, {apart}", change=change)
