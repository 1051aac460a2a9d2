"""A fitting session and its brief. Lengths in metres, speeds in m/s, angles in degrees."""

from __future__ import annotations

from common.columns import keep_in_columns, value_of
from common.scoped import ScopedModel
from customers.models import Customer
from django.db import models
from hemicycle_core.facts import Brief, BriefJob, RunAsked, Space, Visit
from shop.models import Bay, User


class FittingSession(ScopedModel):
    """One visit. Beside these its columns are those of the values of which it is made; see `keep_in_columns`."""

    customer = models.ForeignKey(Customer, on_delete=models.PROTECT, related_name="sessions")
    fitter = models.ForeignKey(User, on_delete=models.PROTECT, null=True)
    bay = models.ForeignKey(Bay, on_delete=models.PROTECT)
    held_on = models.DateField()
    revision = models.PositiveIntegerField(default=1, help_text="Goes up with every change and every shot received.")
    whole_from = models.PositiveIntegerField(
        default=1, help_text="The revision since which shots left or came back together: before it all are sent anew."
    )
    agreed_at = models.DateTimeField(null=True)
    thresholds = models.JSONField(null=True, help_text="The shop's, as they were when it was agreed.")

    briefed_at = models.DateTimeField(null=True)
    pinned = models.ForeignKey(
        "Shot", on_delete=models.SET_NULL, null=True, related_name="+", help_text="A shot to copy, kept in sight."
    )
    in_hand = models.ForeignKey("Build", on_delete=models.SET_NULL, null=True, related_name="+")
    in_hand_at = models.DateTimeField(null=True)

    class Meta:
        ordering = ["-held_on", "-id"]
        indexes = [
            models.Index(fields=["shop", "-held_on", "-id"], name="session_newest_first"),
            models.Index(fields=["shop"], condition=models.Q(agreed_at=None), name="session_to_go_on_with"),
        ]

    @property
    def visit(self) -> Visit:
        return value_of(Visit, self)

    @property
    def brief(self) -> Brief:
        return value_of(Brief, self)

    @property
    def space(self) -> Space:
        return value_of(Space, self)

    @property
    def asked(self) -> RunAsked:
        """What the player is asked for next."""
        return value_of(RunAsked, self)

    @property
    def is_open(self) -> bool:
        """Whether it takes anything in: it is not agreed, and its customer is not erased."""
        return self.agreed_at is None and self.customer.erased_at is None


keep_in_columns(FittingSession, Visit, Brief, Space, RunAsked)


class Job(ScopedModel):
    """A job of the brief, in its place."""

    session = models.ForeignKey(FittingSession, on_delete=models.CASCADE, related_name="jobs")
    position = models.PositiveSmallIntegerField()

    @property
    def known(self) -> BriefJob:
        return value_of(BriefJob, self)

    class Meta:
        ordering = ["position"]


keep_in_columns(Job, BriefJob)


class BayHold(ScopedModel):
    """Which session a bay serves. One row a bay: its shots go there and nowhere else."""

    bay = models.OneToOneField(Bay, on_delete=models.CASCADE, related_name="hold")
    session = models.ForeignKey(FittingSession, on_delete=models.CASCADE, related_name="holds")
    partner = models.ForeignKey(
        FittingSession,
        on_delete=models.SET_NULL,
        null=True,
        related_name="+",
        help_text="Whose player hits in turn with this one's: one key hands the bay over.",
    )
    since = models.DateTimeField(auto_now=True)


class BayServed(ScopedModel):
    """From when on a bay served a session, or nobody: by these it is told whose a shot is that came later."""

    bay = models.ForeignKey(Bay, on_delete=models.CASCADE, related_name="served")
    session = models.ForeignKey(FittingSession, on_delete=models.CASCADE, null=True, related_name="+")
    at = models.DateTimeField()

    class Meta:
        ordering = ["at", "id"]
        indexes = [models.Index(fields=["bay", "at"], name="bay_served_by_time")]


class TakenInHand(ScopedModel):
    """A build that was taken in hand: by these it is told what a shot was hit with that came later."""

    session = models.ForeignKey(FittingSession, on_delete=models.CASCADE, related_name="taken")
    build = models.ForeignKey("Build", on_delete=models.CASCADE, related_name="+")
    at = models.DateTimeField()

    class Meta:
        ordering = ["at", "id"]
