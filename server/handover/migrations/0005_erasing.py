"""Erasing a customer takes the sentences out of what was agreed, which may name them, and leaves the figures."""

from importlib import import_module

from django.db import migrations

BEFORE = import_module("handover.migrations.0004_editions")

WITHOUT = """
CREATE FUNCTION handover_without_person(picture jsonb) RETURNS jsonb LANGUAGE sql IMMUTABLE AS $$
    SELECT jsonb_set(jsonb_set(picture, '{choice,reasons}', '"Erased with the customer."', false),
        '{choice,lost}', '[]', false)
$$;
"""
STAYS = """
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
        IF fitting_erased(OLD.session_id)
            AND NEW.reasons = 'Erased with the customer.' AND NEW.correction = '' AND NEW.lost = '[]'::jsonb
            AND NEW.picture = handover_without_person(OLD.picture)
            AND (to_jsonb(NEW) - '{reasons,correction,lost,picture}'::text[])
                = (to_jsonb(OLD) - '{reasons,correction,lost,picture}'::text[]) THEN
            RETURN NEW;
        END IF;
    END IF;
    RAISE EXCEPTION 'A row of % is kept as it was agreed.', TG_TABLE_NAME USING ERRCODE = 'restrict_violation';
END $$;
"""
UNDO = (
    BEFORE.STAYS.partition("CREATE TRIGGER")[0].replace("CREATE FUNCTION", "CREATE OR REPLACE FUNCTION")
    + "DROP FUNCTION handover_without_person(jsonb);"
)


class Migration(migrations.Migration):
    dependencies = [("handover", "0004_editions"), ("fitting", "0013_erasing")]

    operations = [migrations.RunSQL(WITHOUT + STAYS, UNDO)]
