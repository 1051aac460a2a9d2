"""What a player complains of, answered by what was measured: with the old one beside a fresh one of its loft, or beside
the player's other wedges. A claim that nothing answers says what would."""

from __future__ import annotations

import math
from collections.abc import Callable, Sequence
from dataclasses import dataclass
from enum import StrEnum

from scipy.special import fdtri, stdtrit

from ..bag import Carried
from ..bag.gaps import CROWDED_M, StepWish
from ..flight import GREEN, Air, Anchor, Firmness, run_out
from ..heads import HeadType
from ..rack.stock import Wear
from ..said import NOTHING, Form, Said, angle, far, joined, say, term, with_and
from ..said import share as part
from ..said import spin as rpm
from ..samples.averages import Average, average, values_of
from ..shots import Shot, Strike
from ..wedges.flight import WedgeFlight
from ..wedges.words import COMPLAINT_WORDS, Complaint
from .landings import landings
from .whatif import delivered_lofts

SAME_LOFT_DEG = 1.6  # two wedges this near are of one loft
LEAST_SHOTS = 3
SEEN_M = 0.9  # on a green a player sees a yard
SEEN_RPM, SEEN_SIDE_DEG, SEEN_MPS, SEEN_LOFT_DEG = 400.0, 1.0, 0.4, 1.0
FRESH_ROUNDS = 10
VARIES_SHARE, WIDER = 0.05, 1.4  # carries spread as a share: beyond it, or so much more than the other wedges'
SURE = 0.9  # one side


Says = Callable[..., "Claimed"]


class Claim(StrEnum):
    """What became of it."""

    TRUE = "true"
    NOT_SO = "not_so"
    OPEN = "open"


@dataclass(frozen=True)
class Claimed:
    """club: its name. by: the difference measured, in the unit of its sentence's figure; None while it is open."""

    club: str
    complaint: Complaint
    claim: Claim
    sentence: Said
    by: float | None = None


@dataclass(frozen=True)
class Wedge:
    """A wedge as a claim sees it. fresh: its grooves are new, as far as is known; loft None where it was not stated.
    sands: `soft` or `firm`, of the bunkers where it is played. own: of the player's, and no step of the stand."""

    name: str
    loft_deg: float | None
    shots: Sequence[Shot]
    club: Carried | None = None
    fresh: bool = False
    flight: WedgeFlight | None = None
    air: Air | None = None
    bounce_deg: float | None = None
    sands: tuple[str, ...] = ()
    own: bool = True


def grooves_fresh(wear: Wear | None, age_rounds: int | None) -> bool:
    """Whether a player's own wedge counts as fresh, by what is seen of its face or by its age."""
    return wear is Wear.FRESH or (age_rounds is not None and age_rounds <= FRESH_ROUNDS)


def _kept(wedge: Wedge) -> list[Shot]:
    return [shot for shot in wedge.shots if shot.kept]


def runs_m(wedge: Wedge, anchored: Anchor | None = None) -> Average | None:
    """How far its full shots run on a medium green of everyday speed, metres, back negative; computed from how they
    come down. None without a shot with a launch."""
    shots = [shot for shot in _kept(wedge) if shot.get("launch_deg") is not None and shot.get("spin_rpm") is not None]
    if not shots:
        return None
    (down,) = landings([shots], kinds=[HeadType.WEDGE], airs=[wedge.air or Air()], anchored=anchored)
    run = run_out(down.speed_mps, down.angle_deg, down.spin_rpm, GREEN[Firmness.MEDIUM]).run_m
    return average([float(each) for each in run])


def fresh_beside(wedge: Wedge, others: Sequence[Wedge]) -> Wedge | None:
    """A fresh wedge of the same loft that was hit; the one with the most shots."""
    if wedge.loft_deg is None:
        return None
    near = [
        each
        for each in others
        if each.fresh
        and each.loft_deg is not None
        and abs(each.loft_deg - wedge.loft_deg) <= SAME_LOFT_DEG
        and len(_kept(each)) >= LEAST_SHOTS
        and each.name != wedge.name
    ]
    return max(near, key=lambda each: len(_kept(each)), default=None)


