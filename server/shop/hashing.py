"""Passwords are hashed one at a time: it takes all of a core for as long as it lasts, and shots do not wait for it."""

from __future__ import annotations

import threading
from typing import Any

from django.contrib.auth.hashers import ScryptPasswordHasher
from django.db import connection

_ONE = threading.Lock()


class OneAtATime(ScryptPasswordHasher):
    """Django's own, for one password after another."""

    def encode(self, password: str, salt: Any, *cost: int | None, **more: int | None) -> str:
        if not connection.in_atomic_block:
            connection.close()  # whoever waits holds none that a shot could have
        with _ONE:
            return super().encode(password, salt, *cost, **more)
