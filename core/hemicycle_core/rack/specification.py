"""What a build is made of, in words: its name, its one line, and the sheet it is ordered by."""

from __future__ import annotations

from dataclasses import dataclass

from ..runs import FULL, swing_words
from ..said import Form, Said, Sayable, angle, club_length, listed, money, say, term, weight
from .eligible import same_setting


@dataclass(frozen=True)
class Specification:
    """A build as it was hit: degrees, metres, grams; None where unknown. sleeve_deg: None without a head of the
    rack, 0 for bonded. bent: its loft was."""

    name: str
    head: str | None = None
    stated_loft_deg: float | None = None
    set_loft_deg: float | None = None
    lie_deg: float | None = None
    length_m: float | None = None
    shaft: str | None = None
    shaft_g: int | None = None
    flex: str | None = None
    material: str | None = None
    sleeve_deg: float | None = None
    price: str | None = None
    bounce_deg: float | None = None
    work: tuple[Said, ...] = ()
    bent: bool = False
    measured_loft_deg: float | None = None
    stock_swing: str = FULL
    own_shaft: str = ""
    sole: str = ""
    finish: str = ""
    grip: str = ""
    stamping: str = ""

    @property
    def turned(self) -> bool:
        """Whether it is set to another loft than is stated on it."""
        known = self.stated_loft_deg is not None and self.set_loft_deg is not None
        return known and not same_setting(self.stated_loft_deg, self.set_loft_deg)


def build_name(label: str, loft_deg: float) -> str:
    """How a head of the rack goes by on the stand: `4H 22°`; a wedge that is labelled by its loft `54° M`."""
    first, *rest = label.split()
    if first == f"{loft_deg:g}":
        return " ".join([f"{first}°", *rest])
    return f"{label} {loft_deg:g}°"


def _length(length_m: float) -> Said:
    return say("of-length", length=club_length(length_m, form=Form.SHORT))


def detail(spec: Specification) -> Said:
    """Loft as set and length, in one line."""
    parts = []
    # Most names say their loft already.
    said = spec.set_loft_deg is not None and f"{spec.set_loft_deg:g}°" in spec.name.split()
    if spec.set_loft_deg is not None and (spec.turned or not said):
        parts.append(
            say(
                "of-loft-set", loft=angle(spec.stated_loft_deg or 0.0, form=Form.SHORT), set=_degrees(spec.set_loft_deg)
            )
            if spec.turned
            else _degrees(spec.set_loft_deg)
        )
    if spec.length_m is not None:
        parts.append(_length(spec.length_m))
    return listed(parts)


def _degrees(value: float) -> Said:
    return say("of-loft", loft=angle(value, form=Form.SHORT))


def shaft_words(spec: Specification) -> Sayable:
    if not spec.shaft:
        return spec.own_shaft
    return say("of-a-shaft", shaft=spec.shaft, weight=weight(spec.shaft_g or 0), flex=spec.flex or "")


def _amount(price: str | None) -> Sayable | None:
    """In the shop's money, pence where there are some."""
    if price is None:
        return None
    return say("figure", figure=money(float(price), 2 if float(price) % 1 else 0))


def sheet(spec: Specification) -> list[tuple[Said, Sayable]]:
    """What is ordered, exactly what was hit: (what, how) in the order of a build sheet, known ones only."""
    sleeve: Said | None = None
    if spec.sleeve_deg is not None:
        turns = say("sheet-turns", by=angle(spec.sleeve_deg, form=Form.SHORT))
        sleeve = turns if spec.sleeve_deg else say("sheet-bonded")
    shaft: Sayable = spec.own_shaft
    if spec.shaft:
        made = {"flex": spec.flex or "", "material": spec.material or ""}
        shaft = say("sheet-of-a-shaft", shaft=spec.shaft, weight=weight(spec.shaft_g or 0), **made)
    rows: list[tuple[Said, Sayable | None]] = [
        (say("sheet-head"), spec.head or spec.name),
        (say("sheet-stated-loft"), None if spec.stated_loft_deg is None else _degrees(spec.stated_loft_deg)),
        (
            say("sheet-loft-as-bent") if spec.bent else say("sheet-set-loft"),
            None if spec.set_loft_deg is None else _degrees(spec.set_loft_deg),
        ),
        (say("sheet-measured-loft"), None if spec.measured_loft_deg is None else _degrees(spec.measured_loft_deg)),
        (say("sheet-lie"), None if not spec.lie_deg else _degrees(spec.lie_deg)),
        (say("sheet-bounce"), None if spec.bounce_deg is None else _degrees(spec.bounce_deg)),
        (say("sheet-sole"), spec.sole),
        (say("sheet-finish"), term("finish", spec.finish) if spec.finish else ""),
        (say("sheet-work"), listed(spec.work)),
        (say("sheet-length"), None if spec.length_m is None else _length(spec.length_m)),
        (say("sheet-shaft"), shaft),
        (say("sheet-grip"), spec.grip),
        (say("sheet-stamping"), spec.stamping),
        (say("sheet-stock-swing"), None if spec.stock_swing == FULL else swing_words(spec.stock_swing)),
        (say("sheet-sleeve"), sleeve),
        (say("sheet-price"), _amount(spec.price)),
    ]
    return [(what, how) for what, how in rows if how]
