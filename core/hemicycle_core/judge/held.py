"""Balls counted as they lie: how many of a build's shots were on the green of a job, or in its width."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from ..bag import Slot
from ..brief import Job, JobKind, jobs_of_slot
from ..shots import Shot
from .play import ends_of, least_carry


@dataclass(frozen=True)
class Held:
    """hit of `of` kept shots were where the job wants them."""

    job: str
    hit: int
    of: int


def job_to_count(jobs: Sequence[Job], slot: Slot | None) -> Job | None:
    """The job that balls are counted on: the most used of those the slot is for, else of all."""
    near = jobs_of_slot(jobs, slot) if slot is not None else []
    return max(near or jobs, key=lambda job: job.uses_per_round, default=None)


def held_on(shots: Sequence[Shot], job: Job) -> Held | None:
    """Kept shots that stopped on the green of a job, or in its width and far enough; None without totals and sides.
    Where they stopped is as the monitor has it, on its own turf: the jobs played out reckon with the job's."""
    seen = [
        (shot.values["carry_m"], total, side)
        for shot in shots
        if shot.kept
        and shot.get("carry_m") is not None
        and (total := shot.get("total_m")) is not None
        and (side := shot.get("offline_m")) is not None
    ]
    if not seen:
        return None
    near, far = ends_of(job)
    flown, half = least_carry(job) if job.kind is JobKind.GREEN else job.carry_over_m or 0.0, job.width_m / 2
    on = sum(carry >= flown and near <= total <= far and abs(side) <= half for carry, total, side in seen)
    return Held(job.name, on, len(seen))
