from django.db import migrations, models


class Migration(migrations.Migration):
    dependencies = [("shop", "0003_thresholds")]

    operations = [
        migrations.AddField(
            "shop",
            "revision",
            models.PositiveIntegerField(default=1, help_text="Goes up when what all sessions rest on changes."),
        ),
        migrations.AlterField(
            "user",
            "role",
            models.CharField(choices=[("owner", "owner"), ("fitter", "fitter")], default="fitter", max_length=10),
        ),
    ]
