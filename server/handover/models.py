"""The decision, agreed once; a correction is a new revision and the old one stays readable."""

from __future__ import annotations

from django.db import models
from fitting.models import Build, FittingSession
from shop.models import User
from shop.scoped import ScopedModel


class Decision(models.TextChoices):
    BUY = "buy"
    DROP = "drop"
    KEEP = "keep"


class Recommendation(ScopedModel):
    """What is recommended: the builds that come in and the player's clubs that leave, none of either to keep the bag.
    `picture` is the whole page as agreed: it does not follow later edits."""

    session = models.ForeignKey(FittingSession, on_delete=models.PROTECT, related_name="recommendations")
    revision = models.PositiveSmallIntegerField()
    decision = models.CharField(max_length=4, choices=Decision.choices)
    builds = models.ManyToManyField(Build, related_name="+")
    dropped = models.ManyToManyField(Build, related_name="+")
    runner_up = models.ForeignKey(Build, on_delete=models.PROTECT, null=True, related_name="+")
    reasons = models.TextField()
    lost = models.JSONField(default=list, help_text="[{letter, why}] for every build that was not chosen.")
    next_check = models.DateField(null=True)
    agreed_at = models.DateTimeField(auto_now_add=True)
    agreed_by = models.ForeignKey(User, on_delete=models.PROTECT)
    picture = models.JSONField()

    class Meta:
        ordering = ["-revision"]
        constraints = [models.UniqueConstraint(fields=["session", "revision"], name="revision_once_a_session")]
