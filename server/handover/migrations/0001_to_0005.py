"""A new database is made in one step; one that is there goes on by the steps this stands for."""

from importlib import import_module

import django.db.models.deletion
from django.conf import settings
from django.db import migrations, models

RULES = ("0004_editions", "0005_erasing")


def rules() -> list[migrations.RunSQL]:
    """What PostgreSQL itself holds to, in the order in which it came."""
    made = [import_module(f"handover.migrations.{name}").Migration.operations for name in RULES]
    return [each for operations in made for each in operations if isinstance(each, migrations.RunSQL)]


class Migration(migrations.Migration):
    initial = True
    replaces = [
        ("handover", "0001_initial"),
        ("handover", "0002_initial"),
        ("handover", "0003_several_clubs"),
        ("handover", "0004_editions"),
        ("handover", "0005_erasing"),
    ]

    dependencies = [
        ("fitting", "0001_to_0033"),
        ("shop", "0001_to_0006"),
    ]

    operations = [
        migrations.CreateModel(
            name="Recommendation",
            fields=[
                ("id", models.BigAutoField(auto_created=True, primary_key=True, serialize=False, verbose_name="ID")),
                ("edition", models.PositiveSmallIntegerField()),
                (
                    "correction",
                    models.TextField(blank=True, help_text="Why this edition was made; empty for the first."),
                ),
                (
                    "decision",
                    models.CharField(choices=[("buy", "Buy"), ("drop", "Drop"), ("keep", "Keep")], max_length=4),
                ),
                ("reasons", models.TextField()),
                (
                    "lost",
                    models.JSONField(default=list, help_text="[{letter, why}] for every build that was not chosen."),
                ),
                ("next_check", models.DateField(null=True)),
                ("agreed_at", models.DateTimeField(auto_now_add=True)),
                ("picture", models.JSONField()),
                (
                    "made_in",
                    models.BigIntegerField(
                        db_default=models.Func(function="txid_current"),
                        editable=False,
                        help_text="The transaction; its clubs came in the same.",
                    ),
                ),
                (
                    "agreed_by",
                    models.ForeignKey(on_delete=django.db.models.deletion.PROTECT, to=settings.AUTH_USER_MODEL),
                ),
                ("builds", models.ManyToManyField(related_name="+", to="fitting.build")),
                ("dropped", models.ManyToManyField(related_name="+", to="fitting.build")),
                (
                    "runner_up",
                    models.ForeignKey(
                        null=True, on_delete=django.db.models.deletion.PROTECT, related_name="+", to="fitting.build"
                    ),
                ),
                (
                    "session",
                    models.ForeignKey(
                        on_delete=django.db.models.deletion.PROTECT,
                        related_name="recommendations",
                        to="fitting.fittingsession",
                    ),
                ),
                (
                    "shop",
                    models.ForeignKey(on_delete=django.db.models.deletion.PROTECT, related_name="+", to="shop.shop"),
                ),
            ],
            options={
                "ordering": ["-edition"],
                "constraints": [models.UniqueConstraint(fields=("session", "edition"), name="edition_once_a_session")],
            },
        ),
        *rules(),
    ]
