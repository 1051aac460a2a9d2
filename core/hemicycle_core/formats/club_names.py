"""Club names as files and people write them, brought to one short form: what kind of head, and which of its kind.

The kind is told by a word, never assumed: a name that says none has none. `Hybrid 19°`, `2 DI`, `Holz 5`, `fer 6` do.
"""

from __future__ import annotations

import re
from dataclasses import dataclass

from ..bag import HeadType
from ..bag.clubs import BY_LOFT, WEDGE_LOFTS

SHORT = {HeadType.IRON: "i", HeadType.FAIRWAY: "W", HeadType.HYBRID: "H", HeadType.UTILITY: "U"}
NAMED = {kind: word for word, kind in BY_LOFT.items()}
# English first, then German, French, Spanish.
KINDS: dict[str, HeadType] = {
    word: kind
    for kind, words in {
        HeadType.IRON: ("iron", "irons", "i", "ir", "eisen", "fer", "hierro"),
        HeadType.FAIRWAY: ("wood", "w", "wd", "fairway", "fw", "fairway wood", "holz", "fairwayholz", "bois", "madera"),
        HeadType.HYBRID: ("hybrid", "h", "hy", "hyb", "hybride", "híbrido", "hibrido"),
        HeadType.UTILITY: ("utility", "u", "ut", "util", "utility iron", "driving iron", "di"),
    }.items()
    for word in words
}
DRIVERS = frozenset(("driver", "dr", "d", "1w", "1 w", "1 wood", "w1", "wood 1", "holz 1", "bois 1"))
PUTTERS = frozenset(("putter", "putt", "pt"))
WEDGES = {
    "pitching": "PW", "pitch": "PW", "pw": "PW", "gap": "GW", "gw": "GW", "approach": "GW", "aw": "GW",
    "sand": "SW", "sw": "SW", "lob": "LW", "lw": "LW",
}  # fmt: skip
WEDGE_WORDS = frozenset(("wedge", "w", "wedges"))
DEGREES = frozenset(("deg", "degree", "degrees", "grad", "°"))
MOST_NUMBER = 11  # an iron, wood or hybrid by number; a larger figure is its loft
LONG_LOFTS = (9.0, 45.0)


@dataclass(frozen=True)
class ClubNamed:
    """What a name says. short: how the club is called here; kind: of head, None where it does not say; loft_deg: where
    it says one."""

    short: str
    kind: HeadType | None = None
    loft_deg: float | None = None


def named(written: str) -> ClubNamed:
    """`5 iron`, `iron-5`, `Eisen 5`, `5I` to `5i`; `Wood 5`, `5 fairway wood` to `5W`; `Hybrid 19°` to `19° hybrid`;
    `52`, `52 deg`, `SW 52` to `52°`. What follows a club and says nothing of it stays behind it (`54 old`); a name that
    says no kind stays as it is written."""
    bare = " ".join(re.sub(r"[\[({].*?[\])}]", " ", written).split())
    plain = " ".join(re.sub(r"[\s_\-–]+", " ", bare.lower()).split())
    if plain in DRIVERS:
        return ClubNamed("Dr", HeadType.DRIVER)
    if plain in PUTTERS:
        return ClubNamed("Pt", HeadType.PUTTER)
    # `7i`, `i7`, `19°h` in their parts.
    parts = re.findall(r"\d+(?:[.,/]\d+)?|(?:driving|utility) iron\b|fairway wood\b|[^\W\d_]+|°", plain)
    for count in range(len(parts), 0, -1):
        found = _of_parts(parts[:count])
        if found is not None:
            rest = " ".join(parts[count:])
            if rest and not _is_remark(parts[:count], parts[count:]):
                break
            return ClubNamed(written.strip() if rest else found.short, found.kind, found.loft_deg)
    return ClubNamed(written.strip())


def _is_remark(club: list[str], rest: list[str]) -> bool:
    """Whether what follows a club only says which of two it is: one letter is too little for a club by itself."""
    return len("".join(club)) > 1 and not any(part in KINDS or part[:1].isdigit() for part in rest)


def _of_parts(parts: list[str]) -> ClubNamed | None:
    """A club from words, a figure and a mark for degrees, in any order; None where they are none."""
    figures = [part for part in parts if part[0].isdigit()]
    degrees = any(part in DEGREES for part in parts)
    words = [part for part in parts if not part[0].isdigit() and part not in DEGREES]
    if len(figures) > 1 or len(words) > 2:
        return None
    figure = re.split(r"[/]", figures[0])[0].replace(",", ".") if figures else ""
    return _wedge(words, figure) or _long(" ".join(words), figure, degrees)


def _wedge(words: list[str], figure: str) -> ClubNamed | None:
    """A wedge by its loft, of which `56.10` and `56/10` name the bounce too, or by its word."""
    loft = float(figure.split(".", maxsplit=1)[0]) if figure else None
    if loft is not None and not WEDGE_LOFTS[0] <= loft <= WEDGE_LOFTS[1]:
        return None
    name = next((WEDGES[word] for word in words if word in WEDGES), None)
    rest = [word for word in words if word not in WEDGES]
    if any(word not in WEDGE_WORDS for word in rest) or len(words) - len(rest) > 1:
        return None
    if loft is not None:
        exact = float(figure) if re.fullmatch(r"\d\d\.5", figure) else loft
        return ClubNamed(f"{exact:g}°", HeadType.WEDGE, exact)
    return None if name is None else ClubNamed(name, HeadType.WEDGE)


def _long(words: str, figure: str, degrees: bool) -> ClubNamed | None:
    if words in ("driver", "dr") and figure:
        loft = float(figure)
        return ClubNamed("Dr", HeadType.DRIVER, loft) if 6 <= loft <= 16 else None
    kind = KINDS.get(words)
    if kind is None or not figure:
        return None
    number = float(figure)
    if not degrees and number.is_integer() and 1 <= number <= MOST_NUMBER:
        return ClubNamed(f"{number:.0f}{SHORT[kind]}", kind)
    if LONG_LOFTS[0] <= number <= LONG_LOFTS[1]:
        return ClubNamed(f"{number:g}° {NAMED[kind]}", kind, number)
    return None


def short_name(written: str) -> str:
    """A name as it is called here; one that says no kind as it is written."""
    return named(written).short


def kind_of(written: str) -> HeadType | None:
    """The kind of head that a name says; None where it says none."""
    return named(written).kind
