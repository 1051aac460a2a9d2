"""The player's own screen, and what the player said there."""

from __future__ import annotations

from common.scoped import ScopedModel
from django.db import models
from hemicycle_core.judge.feel import Feel as CoreFeel
from hemicycle_core.judge.feel import Felt, PlayerMode

from .bag import Build
from .session import FittingSession
from .words import words


class PlayerScreen(ScopedModel):
    """What the player of a session is shown, and the code that opens it without signing in. One row a session."""

    session = models.OneToOneField(FittingSession, on_delete=models.CASCADE, related_name="player_screen")
    mode = models.CharField(max_length=8, choices=words(PlayerMode), default=PlayerMode.FEEL.value)
    away = models.BooleanField(default=False, help_text="The monitor's own screen was said to be turned away.")
    shown = models.JSONField(default=list, help_text="Builds that were in hand while numbers were shown.")
    code = models.CharField(max_length=8, blank=True, help_text="The last one given; empty: none was.")
    expires_at = models.DateTimeField(null=True)
    revoked_at = models.DateTimeField(null=True)

    class Meta:
        constraints = [
            models.UniqueConstraint(fields=["code"], condition=~models.Q(code=""), name="a_code_opens_one_screen")
        ]


class Feel(ScopedModel):
    """One answer on a build: marks of 1 to 5, null where skipped."""

    build = models.ForeignKey(Build, on_delete=models.CASCADE, related_name="felt")
    at = models.DateTimeField(auto_now_add=True)
    shots = models.PositiveIntegerField(help_text="Hit with the build when it was asked.")
    looks = models.PositiveSmallIntegerField(null=True)
    sound = models.PositiveSmallIntegerField(null=True)
    feel = models.PositiveSmallIntegerField(null=True)
    trust = models.PositiveSmallIntegerField(null=True)
    tee = models.PositiveSmallIntegerField(null=True)
    veto = models.BooleanField(default=False)
    word = models.CharField(max_length=120, blank=True)
    numbers = models.BooleanField(default=False, help_text="Some may have been seen before.")
    by_player = models.BooleanField(default=True, help_text="On their own screen; else as the fitter wrote it down.")

    class Meta:
        ordering = ["id"]
        constraints = [models.UniqueConstraint(fields=["build", "shots"], name="one_answer_for_so_many_shots")]

    @property
    def for_core(self) -> CoreFeel:
        marks = {felt: mark for felt in Felt if (mark := getattr(self, felt.value)) is not None}
        return CoreFeel(marks, veto=self.veto, word=self.word, numbers=self.numbers)
