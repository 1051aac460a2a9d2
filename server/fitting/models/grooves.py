"""Old grooves against new, blind: which code is which wedge, and which one the player takes for the new one."""

from __future__ import annotations

from common.scoped import ScopedModel
from django.db import models
from hemicycle_core.protocols.sole_result import CERTAIN
from shop.models import User

from .bag import Build
from .session import FittingSession


class BlindGrooves(ScopedModel):
    """An old wedge and a fresh one of its loft under two codes. Which is which is kept from every answer until it is
    revealed (`one_is_old`); then the shots are those of the wedges themselves."""

    session = models.ForeignKey(FittingSession, on_delete=models.CASCADE, related_name="blind_grooves")
    at = models.DateTimeField(auto_now_add=True)
    setter = models.ForeignKey(User, on_delete=models.PROTECT, help_text="Who set it up.")
    old = models.ForeignKey(Build, on_delete=models.PROTECT, related_name="+")
    fresh = models.ForeignKey(Build, on_delete=models.PROTECT, related_name="+")
    one = models.OneToOneField(Build, on_delete=models.PROTECT, related_name="+", help_text="The first code.")
    two = models.OneToOneField(Build, on_delete=models.PROTECT, related_name="+", help_text="The second code.")
    one_is_old = models.BooleanField()
    guess = models.ForeignKey(
        Build, on_delete=models.PROTECT, null=True, related_name="+", help_text="Which code is taken for the new one."
    )
    confidence = models.CharField(max_length=8, blank=True, choices=[(word, word) for word in CERTAIN])
    revealed_at = models.DateTimeField(null=True)
    stopped_at = models.DateTimeField(null=True)

    class Meta:
        ordering = ["id"]

    @property
    def is_on(self) -> bool:
        return self.revealed_at is None and self.stopped_at is None

    @property
    def codes(self) -> tuple[Build, Build]:
        return self.one, self.two

    def club(self, code: Build) -> Build:
        """The wedge that a code is."""
        return self.old if (code.pk == self.one_id) == self.one_is_old else self.fresh
