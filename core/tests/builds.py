"""Builds of one slot between a 5 iron and a 5 wood, as tests of the judge put them to it."""

import numpy as np
from hemicycle_core.bag import Carried, GapRule, HeadType, lay_out_slots
from hemicycle_core.bag.gaps import wanted_step
from hemicycle_core.brief import Job, JobKind, propose
from hemicycle_core.decision import decide_session
from hemicycle_core.flight import Firmness
from hemicycle_core.judge import Candidate, Case
from hemicycle_core.shots import Shot
from hemicycle_core.units import metres

LOWER = Carried("5i", HeadType.IRON, metres(162), metres(170.4), peak_m=metres(27), spin_rpm=5200, spread_m=4)
UPPER = Carried("5W", HeadType.FAIRWAY, metres(196), metres(204), peak_m=metres(29), spin_rpm=3900, spread_m=4)
LAYOUT = lay_out_slots(LOWER, UPPER, 1, rule=GapRule.ROLL_OUT, step=wanted_step(None))
GREEN = Job("Par three", JobKind.GREEN, metres(180), Firmness.MEDIUM, width_m=20, depth_m=24)
TEE = Job("Tight tee", JobKind.TEE, metres(190), width_m=25)


def shots(carry, landing=46.0, n=8, seed=1, spread=3.0, aside=()):
    chance = np.random.default_rng(seed)
    made = [
        Shot({"carry_m": metres(carry + chance.normal(0, spread)), "landing_deg": landing + chance.normal(0, 1)})
        for _ in range(n)
    ]
    return [*made, *(Shot({"carry_m": metres(c)}, aside=True) for c in aside)]


def case(hit, letter="A", kind=HeadType.HYBRID, jobs=(GREEN,), **more):
    targets = propose(LAYOUT, LAYOUT.slots[0], LOWER, UPPER, jobs)
    return Case(Candidate(letter, letter, kind, hit, **more), targets, LOWER, UPPER)


def session(*cases, **more):
    return decide_session(cases, jobs=[GREEN], **more)
