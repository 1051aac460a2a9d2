"""The shop, its people and bays, and the record of what was changed by whom."""

from __future__ import annotations

from collections.abc import Iterator
from enum import StrEnum
from typing import Any

from common.policy import Role
from common.scoped import ScopedModel
from django.contrib.auth.models import AbstractUser
from django.db import models
from django.utils.crypto import salted_hmac
from hemicycle_core.flight import Firmness
from hemicycle_core.monitor import Monitor, MonitorKind, Noise


class ShotsBy(StrEnum):
    """How the shots of a bay come in."""

    FEED = "feed"
    FILE = "file"
    TYPED = "typed"


class Shop(models.Model):
    """demo: made up, to look at; its papers say so."""

    name = models.CharField(max_length=80)
    demo = models.BooleanField(default=False)
    currency = models.CharField(max_length=3, default="GBP", help_text="Of its prices, by ISO 4217.")
    ground = models.CharField(
        max_length=8,
        choices=[(each.value, each.value) for each in Firmness],
        default=Firmness.MEDIUM.value,
        help_text="What its customers mostly play on: where a new customer's brief begins.",
    )
    city = models.CharField(max_length=80, blank=True)
    thresholds = models.JSONField(default=dict, help_text="Those that differ from the usual, in the units shown.")
    columns = models.JSONField(default=list, help_text="What the Bench reads out, in order; empty: the usual.")
    revision = models.PositiveIntegerField(default=1, help_text="Goes up when what all sessions rest on changes.")
    idle_minutes = models.PositiveIntegerField(default=0, help_text="A sign-in ends after so long unused; 0: it stays.")
    keep_years = models.PositiveSmallIntegerField(
        default=0, help_text="Customers not seen for so long are erased; 0: never."
    )

    def __str__(self) -> str:
        return self.name


class User(AbstractUser):
    """Someone who signs in. Without a shop nothing can be seen."""

    shop = models.ForeignKey(Shop, on_delete=models.PROTECT, null=True, related_name="people")
    role = models.CharField(
        max_length=10, choices=[(role.value, role.value) for role in Role], default=Role.FITTER.value
    )
    keys = models.JSONField(default=dict, help_text="Shortcuts: `off`, and `changed` by command.")
    units = models.JSONField(default=dict, help_text="What they read quantities in, by kind; what is not there: usual.")
    sign_ins_from = models.PositiveIntegerField(default=0, help_text="Counts up to end every sign-in made before.")

    def get_session_auth_hash(self) -> str:
        """Part of every sign-in: a new password, or ending the others, ends those made before."""
        return salted_hmac("hemicycle.sign_in", f"{self.password}:{self.sign_ins_from}", algorithm="sha256").hexdigest()

    def get_session_auth_fallback_hash(self) -> Iterator[str]:
        yield from ()


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

    shots_by = models.CharField(
        max_length=5, choices=[(each.value, each.value) for each in ShotsBy], default=ShotsBy.FEED.value
    )
    noise = models.JSONField(
        default=dict, help_text="By reading, what the monitor reads wrong where that is not usual: shot and day."
    )

    closed_at = models.DateTimeField(null=True, help_text="Nothing is begun there any more; what was hit there stays.")

    class Meta:
        constraints = [models.UniqueConstraint(fields=["shop", "name"], name="bay_name_once_a_shop")]

    @staticmethod
    def place(indoor: bool) -> dict[str, Any]:
        """What a bay begins with: a mat indoors, grass outdoors, until it is said otherwise."""
        surface, temperature = ("mat", 20) if indoor else ("grass tee", 15)
        return {"indoor": indoor, "surface": surface, "temperature_c": temperature}

    @property
    def monitor(self) -> Monitor:
        """What reads the shots of this bay, with its noise."""
        kind = MonitorKind.IMPACT if self.models_flight else MonitorKind.FLIGHT
        return Monitor(kind, {key: Noise(**noise) for key, noise in self.noise.items()})

    def __str__(self) -> str:
        return self.name


class AuditEntry(ScopedModel):
    """One change of state; append only: PostgreSQL refuses to change or remove one."""

    at = models.DateTimeField(auto_now_add=True)
    actor = models.ForeignKey(User, on_delete=models.PROTECT, null=True)
    action = models.CharField(max_length=60)
    subject = models.CharField(max_length=60)
    detail = models.JSONField(default=dict)
    of_session = models.BigIntegerField(null=True, help_text="The session it was done in.")
    of_customer = models.BigIntegerField(null=True, help_text="The customer whose data it touched.")
    revision = models.PositiveIntegerField(null=True, help_text="Of the session, which this change made.")
    change = models.CharField(max_length=60, blank=True, help_text="As the screen that asked for it names it.")

    class Meta:
        indexes = [
            models.Index(fields=["shop", "subject"]),
            models.Index(fields=["shop", "of_session", "revision"]),
            models.Index(fields=["shop", "of_customer"]),
        ]
        ordering = ["id"]


class DoneChange(models.Model):
    """A change that was carried out, by the name its screen gave it: sent again, it is not done again."""

    actor = models.ForeignKey(User, on_delete=models.CASCADE, related_name="+")
    change = models.CharField(max_length=60)
    at = models.DateTimeField(auto_now_add=True)

    class Meta:
        constraints = [models.UniqueConstraint(fields=["actor", "change"], name="a_change_is_done_once")]

    def __str__(self) -> str:
        return self.change
