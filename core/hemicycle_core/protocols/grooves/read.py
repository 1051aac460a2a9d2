"""Old grooves against new: what the wear costs, as a player sees it on the green, and whether that is more than noise.

Spin alone buys nothing: a wedge is worth replacing where the difference can be seen on the green, a yard and more. A
club that is trusted is delivered otherwise (leaned into, swung faster): where the delivery moved too, that is said. A
fresh one of a neighbouring loft is read as its balls would have left with the loft of the old one.
"""

from __future__ import annotations

import math
from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace

from ...brief import Job, JobKind
from ...estimate import MOST_MORE, Estimate, more_until
from ...flight import Air, Anchor, Firmness, run_out
from ...flight.landing import GREEN, Turf
from ...heads import HeadType
from ...impact import Lie
from ...judge.claims import SAME_LOFT_DEG, SEEN_M, Claim, Claimed
from ...judge.landings import landings
from ...judge.strokes import running_on
from ...judge.whatif import delivered_lofts, with_loft
from ...runs import Ball
from ...said import NOTHING, Said, angle, far, listed, say, speed, with_and
from ...said import spin as rpm
from ...samples.averages import Average, average
from ...shots import READINGS, Shot
from ...units import whole, yards
from ...wedges.words import COMPLAINT_WORDS, Complaint
from .. import found
from ..found import Outcome, Tested
from ..short import LOFT_PART_DEG, LOFT_PART_SD, SHORT_A_ROUND
from .ask import KEY, LIES, PROMPT_ROUNDS, lie_words

LEAST_SHOTS = 3
LEAST_PACED = 2  # balls of each that were seen to stop, from which on nothing is computed beside them
NEXT_LOFT_DEG = 4.0  # a fresh wedge this near is held beside an old one where none of its loft is there
DRY_SHARE, OTHER_SHARE = 0.6, 0.3  # of short shots, those from where it is dry, and from any other lie, by judgement
READ = ("spin_rpm", "launch_deg", "ball_speed_mps", "club_speed_mps", "attack_deg", "dynamic_loft_deg")
TOLD_LOFT = "told_loft_deg"  # loft at impact as launch and spin tell it, where nobody read it
DELIVERY = ("club_speed_mps", "attack_deg", "dynamic_loft_deg", TOLD_LOFT)


@dataclass(frozen=True)
class GrooveWedge:
    """One of the two. key: of the club; shots: all of its; air it was hit in."""

    key: int
    name: str
    loft_deg: float | None
    shots: Sequence[Shot]
    fresh: bool
    age_rounds: int | None = None
    air: Air | None = None


@dataclass(frozen=True)
class Beside:
    """One figure of both, in its canonical unit: means, and what is known of each; None with under two shots of
    either."""

    old: float
    fresh: float
    known: tuple[Estimate, Estimate] | None

    @property
    def by(self) -> float:
        return self.fresh - self.old

    @property
    def half(self) -> float | None:
        """Half of the 90% interval of the difference."""
        return self._half(0)

    def _half(self, extra: int) -> float | None:
        if self.known is None:
            return None
        old, fresh = (each.after(extra) for each in self.known)
        return fresh.less(old).half

    def more_to(self, half: float) -> int | None:
        """Shots with each that would tell the difference to within so much; None when over what anyone hits."""
        return more_until(lambda extra: (self._half(extra) or 0.0) <= half)

    @property
    def told(self) -> bool:
        """Whether it is more than chance."""
        return self.half is not None and abs(self.by) > self.half


@dataclass(frozen=True)
class FromLieBeside:
    """Both wedges from one lie, None for dry. figures: by reading, and `run_m`; sentence; seen: the runs were, by eyes
    on the ground, and are not computed from how the balls left."""

    lie: Lie | None
    n_old: int
    n_fresh: int
    figures: Mapping[str, Beside]
    sentence: Said
    seen: bool = False


@dataclass(frozen=True)
class Grooves:
    """old, fresh: keys. worth: replacing; sentence: that, with `why`; remarks: what else is to be known of it; saves:
    strokes a round that a fresh one saves by what was told."""

    old: int
    fresh: int
    lies: tuple[FromLieBeside, ...]
    worth: Outcome
    sentence: Said
    remarks: tuple[Said, ...]
    why: Said = NOTHING
    saves: float = 0.0


