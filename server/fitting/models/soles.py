"""Blind sole tests: the codes, which club each is, and what the player said of them."""

from __future__ import annotations

from enum import StrEnum

from common.scoped import ScopedModel
from django.db import models
from hemicycle_core.judge.sole_clubs import Control
from hemicycle_core.protocols.sole import Handing, TurfSaid
from hemicycle_core.protocols.sole import SoleTest as CoreSoleTest
from hemicycle_core.protocols.sole_result import CERTAIN, LoftRole
from rack.models import Head, Shaft
from shop.models import User

from .bag import Build
from .session import FittingSession
from .words import words


class Blind(StrEnum):
    """Who knows which code is which club: whoever set it up, the assistant's page alone, or everybody."""

    SINGLE = "single"
    DOUBLE = "double"
    OPEN = "open"


# What a test is read with.
WITH_CODES = (
    "codes__build",
    "codes__head",
    "codes__shaft",
    "codes__club__head",
    "codes__club__shaft",
    "handings",
    "notes",
)


class SoleTest(ScopedModel):
    """One sole test of a session. Which club a code is, which one is the control and which club has two codes is kept
    from every answer until it is revealed (`SoleCode`, `control`, `twice`)."""

    session = models.ForeignKey(FittingSession, on_delete=models.CASCADE, related_name="sole_tests")
    at = models.DateTimeField(auto_now_add=True)
    setter = models.ForeignKey(User, on_delete=models.PROTECT, null=True, help_text="Who set it up.")
    blind = models.CharField(max_length=6, choices=words(Blind), default=Blind.SINGLE.value)
    loft_deg = models.FloatField(help_text="Of all of them, as it is said.")
    wedge = models.ForeignKey(
        Build, on_delete=models.PROTECT, null=True, related_name="+", help_text="The own wedge whose sole it is about."
    )
    places = models.JSONField(help_text="The lies, in the order they are played.")
    returns = models.JSONField(default=list, help_text="Lies that are gone back to.")
    short = models.BooleanField(default=False, help_text="The 20-minute version.")
    seed = models.PositiveIntegerField()
    control = models.PositiveSmallIntegerField(null=True, help_text="The code of the control.")
    control_is = models.CharField(max_length=8, blank=True, choices=words(Control))
    twice = models.JSONField(null=True, help_text="Two codes of one club.")
    guess = models.PositiveSmallIntegerField(null=True, help_text="The code that the player takes for his own sole.")
    confidence = models.CharField(max_length=8, blank=True, choices=[(word, word) for word in CERTAIN])
    revealed_at = models.DateTimeField(null=True)
    stopped_at = models.DateTimeField(null=True, help_text="Given up, never revealed.")
    chosen = models.PositiveSmallIntegerField(null=True, help_text="The code that fitter and player chose.")
    hand_out = models.CharField(max_length=12, blank=True, help_text="Opens the assistant's page; empty: none was.")
    hand_out_device = models.CharField(max_length=32, blank=True, help_text="The one device that has it open.")
    hand_out_opened_at = models.DateTimeField(null=True)
    course = models.CharField(max_length=12, blank=True, help_text="Opens the player's notes of the course.")
    course_until = models.DateTimeField(null=True)

    class Meta:
        ordering = ["id"]
        constraints = [
            models.UniqueConstraint(fields=["hand_out"], condition=~models.Q(hand_out=""), name="one_hand_out_a_code"),
            models.UniqueConstraint(fields=["course"], condition=~models.Q(course=""), name="one_course_a_code"),
        ]

    @property
    def is_on(self) -> bool:
        return self.stopped_at is None and self.revealed_at is None

    def for_core(self, count: int) -> CoreSoleTest:
        """count: of its codes."""
        return CoreSoleTest(
            count,
            tuple(self.places),
            twice=None if self.twice is None else (self.twice[0], self.twice[1]),
            control=self.control,
            seed=self.seed,
            short=self.short,
            returns=tuple(self.returns),
            open=self.blind == Blind.OPEN,
        )


class SoleCode(ScopedModel):
    """One code: the build that its shots are filed under, which says nothing, and the club it is, which is told at the
    reveal."""

    session = models.ForeignKey(FittingSession, on_delete=models.CASCADE, related_name="+")
    test = models.ForeignKey(SoleTest, on_delete=models.CASCADE, related_name="codes")
    number = models.PositiveSmallIntegerField(help_text="From 0; no order of the clubs.")
    build = models.OneToOneField(Build, on_delete=models.PROTECT, related_name="sole_code")
    head = models.ForeignKey(Head, on_delete=models.PROTECT, null=True, related_name="+")
    shaft = models.ForeignKey(Shaft, on_delete=models.PROTECT, null=True, related_name="+")
    bend_deg = models.FloatField(default=0, help_text="Weaker positive, done before it is hit.")
    club = models.ForeignKey(
        Build, on_delete=models.PROTECT, null=True, related_name="+", help_text="A club of the session itself."
    )
    role = models.CharField(max_length=8, blank=True, choices=words(LoftRole), help_text="When lofts are tried.")
    taped = models.BooleanField(default=False)

    class Meta:
        ordering = ["number"]


class SoleHanding(ScopedModel):
    """One code handed and hit at one lie, and what was said of it. Never deleted."""

    session = models.ForeignKey(FittingSession, on_delete=models.CASCADE, related_name="+")
    test = models.ForeignKey(SoleTest, on_delete=models.CASCADE, related_name="handings")
    at = models.DateTimeField(auto_now_add=True)
    code = models.PositiveSmallIntegerField()
    place = models.CharField(max_length=12)
    visit = models.PositiveSmallIntegerField(default=0)
    duel = models.BooleanField(default=False)
    said = models.SmallIntegerField(null=True, help_text="Better 1, level 0, worse -1 than the one before it.")
    best = models.SmallIntegerField(null=True, help_text="The same against the best so far.")
    turf = models.CharField(max_length=8, blank=True, choices=words(TurfSaid))
    groove = models.PositiveSmallIntegerField(null=True, help_text="Where it struck, counted from the lowest groove.")
    sound = models.CharField(max_length=40, blank=True)
    left_m = models.FloatField(null=True, help_text="From the hole, as it was paced.")
    void = models.BooleanField(default=False, help_text="Taken back.")

    class Meta:
        ordering = ["id"]

    @property
    def for_core(self) -> Handing:
        turf = TurfSaid(self.turf) if self.turf else None
        return Handing(self.code, self.place, self.said, turf, self.duel, self.visit)


class CourseNote(ScopedModel):
    """What a code did on the course, days later."""

    session = models.ForeignKey(FittingSession, on_delete=models.CASCADE, related_name="+")
    test = models.ForeignKey(SoleTest, on_delete=models.CASCADE, related_name="notes")
    at = models.DateTimeField(auto_now_add=True)
    played_on = models.DateField()
    code = models.PositiveSmallIntegerField()
    place = models.CharField(max_length=12, blank=True, help_text="The lie; empty: of none.")
    word = models.CharField(max_length=200, blank=True)
    first = models.BooleanField(default=False, help_text="It was the one picked up first.")
    by_player = models.BooleanField(default=False)

    class Meta:
        ordering = ["played_on", "id"]
