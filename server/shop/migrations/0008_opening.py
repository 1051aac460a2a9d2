"""A shop of one's own beside the demo: which is which, its money, the ground it plays on, how a bay's shots come in."""

from django.apps.registry import Apps
from django.db import migrations, models
from django.db.backends.base.schema import BaseDatabaseSchemaEditor

# Until now every installation began with the demo; who gave it another name made it theirs.
DEMO = "Fellside Fitting Room"


def mark_demo(apps: Apps, _schema_editor: BaseDatabaseSchemaEditor) -> None:
    apps.get_model("shop", "Shop").objects.filter(name=DEMO).update(demo=True)


def words(*each: str) -> list[tuple[str, str]]:
    return [(word, word) for word in each]


class Migration(migrations.Migration):
    dependencies = [("shop", "0007_bay_closed")]

    operations = [
        migrations.AddField("shop", "demo", models.BooleanField(default=False)),
        migrations.AddField(
            "shop",
            "currency",
            models.CharField(default="GBP", help_text="Of its prices, by ISO 4217.", max_length=3),
        ),
        migrations.AddField(
            "shop",
            "ground",
            models.CharField(
                choices=words("soft", "medium", "firm"),
                default="medium",
                help_text="What its customers mostly play on: where a new customer's brief begins.",
                max_length=8,
            ),
        ),
        migrations.AddField(
            "bay",
            "shots_by",
            models.CharField(choices=words("feed", "file", "typed"), default="feed", max_length=5),
        ),
        migrations.AlterField(
            "user",
            "role",
            models.CharField(choices=words("owner", "fitter", "assistant"), default="fitter", max_length=10),
        ),
        migrations.RunPython(mark_demo, migrations.RunPython.noop),
    ]
