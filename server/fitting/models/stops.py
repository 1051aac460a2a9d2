"""The stop test: what is played to, and where balls were seen to land and to stop."""

from __future__ import annotations

from common.scoped import ScopedModel
from django.db import models
from hemicycle_core.flight import Firmness
from hemicycle_core.flight.landing import EVERYDAY_FT
from hemicycle_core.protocols.stop import USUAL_TARGET_M, Seen, StopGreen
from hemicycle_core.runs import Ball

from .bag import Build
from .session import FittingSession
from .words import FIRMNESSES, words


class StopTest(ScopedModel):
    """What the stop test of a session is played to, entered once. One row a session."""

    session = models.OneToOneField(FittingSession, on_delete=models.CASCADE, related_name="stop_test")
    target_m = models.FloatField(default=USUAL_TARGET_M)
    firmness = models.CharField(max_length=8, choices=FIRMNESSES, default=Firmness.MEDIUM.value)
    green_ft = models.FloatField(default=EVERYDAY_FT, help_text="Reading of the standard meter.")
    slope_percent = models.FloatField(default=0, help_text="Uphill positive.")

    wind_mps = models.FloatField(default=0)
    wind_from_deg = models.FloatField(default=0, help_text="0 against the shot, 90 from the right.")

    @property
    def for_core(self) -> StopGreen:
        return StopGreen(
            self.target_m,
            Firmness(self.firmness),
            self.green_ft,
            self.slope_percent,
            self.wind_mps,
            self.wind_from_deg,
        )


class StopSeen(ScopedModel):
    """A ball that was seen, or a group paced together. Sideways right positive. Never deleted."""

    session = models.ForeignKey(FittingSession, on_delete=models.CASCADE, related_name="stops")
    build = models.ForeignKey(Build, on_delete=models.PROTECT, related_name="stops")
    at = models.DateTimeField(auto_now_add=True)
    ball = models.CharField(max_length=6, choices=words(Ball), default=Ball.OWN.value)
    target_m = models.FloatField(help_text="It was played to.")
    landed_m = models.FloatField()
    stopped_m = models.FloatField()
    stopped_side_m = models.FloatField(default=0)
    landed_side_m = models.FloatField(default=0)
    balls = models.PositiveSmallIntegerField(default=1, help_text="Paced together.")
    aside = models.BooleanField(default=False)

    class Meta:
        ordering = ["id"]

    @property
    def left_m(self) -> float:
        """From the hole."""
        return float(((self.stopped_m - self.target_m) ** 2 + self.stopped_side_m**2) ** 0.5)

    @property
    def for_core(self) -> Seen:
        return Seen(
            self.build_id, Ball(self.ball), self.landed_m, self.stopped_m, self.left_m, self.balls, self.target_m
        )
