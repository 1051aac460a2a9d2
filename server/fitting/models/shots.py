"""Shots, the runs they were hit in, and the files they came from."""

from __future__ import annotations

from common.columns import keep_in_columns, value_of
from common.scoped import ScopedModel
from django.db import models
from hemicycle_core.facts import HitIn
from hemicycle_core.shots import LINE, READINGS, Source, Strike

from .bag import Build
from .session import FittingSession
from .words import words


class ShotImport(ScopedModel):
    """A file that shots came from, kept as it was."""

    session = models.ForeignKey(FittingSession, on_delete=models.CASCADE, related_name="imports")
    at = models.DateTimeField(auto_now_add=True)
    file_name = models.CharField(max_length=120)
    text = models.TextField()
    data = models.BinaryField(null=True, help_text="A file that is no text.")
    columns = models.JSONField()
    problems = models.JSONField(default=list)
    undone_at = models.DateTimeField(null=True, help_text="Taken back: its shots stay on record and do not count.")

    class Meta:
        ordering = ["id"]


class ColumnMapping(ScopedModel):
    """The mapping last accepted for files with one header line."""

    signature = models.CharField(max_length=64)
    columns = models.JSONField()

    class Meta:
        constraints = [models.UniqueConstraint(fields=["shop", "signature"], name="mapping_once_a_header")]


class Run(ScopedModel):
    """Shots of one build hit together, in one place and one air."""

    build = models.ForeignKey(Build, on_delete=models.CASCADE, related_name="runs")
    started_at = models.DateTimeField(auto_now_add=True)
    imported = models.ForeignKey(ShotImport, on_delete=models.PROTECT, null=True)

    @property
    def known(self) -> HitIn:
        return value_of(HitIn, self)


keep_in_columns(Run, HitIn)


class Shot(ScopedModel):
    """One shot. Readings are null where neither the monitor nor the flight model has one; `sources`
    says measured, modelled or computed for each that is there. A shot is never deleted."""

    session = models.ForeignKey(FittingSession, on_delete=models.CASCADE, related_name="shots")
    run = models.ForeignKey(Run, on_delete=models.PROTECT, related_name="shots")
    number = models.PositiveIntegerField(help_text="Order in the session, from 1.")
    feed_id = models.CharField(max_length=64, blank=True)
    at = models.DateTimeField(auto_now_add=True)
    hit_at = models.DateTimeField(null=True, help_text="By our clock, where the monitor says when.")
    check_club = models.CharField(max_length=60, blank=True, help_text="Why it may be another club's; empty: sure.")
    instead = models.ForeignKey(
        Build, on_delete=models.SET_NULL, null=True, related_name="+", help_text="The club it may be of."
    )
    revision = models.PositiveIntegerField(default=1, help_text="Of the session, when this shot last changed.")
    aside = models.BooleanField(default=False)
    typed = models.BooleanField(default=False, help_text="Read off a screen by somebody; no monitor sent it.")
    aside_reason = models.CharField(max_length=80, blank=True)
    misread = models.BooleanField(default=False, help_text="The monitor's error: counts for nothing.")
    void = models.JSONField(default=list, help_text="Readings that do not count, as the line of a shot.")
    strike = models.CharField(max_length=5, blank=True, choices=words(Strike))
    sources = models.JSONField(default=dict)
    calm = models.JSONField(default=dict, help_text="Readings brought to calm air, where it was hit in wind.")

    club_speed_mps = models.FloatField(null=True)
    ball_speed_mps = models.FloatField(null=True)
    launch_deg = models.FloatField(null=True)
    direction_deg = models.FloatField(null=True)
    spin_rpm = models.FloatField(null=True)
    axis_deg = models.FloatField(null=True)
    attack_deg = models.FloatField(null=True)
    path_deg = models.FloatField(null=True)
    face_deg = models.FloatField(null=True)
    dynamic_loft_deg = models.FloatField(null=True)
    carry_m = models.FloatField(null=True)
    total_m = models.FloatField(null=True)
    offline_m = models.FloatField(null=True)
    peak_m = models.FloatField(null=True)
    landing_deg = models.FloatField(null=True)
    hang_s = models.FloatField(null=True)

    class Meta:
        ordering = ["number"]
        constraints = [
            models.UniqueConstraint(fields=["session", "number"], name="shot_number_once_a_session"),
            models.UniqueConstraint(
                fields=["shop", "feed_id"], condition=~models.Q(feed_id=""), name="a_retry_never_doubles_a_shot"
            ),
        ]

    @property
    def readings(self) -> dict[str, float]:
        """What is known of it. A line that nobody read is not straight, whatever was once worked out of it."""
        known = {key: value for key in READINGS if (value := getattr(self, key)) is not None}
        if self.sources.get("offline_m") == Source.COMPUTED and not known.keys() >= set(LINE):
            del known["offline_m"]
        return known
