"""Telling whoever listens that a session changed: PostgreSQL NOTIFY, heard when the transaction commits.

Fitting says it and does not know who hears it; `live` hears it and tells the screens.
"""

from __future__ import annotations

import json
from typing import Any

from django.db import connection

CHANNEL = "hemicycle_session"


def tell_sign_ins(user_id: int) -> None:
    """Somebody’s sign-ins ended or changed: their open streams look whether they still hold."""
    with connection.cursor() as cursor:
        cursor.execute("SELECT pg_notify(%s, %s)", [CHANNEL, json.dumps({"sign_ins": user_id})])


def tell(
    session_id: int,
    revision: int,
    what: str,
    *,
    shot: dict[str, Any] | None = None,
    now: dict[str, Any] | None = None,
) -> None:
    """session_id, revision: the session as it now is. what: changed, in a word. shot: a new or changed shot as screens
    draw it, now: plain fields of the session, so that they are seen before anything is read anew. A notice holds 8,000
    bytes; a shot is under 1,500."""
    notice = {"session": session_id, "revision": revision, "what": what, "shot": shot, "now": now}
    with connection.cursor() as cursor:
        cursor.execute("SELECT pg_notify(%s, %s)", [CHANNEL, json.dumps(notice)])
