"""A fitting session and its brief. Lengths in metres, speeds in m/s, angles in degrees."""

from __future__ import annotations

from common.scoped import ScopedModel
from customers.models import Customer
from django.db import models
from hemicycle_core.bag import BagEnd, GapOrder, GapRule
from hemicycle_core.brief import Fear, FlightWish, JobKind, Miss, Wish
from hemicycle_core.flight import Firmness
from hemicycle_core.flight.landing import EVERYDAY_FT
from hemicycle_core.impact import Lie
from hemicycle_core.runs import FULL, Ball
from hemicycle_core.samples.day import DayKind
from hemicycle_core.shots import FULL_SWING, Intent
from hemicycle_core.wedges import Delivery, School
from shop.models import Bay, User

from .words import FIRMNESSES, INTENTS, RULES, SHAPES, words


class FittingSession(ScopedModel):
    customer = models.ForeignKey(Customer, on_delete=models.PROTECT, related_name="sessions")
    fitter = models.ForeignKey(User, on_delete=models.PROTECT, null=True)
    bay = models.ForeignKey(Bay, on_delete=models.PROTECT)
    held_on = models.DateField()
    ball = models.CharField(max_length=40, blank=True)
    surface = models.CharField(max_length=20, default="mat")
    indoor = models.BooleanField(default=True)
    altitude_m = models.FloatField(default=0)
    temperature_c = models.FloatField(default=20)
    revision = models.PositiveIntegerField(default=1, help_text="Goes up with every change and every shot received.")
    whole_from = models.PositiveIntegerField(
        default=1, help_text="The revision since which shots left or came back together: before it all are sent anew."
    )
    agreed_at = models.DateTimeField(null=True)
    thresholds = models.JSONField(null=True, help_text="The shop's, as they were when it was agreed.")

    # The brief
    miss = models.CharField(max_length=8, choices=words(Miss), default=Miss.NONE.value)
    fear = models.CharField(
        max_length=8, choices=words(Fear), default=Fear.HALF.value, help_text="What the miss to avoid costs on top."
    )
    fear_with = models.JSONField(default=list, help_text="Kinds of heads with which that miss is feared; empty: all.")
    firmness = models.CharField(max_length=8, choices=FIRMNESSES, default=Firmness.MEDIUM.value)
    most_clubs = models.PositiveSmallIntegerField(default=14)
    budget = models.DecimalField(max_digits=8, decimal_places=2, null=True)
    pain = models.BooleanField(default=False)
    notes = models.TextField(blank=True)
    shape = models.CharField(max_length=8, choices=[(w, w) for w in SHAPES], default="any")
    courses = models.JSONField(
        default=list, help_text="Where they play: name, kind, ground, green speed, share of the rounds."
    )
    lies = models.JSONField(default=list, help_text="Lies they play these clubs from, in words.")
    likes = models.JSONField(default=dict, help_text="By head type: liked, disliked or vetoed.")
    maker_likes = models.JSONField(default=dict, help_text="The same by maker.")
    end = models.CharField(max_length=5, choices=words(BagEnd), default=BagEnd.WHOLE.value, help_text="Worked at.")
    school = models.CharField(max_length=9, choices=words(School), default=School.SHORTEST.value)
    delivery = models.CharField(
        max_length=8, blank=True, choices=words(Delivery), help_text="As the fitter called it from divots."
    )
    wedge_wishes = models.JSONField(default=list, help_text="What the player wants of the wedges.")
    stroke_price = models.DecimalField(
        max_digits=9, decimal_places=2, null=True, help_text="What a stroke a round is worth; null: as the shop says."
    )
    round_shots = models.JSONField(default=list, help_text="Shots a round by length; empty: as the shop says.")
    sole = models.CharField(max_length=60, blank=True, help_text="Chosen for the most lofted wedge; empty: not yet.")
    briefed_at = models.DateTimeField(null=True)

    # The gap in work
    rule = models.CharField(max_length=12, choices=RULES, default=GapRule.ROLL_OUT.value)
    short_rule = models.CharField(max_length=12, choices=RULES, default=GapRule.EVEN_STEPS.value)
    long_least_m = models.FloatField(null=True, help_text="Step at the long end; null: by speed.")
    long_most_m = models.FloatField(null=True)
    short_least_m = models.FloatField(null=True, help_text="Step of irons and wedges; null: the usual one.")
    short_most_m = models.FloatField(null=True)
    turf = models.CharField(max_length=8, blank=True, help_text="Roll-out on this turf; empty: as the monitor has it.")
    wish = models.CharField(max_length=8, choices=words(Wish), default=Wish.GAP.value, help_text="What leads.")
    like_for = models.ForeignKey("Build", on_delete=models.SET_NULL, null=True, related_name="+")
    flight_wish = models.CharField(
        max_length=10, blank=True, choices=words(FlightWish), help_text="With like_for: its yardage, with this flight."
    )
    replace_ways = models.JSONField(default=list, help_text="With like_for: what takes its place is to do this.")
    named_low_m = models.FloatField(null=True, help_text="A yardage or band that was named; one yardage twice.")
    named_high_m = models.FloatField(null=True)
    named_total = models.BooleanField(default=False, help_text="Where it stops, not where it lands.")
    clubs_to_place = models.PositiveSmallIntegerField(default=1)
    gap_order = models.CharField(max_length=8, choices=words(GapOrder), default=GapOrder.NEED.value)
    gap_above = models.ForeignKey("Build", on_delete=models.SET_NULL, null=True, related_name="+")

    lie = models.CharField(
        max_length=12, blank=True, choices=words(Lie), help_text="What is hit from next; empty: as the surface says."
    )
    length = models.CharField(max_length=14, default=FULL, help_text="How long a swing is asked for next.")
    struck_ball = models.CharField(max_length=6, choices=words(Ball), default=Ball.OWN.value)
    wind_mps = models.FloatField(default=0)
    wind_from_deg = models.FloatField(default=0, help_text="0 against the shot, 90 from the right.")
    tee_mm = models.PositiveSmallIntegerField(null=True, help_text="Height of the tee; null: not said.")
    asked_carry_m = models.FloatField(null=True, help_text="The carry that is asked for next; null: none.")
    gripped_in = models.FloatField(default=0, help_text="How far the next shots are gripped down.")
    swing = models.PositiveSmallIntegerField(
        default=1, help_text="Goes up when the player is told to swing otherwise: only shots since then count."
    )
    awaited = models.CharField(max_length=40, blank=True, help_text="A contender that is not here yet.")
    day = models.CharField(
        max_length=5,
        choices=words(DayKind),
        default=DayKind.USUAL.value,
        help_text="That everything flies today, or nothing does, as the fitter said.",
    )
    pinned = models.ForeignKey(
        "Shot", on_delete=models.SET_NULL, null=True, related_name="+", help_text="A shot to copy, kept in sight."
    )
    protocol = models.CharField(max_length=20, default=FULL_SWING, help_text="What the player is asked to do.")
    intent = models.CharField(max_length=8, choices=INTENTS, default=Intent.STOCK.value)
    place = models.CharField(max_length=12, blank=True, help_text="What a sole test plays next; empty: nothing.")
    in_hand = models.ForeignKey("Build", on_delete=models.SET_NULL, null=True, related_name="+")
    in_hand_at = models.DateTimeField(null=True)

    class Meta:
        ordering = ["-held_on", "-id"]

    @property
    def is_open(self) -> bool:
        """Whether it takes anything in: it is not agreed, and its customer is not erased."""
        return self.agreed_at is None and self.customer.erased_at is None


