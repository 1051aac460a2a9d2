"""Clubs and bags whose strokes are made up, so that what is made of them can be reckoned by hand."""

from types import SimpleNamespace

import numpy as np
from hemicycle_core.bag import Carried, GapRule, HeadType, usual_rules
from hemicycle_core.decision import Limits, Option
from hemicycle_core.decision.bags import Weigher
from hemicycle_core.decision.worth import WorthTable
from hemicycle_core.judge.play import DRAWS
from hemicycle_core.judge.yardages import Yardages
from hemicycle_core.units import metres

RULES = usual_rules(GapRule.ROLL_OUT)
NOWHERE = Yardages(np.zeros(0), np.zeros(0))


def option(key, carry, saved, *, total=None, kind=HeadType.HYBRID, **more):
    """A club with the strokes a job that it saves beside three and a half."""
    club = Carried(key, kind, metres(carry), metres(carry + 8 if total is None else total))
    return Option(
        key,
        club,
        saved,
        tuple(SimpleNamespace(success=each) for each in saved),
        letter="" if more.get("own") else key,
        **more,
    )


def weigher(options, demand, **limits):
    """Of clubs of which the strokes on the jobs alone are known."""
    jobs = np.array([3.5 - np.array(each.swing)[:, None] * np.ones(DRAWS) for each in options])
    nothing = np.zeros((len(options), 0, DRAWS), dtype=np.float32)
    return Weigher(
        WorthTable(tuple(options), demand, NOWHERE, nothing, nothing, nothing, jobs, np.zeros_like(jobs)),
        RULES,
        Limits(**limits),
    )
