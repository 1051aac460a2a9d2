"""The interview: jobs and wishes, and the targets they ask of a club."""

from .common import CommonJob, common_jobs
from .jobs import NOTHING_FEARED, Fear, Feared, Job, JobKind, Miss, uses_between, uses_in
from .targets import Target, holds_deg, jobs_of_slot, propose
from .wishes import FlightWish, ReplaceWay, Wanted, Wish, propose_flight, propose_like

__all__ = [
    "NOTHING_FEARED", "CommonJob", "Fear", "Feared", "FlightWish", "Job", "JobKind", "Miss", "ReplaceWay", "Target",
    "Wanted", "Wish", "common_jobs", "holds_deg", "jobs_of_slot", "propose", "propose_flight", "propose_like",
    "uses_between", "uses_in",
]  # fmt: skip
