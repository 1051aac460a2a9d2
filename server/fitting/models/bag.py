"""Clubs as they were hit: the player’s own, and the candidates on the stand."""

from __future__ import annotations

from common.scoped import ScopedModel
from django.db import models
from hemicycle_core.impact import length_in_a_set
from hemicycle_core.judge import Liking
from rack.models import HEAD_TYPES, Head, Shaft

from .session import FittingSession
from .words import LIKINGS


class Build(ScopedModel):
    """A club as it was hit: one of the player's own (no letter) or a candidate in one setting (A to H)."""

    session = models.ForeignKey(FittingSession, on_delete=models.CASCADE, related_name="builds")
    letter = models.CharField(max_length=1, blank=True)
    name = models.CharField(max_length=40)
    head_type = models.CharField(max_length=10, choices=HEAD_TYPES)
    head = models.ForeignKey(Head, on_delete=models.PROTECT, null=True)
    shaft = models.ForeignKey(Shaft, on_delete=models.PROTECT, null=True)
    stated_loft_deg = models.FloatField(null=True)
    set_loft_deg = models.FloatField(null=True)
    length_m = models.FloatField(null=True)
    fixed = models.BooleanField(default=False)
    typed_carry_m = models.FloatField(null=True)
    typed_total_m = models.FloatField(null=True)
    typed_doubt_m = models.FloatField(null=True, help_text="Give or take of what was typed; null: the usual one.")
    known_from = models.CharField(max_length=80, blank=True, help_text="When and where what is typed was measured.")
    known_flight = models.JSONField(null=True, help_text="Height, landing and spin as they were measured then.")
    price = models.DecimalField(max_digits=8, decimal_places=2, null=True)
    turned_from = models.ForeignKey("self", on_delete=models.PROTECT, null=True, related_name="settings")
    liking = models.CharField(max_length=8, choices=LIKINGS, default=Liking.NEUTRAL.value)
    out_of_favour = models.CharField(
        max_length=80, blank=True, help_text="Why the player plays it no more; the bag of today is without it."
    )
    archived = models.BooleanField(default=False)
    accepted_at = models.DateTimeField(null=True, help_text="Taken into the bag for the time being.")
    imported = models.ForeignKey("ShotImport", on_delete=models.PROTECT, null=True, help_text="The file it came with.")

    @property
    def length_in_a_set_m(self) -> float | None:
        """The length that tells how fast it is swung: a head made longer gains less than the next club of a set."""
        if self.length_m is None:
            return None
        return length_in_a_set(self.length_m, self.head.length_m if self.head else None)

    class Meta:
        ordering = ["id"]
        constraints = [
            models.UniqueConstraint(
                fields=["session", "letter"], condition=~models.Q(letter=""), name="letter_once_a_session"
            ),
            models.UniqueConstraint(
                fields=["session", "name"], condition=models.Q(letter="", archived=False), name="own_club_name_once"
            ),
        ]

    @property
    def is_own(self) -> bool:
        return not self.letter
