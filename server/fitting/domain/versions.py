"""Which versions of which rows an answer rests on, as PostgreSQL itself counts them: whoever writes to one of these
rows, by whatever way, makes another version of it, and what was kept of the ones before is not met again."""

from __future__ import annotations

from collections.abc import Callable, Collection, Iterator
from dataclasses import dataclass
from functools import cache
from typing import Any

from customers.models import Customer
from django.conf import settings
from django.db import connection
from django.db.models import QuerySet
from psycopg import Cursor
from rack.models import Head, Shaft
from shop.models import Bay, Shop, User

from ..models import (
    AgreedAnswers,
    BagPlan,
    BayHold,
    Build,
    Feel,
    FittingSession,
    HeadSeen,
    Job,
    PlayerScreen,
    Run,
    Shot,
    ShotImport,
    TargetOverride,
    Trial,
    TrialEvent,
    WindowVersion,
)


@dataclass(frozen=True)
class Version:
    """Of a session's rows. counted: by table how many rows, and their versions taken together."""

    session: int
    counted: tuple[tuple[str, int, int], ...]

    def of(self, tables: Collection[str]) -> tuple[int, ...]:
        """The version of the rows of some tables."""
        missing = set(tables) - {name for name, _, _ in self.counted}
        assert not missing, missing
        return (self.session, *(each for name, *parts in self.counted if name in tables for each in parts))


OF_SESSION = (
    AgreedAnswers,
    BagPlan,
    Job,
    PlayerScreen,
    Shot,
    ShotImport,
    TargetOverride,
    Trial,
    TrialEvent,
    WindowVersion,
)
# A row's transaction and its place: no other version of the row has both.
ROW = "bit_xor(hashtextextended(row.xmin::text || row.ctid::text, 0))"


@cache
def _question() -> str:
    """One question for all of them: of each table how many rows, and their versions taken together."""
    session, customer = (each._meta.db_table for each in (FittingSession, Customer))
    whose, bay = (f"""(SELECT {name} FROM "{session}" WHERE id = %(session)s)""" for name in ("customer_id", "bay_id"))
    family = f"""SELECT id FROM "{customer}" WHERE id = {whose} OR merged_into_id = {whose}"""
    visits = f"""SELECT id FROM "{session}" WHERE customer_id IN ({family})"""
    mine = f"""SELECT id FROM "{Build._meta.db_table}" WHERE session_id = %(session)s"""
    held = f"""SELECT unnest(ARRAY[session_id, partner_id]) FROM "{BayHold._meta.db_table}" WHERE bay_id = {bay}"""
    parts = [_of(each, "session_id = %(session)s") for each in OF_SESSION]
    parts += [
        # The irons of the visit before are read too, and who is in the bay now.
        _of(FittingSession, f"id IN ({visits} UNION {held})"),
        _of(Build, f"session_id IN ({visits})"),
        _of(Run, f"build_id IN ({mine})"),
        _of(Feel, f"build_id IN ({mine})"),
        _of(Customer, f"""id IN ({family} UNION SELECT customer_id FROM "{session}" WHERE id IN ({held}))"""),
        _of(BayHold, f"bay_id = {bay}"),
        _of(Bay, f"id = {bay}"),
        _of(Shop, "id = %(shop)s"),
        _of(User, "shop_id = %(shop)s"),
        _of(Head, "shop_id = %(shop)s"),
        _of(Shaft, "shop_id = %(shop)s"),
        # Never changed, only added, and there are many.
        f"""SELECT '{HeadSeen._meta.db_table}', count(*), max(id) FROM "{HeadSeen._meta.db_table}"
        WHERE shop_id = %(shop)s""",
    ]
    plans = BagPlan.builds.through._meta.db_table
    parts.append(
        f"""SELECT '{plans}', count(*), {ROW} FROM "{plans}" row
        WHERE bagplan_id IN (SELECT id FROM "{BagPlan._meta.db_table}" WHERE session_id = %(session)s)"""
    )
    return " UNION ALL ".join(parts)


def _of(model: Any, where: str) -> str:
    table = model._meta.db_table
    return f"""SELECT '{table}', count(*), {ROW} FROM "{table}" row WHERE {where}"""


def version_of(shop_id: int, session_id: int) -> Version:
    """Of all that is answered of a session of a shop: two that are equal rest on the same rows. It is asked for before
    the rows are read: then they are no older than it."""
    connection.ensure_connection()
    # By a cursor that lets PostgreSQL keep its plan: to plan it took as long as to answer it.
    with Cursor(connection.connection) as cursor:
        cursor.execute(_question(), {"session": session_id, "shop": shop_id}, prepare=not settings.POOLED)
        return Version(session_id, tuple((name, many, taken or 0) for name, many, taken in sorted(cursor.fetchall())))


_tables: dict[str, frozenset[str]] = {}


def tables_of(name: str, query: Callable[[], QuerySet[Any]]) -> frozenset[str]:
    """Every table whose rows a query reads: its own, what it joins, what comes along with each row. name: of the query,
    which always reads the same ones."""
    if name not in _tables:
        _tables[name] = frozenset(_read_by(query()))
    return _tables[name]


def _read_by(query: Any) -> Iterator[str]:
    asked = query.query
    yield from (table.table_name for alias, table in asked.alias_map.items() if asked.alias_refcount[alias])
    joined = asked.select_related
    with_each = [str(each) for each in query._prefetch_related_lookups]
    for path in [*(_paths(joined) if isinstance(joined, dict) else ()), *with_each]:
        model = query.model
        for step in path.split("__"):
            model = model._meta.get_field(step).related_model
            yield model._meta.db_table


def _paths(joined: dict[str, Any], before: str = "") -> Iterator[str]:
    for name, further in joined.items():
        yield f"{before}{name}"
        yield from _paths(further, f"{before}{name}__")
