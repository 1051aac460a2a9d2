"""A fitting session: brief, jobs, builds, runs and shots. Lengths in metres, speeds in m/s, angles in degrees."""

from __future__ import annotations

from customers.models import Customer
from django.db import models
from hemicycle_core.bag import GapRule
from hemicycle_core.brief import JobKind, Miss
from hemicycle_core.flight import Firmness
from hemicycle_core.judge import Liking
from hemicycle_core.shots import READINGS, Intent, Strike
from rack.models import HEAD_TYPES, Head, Shaft
from shop.models import Bay, User
from shop.scoped import ScopedModel

LETTERS = "ABCDEFGH"
FIRMNESSES = [(firmness.value, firmness.value) for firmness in Firmness]
LIKINGS = [(liking.value, liking.value) for liking in Liking]
INTENTS = [(intent.value, intent.value) for intent in Intent]
SHAPES = ("any", "straight", "draw", "fade")
RULES = [(rule.value, rule.value) for rule in GapRule]


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
    agreed_at = models.DateTimeField(null=True)
    thresholds = models.JSONField(null=True, help_text="The shop's, as they were when it was agreed.")

    # The brief
    miss = models.CharField(max_length=8, choices=[(m.value, m.value) for m in Miss], default=Miss.NONE.value)
    firmness = models.CharField(max_length=8, choices=FIRMNESSES, default=Firmness.MEDIUM.value)
    most_clubs = models.PositiveSmallIntegerField(default=14)
    budget = models.DecimalField(max_digits=8, decimal_places=2, null=True)
    pain = models.BooleanField(default=False)
    notes = models.TextField(blank=True)
    shape = models.CharField(max_length=8, choices=[(w, w) for w in SHAPES], default="any")
    courses = models.JSONField(default=list, help_text="Where they play: name, kind, firmness, share of the rounds.")
    lies = models.JSONField(default=list, help_text="Lies they play these clubs from, in words.")
    likes = models.JSONField(default=dict, help_text="By head type: liked, disliked or vetoed.")
    briefed_at = models.DateTimeField(null=True)

    # The gap in work
    rule = models.CharField(max_length=12, choices=RULES, default=GapRule.ROLL_OUT.value)
    short_rule = models.CharField(max_length=12, choices=RULES, default=GapRule.EVEN_STEPS.value)
    long_least_m = models.FloatField(null=True, help_text="Step at the long end; null: by speed.")
    long_most_m = models.FloatField(null=True)
    short_least_m = models.FloatField(null=True, help_text="Step of irons and wedges; null: the usual one.")
    short_most_m = models.FloatField(null=True)
    turf = models.CharField(max_length=8, blank=True, help_text="Roll-out on this turf; empty: as the monitor has it.")
    like_for = models.ForeignKey("Build", on_delete=models.SET_NULL, null=True, related_name="+")
    clubs_to_place = models.PositiveSmallIntegerField(default=1)
    hole_above = models.ForeignKey("Build", on_delete=models.SET_NULL, null=True, related_name="+")

    intent = models.CharField(max_length=8, choices=INTENTS, default=Intent.STOCK.value)
    in_hand = models.ForeignKey("Build", on_delete=models.SET_NULL, null=True, related_name="+")
    in_hand_at = models.DateTimeField(null=True)

    class Meta:
        ordering = ["-held_on", "-id"]


class Job(ScopedModel):
    session = models.ForeignKey(FittingSession, on_delete=models.CASCADE, related_name="jobs")
    position = models.PositiveSmallIntegerField()
    name = models.CharField(max_length=60)
    kind = models.CharField(max_length=8, choices=[(k.value, k.value) for k in JobKind])
    distance_m = models.FloatField()
    carry_over_m = models.FloatField(null=True)
    width_m = models.FloatField(default=25)
    depth_m = models.FloatField(default=25)
    firmness = models.CharField(max_length=8, choices=FIRMNESSES, default=Firmness.MEDIUM.value)
    uses_per_round = models.FloatField(default=1)
    course = models.CharField(max_length=40, blank=True, help_text="Where it is met; empty: everywhere.")
    lie = models.CharField(max_length=12, blank=True)

    class Meta:
        ordering = ["position"]


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
    price = models.DecimalField(max_digits=8, decimal_places=2, null=True)
    turned_from = models.ForeignKey("self", on_delete=models.PROTECT, null=True, related_name="settings")
    liking = models.CharField(max_length=8, choices=LIKINGS, default=Liking.NEUTRAL.value)
    archived = models.BooleanField(default=False)
    imported = models.ForeignKey("ShotImport", on_delete=models.PROTECT, null=True, help_text="The file it came with.")

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


class ShotImport(ScopedModel):
    """A file that shots came from, kept as it was."""

    session = models.ForeignKey(FittingSession, on_delete=models.CASCADE, related_name="imports")
    at = models.DateTimeField(auto_now_add=True)
    file_name = models.CharField(max_length=120)
    text = models.TextField()
    columns = models.JSONField()
    problems = models.JSONField(default=list)
    undone_at = models.DateTimeField(null=True, help_text="Taken back: its shots stay on record and do not count.")

    class Meta:
        ordering = ["id"]


class ColumnMapping(ScopedModel):
    """The mapping last accepted for files with one header line."""

    signature = models.CharField(max_length=64)
    columns = models.JSONField()

    class Meta:
        constraints = [models.UniqueConstraint(fields=["shop", "signature"], name="mapping_once_a_header")]


