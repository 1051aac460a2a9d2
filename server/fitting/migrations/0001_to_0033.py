"""A new database is made in one step; one that is there goes on by the steps this stands for."""

from importlib import import_module

import django.db.models.deletion
from django.conf import settings
from django.db import migrations, models

RULES = (
    "0011_agreed_stays_agreed",
    "0013_erasing",
    "0028_stop_test",
    "0029_sole_test",
    "0030_blind_grooves",
    "0032_erasing_words",
)


def rules() -> list[migrations.RunSQL]:
    """What PostgreSQL itself holds to, in the order in which it came."""
    made = [import_module(f"fitting.migrations.{name}").Migration.operations for name in RULES]
    return [each for operations in made for each in operations if isinstance(each, migrations.RunSQL)]


class Migration(migrations.Migration):
    initial = True
    replaces = [
        ("fitting", "0001_initial"),
        ("fitting", "0002_initial"),
        ("fitting", "0003_initial"),
        ("fitting", "0004_carry_only"),
        ("fitting", "0005_liking"),
        ("fitting", "0006_plans"),
        ("fitting", "0007_what_counts"),
        ("fitting", "0008_thresholds"),
        ("fitting", "0009_stop_gain"),
        ("fitting", "0010_revision_and_protocol"),
        ("fitting", "0011_agreed_stays_agreed"),
        ("fitting", "0012_bay_hold"),
        ("fitting", "0013_erasing"),
        ("fitting", "0014_green_speed"),
        ("fitting", "0015_fear_and_order"),
        ("fitting", "0016_accepted_and_known"),
        ("fitting", "0017_wishes"),
        ("fitting", "0018_wish_swing_favour_lie"),
        ("fitting", "0019_wishes_by_name"),
        ("fitting", "0020_made_otherwise"),
        ("fitting", "0021_lie_in_hand"),
        ("fitting", "0022_player"),
        ("fitting", "0023_lies"),
        ("fitting", "0024_when_hit"),
        ("fitting", "0025_runs_and_stated"),
        ("fitting", "0026_awaited"),
        ("fitting", "0027_wedges"),
        ("fitting", "0028_stop_test"),
        ("fitting", "0029_sole_test"),
        ("fitting", "0030_blind_grooves"),
        ("fitting", "0031_stop_wind"),
        ("fitting", "0032_erasing_words"),
        ("fitting", "0033_codes_are_no_own_clubs"),
    ]

    dependencies = [
        ("customers", "0001_to_0003"),
        ("rack", "0001_to_0004"),
        ("shop", "0001_to_0006"),
    ]

    operations = [
        migrations.CreateModel(
            name="Build",
            fields=[
                ("id", models.BigAutoField(auto_created=True, primary_key=True, serialize=False, verbose_name="ID")),
                ("letter", models.CharField(blank=True, max_length=1)),
                ("name", models.CharField(max_length=40)),
                (
                    "head_type",
                    models.CharField(
                        choices=[
                            ("driver", "driver"),
                            ("fairway", "fairway"),
                            ("hybrid", "hybrid"),
                            ("utility", "utility"),
                            ("iron", "iron"),
                            ("wedge", "wedge"),
                            ("putter", "putter"),
                        ],
                        max_length=10,
                    ),
                ),
                ("stated_loft_deg", models.FloatField(null=True)),
                ("set_loft_deg", models.FloatField(null=True)),
                ("measured_loft_deg", models.FloatField(help_text="On the gauge; null: not measured.", null=True)),
                (
                    "own_shaft",
                    models.CharField(
                        blank=True, help_text="As the player states it, where not of the rack.", max_length=60
                    ),
                ),
                (
                    "age_rounds",
                    models.PositiveIntegerField(help_text="Rounds played since it was new; null: not said.", null=True),
                ),
                (
                    "wear",
                    models.CharField(
                        blank=True, choices=[("fresh", "fresh"), ("some", "some"), ("worn", "worn")], max_length=8
                    ),
                ),
                ("length_m", models.FloatField(null=True)),
                ("fixed", models.BooleanField(default=False)),
                ("typed_carry_m", models.FloatField(null=True)),
                ("typed_total_m", models.FloatField(null=True)),
                (
                    "typed_doubt_m",
                    models.FloatField(help_text="Give or take of what was typed; null: the usual one.", null=True),
                ),
                (
                    "known_from",
                    models.CharField(blank=True, help_text="When and where what is typed was measured.", max_length=80),
                ),
                (
                    "known_flight",
                    models.JSONField(help_text="Height, landing and spin as they were measured then.", null=True),
                ),
                ("price", models.DecimalField(decimal_places=2, max_digits=8, null=True)),
                (
                    "liking",
                    models.CharField(
                        choices=[
                            ("liked", "liked"),
                            ("neutral", "neutral"),
                            ("disliked", "disliked"),
                            ("vetoed", "vetoed"),
                        ],
                        default="neutral",
                        max_length=8,
                    ),
                ),
                (
                    "stock_swing",
                    models.CharField(
                        default="full", help_text="The swing that its stock figures are of.", max_length=14
                    ),
                ),
                ("lie_deg", models.FloatField(help_text="As it is made now; null: the head's own.", null=True)),
                ("bounce_deg", models.FloatField(help_text="As it is made now; null: the head's own.", null=True)),
                (
                    "sole",
                    models.CharField(blank=True, help_text="As it is stated; empty: the head's own.", max_length=40),
                ),
                (
                    "finish",
                    models.CharField(
                        blank=True, choices=[("raw", "raw"), ("plated", "plated"), ("coated", "coated")], max_length=8
                    ),
                ),
                ("grip", models.CharField(blank=True, max_length=60)),
                ("stamping", models.CharField(blank=True, max_length=40)),
                (
                    "of_set",
                    models.BooleanField(
                        help_text="A wedge that belongs to the irons; null: as its name says.", null=True
                    ),
                ),
                (
                    "on_order",
                    models.BooleanField(
                        default=False, help_text="Ordered, not here yet: what it should do is a prediction."
                    ),
                ),
                (
                    "uses",
                    models.JSONField(
                        default=dict, help_text="What a wedge is used for, times a round by kind of shot."
                    ),
                ),
                (
                    "complaints",
                    models.JSONField(default=list, help_text="What bothers the player with it, each a claim to test."),
                ),
                (
                    "made",
                    models.CharField(
                        default="unknown", help_text="How it is made, where not of the rack.", max_length=8
                    ),
                ),
                (
                    "work",
                    models.JSONField(
                        default=list, help_text="What was done to the club it was made from: kind, amount, words."
                    ),
                ),
                ("borrowed", models.BooleanField(default=False, help_text="Neither of the rack nor the player's own.")),
                (
                    "assumed",
                    models.JSONField(default=list, help_text="What nobody stated and its name made us assume."),
                ),
                (
                    "out_of_favour",
                    models.CharField(
                        blank=True,
                        help_text="Why the player plays it no more; the bag of today is without it.",
                        max_length=80,
                    ),
                ),
                ("archived", models.BooleanField(default=False)),
                (
                    "coded",
                    models.BooleanField(
                        default=False, help_text="A code of a sole test: which club it is, only its link says."
                    ),
                ),
                ("accepted_at", models.DateTimeField(help_text="Taken into the bag for the time being.", null=True)),
                ("head", models.ForeignKey(null=True, on_delete=django.db.models.deletion.PROTECT, to="rack.head")),
                ("shaft", models.ForeignKey(null=True, on_delete=django.db.models.deletion.PROTECT, to="rack.shaft")),
                (
                    "shop",
                    models.ForeignKey(on_delete=django.db.models.deletion.PROTECT, related_name="+", to="shop.shop"),
                ),
                (
                    "turned_from",
                    models.ForeignKey(
                        null=True,
                        on_delete=django.db.models.deletion.PROTECT,
                        related_name="settings",
                        to="fitting.build",
                    ),
                ),
            ],
            options={
                "ordering": ["id"],
            },
        ),
        migrations.CreateModel(
            name="FittingSession",
            fields=[
                ("id", models.BigAutoField(auto_created=True, primary_key=True, serialize=False, verbose_name="ID")),
                ("held_on", models.DateField()),
                ("ball", models.CharField(blank=True, max_length=40)),
                ("surface", models.CharField(default="mat", max_length=20)),
                ("indoor", models.BooleanField(default=True)),
                ("altitude_m", models.FloatField(default=0)),
                ("temperature_c", models.FloatField(default=20)),
                (
                    "revision",
                    models.PositiveIntegerField(
                        default=1, help_text="Goes up with every change and every shot received."
                    ),
                ),
                (
                    "whole_from",
                    models.PositiveIntegerField(
                        default=1,
                        help_text="The revision since which shots left or came back together: before it all are sent anew.",
                    ),
                ),
                ("agreed_at", models.DateTimeField(null=True)),
                ("thresholds", models.JSONField(help_text="The shop's, as they were when it was agreed.", null=True)),
                (
                    "miss",
                    models.CharField(
                        choices=[
                            ("none", "none"),
                            ("left", "left"),
                            ("right", "right"),
                            ("short", "short"),
                            ("long", "long"),
                        ],
                        default="none",
                        max_length=8,
                    ),
                ),
                (
                    "fear",
                    models.CharField(
                        choices=[("same", "same"), ("half", "half"), ("whole", "whole")],
                        default="half",
                        help_text="What the miss to avoid costs on top.",
                        max_length=8,
                    ),
                ),
                (
                    "firmness",
                    models.CharField(
                        choices=[("soft", "soft"), ("medium", "medium"), ("firm", "firm")],
                        default="medium",
                        max_length=8,
                    ),
                ),
                ("most_clubs", models.PositiveSmallIntegerField(default=14)),
                ("budget", models.DecimalField(decimal_places=2, max_digits=8, null=True)),
                ("pain", models.BooleanField(default=False)),
                ("notes", models.TextField(blank=True)),
                (
                    "shape",
                    models.CharField(
                        choices=[("any", "any"), ("straight", "straight"), ("draw", "draw"), ("fade", "fade")],
                        default="any",
                        max_length=8,
                    ),
                ),
                (
                    "courses",
                    models.JSONField(
                        default=list, help_text="Where they play: name, kind, ground, green speed, share of the rounds."
                    ),
                ),
                ("lies", models.JSONField(default=list, help_text="Lies they play these clubs from, in words.")),
                ("likes", models.JSONField(default=dict, help_text="By head type: liked, disliked or vetoed.")),
                (
                    "end",
                    models.CharField(
                        choices=[("long", "long"), ("short", "short"), ("whole", "whole")],
                        default="whole",
                        help_text="Worked at.",
                        max_length=5,
                    ),
                ),
                (
                    "school",
                    models.CharField(
                        choices=[("shortest", "shortest"), ("set_wedge", "set_wedge")], default="shortest", max_length=9
                    ),
                ),
                (
                    "delivery",
                    models.CharField(
                        blank=True,
                        choices=[("steep", "steep"), ("middling", "middling"), ("shallow", "shallow")],
                        help_text="As the fitter called it from divots.",
                        max_length=8,
                    ),
                ),
                ("wedge_wishes", models.JSONField(default=list, help_text="What the player wants of the wedges.")),
                (
                    "sole",
                    models.CharField(
                        blank=True, help_text="Chosen for the most lofted wedge; empty: not yet.", max_length=60
                    ),
                ),
                ("briefed_at", models.DateTimeField(null=True)),
                (
                    "rule",
                    models.CharField(
                        choices=[("roll_out", "roll_out"), ("carry_only", "carry_only"), ("even_steps", "even_steps")],
                        default="roll_out",
                        max_length=12,
                    ),
                ),
                (
                    "short_rule",
                    models.CharField(
                        choices=[("roll_out", "roll_out"), ("carry_only", "carry_only"), ("even_steps", "even_steps")],
                        default="even_steps",
                        max_length=12,
                    ),
                ),
                ("long_least_m", models.FloatField(help_text="Step at the long end; null: by speed.", null=True)),
                ("long_most_m", models.FloatField(null=True)),
                (
                    "short_least_m",
                    models.FloatField(help_text="Step of irons and wedges; null: the usual one.", null=True),
                ),
                ("short_most_m", models.FloatField(null=True)),
                (
                    "turf",
                    models.CharField(
                        blank=True, help_text="Roll-out on this turf; empty: as the monitor has it.", max_length=8
                    ),
                ),
                (
                    "wish",
                    models.CharField(
                        choices=[
                            ("gap", "gap"),
                            ("like", "like"),
                            ("flight", "flight"),
                            ("far", "far"),
                            ("compare", "compare"),
                        ],
                        default="gap",
                        help_text="What leads.",
                        max_length=8,
                    ),
                ),
                (
                    "flight_wish",
                    models.CharField(
                        blank=True,
                        choices=[
                            ("higher", "higher"),
                            ("lower", "lower"),
                            ("steeper", "steeper"),
                            ("less_spin", "less_spin"),
                            ("more_spin", "more_spin"),
                        ],
                        help_text="With like_for: its yardage, with this flight.",
                        max_length=10,
                    ),
                ),
                (
                    "named_low_m",
                    models.FloatField(help_text="A yardage or band that was named; one yardage twice.", null=True),
                ),
                ("named_high_m", models.FloatField(null=True)),
                ("named_total", models.BooleanField(default=False, help_text="Where it stops, not where it lands.")),
                ("clubs_to_place", models.PositiveSmallIntegerField(default=1)),
                (
                    "gap_order",
                    models.CharField(
                        choices=[("need", "need"), ("width", "width"), ("top", "top"), ("bottom", "bottom")],
                        default="need",
                        max_length=8,
                    ),
                ),
                (
                    "lie",
                    models.CharField(
                        blank=True,
                        choices=[
                            ("mat", "mat"),
                            ("tee", "tee"),
                            ("fairway", "fairway"),
                            ("tight", "tight"),
                            ("soft", "soft"),
                            ("semi_rough", "semi_rough"),
                            ("rough", "rough"),
                            ("sand", "sand"),
                            ("slope", "slope"),
                            ("wet", "wet"),
                        ],
                        help_text="What is hit from next; empty: as the surface says.",
                        max_length=12,
                    ),
                ),
                (
                    "length",
                    models.CharField(default="full", help_text="How long a swing is asked for next.", max_length=14),
                ),
                (
                    "struck_ball",
                    models.CharField(
                        choices=[("own", "own"), ("hard", "hard"), ("range", "range")], default="own", max_length=6
                    ),
                ),
                ("wind_mps", models.FloatField(default=0)),
                ("wind_from_deg", models.FloatField(default=0, help_text="0 against the shot, 90 from the right.")),
                ("tee_mm", models.PositiveSmallIntegerField(help_text="Height of the tee; null: not said.", null=True)),
                (
                    "asked_carry_m",
                    models.FloatField(help_text="The carry that is asked for next; null: none.", null=True),
                ),
                ("gripped_in", models.FloatField(default=0, help_text="How far the next shots are gripped down.")),
                (
                    "swing",
                    models.PositiveSmallIntegerField(
                        default=1,
                        help_text="Goes up when the player is told to swing otherwise: only shots since then count.",
                    ),
                ),
                ("awaited", models.CharField(blank=True, help_text="A contender that is not here yet.", max_length=40)),
                (
                    "day",
                    models.CharField(
                        choices=[("usual", "usual"), ("fast", "fast"), ("slow", "slow")],
                        default="usual",
                        help_text="That everything flies today, or nothing does, as the fitter said.",
                        max_length=5,
                    ),
                ),
                (
                    "protocol",
                    models.CharField(default="full_swing", help_text="What the player is asked to do.", max_length=20),
                ),
                (
                    "intent",
                    models.CharField(
                        choices=[
                            ("stock", "stock"),
                            ("low", "low"),
                            ("high", "high"),
                            ("draw", "draw"),
                            ("fade", "fade"),
                            ("eased", "eased"),
                            ("hard", "hard"),
                            ("yardage", "yardage"),
                        ],
                        default="stock",
                        max_length=8,
                    ),
                ),
                (
                    "place",
                    models.CharField(
                        blank=True, help_text="What a sole test plays next; empty: nothing.", max_length=12
                    ),
                ),
                ("in_hand_at", models.DateTimeField(null=True)),
                ("bay", models.ForeignKey(on_delete=django.db.models.deletion.PROTECT, to="shop.bay")),
                (
                    "customer",
                    models.ForeignKey(
                        on_delete=django.db.models.deletion.PROTECT, related_name="sessions", to="customers.customer"
                    ),
                ),
                (
                    "fitter",
                    models.ForeignKey(
                        null=True, on_delete=django.db.models.deletion.PROTECT, to=settings.AUTH_USER_MODEL
                    ),
                ),
                (
                    "gap_above",
                    models.ForeignKey(
                        null=True, on_delete=django.db.models.deletion.SET_NULL, related_name="+", to="fitting.build"
                    ),
                ),
                (
                    "in_hand",
                    models.ForeignKey(
                        null=True, on_delete=django.db.models.deletion.SET_NULL, related_name="+", to="fitting.build"
                    ),
                ),
                (
                    "like_for",
                    models.ForeignKey(
                        null=True, on_delete=django.db.models.deletion.SET_NULL, related_name="+", to="fitting.build"
                    ),
                ),
                (
                    "shop",
                    models.ForeignKey(on_delete=django.db.models.deletion.PROTECT, related_name="+", to="shop.shop"),
                ),
            ],
            options={
                "ordering": ["-held_on", "-id"],
            },
        ),
        migrations.AddField(
            model_name="build",
            name="session",
            field=models.ForeignKey(
                on_delete=django.db.models.deletion.CASCADE, related_name="builds", to="fitting.fittingsession"
            ),
        ),
        migrations.CreateModel(
            name="BlindGrooves",
            fields=[
                ("id", models.BigAutoField(auto_created=True, primary_key=True, serialize=False, verbose_name="ID")),
                ("at", models.DateTimeField(auto_now_add=True)),
                ("one_is_old", models.BooleanField()),
                (
                    "confidence",
                    models.CharField(
                        blank=True,
                        choices=[("guess", "guess"), ("fairly", "fairly"), ("certain", "certain")],
                        max_length=8,
                    ),
                ),
                ("revealed_at", models.DateTimeField(null=True)),
                ("stopped_at", models.DateTimeField(null=True)),
                (
                    "setter",
                    models.ForeignKey(
                        help_text="Who set it up.",
                        on_delete=django.db.models.deletion.PROTECT,
                        to=settings.AUTH_USER_MODEL,
                    ),
                ),
                (
                    "shop",
                    models.ForeignKey(on_delete=django.db.models.deletion.PROTECT, related_name="+", to="shop.shop"),
                ),
                (
                    "fresh",
                    models.ForeignKey(
                        on_delete=django.db.models.deletion.PROTECT, related_name="+", to="fitting.build"
                    ),
                ),
                (
                    "guess",
                    models.ForeignKey(
                        help_text="Which code is taken for the new one.",
                        null=True,
                        on_delete=django.db.models.deletion.PROTECT,
                        related_name="+",
                        to="fitting.build",
                    ),
                ),
                (
                    "old",
                    models.ForeignKey(
                        on_delete=django.db.models.deletion.PROTECT, related_name="+", to="fitting.build"
                    ),
                ),
                (
                    "one",
                    models.OneToOneField(
                        help_text="The first code.",
                        on_delete=django.db.models.deletion.PROTECT,
                        related_name="+",
                        to="fitting.build",
                    ),
                ),
                (
                    "two",
                    models.OneToOneField(
                        help_text="The second code.",
                        on_delete=django.db.models.deletion.PROTECT,
                        related_name="+",
                        to="fitting.build",
                    ),
                ),
                (
                    "session",
                    models.ForeignKey(
                        on_delete=django.db.models.deletion.CASCADE,
                        related_name="blind_grooves",
                        to="fitting.fittingsession",
                    ),
                ),
            ],
            options={
                "ordering": ["id"],
            },
        ),
        migrations.CreateModel(
            name="BayHold",
            fields=[
                ("id", models.BigAutoField(auto_created=True, primary_key=True, serialize=False, verbose_name="ID")),
                ("since", models.DateTimeField(auto_now=True)),
                (
                    "bay",
                    models.OneToOneField(
                        on_delete=django.db.models.deletion.CASCADE, related_name="hold", to="shop.bay"
                    ),
                ),
                (
                    "shop",
                    models.ForeignKey(on_delete=django.db.models.deletion.PROTECT, related_name="+", to="shop.shop"),
                ),
                (
                    "session",
                    models.ForeignKey(
                        on_delete=django.db.models.deletion.CASCADE, related_name="holds", to="fitting.fittingsession"
                    ),
                ),
            ],
            options={
                "abstract": False,
            },
        ),
        migrations.CreateModel(
            name="BagPlan",
            fields=[
                ("id", models.BigAutoField(auto_created=True, primary_key=True, serialize=False, verbose_name="ID")),
                ("name", models.CharField(max_length=40)),
                ("swap_course", models.CharField(blank=True, max_length=40)),
                (
                    "shop",
                    models.ForeignKey(on_delete=django.db.models.deletion.PROTECT, related_name="+", to="shop.shop"),
                ),
                ("builds", models.ManyToManyField(related_name="+", to="fitting.build")),
                (
                    "swap_away",
                    models.ForeignKey(
                        null=True, on_delete=django.db.models.deletion.SET_NULL, related_name="+", to="fitting.build"
                    ),
                ),
                (
                    "swap_home",
                    models.ForeignKey(
                        null=True, on_delete=django.db.models.deletion.SET_NULL, related_name="+", to="fitting.build"
                    ),
                ),
                (
                    "session",
                    models.ForeignKey(
                        on_delete=django.db.models.deletion.CASCADE, related_name="plans", to="fitting.fittingsession"
                    ),
                ),
            ],
            options={
                "ordering": ["id"],
            },
        ),
        migrations.CreateModel(
            name="AgreedAnswers",
            fields=[
                ("id", models.BigAutoField(auto_created=True, primary_key=True, serialize=False, verbose_name="ID")),
                ("at", models.DateTimeField(auto_now_add=True)),
                ("code", models.CharField(help_text="Which version of the product worked them out.", max_length=64)),
                (
                    "answers",
                    models.JSONField(
                        help_text="By what was asked: session, bench, shortlist, plans, what_if of each build."
                    ),
                ),
                (
                    "shop",
                    models.ForeignKey(on_delete=django.db.models.deletion.PROTECT, related_name="+", to="shop.shop"),
                ),
                (
                    "session",
                    models.OneToOneField(
                        on_delete=django.db.models.deletion.PROTECT,
                        related_name="agreed_answers",
                        to="fitting.fittingsession",
                    ),
                ),
            ],
            options={
                "abstract": False,
            },
        ),
        migrations.CreateModel(
            name="Job",
            fields=[
                ("id", models.BigAutoField(auto_created=True, primary_key=True, serialize=False, verbose_name="ID")),
                ("position", models.PositiveSmallIntegerField()),
                ("name", models.CharField(max_length=60)),
                (
                    "kind",
                    models.CharField(choices=[("green", "green"), ("tee", "tee"), ("layup", "layup")], max_length=8),
                ),
                ("distance_m", models.FloatField()),
                ("carry_over_m", models.FloatField(null=True)),
                ("width_m", models.FloatField(default=25)),
                ("depth_m", models.FloatField(default=25)),
                (
                    "firmness",
                    models.CharField(
                        choices=[("soft", "soft"), ("medium", "medium"), ("firm", "firm")],
                        default="medium",
                        max_length=8,
                    ),
                ),
                ("green_ft", models.FloatField(default=10.0, help_text="Reading of the standard meter.")),
                ("uses_per_round", models.FloatField(default=1)),
                (
                    "course",
                    models.CharField(blank=True, help_text="Where it is met; empty: everywhere.", max_length=40),
                ),
                ("lie", models.CharField(blank=True, max_length=12)),
                (
                    "session",
                    models.ForeignKey(
                        on_delete=django.db.models.deletion.CASCADE, related_name="jobs", to="fitting.fittingsession"
                    ),
                ),
                (
                    "shop",
                    models.ForeignKey(on_delete=django.db.models.deletion.PROTECT, related_name="+", to="shop.shop"),
                ),
            ],
            options={
                "ordering": ["position"],
            },
        ),
        migrations.CreateModel(
            name="Run",
            fields=[
                ("id", models.BigAutoField(auto_created=True, primary_key=True, serialize=False, verbose_name="ID")),
                ("started_at", models.DateTimeField(auto_now_add=True)),
                ("surface", models.CharField(max_length=20)),
                ("indoor", models.BooleanField()),
                ("altitude_m", models.FloatField()),
                ("temperature_c", models.FloatField()),
                ("ball", models.CharField(blank=True, max_length=40)),
                ("protocol", models.CharField(default="full_swing", max_length=20)),
                (
                    "intent",
                    models.CharField(
                        choices=[
                            ("stock", "stock"),
                            ("low", "low"),
                            ("high", "high"),
                            ("draw", "draw"),
                            ("fade", "fade"),
                            ("eased", "eased"),
                            ("hard", "hard"),
                            ("yardage", "yardage"),
                        ],
                        default="stock",
                        max_length=8,
                    ),
                ),
                (
                    "lie",
                    models.CharField(
                        blank=True,
                        choices=[
                            ("mat", "mat"),
                            ("tee", "tee"),
                            ("fairway", "fairway"),
                            ("tight", "tight"),
                            ("soft", "soft"),
                            ("semi_rough", "semi_rough"),
                            ("rough", "rough"),
                            ("sand", "sand"),
                            ("slope", "slope"),
                            ("wet", "wet"),
                        ],
                        help_text="Empty: as the surface says.",
                        max_length=12,
                    ),
                ),
                (
                    "place",
                    models.CharField(
                        blank=True, help_text="What a sole test played; empty: another test.", max_length=12
                    ),
                ),
                ("swing", models.PositiveSmallIntegerField(default=1, help_text="The session's, when it was hit.")),
                ("length", models.CharField(default="full", help_text="How long the swing was.", max_length=14)),
                (
                    "struck_ball",
                    models.CharField(
                        choices=[("own", "own"), ("hard", "hard"), ("range", "range")], default="own", max_length=6
                    ),
                ),
                ("wind_mps", models.FloatField(default=0)),
                ("wind_from_deg", models.FloatField(default=0)),
                ("tee_mm", models.PositiveSmallIntegerField(null=True)),
                ("asked_carry_m", models.FloatField(help_text="The carry that was asked for.", null=True)),
                ("gripped_in", models.FloatField(default=0)),
                (
                    "build",
                    models.ForeignKey(
                        on_delete=django.db.models.deletion.CASCADE, related_name="runs", to="fitting.build"
                    ),
                ),
                (
                    "shop",
                    models.ForeignKey(on_delete=django.db.models.deletion.PROTECT, related_name="+", to="shop.shop"),
                ),
            ],
            options={
                "abstract": False,
            },
        ),
        migrations.CreateModel(
            name="Shot",
            fields=[
                ("id", models.BigAutoField(auto_created=True, primary_key=True, serialize=False, verbose_name="ID")),
                ("number", models.PositiveIntegerField(help_text="Order in the session, from 1.")),
                ("feed_id", models.CharField(blank=True, max_length=64)),
                ("at", models.DateTimeField(auto_now_add=True)),
                ("hit_at", models.DateTimeField(help_text="By our clock, where the monitor says when.", null=True)),
                (
                    "check_club",
                    models.CharField(blank=True, help_text="Why it may be another club's; empty: sure.", max_length=60),
                ),
                (
                    "revision",
                    models.PositiveIntegerField(default=1, help_text="Of the session, when this shot last changed."),
                ),
                ("aside", models.BooleanField(default=False)),
                ("aside_reason", models.CharField(blank=True, max_length=80)),
                ("misread", models.BooleanField(default=False, help_text="The monitor's error: counts for nothing.")),
                (
                    "void",
                    models.JSONField(default=list, help_text="Readings that do not count, as the line of a shot."),
                ),
                (
                    "strike",
                    models.CharField(
                        blank=True,
                        choices=[
                            ("toe", "toe"),
                            ("heel", "heel"),
                            ("high", "high"),
                            ("low", "low"),
                            ("thin", "thin"),
                            ("fat", "fat"),
                        ],
                        max_length=5,
                    ),
                ),
                ("sources", models.JSONField(default=dict)),
                (
                    "calm",
                    models.JSONField(default=dict, help_text="Readings brought to calm air, where it was hit in wind."),
                ),
                ("club_speed_mps", models.FloatField(null=True)),
                ("ball_speed_mps", models.FloatField(null=True)),
                ("launch_deg", models.FloatField(null=True)),
                ("direction_deg", models.FloatField(null=True)),
                ("spin_rpm", models.FloatField(null=True)),
                ("axis_deg", models.FloatField(null=True)),
                ("attack_deg", models.FloatField(null=True)),
                ("path_deg", models.FloatField(null=True)),
                ("face_deg", models.FloatField(null=True)),
                ("dynamic_loft_deg", models.FloatField(null=True)),
                ("carry_m", models.FloatField(null=True)),
                ("total_m", models.FloatField(null=True)),
                ("offline_m", models.FloatField(null=True)),
                ("peak_m", models.FloatField(null=True)),
                ("landing_deg", models.FloatField(null=True)),
                ("hang_s", models.FloatField(null=True)),
                (
                    "instead",
                    models.ForeignKey(
                        help_text="The club it may be of.",
                        null=True,
                        on_delete=django.db.models.deletion.SET_NULL,
                        related_name="+",
                        to="fitting.build",
                    ),
                ),
                (
                    "run",
                    models.ForeignKey(
                        on_delete=django.db.models.deletion.PROTECT, related_name="shots", to="fitting.run"
                    ),
                ),
                (
                    "session",
                    models.ForeignKey(
                        on_delete=django.db.models.deletion.CASCADE, related_name="shots", to="fitting.fittingsession"
                    ),
                ),
                (
                    "shop",
                    models.ForeignKey(on_delete=django.db.models.deletion.PROTECT, related_name="+", to="shop.shop"),
                ),
            ],
            options={
                "ordering": ["number"],
            },
        ),
        migrations.AddField(
            model_name="fittingsession",
            name="pinned",
            field=models.ForeignKey(
                help_text="A shot to copy, kept in sight.",
                null=True,
                on_delete=django.db.models.deletion.SET_NULL,
                related_name="+",
                to="fitting.shot",
            ),
        ),
        migrations.CreateModel(
            name="ShotImport",
            fields=[
                ("id", models.BigAutoField(auto_created=True, primary_key=True, serialize=False, verbose_name="ID")),
                ("at", models.DateTimeField(auto_now_add=True)),
                ("file_name", models.CharField(max_length=120)),
                ("text", models.TextField()),
                ("columns", models.JSONField()),
                ("problems", models.JSONField(default=list)),
                (
                    "undone_at",
                    models.DateTimeField(help_text="Taken back: its shots stay on record and do not count.", null=True),
                ),
                (
                    "session",
                    models.ForeignKey(
                        on_delete=django.db.models.deletion.CASCADE, related_name="imports", to="fitting.fittingsession"
                    ),
                ),
                (
                    "shop",
                    models.ForeignKey(on_delete=django.db.models.deletion.PROTECT, related_name="+", to="shop.shop"),
                ),
            ],
            options={
                "ordering": ["id"],
            },
        ),
        migrations.AddField(
            model_name="run",
            name="imported",
            field=models.ForeignKey(null=True, on_delete=django.db.models.deletion.PROTECT, to="fitting.shotimport"),
        ),
        migrations.AddField(
            model_name="build",
            name="imported",
            field=models.ForeignKey(
                help_text="The file it came with.",
                null=True,
                on_delete=django.db.models.deletion.PROTECT,
                to="fitting.shotimport",
            ),
        ),
        migrations.CreateModel(
            name="SoleTest",
            fields=[
                ("id", models.BigAutoField(auto_created=True, primary_key=True, serialize=False, verbose_name="ID")),
                ("at", models.DateTimeField(auto_now_add=True)),
                (
                    "blind",
                    models.CharField(
                        choices=[("single", "single"), ("double", "double"), ("open", "open")],
                        default="single",
                        max_length=6,
                    ),
                ),
                ("loft_deg", models.FloatField(help_text="Of all of them, as it is said.")),
                ("places", models.JSONField(help_text="The lies, in the order they are played.")),
                ("returns", models.JSONField(default=list, help_text="Lies that are gone back to.")),
                ("short", models.BooleanField(default=False, help_text="The 20-minute version.")),
                ("seed", models.PositiveIntegerField()),
                ("control", models.PositiveSmallIntegerField(help_text="The code of the control.", null=True)),
                (
                    "control_is",
                    models.CharField(
                        blank=True, choices=[("fresh", "fresh"), ("nearest", "nearest"), ("own", "own")], max_length=8
                    ),
                ),
                ("twice", models.JSONField(help_text="Two codes of one club.", null=True)),
                (
                    "guess",
                    models.PositiveSmallIntegerField(
                        help_text="The code that the player takes for his own sole.", null=True
                    ),
                ),
                (
                    "confidence",
                    models.CharField(
                        blank=True,
                        choices=[("guess", "guess"), ("fairly", "fairly"), ("certain", "certain")],
                        max_length=8,
                    ),
                ),
                ("revealed_at", models.DateTimeField(null=True)),
                ("stopped_at", models.DateTimeField(help_text="Given up, never revealed.", null=True)),
                (
                    "chosen",
                    models.PositiveSmallIntegerField(help_text="The code that fitter and player chose.", null=True),
                ),
                (
                    "hand_out",
                    models.CharField(
                        blank=True, help_text="Opens the assistant's page; empty: none was.", max_length=12
                    ),
                ),
                (
                    "hand_out_device",
                    models.CharField(blank=True, help_text="The one device that has it open.", max_length=32),
                ),
                ("hand_out_opened_at", models.DateTimeField(null=True)),
                (
                    "course",
                    models.CharField(blank=True, help_text="Opens the player's notes of the course.", max_length=12),
                ),
                ("course_until", models.DateTimeField(null=True)),
                (
                    "session",
                    models.ForeignKey(
                        on_delete=django.db.models.deletion.CASCADE,
                        related_name="sole_tests",
                        to="fitting.fittingsession",
                    ),
                ),
                (
                    "setter",
                    models.ForeignKey(
                        help_text="Who set it up.",
                        null=True,
                        on_delete=django.db.models.deletion.PROTECT,
                        to=settings.AUTH_USER_MODEL,
                    ),
                ),
                (
                    "shop",
                    models.ForeignKey(on_delete=django.db.models.deletion.PROTECT, related_name="+", to="shop.shop"),
                ),
                (
                    "wedge",
                    models.ForeignKey(
                        help_text="The own wedge whose sole it is about.",
                        null=True,
                        on_delete=django.db.models.deletion.PROTECT,
                        related_name="+",
                        to="fitting.build",
                    ),
                ),
            ],
            options={
                "ordering": ["id"],
            },
        ),
        migrations.CreateModel(
            name="SoleHanding",
            fields=[
                ("id", models.BigAutoField(auto_created=True, primary_key=True, serialize=False, verbose_name="ID")),
                ("at", models.DateTimeField(auto_now_add=True)),
                ("code", models.PositiveSmallIntegerField()),
                ("place", models.CharField(max_length=12)),
                ("visit", models.PositiveSmallIntegerField(default=0)),
                ("duel", models.BooleanField(default=False)),
                (
                    "said",
                    models.SmallIntegerField(
                        help_text="Better 1, level 0, worse -1 than the one before it.", null=True
                    ),
                ),
                ("best", models.SmallIntegerField(help_text="The same against the best so far.", null=True)),
                (
                    "turf",
                    models.CharField(
                        blank=True,
                        choices=[
                            ("slid", "slid"),
                            ("dug", "dug"),
                            ("skipped", "skipped"),
                            ("sat_up", "sat_up"),
                            ("grabbed", "grabbed"),
                            ("even", "even"),
                            ("deep", "deep"),
                            ("shallow", "shallow"),
                        ],
                        max_length=8,
                    ),
                ),
                (
                    "groove",
                    models.PositiveSmallIntegerField(
                        help_text="Where it struck, counted from the lowest groove.", null=True
                    ),
                ),
                ("sound", models.CharField(blank=True, max_length=40)),
                ("left_m", models.FloatField(help_text="From the hole, as it was paced.", null=True)),
                ("void", models.BooleanField(default=False, help_text="Taken back.")),
                (
                    "session",
                    models.ForeignKey(
                        on_delete=django.db.models.deletion.CASCADE, related_name="+", to="fitting.fittingsession"
                    ),
                ),
                (
                    "shop",
                    models.ForeignKey(on_delete=django.db.models.deletion.PROTECT, related_name="+", to="shop.shop"),
                ),
                (
                    "test",
                    models.ForeignKey(
                        on_delete=django.db.models.deletion.CASCADE, related_name="handings", to="fitting.soletest"
                    ),
                ),
            ],
            options={
                "ordering": ["id"],
            },
        ),
        migrations.CreateModel(
            name="SoleCode",
            fields=[
                ("id", models.BigAutoField(auto_created=True, primary_key=True, serialize=False, verbose_name="ID")),
                ("number", models.PositiveSmallIntegerField(help_text="From 0; no order of the clubs.")),
                ("bend_deg", models.FloatField(default=0, help_text="Weaker positive, done before it is hit.")),
                (
                    "role",
                    models.CharField(
                        blank=True,
                        choices=[("as_is", "as_is"), ("weaker", "weaker"), ("less", "less")],
                        help_text="When lofts are tried.",
                        max_length=8,
                    ),
                ),
                ("taped", models.BooleanField(default=False)),
                (
                    "build",
                    models.OneToOneField(
                        on_delete=django.db.models.deletion.PROTECT, related_name="sole_code", to="fitting.build"
                    ),
                ),
                (
                    "club",
                    models.ForeignKey(
                        help_text="A club of the session itself.",
                        null=True,
                        on_delete=django.db.models.deletion.PROTECT,
                        related_name="+",
                        to="fitting.build",
                    ),
                ),
                (
                    "head",
                    models.ForeignKey(
                        null=True, on_delete=django.db.models.deletion.PROTECT, related_name="+", to="rack.head"
                    ),
                ),
                (
                    "session",
                    models.ForeignKey(
                        on_delete=django.db.models.deletion.CASCADE, related_name="+", to="fitting.fittingsession"
                    ),
                ),
                (
                    "shaft",
                    models.ForeignKey(
                        null=True, on_delete=django.db.models.deletion.PROTECT, related_name="+", to="rack.shaft"
                    ),
                ),
                (
                    "shop",
                    models.ForeignKey(on_delete=django.db.models.deletion.PROTECT, related_name="+", to="shop.shop"),
                ),
                (
                    "test",
                    models.ForeignKey(
                        on_delete=django.db.models.deletion.CASCADE, related_name="codes", to="fitting.soletest"
                    ),
                ),
            ],
            options={
                "ordering": ["number"],
            },
        ),
        migrations.CreateModel(
            name="CourseNote",
            fields=[
                ("id", models.BigAutoField(auto_created=True, primary_key=True, serialize=False, verbose_name="ID")),
                ("at", models.DateTimeField(auto_now_add=True)),
                ("played_on", models.DateField()),
                ("code", models.PositiveSmallIntegerField()),
                ("place", models.CharField(blank=True, help_text="The lie; empty: of none.", max_length=12)),
                ("word", models.CharField(blank=True, max_length=200)),
                ("first", models.BooleanField(default=False, help_text="It was the one picked up first.")),
                ("by_player", models.BooleanField(default=False)),
                (
                    "shop",
                    models.ForeignKey(on_delete=django.db.models.deletion.PROTECT, related_name="+", to="shop.shop"),
                ),
                (
                    "session",
                    models.ForeignKey(
                        on_delete=django.db.models.deletion.CASCADE, related_name="+", to="fitting.fittingsession"
                    ),
                ),
                (
                    "test",
                    models.ForeignKey(
                        on_delete=django.db.models.deletion.CASCADE, related_name="notes", to="fitting.soletest"
                    ),
                ),
            ],
            options={
                "ordering": ["played_on", "id"],
            },
        ),
        migrations.CreateModel(
            name="StopSeen",
            fields=[
                ("id", models.BigAutoField(auto_created=True, primary_key=True, serialize=False, verbose_name="ID")),
                ("at", models.DateTimeField(auto_now_add=True)),
                (
                    "ball",
                    models.CharField(
                        choices=[("own", "own"), ("hard", "hard"), ("range", "range")], default="own", max_length=6
                    ),
                ),
                ("target_m", models.FloatField(help_text="It was played to.")),
                ("landed_m", models.FloatField()),
                ("stopped_m", models.FloatField()),
                ("stopped_side_m", models.FloatField(default=0)),
                ("landed_side_m", models.FloatField(default=0)),
                ("balls", models.PositiveSmallIntegerField(default=1, help_text="Paced together.")),
                ("aside", models.BooleanField(default=False)),
                (
                    "build",
                    models.ForeignKey(
                        on_delete=django.db.models.deletion.PROTECT, related_name="stops", to="fitting.build"
                    ),
                ),
                (
                    "session",
                    models.ForeignKey(
                        on_delete=django.db.models.deletion.CASCADE, related_name="stops", to="fitting.fittingsession"
                    ),
                ),
                (
                    "shop",
                    models.ForeignKey(on_delete=django.db.models.deletion.PROTECT, related_name="+", to="shop.shop"),
                ),
            ],
            options={
                "ordering": ["id"],
            },
        ),
        migrations.CreateModel(
            name="StopTest",
            fields=[
                ("id", models.BigAutoField(auto_created=True, primary_key=True, serialize=False, verbose_name="ID")),
                ("target_m", models.FloatField(default=22.86)),
                (
                    "firmness",
                    models.CharField(
                        choices=[("soft", "soft"), ("medium", "medium"), ("firm", "firm")],
                        default="medium",
                        max_length=8,
                    ),
                ),
                ("green_ft", models.FloatField(default=10.0, help_text="Reading of the standard meter.")),
                ("slope_percent", models.FloatField(default=0, help_text="Uphill positive.")),
                ("wind_mps", models.FloatField(default=0)),
                ("wind_from_deg", models.FloatField(default=0, help_text="0 against the shot, 90 from the right.")),
                (
                    "session",
                    models.OneToOneField(
                        on_delete=django.db.models.deletion.CASCADE,
                        related_name="stop_test",
                        to="fitting.fittingsession",
                    ),
                ),
                (
                    "shop",
                    models.ForeignKey(on_delete=django.db.models.deletion.PROTECT, related_name="+", to="shop.shop"),
                ),
            ],
            options={
                "abstract": False,
            },
        ),
        migrations.CreateModel(
            name="TakenInHand",
            fields=[
                ("id", models.BigAutoField(auto_created=True, primary_key=True, serialize=False, verbose_name="ID")),
                ("at", models.DateTimeField()),
                (
                    "build",
                    models.ForeignKey(
                        on_delete=django.db.models.deletion.CASCADE, related_name="+", to="fitting.build"
                    ),
                ),
                (
                    "session",
                    models.ForeignKey(
                        on_delete=django.db.models.deletion.CASCADE, related_name="taken", to="fitting.fittingsession"
                    ),
                ),
                (
                    "shop",
                    models.ForeignKey(on_delete=django.db.models.deletion.PROTECT, related_name="+", to="shop.shop"),
                ),
            ],
            options={
                "ordering": ["at", "id"],
            },
        ),
        migrations.CreateModel(
            name="TargetOverride",
            fields=[
                ("id", models.BigAutoField(auto_created=True, primary_key=True, serialize=False, verbose_name="ID")),
                ("slot", models.PositiveSmallIntegerField()),
                ("quantity", models.CharField(max_length=20)),
                ("low", models.FloatField(null=True)),
                ("high", models.FloatField(null=True)),
                ("cleared", models.BooleanField(default=False)),
                ("at", models.DateTimeField(auto_now_add=True)),
                ("by", models.ForeignKey(on_delete=django.db.models.deletion.PROTECT, to=settings.AUTH_USER_MODEL)),
                (
                    "session",
                    models.ForeignKey(
                        on_delete=django.db.models.deletion.CASCADE,
                        related_name="overrides",
                        to="fitting.fittingsession",
                    ),
                ),
                (
                    "shop",
                    models.ForeignKey(on_delete=django.db.models.deletion.PROTECT, related_name="+", to="shop.shop"),
                ),
            ],
            options={
                "ordering": ["id"],
            },
        ),
        migrations.CreateModel(
            name="WindowVersion",
            fields=[
                ("id", models.BigAutoField(auto_created=True, primary_key=True, serialize=False, verbose_name="ID")),
                ("at", models.DateTimeField(auto_now_add=True)),
                ("slots", models.JSONField(help_text="By slot: quantity, low and high of each target in force.")),
                (
                    "by",
                    models.ForeignKey(
                        null=True, on_delete=django.db.models.deletion.PROTECT, to=settings.AUTH_USER_MODEL
                    ),
                ),
                (
                    "session",
                    models.ForeignKey(
                        on_delete=django.db.models.deletion.CASCADE,
                        related_name="versions",
                        to="fitting.fittingsession",
                    ),
                ),
                (
                    "shop",
                    models.ForeignKey(on_delete=django.db.models.deletion.PROTECT, related_name="+", to="shop.shop"),
                ),
            ],
            options={
                "ordering": ["id"],
            },
        ),
        migrations.CreateModel(
            name="ColumnMapping",
            fields=[
                ("id", models.BigAutoField(auto_created=True, primary_key=True, serialize=False, verbose_name="ID")),
                ("signature", models.CharField(max_length=64)),
                ("columns", models.JSONField()),
                (
                    "shop",
                    models.ForeignKey(on_delete=django.db.models.deletion.PROTECT, related_name="+", to="shop.shop"),
                ),
            ],
            options={
                "constraints": [models.UniqueConstraint(fields=("shop", "signature"), name="mapping_once_a_header")],
            },
        ),
        migrations.CreateModel(
            name="Feel",
            fields=[
                ("id", models.BigAutoField(auto_created=True, primary_key=True, serialize=False, verbose_name="ID")),
                ("at", models.DateTimeField(auto_now_add=True)),
                ("shots", models.PositiveIntegerField(help_text="Hit with the build when it was asked.")),
                ("looks", models.PositiveSmallIntegerField(null=True)),
                ("sound", models.PositiveSmallIntegerField(null=True)),
                ("feel", models.PositiveSmallIntegerField(null=True)),
                ("trust", models.PositiveSmallIntegerField(null=True)),
                ("veto", models.BooleanField(default=False)),
                ("word", models.CharField(blank=True, max_length=120)),
                ("numbers", models.BooleanField(default=False, help_text="Some may have been seen before.")),
                (
                    "by_player",
                    models.BooleanField(
                        default=True, help_text="On their own screen; else as the fitter wrote it down."
                    ),
                ),
                (
                    "build",
                    models.ForeignKey(
                        on_delete=django.db.models.deletion.CASCADE, related_name="felt", to="fitting.build"
                    ),
                ),
                (
                    "shop",
                    models.ForeignKey(on_delete=django.db.models.deletion.PROTECT, related_name="+", to="shop.shop"),
                ),
            ],
            options={
                "ordering": ["id"],
                "constraints": [
                    models.UniqueConstraint(fields=("build", "shots"), name="one_answer_for_so_many_shots")
                ],
            },
        ),
        migrations.CreateModel(
            name="HeadSeen",
            fields=[
                ("id", models.BigAutoField(auto_created=True, primary_key=True, serialize=False, verbose_name="ID")),
                (
                    "departure",
                    models.JSONField(help_text="Log of ball speed, launch in degrees, log of spin: hit less expected."),
                ),
                ("ball_speed_mps", models.FloatField()),
                ("won", models.BooleanField(default=False)),
                (
                    "head",
                    models.ForeignKey(on_delete=django.db.models.deletion.PROTECT, related_name="seen", to="rack.head"),
                ),
                (
                    "session",
                    models.ForeignKey(
                        on_delete=django.db.models.deletion.CASCADE, related_name="+", to="fitting.fittingsession"
                    ),
                ),
                (
                    "shop",
                    models.ForeignKey(on_delete=django.db.models.deletion.PROTECT, related_name="+", to="shop.shop"),
                ),
            ],
            options={
                "constraints": [models.UniqueConstraint(fields=("head", "session"), name="head_seen_once_a_session")],
            },
        ),
        migrations.CreateModel(
            name="PlayerScreen",
            fields=[
                ("id", models.BigAutoField(auto_created=True, primary_key=True, serialize=False, verbose_name="ID")),
                (
                    "mode",
                    models.CharField(
                        choices=[("blind", "blind"), ("feel", "feel"), ("simple", "simple"), ("full", "full")],
                        default="feel",
                        max_length=8,
                    ),
                ),
                (
                    "away",
                    models.BooleanField(
                        default=False, help_text="The monitor's own screen was said to be turned away."
                    ),
                ),
                (
                    "shown",
                    models.JSONField(default=list, help_text="Builds that were in hand while numbers were shown."),
                ),
                ("code", models.CharField(blank=True, help_text="The last one given; empty: none was.", max_length=8)),
                ("expires_at", models.DateTimeField(null=True)),
                ("revoked_at", models.DateTimeField(null=True)),
                (
                    "session",
                    models.OneToOneField(
                        on_delete=django.db.models.deletion.CASCADE,
                        related_name="player_screen",
                        to="fitting.fittingsession",
                    ),
                ),
                (
                    "shop",
                    models.ForeignKey(on_delete=django.db.models.deletion.PROTECT, related_name="+", to="shop.shop"),
                ),
            ],
            options={
                "constraints": [
                    models.UniqueConstraint(
                        condition=models.Q(("code", ""), _negated=True),
                        fields=("code",),
                        name="a_code_opens_one_screen",
                    )
                ],
            },
        ),
        migrations.AddConstraint(
            model_name="shot",
            constraint=models.UniqueConstraint(fields=("session", "number"), name="shot_number_once_a_session"),
        ),
        migrations.AddConstraint(
            model_name="shot",
            constraint=models.UniqueConstraint(
                condition=models.Q(("feed_id", ""), _negated=True),
                fields=("shop", "feed_id"),
                name="a_retry_never_doubles_a_shot",
            ),
        ),
        migrations.AddConstraint(
            model_name="build",
            constraint=models.UniqueConstraint(
                condition=models.Q(("letter", ""), _negated=True),
                fields=("session", "letter"),
                name="letter_once_a_session",
            ),
        ),
        migrations.AddConstraint(
            model_name="build",
            constraint=models.UniqueConstraint(
                condition=models.Q(("archived", False), ("coded", False), ("letter", "")),
                fields=("session", "name"),
                name="own_club_name_once",
            ),
        ),
        migrations.AddConstraint(
            model_name="soletest",
            constraint=models.UniqueConstraint(
                condition=models.Q(("hand_out", ""), _negated=True), fields=("hand_out",), name="one_hand_out_a_code"
            ),
        ),
        migrations.AddConstraint(
            model_name="soletest",
            constraint=models.UniqueConstraint(
                condition=models.Q(("course", ""), _negated=True), fields=("course",), name="one_course_a_code"
            ),
        ),
        *rules(),
    ]
