"""What an agreed session showed, kept as it was."""

from __future__ import annotations

from common.scoped import ScopedModel
from django.db import models

from .session import FittingSession


class AgreedAnswers(ScopedModel):
    """Every answer of a session as it stood when it was agreed: later code, a changed rack or other thresholds change
    nothing in it. The database refuses to change or remove a row (migration `fitting.0011`)."""

    session = models.OneToOneField(FittingSession, on_delete=models.PROTECT, related_name="agreed_answers")
    at = models.DateTimeField(auto_now_add=True)
    code = models.CharField(max_length=64, help_text="Which version of the product worked them out.")
    answers = models.JSONField(help_text="By what was asked: session, bench, shortlist, plans, what_if of each build.")