def pairs(wedges: Sequence[GrooveWedge]) -> list[tuple[GrooveWedge, GrooveWedge]]:
    """Each old wedge with the fresh one nearest to its loft; where none of its loft is there with one of the next that
    is nobody else's; none where there is neither."""
    old, fresh = ([each for each in wedges if each.fresh is new] for new in (False, True))
    near = {each.key: min(fresh, key=lambda other: _apart(each, other), default=each) for each in old}
    taken = {near[each.key].key for each in old if _apart(each, near[each.key]) <= SAME_LOFT_DEG}
    left = [each for each in fresh if each.key not in taken]
    found = []
    for each in old:
        beside = near[each.key]
        if _apart(each, beside) > SAME_LOFT_DEG:
            beside = min(left, key=lambda other: _apart(each, other), default=each)
        if beside is not each and _apart(each, beside) <= NEXT_LOFT_DEG:
            found.append((each, beside))
    return found


def _apart(old: GrooveWedge, fresh: GrooveWedge) -> float:
    """How far two lofts lie apart, degrees; infinitely where one is not known."""
    if old.loft_deg is None or fresh.loft_deg is None:
        return math.inf
    return abs(fresh.loft_deg - old.loft_deg)


def hit_in(shots: Sequence[Shot]) -> dict[Lie | None, list[Shot]]:
    """Shots of this test by lie, dry ones under None; kept ones."""
    made: dict[Lie | None, list[Shot]] = {}
    for shot in shots:
        if shot.protocol == KEY and not (shot.aside or shot.misread):
            made.setdefault(None if shot.clean else shot.lie, []).append(shot)
    return made


def compared(
    old: GrooveWedge,
    fresh: GrooveWedge,
    jobs: Sequence[Job] = (),
    *,
    anchored: Anchor | None = None,
    balls: Sequence[Ball] = (),
) -> Grooves | None:
    """What the test says of a pair; None before both were hit from one lie. jobs: the player's; balls: it was hit
    with."""
    mine, theirs = hit_in(old.shots), hit_in(fresh.shots)
    green, where = _green(jobs)
    lies = []
    for lie in sorted(mine.keys() & theirs.keys(), key=lambda each: (each is not None, each or "")):
        lies.append(_from_lie(old, fresh, lie, mine[lie], theirs[lie], green, where, anchored))
    if not lies:
        return None
    worth, sentence, why = _worth(old, fresh, lies)
    remarks = tuple(_remarks(old, fresh, lies, balls))
    saves = _saves(lies) if worth is Outcome.REPLACE else 0.0
    return Grooves(old.key, fresh.key, tuple(lies), worth, sentence, remarks, why, saves)


def _saves(lies: Sequence[FromLieBeside]) -> float:
    """Strokes a round that a fresh one saves, over the lies from which a difference was told."""
    told = {each.lie: run.by for each in lies if (run := each.figures.get("run_m")) is not None and run.told}
    each_shot = {lie: running_on(-by) for lie, by in told.items()}
    wet = [saved for lie, saved in each_shot.items() if lie is not None]
    return SHORT_A_ROUND * (DRY_SHARE * each_shot.get(None, 0.0) + OTHER_SHARE * max(wet, default=0.0))


def _green(jobs: Sequence[Job]) -> tuple[Turf, Said]:
    """The green that roll is told of: of the shortest job that is played to one, else a medium one."""
    short = [job for job in jobs if job.kind is JobKind.GREEN and job.played_out]
    if not short:
        return GREEN[Firmness.MEDIUM], say("grooves-a-medium-green")
    job = min(short, key=lambda each: each.distance_m)
    return job.turf, say("grooves-green-of-a-job", job=job.name)


def _from_lie(
    old: GrooveWedge,
    fresh: GrooveWedge,
    lie: Lie | None,
    mine: Sequence[Shot],
    theirs: Sequence[Shot],
    green: Turf,
    where: Said,
    anchored: Anchor | None,
) -> FromLieBeside:
    read = _at_one_loft(old, fresh, theirs)
    figures = {}
    for key in READ:
        both = [_mean(shots, key) for shots in (mine, read)]
        if both[0] is not None and both[1] is not None:
            figures[key] = _beside(both[0], both[1], _of_loft(both[1], _mean(theirs, key)))
    leant = [average(delivered_lofts(shots)) for shots in (mine, read)]
    if "dynamic_loft_deg" not in figures and leant[0] is not None and leant[1] is not None:
        figures[TOLD_LOFT] = _beside(leant[0], leant[1])
    paced = [_seen_runs(shots) for shots in (mine, theirs)]
    seen = _apart(old, fresh) <= LOFT_PART_DEG and all(run is not None and run.n >= LEAST_PACED for run in paced)
    runs = [_run(wedge, shots, green, anchored) for wedge, shots in ((old, mine), (fresh, read), (fresh, theirs))]
    if seen:
        runs = [*paced, paced[1]]
    if runs[0] is not None and runs[1] is not None:
        figures["run_m"] = _beside(runs[0], runs[1], _of_loft(runs[1], runs[2]))
    words = _words(lie, figures, say("grooves-seen-on-the-green") if seen else where)
    return FromLieBeside(lie, len(mine), len(theirs), figures, words, seen)


