"""The verdict on players who were not drawn as `practice` draws them: no impact, no flight, just heavy-tailed carries,
sides and landings, and builds that differ as they please. Only the ground is ours."""

from dataclasses import dataclass, field
from itertools import combinations

import numpy as np
import pytest
from hemicycle_core.bag import Carried, HeadType
from hemicycle_core.brief import Job, JobKind, Target
from hemicycle_core.decision import decide_session
from hemicycle_core.flight import FAIRWAY, GREEN, Firmness, run_out
from hemicycle_core.judge import Candidate, Case
from hemicycle_core.judge.play import ends_of, least_carry
from hemicycle_core.shots import Shot
from hemicycle_core.units import metres

LANDS = {HeadType.FAIRWAY: 46.5, HeadType.HYBRID: 44.5, HeadType.UTILITY: 41.0, HeadType.IRON: 42.0}
WIDER = {HeadType.FAIRWAY: 1.0, HeadType.HYBRID: 0.95, HeadType.UTILITY: 1.1, HeadType.IRON: 1.15}
MANY = 2500
FITTINGS = 140  # the loss over by hand is then known to about 0.1


@dataclass
class Build:
    letter: str
    kind: HeadType
    carry_m: float
    spread: float
    misses: float
    cost: float
    side_deg: float
    side_spread_deg: float
    lands_deg: float
    shots: list[Shot] = field(default_factory=list)
    truth: float = 0.0

    def swing(self, chance, n):
        """Carry, offline, landing and whether it was missed, (n,) each."""
        missed, flew = chance.random(n) < self.misses, chance.random(n) < 0.02
        carry = self.carry_m * (1 + self.spread * chance.standard_t(5, n) * np.sqrt(3 / 5))
        carry *= np.where(missed, 1 - np.minimum(chance.exponential(self.cost, n) + 0.02, 0.5), 1.0)
        carry *= np.where(flew & ~missed, 1 + chance.uniform(0.03, 0.09, n), 1.0)
        side = self.side_deg + self.side_spread_deg * chance.standard_t(5, n) * np.sqrt(3 / 5)
        side = np.radians(side * np.where(missed, 1.8, 1.0))
        lands = self.lands_deg + chance.normal(0, 1.4, n) - 3 * missed
        return carry, carry * np.tan(side), lands, missed


def share(build, jobs, seed):
    """The success share of a build over the jobs, by brute force."""
    carry, offline, lands, _ = build.swing(np.random.default_rng(seed), MANY)
    done = []
    for job in jobs:
        turf = (GREEN if job.kind is JobKind.GREEN else FAIRWAY)[job.firmness]
        stops = carry + run_out(np.full(MANY, 24.5), lands, np.full(MANY, 3900.0), turf).run_m
        near, far = ends_of(job)
        there = (carry >= least_carry(job)) & (stops >= near) & (stops <= far)
        done.append(np.mean(there & (np.abs(offline) <= job.width_m / 2)))
    return float(np.average(done, weights=[job.uses_per_round for job in jobs]))


