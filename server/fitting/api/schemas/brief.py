"""What the interview is shown; what it sends is `actions.brief.BriefFields`."""

from __future__ import annotations

from dataclasses import dataclass

from hemicycle_core.facts import BriefJob
from hemicycle_core.said import Said
from hemicycle_core.wedges import Delivered

from ...actions.brief import BriefFields
from .words import JobKind


@dataclass
class BriefChange:
    """now: the fields that changed. was: the same fields as they were read, to tell a clash by; without it what is
    sent stands."""

    now: BriefFields
    was: BriefFields | None = None


@dataclass
class LongestOut:
    """The club that reaches furthest on a kind of job, and where it stops."""

    kind: JobKind
    club: str
    total_m: float


@dataclass(frozen=True, kw_only=True)
class CommonJobOut(BriefJob):
    """A job to start from; called: in the reader's words, which become its name."""

    called: Said


@dataclass(frozen=True, kw_only=True)
class BriefOut(BriefFields):
    """common: jobs to start from, at distances this player meets. longest: what reaches furthest of each kind of
    job, as far as the bag is known. wish_leads: what each wish of the wedges leads to; delivered: how the player
    comes down, with its source. makers: of the heads of the rack and the stand. shop_stroke_price,
    shop_round_shots: what stands where the brief says nothing."""

    common: list[CommonJobOut]
    makers: list[str]
    shop_stroke_price: float
    shop_round_shots: list[float]
    wish_leads: dict[str, Said]
    delivered: Delivered
    done: bool
    longest: list[LongestOut]