def _seen_runs(shots: Sequence[Shot]) -> Average | None:
    """How far balls were seen to run, metres: where they stopped less where they landed, as somebody wrote it down and
    no launch was read. What a monitor sends of itself is its own model of the ground."""
    runs = []
    for shot in shots:
        landed, stopped = shot.get("carry_m"), shot.get("total_m")
        if shot.order is None and shot.get("launch_deg") is None and landed is not None and stopped is not None:
            runs.append(stopped - landed)
    return average(runs)


def _at_one_loft(old: GrooveWedge, fresh: GrooveWedge, theirs: Sequence[Shot]) -> Sequence[Shot]:
    """The shots of the fresh one, as they would have left with the loft of the old one."""
    if _apart(old, fresh) <= LOFT_PART_DEG or old.loft_deg is None or fresh.loft_deg is None:
        return theirs
    return with_loft(theirs, old.loft_deg - fresh.loft_deg, HeadType.WEDGE)


def _mean(shots: Sequence[Shot], key: str) -> Average | None:
    return average([value for shot in shots if (value := shot.get(key)) is not None])


def _of_loft(read: Average, hit: Average | None) -> float:
    """One standard deviation of what the loft moved, as it is computed and not hit."""
    return 0.0 if hit is None else LOFT_PART_SD * abs(read.mean - hit.mean)


def _run(wedge: GrooveWedge, shots: Sequence[Shot], green: Turf, anchored: Anchor | None) -> Average | None:
    """How far shots run, from how they left; None where none has a launch."""
    flown = [shot for shot in shots if shot.get("launch_deg") and shot.get("spin_rpm")]
    if not flown:
        return None
    (down,) = landings([flown], kinds=[HeadType.WEDGE], airs=[wedge.air or Air()], anchored=anchored)
    return average([float(run) for run in run_out(down.speed_mps, down.angle_deg, down.spin_rpm, green).run_m])


def _beside(old: Average, fresh: Average, of_loft: float = 0.0) -> Beside:
    if old.se is None or fresh.se is None:
        return Beside(old.mean, fresh.mean, None)
    one, two = (Estimate(each.mean, each.se or 0.0, each.n - 1, shots=each.n) for each in (old, fresh))
    return Beside(old.mean, fresh.mean, (one, replace(two, floor=of_loft)))


def _words(lie: Lie | None, figures: Mapping[str, Beside], where: Said) -> Said:
    spin, run = figures.get("spin_rpm"), figures.get("run_m")
    parts = []
    if spin is not None:
        parts.append(say("grooves-spins", by=rpm(abs(spin.by)), more=spin.by > 0, told=spin.told))
    if run is not None:
        by = far(abs(run.by), 1)
        parts.append(
            say(
                "grooves-stops",
                by=by,
                as_soon=not whole(yards(by.value), 1),
                sooner=run.by < 0,
                where=where,
                told=run.half is not None,
                give=far(run.half or 0.0, 1),
            )
        )
    return say("beside-of", name=lie_words(lie), parts=with_and(parts) or say("grooves-nothing-read"))


def _worth(old: GrooveWedge, fresh: GrooveWedge, lies: Sequence[FromLieBeside]) -> tuple[Outcome, Said, Said]:
    """What is to be done, that in a sentence, and why in a part of one."""
    runs = {
        each.lie: run
        for each in lies
        if (run := each.figures.get("run_m")) is not None and min(each.n_old, each.n_fresh) >= LEAST_SHOTS
    }
    costs = {lie: run for lie, run in runs.items() if run.told and -run.by >= SEEN_M}
    names = {"old": old.name, "fresh": fresh.name}
    if costs:
        lie = max(costs, key=lambda each: -costs[each].by)
        why = say("grooves-runs-further", lie=lie_words(lie), by=far(-costs[lie].by, 1), **names)
        return Outcome.REPLACE, say("grooves-replace", why=why), why
    wanted = [lie for lie in LIES if lie not in runs]
    if wanted:
        missing = with_and(lie_words(lie) for lie in wanted)
        return Outcome.OPEN, say("grooves-not-hit-yet", n=LEAST_SHOTS, lies=missing), NOTHING
    wide = max(runs.values(), key=lambda run: run.half or 0.0)
    if all(run.half is not None and -run.by + run.half < 2 * SEEN_M and -run.by < SEEN_M for run in runs.values()):
        known = old.age_rounds is not None
        why = say("grooves-cannot-be-seen", fresh=fresh.name)
        return Outcome.KEEP, say("grooves-keep", known=known, rounds=old.age_rounds or 0, old=old.name, why=why), why
    more = wide.more_to(SEEN_M)
    if more is None:
        return Outcome.OPEN, say("grooves-not-told-by-many", n=MOST_MORE), NOTHING
    return Outcome.OPEN, say("grooves-not-told-yet", n=max(more, 1)), NOTHING


