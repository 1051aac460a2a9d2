"""The shots that most players have for a long club, at distances this player meets: where an interview starts."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from ..bag import Carried, HeadType, SlotLayout
from ..units import metres, yards
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


def _job(
    name: str, kind: JobKind, yd: float, size: tuple[float, float], over: float | None = None, uses: float = 1.0
) -> Job:
    return Job(
        name,
        kind,
        metres(yd),
        carry_over_m=None if over is None else metres(over),
        width_m=metres(size[0]),
        depth_m=metres(size[1]),
        uses_per_round=uses,
    )


COMMON = (
    CommonJob(_job("Long par three", JobKind.GREEN, 180, (24, 26))),
    CommonJob(_job("Second into a par five", JobKind.GREEN, 200, (26, 30)), "fairway"),
    CommonJob(_job("Long par four", JobKind.GREEN, 185, (24, 26), uses=2), "fairway"),
    CommonJob(_job("Carry over water", JobKind.GREEN, 170, (24, 26), over=158)),
    CommonJob(_job("Tight tee shot", JobKind.TEE, 200, (28, 30), uses=2), "tee"),
    CommonJob(_job("Lay-up", JobKind.LAYUP, 170, (35, 30)), "fairway"),
    CommonJob(_job("Out of the rough", JobKind.GREEN, 165, (28, 30)), "rough"),
)


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
        return metres(NEAREST_YD * round(yards(length_m * scale) / NEAREST_YD))

    return [
        CommonJob(
            Job(
                each.job.name,
                each.job.kind,
                moved(each.job.distance_m),
                carry_over_m=None if each.job.carry_over_m is None else moved(each.job.carry_over_m),
                width_m=each.job.width_m,
                depth_m=each.job.depth_m,
                uses_per_round=each.job.uses_per_round,
            ),
            each.lie,
        )
        for each in COMMON
    ]
