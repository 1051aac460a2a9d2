"""The verdict measured against the hidden truth, beside the way it is done by hand."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, field
from itertools import combinations

import numpy as np

from ...bag import Carried, HeadType
from ...brief import JobKind, Target
from ...brief.targets import holds_deg
from ...decision import Decision, decide_session
from ...flight import run_out
from ...judge import Candidate, Case
from ...judge.landings import landings
from ...judge.play import ends_of, least_carry, middle_of
from ...judge.weigh import is_own, usable
from ...said import NOTHING
from ...shots import Shot, columns_of
from ...thresholds import DEFAULT
from ...units import metres
from .fittings import OWN, Fitting

HANDS_HOLD_DEG = 45.0  # what is held by hand: from here on it stays
DROPPED = 0.9  # by hand a shot under this share of the middle one is dropped as poor
SAID = ((0.5, 0.65), (0.65, 0.75), (0.75, 0.85), (0.85, 0.95), (0.95, 1.0001))


def cases_of(fitting: Fitting) -> list[Case]:
    """The builds of a fitting as a session puts them to the judge."""
    low, high = fitting.window
    greens = [holds_deg(job) for job in fitting.jobs if job.kind is JobKind.GREEN]
    targets = [Target("carry_m", low, high, NOTHING), Target("landing_deg", max(greens), None, NOTHING)]
    lower = Carried("lower", HeadType.IRON, low - metres(16), low - metres(9))
    upper = Carried("upper", HeadType.FAIRWAY, high + metres(16), high + metres(24))
    return [
        Case(
            Candidate(
                tried.letter,
                tried.letter,
                tried.club.head_type,
                fitting.shots.get(tried.letter, []),
                length_m=tried.club.length_m,
                price=fitting.prices.get(tried.letter),
            ),
            targets,
            lower,
            upper,
        )
        for tried in fitting.tried
    ]


def judged(fitting: Fitting) -> Decision:
    had = fitting.own
    own = (
        []
        if had is None
        else [Candidate("", OWN, had.club.head_type, fitting.shots.get(OWN, []), length_m=had.club.length_m, own=True)]
    )
    return decide_session(cases_of(fitting), jobs=fitting.jobs, own=own, feared=fitting.feared)


def by_hand(fitting: Fitting) -> str:
    """Drop the poor shots; among the builds that land at 45 degrees or steeper the average carry nearest the middle
    of the window; the steepest when none does."""
    rows = []
    for letter, shots in fitting.hit_with.items():
        kept = [shot for shot in shots if not shot.aside] or list(shots)
        seen = columns_of(kept, ("carry_m", "landing_deg"))
        good = seen["carry_m"] > DROPPED * np.median(seen["carry_m"])
        rows.append((letter, float(seen["carry_m"][good].mean()), float(seen["landing_deg"][good].mean())))
    middle = sum(fitting.window) / 2
    holding = [row for row in rows if row[2] >= HANDS_HOLD_DEG]
    if holding:
        return min(holding, key=lambda row: (abs(row[1] - middle), row[0]))[0]
    return max(rows, key=lambda row: (row[2], row[0]))[0]


def by_share(fitting: Fitting) -> str:
    """The build whose own shots did the jobs most often."""

    def share(shots: Sequence[Shot]) -> float:
        there = usable(shots)
        (landed,) = landings([there])
        seen = columns_of(there, ("carry_m", "offline_m"))
        total = 0.0
        for job in fitting.jobs:
            stops = seen["carry_m"] + run_out(landed.speed_mps, landed.angle_deg, landed.spin_rpm, job.turf).run_m
            near, far = ends_of(job)
            inside = np.abs(seen["offline_m"]) * stops / seen["carry_m"] <= job.width_m / 2
            done = (seen["carry_m"] >= least_carry(job)) & (stops >= near) & (stops <= far) & inside
            total += job.uses_per_round * float(done.mean())
        return total

    return max(fitting.hit_with, key=lambda letter: (share(fitting.shots[letter]), letter))


@dataclass
class Score:
    """Sums over fittings; a score adds to another, so that parts can be made apart.

    regret: true success share of the best build less that of the chosen one, by way of choosing. pairs: for every
    two builds what was said and whether it was right. shots: hit a build. sold, kept: of fittings with a club of the
    player's own, what the build that was sold gains on it in truth, and what the best one would have, shots a round;
    surely: of those kept, whether that was said to be settled.
    """

    regret: dict[str, list[float]] = field(default_factory=lambda: {"hand": [], "share": [], "verdict": []})
    inside: list[bool] = field(default_factory=list)
    off: list[float] = field(default_factory=list)
    pairs: list[tuple[float, bool]] = field(default_factory=list)
    best: list[tuple[float, bool]] = field(default_factory=list)
    shots: list[float] = field(default_factory=list)
    sold: list[float] = field(default_factory=list)
    kept: list[float] = field(default_factory=list)
    surely: list[bool] = field(default_factory=list)

    def add(self, other: Score) -> None:
        for way, values in other.regret.items():
            self.regret[way].extend(values)
        for name in ("inside", "off", "pairs", "best", "shots", "sold", "kept", "surely"):
            getattr(self, name).extend(getattr(other, name))

    def mean_regret(self, way: str) -> float:
        return float(np.mean(self.regret[way]))

    @property
    def ratio(self) -> float:
        """Our regret over that of the way it is done by hand."""
        return self.mean_regret("verdict") / max(self.mean_regret("hand"), 1e-9)

    @property
    def coverage(self) -> float:
        """Share of the 90% intervals of a build's success that hold the truth."""
        return float(np.mean(self.inside))

    def calibration(self) -> list[tuple[float, float, int]]:
        """What was said on average, how often that was right, and of how many pairs, by what was said."""
        rows = []
        for low, high in SAID:
            these = [(said, right) for said, right in self.pairs if low <= said < high]
            if these:
                rows.append(
                    (float(np.mean([said for said, _ in these])), float(np.mean([r for _, r in these])), len(these))
                )
        return rows


