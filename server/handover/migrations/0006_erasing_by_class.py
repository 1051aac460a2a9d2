"""Erasing takes out all that is the person's (`handover.kept`), of what was agreed and of the trail too: PostgreSQL lets
it, of rows of people who are erased and only while it says that it is at it."""

from importlib import import_module

from django.db import migrations

AGREED = import_module("fitting.migrations.0011_agreed_stays_agreed")

AT_IT = """
CREATE FUNCTION customers_erasing() RETURNS boolean LANGUAGE sql STABLE AS $$
    SELECT coalesce(current_setting('hemicycle.erasing', true), '') = 'on'
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
    IF TG_OP = 'UPDATE' AND customers_erasing() AND fitting_erased(OLD.id)
        AND NEW.agreed_at = OLD.agreed_at AND NEW.customer_id = OLD.customer_id THEN
        RETURN NEW;
    END IF;
    RAISE EXCEPTION 'Session % is agreed and does not change.', OLD.id USING ERRCODE = 'restrict_violation';
END $$;
"""
PART = AGREED.PART.replace("CREATE FUNCTION", "CREATE OR REPLACE FUNCTION").replace(
    "WHERE id = ANY (found) AND agreed_at IS NOT NULL)",
    "WHERE id = ANY (found) AND agreed_at IS NOT NULL\n"
    "        AND NOT (TG_OP = 'UPDATE' AND customers_erasing() AND fitting_erased(id)))",
)
assert "customers_erasing" in PART
PLAIN = "".join(
    f"DROP TRIGGER agreed_stays ON {table}; DROP TRIGGER agreed_stays_or_blank ON {table};"
    + AGREED.watch(table, "session")
    for table in ("fitting_shotimport", "fitting_coursenote", "fitting_solehanding")
)
ANSWERS = """
CREATE OR REPLACE FUNCTION fitting_kept_for_good() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
    IF TG_OP = 'UPDATE' AND customers_erasing() AND fitting_erased(OLD.session_id)
        AND (to_jsonb(NEW) - 'answers') = (to_jsonb(OLD) - 'answers') THEN
        RETURN NEW;
    END IF;
    RAISE EXCEPTION 'A row of % is kept as it was agreed.', TG_TABLE_NAME USING ERRCODE = 'restrict_violation';
END $$;
"""
EDITION = """
CREATE OR REPLACE FUNCTION handover_edition_stays() RETURNS trigger LANGUAGE plpgsql AS $$
DECLARE
    made bigint;
BEGIN
    IF TG_OP = 'INSERT' THEN
        SELECT made_in INTO made FROM handover_recommendation WHERE id = NEW.recommendation_id;
        IF made = txid_current() THEN
            RETURN NEW;
        END IF;
    ELSIF TG_OP = 'UPDATE' AND TG_TABLE_NAME = 'handover_recommendation' THEN
        IF customers_erasing() AND fitting_erased(OLD.session_id)
            AND (to_jsonb(NEW) - '{reasons,correction,lost,picture}'::text[])
                = (to_jsonb(OLD) - '{reasons,correction,lost,picture}'::text[]) THEN
            RETURN NEW;
        END IF;
    END IF;
    RAISE EXCEPTION 'A row of % is kept as it was agreed.', TG_TABLE_NAME USING ERRCODE = 'restrict_violation';
END $$;
"""
TRAIL = """
CREATE OR REPLACE FUNCTION shop_append_only() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
    IF TG_OP = 'UPDATE' AND customers_erasing() AND (to_jsonb(NEW) - 'detail') = (to_jsonb(OLD) - 'detail')
        AND (EXISTS (SELECT 1 FROM customers_customer WHERE id = OLD.of_customer AND erased_at IS NOT NULL)
            OR fitting_erased(OLD.of_session)) THEN
        RETURN NEW;
    END IF;
    RAISE EXCEPTION 'The trail of acts is only ever added to.' USING ERRCODE = 'restrict_violation';
END $$;
"""
GONE = """
DROP FUNCTION fitting_words_may_be_blanked();
DROP FUNCTION fitting_file_may_be_blanked();
DROP FUNCTION fitting_without_person(jsonb);
DROP FUNCTION fitting_without_words(jsonb);
DROP FUNCTION handover_without_person(jsonb);
"""


class Migration(migrations.Migration):
    dependencies = [
        ("handover", "0001_to_0005"),
        ("fitting", "0035_round_wind_and_place"),
        ("customers", "0004_random_number"),
        ("shop", "0001_to_0006"),
    ]

    operations = [migrations.RunSQL(AT_IT + SESSION + PART + PLAIN + ANSWERS + EDITION + TRAIL + GONE)]
