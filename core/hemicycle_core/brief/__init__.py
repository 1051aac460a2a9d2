"""The interview: jobs and wishes, and the targets they ask of a club."""

from .common import CommonJob, common_jobs
from .jobs import Job, JobKind, Miss
from .targets import Target, jobs_of_slot, propose, propose_like

__all__ = ["CommonJob", "Job", "JobKind", "Miss", "Target", "common_jobs", "jobs_of_slot", "propose", "propose_like"]
