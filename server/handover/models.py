"""The decision, agreed once; a correction is a new edition and the old one stays readable."""

from __future__ import annotations

from common.scoped import ScopedModel
from django.db import models
from django.db.models import Func
from fitting.models import Build, FittingSession
from shop.models import User


class Outcome(models.TextChoices):
    BUY = "buy"
    DROP = "drop"
    KEEP = "keep"


class Recommendation(ScopedModel):
    """What is recommended: the builds that come in and the player's clubs that leave, none of either to keep the bag.
    `picture` is the whole page as agreed: it does not follow later edits."""

    session = models.ForeignKey(FittingSession, on_delete=models.PROTECT, related_name="recommendations")
    edition = models.PositiveSmallIntegerField()
    correction = models.TextField(blank=True, help_text="Why this edition was made; empty for the first.")
    decision = models.CharField(max_length=4, choices=Outcome.choices)
    builds = models.ManyToManyField(Build, related_name="+")
    dropped = models.ManyToManyField(Build, related_name="+")
    runner_up = models.ForeignKey(Build, on_delete=models.PROTECT, null=True, related_name="+")
    reasons = models.TextField()
    lost = models.JSONField(default=list, help_text="[{letter, why}] for every build that was not chosen.")
    next_check = models.DateField(null=True)
    agreed_at = models.DateTimeField(auto_now_add=True)
    agreed_by = models.ForeignKey(User, on_delete=models.PROTECT)
    picture = models.JSONField()
    made_in = models.BigIntegerField(
        db_default=Func(function="txid_current"),
        editable=False,
        help_text="The transaction; its clubs came in the same.",
    )

    class Meta:
        ordering = ["-edition"]
        indexes = [models.Index(fields=["shop", "next_check"], name="check_due")]
        constraints = [models.UniqueConstraint(fields=["session", "edition"], name="edition_once_a_session")]
