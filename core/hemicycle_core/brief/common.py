"""The shots that most players have for a long club, at distances this player meets: where an interview starts."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace

from ..bag import Carried, HeadType, SlotLayout
from ..said import NOTHING, Quantity, Said, english, far, say, term
from ..units import metres, whole, yards
from .jobs import Job, JobKind

USUAL_M = metres(180)  # the carry that the distances below are written for
DRIVER_SHARE = 0.80  # of the driver's carry, where no hole is known: about the middle of the long end
NEAREST_YD = 5
LEAST_M, MOST_M = metres(90), metres(260)


@dataclass(frozen=True)
class CommonJob:
    """A job to start from, and the lie it is usually played from; no word where any will do."""

    job: Job
    lie: str = ""
    said: Said = NOTHING


def _common(
    said: Said, kind: JobKind, yd: float, size: tuple[float, float], over: float | None, uses: float, lie: str
) -> CommonJob:
    job = Job(
        english(said),
        kind,
        metres(yd),
        carry_over_m=None if over is None else metres(over),
        width_m=metres(size[0]),
        depth_m=metres(size[1]),
        uses_per_round=uses,
    )
    return CommonJob(job, lie, said)


def _long(
    name: str, kind: JobKind, yd: float, size: tuple[float, float], over: float | None = None, uses: float = 1.0,
    lie: str = "",
) -> CommonJob:  # fmt: skip
    return _common(term("common-job", name), kind, yd, size, over, uses, lie)


COMMON = (  # the long end
    _long("par-three", JobKind.GREEN, 180, (24, 26)),
    _long("par-five", JobKind.GREEN, 200, (26, 30), lie="fairway"),
    _long("par-four", JobKind.GREEN, 185, (24, 26), uses=2, lie="fairway"),
    _long("water", JobKind.GREEN, 170, (24, 26), over=158),
    _long("tee", JobKind.TEE, 200, (28, 30), uses=2, lie="tee"),
    _long("lay-up", JobKind.LAYUP, 170, (35, 30), lie="fairway"),
    _long("rough", JobKind.GREEN, 165, (28, 30), lie="rough"),
)


def _short(
    said: Said, yd: float, size: tuple[float, float], over: float | None, uses: float, lie: str = ""
) -> CommonJob:
    return _common(said, JobKind.GREEN, yd, size, over, uses, lie)


def _yd(yards: float) -> Quantity:
    return far(metres(yards))


# The short ones: yardages of everybody, but for the full wedge, which is the player's own.
FULL_WEDGE_YD = 105.0
SHORT = (
    _short(say("common-job-full-wedge"), FULL_WEDGE_YD, (22, 22), None, 2.0, "fairway"),
    _short(say("common-job-front-pin"), 85, (20, 18), 78, 1.0, "fairway"),
    _short(say("common-job-pitch", far=_yd(60)), 60, (18, 18), None, 1.0, "fairway"),
    _short(say("common-job-pitch-from-semi-rough", far=_yd(40)), 40, (16, 16), None, 0.5, "semi-rough"),
    _short(say("common-job-chip", far=_yd(30)), 30, (12, 20), None, 1.5, "fairway"),
    _short(say("common-job-lob", green=_yd(4)), 20, (10, 8), 15, 0.5, "fairway"),
    _short(say("common-job-sand", far=_yd(15)), 15, (10, 12), None, 1.0, "sand"),
)


def short_jobs(clubs: Sequence[Carried]) -> list[CommonJob]:
    """The common jobs under 130 yd; the full wedge at what this player's wedges carry between their ends."""
    wedges = [club.carry_m for club in clubs if club.head_type is HeadType.WEDGE]
    if not wedges:
        return list(SHORT)
    middle = metres(NEAREST_YD * whole(yards(sum(wedges) / len(wedges)) / NEAREST_YD))
    return [replace(SHORT[0], job=replace(SHORT[0].job, distance_m=middle)), *SHORT[1:]]


def _middle(clubs: Sequence[Carried], layout: SlotLayout | None) -> float:
    """The carry in metres about which this player's long shots lie."""
    if layout is not None and layout.slots:
        return sum(slot.target_m for slot in layout.slots) / len(layout.slots)
    driver = max((club.carry_m for club in clubs if club.head_type is HeadType.DRIVER), default=None)
    return USUAL_M if driver is None else DRIVER_SHARE * driver


def common_jobs(clubs: Sequence[Carried], layout: SlotLayout | None) -> list[CommonJob]:
    """The common jobs moved to this player's length: to the slots in work, else by the driver, else as they are.

    Distances and what must be carried in metres, to the nearest five yards; sizes and uses are the course's and stay.
    """
    scale = min(max(_middle(clubs, layout), LEAST_M), MOST_M) / USUAL_M

    def moved(length_m: float) -> float:
        return metres(NEAREST_YD * whole(yards(length_m * scale) / NEAREST_YD))

    return [
        replace(
            each,
            job=replace(
                each.job,
                distance_m=moved(each.job.distance_m),
                carry_over_m=None if each.job.carry_over_m is None else moved(each.job.carry_over_m),
            ),
        )
        for each in COMMON
    ]


def longest(clubs: Sequence[Carried], kind: JobKind) -> Carried | None:
    """The club that reaches furthest of those that a kind of job is played with: the driver is for the tee."""
    there = [club for club in clubs if kind is JobKind.TEE or club.head_type is not HeadType.DRIVER]
    return max(there, key=lambda club: club.total_m, default=None)
