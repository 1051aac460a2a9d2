"""Figures as they stand in the cells of a file: with units, sides, thousands and either decimal mark.

One column has one way of writing a figure. What a cell leaves open (`1,234`, `7.013`) is told by the other cells of its
column, then by those of the file; what goes against its column is refused, never read as ten times as much.
"""

from __future__ import annotations

import re
from collections.abc import Sequence
from dataclasses import dataclass
from enum import StrEnum

from ...errors import BadInput
from ...said import say, term
from ...units import UNITS, Quantity
from .words import NOBODY, SIDES, unit_of

MOST_DIGITS = 40
_GROUPS = r"[ '’\u00a0\u202f]"
_FIGURE = re.compile(r"[+\-]?\d[\d.,' ’]*")


class Mark(StrEnum):
    """What stands before the decimals."""

    POINT = "."
    COMMA = ","
    MIXED = "both"  # some of a column have one, as many the other


@dataclass(frozen=True)
class ReadCell:
    """A cell taken apart. digits: the figure as written; unit: suffix, empty where none stands there; side: of the
    target line, 0 where none is said; mark: the decimal mark it shows beyond doubt; open: it shows one that may part
    thousands as well."""

    digits: str
    unit: str
    side: int
    mark: Mark | None
    open: bool


def taken_apart(cell: str) -> ReadCell | None:
    """A cell as a figure with what stands beside it; None where nobody wrote one. Raises BadInput for anything else."""
    text = cell.strip().replace("\u2212", "-")
    if text.lower() in NOBODY:
        return None
    left, side = _without_side(text)
    found = _FIGURE.match(left)
    if found is None or len(left) > MOST_DIGITS:
        raise BadInput(say("file-not-number", cell=cell.strip()[:MOST_DIGITS]))
    digits, rest = found.group().strip().rstrip(".,'’ "), left[found.end() :].strip()
    power = re.fullmatch(r"[eE]([+\-]?\d{1,2})", rest)
    unit = unit_of(rest) if rest and not power else ""
    if unit is None:
        raise BadInput(say("file-not-number", cell=cell.strip()[:MOST_DIGITS]))
    digits = re.sub(_GROUPS + r"(?=\d{3}(?:\D|$))", "", digits)
    if re.search(_GROUPS, digits):
        raise BadInput(say("file-not-number", cell=cell.strip()[:MOST_DIGITS]))
    mark, open_ = _marks(digits, cell)
    return ReadCell(digits + (f"e{power[1]}" if power else ""), unit, side, mark, open_)


def unit_of_cell(cell: str) -> str:
    """The unit that stands beside a figure; empty for none."""
    try:
        found = taken_apart(cell)
    except BadInput:
        return ""
    return found.unit if found else ""


def _without_side(text: str) -> tuple[str, int]:
    """A cell without the word for its side, wherever that stands: `L 4`, `4L`, `4 yd left`."""
    words = re.findall(r"[^\W\d_]+", text.lower())
    there = [word for word in words if word in SIDES]
    if len(there) != 1:
        return text, 0
    bare = re.sub(rf"(?i)(?<![^\W\d_]){there[0]}(?![^\W\d_])", " ", text, count=1)
    return bare.strip(), SIDES[there[0]]


def _marks(digits: str, cell: str) -> tuple[Mark | None, bool]:
    points, commas = digits.count("."), digits.count(",")
    if points and commas:
        mark = Mark.POINT if digits.rfind(".") > digits.rfind(",") else Mark.COMMA
        other = "," if mark is Mark.POINT else "."
        groups = digits.split(mark.value, maxsplit=1)[0].lstrip("+-").split(other)
        if digits.count(mark.value) > 1 or any(len(group) != 3 for group in groups[1:]) or not 0 < len(groups[0]) < 4:
            raise BadInput(say("file-not-number", cell=cell.strip()[:MOST_DIGITS]))
        return mark, False
    if not points and not commas:
        return None, False
    sign = Mark.POINT if points else Mark.COMMA
    whole, *parts = digits.lstrip("+-").split(sign.value)
    if len(parts) > 1:
        if any(len(part) != 3 for part in parts) or not 0 < len(whole) < 4:
            raise BadInput(say("file-not-number", cell=cell.strip()[:MOST_DIGITS]))
        return (Mark.COMMA if sign is Mark.POINT else Mark.POINT), False  # it parts thousands
    if len(parts[0]) == 3 and 0 < len(whole) < 4 and not whole.startswith("0"):
        return None, True
    return sign, False


def mark_of(cells: Sequence[str]) -> Mark | None:
    """The decimal mark that most of some cells show beyond doubt; None where they show none."""
    votes = {Mark.POINT: 0, Mark.COMMA: 0}
    for cell in cells:
        try:
            found = taken_apart(cell)
        except BadInput:
            continue
        if found is not None and found.mark is not None:
            votes[found.mark] += 1
    few, many = sorted(votes, key=lambda mark: votes[mark])
    if not votes[many]:
        return None
    return many if votes[many] > votes[few] else Mark.MIXED


def figure(cell: str, *, mark: Mark | None, otherwise: Mark | None, unit: str, quantity: Quantity) -> float | None:
    """A cell in the canonical unit of its quantity; None where nobody wrote one.

    mark: of its column, otherwise: of the file; unit: of its column, where the cell names none. Raises BadInput for
    what is no figure, for one that goes against its column, and for one that could be two.
    """
    found = taken_apart(cell)
    if found is None:
        return None
    if found.unit and UNITS[found.unit].quantity is not quantity:
        raise BadInput(say("file-not", cell=cell.strip()[:MOST_DIGITS], quantity=term("quantity", quantity)))
    decimal = mark or (None if otherwise is Mark.MIXED else otherwise)
    if (found.mark is not None and mark is not None and found.mark is not mark) or (found.open and mark is Mark.MIXED):
        raise BadInput(say("file-has-another-decimal-mark", cell=cell.strip()))
    if found.open:
        sign = "." if "." in found.digits else ","
        if decimal is None and quantity is Quantity.SPIN:
            raise BadInput(say("file-may-thousand-times-much", cell=cell.strip()))
        as_decimal = (decimal is not None and decimal.value == sign) or (decimal is None and sign == ".")
        text = found.digits.replace(",", ".") if as_decimal else found.digits.replace(sign, "")
    else:
        sign = (found.mark or Mark.POINT).value
        text = found.digits.replace("," if sign == "." else ".", "").replace(sign, ".")
    value = float(text)
    if found.side:
        value = found.side * abs(value)
    return UNITS[found.unit or unit].to_canonical(value)
