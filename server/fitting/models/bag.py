"""Clubs as they were hit: the player’s own, and the candidates on the stand."""

from __future__ import annotations

from typing import Any

from common.scoped import ScopedModel
from django.db import models
from hemicycle_core.facts import Club, DoneWork
from hemicycle_core.heads import HeadType
from hemicycle_core.judge import Liking
from hemicycle_core.rack.stock import Made, Wear
from hemicycle_core.runs import FULL
from hemicycle_core.said import as_said
from hemicycle_core.wedges import Complaint, Finish
from rack.models import HEAD_TYPES, Head, Shaft

from .session import FittingSession
from .words import LIKINGS, words

# Of a club, what stands in its row as it is known.
AS_IN_ROW = (
    "name", "letter", "stated_loft_deg", "set_loft_deg", "measured_loft_deg", "own_shaft", "age_rounds", "length_m",
    "fixed", "typed_carry_m", "typed_total_m", "typed_doubt_m", "typed_spread_m", "known_from", "known_flight",
    "stock_swing", "grip", "stamping", "of_set", "kept_out", "on_order", "uses", "borrowed", "out_of_favour",
    "archived", "coded", "taken",
)  # fmt: skip


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
    measured_loft_deg = models.FloatField(null=True, help_text="On the gauge; null: not measured.")
    own_shaft = models.CharField(max_length=60, blank=True, help_text="As the player states it, where not of the rack.")
    age_rounds = models.PositiveIntegerField(null=True, help_text="Rounds played since it was new; null: not said.")
    wear = models.CharField(max_length=8, blank=True, choices=words(Wear))
    length_m = models.FloatField(null=True)
    fixed = models.BooleanField(default=False)
    typed_carry_m = models.FloatField(null=True)
    typed_total_m = models.FloatField(null=True)
    typed_doubt_m = models.FloatField(null=True, help_text="Give or take of what was typed; null: the usual one.")
    typed_spread_m = models.FloatField(
        null=True, help_text="Spread of the balls that a typed average is made of; null: the usual one."
    )
    known_from = models.CharField(max_length=80, blank=True, help_text="When and where what is typed was measured.")
    known_flight = models.JSONField(null=True, help_text="Height, landing and spin as they were measured then.")
    price = models.DecimalField(max_digits=8, decimal_places=2, null=True)
    turned_from = models.ForeignKey("self", on_delete=models.PROTECT, null=True, related_name="settings")
    liking = models.CharField(max_length=8, choices=LIKINGS, default=Liking.NEUTRAL.value)
    stock_swing = models.CharField(max_length=14, default=FULL, help_text="The swing that its stock figures are of.")
    lie_deg = models.FloatField(null=True, help_text="As it is made now; null: the head's own.")
    bounce_deg = models.FloatField(null=True, help_text="As it is made now; null: the head's own.")
    sole = models.CharField(max_length=40, blank=True, help_text="As it is stated; empty: the head's own.")
    finish = models.CharField(max_length=8, blank=True, choices=words(Finish))
    grip = models.CharField(max_length=60, blank=True)
    stamping = models.CharField(max_length=40, blank=True)
    of_set = models.BooleanField(null=True, help_text="A wedge that belongs to the irons; null: as its name says.")
    kept_out = models.BooleanField(default=False, help_text="A wedge that is no step of the ladder: kept for one shot.")
    on_order = models.BooleanField(default=False, help_text="Ordered, not here yet: what it should do is a prediction.")
    uses = models.JSONField(default=dict, help_text="What a wedge is used for, times a round by kind of shot.")
    complaints = models.JSONField(default=list, help_text="What bothers the player with it, each a claim to test.")
    made = models.CharField(
        max_length=8, default=Made.UNKNOWN.value, help_text="How it is made, where not of the rack."
    )
    work = models.JSONField(default=list, help_text="What was done to the club it was made from: kind, amount, words.")
    borrowed = models.BooleanField(default=False, help_text="Neither of the rack nor the player's own.")
    assumed = models.JSONField(default=list, help_text="What nobody stated and its name made us assume.")
    out_of_favour = models.CharField(
        max_length=80, blank=True, help_text="Why the player plays it no more; the bag of today is without it."
    )
    archived = models.BooleanField(default=False)
    coded = models.BooleanField(default=False, help_text="A code of a sole test: which club it is, only its link says.")
    accepted_at = models.DateTimeField(null=True, help_text="Taken into the bag for the time being.")
    taken = models.JSONField(
        null=True, help_text="Why it was taken in: its slot, what was said, and why its rivals for it lost."
    )
    imported = models.ForeignKey("ShotImport", on_delete=models.PROTECT, null=True, help_text="The file it came with.")

    @property
    def known(self) -> Club:
        """The club as it is known, without what was hit with it."""
        same: dict[str, Any] = {name: getattr(self, name) for name in AS_IN_ROW}
        return Club(
            key=self.pk,
            head_type=HeadType(self.head_type),
            head=self.head.known if self.head else None,
            shaft=self.shaft.known if self.shaft else None,
            wear=Wear(self.wear) if self.wear else None,
            price=None if self.price is None else float(self.price),
            price_words=None if self.price is None else str(self.price),
            turned_from=self.turned_from_id,
            liking=Liking(self.liking),
            stated_lie_deg=self.lie_deg,
            stated_bounce_deg=self.bounce_deg,
            stated_sole=self.sole,
            finish=Finish(self.finish) if self.finish else None,
            complaints=tuple(Complaint(each) for each in self.complaints),
            stated_made=Made(self.made),
            work=tuple(DoneWork(each["kind"], each["amount"], as_said(each["words"])) for each in self.work),
            assumed=tuple(self.assumed),
            accepted=self.accepted_at is not None,
            **same,
        )

    class Meta:
        ordering = ["id"]
        constraints = [
            models.UniqueConstraint(
                fields=["session", "letter"], condition=~models.Q(letter=""), name="letter_once_a_session"
            ),
            models.UniqueConstraint(
                fields=["session", "name"],
                condition=models.Q(letter="", archived=False, coded=False),
                name="own_club_name_once",
            ),
        ]

    @property
    def is_own(self) -> bool:
        return not self.letter and not self.coded
