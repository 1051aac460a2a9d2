"""A bay serves one session, by a row of its own."""

import django.db.models.deletion
from django.db import migrations, models


def as_it_was(apps, _editor):
    """The session last worked in with a build in hand, which is where shots went until now."""
    session, hold = apps.get_model("fitting", "FittingSession"), apps.get_model("fitting", "BayHold")
    held = session.objects.filter(agreed_at=None, in_hand__isnull=False).order_by("in_hand_at", "id")
    for row in held:
        hold.objects.update_or_create(bay_id=row.bay_id, defaults={"shop_id": row.shop_id, "session": row})


class Migration(migrations.Migration):
    dependencies = [("fitting", "0011_agreed_stays_agreed"), ("shop", "0004_revision")]

    operations = [
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
                    "session",
                    models.ForeignKey(
                        on_delete=django.db.models.deletion.CASCADE,
                        related_name="holds",
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
        migrations.RunPython(as_it_was, migrations.RunPython.noop, elidable=True),
    ]
