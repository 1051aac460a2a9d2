"""Keys run out, can be revoked, and say when they were made and used."""

from datetime import timedelta
from typing import Any

import django.utils.timezone
from django.db import migrations, models
from django.utils import timezone


def give_a_year(apps: Any, _editor: Any) -> None:
    """Keys that never ran out have a year from now."""
    apps.get_model("feed", "FeedKey").objects.filter(expires_at=None).update(
        expires_at=timezone.now() + timedelta(days=365)
    )


class Migration(migrations.Migration):
    dependencies = [("feed", "0003_tray")]

    operations = [
        migrations.AddField(
            "feedkey",
            "made_at",
            models.DateTimeField(auto_now_add=True, default=django.utils.timezone.now),
            preserve_default=False,
        ),
        migrations.AddField("feedkey", "revoked_at", models.DateTimeField(null=True)),
        migrations.AddField("feedkey", "last_used_at", models.DateTimeField(null=True)),
        migrations.RunPython(give_a_year, migrations.RunPython.noop),
        migrations.AlterField("feedkey", "expires_at", models.DateTimeField()),
    ]
