"""Which code this is, as a short word: part of every tag that tells a browser its copy still holds."""

from __future__ import annotations

import hashlib
from functools import cache
from pathlib import Path

import hemicycle_core

SERVER = Path(__file__).resolve().parents[1]
CORE = Path(hemicycle_core.__file__).resolve().parent


@cache
def code_version() -> str:
    """A digest of every source file of the server and the core."""
    made = hashlib.sha256()
    for root in (CORE, SERVER):
        for path in sorted(root.rglob("*.py")):
            made.update(path.relative_to(root).as_posix().encode())
            made.update(path.read_bytes())
    return made.hexdigest()[:16]
