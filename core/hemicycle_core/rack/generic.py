"""Heads and shafts to start a rack from that has no file yet: the lofts that are usual of each kind, without names."""

from __future__ import annotations

from collections.abc import Collection

from ..bag.clubs import usual_length_m
from ..heads import HeadType
from ..said import english, term
from ..units import METRES_PER_INCH
from .stock import HeadSpec, ShaftSpec

WOOD_TIP_IN, IRON_TIP_IN = 0.335, 0.37
# What stands on the sole and its loft, degrees: the middle of what is made, by judgement. A shop that measures its own
# heads writes those over them.
USUAL: dict[HeadType, tuple[tuple[str, float], ...]] = {
    HeadType.FAIRWAY: (("3W", 15.0), ("5W", 18.0), ("7W", 21.0), ("9W", 24.0), ("11W", 27.0)),
    HeadType.HYBRID: (("2H", 17.0), ("3H", 19.0), ("4H", 22.0), ("5H", 25.0), ("6H", 28.0)),
    HeadType.UTILITY: (("U2", 17.0), ("U3", 20.0), ("U4", 23.0), ("U5", 26.0)),
    HeadType.WEDGE: tuple((f"{loft}", float(loft)) for loft in range(46, 62, 2)),
}  # fmt: skip
SHAFTS = (
    ShaftSpec(english(term("usual", "light-wood-shaft")), "A", 55, "graphite", WOOD_TIP_IN, (HeadType.FAIRWAY,)),
    ShaftSpec(english(term("usual", "wood-shaft")), "R", 65, "graphite", WOOD_TIP_IN, (HeadType.FAIRWAY,)),
    ShaftSpec(english(term("usual", "firm-wood-shaft")), "S", 75, "graphite", WOOD_TIP_IN, (HeadType.FAIRWAY,)),
    ShaftSpec(english(term("usual", "light-hybrid-shaft")), "A", 65, "graphite", IRON_TIP_IN, (HeadType.HYBRID,)),
    ShaftSpec(
        english(term("usual", "hybrid-shaft")), "R", 75, "graphite", IRON_TIP_IN, (HeadType.HYBRID, HeadType.UTILITY)
    ),
    ShaftSpec(
        english(term("usual", "firm-hybrid-shaft")),
        "S",
        85,
        "graphite",
        IRON_TIP_IN,
        (HeadType.HYBRID, HeadType.UTILITY),
    ),
    ShaftSpec(english(term("usual", "utility-shaft")), "S", 95, "steel", IRON_TIP_IN, (HeadType.UTILITY,)),
    ShaftSpec(english(term("usual", "wedge-shaft")), "wedge", 115, "steel", IRON_TIP_IN, (HeadType.WEDGE,)),
)


def generic_heads(kinds: Collection[HeadType]) -> list[HeadSpec]:
    """Heads of some kinds without maker, model or price (0), glued, for either hand, one of each."""
    return [
        HeadSpec(
            maker="", model="", label=label, head_type=kind, loft_deg=loft, price=0.0,
            length_in=round(usual_length_m(kind, loft) / METRES_PER_INCH * 4) / 4,
            tip_in=WOOD_TIP_IN if kind is HeadType.FAIRWAY else IRON_TIP_IN,
        )
        for kind, lofts in USUAL.items()
        if kind in kinds
        for label, loft in lofts
    ]  # fmt: skip


def generic_shafts(kinds: Collection[HeadType]) -> list[ShaftSpec]:
    """Shafts that go into the heads of some kinds."""
    return [shaft for shaft in SHAFTS if set(shaft.fits) & set(kinds)]
