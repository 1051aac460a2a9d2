"""What stands on a shop's rack: heads and shafts as they are described, and whether a description can be true."""

from __future__ import annotations

import math
from collections.abc import Callable, Mapping, Sequence
from dataclasses import dataclass
from enum import StrEnum
from functools import partial

from ..errors import BadInput
from ..heads import HEAD_WORDS, HeadType
from ..said import Form, Quantity, Said, angle, inches, money, number, say, term, weight
from ..units import METRES_PER_INCH
from .eligible import Position


class MadeForHand(StrEnum):
    """For which players a head is made."""

    RIGHT = "right"
    LEFT = "left"
    BOTH = "both"


class Made(StrEnum):
    """How a head is made, which says how far it may be bent."""

    UNKNOWN = "unknown"
    FORGED = "forged"
    CAST = "cast"
    HOLLOW = "hollow"


class Bend(StrEnum):
    """How a shaft bends as makers class it: how high it is said to launch."""

    UNKNOWN = "unknown"
    LOW = "low"
    MID = "mid"
    HIGH = "high"


# How far a head may be bent in loft or lie, degrees, unless its maker says otherwise: a forged one by two, a cast one
# by one, a hollow one not at all. The usual caution goes with every bend.
MOST_BEND_DEG = {Made.FORGED: 2.0, Made.UNKNOWN: 2.0, Made.CAST: 1.0, Made.HOLLOW: 0.0}
LOFTS: dict[HeadType, tuple[float, float]] = {
    HeadType.DRIVER: (6, 16), HeadType.FAIRWAY: (11, 32), HeadType.HYBRID: (14, 36), HeadType.UTILITY: (14, 36),
    HeadType.IRON: (14, 52), HeadType.WEDGE: (42, 66),
}  # fmt: skip
LENGTHS_IN = (30.0, 48.0)  # up to the rules' limit for all but putters
LIES_DEG, BOUNCES_DEG, HEAD_G, SHAFT_G = (48.0, 70.0), (-4.0, 20.0), (150, 400), (30, 150)
TIPS_IN, MOST_POSITIONS, MOST_STOCK = (0.3, 0.5), 24, 999
MOST_TEXT = 40


@dataclass(frozen=True)
class HeadSpec:
    """A head as a shop describes it. Degrees, inches, grams; lie, bounce and weight None where unknown. sleeve_deg: how
    far it turns either way, 0 for bonded; positions: the sleeve's own table, where the shop has it, in place of that.
    stock: 0 cannot be had. maker and model are empty of a head that is known by kind and loft alone; price: 0 where
    none was given."""

    maker: str
    model: str
    label: str
    head_type: HeadType
    loft_deg: float
    length_in: float
    price: float
    lie_deg: float | None = None
    sleeve_deg: float = 0.0
    positions: tuple[Position, ...] = ()
    tip_in: float = 0.37
    hand: MadeForHand = MadeForHand.BOTH
    sole: str = ""
    bounce_deg: float | None = None
    head_g: int | None = None
    made: Made = Made.UNKNOWN
    stock: int = 1


@dataclass(frozen=True)
class ShaftSpec:
    """A shaft as a shop describes it. Grams and inches; balance: how far up its middle of weight lies, as a share of
    its length; both None where unknown. fits: kinds of head it is made for."""

    name: str
    flex: str
    weight_g: int
    material: str
    tip_in: float
    fits: tuple[HeadType, ...]
    bend: Bend = Bend.UNKNOWN
    balance: float | None = None
    length_in: float | None = None
    stock: int = 1


Shows = Callable[[float], Quantity]
_degrees: Shows = partial(angle, form=Form.SHORT)
_figure: Shows = partial(number, form=Form.SHORT)


def _between(value: float | None, ends: tuple[float, float], what: Said, shows: Shows, field: str) -> None:
    low, high = ends
    if value is None or (math.isfinite(value) and low <= value <= high):
        return
    raise BadInput(
        say("rack-not-between", what=what, low=shows(low), high=shows(high), value=shows(value)), field=field
    )


class Wear(StrEnum):
    """How its grooves look, as the fitter sees them."""

    FRESH = "fresh"
    SOME = "some"
    WORN = "worn"


MOST_ROUNDS = 2000
LONGEST_IN, LONGEST_PUTTER_IN, SHORTEST_IN = 48.0, 60.0, 29.5


def check_stated(head_type: HeadType, stated: Mapping[str, float | None]) -> None:
    """Raise BadInput for the first thing stated of a club that cannot be true: lofts, lie and bounce in degrees,
    length in metres, rounds since it was new."""
    kind = HEAD_WORDS[head_type]
    lofts = {
        "stated_loft_deg": say("rack-stated-loft-of", kind=kind),
        "set_loft_deg": say("rack-loft-of", kind=kind),
        "measured_loft_deg": say("rack-loft-of", kind=kind),
    }
    for field, what in lofts.items():
        value = stated.get(field)
        if value is not None and head_type is not HeadType.PUTTER:
            _between(value, LOFTS[head_type], what, _degrees, field)
    length = stated.get("length_m")
    if length is not None:
        longest = LONGEST_PUTTER_IN if head_type is HeadType.PUTTER else LONGEST_IN
        _between(
            round(length / METRES_PER_INCH, 3),
            (SHORTEST_IN, longest),
            say("rack-what-length-of-a-club"),
            inches,
            "length_m",
        )
    for field, span, what in (
        ("lie_deg", (50.0, 80.0), say("rack-of-a-club-lie")),
        ("bounce_deg", (0.0, 20.0), say("rack-of-a-club-bounce")),
    ):
        value = stated.get(field)
        if value is not None:
            _between(value, span, what, _degrees, field)
    rounds = stated.get("age_rounds")
    if rounds is not None:
        _between(rounds, (0, MOST_ROUNDS), say("rack-what-age-of-a-club"), _figure, "age_rounds")


