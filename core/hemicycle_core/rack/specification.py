"""What a build is made of, in words: its name, its one line, and the sheet it is ordered by."""

from __future__ import annotations

from dataclasses import dataclass

from ..runs import FULL, swing_words
from ..units import METRES_PER_INCH
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
    work: tuple[str, ...] = ()
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


def _length(length_m: float) -> str:
    return f"{length_m / METRES_PER_INCH:.4g} in"


def detail(spec: Specification) -> str:
    """Loft as set and length, in one line."""
    parts = []
    if spec.set_loft_deg is not None:
        parts.append(
            f"{spec.stated_loft_deg:g}° set to {spec.set_loft_deg:g}°" if spec.turned else f"{spec.set_loft_deg:g}°"
        )
    if spec.length_m is not None:
        parts.append(_length(spec.length_m))
    return ", ".join(parts)


def shaft_words(spec: Specification) -> str:
    return f"{spec.shaft} {spec.shaft_g} g {spec.flex}" if spec.shaft else spec.own_shaft


def sheet(spec: Specification) -> list[tuple[str, str]]:
    """What is ordered, exactly what was hit: (what, how) in the order of a build sheet, known ones only."""
    sleeve = None
    if spec.sleeve_deg is not None:
        sleeve = f"turns {spec.sleeve_deg:g}°" if spec.sleeve_deg else "bonded"
    rows: list[tuple[str, str | None]] = [
        ("Head", spec.head or spec.name),
        ("Stated loft", None if spec.stated_loft_deg is None else f"{spec.stated_loft_deg:g}°"),
        (
            "Loft as bent" if spec.bent else "Set loft, as hit",
            None if spec.set_loft_deg is None else f"{spec.set_loft_deg:g}°",
        ),
        ("Measured loft", None if spec.measured_loft_deg is None else f"{spec.measured_loft_deg:g}°"),
        ("Lie", None if not spec.lie_deg else f"{spec.lie_deg:g}°"),
        ("Bounce", None if spec.bounce_deg is None else f"{spec.bounce_deg:g}°"),
        ("Sole", spec.sole),
        ("Finish", spec.finish),
        ("Work", ", ".join(spec.work)),
        ("Length", None if spec.length_m is None else _length(spec.length_m)),
        ("Shaft", f"{spec.shaft}, {spec.shaft_g} g, {spec.flex}, {spec.material}" if spec.shaft else spec.own_shaft),
        ("Grip", spec.grip),
        ("Stamping", spec.stamping),
        ("Stock swing", None if spec.stock_swing == FULL else swing_words(spec.stock_swing)),
        ("Sleeve", sleeve),
        ("Price", spec.price),
    ]
    return [(what, how) for what, how in rows if how]
