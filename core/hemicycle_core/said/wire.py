"""What was said as plain data: over the wire and where it is kept, and back."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any

from .quantity import Form, Kind, Quantity
from .sentence import NOTHING, PARTS, TEXT, Said, joined, plain

SAY, GLUE = "say", "glue"
KINDS = frozenset(Kind)


def as_data(said: Any) -> Any:
    """JSON: text as it is; a message as `{"say": id, name: value}`; sentences one after another as
    `{"say": [...], "glue": " "}`; a quantity as `{kind: value}` with its digits and form where they are not the usual
    ones."""
    if isinstance(said, Quantity):
        return _quantity(said)
    if not isinstance(said, Said):
        return said
    if said.id == TEXT:
        return said.values[0][1]
    if said.id == PARTS:
        glue = said.values[1][1]
        parts = [as_data(each) for each in said.parts]
        return {SAY: parts} if glue == " " else {SAY: parts, GLUE: glue}
    return {SAY: said.id, **{name: as_data(value) for name, value in said.values}}


def _quantity(said: Quantity) -> dict[str, Any]:
    made: dict[str, Any] = {str(said.kind): float(f"{said.value:.7g}")}
    if said.digits:
        made["digits"] = said.digits
    if said.form:
        made["form"] = str(said.form)
    if said.difference:
        made["difference"] = True
    return made


def as_said(data: Any) -> Said:
    """Back from `as_data`, and text as the data it is. Raises ValueError for data that nobody said."""
    read = NOTHING if data is None else data if isinstance(data, Said) else _read(data)
    if not isinstance(read, Said | str):
        raise ValueError(f"nobody says {data!r}")
    return plain(read) if isinstance(read, str) else read


def _read(data: Any) -> Any:
    if not isinstance(data, Mapping):
        return data
    if SAY not in data:
        kind = next((key for key in data if key in KINDS), None)
        if kind is None:
            raise ValueError(f"nobody says {data!r}")
        form, difference = Form(data.get("form", "")), bool(data.get("difference", False))
        return Quantity(Kind(kind), float(data[kind]), int(data.get("digits", 0)), form, difference)
    if isinstance(data[SAY], list):
        return joined([as_said(each) for each in data[SAY]], data.get(GLUE, " "))
    return Said(data[SAY], tuple((name, _read(value)) for name, value in data.items() if name != SAY))
