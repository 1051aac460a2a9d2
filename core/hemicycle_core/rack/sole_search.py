"""A sole in a loft that it is not made in, or not for this hand: the nearest that can be bent there."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from ..said import Form, Said, angle, far, say
from ..units import metres
from .stock import MOST_BEND_DEG, Made

SAME_DEG = 0.25
STEP_YD_A_DEGREE = 3.0  # of a full wedge, about: said as a guide until it is hit


@dataclass(frozen=True)
class WedgeHead:
    """A wedge as it stands on the rack. bounce_deg: None where unknown; had: that this player can have it; model: of
    its maker."""

    key: int
    name: str
    sole: str
    loft_deg: float
    bounce_deg: float | None
    made: Made
    had: bool
    model: str = ""


@dataclass(frozen=True)
class Bent:
    """A head that gives a sole in a loft. bend_deg: weaker positive, 0 as it is made; bounce_deg after it."""

    head: WedgeHead
    bend_deg: float
    bounce_deg: float | None
    sentence: Said


LESS_LOFT_DEG = 3.0  # less than this and the same shot hardly tells


def in_less_loft(heads: Sequence[WedgeHead], of: WedgeHead) -> WedgeHead | None:
    """The head of the same sole that has the next less loft that tells, of the same model if there is one; None where
    this player can have none."""
    less = [
        head for head in heads if head.sole == of.sole and head.had and head.loft_deg <= of.loft_deg - LESS_LOFT_DEG
    ]
    return max(less, key=lambda head: (head.model == of.model, head.loft_deg), default=None)


def nearest_bent(heads: Sequence[WedgeHead], sole: str, loft_deg: float) -> Bent | None:
    """The head of a sole that is nearest to a loft among those this player can have and that bear the bend; None where
    none does. A degree weaker adds about a degree of bounce."""
    found = []
    for head in heads:
        bend = loft_deg - head.loft_deg
        if head.sole != sole or not head.had or abs(bend) > MOST_BEND_DEG[head.made] + SAME_DEG:
            continue
        found.append((abs(bend), head.name, head, bend))
    if not found:
        return None
    _, _, head, bend = min(found, key=lambda each: each[:2])
    if abs(bend) <= SAME_DEG:
        return Bent(
            head, 0.0, head.bounce_deg, say("rack-made-in", name=head.name, loft=angle(head.loft_deg, form=Form.SHORT))
        )
    bounce = None if head.bounce_deg is None else head.bounce_deg + bend
    words = say(
        "rack-not-made-in",
        loft=angle(loft_deg, form=Form.SHORT),
        name=head.name,
        bend=angle(abs(bend), form=Form.SHORT),
        told=bounce is not None,
        bounce=angle(bounce or 0.0, form=Form.SHORT),
        step=far(metres(abs(bend) * STEP_YD_A_DEGREE)),
        shorter=bend > 0,
    )
    return Bent(head, bend, bounce, words)
