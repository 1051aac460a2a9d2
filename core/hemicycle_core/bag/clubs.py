"""A club as the bag sees it: where it carries and where it stops."""

from __future__ import annotations

import re
from collections.abc import Iterable
from dataclasses import dataclass

from ..errors import BadInput
from ..heads import HeadType
from ..said import say
from ..units import METRES_PER_INCH

# Usual lofts and lengths, to start a typed club from; the fitter measures the real ones.
USUAL_LOFT_AND_INCHES: dict[str, tuple[float, float]] = {
    "Dr": (10.5, 45.5), "3W": (15, 43), "5W": (18, 42.5), "7W": (21, 42),
    "3H": (19, 40.5), "4H": (22, 40), "5H": (25, 39.5),
    "3i": (20, 39), "4i": (23, 38.5), "5i": (26, 38), "6i": (29.5, 37.5), "7i": (33, 37), "8i": (37, 36.5),
    "9i": (41, 36), "PW": (46, 35.75), "GW": (50, 35.5), "SW": (54, 35.25), "LW": (58, 35),
}  # fmt: skip


WEDGE_INCHES = 35.25
WEDGE_LOFTS = (44, 64)
# What a bag is laid out from where nobody typed it yet, by the end that is worked at; then corrected.
USUAL_SETS = {
    "short": ("7i", "8i", "9i", "PW", "50", "54", "58"),
    "long": ("Dr", "3W", "5W", "4H", "5i", "6i", "7i"),
    "whole": ("Dr", "3W", "5W", "4H", "5i", "6i", "7i", "8i", "9i", "PW", "50", "54", "58"),
}
# What heads of a kind are built to: inches at a loft, and how much shorter for a degree more.
BUILT_INCHES = {
    HeadType.DRIVER: (45.5, 10.5, 0.0), HeadType.WEDGE: (WEDGE_INCHES, 50.0, 0.0),
    HeadType.FAIRWAY: (42.0, 21.0, 1 / 6), HeadType.HYBRID: (40.0, 22.0, 1 / 6),
    HeadType.UTILITY: (39.25, 22.0, 1 / 6), HeadType.IRON: (38.5, 23.0, 1 / 7),
}  # fmt: skip
USUAL_LOFT_OF_KIND = {
    HeadType.DRIVER: 10.5, HeadType.FAIRWAY: 18.0, HeadType.HYBRID: 22.0, HeadType.UTILITY: 20.0, HeadType.IRON: 30.0,
    HeadType.WEDGE: 54.0,
}  # fmt: skip
# How far a length that nobody stated may be off what is usual, one standard deviation, where the loft is known and
# where it is not, by judgement: makers differ by about half an inch, and an iron is any of a set.
LENGTH_SD_M = (0.5 * METRES_PER_INCH, 1.2 * METRES_PER_INCH)


# How a long club is called that goes by its loft: `19° hybrid`.
BY_LOFT = {
    "wood": HeadType.FAIRWAY, "hybrid": HeadType.HYBRID, "utility": HeadType.UTILITY, "iron": HeadType.IRON,
}  # fmt: skip


def usual_loft_and_inches(name: str) -> tuple[float, float] | None:
    """Loft in degrees and length in inches that a club of this short name usually has; a wedge that goes by its loft
    has that loft, and so has the second of two alike, such as `54 old`. None for a name that says neither."""
    by_loft = re.match(rf"(\d+(?:\.\d+)?)° ({'|'.join(BY_LOFT)})\b", name)
    if by_loft:
        loft = float(by_loft[1])
        return loft, usual_length_m(BY_LOFT[by_loft[2]], loft) / METRES_PER_INCH
    marked = re.fullmatch(r"(\d\d)(?:°| .*)", name)
    if marked and WEDGE_LOFTS[0] <= int(marked[1]) <= WEDGE_LOFTS[1]:
        return float(marked[1]), WEDGE_INCHES
    return USUAL_LOFT_AND_INCHES.get(name) or USUAL_LOFT_AND_INCHES.get(name.split(" ", maxsplit=1)[0])


def usual_length_m(head_type: HeadType, loft_deg: float) -> float:
    """The length heads of a kind and loft are built to, metres."""
    inches, at, step = BUILT_INCHES.get(head_type, BUILT_INCHES[HeadType.IRON])
    return max(35.0, min(46.0, inches - (loft_deg - at) * step)) * METRES_PER_INCH


def length_known(head_type: HeadType, loft_deg: float | None, length_m: float | None) -> tuple[float, float]:
    """The length of a club in metres and one standard deviation of it: none where it was stated, else that of its kind
    and loft with its doubt."""
    if length_m is not None:
        return length_m, 0.0
    loft = USUAL_LOFT_OF_KIND.get(head_type, 30.0) if loft_deg is None else loft_deg
    return usual_length_m(head_type, loft), LENGTH_SD_M[loft_deg is None]


# A typed figure is remembered, not measured: players and fitters are out by about 5 yd, and long more than short.
TYPED_SD_M = 4.0
MOST_UNDER_M = 20.0  # of a total under its carry: what lies further is a slip


@dataclass(frozen=True)
class Carried:
    """A club in the bag, metres; spread_m is the standard deviation of its shots' carries where they are known,
    carry_sd_m that of the figure itself, as far as it is known; peak_m and spin_rpm its typical flight where known;
    shots: how many its carry is the mean of, 0 where it was not hit. of_set: a wedge that belongs to the irons;
    kept_for: the short shot a wedge is kept for, whatever its full carry; swing: its stock swing, where that is not the
    full one; on_order: not here yet, its figures are a prediction; total_read: where it stops was measured or typed,
    else it rolls as is usual of its kind. told_spread_m: as spread_m, of a club that was not hit but told of."""

    name: str
    head_type: HeadType
    carry_m: float
    total_m: float
    loft_deg: float | None = None
    spread_m: float | None = None
    peak_m: float | None = None
    landing_deg: float | None = None
    spin_rpm: float | None = None
    carry_sd_m: float = 0.0
    ball_speed_mps: float | None = None
    launch_deg: float | None = None
    shots: int = 0
    of_set: bool = False
    kept_for: str = ""
    swing: str = ""
    on_order: bool = False
    total_read: bool = True
    told_spread_m: float | None = None

    def __post_init__(self) -> None:
        if self.carry_m <= 0:
            raise BadInput(say("bag-needs-carry-more-than", name=self.name), field="carry")
        if self.total_m < self.carry_m - MOST_UNDER_M:
            raise BadInput(say("bag-total-far-under-carry", name=self.name), field="total")

    @property
    def hit(self) -> bool:
        """Whether it was hit today, with the swing of now; else it is typed, assumed, or known from another day."""
        return self.spread_m is not None

    @property
    def roll_m(self) -> float:
        return self.total_m - self.carry_m

    @property
    def is_long_end(self) -> bool:
        """Whether the club belongs to the long end; irons and wedges do not."""
        return self.head_type not in (HeadType.IRON, HeadType.WEDGE)


def in_order(clubs: Iterable[Carried]) -> tuple[Carried, ...]:
    """Clubs from the shortest carry to the longest; equal carries by name, so the order never flickers."""
    return tuple(sorted(clubs, key=lambda club: (club.carry_m, club.name)))
