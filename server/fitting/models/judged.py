"""What was worked out of a session lately, for every process that serves it."""

from __future__ import annotations

from common.scoped import ScopedModel
from django.db import models

from .session import FittingSession


class JudgedAnswer(ScopedModel):
    """One answer about a session as it was worked out last, so that it is worked out once and not by each process that
    is asked. Nothing is lost with a row: it is made again when it is asked for. The table is not logged (migration
    `fitting.0040`) and in no backup."""

    session = models.ForeignKey(FittingSession, on_delete=models.CASCADE, related_name="+")
    part = models.CharField(max_length=40)
    key = models.CharField(max_length=100, help_text="Of all that it was worked out from, and of the code.")
    at = models.DateTimeField()
    unasked = models.SmallIntegerField(default=0, help_text="How many times it was made since it was last asked for.")
    answer = models.BinaryField(help_text="Its JSON, packed.")

    class Meta:
        constraints = [models.UniqueConstraint(fields=["session", "part"], name="an_answer_of_a_part_is_kept_once")]
        indexes = [models.Index(fields=["at"], name="judged_answer_oldest")]