def _apart(mine: Average | None, theirs: Average | None) -> tuple[float, float] | None:
    """Difference of two means and how far chance makes it; None where either has under two shots. Student's t on the
    lesser freedom."""
    if mine is None or theirs is None or mine.se is None or theirs.se is None:
        return None
    chance = float(stdtrit(min(mine.n, theirs.n) - 1, SURE)) * math.hypot(mine.se, theirs.se)
    return mine.mean - theirs.mean, chance


# By judgement: what a sole meets the sand with, square, is its bounce less what the hands take off the loft; a degree
# more for three that the face is opened. Soft sand asks for 8 degrees or more, firm for 4 or less.
LEAN_DEG, OPENED_DEG, A_DEGREE_OPEN = 9.0, 20.0, 0.3
SOFT_DEG, FIRM_DEG = 8.0, 4.0


def sand_words(wedge: Wedge) -> Said:
    """What a sole is to the sand where it is played, by judgement; that nothing is known of it where it is not."""
    if wedge.bounce_deg is None or not wedge.sands:
        return say("claim-nothing-computes-sand")
    opened = wedge.bounce_deg - LEAN_DEG + A_DEGREE_OPEN * OPENED_DEG
    square = wedge.bounce_deg - LEAN_DEG
    said = []
    if "soft" in wedge.sands:
        said.append(say("claim-soft-sand", by=angle(OPENED_DEG), meets=angle(opened), enough=opened >= SOFT_DEG))
    if "firm" in wedge.sands:
        said.append(say("claim-firm-sand", meets=angle(max(square, 0)), little=square <= FIRM_DEG))
    return say("sentence", said=joined(said, "; "))


def answered(
    wedge: Wedge, complaint: Complaint, others: Sequence[Wedge], wish: StepWish, anchored: Anchor | None = None
) -> Claimed:
    """One complaint against what was hit. others: the player's other wedges and those on the stand. wish: the step
    wanted, for a complaint about the step."""
    said = COMPLAINT_WORDS[complaint]

    def made(claim: Claim, words: Said, by: float | None = None) -> Claimed:
        sentence = say("claim-answered", name=wedge.name, complaint=said, words=words)
        return Claimed(wedge.name, complaint, claim, sentence, by)

    enough = len(_kept(wedge)) >= LEAST_SHOTS
    if complaint is Complaint.SAND:
        return made(Claim.OPEN, joined([sand_words(wedge), say("claim-play-it-from-the-bunker")]))
    if not enough:
        return made(Claim.OPEN, say("claim-hit-it-first", n=LEAST_SHOTS))
    if complaint in (Complaint.RUNS_OUT, Complaint.WORN):
        return _beside_a_fresh_one(wedge, complaint, others, made, anchored)
    if complaint is Complaint.BALLOONS:
        return _balloons(wedge, made)
    if complaint in (Complaint.DIGS, Complaint.THIN):
        return _strikes(wedge, complaint, others, made)
    if complaint is Complaint.DISTANCE:
        return _varies(wedge, others, made)
    if complaint is Complaint.LINE:
        return _line(wedge, others, made)
    return _step_claim(wedge, others, wish, made)


def _beside_a_fresh_one(
    wedge: Wedge, complaint: Complaint, others: Sequence[Wedge], made: Says, anchored: Anchor | None
) -> Claimed:
    fresh = fresh_beside(wedge, others)
    if fresh is None:
        loft = angle(wedge.loft_deg or 0.0, form=Form.SHORT)
        return made(Claim.OPEN, say("claim-hit-a-fresh-one", known=wedge.loft_deg is not None, loft=loft))
    if complaint is Complaint.RUNS_OUT:
        return _stops(wedge, fresh, made, anchored)
    return _spins(wedge, fresh, made)


