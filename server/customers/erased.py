"""Who was erased, listed beside the data by a random number of theirs, so that a backup from before does not bring
anybody back."""

from __future__ import annotations

import os
from collections.abc import Iterable
from pathlib import Path

from .models import Customer

LIST = "HEMICYCLE_ERASED"


def _file() -> Path | None:
    named = os.environ.get(LIST)
    return Path(named) if named else None


def listed() -> set[str]:
    """Of the list beside the data; empty where there is none."""
    path = _file()
    return set(path.read_text().split()) if path is not None and path.is_file() else set()


def known() -> set[str]:
    """Of the list and of the record."""
    here = Customer.objects.exclude(erased_at=None).values_list("uid", flat=True)
    return listed() | {str(uid) for uid in here}


def write_down(uids: Iterable[str]) -> None:
    """Put them on the list, whole or not at all."""
    path, wanted = _file(), listed()
    if path is None or wanted >= (more := set(uids)):
        return
    part = path.with_suffix(".part")
    with os.fdopen(os.open(part, os.O_WRONLY | os.O_CREAT | os.O_TRUNC, 0o600), "w") as file:
        file.write("\n".join(sorted(wanted | more)) + "\n")
        file.flush()
        os.fsync(file.fileno())
    part.replace(path)