class Run(ScopedModel):
    """Shots of one build hit together, in one place and one air."""

    build = models.ForeignKey(Build, on_delete=models.CASCADE, related_name="runs")
    started_at = models.DateTimeField(auto_now_add=True)
    surface = models.CharField(max_length=20)
    indoor = models.BooleanField()
    altitude_m = models.FloatField()
    temperature_c = models.FloatField()
    ball = models.CharField(max_length=40, blank=True)
    intent = models.CharField(max_length=8, choices=INTENTS, default=Intent.STOCK.value)
    imported = models.ForeignKey(ShotImport, on_delete=models.PROTECT, null=True)


class Shot(ScopedModel):
    """One shot. Readings are null where neither the monitor nor the flight model has one; `sources`
    says measured, modelled or computed for each that is there. A shot is never deleted."""

    session = models.ForeignKey(FittingSession, on_delete=models.CASCADE, related_name="shots")
    run = models.ForeignKey(Run, on_delete=models.PROTECT, related_name="shots")
    number = models.PositiveIntegerField(help_text="Order in the session, from 1.")
    feed_id = models.CharField(max_length=64, blank=True)
    at = models.DateTimeField(auto_now_add=True)
    aside = models.BooleanField(default=False)
    aside_reason = models.CharField(max_length=80, blank=True)
    misread = models.BooleanField(default=False, help_text="The monitor's error: counts for nothing.")
    void = models.JSONField(default=list, help_text="Readings that do not count, as the line of a shot.")
    strike = models.CharField(max_length=5, blank=True, choices=[(s.value, s.value) for s in Strike])
    sources = models.JSONField(default=dict)

    club_speed_mps = models.FloatField(null=True)
    ball_speed_mps = models.FloatField(null=True)
    launch_deg = models.FloatField(null=True)
    direction_deg = models.FloatField(null=True)
    spin_rpm = models.FloatField(null=True)
    axis_deg = models.FloatField(null=True)
    attack_deg = models.FloatField(null=True)
    path_deg = models.FloatField(null=True)
    face_deg = models.FloatField(null=True)
    dynamic_loft_deg = models.FloatField(null=True)
    carry_m = models.FloatField(null=True)
    total_m = models.FloatField(null=True)
    offline_m = models.FloatField(null=True)
    peak_m = models.FloatField(null=True)
    landing_deg = models.FloatField(null=True)
    hang_s = models.FloatField(null=True)

    class Meta:
        ordering = ["number"]
        constraints = [
            models.UniqueConstraint(fields=["session", "number"], name="shot_number_once_a_session"),
            models.UniqueConstraint(
                fields=["shop", "feed_id"], condition=~models.Q(feed_id=""), name="a_retry_never_doubles_a_shot"
            ),
        ]

    @property
    def readings(self) -> dict[str, float]:
        return {key: value for key in READINGS if (value := getattr(self, key)) is not None}


class WindowVersion(ScopedModel):
    """The targets as they were, from the first candidate on; append only."""

    session = models.ForeignKey(FittingSession, on_delete=models.CASCADE, related_name="versions")
    at = models.DateTimeField(auto_now_add=True)
    by = models.ForeignKey(User, on_delete=models.PROTECT, null=True)
    slots = models.JSONField(help_text="By slot: quantity, low and high of each target in force.")

    class Meta:
        ordering = ["id"]


class BagPlan(ScopedModel):
    """A set of clubs the bag may become; up to three a session are kept side by side."""

    session = models.ForeignKey(FittingSession, on_delete=models.CASCADE, related_name="plans")
    name = models.CharField(max_length=40)
    builds = models.ManyToManyField(Build, related_name="+")
    swap_home = models.ForeignKey(Build, on_delete=models.SET_NULL, null=True, related_name="+")
    swap_away = models.ForeignKey(Build, on_delete=models.SET_NULL, null=True, related_name="+")
    swap_course = models.CharField(max_length=40, blank=True)

    class Meta:
        ordering = ["id"]


class HeadSeen(ScopedModel):
    """How a head did in an agreed session beside what the player's own clubs let expect of it."""

    head = models.ForeignKey(Head, on_delete=models.PROTECT, related_name="seen")
    session = models.ForeignKey(FittingSession, on_delete=models.CASCADE, related_name="+")
    departure = models.JSONField(help_text="Log of ball speed, launch in degrees, log of spin: hit less expected.")
    ball_speed_mps = models.FloatField()
    won = models.BooleanField(default=False)

    class Meta:
        constraints = [models.UniqueConstraint(fields=["head", "session"], name="head_seen_once_a_session")]


class TargetOverride(ScopedModel):
    """A target the fitter changed; append only, the newest counts, an empty one returns to the proposal."""

    session = models.ForeignKey(FittingSession, on_delete=models.CASCADE, related_name="overrides")
    slot = models.PositiveSmallIntegerField()
    quantity = models.CharField(max_length=20)
    low = models.FloatField(null=True)
    high = models.FloatField(null=True)
    cleared = models.BooleanField(default=False)
    at = models.DateTimeField(auto_now_add=True)
    by = models.ForeignKey(User, on_delete=models.PROTECT)

    class Meta:
        ordering = ["id"]