def _stops(wedge: Wedge, fresh: Wedge, made: Says, anchored: Anchor | None) -> Claimed:
    found = _apart(runs_m(wedge, anchored), runs_m(fresh, anchored))
    if found is None:
        return made(Claim.OPEN, say("claim-pace-where-it-stops"))
    by, chance = found
    if by < SEEN_M:
        return made(Claim.NOT_SO, say("claim-stops", sooner=by <= -SEEN_M, by=far(-by), name=fresh.name), by)
    later = say("claim-stops-later", by=far(by), name=fresh.name)
    if by > chance:
        return made(Claim.TRUE, say("sentence", said=later), by)
    return made(Claim.OPEN, say("claim-may-be-chance", said=later), by)


def _spins(wedge: Wedge, fresh: Wedge, made: Says) -> Claimed:
    spin = _apart(average(values_of(wedge.shots, "spin_rpm")), average(values_of(fresh.shots, "spin_rpm")))
    speed = _apart(average(values_of(wedge.shots, "club_speed_mps")), average(values_of(fresh.shots, "club_speed_mps")))
    if spin is None:
        return made(Claim.OPEN, say("claim-see-where-it-stops"))
    by, chance = spin
    leant = _apart(average(delivered_lofts(_kept(wedge))), average(delivered_lofts(_kept(fresh))))
    swung = NOTHING
    if speed is not None and abs(speed[0]) > max(speed[1], SEEN_MPS):
        swung = say("claim-not-swung-alike")
    elif leant is not None and abs(leant[0]) > max(leant[1], SEEN_LOFT_DEG):
        swung = say("claim-leaned-into", by=angle(abs(leant[0]), 1), name=fresh.name, more=leant[0] > 0)
    figure = {"by": rpm(abs(by), -2), "name": fresh.name}
    if by <= -SEEN_RPM:
        less = say("claim-spins-less", **figure)
        if -by > chance:
            return made(Claim.TRUE, joined([say("sentence", said=less), swung]), by)
        return made(Claim.OPEN, joined([say("claim-may-be-chance", said=less), swung]), by)
    return made(Claim.NOT_SO, joined([say("claim-spins-as-much", more=by >= SEEN_RPM, **figure), swung]), by)


def _balloons(wedge: Wedge, made: Says) -> Claimed:
    flight = wedge.flight
    if flight is None or "launch_deg" not in flight.where:
        return made(Claim.OPEN, say("claim-launch-and-spin-not-read"))
    by = flight.means["launch_deg"] - flight.windows["launch_deg"].middle
    if flight.high_little:
        first = flight.causes[0].what if flight.causes else say("claim-the-contact")
        return made(Claim.TRUE, say("claim-over-too-little-spin", by=angle(abs(by)), cause=first), by)
    if flight.where["launch_deg"] == 1:
        return made(Claim.TRUE, say("claim-over-with-its-spin", by=angle(abs(by))), by)
    leaves = {"launch": angle(flight.means["launch_deg"]), "lower": flight.where["launch_deg"] == -1}
    return made(Claim.NOT_SO, say("claim-leaves-at", **leaves), by)


def _strikes(wedge: Wedge, complaint: Complaint, others: Sequence[Wedge], made: Says) -> Claimed:
    kind = Strike.FAT if complaint is Complaint.DIGS else Strike.THIN
    mine = [shot for shot in wedge.shots if shot.counts]
    theirs = [shot for each in others for shot in each.shots if shot.counts]
    bad, also = (sum(shot.strike is kind for shot in each) for each in (mine, theirs))
    counts = {"bad": bad, "of": len(mine), "others": bool(theirs), "also": also, "theirs": len(theirs)}
    words = say("claim-struck", strike=term("strike", kind), **counts)
    often = bad / len(mine)
    usual = (also + 0.5) / (len(theirs) + 5) if theirs else 0.1
    if bad >= 2 and often > 2 * usual:
        return made(Claim.TRUE, say("claim-another-sole-would-tell", said=words), often)
    if bad:
        return made(Claim.OPEN, say("claim-sole-is-tried-from-turf", said=words), often)
    return made(Claim.NOT_SO, say("claim-from-what-was-hit", said=words), often)


