"""When to stop is asked in another unit now: what a shop had set for the old one says nothing of the new."""

from django.db import migrations

OLD = "stop_loss"


def forget(apps, schema_editor):
    for model in (apps.get_model("shop", "Shop"), apps.get_model("fitting", "FittingSession")):
        for row in model.objects.filter(thresholds__has_key=OLD):
            del row.thresholds[OLD]
            row.save(update_fields=["thresholds"])


class Migration(migrations.Migration):
    dependencies = [("fitting", "0008_thresholds"), ("shop", "0003_thresholds")]

    operations = [migrations.RunPython(forget, migrations.RunPython.noop)]
