"""Tests as they were set up, and what was seen and said in them: one pair of tables for every test there is. What a
body holds, and whether it is right, the core's test knows (`hemicycle_core.protocols`)."""

from __future__ import annotations

from dataclasses import replace
from typing import Any

from common.scoped import ScopedModel
from django.db import models
from django.db.models import Q
from hemicycle_core.plain import written
from hemicycle_core.protocols import PROTOCOLS
from hemicycle_core.protocols.kept import Kept
from shop.models import User

from .session import FittingSession


class Trial(ScopedModel):
    """One setting up of a test. Who is not to know yet what it holds is nobody's business here: no answer is made of a
    body as it is."""

    session = models.ForeignKey(FittingSession, on_delete=models.CASCADE, related_name="trials")
    test = models.CharField(max_length=16, help_text="The key of its protocol.")
    at = models.DateTimeField(auto_now_add=True)
    setter = models.ForeignKey(User, on_delete=models.PROTECT, null=True, help_text="Who set it up.")
    version = models.PositiveSmallIntegerField(default=1, help_text="Of the shape of its body and of its events'.")
    body = models.JSONField(help_text="How it is set up.")
    revealed_at = models.DateTimeField(null=True)
    stopped_at = models.DateTimeField(null=True, help_text="Given up, never revealed.")
    hand_out = models.CharField(max_length=12, blank=True, help_text="Opens the assistant's page; empty: none was.")
    hand_out_device = models.CharField(max_length=32, blank=True, help_text="The one device that has it open.")
    hand_out_opened_at = models.DateTimeField(null=True)
    course = models.CharField(max_length=12, blank=True, help_text="Opens the player's notes of the course.")
    course_until = models.DateTimeField(null=True)

    class Meta:
        ordering = ["id"]
        constraints = [
            models.UniqueConstraint(fields=["hand_out"], condition=~Q(hand_out=""), name="a_hand_out_is_of_one_trial"),
            models.UniqueConstraint(fields=["course"], condition=~Q(course=""), name="a_course_is_of_one_trial"),
            # What is neither revealed nor given up goes on: one of each test at a time.
            models.UniqueConstraint(
                fields=["session", "test"],
                condition=Q(revealed_at=None, stopped_at=None),
                name="one_trial_of_a_test_goes_on",
            ),
        ]

    @property
    def is_on(self) -> bool:
        return self.stopped_at is None and self.revealed_at is None

    @property
    def kept(self) -> Kept:
        """How a trial of its test is kept."""
        found = PROTOCOLS[self.test].kept
        assert found is not None, self.test
        return found

    @property
    def known(self) -> Any:
        """How it is set up, as its test in the core knows it."""
        return self.kept.read(self.version, self.body)

    def set_as(self, known: Any) -> None:
        """Set it up so; whoever does holds its session."""
        self.version, self.body = self.kept.version, written(known)

    def put(self, **changes: Any) -> None:
        """Give parts of how it is set up others, and keep them."""
        self.set_as(replace(self.known, **changes))
        self.save(update_fields=["version", "body"])

    def add(self, kind: str, event: Any) -> TrialEvent:
        """Keep what was seen or said."""
        row = TrialEvent(shop_id=self.shop_id, session_id=self.session_id, trial=self, kind=kind)
        row.set_as(event)
        row.save()
        return row

    def events_of(self, kind: str) -> list[TrialEvent]:
        """What was seen or said, in its order, of one kind."""
        return [each for each in self.events.all() if each.kind == kind]


class TrialEvent(ScopedModel):
    """One thing that was seen or said in a trial. Never deleted."""

    session = models.ForeignKey(FittingSession, on_delete=models.CASCADE, related_name="+")
    trial = models.ForeignKey(Trial, on_delete=models.CASCADE, related_name="events")
    at = models.DateTimeField(auto_now_add=True)
    kind = models.CharField(max_length=16, help_text="What of its test it is.")
    body = models.JSONField()
    words = models.JSONField(default=dict, help_text="Of it what are somebody's own words.")
    void = models.BooleanField(default=False, help_text="Taken back, or set aside.")

    class Meta:
        ordering = ["id"]

    @property
    def known(self) -> Any:
        """As its test in the core knows it."""
        return self.trial.kept.read_event(self.trial.version, self.kind, self.body, self.words)

    def set_as(self, event: Any) -> None:
        self.body, self.words = self.trial.kept.parted(event)
