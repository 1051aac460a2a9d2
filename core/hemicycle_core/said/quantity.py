"""Quantities of a sentence: a figure that knows of what kind it is. In which unit and how finely it is read is for the
reader's units to say."""

from __future__ import annotations

from dataclasses import dataclass
from enum import StrEnum

from ..units import METRES_PER_INCH


class Kind(StrEnum):
    """What a figure is a figure of, and the unit it is kept in."""

    FAR = "far"  # length of a shot, m
    HIGH = "high"  # height of a shot, or of the ground, m
    NEAR = "near"  # a short way on the ground, m
    CLUB_LENGTH = "club_length"  # m
    SPEED = "speed"  # m/s
    ANGLE = "angle"  # degrees
    SPIN = "spin"  # rpm
    WEIGHT = "weight"  # g
    WARMTH = "warmth"  # degrees C
    MONEY = "money"  # in the shop's currency
    SHARE = "share"  # of one
    CHANCE = "chance"  # of one; never quite sure, never quite none
    TIME = "time"  # s
    NUMBER = "number"


class Form(StrEnum):
    AS_IS = ""
    SIGNED = "signed"  # with its sign, also where it is positive
    LEAST_ONE = "least"  # at least one, as what is nought is not said
    SIZE = "size"  # without its sign
    SHORT = "short"  # with as many digits as it has


AS_IS = Form.AS_IS


@dataclass(frozen=True, slots=True)
class Quantity:
    """value: in the unit of its kind. digits: in the usual unit of its kind; negative for tens and hundreds.
    difference: of two such figures, where the kind's scale does not begin at nought (degrees of warmth)."""

    kind: Kind
    value: float
    digits: int = 0
    form: Form = AS_IS
    difference: bool = False

    def __format__(self, how: str) -> str:
        raise TypeError("a quantity is data: say it as a value of a message, do not put it in a text")


def far(metres: float, digits: int = 0, form: Form = AS_IS) -> Quantity:
    """How far a shot goes, or how far apart two lie, m."""
    return Quantity(Kind.FAR, float(metres), digits, form)


def some_way(metres: float) -> Quantity:
    """A distance that is said to be one: never nought."""
    return Quantity(Kind.FAR, float(metres), 0, Form.LEAST_ONE)


def high(metres: float, digits: int = 0, form: Form = AS_IS) -> Quantity:
    """A height, m."""
    return Quantity(Kind.HIGH, float(metres), digits, form)


def above(metres: float) -> Quantity:
    """A height above or below, said without its sign, m."""
    return Quantity(Kind.HIGH, float(metres), 0, Form.SIZE)


def near(metres: float, digits: int = 0, form: Form = AS_IS) -> Quantity:
    """A short way on the ground, m."""
    return Quantity(Kind.NEAR, float(metres), digits, form)


def club_length(metres: float, digits: int = 2, form: Form = AS_IS) -> Quantity:
    """A length of a club, m."""
    return Quantity(Kind.CLUB_LENGTH, float(metres), digits, form)


def speed(mps: float, digits: int = 0, form: Form = AS_IS) -> Quantity:
    """A speed, m/s."""
    return Quantity(Kind.SPEED, float(mps), digits, form)


def angle(degrees: float, digits: int = 0, form: Form = AS_IS) -> Quantity:
    """An angle, degrees."""
    return Quantity(Kind.ANGLE, float(degrees), digits, form)


def spin(rpm: float, digits: int = 0, form: Form = AS_IS) -> Quantity:
    """Spin, rpm."""
    return Quantity(Kind.SPIN, float(rpm), digits, form)


def inches(value: float, digits: int = 0, form: Form = Form.SHORT) -> Quantity:
    """A length of a club that is kept in inches."""
    return club_length(value * METRES_PER_INCH, digits, form)


def weight(grams: float, digits: int = 0, form: Form = AS_IS) -> Quantity:
    """The weight of a part of a club, g."""
    return Quantity(Kind.WEIGHT, float(grams), digits, form)


def warmth(celsius: float, digits: int = 0, form: Form = AS_IS) -> Quantity:
    """A temperature, degrees C."""
    return Quantity(Kind.WARMTH, float(celsius), digits, form)


def money(amount: float, digits: int = 0, form: Form = AS_IS) -> Quantity:
    """An amount in the shop's currency."""
    return Quantity(Kind.MONEY, float(amount), digits, form)


def share(of_one: float, digits: int = 0, form: Form = AS_IS) -> Quantity:
    """A share of one."""
    return Quantity(Kind.SHARE, float(of_one), digits, form)


def seconds(value: float, digits: int = 0, form: Form = AS_IS) -> Quantity:
    """A time, s."""
    return Quantity(Kind.TIME, float(value), digits, form)


def number(value: float, digits: int = 0, form: Form = AS_IS) -> Quantity:
    """A figure without a unit."""
    return Quantity(Kind.NUMBER, float(value), digits, form)


def change(quantity: Quantity) -> Quantity:
    """A difference of two such figures."""
    return Quantity(quantity.kind, quantity.value, quantity.digits, quantity.form, difference=True)
