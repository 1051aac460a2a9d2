"""PostgreSQL itself refuses to change what was agreed, whoever asks and by whatever way."""

from django.db import migrations

# Of an agreed session only the count of its revisions moves: a correction is one.
SESSION = """
CREATE FUNCTION fitting_agreed_session_stays() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
    IF OLD.agreed_at IS NULL THEN
        RETURN COALESCE(NEW, OLD);
    END IF;
    IF TG_OP = 'UPDATE' AND (to_jsonb(NEW) - 'revision') = (to_jsonb(OLD) - 'revision') THEN
        RETURN NEW;
    END IF;
    RAISE EXCEPTION 'Session % is agreed and does not change.', OLD.id USING ERRCODE = 'restrict_violation';
END $$;
CREATE TRIGGER agreed_stays BEFORE UPDATE OR DELETE ON fitting_fittingsession
    FOR EACH ROW EXECUTE FUNCTION fitting_agreed_session_stays();
"""

# TG_ARGV: how the row finds its session.
PART = """
CREATE FUNCTION fitting_part_of_agreed_stays() RETURNS trigger LANGUAGE plpgsql AS $$
DECLARE
    kept jsonb := CASE WHEN TG_OP = 'DELETE' THEN to_jsonb(OLD) ELSE to_jsonb(NEW) END;
    other jsonb := CASE WHEN TG_OP = 'UPDATE' THEN to_jsonb(OLD) ELSE kept END;
    found bigint[];
BEGIN
    IF TG_ARGV[0] = 'session' THEN
        found := ARRAY[(kept->>'session_id')::bigint, (other->>'session_id')::bigint];
    ELSIF TG_ARGV[0] = 'build' THEN
        SELECT array_agg(session_id) INTO found FROM fitting_build
            WHERE id IN ((kept->>'build_id')::bigint, (other->>'build_id')::bigint);
    ELSE
        SELECT array_agg(session_id) INTO found FROM fitting_bagplan
            WHERE id IN ((kept->>'bagplan_id')::bigint, (other->>'bagplan_id')::bigint);
    END IF;
    IF EXISTS (SELECT 1 FROM fitting_fittingsession WHERE id = ANY (found) AND agreed_at IS NOT NULL) THEN
        RAISE EXCEPTION 'This row of % belongs to an agreed session and does not change.', TG_TABLE_NAME
            USING ERRCODE = 'restrict_violation';
    END IF;
    RETURN COALESCE(NEW, OLD);
END $$;
"""
PARTS = {
    "fitting_job": "session",
    "fitting_build": "session",
    "fitting_shotimport": "session",
    "fitting_shot": "session",
    "fitting_targetoverride": "session",
    "fitting_windowversion": "session",
    "fitting_bagplan": "session",
    "fitting_run": "build",
    "fitting_bagplan_builds": "plan",
}

ANSWERS = """
CREATE FUNCTION fitting_kept_for_good() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
    RAISE EXCEPTION 'A row of % is kept as it was agreed.', TG_TABLE_NAME USING ERRCODE = 'restrict_violation';
END $$;
CREATE TRIGGER agreed_stays BEFORE UPDATE OR DELETE ON fitting_agreedanswers
    FOR EACH ROW EXECUTE FUNCTION fitting_kept_for_good();
"""


def watch(table: str, by: str) -> str:
    return (
        f"CREATE TRIGGER agreed_stays BEFORE INSERT OR UPDATE OR DELETE ON {table} "
        f"FOR EACH ROW EXECUTE FUNCTION fitting_part_of_agreed_stays('{by}');"
    )


def undo() -> str:
    tables = ["fitting_fittingsession", "fitting_agreedanswers", *PARTS]
    functions = ["fitting_agreed_session_stays", "fitting_part_of_agreed_stays", "fitting_kept_for_good"]
    return "".join(
        [
            *(f"DROP TRIGGER agreed_stays ON {table};" for table in tables),
            *(f"DROP FUNCTION {function}();" for function in functions),
        ]
    )


class Migration(migrations.Migration):
    dependencies = [("fitting", "0010_revision_and_protocol")]

    operations = [
        migrations.RunSQL(SESSION + PART + "".join(watch(*part) for part in PARTS.items()) + ANSWERS, undo()),
    ]
