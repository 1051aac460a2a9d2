"""Erasing a customer takes the words out that were said of a sole and of the course, and leaves the figures."""

from importlib import import_module

from django.db import migrations

BEFORE = import_module("fitting.migrations.0011_agreed_stays_agreed")
ERASING = import_module("fitting.migrations.0013_erasing")

WITHOUT = """
CREATE OR REPLACE FUNCTION fitting_without_words(soles jsonb) RETURNS jsonb LANGUAGE sql IMMUTABLE AS $$
    SELECT coalesce(jsonb_agg(test || jsonb_build_object(
        'notes', (SELECT coalesce(jsonb_agg(note || '{"word": ""}'), '[]') FROM jsonb_array_elements(test->'notes') note),
        'handings', (SELECT coalesce(jsonb_agg(said || '{"sound": ""}'), '[]')
            FROM jsonb_array_elements(test->'handings') said)
    )), '[]') FROM jsonb_array_elements(coalesce(soles, '[]')) test
$$;
CREATE OR REPLACE FUNCTION fitting_without_person(answers jsonb) RETURNS jsonb LANGUAGE sql IMMUTABLE AS $$
    SELECT jsonb_set(jsonb_set(jsonb_set(jsonb_set(jsonb_set(answers,
        '{session,customer,name}', '"Erased customer"', false),
        '{session,brief,notes}', '""', false),
        '{session,brief,pain}', 'false', false),
        '{session,imports}', '[]', false),
        '{session,soles}', fitting_without_words(answers#>'{session,soles}'), false)
$$;
CREATE FUNCTION fitting_words_may_be_blanked() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
    IF to_jsonb(NEW)->>TG_ARGV[0] = '' AND fitting_erased(OLD.session_id)
        AND (to_jsonb(NEW) - TG_ARGV[0]) = (to_jsonb(OLD) - TG_ARGV[0])
        OR NOT EXISTS (SELECT 1 FROM fitting_fittingsession WHERE id = OLD.session_id AND agreed_at IS NOT NULL) THEN
        RETURN NEW;
    END IF;
    RAISE EXCEPTION 'This row of % belongs to an agreed session and does not change.', TG_TABLE_NAME
        USING ERRCODE = 'restrict_violation';
END $$;
"""
WORDS = {"fitting_coursenote": "word", "fitting_solehanding": "sound"}


def blankable(table: str, column: str) -> str:
    return (
        f"DROP TRIGGER agreed_stays ON {table};"
        f"CREATE TRIGGER agreed_stays BEFORE INSERT OR DELETE ON {table} "
        "FOR EACH ROW EXECUTE FUNCTION fitting_part_of_agreed_stays('session');"
        f"CREATE TRIGGER agreed_stays_or_blank BEFORE UPDATE ON {table} "
        f"FOR EACH ROW EXECUTE FUNCTION fitting_words_may_be_blanked('{column}');"
    )


UNDO = (
    "".join(
        f"DROP TRIGGER agreed_stays ON {table}; DROP TRIGGER agreed_stays_or_blank ON {table};"
        + BEFORE.watch(table, "session")
        for table in WORDS
    )
    + "DROP FUNCTION fitting_words_may_be_blanked();"
    + ERASING.ERASED.partition("CREATE FUNCTION fitting_without_person")[2].join(
        ["CREATE OR REPLACE FUNCTION fitting_without_person", ""]
    )
    + "DROP FUNCTION fitting_without_words(jsonb);"
)


class Migration(migrations.Migration):
    dependencies = [("fitting", "0031_stop_wind")]

    operations = [
        migrations.RunSQL(WITHOUT + "".join(blankable(table, column) for table, column in WORDS.items()), UNDO)
    ]