def choice_of(decision: Decision) -> str:
    """The build put forward; the one that would save most when it names none."""
    return decision.choice.letter or max(decision.worths, key=lambda letter: (decision.worths[letter].saves, letter))


def score(fitting: Fitting, *, decision: Decision | None = None) -> Score:
    """One fitting with its shots hit."""
    found = decision or judged(fitting)
    truth = {tried.letter: fitting.truth(tried.letter) for tried in fitting.tried}
    top = max(truth.values())
    made = Score()
    for way, letter in (("hand", by_hand(fitting)), ("share", by_share(fitting)), ("verdict", choice_of(found))):
        made.regret[way].append(top - truth[letter])
    uses = sum(job.uses_per_round for job in fitting.jobs)
    for letter, share in truth.items():
        rounds = found.weighed.rounds[letter]
        low, high = middle_of(rounds / uses)
        made.inside.append(bool(low <= share <= high))
        made.off.append(float(rounds.mean() / uses - share))
    for a, b in combinations(truth, 2):
        chance = found.weighed.better(a, b)
        right = truth[a] > truth[b]
        made.pairs.append((chance, right) if chance >= 0.5 else (1 - chance, not right))
    if fitting.own is not None and found.choice.letter is None:
        made.kept.append(max(fitting.gain(letter) for letter in truth))
        made.surely.append(found.choice.settled)
    elif fitting.own is not None and found.choice.letter is not None:
        made.sold.append(fitting.gain(found.choice.letter))
    if found.choice.chance_best is not None and found.choice.letter is not None:
        made.best.append((found.choice.chance_best, truth[found.choice.letter] == top))
    made.shots.append(float(np.mean([len(shots) for shots in fitting.shots.values()])))
    return made


FIRST_SHOTS, AT_A_TIME, OWN_SHOTS = 3, 3, 5
MOST_SHOTS = DEFAULT.most_shots


def until_settled(fitting: Fitting) -> Score:
    """Hit a few with every build, then go on with the build that most wants shots until the choice is settled."""
    for tried in fitting.tried:
        fitting.hit(tried.letter, FIRST_SHOTS)
    if fitting.own is not None:
        fitting.hit(OWN, OWN_SHOTS)
    while True:
        found = judged(fitting)
        if found.choice.settled or found.choice.more is None:
            return score(fitting, decision=found)
        wanted, count = found.choice.more.shots[0]
        letter = OWN if is_own(wanted) else wanted
        room = {each: MOST_SHOTS - len(hit) for each, hit in fitting.shots.items() if len(hit) < MOST_SHOTS}
        if letter not in room:
            if not room:
                return score(fitting, decision=found)
            letter = min(room, key=lambda each: (-room[each], each))
        fitting.hit(letter, min(count, room[letter], AT_A_TIME))
