"""A recommendation of several clubs, and of clubs that leave; what was agreed before keeps its one build."""

from typing import Any

from django.db import migrations, models

TESTED = ("build", "letter", "name", "headline", "why", "sheet", "price", "prediction")


def several(choice: dict[str, Any]) -> dict[str, Any]:
    """The page of one build as one of several."""
    clubs = [{key: choice[key] for key in TESTED}] if choice["build"] is not None else []
    kept = {key: choice[key] for key in ("name", "reasons", "lost", "after", "price")}
    return {**kept, "clubs": clubs, "dropped": [], "over": 0}


def carry_over(apps: Any, _editor: Any) -> None:
    for row in apps.get_model("handover", "Recommendation").objects.all():
        if row.build_id is not None:
            row.builds.add(row.build_id)
        row.picture = {**row.picture, "choice": several(row.picture["choice"])}
        row.save()


class Migration(migrations.Migration):
    dependencies = [
        ("fitting", "0009_stop_gain"),
        ("handover", "0002_initial"),
    ]

    operations = [
        migrations.AddField("recommendation", "builds", models.ManyToManyField(related_name="+", to="fitting.build")),
        migrations.AddField("recommendation", "dropped", models.ManyToManyField(related_name="+", to="fitting.build")),
        migrations.AlterField(
            "recommendation",
            "decision",
            models.CharField(choices=[("buy", "Buy"), ("drop", "Drop"), ("keep", "Keep")], max_length=4),
        ),
        migrations.RunPython(carry_over),
        migrations.RemoveField("recommendation", "build"),
    ]