def _varies(wedge: Wedge, others: Sequence[Wedge], made: Says) -> Claimed:
    carry = average(values_of(wedge.shots, "carry_m"))
    if carry is None or carry.sd is None:
        return made(Claim.OPEN, say("claim-carry-not-read"))
    share = carry.sd / carry.mean
    means = [mean for each in others if (mean := average(values_of(each.shots, "carry_m"))) is not None]
    rest = [(mean.sd / mean.mean, mean.n - 1) for mean in means if mean.sd is not None and mean.n >= LEAST_SHOTS]
    words = say("claim-carries-spread", by=far(carry.sd), share=part(share))
    if not rest:
        return made(Claim.OPEN, say("claim-hit-another-wedge", said=words), share)
    # Variances against one another, Fisher's F: three shots spread twice as wide as three others by chance.
    freedom = sum(df for _, df in rest)
    usual = math.sqrt(sum(df * each**2 for each, df in rest) / freedom)
    beside = say("claim-others-spread", said=words, share=part(usual))
    if share <= max(WIDER * usual, VARIES_SHARE):
        return made(Claim.NOT_SO, say("sentence", said=beside), share - usual)
    if (share / usual) ** 2 > float(fdtri(carry.n - 1, freedom, SURE)):
        return made(Claim.TRUE, say("sentence", said=beside), share - usual)
    return made(Claim.OPEN, say("claim-may-be-chance", said=beside), share - usual)


def _line(wedge: Wedge, others: Sequence[Wedge], made: Says) -> Claimed:
    def starts(each: Wedge) -> Average | None:
        sides = [
            math.degrees(math.atan2(shot.values["offline_m"], shot.values["carry_m"]))
            for shot in _kept(each)
            if shot.get("offline_m") is not None and (shot.get("carry_m") or 0) > 0
        ]
        return average(sides)

    mine = starts(wedge)
    if mine is None or mine.se is None:
        return made(Claim.OPEN, say("claim-line-not-read"))
    rest = [found for each in others if (found := starts(each)) is not None]
    usual = sum(each.mean * each.n for each in rest) / sum(each.n for each in rest) if rest else 0.0
    by = mine.mean - usual
    off = {"by": angle(abs(by), 1), "others": bool(rest)}
    if abs(by) < SEEN_SIDE_DEG:
        return made(Claim.NOT_SO, say("claim-within-the-line", **off), by)
    off |= {"right": by > 0}
    if abs(by) > float(stdtrit(mine.n - 1, SURE)) * mine.se:
        return made(Claim.TRUE, say("claim-off-the-line", **off), by)
    return made(Claim.OPEN, say("claim-off-the-line-by-chance", **off), by)


def _step_claim(wedge: Wedge, others: Sequence[Wedge], wish: StepWish, made: Says) -> Claimed:
    clubs = [each.club for each in others if each.club is not None and each.own and not each.club.kept_for]
    if wedge.club is None or not clubs:
        return made(Claim.OPEN, say("claim-wedges-beside-not-hit"))
    under = [club for club in clubs if club.carry_m < wedge.club.carry_m]
    over = [club for club in clubs if club.carry_m >= wedge.club.carry_m]
    steps = []
    if under:
        below = max(under, key=lambda club: club.carry_m)
        steps.append((wedge.club.carry_m - below.carry_m, below.name))
    if over:
        above = min(over, key=lambda club: club.carry_m)
        steps.append((above.carry_m - wedge.club.carry_m, above.name))
    words = with_and(say("claim-step-to", step=far(step), name=name) for step, name in steps)
    wrong = [step for step, _ in steps if not wish.closes(step) or step < CROWDED_M]
    asked = say("claim-step-wanted", steps=words, wanted=wish.text)
    return made(Claim.TRUE if wrong else Claim.NOT_SO, asked, max(step for step, _ in steps))