def check_label(value: str, what: str, field: str, *, needed: bool = True) -> None:
    """Raise BadInput for a name that is empty, where it is needed, or too long to stand on a card."""
    if needed and not value.strip():
        raise BadInput(say("rack-give", what=term("label-of", what)), field=field)
    if len(value) > MOST_TEXT:
        raise BadInput(say("rack-has-over-characters", what=term("label-of", what), most=MOST_TEXT), field=field)


def check_head(spec: HeadSpec) -> None:
    """Raise BadInput for the first thing of a head that cannot be true."""
    check_label(spec.label, "label", "label")
    for value, what in ((spec.maker, "maker"), (spec.model, "model")):
        check_label(value, what, what, needed=False)
    if len(spec.label) > 10:
        raise BadInput(say("rack-label-what-stands-sole"), field="label")
    if spec.head_type is HeadType.PUTTER:
        raise BadInput(say("rack-putters-do-not-stand"), field="head_type")
    check_loft(spec.head_type, spec.loft_deg)
    _between(spec.length_in, LENGTHS_IN, say("rack-what-length"), inches, "length_in")
    _between(spec.lie_deg, LIES_DEG, say("rack-what-lie"), _degrees, "lie_deg")
    _between(spec.bounce_deg, BOUNCES_DEG, say("rack-what-bounce"), _degrees, "bounce_deg")
    _between(spec.head_g, HEAD_G, say("rack-what-weight-of-a-head"), weight, "head_g")
    _between(spec.tip_in, TIPS_IN, say("rack-what-bore-of-a-hosel"), inches, "tip_in")
    _between(spec.sleeve_deg, (0.0, 4.0), say("rack-what-a-sleeve-turns-either-way"), _degrees, "sleeve_deg")
    _between(spec.stock, (0, MOST_STOCK), say("rack-what-is-in-stock"), _figure, "stock")
    _between(spec.price, (0.0, 99_999.0), say("rack-what-price"), money, "price")
    _check_positions(spec.positions)


def check_loft(head_type: HeadType, loft_deg: float) -> None:
    """Raise BadInput for a loft that no head of a kind has."""
    if head_type is HeadType.PUTTER:
        raise BadInput(say("rack-putter-not-fitted-here"), field="head_type")
    _between(loft_deg, LOFTS[head_type], say("rack-loft-of", kind=HEAD_WORDS[head_type]), _degrees, "loft_deg")


def _check_positions(positions: Sequence[Position]) -> None:
    if len(positions) > MOST_POSITIONS:
        raise BadInput(say("rack-sleeve-has-positions-most", most=MOST_POSITIONS), field="positions")
    names = [each.name for each in positions]
    if len(set(names)) < len(names) or any(not name.strip() for name in names):
        raise BadInput(say("rack-give-each-position-sleeve"), field="positions")
    if any(";" in name or "'" in name for name in names):
        raise BadInput(say("rack-positions-name-has-no"), field="positions")
    for each in positions:
        _between(each.loft_deg, (-4.0, 4.0), say("rack-position-loft", name=each.name), _degrees, "positions")
        _between(each.lie_deg, (-5.0, 5.0), say("rack-position-lie", name=each.name), _degrees, "positions")
        _between(each.face_deg, (-5.0, 5.0), say("rack-position-face", name=each.name), _degrees, "positions")


def check_shaft_spec(spec: ShaftSpec) -> None:
    """Raise BadInput for the first thing of a shaft that cannot be true."""
    check_label(spec.name, "name", "name")
    check_label(spec.flex, "flex", "flex")
    check_label(spec.material, "material", "material")
    if len(spec.flex) > 10 or len(spec.material) > 10:
        raise BadInput(say("rack-flex-material-word-each"), field="flex")
    _between(spec.weight_g, SHAFT_G, say("rack-what-weight-of-a-shaft"), weight, "weight_g")
    _between(spec.tip_in, TIPS_IN, say("rack-what-tip"), inches, "tip_in")
    _between(spec.balance, (0.4, 0.7), say("rack-what-balance-point-as-a-share-of-its-length"), _figure, "balance")
    _between(spec.length_in, LENGTHS_IN, say("rack-what-length"), inches, "length_in")
    _between(spec.stock, (0, MOST_STOCK), say("rack-what-is-in-stock"), _figure, "stock")
    if not spec.fits:
        raise BadInput(say("rack-say-which-kinds-head"), field="fits")