def draw(number, shots, wider=0.15):
    """A player of three to six builds, with the jobs and the window, hit `shots` times a build. wider: how far, in
    the logarithm, builds differ in what they spread to the sides."""
    chance = np.random.default_rng([77, number])
    middle = metres(chance.uniform(150, 215))
    spread, misses, cost = chance.uniform(0.018, 0.06), chance.uniform(0.03, 0.28), chance.uniform(0.05, 0.15)
    side, side_spread = chance.normal(0, 1.3), chance.uniform(1.6, 4.2)
    firm = Firmness(chance.choice([each.value for each in Firmness]))
    size = {"width_m": metres(chance.uniform(20, 36)), "depth_m": metres(chance.uniform(20, 34))}
    jobs = [Job("Green", JobKind.GREEN, middle + metres(chance.uniform(0, 10)), firm, **size)]
    if chance.random() < 0.6:
        jobs.append(Job("Tee", JobKind.TEE, middle + metres(chance.uniform(5, 20)), firm, width_m=metres(30)))
    builds = []
    for letter in "ABCDEF"[: chance.integers(3, 7)]:
        kind = list(LANDS)[chance.choice(4, p=[0.35, 0.35, 0.2, 0.1])]
        build = Build(
            letter, kind, middle + metres(chance.normal(0, 7)), spread * WIDER[kind] * np.exp(chance.normal(0, 0.15)),
            float(np.clip(misses * np.exp(chance.normal(0, 0.3)), 0.01, 0.4)), cost * WIDER[kind] ** 2,
            side + chance.normal(0, 1.2), side_spread * np.exp(chance.normal(0, wider)),
            LANDS[kind] + chance.normal(0, 1.8),
        )  # fmt: skip
        build.truth = share(build, jobs, number)
        for carry, offline, lands, missed in zip(*build.swing(chance, shots), strict=True):
            seen = {"carry_m": float(carry), "offline_m": float(offline), "landing_deg": float(lands)}
            build.shots.append(Shot(seen, {}, aside=bool(missed and chance.random() < 0.6)))
        builds.append(build)
    return builds, jobs, (middle - metres(4), middle + metres(4))


def judged(builds, jobs, window):
    low, high = window
    targets = [Target("carry_m", low, high, "The slot."), Target("landing_deg", 44, None, "The green.")]
    lower, upper = Carried("l", HeadType.IRON, low - 15, low - 8), Carried("u", HeadType.FAIRWAY, high + 15, high + 22)
    cases = [Case(Candidate(each.letter, each.letter, each.kind, each.shots), targets, lower, upper) for each in builds]
    return decide_session(cases, jobs=jobs)


def by_hand(builds, window):
    """The average of the shots that were not poor, nearest the middle of the window among those that land at 45 degrees
    or steeper, else the steepest."""
    rows = []
    for build in builds:
        kept = [shot for shot in build.shots if not shot.aside] or build.shots
        carry = np.array([shot.values["carry_m"] for shot in kept])
        lands = np.array([shot.values["landing_deg"] for shot in kept])
        good = carry > 0.9 * np.median(carry)
        rows.append((build, abs(carry[good].mean() - sum(window) / 2), lands[good].mean()))
    holds = [row for row in rows if row[2] >= 45]
    return min(holds, key=lambda row: row[1])[0] if holds else max(rows, key=lambda row: row[2])[0]


@pytest.mark.slow
@pytest.mark.parametrize(("shots", "wider", "most"), [(5, 0.15, 0.6), (12, 0.15, 0.45), (12, 0.5, 0.45)])
def test_builds_of_players_of_another_world_are_ranked_better_than_by_hand_and_as_surely_as_said(shots, wider, most):
    lost = {"hand": 0.0, "verdict": 0.0}
    inside, sure = [], []
    for number in range(FITTINGS):
        builds, jobs, window = draw(number, shots, wider)
        found = judged(builds, jobs, window)
        truth = {build.letter: build.truth for build in builds}
        rounds, uses = found.weighed.rounds, sum(job.uses_per_round for job in jobs)
        # By the jobs alone, as the truth here is: the decision asks for the window first, and counts in strokes.
        chosen = max(truth, key=lambda letter: rounds[letter].mean())
        lost["hand"] += max(truth.values()) - by_hand(builds, window).truth
        lost["verdict"] += max(truth.values()) - truth[chosen]
        for letter, drawn in rounds.items():
            low, high = np.quantile(drawn / uses, [0.05, 0.95])
            inside.append(low <= truth[letter] <= high)
        for a, b in combinations(truth, 2):
            chance = found.weighed.better(a, b)
            if max(chance, 1 - chance) >= 0.9:
                sure.append((truth[a] > truth[b]) == (chance > 0.5))
    assert lost["verdict"] < most * lost["hand"]
    assert 0.82 < np.mean(inside) < 0.98
    assert np.mean(sure) > 0.85
