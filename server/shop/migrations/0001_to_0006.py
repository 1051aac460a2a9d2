"""A new database is made in one step; one that is there goes on by the steps this stands for."""

from importlib import import_module

import django.contrib.auth.models
import django.contrib.auth.validators
import django.db.models.deletion
import django.utils.timezone
from django.conf import settings
from django.db import migrations, models

RULES = ("0005_trail_and_sign_ins",)


def rules() -> list[migrations.RunSQL]:
    """What PostgreSQL itself holds to, in the order in which it came."""
    made = [import_module(f"shop.migrations.{name}").Migration.operations for name in RULES]
    return [
        each
        for operations in made
        for each in operations
        if isinstance(each, migrations.RunSQL) and "TRIGGER" in str(each.sql)
    ]


class Migration(migrations.Migration):
    initial = True
    replaces = [
        ("shop", "0001_initial"),
        ("shop", "0002_bay_models_flight"),
        ("shop", "0003_thresholds"),
        ("shop", "0004_revision"),
        ("shop", "0005_trail_and_sign_ins"),
        ("shop", "0006_columns_and_noise"),
    ]

    dependencies = [
        ("auth", "0012_alter_user_first_name_max_length"),
    ]

    operations = [
        migrations.CreateModel(
            name="Shop",
            fields=[
                ("id", models.BigAutoField(auto_created=True, primary_key=True, serialize=False, verbose_name="ID")),
                ("name", models.CharField(max_length=80)),
                ("city", models.CharField(blank=True, max_length=80)),
                (
                    "thresholds",
                    models.JSONField(default=dict, help_text="Those that differ from the usual, in the units shown."),
                ),
                (
                    "columns",
                    models.JSONField(default=list, help_text="What the Bench reads out, in order; empty: the usual."),
                ),
                (
                    "revision",
                    models.PositiveIntegerField(default=1, help_text="Goes up when what all sessions rest on changes."),
                ),
                (
                    "idle_minutes",
                    models.PositiveIntegerField(
                        default=0, help_text="A sign-in ends after so long unused; 0: it stays."
                    ),
                ),
                (
                    "keep_years",
                    models.PositiveSmallIntegerField(
                        default=0, help_text="Customers not seen for so long are erased; 0: never."
                    ),
                ),
            ],
        ),
        migrations.CreateModel(
            name="User",
            fields=[
                ("id", models.BigAutoField(auto_created=True, primary_key=True, serialize=False, verbose_name="ID")),
                ("password", models.CharField(max_length=128, verbose_name="password")),
                ("last_login", models.DateTimeField(blank=True, null=True, verbose_name="last login")),
                (
                    "is_superuser",
                    models.BooleanField(
                        default=False,
                        help_text="Designates that this user has all permissions without explicitly assigning them.",
                        verbose_name="superuser status",
                    ),
                ),
                (
                    "username",
                    models.CharField(
                        error_messages={"unique": "A user with that username already exists."},
                        help_text="Required. 150 characters or fewer. Letters, digits and @/./+/-/_ only.",
                        max_length=150,
                        unique=True,
                        validators=[django.contrib.auth.validators.UnicodeUsernameValidator()],
                        verbose_name="username",
                    ),
                ),
                ("first_name", models.CharField(blank=True, max_length=150, verbose_name="first name")),
                ("last_name", models.CharField(blank=True, max_length=150, verbose_name="last name")),
                ("email", models.EmailField(blank=True, max_length=254, verbose_name="email address")),
                (
                    "is_staff",
                    models.BooleanField(
                        default=False,
                        help_text="Designates whether the user can log into this admin site.",
                        verbose_name="staff status",
                    ),
                ),
                (
                    "is_active",
                    models.BooleanField(
                        default=True,
                        help_text="Designates whether this user should be treated as active. Unselect this instead of deleting accounts.",
                        verbose_name="active",
                    ),
                ),
                ("date_joined", models.DateTimeField(default=django.utils.timezone.now, verbose_name="date joined")),
                (
                    "role",
                    models.CharField(
                        choices=[("owner", "owner"), ("fitter", "fitter")], default="fitter", max_length=10
                    ),
                ),
                ("keys", models.JSONField(default=dict, help_text="Shortcuts: `off`, and `changed` by command.")),
                (
                    "sign_ins_from",
                    models.PositiveIntegerField(default=0, help_text="Counts up to end every sign-in made before."),
                ),
                (
                    "groups",
                    models.ManyToManyField(
                        blank=True,
                        help_text="The groups this user belongs to. A user will get all permissions granted to each of their groups.",
                        related_name="user_set",
                        related_query_name="user",
                        to="auth.group",
                        verbose_name="groups",
                    ),
                ),
                (
                    "user_permissions",
                    models.ManyToManyField(
                        blank=True,
                        help_text="Specific permissions for this user.",
                        related_name="user_set",
                        related_query_name="user",
                        to="auth.permission",
                        verbose_name="user permissions",
                    ),
                ),
                (
                    "shop",
                    models.ForeignKey(
                        null=True, on_delete=django.db.models.deletion.PROTECT, related_name="people", to="shop.shop"
                    ),
                ),
            ],
            options={
                "verbose_name": "user",
                "verbose_name_plural": "users",
                "abstract": False,
            },
            managers=[
                ("objects", django.contrib.auth.models.UserManager()),
            ],
        ),
        migrations.CreateModel(
            name="DoneChange",
            fields=[
                ("id", models.BigAutoField(auto_created=True, primary_key=True, serialize=False, verbose_name="ID")),
                ("change", models.CharField(max_length=60)),
                ("at", models.DateTimeField(auto_now_add=True)),
                (
                    "actor",
                    models.ForeignKey(
                        on_delete=django.db.models.deletion.CASCADE, related_name="+", to=settings.AUTH_USER_MODEL
                    ),
                ),
            ],
            options={
                "constraints": [models.UniqueConstraint(fields=("actor", "change"), name="a_change_is_done_once")],
            },
        ),
        migrations.CreateModel(
            name="Bay",
            fields=[
                ("id", models.BigAutoField(auto_created=True, primary_key=True, serialize=False, verbose_name="ID")),
                ("name", models.CharField(max_length=40)),
                ("indoor", models.BooleanField(default=True)),
                ("surface", models.CharField(default="mat", max_length=20)),
                ("altitude_m", models.FloatField(default=0)),
                ("temperature_c", models.FloatField(default=20)),
                (
                    "models_flight",
                    models.BooleanField(
                        default=False,
                        help_text="The monitor sees impact only: its carry, peak, landing and total are its own model.",
                    ),
                ),
                (
                    "noise",
                    models.JSONField(
                        default=dict,
                        help_text="By reading, what the monitor reads wrong where that is not usual: shot and day.",
                    ),
                ),
                (
                    "shop",
                    models.ForeignKey(on_delete=django.db.models.deletion.PROTECT, related_name="+", to="shop.shop"),
                ),
            ],
            options={
                "constraints": [models.UniqueConstraint(fields=("shop", "name"), name="bay_name_once_a_shop")],
            },
        ),
        migrations.CreateModel(
            name="AuditEntry",
            fields=[
                ("id", models.BigAutoField(auto_created=True, primary_key=True, serialize=False, verbose_name="ID")),
                ("at", models.DateTimeField(auto_now_add=True)),
                ("action", models.CharField(max_length=60)),
                ("subject", models.CharField(max_length=60)),
                ("detail", models.JSONField(default=dict)),
                ("of_session", models.BigIntegerField(help_text="The session it was done in.", null=True)),
                ("of_customer", models.BigIntegerField(help_text="The customer whose data it touched.", null=True)),
                (
                    "revision",
                    models.PositiveIntegerField(help_text="Of the session, which this change made.", null=True),
                ),
                (
                    "change",
                    models.CharField(blank=True, help_text="As the screen that asked for it names it.", max_length=60),
                ),
                (
                    "actor",
                    models.ForeignKey(
                        null=True, on_delete=django.db.models.deletion.PROTECT, to=settings.AUTH_USER_MODEL
                    ),
                ),
                (
                    "shop",
                    models.ForeignKey(on_delete=django.db.models.deletion.PROTECT, related_name="+", to="shop.shop"),
                ),
            ],
            options={
                "ordering": ["id"],
                "indexes": [
                    models.Index(fields=["shop", "subject"], name="shop_audite_shop_id_63f513_idx"),
                    models.Index(fields=["shop", "of_session", "revision"], name="shop_audite_shop_id_81c81e_idx"),
                    models.Index(fields=["shop", "of_customer"], name="shop_audite_shop_id_26c3ae_idx"),
                ],
            },
        ),
        *rules(),
    ]
