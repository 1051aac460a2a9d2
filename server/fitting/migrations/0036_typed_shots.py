"""Shots that no monitor sent: somebody read them off a screen."""

from django.db import migrations, models


class Migration(migrations.Migration):
    dependencies = [("fitting", "0035_round_wind_and_place"), ("handover", "0006_erasing_by_class")]

    operations = [
        migrations.AddField(
            model_name="shot",
            name="typed",
            field=models.BooleanField(default=False, help_text="Read off a screen by somebody; no monitor sent it."),
        ),
    ]
