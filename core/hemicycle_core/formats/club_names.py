"""Club names as files and people write them, brought to one short form."""

from __future__ import annotations

import re

from ..bag import HeadType
from ..bag.clubs import WEDGE_LOFTS

WORDS = {"driver": "Dr", "dr": "Dr", "d": "Dr", "1w": "Dr", "1 wood": "Dr", "putter": "Pt"}
WEDGES = {
    "pitching": "PW", "pw": "PW", "gap": "GW", "gw": "GW", "approach": "GW", "aw": "GW",
    "sand": "SW", "sw": "SW", "lob": "LW", "lw": "LW",
}  # fmt: skip
KINDS = {
    "iron": "i", "i": "i", "wood": "W", "w": "W", "fairway": "W", "fw": "W",
    "hybrid": "H", "h": "H", "hy": "H", "utility": "U", "u": "U", "driving iron": "U",
}  # fmt: skip
# Wedges go by their loft: what may stand beside it, and the lofts they come in.
MARKED = {"", "°", "deg", "degree", "degrees", "wedge", "° wedge", "degree wedge"}
HEADS = {"i": HeadType.IRON, "W": HeadType.FAIRWAY, "H": HeadType.HYBRID, "U": HeadType.UTILITY}


def short_name(written: str) -> str:
    """`5 iron`, `iron-5`, `5I` to `5i`; `Wood 5`, `5 fairway wood` to `5W`; `52`, `52 deg`, `52 wedge` to
    `52°`; unknown names as written."""
    plain = re.sub(r"[\s_\-]+", " ", written.strip().lower())
    if plain in WORDS:
        return WORDS[plain]
    for word, name in WEDGES.items():
        if plain in (word, f"{word} wedge", f"{word} w"):
            return name
    digits = re.findall(r"\d+", plain)
    rest = re.sub(r"\d+", " ", plain).replace("wood wood", "wood").strip()
    rest = "fairway" if rest == "fairway wood" else re.sub(r"\s+", " ", rest)
    if len(digits) == 1 and rest in MARKED and WEDGE_LOFTS[0] <= int(digits[0]) <= WEDGE_LOFTS[1]:
        return f"{digits[0]}°"
    if len(digits) == 1 and rest in KINDS and 1 <= int(digits[0]) <= 11:
        return f"{digits[0]}{KINDS[rest]}"
    return written.strip()


def head_type_of(name: str) -> HeadType:
    """The kind of head a short name stands for, by its first word: the second of two alike is called `54 old`. An iron
    when it says nothing."""
    first = short_name(name.split(maxsplit=1)[0]) if name.split() else ""
    if first == "Dr":
        return HeadType.DRIVER
    if first == "Pt":
        return HeadType.PUTTER
    if first in WEDGES.values() or re.fullmatch(r"\d\d°?", first):
        return HeadType.WEDGE
    return HEADS.get(first[-1:], HeadType.IRON)
