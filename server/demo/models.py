"""Simulated golfers behind demo customers. Only the stand-in monitor reads them."""

from __future__ import annotations

from common.scoped import ScopedModel
from customers.models import Customer
from django.db import models


class SimulatedGolfer(ScopedModel):
    """The hidden truth of one customer; `parameters` are those of hemicycle_core.simulation.golfer.Player."""

    customer = models.OneToOneField(Customer, on_delete=models.CASCADE, related_name="golfer")
    parameters = models.JSONField()
    seed = models.PositiveIntegerField(default=1)
