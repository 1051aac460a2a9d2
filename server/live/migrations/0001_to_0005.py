"""A new database is made in one step; one that is there goes on by the steps this stands for."""

import django.db.models.deletion
from django.db import migrations, models


class Migration(migrations.Migration):
    initial = True
    replaces = [
        ("feed", "0001_initial"),
        ("feed", "0002_initial"),
        ("feed", "0003_tray"),
        ("feed", "0004_keys_run_out"),
        ("feed", "0005_clock"),
    ]

    dependencies = [
        ("fitting", "0001_to_0033"),
        ("shop", "0001_to_0006"),
    ]

    operations = [
        migrations.CreateModel(
            name="FeedKey",
            fields=[
                ("id", models.BigAutoField(auto_created=True, primary_key=True, serialize=False, verbose_name="ID")),
                ("digest", models.CharField(max_length=64, unique=True)),
                ("label", models.CharField(max_length=40)),
                (
                    "stand_in",
                    models.BooleanField(default=False, help_text="May learn the simulated golfer behind a customer."),
                ),
                ("made_at", models.DateTimeField(auto_now_add=True)),
                ("expires_at", models.DateTimeField()),
                ("revoked_at", models.DateTimeField(null=True)),
                ("last_used_at", models.DateTimeField(null=True)),
                (
                    "clock",
                    models.JSONField(
                        default=list,
                        help_text="Of its last shots, seconds between the time it said and the time they came.",
                    ),
                ),
                (
                    "bay",
                    models.ForeignKey(on_delete=django.db.models.deletion.CASCADE, related_name="keys", to="shop.bay"),
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
            name="StandIn",
            fields=[
                ("id", models.BigAutoField(auto_created=True, primary_key=True, serialize=False, verbose_name="ID")),
                ("pid", models.PositiveIntegerField()),
                ("started_at", models.DateTimeField(auto_now_add=True)),
                (
                    "bay",
                    models.OneToOneField(
                        on_delete=django.db.models.deletion.CASCADE, related_name="stand_in", to="shop.bay"
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
            name="TrayShot",
            fields=[
                ("id", models.BigAutoField(auto_created=True, primary_key=True, serialize=False, verbose_name="ID")),
                ("feed_id", models.CharField(max_length=64)),
                ("at", models.DateTimeField(auto_now_add=True)),
                ("readings", models.JSONField()),
                (
                    "put_away_at",
                    models.DateTimeField(help_text="Said to be no shot of anyone's; it stays on record.", null=True),
                ),
                (
                    "bay",
                    models.ForeignKey(on_delete=django.db.models.deletion.PROTECT, related_name="tray", to="shop.bay"),
                ),
                (
                    "filed_in",
                    models.ForeignKey(
                        null=True,
                        on_delete=django.db.models.deletion.PROTECT,
                        related_name="+",
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
                "constraints": [
                    models.UniqueConstraint(fields=("shop", "feed_id"), name="a_retry_never_doubles_a_tray_shot")
                ],
            },
        ),
    ]
