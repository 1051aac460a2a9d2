"""The people who hit the shots."""

from __future__ import annotations

from common.scoped import ScopedModel
from django.db import models


class Hand(models.TextChoices):
    RIGHT = "right"
    LEFT = "left"


class Customer(ScopedModel):
    name = models.CharField(max_length=80)
    hand = models.CharField(max_length=5, choices=Hand.choices, default=Hand.RIGHT)
    birth_year = models.PositiveSmallIntegerField(null=True, blank=True)
    email = models.EmailField(blank=True)
    notes = models.TextField(blank=True)
    created_at = models.DateTimeField(auto_now_add=True)

    class Meta:
        ordering = ["name", "id"]

    def __str__(self) -> str:
        return self.name
