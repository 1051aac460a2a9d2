"""Each person reads quantities in units of their own."""

from django.db import migrations, models


class Migration(migrations.Migration):
    dependencies = [("shop", "0008_opening")]

    operations = [
        migrations.AddField(
            "user",
            "units",
            models.JSONField(
                default=dict, help_text="What they read quantities in, by kind; what is not there: usual."
            ),
        ),
    ]