class Job(ScopedModel):
    session = models.ForeignKey(FittingSession, on_delete=models.CASCADE, related_name="jobs")
    position = models.PositiveSmallIntegerField()
    name = models.CharField(max_length=60)
    kind = models.CharField(max_length=8, choices=words(JobKind))
    distance_m = models.FloatField()
    carry_over_m = models.FloatField(null=True)
    width_m = models.FloatField(default=25)
    depth_m = models.FloatField(default=25)
    firmness = models.CharField(max_length=8, choices=FIRMNESSES, default=Firmness.MEDIUM.value)
    green_ft = models.FloatField(default=EVERYDAY_FT, help_text="Reading of the standard meter.")
    uses_per_round = models.FloatField(default=1)
    course = models.CharField(max_length=40, blank=True, help_text="Where it is met; empty: everywhere.")
    lie = models.CharField(max_length=12, blank=True)
    wind_mps = models.FloatField(default=0)
    wind_from_deg = models.FloatField(null=True, default=0, help_text="0 against, 90 from the right; null: any side.")

    class Meta:
        ordering = ["position"]


class BayHold(ScopedModel):
    """Which session a bay serves. One row a bay: its shots go there and nowhere else."""

    bay = models.OneToOneField(Bay, on_delete=models.CASCADE, related_name="hold")
    session = models.ForeignKey(FittingSession, on_delete=models.CASCADE, related_name="holds")
    partner = models.ForeignKey(
        FittingSession,
        on_delete=models.SET_NULL,
        null=True,
        related_name="+",
        help_text="Whose player hits in turn with this one's: one key hands the bay over.",
    )
    since = models.DateTimeField(auto_now=True)


class BayServed(ScopedModel):
    """From when on a bay served a session, or nobody: by these it is told whose a shot is that came later."""

    bay = models.ForeignKey(Bay, on_delete=models.CASCADE, related_name="served")
    session = models.ForeignKey(FittingSession, on_delete=models.CASCADE, null=True, related_name="+")
    at = models.DateTimeField()

    class Meta:
        ordering = ["at", "id"]
        indexes = [models.Index(fields=["bay", "at"], name="bay_served_by_time")]


class TakenInHand(ScopedModel):
    """A build that was taken in hand: by these it is told what a shot was hit with that came later."""

    session = models.ForeignKey(FittingSession, on_delete=models.CASCADE, related_name="taken")
    build = models.ForeignKey("Build", on_delete=models.CASCADE, related_name="+")
    at = models.DateTimeField()

    class Meta:
        ordering = ["at", "id"]
