"""What was worked out of a session, for every process. It is made again when it is lost, so that it is not logged."""

import django.db.models.deletion
from django.db import migrations, models


class Migration(migrations.Migration):
    dependencies = [("fitting", "0039_by_day"), ("shop", "0009_units")]

    operations = [
        migrations.CreateModel(
            name="JudgedAnswer",
            fields=[
                ("id", models.BigAutoField(auto_created=True, primary_key=True, serialize=False, verbose_name="ID")),
                ("part", models.CharField(max_length=40)),
                (
                    "key",
                    models.CharField(help_text="Of all that it was worked out from, and of the code.", max_length=100),
                ),
                ("at", models.DateTimeField()),
                (
                    "unasked",
                    models.SmallIntegerField(
                        default=0, help_text="How many times it was made since it was last asked for."
                    ),
                ),
                ("answer", models.BinaryField(help_text="Its JSON, packed.")),
                (
                    "session",
                    models.ForeignKey(
                        on_delete=django.db.models.deletion.CASCADE, related_name="+", to="fitting.fittingsession"
                    ),
                ),
                (
                    "shop",
                    models.ForeignKey(on_delete=django.db.models.deletion.PROTECT, related_name="+", to="shop.shop"),
                ),
            ],
            options={
                "indexes": [models.Index(fields=["at"], name="judged_answer_oldest")],
                "constraints": [
                    models.UniqueConstraint(fields=("session", "part"), name="an_answer_of_a_part_is_kept_once")
                ],
            },
        ),
        migrations.RunSQL(
            [
                "ALTER TABLE fitting_judgedanswer SET UNLOGGED",
                # It is packed already.
                "ALTER TABLE fitting_judgedanswer ALTER COLUMN answer SET STORAGE EXTERNAL",
            ],
            migrations.RunSQL.noop,
        ),
    ]
