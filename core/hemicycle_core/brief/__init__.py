"""The interview: jobs and wishes, and the targets they ask of a club."""

from .jobs import Job, JobKind, Miss
from .targets import Target, propose

__all__ = ["Job", "JobKind", "Miss", "Target", "propose"]
