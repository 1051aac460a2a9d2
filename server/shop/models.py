"""The shop, its people and bays, and the record of what was changed by whom."""

from __future__ import annotations

from common.policy import Role
from common.scoped import ScopedModel
from django.contrib.auth.models import AbstractUser
from django.db import models


class Shop(models.Model):
    name = models.CharField(max_length=80)
    city = models.CharField(max_length=80, blank=True)
    thresholds = models.JSONField(default=dict, help_text="Those that differ from the usual, in the units shown.")
    revision = models.PositiveIntegerField(default=1, help_text="Goes up when what all sessions rest on changes.")

    def __str__(self) -> str:
        return self.name


class User(AbstractUser):
    """Someone who signs in. Without a shop nothing can be seen."""

    shop = models.ForeignKey(Shop, on_delete=models.PROTECT, null=True, related_name="people")
    role = models.CharField(
        max_length=10, choices=[(role.value, role.value) for role in Role], default=Role.FITTER.value
    )


class Bay(ScopedModel):
    """A place to hit from, and the air in it."""

    name = models.CharField(max_length=40)
    indoor = models.BooleanField(default=True)
    surface = models.CharField(max_length=20, default="mat")
    altitude_m = models.FloatField(default=0)
    temperature_c = models.FloatField(default=20)
    models_flight = models.BooleanField(
        default=False, help_text="The monitor sees impact only: its carry, peak, landing and total are its own model."
    )

    class Meta:
        constraints = [models.UniqueConstraint(fields=["shop", "name"], name="bay_name_once_a_shop")]

    def __str__(self) -> str:
        return self.name


class AuditEntry(ScopedModel):
    """One change of state; append only."""

    at = models.DateTimeField(auto_now_add=True)
    actor = models.ForeignKey(User, on_delete=models.PROTECT, null=True)
    action = models.CharField(max_length=60)
    subject = models.CharField(max_length=60)
    detail = models.JSONField(default=dict)

    class Meta:
        indexes = [models.Index(fields=["shop", "subject"])]
        ordering = ["id"]
