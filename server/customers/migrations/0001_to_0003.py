"""A new database is made in one step; one that is there goes on by the steps this stands for."""

import django.db.models.deletion
from django.db import migrations, models


class Migration(migrations.Migration):
    initial = True
    replaces = [
        ("customers", "0001_initial"),
        ("customers", "0002_initial"),
        ("customers", "0003_erased_and_merged"),
    ]

    dependencies = [
        ("shop", "0001_to_0006"),
    ]

    operations = [
        migrations.CreateModel(
            name="Customer",
            fields=[
                ("id", models.BigAutoField(auto_created=True, primary_key=True, serialize=False, verbose_name="ID")),
                ("name", models.CharField(max_length=80)),
                (
                    "hand",
                    models.CharField(choices=[("right", "Right"), ("left", "Left")], default="right", max_length=5),
                ),
                ("birth_year", models.PositiveSmallIntegerField(blank=True, null=True)),
                ("email", models.EmailField(blank=True, max_length=254)),
                ("notes", models.TextField(blank=True)),
                ("created_at", models.DateTimeField(auto_now_add=True)),
                (
                    "erased_at",
                    models.DateTimeField(
                        help_text="The person is gone from it; what was agreed stays as figures.", null=True
                    ),
                ),
                (
                    "merged_into",
                    models.ForeignKey(
                        help_text="Was found to be the same person.",
                        null=True,
                        on_delete=django.db.models.deletion.PROTECT,
                        related_name="merged",
                        to="customers.customer",
                    ),
                ),
                (
                    "shop",
                    models.ForeignKey(on_delete=django.db.models.deletion.PROTECT, related_name="+", to="shop.shop"),
                ),
            ],
            options={
                "ordering": ["name", "id"],
            },
        ),
    ]
