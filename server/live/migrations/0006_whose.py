from django.db import migrations, models


class Migration(migrations.Migration):
    dependencies = [("feed", "0001_to_0005")]

    operations = [
        migrations.AddField(
            model_name="feedkey",
            name="clock_odd",
            field=models.JSONField(default=list, help_text="The same of those that do not go with these at all."),
        ),
        migrations.AddField(
            model_name="trayshot",
            name="hit_at",
            field=models.DateTimeField(help_text="By our clock, where the monitor says when.", null=True),
        ),
        migrations.AddField(
            model_name="trayshot",
            name="why",
            field=models.CharField(
                blank=True, help_text="Why it waits, where the bay did serve somebody.", max_length=120
            ),
        ),
    ]