TITLE = say("grooves-old-against-new")
COLUMNS = (
    *(found.Column(key, READINGS[key].label, key) for key in ("spin_rpm", "launch_deg", "ball_speed_mps")),
    found.Column("run_m", say("found-run"), "carry_m", digits=1),
)


def as_result(grooves: Grooves, blind: Said = NOTHING) -> found.Result:
    """What came of a pair, as every test's result is shown. blind: what the player's guess said."""
    return found.Result(
        KEY,
        TITLE,
        (grooves.old, grooves.fresh),
        COLUMNS,
        tuple(
            found.Row(
                lie_words(each.lie),
                None,
                (each.n_old, each.n_fresh),
                {
                    key: found.Figure((figure.old, figure.fresh), figure.half, figure.told)
                    for key, figure in each.figures.items()
                },
            )
            for each in grooves.lies
        ),
        grooves.worth,
        grooves.sentence,
        tuple(said for said in (*(each.sentence for each in grooves.lies), *grooves.remarks, blind) if said),
    )


def as_tested(grooves: Grooves) -> Tested:
    """The same for the decision."""
    seen = any(each.seen for each in grooves.lies)
    return Tested(grooves.old, grooves.fresh, grooves.worth, grooves.why or grooves.sentence, grooves.saves, seen)


OF_WORTH = {Outcome.REPLACE: Claim.TRUE, Outcome.KEEP: Claim.NOT_SO, Outcome.OPEN: Claim.OPEN}


def as_claim(club: str, found: Grooves) -> Claimed:
    """That its grooves are gone, answered by this test: nothing else tells so much of it. club: its name."""
    said = say("inside-a-sentence", said=found.sentence)
    words = say("claim-answered", name=club, complaint=COMPLAINT_WORDS[Complaint.WORN], words=said)
    return Claimed(club, Complaint.WORN, OF_WORTH[found.worth], words)


def by_test(computed: Claimed, test: Tested | None) -> Claimed:
    """A claim about where balls stop, answered by what tests told; what is computed of full swings is said beside it
    where it says otherwise. As it was computed where nothing was told."""
    if test is None or test.outcome is Outcome.OPEN:
        return computed
    claim = OF_WORTH[test.outcome]
    words = say("claim-by-test", why=test.sentence, otherwise=computed.claim not in (claim, Claim.OPEN))
    sentence = say("claim-answered", name=computed.club, complaint=COMPLAINT_WORDS[computed.complaint], words=words)
    return Claimed(computed.club, computed.complaint, claim, sentence)


def _remarks(old: GrooveWedge, fresh: GrooveWedge, lies: Sequence[FromLieBeside], balls: Sequence[Ball]) -> list[Said]:
    said = []
    if math.inf > _apart(old, fresh) > LOFT_PART_DEG:
        lofts = {"loft": angle(fresh.loft_deg or 0.0), "at": angle(old.loft_deg or 0.0)}
        said.append(say("grooves-read-at-one-loft", fresh=fresh.name, old=old.name, **lofts))
    if Ball.RANGE in balls:
        said.append(say("grooves-range-balls"))
    for each in lies:
        moved = [key for key in DELIVERY if key in each.figures and each.figures[key].told]
        if moved:
            how = listed(_moved(key, each.figures[key].by) for key in moved)
            said.append(say("grooves-delivered-otherwise", lie=lie_words(each.lie), how=how))
    if old.age_rounds is not None and old.age_rounds >= PROMPT_ROUNDS:
        said.append(say("grooves-rounds-say-nothing", rounds=old.age_rounds))
    return said


def _moved(key: str, by: float) -> Said:
    if key == "club_speed_mps":
        return say("delivered-faster", by=speed(abs(by), 1), faster=by > 0)
    if key == "attack_deg":
        return say("delivered-flatter", by=angle(abs(by), 1), flatter=by > 0)
    return say("delivered-with-loft", by=angle(abs(by), 1), more=by > 0, told=key == TOLD_LOFT)
