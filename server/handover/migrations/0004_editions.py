"""A correction is a new edition, and the database keeps every edition as it was agreed."""

from typing import Any

from django.db import migrations, models
from django.db.models import Func

# The clubs of an edition come in the transaction that makes it, and never again.
STAYS = """
CREATE FUNCTION handover_edition_stays() RETURNS trigger LANGUAGE plpgsql AS $$
DECLARE
    made bigint;
BEGIN
    IF TG_OP = 'INSERT' THEN
        SELECT made_in INTO made FROM handover_recommendation WHERE id = NEW.recommendation_id;
        IF made = txid_current() THEN
            RETURN NEW;
        END IF;
    END IF;
    RAISE EXCEPTION 'A row of % is kept as it was agreed.', TG_TABLE_NAME USING ERRCODE = 'restrict_violation';
END $$;
CREATE TRIGGER agreed_stays BEFORE UPDATE OR DELETE ON handover_recommendation
    FOR EACH ROW EXECUTE FUNCTION handover_edition_stays();
CREATE TRIGGER agreed_stays BEFORE INSERT OR UPDATE OR DELETE ON handover_recommendation_builds
    FOR EACH ROW EXECUTE FUNCTION handover_edition_stays();
CREATE TRIGGER agreed_stays BEFORE INSERT OR UPDATE OR DELETE ON handover_recommendation_dropped
    FOR EACH ROW EXECUTE FUNCTION handover_edition_stays();
"""
UNDO = """
DROP TRIGGER agreed_stays ON handover_recommendation;
DROP TRIGGER agreed_stays ON handover_recommendation_builds;
DROP TRIGGER agreed_stays ON handover_recommendation_dropped;
DROP FUNCTION handover_edition_stays();
"""

NAMES = {"between": "gaps", "hole_m": "open_m", "hole_from_m": "open_from_m", "hole_to_m": "open_to_m"}


def in_todays_names(kept: Any) -> Any:
    """A page as it was kept, under the names that its figures have now; the figures are as they were."""
    if isinstance(kept, list):
        return [in_todays_names(each) for each in kept]
    if isinstance(kept, dict):
        return {NAMES.get(key, key): in_todays_names(value) for key, value in kept.items()}
    return kept


def rename(apps: Any, _editor: Any) -> None:
    for row in apps.get_model("handover", "Recommendation").objects.all():
        row.picture = in_todays_names(row.picture)
        row.save(update_fields=["picture"])


class Migration(migrations.Migration):
    dependencies = [("handover", "0003_several_clubs"), ("fitting", "0011_agreed_stays_agreed")]

    operations = [
        migrations.RemoveConstraint("recommendation", "revision_once_a_session"),
        migrations.RenameField("recommendation", "revision", "edition"),
        migrations.AlterModelOptions("recommendation", options={"ordering": ["-edition"]}),
        migrations.AddConstraint(
            "recommendation",
            models.UniqueConstraint(fields=["session", "edition"], name="edition_once_a_session"),
        ),
        migrations.AddField(
            "recommendation",
            "correction",
            models.TextField(blank=True, default="", help_text="Why this edition was made; empty for the first."),
            preserve_default=False,
        ),
        migrations.AddField(
            "recommendation",
            "made_in",
            models.BigIntegerField(
                db_default=Func(function="txid_current"),
                editable=False,
                help_text="The transaction; its clubs came in the same.",
            ),
        ),
        migrations.RunPython(rename, migrations.RunPython.noop, elidable=True),
        migrations.RunSQL(STAYS, UNDO),
    ]
