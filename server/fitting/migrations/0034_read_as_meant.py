"""Files that are no text, whom a bay served and in turn with whom; a line that was never read is straight no more."""

from importlib import import_module

import django.db.models.deletion
from django.db import migrations, models

BEFORE = import_module("fitting.migrations.0013_erasing").FILE.partition("DROP TRIGGER")[0]
OF_A_FILE = "'{text,file_name,problems}'"


def may_be_blanked(columns: str) -> str:
    """The function that lets a file of an erased person's agreed visit be blanked, in these columns."""
    return BEFORE.replace("CREATE FUNCTION", "CREATE OR REPLACE FUNCTION").replace(OF_A_FILE, columns)


# Where direction or spin axis was not read, offline was worked out as if it had been nought. In open sessions it is
# taken out here; what is agreed does not change, and is read without it (`Shot.readings`).
UNREAD = """
UPDATE fitting_shot AS shot
SET offline_m = NULL, sources = shot.sources - 'offline_m', calm = shot.calm - 'offline_m'
FROM fitting_fittingsession AS session
WHERE session.id = shot.session_id AND session.agreed_at IS NULL AND shot.sources->>'offline_m' = 'computed'
    AND (shot.direction_deg IS NULL OR shot.axis_deg IS NULL);
UPDATE fitting_fittingsession SET revision = revision + 1, whole_from = revision + 1 WHERE agreed_at IS NULL;
"""
SERVED = """
INSERT INTO fitting_bayserved (shop_id, bay_id, session_id, at)
SELECT shop_id, bay_id, session_id, since FROM fitting_bayhold;
"""


class Migration(migrations.Migration):
    dependencies = [
        ("fitting", "0001_to_0033"),
        ("shop", "0001_to_0006"),
    ]

    operations = [
        migrations.AddField(
            model_name="bayhold",
            name="partner",
            field=models.ForeignKey(
                help_text="Whose player hits in turn with this one's: one key hands the bay over.",
                null=True,
                on_delete=django.db.models.deletion.SET_NULL,
                related_name="+",
                to="fitting.fittingsession",
            ),
        ),
        migrations.AddField(
            model_name="shotimport",
            name="data",
            field=models.BinaryField(help_text="A file that is no text.", null=True),
        ),
        migrations.CreateModel(
            name="BayServed",
            fields=[
                ("id", models.BigAutoField(auto_created=True, primary_key=True, serialize=False, verbose_name="ID")),
                ("at", models.DateTimeField()),
                (
                    "bay",
                    models.ForeignKey(
                        on_delete=django.db.models.deletion.CASCADE, related_name="served", to="shop.bay"
                    ),
                ),
                (
                    "session",
                    models.ForeignKey(
                        null=True,
                        on_delete=django.db.models.deletion.CASCADE,
                        related_name="+",
                        to="fitting.fittingsession",
                    ),
                ),
                (
                    "shop",
                    models.ForeignKey(on_delete=django.db.models.deletion.PROTECT, related_name="+", to="shop.shop"),
                ),
            ],
            options={
                "ordering": ["at", "id"],
                "indexes": [models.Index(fields=["bay", "at"], name="bay_served_by_time")],
            },
        ),
        migrations.RunSQL(
            may_be_blanked("'{text,data,file_name,problems}'"),
            may_be_blanked(OF_A_FILE),
        ),
        migrations.RunSQL(UNREAD, migrations.RunSQL.noop),
        migrations.RunSQL(SERVED, migrations.RunSQL.noop),
    ]
