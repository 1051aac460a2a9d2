"""Telling whoever listens that a session changed: PostgreSQL NOTIFY, heard when the transaction commits.

Fitting says it and does not know who hears it; `live` hears it and tells the screens.
"""

from __future__ import annotations

import json
from typing import Any

from django.db import connection

CHANNEL = "hemicycle_session"
MOST_BYTES = 7_900  # PostgreSQL carries 8,000


def tell_sign_ins(user_id: int) -> None:
    """Somebody’s sign-ins ended or changed: their open streams look whether they still hold."""
    with connection.cursor() as cursor:
        cursor.execute("SELECT pg_notify(%s, %s)", [CHANNEL, json.dumps({"sign_ins": user_id})])


def tell(session_id: int, revision: int, what: str, **seen: dict[str, Any] | None) -> None:
    """session_id, revision: the session as it now is. what: changed, in a word. seen: what is seen of it before
    anything is read anew, as far as a notice holds it: a shot is under 1,500 bytes, a build's averages under 2,000."""
    told = {"session": session_id, "revision": revision, "what": what}
    notice = json.dumps({**told, **seen})
    if len(notice) > MOST_BYTES:
        notice = json.dumps({**told, **dict.fromkeys(seen)})
    with connection.cursor() as cursor:
        cursor.execute("SELECT pg_notify(%s, %s)", [CHANNEL, notice])
