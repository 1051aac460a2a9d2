"""A shop after years: the demo's customers, visits and shots, copied in the database until there are so many."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, field
from typing import Any

from customers.models import Customer
from django.db import connection, models, transaction
from fitting.models import Build, FittingSession, HeadSeen, Job, Run, Shot, TakenInHand
from handover.models import Recommendation
from shop.models import AuditEntry

APART = 100_000  # between the numbers of one copy and the next
AGAIN = 10_000  # between a shot and itself in the same visit
DAYS = 3650  # over which the visits lie
OPEN = 40  # copies whose visits are not agreed


@dataclass(frozen=True)
class Copied:
    """moved: columns, beside the keys, that a copy has otherwise; `k` is its number. times: how often in one copy."""

    model: type[models.Model]
    moved: Mapping[str, str] = field(default_factory=dict)
    times: str = "1"


COPIED = (
    Copied(Customer, {"name": "name || ' ' || k"}),
    Copied(
        FittingSession,
        {
            "held_on": f"held_on - mod(k, {DAYS})",
            "agreed_at": f"CASE WHEN k <= {OPEN} THEN agreed_at ELSE coalesce(agreed_at, held_on - mod(k, {DAYS})) END",
        },
    ),
    Copied(Job),
    Copied(Build),
    Copied(Run),
    Copied(
        Shot,
        {"id": f"id + k * {APART} + m * {AGAIN}", "number": "number + 1000 * m", "feed_id": "''"},
        times="2 + (mod(k, 5) < 2)::int",
    ),
    Copied(HeadSeen),
    Copied(TakenInHand),
    Copied(Recommendation, {"next_check": "CURRENT_DATE - 20 + mod(k, 1500)"}),
    Copied(Recommendation.builds.through),
    Copied(Recommendation.dropped.through),
    Copied(AuditEntry, {"of_session": f"of_session + k * {APART}", "of_customer": f"of_customer + k * {APART}"}),
)


def copy_visits(sessions: int) -> dict[str, int]:
    """Copy the demo's visits until there are about so many, as PostgreSQL's own superuser: past triggers and keys. How
    many rows there are then, by table."""
    there = FittingSession.objects.filter(pk__lt=APART).count()
    copies = max(sessions // there - 1, 0)
    known = {each.model for each in COPIED}
    with connection.cursor() as cursor:
        with transaction.atomic():
            cursor.execute("SET LOCAL session_replication_role = replica")
            for each in COPIED:
                cursor.execute(_sql(each, known), [copies])
        cursor.execute("VACUUM ANALYZE")
    return {each.model._meta.db_table: each.model._default_manager.count() for each in COPIED}


def _sql(copied: Copied, known: set[type[models.Model]]) -> str:
    meta = copied.model._meta
    columns = [each for each in meta.concrete_fields if each.column != "made_in" and not each.generated]

    def value(column: Any) -> str:
        if column.name in copied.moved:
            return copied.moved[column.name]
        if column.primary_key or (column.is_relation and column.related_model in known):
            return f'"{column.column}" + k * {APART}'
        return "gen_random_uuid()" if isinstance(column, models.UUIDField) else f'"{column.column}"'

    names = ", ".join(f'"{each.column}"' for each in columns)
    return f"""INSERT INTO "{meta.db_table}" ({names}) SELECT {", ".join(value(each) for each in columns)}
        FROM "{meta.db_table}", generate_series(1, %s) k, generate_series(0, {copied.times} - 1) m
        WHERE id < {APART}"""
