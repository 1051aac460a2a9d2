"""Keys of the monitors that may send shots, and the stand-in monitors that were started."""

from __future__ import annotations

from common.scoped import ScopedModel
from django.db import models
from shop.models import Bay


class FeedKey(ScopedModel):
    """A bay's monitor proves itself with a key; only its digest is kept. It runs out, and can be revoked."""

    bay = models.ForeignKey(Bay, on_delete=models.CASCADE, related_name="keys")
    digest = models.CharField(max_length=64, unique=True)
    label = models.CharField(max_length=40)
    stand_in = models.BooleanField(default=False, help_text="May learn the simulated golfer behind a customer.")
    made_at = models.DateTimeField(auto_now_add=True)
    expires_at = models.DateTimeField()
    revoked_at = models.DateTimeField(null=True)
    last_used_at = models.DateTimeField(null=True)
    clock = models.JSONField(
        default=list, help_text="Of its last shots, seconds between the time it said and the time they came."
    )
    clock_odd = models.JSONField(default=list, help_text="The same of those that do not go with these at all.")


class StandIn(ScopedModel):
    """A stand-in monitor process started from the Bay; at most one a bay."""

    bay = models.OneToOneField(Bay, on_delete=models.CASCADE, related_name="stand_in")
    pid = models.PositiveIntegerField()
    started_at = models.DateTimeField(auto_now_add=True)


class TrayShot(ScopedModel):
    """A shot that came while its bay served no session: kept, and filed by one act or put away, never lost."""

    bay = models.ForeignKey(Bay, on_delete=models.PROTECT, related_name="tray")
    feed_id = models.CharField(max_length=64)
    at = models.DateTimeField(auto_now_add=True)
    readings = models.JSONField()
    hit_at = models.DateTimeField(null=True, help_text="By our clock, where the monitor says when.")
    why = models.CharField(max_length=120, blank=True, help_text="Why it waits, where the bay did serve somebody.")
    filed_in = models.ForeignKey("fitting.FittingSession", on_delete=models.PROTECT, null=True, related_name="+")
    put_away_at = models.DateTimeField(null=True, help_text="Said to be no shot of anyone's; it stays on record.")

    class Meta:
        ordering = ["id"]
        constraints = [models.UniqueConstraint(fields=["shop", "feed_id"], name="a_retry_never_doubles_a_tray_shot")]
