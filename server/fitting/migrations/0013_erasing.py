"""Erasing a customer takes the person out of what was agreed and leaves the figures; nothing else may change there."""

from importlib import import_module

from django.db import migrations

BEFORE = import_module("fitting.migrations.0011_agreed_stays_agreed")

ERASED = """
CREATE FUNCTION fitting_erased(session bigint) RETURNS boolean LANGUAGE sql STABLE AS $$
    SELECT EXISTS (
        SELECT 1 FROM fitting_fittingsession s JOIN customers_customer c ON c.id = s.customer_id
        WHERE s.id = session AND c.erased_at IS NOT NULL
    )
$$;
CREATE FUNCTION fitting_without_person(answers jsonb) RETURNS jsonb LANGUAGE sql IMMUTABLE AS $$
    SELECT jsonb_set(jsonb_set(jsonb_set(jsonb_set(answers,
        '{session,customer,name}', '"Erased customer"', false),
        '{session,brief,notes}', '""', false),
        '{session,brief,pain}', 'false', false),
        '{session,imports}', '[]', false)
$$;
"""
SESSION = """
CREATE OR REPLACE FUNCTION fitting_agreed_session_stays() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
    IF OLD.agreed_at IS NULL THEN
        RETURN COALESCE(NEW, OLD);
    END IF;
    IF TG_OP = 'UPDATE' AND (to_jsonb(NEW) - 'revision') = (to_jsonb(OLD) - 'revision') THEN
        RETURN NEW;
    END IF;
    IF TG_OP = 'UPDATE' AND NEW.notes = '' AND NOT NEW.pain AND fitting_erased(OLD.id)
        AND (to_jsonb(NEW) - '{revision,notes,pain}'::text[]) = (to_jsonb(OLD) - '{revision,notes,pain}'::text[]) THEN
        RETURN NEW;
    END IF;
    RAISE EXCEPTION 'Session % is agreed and does not change.', OLD.id USING ERRCODE = 'restrict_violation';
END $$;
"""
FILE = """
CREATE FUNCTION fitting_file_may_be_blanked() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
    IF NEW.text = '' AND NEW.file_name = '' AND fitting_erased(OLD.session_id)
        AND (to_jsonb(NEW) - '{text,file_name,problems}'::text[])
            = (to_jsonb(OLD) - '{text,file_name,problems}'::text[])
        OR NOT EXISTS (SELECT 1 FROM fitting_fittingsession WHERE id = OLD.session_id AND agreed_at IS NOT NULL) THEN
        RETURN NEW;
    END IF;
    RAISE EXCEPTION 'This row of % belongs to an agreed session and does not change.', TG_TABLE_NAME
        USING ERRCODE = 'restrict_violation';
END $$;
DROP TRIGGER agreed_stays ON fitting_shotimport;
CREATE TRIGGER agreed_stays BEFORE INSERT OR DELETE ON fitting_shotimport
    FOR EACH ROW EXECUTE FUNCTION fitting_part_of_agreed_stays('session');
CREATE TRIGGER agreed_stays_or_blank BEFORE UPDATE ON fitting_shotimport
    FOR EACH ROW EXECUTE FUNCTION fitting_file_may_be_blanked();
"""
ANSWERS = """
CREATE OR REPLACE FUNCTION fitting_kept_for_good() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
    IF TG_OP = 'UPDATE' AND fitting_erased(OLD.session_id)
        AND NEW.answers = fitting_without_person(OLD.answers)
        AND (to_jsonb(NEW) - 'answers') = (to_jsonb(OLD) - 'answers') THEN
        RETURN NEW;
    END IF;
    RAISE EXCEPTION 'A row of % is kept as it was agreed.', TG_TABLE_NAME USING ERRCODE = 'restrict_violation';
END $$;
"""
UNDO = (
    BEFORE.SESSION.partition("CREATE TRIGGER")[0].replace("CREATE FUNCTION", "CREATE OR REPLACE FUNCTION")
    + BEFORE.ANSWERS.partition("CREATE TRIGGER")[0].replace("CREATE FUNCTION", "CREATE OR REPLACE FUNCTION")
    + "DROP TRIGGER agreed_stays ON fitting_shotimport; DROP TRIGGER agreed_stays_or_blank ON fitting_shotimport;"
    + BEFORE.watch("fitting_shotimport", "session")
    + "DROP FUNCTION fitting_file_may_be_blanked(); DROP FUNCTION fitting_without_person(jsonb);"
    + "DROP FUNCTION fitting_erased(bigint);"
)


class Migration(migrations.Migration):
    dependencies = [("fitting", "0012_bay_hold"), ("customers", "0003_erased_and_merged")]

    operations = [migrations.RunSQL(ERASED + SESSION + FILE + ANSWERS, UNDO)]
