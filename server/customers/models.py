"""The people who hit the shots."""

from __future__ import annotations

from common.named import plain_of
from common.scoped import ScopedModel
from django.contrib.postgres.functions import RandomUUID
from django.db import models


class Hand(models.TextChoices):
    RIGHT = "right"
    LEFT = "left"


class Customer(ScopedModel):
    uid = models.UUIDField(
        db_default=RandomUUID(),
        unique=True,
        editable=False,
        help_text="Theirs alone, on any machine and in any backup.",
    )
    name = models.CharField(max_length=80)
    plain_name = plain_of("name")
    hand = models.CharField(max_length=5, choices=Hand.choices, default=Hand.RIGHT)
    birth_year = models.PositiveSmallIntegerField(null=True, blank=True)
    email = models.EmailField(blank=True)
    notes = models.TextField(blank=True)
    created_at = models.DateTimeField(auto_now_add=True)
    units = models.JSONField(
        null=True,
        blank=True,
        help_text="What their papers are read in, by kind; without it as whoever prints them reads.",
    )
    merged_into = models.ForeignKey(
        "self", on_delete=models.PROTECT, null=True, related_name="merged", help_text="Was found to be the same person."
    )
    try_out = models.BooleanField(
        default=False, help_text="Nobody: made to try the product with, hit by the stand-in, and thrown away."
    )
    erased_at = models.DateTimeField(
        null=True, help_text="The person is gone from it; what was agreed stays as figures."
    )

    class Meta:
        ordering = ["name", "id"]

    def __str__(self) -> str:
        return self.name

    def family(self) -> list[int]:
        """The numbers under which this person is on record: their own and those that were merged into it."""
        return [self.pk, *Customer.objects.of(self.shop_id).filter(merged_into=self).values_list("pk", flat=True)]
