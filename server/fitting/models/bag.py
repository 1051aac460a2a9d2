"""Clubs as they were hit: the player’s own, and the candidates on the stand."""

from __future__ import annotations

from common.scoped import ScopedModel
from django.db import models
from hemicycle_core.heads import HeadType
from hemicycle_core.impact import length_in_a_set
from hemicycle_core.judge import Liking
from hemicycle_core.rack.made import MadeClub, Work
from hemicycle_core.rack.stock import Made, Wear
from hemicycle_core.runs import FULL
from hemicycle_core.wedges import Finish, kept_for
from rack.models import HEAD_TYPES, Head, Shaft

from .session import FittingSession
from .words import LIKINGS, words


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
    def loft_deg(self) -> float | None:
        """What it is reckoned with: as measured on the gauge, else as set."""
        return self.set_loft_deg if self.measured_loft_deg is None else self.measured_loft_deg

    @property
    def made_club(self) -> MadeClub:
        """What work on a club can touch, with the work done so far."""
        head = self.head
        done = [Work(each["kind"], each["amount"]) for each in self.work]
        total = {kind: sum(each.amount for each in done if each.kind == kind) for kind in ("bend", "lie", "grip_down")}
        return MadeClub(
            name=self.name,
            head_type=HeadType(self.head_type),
            loft_deg=self.loft_deg,
            lie_deg=self.lie_deg if self.lie_deg is not None else (head.lie_deg if head else None),
            bounce_deg=self.bounce_deg if self.bounce_deg is not None else (head.bounce_deg if head else None),
            length_m=self.length_m,
            bent_deg=total["bend"],
            lie_bent_deg=total["lie"],
            gripped_in=total["grip_down"],
            made=Made(head.made if head else self.made),
            head=head.for_core if head else None,
        )

    @property
    def is_of_set(self) -> bool:
        """Whether a wedge belongs to the irons: as it was stated, else by its name."""
        if self.of_set is not None or self.head_type != HeadType.WEDGE:
            return bool(self.of_set)
        return self.name == "PW"

    @property
    def sole_words(self) -> str:
        """Its sole as it was stated, else the head's; empty where nobody knows."""
        return self.sole or (self.head.sole if self.head else "")

    @property
    def kept_for(self) -> str:
        """The short shot it is kept for, whatever its full carry."""
        return kept_for(self.uses)

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
                fields=["session", "name"],
                condition=models.Q(letter="", archived=False, coded=False),
                name="own_club_name_once",
            ),
        ]

    @property
    def is_own(self) -> bool:
        return not self.letter and not self.coded
