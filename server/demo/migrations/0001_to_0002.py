"""A new database is made in one step; one that is there goes on by the steps this stands for."""

import django.db.models.deletion
from django.db import migrations, models


class Migration(migrations.Migration):
    initial = True
    replaces = [
        ("practice", "0001_initial"),
        ("practice", "0002_initial"),
    ]

    dependencies = [
        ("customers", "0001_to_0003"),
        ("shop", "0001_to_0006"),
    ]

    operations = [
        migrations.CreateModel(
            name="SimulatedGolfer",
            fields=[
                ("id", models.BigAutoField(auto_created=True, primary_key=True, serialize=False, verbose_name="ID")),
                ("parameters", models.JSONField()),
                ("seed", models.PositiveIntegerField(default=1)),
                (
                    "customer",
                    models.OneToOneField(
                        on_delete=django.db.models.deletion.CASCADE, related_name="golfer", to="customers.customer"
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
    ]
