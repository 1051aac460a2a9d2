"""A new database is made in one step; one that is there goes on by the steps this stands for."""

import django.db.models.deletion
from django.db import migrations, models


class Migration(migrations.Migration):
    initial = True
    replaces = [
        ("rack", "0001_initial"),
        ("rack", "0002_initial"),
        ("rack", "0003_plans"),
        ("rack", "0004_stock"),
    ]

    dependencies = [
        ("shop", "0001_to_0006"),
    ]

    operations = [
        migrations.CreateModel(
            name="Head",
            fields=[
                ("id", models.BigAutoField(auto_created=True, primary_key=True, serialize=False, verbose_name="ID")),
                ("maker", models.CharField(max_length=40)),
                ("model", models.CharField(max_length=40)),
                ("label", models.CharField(help_text="What is written on the sole, such as 4H.", max_length=10)),
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
                ("loft_deg", models.FloatField()),
                ("lie_deg", models.FloatField(null=True)),
                ("length_m", models.FloatField(help_text="Standard length when built.")),
                (
                    "sleeve_deg",
                    models.FloatField(default=0, help_text="How far the sleeve turns up or down; 0 is bonded."),
                ),
                (
                    "positions",
                    models.JSONField(
                        default=list,
                        help_text="The sleeve's own table: name, loft, lie and face of each, degrees; empty: as it turns.",
                    ),
                ),
                ("left_handed", models.BooleanField(default=True, help_text="Also made for left-handers.")),
                ("right_handed", models.BooleanField(default=True, help_text="Also made for right-handers.")),
                (
                    "sole",
                    models.CharField(blank=True, help_text="Sole of the head, such as narrow or wide.", max_length=20),
                ),
                ("tip_in", models.FloatField(default=0.37, help_text="Bore of the hosel or sleeve, inches.")),
                ("stock", models.PositiveSmallIntegerField(default=1, help_text="0: cannot be had.")),
                ("price", models.DecimalField(decimal_places=2, max_digits=8)),
                ("bounce_deg", models.FloatField(null=True)),
                ("head_g", models.PositiveSmallIntegerField(help_text="Weight of the head, grams.", null=True)),
                (
                    "made",
                    models.CharField(
                        choices=[("unknown", "unknown"), ("forged", "forged"), ("cast", "cast"), ("hollow", "hollow")],
                        default="unknown",
                        help_text="How it is made.",
                        max_length=8,
                    ),
                ),
                (
                    "retired_at",
                    models.DateTimeField(help_text="Taken off the rack: kept for the builds made of it.", null=True),
                ),
                (
                    "shop",
                    models.ForeignKey(on_delete=django.db.models.deletion.PROTECT, related_name="+", to="shop.shop"),
                ),
            ],
            options={
                "ordering": ["loft_deg", "head_type", "maker"],
            },
        ),
        migrations.CreateModel(
            name="Shaft",
            fields=[
                ("id", models.BigAutoField(auto_created=True, primary_key=True, serialize=False, verbose_name="ID")),
                ("name", models.CharField(max_length=40)),
                ("flex", models.CharField(max_length=10)),
                ("weight_g", models.PositiveSmallIntegerField()),
                ("material", models.CharField(max_length=10)),
                ("tip_in", models.FloatField(default=0.37, help_text="Tip diameter, inches.")),
                ("fits", models.JSONField(default=list, help_text="Head types it is made for.")),
                (
                    "bend",
                    models.CharField(
                        choices=[("unknown", "unknown"), ("low", "low"), ("mid", "mid"), ("high", "high")],
                        default="unknown",
                        max_length=8,
                    ),
                ),
                (
                    "balance",
                    models.FloatField(
                        help_text="Where its middle of weight lies, as a share of its length.", null=True
                    ),
                ),
                ("length_m", models.FloatField(null=True)),
                ("stock", models.PositiveSmallIntegerField(default=1, help_text="0: cannot be had.")),
                ("retired_at", models.DateTimeField(null=True)),
                (
                    "shop",
                    models.ForeignKey(on_delete=django.db.models.deletion.PROTECT, related_name="+", to="shop.shop"),
                ),
            ],
            options={
                "ordering": ["weight_g", "name"],
            },
        ),
    ]
