"""The interview: jobs and wishes, and the targets they ask of a club."""

from .common import common_jobs
from .jobs import Job, JobKind, Miss
from .targets import Target, jobs_of_slot, propose, propose_like

__all__ = ["Job", "JobKind", "Miss", "Target", "common_jobs", "jobs_of_slot", "propose", "propose_like"]
