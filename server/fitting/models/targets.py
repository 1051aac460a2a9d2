"""Targets the fitter changed, and the targets as they were."""

from __future__ import annotations

from common.scoped import ScopedModel
from django.db import models
from shop.models import User

from .session import FittingSession


class TargetOverride(ScopedModel):
    """A target the fitter changed; append only, the newest counts, an empty one returns to the proposal."""

    session = models.ForeignKey(FittingSession, on_delete=models.CASCADE, related_name="overrides")
    slot = models.PositiveSmallIntegerField()
    quantity = models.CharField(max_length=20)
    low = models.FloatField(null=True)
    high = models.FloatField(null=True)
    cleared = models.BooleanField(default=False)
    at = models.DateTimeField(auto_now_add=True)
    by = models.ForeignKey(User, on_delete=models.PROTECT)

    class Meta:
        ordering = ["id"]


class WindowVersion(ScopedModel):
    """The targets as they were, from the first candidate on; append only."""

    session = models.ForeignKey(FittingSession, on_delete=models.CASCADE, related_name="versions")
    at = models.DateTimeField(auto_now_add=True)
    by = models.ForeignKey(User, on_delete=models.PROTECT, null=True)
    slots = models.JSONField(help_text="By slot: quantity, low and high of each target in force.")

    class Meta:
        ordering = ["id"]
