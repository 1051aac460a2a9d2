"""A session counts its changes, runs name the protocol they were hit in, and what was agreed is kept as it was."""

import django.db.models.deletion
from django.db import migrations, models


def shaped(apps, _schema):
    """Shots that were asked for otherwise than stock are of the protocol of shaped shots."""
    for name in ("Run", "FittingSession"):
        apps.get_model("fitting", name).objects.exclude(intent="stock").update(protocol="shaped")


class Migration(migrations.Migration):
    dependencies = [("fitting", "0009_stop_gain"), ("shop", "0004_revision")]

    operations = [
        migrations.RenameField("fittingsession", "hole_above", "gap_above"),
        migrations.AddField(
            "fittingsession",
            "revision",
            models.PositiveIntegerField(default=1, help_text="Goes up with every change and every shot received."),
        ),
        migrations.AddField(
            "fittingsession",
            "whole_from",
            models.PositiveIntegerField(
                default=1,
                help_text="The revision since which shots left or came back together: before it all are sent anew.",
            ),
        ),
        migrations.AddField(
            "fittingsession",
            "protocol",
            models.CharField(default="full_swing", help_text="What the player is asked to do.", max_length=20),
        ),
        migrations.AddField("run", "protocol", models.CharField(default="full_swing", max_length=20)),
        migrations.AddField(
            "shot",
            "revision",
            models.PositiveIntegerField(default=1, help_text="Of the session, when this shot last changed."),
        ),
        migrations.CreateModel(
            name="AgreedAnswers",
            fields=[
                ("id", models.BigAutoField(auto_created=True, primary_key=True, serialize=False, verbose_name="ID")),
                ("at", models.DateTimeField(auto_now_add=True)),
                (
                    "code",
                    models.CharField(help_text="Which version of the product worked them out.", max_length=64),
                ),
                (
                    "answers",
                    models.JSONField(
                        help_text="By what was asked: session, bench, shortlist, plans, what_if of each build."
                    ),
                ),
                (
                    "session",
                    models.OneToOneField(
                        on_delete=django.db.models.deletion.PROTECT,
                        related_name="agreed_answers",
                        to="fitting.fittingsession",
                    ),
                ),
                (
                    "shop",
                    models.ForeignKey(on_delete=django.db.models.deletion.PROTECT, related_name="+", to="shop.shop"),
                ),
            ],
            options={"abstract": False},
        ),
        migrations.RunPython(shaped, migrations.RunPython.noop, elidable=True),
    ]
