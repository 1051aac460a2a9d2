"""Plans kept side by side, and what the shop has seen of its heads."""

from __future__ import annotations

from common.scoped import ScopedModel
from django.db import models
from rack.models import Head

from .bag import Build
from .session import FittingSession


class BagPlan(ScopedModel):
    """A set of clubs the bag may become; up to three a session are kept side by side."""

    session = models.ForeignKey(FittingSession, on_delete=models.CASCADE, related_name="plans")
    name = models.CharField(max_length=40)
    builds = models.ManyToManyField(Build, related_name="+")
    swap_home = models.ForeignKey(Build, on_delete=models.SET_NULL, null=True, related_name="+")
    swap_away = models.ForeignKey(Build, on_delete=models.SET_NULL, null=True, related_name="+")
    swap_course = models.CharField(max_length=40, blank=True)

    class Meta:
        ordering = ["id"]


class HeadSeen(ScopedModel):
    """How a head did in an agreed session beside what the player's own clubs let expect of it."""

    head = models.ForeignKey(Head, on_delete=models.PROTECT, related_name="seen")
    session = models.ForeignKey(FittingSession, on_delete=models.CASCADE, related_name="+")
    departure = models.JSONField(help_text="Log of ball speed, launch in degrees, log of spin: hit less expected.")
    ball_speed_mps = models.FloatField()
    won = models.BooleanField(default=False)

    class Meta:
        constraints = [models.UniqueConstraint(fields=["head", "session"], name="head_seen_once_a_session")]
